#include "core/described/decisions.h"
#include "core/design/tables.h"
#include "core/takeaway/span_curves.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

Design loaded() {
  Design d;
  d.flying.pushFactor = 3, d.flying.gust = 5, d.flying.linePull = 40, d.flying.tipTouch = 1.5;
  return d;
}

const LoadCase& caseOf(const WholeWing& w, LoadCase::What what) {
  for (const LoadCase& c : w.loads)
    if (c.what == what) return c;
  ADD_FAILURE() << "no such load: " << wordsOf(what);
  return w.loads.front();
}

TEST(LoadCases, EachIsThereWhenItIsAskedFor) {
  EXPECT_EQ(wingOf(Design{}).main().loads.size(), 1u);
  const TrueWing w = wingOf(loaded());
  ASSERT_EQ(w.main().loads.size(), 6u);
  const double weight = 1.4 * 9.80665, half = 700; // kg, m/s²; mm of the new wing's half span
  EXPECT_NEAR(caseOf(w.main(), LoadCase::What::pull).load.lift, 6 * weight / 2, 1e-9);
  EXPECT_NEAR(caseOf(w.main(), LoadCase::What::push).load.lift, -3 * weight / 2, 1e-9);
  EXPECT_NEAR(caseOf(w.main(), LoadCase::What::line).load.lift, (weight + 40) / 2, 1e-9);
  const SpanLoad& tip = caseOf(w.main(), LoadCase::What::tip).load;
  EXPECT_NEAR(tip.moment(0), 1.5 * weight * half, 1e-6); // a force at the end of a cantilever
  EXPECT_NEAR(tip.moment(300), 1.5 * weight * (half - 300), 1e-6);
  EXPECT_NEAR(tip.shear(half), 1.5 * weight, 1e-9);
  EXPECT_NEAR(figureOf(w, "load.case.tip"), tip.moment(0), 1e-9);
  EXPECT_NEAR(figureOf(w, "load.rootMoment"), worstAt(w.main().loads, 0).load.moment(0), 1e-9);
}

// The same formula as airworthiness rules print it for aeroplanes in British units, 14 CFR 23.341 (in force to 2017;
// from memory): n = 1 + K U V a ÷ (498 W/S), U in ft/s, V in knots, W/S in lb/ft²; μ = 2 (W/S) ÷ (ρ C a g) in slugs and
// feet.
TEST(LoadCases, GustAgreesWithTheRuleInBritishUnits) {
  const double mass = 1400, area = 30e4, chord = 210, aspect = 6.8, gust = 5, speed = 12;
  const double feet = 0.3048, pounds = 0.45359237, slope = 2 * pi / (1 + 2 / aspect);
  const double loading = mass / 1000 / pounds / (area * 1e-6 / feet / feet), rho = 0.0023769;
  const double ratio = 2 * loading / (rho * chord / 1000 / feet * slope * 32.174), k = 0.88 * ratio / (5.3 + ratio);
  const double n = 1 + k * (gust / feet) * (speed / 0.514444) * slope / (498 * loading);
  EXPECT_NEAR(gustFactor(mass, gust, speed, area, chord, aspect), n, 0.003 * n);
  EXPECT_DOUBLE_EQ(gustFactor(mass, 0, speed, area, chord, aspect), 1);
}

TEST(LoadCases, LiftByTableIsSpreadAsTheTableSays) {
  Design d;
  d.flying.shape = LoadShape::table;
  d.flying.table = {1, 1}; // even: M = L b ÷ 2
  const TrueWing even = wingOf(d);
  const double lift = even.main().loads.front().load.lift;
  EXPECT_NEAR(even.main().loads.front().load.moment(0), lift * 700 / 2, 1e-6);
  d.flying.table = {2, 1, 0}; // a triangle: M = L b ÷ 3
  const TrueWing triangle = wingOf(d);
  EXPECT_NEAR(triangle.main().loads.front().load.moment(0), lift * 700 / 3, 1e-6);
  EXPECT_NEAR(triangle.main().loads.front().load.perLength(350), lift / 700, 1e-9);
}

TEST(LoadCases, TheTableIsTypedWithCare) {
  const auto typed = [](const char* text) { return decide(Design{}, "flying.table", text); };
  ASSERT_TRUE(typed("1; 0.9; 0.4").ok());
  EXPECT_EQ(typed("1; 0.9; 0.4").value().flying.table, (std::vector<double>{1, 0.9, 0.4}));
  EXPECT_NE(typed("1; much").problem().cause.find("much"), std::string::npos);
  for (const char* bad : {"", "1", "0; 0", "-1; 1"}) EXPECT_FALSE(typed(bad).ok()) << bad;
}

