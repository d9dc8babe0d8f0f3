// Where trades meet or turn out at their limits: values by a second route, told beside each.
#include "core/edit/panel_edit.h"
#include "core/measure/units.h"
#include "core/parts/spar_sheets.h"
#include "core/steps/steps.h"
#include "core/takeaway/take_away.h"
#include "core/trials/trial_assembly.h"
#include "support.h"
#include <set>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

/// Without stock along its edges, sections by their digits.
Design stockless(const char* root, const char* tip, const Panel& panel) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = panel;
  p.sections.root.kind = p.sections.tip.kind = SectionKind::naca;
  p.sections.root.naca = root, p.sections.tip.naca = tip;
  p.sheeting.top = p.sheeting.bottom = true, p.sheeting.thickness = 1;
  p.sheeting.to = SheetTo::fraction;
  return d;
}

/// Arc of a face of NACA 0012 (NACA Report 460, open tail), by small straight steps.
double arcOf0012(double chord, double from) {
  const auto y = [&](double x) {
    return 0.6 * chord *
           (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
  };
  constexpr int steps = 2000;
  double arc = 0;
  for (int i = 0; i < steps; ++i) {
    const double a = from + (1 - from) * i / steps, b = from + (1 - from) * (i + 1) / steps;
    arc += std::hypot((b - a) * chord, y(b) - y(a));
  }
  return arc;
}

TEST(EdgesOfTrades, CapStripsRunToATailWithoutStock) {
  Design d = stockless("0012", "0012", test::panelOf(560, 240, 200, 18, 1, 0.25));
  PanelDesign& p = d.inner();
  p.sheeting.fraction = 0.27;
  p.capStrips.top = p.capStrips.bottom = true, p.capStrips.width = 6, p.capStrips.thickness = 1;
  p.ribs.rule = RibRule::stations, p.ribs.stations = {0, 280, 560};
  const TrueWing w = wingOf(d);
  int strips = 0;
  for (const Part& part : w.inner().parts)
    if (part.what() == Part::What::capStrips) {
      ++strips;
      if (part.key().find("capStrip.3.") != std::string::npos) {
        EXPECT_NEAR(part.length, arcOf0012(200, 0.27), 0.05) << part.key();
      }
    }
  EXPECT_EQ(strips, 6) << "three ribs, above and below";
}

// Arc lengths of the sections by dense quadrature of NACA Report 460's ordinates from their foremost points, chord 200.
TEST(EdgesOfTrades, NoseSheetIsAsWideAsEitherEndsOwnSection) {
  for (const auto& [tip, wide] : {std::pair("4412", 85.85), std::pair("6412", 87.43), std::pair("23012", 85.62)}) {
    Design d = stockless("0012", tip, test::panelOf(600, 200, 200));
    d.inner().sheeting.fraction = 0.4;
    const TrueWing w = wingOf(d);
    double outer = 0;
    for (const Skin& skin : w.inner().skins)
      if (skin.face == Face::upper) outer = std::max(outer, skin.pattern.outerWidth);
    EXPECT_NEAR(outer, wide, 0.03) << tip;
  }
}

// Plane geometry: sheet of 3 mm that crosses a rib of 3 mm 16.5° off square leaves it 3 ÷ cos 16.5° wide and 3
// tan 16.5° further on: 4.12 with a fit of 0.1; at 10.2° 3.69.
TEST(EdgesOfTrades, ASlotHasRoomForWhatCrossesItAtAnAngle) {
  for (const auto& [deg, wide] : {std::pair(16.5, 4.117), std::pair(10.2, 3.688), std::pair(0.0, 3.1)}) {
    Design d = test::bareDesign();
    PanelDesign& p = d.inner();
    p.panel = test::panelOf(600, 200, 200, 600 * std::tan(degToRad(deg)));
    p.ribs.thickness = p.ribs.rootThickness = p.ribs.tipThickness = 3, p.ribs.notchFit = 0.1;
    Spar spar;
    spar.kind = SparKind::fullDepth, spar.sheet = 3;
    p.spars = {spar};
    const TrueWing w = wingOf(d);
    const Rib& rib = w.inner().frame.ribs[2];
    ASSERT_EQ(rib.slots.size(), 1U);
    EXPECT_NEAR(rib.slots[0].width, wide, 0.002) << deg;
  }
}

/// A panel of half-lapped ribs and one sheet spar, both 3 mm, swept by so many degrees.
Design swept(double deg, SlotCut cut) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 200, 600 * std::tan(degToRad(deg)));
  p.ribs.thickness = p.ribs.rootThickness = p.ribs.tipThickness = 3, p.ribs.notchFit = 0.1, p.ribs.slotCut = cut;
  Spar spar;
  spar.kind = SparKind::fullDepth, spar.sheet = 3;
  p.spars = {spar};
  return d;
}

