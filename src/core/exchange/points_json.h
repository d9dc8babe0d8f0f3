// A chain of points as JSON: a list of pairs.
#pragma once
#include "core/geometry/point.h"
#include <nlohmann/json.hpp>

namespace eup {

inline nlohmann::ordered_json pointsOf(const Polyline& line) {
  nlohmann::ordered_json out = nlohmann::ordered_json::array();
  for (const Point& p : line) out.push_back({p.x(), p.y()});
  return out;
}

} // namespace eup
