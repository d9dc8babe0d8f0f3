#include "core/design/panel_rules.h"
#include "core/measure/units.h"
#include <algorithm>
#include <cmath>

namespace eup {

double dihedralDeg(const Dihedral& d, double span) {
  switch (d.by) {
  case DihedralBy::angle:
    return d.value;
  case DihedralBy::projected:
    return radToDeg(std::acos(std::clamp(d.value / span, -1.0, 1.0)));
  case DihedralBy::rise:
    break;
  }
  return radToDeg(std::asin(std::clamp(d.value / span, -1.0, 1.0)));
}

double riseOf(const Dihedral& d, double span) {
  return d.by == DihedralBy::rise ? d.value : span * std::sin(degToRad(dihedralDeg(d, span)));
}

std::vector<double> ribStations(const Ribs& ribs, double span) {
  if (ribs.rule == RibRule::stations) return ribs.stations;
  const double bays = ribs.rule == RibRule::count ? ribs.count - 1 : std::ceil(span / ribs.spacing - 1e-9);
  const int n = static_cast<int>(std::clamp(bays, 1.0, 1e6));
  std::vector<double> out;
  out.reserve(static_cast<std::size_t>(n) * 2 + 1);
  for (int i = 0; i <= n; ++i) {
    const bool halved = i > 0 && (i <= ribs.denseRoot || i > n - ribs.denseTip);
    if (halved) out.push_back(span * (i - 0.5) / n);
    out.push_back(span * i / n);
  }
  return out;
}

} // namespace eup