// Filed to the slope of what goes in it is no wider than that: 3 ÷ cos 16.5° + 0.1.
TEST(EdgesOfTrades, AFiledSlotIsNarrowerAndTellsItsBevel) {
  for (const double deg : {16.5, -16.5}) {
    const TrueWing w = wingOf(swept(deg, SlotCut::filed));
    const Rib& rib = w.inner().frame.ribs[2];
    EXPECT_NEAR(rib.slots[0].width, 3 / std::cos(degToRad(16.5)) + 0.1, 1e-6);
    EXPECT_NEAR(rib.slots[0].bevel, degToRad(deg), 1e-9);
    const Figure* slot = figureNamed(w, "rib.3.spar.1.slot");
    ASSERT_NE(slot, nullptr);
    const std::string way = deg > 0 ? "outer face aft" : "outer face forward";
    EXPECT_NE(slot->working.find("its sides filed 16.50°, " + way), std::string::npos) << slot->working;
    bool printed = false;
    for (const Label& label : ribDrawing(test::drawn(w).front(), rib, Hand::right).labels)
      printed = printed || label.text.find("slots filed 16.50°, " + way) != std::string::npos;
    EXPECT_TRUE(printed);
    // The sheet's own slots likewise, told on its print.
    const auto wide = [&](SlotCut cut) {
      const TrueWing made = wingOf(swept(deg, cut));
      const SparLine& line = made.inner().frame.spars[0];
      EXPECT_EQ(line.slots.size(), made.inner().frame.ribs.size());
      return (line.slots[2].to - line.slots[2].from) * line.stretch;
    };
    EXPECT_NEAR(wide(SlotCut::filed), 3.1 / std::cos(degToRad(16.5)), 1e-6);
    EXPECT_NEAR(wide(SlotCut::square) - wide(SlotCut::filed), 3 * std::tan(degToRad(16.5)), 1e-6);
    bool sheet = false;
    for (const Drawing& part : ribParts(test::drawn(w), Hand::right))
      for (const Label& label : part.labels)
        sheet = sheet || label.text.find(deg > 0 ? "slots filed 16.50°, rear face outwards"
                                                 : "slots filed 16.50°, rear face inwards") != std::string::npos;
    EXPECT_TRUE(sheet);
  }
}

