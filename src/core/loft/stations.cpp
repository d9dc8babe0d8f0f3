#include "core/loft/stations.h"
#include "core/design/panel_rules.h"
#include <algorithm>
#include <cmath>

namespace eup {

Stations stationsOf(const PanelBrief& d, const PanelLoft& loft) {
  const auto places = ribStations(d.ribs, d.panel.span);
  const double span = loft.span();
  const ChordFrame root = loft.frameAt(0), tip = loft.frameAt(span);
  constexpr double usual = 0.3; // of the chord: the line that stations are counted on where there is no spar
  const double refRoot = planX(root, d.spars.empty() ? usual : d.spars.front().rootFraction),
               refTip = planX(tip, d.spars.empty() ? usual : d.spars.front().tipFraction);
  const double leSlope = (tip.le.x() - root.le.x()) / span, refSlope = (refTip - refRoot) / span;
  double turn = 0;
  switch (d.ribs.direction) {
  case RibDirection::flight:
    break;
  case RibDirection::squareToLeadingEdge:
    turn = -std::atan(leSlope);
    break;
  case RibDirection::squareToSpar:
    turn = -std::atan(refSlope);
    break;
  case RibDirection::diagonal:
    turn = degToRad(d.ribs.angleDeg);
    break;
  }
  const auto at = [&](int number, double along, double by) {
    const double k = std::tan(by), x = refRoot + refSlope * along;
    return Station{number, along, (along + k * (root.le.x() - x)) / (1 - k * leSlope), by};
  };
  Stations out;
  for (std::size_t i = 0; i < places.size(); ++i) {
    const bool end = i == 0 || i + 1 == places.size();
    const int number = d.firstRib + static_cast<int>(i);
    out.all.push_back(at(number, std::clamp(places[i], 0.0, span), end ? 0 : turn));
    if (d.ribs.crossing && turn != 0 && i > 0)
      out.crossing.push_back(at(number - 1, (places[i - 1] + places[i]) / 2, -turn));
  }
  return out;
}

const Station& countedFrom(const std::vector<Station>& all, bool fromTip, int n) {
  const int count = static_cast<int>(all.size()), k = std::clamp(n, 1, count) - 1;
  return all[static_cast<std::size_t>(fromTip ? count - 1 - k : k)];
}

} // namespace eup
