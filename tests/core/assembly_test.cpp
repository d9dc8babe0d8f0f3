// Pieces, joints and the order of work: every demo and wings by chance are played step by step.
#include "chance.h"
#include "core/assembly/bond.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/lasting.h"
#include "core/design/panel_rules.h"
#include "core/edit/panel_edit.h"
#include "core/files/shipped.h"
#include "core/steps/order.h"
#include "core/steps/steps.h"
#include "core/wing/joints.h"
#include "surface_designs.h"
#include <fmt/format.h>
#include <map>
#include <set>

namespace eup {
namespace {

using test::Chance;

TEST(PieceIds, AreWrittenAndReadBack) {
  std::set<std::string> seen;
  const auto there = [&](const PieceId& id) {
    const std::string text = textOf(id);
    EXPECT_TRUE(seen.insert(text).second) << text << " names two pieces";
    EXPECT_EQ(pieceIdFrom(text), id) << text;
  };
  for (const std::string& name : shipped::demoNames()) {
    seen.clear();
    const TrueWing w = wingOf(designFromText(shipped::demo(name).value()).value().design);
    for (const WholeWing& wing : w.wings)
      for (const TruePanel& p : wing.panels) {
        seen.clear();
        for (const Part& part : p.parts) there(part.id);
      }
  }
  for (const char* text : {"rib.4",
                           "rib.4.2",
                           "rib.4x",
                           "rib.4.tail1",
                           "rib.4.2.tail1",
                           "capStrip.4.2.top.aft",
                           "te",
                           "te.2",
                           "te.top",
                           "te.bottom.3",
                           "sheet.top",
                           "sheet.top.2",
                           "sheet.panel",
                           "sheet.edge",
                           "bays.3.bottom.1",
                           "surface.2.bays.3.top.1",
                           "surface.1.hinge.4.wing",
                           "foamRib.inner",
                           "foamRib.2",
                           "web.1",
                           "web.1.6",
                           "spar.1.top.doubler.outer",
                           "hardPoint.1.doubler.4",
                           "stick.3.upright.2",
                           "post.rear"}) {
    const auto id = pieceIdFrom(text);
    ASSERT_TRUE(id) << text;
    EXPECT_EQ(textOf(*id), text);
  }
  for (const char* text : {"", "rib", "rib.", "rib.4.", "rib.04", "rib.99999999999999999999", "spar.1.side", "te.",
                           "te.0", "sheet.top.", "web.1.6.2", "rib.4\n", "own.1"})
    EXPECT_FALSE(pieceIdFrom(text)) << text;
}

/// Who plays: the contradictions of a wing's own steps.
void playsThrough(const Design& d) {
  const TrueWing w = wingOf(d);
  for (const std::string& what : contradictionsIn(w, stepsOf(w))) ADD_FAILURE() << d.name << ": " << what;
}

TEST(Assembly, EveryDemoPlaysThrough) {
  for (const std::string& name : shipped::demoNames())
    playsThrough(designFromText(shipped::demo(name).value()).value().design);
}

// Joints of a plain frame, summed by hand: four ribs of 2 mm and two of 3, one strip of 6 × 3 in a notch on either
// face, no edges.
TEST(Joints, OfAPlainFrameByHand) {
  Design d = test::plainPanel0012();
  PanelDesign& p = d.inner();
  p.spars = {Spar{}};
  p.leadingEdge.kind = LeadingEdgeKind::none, p.trailingEdge.kind = TrailingEdgeKind::none;
  p.sheeting.top = p.sheeting.bottom = p.capStrips.top = p.capStrips.bottom = false;
  p.ribs.notchFit = 0;
  const TrueWing w = wingOf(d);
  const TruePanel& panel = w.inner();
  double onCaps = 0;
  int count = 0;
  for (const Bond& b : jointsOf(w).at({}))
    if (b.one.kind == PieceKind::rib && b.other.kind == PieceKind::cap) {
      onCaps += b.area, ++count;
      EXPECT_DOUBLE_EQ(b.length, panel.rib(b.one.number).thickness);
    }
  const Cap& cap = p.spars[0].top;
  double thick = 0;
  for (const Rib& rib : panel.frame.ribs) thick += rib.thickness;
  EXPECT_EQ(count, 12);
  EXPECT_DOUBLE_EQ(thick, 4 * 2 + 2 * 3);
  // Bottom and both sides of each notch: 6 + 3 + 3 mm round, above and below.
  EXPECT_NEAR(onCaps, 2 * thick * (cap.width + 2 * cap.depth), 1e-6);
}

// A thin film of 150 g/m² with 15 % left in the cup, twice that where a gap is filled: 1000 mm² take 0.1725 and 0.345
// g.
TEST(Joints, GlueByHand) {
  Bond b;
  b.area = 1000;
  EXPECT_NEAR(glueGrams(b), 0.1725, 1e-9);
  b.use = GlueUse::brace;
  EXPECT_NEAR(glueGrams(b), 0.345, 1e-9);
  b.use = GlueUse::cloth;
  EXPECT_EQ(glueGrams(b), 0);
  EXPECT_EQ(wordsOf(GlueUp{1, 10, 1000, 0.345}, LengthUnit::mm).substr(0, 8), "1 joint,");
}

// Sheet of an aileron that is built apart lies on the tails of the ribs that it parts, by their own length.
TEST(Joints, SheetOfASurfaceLiesOnItsOwnRibs) {
  Design d = test::withAileron();
  d.inner().surfaces[0].built = SurfaceBuilt::apart;
  SheetedBays bays;
  bays.fromRib = 1, bays.toRib = d.inner().ribs.count;
  d.inner().sheeted = {bays};
  const TrueWing w = wingOf(d);
  int tails = 0;
  for (const Bond& b : jointsOf(w).at({}))
    if (b.use == GlueUse::skin && b.one.kind == PieceKind::surfaceBaySheet) {
      EXPECT_EQ(b.other.kind, PieceKind::ribTail) << textOf(b.other);
      EXPECT_LT(b.length, 0.4 * w.inner().rib(b.other.number).frame.chord);
      ++tails;
    }
  EXPECT_GT(tails, 3);
}

// The same wing cut in two and put together again has the same joints; turned to inches too.
TEST(Joints, StayWhenAPanelIsCutAndMerged) {
  const Design d = designFromText(shipped::demo(shipped::demoNames().front()).value()).value().design;
  const auto sum = [](const Design& of) {
    const TrueWing w = wingOf(of);
    double area = 0;
    for (const Bond& b : jointsOf(w).at({})) area += b.area;
    return area;
  };
  const std::vector<double> ribs = ribStations(d.inner().ribs, d.inner().panel.span);
  const auto cut = withPanelSplit(d, {}, ribs[4]);
  ASSERT_TRUE(cut.ok());
  const auto whole = withPanelsMerged(cut.value(), {});
  ASSERT_TRUE(whole.ok());
  EXPECT_NEAR(sum(whole.value()), sum(d), 1e-6 * sum(d));
}

// A step that lies behind what another one shuts is told, and put before it.
TEST(Assembly, WhatIsShutIsReachedNoMore) {
  Design d = newWing();
  d.inner().sheeting.top = d.inner().sheeting.bottom = true;
  const TrueWing w = wingOf(d);
  std::vector<Step> steps = stepsOf(w);
  ASSERT_TRUE(contradictionsIn(w, steps).empty());
  const auto named = [&](const std::string& end) {
    return std::ranges::find_if(steps, [&](const Step& s) { return s.key.ends_with("right." + end); });
  };
  const auto closing = named("skinTop"), webs = named("upper");
  ASSERT_TRUE(closing != steps.end() && webs != steps.end());
  for (Step& s : steps) // nothing waits for the upper cap any more
    std::erase(s.needs, webs->key);
  const auto told = contradictionsIn(w, steps);
  ASSERT_FALSE(told.empty());
  EXPECT_NE(told.front().find("lies behind"), std::string::npos);
  keepWaysOpen(w, steps);
  EXPECT_TRUE(contradictionsIn(w, steps).empty());
  EXPECT_NE(std::ranges::find(named("skinTop")->needs, named("upper")->key), named("skinTop")->needs.end());
  steps.erase(named("upper"));
  EXPECT_NE(contradictionsIn(w, steps).front().find("at no step"), std::string::npos);
}

// What a step says that goes in: by the names on the parts list.
TEST(Assembly, PiecesInWords) {
  const TrueWing w = wingOf(newWing());
  for (const Step& s : stepsOf(w))
    if (s.key.ends_with("right.ribsOn")) {
      const int ribs = static_cast<int>(w.inner().frame.ribs.size());
      EXPECT_EQ(s.goesIn, fmt::format("R1 to R{} ({})", ribs, ribs));
      EXPECT_GT(s.glue.grams, 0);
      return;
    }
  FAIL() << "no ribs";
}

/// A demo with some of its decisions changed, things of its lists doubled and taken away.
Design byChance(Chance& chance) {
  const std::vector<std::string> names = shipped::demoNames();
  Design d = designFromText(
                 shipped::demo(names[static_cast<std::size_t>(chance.number(static_cast<int>(names.size())))]).value())
                 .value()
                 .design;
  d.plan = {};
  const auto doubled = [&](auto& list) {
    if (!list.empty() && chance.once(4))
      list.push_back(list[static_cast<std::size_t>(chance.number(static_cast<int>(list.size())))]),
          list.back().number = 0;
    if (!list.empty() && chance.once(8)) list.pop_back();
  };
  for (Wing& wing : d.wings)
    for (PanelDesign& p : wing.panels) {
      doubled(p.spars), doubled(p.sheeted), doubled(p.hardPoints), doubled(p.inCore);
      if (chance.once(6)) p.hardPoints.push_back(HardPoint{});
      if (chance.once(4)) p.sheeted.push_back(SheetedBays{});
      if (chance.once(8)) p.built = Built::foam;
    }
  (void)makeNumbersOwn(d);
  const int changes = 4 + chance.number(24);
  for (int i = 0; i < changes; ++i) {
    const std::vector<Decision> all = decisionsOf(d);
    const Decision& one = all[static_cast<std::size_t>(chance.number(static_cast<int>(all.size())))];
    if (!one.applies) continue;
    if (one.kind == DecisionKind::flag || one.kind == DecisionKind::choice) {
      const int of = one.kind == DecisionKind::flag ? 2 : static_cast<int>(one.choices.size());
      if (auto next = decideValue(d, one.path, chance.number(of)); next.ok()) d = std::move(next).value();
    } else if (one.kind == DecisionKind::length || one.kind == DecisionKind::angle ||
               one.kind == DecisionKind::percent) {
      if (auto next = decideValue(d, one.path, one.value * chance.between(0.7, 1.4)); next.ok())
        d = std::move(next).value();
    }
  }
  return d;
}

// No piece goes in behind a closed skin or at two steps, none is asked for that the wing has not, every joint is made
// once.
TEST(Assembly, WingsByChancePlayThrough) {
  const int many = test::asked("EUPTERA_FUZZ", 25), first = test::asked("EUPTERA_FUZZ_FROM", 1);
  int played = 0;
  std::map<Built, int> built;
  for (int seed = first; played < many && seed < first + 20 * many; ++seed) {
    Chance chance(static_cast<unsigned>(seed));
    const Design d = byChance(chance);
    auto made = work(d);
    const auto* w = std::get_if<TrueWing>(&made);
    if (!w) continue;
    ++played;
    const std::vector<Step> steps = stepsOf(*w);
    for (const std::string& what : contradictionsIn(*w, steps)) ADD_FAILURE() << seed << ", " << d.name << ": " << what;
    int joints = 0, all = 0;
    for (const Step& s : steps) joints += s.glue.joints;
    for (const WholeWing& wing : w->wings)
      for (const TruePanel& p : wing.panels) {
        ++built[p.design.built];
        for (const Hand hand : {Hand::right, Hand::left}) {
          if (hand == Hand::left && !wing.mirrored) continue;
          for (const Bond& b : jointsOf(w->of(hand)).at(p.design.id)) {
            all += b.use != GlueUse::cloth && !(hand == Hand::left && b.to == BondTo::other);
            EXPECT_TRUE(std::isfinite(b.area) && b.area > 0 && b.at.allFinite()) << seed << ' ' << textOf(b.one);
          }
        }
      }
    EXPECT_EQ(joints, all) << seed << ", " << d.name;
    if (::testing::Test::HasFailure()) return;
  }
  EXPECT_EQ(played, many);
  for (const Built b : {Built::ribs, Built::foam}) EXPECT_GT(built[b], 0);
}

} // namespace
} // namespace eup
