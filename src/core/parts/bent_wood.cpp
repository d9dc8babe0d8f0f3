#include "core/parts/bent_wood.h"
#include "core/measure/units.h"
#include <cmath>

namespace eup {

double bendStrain(double thickness, double outerRadius) {
  return outerRadius > thickness / 2 ? thickness / (2 * outerRadius - thickness) : outerRadius > 0 ? 1 : 0;
}

double dryBend(const Material& wood) {
  return wood.tension / wood.modulus;
}

double dryBendAcross(const Material& wood) {
  return 2 * wood.compressionAcross / wood.across;
}

double offTheGrain(double along, double across, double angle) {
  const double s = std::sin(angle), c = std::cos(angle);
  return along * across / (along * s * s + across * c * c);
}

double dryBendRound(const Material& wood, double grainDeg) {
  return offTheGrain(dryBend(wood), dryBendAcross(wood), degToRad(90 - std::abs(grainDeg)));
}

Bends bendsAt(double thickness, double outerRadius, double bearsDry) {
  constexpr double wet = 3;
  const double strain = bendStrain(thickness, outerRadius);
  return strain <= bearsDry ? Bends::dry : strain <= wet * bearsDry ? Bends::wet : Bends::breaks;
}

} // namespace eup