// Slid together as solids every rib has half of the fit that was decided on either side, end ribs too, whose plane is
// one of their faces.
TEST(EdgesOfTrades, TheTrialSlidesSolids) {
  for (const SlotCut cut : {SlotCut::square, SlotCut::filed})
    for (const double deg : {16.5, -10.2, 0.0}) {
      const TrueWing w = wingOf(swept(deg, cut));
      const Assembly a = assembled(w.main());
      for (const AssembledRib& rib : a.panels[0].ribs) {
        ASSERT_TRUE(rib.room) << rib.rib;
        EXPECT_NEAR(*rib.room, 0.05, 0.002) << "R" << rib.rib << ' ' << deg;
      }
      EXPECT_NEAR(figureOf(w, "assembly.room"), 0.05, 0.002);
      // By brute force on the plan: the corners of the sheet within the rib's thickness lie in the slot.
      const Rib& root = w.inner().frame.ribs.front();
      const double middle = w.inner().frame.spars[0].middle.at(0).x(), slope = std::tan(degToRad(deg));
      double least = 1e300, most = -1e300, from = 1e300, to = -1e300;
      for (int i = 0; i <= 300; ++i) {
        const double deep = i * 0.01, half = 1.5 / std::cos(degToRad(deg)),
                     at = middle + slope * (cut == SlotCut::filed ? 1.5 : deep);
        least = std::min(least, at - half), most = std::max(most, at + half);
      }
      for (const Polyline& loop : root.wood)
        for (const Point& q : loop)
          if (std::abs(q.y() - root.slots[0].bottom.y()) < 0.01) from = std::min(from, q.x()), to = std::max(to, q.x());
      EXPECT_LT(from, least) << deg;
      EXPECT_GT(to, most) << deg;
    }
}

// Half-laps too, and turned ribs with washout; a slot that stands aside is found, however wide it is.
TEST(EdgesOfTrades, TheTrialSlidesHalfLaps) {
  for (const SlotCut cut : {SlotCut::square, SlotCut::filed}) {
    Design d = swept(8, cut);
    PanelDesign& p = d.inner();
    p.panel.washoutDeg = 3;
    p.ribs.direction = RibDirection::diagonal, p.ribs.angleDeg = 38, p.ribs.crossing = true;
    const TrueWing w = wingOf(d);
    for (const Rib& rib : w.inner().frame.ribs) {
      EXPECT_TRUE(rib.kind != RibKind::main || !rib.laps.empty()) << rib.name();
      for (const Lap& lap : rib.laps) EXPECT_EQ(lap.bevel != 0, cut == SlotCut::filed);
    }
    EXPECT_NEAR(figureOf(w, "assembly.room"), 0.05, 0.005) << static_cast<int>(cut);
    WholeWing moved = w.main();
    Rib& third = moved.panels[0].frame.ribs[2];
    for (Polyline& loop : third.wood)
      for (Point& q : loop) q.x() += 0.2;
    const auto room = assembled(moved).panels[0].ribs[2].room;
    ASSERT_TRUE(room);
    EXPECT_NEAR(*room, -0.15, 0.01);
  }
}

TEST(EdgesOfTrades, ASlotThatIsTooDeepIsAnswered) {
  for (const SlotFrom from : {SlotFrom::above, SlotFrom::below}) {
    Design d = swept(0, SlotCut::square);
    d.inner().spars[0].ribSlot = from;
    const TrueWing w = wingOf(d);
    const Assembly fine = assembled(w.main());
    EXPECT_LT(fine.off, trialSeen);
    const Assembly a = assembled(w.main(), {{AssemblyFault::What::notch, 0, 3, 0.5}});
    EXPECT_NEAR(a.panels[0].ribs[2].up, from == SlotFrom::above ? 0.5 : -0.5, 0.01);
    EXPECT_GT(a.panels[0].ribs[2].off, 0.3);
  }
}

TEST(EdgesOfTrades, ABraceThatTouchesOneSparOnlyIsTold) {
  Design d;
  ASSERT_FALSE(d.inner().join.braces.empty());
  d = withPanelAdded(d, 0).value();
  ASSERT_EQ(d.wings[0].panels.size(), 2U);
  PanelDesign &inner = d.wings[0].panels[0], &outer = d.wings[0].panels[1];
  outer.join.braces = {Bracing{}};
  outer.join.braces[0].side = BraceSide::both;
  const auto told = [&] {
    const TrueWing w = wingOf(d);
    return std::any_of(findingsOf(w).begin(), findingsOf(w).end(),
                       [](const Finding& f) { return f.key.find("brace.gap") != std::string::npos; });
  };
  for (Cap* cap : {&inner.spars[0].top, &inner.spars[0].bottom, &outer.spars[0].top, &outer.spars[0].bottom})
    cap->tapers = false, cap->width = 15;
  EXPECT_FALSE(told());
  outer.spars[0].top.width = outer.spars[0].bottom.width = 8;
  EXPECT_TRUE(told()) << "3.5 mm on each face";
}

