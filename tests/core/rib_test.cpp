#include "core/geometry/polyline.h"
#include "core/parts/spar_sheets.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

/// Sheet that ends at a spar ends at the rear face of its cap, which may taper, on the straight line from root to tip.
TEST(Sheet, EndsAtTheRearFaceOfItsSpar) {
  Design d;
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 240, 120, 36, 0, 0);
  p.sheeting.to = SheetTo::sparRear;
  p.spars[0].rootFraction = p.spars[0].tipFraction = 0.3;
  p.spars[0].top.width = 9, p.spars[0].top.tapers = true, p.spars[0].top.tipWidth = 3;
  p.spars[0].bottom.width = 5;
  const TrueWing w = test::wingOf(d);
  for (const double t : {0.0, 150.0, 420.0, 600.0}) {
    const double chord = 240 - 120 * t / 600, middle = 0.3 * chord;
    EXPECT_NEAR(sheetEdgeAt(w.inner().design, w.inner().shape.loft, Face::upper, t) * chord,
                middle + (9 - 6 * t / 600) / 2, 1e-9);
    EXPECT_NEAR(sheetEdgeAt(w.inner().design, w.inner().shape.loft, Face::lower, t) * chord, middle + 2.5, 1e-9);
  }
}

using test::bareDesign;
using test::figureOf;
using test::hasFinding;
using test::wingOf;

double woodDepthAt(const Rib& rib, double x) {
  double low = 1e300, high = -1e300;
  for (const Polyline& loop : rib.wood)
    for (std::size_t i = 0; i < loop.size(); ++i) {
      const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
      if ((a.x() - x) * (b.x() - x) > 0 || a.x() == b.x()) continue;
      const double y = a.y() + (b.y() - a.y()) * (x - a.x()) / (b.x() - a.x());
      low = std::min(low, y), high = std::max(high, y);
    }
  return high - low;
}

TEST(Rib, BareIsTheWholeSection) {
  const TrueWing w = wingOf(bareDesign());
  ASSERT_EQ(w.inner().frame.ribs.size(), 12u);
  for (const Rib& r : w.inner().frame.ribs) {
    EXPECT_NEAR(r.cutArea, r.bareArea, 0.002 * r.bareArea);
    EXPECT_EQ(r.pieces, 1);
  }
  EXPECT_NEAR(w.inner().frame.ribs[0].bareArea, 0.0822821 * 220 * 220, 0.001 * w.inner().frame.ribs[0].bareArea);
}

/// Notch bottoms of all ribs lie on one straight line in space, for each cap.
RC_GTEST_PROP(Rib, NotchLinesAreStraight, ()) {
  Design d;
  d.inner().panel.rootChord = *rc::gen::inRange(180, 320);
  d.inner().panel.tipChord = *rc::gen::inRange(120, 320);
  d.inner().panel.tipSetback = *rc::gen::inRange(-20, 150);
  d.inner().panel.washoutDeg = *rc::gen::inRange(-30, 60) / 10.0;
  d.inner().panel.washoutAxis = *rc::gen::inRange(0, 101) / 100.0;
  d.inner().spars[0].rootFraction = *rc::gen::inRange(20, 45) / 100.0;
  d.inner().spars[0].tipFraction = *rc::gen::inRange(20, 45) / 100.0;
  d.inner().sections.tip = nacaSection(*rc::gen::element<std::string>("2412", "0012", "4409", "23012"));
  const TrueWing w = wingOf(d);
  for (Face face : {Face::upper, Face::lower}) {
    std::vector<Point3> bottoms;
    for (const Rib& r : w.inner().frame.ribs)
      for (const Notch& n : r.notches)
        if (n.face == face) {
          const Point xz = r.frame.fromChord(n.bottom);
          bottoms.emplace_back(xz.x(), r.t(), xz.y());
        }
    RC_ASSERT(bottoms.size() == w.inner().frame.ribs.size());
    const Point3 along = (bottoms.back() - bottoms.front()).normalized();
    for (const Point3& b : bottoms) {
      const Point3 off = b - bottoms.front();
      RC_ASSERT((off - off.dot(along) * along).norm() < 0.01);
    }
  }
}

