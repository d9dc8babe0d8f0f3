// What runs along the span of a wing under its loads, ready to be drawn: lift, shear, bending, twist and bend.
#pragma once
#include "core/wing/true_wing.h"

namespace eup {

struct SpanCurve {
  struct Line {
    std::string words;         ///< of which load
    bool worst = false;        ///< the one that bends the root most
    std::vector<Point> places; ///< (mm from the wing's root, value)
    double at(double y) const; ///< straight between its places
  };
  std::string label, unit;
  std::vector<Line> lines; ///< none where nothing is decided that would give one
};

/// Always the same five, in that order: lift per length (N/m), shear (N), bending (N·m), twist (°, nose down), bend
/// (mm).
std::vector<SpanCurve> spanCurves(const WholeWing& wing);

} // namespace eup
