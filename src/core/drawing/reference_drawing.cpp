#include "core/drawing/reference_drawing.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

Drawing referenceDrawing(const DrawnHand& read, const std::string& wing, LengthUnit unit, Hand to) {
  Drawing d;
  d.title = "Reference points";
  d.wing = wing;
  d.hand = to;
  const double side = to == Hand::right ? 1 : -1;
  const auto at = [&](double t, double x) { return Point(side * t, -x); };
  const auto len = [&](double mm) { return told(mm, Quantity::length, unit); };
  constexpr double arm = 5;
  const auto points = referencePoints(read);
  for (const ReferencePoint& p : points) {
    const Point c = at(p.t, p.x);
    d.line(Layer::mark, c - Point(arm, 0), c + Point(arm, 0));
    d.line(Layer::mark, c - Point(0, arm), c + Point(0, arm));
    d.write(c + Point(side * 2, 2), fmt::format("{}: {} out, {} aft", p.name, len(p.t), len(p.x)), 3,
            side > 0 ? Anchor::left : Anchor::right);
  }
  for (std::size_t i = 0; i + 1 < points.size(); i += 2) // each line from its root to its tip
    d.line(Layer::mark, at(points[i].t, points[i].x), at(points[i + 1].t, points[i + 1].x));
  if (points.size() >= 4) { // end ribs: leading edge to trailing edge
    d.line(Layer::mark, at(points[0].t, points[0].x), at(points[2].t, points[2].x));
    d.line(Layer::mark, at(points[1].t, points[1].x), at(points[3].t, points[3].x));
  }
  const Box box = d.bounds();
  d.write({box.low.x(), box.high.y() + 8},
          fmt::format("{}   REFERENCE POINTS   {} HAND{}", wing, nameLarge(to),
                      to == read.hand ? "" : fmt::format("   (mirrored: the plan draws the {} hand)", name(read.hand))),
          5);
  d.shift(-d.bounds().low);
  return d;
}

namespace {

/// Outline of the first part of the section, from the upper surface round the nose to the lower, mm.
Polyline nosePart(const Section& s, double chord, double upTo) {
  Polyline out;
  for (auto it = s.upper.rbegin(); it != s.upper.rend(); ++it)
    if (it->x() <= upTo) out.push_back(*it * chord);
  for (std::size_t i = 1; i < s.lower.size() && s.lower[i].x() <= upTo; ++i) out.push_back(s.lower[i] * chord);
  return simplified(out, 0);
}

} // namespace

Drawing sectionDrawing(const Section& s, double chord, double noseRadius, const std::string& wing, LengthUnit unit) {
  Drawing d;
  d.title = "Section";
  d.wing = wing;
  const auto len = [&](double mm) { return told(mm, Quantity::length, unit); };
  Polyline loop = outlineOf(s);
  for (Point& p : loop) p *= chord;
  const Box box = boundsOf(loop);
  d.loop(Layer::cut, std::move(loop));
  d.line(Layer::mark, {-4, 0}, {chord + 4, 0});
  for (int tenth = 1; tenth < 10; ++tenth) {
    const double x = tenth / 10.0, up = heightAt(s.upper, x) * chord, down = heightAt(s.lower, x) * chord;
    d.line(Layer::mark, {x * chord, up}, {x * chord, down});
    d.write({x * chord, box.high.y() + 3}, fmt::format("{}", tenth * 10), 2.2, Anchor::middle);
    d.write({x * chord, box.low.y() - 5}, len(up - down), 2.2, Anchor::middle);
  }
  d.write({0, box.high.y() + 9}, fmt::format("{}   chord {}   depths below, % of the chord above", s.name, len(chord)),
          3.5);

  // A card with the nose cut out of it, that slips over the nose of the wing up to 12 % of the chord.
  const double reach = 0.12 * chord, wall = std::max(8.0, 0.04 * chord);
  Polyline nose = nosePart(s, chord, 0.12);
  const Box inner = boundsOf(nose);
  const double y0 = box.low.y() - 16 - inner.high.y() - wall;
  Polyline card{{reach, inner.high.y() + wall},
                {-wall, inner.high.y() + wall},
                {-wall, inner.low.y() - wall},
                {reach, inner.low.y() - wall}};
  if (nose.size() >= 3) {
    card.emplace_back(reach, nose.back().y());
    card.insert(card.end(), nose.rbegin(), nose.rend());
    card.emplace_back(reach, nose.front().y());
  }
  for (Point& p : card) p.y() += y0;
  d.loop(Layer::cut, std::move(card));
  d.write({reach + 6, y0 + 2}, fmt::format("Nose gauge: slips over the nose to {} behind the LE", len(reach)), 3);
  // A half-round notch of the nose radius in the edge of a strip.
  const double r = noseRadius * chord;
  if (r > 0.2) {
    const double x0 = reach + 6, y1 = y0 - wall, w = std::max(3 * r, 12.0), h = r + 10;
    Polyline gauge{{x0, y1}};
    constexpr int steps = 48;
    gauge.emplace_back(x0 + w / 2 - r, y1);
    for (int i = 1; i < steps; ++i) {
      const double a = 3.14159265358979323846 * (1 + static_cast<double>(i) / steps);
      gauge.emplace_back(x0 + w / 2 + r * std::cos(a), y1 + r * std::sin(a));
    }
    gauge.emplace_back(x0 + w / 2 + r, y1);
    gauge.emplace_back(x0 + w, y1);
    gauge.emplace_back(x0 + w, y1 - h);
    gauge.emplace_back(x0, y1 - h);
    d.loop(Layer::cut, std::move(gauge));
    d.write({x0 + w + 4, y1 - 6}, fmt::format("Radius gauge {}", len(r)), 3);
  }
  d.shift(-d.bounds().low);
  return d;
}

} // namespace eup
