#include "core/parts/hinge_cut.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

/// Axes of a cut: the hinge at the origin, u square to the cut plane and to the hinge line, aft; v along the plane, up.
struct CutAxes {
  Point hinge{0, 0};
  double across = 1, tilt = 0; ///< of the plane out of square to the chord line, its top aft
  Point in(const Point& chordAxes) const {
    const double x = (chordAxes.x() - hinge.x()) / across, y = chordAxes.y() - hinge.y();
    return {x * std::cos(tilt) - y * std::sin(tilt), x * std::sin(tilt) + y * std::cos(tilt)};
  }
  Point out(const Point& cut) const {
    const double x = cut.x() * std::cos(tilt) + cut.y() * std::sin(tilt),
                 y = cut.y() * std::cos(tilt) - cut.x() * std::sin(tilt);
    return {hinge.x() + x * across, hinge.y() + y};
  }
  Polyline in(const Polyline& line) const {
    Polyline all;
    all.reserve(line.size());
    for (const Point& p : line) all.push_back(in(p));
    return all;
  }
  Polyline out(const Polyline& line) const {
    Polyline all;
    all.reserve(line.size());
    for (const Point& p : line) all.push_back(out(p));
    return all;
  }
};

double cross(const Point& a, const Point& b) {
  return a.x() * b.y() - a.y() * b.x();
}

/// Where a ray meets a chain first: how far along it.
std::optional<double> meets(const Point& from, const Point& way, const Polyline& line) {
  std::optional<double> nearest;
  for (std::size_t i = 1; i < line.size(); ++i) {
    const Point step = line[i] - line[i - 1], off = line[i - 1] - from;
    const double d = cross(way, step);
    if (std::abs(d) < 1e-12) continue;
    const double along = cross(off, step) / d, share = cross(off, way) / d;
    if (share >= -1e-9 && share <= 1 + 1e-9 && along >= 0 && (!nearest || along < *nearest)) nearest = along;
  }
  return nearest;
}

/// The place where the plane through the axis (or beside it) meets a face; the axis itself when the face does not lie
/// on that side of it.
Point onFace(const Polyline& face, double u, double side) {
  const double far = 1e4;
  const auto along = meets({u, -side * far}, {0, side}, face);
  if (!along) return {u, 0};
  return {u, side * *along - side * far};
}

/// How far the surface's edge on a face has to be turned back (rad) so that it clears; the corner is where it meets
/// the face, nose to tail. Turned by its travel about the axis the corner stays half the gap before it.
double bevelOn(const Polyline& face, double side, double gap, double travel) {
  if (travel <= 0) return 0;
  const double pivot = gap / 2, along = std::cos(travel), up = side * std::sin(travel);
  const auto room = [&](const Point& corner) { return corner.x() * along - corner.y() * up + gap / 2; };
  const auto bevelTo = [&](const Point& corner) {
    return std::clamp(std::atan2(corner.x() - pivot, std::max(side * corner.y(), 0.0)), 0.0, travel);
  };
  bool first = true;
  for (std::size_t i = 1; i < face.size(); ++i) {
    Point a = face[i - 1];
    const Point& b = face[i];
    if (b.x() < pivot || b.x() - a.x() <= 0) continue;
    if (a.x() < pivot) a += (b - a) * ((pivot - a.x()) / (b.x() - a.x()));
    const double here = room(a), there = room(b);
    if (first && (here >= -1e-12 || side * a.y() <= 0)) return 0;
    first = false;
    if (there >= 0) return bevelTo(a + (b - a) * (here < 0 ? here / (here - there) : 0));
  }
  return first ? 0 : bevelTo(face.back());
}

/// The direction of a face at a place along u, rad, aft.
double slopeAt(const Polyline& face, double u) {
  for (std::size_t i = 1; i < face.size(); ++i)
    if (face[i].x() >= u && face[i - 1].x() < u) {
      const Point step = face[i] - face[i - 1];
      return std::atan2(step.y(), step.x());
    }
  return 0;
}

double distanceTo(const Polyline& line) {
  double least = 1e300;
  for (std::size_t i = 1; i < line.size(); ++i) {
    const Point way = line[i] - line[i - 1];
    const double l2 = way.squaredNorm(), share = l2 > 0 ? std::clamp(-line[i - 1].dot(way) / l2, 0.0, 1.0) : 0;
    least = std::min(least, (line[i - 1] + way * share).norm());
  }
  return least;
}

