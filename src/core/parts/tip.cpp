#include "core/parts/tip.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include <algorithm>
#include <array>
#include <boost/math/interpolators/catmull_rom.hpp>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

constexpr int quarterSteps = 32;

Polyline roundedEdge(double chord, double radius) {
  Polyline out;
  out.reserve(2 * quarterSteps + 2);
  const auto angle = [](int i) { return std::numbers::pi / 2 * i / quarterSteps; };
  for (int i = 0; i <= quarterSteps; ++i)
    out.emplace_back(radius * (1 - std::cos(angle(i))), radius * std::sin(angle(i)));
  for (int i = 0; i <= quarterSteps; ++i)
    out.emplace_back(chord - radius * (1 - std::sin(angle(i))), radius * std::cos(angle(i)));
  out.back() = {chord, 0};
  return out;
}

Polyline outlineEdge(double chord, double reach, double farthest) {
  Polyline out;
  out.reserve(2 * quarterSteps + 1);
  const double peak = farthest * chord;
  const auto angle = [](int i) { return std::numbers::pi / 2 * i / quarterSteps; };
  for (int i = 0; i <= quarterSteps; ++i) out.emplace_back(peak * (1 - std::cos(angle(i))), reach * std::sin(angle(i)));
  for (int i = 1; i <= quarterSteps; ++i)
    out.emplace_back(peak + (chord - peak) * std::sin(angle(i)), reach * std::cos(angle(i)));
  out.back() = {chord, 0};
  return out;
}

/// Through places of its own from the rib's nose to its tail: a centripetal Catmull-Rom curve, or straight lines.
Polyline ownEdge(const Tip& tip, double chord) {
  Polyline through{{0, 0}};
  constexpr double apart = 1e-3; // mm: places that are one
  for (const Point& p : tip.outline)
    if ((p - through.back()).norm() > apart) through.push_back(p);
  if ((Point(chord, 0) - through.back()).norm() <= apart) through.pop_back();
  through.emplace_back(chord, 0);
  if (!tip.rounding || through.size() < 3) return through;
  if (through.size() == 3) { // too few for the spline: the parabola through them
    const double a = (through[1] - through[0]).norm(), b = a + (through[2] - through[1]).norm(), m = a / b;
    Polyline out;
    for (int k = 0; k <= 2 * quarterSteps; ++k) {
      const double s = k / (2.0 * quarterSteps);
      out.push_back(through[0] * ((s - m) * (s - 1) / m) + through[1] * (s * (s - 1) / (m * (m - 1))) +
                    through[2] * (s * (s - m) / (1 - m)));
    }
    return out;
  }
  std::vector<std::array<double, 2>> knots;
  for (const Point& p : through) knots.push_back({p.x(), p.y()});
  boost::math::catmull_rom<std::array<double, 2>> curve(std::move(knots));
  Polyline out;
  constexpr int steps = 16; // from place to place
  for (std::size_t i = 0; i + 1 < through.size(); ++i) {
    const double from = curve.parameter_at_point(i), to = curve.parameter_at_point(i + 1);
    for (int k = 0; k < steps; ++k) {
      const auto p = curve(std::min(from + (to - from) * k / steps, curve.max_parameter()));
      out.emplace_back(p[0], p[1]);
    }
  }
  out.front() = {0, 0};
  out.emplace_back(chord, 0);
  return out;
}

/// The inner edge of pieces that are so wide, for an outline of any shape: what is left of it inside; empty when that
/// is nothing.
Polyline insideOf(const Polyline& edge, double wide) {
  const double chord = edge.back().x(), below = -4 * wide - 10;
  Polyline whole = edge; // on to the rib's inner side, so that only the outline itself is moved in
  whole.insert(whole.end(), {Point(chord, below), Point(0, below)});
  if (signedArea(whole) < 0) std::reverse(whole.begin(), whole.end());
  const Region left = grown({whole}, -wide);
  const Polyline* most = largestOf(left);
  if (!most) return {};
  // Cut at the rib: from its front to its rear, over the top.
  const Region beyond = intersect({*most}, {rectangle({-4000, 0}, {4000, 4000})});
  const Polyline* tip = largestOf(beyond);
  if (!tip || tip->size() < 3) return {};
  Polyline out = *tip;
  std::reverse(out.begin(), out.end()); // clockwise: from the front over the top to the rear
  std::size_t start = 0;
  for (std::size_t i = 0; i < out.size(); ++i) // the foremost place on the rib
    if (out[i].y() < 1e-6 && (out[start].y() >= 1e-6 || out[i].x() < out[start].x())) start = i;
  std::rotate(out.begin(), out.begin() + static_cast<std::ptrdiff_t>(start), out.end());
  return out;
}

