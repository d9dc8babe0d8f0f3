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
    // Either way: the slope that a strip lying there takes. At an end of the chord there is only one side; two strides
    // into it, longer than the section is sampled by, give the slope at the end itself.
    const double chord = cut.frame.chord, step = 0.01 * chord, stride = 0.03 * chord;
    const auto slopeBetween = [&](double from, double to) {
      const Point a = point(from), b = point(to);
      return (b.y() - a.y()) / (b.x() - a.x());
    };
    double slope = 0;
    if (chordX + step > chord) {
      slope = 1.5 * slopeBetween(chordX - stride, chordX) - 0.5 * slopeBetween(chordX - 2 * stride, chordX - stride);
    } else {
      const double before = std::min(step, chordX); // near the nose as far to either side as there is
      slope = before > 0 ? slopeBetween(chordX - before, chordX + before) : slopeBetween(chordX, chordX + step);
    }
    Support s{std::move(line), chordX, tOf(chordX), point(chordX).y() - board, std::atan(slope), true};
    s.there = on(s.t);
    return s;
  }
  /// Under a strip that is not planed to the surface.
  Support under(std::string line, const Point& corner, const Point& otherCorner) const {
    const Point a = lies(cut.frame.fromChord(corner)), b = lies(cut.frame.fromChord(otherCorner));
    Support s{std::move(line),
              corner.x(),
              tOf(corner.x()),
              a.y() - board,
              std::atan((b.y() - a.y()) / (b.x() - a.x())),
              true};
    s.there = on(s.t);
    return s;
  }
  double tOf(double chordX) const { return rib.inPanel({chordX, 0}).y(); }
  bool on(double t) const { return t > -1e-6 && t < span + 1e-6; }
};

/// Two feet: the front one behind the nose, clear of a cap let into the underside, the rear one before the trailing
/// stock.
std::vector<Foot> feetOf(const PanelBrief& d, const PanelLoft& loft, const Rib& rib, const Underside& under) {
  const double chord = rib.frame.chord, width = d.join.footWidth;
  const double back = chord - d.trailing.onRib(rib.turn) - 1 - width;
  double front = std::max(0.12 * chord, d.leading.onRib(rib.turn) + 1);
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
      const Point bare(planAt, surfaceHeightAt(under.cut, Face::lower, planAt)); // a foot starts from the wood above it
      return rib.frame.toChord(bare + Point(0, coverDrop(d, loft, under.cut, Face::lower, bare)));
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

double noseSupport(const PanelBrief& d, double chord, double turn) {
  constexpr double withoutStock = 0.05; // of the chord
  if (d.leading.width <= 0) return withoutStock * chord;
  return d.leading.onRib(turn) * (d.join.noseOn == NoseOn::middle ? 0.5 : 1);
}

Lie lieOf(const PanelBrief& d, const PanelShape& shape) {
  Lie out;
  out.datum = d.join.datum;
  if (out.datum == Datum::undersideFlat) {
    if (longestBearing(shape.rootSection) >= leastFlat) {
      out.turn = shape.rootMeasures.undersideAngle + degToRad(d.panel.rootWashoutDeg);
    } else {
      out.datum = Datum::chordLevel;
      out.fellBack = true;
    }
  }
  const Placement turn{-out.turn, {0, 0}};
  out.board = 1e300;
  for (double t : {0.0, shape.loft.span()}) {
    for (const Point& p : outlineOf(shape.loft.cutAt(t))) out.board = std::min(out.board, turn(p).y());
    if (d.trailingEdge.kind != TrailingEdgeKind::square) continue;
    const ChordFrame frame = shape.loft.frameAt(t); // a strip may hang below the section
    const double wide = std::min(d.trailing.onRib(), frame.chord),
                 middle = frame.toChord(shape.loft.middle(1 - wide / 2 / frame.chord, t)).y();
    for (const double x : {frame.chord - wide, frame.chord})
      out.board = std::min(out.board, turn(frame.fromChord({x, middle - d.trailingEdge.height / 2})).y());
  }
  return out;
}

double underTipRest(const PanelBrief& d, const PanelLoft& loft, const SettingUp& setting, const TipRest& rest) {
  const double deep = d.tip.kind == TipKind::bow ? d.tip.bowWidth : d.tip.thickness; // upright on the board
  const Placement turn{-setting.turn, {0, 0}};
  return turn(loft.frameAt(loft.span()).fromChord(rest.at)).y() - setting.board - deep / 2;
}

SettingUp settingUp(const PanelBrief& d, const PanelShape& shape, const Frame& frame) {
  const PanelLoft& loft = shape.loft;
  SettingUp out{lieOf(d, shape), 0, {}};
  if (d.join.feet) out.lift = d.join.footClearance;
  out.board -= out.lift;
  const Placement turn{-out.turn, {0, 0}};
  for (const Rib& rib : frame.ribs) {
    const Cut cut = rib.turn == 0 ? loft.cutAt(rib.t()) : cutOf(loft, rib);
    const Underside under{rib, cut, turn, out.board, loft.span()};
    RibSupports supports{rib.number, {}, turn(cut.frame.le).y() - out.board, {}};
    if (d.join.feet) supports.feet = feetOf(d, loft, rib, under);
    supports.at.push_back(under.at("LE", noseSupport(d, rib.frame.chord, rib.turn)));
    for (const SparLine& line : frame.spars) {
      supports.at.push_back(under.at(d.spars[static_cast<std::size_t>(line.index)].name, sparOn(line, rib)));
      Support& s = supports.at.back();
      s.there = s.there && line.reaches(s.t);
    }
    if (d.trailingEdge.kind == TrailingEdgeKind::square) {
      const Polyline strip = squareTail(d, rib);
      supports.at.push_back(under.under("TE front", strip[0], strip[1]));
      supports.at.push_back(under.under("TE", strip[1], strip[0]));
    } else {
      if (d.trailing.width > 0)
        supports.at.push_back(under.at("TE front", rib.frame.chord - d.trailing.onRib(rib.turn)));
      supports.at.push_back(under.at("TE", rib.frame.chord));
    }
    out.ribs.push_back(std::move(supports));
  }
  return out;
}

} // namespace eup
