#include "core/foam/core_things.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/loft/core_line.h"
#include "core/parts/cut_rib.h"
#include <algorithm>
#include <cmath>
#include <map>

namespace eup {
namespace {

constexpr int sides = 48;    // of a circle
constexpr double dust = 0.2; // mm²: less than that is no overlap

bool reaches(const CoreThing& thing, const PanelLoft& loft, double t) {
  const double to = std::min(thing.to, loft.span());
  return thing.from < to && t >= thing.from - 1e-6 && t <= to + 1e-6;
}

Polyline circle(const Point& middle, double radius) {
  Polyline out;
  const double r = radius / std::sqrt(std::sin(2 * pi / sides) / (2 * pi / sides)); // as much area as a round one
  for (int i = 0; i < sides; ++i)
    out.push_back(middle + Point(std::cos(2 * pi * i / sides), std::sin(2 * pi * i / sides)) * r);
  return out;
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

/// What is only cut out may run into another such: a groove ends in its pocket.
bool mayMeet(const CoreThing& a, const CoreThing& b) {
  return a.empty() && b.empty();
}

/// The core at one place of the span.
struct Place {
  Polyline outline;
  Region grooves;
};

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

double takenBetween(const PanelBrief& d, const PanelLoft& loft, double from, double to) {
  double volume = 0;
  for (const CoreThing& thing : d.inCore) {
    const double a = std::max(from, thing.from), b = std::min({to, thing.to, loft.span()});
    if (b <= a) continue;
    const auto area = [&](double t) {
      const Rib plain = cutTemplate(d, loft, t, 1);
      const Polyline* outline = largestOf(plain.wood);
      return outline ? areaOf(intersect(takenBy(thing, loft, t, *outline), {*outline})) : 0;
    };
    volume += (b - a) / 6 * (area(a) + 4 * area((a + b) / 2) + area(b));
  }
  return volume;
}

std::vector<CoreThingMade> thingsOf(const PanelBrief& d, const PanelLoft& loft, const Frame& stations) {
  std::vector<CoreThingMade> out;
  std::map<double, Place> seen;
  const auto placeAt = [&](double t) -> const Place& {
    const auto [found, isNew] = seen.try_emplace(t);
    Place& place = found->second;
    if (!isNew) return place;
    const Rib plain = cutTemplate(d, loft, std::clamp(t, 0.0, loft.span()), 1);
    if (const Polyline* outline = largestOf(plain.wood)) place.outline = *outline;
    if (place.outline.empty() || stations.spars.empty()) return place;
    // As a rib would be notched for the spars there, whether or not a station is.
    Rib rib;
    rib.station = rib.frame.t = std::clamp(t, 0.0, loft.span());
    place.grooves = subtract({place.outline}, cutRib(d, loft, stations.spars, {}, {}, std::move(rib)).wood);
    return place;
  };
  for (std::size_t i = 0; i < d.inCore.size(); ++i) {
    const CoreThing& thing = d.inCore[i];
    CoreThingMade made;
    made.number = static_cast<int>(i);
    made.from = endInCore(thing, loft, false), made.to = endInCore(thing, loft, true);
    made.length = (made.to - made.from).norm();
    made.volume = 0;
    const double to = std::min(thing.to, loft.span());
    if (thing.from >= to) {
      out.push_back(made);
      continue;
    }
    made.endsInside = thing.from > 1e-6 || to < loft.span() - 1e-6;
    double before = 0, beforeHigh = 0, beforeT = thing.from;
    bool first = true;
    for (const double t : placesOf(thing, loft, stations)) {
      const Place& place = placeAt(t);
      if (place.outline.empty()) continue;
      const Region taken = takenBy(thing, loft, t, place.outline), within = intersect(taken, {place.outline});
      const double area = areaOf(within), high = boundsOf(within).height();
      if (!first)
        made.volume += (t - beforeT) * (before + area) / 2, made.upright += (t - beforeT) * (beforeHigh + high) / 2;
      first = false, before = area, beforeHigh = high, beforeT = t;
      made.high = std::max(made.high, high);
      const Point middle = middleInCore(thing, loft, t);
      const bool gone = thing.round() ? areaOf(taken) - area > dust : taken.empty();
      if (gone) made.breaksOut = true;
      const double left = gone ? 0 : leftBeside(thing, middle, within, place.outline);
      if (left < 0.05 && thing.kind != InCore::block && thing.kind != InCore::web) made.breaksOut = true;
      if (left < made.left) made.left = std::max(left, 0.0), made.leftAt = t;
      if (areaOf(intersect(taken, place.grooves)) > dust) made.meetsCap = true;
      for (std::size_t k = i + 1; k < d.inCore.size(); ++k) {
        const bool known = std::find(made.meets.begin(), made.meets.end(), static_cast<int>(k)) != made.meets.end();
        if (!known && !mayMeet(thing, d.inCore[k]) &&
            areaOf(intersect(taken, takenBy(d.inCore[k], loft, t, place.outline))) > dust)
          made.meets.push_back(static_cast<int>(k));
      }
    }
    // One that lies between the places that were looked at, or crosses there: its own places decide, and where their
    // middle lines cross as seen from above.
    for (std::size_t k = i + 1; k < d.inCore.size(); ++k) {
      const bool known = std::find(made.meets.begin(), made.meets.end(), static_cast<int>(k)) != made.meets.end();
      if (known || mayMeet(thing, d.inCore[k])) continue;
      std::vector<double> places = placesOf(d.inCore[k], loft, {});
      if (const auto cross = crossing(thing, d.inCore[k], loft)) places.push_back(*cross);
      for (const double t : places) {
        if (!reaches(thing, loft, t) || !reaches(d.inCore[k], loft, t)) continue;
        const Place& place = placeAt(t);
        if (place.outline.empty() || areaOf(intersect(takenBy(thing, loft, t, place.outline),
                                                      takenBy(d.inCore[k], loft, t, place.outline))) <= dust)
          continue;
        made.meets.push_back(static_cast<int>(k));
        break;
      }
    }
    out.push_back(std::move(made));
  }
  return out;
}

} // namespace eup
