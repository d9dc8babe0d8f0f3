#include "core/parts/spar_line.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// Over or under a place of the plan, the face under its cover and under the strips of stick ribs: lowered square to
/// the surface, so by t / cos(slope).
Point seat(const PanelBrief& d, const PanelLoft& loft, const Cut& cut, Face face, double x) {
  const double z = surfaceHeightAt(cut, face, x), drop = coverDrop(d, loft, cut, face, {x, z}, overSpars(d));
  return {x, z + (face == Face::upper ? -drop : drop)};
}

} // namespace

double overSpars(const PanelDesign& d) {
  return d.ribs.make == RibMake::sticks ? d.sticks.depth : 0;
}

double coverDrop(const PanelBrief& d, const PanelLoft& loft, const Cut& cut, Face face, const Point& onSurface,
                 double more) {
  // Which of the panel's straight lines goes through it: on a turned chord not the one straight under its place on the
  // plan.
  const double fraction = std::clamp(cut.frame.toChord(onSurface).x() / cut.frame.chord, 0.0, 1.0),
               slope = loft.slope(face, fraction, cut.frame.t);
  return (coverAt(d, loft, face, fraction, cut.frame.t) + more) * std::sqrt(1 + slope * slope);
}

double SparLine::chordX(const ChordFrame& frame) const {
  const double x = planRoot + (planTip - planRoot) * frame.t / middle.span;
  return (x - frame.le.x()) / std::cos(frame.washout);
}

double surfaceHeightAt(const Cut& cut, Face face, double x) {
  const Polyline& line = cut.face(face);
  const auto place = lastCrossing(line, x);
  return place ? pointAt(line, *place).y() : line.back().y();
}

std::optional<int> mainSpar(const PanelDesign& d) {
  if (d.spars.empty()) return std::nullopt;
  for (std::size_t i = 0; i < d.spars.size(); ++i)
    if (d.spars[i].kind == SparKind::caps && (d.spars[i].top.fitted || d.spars[i].bottom.fitted))
      return static_cast<int>(i);
  return 0;
}

std::vector<SparLine> sparLines(const PanelBrief& d, const PanelLoft& loft) {
  std::vector<SparLine> out;
  const double span = loft.span();
  const Cut rootCut = loft.cutAt(0), tipCut = loft.cutAt(span);
  for (std::size_t i = 0; i < d.spars.size(); ++i) {
    const Spar& spar = d.spars[i];
    SparLine line;
    line.index = static_cast<int>(i);
    line.rootFraction = spar.rootFraction;
    line.tipFraction = spar.tipFraction;
    line.planRoot = planX(rootCut.frame, spar.rootFraction);
    line.planTip = planX(tipCut.frame, spar.tipFraction);
    const auto along = [&](Face f) {
      return StraightLine{seat(d, loft, rootCut, f, loft.at(f, spar.rootFraction, 0).x()),
                          seat(d, loft, tipCut, f, loft.at(f, spar.tipFraction, span).x()), span};
    };
    line.upperSeat = along(Face::upper);
    line.lowerSeat = along(Face::lower);
    line.middle = {lerp(line.upperSeat.root, line.lowerSeat.root, 0.5),
                   lerp(line.upperSeat.tip, line.lowerSeat.tip, 0.5), span};
    line.sweep = std::atan2(line.planTip - line.planRoot, span);
    line.stretch = 1 / std::cos(line.sweep);
    line.end = endOf(d, spar);
    constexpr int looks = 40;
    for (int k = 0; k <= looks; ++k) {
      const double t = line.end * k / looks;
      const Cut cut = loft.cutAt(t);
      for (Face f : {Face::upper, Face::lower}) {
        const Point p = (f == Face::upper ? line.upperSeat : line.lowerSeat).at(t);
        const double gap = std::abs(seat(d, loft, cut, f, p.x()).y() - p.y());
        if (gap > line.worstGap) line.worstGap = gap, line.worstGapAt = t;
      }
    }
    out.push_back(line);
  }
  return out;
}

WebStand webStandAt(const Spar& s, const SparLine& line, double t) {
  const Cap top = capAt(s.top, line.share(t)), bottom = capAt(s.bottom, line.share(t));
  const double high = line.upperSeat.at(t).y(), low = line.lowerSeat.at(t).y();
  if (s.webs != Webs::between || s.websOn == WebsOn::between) return {low + bottom.depth, high - top.depth, 0};
  const double off = (std::max(top.width, bottom.width) + s.webThickness) / 2;
  return {low + s.webShort, high - s.webShort, s.websOn == WebsOn::front ? -off : off};
}

std::optional<double> capMiddles(const Spar& spar, const SparLine& line, double t) {
  if (spar.kind != SparKind::caps) return std::nullopt;
  const Cap top = capAt(spar.top, line.share(t)), bottom = capAt(spar.bottom, line.share(t));
  if (!top.fitted || !bottom.fitted) return std::nullopt;
  const double depth = line.upperSeat.at(t).y() - line.lowerSeat.at(t).y() - (top.depth + bottom.depth) / 2;
  return depth > 0 ? std::optional(depth) : std::nullopt;
}

} // namespace eup
