// What lies in a foam core: straight in space, as large as it is said to be, with the foam beside it that a rule would
// find, and told where it cannot lie. By hand and by the panel's own straight lines.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/lasting.h"
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
#include "core/foam/core_things.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/loft/core_line.h"
#include "core/measure/units.h"
#include "places.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

/// 600 long, 240 → 160, swept by 50, turned by 2°; 2412; skins of 1.
Design swept() {
  Design d = test::foamDesign(test::panelOf(600, 240, 160, 50, 2, 0.25), 10);
  PanelDesign& p = d.inner();
  p.sections.root.naca = p.sections.tip.naca = "2412";
  p.ribs.count = 4;
  p.spars.clear();
  return d;
}

CoreThing tube(double from = 0, double to = 400) {
  CoreThing t;
  t.from = from, t.to = to, t.xFrom = 0.3, t.xTo = 0.35, t.upFrom = 6, t.upTo = 4, t.width = 8, t.wall = 0.5;
  return t;
}

const CoreThingMade& madeOf(const TrueWing& w, std::size_t k = 0) {
  return w.inner().foam->things.at(k);
}

TEST(InCore, ABoreIsStraightInSpace) {
  Design d = swept();
  d.inner().inCore = {tube()};
  const TrueWing w = wingOf(d);
  const PanelLoft& loft = w.inner().shape.loft;
  // Its ends by hand: chord axes there, turned and set back as the panel is.
  const auto end = [&](double t, double fraction, double up) -> Point3 {
    const ChordFrame f = loft.frameAt(t);
    const double c = std::cos(f.washout), s = std::sin(f.washout), x = fraction * f.chord;
    return {f.le.x() + x * c - up * s, t, f.le.y() + x * s + up * c}; // nose down: its tail lies higher
  };
  const Point3 a = end(0, 0.3, 6), b = end(400, 0.35, 4);
  EXPECT_NEAR((madeOf(w).from - a).norm(), 0, 1e-9);
  EXPECT_NEAR((madeOf(w).to - b).norm(), 0, 1e-9);
  EXPECT_NEAR(madeOf(w).length, (b - a).norm(), 1e-9);
  EXPECT_NEAR(figureOf(w, "inCore.1.length"), (b - a).norm(), 1e-9);
  for (const double t : {0.0, 130.0, 400.0}) {
    const Region bore = takenBy(d.inner().inCore[0], loft, t, rectangle({0, -50}, {240, 50}));
    const Point3 on = a + (b - a) * t / 400;
    const Point middle = loft.frameAt(t).fromChord(centroidOf(bore));
    EXPECT_NEAR(middle.x(), on.x(), 1e-6);
    EXPECT_NEAR(middle.y(), on.z(), 1e-6);
    EXPECT_NEAR(areaOf(bore), pi * 16, 0.01);
  }
  EXPECT_TRUE(takenBy(d.inner().inCore[0], loft, 401, rectangle({0, -50}, {240, 50})).empty());
  // Its mass and the foam's, by hand.
  for (const Part& part : w.inner().parts)
    if (part.key() == "inCore.1") {
      EXPECT_NEAR(part.grams,
                  pi / 4 * (64 - 49) * (b - a).norm() * w.inner().design.tables.named("carbon-tube").density * 1e-6,
                  1e-9);
    }
  const double foam = w.inner().design.tables.named("foam-xps-33").density * 1e-6;
  EXPECT_NEAR(figureOf(wingOf(swept()), "foam.mass") - figureOf(w, "foam.mass"), pi * 16 * 400 * foam,
              2e-3 * pi * 16 * 400 * foam);
  EXPECT_NEAR(figureOf(w, "inCore.1.foam"), pi * 16 * 400 * foam, 2e-3 * pi * 16 * 400 * foam);
}

TEST(InCore, TheLineThatIsLevelIsItsTopMiddleOrUnderside) {
  Design d = swept();
  d.inner().panel.washoutDeg = 0;
  for (const auto& [level, up] :
       {std::pair(LevelLine::top, 1.0), std::pair(LevelLine::middle, 5.0), std::pair(LevelLine::underside, 9.0)}) {
    CoreThing t = tube();
    t.level = level, t.upFrom = t.upTo = 5;
    d.inner().inCore = {t};
    EXPECT_NEAR(madeOf(wingOf(d)).from.z(), up, 1e-9);
  }
}