TEST(LoadCases, KindsOfFlyingHaveTheirFactors) {
  ASSERT_GE(shippedTables().loadFactors.size(), 8u);
  for (const LoadFactors& k : shippedTables().loadFactors) {
    EXPECT_GE(k.pull, k.push) << k.key;
    EXPECT_FALSE(k.source.empty()) << k.key;
  }
  Design d;
  d.flying.kind = "slope";
  d.flying.loadFactor = 2;
  const TrueWing w = wingOf(d);
  EXPECT_DOUBLE_EQ(w.main().loads.front().factor, 15);
  EXPECT_EQ(w.main().loads.size(), 2u); // the table's kinds are pushed over too
  for (const char* bad : {"", "{}", R"({"loadFactors": [{"key": "indoor"}]})",
                          R"({"loadFactors": [{"key": "a", "label": "a", "pull": 0.5, "push": 0, "source": "a"}]})"})
    EXPECT_FALSE(readTables(bad).ok()) << bad;
}

/// A kind of flying of the builder's own has its row, is chosen by its name, and its source stands in the working.
TEST(LoadCases, OwnKindsOfFlyingAreReckonedWith) {
  Design d;
  d.own.loadFactors.push_back(
      {.key = freshKey(d.own.loadFactors), .label = "club pylon", .pull = 18, .push = 7, .source = "our logger"});
  const auto chosen = decide(d, "flying.kind", "club pylon");
  ASSERT_TRUE(chosen.ok()) << chosen.problem().text();
  EXPECT_EQ(chosen.value().flying.kind, "own-1");
  const TrueWing w = wingOf(chosen.value());
  ASSERT_EQ(w.main().loads.size(), 2u);
  EXPECT_DOUBLE_EQ(w.main().loads[0].factor, 18);
  EXPECT_DOUBLE_EQ(w.main().loads[1].factor, -7);
  const Figure* bending = figureNamed(w, "load.case.pull");
  ASSERT_NE(bending, nullptr);
  EXPECT_NE(bending->working.find("club pylon: our logger"), std::string::npos);
  EXPECT_EQ(usesOf(chosen.value(), Shelf::loadFactors, "own-1"), std::vector<std::string>{"Loads: Built for"});
  EXPECT_FALSE(decide(Design{}, "flying.kind", "own-1").ok());
  EXPECT_EQ(decide(chosen.value(), "flying.kind", "own").value().flying.kind, typedFactors);
}

RC_GTEST_PROP(LoadCases, LiftAddsUpToTheWeightAndPushIsPullUpsideDown, ()) {
  Design d;
  d.flying.mass = *rc::gen::inRange(100, 5000);
  d.flying.loadFactor = d.flying.pushFactor = *rc::gen::inRange(1, 20);
  d.flying.shape = *rc::gen::element(LoadShape::schrenk, LoadShape::ellipse, LoadShape::chord, LoadShape::table);
  const TrueWing w = wingOf(d);
  const SpanLoad &pull = caseOf(w.main(), LoadCase::What::pull).load,
                 &push = caseOf(w.main(), LoadCase::What::push).load;
  RC_ASSERT(std::abs(2 * pull.shear(0) - d.flying.loadFactor * d.flying.mass / 1000 * 9.80665) < 1e-6);
  for (const double y : {0.0, 123.0, 456.0, 690.0}) {
    RC_ASSERT(std::abs(pull.moment(y) + push.moment(y)) < 1e-9 * (1 + pull.moment(0)));
    RC_ASSERT(std::abs(pull.shear(y) + push.shear(y)) < 1e-9 * (1 + pull.shear(0)));
  }
}

/// A cap pressed by one load is pulled by the other: the weaker way counts.
TEST(LoadCases, TheWorstLoadCountsAtEveryPlace) {
  Design d;
  d.inner().spars[0].top.depth = d.inner().spars[0].bottom.depth;
  const TrueWing pull = wingOf(d);
  d.flying.tipTouch = 2; // bends most near the tip
  const TrueWing both = wingOf(d);
  const auto &a = pull.inner().strength.bending.spars[0].along, &b = both.inner().strength.bending.spars[0].along;
  ASSERT_EQ(a.size(), pull.inner().strength.bending.along.size());
  ASSERT_EQ(a.size(), b.size());
  for (std::size_t i = 0; i < a.size(); ++i) {
    EXPECT_LE(b[i].upper, a[i].upper + 1e-12);
    EXPECT_LE(b[i].lower, a[i].lower + 1e-12);
  }
  EXPECT_LT(b[100].upper, 0.5 * a[100].upper);
  const SparBay& outer = both.inner().strength.bays[both.inner().frame.ribs.size() - 3];
  ASSERT_NE(outer.weakest(), nullptr);
  EXPECT_EQ(outer.weakest()->load, LoadCase::What::tip);
}

