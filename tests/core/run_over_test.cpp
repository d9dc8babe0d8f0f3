// Strips that run over a join in one piece: listed, weighed, cut, drawn, put in and glued once.
#include "core/bench/progress.h"
#include "core/design/lasting.h"
#include "core/drawing/bench_sheets.h"
#include "core/drawing/wing_drawings.h"
#include "core/steps/order.h"
#include "core/steps/steps.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "core/wing/model_balance.h"
#include "core/wing/run_over.h"
#include "support.h"
#include <algorithm>
#include <cmath>
#include <set>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

/// A panel without taper or sweep, so that every strip is as long as the panel: 300, R1 to R6 60 apart.
PanelDesign plainPanel(double span) {
  PanelDesign p;
  p.panel.span = span, p.panel.rootChord = p.panel.tipChord = 120, p.panel.tipSetback = 0, p.panel.washoutDeg = 0;
  p.ribs.count = static_cast<int>(std::lround(span / 60)) + 1;
  p.spars = {Spar{}};
  p.spars[0].kind = SparKind::caps, p.spars[0].rootFraction = p.spars[0].tipFraction = 0.3;
  for (Cap* cap : {&p.spars[0].top, &p.spars[0].bottom}) {
    *cap = Cap{};
    cap->fitted = true, cap->width = 4, cap->depth = 2, cap->material = "sitka-spruce";
  }
  p.leadingEdge.kind = LeadingEdgeKind::square, p.leadingEdge.width = 5;
  p.trailingEdge.kind = TrailingEdgeKind::wedge, p.trailingEdge.width = 12;
  p.join.dihedral = {DihedralBy::angle, 0};
  p.join.braces.clear();
  return p;
}

Design plainWing(SparsThere there, double gamma = 0) {
  Design d;
  d.inner() = plainPanel(300);
  d.inner().join.sparsThere = there;
  d.inner().join.dihedral = {DihedralBy::angle, gamma};
  makeNumbersOwn(d);
  return d;
}

/// With a second panel of 180 outside, that much steeper.
Design twoPanels(SparsThere centre, SparsThere further, double steeper) {
  Design d = plainWing(centre);
  d.wings.front().panels.push_back(plainPanel(180));
  PanelDesign& outer = d.wings.front().panels.back();
  outer.number = 0;
  outer.join.sparsThere = further, outer.join.dihedral = {DihedralBy::angle, steeper};
  makeNumbersOwn(d);
  return d;
}

std::map<std::string, PieceLine> linesOf(const TrueWing& w) {
  std::map<std::string, PieceLine> out;
  for (const PieceLine& l : pieceList(w)) out[std::to_string(l.panel->design.id.panel + 1) + " " + l.part->key()] = l;
  return out;
}

const std::set<std::string> strips{"le", "te", "spar.1.top", "spar.1.bottom"};

std::vector<std::string> kindsOf(const std::vector<Step>& steps) {
  std::vector<std::string> out;
  for (const Step& s : steps) out.push_back(kindOfStep(s.key));
  return out;
}

bool hasKind(const std::vector<Step>& steps, const char* kind) {
  return std::ranges::count(kindsOf(steps), kind) > 0;
}

