// Servo arm, rod and horn against turns found by brute force; hinge moments against thin aerofoil theory summed up
// numerically; bevels against an outline that is turned until it touches.
#include "chance.h"
#include "core/parts/hinge_cut.h"
#include "core/strength/soft_wing.h"
#include "core/surfaces/hinge_moment.h"
#include "core/surfaces/linkage.h"
#include "support.h"
#include <numbers>

namespace eup {
namespace {

FourBar barsOf(Point hinge, double arm, double armDeg, double horn, double hornDeg) {
  return {{0, 0}, hinge, arm, degToRad(armDeg), horn, degToRad(hornDeg)};
}

// Found by brute force outside this project: the surface's turn at which the pins are as far apart as at rest.
TEST(Linkage, TurnsAsFoundByBruteForce) {
  struct Case {
    FourBar bars;
    double turns[4]; // at the servo's −40°, −20°, 20°, 40°
  };
  const Case cases[] = {{barsOf({80, 0}, 10, 90, 15, 90), {-25.108, -13.1273, 13.2314, 25.6225}},
                        {barsOf({60, -4}, 9, 110, 14, 90), {-26.1729, -12.7663, 11.3351, 20.3434}},
                        {barsOf({95, 6}, 12, 75, 18, 80), {-21.9881, -12.2347, 13.2198, 26.4081}}};
  for (const Case& c : cases)
    for (int i = 0; i < 4; ++i) {
      constexpr double servo[] = {-40, -20, 20, 40};
      const auto at = linkageAt(c.bars, degToRad(servo[i]));
      ASSERT_TRUE(at);
      EXPECT_NEAR(radToDeg(at->turn), c.turns[i], 1e-3 * std::abs(c.turns[i]));
    }
}

// Whatever the linkage: the rod keeps its length, the gain is the slope of the turn, and the way back leads home.
TEST(Linkage, RodKeepsItsLength) {
  test::Chance chance(31);
  int tried = 0, bound = 0;
  while (tried < 300) {
    const FourBar b{{0, 0},
                    {chance.between(30, 150), chance.between(-20, 20)},
                    chance.between(5, 25),
                    chance.between(-pi, pi),
                    chance.between(6, 40),
                    chance.between(-pi, pi)};
    const auto rest = linkageAt(b, 0);
    ASSERT_TRUE(rest);
    EXPECT_NEAR(rest->turn, 0, 1e-6);
    if (std::abs(std::sin(rest->onHorn)) < 0.2) continue; // at the dead centre nothing is certain
    ++tried;
    const double turn = chance.between(-1, 1);
    const auto at = linkageAt(b, turn);
    const double end = turnsBeforeItBinds(b, turn);
    bound += std::abs(end) < std::abs(turn);
    EXPECT_LE(std::abs(end), std::abs(turn) + 1e-12);
    if (!at) {
      EXPECT_LT(std::abs(end), std::abs(turn));
      continue;
    }
    EXPECT_NEAR((b.hornPin(at->turn) - b.armPin(turn)).norm(), b.rod(), 1e-6 * b.rod());
    constexpr double step = 1e-6;
    const auto a = linkageAt(b, turn - step), c = linkageAt(b, turn + step);
    if (a && c && std::abs(std::sin(at->onHorn)) > 0.2) {
      EXPECT_NEAR(at->gain, (c->turn - a->turn) / (2 * step), 1e-4 * (1 + std::abs(at->gain)));
    }
  }
  EXPECT_GT(bound, 10);
}

TEST(Linkage, TurnsBackToWhatWasAsked) {
  const FourBar b = barsOf({90, -6}, 11, -80, 16, -95);
  for (const double asked : {0.05, 0.2, 0.4, -0.1, -0.35}) {
    const auto servo = servoTurnFor(b, asked, pi / 2);
    ASSERT_TRUE(servo) << asked;
    EXPECT_NEAR(linkageAt(b, *servo)->turn, asked, 1e-9);
  }
  EXPECT_FALSE(servoTurnFor(b, 1.4, pi / 2)); // an arm shorter than the horn never gives so much
}

// A parallelogram of two cords keeps both tight; a longer arm lets one hang through or stretches both.
TEST(Linkage, CordsOfAParallelogramStayTight) {
  FourBar b = barsOf({100, 0}, 14, 90, 14, 90);
  for (const double turn : {-0.6, -0.2, 0.3, 0.7}) EXPECT_NEAR(cordSlack(b, turn).value(), 0, 1e-9);
  b.hinge.y() = 7; // set higher it is one still
  EXPECT_NEAR(cordSlack(b, 0.5).value(), 0, 1e-9);
  b.horn = 20; // with a longer horn it is none
  EXPECT_GT(std::abs(cordSlack(b, 0.6).value()), 0.05);
}

// Ch = b1 α + b2 δ, by another program's sums over the plate (Glauert, ARC R&M 1095, 1927).
TEST(HingeMoment, ThinFlaps) {
  struct Row {
    double share, effect, ofIncidence, ofTurn;
  };
  const Row rows[] = {{0.15, 0.480502, -0.4273, -0.903112},
                      {0.2, 0.549815, -0.499382, -0.922877},
                      {0.25, 0.608998, -0.565347, -0.943608},
                      {0.3, 0.660746, -0.627407, -0.965403},
                      {0.4, 0.747785, -0.744804, -1.01266}};
  for (const Row& r : rows) {
    const HingeSlopes b = hingeSlopes(r.share);
    EXPECT_NEAR(b.ofIncidence, r.ofIncidence, 1e-3 * -r.ofIncidence);
    EXPECT_NEAR(b.ofTurn, r.ofTurn, 1e-3 * -r.ofTurn);
    EXPECT_NEAR(flapSlopes(r.share).lift / (2 * pi), r.effect, 1e-3 * r.effect);
  }
  EXPECT_NEAR(hingeSlopes(1e-3).ofTurn, -8 / (3 * pi), 2e-3); // a flap of no chord
  EXPECT_NEAR(hingeSlopes(0.999).ofTurn, -pi / 2, 5e-3);      // and one that is all of it
}

// 300 mm of a surface 50 wide, a quarter of the chord, at 20 m/s and 20°: 0.5 × 1.225 × 400 Pa × 0.9436 × 0.349 ×
// 0.05² m² × 0.3 m.
TEST(HingeMoment, OfAPlainSurface) {
  const double moment = hingeMoment({50, 50, 0.25, 0.25, 300}, 20, 0, degToRad(20));
  EXPECT_NEAR(moment, 245 * 0.943608 * degToRad(20) * 0.0025 * 0.3 * 1000, 0.02);
  EXPECT_NEAR(hingeMoment({50, 50, 0.25, 0.25, 300}, 40, 0, degToRad(20)), 4 * moment, 1e-6);
  // Tapered to a point: a third of it.
  EXPECT_NEAR(hingeMoment({50, 0, 0.25, 0.25, 300}, 20, 0, degToRad(20)), moment / 3, 1e-3 * moment);
}

// Cut back by depth × tan(travel) at the top or the underside, half of that on either face at the middle.
TEST(Bevel, WithoutAGapIsTheTravel) {
  const double cases[][4] = {{18, 20, 6.55146, 3.27573}, {12.5, 25, 5.82885, 2.91442}, {9, 30, 5.19615, 2.59808}};
  for (const auto& [depth, travel, atFace, atMiddle] : cases) {
    EXPECT_NEAR(depth * std::tan(clearingBevel(depth, 0, degToRad(travel))), atFace, 1e-4);
    EXPECT_NEAR(depth / 2 * std::tan(clearingBevel(depth / 2, 0, degToRad(travel))), atMiddle, 1e-4);
  }
}

/// The surface's front as a chain of many points, turned; how far before the wing's face it comes.
double intrudes(double depth, double gap, double bevel, double turn) {
  double most = -1e9;
  for (int i = 0; i <= 2000; ++i) {
    const double down = depth * i / 2000;
    const Point p(gap / 2 + down * std::tan(bevel), -down);
    most = std::max(most, -gap / 2 - (p.x() * std::cos(turn) + p.y() * std::sin(turn)));
  }
  return most;
}

TEST(Bevel, JustClears) {
  test::Chance chance(32);
  for (int i = 0; i < 400; ++i) {
    const double depth = chance.between(2, 30), gap = i % 3 == 0 ? 0 : chance.between(0, 2),
                 travel = degToRad(chance.between(3, 60)), bevel = clearingBevel(depth, gap, travel);
    EXPECT_LE(intrudes(depth, gap, bevel, travel), 1e-6);
    if (bevel > 1e-6) {
      EXPECT_GT(intrudes(depth, gap, bevel, travel + degToRad(0.5)), 0) << depth << ' ' << gap;
    }
  }
  EXPECT_EQ(clearingBevel(10, 8, degToRad(20)), 0); // a gap that wide needs none
  EXPECT_EQ(clearingBevel(10, 0, 0), 0);
}

} // namespace
} // namespace eup
