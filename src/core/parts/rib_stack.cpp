#include "core/parts/rib_stack.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// A rib's outline on the bolts: front bolt at the origin, chord line along x, points by the section's grid.
Polyline onBolts(const Polyline& upper, const Polyline& lower, double chord, double boltFront) {
  Polyline out;
  for (const Polyline* face : {&upper, &lower})
    for (const Point& p : *face) out.push_back(p - Point(boltFront * chord, 0));
  return out;
}

Polyline between(const Polyline& a, const Polyline& b, double share) {
  Polyline out;
  out.reserve(a.size());
  for (std::size_t i = 0; i < a.size(); ++i) out.push_back(lerp(a[i], b[i], share));
  return out;
}

double farthestOneWay(const Polyline& line, const Polyline& points) {
  double most = 0;
  std::size_t near = 0;
  for (const Point& p : points) {
    double least = 1e300;
    // The same place of the grid lies close by: a stretch about it is enough.
    const std::size_t from = near > 12 ? near - 12 : 0, to = std::min(near + 12, line.size() - 1);
    for (std::size_t i = from; i < to; ++i) {
      const Point way = line[i + 1] - line[i];
      const double t = way.squaredNorm() > 0 ? std::clamp((p - line[i]).dot(way) / way.squaredNorm(), 0.0, 1.0) : 0;
      least = std::min(least, (p - line[i] - t * way).norm());
    }
    most = std::max(most, least);
    ++near;
  }
  return most;
}

/// Either way: where one outline is shorter, its end lies near the other, and not the other's near it.
double farthestFrom(const Polyline& a, const Polyline& b) {
  return std::max(farthestOneWay(a, b), farthestOneWay(b, a));
}

/// Steepest slope of a straight run from one outline to another, out of square to the sheet.
double steepest(const Polyline& a, const Polyline& b, double apart) {
  double most = 0;
  for (std::size_t i = 1; i + 1 < a.size(); ++i) {
    const Point along = a[i + 1] - a[i - 1];
    if (along.norm() < 1e-9) continue;
    const Point square = Point(-along.y(), along.x()).normalized();
    most = std::max(most, std::abs((b[i] - a[i]).dot(square)));
  }
  return apart > 0 ? std::atan(most / apart) : 0;
}

} // namespace

std::optional<RibStack> ribStack(const PanelBrief& d, const PanelLoft& loft, const Frame& frame) {
  const auto& ribs = frame.ribs;
  if (d.ribs.make != RibMake::stack || ribs.size() < 3) return std::nullopt;
  if (std::any_of(ribs.begin(), ribs.end(), [](const Rib& rib) { return rib.turn != 0; })) return std::nullopt;
  RibStack out;
  std::vector<double> middle; // of each blank, through the block
  middle.reserve(ribs.size());
  for (const Rib& rib : ribs) {
    middle.push_back(out.thick + rib.thickness / 2);
    out.thick += rib.thickness;
  }
  const double front = d.ribs.boltFront;
  std::vector<Polyline> real;
  real.reserve(ribs.size());
  for (const Rib& rib : ribs) real.push_back(onBolts(rib.upper, rib.lower, rib.frame.chord, front));
  const double first = middle.front(), run = middle.back() - first, step = (ribs.back().t() - ribs.front().t()) / run;
  out.inner = ribs.front().t() - step * first;
  out.outer = ribs.back().t() + step * (out.thick - middle.back());
  constexpr double least = 1; // mm: a section cannot be smaller
  if (loft.frameAt(out.inner).chord < least || loft.frameAt(out.outer).chord < least) return std::nullopt;
  out.innerTemplate = cutTemplate(d, loft, out.inner, ribs.front().number);
  out.outerTemplate = cutTemplate(d, loft, out.outer, ribs.back().number);
  out.boltFront = front;
  out.boltApart = (d.ribs.boltRear - front) * std::min(ribs.front().frame.chord, ribs.back().frame.chord);
  const auto asRib = [&](const Rib& r) { return onBolts(r.upper, r.lower, r.frame.chord, front); };
  const Polyline inner = asRib(out.innerTemplate), outer = asRib(out.outerTemplate);
  out.bevel = steepest(inner, outer, out.thick);
  for (std::size_t i = 0; i < ribs.size(); ++i) {
    const double share = middle[i] / out.thick;
    const Polyline sanded = between(inner, outer, share), plain = between(real.front(), real.back(), share);
    StackedRib one{ribs[i].number, farthestFrom(real[i], sanded), 0, out.bevel};
    one.chord = out.innerTemplate.frame.chord +
                (out.outerTemplate.frame.chord - out.innerTemplate.frame.chord) * share - ribs[i].frame.chord;
    out.plainOff = std::max(out.plainOff, farthestFrom(real[i], plain));
    if (one.off >= out.worst.off) out.worst = one;
    if (i == ribs.size() / 2) out.middleOff = one.off;
    out.ribs.push_back(one);
  }
  return out;
}

} // namespace eup
