// A chain of points as JSON: a list of pairs.
#pragma once
#include "core/files/json.h"
#include "core/geometry/point.h"

namespace eup {

inline Json pointsOf(const Polyline& line) {
  Json out = Json::array();
  for (const Point& p : line) out.push_back({p.x(), p.y()});
  return out;
}

} // namespace eup