// By hand: 300 to either side is 600; one rib in the middle; nothing is joined.
TEST(RunOver, AFlatWingIsBuiltInOnePiece) {
  const TrueWing w = wingOf(plainWing(SparsThere::through)), two = wingOf(plainWing(SparsThere::end));
  const auto lines = linesOf(w), halves = linesOf(two);
  for (const std::string& key : strips) {
    const PieceLine &one = lines.at("1 " + key), &half = halves.at("1 " + key);
    EXPECT_NEAR(one.part->length, 600, 0.01) << key;
    EXPECT_NEAR(half.part->length, 300, 0.01) << key;
    EXPECT_EQ(one.right, 1) << key;
    EXPECT_EQ(one.left, 0) << key;
    EXPECT_EQ(half.right + half.left, 2) << key;
    EXPECT_STREQ(handsOf(one), "one for both");
    EXPECT_NEAR(one.gramsEach, 2 * half.gramsEach, 1e-9) << key;
    EXPECT_NEAR(one.grams, half.grams, 1e-9) << "it weighs what both halves do";
    EXPECT_EQ(one.part->overJoins.size(), 1U);
    EXPECT_NEAR(one.part->overJoins.front(), 300, 0.01);
  }
  // One rib with its cap strips less, and no end is sawn.
  double rib = 0;
  for (const char* key : {"1 rib.1", "1 capStrip.1.top", "1 capStrip.1.bottom"}) {
    rib += halves.at(key).gramsEach;
    EXPECT_EQ(lines.at(key).right + lines.at(key).left, 1) << key;
    EXPECT_STREQ(handsOf(lines.at(key)), "one for both");
  }
  EXPECT_NEAR(figureOf(two, "parts.mass") - figureOf(w, "parts.mass"), rib, 1e-6);
  EXPECT_NE(figureNamed(two, "cut.le.mitre"), nullptr);
  EXPECT_EQ(figureNamed(w, "cut.le.mitre"), nullptr);
  EXPECT_EQ(figureNamed(w, "join.block"), nullptr) << "nothing is propped";
  EXPECT_NEAR(balanceOf(w).pieces.grams, figureOf(w, "parts.mass"), 1e-9);
  EXPECT_NEAR(balanceOf(w).rightMore, 0, 1e-9);
  // Built on the board as one, by one plan; nothing is joined.
  const auto steps = stepsOf(w);
  EXPECT_TRUE(hasKind(stepsOf(two), "centre"));
  EXPECT_FALSE(hasKind(steps, "centre"));
  for (const char* kind : {"plan", "cutRibs", "strips", "lower", "ribsOn", "edges", "upper", "off"})
    EXPECT_EQ(std::ranges::count(kindsOf(steps), kind), 1) << kind;
  EXPECT_EQ(contradictionsIn(w, steps), std::vector<std::string>{});
  // Either hand is as far as the board is.
  for (const Hand hand : {Hand::right, Hand::left}) {
    const PanelProgress none = progressOf(steps, {}, 0, 0, hand);
    ASSERT_NE(none.next, nullptr);
    std::vector<StepRecord> records;
    for (const Step& s : steps)
      if (kindOfStep(s.key) == "plan") records.push_back({s.key, "2026-12-01 18:00", "2026-12-01 18:10", 0, false, ""});
    EXPECT_EQ(progressOf(steps, records, 0, 0, hand).done, 1);
    EXPECT_GT(none.all, 8);
  }
}

// Every joint of the halves is made, but for the one between them; what both have in common is glued once.
TEST(RunOver, TheGlueIsThatOfBothHalvesLessTheirJoin) {
  const auto glueIn = [](const TrueWing& w) {
    std::map<std::string, GlueUp> out;
    for (const Step& s : stepsOf(w)) {
      GlueUp& sum = out[kindOfStep(s.key)];
      sum.joints += s.glue.joints, sum.area += s.glue.area;
    }
    return out;
  };
  auto one = glueIn(wingOf(plainWing(SparsThere::through))), two = glueIn(wingOf(plainWing(SparsThere::end)));
  // In either half ribs of 3, four of 2 and 3; two of 3 became one.
  for (const char* kind : {"ribsOn", "upper", "edges"}) {
    EXPECT_LT(one[kind].area, two[kind].area) << kind;
    EXPECT_NEAR(one[kind].area, two[kind].area * 25 / 28, 0.01 * two[kind].area) << kind;
  }
  EXPECT_GT(two["centre"].joints, 0);
  EXPECT_EQ(one["centre"].joints, 0);
}