double tiltOf(const Surface& s, double washout) {
  switch (s.plane) {
  case CutPlane::upright:
    return washout;
  case CutPlane::raked:
    return degToRad(s.rakeDeg);
  case CutPlane::squareToChord:
    break;
  }
  return 0;
}

/// Where a face crosses the sides of a loop: x, nose to tail.
std::vector<double> crossings(const Polyline& face, const Polyline& loop) {
  std::vector<double> out;
  for (std::size_t i = 1; i < face.size(); ++i) {
    const Point step = face[i] - face[i - 1];
    for (std::size_t k = 0; k < loop.size(); ++k) {
      const Point side = loop[(k + 1) % loop.size()] - loop[k], off = loop[k] - face[i - 1];
      const double d = cross(step, side);
      if (std::abs(d) < 1e-12) continue;
      const double along = cross(off, side) / d, share = cross(off, step) / d;
      if (along >= 0 && along < 1 && share >= 0 && share <= 1) out.push_back(face[i - 1].x() + along * step.x());
    }
  }
  std::sort(out.begin(), out.end());
  return out;
}

/// Where the axis lies at a place of the span, where it is decided.
Point decidedAxis(const Surface& s, const PanelLoft& loft, double t, double fraction) {
  if (s.whole()) return loft.middle(fraction, t);
  if (s.plateLike()) return loft.at(Face::upper, fraction, t);
  if (s.nose == SurfaceNose::round || s.at == HingeAt::middle) return loft.middle(fraction, t);
  return loft.at(s.at == HingeAt::top ? Face::upper : Face::lower, fraction, t);
}

double fractionAt(const Surface& s, const PanelLoft& loft, double t, bool outer) {
  if (s.by == HingeBy::chord || s.whole()) return outer ? s.chordTo : s.chordFrom;
  const double chord = loft.frameAt(t).chord;
  return std::clamp(1 - (outer ? s.tailTo : s.tailFrom) / chord, 0.02, 0.99);
}

} // namespace

double clearingBevel(double depth, double gap, double travel) {
  const double far = 1e3 * (depth + gap + 1);
  return bevelOn({{-far, depth}, {far, depth}}, 1, gap, travel);
}

std::vector<HingeLine> hingeLines(const PanelBrief& d, const PanelLoft& loft) {
  std::vector<HingeLine> out;
  const double span = loft.span();
  for (std::size_t k = 0; k < d.surfaces.size(); ++k) {
    const Surface& s = d.surfaces[k];
    HingeLine h;
    h.surface = static_cast<int>(k);
    h.from = s.whole() ? 0 : std::clamp(s.from, 0.0, span), h.to = s.whole() ? span : std::clamp(s.to, 0.0, span);
    const bool whole = s.whole(), goesOut = std::find(d.goesOut.begin(), d.goesOut.end(), h.surface) != d.goesOut.end();
    h.cutFrom = h.from + (whole || s.goesOn ? 0 : s.endClear), h.cutTo = h.to - (whole || goesOut ? 0 : s.endClear);
    if (h.cutTo - h.cutFrom < 1) continue;
    const double fractionFrom = fractionAt(s, loft, h.from, false), fractionTo = fractionAt(s, loft, h.to, true);
    const Point a = decidedAxis(s, loft, h.from, fractionFrom), b = decidedAxis(s, loft, h.to, fractionTo);
    const Point step = (b - a) / (h.to - h.from);
    h.axis = {a - step * h.from, a + step * (span - h.from), span};
    h.sweep = std::atan(step.x());
    const auto chordBehind = [&](double t) {
      const ChordFrame f = loft.frameAt(t);
      return f.chord - f.toChord(h.axis.at(t)).x();
    };
    h.chordFrom = s.plateLike() ? s.plateChord : chordBehind(h.from);
    h.chordTo = s.plateLike() ? s.plateChord : chordBehind(h.to);
    constexpr int steps = 16;
    for (int i = 1; i < steps && !s.whole(); ++i) {
      const double t = h.from + (h.to - h.from) * i / steps;
      const ChordFrame f = loft.frameAt(t);
      const Point at = h.axis.at(t);
      const double there = decidedAxis(s, loft, t, std::clamp(f.toChord(at).x() / f.chord, 0.0, 1.0)).y();
      if (const double gap = std::abs(there - at.y()); gap > h.worstGap) h.worstGap = gap, h.worstGapAt = t;
    }
    const double widest = std::max({h.chordFrom, h.chordTo, 1.0}) * std::cos(h.sweep);
    const auto turn = [&](double deg, double mm) {
      constexpr double most = 85; // degrees
      if (s.travelIn == TravelIn::degrees) return degToRad(deg);
      return std::min(std::asin(std::min(mm / widest, 1.0)), degToRad(most));
    };
    h.up = turn(s.upDeg, s.upMm), h.down = s.plateLike() ? 0 : turn(s.downDeg, s.downMm);
    out.push_back(h);
  }
  return out;
}