/// How far along a line its place nearest to a point is.
PlaceOn nearestOn(const Polyline& line, const Point& p) {
  PlaceOn best;
  double least = 1e300;
  for (std::size_t i = 0; i + 1 < line.size(); ++i) {
    const Point way = line[i + 1] - line[i];
    const double t = way.squaredNorm() > 0 ? std::clamp((p - line[i]).dot(way) / way.squaredNorm(), 0.0, 1.0) : 0;
    if (const double far = (p - line[i] - t * way).norm(); far < least) least = far, best = {i, t};
  }
  return best;
}

PlaceOn placeAt(const Polyline& line, double along) {
  for (std::size_t i = 0; i + 1 < line.size(); ++i) {
    const double step = (line[i + 1] - line[i]).norm();
    if (along <= step && step > 0) return {i, along / step};
    along -= step;
  }
  return {line.size() - 2, 1};
}

bool before(PlaceOn a, PlaceOn b) {
  return std::pair(a.segment, a.t) < std::pair(b.segment, b.t);
}

/// Cut across at even lengths along the outer edge, square to it or slanting.
std::vector<TipPiece> piecesOf(const Tip& tip, const Polyline& edge, const Polyline& inner) {
  std::vector<TipPiece> out;
  const double length = lengthOf(edge);
  PlaceOn outerFrom{0, 0}, innerFrom{0, 0};
  const int count = inner.empty() ? 1 : tip.pieces;
  for (int k = 1; k <= count; ++k) {
    PlaceOn outerTo{edge.size() - 2, 1}, innerTo{inner.empty() ? 0 : inner.size() - 2, 1};
    if (k < count) {
      outerTo = placeAt(edge, length * k / count);
      PlaceOn across = nearestOn(inner, pointAt(edge, outerTo));
      if (tip.joint == TipJoint::scarf) {
        double on = lengthOf(headOf(inner, across)) + tipScarf * tip.width;
        across = placeAt(inner, std::min(on, lengthOf(inner)));
      }
      innerTo = before(across, innerFrom) ? innerFrom : across;
    }
    TipPiece piece;
    piece.outline = pieceOf(edge, outerFrom, outerTo);
    if (!inner.empty()) {
      Polyline back = pieceOf(inner, innerFrom, innerTo);
      piece.outline.insert(piece.outline.end(), back.rbegin(), back.rend());
    }
    piece.outline = simplified(piece.outline, 0);
    const Point along = pointAt(edge, outerTo) - pointAt(edge, outerFrom);
    piece.grain = std::atan2(along.y(), along.x());
    const double c = std::cos(piece.grain), s = std::sin(piece.grain);
    Box box;
    for (const Point& p : piece.outline) box.include(Point(p.x() * c + p.y() * s, p.y() * c - p.x() * s));
    piece.length = box.width(), piece.breadth = box.height();
    out.push_back(std::move(piece));
    outerFrom = outerTo, innerFrom = innerTo;
  }
  return out;
}

/// The edge moved in by `by`, square to itself, up to the tip rib.
Polyline movedIn(const Polyline& edge, double by) {
  Polyline out;
  for (std::size_t i = 0; i < edge.size(); ++i) {
    const Point along = edge[std::min(i + 1, edge.size() - 1)] - edge[i == 0 ? 0 : i - 1];
    const Point square = Point(along.y(), -along.x()).normalized(); // inwards: the edge runs aft with the rib below it
    const Point moved = edge[i] + square * by;
    if (moved.y() >= -1e-9) out.push_back(moved);
  }
  return out;
}

/// The two corners share the chord at most.
double roundingOf(const Tip& tip, double chord) {
  return std::min(tip.radius, chord / 2);
}

/// From where to where the block reaches along the chord, so far beyond the rib.
std::pair<double, double> chordwise(const Tip& tip, double chord, double beyond) {
  if (tip.kind == TipKind::rounded) {
    const double radius = roundingOf(tip, chord),
                 in = radius - std::sqrt(std::max(0.0, radius * radius - beyond * beyond));
    return {in, chord - in};
  }
  const double share = std::sqrt(std::max(0.0, 1 - beyond * beyond / (tip.reach * tip.reach)));
  const double peak = tip.farthest * chord;
  return {peak * (1 - share), peak + (chord - peak) * share};
}

double reachOf(const Tip& tip, double chord) {
  return tip.kind == TipKind::rounded ? roundingOf(tip, chord) : tip.reach;
}