// Cracked and raised: one strip over the bend; nicked, set and glued, then the brace across; nothing waits for epoxy.
TEST(RunOver, CrackedStripsAreBentOffTheBoardAndBracedThen) {
  Design d = plainWing(SparsThere::cracked, 5);
  const TrueWing w = wingOf(d);
  const auto lines = linesOf(w);
  for (const std::string& key : strips) EXPECT_NEAR(lines.at("1 " + key).part->length, 600, 0.05) << key;
  EXPECT_EQ(figureNamed(w, "cut.le.mitre"), nullptr);
  const auto steps = stepsOf(w);
  const auto bend = std::ranges::find_if(steps, [](const Step& s) { return kindOfStep(s.key) == "centre"; });
  ASSERT_NE(bend, steps.end());
  EXPECT_NE(bend->what.find("Nick"), std::string::npos);
  EXPECT_LT(bend->cureHours, 4);
  EXPECT_EQ(bend->works.size(), 4U);
  EXPECT_NE(figureNamed(w, "join.block"), nullptr);
  EXPECT_EQ(figureNamed(w, "join.trim"), nullptr) << "no end is dressed";
  // By hand: caps 4 wide and 2 deep, the edges as deep as their stock, each nicked to within 0.5: both faces of the V.
  double nicks = 0;
  for (const std::string& key : strips) {
    const Part& part = *lines.at("1 " + key).part;
    nicks += part.breadth * (part.stock.thickness - 0.5);
  }
  EXPECT_NEAR(bend->glue.area, nicks, 1e-6);
  // The V of a cap 2 deep, nicked to within 0.5, that is set to 10° in all: 2 × 1.5 × tan 5°; of the edges likewise.
  EXPECT_NEAR(figureOf(w, "crack.1.top"), 2 * 1.5 * std::tan(degToRad(5)), 1e-9);
  const double le = lines.at("1 le").part->stock.thickness;
  EXPECT_NEAR(figureOf(w, "crack.le"), 2 * (le - 0.5) * std::tan(degToRad(5)), 1e-9);
  for (const char* key : {"crack.1.top", "crack.1.bottom", "crack.le", "crack.te"})
    EXPECT_EQ(std::ranges::count(bend->figures, key), 1) << key;
  d.inner().join.braces = {Bracing{}};
  makeNumbersOwn(d);
  const TrueWing braced = wingOf(d);
  const auto then = stepsOf(braced);
  const auto brace = std::ranges::find_if(then, [](const Step& s) { return kindOfStep(s.key) == "brace"; });
  ASSERT_NE(brace, then.end());
  EXPECT_EQ(std::ranges::count(kindsOf(then), "brace"), 1);
  EXPECT_EQ(brace->needs, std::vector<std::string>{bend->key});
  EXPECT_GT(brace->glue.area, 0);
  EXPECT_EQ(contradictionsIn(braced, then), std::vector<std::string>{});
  // Two ribs that lean to it, where that is decided: glued face to face as it is set.
  d.inner().join.rootLeans = true;
  EXPECT_FALSE(wingOf(d).inner().frame.ribs.front().shared);
  EXPECT_TRUE(braced.inner().frame.ribs.front().shared);
}