WingsOwn::WingsOwn(const PanelBrief& d, const PanelLoft& of, bool opened) : design(d), loft(of) {
  if (!opened || d.surfaces.empty()) return;
  lines = hingeLines(d, of);
  std::erase_if(lines,
                [&](const HingeLine& l) { return !d.surfaces[static_cast<std::size_t>(l.surface)].partsRibs(); });
}

bool WingsOwn::cutAt(double t) const {
  return std::any_of(lines.begin(), lines.end(), [&](const HingeLine& l) { return l.covers(t); });
}

double WingsOwn::endAt(double t, double chord) const {
  double out = chord;
  for (const HingeLine& line : lines)
    if (line.covers(t)) {
      const double half = design.surfaces[static_cast<std::size_t>(line.surface)].gap / 2 / std::cos(line.sweep);
      out = std::min(out, std::max(loft.frameAt(t).toChord(line.axis.at(t)).x() - half, 0.0));
    }
  return out;
}

Polyline turnedAbout(const Polyline& loop, const Point& axis, double turn) {
  const Placement placed{turn, axis};
  Polyline out;
  out.reserve(loop.size());
  for (const Point& p : loop) out.push_back(placed(p - axis));
  return out;
}

Region touchedBy(const HingeSection& cut, const Polyline& section, double turn) {
  constexpr double least = 0.02; // mm²: less is how edges that touch are rounded
  const Region both = intersect(intersect({section}, {cut.wing}), {turnedAbout(cut.outline, cut.hinge, turn)});
  return areaOf(both) > least ? both : Region{};
}

HingeSection hingeSection(const Surface& s, const HingeLine& line, const Polyline& upper, const Polyline& lower,
                          const Point& hinge, double across, double washout) {
  HingeSection out;
  out.hinge = hinge;
  const CutAxes axes{hinge, across, tiltOf(s, washout)};
  const Polyline over = axes.in(upper), under = axes.in(lower);
  const double far = 8 * (upper.back() - upper.front()).norm() + 100;
  const Point top = onFace(over, 0, 1), bottom = onFace(under, 0, -1);
  out.way = (axes.out(Point(0, 1)) - hinge).normalized();
  out.top = axes.out(top), out.bottom = axes.out(bottom);
  out.depth = top.y() - bottom.y();
  out.slopeTop = slopeAt(over, 0), out.slopeBottom = slopeAt(under, 0);
  const double half = s.gap / 2;
  double wingFace = -half;
  if (s.nose == SurfaceNose::round) {
    const double r = out.noseRadius = std::min(distanceTo(over), distanceTo(under));
    wingFace = -(r + s.gap);
    Polyline loop;
    constexpr int sides = 48; // of the half circle
    for (int i = 0; i <= sides; ++i) {
      const double turn = std::numbers::pi / 2 + std::numbers::pi * i / sides;
      loop.emplace_back(r * std::cos(turn), r * std::sin(turn));
    }
    for (const Point& p : {Point(0, -far), Point(far, -far), Point(far, far), Point(0, far)}) loop.push_back(p);
    out.surface = loop;
  } else {
    out.bevelTop = bevelOn(over, 1, s.gap, line.up), out.bevelBottom = bevelOn(under, -1, s.gap, line.down);
    const Point pivot(half, 0);
    for (const bool up : {true, false}) {
      const double bevel = up ? out.bevelTop : out.bevelBottom, side = up ? 1 : -1;
      const Point way(std::sin(bevel), side * std::cos(bevel));
      const double along = meets(pivot, way, up ? over : under).value_or(0);
      (up ? out.backTop : out.backBottom) = along * std::sin(bevel);
      (up ? out.bevelLongTop : out.bevelLongBottom) = bevel > 0 ? along * std::cos(bevel) : 0;
    }
    out.surface = {pivot,
                   pivot + Point(std::sin(out.bevelBottom), -std::cos(out.bevelBottom)) * far,
                   {2 * far, -2 * far},
                   {2 * far, 2 * far},
                   pivot + Point(std::sin(out.bevelTop), std::cos(out.bevelTop)) * far};
  }
  const auto band = [&](double from, double to) { return axes.out(rectangle({from, -far}, {to, far})); };
  out.wing = band(-2 * far, wingFace);
  if (s.wingFacing > 0) out.wingFacing = band(wingFace - s.wingFacing, wingFace);
  const double front = s.nose == SurfaceNose::round ? -out.noseRadius : half;
  if (s.facing > 0) out.facing = band(front - 1, front + s.facing);
  out.surface = axes.out(out.surface);
  Polyline bare(upper.rbegin(), upper.rend());
  bare.insert(bare.end(), lower.begin() + 1, lower.end());
  const Region shaped = intersect({bare}, {out.surface});
  if (const Polyline* largest = largestOf(shaped)) out.outline = *largest;
  return out;
}

