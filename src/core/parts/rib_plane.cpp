// Where lines along the span meet a rib, what an edge takes of it, and what of it is seen from above.
#include "core/geometry/polyline.h"
#include "core/parts/rib.h"
#include <algorithm>
#include <cmath>
#include <numbers>

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

double noseCut(const PanelBrief& d, double turn) {
  const LeadingEdge& e = d.leadingEdge;
  switch (e.kind) {
  case LeadingEdgeKind::none:
    break;
  case LeadingEdgeKind::square:
    return d.leading.taken(e.width, turn);
  case LeadingEdgeKind::onEdge:
    return d.leading.taken(e.width / std::numbers::sqrt2, turn);
  case LeadingEdgeKind::shaped:
    return d.leading.taken(std::max(e.width - e.letIn, 0.0), turn);
  }
  return 0;
}

Polyline squareTail(const PanelBrief& d, const Rib& rib) {
  const double chord = rib.frame.chord, wide = d.trailing.onRib(rib.turn), half = d.trailingEdge.height / 2;
  const auto height = [&](const Polyline& face) {
    const auto place = lastCrossing(face, chord - wide / 2);
    return place ? pointAt(face, *place).y() : 0.0;
  };
  const double middle = (height(rib.upper) + height(rib.lower)) / 2;
  return rectangle({chord - wide, middle - half}, {chord, middle + half});
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

double sheetAcross(const PanelLoft& loft, const Rib& rib, Face face) {
  const Polyline& run = face == Face::upper ? rib.upper : rib.lower;
  const Point3 along = loft.leadingWay();
  double left = (face == Face::upper ? rib.upperRun : rib.lowerRun).sheetArc, sum = 0;
  for (std::size_t i = 1; i < run.size() && left > 0; ++i) {
    const double whole = (run[i] - run[i - 1]).norm();
    if (whole <= 0) continue;
    const Point3 step = (rib.inPanel(run[i]) - rib.inPanel(run[i - 1])) * std::min(left / whole, 1.0);
    sum += (step - step.dot(along) * along).norm();
    left -= whole;
  }
  return sum;
}

double ribletEnd(const PanelBrief& d, const std::vector<SparLine>& spars, const Rib& rib) {
  if (d.riblets.to == SheetEdge::fraction) return d.riblets.fraction * rib.frame.chord;
  const auto k = static_cast<std::size_t>(d.riblets.spar - 1);
  const Spar& spar = d.spars[k];
  const SparLine& line = spars[k];
  return sparOn(line, rib) - sparWidth(spar, line.share(rib.t())) / 2 / std::cos(rib.turn + line.sweep);
}

const SheetedBays* sheetedAt(const PanelBrief& d, const Rib& rib, Face face) {
  const int from = rib.number - d.firstRib + 1; // of what stands between two: the one inside it
  const bool between = rib.kind == RibKind::riblet || rib.kind == RibKind::crossing;
  return sheetedBetween(d.sheeted, from, between ? from + 1 : from, face == Face::upper);
}

const std::string& woodOf(const Ribs& ribs, const Rib& rib) {
  const bool end = rib.kind == RibKind::root || rib.kind == RibKind::tip,
             ends = ribs.second == SecondWood::ends || ribs.second == SecondWood::endsAndThick,
             thick = ribs.second == SecondWood::thick || ribs.second == SecondWood::endsAndThick;
  return (end && ends) || (rib.thick && thick) ? ribs.secondMaterial : ribs.material;
}

} // namespace eup
