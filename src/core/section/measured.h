// What is measured off a section: thickness, camber, nose, tail, undercamber. All in fractions of the chord.
#pragma once
#include "core/section/section.h"
#include <optional>

namespace eup {

struct SectionMeasures {
  double thickness = 0, thicknessAt = 0; ///< greatest depth square to the chord line, and where
  double camber = 0, camberAt = 0;       ///< greatest height of the line half way between the surfaces, and where
  double noseRadius = 0;                 ///< of the circle that the surface follows at (0,0); 0 for no round nose
  Point noseCentre{0, 0};                ///< of that circle
  double tailThickness = 0;
  double tailAngle = 0;            ///< rad, between the surfaces over the last tenth of the chord
  double flatFrom = 0, flatTo = 0; ///< the longest run of the underside that a straightedge touches all along
  double area = 0, perimeter = 0;
  double undercamber = 0;                ///< greatest gap over a straightedge laid under the section, square to it
  std::optional<double> undercamberAt{}; ///< nothing when the underside is convex
  double undersideAngle = 0;             ///< rad: the straightedge's angle to the chord line, + when it rises aft
};

SectionMeasures measure(const Section& section);

/// A run counts as flat when it leaves a straight line by no more than this share of the chord: 0.1 mm on 250 mm,
/// which no straightedge on a bench shows.
inline constexpr double flatWithin = 4e-4;

/// Centre of the circle that listed points follow at (0,0): the points themselves lie on the section, what is drawn
/// between them does not quite. (0,0) when they are too few or show no round nose.
Point listedNoseCentre(const Polyline& upper, const Polyline& lower);

/// Depth at a chord fraction in [0, 1], square to the chord line.
double depthAt(const Section& section, double x);

/// Root mean square of the height differences over both surfaces, evenly along the chord; chord fraction.
double rmsBetween(const Section& a, const Section& b);

/// The NACA 4-digit section that lies nearest by `rmsBetween`.
struct NearestFourDigit {
  std::string digits;
  double rms = 0;
};
NearestFourDigit nearestFourDigit(const Section& section);

} // namespace eup
