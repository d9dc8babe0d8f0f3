// Edge strips as the only spars, square trailing edges, leading edges left proud, nose gauges; ribs out of a stack.
#include "core/described/design_file.h"
#include "core/geometry/polyline.h"
#include "core/parts/rib_stack.h"
#include "core/takeaway/take_away.h"
#include "core/trials/trial_assembly.h"
#include "places.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

/// An indoor wing: strips along its edges and nothing else along the span.
Design edged() {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(230, 110, 110);
  d.inner().sections.root.naca = d.inner().sections.tip.naca = "0006";
  d.inner().leadingEdge.kind = LeadingEdgeKind::onEdge, d.inner().leadingEdge.width = 2;
  d.inner().trailingEdge.kind = TrailingEdgeKind::square;
  d.inner().trailingEdge.width = 3, d.inner().trailingEdge.height = 1.5;
  d.inner().ribs.thickness = d.inner().ribs.rootThickness = d.inner().ribs.tipThickness = 0.8;
  d.flying.kind = typedFactors, d.flying.loadFactor = 2, d.flying.pushFactor = 0;
  d.flying.mass = 4, d.flying.shape = LoadShape::chord, d.flying.relief = false;
  return d;
}

// Two strips side by side bend together, each about its own middle: w L⁴ ÷ (8 Σ E I), any table of beams.
TEST(EdgeSpars, BendAsTwoStripsSideBySide) {
  const TrueWing w = wingOf(edged());
  const double e = 3400, front = 2 * 2 * 2 * 2 / 12.0, rear = 3 * 1.5 * 1.5 * 1.5 / 12, all = e * (front + rear),
               lift = 2 * 0.004 * 9.80665 / 2, moment = lift * 115;
  const Strength& s = w.inner().strength.bending;
  EXPECT_NEAR(s.rootStiffness, all, 1e-9 * all);
  EXPECT_NEAR(w.main().tipDeflection, lift / 230 * std::pow(230, 4) / (8 * all), 0.001 * w.main().tipDeflection);
  ASSERT_EQ(s.edges.size(), 2u);
  EXPECT_NEAR(s.edges[0].stress, moment / all * e * 2 / std::sqrt(2.0), 1e-6 * s.edges[0].stress);
  EXPECT_NEAR(s.edges[1].stress, moment / all * e * 0.75, 1e-6 * s.edges[1].stress);
  EXPECT_NEAR(s.edges[0].worstReserve, 14.9 / s.edges[0].stress, 1e-6) << "pressed above";
  EXPECT_FALSE(hasFinding(findingsOf(w), "spars.none"));
  EXPECT_NEAR(figureOf(w, "edge.leading.reserve"), s.edges[0].worstReserve, 1e-9);
  Design heavy = edged();
  heavy.flying.mass = 400;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(heavy)), "edge.leading"));
  Design none = edged();
  none.inner().leadingEdge.kind = LeadingEdgeKind::none, none.inner().trailingEdge.kind = TrailingEdgeKind::none;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(none)), "spars.none"));
}

// A wedge is a triangle: b h³ ÷ 36 about its middle, two thirds of its depth to the point's side.
TEST(EdgeSpars, AWedgeIsATriangle) {
  Design d = edged();
  d.inner().sections.root.kind = d.inner().sections.tip.kind = SectionKind::symmetrical;
  d.inner().trailingEdge.kind = TrailingEdgeKind::wedge, d.inner().trailingEdge.width = 12;
  const TrueWing w = wingOf(d);
  const PanelLoft& loft = w.inner().shape.loft;
  const double f = 1 - 12.0 / 110, deep = loft.at(Face::upper, f, 0).y() - loft.at(Face::lower, f, 0).y(),
               tail = loft.at(Face::upper, 1, 0).y() - loft.at(Face::lower, 1, 0).y();
  const EdgeSection s = edgeSection(w.inner().design, loft, false, 0);
  // A symmetrical one's slices all lie on one axis: ∫ h³ dx ÷ 12, h straight from the front's depth to the tail's.
  const double straight = 12 * (deep * deep * deep + deep * deep * tail + deep * tail * tail + tail * tail * tail) / 48;
  EXPECT_NEAR(s.inertia, straight, 0.05 * straight); // its faces are a little hollow or full
}