RC_GTEST_PROP(LoadCases, MoreWoodNeverLowersAReserve, ()) {
  Design d = loaded();
  Spar& s = d.inner().spars[0];
  s.top.width = s.bottom.width = *rc::gen::inRange(3, 10);
  s.top.depth = s.bottom.depth = *rc::gen::inRange(2, 4);
  s.webs = *rc::gen::element(Webs::none, Webs::between);
  const TrueWing less = wingOf(d);
  s.top.width += 1, s.bottom.width += 1, s.webThickness += 0.5;
  const TrueWing more = wingOf(d);
  for (std::size_t i = 0; i < less.inner().strength.bays.size(); ++i) {
    const BayCheck *a = less.inner().strength.bays[i].weakest(), *b = more.inner().strength.bays[i].weakest();
    RC_ASSERT(!a == !b);
    if (a) RC_ASSERT(b->reserve() >= a->reserve() * (1 - 1e-9));
  }
}

TEST(PartMasses, AddUpAndRelieveTheBending) {
  Design d;
  const TrueWing w = wingOf(d);
  const PanelMass& m = w.inner().mass;
  double runs = 0;
  for (const LinearRun& r : m.runs) runs += (r.to - r.from) * (r.root + r.tip) / 2;
  EXPECT_NEAR(runs, m.grams(), 1e-6 * m.grams());
  double spars = 0, ribs = 0;
  for (const PartMass& p : m.parts) {
    if (p.what == PartMass::What::spars) spars = p.grams;
    if (p.what == PartMass::What::ribs) ribs = p.grams;
  }
  // By hand: two spruce caps of 6 × 3 along the spar's run, 400 kg/m³.
  EXPECT_NEAR(spars, 2 * 6 * 3 * 700 * w.inner().frame.spars[0].stretch * 400e-6, 1e-6);
  double wood = 0;
  for (const Rib& rib : w.inner().frame.ribs) wood += rib.cutArea * rib.thickness * 160e-6;
  EXPECT_NEAR(ribs, wood, 1e-9);
  d.flying.relief = true;
  const TrueWing eased = wingOf(d);
  double relief = 0; // n g ∫ m y dy in small steps
  for (const LinearRun& r : m.runs)
    for (int i = 0; i < 200; ++i) {
      const double share = (i + 0.5) / 200, y = r.from + (r.to - r.from) * share;
      relief += 6 * 9.80665e-3 * (r.root + (r.tip - r.root) * share) * y * (r.to - r.from) / 200;
    }
  EXPECT_NEAR(w.main().loads[0].load.moment(0) - eased.main().loads[0].load.moment(0), relief, 1e-3 * relief);
  EXPECT_GT(eased.inner().strength.bending.spars[0].worstReserve, w.inner().strength.bending.spars[0].worstReserve);
}

TEST(SpanCurves, AreTheLoadsOwnValues) {
  Design d = loaded();
  d.flying.diveSpeed = 20;
  const TrueWing w = wingOf(d);
  const auto curves = spanCurves(w.main());
  ASSERT_EQ(curves.size(), 5u);
  EXPECT_EQ(curves[0].lines.size(), 6u);
  EXPECT_NEAR(curves[2].lines[0].at(350), w.main().loads[0].load.moment(350) / 1000, 1e-3);
  EXPECT_NEAR(curves[4].lines[0].at(700), w.main().tipDeflection, 1e-9);
  EXPECT_NEAR(curves[3].lines[0].at(700), radToDeg(figureOf(w, "soft.diveTwist")), 1e-9);
  EXPECT_NEAR(curves[3].lines[0].at(0), 0, 1e-12);
  // Bent by M ÷ EI: the second difference of the bend.
  const auto& along = w.inner().strength.bending.along;
  const double step = along[1].t - along[0].t, bend = (along[61].sag - 2 * along[60].sag + along[59].sag) / step / step;
  EXPECT_NEAR(bend, w.inner().strength.bending.load.moment(along[60].t) / along[60].stiffness, 1e-3 * bend);
}

} // namespace
} // namespace eup