namespace {

/// From where to where a plate's recess goes, x in chord axes.
std::pair<double, double> recessOf(const Surface& s, const Point& hinge, double across) {
  return {hinge.x() - s.gap / 2 * across, hinge.x() + (s.plateChord + s.gap) * across};
}

/// A face of the panel's section, in chord axes.
Polyline chordAxes(const ChordFrame& frame, const Polyline& face) {
  Polyline out;
  out.reserve(face.size());
  for (const Point& p : face) out.push_back(frame.toChord(p));
  return out;
}

} // namespace

HingeSection hingeSectionAt(const PanelBrief& d, const PanelLoft& loft, const HingeLine& line, double t) {
  const Cut cut = loft.cutAt(std::clamp(t, 0.0, loft.span()));
  return hingeSection(d.surfaces[static_cast<std::size_t>(line.surface)], line, chordAxes(cut.frame, cut.upper),
                      chordAxes(cut.frame, cut.lower), cut.frame.toChord(line.axis.at(t)), 1 / std::cos(line.sweep),
                      cut.frame.washout);
}

std::array<std::optional<SheetGap>, 2> sheetGapsAt(const PanelBrief& d, const PanelLoft& loft, const HingeLine& line,
                                                   double t) {
  const Surface& s = d.surfaces[static_cast<std::size_t>(line.surface)];
  const Cut cut = loft.cutAt(std::clamp(t, 0.0, loft.span()));
  const Point hinge = cut.frame.toChord(line.axis.at(t));
  const double across = 1 / std::cos(line.sweep);
  if (s.plateLike()) {
    const auto [from, to] = recessOf(s, hinge, across);
    return {SheetGap{from, to}, std::nullopt};
  }
  const Polyline upper = chordAxes(cut.frame, cut.upper), lower = chordAxes(cut.frame, cut.lower);
  const HingeSection made = hingeSection(s, line, upper, lower, hinge, across, cut.frame.washout);
  std::array<std::optional<SheetGap>, 2> out;
  for (const bool top : {true, false}) {
    const Polyline& face = top ? upper : lower;
    const auto wing = crossings(face, made.wingFacing.empty() ? made.wing : made.wingFacing),
               front = crossings(face, made.surface), facing = crossings(face, made.facing);
    if (wing.empty() || front.empty()) continue;
    out[top ? 0 : 1] = SheetGap{wing.front(), facing.empty() ? front.back() : std::max(front.back(), facing.back())};
  }
  return out;
}

Polyline plateRecess(const Surface& s, const Polyline& upper, const Point& hinge, double across) {
  const auto [from, to] = recessOf(s, hinge, across);
  const double far = (upper.back() - upper.front()).norm();
  Polyline out;
  const auto floorAt = [&](double x) -> Point {
    const auto place = lastCrossing(upper, std::clamp(x, upper.front().x() + 1e-6, upper.back().x() - 1e-6));
    return {x, (place ? pointAt(upper, *place).y() : 0) - s.plate};
  };
  constexpr int steps = 12;
  for (int i = 0; i <= steps; ++i) out.push_back(floorAt(from + (to - from) * i / steps));
  out.emplace_back(to, far), out.emplace_back(from, far);
  return out;
}

} // namespace eup
