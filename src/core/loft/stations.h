// Where along a panel its section is looked at, whatever the panel is built of: each place is numbered, cut, measured
// and set up. A rib is a piece of wood that stands at one.
#pragma once
#include "core/loft/panel_loft.h"
#include <vector>

namespace eup {

/// An upright plane through a place of the leading edge.
struct Station {
  int number = 1;   ///< counted through the whole wing, from its root, which is 1
  double along = 0; ///< mm of the panel's span, where it crosses the first spar's line
  double t = 0;     ///< and where it crosses the leading edge
  double turn = 0;  ///< rad out of the flight's direction, tail outwards
};

struct Stations {
  std::vector<Station> all;      ///< from the root outwards, both ends included; never fewer than two
  std::vector<Station> crossing; ///< turned the other way, one in every bay, numbered as the one inside it
};

/// The rule's, of a design whose stations are possible (see `impossible`).
Stations stationsOf(const PanelBrief& design, const PanelLoft& loft);

/// The n-th from a panel's end, the one at the end being 1; the farthest for a number that is not there.
const Station& countedFrom(const std::vector<Station>& all, bool fromTip, int n);

} // namespace eup
