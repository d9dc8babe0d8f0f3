#include "core/foam/core_things.h"
#include "core/geometry/circle.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/loft/core_line.h"
#include "core/parts/cut_rib.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

constexpr int sides = 48;    // of a circle
constexpr double dust = 0.2; // mm²: less than that is no overlap

bool reaches(const CoreThing& thing, const PanelLoft& loft, double t) {
  const double to = std::min(thing.to, loft.span());
  return thing.from < to && t >= thing.from - 1e-6 && t <= to + 1e-6;
}

/// With as much area as a round one.
Polyline circle(const Point& middle, double radius) {
  return circleOf(middle, radius / std::sqrt(std::sin(2 * pi / sides) / (2 * pi / sides)), sides);
}

Region movedUp(const Polyline& line, double by) {
  Polyline out = line;
  for (Point& p : out) p.y() += by;
  return {out};
}

/// Of the span, where it is looked at: its ends, their middle, and each station between.
std::vector<double> placesOf(const CoreThing& thing, const PanelLoft& loft, const Frame& stations) {
  const double from = thing.from, to = std::min(thing.to, loft.span());
  std::vector<double> out{from, (from + to) / 2, to};
  for (const Rib& station : stations.ribs)
    if (station.t() > from + 1e-6 && station.t() < to - 1e-6) out.push_back(station.t());
  std::sort(out.begin(), out.end());
  return out;
}

/// Where two middle lines cross as seen from above: t.
std::optional<double> crossing(const CoreThing& a, const CoreThing& b, const PanelLoft& loft) {
  const Point3 a0 = endInCore(a, loft, false), a1 = endInCore(a, loft, true), b0 = endInCore(b, loft, false),
               b1 = endInCore(b, loft, true);
  if (a1.y() - a0.y() < 1e-6 || b1.y() - b0.y() < 1e-6) return std::nullopt;
  const double slopeA = (a1.x() - a0.x()) / (a1.y() - a0.y()), slopeB = (b1.x() - b0.x()) / (b1.y() - b0.y());
  if (std::abs(slopeA - slopeB) < 1e-9) return std::nullopt;
  return ((b0.x() - slopeB * b0.y()) - (a0.x() - slopeA * a0.y())) / (slopeA - slopeB);
}

double distanceTo(const Polyline& closed, const Point& p) {
  double least = 1e300;
  for (std::size_t i = 0; i < closed.size(); ++i) {
    const Point &a = closed[i], &b = closed[(i + 1) % closed.size()], way = b - a;
    const double share = way.squaredNorm() > 0 ? std::clamp((p - a).dot(way) / way.squaredNorm(), 0.0, 1.0) : 0;
    least = std::min(least, (a + way * share - p).norm());
  }
  return least;
}

/// What foam is left beside it: to the nearest face, and to the one that it is let in towards.
double leftBeside(const CoreThing& thing, const Point& middle, const Region& taken, const Polyline& outline) {
  if (thing.kind == InCore::web || thing.kind == InCore::block) return 1e9; // wood to the face
  if (thing.round()) return distanceTo(outline, middle) - thing.width / 2;
  if (thing.kind == InCore::hollow) return taken.empty() ? 0 : thing.rim;
  // Let in: what is left of the depth under it.
  double least = 1e9;
  const Region whole{outline};
  for (const double share : {-0.5, 0.0, 0.5}) {
    const double x = middle.x() + share * thing.width;
    const Region column{rectangle({x - 0.01, -1e4}, {x + 0.01, 1e4})};
    const Box all = boundsOf(intersect(whole, column)), gone = boundsOf(intersect(taken, column));
    if (!all.empty() && !gone.empty()) least = std::min(least, all.height() - gone.height());
  }
  return least;
}

/// Whether both may lie one over the other there, as seen from above.
bool mayMeetInPlan(const CoreThing& a, const CoreThing& b, const PanelLoft& loft, double t) {
  const double apart = std::abs(middleInCore(a, loft, t).x() - middleInCore(b, loft, t).x());
  return apart < (a.width + b.width) / 2 + 1;
}

/// Whether a spar's cap may lie over or under it there.
bool nearCap(const CoreThing& thing, const PanelBrief& d, const Frame& stations, const PanelLoft& loft, double t) {
  const ChordFrame frame = loft.frameAt(std::clamp(t, 0.0, loft.span()));
  const double x = middleInCore(thing, loft, t).x();
  return std::any_of(stations.spars.begin(), stations.spars.end(), [&](const SparLine& line) {
    const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
    const double cap = std::max({spar.top.width, spar.top.depth, spar.bottom.width, spar.bottom.depth});
    return t <= line.end + 1e-6 && std::abs(frame.toChord(line.middle.at(t)).x() - x) < (thing.width + 2 * cap) / 2 + 5;
  });
}

/// As a rib would be notched for the spars there, whether or not a station is.
Region groovesAt(const PanelBrief& d, const PanelLoft& loft, const Frame& stations, double t, const Polyline& outline) {
  Rib rib;
  rib.station = rib.frame.t = std::clamp(t, 0.0, loft.span());
  return subtract({outline}, cutRib(d, loft, stations.spars, {}, {}, {}, std::move(rib), false).wood);
}

} // namespace

