#include "core/strength/loads.h"
#include "core/measure/units.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// Shares of the half lift: per unit of y/b, outboard of y/b, and moment over lift × b. Integrated in closed form.
struct Shares {
  double density, shear, moment;
};

Shares ellipse(double e) {
  const double root = std::sqrt(std::max(0.0, 1 - e * e));
  const double beyond = pi / 4 - (e * root + std::asin(e)) / 2; // ∫ from e to 1 of the root
  return {4 / pi * root, 4 / pi * beyond, 4 / pi * (root * root * root / 3 - e * beyond)};
}

/// In proportion to what the runs give.
Shares inProportion(const std::vector<LinearRun>& runs, double halfSpan, double y) {
  const double whole = outboardOf(runs, 0).sum;
  const Outboard o = outboardOf(runs, y);
  return {o.here / whole * halfSpan, o.sum / whole, o.moment / whole / halfSpan};
}

Shares shares(const SpanLoad& l, double at) {
  const double y = std::clamp(at, 0.0, l.halfSpan);
  if (l.shape == LoadShape::ellipse) return ellipse(y / l.halfSpan);
  if (l.shape == LoadShape::table) return inProportion(l.table, l.halfSpan, y);
  const Shares straight = inProportion(l.runs, l.halfSpan, y);
  if (l.shape == LoadShape::chord) return straight;
  const Shares round = ellipse(y / l.halfSpan);
  return {(round.density + straight.density) / 2, (round.shear + straight.shear) / 2,
          (round.moment + straight.moment) / 2};
}

} // namespace

double halfLift(double massGrams, double loadFactor) {
  return loadFactor * massGrams / 1000 * standardGravity / 2;
}

Outboard outboardOf(std::span<const LinearRun> runs, double y) {
  Outboard out;
  for (const LinearRun& r : runs) {
    const double length = r.to - r.from, from = std::max(r.from, y);
    if (from > r.to || length <= 0) continue;
    const double v = r.root + (r.tip - r.root) * (from - r.from) / length, rest = r.to - from;
    if (r.from <= y) out.here = v;
    const double area = rest * (v + r.tip) / 2;
    out.sum += area;
    out.moment += area * (from - y) + rest * rest / 6 * (v + 2 * r.tip); // ∫ v(s) (s − y) ds
  }
  return out;
}

double SpanLoad::perLength(double y) const {
  return lift / halfSpan * shares(*this, y).density + outboardOf(besides, y).here;
}
double SpanLoad::shear(double y) const {
  double by = 0;
  for (const HeldPlace& h : held)
    if (h.y > y) by += h.up;
  return lift * shares(*this, y).shear + outboardOf(besides, y).sum + atTip + by;
}
double SpanLoad::moment(double y) const {
  double by = 0;
  for (const HeldPlace& h : held) by += h.up * std::max(h.y - y, 0.0);
  return lift * halfSpan * shares(*this, y).moment + outboardOf(besides, y).moment +
         atTip * std::max(halfSpan - y, 0.0) + by;
}

double SpanLoad::pressed(double y) const {
  double out = 0;
  for (const HeldPlace& h : held)
    if (h.y > y) out += h.pressed;
  return out;
}

const char* wordsOf(LoadCase::What what) {
  switch (what) {
  case LoadCase::What::pull:
    return "pulling up";
  case LoadCase::What::push:
    return "pushing over";
  case LoadCase::What::gust:
    return "a gust";
  case LoadCase::What::gustDown:
    return "a gust from above";
  case LoadCase::What::line:
    return "on the line";
  case LoadCase::What::tip:
    return "landing on a tip";
  case LoadCase::What::dive:
    return "diving";
  }
  return "";
}

double liftSlope(double aspect) {
  return 2 * pi / (1 + 2 / aspect);
}

double gustFactor(double massGrams, double gust, double airSpeed, double area, double meanChord, double aspect) {
  const double mass = massGrams / 1000, s = area * 1e-6, c = meanChord / 1000; // kg, m², m
  const double slope = liftSlope(aspect);
  const double ratio = 2 * mass / (airDensity * c * slope * s), eased = 0.88 * ratio / (5.3 + ratio);
  return 1 + eased * airDensity * gust * airSpeed * slope * s / (2 * mass * standardGravity);
}

std::vector<LoadCase> loadCases(std::span<const PanelBrief> panels, const std::vector<LinearRun>& mass, double gust) {
  const Flying& f = panels.front().flying;
  const LoadFactors factors = panels.front().factors();
  // A fin has no other half: it carries its share alone.
  const double share = panels.front().carries * (panels.front().mirrored ? 1 : 2);
  const double weight = f.mass / 1000 * standardGravity;
  SpanLoad plain{0, panels.back().inboard + panels.back().panel.span, {}, f.shape};
  for (const PanelBrief& p : panels)
    plain.runs.push_back({p.inboard, p.inboard + p.panel.span, p.panel.rootChord, p.panel.tipChord});
  const auto steps = static_cast<double>(f.table.size() - 1);
  for (std::size_t i = 1; f.shape == LoadShape::table && i < f.table.size(); ++i)
    plain.table.push_back({plain.halfSpan * static_cast<double>(i - 1) / steps,
                           plain.halfSpan * static_cast<double>(i) / steps, f.table[i - 1], f.table[i]});
  std::vector<LoadCase> out;
  /// `lifts` times the model's weight, while its own parts weigh `weighs` times theirs.
  const auto add = [&](LoadCase::What what, double lifts, double weighs) {
    LoadCase c{what, lifts, plain};
    c.load.lift = halfLift(f.mass, lifts) * share;
    for (const LinearRun& m : mass)
      if (f.relief)
        c.load.besides.push_back(
            {m.from, m.to, -m.root / 1000 * standardGravity * weighs, -m.tip / 1000 * standardGravity * weighs});
    out.push_back(std::move(c));
  };
  add(LoadCase::What::pull, factors.pull, factors.pull);
  if (factors.push > 0) add(LoadCase::What::push, -factors.push, -factors.push);
  if (f.gust > 0) add(LoadCase::What::gust, gust, gust);
  // As far the other way: it is met flying level. Where lift only falls it is no load of its own.
  if (f.gust > 0 && gust > 2) add(LoadCase::What::gustDown, 2 - gust, 2 - gust);
  const bool main = panels.front().id.wing == 0;
  if (f.linePull > 0 && main) add(LoadCase::What::line, 1 + f.linePull / weight, 1);
  if (f.tipTouch > 0 && main) {
    LoadCase c{LoadCase::What::tip, f.tipTouch, plain};
    c.load.atTip = f.tipTouch * weight;
    out.push_back(std::move(c));
  }
  return out;
}

const LoadCase& worstAt(const std::vector<LoadCase>& cases, double y) {
  return *std::max_element(cases.begin(), cases.end(), [&](const LoadCase& a, const LoadCase& b) {
    return std::abs(a.load.moment(y)) < std::abs(b.load.moment(y));
  });
}

} // namespace eup
