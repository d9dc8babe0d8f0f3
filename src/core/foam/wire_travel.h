// Where a hot wire is from moment to moment, and the slots that it has burnt by then.
#pragma once
#include "core/foam/wire_program.h"
#include <vector>

namespace eup {

struct WireInstant {
  double seconds = 0; ///< from the beginning
  TowerStep at;       ///< mm from the machine's zero
  double heat = 0;    ///< percent, on the way that leads here
  int line = 0;       ///< of the text that it comes from; 0 for none
};
/// Seconds never fall.
using WireTravel = std::vector<WireInstant>;

/// Straight between its neighbours; at rest before the beginning and after the end.
WireInstant instantAt(const WireTravel& travel, double seconds);

/// A straight slot from place to place: mm wide.
struct BurntSlot {
  Point from{0, 0}, to{0, 0};
  double wide = 0;
};
/// What was burnt until then in a plane across the span, by the wire's speed in that plane and by its heat: a wire
/// hotter or colder than the decided heat is taken to leave a slot wider or narrower in that measure, an assumption as
/// the power of its speed is. `share`: where the plane stands, 0 at the inner tower, 1 at the outer.
std::vector<BurntSlot> slotsUntil(const WireTravel& travel, double seconds, double share, const HotWire& wire);

/// Where an end of a core stands between the towers, 0 at the inner one: a left hand's inner end is at the outer tower.
double shareOfEnd(const FoamCore& core, const HotWire& wire, Hand hand, bool outer);

} // namespace eup
