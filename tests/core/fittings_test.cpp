// Rib kinds, riblets, spars that stop and taper, tips: what each adds, against closed forms and plain counting.
#include "core/design/decisions.h"
#include "core/design/design_file.h"
#include "core/geometry/polyline.h"
#include "core/loft/panel_edit.h"
#include "core/work/take_away.h"
#include "support.h"
#include <cmath>
#include <numbers>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

const TruePanel& innerOf(const TrueWing& w) {
  return w.inner();
}

TEST(RibKinds, HalvedBaysAddRibsAtTheEnds) {
  Ribs r;
  r.count = 6; // five bays of 100
  r.denseRoot = 2;
  r.denseTip = 1;
  const std::vector<double> want{0, 50, 100, 150, 200, 300, 400, 450, 500};
  const std::vector<double> got = ribStations(r, 500);
  ASSERT_EQ(got.size(), want.size());
  for (std::size_t i = 0; i < want.size(); ++i) EXPECT_NEAR(got[i], want[i], 1e-9);
  r.denseRoot = 400; // more than there are: every bay once
  EXPECT_EQ(ribStations(r, 500).size(), 11u);
  r.rule = RibRule::stations;
  r.stations = {0, 500};
  EXPECT_EQ(ribStations(r, 500).size(), 2u) << "own stations are left alone";
}

TEST(RibKinds, ThickAndDoubledOnesAreCountedFromTheRoot) {
  Design d;
  d.inner().ribs.thick = {2, 5};
  d.inner().ribs.thickThickness = 4;
  d.inner().ribs.doubled = {5, 7};
  const TrueWing w = wingOf(d);
  const auto& ribs = w.inner().frame.ribs;
  EXPECT_DOUBLE_EQ(ribs[1].thickness, 4);
  EXPECT_EQ(ribs[1].layers, 1);
  EXPECT_DOUBLE_EQ(ribs[4].thickness, 8) << "two of the thick ones";
  EXPECT_DOUBLE_EQ(ribs[6].thickness, 2 * d.inner().ribs.thickness);
  EXPECT_DOUBLE_EQ(ribs[2].thickness, d.inner().ribs.thickness);
  std::size_t cutTwo = 0, ribsDrawn = 0;
  const std::vector<Drawing> sheets = ribSheets(drawn(w), Hand::right, 2000, 0);
  for (const Label& t : sheets.front().labels) {
    cutTwo += t.text.find("cut two") != std::string::npos;
    ribsDrawn += t.text.find("chord") != std::string::npos;
  }
  EXPECT_EQ(cutTwo, 4u) << "two ribs, each drawn as often as it is cut";
  EXPECT_EQ(ribsDrawn, ribs.size() + 2);
  d.inner().ribs.thick = {99};
  EXPECT_TRUE(hasFinding(wingOf(d).findings, "ribs.listed"));
}

TEST(Riblets, StandEvenlyInEveryBayAndEndAtTheirPlace) {
  Design d;
  d.inner().riblets.inBay = 2;
  d.inner().riblets.fraction = 0.25;
  const TrueWing w = wingOf(d);
  const TruePanel& p = innerOf(w);
  ASSERT_EQ(p.frame.riblets.size(), 2 * (p.frame.ribs.size() - 1));
  EXPECT_EQ(p.frame.riblets[3].name(), "R2.2");
  const double bay = p.frame.ribs[1].t() - p.frame.ribs[0].t();
  EXPECT_NEAR(p.frame.riblets[0].t(), bay / 3, 1e-9);
  for (const Rib& r : p.frame.riblets) {
    const Box wood = boundsOf(r.wood);
    EXPECT_NEAR(wood.high.x(), 0.25 * r.frame.chord, 0.01);
    EXPECT_LT(r.cutArea, 0.4 * r.bareArea);
    EXPECT_NEAR(areaOf(intersect(r.wood, {r.bare})), r.cutArea, 0.05) << "inside the surface";
  }
  d.inner().riblets.to = SheetEdge::spar;
  const TrueWing toSpar = wingOf(d);
  for (const Rib& r : toSpar.inner().frame.riblets)
    EXPECT_NEAR(boundsOf(r.wood).high.x(),
                r.sparX[0] - d.inner().spars[0].top.width / 2 * toSpar.inner().frame.spars[0].stretch, 0.02);
  d.inner().riblets.spar = 2;
  const auto none = work(d);
  ASSERT_TRUE(std::holds_alternative<std::vector<Finding>>(none));
  EXPECT_TRUE(hasFinding(std::get<std::vector<Finding>>(none), "riblets.spar"));
}

