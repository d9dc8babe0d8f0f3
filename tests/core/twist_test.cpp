// Frames in space against handbook beams, shear panels and Bredt's tube; a panel's twist against plain expectations.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/tables.h"
#include "core/strength/space_frame.h"
#include "core/trials/stiffening.h"
#include "support.h"
#include <cmath>
#include <Eigen/Geometry>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

constexpr double e = 10000, g = 600;

/// A cantilever, in any direction of space, loaded at its end: bending, twisting and stretching as in any handbook of
/// strength (P L³ ÷ 3 E I, T L ÷ G J, P L ÷ E A).
TEST(SpaceFrame, CantileverInAnyDirection) {
  const MemberStuff stuff = rectangularMember(e, g, 4, 10);
  EXPECT_NEAR(stuff.inertiaUp, 4 * 1000.0 / 12, 1e-9);
  EXPECT_NEAR(stuff.inertiaAcross, 10 * 64.0 / 12, 1e-9);
  EXPECT_NEAR(stuff.torsion, 0.2492 * 10 * 64, 0.04 * stuff.torsion) << "Roark: 0.249 a b³ for sides of 2.5 to 1";
  for (const Eigen::AngleAxisd& turn :
       {Eigen::AngleAxisd(0, Point3::UnitX()), Eigen::AngleAxisd(0.7, Point3(1, 2, 3).normalized())}) {
    const Point3 along = turn * Point3::UnitX(), up = turn * Point3::UnitZ(), across = turn * Point3::UnitY();
    const auto movedBy = [&](const Point3& force) -> Point3 {
      SpaceFrame f;
      std::vector<int> n;
      for (int i = 0; i <= 4; ++i) n.push_back(f.node(along * (50.0 * i)));
      for (std::size_t i = 1; i < n.size(); ++i)
        f.member(n[i - 1], along * (50.0 * static_cast<double>(i - 1)), n[i], along * (50.0 * static_cast<double>(i)),
                 stuff, up);
      f.hold(n[0]);
      f.force(n[4], along * 200, force);
      EXPECT_TRUE(f.solve());
      return f.moved(n[4], along * 200);
    };
    const double l3 = 200.0 * 200 * 200;
    EXPECT_NEAR(movedBy(up * 2).dot(up), 2 * l3 / (3 * e * stuff.inertiaUp), 1e-6);
    EXPECT_NEAR(movedBy(across * 2).dot(across), 2 * l3 / (3 * e * stuff.inertiaAcross), 1e-6);
    EXPECT_NEAR(movedBy(along * 2).dot(along), 2 * 200 / (e * 40), 1e-9);
    EXPECT_NEAR(movedBy(up * 2).dot(across), 0, 1e-9);
  }
}

TEST(SpaceFrame, TwistsByForcesOnArms) {
  const MemberStuff stuff = rectangularMember(e, g, 3, 3);
  SpaceFrame f;
  const int a = f.node({0, 0, 0}), b = f.node({0, 300, 0});
  f.member(a, {0, 0, 0}, b, {0, 300, 0}, stuff, Point3::UnitZ());
  f.hold(a);
  f.force(b, {-50, 300, 0}, {0, 0, -1});
  f.force(b, {50, 300, 0}, {0, 0, 1});
  ASSERT_TRUE(f.solve());
  // 100 N·mm; the turn about the member lowers the front and lifts the back.
  const double turn = 100 * 300 / (g * stuff.torsion);
  EXPECT_NEAR(f.moved(b, {50, 300, 0}).z(), 50 * turn, 1e-9);
  EXPECT_NEAR(f.moved(b, {-50, 300, 0}).z(), -50 * turn, 1e-9);
  // Held at both ends and loaded in the middle: P L³ ÷ 192 E I.
  SpaceFrame fixed;
  const int left = fixed.node({0, 0, 0}), middle = fixed.node({100, 0, 0}), right = fixed.node({200, 0, 0});
  fixed.member(left, {0, 0, 0}, middle, {100, 0, 0}, stuff, Point3::UnitZ());
  fixed.member(middle, {100, 0, 0}, right, {200, 0, 0}, stuff, Point3::UnitZ());
  fixed.hold(left), fixed.hold(right);
  fixed.force(middle, {100, 0, 0}, {0, 0, 5});
  ASSERT_TRUE(fixed.solve());
  EXPECT_NEAR(fixed.moved(middle, {100, 0, 0}).z(), 5 * 8e6 / (192 * e * stuff.inertiaUp), 1e-9);
}

