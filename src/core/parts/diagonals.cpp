#include "core/parts/diagonals.h"
#include <algorithm>

namespace eup {

std::vector<DiagonalBar> diagonalBars(const Stiffening& s, int bays) {
  std::vector<DiagonalBar> out;
  if (s.diagonals == Diagonals::none) return out;
  for (int bay = std::max(s.firstBay, 1); bay <= std::min(s.lastBay, bays); ++bay) {
    const bool both = s.diagonals == Diagonals::crossed, aft = s.diagonals != Diagonals::zigzag || bay % 2 == 1;
    const auto plane = [&](bool topInFront, bool topBehind) {
      if (aft || both) out.push_back({bay, true, topInFront, topBehind});
      if (!aft || both) out.push_back({bay, false, topInFront, topBehind});
    };
    if (s.plane == DiagonalPlane::top || s.plane == DiagonalPlane::both) plane(true, true);
    if (s.plane == DiagonalPlane::bottom || s.plane == DiagonalPlane::both) plane(false, false);
    if (s.plane == DiagonalPlane::sloping) plane(true, false);
  }
  return out;
}

} // namespace eup