TEST(SparEnds, NotchesFollowATaperedCapAndStopWithIt) {
  Design d;
  Spar& s = d.inner().spars[0];
  s.stops = true;
  s.stopsAt = 0.6 * d.inner().panel.span;
  s.top.tapers = true;
  s.top.width = 8, s.top.depth = 4, s.top.tipWidth = 4, s.top.tipDepth = 2;
  const TrueWing w = wingOf(d);
  const SparLine& line = w.inner().frame.spars[0];
  for (const Rib& r : w.inner().frame.ribs) {
    EXPECT_EQ(r.notches.size(), r.t() <= s.stopsAt + 1e-6 ? 2u : 0u) << r.name();
    for (const Notch& n : r.notches)
      if (n.face == Face::upper) {
        const double share = r.t() / s.stopsAt;
        EXPECT_NEAR(n.width, (8 - 4 * share) * line.stretch + d.inner().ribs.notchFit, 1e-9);
        EXPECT_NEAR(std::abs(signedArea(n.shape)), (8 - 4 * share) * line.stretch * (4 - 2 * share), 0.01) << r.name();
      }
  }
  // Beyond its end nothing is packed under it, and the bending there is told.
  EXPECT_EQ(w.figure("setup.12.spar1"), nullptr);
  EXPECT_NE(w.figure("setup.2.spar1"), nullptr);
  EXPECT_TRUE(hasFinding(w.findings, "spars.short"));
  ASSERT_TRUE(w.inner().strength.bending.bareFrom.has_value());
  EXPECT_NEAR(*w.inner().strength.bending.bareFrom, s.stopsAt, d.inner().panel.span / 100);
}

TEST(SparEnds, StiffnessOfATaperedSparIsThatOfItsSizeThere) {
  Design d;
  Spar& s = d.inner().spars[0];
  for (Cap* c : {&s.top, &s.bottom}) c->tapers = true, c->width = 8, c->depth = 3, c->tipWidth = 2, c->tipDepth = 1;
  const TrueWing w = wingOf(d);
  const SparLine& line = w.inner().frame.spars[0];
  const double t = line.end / 2, high = line.upperSeat.at(t).y() - line.lowerSeat.at(t).y();
  const SparSection got = sparSection(s, line, t, Tables{});
  // Two rectangles 5 × 2: own inertia and Steiner's (parallel axes).
  const double own = 5 * 8.0 / 12, arm = (high - 2) / 2, e = got.upperModulus;
  EXPECT_NEAR(got.bent.stiffness, 2 * e * (own + 10 * arm * arm), 1e-6 * got.bent.stiffness);
}

TEST(SparEnds, TaperedSparsBendMoreThanFullOnes) {
  Design d;
  const double full = wingOf(d).main().tipDeflection;
  for (Cap* c : {&d.inner().spars[0].top, &d.inner().spars[0].bottom}) c->tapers = true;
  EXPECT_GT(wingOf(d).main().tipDeflection, full);
}

/// Cut anywhere and merged again the wing has its spars, its thick and its doubled ribs back.
RC_GTEST_PROP(SparEnds, ACutAndAMergeGiveThemBack, ()) {
  Design d;
  d.inner().panel.span = 660; // bays of 60
  d.inner().panel.washoutDeg = 0;
  Spar& s = d.inner().spars[0];
  s.top.tapers = *rc::gen::arbitrary<bool>();
  s.top.tipWidth = *rc::gen::inRange(20, 60) / 10.0;
  s.top.tipDepth = 1.5;
  s.stops = *rc::gen::arbitrary<bool>();
  s.stopsAt = *rc::gen::inRange(100, 650);
  d.inner().ribs.doubled = {3, 7};
  const int rib = *rc::gen::inRange(2, 10);                        // not an end
  RC_PRE(!s.stops || std::abs(s.stopsAt - 60.0 * (rib - 1)) >= 5); // shorter stubs are not kept
  const auto cut = withPanelSplit(d, {0, 0}, 60.0 * (rib - 1));
  RC_ASSERT(cut.ok());
  const auto whole = withPanelsMerged(cut.value(), {0, 0});
  RC_ASSERT(whole.ok());
  const PanelDesign& p = whole.value().inner();
  RC_ASSERT(p.ribs.doubled == d.inner().ribs.doubled);
  RC_ASSERT(p.spars[0].stops == (s.stops && s.stopsAt < 660));
  if (p.spars[0].stops) RC_ASSERT(std::abs(p.spars[0].stopsAt - s.stopsAt) < 5 + 1e-9);
  const TrueWing before = wingOf(d), after = wingOf(whole.value());
  for (const Rib& r : after.inner().frame.ribs) {
    RC_ASSERT(r.notches.size() == before.inner().rib(r.number).notches.size());
    for (std::size_t i = 0; i < r.notches.size(); ++i)
      RC_ASSERT(std::abs(r.notches[i].width - before.inner().rib(r.number).notches[i].width) < 0.05);
  }
}