TEST(SpaceFrame, SaysWhenSomethingIsLoose) {
  SpaceFrame f;
  const int a = f.node({0, 0, 0}), b = f.node({100, 0, 0});
  f.member(a, {0, 0, 0}, b, {100, 0, 0}, {e, g, 10, 0, 0, 0}, Point3::UnitZ()); // a bar swings
  f.hold(a);
  f.force(b, {100, 0, 0}, {0, 1, 0});
  EXPECT_FALSE(f.solve());
}

/// A tube of four thin walls between stiff frames, twisted: Bredt's GJ (60 × 20 mm, 1.5 mm thick: J = 54 000 mm⁴).
TEST(SpaceFrame, AClosedTubeTwistsAsBredtSays) {
  constexpr double wide = 60, high = 20, t = 1.5, bay = 30;
  constexpr int bays = 12;
  SpaceFrame f;
  const MemberStuff corner = rectangularMember(1, 1, 0.5, 0.5);
  const std::array<Point, 4> corners{Point(0, 0), Point(wide, 0), Point(wide, high), Point(0, high)};
  std::vector<int> nodes; // one a frame: the frame is stiff in itself
  const auto place = [&](int i, std::size_t k) { return Point3(corners[k].x(), bay * i, corners[k].y()); };
  for (int i = 0; i <= bays; ++i) nodes.push_back(f.node({wide / 2, bay * i, high / 2}));
  for (int i = 1; i <= bays; ++i) {
    const int a = nodes[static_cast<std::size_t>(i - 1)], b = nodes[static_cast<std::size_t>(i)];
    for (std::size_t k = 0; k < 4; ++k) {
      const std::size_t next = (k + 1) % 4;
      f.member(a, place(i - 1, k), b, place(i, k), corner, Point3::UnitZ());
      f.shearWall({a, b, b, a}, {place(i - 1, k), place(i, k), place(i, next), place(i - 1, next)}, g * t);
    }
  }
  f.hold(nodes[0]);
  const double force = 10;
  f.force(nodes.back(), {0, bay * bays, high / 2}, {0, 0, -force});
  f.force(nodes.back(), {wide, bay * bays, high / 2}, {0, 0, force});
  ASSERT_TRUE(f.solve());
  const double twist =
      (f.moved(nodes.back(), {wide, bay * bays, 0}).z() - f.moved(nodes.back(), {0, bay * bays, 0}).z()) / wide;
  // Frames that hold every corner to one plane hinder the tube from warping; for that it is a little stiffer.
  const double bredt = force * wide * bay * bays / (g * 54000);
  EXPECT_LT(twist, bredt * 1.001);
  EXPECT_GT(twist, bredt * 0.70);
}

/// A frame of two spars, uncovered, without sheet.
Design twoSpars() {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 200);
  p.leadingEdge.kind = LeadingEdgeKind::square;
  p.leadingEdge.width = 6;
  p.trailingEdge.kind = TrailingEdgeKind::wedge;
  p.trailingEdge.width = 20;
  Spar front, rear;
  front.rootFraction = front.tipFraction = 0.25;
  rear.rootFraction = rear.tipFraction = 0.65;
  rear.name = "rear spar";
  p.spars = {front, rear};
  return d;
}

double twistOf(const Design& d) {
  return figureOf(wingOf(d), "twist.angle");
}

TEST(TwistTest, IsInProportionToTheCouple) {
  Design d = twoSpars();
  const double once = twistOf(d);
  EXPECT_GT(once, 0) << "a couple that lifts the tail turns the nose down: positive as washout";
  d.flying.twistCouple *= 3;
  EXPECT_NEAR(twistOf(d), 3 * once, 1e-9 * once);
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "twist.stiffness"), d.flying.twistCouple * 600 / w.inner().strength.twist->twist, 1e-3);
}

