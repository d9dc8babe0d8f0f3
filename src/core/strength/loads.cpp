#include "core/strength/loads.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

using std::numbers::pi;

/// Shares of the half lift: per unit of y/b, outboard of y/b, and moment over lift × b. Integrated in closed form.
struct Shares {
  double density, shear, moment;
};

Shares ellipse(double e) {
  const double root = std::sqrt(std::max(0.0, 1 - e * e));
  const double beyond = pi / 4 - (e * root + std::asin(e)) / 2; // ∫ from e to 1 of the root
  return {4 / pi * root, 4 / pi * beyond, 4 / pi * (root * root * root / 3 - e * beyond)};
}

Shares chord(const SpanLoad& l, double y) {
  double half = 0, here = 0, beyond = 0, first = 0;
  for (const ChordRun& r : l.runs) {
    const double length = r.to - r.from;
    half += length * (r.root + r.tip) / 2;
    const double from = std::max(r.from, y);
    if (from > r.to || length <= 0) continue;
    const double c = r.root + (r.tip - r.root) * (from - r.from) / length, rest = r.to - from;
    if (r.from <= y) here = c;
    const double area = rest * (c + r.tip) / 2;
    beyond += area;
    first += area * (from - y) + rest * rest / 6 * (c + 2 * r.tip); // ∫ c(s) (s − y) ds
  }
  return {here / half * l.halfSpan, beyond / half, first / half / l.halfSpan};
}

Shares shares(const SpanLoad& l, double at) {
  const double y = std::clamp(at, 0.0, l.halfSpan);
  const Shares round = ellipse(y / l.halfSpan), straight = chord(l, y);
  switch (l.shape) {
  case LoadShape::ellipse:
    return round;
  case LoadShape::chord:
    return straight;
  case LoadShape::schrenk:
    break;
  }
  return {(round.density + straight.density) / 2, (round.shear + straight.shear) / 2,
          (round.moment + straight.moment) / 2};
}

} // namespace

double halfLift(double massGrams, double loadFactor) {
  return loadFactor * massGrams / 1000 * standardGravity / 2;
}

double SpanLoad::perLength(double y) const {
  return lift / halfSpan * shares(*this, y).density;
}
double SpanLoad::shear(double y) const {
  return lift * shares(*this, y).shear;
}
double SpanLoad::moment(double y) const {
  return lift * halfSpan * shares(*this, y).moment;
}

SpanLoad spanLoad(std::span<const PanelBrief> panels) {
  const Flying& f = panels.front().flying;
  // A fin has no other half: it carries its share alone.
  const double share = panels.front().carries * (panels.front().mirrored ? 1 : 2);
  SpanLoad load{halfLift(f.mass, f.loadFactor) * share, panels.back().inboard + panels.back().panel.span, {}, f.shape};
  for (const PanelBrief& p : panels)
    load.runs.push_back({p.inboard, p.inboard + p.panel.span, p.panel.rootChord, p.panel.tipChord});
  return load;
}

} // namespace eup