// Further out: 300 + 180 in one; over the centre too, 960, with joins at 180, 480 and 780 from its left end.
TEST(RunOver, OverPanelsAndOverBothHands) {
  const TrueWing each = wingOf(twoPanels(SparsThere::end, SparsThere::cracked, 8)),
                 all = wingOf(twoPanels(SparsThere::through, SparsThere::cracked, 8)),
                 none = wingOf(twoPanels(SparsThere::end, SparsThere::end, 8));
  for (const std::string& key : strips) {
    const auto one = linesOf(each), whole = linesOf(all), apart = linesOf(none);
    EXPECT_NEAR(one.at("1 " + key).part->length, 480, 0.1) << key;
    EXPECT_EQ(one.at("1 " + key).right + one.at("1 " + key).left, 2) << key;
    EXPECT_FALSE(one.contains("2 " + key));
    EXPECT_NEAR(whole.at("1 " + key).part->length, 960, 0.1) << key;
    EXPECT_EQ(whole.at("1 " + key).right + whole.at("1 " + key).left, 1) << key;
    const auto& joins = whole.at("1 " + key).part->overJoins;
    ASSERT_EQ(joins.size(), 3U);
    EXPECT_NEAR(joins[0], 180, 0.1);
    EXPECT_NEAR(joins[1], 480, 0.1);
    EXPECT_NEAR(joins[2], 780, 0.1);
    EXPECT_NEAR(whole.at("1 " + key).grams, apart.at("1 " + key).grams + apart.at("2 " + key).grams, 1e-9) << key;
  }
  for (const TrueWing* w : {&each, &all, &none}) {
    const ModelBalance b = balanceOf(*w);
    EXPECT_NEAR(b.pieces.grams, figureOf(*w, "parts.mass"), 1e-9);
    EXPECT_NEAR(b.rightMore, 0, 1e-9);
    EXPECT_EQ(contradictionsIn(*w, stepsOf(*w)), std::vector<std::string>{});
  }
  EXPECT_NEAR(balanceOf(each).pieces.at.x(), balanceOf(none).pieces.at.x(), 1e-9);
  const BuiltAsOne with = builtWith(all.main(), 1);
  EXPECT_EQ(with.inner, 0);
  EXPECT_EQ(with.outer, 1);
  EXPECT_TRUE(with.bothHands);
  EXPECT_FALSE(builtWith(none.main(), 1).bothHands);
  EXPECT_EQ(builtWith(none.main(), 1).inner, 1);
}

// What was weighed whole hangs where its lengths are: 10 g more of the cap over both hands turn the wing to neither
// side.
TEST(RunOver, WeighedWhole) {
  Design d = twoPanels(SparsThere::through, SparsThere::cracked, 8);
  const ModelBalance light = balanceOf(wingOf(d));
  const double cap = linesOf(wingOf(d)).at("1 spar.1.top").grams;
  d.balance.weighed = {{"wings.0.panels.0.spar.1.top", Hand::right, cap + 10}};
  const ModelBalance b = balanceOf(wingOf(d));
  EXPECT_NEAR(b.pieces.grams, light.pieces.grams + 10, 1e-9);
  EXPECT_NEAR(b.rightMore, 0, 1e-9);
  EXPECT_TRUE(b.gone.empty());
}

// A strip that bends more than it springs to ends there and is sawn; so does one of other stock.
TEST(RunOver, WhatCannotGoOnEnds) {
  Design d = plainWing(SparsThere::through);
  d.inner().panel.tipSetback = 20; // 3.8° a side
  d.inner().spars[0].tipFraction = 0.3 - 20.0 / 120;
  const TrueWing w = wingOf(d);
  const auto lines = linesOf(w);
  EXPECT_EQ(lines.at("1 le").right + lines.at("1 le").left, 2) << "swept: sawn to a mitre";
  EXPECT_NE(figureNamed(w, "cut.le.mitre"), nullptr);
  EXPECT_EQ(lines.at("1 spar.1.top").left, 0) << "straight across";
  EXPECT_EQ(figureNamed(w, "cut.spar.1.top.mitre"), nullptr);
  Design other = twoPanels(SparsThere::end, SparsThere::cracked, 5);
  other.wings.front().panels.back().spars[0].top.width = 3;
  EXPECT_TRUE(linesOf(wingOf(other)).contains("2 spar.1.top")) << "3 wide does not go on from 4";
  EXPECT_FALSE(linesOf(wingOf(other)).contains("2 spar.1.bottom"));
  // What comes apart on the field, and what is no frame, ends there.
  Design apart = plainWing(SparsThere::through);
  apart.inner().join.joiner.fitted = true;
  EXPECT_FALSE(passesRoot(wingOf(apart).inner()));
  Design foam = twoPanels(SparsThere::end, SparsThere::cracked, 5);
  foam.wings.front().panels.front().built = Built::foam;
  EXPECT_FALSE(passesRoot(wingOf(foam).main().panels.back()));
}

