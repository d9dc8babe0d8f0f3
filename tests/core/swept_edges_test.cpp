// Stock along swept edges: its width is square to the edge, and takes width ÷ cos Λ of a rib.
#include "core/described/design_file.h"
#include "core/geometry/region.h"
#include "places.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

Design swept(double degrees, WidthIs is) {
  Design d;
  d.inner().panel = test::panelOf(500, 200, 200, 500 * std::tan(degToRad(degrees)));
  d.inner().leadingEdge.kind = LeadingEdgeKind::square;
  d.inner().leadingEdge.width = 10;
  d.inner().trailingEdge.kind = TrailingEdgeKind::wedge;
  d.inner().trailingEdge.width = 20;
  d.inner().leadingEdge.widthIs = d.inner().trailingEdge.widthIs = is;
  return d;
}

// At 30° a strip 10 wide takes 11.547 of a rib: 10 ÷ cos 30° (worked by hand).
TEST(SweptEdges, TakeMoreOfARib) {
  for (const double degrees : {30.0, -30.0, 0.0}) {
    const double k = 1 / std::cos(degToRad(degrees));
    for (const WidthIs is : {WidthIs::squareToEdge, WidthIs::alongFlight}) {
      const TrueWing w = wingOf(swept(degrees, is));
      for (const Rib& r : w.inner().frame.ribs) {
        const Box wood = boundsOf(r.wood);
        const double more = is == WidthIs::squareToEdge ? k : 1;
        EXPECT_NEAR(wood.low.x(), 10 * more, 0.01) << r.name();
        EXPECT_NEAR(200 - wood.high.x(), 20 * more, 0.01) << r.name();
      }
      // The strip itself, square to the edge in the panel's plane.
      EXPECT_NEAR(w.inner().design.leading.width, is == WidthIs::squareToEdge ? 10 : 10 / k, 1e-9);
    }
  }
}

/// Ribs that are square to the edge take the strip as it is, and mass is that of the strip along its edge.
TEST(SweptEdges, TurnedRibsAndMasses) {
  Design d = swept(25, WidthIs::squareToEdge);
  d.inner().ribs.direction = RibDirection::squareToLeadingEdge;
  const TrueWing w = wingOf(d);
  int looked = 0;
  for (const Rib& r : w.inner().frame.ribs) {
    if (r.turn == 0 || r.inPanel({10, 0}).y() < 20) continue;
    EXPECT_NEAR(boundsOf(r.wood).low.x(), 10, 0.01) << r.name();
    ++looked;
  }
  EXPECT_GT(looked, 3);
  d.inner().leadingEdge.kind = LeadingEdgeKind::onEdge;
  d.inner().leadingEdge.width = 6;
  for (const double degrees : {0.0, 40.0}) {
    Design edge = swept(degrees, WidthIs::squareToEdge);
    edge.inner().leadingEdge.kind = LeadingEdgeKind::onEdge;
    edge.inner().leadingEdge.width = 6;
    const double grams = wingOf(edge).inner().mass.gramsOf(Part::What::leadingEdge);
    EXPECT_NEAR(grams, 36 * 500 / std::cos(degToRad(degrees)) * 160e-6, 0.01) << "6 × 6 × its true length, 160 kg/m³";
  }
}

/// The ribs of a swept wing are bevelled at the nose by the sweep.
TEST(SweptEdges, RibsAreBevelledAtTheNose) {
  const TrueWing w = wingOf(swept(30, WidthIs::squareToEdge));
  EXPECT_NEAR(radToDeg(figureOf(w, "ribs.noseBevel")), 30, 1e-6);
  EXPECT_EQ(figureNamed(wingOf(swept(0, WidthIs::squareToEdge)), "ribs.noseBevel"), nullptr) << "nothing to bevel";
}

/// A file of version 9 keeps its wing: its widths were along the flight.
TEST(SweptEdges, OldFilesKeepTheirRibs) {
  const auto read = designFromText(test::slurp(test::testFile("version9.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  for (const PanelDesign& p : read.value().design.wings[0].panels) {
    EXPECT_EQ(p.leadingEdge.widthIs, WidthIs::alongFlight);
    EXPECT_EQ(p.trailingEdge.widthIs, WidthIs::alongFlight);
    EXPECT_EQ(p.join.noseOn, NoseOn::rear);
    EXPECT_EQ(p.stiffening.coveringOn, CoveringOn::both);
  }
}

/// Sheet round a swept nose is as wide, square to the edge, as the outline of a rib that stands square to it is long:
/// the same wing with its ribs turned.
TEST(SweptEdges, SheetIsMeasuredSquareToTheEdge) {
  for (const double degrees : {30.0, -20.0, 0.0}) {
    Design d = swept(degrees, WidthIs::squareToEdge);
    d.inner().sheeting.top = d.inner().sheeting.bottom = true;
    d.inner().sheeting.to = SheetTo::fraction;
    d.inner().sheeting.fraction = 0.3;
    const TrueWing straight = wingOf(d);
    d.inner().ribs.direction = RibDirection::squareToLeadingEdge;
    const TrueWing turned = wingOf(d);
    const auto middleRib = [](const TrueWing& w) { return w.inner().frame.ribs[w.inner().frame.ribs.size() / 2]; };
    ASSERT_NEAR(std::abs(middleRib(turned).turn), degToRad(std::abs(degrees)), 1e-9);
    for (const bool top : {true, false}) {
      const auto along = [&](const TrueWing& w) {
        return top ? middleRib(w).upperRun.sheetArc : middleRib(w).lowerRun.sheetArc;
      };
      const double across =
          figureOf(straight, fmt::format("rib.{}.{}", middleRib(straight).number, top ? "sheetTop" : "sheetBottom"));
      EXPECT_NEAR(across, along(turned), 0.01) << degrees;
      EXPECT_EQ(along(straight) - across > 1, degrees != 0);
      if (degrees == 0) {
        EXPECT_NEAR(across, along(straight), 1e-9);
      }
    }
  }
}

} // namespace
} // namespace eup
