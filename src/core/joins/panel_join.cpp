#include "core/joins/panel_join.h"
#include "core/joins/setting_up.h"
#include <algorithm>
#include <boost/math/tools/toms748_solve.hpp>
#include <cmath>
#include <Eigen/Geometry>
#include <numbers>

namespace eup {
namespace {

/// Both legs from the join, folded up by half the bend each, or down where the wing is folded down.
Polyline braceOutline(const Brace& b, bool up) {
  const double half = (up ? b.bend : -b.bend) / 2;
  const auto leg = [&](const BraceLeg& l, double side) {
    const Point along(side * std::cos(half), std::sin(half)), square(-side * std::sin(half), std::cos(half));
    return std::pair<Point, Point>(along * l.length - square * (l.depthEnd / 2),
                                   along * l.length + square * (l.depthEnd / 2));
  };
  const double root = b.depthRoot / 2 / std::cos(half); // the mitre line at the join is upright
  const auto [outLow, outHigh] = leg(b.outer, 1);
  const auto [inLow, inHigh] = leg(b.inner, -1);
  return {{0, -root}, outLow, outHigh, {0, root}, inHigh, inLow};
}

BraceLeg legOf(const PanelBrief& d, const SparLine& line, const Stations& stations, bool fromTip,
               const Bracing& decided) {
  const Station& rib = countedFrom(stations.all, fromTip, std::max(decided.toRib, 2));
  const double length = (fromTip ? line.middle.span - rib.along : rib.along) * line.stretch;
  return {rib.number, length,
          std::max(braceDepth(decided, d.ribs.rim + d.ribs.notchFit, d.spars[static_cast<std::size_t>(line.index)],
                              line, rib.along),
                   0.0)};
}

/// Folded instead of flat: each leg lies in the upright plane of its own spar. `out` and `in` are the legs' ways from
/// the join; `upOut` and `upIn` stand square to the panels.
void fold(Brace& b, const Point3& out, const Point3& upOut, const Point3& in, const Point3& upIn) {
  Point3 line = out.cross(upOut).cross(in.cross(upIn));
  if (line.norm() < 1e-9) return; // the spars lie in one upright plane: it is flat
  line = (line.z() < 0 ? -line : line).normalized();
  const auto square = [&](const Point3& leg) -> Point3 { return leg - line * leg.dot(line); };
  b.folded = true;
  b.lean = 0;
  b.bend = std::abs(std::numbers::pi - angleBetween(out.normalized(), line) - angleBetween(in.normalized(), line));
  b.turn = std::numbers::pi - angleBetween(square(out).normalized(), square(in).normalized());
}

Brace makeBrace(const PanelBrief& d, const Bracing& decided, const SparLine& line, const Stations& stations,
                const PanelJoin& join, const Neighbour* inside, const SparLine* other) {
  Brace b;
  b.spar = line.index;
  const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
  const SparDirection here{line.sweep, join.gamma};
  const auto direction = [](const StraightLine& cap, double gamma) {
    return inSpace(cap.tip.x() - cap.root.x(), cap.span, cap.tip.y() - cap.root.y(), gamma);
  };
  b.outer = legOf(d, line, stations, false, decided);
  b.depthRoot = std::max(braceDepth(decided, d.ribs.rim + d.ribs.notchFit, spar, line, 0), 0.0);
  if (!inside || !other) {
    const auto capBend = [&](const StraightLine& cap) {
      return lineBendMirrored(cap.tip.x() - cap.root.x(), cap.span, cap.tip.y() - cap.root.y(), join.gamma);
    };
    b.bend = braceBendMirrored(here);
    b.lean = braceLeanMirrored(here);
    b.capTopBend = capBend(line.upperSeat);
    b.capBottomBend = capBend(line.lowerSeat);
    b.inner = b.outer;
    if (decided.form == BraceForm::folded) {
      const Point3 out = inSpace(std::tan(line.sweep), 1, 0, join.gamma), up = inSpace(0, 0, 1, join.gamma);
      const auto left = [](const Point3& p) { return Point3(p.x(), -p.y(), p.z()); };
      fold(b, out, up, left(out), left(up));
    }
  } else {
    const double gamma = inside->design.gamma;
    const SparDirection there{other->sweep, gamma};
    b.bend = braceBend(there, here);
    b.lean = braceLean(there, here);
    b.capTopBend = angleBetween(direction(other->upperSeat, gamma), direction(line.upperSeat, join.gamma));
    b.capBottomBend = angleBetween(direction(other->lowerSeat, gamma), direction(line.lowerSeat, join.gamma));
    b.inner = legOf(inside->design, *other, inside->shape.stations, true, decided);
    if (decided.form == BraceForm::folded)
      fold(b, inSpace(std::tan(line.sweep), 1, 0, join.gamma), inSpace(0, 0, 1, join.gamma),
           -inSpace(std::tan(other->sweep), 1, 0, gamma), inSpace(0, 0, 1, gamma));
    const Spar& inner = inside->design.spars[static_cast<std::size_t>(other->index)];
    b.depthRoot =
        std::min(b.depthRoot,
                 std::max(braceDepth(decided, d.ribs.rim + d.ribs.notchFit, inner, *other, other->middle.span), 0.0));
  }
  b.outline = braceOutline(b, join.fold >= 0);
  return b;
}

} // namespace

double braceDepth(const Bracing& brace, double rim, const Spar& spar, const SparLine& line, double t) {
  double depth = line.upperSeat.at(t).y() - line.lowerSeat.at(t).y();
  if (brace.over == BraceOver::between && brace.slots) depth -= 2 * rim;
  if (brace.over == BraceOver::between && spar.kind == SparKind::caps && line.reaches(t)) {
    for (const Cap& whole : {spar.top, spar.bottom})
      if (const Cap cap = capAt(whole, line.share(t)); cap.fitted) depth -= cap.depth;
  }
  return depth;
}

TipBlock tipBlock(const PanelLoft& loft, double fraction, double onBoard, const PinnedFlat& pinned) {
  const double s = std::sin(onBoard), c = std::cos(onBoard);
  // Folded up about the aft direction of what it is joined to, and with it turned to how that lies.
  const Placement turn{-pinned.turn, {0, 0}};
  const auto height = [&](const Point& p, double t) {
    return turn(Point(pinned.setback + p.x(), t * s + p.y() * c)).y();
  };
  const auto underside = [&](double t) -> Point {
    const Cut cut = loft.cutAt(t);
    const double x = planX(cut.frame, fraction);
    return {x, surfaceHeightAt(cut, Face::lower, x)};
  };
  double board = 1e300;
  if (pinned.board)
    board = *pinned.board;
  else
    for (const Point& p : loft.cutAt(0).lower) board = std::min(board, height(p, 0));
  const double tip = height(underside(loft.span()), loft.span());
  return {tip - board, tip - height(underside(0), 0), fraction, loft.span()};
}

namespace {

std::vector<CapStep> capSteps(const PanelBrief& d, const std::vector<SparLine>& spars, const Neighbour& inside) {
  std::vector<CapStep> out;
  for (std::size_t k = 0; k < std::min(spars.size(), inside.spars.size()); ++k) {
    const SparLine &here = spars[k], &there = inside.spars[k];
    const Spar &spar = d.spars[k], &within = inside.design.spars[k];
    if (spar.kind != SparKind::caps || within.kind != SparKind::caps || !there.reaches(there.middle.span)) continue;
    for (const bool top : {true, false}) {
      const Cap mine = capAt(top ? spar.top : spar.bottom, 0),
                its = capAt(top ? within.top : within.bottom, there.share(there.middle.span));
      if (!mine.fitted || !its.fitted) continue;
      const Point step = (top ? here.upperSeat : here.lowerSeat).root - (top ? there.upperSeat : there.lowerSeat).tip;
      const auto wide = [](const Cap& cap) { return cap.shape == CapShape::strip ? cap.width : cap.depth; };
      const double aft = step.x() + inside.design.panel.tipSetback, wider = (wide(mine) - wide(its)) / 2;
      out.push_back({static_cast<int>(k), top, step.y(), aft, aft - wider, aft + wider});
    }
  }
  return out;
}

} // namespace

/// A panel further out is propped against the one inside it, which is pinned flat as it was built.
static bool otherIsFlat(const PanelBrief& d) {
  return !d.innermost() || d.join.propping == Propping::oneFlat;
}

/// Where the block under the panel's tip stands, and what the panel is joined to meanwhile.
struct Block {
  double fraction = 0; ///< of the tip rib's chord
  PinnedFlat pinned;
};

static Block blockOf(const PanelBrief& d, const PanelShape& shape, const PanelBrief* inside,
                     const PanelShape* insideShape) {
  const double tipChord = shape.loft.frameAt(shape.loft.span()).chord;
  const auto main = mainSpar(d);
  double fraction = std::min(noseSupport(d, tipChord) / tipChord, 0.5);
  if (d.join.blockAt == BlockAt::trailingEdge) fraction = 1;
  if (d.join.blockAt == BlockAt::spar) fraction = main ? d.spars[static_cast<std::size_t>(*main)].tipFraction : 0.3;
  const Lie lie = inside ? lieOf(*inside, *insideShape) : lieOf(d, shape);
  Block out{fraction, {lie.turn, inside ? inside->panel.tipSetback : 0, {}}};
  if (otherIsFlat(d)) out.pinned.board = lie.board;
  return out;
}

void settleBlocks(std::vector<PanelBrief>& briefs) {
  if (std::none_of(briefs.begin(), briefs.end(), [](const PanelBrief& b) { return b.join.blockHeight > 0; })) return;
  std::optional<PanelShape> inside;
  for (std::size_t k = 0; k < briefs.size(); ++k) {
    PanelBrief& d = briefs[k];
    PanelShape shape = shapeOf(d, inside ? &*inside : nullptr);
    const double within = k > 0 ? briefs[k - 1].gamma : 0;
    if (d.join.blockHeight > 0 && (k > 0 || d.mirrored)) {
      const Block block = blockOf(d, shape, k > 0 ? &briefs[k - 1] : nullptr, inside ? &*inside : nullptr);
      const auto tooHigh = [&](double onBoard) {
        return tipBlock(shape.loft, block.fraction, onBoard, block.pinned).height - d.join.blockHeight;
      };
      constexpr double down = -0.9, up = 1.2; // rad: beyond what a wing is folded by
      std::uintmax_t steps = 60;
      if (tooHigh(down) < 0 && tooHigh(up) > 0) {
        const auto [low, high] =
            boost::math::tools::toms748_solve(tooHigh, down, up, boost::math::tools::eps_tolerance<double>(48), steps);
        const double onBoard = (low + high) / 2;
        d.gamma = k > 0 ? within + onBoard : otherIsFlat(d) ? onBoard / 2 : onBoard;
      }
    }
    inside.emplace(std::move(shape));
  }
  settleFolds(briefs);
}

PanelJoin panelJoin(const PanelBrief& d, const PanelShape& shape, const std::vector<SparLine>& spars, double rootDepth,
                    const Neighbour* inside) {
  PanelJoin j;
  const PanelLoft& loft = shape.loft;
  const double span = loft.span();
  j.centre = !inside;
  j.gamma = d.gamma;
  j.fold = d.fold;
  j.lean = d.lean;
  j.rise = riseUnderTip(span, j.gamma);
  j.otherFlat = otherIsFlat(d);
  j.onBoard = j.otherFlat ? 2 * j.fold : j.fold;
  j.risePropped = riseUnderTip(span, j.onBoard);
  j.fromAbove = projected(span, j.gamma);
  j.rootDepth = rootDepth;
  j.trim = trimOver(j.rootDepth, std::abs(j.lean));
  j.rootTaller = 1 / std::cos(j.lean);
  const Block block = blockOf(d, shape, inside ? &inside->design : nullptr, inside ? &inside->shape : nullptr);
  j.block = tipBlock(loft, block.fraction, j.onBoard, block.pinned);
  if (inside) j.steps = capSteps(d, spars, *inside);
  for (std::size_t i = 0; i < d.join.braces.size(); ++i) {
    const Bracing& decided = d.join.braces[i];
    const auto k = static_cast<std::size_t>(decided.spar - 1);
    if (k >= spars.size() || (inside && k >= inside->spars.size())) continue;
    j.braces.push_back(
        makeBrace(d, decided, spars[k], shape.stations, j, inside, inside ? &inside->spars[k] : nullptr));
    j.braces.back().number = static_cast<int>(i);
  }
  return j;
}

} // namespace eup
