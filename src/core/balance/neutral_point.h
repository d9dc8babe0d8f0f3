// Where a model's lift grows as its angle changes, and what is hung on where: moments and the neutral point.
#pragma once
#include "core/geometry/point.h"
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace eup {

/// A lifting surface, whole, in the model's axes (mm aft of the main wing's root leading edge).
struct LiftingSurface {
  double area = 0;         ///< mm²
  double span = 0;         ///< mm
  double quarterChord = 0; ///< mm aft: a quarter of its mean aerodynamic chord behind that chord's nose
  double meanChord = 0;    ///< mm
  double flow = 1;         ///< dynamic pressure there over that of the free flow
  double aspect() const { return span * span / area; }
};

/// How much a surface adds, per radian of the model's angle.
struct SurfaceShare {
  double slope = 0;    ///< lift slope, per rad, of its own area
  double downwash = 0; ///< dε/dα there, from surfaces ahead
  double weight = 0;   ///< slope × area × flow × (1 − downwash)
};

struct NeutralPoint {
  double aft = 0; ///< mm
  std::vector<SurfaceShare> shares;
};

/// Σ a S η (1 − dε/dα) x ÷ Σ a S η (1 − dε/dα), stick fixed: the usual sum of wing and tail (Etkin, Dynamics of Flight;
/// from memory), for any number of surfaces. Lift slopes as for the twist of soft wings; downwash of a surface far
/// ahead is 2 a ÷ (π A), of elliptic lift (Prandtl's lifting line), on the part of the span behind that it covers. A
/// surface is behind another when its quarter chord lies more than that one's mean chord aft. Fuselage and propeller
/// are not in it: they move it forward by a few percent of the chord. Surfaces with area and span > 0; at least one.
NeutralPoint neutralPoint(std::span<const LiftingSurface> surfaces);

/// Masses and where they are.
struct MassPoint {
  double grams = 0;
  Point3 at{0, 0, 0}; ///< aft, right, up
};
/// Their common centre; the origin where nothing weighs.
MassPoint together(std::span<const MassPoint> masses);

/// What has to be put at a place so that the balance comes to lie `wanted` mm aft, g: negative where it would have to
/// be taken away there. Nothing when the place is the wanted one.
std::optional<double> ballastFor(const MassPoint& all, double wanted, double ballastAft);

} // namespace eup
