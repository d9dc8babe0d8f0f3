#include "core/surfaces/linkage.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

Point turned(double length, double angle) {
  return {length * std::cos(angle), length * std::sin(angle)};
}

double between(const Point& a, const Point& b) {
  const double cosine = a.dot(b) / std::max(a.norm() * b.norm(), 1e-12);
  return std::acos(std::clamp(cosine, -1.0, 1.0));
}

/// The angle in (−π, π].
double wrapped(double angle) {
  return std::remainder(angle, 2 * std::numbers::pi);
}

} // namespace

Point FourBar::armPin(double servoTurn) const {
  return servo + turned(arm, armAngle + servoTurn);
}

Point FourBar::hornPin(double surfaceTurn) const {
  return hinge + turned(horn, hornAngle + surfaceTurn);
}

std::optional<LinkageAt> linkageAt(const FourBar& b, double servoTurn) {
  const double rod = b.rod();
  // Which of the two ways it is put together: on which side of the line from the hinge to the arm's pin the horn lies.
  const Point atRest = b.armPin(0) - b.hinge, horn = b.hornPin(0) - b.hinge;
  const double side = atRest.x() * horn.y() - atRest.y() * horn.x() >= 0 ? 1 : -1;
  const Point pin = b.armPin(servoTurn), d = pin - b.hinge;
  const double l = d.norm();
  if (l < 1e-9 || b.horn <= 0 || rod < 1e-9) return std::nullopt;
  const double cosine = (l * l + b.horn * b.horn - rod * rod) / (2 * l * b.horn);
  if (cosine > 1 + 1e-9 || cosine < -1 - 1e-9) return std::nullopt;
  LinkageAt out;
  out.servoTurn = servoTurn;
  out.turn = wrapped(std::atan2(d.y(), d.x()) + side * std::acos(std::clamp(cosine, -1.0, 1.0)) - b.hornAngle);
  const Point hornWay = b.hornPin(out.turn) - b.hinge, armWay = pin - b.servo, rodWay = b.hornPin(out.turn) - pin;
  out.onHorn = between(hornWay, rodWay), out.onArm = between(armWay, rodWay);
  const auto square = [](const Point& p) { return Point(-p.y(), p.x()); };
  const double pulled = square(hornWay).dot(rodWay), pulls = square(armWay).dot(rodWay);
  out.gain = std::abs(pulled) > 1e-12 ? pulls / pulled : 0;
  return out;
}

double turnsBeforeItBinds(const FourBar& b, double most) {
  if (linkageAt(b, most) && linkageAt(b, most / 2)) return most; // it binds at one end only
  double low = 0, high = most;
  for (int i = 0; i < 50; ++i) {
    const double middle = (low + high) / 2;
    (linkageAt(b, middle) ? low : high) = middle;
  }
  return low;
}

std::optional<double> servoTurnFor(const FourBar& b, double surfaceTurn, double most) {
  const auto rest = linkageAt(b, 0);
  if (!rest || rest->gain == 0) return std::nullopt;
  const double way = surfaceTurn * rest->gain >= 0 ? 1 : -1, end = turnsBeforeItBinds(b, way * most);
  const auto at = [&](double turn) { return linkageAt(b, turn).value_or(LinkageAt{}).turn; };
  const double sign = surfaceTurn >= 0 ? 1 : -1;
  if (sign * at(end) < sign * surfaceTurn - 1e-12) return std::nullopt;
  double low = 0, high = end;
  for (int i = 0; i < 60; ++i) {
    const double middle = (low + high) / 2;
    (sign * at(middle) < sign * surfaceTurn ? low : high) = middle;
  }
  return high;
}

std::optional<double> cordSlack(const FourBar& b, double servoTurn) {
  FourBar other = b; // the far ends of arm and horn
  other.armAngle += std::numbers::pi, other.hornAngle += std::numbers::pi;
  // The cord whose pins draw apart pulls, the other follows.
  const bool firstPulls = [&] {
    const auto gap = [&](const FourBar& bars) { return (bars.hornPin(0) - bars.armPin(servoTurn)).norm(); };
    return gap(b) - b.rod() >= gap(other) - other.rod();
  }();
  const FourBar &pulling = firstPulls ? b : other, &following = firstPulls ? other : b;
  const auto at = linkageAt(pulling, servoTurn);
  if (!at) return std::nullopt;
  return following.rod() - (following.hornPin(at->turn) - following.armPin(servoTurn)).norm();
}

} // namespace eup
