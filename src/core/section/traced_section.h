// Sections traced off a plan or a picture: points as they were read, and the smooth section through them.
#pragma once
#include "core/measure/result.h"
#include "core/section/section.h"

namespace eup {

/// Points in mm on the plan, y up, each surface in any order.
struct TracedSection {
  std::string name = "traced";
  Polyline upper, lower;
  double tolerance = 0.3; ///< mm on the plan that the smooth curve may leave a point by
  bool operator==(const TracedSection&) const = default;
};

inline constexpr std::size_t fewestTraced = 4; ///< points a surface

/// How traced points lie on their chord line.
struct PlacedTrace {
  Polyline upper, lower;     ///< chord fractions, in the order given
  double chord = 0;          ///< mm on the plan
  Point le{0, 0};            ///< mm on the plan
  Point aft{1, 0}, up{0, 1}; ///< directions on the plan; `up` lies to the right of `aft` when the nose is drawn right
  Point toChord(const Point& plan) const { return Point((plan - le).dot(aft), (plan - le).dot(up)) / chord; }
  Point toPlan(const Point& fraction) const { return le + chord * (fraction.x() * aft + fraction.y() * up); }
};
struct TraceFit {
  Section section;
  PlacedTrace placed;  ///< on the chord line of the smooth section, which starts at the curve, not at a shaky point
  double chord = 0;    ///< mm on the plan
  double rms = 0;      ///< mm, of the distances of the points from the curve
  double worst = 0;    ///< mm
  Point worstAt{0, 0}; ///< chord fractions
  bool worstUpper = true;
  std::size_t worstPoint = 0; ///< index into that surface's points as they were given
};

/// The chord line runs from the middle of the trailing edge to the point farthest from it. The tail is the end where
/// the surfaces lie closer together. A cubic P-spline (Eilers and Marx, 1996) over ±√x, as smooth as leaves no point
/// farther off than the tolerance. Refuses too few points, points that are no numbers, a chord of no length, surfaces
/// that cross.
Result<TraceFit> fitTrace(const TracedSection& traced);

Result<PlacedTrace> placeTrace(const TracedSection& traced);

/// A section smoothed so that no point moves by more than `tolerance` (chord fraction); nose and tail stay.
Section smoothed(const Section& section, double tolerance);

} // namespace eup
