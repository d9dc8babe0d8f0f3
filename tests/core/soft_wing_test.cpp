#include "core/section/naca.h"
#include "core/strength/soft_wing.h"
#include "support.h"
#include <cmath>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

using test::naca;

// Thin-airfoil theory's worked example for the 230 mean line: c_m about the quarter chord −0.0127 (Anderson,
// Fundamentals of Aerodynamics, example 4.7; from memory). Thickness is laid off square to the line, so that half way
// between a thick section's faces is not quite on it near the nose: a thin one is asked. The 2412's gives −0.053.
TEST(SoftWing, MeanLineMoments) {
  EXPECT_NEAR(meanLineMoment(naca("23002")), -0.0127, 0.0004);
  EXPECT_NEAR(meanLineMoment(naca("2412")), -0.0531, 0.001);
  EXPECT_NEAR(meanLineMoment(naca("0012")), 0, 1e-9);
}

// A plain flap of a quarter of the chord turns 0.61 of its angle into incidence (Glauert's chart; from memory).
TEST(SoftWing, FlapSlopes) {
  EXPECT_NEAR(flapSlopes(0.25).lift / (2 * pi), 0.609, 0.002);
  EXPECT_NEAR(flapSlopes(1).lift, 2 * pi, 1e-6); // all of it is the wing
  EXPECT_NEAR(flapSlopes(1).moment, 0, 1e-6);
  EXPECT_LT(flapSlopes(0.25).moment, -0.6);
}

constexpr double span = 800, chord = 150, stiff = 4e6, axis = 0.4, slope = 5;
std::vector<TwistStrip> evenWing(int strips, double gj = stiff, double aileron = 0) {
  std::vector<TwistStrip> out;
  for (int i = 0; i < strips; ++i)
    out.push_back({span * i / strips, span * (i + 1) / strips, chord, gj, axis, -0.05, aileron});
  return out;
}

// Bisplinghoff, Ashley and Halfman, Aeroelasticity (1955): q = (π ÷ 2 l)² GJ ÷ (c e a), e in length.
TEST(SoftWing, EvenWingRunsAwayWhereTheBookSays) {
  const double q = std::pow(pi / (2 * span), 2) * stiff / (chord * (axis - 0.25) * chord * slope); // MPa
  const auto soft = softWing(evenWing(24), slope, 0);
  ASSERT_TRUE(soft.divergence.has_value());
  EXPECT_NEAR(*soft.divergence, std::sqrt(2 * q * 1e6 / 1.225), 0.002 * *soft.divergence);
}

// GJ θ″ + q a e c θ + q c_m c² = 0, θ(0) = 0, θ′(l) = 0: θ(l) = c_m c ÷ (a e) (1 ÷ cos λl − 1), λ² = q a e c ÷ GJ.
TEST(SoftWing, EvenWingTwistsInADiveAsTheEquationSays) {
  const double speed = 30, q = 1.225 * speed * speed / 2 * 1e-6, e = (axis - 0.25) * chord;
  const double l = std::sqrt(q * slope * e * chord / stiff) * span;
  const double exact = -0.05 * chord / (slope * e) * (1 / std::cos(l) - 1);
  const auto soft = softWing(evenWing(40), slope, speed);
  EXPECT_NEAR(soft.twist.back(), exact, 0.002 * std::abs(exact));
  EXPECT_NEAR(soft.torque.front(), q * -0.05 * chord * chord * span, 1e-9);
  EXPECT_NEAR(soft.torque.back(), 0, 1e-12);
}

TEST(SoftWing, ReversalNeedsAnAileronAndGoesWithTheRootOfStiffness) {
  EXPECT_FALSE(softWing(evenWing(24), slope, 0).reversal.has_value());
  const auto one = softWing(evenWing(24, stiff, 0.2), slope, 0),
             four = softWing(evenWing(24, 4 * stiff, 0.2), slope, 0);
  ASSERT_TRUE(one.reversal && four.reversal);
  EXPECT_NEAR(*four.reversal, 2 * *one.reversal, 1e-3 * *one.reversal);
  // An axis on the quarter chord never runs away, but its aileron still turns it.
  auto ahead = evenWing(24, stiff, 0.2);
  for (TwistStrip& s : ahead) s.axis = 0.25;
  const auto held = softWing(ahead, slope, 0);
  EXPECT_FALSE(held.divergence.has_value());
  EXPECT_TRUE(held.reversal.has_value());
}

TEST(SoftWing, PastDivergenceNoTwistIsTold) {
  const auto still = softWing(evenWing(24), slope, 0);
  EXPECT_EQ(still.twist, std::vector<double>(25, 0.0));
  EXPECT_TRUE(softWing(evenWing(24), slope, 1.1 * *still.divergence).twist.empty());
}

TEST(SoftWing, SofterWingsAreToldOf) {
  Design d;
  d.flying.diveSpeed = 25;
  const TrueWing firm = wingOf(d);
  EXPECT_GT(figureOf(firm, "soft.diveTwist"), 0); // a cambered section turns its nose down
  EXPECT_FALSE(hasFinding(findingsOf(firm), "soft.divergence"));
  d.inner().sheeting.top = d.inner().sheeting.bottom = false;
  d.flying.diveSpeed = 120;
  const TrueWing soft = wingOf(d);
  EXPECT_LT(figureOf(soft, "soft.divergence"), figureOf(firm, "soft.divergence"));
  EXPECT_TRUE(hasFinding(findingsOf(soft), "soft.divergence"));
}

} // namespace
} // namespace eup
