// A cross-section of several materials that bends as one. N, mm, MPa.
#pragma once
#include <cmath>
#include <vector>

namespace eup {

/// A rectangle of one material in a cross-section: from `low` to `high` in z (mm), `width` wide, modulus in MPa.
struct Fibre {
  double low = 0, high = 0, width = 0, modulus = 0;
};

/// A built-up cross-section about its modulus-weighted axis (transformed section).
struct BentSection {
  double axis = 0;      ///< z of the axis, mm
  double stiffness = 0; ///< EI, N·mm²
  double stretch = 0;   ///< EA, N
  bool empty() const { return stiffness <= 0; }
  /// |σ| = M E |z − axis| / EI at height z in a material of modulus E.
  double stress(double moment, double z, double modulus) const {
    return moment * modulus * std::abs(z - axis) / stiffness;
  }
  /// MPa in a material of modulus E while all of it is pressed by a force.
  double pressedBy(double force, double modulus) const { return stretch > 0 ? force * modulus / stretch : 0; }
};
BentSection bentSection(const std::vector<Fibre>& fibres);

} // namespace eup
