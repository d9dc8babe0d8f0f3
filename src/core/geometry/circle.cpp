#include "core/geometry/circle.h"
#include "core/geometry/tolerances.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {

Polyline circleOf(const Point& middle, double radius, int sides) {
  Polyline out;
  out.reserve(static_cast<std::size_t>(sides));
  for (int i = 0; i < sides; ++i) {
    const double turn = 2 * std::numbers::pi * i / sides;
    out.push_back(middle + Point(std::cos(turn), std::sin(turn)) * radius);
  }
  return out;
}

int sidesOf(double radius) {
  const double half = std::acos(std::max(0.0, 1 - tolerance::flattening / radius));
  return std::max(16, static_cast<int>(std::ceil(std::numbers::pi / half)));
}

} // namespace eup
