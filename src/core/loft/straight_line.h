// A line that is straight in space and goes along a panel.
#pragma once
#include "core/geometry/point.h"

namespace eup {

/// In panel axes from root to tip: (x, z) as a function of t.
struct StraightLine {
  Point root{0, 0}, tip{0, 0};
  double span = 1;
  Point at(double t) const { return lerp(root, tip, t / span); }
};

} // namespace eup
