#include "core/strength/d_box.h"
#include "core/geometry/cover.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {

double torsionConstant(const Polyline& midLine, double thickness) {
  const double area = std::abs(signedArea(midLine)), length = perimeterOf(midLine);
  return length > 0 ? 4 * area * area * thickness / length : 0;
}

Polyline noseBox(const Polyline& upper, const Polyline& lower, double x, double thickness) {
  const auto top = lastCrossing(upper, x), bottom = lastCrossing(lower, x);
  if (!top || !bottom) return {};
  Polyline skin = headOf(upper, *top);
  std::reverse(skin.begin(), skin.end());
  const Polyline below = headOf(lower, *bottom);
  skin.insert(skin.end(), below.begin() + 1, below.end());
  Polyline box = underCover({{skin, thickness / 2}, {{skin.back(), skin.front()}, 0}});
  // The web stands between the mid lines of the two skins, not between their outer faces.
  std::erase_if(box,
                [&](const Point& p) { return (p - skin.front()).norm() < 1e-9 || (p - skin.back()).norm() < 1e-9; });
  return box;
}

} // namespace eup