TEST(SquareTail, IsCutListedPackedAndPutTogether) {
  Design d = demoDesign("oldacre-1320");
  TrailingEdge& te = d.inner().trailingEdge;
  te.kind = TrailingEdgeKind::square, te.width = 5, te.height = 4;
  const TrueWing w = wingOf(d);
  for (const Rib& rib : w.inner().frame.ribs)
    EXPECT_NEAR(boundsOf(rib.wood).high.x(), rib.frame.chord - w.inner().design.trailing.onRib(), 0.01);
  for (const Part& p : w.inner().parts)
    if (p.what() == Part::What::trailingEdge) {
      EXPECT_EQ(p.stock, Stock::strip(5, 4));
      EXPECT_NEAR(p.grams,
                  5 * 4 * w.inner().shape.loft.span() / std::cos(w.inner().design.trailing.sweep) *
                      w.design.own.named(te.material).density * 1e-6,
                  0.01 * p.grams);
    }
  const RibSupports& root = w.inner().settingUp.ribs.front();
  const Rib& rib = w.inner().frame.ribs.front();
  const Polyline strip = squareTail(w.inner().design, rib);
  const Placement turn{-w.inner().settingUp.turn, {0, 0}};
  EXPECT_EQ(root.at.back().line, "TE");
  EXPECT_NEAR(root.at.back().height, turn(rib.frame.fromChord(strip[1])).y() - w.inner().settingUp.board, 1e-9)
      << "packed under the strip, not under the section";
  double lowest = 1e300;
  for (const RibSupports& r : w.inner().settingUp.ribs)
    for (const Support& s : r.at) lowest = std::min(lowest, s.height);
  EXPECT_GT(lowest, -0.01) << "nothing lies in the board";
  const Assembly a = assembled(w.main());
  EXPECT_LT(a.off, 0.05);
}

TEST(LeadingEdgeProud, IsBoughtDeeperAndSaidRibByRib) {
  Design d = demoDesign("fenlark-1500");
  d.inner().leadingEdge.kind = LeadingEdgeKind::square;
  const auto stock = [](const TrueWing& w) {
    for (const Part& p : w.inner().parts)
      if (p.what() == Part::What::leadingEdge) return p.stock.thickness;
    return 0.0;
  };
  const TrueWing plain = wingOf(d);
  d.inner().leadingEdge.proud = 1.2;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(stock(w), stock(plain) + 2.4, 1e-9);
  double least = 1e300;
  for (const Rib& rib : w.inner().frame.ribs) {
    const std::string at = "rib." + std::to_string(rib.number);
    const double proud = figureOf(w, at + ".leProud");
    least = std::min(least, proud);
    EXPECT_NEAR(2 * proud + figureOf(w, at + ".lePlaned"), stock(w), 1e-9);
  }
  EXPECT_NEAR(least, 1.2, 1e-6) << "where the section is deepest it is proud by what was decided";
  EXPECT_NEAR(w.inner().mass.gramsOf(Part::What::leadingEdge), plain.inner().mass.gramsOf(Part::What::leadingEdge),
              1e-9)
      << "planed it weighs the same";
}

TEST(NoseGauge, IsTheNoseCutAway) {
  Design d = demoDesign("oldacre-1320");
  d.inner().leadingEdge.gauges = {1, 4, 999};
  const TrueWing w = wingOf(d);
  int found = 0;
  for (const Drawing& g : gauges(test::drawn(w).front(), Hand::right))
    for (const Label& l : g.labels)
      if (l.text.starts_with("nose gauge")) {
        ++found;
        double foremost = 1e300;
        for (const Stroke& s : g.strokes)
          for (const Point& p : s.points)
            if (s.layer == Layer::cut && std::abs(p.y()) < 2 && p.x() > -11) foremost = std::min(foremost, p.x());
        EXPECT_NEAR(foremost, 0, 0.3) << "its hollow reaches the nose";
      }
  EXPECT_EQ(found, 2);
}

