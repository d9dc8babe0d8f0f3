#include "core/joins/panel_join.h"
#include "support.h"
#include <Eigen/Geometry>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

SparDirection dir(double sweepDeg, double gammaDeg) {
  return {degToRad(sweepDeg), degToRad(gammaDeg)};
}

// Plane trigonometry worked by hand, L 610.
TEST(Dihedral, RiseAndAngle) {
  for (const auto& [rise, deg] :
       std::vector<std::pair<double, double>>{{12.7, 1.1930}, {25.4, 2.3864}, {50.8, 4.7771}}) {
    EXPECT_NEAR(radToDeg(std::asin(rise / 610)), deg, 1e-4);
    EXPECT_NEAR(riseUnderTip(610, degToRad(deg)), rise, 0.001);
  }
  EXPECT_NEAR(projected(610, std::asin(50.8 / 610)), 607.881, 0.001);
  EXPECT_NEAR(riseOneFlat(610, degToRad(4.5)), 95.425, 0.001);
  EXPECT_NEAR(trimOver(18, degToRad(3)), 0.943, 0.001);
  EXPECT_NEAR(trimOver(22, degToRad(6.5)), 2.507, 0.001);
}

// Solid geometry: the angle between two directions, worked apart from the program.
TEST(Brace, BendFromSweepAndDihedral) {
  EXPECT_NEAR(radToDeg(braceBend(dir(0, 0), dir(3, 6))), 6.706, 0.001);
  EXPECT_NEAR(radToDeg(braceBend(dir(2, 0), dir(5, 8))), 8.529, 0.001);
  EXPECT_NEAR(radToDeg(braceBend(dir(0, 0), dir(10, 5))), 11.169, 0.001);
  EXPECT_NEAR(radToDeg(braceBendMirrored(dir(0, 5))), 10.000, 0.001);
  EXPECT_NEAR(radToDeg(braceBendMirrored(dir(6, 5))), 15.609, 0.001);
  EXPECT_NEAR(radToDeg(braceBendMirrored(dir(20, 3))), 40.429, 0.001);
  EXPECT_NEAR(radToDeg(braceLeanMirrored(dir(6, 5))), 50.3, 0.05);
  EXPECT_NEAR(radToDeg(braceLeanMirrored(dir(20, 3))), 81.8, 0.05);
  EXPECT_EQ(braceLeanMirrored(dir(0, 0)), 0);
}

/// A second construction by rotation matrices: the plate through both spar lines, its bend and its lean.
RC_GTEST_PROP(Brace, AgreesWithRotations, ()) {
  const double sweep = degToRad(*rc::gen::inRange(-300, 300) / 10.0),
               gamma = degToRad(*rc::gen::inRange(1, 300) / 10.0);
  using Eigen::AngleAxisd;
  const Point3 x(1, 0, 0), z(0, 0, 1);
  const Point3 right = AngleAxisd(gamma, x) * (AngleAxisd(-sweep, z) * Point3(0, 1, 0));
  const Point3 left = AngleAxisd(-gamma, x) * (AngleAxisd(sweep, z) * Point3(0, -1, 0));
  RC_ASSERT(std::abs(braceBendMirrored({sweep, gamma}) - std::acos(std::clamp(-right.dot(left), -1.0, 1.0))) < 1e-6);
  const Point3 normal = right.cross(left).normalized();
  RC_ASSERT(std::abs(braceLeanMirrored({sweep, gamma}) - std::asin(std::min(1.0, std::abs(normal.z())))) < 1e-6);
}

TEST(CentreJoin, FiguresOfTheWing) {
  Design d;
  d.inner().panel.span = 610;
  d.inner().join.dihedral = {DihedralBy::rise, 25.4};
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(radToDeg(figureOf(w, "join.dihedral")), 2.3864, 1e-4);
  EXPECT_NEAR(figureOf(w, "panel.spanFromAbove"), 2 * 610 * std::cos(std::asin(25.4 / 610)), 1e-6);
  EXPECT_NEAR(figureOf(w, "join.rootTaller"), 1 / std::cos(std::asin(25.4 / 610)) - 1, 1e-9);
  d.inner().join.propping = Propping::oneFlat;
  EXPECT_NEAR(figureOf(wingOf(d), "join.riseOneFlat"), 610 * std::sin(2 * std::asin(25.4 / 610)), 1e-6);
}

TEST(CentreJoin, BraceKeepsBetweenTheCaps) {
  const TrueWing w = wingOf(Design{});
  ASSERT_EQ(w.inner().join.braces.size(), 1u);
  const Brace& b = w.inner().join.braces.at(0);
  EXPECT_NEAR(b.depthRoot,
              w.inner().frame.spars[0].upperSeat.root.y() - w.inner().frame.spars[0].lowerSeat.root.y() - 6, 1e-9);
  EXPECT_LT(b.outer.depthEnd, b.depthRoot) << "it tapers with the wing";
  EXPECT_EQ(b.outer.toRib, 3);
  ASSERT_EQ(b.outline.size(), 6u);
  // The two legs of the flat outline make the bend.
  const Point right = (b.outline[1] + b.outline[2]) / 2, left = (b.outline[4] + b.outline[5]) / 2;
  EXPECT_NEAR(std::acos(-right.dot(left) / right.norm() / left.norm()), b.bend, 1e-9);
}

// A flat underside washed out about its leading edge: the tail stands c sin θ over the board.
TEST(SettingUp, FlatUndersideBlocksWashoutByChordTimesSine) {
  Design d = test::bareDesign();
  const ListedSection flat{"flat",
                           {{0, 0}, {0.05, 0.06}, {0.3, 0.12}, {0.6, 0.09}, {1, 0.002}},
                           {{0, 0}, {0.3, 0}, {0.6, 0}, {1, 0}},
                           false};
  d.inner().sections.root = d.inner().sections.tip = listedSection(flat);
  d.inner().panel.washoutDeg = 3;
  d.inner().join.datum = Datum::undersideFlat;
  const TrueWing w = wingOf(d);
  EXPECT_FALSE(w.inner().settingUp.fellBack);
  EXPECT_NEAR(figureOf(w, "setup.12.te"), 160 * std::sin(degToRad(3)), 0.01);
  EXPECT_NEAR(figureOf(w, "setup.12.nose"), 0, 0.01);
  EXPECT_NEAR(figureOf(w, "setup.1.te"), 0, 0.01);
}

TEST(SettingUp, ConvexUndersideFallsBackAndSaysSo) {
  Design d;
  d.inner().sections.root = d.inner().sections.tip = nacaSection("0012");
  d.inner().join.datum = Datum::undersideFlat;
  const TrueWing w = wingOf(d);
  EXPECT_TRUE(w.inner().settingUp.fellBack);
  EXPECT_TRUE(test::hasFinding(findingsOf(w), "setup.convex"));
}

TEST(SettingUp, NothingLiesBelowTheBoard) {
  for (Datum datum : {Datum::chordLevel, Datum::undersideFlat}) {
    Design d;
    d.inner().sections.root = d.inner().sections.tip = nacaSection("6409");
    d.inner().join.datum = datum;
    double least = 1e300;
    const TrueWing w = wingOf(d);
    for (const RibSupports& r : w.inner().settingUp.ribs)
      for (const Support& s : r.at) least = std::min(least, s.height);
    EXPECT_GE(least, -1e-9);
  }
}

} // namespace
} // namespace eup
