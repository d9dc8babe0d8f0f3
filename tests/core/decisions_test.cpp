#include "core/design/decisions.h"
#include "core/design/validate.h"
#include "support.h"

namespace eup {
namespace {

TEST(Decisions, LengthsTakeWhatPeopleWrite) {
  Design d;
  for (const auto& [text, mm] : std::vector<std::pair<const char*, double>>{
           {"1.5 mm", 1.5}, {"3/32", 2.38125}, {"1/16\"", 1.5875}, {".04 in", 1.016}}) {
    const auto next = decide(d, "sheeting.thickness", text);
    ASSERT_TRUE(next.ok()) << next.problem().text();
    EXPECT_NEAR(next.value().sheeting.thickness, mm, 1e-9);
  }
  d.unit = LengthUnit::inch;
  EXPECT_NEAR(decide(d, "panel.halfSpan", "30").value().panel.halfSpan, 762, 1e-9);
  EXPECT_EQ(decisionAt(decide(d, "panel.halfSpan", "2' 6 1/2\"").value(), "panel.halfSpan")->text, "30 1/2\"");
}

/// Every typed decision refuses every kind of rubbish, quoting it, and says so under its own name.
TEST(Decisions, RubbishIsRefusedEverywhere) {
  Design d;
  d.ribs.rule = RibRule::spacing;
  for (const Decision& decision : decisionsOf(d)) {
    if (decision.kind == DecisionKind::text || decision.kind == DecisionKind::stations) continue;
    for (const char* bad : {"", "NaN", "1e9", "-1e9", "words", "1/0"}) {
      const auto next = decide(d, decision.path, bad);
      ASSERT_FALSE(next.ok()) << decision.path << " took “" << bad << "”";
      if (*bad) {
        EXPECT_NE(next.problem().cause.find(bad), std::string::npos) << decision.path << ": " << next.problem().cause;
      }
    }
  }
  for (const char* path :
       {"panel.halfSpan", "panel.rootChord", "panel.tipChord", "ribs.thickness", "spars.0.top.width", "flying.mass"})
    for (const char* bad : {"0", "-5"}) EXPECT_FALSE(decide(d, path, bad).ok()) << path << bad;
  EXPECT_FALSE(decide(d, "ribs.count", "1").ok()) << "one rib";
  EXPECT_FALSE(decide(d, "ribs.count", "401").ok());
  EXPECT_FALSE(decide(d, "ribs.count", "2.5").ok());
  EXPECT_TRUE(decide(d, "ribs.count", "400").ok());
  EXPECT_FALSE(decide(d, "name", "   ").ok());
  EXPECT_FALSE(decide(d, "sections.root.naca", "what").ok());
  EXPECT_FALSE(decide(d, "ribs.stations", "0; x").ok());
  EXPECT_FALSE(decide(d, "no.such", "1").ok());
}

TEST(Decisions, RiseOrAngleTheOtherFollows) {
  Design d;
  d.panel.halfSpan = 610;
  const auto rise = decide(d, "join.dihedral.rise", "1 in").value();
  EXPECT_EQ(rise.join.dihedral.by, DihedralBy::rise);
  EXPECT_TRUE(decisionAt(rise, "join.dihedral.angle")->follows);
  EXPECT_NEAR(decisionAt(rise, "join.dihedral.angle")->value, 2.3864, 1e-4);
  const auto angle = decide(rise, "join.dihedral.angle", "2.3864").value();
  EXPECT_EQ(angle.join.dihedral.by, DihedralBy::angle);
  EXPECT_NEAR(riseOf(angle.join.dihedral, 610), 25.4, 0.001);
}

TEST(Decisions, OwnStationsStartFromTheRibsAsTheyStand) {
  Design d;
  d.ribs.count = 5;
  const auto next = decide(d, "ribs.rule", "stations").value();
  EXPECT_EQ(next.ribs.stations, (std::vector<double>{0, 175, 350, 525, 700}));
  const auto typed = decide(next, "ribs.stations", "0; 7 in; 400; 700").value();
  EXPECT_NEAR(typed.ribs.stations[1], 177.8, 1e-9);
}

TEST(Decisions, MassesAndChoices) {
  const Design d;
  EXPECT_NEAR(decide(d, "flying.mass", "1.4 kg").value().flying.mass, 1400, 1e-9);
  EXPECT_NEAR(decide(d, "flying.mass", "49 oz").value().flying.mass, 49 * gramsPerOunce, 1e-9);
  EXPECT_EQ(decide(d, "trailingEdge.kind", "two sheets").value().trailingEdge.kind, TrailingEdgeKind::twoSheets);
  EXPECT_EQ(decide(d, "spars.0.top.material", "carbon-strip").value().spars[0].top.material, "carbon-strip");
  EXPECT_FALSE(decide(d, "sheeting.top", "maybe").ok());
}

TEST(Decisions, DraggingStaysWithinLimits) {
  const Design d;
  EXPECT_DOUBLE_EQ(decideValue(d, "panel.tipChord", -40).value().panel.tipChord, 5);
  EXPECT_DOUBLE_EQ(decideValue(d, "sheeting.fraction", 7).value().sheeting.fraction, 1);
  EXPECT_FALSE(decideValue(d, "panel.tipChord", std::nan("")).ok());
}

TEST(Impossible, SaysWhy) {
  Design d;
  EXPECT_TRUE(impossible(d).empty());
  d.ribs.rule = RibRule::stations;
  d.ribs.stations = {0, 300, 900};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d.ribs.stations = {0, 300, 200, 700};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d.ribs.stations = {0};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d.ribs.stations = {0, std::nan(""), 700};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d = Design{};
  d.ribs.rule = RibRule::spacing;
  d.ribs.spacing = 2;
  d.panel.halfSpan = 20000;
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations")) << "ten thousand ribs";
  d = Design{};
  d.sheeting.to = SheetEdge::spar;
  d.sheeting.spar = 3;
  EXPECT_TRUE(test::hasFinding(impossible(d), "sheeting.spar"));
  d = Design{};
  d.spars.push_back(d.spars[0]);
  d.spars[1].rootFraction = 0.2, d.spars[1].tipFraction = 0.5;
  EXPECT_TRUE(test::hasFinding(impossible(d), "spars.cross"));
  d = Design{};
  d.panel.halfSpan = 30;
  EXPECT_TRUE(test::hasFinding(impossible(d), "join.rise"));
}

} // namespace
} // namespace eup