TEST(EdgesOfTrades, FoamEndsWhereThePlyOnItBegins) {
  Design d = test::foamDesign(test::panelOf(1300, 200, 160), 6);
  PanelDesign& p = d.inner();
  p.foam.cores = 4, p.foam.endRib = 3, p.foam.ribsBetween = true;
  p.ribs.rule = RibRule::stations, p.ribs.stations = {0, 325, 650, 975, 1300};
  const TrueWing w = wingOf(d);
  const auto& cores = w.inner().foam->cores;
  ASSERT_EQ(cores.size(), 4U);
  double all = 5 * 3;
  for (const FoamCore& core : cores) {
    all += core.block.length;
    EXPECT_NEAR(core.block.length, core.outer.t - core.inner.t, 1e-9);
  }
  EXPECT_NEAR(all, 1300, 1e-6) << "foam and ply together are the panel";
  EXPECT_NEAR(cores[0].inner.t, 3, 1e-9);
  EXPECT_NEAR(cores[0].outer.t, 323.5, 1e-9);
  for (const Part& part : w.inner().parts)
    if (part.what() == Part::What::core) {
      EXPECT_NEAR(part.length, part.key() == "core.1" || part.key() == "core.4" ? 320.5 : 322, 1e-6) << part.key();
    }
}

TEST(EdgesOfTrades, BlocksFromABoardLeaveRoomForTheSlot) {
  Design d = test::foamDesign(test::panelOf(600, 200, 200), 6);
  d.inner().sections.root.kind = d.inner().sections.tip.kind = SectionKind::naca;
  d.inner().sections.root.naca = d.inner().sections.tip.naca = "0012";
  const double high = wingOf(d).inner().foam->cores[0].block.height;
  d.wire.boardLength = 610, d.wire.boardWidth = 250, d.wire.kerf = 1.2;
  d.wire.boardHeight = 2 * high + 1.1;
  EXPECT_EQ(wingOf(d).inner().foam->cores[0].fromBoard, 1);
  d.wire.boardHeight = 2 * high + 1.3;
  EXPECT_EQ(wingOf(d).inner().foam->cores[0].fromBoard, 2);
}

TEST(EdgesOfTrades, TheBraceGoesInBeforeSheetClosesTheBox) {
  Design d;
  d.inner().sheeting.top = d.inner().sheeting.bottom = true;
  const std::vector<Step> steps = stepsOf(wingOf(d));
  const auto at = [&](const std::string& end, Hand hand) {
    return std::find_if(steps.begin(), steps.end(),
                        [&](const Step& s) { return s.key.ends_with(end) && s.hand == hand; });
  };
  for (const Hand hand : {Hand::right, Hand::left}) {
    const auto brace = at(".brace", hand);
    ASSERT_NE(brace, steps.end());
    // What needs it, over others or not.
    std::set<std::string> after{brace->key};
    for (const Step& s : steps)
      if (std::any_of(s.needs.begin(), s.needs.end(), [&](const std::string& n) { return after.contains(n); }))
        after.insert(s.key);
    int closing = 0;
    for (const Step& s : steps)
      if (s.hand == hand && (s.key.ends_with(".skinTop") || s.key.ends_with(".skinBelow"))) {
        ++closing;
        EXPECT_TRUE(after.contains(s.key)) << s.key;
      }
    EXPECT_GT(closing, 0);
  }
  EXPECT_NE(at(".brace", Hand::right)->what.find("glue to this half"), std::string::npos);
  EXPECT_NE(at(".brace", Hand::left)->what.find("dry"), std::string::npos);
}

} // namespace
} // namespace eup
