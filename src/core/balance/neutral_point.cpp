#include "core/balance/neutral_point.h"
#include "core/strength/loads.h"
#include <numbers>

namespace eup {

NeutralPoint neutralPoint(std::span<const LiftingSurface> surfaces) {
  NeutralPoint out;
  double sum = 0, moment = 0;
  for (const LiftingSurface& s : surfaces) {
    SurfaceShare share;
    share.slope = liftSlope(s.aspect());
    for (const LiftingSurface& ahead : surfaces)
      if (s.quarterChord > ahead.quarterChord + ahead.meanChord)
        share.downwash +=
            2 * liftSlope(ahead.aspect()) / (std::numbers::pi * ahead.aspect()) * std::min(1.0, ahead.span / s.span);
    share.weight = share.slope * s.area * s.flow * (1 - share.downwash);
    sum += share.weight, moment += share.weight * s.quarterChord;
    out.shares.push_back(share);
  }
  out.aft = moment / sum;
  return out;
}

MassPoint together(std::span<const MassPoint> masses) {
  MassPoint all;
  for (const MassPoint& m : masses) all.grams += m.grams, all.at += m.grams * m.at;
  if (all.grams > 0) all.at /= all.grams;
  return all;
}

std::optional<double> ballastFor(const MassPoint& all, double wanted, double ballastAft) {
  constexpr double near = 1e-6; // mm
  if (std::abs(wanted - ballastAft) < near) return std::nullopt;
  return all.grams * (all.at.x() - wanted) / (wanted - ballastAft);
}

} // namespace eup
