// Mass and balance: moments worked by hand, the neutral point at its limits and against the formula for wing and tail.
#include "core/described/design_file.h"
#include "core/design/record_keys.h"
#include "core/edit/wing_edit.h"
#include "core/files/shipped.h"
#include "core/strength/loads.h"
#include "core/wing/model_balance.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

TEST(NeutralPoint, OfAWingAloneIsTheQuarterOfItsMeanChord) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(750, 250, 160, 60);
  const TrueWing w = wingOf(d);
  // By hand: MAC 208.293 at 347.561 of a half span of 750 (a plain taper); its nose lies 60 × 347.561 ÷ 750 aft.
  EXPECT_NEAR(figureOf(w, "balance.neutral"), 60 * 347.561 / 750 + 208.293 / 4, 0.01);
}

// Wing and tail: h_n = h_ac + V̄ (a_t ÷ a) (1 − dε/dα), V̄ = S_t l ÷ (S c̄) with l from the wing's aerodynamic centre, and
// a = a_w + a_t (S_t ÷ S)(1 − dε/dα) of both together (Etkin, Dynamics of Flight, the neutral point; from memory).
TEST(NeutralPoint, OfWingAndTailFollowsTheTextbook) {
  const LiftingSurface wing{300000, 1500, 50, 200, 1}, tail{60000, 500, 700, 120, 0.9};
  const NeutralPoint n = neutralPoint(std::vector{wing, tail});
  const double aw = liftSlope(7.5), at = liftSlope(500.0 * 500 / 60000), wash = 2 * aw / (3.14159265358979 * 7.5);
  const double share = at * 0.9 * (60000.0 / 300000) * (1 - wash), whole = aw + share;
  const double volume = 60000.0 * 650 / (300000.0 * 200);
  EXPECT_NEAR(n.aft, 50 + 200 * volume * at * 0.9 * (1 - wash) / whole, 1e-6);
  EXPECT_EQ(n.shares[0].downwash, 0);
  EXPECT_NEAR(n.shares[1].downwash, wash, 1e-12);
}

/// Whatever the surfaces are, it lies between the foremost and the hindmost quarter chord; a larger tail moves it aft;
/// a foreplane forward.
RC_GTEST_PROP(NeutralPoint, MovesTheRightWay, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  const LiftingSurface wing{some(1e5, 5e5), some(1000, 3000), some(20, 90), 200, 1};
  LiftingSurface tail{some(1e4, 9e4), some(300, 900), some(400, 1200), 100, some(0.6, 1.0)};
  const double with = neutralPoint(std::vector{wing, tail}).aft, alone = neutralPoint(std::vector{wing}).aft;
  RC_ASSERT(with > alone && with < tail.quarterChord);
  LiftingSurface larger = tail;
  larger.area *= 1.2, larger.span *= std::sqrt(1.2);
  RC_ASSERT(neutralPoint(std::vector{wing, larger}).aft > with);
  tail.quarterChord = -tail.quarterChord;
  RC_ASSERT(neutralPoint(std::vector{wing, tail}).aft < alone);
}

// A beam by hand: 200 g at 10 and 300 g at 60 balance at 40; 100 g at −160 bring that to (500 × 40 − 16000) ÷ 600.
TEST(Balance, MomentsByHand) {
  const MassPoint all = together(std::vector<MassPoint>{{200, {10, 5, 0}}, {300, {60, -5, 0}}});
  EXPECT_NEAR(all.grams, 500, 1e-12);
  EXPECT_NEAR(all.at.x(), 40, 1e-12);
  EXPECT_NEAR(all.at.y(), -1, 1e-12);
  const double wanted = (500.0 * 40 - 16000) / 600;
  EXPECT_NEAR(*ballastFor(all, wanted, -160), 100, 1e-9);
  EXPECT_FALSE(ballastFor(all, -160, -160).has_value());
  EXPECT_EQ(together({}).grams, 0);
}

