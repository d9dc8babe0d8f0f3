#include "core/strength/loads.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

using std::numbers::pi;

/// Shares of the half lift: per unit of y/b, outboard of y/b, and moment over lift × b. Integrated in closed form.
struct Shares {
  double density, shear, moment;
};

Shares ellipse(double e) {
  const double root = std::sqrt(std::max(0.0, 1 - e * e));
  const double beyond = pi / 4 - (e * root + std::asin(e)) / 2; // ∫ from e to 1 of the root
  return {4 / pi * root, 4 / pi * beyond, 4 / pi * (root * root * root / 3 - e * beyond)};
}

Shares chord(double e, double taper) {
  const double k = 1 - taper, whole = (1 + taper) / 2;
  const double beyond = (1 - e) - k * (1 - e * e) / 2;
  const double first = (1 - e * e) / 2 - k * (1 - e * e * e) / 3; // ∫ s c(s) ds
  return {(1 - k * e) / whole, beyond / whole, (first - e * beyond) / whole};
}

Shares shares(const SpanLoad& l, double y) {
  const double e = std::clamp(y / l.halfSpan, 0.0, 1.0);
  const Shares round = ellipse(e), straight = chord(e, l.tipChord / l.rootChord);
  switch (l.shape) {
  case LoadShape::ellipse:
    return round;
  case LoadShape::chord:
    return straight;
  case LoadShape::schrenk:
    break;
  }
  return {(round.density + straight.density) / 2, (round.shear + straight.shear) / 2,
          (round.moment + straight.moment) / 2};
}

} // namespace

double halfLift(double massGrams, double loadFactor) {
  return loadFactor * massGrams / 1000 * standardGravity / 2;
}

double SpanLoad::perLength(double y) const {
  return lift / halfSpan * shares(*this, y).density;
}
double SpanLoad::shear(double y) const {
  return lift * shares(*this, y).shear;
}
double SpanLoad::moment(double y) const {
  return lift * halfSpan * shares(*this, y).moment;
}

SpanLoad spanLoad(const Design& d) {
  return {halfLift(d.flying.mass, d.flying.loadFactor), d.panel.halfSpan, d.panel.rootChord, d.panel.tipChord,
          d.flying.shape};
}

} // namespace eup
