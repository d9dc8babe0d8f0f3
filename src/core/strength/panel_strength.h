// All that is known of one panel's strength.
#pragma once
#include "core/strength/bay_checks.h"
#include "core/strength/d_box.h"
#include "core/strength/joint_strength.h"
#include "core/strength/plate_strength.h"
#include "core/strength/sheet_skin.h"
#include "core/strength/spar_strength.h"

namespace eup {

struct PanelStrength {
  SheetSkin skin;                 ///< of sheet that carries bending
  std::optional<NoseBox> noseBox; ///< at the root
  Strength bending;
  JoinStrength join;                 ///< at the panel's root
  std::optional<FrameTwist> twist;   ///< of the twist test
  std::optional<ClothReserve> cloth; ///< of a panel of sheet
  std::optional<CoreStrength> core;  ///< of a panel of foam
  std::vector<SparBay> bays;         ///< from the root outwards, spar by spar; the first with what holds the join
};

} // namespace eup
