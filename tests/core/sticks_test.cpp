// Stick ribs: taken apart into lengths and angles and put together again, against the section they were bent to.
#include "core/described/design_file.h"
#include "core/drawing/wing_drawings.h"
#include "core/files/shipped.h"
#include "core/geometry/polyline.h"
#include "core/parts/bent_wood.h"
#include "core/parts/stick_rib.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "places.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

Design ofSticks() {
  Design d;
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(700, 240, 170, 20);
  p.ribs.make = RibMake::sticks;
  p.ribs.count = 8;
  p.sheeting.top = p.sheeting.bottom = false;
  p.capStrips.top = p.capStrips.bottom = false;
  return d;
}

bool straight(const Stick& s) {
  return s.what == Stick::What::upright || s.what == Stick::What::diagonal;
}

/// A bar sawn by its list: so long over all, both ends out of square as told. Corners as the outline's.
Polyline sawn(const Stick& s, double depth) {
  const double low = depth * std::tan(s.lowEnd), high = depth * std::tan(s.highEnd);
  const double begins = std::min(0.0, low), ends = begins + s.length;
  const double noseSide = high >= 0 ? ends : ends + high, otherSide = high >= 0 ? ends - high : ends;
  return {{0, 0}, {depth, low}, {depth, otherSide}, {0, noseSide}};
}

double farFrom(const Polyline& line, const Point& p) {
  double least = 1e9;
  for (std::size_t i = 0; i < line.size(); ++i) {
    const Point a = line[i], way = line[(i + 1) % line.size()] - a;
    const double t = std::clamp((p - a).dot(way) / std::max(way.squaredNorm(), 1e-12), 0.0, 1.0);
    least = std::min(least, (p - a - t * way).norm());
  }
  return least;
}

/// Every stick where the drawing says, none over another, each bar's four corners on the strips, one frame of wood.
void putTogether(const TrueWing& w) {
  const double depth = w.inner().design.sticks.depth;
  int bars = 0;
  for (const Rib& rib : w.inner().frame.ribs) {
    if (rib.sticks.empty()) continue;
    EXPECT_EQ(rib.pieces, rib.wantedPieces) << rib.name();
    const Polyline &upper = rib.sticks[0].outline, &lower = rib.sticks[1].outline;
    for (std::size_t i = 0; i < rib.sticks.size(); ++i) {
      const Stick& s = rib.sticks[i];
      for (std::size_t k = 0; k < i; ++k)
        EXPECT_LT(areaOf(intersect({s.outline}, {rib.sticks[k].outline})), 0.05 * depth)
            << rib.name() << " " << wordsOf(s) << " over " << wordsOf(rib.sticks[k]);
      for (const Notch& n : rib.notches)
        EXPECT_LT(areaOf(intersect({s.outline}, {n.shape})),
                  (s.what == Stick::What::upper || s.what == Stick::What::lower ? 0.6 : 0.02) * depth * n.width)
            << rib.name() << " " << wordsOf(s) << ": a flat cap nicks a strip that slopes, no more";
      if (!straight(s)) continue;
      ++bars;
      const Polyline again = sawn(s, depth);
      ASSERT_EQ(s.outline.size(), 4u);
      for (std::size_t a = 0; a < 4; ++a)
        for (std::size_t b = 0; b < a; ++b) // congruent: all six distances
          EXPECT_NEAR((again[a] - again[b]).norm(), (s.outline[a] - s.outline[b]).norm(), 1e-3)
              << rib.name() << " " << wordsOf(s);
      for (const std::size_t corner : {0u, 1u}) EXPECT_LT(farFrom(lower, s.outline[corner]), 0.02) << rib.name();
      for (const std::size_t corner : {2u, 3u}) EXPECT_LT(farFrom(upper, s.outline[corner]), 0.02) << rib.name();
    }
  }
  EXPECT_GT(bars, 0);
}

TEST(Sticks, PutTogetherAgainMakeTheRib) {
  const TrueWing w = wingOf(ofSticks());
  putTogether(w);
  const Rib& rib = w.inner().frame.ribs[3];
  ASSERT_FALSE(rib.sticks.empty());
  EXPECT_TRUE(w.inner().frame.ribs.front().sticks.empty()) << "end ribs stay of sheet";
  // The strips' outer faces are the section's own, between the edges' stock.
  const double from = noseCut(w.inner().design, 0) + 1, to = rib.frame.chord - w.inner().design.trailing.onRib() - 1;
  for (const Stick* strip : {&rib.sticks[0], &rib.sticks[1]})
    for (const Point& p : strip == &rib.sticks[0] ? rib.upper : rib.lower) {
      if (p.x() <= from || p.x() >= to) continue;
      EXPECT_LT(farFrom(strip->outline, p), 0.06);
    }
  // Uprights stand no farther apart than decided, and one on either side of the spar.
  std::vector<double> at;
  for (const Stick& s : rib.sticks)
    if (s.what == Stick::What::upright) at.push_back(centroidOf(s.outline).x());
  std::sort(at.begin(), at.end());
  for (std::size_t i = 1; i < at.size(); ++i) EXPECT_LT(at[i] - at[i - 1], w.inner().design.sticks.bay + 2.1);
  const double spar = rib.sparX[0], wide = rib.notches[0].width / 2 + 1;
  for (const double side : {-wide, wide}) {
    EXPECT_TRUE(std::any_of(at.begin(), at.end(), [&](double x) { return std::abs(x - spar - side) < 0.05; })) << side;
  }
}

