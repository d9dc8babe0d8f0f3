#include "core/strength/plate_buckling.h"
#include "core/measure/units.h"
#include <algorithm>
#include <array>
#include <cmath>
#include <span>

namespace eup {
namespace {

struct Step {
  double at, k;
};
// By θ up to 1, and by 1 ÷ θ above it.
constexpr std::array<Step, 4> stiffAcross{{{0, 11.71}, {0.2, 11.8}, {0.5, 12.2}, {1, 13.17}}};
constexpr std::array<Step, 8> other{
    {{0, 8.125}, {0.025, 8.25}, {0.05, 8.4}, {0.1, 8.7}, {0.2, 9.25}, {1.0 / 3, 9.95}, {0.5, 10.8}, {1, 13.17}}};

double lookUp(std::span<const Step> table, double at) {
  for (std::size_t i = 1; i < table.size(); ++i)
    if (at <= table[i].at) {
      const Step &a = table[i - 1], &b = table[i];
      return a.k + (b.k - a.k) * (at - a.at) / (b.at - a.at);
    }
  return table.back().k;
}

} // namespace

double shearBuckling(const Plate& p, double width) {
  constexpr double poisson = 0.3; // of the stiffer way; the other is as much less as its E
  const double stiffer = std::max(p.along, p.across), softer = std::min(p.along, p.across);
  const double third = p.thickness * p.thickness * p.thickness / 12, one = 1 - poisson * poisson * softer / stiffer;
  const double d1 = p.along * third / one, d2 = p.across * third / one,
               d3 = poisson * softer * third / one + 2 * p.shear * third;
  const double theta = std::sqrt(d1 * d2) / d3;
  const double flow = theta >= 1 ? lookUp(other, 1 / theta) * std::pow(d1 * d2 * d2 * d2, 0.25)
                                 : lookUp(stiffAcross, theta) * std::sqrt(d2 * d3);
  return 4 * flow / (width * width) / p.thickness;
}

double shearBuckling(const Plate& p, double length, double width) {
  return std::max(shearBuckling(p, width), shearBuckling({p.across, p.along, p.shear, p.thickness}, length));
}

double pressedSheetBuckling(const Plate& p, double length, double radius) {
  const double flat = pi * pi * p.along * p.thickness * p.thickness / (12 * length * length);
  return radius > 0 ? std::max(flat, 0.3 * std::sqrt(p.along * p.across) * p.thickness / radius) : flat;
}

double wrinkling(double modulus, double coreModulus, double coreShear) {
  return 0.5 * std::cbrt(modulus * coreModulus * coreShear);
}

} // namespace eup
