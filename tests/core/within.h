// Whether a place lies in a region, by counting crossings: not by the library that made the region.
#pragma once
#include "core/geometry/region.h"

namespace eup::test {

inline bool within(const Region& region, const Point& p) {
  bool in = false;
  for (const Polyline& loop : region)
    for (std::size_t a = 0, b = loop.size() - 1; a < loop.size(); b = a++)
      if ((loop[a].y() > p.y()) != (loop[b].y() > p.y()) &&
          p.x() < (loop[b].x() - loop[a].x()) * (p.y() - loop[a].y()) / (loop[b].y() - loop[a].y()) + loop[a].x())
        in = !in;
  return in;
}

} // namespace eup::test
