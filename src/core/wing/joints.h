// The finished wing as pieces that are glued to each other: what every trade says of its joints, and what is shut.
#pragma once
#include "core/assembly/bond.h"
#include "core/wing/true_wing.h"

namespace eup {

/// One panel of one hand.
struct PanelJoints {
  std::vector<Bond> bonds;   ///< every glue joint once
  std::vector<Space> spaces; ///< that are shut for good
};

/// Of a hand as it is told: `TrueWing::of` says which.
struct WingJoints {
  std::vector<std::vector<PanelJoints>> wings; ///< by wing and panel
  const PanelJoints& at(PanelId id) const {
    return wings.at(static_cast<std::size_t>(id.wing)).at(static_cast<std::size_t>(id.panel));
  }
};

/// Worked out when it is first asked for, and kept with the wing.
const WingJoints& jointsOf(const TrueWing& aircraft);

} // namespace eup
