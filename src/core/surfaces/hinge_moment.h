// What the air does to a plain flap at the tail of a section, by thin aerofoil theory: Glauert, Theoretical
// Relationships for an Aerofoil with a Multiply Hinged Flap System, ARC R&M 1095, 1927. Real surfaces show less: their
// thick tails and their gaps. Shares of the chord, 0 < share < 1; per rad.
#pragma once

namespace eup {

struct HingeSlopes {
  double ofIncidence = 0; ///< b1: of the moment coefficient, on the surface's own chord, nose-up turns positive
  double ofTurn = 0;      ///< b2
};
HingeSlopes hingeSlopes(double share);

/// N·mm about the hinge line of a surface whose chord runs from `chordFrom` to `chordTo` mm over `length` mm of span,
/// with its share of the section's chord at either end: |q ∫ c² (b1 α + b2 δ) dy|, at m/s and rad.
struct SurfaceStrip {
  double chordFrom = 0, chordTo = 0, shareFrom = 0, shareTo = 0, length = 0;
};
double hingeMoment(const SurfaceStrip& strip, double speed, double incidence, double turn);

} // namespace eup