/// From the loft's own straight lines, less a millimetre of skin square to them.
TEST(InCore, FoamLeftIsWhatARuleWouldFind) {
  Design d = swept();
  CoreThing t = tube(0, 600);
  t.xTo = t.xFrom, t.upFrom = t.upTo = 4;
  d.inner().inCore = {t};
  const TrueWing w = wingOf(d);
  const PanelLoft& loft = w.inner().shape.loft;
  double least = 1e9;
  for (const double at : {0.0, 300.0, 600.0}) {
    const Point middle = middleInCore(t, loft, at);
    const ChordFrame frame = loft.frameAt(at);
    for (const Face face : {Face::upper, Face::lower})
      for (double f = 0.02; f < 0.9; f += 0.0005)
        least = std::min(least, (frame.toChord(loft.at(face, f, at)) - middle).norm() - 4 - 1);
  }
  EXPECT_NEAR(figureOf(w, "inCore.1.left"), least, 0.03);
  EXPECT_GT(least, 0);
  // A pocket from below: the depth of the core less its own, at its deepest side.
  CoreThing pocket;
  pocket.kind = InCore::pocket, pocket.from = 290, pocket.to = 310, pocket.xFrom = pocket.xTo = 0.5, pocket.width = 26,
  pocket.depth = 10, pocket.top = false;
  d.inner().inCore = {pocket};
  const TrueWing w2 = wingOf(d);
  least = 1e9;
  for (const double at : {290.0, 300.0, 310.0}) {
    const ChordFrame frame = loft.frameAt(at);
    for (const double x : {-13.0, 0.0, 13.0}) {
      const double f = 0.5 + x / frame.chord;
      const double up = frame.toChord(loft.at(Face::upper, f, at)).y(),
                   down = frame.toChord(loft.at(Face::lower, f, at)).y();
      least = std::min(least, up - down - 2 - 10);
    }
  }
  EXPECT_NEAR(figureOf(w2, "inCore.1.left"), least, 0.15) << "the skin is square to the face, the rule is upright";
  EXPECT_NEAR(figureOf(w2, "inCore.1.foam"),
              20 * 26 * 10 * w2.inner().design.tables.named("foam-xps-33").density * 1e-6, 2e-3);
}

TEST(InCore, BlocksAndWebsAreCutToTheCore) {
  Design d = swept();
  d.inner().inCore = {newInCore(d.inner(), InCore::block), newInCore(d.inner(), InCore::web)};
  d.inner().inCore[1].xFrom = d.inner().inCore[1].xTo = 0.4;
  const TrueWing w = wingOf(d);
  const PanelLoft& loft = w.inner().shape.loft;
  const auto depth = [&](double f, double t) {
    return loft.frameAt(t).toChord(loft.at(Face::upper, f, t)).y() -
           loft.frameAt(t).toChord(loft.at(Face::lower, f, t)).y() - 2;
  };
  EXPECT_NEAR(figureOf(w, "inCore.2.high"), depth(0.4, 0), 0.15);
  for (const Part& part : w.inner().parts) {
    const double face = 600 * (depth(0.4, 0) + depth(0.4, 600)) / 2;
    EXPECT_TRUE(part.key() != "inCore.2" || std::abs(part.area - face) < 0.01 * face) << part.area;
    EXPECT_TRUE(part.key() != "inCore.1" || part.stock.form == Stock::Form::block);
  }
  EXPECT_FALSE(hasFinding(findingsOf(w), "inCore.out"));
  EXPECT_FALSE(hasFinding(findingsOf(w), "inCore.meets")) << "at 20 % and 40 % of the chord";
}

