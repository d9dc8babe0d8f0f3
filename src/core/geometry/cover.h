// A loop moved inwards by a cover that is not equally thick everywhere: a rib under its sheet and strips.
#pragma once
#include "core/geometry/point.h"

namespace eup {

/// A stretch of a closed loop and how thick its cover is (mm, ≥ 0). Stretches follow on each other, counter-clockwise.
struct Stretch {
  Polyline line;
  double cover = 0;
};

/// The loop under its cover: every line moved inwards square to itself by the stretch's cover, meeting in mitres, with
/// a step square to the loop where the cover changes. Where the cover is thicker than a curve's radius the result runs
/// over itself the wrong way round: such parts are no wood (see `subtractFromWound`).
Polyline underCover(const std::vector<Stretch>& stretches);

} // namespace eup