RC_GTEST_PROP(Sticks, PutTogetherAgainOnRandomWings, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  Design d = ofSticks();
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(some(400, 900), some(160, 320), some(120, 260), some(-60, 150), some(-3, 3));
  p.sections.root = p.sections.tip = nacaSection(*rc::gen::element<std::string>("2412", "0012", "4415", "6409"));
  p.ribs.count = *rc::gen::inRange(4, 9);
  p.sticks.depth = some(1, 3), p.sticks.bay = some(15, 60);
  p.sticks.noseBlock = some(0, 25), p.sticks.tailBlock = some(0, 40);
  p.sticks.lacing = *rc::gen::element(Lacing::uprights, Lacing::zigzag);
  p.sticks.ends = *rc::gen::element(true, false);
  p.spars[0].rootFraction = some(0.2, 0.4), p.spars[0].tipFraction = some(0.2, 0.4);
  p.spars[0].webs = *rc::gen::element(Webs::none, Webs::between);
  const auto result = work(d);
  if (const auto* w = std::get_if<TrueWing>(&result)) putTogether(*w);
}

/// Spars are threaded through under the strips: seat and strip together are the section.
TEST(Sticks, SparsPassUnderThem) {
  Design d = ofSticks();
  const TrueWing with = wingOf(d);
  d.inner().ribs.make = RibMake::each;
  const TrueWing without = wingOf(d);
  for (const bool root : {true, false}) {
    const SparLine &a = with.inner().frame.spars[0], &b = without.inner().frame.spars[0];
    const double deeper = (root ? b.upperSeat.root - a.upperSeat.root : b.upperSeat.tip - a.upperSeat.tip).y();
    EXPECT_NEAR(deeper, 2, 0.02) << "nearly level there: 2 square to the surface";
  }
}

/// Put together on trial they come to lie where they should, on packing under their strips.
TEST(Sticks, ComeTrueOnTrial) {
  EXPECT_LT(figureOf(wingOf(ofSticks()), "assembly.off"), 0.02);
}

TEST(Sticks, WeighWhatTheirPiecesDo) {
  const TrueWing w = wingOf(ofSticks());
  const Tables& tables = w.inner().design.tables;
  for (const Rib& rib : w.inner().frame.ribs) {
    if (rib.sticks.empty()) continue;
    double listed = 0, gussets = 0;
    for (const Part& part : w.inner().parts)
      if (part.rib == rib.number && part.what() == Part::What::ribs)
        (part.key().ends_with("gussets") ? gussets : listed) += part.grams;
    const double wood = areaOf(rib.wood) * rib.thickness * tables.named("balsa-160").density * 1e-6;
    EXPECT_NEAR(listed, wood, 0.015 * wood) << rib.name() << ": and a hair of glue";
    EXPECT_NEAR(listed, rib.cutArea * rib.thickness * tables.named("balsa-160").density * 1e-6, 1e-9);
    EXPECT_NEAR(gussets, areaOf(rib.gussets) * 2 * 0.4 * tables.named("light-ply").density * 1e-6, 1e-9);
    EXPECT_LT(rib.cutArea, 0.7 * rib.bareArea);
  }
}

// By hand: eight ribs of one chord, the end ones of sheet; two hands, three wings at once, two spares of every rib.
TEST(Sticks, ShareAFixtureWhereTheyAreAlike) {
  Design d = ofSticks();
  d.inner().panel = test::panelOf(700, 200, 200, 0, 0);
  d.cutList.batch = 3, d.cutList.spares = 2;
  const TrueWing w = wingOf(d);
  EXPECT_EQ(figureOf(w, "sticks.fixtures"), 1);
  EXPECT_EQ(figureOf(w, "sticks.batch"), 6 * 2 * (3 + 2));
  EXPECT_EQ(ribFixtures(test::drawn(w).front(), Hand::right).size(), 1u);
  EXPECT_EQ(figureOf(wingOf(ofSticks()), "sticks.fixtures"), 6);
}

