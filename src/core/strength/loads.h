// The lift of one half wing and how it is spread along the span. Forces N, lengths mm, y from the root.
#pragma once
#include "core/design/panel_brief.h"
#include <span>
#include <vector>

namespace eup {

/// n m g / 2: mass in grams, factor n ≥ 0.
double halfLift(double massGrams, double loadFactor);

/// Chord from one place to another, straight between: mm.
struct ChordRun {
  double from = 0, to = 1, root = 1, tip = 1;
};

/// Lift per mm, shear and bending moment at y for a half wing of straight-tapered panels, no relief from the wing's own
/// weight. Schrenk's is the mean of the chord and of the ellipse of the same area (NACA TM 948, 1940).
struct SpanLoad {
  double lift = 0; ///< N, the half wing's
  double halfSpan = 1;
  std::vector<ChordRun> runs; ///< from the root outwards
  LoadShape shape = LoadShape::schrenk;

  double perLength(double y) const;
  double shear(double y) const;
  double moment(double y) const;
};

/// All panels of a wing that carries its share of the model.
SpanLoad spanLoad(std::span<const PanelBrief> panels);

} // namespace eup