/// A stack by the rule of three is true where the ribs stand evenly, are alike and not turned.
TEST(Stack, IsTrueForAnEvenTaper) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(600, 220, 140);
  d.inner().ribs.make = RibMake::stack;
  d.inner().ribs.rootThickness = d.inner().ribs.tipThickness = 2;
  const TrueWing w = wingOf(d);
  const auto stack = ribStack(w.inner().design, w.inner().shape.loft, w.inner().frame);
  ASSERT_TRUE(stack.has_value());
  EXPECT_LT(stack->worst.off, 1e-6);
  // 12 ribs: the templates stand for half a bay more on either side.
  EXPECT_NEAR(figureOf(w, "stack.rootTemplate"), 220 + 80.0 / 11 / 2, 1e-6);
  EXPECT_NEAR(figureOf(w, "stack.tipTemplate"), 140 - 80.0 / 11 / 2, 1e-6);
  EXPECT_NEAR(figureOf(w, "stack.bolts"), 0.4 * 140, 1e-9);
  EXPECT_NEAR(stack->thick, 24, 1e-9);
  // With the end ribs' own sections the root rib would be short by half of a twelfth of the taper; the front bolt holds
  // a fifth of that, so that its tail is off by four fifths.
  EXPECT_NEAR(stack->plainOff, 0.8 * 80 / 24, 0.05);
}

TEST(Stack, UnevenRibsComeOutOff) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(600, 220, 140);
  d.inner().ribs.make = RibMake::stack;
  d.inner().ribs.rule = RibRule::stations, d.inner().ribs.stations = {0, 150, 600};
  d.inner().ribs.rootThickness = d.inner().ribs.tipThickness = 2;
  const TrueWing w = wingOf(d);
  const auto stack = ribStack(w.inner().design, w.inner().shape.loft, w.inner().frame);
  ASSERT_TRUE(stack.has_value());
  EXPECT_EQ(stack->worst.rib, 2);
  EXPECT_NEAR(stack->worst.chord, 180 - 200, 1e-6) << "the block's middle is half way, the rib stands at a quarter";
  EXPECT_NEAR(stack->worst.off, 16, 0.2) << "its tail: four fifths of that behind the front bolt";
  EXPECT_TRUE(hasFinding(findingsOf(w), "stack.off"));
  d.inner().ribs.direction = RibDirection::diagonal;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "stack.cannot"));
}

/// The steepest edge by the two templates as they are drawn: the tail runs from one chord's end to the other's.
TEST(Stack, EdgesSlopeAsTheTemplatesDiffer) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(600, 220, 140);
  d.inner().sections.root.naca = d.inner().sections.tip.naca = "0012";
  d.inner().ribs.make = RibMake::stack;
  const TrueWing w = wingOf(d);
  const auto stack = ribStack(w.inner().design, w.inner().shape.loft, w.inner().frame);
  ASSERT_TRUE(stack.has_value());
  const double nose = 0.2 * (stack->innerTemplate.frame.chord - stack->outerTemplate.frame.chord);
  EXPECT_NEAR(stack->bevel, std::atan(nose / stack->thick), 0.1 * stack->bevel) << "steepest at the nose";
  int drawnOnes = 0;
  for (const Drawing& g : gauges(test::drawn(w).front(), Hand::right))
    for (const Label& l : g.labels) drawnOnes += l.text.starts_with("Stack template");
  EXPECT_EQ(drawnOnes, 2);
}

TEST(Version11, IsRead) {
  const auto read = designFromText(test::slurp(test::testFile("version11.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  for (const Wing& w : read.value().design.wings) {
    EXPECT_TRUE(w.struts.empty());
    EXPECT_FALSE(w.posts.fitted);
    for (const PanelDesign& p : w.panels) {
      EXPECT_FALSE(p.left.differs);
      EXPECT_EQ(p.ribs.make, RibMake::each);
      EXPECT_EQ(p.leadingEdge.proud, 0);
      EXPECT_EQ(p.tip.pieces, 1);
    }
  }
}

} // namespace
} // namespace eup