Region takenBy(const CoreThing& thing, const PanelLoft& loft, double t, const Polyline& outline) {
  if (!reaches(thing, loft, t) || outline.size() < 3) return {};
  const Point middle = middleInCore(thing, loft, t);
  if (thing.round()) return {circle(middle, thing.width / 2)};
  const Region band{rectangle({middle.x() - thing.width / 2, -1e4}, {middle.x() + thing.width / 2, 1e4})};
  Region whole{outline};
  if (signedArea(outline) < 0) std::reverse(whole[0].begin(), whole[0].end());
  if (thing.kind == InCore::hollow) return withoutDust(intersect(grown(whole, -thing.rim), band), dust);
  if (thing.kind == InCore::web) return intersect(whole, band);
  const Region kept = movedUp(whole[0], thing.top ? -thing.depth : thing.depth);
  return withoutDust(subtract(intersect(whole, band), kept), dust);
}

double CoreOutlines::tailAt(double t) const {
  const double at = std::clamp(t, 0.0, loft.span()), stock = loft.frameAt(at).chord - design.trailing.onRib();
  return surface ? std::min(stock, wingFaceAt(design, loft, *surface, at)) : stock;
}

Region CoreOutlines::shortened(const Region& of, double t) const {
  constexpr double far = 1e4;
  return surface ? intersect(of, {rectangle({-far, -far}, {tailAt(t), far})}) : of;
}

Polyline CoreOutlines::shortened(const Polyline& line, double t) const {
  if (!surface || line.size() < 3) return line;
  const Region left = shortened(Region{line}, t);
  const Polyline* most = largestOf(left);
  return most ? *most : Polyline{};
}

const Polyline& CoreOutlines::at(double t) {
  const auto [found, isNew] = cut.try_emplace(t);
  if (!isNew) return found->second;
  const Rib plain = cutTemplate(design, loft, std::clamp(t, 0.0, loft.span()), 1);
  if (const Polyline* outline = largestOf(plain.wood)) found->second = shortened(*outline, t);
  return found->second;
}

double takenBetween(const PanelBrief& d, const PanelLoft& loft, double from, double to, CoreOutlines& outlines) {
  double volume = 0;
  for (const CoreThing& thing : d.inCore) {
    const double a = std::max(from, thing.from), b = std::min({to, thing.to, loft.span()});
    if (b <= a) continue;
    const auto area = [&](double t) {
      const Polyline& outline = outlines.at(t);
      return outline.empty() ? 0 : areaOf(intersect(takenBy(thing, loft, t, outline), {outline}));
    };
    volume += (b - a) / 6 * (area(a) + 4 * area((a + b) / 2) + area(b));
  }
  return volume;
}

std::vector<CoreThingMade> thingsOf(const PanelBrief& d, const PanelLoft& loft, const Frame& stations,
                                    CoreOutlines& outlines) {
  std::vector<CoreThingMade> out;
  const auto meetAt = [&](const CoreThing& a, const CoreThing& b, double t) {
    if (!reaches(a, loft, t) || !reaches(b, loft, t) || !mayMeetInPlan(a, b, loft, t)) return false;
    const Polyline& outline = outlines.at(t);
    return !outline.empty() && areaOf(intersect(takenBy(a, loft, t, outline), takenBy(b, loft, t, outline))) > dust;
  };
  for (std::size_t i = 0; i < d.inCore.size(); ++i) {
    const CoreThing& thing = d.inCore[i];
    CoreThingMade made;
    made.number = static_cast<int>(i);
    made.from = endInCore(thing, loft, false), made.to = endInCore(thing, loft, true);
    made.length = (made.to - made.from).norm();
    const double to = std::min(thing.to, loft.span());
    if (thing.from >= to) {
      out.push_back(made);
      continue;
    }
    made.endsInside = thing.from > 1e-6 || to < loft.span() - 1e-6;
    double before = 0, beforeHigh = 0, beforeT = thing.from;
    bool first = true;
    for (const double t : placesOf(thing, loft, stations)) {
      const Polyline& outline = outlines.at(t);
      if (outline.empty()) continue;
      const Region taken = takenBy(thing, loft, t, outline), within = intersect(taken, {outline});
      const double area = areaOf(within), high = boundsOf(within).height();
      if (!first)
        made.volume += (t - beforeT) * (before + area) / 2, made.upright += (t - beforeT) * (beforeHigh + high) / 2;
      first = false, before = area, beforeHigh = high, beforeT = t;
      made.high = std::max(made.high, high);
      const Point middle = middleInCore(thing, loft, t);
      const bool gone = thing.round() ? areaOf(taken) - area > dust : taken.empty();
      if (gone) made.breaksOut = true;
      const double left = gone ? 0 : leftBeside(thing, middle, within, outline);
      if (left < 0.05 && thing.kind != InCore::block && thing.kind != InCore::web) made.breaksOut = true;
      if (left < made.left) made.left = std::max(left, 0.0), made.leftAt = t;
      if (!made.meetsCap && nearCap(thing, d, stations, loft, t))
        made.meetsCap = areaOf(intersect(taken, groovesAt(d, loft, stations, t, outline))) > dust;
    }
    for (std::size_t k = i + 1; k < d.inCore.size(); ++k) {
      const CoreThing& other = d.inCore[k];
      if (thing.empty() && other.empty()) continue; // cut-outs may run into each other: a groove ends in its pocket
      std::vector<double> places = placesOf(thing, loft, stations);
      for (const double t : placesOf(other, loft, {})) places.push_back(t);
      if (const auto cross = crossing(thing, other, loft)) places.push_back(*cross);
      if (std::any_of(places.begin(), places.end(), [&](double t) { return meetAt(thing, other, t); }))
        made.meets.push_back(static_cast<int>(k));
    }
    out.push_back(std::move(made));
  }
  return out;
}

} // namespace eup