// From stock of 500: 960 with 480 in the middle and 180 and 780 further out; no scarf within 60 of them, a bay.
TEST(RunOver, ScarfsKeepClearOfJoins) {
  Design d = twoPanels(SparsThere::through, SparsThere::cracked, 8);
  d.cutList.stock = 500, d.cutList.scarf = 10, d.cutList.trim = 0;
  const TrueWing w = wingOf(d);
  for (const std::string& key : strips) {
    const Part& part = *linesOf(w).at("1 " + key).part;
    const auto made = scarfed(part, d.cutList);
    ASSERT_TRUE(made) << key;
    double begun = 0;
    for (const double at : made->at) {
      EXPECT_LE(at + made->scarf / 2 - begun, 500 + 1e-9) << key << ": no length is longer than its stock";
      begun = at - made->scarf / 2;
      for (const double join : part.overJoins)
        EXPECT_GE(std::abs(at - join) + 1e-9, 60 + made->scarf / 2) << key << ' ' << at << " beside " << join;
    }
    EXPECT_LE(part.length - begun, 500 + 1e-9) << key;
  }
}

// A sheet spar over the centre is cut from one drawing, twice as long, with the same slots.
TEST(RunOver, ASheetSparIsDrawnWhole) {
  Design d = plainWing(SparsThere::through);
  d.inner().spars[0].kind = SparKind::fullDepth;
  const TrueWing w = wingOf(d);
  d.inner().join.sparsThere = SparsThere::end;
  const TrueWing two = wingOf(d);
  const PieceLine one = linesOf(w).at("1 spar.1.sheet"), half = linesOf(two).at("1 spar.1.sheet");
  EXPECT_NEAR(one.part->length, 600, 1e-6);
  EXPECT_EQ(one.right, 1);
  EXPECT_EQ(one.left, 0);
  // Two slots for ribs of 3, as deep as half the spar, became one.
  EXPECT_NEAR(one.part->area - 2 * half.part->area, 3 * half.part->breadth / 2, 0.05 * half.part->breadth);
  const auto drawnLong = [](const TrueWing& of, Hand hand) {
    int out = 0;
    for (const Drawing& sheet : ribParts({of.inner()}, hand))
      if (sheet.bounds().width() > 590) ++out;
    return out;
  };
  EXPECT_EQ(drawnLong(w, Hand::right), 1);
  EXPECT_EQ(drawnLong(w, Hand::left), 0);
  EXPECT_EQ(drawnLong(two, Hand::right), 0);
}

// One plan and one setting-up board with both hands, the middle rib named once; further out the board is by hands.
TEST(RunOver, ThePlanShowsBothHands) {
  const TrueWing w = wingOf(plainWing(SparsThere::through)), two = wingOf(plainWing(SparsThere::end));
  ExportOrder order;
  order.formats = {ExportFormat::svg};
  order.pieces = {PrintPiece::plan, PrintPiece::settingUp, PrintPiece::labels};
  const auto names = exportNames(w, order);
  const auto has = [&](const char* end) {
    return std::ranges::any_of(names, [&](const std::string& name) { return name.ends_with(end); });
  };
  EXPECT_TRUE(has("plan-both.svg") && has("setting-up-both.svg") && has("labels-left.svg"));
  EXPECT_FALSE(has("plan-right.svg") || has("plan-left.svg") || has("setting-up-left.svg"));
  const auto times = [](const Drawing& d, const std::string& text) {
    return std::ranges::count_if(d.labels, [&](const Label& l) { return l.text == text; });
  };
  const Drawing plan = planOfBoth({w.inner()}, {w.inner()}), half = planDrawing({two.inner()}, Hand::right);
  EXPECT_NEAR(plan.bounds().width() - half.bounds().width(), 300, 15) << "text may stand out";
  EXPECT_EQ(times(plan, "R1"), 1);
  EXPECT_EQ(times(plan, "R2"), 2);
  const Drawing board = settingUpOfBoth(w.inner(), w.inner());
  EXPECT_EQ(times(board, "R1"), 1);
  EXPECT_EQ(times(board, "R6"), 2);
  EXPECT_EQ(times(board, "LE"), 1);
  // What the order sends is there: with the first of the hands that are asked for, once.
  const auto sections = [&](std::vector<Hand> hands) {
    order.hands = std::move(hands);
    int out = 0;
    for (const PrintSection& s : sectionsOf(w, order))
      for (const Drawing& d : s.drawings) out += d.bothHands ? 1 : 0;
    return out;
  };
  EXPECT_EQ(sections({Hand::right, Hand::left}), 2);
  EXPECT_EQ(sections({Hand::left}), 2);
  // The middle rib is labelled once, so are the strips.
  int labels = 0;
  for (const Hand hand : {Hand::right, Hand::left})
    for (const Drawing& d : pieceLabels({w.inner()}, hand)) labels += static_cast<int>(times(d, "leading edge"));
  EXPECT_EQ(labels, 1);
}

