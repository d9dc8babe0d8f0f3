#include "core/joins/centre_join.h"
#include "core/design/decisions.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// The free depth for a brace beside a spar: between the caps' inner faces, or the whole seat where there is no cap.
double clearDepth(const Spar& spar, const SparLine& line, double t) {
  double depth = line.upperSeat.at(t).y() - line.lowerSeat.at(t).y();
  if (spar.kind == SparKind::caps) {
    if (spar.top.fitted) depth -= spar.top.depth;
    if (spar.bottom.fitted) depth -= spar.bottom.depth;
  }
  return depth;
}

Polyline braceOutline(const Brace& b) {
  const double half = b.bend / 2;
  const Point along(std::cos(half), std::sin(half)), square(-std::sin(half), std::cos(half));
  const double root = b.depthRoot / 2 / std::cos(half); // the mitre line at the join is upright
  const Point end = along * b.leg;
  const Point top = end + square * (b.depthEnd / 2), bottom = end - square * (b.depthEnd / 2);
  const auto mirror = [](const Point& p) { return Point(-p.x(), p.y()); };
  return {{0, -root}, bottom, top, {0, root}, mirror(top), mirror(bottom)};
}

Brace makeBrace(const Design& d, const SparLine& line, const std::vector<Rib>& ribs, double gamma) {
  Brace b;
  b.spar = line.index;
  const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
  b.bend = braceBendMirrored({line.sweep, gamma});
  b.lean = braceLeanMirrored({line.sweep, gamma});
  const auto capBend = [&](const StraightLine& cap) {
    return lineBendMirrored(cap.tip.x() - cap.root.x(), cap.span, cap.tip.y() - cap.root.y(), gamma);
  };
  b.capTopBend = capBend(line.upperSeat);
  b.capBottomBend = capBend(line.lowerSeat);
  b.toRib = std::clamp(d.join.braceToRib, 2, static_cast<int>(ribs.size()));
  const double t = ribs[static_cast<std::size_t>(b.toRib - 1)].t();
  b.leg = t * line.stretch;
  b.depthRoot = std::max(clearDepth(spar, line, 0), 0.0);
  b.depthEnd = std::max(clearDepth(spar, line, t), 0.0);
  b.outline = braceOutline(b);
  return b;
}

} // namespace

std::optional<int> mainSpar(const Design& d) {
  if (d.spars.empty()) return std::nullopt;
  for (std::size_t i = 0; i < d.spars.size(); ++i)
    if (d.spars[i].kind == SparKind::caps && (d.spars[i].top.fitted || d.spars[i].bottom.fitted))
      return static_cast<int>(i);
  return 0;
}

TipBlock tipBlock(const PanelLoft& loft, double fraction, double onBoard, bool oneFlat) {
  const double s = std::sin(onBoard), c = std::cos(onBoard);
  const auto underside = [&](double t) -> Point {
    const Cut cut = loft.cutAt(t);
    if (fraction <= 0) return cut.frame.le;
    const double x = planX(cut.frame, fraction);
    return {x, surfaceHeightAt(cut, Face::lower, x)};
  };
  double board = 0; // height of the board in axes whose origin is the root leading edge
  if (oneFlat)
    board = loft.lowest();
  else
    for (const Point& p : loft.cutAt(0).lower) board = std::min(board, p.y() * c);
  const double tip = loft.span() * s + underside(loft.span()).y() * c;
  return {tip - board, tip - underside(0).y() * c, fraction, loft.span()};
}

CentreJoin centreJoin(const Design& d, const PanelLoft& loft, const std::vector<SparLine>& spars,
                      const std::vector<Rib>& ribs) {
  CentreJoin j;
  const double span = loft.span();
  j.gamma = degToRad(dihedralDeg(d.join.dihedral, span));
  j.rise = riseUnderTip(span, j.gamma);
  const bool oneFlat = d.join.propping == Propping::oneFlat;
  j.risePropped = oneFlat ? riseOneFlat(span, j.gamma) : j.rise;
  j.halfFromAbove = projected(span, j.gamma);
  j.rootDepth = ribs.front().depth;
  j.trim = trimOver(j.rootDepth, j.gamma);
  j.rootTaller = 1 / std::cos(j.gamma);
  const auto main = mainSpar(d);
  double fraction = 0;
  if (d.join.blockAt == BlockAt::trailingEdge) fraction = 1;
  if (d.join.blockAt == BlockAt::spar) fraction = main ? d.spars[static_cast<std::size_t>(*main)].tipFraction : 0.3;
  j.block = tipBlock(loft, fraction, oneFlat ? 2 * j.gamma : j.gamma, oneFlat);
  if (d.join.brace && main) j.brace = makeBrace(d, spars[static_cast<std::size_t>(*main)], ribs, j.gamma);
  return j;
}

} // namespace eup
