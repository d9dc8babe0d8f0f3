#include "core/geometry/lies_in.h"
#include <algorithm>

namespace eup {
namespace {

/// Whether the straight way from a to b has a piece within the box (Liang and Barsky, ACM TOG 3(1), 1984).
bool passes(const Point& a, const Point& b, const Box& box) {
  double from = 0, to = 1;
  for (int axis = 0; axis < 2; ++axis) {
    const double way = b[axis] - a[axis];
    if (way == 0) {
      if (a[axis] <= box.low[axis] || a[axis] >= box.high[axis]) return false;
      continue;
    }
    const double first = (box.low[axis] - a[axis]) / way, last = (box.high[axis] - a[axis]) / way;
    from = std::max(from, std::min(first, last)), to = std::min(to, std::max(first, last));
  }
  return from < to;
}

} // namespace

bool liesIn(const Box& box, const Region& region) {
  const Point middle = box.centre();
  bool inside = false;
  for (const Polyline& loop : region)
    for (std::size_t i = 0; i < loop.size(); ++i) {
      const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
      if (passes(a, b, box)) return false;
      if ((a.y() > middle.y()) != (b.y() > middle.y()) &&
          middle.x() < a.x() + (b.x() - a.x()) * (middle.y() - a.y()) / (b.y() - a.y()))
        inside = !inside;
    }
  return inside;
}

} // namespace eup