TEST(Rib, SheetingIsTakenOffSquareToTheSurface) {
  Design d = bareDesign();
  d.inner().panel.tipChord = d.inner().panel.rootChord;
  d.inner().panel.washoutDeg = 0;
  d.inner().sheeting.top = d.inner().sheeting.bottom = true;
  d.inner().sheeting.thickness = 2;
  d.inner().sheeting.fraction = 0.4;
  const TrueWing w = wingOf(d);
  const Rib& r = w.inner().frame.ribs[3];
  // Every point of the cut nose lies 2 mm from the bare surface, measured square to it.
  int looked = 0;
  for (const Point& p : r.wood.front()) {
    if (p.x() < 6 || p.x() > 0.38 * r.frame.chord) continue;
    double nearest = 1e300;
    for (std::size_t i = 0; i < r.bare.size(); ++i) {
      const Point &a = r.bare[i], &b = r.bare[(i + 1) % r.bare.size()], s = b - a;
      const double t = std::clamp((p - a).dot(s) / s.squaredNorm(), 0.0, 1.0);
      nearest = std::min(nearest, (p - a - t * s).norm());
    }
    EXPECT_NEAR(nearest, 2, 0.01);
    ++looked;
  }
  EXPECT_GT(looked, 10);
  // Behind its edge the rib is whole again, with a step.
  EXPECT_NEAR(woodDepthAt(r, 0.5 * r.frame.chord),
              heightAt(w.inner().shape.rootSection.upper, 0.5) * 220 -
                  heightAt(w.inner().shape.rootSection.lower, 0.5) * 220,
              0.05);
  EXPECT_NEAR(r.bareArea - r.cutArea, 2 * (r.upperRun.sheetArc + r.lowerRun.sheetArc), 0.04 * (r.bareArea - r.cutArea));
}

TEST(Rib, CapStripsTakeTheRestOfTheTop) {
  Design d = bareDesign();
  d.inner().capStrips.top = true;
  d.inner().capStrips.thickness = 1;
  const TrueWing with = wingOf(d), without = wingOf(bareDesign());
  EXPECT_NEAR(without.inner().frame.ribs[2].cutArea - with.inner().frame.ribs[2].cutArea,
              with.inner().frame.ribs[2].upperRun.capArc, 0.02 * with.inner().frame.ribs[2].upperRun.capArc);
}

TEST(Rib, LeadingEdgeStock) {
  Design d = bareDesign();
  for (const auto& [kind, front] :
       std::vector<std::pair<LeadingEdgeKind, double>>{{LeadingEdgeKind::none, 0},
                                                       {LeadingEdgeKind::square, 8},
                                                       {LeadingEdgeKind::onEdge, 8 / std::sqrt(2.0)},
                                                       {LeadingEdgeKind::shaped, 6}}) {
    d.inner().leadingEdge = {kind, 8, WidthIs::squareToEdge, 4, 2, 0, {}};
    const Rib r = wingOf(d).inner().frame.ribs[0];
    EXPECT_NEAR(boundsOf(r.wood).low.x(), front, 0.05);
    EXPECT_EQ(r.pieces, 1);
  }
  // On edge: a corner of the square strip points aft, its diagonal behind the nose. At its own height the wood starts
  // there.
  d.inner().leadingEdge = {LeadingEdgeKind::onEdge, 8, WidthIs::squareToEdge, 4, 2, 0, {}};
  const Rib onEdge = wingOf(d).inner().frame.ribs[0];
  EXPECT_TRUE(std::any_of(onEdge.wood[0].begin(), onEdge.wood[0].end(),
                          [](const Point& p) { return (p - Point(8 * std::sqrt(2.0), 0)).norm() < 0.05; }));
}

TEST(Rib, TrailingEdgeStock) {
  Design d = bareDesign();
  d.inner().trailingEdge = {TrailingEdgeKind::wedge, 30, WidthIs::alongFlight, 1.5, 3};
  EXPECT_NEAR(boundsOf(wingOf(d).inner().frame.ribs[0].wood).high.x(), 190, 0.02);
  d.inner().trailingEdge = {TrailingEdgeKind::twoSheets, 40, WidthIs::alongFlight, 1.5, 3};
  d.inner().ribs.rim = 1;
  const TrueWing w = wingOf(d);
  const Rib& r = w.inner().frame.ribs[0];
  const double end = boundsOf(r.wood).high.x();
  EXPECT_GT(end, 180);
  EXPECT_LT(end, 217);
  EXPECT_NEAR(woodDepthAt(r, end - 0.05), 1, 0.1) << "the tail ends where the stated rim is left";
  const double x = 190, bare = (heightAt(w.inner().shape.rootSection.upper, x / 220) -
                                heightAt(w.inner().shape.rootSection.lower, x / 220)) *
                               220;
  EXPECT_NEAR(woodDepthAt(r, x), bare - 3.03, 0.1);
}

TEST(Rib, FullDepthSparIsSlottedHalfAndHalf) {
  Design d = bareDesign();
  d.inner().spars.push_back({});
  d.inner().spars[0].kind = SparKind::fullDepth;
  d.inner().spars[0].sheet = 3;
  d.inner().ribs.notchFit = 0;
  const TrueWing w = wingOf(d);
  for (const Rib& r : w.inner().frame.ribs) {
    ASSERT_EQ(r.slots.size(), 1u);
    EXPECT_NEAR(r.slots[0].depth, r.sparDepth[0] / 2, 0.05);
    EXPECT_NEAR(woodDepthAt(r, r.sparX[0]), r.sparDepth[0] / 2, 0.05) << "the lower half of the rib is left";
  }
  const Polyline spar = fullDepthSparOutline(d.inner().spars[0], w.inner().frame.spars[0]);
  EXPECT_FALSE(selfCrossing(spar).has_value());
  double whole = 0, slots = 0;
  for (const Rib& r : w.inner().frame.ribs) slots += r.thickness * r.sparDepth[0] / 2;
  whole = (w.inner().frame.ribs.front().sparDepth[0] + w.inner().frame.ribs.back().sparDepth[0]) / 2 * 700 *
          w.inner().frame.spars[0].stretch;
  EXPECT_NEAR(signedArea(spar), whole - slots, 0.01 * whole);
}

