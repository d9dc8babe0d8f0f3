#include "core/described/decisions.h"
#include "core/described/validate.h"
#include "core/design/panel_rules.h"
#include "support.h"

namespace eup {
namespace {

TEST(Decisions, LengthsTakeWhatPeopleWrite) {
  Design d;
  for (const auto& [text, mm] : std::vector<std::pair<const char*, double>>{
           {"1.5 mm", 1.5}, {"3/32", 2.38125}, {"1/16\"", 1.5875}, {".04 in", 1.016}}) {
    const auto next = decide(d, "wings.0.panels.0.sheeting.thickness", text);
    ASSERT_TRUE(next.ok()) << next.problem().text();
    EXPECT_NEAR(next.value().inner().sheeting.thickness, mm, 1e-9);
  }
  d.unit = LengthUnit::inch;
  EXPECT_NEAR(decide(d, "wings.0.panels.0.panel.span", "30").value().inner().panel.span, 762, 1e-9);
  EXPECT_EQ(
      decisionAt(decide(d, "wings.0.panels.0.panel.span", "2' 6 1/2\"").value(), "wings.0.panels.0.panel.span")->text,
      "30 1/2\"");
}

/// Every typed decision refuses every kind of rubbish, quoting it, and says so under its own name.
TEST(Decisions, RubbishIsRefusedEverywhere) {
  Design d;
  d.inner().ribs.rule = RibRule::spacing;
  for (const Decision& decision : decisionsOf(d)) {
    if (decision.kind == DecisionKind::text || decision.kind == DecisionKind::stations) continue;
    for (const char* bad : {"", "NaN", "1e9", "-1e9", "words", "1/0"}) {
      if (decision.kind == DecisionKind::numbers && !*bad) continue; // an empty list is a list
      const auto next = decide(d, decision.path, bad);
      ASSERT_FALSE(next.ok()) << decision.path << " took “" << bad << "”";
      if (*bad) {
        EXPECT_NE(next.problem().cause.find(bad), std::string::npos) << decision.path << ": " << next.problem().cause;
      }
    }
  }
  for (const char* path :
       {"panel.span", "panel.rootChord", "panel.tipChord", "ribs.thickness", "spars.0.top.width", "flying.mass"})
    for (const char* bad : {"0", "-5"}) EXPECT_FALSE(decide(d, path, bad).ok()) << path << bad;
  EXPECT_FALSE(decide(d, "wings.0.panels.0.ribs.count", "1").ok()) << "one rib";
  EXPECT_FALSE(decide(d, "wings.0.panels.0.ribs.count", "401").ok());
  EXPECT_FALSE(decide(d, "wings.0.panels.0.ribs.count", "2.5").ok());
  EXPECT_TRUE(decide(d, "wings.0.panels.0.ribs.count", "400").ok());
  EXPECT_FALSE(decide(d, "name", "   ").ok());
  EXPECT_FALSE(decide(d, "wings.0.panels.0.sections.root.naca", "what").ok());
  EXPECT_FALSE(decide(d, "wings.0.panels.0.ribs.stations", "0; x").ok());
  EXPECT_FALSE(decide(d, "no.such", "1").ok());
}

TEST(Decisions, RiseOrAngleTheOtherFollows) {
  Design d;
  d.inner().panel.span = 610;
  const auto rise = decide(d, "wings.0.panels.0.join.dihedral.rise", "1 in").value();
  EXPECT_EQ(rise.inner().join.dihedral.by, DihedralBy::rise);
  EXPECT_TRUE(decisionAt(rise, "wings.0.panels.0.join.dihedral.angle")->follows);
  EXPECT_NEAR(decisionAt(rise, "wings.0.panels.0.join.dihedral.angle")->value, 2.3864, 1e-4);
  const auto angle = decide(rise, "wings.0.panels.0.join.dihedral.angle", "2.3864").value();
  EXPECT_EQ(angle.inner().join.dihedral.by, DihedralBy::angle);
  EXPECT_NEAR(riseOf(angle.inner().join.dihedral, 610), 25.4, 0.001);
}

TEST(Decisions, OwnStationsStartFromTheRibsAsTheyStand) {
  Design d;
  d.inner().ribs.count = 5;
  const auto next = decide(d, "wings.0.panels.0.ribs.rule", "stations").value();
  EXPECT_EQ(next.inner().ribs.stations, (std::vector<double>{0, 175, 350, 525, 700}));
  const auto typed = decide(next, "wings.0.panels.0.ribs.stations", "0; 7 in; 400; 700").value();
  EXPECT_NEAR(typed.inner().ribs.stations[1], 177.8, 1e-9);
}

TEST(Decisions, MassesAndChoices) {
  const Design d;
  EXPECT_NEAR(decide(d, "flying.mass", "1.4 kg").value().flying.mass, 1400, 1e-9);
  EXPECT_NEAR(decide(d, "flying.mass", "49 oz").value().flying.mass, 49 * gramsPerOunce, 1e-9);
  EXPECT_EQ(decide(d, "wings.0.panels.0.trailingEdge.kind", "two sheets").value().inner().trailingEdge.kind,
            TrailingEdgeKind::twoSheets);
  EXPECT_EQ(decide(d, "wings.0.panels.0.spars.0.top.material", "carbon-strip").value().inner().spars[0].top.material,
            "carbon-strip");
  EXPECT_FALSE(decide(d, "wings.0.panels.0.sheeting.top", "maybe").ok());
}

TEST(Decisions, DraggingStaysWithinLimits) {
  const Design d;
  EXPECT_DOUBLE_EQ(decideValue(d, "wings.0.panels.0.panel.tipChord", -40).value().inner().panel.tipChord, 5);
  EXPECT_DOUBLE_EQ(decideValue(d, "wings.0.panels.0.sheeting.fraction", 7).value().inner().sheeting.fraction, 1);
  EXPECT_FALSE(decideValue(d, "wings.0.panels.0.panel.tipChord", std::nan("")).ok());
}

TEST(Impossible, SaysWhy) {
  Design d;
  EXPECT_TRUE(impossible(d).empty());
  d.inner().ribs.rule = RibRule::stations;
  d.inner().ribs.stations = {0, 300, 900};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d.inner().ribs.stations = {0, 300, 200, 700};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d.inner().ribs.stations = {0};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d.inner().ribs.stations = {0, std::nan(""), 700};
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations"));
  d = Design{};
  d.inner().ribs.rule = RibRule::spacing;
  d.inner().ribs.spacing = 2;
  d.inner().panel.span = 20000;
  EXPECT_TRUE(test::hasFinding(impossible(d), "ribs.stations")) << "ten thousand ribs";
  d = Design{};
  d.inner().sheeting.to = SheetTo::sparRear;
  d.inner().sheeting.spar = 3;
  EXPECT_TRUE(test::hasFinding(impossible(d), "sheeting.spar"));
  d = Design{};
  d.inner().spars.push_back(d.inner().spars[0]);
  d.inner().spars[1].rootFraction = 0.2, d.inner().spars[1].tipFraction = 0.5;
  EXPECT_TRUE(test::hasFinding(impossible(d), "spars.cross"));
  d = Design{};
  d.inner().panel.span = 30;
  EXPECT_TRUE(test::hasFinding(impossible(d), "join.rise"));
}

} // namespace
} // namespace eup
