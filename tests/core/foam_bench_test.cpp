// What is measured and set up round a foam core: the test strips' slot, beds at the dihedral, cloth over a join, foam
// between ribs; by hand.
#include "core/exchange/wire_code.h"
#include "core/foam/test_cut.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/measure/units.h"
#include "core/strength/bay_checks.h"
#include "core/takeaway/take_away.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

TEST(TestCuts, ASlotIsWhatIsMissingAndItsPowerComesFromTwo) {
  const auto one = testCut({20, 18.8, 300, 60});
  ASSERT_TRUE(one.ok());
  EXPECT_NEAR(one.value().slot, 1.2, 1e-12);
  EXPECT_NEAR(one.value().speed, 5, 1e-12);
  EXPECT_FALSE(one.value().power);
  // Half as fast, a slot √2 times as wide: by hand the power is a half. The wire's own rule gives the second back.
  const auto two = testCut({20, 18.8, 300, 60}, TestStrip{20, 20 - 1.2 * std::sqrt(2.0), 300, 120});
  ASSERT_TRUE(two.ok()) << two.problem().text();
  EXPECT_NEAR(*two.value().power, 0.5, 1e-12);
  HotWire wire;
  wire.kerf = two.value().slot, wire.kerfSpeed = two.value().speed, wire.kerfPower = *two.value().power;
  EXPECT_NEAR(slotAt(wire, 2.5), 1.2 * std::sqrt(2.0), 1e-12);
  for (const TestStrip& bad :
       {TestStrip{20, 20, 300, 60}, TestStrip{20, 21, 300, 60}, TestStrip{20, 0, 300, 60}, TestStrip{20, 19, 0, 60},
        TestStrip{20, 19, 300, 0}, TestStrip{20, 19, 300, 1e9}, TestStrip{200, 19, 300, 60}})
    EXPECT_FALSE(testCut(bad).ok());
  EXPECT_FALSE(testCut({20, 18.8, 300, 60}, TestStrip{20, 18.5, 300, 62}).ok()) << "speeds too alike";
  EXPECT_FALSE(testCut({20, 18.8, 300, 60}, TestStrip{20, 19.4, 300, 120}).ok()) << "narrower where it is slow";
}

Design plain(double dihedral) {
  Design d = test::foamDesign(test::panelOf(800, 200, 200, 0, 0, 0.25), 10);
  PanelDesign& p = d.inner();
  p.sections.root.naca = p.sections.tip.naca = "0012";
  p.spars.clear();
  p.ribs.count = 3;
  p.join.dihedral = {DihedralBy::angle, dihedral};
  p.join.propping = Propping::bothPropped;
  return d;
}

TEST(Beds, StandUnderTheirCornersAtTheDihedral) {
  Design d = plain(4);
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "bed.1.1.innerFront"), 0, 1e-9);
  EXPECT_NEAR(figureOf(w, "bed.1.1.innerTail"), 0, 1e-9);
  EXPECT_NEAR(figureOf(w, "bed.1.1.outerFront"), 800 * std::sin(degToRad(4)), 1e-9);
  EXPECT_NEAR(figureOf(w, "bed.1.1.outerTail"), 800 * std::sin(degToRad(4)), 1e-9);
  EXPECT_NEAR(figureOf(w, "bed.1.bevel"), degToRad(4), 1e-9) << "each end takes its half of 8°";
  d.inner().join.propping = Propping::oneFlat;
  EXPECT_NEAR(figureOf(wingOf(d), "bed.1.1.outerTail"), 800 * std::sin(degToRad(8)), 1e-9);
  d = plain(0);
  for (const char* corner : {"innerFront", "innerTail", "outerFront", "outerTail"})
    EXPECT_NEAR(figureOf(wingOf(d), std::string("bed.1.1.") + corner), 0, 1e-9);
  // A panel beyond: its bed begins where this one's chord line ends, 4° and then 10°.
  d = plain(4);
  PanelDesign outer = d.inner();
  outer.panel.span = 300, outer.panel.continues = true;
  outer.join.dihedral = {DihedralBy::angle, 10};
  d.wings[0].panels.push_back(outer);
  const TrueWing two = wingOf(d);
  const double low = two.wings[0].panels[0].foam->cores[0].low; // of the block under the chord line
  const double lowest = low * std::cos(degToRad(4));
  EXPECT_NEAR(figureOf(two, "bed.2.1.outerFront"),
              800 * std::sin(degToRad(4)) + 300 * std::sin(degToRad(10)) + low * std::cos(degToRad(10)) - lowest, 1e-6);
  EXPECT_NEAR(figureOf(two, "bed.2.bevel"), degToRad(3), 1e-9);
}