/// Every stick is on its fixture's drawing, and the left hand's is that one turned over.
TEST(Sticks, AreOnTheFixture) {
  const TrueWing w = wingOf(ofSticks());
  const auto right = ribFixtures(test::drawn(w).front(), Hand::right),
             left = ribFixtures(test::drawn(w).front(), Hand::left);
  ASSERT_EQ(right.size(), 6u);
  for (std::size_t i = 0; i < right.size(); ++i) {
    const Rib& rib = w.inner().frame.ribs[i + 1];
    for (const Stick& s : rib.sticks)
      EXPECT_TRUE(std::any_of(right[i].strokes.begin(), right[i].strokes.end(), [&](const Stroke& stroke) {
        return stroke.closed && std::abs(signedArea(stroke.points) - signedArea(s.outline)) < 1e-9;
      })) << wordsOf(s);
    ASSERT_EQ(left[i].strokes.size(), right[i].strokes.size());
    for (std::size_t k = 0; k < left[i].strokes.size(); ++k)
      EXPECT_NEAR(left[i].strokes[k].points.front().x(), -right[i].strokes[k].points.front().x(), 1e-9);
  }
}

/// Bent wood: a strip of t on an inner radius r stretches by t ÷ (2 r + t); the sharpest bend of a section's edge is
/// its own curvature.
TEST(Sticks, BendAsTheSectionDoes) {
  EXPECT_NEAR(bendStrain(2, 102), 2.0 / (2 * 100 + 2), 1e-12);
  EXPECT_EQ(bendStrain(2, 0), 0) << "straight";
  EXPECT_EQ(bendStrain(2, 0.5), 1) << "no way round that";
  Design d = ofSticks();
  d.inner().panel = test::panelOf(700, 200, 200, 0, 0);
  d.inner().sections.root = d.inner().sections.tip = nacaSection("0012");
  const TrueWing w = wingOf(d);
  const Stick& strip = w.inner().frame.ribs[3].sticks[0];
  // NACA Report 460: y = 5 t (0.2969 √x − 0.1260 x − 0.3516 x² + 0.2843 x³ − …), differentiated twice.
  const double x = strip.radiusAt / 200, k = 0.6;
  const double slope = k * (0.2969 / 2 / std::sqrt(x) - 0.1260 - 2 * 0.3516 * x + 3 * 0.2843 * x * x),
               bend = k * (-0.2969 / 4 * std::pow(x, -1.5) - 2 * 0.3516 + 6 * 0.2843 * x);
  const double radius = 200 * std::pow(1 + slope * slope, 1.5) / std::abs(bend);
  EXPECT_NEAR(strip.radius, radius, 0.15 * radius) << "at " << strip.radiusAt;
  EXPECT_NE(figureNamed(w, "sticks.bend"), nullptr);
}

TEST(Sticks, AreWarnedOfWhatCannotBe) {
  Design d = ofSticks();
  d.inner().sticks.depth = 12; // two fill the section
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "sticks.empty"));
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "sticks.breaks"));
  d = ofSticks();
  d.inner().sheeting.top = true;
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "sticks.sheet"));
}

/// A file of version 12 had none of these: ribs of sheet, spars as they should be, no bays sheeted.
TEST(Sticks, OlderFilesHaveNone) {
  const auto read = designFromText(test::slurp(test::testFile("version12.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty());
  const Design& d = read.value().design;
  EXPECT_EQ(d.name, "Gossamoor 480");
  EXPECT_EQ(d.cutList.sheetWidth, CutList{}.sheetWidth);
  EXPECT_EQ(d.wings[0].posts.offset, 0);
  for (const Wing& wing : d.wings)
    for (const PanelDesign& p : wing.panels) {
      EXPECT_NE(p.ribs.make, RibMake::sticks);
      EXPECT_EQ(p.sticks, Sticks{});
      EXPECT_TRUE(p.sheeted.empty());
      EXPECT_EQ(p.trailingEdge.strips, 1);
      EXPECT_FALSE(p.tip.runsOn);
      for (const Spar& s : p.spars) EXPECT_EQ(s.cutShort, 0);
    }
}

/// The frame with strips for ribs twists more than with ribs of sheet.
TEST(Sticks, AreSofterThanSheet) {
  Design d = ofSticks();
  const TrueWing sticks = wingOf(d);
  d.inner().ribs.make = RibMake::each;
  const TrueWing sheet = wingOf(d);
  ASSERT_TRUE(sticks.inner().strength.twist && sheet.inner().strength.twist);
  EXPECT_LT(sticks.inner().strength.twist->stiffness, sheet.inner().strength.twist->stiffness);
}

} // namespace
} // namespace eup
