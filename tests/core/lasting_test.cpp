// Numbers that last: what a wing carries keeps its records and what hangs on it, whatever is taken out, cut or put
// together beside it.
#include "core/bench/recording.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/lasting.h"
#include "core/design/panel_brief.h"
#include "core/design/panel_rules.h"
#include "core/design/record_keys.h"
#include "core/edit/left_hand.h"
#include "core/edit/panel_edit.h"
#include "core/edit/plan_use.h"
#include "core/edit/same_wood.h"
#include "core/edit/take_out.h"
#include "core/steps/steps.h"
#include "surface_designs.h"
#include <fmt/format.h>
#include <map>
#include <set>

namespace eup {
namespace {

using test::wingOf;

/// A panel of ribs with two of everything, numbered.
Design withTwoOfEach() {
  Design d = test::withServo();
  PanelDesign& p = d.inner();
  p.surfaces.insert(p.surfaces.begin(), newSurface(p, SurfaceKind::flap, WingKind::main));
  p.surfaces.front().to = 300;
  p.runs = {newRun(p, RunKind::lead), newRun(p, RunKind::lead)};
  p.runs[1].from = 100, p.runs[1].to = 500, p.runs[1].name = p.runs[0].name;
  p.hardPoints = {newHardPoint(p, HardPointKind::bolt), newHardPoint(p, HardPointKind::gear)};
  p.hardPoints[1].at = 375;
  p.spars.push_back(Spar{});
  p.spars[1].name = "rear spar", p.spars[1].rootFraction = p.spars[1].tipFraction = 0.6;
  p.join.braces = {Bracing{}, Bracing{}};
  p.join.braces[1].spar = 2;
  p.sheeting.top = p.sheeting.bottom = true;
  p.sheeting.to = SheetTo::sparMiddle, p.sheeting.spar = 2;
  p.riblets.inBay = 1, p.riblets.to = SheetEdge::spar, p.riblets.spar = 1;
  p.sheeted = {SheetedBays{}, SheetedBays{}};
  p.sheeted[1].fromRib = 8, p.sheeted[1].toRib = 11;
  p.sheeted[1].from = BaysFrom::spar, p.sheeted[1].fromSpar = 2;
  Strut strut;
  strut.spar = 2;
  d.wings[0].struts = {strut};
  EXPECT_TRUE(makeNumbersOwn(d).empty());
  return d;
}

std::set<std::string> partKeys(const TrueWing& w) {
  std::set<std::string> out;
  for (const Part& part : w.inner().parts) out.insert(part.key());
  return out;
}

std::set<std::string> stepKeys(const TrueWing& w) {
  std::set<std::string> out;
  for (const Step& s : stepsOf(w)) out.insert(s.key);
  return out;
}

TEST(Lasting, TheFirstOfEachListIsOneAndNewOnesAreNobodys) {
  const Design d = withTwoOfEach();
  const PanelDesign& p = d.inner();
  for (const int i : {0, 1}) {
    const auto k = static_cast<std::size_t>(i);
    EXPECT_EQ(p.spars[k].number, i + 1);
    EXPECT_EQ(p.surfaces[k].number, i + 1);
    EXPECT_EQ(p.runs[k].number, i + 1);
    EXPECT_EQ(p.hardPoints[k].number, i + 1);
    EXPECT_EQ(p.join.braces[k].number, i + 1);
    EXPECT_EQ(p.sheeted[k].number, i + 1);
  }
  Design less = d;
  less.inner().surfaces.pop_back();
  less = asEdited(d, less);
  Design more = less;
  more.inner().surfaces.push_back(newSurface(more.inner(), SurfaceKind::spoiler, WingKind::main));
  more = asEdited(less, more);
  EXPECT_GT(more.inner().surfaces[1].number, 2) << "2 was the aileron's, and may come back";
  const std::vector<int> was = numbersIn(d);
  EXPECT_EQ(std::count(was.begin(), was.end(), more.inner().surfaces[1].number), 0);
}

TEST(Lasting, WhatIsTakenOutTakesNobodysRecords) {
  const Design d = withTwoOfEach();
  const TrueWing whole = wingOf(d);
  const auto keys = partKeys(whole), steps = stepKeys(whole);
  EXPECT_TRUE(steps.contains("1.1.right.hard1") && steps.contains("1.1.right.run1") &&
              steps.contains("1.1.right.saw1"));
  Design less = d;
  PanelDesign& p = less.inner();
  p.surfaces.erase(p.surfaces.begin());
  p.runs.erase(p.runs.begin());
  p.hardPoints.erase(p.hardPoints.begin());
  p.sheeted.erase(p.sheeted.begin());
  const TrueWing now = wingOf(asEdited(d, less));
  int found = 0;
  for (const std::string& key : partKeys(now)) {
    for (const char* gone : {"surface.1.", "hardPoint.1.", "bays.1."}) EXPECT_FALSE(key.starts_with(gone)) << key;
    EXPECT_TRUE(keys.contains(key)) << key;
    found += key.starts_with("surface.2.") || key.starts_with("hardPoint.2.") || key.starts_with("bays.2");
  }
  EXPECT_GT(found, 5);
  for (const std::string& key : stepKeys(now)) EXPECT_TRUE(steps.contains(key)) << key;
  EXPECT_TRUE(stepKeys(now).contains("1.1.right.saw1"));
  EXPECT_FALSE(stepKeys(now).contains("1.1.right.saw0"));
}

TEST(Lasting, ASparThatGoesTakesWhatLiesOnItAndNothingElse) {
  const Design d = withTwoOfEach();
  const Design first = asEdited(d, withSparTakenOut(d, {}, 0));
  {
    const PanelDesign& p = first.inner();
    ASSERT_EQ(p.spars.size(), 1U);
    EXPECT_EQ(p.spars[0].name, "rear spar");
    ASSERT_EQ(p.join.braces.size(), 1U) << "the brace on it goes";
    EXPECT_EQ(p.join.braces[0].number, 2);
    EXPECT_EQ(p.join.braces[0].spar, 1);
    EXPECT_EQ(p.sheeting.spar, 1);
    EXPECT_EQ(p.sheeted[1].fromSpar, 1);
    EXPECT_EQ(p.riblets.to, SheetEdge::fraction) << "they end where they ended";
    EXPECT_NEAR(p.riblets.fraction, 0.30, 1e-9);
    ASSERT_EQ(first.wings[0].struts.size(), 1U);
    EXPECT_EQ(first.wings[0].struts[0].spar, 1);
    const auto keys = partKeys(wingOf(first));
    EXPECT_TRUE(keys.contains("spar.2.top") && keys.contains("brace.2"));
    EXPECT_FALSE(keys.contains("spar.1.top"));
  }
  const Design second = asEdited(d, withSparTakenOut(d, {}, 1));
  const PanelDesign& p = second.inner();
  EXPECT_EQ(p.sheeting.to, SheetTo::fraction);
  EXPECT_NEAR(p.sheeting.fraction, 0.6, 1e-9);
  EXPECT_EQ(p.sheeted[1].from, BaysFrom::fraction);
  EXPECT_NEAR(p.sheeted[1].fromFraction, 0.6, 1e-9);
  EXPECT_EQ(p.riblets.spar, 1);
  EXPECT_TRUE(second.wings[0].struts.empty()) << "it held that spar";
  EXPECT_EQ(partKeys(wingOf(second)).count("spar.1.top"), 1U);
}

TEST(Lasting, WhatIsCutAndPutTogetherIsOneAgain) {
  const Design d = withTwoOfEach();
  for (const double at : {150.0, 400.0, 450.0}) {
    const auto cut = withPanelSplit(d, {}, at);
    ASSERT_TRUE(cut.ok()) << at;
    const Design apart = asEdited(d, cut.value());
    const auto merged = withPanelsMerged(apart, {});
    ASSERT_TRUE(merged.ok()) << merged.problem().text();
    const PanelDesign &was = d.inner(), &is = merged.value().inner();
    ASSERT_EQ(is.surfaces.size(), was.surfaces.size()) << at;
    ASSERT_EQ(is.runs.size(), was.runs.size()) << at;
    ASSERT_EQ(is.hardPoints.size(), was.hardPoints.size()) << at;
    ASSERT_EQ(is.sheeted.size(), was.sheeted.size()) << at;
    EXPECT_EQ(is.holds.size(), was.holds.size());
    for (std::size_t k = 0; k < 2; ++k) {
      EXPECT_EQ(is.surfaces[k].number, was.surfaces[k].number);
      EXPECT_NEAR(is.surfaces[k].from, was.surfaces[k].from, 1e-9);
      EXPECT_NEAR(is.surfaces[k].to, was.surfaces[k].to, 1e-9);
      EXPECT_NEAR(is.surfaces[k].chordTo, was.surfaces[k].chordTo, 1e-6);
      EXPECT_EQ(is.surfaces[k].drive.by, was.surfaces[k].drive.by);
      EXPECT_NEAR(is.surfaces[k].drive.at, was.surfaces[k].drive.at, 1e-9);
      EXPECT_EQ(is.surfaces[k].goesOn, was.surfaces[k].goesOn);
      EXPECT_NEAR(is.runs[k].from, was.runs[k].from, 1e-9);
      EXPECT_NEAR(is.runs[k].to, was.runs[k].to, 1e-9);
      EXPECT_NEAR(is.runs[k].xTo, was.runs[k].xTo, 1e-6);
      EXPECT_NEAR(is.hardPoints[k].at, was.hardPoints[k].at, 1e-9);
    }
  }
}

TEST(Lasting, WhatDoesNotFitTogetherIsRefused) {
  Design d = withTwoOfEach();
  for (int i = 0; i < 5; ++i) {
    Surface spoiler = newSurface(d.inner(), SurfaceKind::spoiler, WingKind::main);
    spoiler.from = 400 + i * 40, spoiler.to = spoiler.from + 30;
    if (d.inner().surfaces.size() < mostSurfaces) d.inner().surfaces.push_back(spoiler);
  }
  (void)makeNumbersOwn(d);
  Design two = withPanelAdded(d, 0).value();
  two.wings[0].panels[1].surfaces = {newSurface(two.wings[0].panels[1], SurfaceKind::flap, WingKind::main)};
  const auto merged = withPanelsMerged(two, {});
  ASSERT_FALSE(merged.ok());
  EXPECT_NE(merged.problem().text().find("surfaces"), std::string::npos) << merged.problem().text();
  two.wings[0].panels[1].surfaces.clear();
  two.wings[0].panels[1].spars.push_back(Spar{});
  const auto spars = withPanelsMerged(two, {});
  ASSERT_FALSE(spars.ok());
  EXPECT_NE(spars.problem().text().find("spar"), std::string::npos);
}

/// All decisions of the right hand's panel that are laid off along its span, with their values.
std::map<std::string, double> alongIn(const Design& d) {
  std::map<std::string, double> out;
  for (const Decision& decision : decisionsOf(d))
    if (decision.along == PanelId{}) out[decision.path] = decision.value;
  return out;
}

TEST(Lasting, AllThatIsLaidOffAlongALeftHandGoesWithItsSpan) {
  Design d = withTwoOfEach();
  d.inner().inCore = {newInCore(d.inner(), InCore::tube)};
  d.inner().left.differs = true, d.inner().left.span = -70;
  const double k = (d.inner().panel.span - 70) / d.inner().panel.span;
  const auto right = alongIn(d), left = alongIn(leftOf(d));
  EXPECT_EQ(right.size(), 17U) << "surfaces 6, leads 4, hard points 2, spars 2, in the core 2, the strut";
  for (const auto& [path, value] : right) {
    ASSERT_TRUE(left.contains(path)) << path;
    EXPECT_NEAR(left.at(path), value * k, 1e-9) << path;
  }
}

TEST(Lasting, AllThatIsLaidOffAlongAPanelGoesWithAnotherSpan) {
  Design d = withTwoOfEach();
  d.inner().inCore = {newInCore(d.inner(), InCore::tube)};
  d.inner().ribs.rule = RibRule::stations, d.inner().ribs.stations = {0, 200, 700};
  const Design twice = atHalfSpan(d, 2 * d.inner().panel.span, StockRule::keep).design;
  const auto was = alongIn(d), is = alongIn(twice);
  EXPECT_EQ(was.size(), 17U);
  for (const auto& [path, value] : was) EXPECT_NEAR(is.at(path), 2 * value, 1e-9) << path;
  EXPECT_EQ(twice.inner().ribs.stations, (std::vector<double>{0, 400, 1400}));
}

TEST(Lasting, ARibsNameIsTypedForAnyPlaceAlongTheSpan) {
  const Design d = withTwoOfEach();
  const std::vector<double> stations = ribStations(d.inner().ribs, d.inner().panel.span);
  int typed = 0;
  for (const auto& [path, value] : alongIn(d)) {
    const auto at = decide(d, path, "R4");
    ASSERT_TRUE(at.ok()) << path << ": " << at.problem().text();
    EXPECT_NEAR(decisionAt(at.value(), path)->value, stations[3], 1e-9) << path;
    EXPECT_FALSE(decide(d, path, "R99").ok()) << path;
    ++typed;
  }
  EXPECT_EQ(typed, 15);
  EXPECT_FALSE(decide(d, "wings.0.panels.0.panel.rootChord", "R4").ok()) << "no place along the span";
  EXPECT_TRUE(decide(d, "wings.0.struts.0.out", "R5").ok());
}

TEST(Lasting, TwoOfOneNameAreBothLookedAt) {
  Design d = withTwoOfEach();
  d.inner().holds = {HoldPoint{"dry"}, HoldPoint{"dry"}};
  (void)makeNumbersOwn(d);
  const TrueWing w = wingOf(d);
  std::set<std::string> keys;
  for (const Hold& hold : w.inner().holds) keys.insert(hold.key);
  for (const char* kind : {"run:1", "run:2", "own:1", "own:2", "hard:2", "drive:2"})
    EXPECT_TRUE(keys.contains(holdKey({0, 0}, kind))) << kind;
}

TEST(Lasting, OlderFilesGiveNumbersByPlaceAndKeepWhatWasLookedAt) {
  const auto read = designFromText(test::slurp(test::testFile("version20.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty());
  const Design& d = read.value().design;
  int looked = 0, items = 0;
  const TrueWing w = wingOf(d);
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& panel : wing.panels) {
      for (const Hold& hold : panel.holds) looked += hold.looked ? 1 : 0;
      for (std::size_t k = 0; k < panel.design.surfaces.size(); ++k, ++items)
        EXPECT_EQ(panel.design.surfaces[k].number, static_cast<int>(k) + 1);
      for (std::size_t k = 0; k < panel.design.spars.size(); ++k, ++items)
        EXPECT_EQ(panel.design.spars[k].number, static_cast<int>(k) + 1);
    }
  EXPECT_EQ(items, 3) << "two spars, an aileron";
  EXPECT_EQ(looked, static_cast<int>(d.records.looked.size()));
  EXPECT_GE(looked, 3);
}

TEST(Lasting, NumbersThatStandTwiceInAListAreToldAndMadeOwn) {
  Design d = withTwoOfEach();
  d.inner().runs[1].number = 1;
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok());
  ASSERT_EQ(read.value().notes.size(), 1U);
  EXPECT_NE(read.value().notes.front().find("/wings/0/panels/0/runs/1"), std::string::npos);
  EXPECT_NE(read.value().design.inner().runs[1].number, 1);
}

} // namespace
} // namespace eup