TEST(TwistTest, WhatStiffensStiffens) {
  const Design plain = twoSpars();
  const double bare = twistOf(plain);
  const auto with = [&](Diagonals kind, DiagonalPlane plane) {
    Design d = plain;
    d.inner().stiffening.diagonals = kind;
    d.inner().stiffening.plane = plane;
    return bare / twistOf(d);
  };
  // Common practice has it, and a frame tried by finite elements: one set gains little, two opposite sets more, zigzags
  // in both planes most. How much depends on the frame.
  const double one = with(Diagonals::oneWay, DiagonalPlane::sloping),
               crossed = with(Diagonals::crossed, DiagonalPlane::top),
               zigzag = with(Diagonals::zigzag, DiagonalPlane::both);
  EXPECT_GE(one, 1);
  EXPECT_GT(crossed, 1);
  EXPECT_GT(zigzag, crossed);
  EXPECT_GT(zigzag, 1.5);
  RecordProperty("oneSloping", std::to_string(one));
  RecordProperty("crossedTop", std::to_string(crossed));
  RecordProperty("zigzagBoth", std::to_string(zigzag));
  Design webs = plain;
  for (Spar& s : webs.inner().spars) s.webs = Webs::between;
  EXPECT_LT(twistOf(webs), bare);
  Design closed = webs;
  closed.inner().sheeting.top = closed.inner().sheeting.bottom = true;
  closed.inner().sheeting.to = SheetTo::sparRear;
  EXPECT_GT(bare / twistOf(closed), 3) << "a closed nose is what resists twisting";
  for (const char* covering : {"tissue", "film", "fabric"}) {
    Design covered = plain;
    covered.inner().stiffening.covering = covering;
    EXPECT_LT(twistOf(covered), bare);
    EXPECT_GT(figureOf(wingOf(covered), "twist.grams"), 0);
  }
}

/// The closed nose of a straight wing against Bredt's tube of the same sheet: the frame's straight walls enclose less
/// than the curved nose, and ribs, edges and covering help: within a third of each other.
TEST(TwistTest, AClosedNoseIsNearBredtsTube) {
  Design d = twoSpars();
  PanelDesign& p = d.inner();
  p.sections.root.naca = p.sections.tip.naca = "0015";
  p.spars.resize(1);
  p.spars[0].webs = Webs::between;
  p.spars[0].webThickness = 1.5;
  p.sheeting.top = p.sheeting.bottom = true;
  p.sheeting.to = SheetTo::sparRear;
  p.sheeting.thickness = 1.5;
  p.ribs.count = 13;
  const TrueWing w = wingOf(d);
  const double j = figureOf(w, "box.torsion"), gj = figureOf(w, "twist.stiffness") / Tables{}.named("balsa-160").shear;
  EXPECT_GT(gj, 0.6 * j);
  EXPECT_LT(gj, 1.6 * j);
}

TEST(TwistTest, TrialsAreWhatTheyWouldBe) {
  const Design d = twoSpars();
  const auto trials = stiffeningTrials(wingOf(d).inner());
  ASSERT_GE(trials.size(), 10u);
  EXPECT_DOUBLE_EQ(trials.front().stiffer, 1);
  for (std::size_t i = 1; i < trials.size(); ++i) {
    Design changed = d;
    trials[i].change(changed.inner());
    EXPECT_FALSE(changed == d);
    EXPECT_GT(trials[i].grams, 0) << trials[i].what;
    // Strips on the ribs put the caps deeper under the surface, which may cost more than they give.
    EXPECT_GE(trials[i].stiffer, trials[i].what.starts_with("cap strips") ? 0.8 : 0.999) << trials[i].what;
    EXPECT_NEAR(twistOf(changed), trials[i].twist, 0.12 * trials[i].twist) << trials[i].what; // caps go under the sheet
  }
  Design done = d;
  trials[1].change(done.inner());
  EXPECT_EQ(stiffeningTrials(wingOf(done).inner()).size(), trials.size() - 2)
      << "what is there is not tried, nor a part of it";
}

TEST(TwistTest, EveryDemoHasOneAndCrossingRibsAreStiff) {
  for (const char* name : {"fenlark-1500", "tarnbrook-2000", "skerrow-1460", "oldacre-1320", "lanehurst-1180"}) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const TruePanel& p : w.main().panels) {
      ASSERT_TRUE(p.strength.twist.has_value()) << name;
      EXPECT_GT(p.strength.twist->twist, 0) << name;
      EXPECT_LT(radToDeg(p.strength.twist->twist), 45) << name;
    }
  }
  Design crossed = demoDesign("lanehurst-1180");
  const double as = twistOf(crossed);
  crossed.inner().ribs.direction = RibDirection::flight;
  EXPECT_GT(twistOf(crossed) / as, 2) << "that is what they are built for";
}

std::optional<BayCheck> check(const SparBay& bay, BayCheck::What what) {
  for (const BayCheck& c : bay.checks)
    if (c.what == what) return std::optional(c);
  return std::optional<BayCheck>();
}

