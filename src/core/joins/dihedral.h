// Plane and solid trigonometry of joined panels. Angles in radians, lengths in mm.
#pragma once
#include "core/geometry/point.h"
#include <cmath>

namespace eup {

/// Height of the tip of a panel of true length L at angle gamma to the board: L sin Γ.
inline double riseUnderTip(double length, double gamma) {
  return length * std::sin(gamma);
}
/// One half pinned flat, the other propped: it takes both angles, L sin 2Γ.
inline double riseOneFlat(double length, double gamma) {
  return length * std::sin(2 * gamma);
}
/// Length seen from above.
inline double projected(double length, double gamma) {
  return length * std::cos(gamma);
}
/// What is taken off the top of an end of depth d when it leans by gamma: d tan Γ.
inline double trimOver(double depth, double gamma) {
  return depth * std::tan(gamma);
}

/// A spar's direction: its sweep in the panel's plane, and the panel's angle to the horizontal.
struct SparDirection {
  double sweep = 0, gamma = 0;
};

/// The bend of a brace that follows two spar lines which meet at a joint, inner one first: the angle between the
/// directions u = (sin Λ, cos Λ cos Γ, cos Λ sin Γ).
double braceBend(SparDirection inner, SparDirection outer);
/// The same at the root between mirrored halves.
double braceBendMirrored(SparDirection half);
/// A line's direction in space: (x, t, z) is the way that it goes in its panel's axes (aft, outwards, up).
Point3 inSpace(double x, double t, double z, double gamma);
/// Between two directions, rad. Exact for small angles too.
double angleBetween(const Point3& a, const Point3& b);
/// How far a flat brace that holds both directions leans out of the vertical; 0 when they are one.
double braceLean(SparDirection inner, SparDirection outer);
/// Of any line of the right half at the root against its mirror image: (x, t, z) is the way that it goes in the
/// panel's axes (aft, outwards, up), `gamma` the panel's angle to the horizontal.
double lineBendMirrored(double x, double t, double z, double gamma);
/// How far a flat brace that holds both mirrored spar lines leans out of the vertical: tan(lean) = tan Λ / sin Γ.
/// 0 when there is neither sweep nor dihedral; a right angle with sweep alone.
double braceLeanMirrored(SparDirection half);

} // namespace eup
