#include "core/balance/lift_aside.h"

namespace eup {

double liftAside(std::span<const LiftStrip> strips, double meanAngle) {
  double area = 0, turned = 0, first = 0, turnedFirst = 0;
  for (const LiftStrip& s : strips) {
    area += s.area, turned += s.area * s.washout;
    first += s.area * s.aside, turnedFirst += s.area * s.washout * s.aside;
  }
  const double root = meanAngle + turned / area; // the root's angle that makes all lift
  return (first * root - turnedFirst) / (area * meanAngle);
}

} // namespace eup
