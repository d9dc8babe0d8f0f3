// Where ribs stand, how they are turned, and what of them is seen from above.
#include "core/design/decisions.h"
#include "core/geometry/polyline.h"
#include "core/parts/rib.h"
#include <algorithm>
#include <cmath>

namespace eup {

double metAt(const Rib& rib, double rootX, double tipX, double span) {
  if (rib.turn == 0) return rib.t();
  const double k = std::tan(rib.turn), slope = (tipX - rootX) / span;
  return (rib.frame.t + k * (rootX - rib.frame.le.x())) / (1 - k * slope);
}

Cut cutOf(const PanelLoft& loft, const Rib& rib) {
  if (rib.turn != 0) return loft.cutTurned(rib.frame.t, rib.turn);
  return rib.lean == 0 ? loft.cutAt(rib.frame.t) : loft.cutLeaning(rib.frame.t, rib.lean);
}

double sparOn(const SparLine& line, const Rib& rib) {
  if (rib.turn == 0) return line.chordX(rib.frame);
  const double t = metAt(rib, line.planRoot, line.planTip, line.middle.span);
  const double x = line.planRoot + (line.planTip - line.planRoot) * t / line.middle.span;
  return (x - rib.frame.le.x()) / std::cos(rib.turn) / std::cos(rib.frame.washout);
}

double sparWidth(const Spar& spar, double share) {
  if (spar.kind == SparKind::fullDepth) return spar.sheet;
  const Cap top = capAt(spar.top, share), bottom = capAt(spar.bottom, share);
  return std::max(top.fitted ? top.width : 0, bottom.fitted ? bottom.width : 0);
}

Polyline seenFromAbove(const Rib& rib) {
  const Box wood = boundsOf(rib.wood);
  if (wood.empty()) return {};
  const Point3 a = rib.inPanel({wood.low.x(), 0}), b = rib.inPanel({wood.high.x(), 0});
  const auto [in, out] = rib.body();
  const Point front(a.x(), rib.lean == 0 ? a.y() : rib.frame.t), back(b.x(), rib.lean == 0 ? b.y() : rib.frame.t);
  const Point square(-std::sin(rib.turn), std::cos(rib.turn));
  return {back + square * in, back + square * out, front + square * out, front + square * in};
}

RibPlanes ribPlanes(const PanelBrief& d, const PanelLoft& loft) {
  const auto stations = ribStations(d.ribs, d.panel.span);
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
  const auto plane = [&](double station, double by, double thickness) {
    const double k = std::tan(by), x = refRoot + refSlope * station;
    return RibPlane{station, (station + k * (root.le.x() - x)) / (1 - k * leSlope), by, thickness, 1};
  };
  RibPlanes out;
  for (std::size_t i = 0; i < stations.size(); ++i) {
    const bool end = i == 0 || i + 1 == stations.size();
    const auto listed = [&](const std::vector<int>& numbers) {
      return std::find(numbers.begin(), numbers.end(), static_cast<int>(i) + 1) != numbers.end();
    };
    const double single = listed(d.ribs.thick)      ? d.ribs.thickThickness
                          : i == 0                  ? d.ribs.rootThickness
                          : i + 1 < stations.size() ? d.ribs.thickness
                                                    : d.ribs.tipThickness;
    out.ribs.push_back(plane(std::clamp(stations[i], 0.0, span), end ? 0 : turn, single));
    if (listed(d.ribs.doubled)) out.ribs.back().layers = 2, out.ribs.back().thickness *= 2;
    if (d.ribs.crossing && turn != 0 && i > 0)
      out.crossing.push_back(plane((stations[i - 1] + stations[i]) / 2, -turn, d.ribs.thickness));
  }
  return out;
}

} // namespace eup
