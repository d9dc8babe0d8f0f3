// What runs through the ribs at a join: the rod or tube that panels slide together on, its pin, the brace's slots.
#pragma once
#include "core/joins/panel_join.h"
#include "core/parts/frame.h"
#include <array>

namespace eup {

/// The panel's end that meets the other one.
enum class JoinEnd { root, tip };

/// The joiner's middle line in a panel's axes, straight on over its whole span. At the join it stands half way between
/// the faces, at `joiner.fraction` of the chord there, and keeps that place aft (square to the flight); up and down it
/// runs as `joiner.along` says. `fold` is half the break of the join, rad.
StraightLine joinerLine(const Joiner& joiner, const PanelLoft& loft, double fold, JoinEnd end);

struct JoinerRod {
  StraightLine middle;   ///< in this panel's axes
  double slope = 0;      ///< rad, up outwards against the root chord's plane
  double bend = 0;       ///< rad, between its legs; 0 for one that is straight
  double levelAngle = 0; ///< rad: the panel's angle to what it joins that would let it be straight, halved
  int toRib = 2;         ///< number of the rib where its socket in this panel ends
  double reach = 0;      ///< mm of it in this panel
  int toRibInside = 2;
  double reachInside = 0; ///< the same at the centre
};

/// Nothing when none is fitted. `inside` is null for the innermost panel.
std::optional<JoinerRod> joinerRod(const PanelBrief& design, const PanelShape& shape, const Neighbour* inside);

/// The two straight rods that the ribs are threaded on while the panel is built: from a fraction of the root's chord to
/// the same fraction of the tip's, half way between the faces at either end.
std::array<StraightLine, 2> jigRods(const PanelBrief& design, const PanelLoft& loft);

/// All that ribs of a panel are bored and slotted for, from the joins at both its ends.
std::vector<Passing> passingThrough(const PanelBrief& design, const PanelShape& shape,
                                    const std::vector<SparLine>& spars);

} // namespace eup