TEST(Beds, ClothOverTheJoinByASecondRoute) {
  Design d = plain(3);
  d.inner().cloth.top = d.inner().cloth.bottom = 1, d.inner().cloth.strip = 60;
  d.flying.mass = 2500;
  const TrueWing w = wingOf(d);
  // NACA 0012's ordinates (Report 460), the trailing edge as the report has it.
  const auto half = [](double x) {
    return 200 * 0.6 *
           (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
  };
  double inertia = 0;
  constexpr int n = 200000;
  for (int i = 0; i < n; ++i) { // cosine steps
    const double a = (1 - std::cos(pi * i / n)) / 2, b = (1 - std::cos(pi * (i + 1) / n)) / 2,
                 y = (half(a) + half(b)) / 2;
    inertia += 2 * y * y * std::hypot((b - a) * 200, half(b) - half(a));
  }
  const double moment = std::abs(worstAt(w.wings[0].loads, 0).load.moment(0));
  const Cloth& c = w.inner().design.cloth;
  const Material& m = w.inner().design.tables.named(c.material);
  const double layer = c.gsm * 1e-6 * (1 + c.resinRatio) / (m.density * 1e-6);
  const double want =
      std::ceil(usualReserve * moment * half(0.3) / (inertia * layer) / std::min(m.tension, m.compression));
  EXPECT_EQ(figureOf(w, "band.1.layers"), want);
  EXPECT_GE(want, 1);
  EXPECT_EQ(figureOf(w, "band.1.skewers"), 2) << "200 of chord";
  // A tube that runs over the join, alone: π (D⁴ − d⁴) ÷ 32 D by hand.
  CoreThing tube;
  tube.width = 10, tube.wall = 1, tube.upFrom = tube.upTo = 0;
  d.inner().inCore = {tube};
  const TrueWing joined = wingOf(d);
  const Material& carbon = joined.inner().design.tables.named("carbon-tube");
  const double w10 = pi * (1e4 - 4096) / 320, load = std::abs(worstAt(joined.wings[0].loads, 0).load.moment(0));
  EXPECT_NEAR(figureOf(joined, "band.1.rod1"), std::min(carbon.tension, carbon.compression) / (load / w10), 1e-9);
}

TEST(Beds, AJoinWithNothingOverItIsSaid) {
  Design d = plain(3);
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.joined"));
  CoreThing tube;
  tube.upFrom = tube.upTo = 2;
  d.inner().inCore = {tube};
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "foam.joined"));
  d.inner().inCore.clear();
  d.inner().cloth.top = d.inner().cloth.bottom = 1, d.inner().cloth.strip = 60;
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "foam.joined"));
}

TEST(FoamBetweenRibs, WeighsWhatTheBaysHold) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 160, 0, 0, 0.25);
  p.ribs.count = 5;
  p.spars.clear();
  EXPECT_EQ(figureNamed(wingOf(d), "foam.betweenMass"), nullptr);
  p.foam.between = true;
  const TrueWing w = wingOf(d);
  const double heavy = w.inner().design.tables.named("foam-xps-33").density * 1e-6;
  double grams = 0;
  const auto& ribs = w.inner().frame.ribs;
  for (std::size_t i = 0; i + 1 < ribs.size(); ++i)
    grams += (150 - (ribs[i].thickness + ribs[i + 1].thickness) / 2) *
             (areaOf(ribs[i].wood) + areaOf(ribs[i + 1].wood)) / 2 * heavy;
  EXPECT_NEAR(figureOf(w, "foam.betweenMass"), grams, 1e-3 * grams);
  // Against the ruled panel's whole volume: less than it by the ribs.
  const double whole = 600 * (areaOf(ribs[0].wood) + areaOf(ribs[4].wood)) / 2 * heavy;
  EXPECT_LT(grams, whole);
  EXPECT_GT(grams, 0.95 * whole);
  p.ribs.direction = RibDirection::diagonal, p.ribs.angleDeg = 20;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.between"));
}