/// A strut of 6 × 3 mm spruce, 60 mm from rib to rib, worked by hand: r = 3 ÷ √12 = 0.8660, l ÷ r = 69.28,
/// π² × 10 800 ÷ 4800 = 22.21 MPa.
TEST(Bays, ACapBucklesAsEulerSays) {
  EXPECT_NEAR(eulerStress(10800, 3 / std::sqrt(12.0), 60), 22.21, 0.01);
  Design d = twoSpars();
  d.inner().spars.resize(1);
  const TrueWing w = wingOf(d);
  const SparBay& first = w.inner().strength.bays.front();
  ASSERT_EQ(first.checks.size(), 5u) << "pressed, buckling, pulled, both edges";
  const double l = (first.to - first.from) * w.inner().frame.spars[0].stretch;
  EXPECT_NEAR(check(first, BayCheck::What::buckling)->strength, eulerStress(10800, 3 / std::sqrt(12.0), l), 1e-9);
  EXPECT_NEAR(check(first, BayCheck::What::compression)->stress, figureOf(w, "spar.1.stressTop"), 1e-9);
  // A web holds it upright: it is free along the chord, where it is twice as wide. Sheet on it holds it there too.
  d.inner().spars[0].webs = Webs::between;
  const TrueWing webbed = wingOf(d);
  EXPECT_NEAR(check(webbed.inner().strength.bays.front(), BayCheck::What::buckling)->strength,
              4 * check(first, BayCheck::What::buckling)->strength, 1e-6);
  d.inner().sheeting.top = true;
  d.inner().sheeting.fraction = 0.4;
  const TrueWing sheeted = wingOf(d);
  EXPECT_FALSE(check(sheeted.inner().strength.bays.front(), BayCheck::What::buckling).has_value());
  // The web's shear is the flow between the caps over its thickness.
  EXPECT_NEAR(check(webbed.inner().strength.bays.front(), BayCheck::What::web)->stress,
              std::abs(webbed.inner().strength.bending.spars[0].webFlow) / 1.5, 1e-9);
}

TEST(Bays, TheWeakestIsWhereItBreaksFirst) {
  Design d = twoSpars();
  const double reserve = figureOf(wingOf(d), "bay.weakest");
  d.flying.loadFactor *= 2;
  EXPECT_NEAR(figureOf(wingOf(d), "bay.weakest"), reserve / 2, 1e-9);
  d.flying.loadFactor *= 20;
  const TrueWing w = wingOf(d);
  EXPECT_TRUE(test::hasFinding(findingsOf(w), "spar.buckling"));
  EXPECT_TRUE(test::hasFinding(findingsOf(w), "spar.webs"));
  for (Spar& s : d.inner().spars) s.webs = Webs::between, s.webThickness = 0.3;
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "spar.web"));
  EXPECT_FALSE(test::hasFinding(findingsOf(wingOf(d)), "spar.webs"));
}

TEST(Bays, TheWebsGlueGoesByTheWeakerWood) {
  Design d = twoSpars();
  Spar& s = d.inner().spars[0];
  s.webs = Webs::between, s.webMaterial = "birch-ply";
  s.top.material = "spruce", s.bottom.material = "balsa-160";
  const TrueWing w = wingOf(d);
  const SparBay& first = w.inner().strength.bays.front();
  const auto glue = check(first, BayCheck::What::glue), web = check(first, BayCheck::What::web);
  ASSERT_TRUE(glue && web);
  EXPECT_DOUBLE_EQ(glue->strength, Tables{}.named("balsa-160").shearStrength);
  EXPECT_DOUBLE_EQ(web->strength, Tables{}.named("birch-ply").shearStrength);
  EXPECT_DOUBLE_EQ(glue->stress, web->stress); // over the same thickness
  EXPECT_NEAR(figureOf(w, "spar.1.webGlue"), glue->reserve(), 0.2 * glue->reserve());
}

TEST(TwistTest, SaysWhenTheCoupleIsTooMuch) {
  Design d = twoSpars();
  d.flying.twistCouple = 1;
  EXPECT_FALSE(wingOf(d).inner().strength.twist->tooFar());
  EXPECT_EQ(figureNamed(wingOf(d), "twist.angle")->where.find("too much"), std::string::npos);
  d.flying.twistCouple = 1e6;
  EXPECT_NE(figureNamed(wingOf(d), "twist.angle")->where.find("too much"), std::string::npos);
}

