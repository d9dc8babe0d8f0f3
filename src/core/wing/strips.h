// Strip theory along a wing.
#pragma once
#include "core/wing/true_wing.h"

namespace eup {

/// Σ over strips of a half: `of(panel, t, out)` × chord × width of the strip, mm²; t from the panel's inner end, `out`
/// from the wing's middle, mm. Fine enough for surfaces that begin and end anywhere.
template <class Of> double overStrips(const TruePanel& panel, Of of) {
  constexpr int steps = 400;
  const double span = panel.shape.loft.span();
  double sum = 0;
  for (int i = 0; i < steps; ++i) {
    const double t = span * (i + 0.5) / steps;
    sum += of(t, panel.design.inboard + t) * panel.shape.loft.frameAt(t).chord * span / steps;
  }
  return sum;
}

/// What a turn of those surfaces does to rolling: ∫ τ c y dy, mm³, times `turnOf` each (1 for a radian of all).
template <class TurnOf> double rollingOf(const TruePanel& panel, TurnOf turnOf) {
  return overStrips(panel, [&](double t, double out) {
    double all = 0;
    for (const SurfaceMade& made : panel.surfaces)
      if (rolls(panel.design.surfaces[static_cast<std::size_t>(made.line.surface)].kind) && made.line.covers(t))
        all += made.effect * turnOf(made) * out;
    return all;
  });
}

/// What damps rolling: ∫ c y² dy, mm⁴.
inline double dampingOf(const TruePanel& panel) {
  return overStrips(panel, [](double, double out) { return out * out; });
}

} // namespace eup
