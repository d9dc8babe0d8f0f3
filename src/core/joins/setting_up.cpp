#include "core/joins/setting_up.h"
#include "core/geometry/polyline.h"
#include "core/section/measured.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// A straightedge under the section must bear at least this far apart (chord fraction) for it to be called flat.
constexpr double leastFlat = 0.3;

double longestBearing(const Section& section) {
  double longest = 0;
  const Polyline hull = lowerHull(section.lower);
  for (std::size_t i = 1; i < hull.size(); ++i) longest = std::max(longest, (hull[i] - hull[i - 1]).norm());
  return longest;
}

/// The underside of one rib's cut over the board.
struct Underside {
  const Rib& rib;
  const Cut& cut;
  Placement turn;
  double board, span;

  /// A place of the rib's plane as the panel lies: along the rib, and up. The rib stands upright.
  Point lies(const Point& inPlane) const {
    const double nose = cut.frame.le.x(), k = std::cos(rib.turn);
    const Point p = turn(Point(nose + (inPlane.x() - nose) * k, inPlane.y()));
    return {p.x() / k, p.y()};
  }
  Point underLies(const Point& p) const { // undoes that
    const double nose = cut.frame.le.x(), k = std::cos(rib.turn);
    const Point q = turn.undo(Point(p.x() * k, p.y()));
    return {nose + (q.x() - nose) / k, q.y()};
  }
  /// Straight under a place of the chord line, as it is drawn on the plan.
  Support at(std::string line, double chordX) const {
    const auto point = [&](double x) {
      const double planAt = cut.frame.fromChord({x, 0}).x();
      return lies({planAt, surfaceHeightAt(cut, Face::lower, planAt)});
    };
    const double step = 0.01 * cut.frame.chord; // either way: the slope that a strip lying there takes
    const Point a = point(chordX - step), b = point(std::min(chordX + step, cut.frame.chord));
    Support s{std::move(line),
              chordX,
              tOf(chordX),
              point(chordX).y() - board,
              std::atan2(b.y() - a.y(), b.x() - a.x()),
              true};
    s.there = on(s.t);
    return s;
  }
  double tOf(double chordX) const { return rib.inPanel({chordX, 0}).y(); }
  bool on(double t) const { return t > -1e-6 && t < span + 1e-6; }
};

/// The depth of what covers the underside at a place, upright: a foot starts from the wood above it.
double coverUnder(const PanelBrief& d, const PanelLoft& loft, const Cut& cut, double chordX) {
  const double fraction = std::clamp(chordX / cut.frame.chord, 0.0, 1.0),
               slope = loft.slope(Face::lower, fraction, cut.frame.t);
  return coverAt(d, loft, Face::lower, fraction, cut.frame.t) * std::sqrt(1 + slope * slope);
}

/// Two feet: the front one behind the nose, clear of a cap let into the underside, the rear one before the trailing
/// stock.
std::vector<Foot> feetOf(const PanelBrief& d, const PanelLoft& loft, const Rib& rib, const Underside& under) {
  const double chord = rib.frame.chord, width = d.join.footWidth;
  const double stock = d.trailingEdge.kind == TrailingEdgeKind::none ? 0 : d.trailingEdge.width;
  const double back = chord - stock - 1 - width;
  double front = std::max(0.12 * chord, d.leadingEdge.kind == LeadingEdgeKind::none ? 0 : d.leadingEdge.width + 1);
  for (bool moved = true; moved;) { // on past every notch in the underside that it would cut into
    moved = false;
    for (const Notch& n : rib.notches) {
      if (n.face != Face::lower) continue;
      const Box box = boundsOf(n.shape);
      if (front + width + 1 > box.low.x() && front - 1 < box.high.x()) front = box.high.x() + 1.01, moved = true;
    }
  }
  std::vector<Foot> feet;
  for (const double x : {front, back}) {
    if (!under.on(under.tOf(x)) || !under.on(under.tOf(x + width))) continue;        // the rib ends before
    if (x < 0 || x + width > chord || (x == back && back < front + width)) continue; // too short a rib for two
    Foot foot;
    constexpr double into = 0.3; // mm of the wood that the foot shares with the rib, so that they are one piece
    const auto wood = [&](double at) -> Point {
      const double planAt = rib.frame.fromChord({at, 0}).x();
      const Point on(planAt, surfaceHeightAt(under.cut, Face::lower, planAt) + coverUnder(d, loft, under.cut, at));
      return rib.frame.toChord(on);
    };
    const auto floor = [&](double at) -> Point { // straight below on the board
      const Point top = under.lies(rib.frame.fromChord({at, 0}));
      return rib.frame.toChord(under.underLies({top.x(), under.board}));
    };
    foot.breakFrom = wood(x);
    foot.breakTo = wood(x + width);
    foot.outline = {floor(x), floor(x + width)};
    constexpr int steps = 8; // the top follows the wood's edge
    for (int k = steps; k >= 0; --k) foot.outline.push_back(wood(x + width * k / steps) + Point(0, into));
    foot.length = (wood(x + width / 2) - floor(x + width / 2)).norm();
    feet.push_back(std::move(foot));
  }
  return feet;
}

} // namespace

SettingUp settingUp(const PanelBrief& d, const PanelShape& shape, const Frame& frame) {
  const PanelLoft& loft = shape.loft;
  const Section& root = shape.rootSection;
  SettingUp out;
  out.datum = d.join.datum;
  if (out.datum == Datum::undersideFlat) {
    if (longestBearing(root) >= leastFlat) {
      out.turn = shape.rootMeasures.undersideAngle + degToRad(d.panel.rootWashoutDeg);
    } else {
      out.datum = Datum::chordLevel;
      out.fellBack = true;
    }
  }
  const Placement turn{-out.turn, {0, 0}};
  double board = 1e300;
  for (double t : {0.0, loft.span()})
    for (const Point& p : outlineOf(loft.cutAt(t))) board = std::min(board, turn(p).y());
  if (d.join.feet) out.lift = d.join.footClearance;
  board -= out.lift;
  for (const Rib& rib : frame.ribs) {
    const Cut cut = rib.turn == 0 ? loft.cutAt(rib.t()) : cutOf(loft, rib);
    const Underside under{rib, cut, turn, board, loft.span()};
    RibSupports supports{rib.number, {}, {}};
    if (d.join.feet) supports.feet = feetOf(d, loft, rib, under);
    supports.at.push_back({"LE", 0, cut.frame.t, turn(cut.frame.le).y() - board, std::nullopt, under.on(cut.frame.t)});
    for (const SparLine& line : frame.spars) {
      supports.at.push_back(under.at(d.spars[static_cast<std::size_t>(line.index)].name, sparOn(line, rib)));
      Support& s = supports.at.back();
      s.there = s.there && line.reaches(s.t);
    }
    if (d.trailingEdge.kind != TrailingEdgeKind::none)
      supports.at.push_back(under.at("TE front", rib.frame.chord - d.trailingEdge.width / std::cos(rib.turn)));
    supports.at.push_back(under.at("TE", rib.frame.chord));
    out.ribs.push_back(std::move(supports));
  }
  return out;
}

} // namespace eup
