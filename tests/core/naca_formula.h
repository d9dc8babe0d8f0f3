// NACA 4-digit sections straight from the formulas of Report 460, for checks that share no code with the program.
#pragma once
#include "core/geometry/point.h"
#include <cmath>
#include <string>

namespace eup::test {

/// A point of the upper (or lower) surface at mean line station x in [0, 1].
inline Point nacaPoint(const std::string& digits, double x, bool upper) {
  const double c = (digits[0] - '0') / 100.0, p = digits[1] == '0' ? 0.4 : (digits[1] - '0') / 10.0,
               t = ((digits[2] - '0') * 10 + digits[3] - '0') / 100.0;
  const double half =
      5 * t * (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
  const double mean =
      x < p ? c / (p * p) * (2 * p * x - x * x) : c / ((1 - p) * (1 - p)) * (1 - 2 * p + 2 * p * x - x * x);
  const double turn = std::atan(x < p ? 2 * c / (p * p) * (p - x) : 2 * c / ((1 - p) * (1 - p)) * (p - x));
  const double side = upper ? 1 : -1;
  return {x - side * half * std::sin(turn), mean + side * half * std::cos(turn)};
}

} // namespace eup::test
