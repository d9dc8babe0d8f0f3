#include "core/strength/edge_spars.h"
#include "core/parts/hinge_cut.h"
#include <algorithm>
#include <numbers>

namespace eup {

EdgeSection edgeSection(const PanelBrief& d, const PanelLoft& loft, bool leading, double t) {
  const LeadingEdge& le = d.leadingEdge;
  const TrailingEdge& te = d.trailingEdge;
  if (leading ? le.kind == LeadingEdgeKind::none : te.kind == TrailingEdgeKind::none) return {};
  if (leading && le.kind == LeadingEdgeKind::onEdge) { // a square standing on its corner
    const double half = le.width / std::numbers::sqrt2;
    return {le.width * le.width * le.width * le.width / 12, half, half};
  }
  if (!leading && te.kind == TrailingEdgeKind::square)
    return {d.trailing.onRib() * te.height * te.height * te.height / 12, te.height / 2, te.height / 2};
  const double chord = loft.frameAt(t).chord, width = std::min((leading ? d.leading : d.trailing).onRib(), chord);
  const bool sheets = !leading && te.kind == TrailingEdgeKind::twoSheets;
  constexpr int slices = 24;
  struct Slice {
    double high, low, area, own;
  };
  std::array<Slice, slices> all;
  double area = 0, moment = 0;
  for (int i = 0; i < slices; ++i) {
    const double x = width * (i + 0.5) / slices, f = (leading ? x : chord - width + x) / chord, step = width / slices;
    Slice s{loft.at(Face::upper, f, t).y(), loft.at(Face::lower, f, t).y(), 0, 0};
    const double deep = std::max(s.high - s.low, 0.0), hollow = sheets ? std::max(deep - 2 * te.sheet, 0.0) : 0;
    s.area = step * (deep - hollow);
    s.own = step * (deep * deep * deep - hollow * hollow * hollow) / 12;
    area += s.area, moment += s.area * (s.high + s.low) / 2;
    all[static_cast<std::size_t>(i)] = s;
  }
  if (area <= 0) return {};
  const double middle = moment / area;
  EdgeSection out;
  for (const Slice& s : all) {
    const double arm = (s.high + s.low) / 2 - middle;
    out.inertia += s.own + s.area * arm * arm;
    out.above = std::max(out.above, s.high - middle), out.below = std::max(out.below, middle - s.low);
  }
  return out;
}

std::vector<EdgeSpar> edgeSpars(const PanelBrief& d, const PanelLoft& loft) {
  std::vector<EdgeSpar> out;
  if (!d.spars.empty()) return out;
  const WingsOwn own(d, loft);
  for (const bool leading : {true, false}) {
    if (leading ? d.leadingEdge.kind == LeadingEdgeKind::none : d.trailingEdge.kind == TrailingEdgeKind::none) continue;
    EdgeSpar edge{leading, d.tables.named(leading ? d.leadingEdge.material : d.trailingEdge.material), {}};
    edge.along.reserve(strengthSteps + 1);
    for (int i = 0; i <= strengthSteps; ++i) {
      const double t = loft.span() * i / strengthSteps;
      edge.along.push_back(!leading && own.cutAt(t) ? EdgeSection{} : edgeSection(d, loft, leading, t));
    }
    out.push_back(std::move(edge));
  }
  return out;
}

} // namespace eup
