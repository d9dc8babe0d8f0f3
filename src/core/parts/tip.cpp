#include "core/parts/tip.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
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
  if (tip.kind == TipKind::bow) {
    out.form = overBent(out.inner, tip.springBack);
    out.longest = lengthOf(out.edge);
    out.shortest = lengthOf(movedIn(out.edge, tip.thickness * (tip.strips - 1)));
  }
  if (tip.kind == TipKind::block || rounded)
    for (const double share : {0.25, 0.5, 0.75}) out.templates.push_back(templateAt(tip, cut, share * out.reach));
  return out;
}

} // namespace eup
