// Setting up: how high the underside lies over the building board, and at what slope, under every rib.
#pragma once
#include "core/parts/rib.h"

namespace eup {

struct Support {
  std::string line;            ///< "LE", a spar's name, "TE front", "TE"
  double x = 0;                ///< aft of the rib's nose along the chord line
  double height = 0;           ///< mm over the board
  std::optional<double> slope; ///< rad, + rising aft; none at the nose point
};

struct RibSupports {
  int rib = 1;
  std::vector<Support> at;
};

struct SettingUp {
  Datum datum = Datum::chordLevel; ///< what was used
  bool fellBack = false;           ///< the underside is convex: it cannot lie flat, the chord was levelled instead
  double turn = 0;                 ///< rad that the panel is turned nose down from root chord level
  std::vector<RibSupports> ribs;
};

/// The panel lies with its lowest point on the board.
SettingUp settingUp(const PanelBrief& design, const PanelLoft& loft, const Section& root,
                    const std::vector<SparLine>& spars, const std::vector<Rib>& ribs);

} // namespace eup
