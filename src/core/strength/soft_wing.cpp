#include "core/strength/soft_wing.h"
#include "core/geometry/solve.h"
#include "core/strength/spar_strength.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// Equations of the twist at every strip's outer end, held at the root: (K − q A) θ = q (b + δ f), q in MPa. Straight
/// between the ends, as in finite elements of two nodes.
struct Equations {
  Eigen::MatrixXd stiffness, lift;
  Eigen::VectorXd own, flap;
  Eigen::VectorXd roll;  ///< rolling moment of the twist, per MPa
  double rollOfFlap = 0; ///< and of the aileron, per rad and MPa
};

constexpr double quarter = 0.25;

Equations equationsOf(std::span<const TwistStrip> strips, double slope) {
  const auto n = static_cast<Eigen::Index>(strips.size());
  Equations e{Eigen::MatrixXd::Zero(n, n), Eigen::MatrixXd::Zero(n, n), Eigen::VectorXd::Zero(n),
              Eigen::VectorXd::Zero(n),    Eigen::VectorXd::Zero(n),    0};
  for (Eigen::Index i = 0; i < n; ++i) {
    const TwistStrip& s = strips[static_cast<std::size_t>(i)];
    const double l = s.to - s.from, c2 = s.chord * s.chord, arm = s.axis - quarter;
    FlapSlopes flap;
    if (s.aileron > 0) flap = flapSlopes(s.aileron);
    const double flapLift = flap.lift * slope / (2 * pi); // as much less as the whole wing's lift is
    const double k = s.stiffness / l, lift = slope * arm * c2 * l, middle = (s.from + s.to) / 2;
    const auto add = [&](Eigen::Index row, Eigen::Index column, double stiff, double mass) {
      if (row < 0 || column < 0) return; // the root is held
      e.stiffness(row, column) += stiff * k;
      e.lift(row, column) += mass * lift;
    };
    add(i - 1, i - 1, 1, 1.0 / 3), add(i, i, 1, 1.0 / 3), add(i - 1, i, -1, 1.0 / 6), add(i, i - 1, -1, 1.0 / 6);
    for (const Eigen::Index at : {i - 1, i}) {
      if (at < 0) continue;
      e.own(at) += s.sectionMoment * c2 * l / 2;
      e.flap(at) += (flap.moment + flapLift * arm) * c2 * l / 2;
      e.roll(at) += slope * s.chord * l * middle / 2;
    }
    e.rollOfFlap += flapLift * s.chord * l * middle;
  }
  return e;
}

/// MPa of q from m/s, and back.
double pressureAt(double speed) {
  return airDensity * speed * speed / 2 * 1e-6;
}
double speedAt(double pressure) {
  return std::sqrt(2 * pressure * 1e6 / airDensity);
}

/// The least q > 0 at which the twist has no end.
std::optional<double> divergenceOf(const Equations& e) {
  const Eigen::MatrixXd m = symmetricSolution(e.stiffness, e.lift);
  const double most = largestEigenvalue(m);
  return most > 0 ? std::optional(1 / most) : std::nullopt;
}

/// Rolling moment per rad of aileron, per MPa.
double rollAt(const Equations& e, double q) {
  const Eigen::VectorXd twist = squareSolution(e.stiffness - q * e.lift, q * e.flap);
  return e.rollOfFlap + e.roll.dot(twist);
}

} // namespace

double meanLineMoment(const Section& section) {
  constexpr int steps = 400;
  const auto middle = [&](double turn) {
    const double x = std::clamp((1 - std::cos(turn)) / 2, 0.0, 1.0);
    return (heightAt(section.upper, x) + heightAt(section.lower, x)) / 2;
  };
  double first = 0, second = 0; // A₁ and A₂, by the middle of every step
  for (int i = 0; i < steps; ++i) {
    const double from = pi * i / steps, to = pi * (i + 1) / steps, at = (from + to) / 2;
    const double run = (std::cos(from) - std::cos(to)) / 2, slope = (middle(to) - middle(from)) / run;
    first += slope * std::cos(at) * 2 / steps;
    second += slope * std::cos(2 * at) * 2 / steps;
  }
  return pi / 4 * (second - first);
}

double twistAxis(const PanelBrief& d, const std::vector<SparLine>& spars, const ChordFrame& at, double ahead) {
  double weight = 0, sum = 0;
  for (const SparLine& line : spars) {
    if (!line.reaches(at.t)) continue;
    const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
    const double ei = bendingStiffness(sparSection(spar, line, at.t, d.tables), spar, line, at.t, d.tables);
    weight += ei, sum += ei * line.chordX(at) / at.chord;
  }
  constexpr double usual = 0.35;
  return std::max((weight > 0 ? sum / weight : usual) - ahead, 0.0);
}

FlapSlopes flapSlopes(double share) {
  const double hinge = std::acos(std::clamp(2 * share - 1, -1.0, 1.0)); // cos θ = 1 − 2 x, x = 1 − share
  return {2 * (pi - hinge + std::sin(hinge)), -std::sin(hinge) * (1 - std::cos(hinge)) / 2};
}

double sectionTorque(std::span<const TwistStrip> strips, double speed, double y) {
  double sum = 0;
  for (const TwistStrip& s : strips)
    sum += s.sectionMoment * s.chord * s.chord * std::max(s.to - std::max(s.from, y), 0.0);
  return pressureAt(speed) * sum;
}

SoftWing softWing(std::span<const TwistStrip> strips, double slope, double diveSpeed) {
  const Equations e = equationsOf(strips, slope);
  SoftWing out;
  out.at.push_back(0);
  for (const TwistStrip& s : strips) out.at.push_back(s.to);
  const auto divergence = divergenceOf(e);
  if (divergence) out.divergence = speedAt(*divergence);
  const double q = pressureAt(diveSpeed);
  for (const double y : out.at) out.torque.push_back(sectionTorque(strips, diveSpeed, y));
  if (!divergence || q < *divergence) {
    out.twist.assign(out.at.size(), 0);
    const Eigen::VectorXd twist = squareSolution(e.stiffness - q * e.lift, q * e.own);
    for (std::size_t i = 0; i < strips.size(); ++i) out.twist[i + 1] = twist(static_cast<Eigen::Index>(i));
  }
  if (e.rollOfFlap <= 0) return out;
  // Roll falls with q from what the aileron alone gives; past divergence it means nothing.
  double low = 0, high = divergence ? *divergence * 0.999 : 1.0;
  for (int i = 0; !divergence && i < 40 && rollAt(e, high) > 0; ++i) high *= 2;
  if (rollAt(e, high) > 0) return out;
  for (int i = 0; i < 26; ++i) { // to a millionth
    const double middle = (low + high) / 2;
    (rollAt(e, middle) > 0 ? low : high) = middle;
  }
  out.reversal = speedAt(high);
  return out;
}

} // namespace eup