TEST(Tips, BowOfEqualQuartersIsAnEllipse) {
  Design d;
  Tip& t = d.inner().tip;
  t.kind = TipKind::bow;
  t.reach = 60;
  t.farthest = 0.5;
  t.strips = 3;
  t.thickness = 1;
  const TrueWing w = wingOf(d);
  const double a = d.inner().panel.tipChord / 2, b = t.reach;
  // Length of half an ellipse: 2 a E(k), the complete elliptic integral of the standard library, k² = 1 − b² ÷ a².
  const double half = 2 * a * std::comp_ellint_2(std::sqrt(1 - b * b / (a * a)));
  EXPECT_NEAR(figureOf(w, "tip.longest"), half, 0.002 * half);
  EXPECT_NEAR(figureOf(w, "tip.area"), std::numbers::pi / 2 * a * b, 1e-6);
  EXPECT_LT(figureOf(w, "tip.shortest"), figureOf(w, "tip.longest") - std::numbers::pi) << "two strips in, half a turn";
  EXPECT_NEAR(figureOf(w, "tip.span"), 2 * (d.inner().panel.span + 60), 1e-9);
  for (const Point& p : w.inner().tip->inner) { // the form stands inside the tip by the strips' thickness
    double nearest = 1e9;
    for (const Point& q : w.inner().tip->edge) nearest = std::min(nearest, (p - q).norm());
    EXPECT_GE(nearest, 3 - 0.05);
  }
}

TEST(Tips, ArePackedToTheMiddleOfTheTipRib) {
  Design d;
  d.inner().tip = {TipKind::outline, 50, 0.6, 5, 4, 12, 3, 3, 5};
  const TrueWing w = wingOf(d);
  const double nose = w.inner().settingUp.ribs.back().nose;
  EXPECT_NEAR(figureOf(w, "tip.packing.1"), nose - 2, 1e-9) << "half the sheet under the nose";
  const ChordFrame tip = w.inner().shape.loft.frameAt(w.inner().shape.loft.span());
  // Nose down: the chord line rises by c sin θ to its end.
  EXPECT_NEAR(figureOf(w, "tip.packing.3"), nose - 2 + tip.chord * std::sin(tip.washout), 1e-9);
  EXPECT_NEAR(figureOf(w, "tip.packing.2"),
              nose - 2 + 0.6 * tip.chord * std::sin(tip.washout) + 5 * std::cos(tip.washout), 1e-9);
}

TEST(Tips, BlocksHaveTheTipSectionScaledToTheOutline) {
  Design d;
  d.inner().tip.kind = TipKind::block;
  d.inner().tip.reach = 40;
  const TrueWing w = wingOf(d);
  const auto& templates = w.inner().tip->templates;
  ASSERT_EQ(templates.size(), 3u);
  const double chord = d.inner().panel.tipChord;
  for (const TipTemplate& one : templates) {
    // The outline's own equation: half way out the chord is √(1 − ¼) of the whole.
    EXPECT_NEAR(one.chord, chord * std::sqrt(1 - one.beyond * one.beyond / 1600), 1e-9);
    const Box box = boundsOf(one.outline);
    EXPECT_NEAR(box.height() / one.chord, w.inner().shape.tipMeasures.thickness, 0.01);
  }
}

TEST(Tips, EveryKindIsDrawnInBothHandsAndASquareOneIsNot) {
  for (std::size_t kind = 0; kind < tipChoices.size(); ++kind) {
    Design d;
    d.inner().tip.kind = static_cast<TipKind>(kind);
    const TrueWing w = wingOf(d);
    const DrawnWing drawing = drawn(w);
    const auto right = tipParts(drawing.front(), Hand::right), left = tipParts(drawing.front(), Hand::left);
    EXPECT_EQ(right.empty(), d.inner().tip.kind == TipKind::square);
    ASSERT_EQ(right.size(), left.size());
    for (std::size_t i = 0; i < right.size(); ++i) {
      EXPECT_NEAR(right[i].bounds().width(), left[i].bounds().width(), 30) << "lettering aside";
      EXPECT_NE(right[i].labels.front().text.find("RIGHT"), std::string::npos);
      EXPECT_NE(left[i].labels.front().text.find("LEFT"), std::string::npos);
    }
    const double wide = planDrawing(drawing, Hand::right).bounds().width();
    if (d.inner().tip.kind != TipKind::square) {
      EXPECT_GT(wide, d.inner().panel.span);
    }
  }
}

TEST(Tips, StockThatIsTooDeepIsTold) {
  Design d;
  d.inner().tip.kind = TipKind::bow;
  EXPECT_FALSE(hasFinding(wingOf(d).findings, "tip.deep"));
  d.inner().tip.strips = 20;
  d.inner().tip.thickness = 5;
  EXPECT_TRUE(hasFinding(wingOf(d).findings, "tip.deep"));
  d.inner().tip.kind = TipKind::outline;
  EXPECT_FALSE(hasFinding(wingOf(d).findings, "tip.deep")) << "its pieces are 10 wide";
}

TEST(Tips, GoWithTheOutermostPanel) {
  Design d;
  d.inner().tip.kind = TipKind::bow;
  const Design two = withPanelAdded(d, 0).value();
  const TrueWing w = wingOf(two);
  EXPECT_FALSE(w.main().panels[0].tip.has_value());
  EXPECT_TRUE(w.main().panels[1].tip.has_value());
  const Design one = withPanelTakenOut(two, {0, 1}).value();
  EXPECT_EQ(one.inner().tip.kind, TipKind::bow);
}

} // namespace
} // namespace eup
