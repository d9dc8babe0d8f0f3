// The lift of one half wing and how it is spread along the span. Forces N, lengths mm, y from the root.
#pragma once
#include "core/design/design.h"

namespace eup {

/// n m g / 2: mass in grams, factor n ≥ 0.
double halfLift(double massGrams, double loadFactor);

/// Lift per mm, shear and bending moment at y for a straight-tapered half wing, no relief from the wing's own weight.
/// Schrenk's is the mean of the chord and of the ellipse of the same area (NACA TM 948, 1940).
struct SpanLoad {
  double lift = 0; ///< N, the half wing's
  double halfSpan = 1, rootChord = 1, tipChord = 1;
  LoadShape shape = LoadShape::schrenk;

  double perLength(double y) const;
  double shear(double y) const;
  double moment(double y) const;
};

SpanLoad spanLoad(const Design& design);

} // namespace eup
