// Where the lift of a wing acts across it, when its two hands are not alike.
#pragma once
#include <span>

namespace eup {

/// A strip of either hand, square to the span.
struct LiftStrip {
  double aside = 0;   ///< mm from the middle, right positive
  double area = 0;    ///< mm²
  double washout = 0; ///< rad, against the wing's root
};

/// By strips: each lifts as its area × its own angle, all together as their area × `meanAngle` (rad, mean lift
/// coefficient ÷ lift slope). Lifting-line theory evens twist out along the span: the wing's own lift lies nearer the
/// middle than that. mm, right positive; area and meanAngle > 0.
double liftAside(std::span<const LiftStrip> strips, double meanAngle);

} // namespace eup
