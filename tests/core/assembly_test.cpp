// Pieces, joints and the order of work: every demo and wings by chance are played step by step.
#include "chance.h"
#include "core/assembly/bond.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/lasting.h"
#include "core/files/shipped.h"
#include "core/steps/order.h"
#include "core/steps/steps.h"
#include "core/wing/joints.h"
#include "support.h"
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
    int joints = 0, all = 0, sliding = 0;
    for (const Step& s : steps) joints += s.glue.joints;
    for (const WholeWing& wing : w->wings)
      for (const TruePanel& p : wing.panels) {
        ++built[p.design.built];
        for (const Hand hand : {Hand::right, Hand::left}) {
          if (hand == Hand::left && !wing.mirrored) continue;
          for (const Bond& b : jointsOf(w->of(hand)).at(p.design.id).bonds) {
            all += b.use != GlueUse::cloth;
            EXPECT_TRUE(std::isfinite(b.area) && b.area > 0 && b.at.allFinite()) << seed << ' ' << textOf(b.one);
          }
        }
      }
    EXPECT_EQ(joints + sliding, all) << seed << ", " << d.name;
    if (::testing::Test::HasFailure()) return;
  }
  EXPECT_EQ(played, many);
  for (const Built b : {Built::ribs, Built::foam}) EXPECT_GT(built[b], 0);
}

} // namespace
} // namespace eup
