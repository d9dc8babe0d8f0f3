#include "core/design/material.h"
#include "core/files/shipped.h"
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace eup {

Result<std::vector<Material>> readMaterials(std::string_view text) {
  const auto json = nlohmann::json::parse(text, nullptr, false);
  if (json.is_discarded() || !json.contains("materials")) return Problem{"materials", "the table cannot be read"};
  std::vector<Material> all;
  for (const auto& m : json["materials"]) {
    try {
      all.push_back({m.at("key"), m.at("label"), m.at("modulusMPa"), m.at("tensionMPa"), m.at("compressionMPa"),
                     m.at("shearMPa"), m.at("shearStrengthMPa"), m.at("densityKgM3"), m.at("source")});
    } catch (const nlohmann::json::exception& e) {
      return Problem{fmt::format("material {}", all.size() + 1), e.what()};
    }
  }
  return all;
}

const std::vector<Material>& shippedMaterials() {
  static const std::vector<Material> table = readMaterials(shipped::materials()).value();
  return table;
}

const Material* findMaterial(std::string_view key) {
  for (const Material& m : shippedMaterials())
    if (m.key == key) return &m;
  return nullptr;
}

const Material& materialNamed(std::string_view key) {
  const Material* found = findMaterial(key);
  return found ? *found : shippedMaterials().front();
}

} // namespace eup