/// Any panel: a positive twist, or nothing where there is no frame.
RC_GTEST_PROP(TwistTest, IsANumber, ()) {
  Design d;
  PanelDesign& p = d.inner();
  p.leadingEdge.kind = *rc::gen::element(LeadingEdgeKind::none, LeadingEdgeKind::square, LeadingEdgeKind::shaped);
  p.trailingEdge.kind = *rc::gen::element(TrailingEdgeKind::none, TrailingEdgeKind::wedge, TrailingEdgeKind::twoSheets);
  p.sheeting.top = *rc::gen::arbitrary<bool>();
  p.sheeting.bottom = *rc::gen::arbitrary<bool>();
  p.ribs.count = *rc::gen::inRange(2, 20);
  p.ribs.direction = *rc::gen::element(RibDirection::flight, RibDirection::diagonal);
  p.ribs.crossing = *rc::gen::arbitrary<bool>();
  p.spars[0].stops = *rc::gen::arbitrary<bool>();
  p.spars[0].kind = *rc::gen::element(SparKind::caps, SparKind::fullDepth);
  p.spars[0].webs = *rc::gen::element(Webs::none, Webs::between);
  if (*rc::gen::arbitrary<bool>()) p.spars.clear(), p.sheeting.to = SheetTo::fraction;
  p.stiffening.diagonals = *rc::gen::element(Diagonals::none, Diagonals::oneWay, Diagonals::crossed, Diagonals::zigzag);
  p.stiffening.covering = *rc::gen::element(std::string("none"), std::string("film"));
  const TrueWing w = wingOf(d);
  if (!w.inner().strength.twist) return;
  RC_ASSERT(std::isfinite(w.inner().strength.twist->twist));
  RC_ASSERT(w.inner().strength.twist->twist > 0);
}

/// A spar as far forward as it can be stands where the nose's own line does: sorting the two ended the program.
TEST(TwistTest, ASparInTheNoseIsWorkedOut) {
  for (const double at : {0.02, 0.03, 0.05, 0.98}) {
    Design d;
    d.inner().spars[0].rootFraction = d.inner().spars[0].tipFraction = at;
    const auto result = work(d);
    if (const auto* w = std::get_if<TrueWing>(&result)) {
      if (w->inner().strength.twist) {
        EXPECT_TRUE(std::isfinite(w->inner().strength.twist->twist)) << at;
      }
    }
  }
}

/// So many nodes that they are ordered another way: a cantilever of 1600 bays bends as one of a single bay, F L³ ÷ 3 E
/// I.
TEST(SpaceFrame, AnyNumberOfNodesBendsAsTheHandbookSays) {
  for (const int bays : {1, 1600}) {
    SpaceFrame frame;
    const double length = 800, modulus = 10000;
    const MemberStuff strip = rectangularMember(modulus, modulus / 16, 8, 6);
    std::vector<int> nodes;
    std::vector<Point3> at;
    for (int i = 0; i <= bays; ++i) {
      at.emplace_back(0, length * i / bays, 0);
      nodes.push_back(frame.node(at.back()));
      if (i > 0)
        frame.member(nodes[static_cast<std::size_t>(i - 1)], at[static_cast<std::size_t>(i - 1)], nodes.back(),
                     at.back(), strip, Point3::UnitZ());
    }
    frame.hold(nodes.front());
    frame.force(nodes.back(), at.back(), {0, 0, 2});
    ASSERT_TRUE(frame.solve().ok());
    const double sag = 2 * length * length * length / (3 * modulus * 8 * 6 * 6 * 6 / 12.0);
    EXPECT_NEAR(frame.moved(nodes.back(), at.back()).z(), sag, 1e-4 * sag) << bays;
  }
}

/// Hundreds of ribs that cross are worked out; only their twist is not, and that is said. More than can be worked on is
/// refused as what it is.
TEST(CrossingRibs, HundredsOfThemEnd) {
  Design d = demoDesign("lanehurst-1180");
  d.inner().ribs.rule = RibRule::count;
  d.inner().ribs.count = 150;
  const TrueWing w = test::wingOf(d);
  EXPECT_GT(crossingsIn(w.inner().frame), mostCrossings);
  EXPECT_FALSE(w.inner().strength.twist.has_value());
  EXPECT_TRUE(test::hasFinding(findingsOf(w), "twist.many"));
  d.inner().ribs.count = mostRibs;
  while (d.wings[0].panels.size() < 4) d.wings[0].panels.push_back(d.inner());
  const auto refused = work(d);
  ASSERT_TRUE(std::holds_alternative<std::vector<Finding>>(refused));
  EXPECT_TRUE(test::hasFinding(std::get<std::vector<Finding>>(refused), "ribs.many"));
}

} // namespace
} // namespace eup