// A sheet spar that is cracked closes over its own thickness, as deep as it stands less what is left.
TEST(RunOver, ACrackedSheetSparIsGluedOverItsThickness) {
  Design d = plainWing(SparsThere::cracked, 5);
  d.inner().spars[0].kind = SparKind::fullDepth;
  d.inner().leadingEdge.kind = LeadingEdgeKind::none, d.inner().trailingEdge.kind = TrailingEdgeKind::none;
  const TrueWing w = wingOf(d);
  const Part& sheet = *linesOf(w).at("1 spar.1.sheet").part;
  for (const Step& s : stepsOf(w))
    if (kindOfStep(s.key) == "centre")
      EXPECT_NEAR(s.glue.area, sheet.stock.thickness * (sheet.breadth - d.inner().join.crackLeaves), 1e-6);
  EXPECT_TRUE(hasKind(stepsOf(w), "centre"));
}

// A left hand of its own, 40 longer: 300 + 340; the sheet spar's halves differ and are cut each by itself.
TEST(RunOver, OverHandsThatDiffer) {
  Design d = plainWing(SparsThere::through);
  d.inner().left = {true, 40, 0, 0, 0};
  const TrueWing w = wingOf(d);
  for (const std::string& key : strips) {
    const PieceLine line = linesOf(w).at("1 " + key);
    EXPECT_NEAR(line.part->length, 640, 0.01) << key;
    ASSERT_EQ(line.part->overJoins.size(), 1U);
    EXPECT_NEAR(line.part->overJoins.front(), 340, 0.01) << "from its left end";
    EXPECT_EQ(line.right + line.left, 1);
  }
  double listed = 0;
  for (const PieceLine& l : pieceList(w)) listed += l.grams;
  EXPECT_NEAR(listed, figureOf(w, "parts.mass"), 1e-6);
  EXPECT_NEAR(balanceOf(w).pieces.grams, listed, 1e-6);
  EXPECT_EQ(contradictionsIn(w, stepsOf(w)), std::vector<std::string>{});
}

// The left half tapers, so that its trailing edge stands 5.7° to the right one's: it ends in the middle, each listed.
TEST(RunOver, WhatOneHandAloneCouldCarryOnEnds) {
  Design d = plainWing(SparsThere::through);
  d.inner().spars[0].kind = SparKind::fullDepth;
  d.inner().left = {true, 0, -30, 0, 0};
  const TrueWing w = wingOf(d);
  int tails = 0, sheets = 0;
  double listed = 0;
  for (const PieceLine& l : pieceList(w)) {
    listed += l.grams;
    const bool tail = l.part->id.kind == PieceKind::trailingEdge, sheet = l.part->id.kind == PieceKind::sheetSpar;
    if (tail) tails += l.right + l.left;
    if (sheet) sheets += l.right + l.left;
    if (tail || sheet) EXPECT_LT(l.part->length, 310);
    if (l.part->id.kind == PieceKind::leadingEdge) EXPECT_NEAR(l.part->length, 600, 1);
  }
  EXPECT_EQ(tails, 2);
  EXPECT_EQ(sheets, 2);
  EXPECT_NEAR(listed, figureOf(w, "parts.mass"), 1e-6);
  EXPECT_NEAR(balanceOf(w).pieces.grams, listed, 1e-6);
  EXPECT_EQ(contradictionsIn(w, stepsOf(w)), std::vector<std::string>{});
}

} // namespace
} // namespace eup
