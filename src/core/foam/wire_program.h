// What a machine with two towers does to cut one core: every move of its wire, and whether it can.
#pragma once
#include "core/foam/foam_core.h"
#include "core/measure/result.h"

namespace eup {

/// Both ends of the wire go there, straight, in the same time. Millimetres from the machine's zero: aft, and up.
struct WireMove {
  TowerStep to;
  double seconds = 0; ///< 0 in the air: as fast as it will
  double rest = 0;    ///< seconds that it stands there afterwards
  bool air() const { return seconds <= 0; }
};

/// From the machine's zero to where block axes begin: aft, and up.
Point blockOnMachine(const FoamCore& core, const HotWire& wire);

struct WireProgram {
  double heat = 0, preheat = 0; ///< percent; seconds, at the place that `heatAt` has gone to
  std::vector<WireMove> moves;
  std::size_t heatFrom = 0, heatTo = 0; ///< the moves that are made with a hot wire: [from, to)
  Box inner, outer;                     ///< where the wire goes at either tower
  double seconds = 0;                   ///< hot, without heating up
};

/// From zero up over the block, behind its tail, heated there; along the face that is cut first to the nose, where it
/// may rest, and back along the other, out at the tail, cold and home. A left hand's core stands the other way round:
/// its inner end at the outer tower. A problem where the towers stand in the block, or an axis would have to leave its
/// travel; it says which, and by how much.
Result<WireProgram> wireProgram(const FoamCore& core, const HotWire& wire, Hand hand);

} // namespace eup
