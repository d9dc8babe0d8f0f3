// The finished wing as pieces that are glued to each other: what every trade says of its joints.
#pragma once
#include "core/assembly/bond.h"
#include "core/wing/true_wing.h"

namespace eup {

/// Of a hand as it is told: `TrueWing::of` says which.
struct WingJoints {
  std::vector<std::vector<std::vector<Bond>>> wings; ///< every glue joint once, by wing and panel
  const std::vector<Bond>& at(PanelId id) const {
    return wings.at(static_cast<std::size_t>(id.wing)).at(static_cast<std::size_t>(id.panel));
  }
};

/// Worked out when it is first asked for, and kept with the wing.
const WingJoints& jointsOf(const TrueWing& aircraft);

} // namespace eup