TipTemplate templateAt(const Tip& tip, const Cut& cut, double beyond) {
  TipTemplate out;
  out.beyond = beyond;
  const auto [from, to] = chordwise(tip, cut.frame.chord, beyond);
  const double share = beyond / reachOf(tip, cut.frame.chord), up = tip.raised * share * share;
  out.from = from;
  out.chord = to - from;
  const double scale = out.chord / cut.frame.chord;
  for (const Point& p : simplified(outlineOf(cut), 0)) {
    const Point q = cut.frame.toChord(p) * scale;
    out.outline.emplace_back(from + q.x(), up + q.y());
  }
  return out;
}

} // namespace

Polyline overBent(const Polyline& line, double share) {
  Polyline out = line;
  std::size_t top = 0;
  for (std::size_t i = 1; i < line.size(); ++i)
    if (line[i].y() > line[top].y()) top = i;
  const auto way = [&](std::size_t from, std::size_t to) { return Point(line[to] - line[from]); };
  const auto turned = [](const Point& p, double by) -> Point {
    return {std::cos(by) * p.x() - std::sin(by) * p.y(), std::sin(by) * p.x() + std::cos(by) * p.y()};
  };
  const auto go = [&](int step) {
    const auto next = [&](std::size_t i) { return static_cast<std::size_t>(static_cast<long>(i) + step); };
    const std::size_t end = step > 0 ? line.size() - 1 : 0;
    double more = 0;
    for (std::size_t i = top; i != end; i = next(i)) {
      if (i != top) {
        const Point before = way(static_cast<std::size_t>(static_cast<long>(i) - step), i), after = way(i, next(i));
        const double bend = std::atan2(before.x() * after.y() - before.y() * after.x(), before.dot(after));
        more += bend * (1 / (1 - share) - 1);
      }
      out[next(i)] = out[i] + turned(way(i, next(i)), more);
    }
  };
  if (line.size() > 2) go(1), go(-1);
  return out;
}

std::optional<TipShape> tipShape(const PanelBrief& d, const PanelLoft& loft) {
  const Tip& tip = d.tip;
  if (tip.kind == TipKind::square) return std::nullopt;
  TipShape out;
  const Cut cut = loft.cutAt(loft.span());
  const double chord = cut.frame.chord;
  if (tip.kind == TipKind::plate) {
    Polyline section;
    for (const Point& p : simplified(outlineOf(cut), 0)) section.push_back(cut.frame.toChord(p));
    const Region plate = grown({section}, tip.margin);
    out.plate = plate.empty() ? section : plate.front();
    out.reach = tip.thickness;
    return out;
  }
  const bool rounded = tip.kind == TipKind::rounded;
  if (tip.kind == TipKind::own) {
    out.edge = ownEdge(tip, chord);
    out.area = std::abs(signedArea(out.edge));
    Point farthest(0, 0);
    for (const Point& p : out.edge)
      if (p.y() > farthest.y()) farthest = p;
    out.reach = farthest.y();
    out.inner = insideOf(out.edge, tip.width);
    out.rests = {{"LE", {0, 0}}, {"edge", {farthest.x(), tip.raised}}, {"TE", {chord, 0}}};
    out.pieces = piecesOf(tip, out.edge, out.inner);
    return out;
  }
  out.reach = reachOf(tip, chord);
  out.edge = rounded ? roundedEdge(chord, out.reach) : outlineEdge(chord, tip.reach, tip.farthest);
  out.area = rounded ? chord * out.reach - (2 - std::numbers::pi / 2) * out.reach * out.reach
                     : std::numbers::pi / 4 * chord * tip.reach;
  const double deep = tip.kind == TipKind::outline ? tip.width
                      : tip.kind == TipKind::bow   ? tip.thickness * tip.strips
                                                   : 0;
  if (deep > 0) {
    out.inner = movedIn(out.edge, deep);
    out.rests = {{"LE", {0, 0}}, {"edge", {tip.farthest * chord, tip.raised}}, {"TE", {chord, 0}}};
  }
  if (tip.kind == TipKind::outline) out.pieces = piecesOf(tip, out.edge, out.inner);
  if (tip.kind == TipKind::bow) {
    Polyline round = out.inner;
    if (tip.runsOn && !round.empty()) { // straight on to the root
      const ChordFrame root = loft.frameAt(0);
      round.emplace_back(root.le.x() + root.chord - cut.frame.le.x() - d.trailing.onRib(), -loft.span());
    }
    out.form = overBent(round, tip.springBack);
    if (const auto bend = sharpestBend(out.edge, lengthOf(out.edge) / 30))
      out.bend = bend->radius * (1 - tip.springBack);
    out.longest = lengthOf(out.edge);
    out.shortest = lengthOf(movedIn(out.edge, tip.thickness * (tip.strips - 1)));
  }
  if (tip.kind == TipKind::block || rounded)
    for (const double share : {0.25, 0.5, 0.75}) out.templates.push_back(templateAt(tip, cut, share * out.reach));
  return out;
}

} // namespace eup
