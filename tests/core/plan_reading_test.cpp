// The demo plans, clicked at and judged: what is true of them is known from the script that drew them.
#include "core/edit/plan_use.h"
#include "core/plan/read_lines.h"
#include "plan_support.h"

namespace eup {
namespace {

const Judgement* find(const JudgedPlan& judged, const std::string& key) {
  for (const Judgement& j : judged.judgements)
    if (j.key == key) return &j;
  return nullptr;
}

std::vector<std::string> faults(const JudgedPlan& judged) {
  std::vector<std::string> out;
  for (const Judgement& j : judged.judgements)
    if (j.fault) out.push_back(j.key);
  return out;
}

TEST(Judge, SaysNothingOfASheetThatCannotBeMadeTrue) {
  test::ClickedPlan clicked("fenlark-plan");
  clicked.plan.sheets[0].lengths[0].ends[1] = clicked.plan.sheets[0].lengths[0].ends[0];
  const JudgedPlan judged = judge(clicked.plan, LengthUnit::mm);
  ASSERT_EQ(judged.sheets.size(), 1u);
  EXPECT_TRUE(judged.sheets[0].problem.has_value());
  EXPECT_TRUE(judged.judgements.empty()) << judged.judgements[0].what;
}

TEST(Judge, TakesAFewReadingsOfAnyKind) {
  for (const ReadingKind kind :
       {ReadingKind::spar, ReadingKind::ribThickness, ReadingKind::ribTemplate, ReadingKind::leadingEdge}) {
    Plan plan;
    plan.sheets.emplace_back();
    plan.readings.push_back({"", kind, 1, Hand::right, 1, {{100, 100}, {130, 100}}});
    plan.readings.push_back({"", kind, 1, Hand::right, 2, {{100, 300}, {140, 300}}});
    if (pointsOf(kind).most == 1)
      for (Reading& r : plan.readings) r.points.resize(1);
    const JudgedPlan judged = judge(plan, LengthUnit::mm);
    EXPECT_TRUE(faults(judged).empty()) << static_cast<int>(kind);
    EXPECT_TRUE(withReadings(Design{}, judged).design == Design{} || kind == ReadingKind::leadingEdge)
        << static_cast<int>(kind);
  }
}

TEST(CleanPlan, ReadingsRecoverSpacingChordsAndAngles) {
  const test::ClickedPlan clicked("fenlark-plan");
  EXPECT_LT(clicked.worstSnap, 0.6) << "pixels";
  const JudgedPlan judged = judge(clicked.plan, LengthUnit::mm);
  ASSERT_EQ(judged.hands.size(), 1u);
  const DrawnHand& hand = judged.hands[0];
  const auto& ribs = clicked.truth["right"]["ribs"];
  ASSERT_EQ(hand.stations.size(), 13u);
  for (std::size_t i = 0; i < 13; ++i) {
    EXPECT_NEAR(hand.stations[i].second, ribs[i]["t"].get<double>(), 0.2) << i;
    EXPECT_NEAR(hand.trailing[i].x - hand.leading[i].x, ribs[i]["chord"].get<double>(), 0.2) << i;
  }
  for (std::size_t i = 1; i < 13; ++i) EXPECT_NEAR(hand.stations[i].second - hand.stations[i - 1].second, 62.5, 0.2);
  EXPECT_NEAR(radToDeg(std::atan(hand.line(ReadingKind::leadingEdge)->slope)),
              clicked.truth["right"]["leSweepDeg"].get<double>(), 0.05);
  EXPECT_NEAR(radToDeg(std::atan(hand.line(ReadingKind::trailingEdge)->slope)),
              clicked.truth["right"]["teSweepDeg"].get<double>(), 0.05);
  EXPECT_NEAR(*judged.layout.halfSpan, 750, 0.2);
  EXPECT_NEAR(*judged.layout.rootChord, 240, 0.2);
  EXPECT_NEAR(*judged.layout.tipChord, 162, 0.2);
  EXPECT_NEAR(*judged.layout.tipSetback, 22, 0.2);
  EXPECT_NEAR(judged.layout.spars.at(0).rootFraction, 0.30, 0.001);
  EXPECT_EQ(judged.layout.rootThickness, 3);
  EXPECT_EQ(judged.layout.thickness, 2);
}

TEST(CleanPlan, HasNoFaultInvented) {
  const test::ClickedPlan clicked("fenlark-plan");
  const JudgedPlan judged = judge(clicked.plan, LengthUnit::mm);
  EXPECT_EQ(faults(judged), std::vector<std::string>{});
  EXPECT_NE(find(judged, "thickness")->what.find("R1 3"), std::string::npos); // told, as the truth has it, but no fault
  EXPECT_FALSE(judged.sheets[0].sheet.untrue) << judged.sheets[0].sheet.words.front();
  EXPECT_EQ(*judged.layout.evenRibs, 13);
}

TEST(FaultyPlan, EveryPlantedFaultIsFoundAndNoneInvented) {
  const test::ClickedPlan clicked("fenlark-faulty-plan");
  const JudgedPlan judged = judge(clicked.plan, LengthUnit::mm);
  // Stretched paper.
  const TrueSheet& sheet = judged.sheets[0].sheet;
  EXPECT_TRUE(sheet.untrue);
  EXPECT_NE(sheet.words.front().find("1.3 % short across"), std::string::npos) << sheet.words.front();
  EXPECT_NE(sheet.words.front().find("0.4 % long along"), std::string::npos) << sheet.words.front();
  EXPECT_EQ(sheet.words.front().find("out of square"), std::string::npos) << sheet.words.front();
  // The rest, and nothing else.
  const std::vector<std::string> expected{"line.right.spar1", "template.R7", "spacing", "hands", "thickness"};
  EXPECT_EQ(faults(judged), expected);
  EXPECT_NE(find(judged, "template.R7")->what.find("R7 template 2.4 mm short"), std::string::npos)
      << find(judged, "template.R7")->what;
  const std::string spacing = find(judged, "spacing")->what;
  for (const char* bay : {"R4 to R5", "R5 to R6", "R8 to R9", "R9 to R10"})
    EXPECT_NE(spacing.find(bay), std::string::npos) << spacing;
  EXPECT_EQ(spacing.find("R1 "), std::string::npos) << spacing;
  const ReadLine* spar = judged.hands[0].line(ReadingKind::spar);
  EXPECT_NEAR(std::abs(spar->bow), 2.3, 0.2);
  EXPECT_NEAR(spar->bowAt, 375, 65);
  EXPECT_NE(find(judged, "hands")->what.find("2"), std::string::npos) << find(judged, "hands")->what;
  const std::string thick = find(judged, "thickness")->what;
  for (const char* rib : {"R1 ", "R7 ", "R13 "}) EXPECT_NE(thick.find(rib), std::string::npos) << thick;
  // What is taken is what the layout then holds, and no more: R7 stays to be decided.
  const std::string takes = find(judged, "thickness")->taken;
  const PlanLayout& l = judged.layout;
  for (const auto& [what, stock] : {std::pair{"The root rib takes", l.rootThickness},
                                    {"the tip rib", l.tipThickness},
                                    {"all ribs between", l.thickness}})
    if (stock) {
      EXPECT_NE(takes.find(fmt::format("{} {:.0f} mm", what, *stock)), std::string::npos) << takes;
    }
  EXPECT_NE(takes.find("not taken over"), std::string::npos) << takes;
  // In inches it steps by what inch stock steps by: 3/32, not two and a half millimetres.
  const JudgedPlan inches = judge(clicked.plan, LengthUnit::inch);
  EXPECT_NEAR(std::remainder(*inches.layout.thickness, 25.4 / 32), 0, 1e-9);
  EXPECT_NE(find(inches, "thickness")->taken.find("1/32"), std::string::npos);
}

TEST(FaultyPlan, JudgementsCanBeTakenOrLeft) {
  test::ClickedPlan clicked("fenlark-faulty-plan");
  const JudgedPlan taken = judge(clicked.plan, LengthUnit::mm);
  EXPECT_TRUE(taken.layout.evenRibs.has_value());
  EXPECT_FALSE(taken.layout.stations.has_value());
  EXPECT_NEAR(*taken.layout.tipChord, 163, 0.3); // the mean of both hands
  Plan plan = withVerdict(clicked.plan, "spacing", false);
  plan = withVerdict(plan, "hands", false);
  plan = withVerdict(plan, "thickness", false);
  const JudgedPlan left = judge(plan, LengthUnit::mm);
  EXPECT_FALSE(left.layout.evenRibs.has_value());
  ASSERT_EQ(left.layout.stations->size(), 13u);
  EXPECT_NEAR((*left.layout.stations)[4], 251.9, 0.25);
  EXPECT_NEAR(*left.layout.tipChord, 162, 0.3);
  EXPECT_FALSE(left.layout.thickness.has_value());
  EXPECT_EQ(withVerdict(plan, "spacing", true).verdicts.size(), plan.verdicts.size());
}

TEST(FaultyPlan, UsingTheReadingsWritesTheLayoutAndSaysBeforeAndAfter) {
  const test::ClickedPlan clicked("fenlark-faulty-plan");
  Design d = test::bareDesign();
  d.plan = clicked.plan;
  const Changed used = withReadings(d, judge(clicked.plan, LengthUnit::mm));
  EXPECT_NEAR(used.design.inner().panel.span, 750, 0.01);
  EXPECT_EQ(used.design.inner().ribs.rule, RibRule::count);
  EXPECT_EQ(used.design.inner().ribs.count, 13);
  ASSERT_EQ(used.design.inner().spars.size(), 1u);
  const auto changes = changesBetween(d, used.design);
  const auto span = std::find_if(changes.begin(), changes.end(),
                                 [](const Change& c) { return c.path == "wings.0.panels.0.panel.span"; });
  ASSERT_NE(span, changes.end());
  EXPECT_EQ(span->before, "700 mm");
  EXPECT_EQ(span->after, "750 mm");
  EXPECT_TRUE(std::holds_alternative<TrueWing>(work(used.design)));
}

TEST(DemoPlans, OpenWithTheirCopiesAndGiveTheSameJudgement) {
  for (const char* name : {"fenlark-plan", "fenlark-faulty-plan"}) {
    const Design d = demoDesign(name);
    ASSERT_EQ(d.plan.sheets.size(), 1u);
    EXPECT_FALSE(d.plan.sheets[0].copy.empty());
    const TrueWing w = test::wingOf(d);
    const bool faulty = std::string(name) == "fenlark-faulty-plan";
    EXPECT_EQ(test::hasFinding(findingsOf(w), "plan.stretch"), faulty);
    EXPECT_EQ(faults(w.plan).size(), faulty ? 5u : 0u) << name;
  }
}

TEST(PlanSection, IsTracedFromThePlanWithinItsTolerance) {
  const Design d = demoDesign("fenlark-plan");
  const auto traced = tracedFromPlan(d.plan, layOut(d.plan), 1);
  ASSERT_TRUE(traced.has_value());
  const auto fit = fitTrace(*traced);
  ASSERT_TRUE(fit.ok()) << fit.problem().text();
  EXPECT_NEAR(fit.value().chord, 240, 0.3);
  EXPECT_LE(fit.value().worst, 0.3 + 0.05);
  const SectionMeasures m = measure(fit.value().section);
  EXPECT_NEAR(m.thickness, 0.12, 0.002); // the script draws a 2412 with its thickness laid off upright
  EXPECT_NEAR(m.camber, 0.02, 0.001);
  EXPECT_FALSE(tracedFromPlan(d.plan, layOut(d.plan), 2).has_value());
}

// A hidden break, a single slip, and two hands, made of numbers rather than of ink.
Plan synthetic(double kneeAt, double kneeBy, double slip) {
  Plan plan;
  PlanSheet s;
  s.width = 9000, s.height = 4000, s.dpi = 254; // 0.1 mm a pixel
  plan.sheets.push_back(s);
  std::mt19937 random(3);
  std::normal_distribution<double> noise(0, 1);
  for (int rib = 1; rib <= 11; ++rib) {
    const double t = 60 * (rib - 1), le = 500 + 0.03 * t, te = 2500 - 0.05 * t - std::max(0.0, t - kneeAt) * kneeBy;
    const auto add = [&](ReadingKind kind, double x) {
      plan.readings.push_back(
          {"", kind, 1, Hand::right, rib, {{1000 + 10 * t + noise(random), x * 1 + noise(random)}}});
    };
    add(ReadingKind::leadingEdge, le + (rib == 6 ? 10 * slip : 0));
    add(ReadingKind::trailingEdge, te);
  }
  return plan;
}

TEST(Judging, FindsAHiddenPanelBreak) {
  const Plan plan = synthetic(360, 1.2, 0); // at 0.1 mm a pixel: 0.12 mm a mm
  const JudgedPlan judged = judge(plan, LengthUnit::mm);
  EXPECT_EQ(faults(judged), std::vector<std::string>{"break.right"});
  const Judgement* j = find(judged, "break.right");
  EXPECT_NE(j->what.find("R7"), std::string::npos) << j->what;
  EXPECT_NEAR(*judged.layout.halfSpan, 360, 0.5); // taken: two panels that meet there
  ASSERT_EQ(judged.layout.outer.size(), 1u);
  const PlanLayout& outer = judged.layout.outer[0];
  EXPECT_NEAR(*outer.halfSpan, 240, 0.5);
  EXPECT_NEAR(*outer.rootChord, *judged.layout.tipChord, 0.5);
  EXPECT_NEAR(*outer.tipChord, *outer.rootChord - 240 * (0.12 + 0.008), 0.6);
  const Changed used = withReadings(Design{}, judged);
  ASSERT_EQ(used.design.wings[0].panels.size(), 2u);
  EXPECT_EQ(used.design.at({0, 1}).panel.tipChord, std::round(*outer.tipChord * 100) / 100);
  EXPECT_EQ(used.design.at({0, 1}).ribs.count, 5);
  EXPECT_NE(used.notes.back().find("dihedral"), std::string::npos);
  EXPECT_TRUE(std::holds_alternative<TrueWing>(work(used.design)));
  EXPECT_NEAR(*judge(withVerdict(plan, "break.right", false), LengthUnit::mm).layout.halfSpan, 600, 0.5);
}

// A hinge line that was read at three quarters of the chord, from 300 to 540 mm, becomes a surface's.
TEST(Judging, HingeLinesBecomeSurfaces) {
  Plan plan = synthetic(1e9, 0, 0);
  for (const double t : {300.0, 380.0, 460.0, 540.0}) {
    const double le = 500 + 0.03 * t, te = 2500 - 0.05 * t;
    plan.readings.push_back({"", ReadingKind::hinge, 1, Hand::right, 1, {{1000 + 10 * t, le + 0.75 * (te - le)}}});
  }
  const JudgedPlan judged = judge(plan, LengthUnit::mm);
  ASSERT_EQ(judged.layout.hinges.size(), 1U);
  const Design used = withReadings(Design{}, judged).design;
  ASSERT_EQ(used.inner().surfaces.size(), 1U);
  const Surface& s = used.inner().surfaces[0];
  EXPECT_NEAR(s.from, 300, 0.5);
  EXPECT_NEAR(s.to, 540, 0.5);
  EXPECT_NEAR(s.chordFrom, 0.75, 0.002);
  EXPECT_NEAR(s.chordTo, 0.75, 0.002);
  // Read again over a surface that is decided already, only its line is moved.
  Design before = used;
  before.inner().surfaces[0].name = "port aileron", before.inner().surfaces[0].from = 10;
  const Design again = withReadings(before, judged).design;
  EXPECT_EQ(again.inner().surfaces[0].name, "port aileron");
  EXPECT_NEAR(again.inner().surfaces[0].from, 300, 0.5);
}

TEST(Judging, LaysOutAPanelForEveryJointThatWasRead) {
  Plan plan = synthetic(360, 1.2, 0);
  plan.readings.push_back({"", ReadingKind::joint, 1, Hand::right, 1, {{1000 + 3600, 400}, {1000 + 3600, 2600}}});
  plan.readings.push_back({"", ReadingKind::joint, 1, Hand::right, 2, {{1000 + 4800, 400}, {1000 + 4800, 2600}}});
  for (int rib = 1; rib <= 11; rib += 2) { // a spar that runs through, at 30 % of the root's and the joints' chords
    const double t = 60 * (rib - 1);
    plan.readings.push_back({"", ReadingKind::spar, 1, Hand::right, 1, {{1000 + 10 * t, 1100 - 0.01 * t}}});
  }
  const JudgedPlan judged = judge(plan, LengthUnit::mm);
  EXPECT_EQ(find(judged, "break.right"), nullptr) << "a joint was read there";
  ASSERT_EQ(judged.layout.outer.size(), 2u);
  EXPECT_NEAR(*judged.layout.halfSpan, 360, 0.5);
  EXPECT_NEAR(*judged.layout.outer[0].halfSpan, 120, 0.5);
  EXPECT_NEAR(*judged.layout.outer[1].halfSpan, 120, 0.5);
  ASSERT_EQ(judged.layout.outer[1].spars.size(), 1u);
  // Each panel starts where the one inside it ends.
  EXPECT_NEAR(judged.layout.spars[0].tipFraction, judged.layout.outer[0].spars[0].rootFraction, 0.005);
  EXPECT_NEAR(*judged.layout.outer[0].tipChord, *judged.layout.outer[1].rootChord, 0.5);
  const Design used = withReadings(Design{}, judged).design;
  ASSERT_EQ(used.wings[0].panels.size(), 3u);
  EXPECT_TRUE(std::holds_alternative<TrueWing>(work(used)));
  // The points for the other hand follow each panel's own line: bent at the joints, not run on from the root.
  const auto points = referencePoints(judged.hands[0]);
  const auto at = [&](const std::string& name) {
    const auto found =
        std::find_if(points.begin(), points.end(), [&](const ReferencePoint& p) { return p.name == name; });
    EXPECT_NE(found, points.end()) << name;
    return found == points.end() ? ReferencePoint{} : *found;
  };
  EXPECT_NEAR(at("TE at joint 1").t, 360, 0.5);
  const double straight = at("TE at the root").x + (at("TE at joint 1").x - at("TE at the root").x) / 360 * 600;
  EXPECT_NEAR(straight - at("TE at the tip").x, 240 * 0.12, 1.0)
      << "the trailing edge turns in by 0.12 a mm beyond joint 1";
  EXPECT_EQ(points.size(), 12u);
  // Bays are judged panel by panel.
  EXPECT_NE(find(judged, "spacing"), nullptr);
  EXPECT_NE(find(judged, "spacing.panel2"), nullptr);
  EXPECT_EQ(find(judged, "spacing.panel4"), nullptr);
}

TEST(Judging, NamesTheOneReadingThatIsOff) {
  const JudgedPlan judged = judge(synthetic(1e9, 0, 1.9), LengthUnit::mm);
  EXPECT_EQ(faults(judged), std::vector<std::string>{"line.right.leadingEdge"});
  EXPECT_NE(judged.judgements[0].what.find("LE R6 lies 1.9"), std::string::npos) << judged.judgements[0].what;
  EXPECT_NEAR(judged.hands[0].line(ReadingKind::leadingEdge)->slope, 0.003, 0.0005);
}

TEST(Judging, OfAJointThatWasReadIsNoHiddenBreak) {
  Plan plan = synthetic(360, 1.2, 0);
  plan.readings.push_back({"", ReadingKind::joint, 1, Hand::right, 1, {{4600, 400}, {4600, 2600}}});
  EXPECT_EQ(faults(judge(plan, LengthUnit::mm)), std::vector<std::string>{});
}

TEST(Judging, OfNothingOrLittleIsQuiet) {
  EXPECT_TRUE(judge({}, LengthUnit::mm).judgements.empty());
  Plan plan = synthetic(1e9, 0, 0);
  plan.readings.resize(1);
  EXPECT_TRUE(judge(plan, LengthUnit::inch).judgements.empty());
}

TEST(ReferencePoints, LieWhereTheLinesEnd) {
  const Design d = demoDesign("fenlark-plan");
  const JudgedPlan judged = judge(d.plan, LengthUnit::mm);
  const auto points = referencePoints(judged.hands[0]);
  ASSERT_EQ(points.size(), 6u); // LE, TE and spar at both ends
  EXPECT_NEAR(points[3].t, 750, 0.3);
  EXPECT_NEAR(points[3].x, 22 + 162, 0.3);
  EXPECT_NEAR(points[4].x, 72, 0.3);
}

TEST(AnotherSpan, ScalesShapeAndStepsStock) {
  Design d;
  d.inner().ribs.rule = RibRule::stations;
  d.inner().ribs.stations = {0, 100, 700};
  const Changed kept = atHalfSpan(d, 1050, StockRule::keep);
  EXPECT_DOUBLE_EQ(kept.design.inner().panel.rootChord, d.inner().panel.rootChord * 1.5);
  EXPECT_DOUBLE_EQ(kept.design.inner().ribs.stations[1], 150);
  EXPECT_DOUBLE_EQ(kept.design.inner().join.dihedral.value, d.inner().join.dihedral.value * 1.5);
  EXPECT_EQ(kept.design.inner().spars[0].top.width, d.inner().spars[0].top.width);
  const Changed stepped = atHalfSpan(d, 1050, StockRule::step);
  EXPECT_EQ(stepped.design.inner().spars[0].top.depth, 5); // 3 × 1.5 = 4.5: 4 and 5 are sold, 5 is the nearer by ratio
  EXPECT_EQ(stepped.design.inner().ribs.thickness, 3);
  EXPECT_GE(changesBetween(d, stepped.design).size(), 10u);
  EXPECT_FALSE(stepped.notes.empty());
}

TEST(AnotherSpan, ScalesEveryPanel) {
  const Design d = demoDesign("tarnbrook-2000");
  ASSERT_NEAR(halfSpanOf(d.wings[0]), 1000, 1e-9);
  const Design small = atHalfSpan(d, 500, StockRule::keep).design;
  EXPECT_NEAR(halfSpanOf(small.wings[0]), 500, 1e-9);
  for (int k = 0; k < 3; ++k) {
    const PanelDesign &was = d.at({0, k}), &is = small.at({0, k});
    EXPECT_NEAR(is.panel.span, was.panel.span / 2, 1e-9);
    EXPECT_NEAR(is.panel.tipChord, was.panel.tipChord / 2, 1e-9);
    EXPECT_NEAR(is.panel.tipSetback, was.panel.tipSetback / 2, 1e-9);
    EXPECT_EQ(is.join.dihedral, was.join.dihedral) << "an angle stays";
    std::vector<Spar> spars = was.spars;
    for (Spar& s : spars) s.stopsAt /= 2; // a place along the span; sizes stay
    EXPECT_EQ(is.spars, spars);
  }
}

TEST(AnotherSpan, SoldSizesAreTheNearestByRatio) {
  EXPECT_EQ(soldSize(4.4, StockKind::strip, LengthUnit::mm), 4);
  EXPECT_EQ(soldSize(4.6, StockKind::strip, LengthUnit::mm), 5);
  EXPECT_EQ(soldSize(0.01, StockKind::ply, LengthUnit::mm), 0.4);
  EXPECT_DOUBLE_EQ(soldSize(2.5, StockKind::sheet, LengthUnit::inch), 25.4 * 3 / 32);
}

} // namespace
} // namespace eup