TEST(InCore, AHollowLeavesItsRim) {
  Design d = swept();
  CoreThing hollow;
  hollow.kind = InCore::hollow, hollow.from = 0, hollow.to = 600, hollow.xFrom = hollow.xTo = 0.4, hollow.width = 60,
  hollow.rim = 6;
  d.inner().inCore = {hollow};
  const TrueWing w = wingOf(d);
  const CoreEnd& end = w.inner().foam->cores[0].inner;
  ASSERT_EQ(end.things.size(), 1u);
  const Box box = boundsOf(end.things[0].region);
  EXPECT_NEAR(box.width(), 60, 1e-3);
  for (const Polyline& loop : end.things[0].region)
    for (const Point& p : loop) {
      double least = 1e9;
      for (std::size_t i = 0; i < end.outline.size(); ++i) {
        const Point &a = end.outline[i], way = end.outline[(i + 1) % end.outline.size()] - a;
        least = std::min(least, (a + way * std::clamp((p - a).dot(way) / way.squaredNorm(), 0.0, 1.0) - p).norm());
      }
      EXPECT_GT(least, 6 - 0.01);
    }
  EXPECT_NEAR(areaOf(end.core), end.outlineArea() - areaOf(end.things[0].region), 0.5);
}

TEST(InCore, WhatCannotLieThereIsSaid) {
  Design d = swept();
  const auto with = [&](std::vector<CoreThing> things) {
    d.inner().inCore = std::move(things);
    return wingOf(d);
  };
  EXPECT_FALSE(hasFinding(findingsOf(with({tube()})), "inCore.out"));
  CoreThing high = tube();
  high.upFrom = 14;
  EXPECT_TRUE(hasFinding(findingsOf(with({high})), "inCore.out"));
  high.upFrom = high.upTo = 9.5;
  EXPECT_TRUE(hasFinding(findingsOf(with({high})), "inCore.thin") ||
              hasFinding(findingsOf(with({high})), "inCore.out"));
  CoreThing closed = tube();
  closed.vented = false;
  EXPECT_TRUE(hasFinding(findingsOf(with({closed})), "inCore.air"));
  closed.to = 600;
  EXPECT_FALSE(hasFinding(findingsOf(with({closed})), "inCore.air")) << "open at both ends";
  EXPECT_TRUE(hasFinding(findingsOf(with({tube(700, 800)})), "inCore.none"));
  EXPECT_TRUE(hasFinding(findingsOf(with({tube(300, 200)})), "inCore.none"));
  // A groove that crosses the tube once, between every place that is looked at.
  CoreThing lead;
  lead.name = "lead", lead.kind = InCore::lead, lead.from = 20, lead.to = 180, lead.xFrom = 0.1, lead.xTo = 0.75,
  lead.width = 4, lead.depth = 40, lead.top = false;
  EXPECT_TRUE(hasFinding(findingsOf(with({tube(), lead})), "inCore.meets"));
  EXPECT_TRUE(hasFinding(findingsOf(with({lead, tube()})), "inCore.meets"));
  lead.depth = 1;
  EXPECT_FALSE(hasFinding(findingsOf(with({tube(), lead})), "inCore.meets")) << "it passes under it";
  lead.depth = 300;
  EXPECT_TRUE(hasFinding(findingsOf(with({lead})), "inCore.out"));
  CoreThing pocket = newInCore(d.inner(), InCore::pocket), into = newInCore(d.inner(), InCore::lead);
  into.to = pocket.from + 5, into.xTo = pocket.xFrom;
  EXPECT_FALSE(hasFinding(findingsOf(with({pocket, into})), "inCore.meets")) << "a groove ends in its pocket";
  // Into a cap's groove.
  Spar spar;
  spar.rootFraction = spar.tipFraction = 0.32;
  d.inner().spars = {spar};
  CoreThing at = tube(0, 600);
  at.upFrom = at.upTo = 9, at.xFrom = at.xTo = 0.32, at.width = 14;
  EXPECT_TRUE(hasFinding(findingsOf(with({at})), "inCore.cap"));
  CoreThing between = newInCore(d.inner(), InCore::pocket); // no station near it: every 200 mm
  between.from = 280, between.to = 304, between.xFrom = between.xTo = 0.32;
  EXPECT_TRUE(hasFinding(findingsOf(with({between})), "inCore.cap"));
  between.xFrom = between.xTo = 0.6;
  EXPECT_FALSE(hasFinding(findingsOf(with({between})), "inCore.cap"));
}

