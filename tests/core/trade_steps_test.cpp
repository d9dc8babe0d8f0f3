// What each trade tells of the order of work, by what a wing has: the order itself is common practice, no source.
#include "core/bench/progress.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/record_keys.h"
#include "core/files/shipped.h"
#include "core/steps/steps.h"
#include "core/wing/run_over.h"
#include "surface_designs.h"
#include <set>

namespace eup {
namespace {

using test::wingOf;

class Order {
public:
  explicit Order(const Design& d) : steps(stepsOf(wingOf(d))) { EXPECT_FALSE(circleIn(activitiesOf(steps))); }
  bool has(const std::string& key) const { return find(key) != nullptr; }
  /// Whether the one cannot begin before the other is done, through any others.
  bool needs(const std::string& late, const std::string& early) const {
    const Step* s = find(late);
    if (!s) {
      ADD_FAILURE() << "no " << late;
      return false;
    }
    return std::any_of(s->needs.begin(), s->needs.end(),
                       [&](const std::string& n) { return n == early || needs(n, early); });
  }
  const Step* find(const std::string& key) const {
    for (const Step& s : steps)
      if (s.key == key) return &s;
    return nullptr;
  }
  std::vector<Step> steps;
};

std::string right(const char* what) {
  return std::string("1.1.right.") + what;
}

Design with(SurfaceKind kind, SurfaceBuilt built) {
  Design d = test::withAileron();
  d.inner().surfaces = {newSurface(d.inner(), kind, WingKind::main)};
  d.inner().surfaces[0].built = built;
  return d;
}

// What is made by itself needs nothing of the frame but its ribs, and is there before it is faced.
TEST(TradeSteps, SurfacesAsTheyAreBuilt) {
  const Order sawn(with(SurfaceKind::aileron, SurfaceBuilt::sawnOff));
  EXPECT_TRUE(sawn.needs(right("face0"), right("saw0")) && sawn.needs(right("saw0"), right("off")));
  EXPECT_FALSE(sawn.has(right("apart0")) || sawn.has(right("stock0")));
  const Order apart(with(SurfaceKind::aileron, SurfaceBuilt::apart));
  EXPECT_TRUE(apart.needs(right("apart0"), right("cutRibs")) && apart.needs(right("face0"), right("apart0")));
  EXPECT_FALSE(apart.needs(right("apart0"), right("ribsOn")) || apart.has(right("saw0")));
  for (const SurfaceBuilt built : {SurfaceBuilt::solid, SurfaceBuilt::skinned}) {
    const Order own(with(SurfaceKind::aileron, built));
    EXPECT_TRUE(own.find(right("stock0"))->needs.empty()) << "while glue sets elsewhere";
    EXPECT_TRUE(own.needs(right("face0"), right("stock0")) && own.needs(right("hang0"), right("bevel0")));
  }
  const Order spoiler(with(SurfaceKind::spoiler, SurfaceBuilt::sawnOff));
  EXPECT_TRUE(spoiler.needs(right("hang0"), right("plate0")) && spoiler.needs(right("plate0"), right("off")));
  const Order whole(with(SurfaceKind::wholePanel, SurfaceBuilt::sawnOff));
  EXPECT_TRUE(whole.has(right("pivot0")));
  EXPECT_FALSE(whole.has(right("hang0")));
}

TEST(TradeSteps, AFlapInATrack) {
  Design d = with(SurfaceKind::flap, SurfaceBuilt::sawnOff);
  EXPECT_FALSE(Order(d).has(right("track0")));
  d.inner().surfaces[0].slide.fitted = true;
  const Order o(d);
  EXPECT_TRUE(o.needs(right("hang0"), right("track0")));
}

// Bent when the wing is one, before either half hangs.
TEST(TradeSteps, TheWireOfBothHalves) {
  Design d = with(SurfaceKind::elevator, SurfaceBuilt::apart);
  d.inner().surfaces[0].drive.joinWire = 2;
  const Order o(d);
  EXPECT_TRUE(o.needs("1.joinWire0", "1.centre"));
  for (const char* hand : {"right", "left"}) EXPECT_TRUE(o.needs(std::string("1.1.") + hand + ".hang0", "1.joinWire0"));
  EXPECT_FALSE(o.find("1.joinWire0")->caution.empty());
}

// The nose is planed before its sheet; the facing before the tip, while the panel lies flat; a bow is on its form
// early.
TEST(TradeSteps, NoseFacingAndTip) {
  Design d = test::withAileron();
  d.inner().leadingEdge.kind = LeadingEdgeKind::square;
  d.inner().sheeting.top = true;
  d.inner().tip.kind = TipKind::bow;
  const Order o(d);
  EXPECT_TRUE(o.needs(right("skinTop"), right("planeEdge")) && o.needs(right("planeEdge"), right("edges")));
  EXPECT_TRUE(o.needs(right("tip"), right("bevel0")) && o.needs(right("tip"), right("tipForm")));
  EXPECT_TRUE(o.find(right("tipForm"))->needs.empty());
  EXPECT_GT(o.find(right("tipForm"))->cureHours, 8);
  d.inner().sheeting.top = false;
  EXPECT_FALSE(Order(d).has(right("planeEdge"))) << "it is rounded with all the rest";
}

TEST(TradeSteps, FoamWithEndRibsAndBetweenRibs) {
  Design d = test::withAileron();
  d.inner().foam.between = true;
  EXPECT_TRUE(Order(d).has(right("between")));
  d.inner().built = Built::foam;
  d.inner().surfaces.clear();
  EXPECT_FALSE(Order(d).has(right("endRibs")));
  d.inner().foam.endRib = 1.5;
  const Order o(d);
  EXPECT_TRUE(o.needs(right("endRibs"), right("wire")));
  EXPECT_FALSE(o.has(right("between")));
}

// No step without a piece that it is about, and none that is about a piece is missing: of every demo, and with parts of
// a frame left away.
TEST(TradeSteps, AskForWhatTheWingHasAndNothingElse) {
  std::vector<Design> designs;
  for (const std::string& name : shipped::demoNames())
    designs.push_back(designFromText(shipped::demo(name).value()).value().design);
  for (int without = 0; without < 32; ++without) {
    Design d = test::withAileron();
    PanelDesign& p = d.inner();
    Spar& spar = p.spars[0];
    if (without & 1) spar.bottom.fitted = false;
    if (without & 2) spar.top.fitted = false;
    if (without & 4) p.trailingEdge.kind = TrailingEdgeKind::none;
    if (without & 8) p.leadingEdge.kind = LeadingEdgeKind::square;
    if (without & 16) spar.kind = SparKind::fullDepth;
    if (!(without & 3)) spar.webs = Webs::between;
    designs.push_back(d);
  }
  std::set<std::string> seen;
  for (const Design& d : designs) {
    const TrueWing w = wingOf(d);
    const Order order(d);
    for (const WholeWing& wing : w.wings)
      for (const TruePanel& p : wing.panels) {
        const BuiltAsOne with = builtWith(wing, p.design.id.panel);
        std::vector<Part> onIt; // what lies on the board: of all that is built with it, each piece once
        for (int k = with.inner; k <= with.outer; ++k)
          for (const Part& part : wing.panels[static_cast<std::size_t>(k)].parts)
            if (!part.toldAs) onIt.push_back(part);
        const std::string prefix =
                              stepPrefix(p.design.lasting(), wing.mirrored ? std::optional(Hand::right) : std::nullopt),
                          onBoard = boardPrefix(w, p.design.id.wing, with, Hand::right);
        const std::set<std::string> board{"plan",  "cutRibs", "buildRibs", "strips", "cutSpars",  "lower", "ribsOn",
                                          "edges", "upper",   "webs",      "rescue", "diagonals", "off"};
        const auto any = [&](const char* key) {
          return std::ranges::any_of(onIt, [&](const Part& part) { return part.key().find(key) != std::string::npos; });
        };
        const bool stock = std::ranges::any_of(onIt, [](const Part& part) {
          return part.what() == Part::What::leadingEdge || part.what() == Part::What::trailingEdge;
        });
        const auto asked = [&](const char* step, bool wanted) {
          const std::string key = (board.contains(step) ? onBoard : prefix) + step;
          EXPECT_EQ(order.has(key), wanted) << d.name << ' ' << key;
          if (wanted) seen.insert(step);
        };
        const bool spars = std::ranges::any_of(onIt, [](const Part& part) { return part.what() == Part::What::spars; });
        if (p.design.built == Built::ribs) {
          const auto spar = [&](const char* end) {
            return spars && std::ranges::any_of(onIt, [&](const Part& part) {
                     return part.what() == Part::What::spars && part.key().find(end) != std::string::npos;
                   });
          };
          asked("lower", spar(".bottom"));
          asked("upper", spar(".top"));
          asked("cutSpars", spar(".sheet"));
          asked("webs", any("web."));
          asked("strips", stock || spar(".bottom") || spar(".top"));
        }
        if (p.design.built != Built::sheet) asked("edges", stock);
        asked("cover", p.design.stiffening.covering != uncovered && p.design.built != Built::sheet);
      }
  }
  for (const char* step : {"lower", "upper", "cutSpars", "webs", "strips", "edges", "cover"})
    EXPECT_TRUE(seen.contains(step)) << step;
}

TEST(TradeSteps, AnIronIsForWhatIsIroned) {
  Design d = test::withAileron();
  const auto caution = [&](const char* covering) {
    d.inner().stiffening.covering = covering;
    return Order(d).find(right("cover"))->caution;
  };
  EXPECT_NE(caution("film").find("iron"), std::string::npos);
  for (const char* none : {"tissue", "silk", "film-thin", "tape", "glass-49"})
    EXPECT_EQ(caution(none).find("iron"), std::string::npos) << none;
  EXPECT_NE(caution("tissue").find("Dope"), std::string::npos);
}

TEST(TradeSteps, StrutsAreFittedLast) {
  Design d = test::withAileron();
  EXPECT_FALSE(Order(d).has("1.struts"));
  d.wings.front().struts.push_back(Strut{});
  const Order o(d);
  EXPECT_TRUE(o.needs("1.struts", right("sand")) && o.needs("balance", "1.struts"));
}

} // namespace
} // namespace eup
