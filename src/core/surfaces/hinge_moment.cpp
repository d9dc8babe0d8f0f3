#include "core/surfaces/hinge_moment.h"
#include "core/strength/loads.h"
#include <algorithm>
#include <cmath>

namespace eup {

HingeSlopes hingeSlopes(double share) {
  const double e = std::clamp(share, 1e-4, 1 - 1e-4);
  // With x = (1 − cos θ)/2 the hinge is at h; the flap is from there to π.
  const double h = std::acos(2 * e - 1), flap = pi - h, c = std::cos(h), s = std::sin(h);
  const double plate = flap * (c - 0.5) + s * (1 - c / 2); // ∫ (1 + cos θ)(cos h − cos θ) dθ over the flap
  return {-plate / (e * e), -(flap / pi * plate + s / (2 * pi) * (c * flap + s)) / (e * e)};
}

double hingeMoment(const SurfaceStrip& strip, double speed, double incidence, double turn) {
  const double q = airDensity * speed * speed / 2 * 1e-6; // N/mm²
  constexpr int steps = 32;
  double sum = 0;
  for (int i = 0; i < steps; ++i) {
    const double at = (i + 0.5) / steps, chord = strip.chordFrom + (strip.chordTo - strip.chordFrom) * at;
    const HingeSlopes b = hingeSlopes(strip.shareFrom + (strip.shareTo - strip.shareFrom) * at);
    sum += chord * chord * (b.ofIncidence * incidence + b.ofTurn * turn);
  }
  return std::abs(q * sum * strip.length / steps);
}

} // namespace eup