/// Hoff and Mautner's wrinkling by hand, in place of Euler's strut from rib to rib.
TEST(FoamBetweenRibs, HoldsCapsThatHaveNoWebs) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 200, 0, 0, 0.25);
  p.ribs.count = 3; // 300 apart: a thin cap buckles
  Spar spar;
  spar.webs = Webs::none, spar.top.material = spar.bottom.material = "spruce";
  spar.top.depth = spar.bottom.depth = 2;
  p.spars = {spar};
  const double freely = figureOf(wingOf(d), "spar.1.buckling");
  p.foam.between = true;
  const TrueWing w = wingOf(d);
  EXPECT_GT(figureOf(w, "spar.1.buckling"), 5 * freely);
  const Material &wood = w.inner().design.tables.named("spruce"), &foam = w.inner().design.tables.named("foam-xps-33");
  const double holds = 0.5 * std::cbrt(wood.modulus * foam.modulus * foam.shear);
  bool seen = false;
  for (const SparBay& bay : w.inner().strength.bays)
    for (const BayCheck& check : bay.checks)
      if (check.what == BayCheck::What::buckling) {
        seen = true;
        EXPECT_NEAR(check.strength, holds, 1e-6 * holds);
        EXPECT_TRUE(check.onCore);
      }
  EXPECT_TRUE(seen);
  p.spars[0].webs = Webs::between; // then the webs stand there, and the rib's rule is as it was
  EXPECT_NE(figureNamed(wingOf(d), "spar.1.buckling"), nullptr);
}

TEST(WireCode, TheLowerFaceFirstAndARestAtTheNose) {
  Design d = plain(2);
  d.wire.towersApart = 1000, d.wire.fromTower = 100;
  const auto read = [&] {
    const auto code = wireCodeOf(wingOf(d).inner(), 1, Hand::right);
    EXPECT_TRUE(code.ok());
    return readWireCode(code.value(), "XYUV").value();
  };
  const ReadCode up = read();
  d.wire.first = FirstFace::lower, d.wire.rest = 3;
  const ReadCode down = read();
  EXPECT_NEAR(down.dwells, up.dwells + 3, 1e-9);
  EXPECT_NEAR(down.hotSeconds, up.hotSeconds, 0.02 * up.hotSeconds);
  // A quarter of the way along it is over the chord line, or under it.
  const auto early = [](const ReadCode& c) {
    double low = 1e9, high = -1e9, first = 0;
    int seen = 0;
    for (const ReadMove& m : c.moves)
      if (m.hot()) {
        low = std::min(low, m.to.inner.y()), high = std::max(high, m.to.inner.y());
        if (++seen == 60) first = m.to.inner.y();
      }
    return (first - low) / (high - low);
  };
  EXPECT_GT(early(up), 0.5);
  EXPECT_LT(early(down), 0.5);
  double restAt = 1e9; // at the nose: as far forward as the wire comes
  double front = 1e9;
  for (const ReadMove& m : down.moves) {
    if (m.hot()) front = std::min(front, m.to.inner.x());
    if (m.hot() && m.wait == 3) restAt = m.to.inner.x();
  }
  EXPECT_NEAR(restAt, front, 1.5);
}

TEST(WireCode, TheSpeedIsOfTheFasterOrTheSlowerEnd) {
  Design d = plain(2);
  d.inner().panel.tipChord = 100;
  d.wire.speed = 4, d.wire.kerfPower = 0;
  const TrueWing fast = wingOf(d);
  d.wire.speedOf = SpeedOf::slower;
  const TrueWing slow = wingOf(d);
  const auto ends = [](const TrueWing& w) -> const FoamCore& { return w.inner().foam->cores[0]; };
  EXPECT_NEAR(ends(fast).inner.speed, 4, 1e-9);
  EXPECT_NEAR(ends(slow).outer.speed, 4, 1e-9);
  EXPECT_NEAR(ends(slow).inner.speed / 4, 4 / ends(fast).outer.speed, 1e-9);
  EXPECT_NEAR(figureOf(fast, "foam.1.time") / figureOf(slow, "foam.1.time"), ends(slow).inner.speed / 4, 1e-9);
}

} // namespace
} // namespace eup
