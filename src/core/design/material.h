// The shipped table of materials: stiffness, strength, density and where each value is from.
#pragma once
#include "core/measure/result.h"
#include <string>
#include <string_view>
#include <vector>

namespace eup {

struct Material {
  std::string key, label;
  double modulus = 0;       ///< MPa, along the grain, in bending
  double tension = 0;       ///< MPa along the grain; modulus of rupture where no tension test is at hand
  double compression = 0;   ///< MPa along the grain
  double shear = 0;         ///< MPa, modulus of rigidity
  double shearStrength = 0; ///< MPa, along the grain
  double density = 0;       ///< kg/m³
  std::string source;
};

/// Ribs, sheet, strips and edges are of it: their wood is no decision yet.
inline constexpr const char* frameWood = "balsa-160";

/// Reads the table; the shipped one is a part of the program and always reads.
Result<std::vector<Material>> readMaterials(std::string_view json);
const std::vector<Material>& shippedMaterials();
/// Nothing when there is no material of that key.
const Material* findMaterial(std::string_view key);
/// That material, for reckoning with it. No decision can name one that is not there; then the first of the table.
const Material& materialNamed(std::string_view key);

} // namespace eup
