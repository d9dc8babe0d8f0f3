// What is measured off a section: thickness, camber, nose, tail, undercamber. All in fractions of the chord.
#pragma once
#include "core/section/section.h"
#include <optional>

namespace eup {

struct SectionMeasures {
  double thickness = 0, thicknessAt = 0; ///< greatest depth square to the chord line, and where
  double camber = 0, camberAt = 0;       ///< greatest height of the line half way between the surfaces, and where
  double noseRadius = 0;                 ///< circle through the points next to the nose, both surfaces
  double tailThickness = 0;
  double area = 0, perimeter = 0;
  double undercamber = 0;                ///< greatest gap over a straightedge laid under the section, square to it
  std::optional<double> undercamberAt{}; ///< nothing when the underside is convex
  double undersideAngle = 0;             ///< rad: the straightedge's angle to the chord line, + when it rises aft
};

SectionMeasures measure(const Section& section);

} // namespace eup