TEST(InCore, GoesAlongWhenThePanelIsCutAndPutTogether) {
  Design d = swept();
  d.inner().inCore = {tube(0, 500), tube(450, 600)};
  d.inner().inCore[1].name = "second", d.inner().inCore[1].xFrom = d.inner().inCore[1].xTo = 0.7;
  const TrueWing whole = wingOf(d);
  const auto split = withPanelSplit(d, {0, 0}, 200);
  ASSERT_TRUE(split.ok()) << split.problem().text();
  const auto& panels = split.value().wings[0].panels;
  ASSERT_EQ(panels[0].inCore.size(), 1u);
  ASSERT_EQ(panels[1].inCore.size(), 2u);
  EXPECT_EQ(panels[0].inCore[0].to, 200);
  EXPECT_EQ(panels[1].inCore[0].from, 0);
  EXPECT_NEAR(panels[1].inCore[0].to, 300, 1e-9);
  EXPECT_NEAR(panels[1].inCore[1].from, 250, 1e-9);
  const TrueWing parted = wingOf(split.value());
  // The same line through space: in chord axes at 100 and at 350 of the old span.
  const auto at = [](const TruePanel& p, std::size_t k, double t) {
    return middleInCore(p.design.inCore[k], p.shape.loft, t);
  };
  EXPECT_NEAR((at(whole.inner(), 0, 100) - at(parted.wings[0].panels[0], 0, 100)).norm(), 0, 1e-3);
  EXPECT_NEAR((at(whole.inner(), 0, 350) - at(parted.wings[0].panels[1], 0, 150)).norm(), 0, 1e-3);
  const auto merged = withPanelsMerged(split.value(), {0, 0});
  ASSERT_TRUE(merged.ok()) << merged.problem().text();
  EXPECT_EQ(merged.value().inner().inCore.size(), 3u);
  EXPECT_NEAR(merged.value().inner().inCore[2].to, 600, 1e-9);
}

TEST(InCore, EveryKindBeginsWhereItCanLie) {
  Design d = swept();
  for (std::size_t k = 0; k < inCoreChoices.size(); ++k) {
    d.inner().inCore = {newInCore(d.inner(), static_cast<InCore>(k))};
    const TrueWing w = wingOf(d);
    EXPECT_FALSE(hasFinding(findingsOf(w), "inCore.out")) << inCoreChoices[k].key;
    EXPECT_FALSE(hasFinding(findingsOf(w), "inCore.none")) << inCoreChoices[k].key;
    makeNumbersOwn(d);
    const auto again = designFromText(designToText(d));
    ASSERT_TRUE(again.ok());
    EXPECT_EQ(again.value().design, d);
    d.inner().inCore.push_back(newInCore(d.inner(), static_cast<InCore>(k)));
    EXPECT_NE(d.inner().inCore[0].name, d.inner().inCore[1].name);
  }
}

TEST(InCore, PlyStandsBetweenCores) {
  Design d = swept();
  d.inner().ribs.count = 7;
  d.inner().foam.cores = 3, d.inner().foam.endRib = 2;
  const auto told = [&] {
    const TrueWing w = wingOf(d);
    int ribs = 0;
    for (const Part& part : w.inner().parts) ribs += part.key().starts_with("foamRib.");
    return std::pair(ribs, figureOf(w, "foam.mass"));
  };
  const auto [two, heavier] = told();
  d.inner().foam.ribsBetween = true;
  const auto [four, lighter] = told();
  EXPECT_EQ(two, 2);
  EXPECT_EQ(four, 4);
  // Each takes its own thickness of foam, half from either core.
  const TrueWing w = wingOf(d);
  double area = 0;
  for (const std::size_t k : {0u, 1u}) area += w.inner().foam->cores[k].outer.outlineArea();
  // The ends stand where the ply begins, a hair smaller or larger than at its middle.
  EXPECT_NEAR(heavier - lighter, 2 * area * w.inner().design.tables.named("foam-xps-33").density * 1e-6,
              0.003 * (heavier - lighter));
}

TEST(InCore, FilesOfVersion15HaveNothingThere) {
  const auto read = designFromText(test::slurp(test::testFile("version15.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << (read.value().notes.empty() ? "" : read.value().notes.front());
  EXPECT_TRUE(read.value().design.wings[0].panels.back().inCore.empty());
  EXPECT_EQ(read.value().design.wire.first, FirstFace::upper);
  EXPECT_EQ(read.value().design.wire.rest, 0);
}

} // namespace
} // namespace eup
