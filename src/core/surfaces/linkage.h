// Servo arm, rod and horn as a plane four-bar linkage with a rod of fixed length, solved exactly. Any one length unit;
// angles rad, counter-clockwise positive: from aft towards up.
#pragma once
#include "core/geometry/point.h"
#include <optional>
#include <vector>

namespace eup {

struct FourBar {
  Point servo{0, 0}, hinge{80, 0};
  double arm = 10, armAngle = 0;   ///< servo's axis to the rod's pin, and how it stands at rest
  double horn = 15, hornAngle = 0; ///< hinge line to the rod's other pin, and how it stands at rest
  Point armPin(double servoTurn) const;
  Point hornPin(double surfaceTurn) const;
  /// As it is at rest; > 0 for a linkage that can be.
  double rod() const { return (hornPin(0) - armPin(0)).norm(); }
};

/// Where the linkage stands when the servo has turned so far from rest.
struct LinkageAt {
  double servoTurn = 0, turn = 0;
  double gain = 0;   ///< rad of the surface per rad of the servo; signed
  double onHorn = 0; ///< rad, between rod and horn: 90° pulls best, 0 or 180° is the dead centre
  double onArm = 0;  ///< the same at the arm
};
/// Nothing where the rod cannot reach: it binds before. Follows the way that the linkage is put together.
std::optional<LinkageAt> linkageAt(const FourBar& bars, double servoTurn);

/// How far the servo can turn that way (sign) before it binds, up to `most`.
double turnsBeforeItBinds(const FourBar& bars, double most);

/// The servo's turn that gives that surface turn, within ±`most`; nothing when it cannot.
std::optional<double> servoTurnFor(const FourBar& bars, double surfaceTurn, double most);

/// Two cords from the ends of a double arm to those of a double horn, as long as they are at rest: how much longer (+)
/// than the cords both ways together are at a servo turn; what the slack one hangs through, or what the tight ones
/// must stretch by (−). Nothing where the pulling cord cannot reach.
std::optional<double> cordSlack(const FourBar& bars, double servoTurn);

} // namespace eup