/// The figures keep their promises: with the ballast in, or the first thing aboard moved, it balances where it should;
/// with the mass at the lighter tip, in the middle.
TEST(Balance, WhatIsAdvisedBalancesIt) {
  for (const char* name : {"fenlark-1500", "skerrow-1460", "tarnbrook-2000"})
    for (const double back : {-60.0, 90.0}) {
      Design d = demoDesign(name);
      d.balance.aboard = {{"battery", 180, back, 0, 0}, {"fuselage", 700, 150, 12, -20}};
      const TrueWing w = wingOf(d);
      const double wanted = figureOf(w, "balance.wanted");
      EXPECT_NEAR(figureOf(w, "balance.margin"),
                  (figureOf(w, "balance.neutral") - figureOf(w, "balance.at")) / w.main().planform.meanChord, 1e-12);
      const Figure* ballast = figureNamed(w, "balance.ballast");
      ASSERT_NE(ballast, nullptr);
      if (ballast->label.starts_with("Ballast")) {
        Design with = d;
        with.balance.aboard.push_back({"lead", ballast->value, d.balance.ballastAft, 0, 0});
        EXPECT_NEAR(figureOf(wingOf(with), "balance.at"), wanted, 1e-6) << name;
      }
      const Figure* shift = figureNamed(w, "balance.shift");
      ASSERT_NE(shift, nullptr);
      Design moved = d;
      moved.balance.aboard[0].aft += shift->label.find("forward") != std::string::npos ? -shift->value : shift->value;
      EXPECT_NEAR(figureOf(wingOf(moved), "balance.at"), wanted, 1e-6) << name;
      const Figure* tip = figureNamed(w, "balance.tip");
      ASSERT_NE(tip, nullptr);
      EXPECT_NE(tip->where.find("left"), std::string::npos) << "the fuselage hangs to the right";
      Design level = d;
      level.balance.aboard.push_back({"tip", tip->value, 0, -w.main().fromAbove, 0});
      EXPECT_EQ(figureNamed(wingOf(level), "balance.tip"), nullptr) << name;
    }
}

/// A place beside the balance point is none for ballast: no tons are asked for.
TEST(Balance, NoBallastBesideTheBalancePoint) {
  Design d = demoDesign("fenlark-1500");
  d.balance.aboard[0].grams = 0;
  d.balance.ballastAft = figureOf(wingOf(d), "balance.wanted") - 0.01;
  EXPECT_EQ(figureNamed(wingOf(d), "balance.ballast"), nullptr);
}

/// Weighed pieces count in place of reckoned ones, by hand; half of the difference to one side is told.
TEST(Balance, WeighedPiecesReplaceReckonedOnes) {
  Design d = demoDesign("tarnbrook-2000");
  d.balance.aboard = {{"fuselage", 600, 60, 0, 0}};
  d.balance.glue = 0;
  const TrueWing before = wingOf(d);
  const ModelBalance was = balanceOf(before);
  const TruePanel& panel = before.at({0, 1});
  const Part* le = nullptr;
  for (const Part& p : panel.parts)
    if (p.key() == "le") le = &p;
  ASSERT_NE(le, nullptr);
  d.balance.weighed = {{pieceKey({0, 1}, le->id), Hand::left, le->grams + 3},
                       {"wings.0.panels.0.rib.999", Hand::right, 9}};
  const TrueWing w = wingOf(d);
  const ModelBalance is = balanceOf(w);
  EXPECT_NEAR(is.all.grams - was.all.grams, 3, 1e-9);
  const Point3 at = w.main().inSpace[1].at(le->centre.x(), le->centre.y(), le->centre.z());
  EXPECT_NEAR(is.rightMore - was.rightMore, -3 * at.y(), 1e-6);
  EXPECT_EQ(is.weighed, 1);
  EXPECT_TRUE(test::hasFinding(findingsOf(w), "balance.gone"));
  EXPECT_NEAR(figureOf(w, "balance.weighed"), 3, 1e-9);
}

/// Symmetrical wings balance in their middle, and all the pieces' centres by panel add up to the whole.
TEST(Balance, WingsHangLevel) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    const ModelBalance b = balanceOf(w);
    constexpr double washedIn = 0.1; // mm: a left hand of its own is a hair shorter in chord
    EXPECT_NEAR(b.pieces.at.y(), 0, w.left ? washedIn : 1e-9) << name;
    EXPECT_GT(b.pieces.grams, 0);
    EXPECT_GT(b.wanted, -500);
  }
}

/// A file may hold a fin alone: it has no neutral point, and no margin.
TEST(Balance, FinsAloneHaveNoNeutralPoint) {
  Design d;
  d.wings[0].kind = WingKind::fin;
  d.balance.aboard = {{"fuselage", 1100, 190, 0, 0}};
  const TrueWing w = wingOf(d);
  EXPECT_EQ(figureNamed(w, "balance.neutral"), nullptr);
  EXPECT_GT(figureOf(w, "balance.at"), 0);
}

TEST(Balance, BehindTheNeutralPointIsSerious) {
  Design d;
  d.balance.aboard = {{"fuselage", 1100, 190, 0, 0}};
  bool told = false;
  for (const Finding& f : findingsOf(wingOf(d)))
    if (f.key == "balance.margin") told = f.severity == Severity::serious;
  EXPECT_TRUE(told);
}

} // namespace
} // namespace eup
