// A circle as corners.
#pragma once
#include "core/geometry/point.h"

namespace eup {

/// Closed, counter-clockwise, its corners on the circle.
Polyline circleOf(const Point& middle, double radius, int sides);
/// So many corners that no side lies farther off the circle than the flattening; at least 16.
int sidesOf(double radius);

} // namespace eup