TEST(Rib, StraightSparThatChangesItsFractionLeavesTheSurface) {
  Design d;
  d.inner().spars[0].tipFraction = 0.45;
  const TrueWing w = wingOf(d);
  EXPECT_GT(w.inner().frame.spars[0].worstGap, 0.05);
  d.inner().spars[0].tipFraction = 0.3;
  d.inner().sheeting.fraction = 0.4; // one cover all along
  EXPECT_LT(wingOf(d).inner().frame.spars[0].worstGap, 0.02);
}

TEST(Rib, KindsHaveTheirThickness) {
  Design d;
  d.inner().ribs.rootThickness = 5, d.inner().ribs.tipThickness = 4, d.inner().ribs.thickness = 1.5;
  const TrueWing w = wingOf(d);
  EXPECT_EQ(w.inner().frame.ribs.front().thickness, 5);
  EXPECT_EQ(w.inner().frame.ribs[1].thickness, 1.5);
  EXPECT_EQ(w.inner().frame.ribs.back().thickness, 4);
}

TEST(Rib, BadDecisionsAreFoundNotHidden) {
  Design deep;
  deep.inner().spars[0].top.depth = deep.inner().spars[0].bottom.depth = 12;
  const TrueWing w = wingOf(deep);
  EXPECT_TRUE(hasFinding(findingsOf(w), "spar.deep"));
  EXPECT_TRUE(hasFinding(findingsOf(w), "ribs.apart")) << "the notch breaks through";
  Design thick;
  thick.inner().sheeting.thickness = 19;
  thick.inner().sheeting.fraction = 1;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(thick)), "ribs.gone"));
  Design thin;
  thin.inner().spars[0].top.depth = 5, thin.inner().spars[0].bottom.depth = 5;
  thin.inner().panel.tipChord = 110;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(thin)), "ribs.thin")) << "less than the stated rim between the caps";
  Design odd;
  odd.inner().panel.tipChord = 400;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(odd)), "panel.taper"));
  Design nose;
  nose.inner().spars[0].rootFraction = nose.inner().spars[0].tipFraction = 0.03;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(nose)), "spar.nose"));
  Design many;
  many.inner().ribs.count = 400;
  EXPECT_EQ(wingOf(many).inner().frame.ribs.size(), 400u);
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(many)), "ribs.overlap"));
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(bareDesign())), "spars.none"));
}

/// Whatever decisions within their limits: a wing or a reason, never nonsense.
RC_GTEST_PROP(Rib, AnyDecisionsGiveAWingOrAReason, ()) {
  Design d;
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  d.inner().panel =
      test::panelOf(some(20, 3000), some(5, 900), some(5, 900), some(-300, 900), some(-15, 15), some(0, 1));
  d.inner().sheeting.thickness = some(0.2, 20);
  d.inner().sheeting.fraction = some(0.02, 1);
  d.inner().capStrips.thickness = some(0.2, 20);
  d.inner().leadingEdge = {*rc::gen::element(LeadingEdgeKind::none, LeadingEdgeKind::square, LeadingEdgeKind::onEdge,
                                             LeadingEdgeKind::shaped),
                           some(0.5, 200),
                           *rc::gen::element(WidthIs::squareToEdge, WidthIs::alongFlight),
                           some(0.5, 200),
                           some(0, 50),
                           0,
                           {}};
  d.inner().trailingEdge = {
      *rc::gen::element(TrailingEdgeKind::none, TrailingEdgeKind::wedge, TrailingEdgeKind::twoSheets), some(0.5, 500),
      *rc::gen::element(WidthIs::squareToEdge, WidthIs::alongFlight), some(0.2, 20), some(0, 50)};
  d.inner().spars[0].kind = *rc::gen::element(SparKind::caps, SparKind::fullDepth);
  d.inner().spars[0].rootFraction = some(0.02, 0.98), d.inner().spars[0].tipFraction = some(0.02, 0.98);
  d.inner().spars[0].top.depth = some(0.2, 50), d.inner().spars[0].top.width = some(0.3, 200);
  d.inner().join.dihedral = {DihedralBy::angle, some(-50, 50)};
  d.inner().ribs.count = *rc::gen::inRange(2, 30);
  const auto result = work(d);
  if (const auto* w = std::get_if<TrueWing>(&result)) {
    for (const Figure& f : figuresOf(*w)) RC_ASSERT(std::isfinite(f.value));
    for (const Rib& r : w->inner().frame.ribs) RC_ASSERT(r.cutArea >= -1e-6 && r.cutArea <= r.bareArea * 1.001);
  } else {
    RC_ASSERT(!std::get<std::vector<Finding>>(result).empty());
  }
}

} // namespace
} // namespace eup
