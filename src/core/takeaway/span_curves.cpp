#include "core/takeaway/span_curves.h"
#include <algorithm>

namespace eup {
namespace {

constexpr int stepsOfPanel = 120;

SpanCurve ofLoads(const WholeWing& wing, const char* label, const char* unit, double (SpanLoad::*value)(double) const,
                  double scale) {
  SpanCurve curve{label, unit, {}};
  const LoadCase& worst = worstAt(wing.loads, 0);
  const double span = wing.planform.halfSpan;
  for (const LoadCase& c : wing.loads) {
    SpanCurve::Line line{wordsOf(c.what), &c == &worst, {}};
    for (int i = 0; i <= stepsOfPanel; ++i)
      line.places.emplace_back(span * i / stepsOfPanel, (c.load.*value)(span * i / stepsOfPanel) * scale);
    curve.lines.push_back(std::move(line));
  }
  return curve;
}

SpanCurve twistOf(const WholeWing& wing) {
  SpanCurve curve{"Twist", "°", {}};
  if (!wing.soft || wing.soft->twist.empty() || wing.panels.front().design.flying.diveSpeed <= 0) return curve;
  SpanCurve::Line line{"diving", true, {}};
  for (std::size_t i = 0; i < wing.soft->at.size(); ++i)
    line.places.emplace_back(wing.soft->at[i], -radToDeg(wing.soft->twist[i]));
  curve.lines.push_back(std::move(line));
  return curve;
}

/// Each panel under the load that bends its own root most, standing on the bend of those inside it.
SpanCurve bendOf(const WholeWing& wing) {
  SpanCurve curve{"Bend", "mm", {}};
  SpanCurve::Line line{wordsOf(worstAt(wing.loads, 0).what), true, {}};
  double sag = 0, slope = 0;
  for (const TruePanel& p : wing.panels) {
    for (const BentPlace& b : p.strength.bending.along)
      line.places.emplace_back(p.design.inboard + b.t, sag + slope * b.t + b.sag);
    sag += slope * p.shape.loft.span() + p.strength.bending.tipDeflection;
    slope += p.strength.bending.tipSlope;
  }
  const bool any = std::any_of(wing.panels.begin(), wing.panels.end(),
                               [](const TruePanel& p) { return p.strength.bending.rootStiffness > 0; });
  if (any) curve.lines.push_back(std::move(line));
  return curve;
}

} // namespace

double SpanCurve::Line::at(double y) const {
  if (places.empty()) return 0;
  const auto next =
      std::upper_bound(places.begin(), places.end(), y, [](double value, const Point& p) { return value < p.x(); });
  if (next == places.begin()) return places.front().y();
  if (next == places.end()) return places.back().y();
  const Point &a = *(next - 1), &b = *next;
  return a.y() + (b.y() - a.y()) * (y - a.x()) / (b.x() - a.x());
}

std::vector<SpanCurve> spanCurves(const WholeWing& wing) {
  return {ofLoads(wing, "Lift", "N/m", &SpanLoad::perLength, 1000), ofLoads(wing, "Shear", "N", &SpanLoad::shear, 1),
          ofLoads(wing, "Bending", "N·m", &SpanLoad::moment, 1e-3), twistOf(wing), bendOf(wing)};
}

} // namespace eup
