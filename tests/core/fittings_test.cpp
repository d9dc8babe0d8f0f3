// What is built in before a panel is closed: holes for leads and tubes, lightening holes, hard points, a flap's track.
#include "chance.h"
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
#include "core/geometry/polyline.h"
#include "core/surfaces/track.h"
#include "support.h"
#include "within.h"

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

/// By sampling the circle: every point of it within the region, even-odd.
bool holds(const Region& region, const Point& middle, double radius) {
  for (int i = 0; i < 72; ++i) {
    const Point p = middle + Point(std::cos(2 * pi * i / 72), std::sin(2 * pi * i / 72)) * radius;
    if (!test::within(region, p)) return false;
  }
  return true;
}

Design builtUp() {
  Design d;
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(700, 240, 170, 15, 1);
  p.ribs.count = 13;
  return d;
}

// Over random wings: each hole that is bored keeps the least wood all round of what the rib is without any holes,
// and of the other holes; what finds no room is told.
TEST(Runs, KeepClearOfAllElse) {
  test::Chance chance(77);
  int bored = 0, blocked = 0;
  for (int tries = 0; tries < 25; ++tries) {
    Design d = builtUp();
    PanelDesign& p = d.inner();
    p.panel.tipSetback = chance.between(-20, 90), p.panel.washoutDeg = chance.between(-1, 3);
    p.ribs.rim = chance.between(1, 3);
    Spar rear;
    rear.rootFraction = rear.tipFraction = chance.between(0.5, 0.7);
    p.spars.push_back(rear);
    p.join.joiner.fitted = tries % 3 == 0;
    if (tries % 2 == 0) p.surfaces.push_back(newSurface(p, SurfaceKind::aileron, WingKind::main));
    for (int k = 0; k < 3; ++k) {
      eup::Run r = newRun(p, static_cast<RunKind>(chance.number(3)));
      r.from = chance.between(0, 200), r.to = chance.between(300, 700);
      r.xFrom = chance.between(0.1, 0.8), r.xTo = chance.between(0.1, 0.8), r.hole = chance.between(3, 14);
      r.high = chance.between(0.3, 0.7);
      p.runs.push_back(r);
    }
    const TrueWing w = wingOf(d);
    Design bare = d;
    bare.inner().runs.clear();
    const TrueWing plain = wingOf(bare);
    for (std::size_t i = 0; i < w.inner().frame.ribs.size(); ++i) {
      const Rib& rib = w.inner().frame.ribs[i];
      for (const RunHole& hole : rib.runs) {
        if (!hole.clear) {
          ++blocked;
          EXPECT_TRUE(hasFinding(findingsOf(w), "run.blocked"));
          continue;
        }
        ++bored;
        EXPECT_TRUE(holds(plain.inner().frame.ribs[i].wood, hole.middle, hole.diameter / 2 + p.ribs.rim - 0.02))
            << rib.name();
        for (const RunHole& other : rib.runs)
          if (&other != &hole && other.clear) {
            EXPECT_GE((other.middle - hole.middle).norm(), (other.diameter + hole.diameter) / 2 + p.ribs.rim - 0.05);
          }
        // And it is cut, in what is printed too.
        EXPECT_FALSE(holds(rib.wood, hole.middle, hole.diameter / 4));
        EXPECT_FALSE(holds(asCut(w.inner().design, rib), hole.middle, hole.diameter / 4));
      }
    }
  }
  EXPECT_GT(bored, 200);
  EXPECT_GT(blocked, 5);
}

// A tube is straight in space; leads cut to length: over a plain wing, the span and its slack.
TEST(Runs, Lengths) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(600, 200, 200);
  d.inner().ribs.count = 7;
  eup::Run lead;
  lead.from = 0, lead.to = 450, lead.slack = 60, lead.ownLength = 200;
  eup::Run tube = lead;
  tube.kind = RunKind::tube, tube.xFrom = 0.2, tube.xTo = 0.3, tube.hole = 5, tube.from = 100, tube.to = 500;
  d.inner().runs = {lead, tube};
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "run.1.length"), 450 + 120, 0.01);
  EXPECT_NEAR(figureOf(w, "run.1.extension"), 570 - 200, 0.01);
  EXPECT_NEAR(figureOf(w, "run.2.length"), std::hypot(400, 0.1 * 200), 0.5);
  std::vector<Point3> places;
  for (const Rib& rib : w.inner().frame.ribs)
    for (const RunHole& hole : rib.runs)
      if (hole.run == 1) places.push_back(rib.inPanel(hole.middle));
  ASSERT_EQ(places.size(), 5U);
  const Point3 way = (places.back() - places.front()).normalized();
  for (const Point3& p : places) EXPECT_LT((p - places.front()).cross(way).norm(), 0.01);
}

TEST(Runs, Findings) {
  Design d = builtUp();
  eup::Run r = newRun(d.inner(), RunKind::lead);
  d.inner().runs = {r};
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "run.blocked"));
  d.inner().runs[0].hole = 60;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "run.blocked"));
  d.inner().runs[0] = r;
  d.inner().runs[0].to = d.inner().runs[0].from;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "run.none"));
  // A tube straight through a spar cannot get through.
  d.inner().runs[0] = r;
  d.inner().runs[0].kind = RunKind::tube;
  d.inner().runs[0].xFrom = d.inner().spars[0].rootFraction, d.inner().runs[0].xTo = d.inner().spars[0].tipFraction;
  d.inner().runs[0].high = 0.95;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "run.blocked"));
}

TEST(Lightening, KeepsItsRim) {
  for (const double rim : {3.0, 5.0, 8.0}) {
    Design d = builtUp();
    Lightening& l = d.inner().lightening;
    const TrueWing plain = wingOf(d);
    l.bored = true, l.rim = rim, l.least = 6, l.most = 30;
    const TrueWing w = wingOf(d);
    int holes = 0;
    double area = 0;
    for (std::size_t i = 0; i < w.inner().frame.ribs.size(); ++i) {
      const Rib& rib = w.inner().frame.ribs[i];
      if (rib.kind != RibKind::main) {
        EXPECT_TRUE(rib.lightening.empty());
        continue;
      }
      for (const RunHole& hole : rib.lightening) {
        ++holes, area += pi / 4 * hole.diameter * hole.diameter * rib.thickness;
        EXPECT_GE(hole.diameter, l.least - 1e-9);
        EXPECT_LE(hole.diameter, l.most + 1e-9);
        EXPECT_TRUE(holds(plain.inner().frame.ribs[i].wood, hole.middle, hole.diameter / 2 + rim - 0.02));
        EXPECT_GE(hole.middle.x() - hole.diameter / 2, l.from * rib.frame.chord - 1e-6);
        EXPECT_LE(hole.middle.x() + hole.diameter / 2, l.to * rib.frame.chord + 1e-6);
        for (const RunHole& other : rib.lightening)
          if (&other != &hole) {
            EXPECT_GE((other.middle - hole.middle).norm(), (other.diameter + hole.diameter) / 2 + rim - 1e-6);
          }
      }
    }
    EXPECT_GT(holes, 10);
    const double saved = figureOf(w, "lightening.mass");
    EXPECT_NEAR(saved, area * 160e-6, 0.01);
    EXPECT_NEAR(gramsOf(plain.inner().parts) - gramsOf(w.inner().parts), saved, 0.02 * saved); // circles are of corners
  }
}

TEST(HardPoints, BlocksAndDoublers) {
  for (std::size_t k = 0; k < hardPointKindChoices.size(); ++k) {
    Design d = builtUp();
    d.inner().hardPoints = {newHardPoint(d.inner(), static_cast<HardPointKind>(k))};
    for (const Finding& f : findingsOf(wingOf(d)))
      if (f.key.starts_with("hardPoint")) {
        EXPECT_LT(f.severity, Severity::serious) << hardPointKindChoices[k].label << f.what;
      }
  }
  Design d = builtUp();
  HardPoint h;
  h.at = 90, h.chord = 0.5, h.length = 200, h.width = 20, h.depth = 6, h.hole = 5, h.material = "beech", h.doubler = 2;
  d.inner().hardPoints = {h};
  const TrueWing w = wingOf(d);
  const Rib &in = w.inner().frame.ribs[1], &out = w.inner().frame.ribs[2]; // at 58.3 and 116.7
  const double bay = out.t() - in.t() - (in.thickness + out.thickness) / 2;
  EXPECT_NEAR(figureOf(w, "hardPoint.1.length"), bay, 1e-6);
  EXPECT_TRUE(hasFinding(findingsOf(w), "hardPoint.bay"));
  double block = 0;
  int doublers = 0;
  for (const Part& part : w.inner().parts) {
    if (part.key() == "hardPoint.1.block") block = part.grams;
    if (part.key().starts_with("hardPoint.1.doubler")) ++doublers;
  }
  EXPECT_NEAR(block, (bay * 20 - pi / 4 * 25) * 6 * 680e-6, 1e-6);
  EXPECT_EQ(doublers, 2);
  d.inner().hardPoints[0].depth = 60;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "hardPoint.deep"));
  d.inner().hardPoints[0].at = 3000;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "hardPoint.off"));
  d.inner().hardPoints[0] = h;
  d.inner().hardPoints[0].chord = d.inner().spars[0].rootFraction;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "hardPoint.spar"));
}

// Places are gone through, pins keep their distance and ride in the slot; a straight slot turns nothing, a round one
// by as much as it bends.
TEST(FlapTrack, PinsRideInTheSlot) {
  Slide s;
  s.fitted = true, s.midAft = 12, s.midDown = 4, s.endAft = 30, s.endDown = 18, s.pinsApart = 22;
  const Track track(s);
  EXPECT_NEAR(track.height(0), 0, 1e-12);
  EXPECT_NEAR(track.height(12), -4, 1e-12);
  EXPECT_NEAR(track.height(30), -18, 1e-12);
  double before = -1;
  for (double aft = 0; aft <= 30; aft += 1.5) {
    const TrackPlace at = track.at(aft);
    EXPECT_NEAR((at.rear - at.front).norm(), 22, 1e-9);
    EXPECT_NEAR(at.front.y(), track.height(at.front.x()), 1e-9);
    EXPECT_GE(at.turn, before - 1e-12) << "it falls more and more";
    before = at.turn;
  }
  EXPECT_NEAR(track.at(0).turn, 0, 1e-9);
  Slide straight = s;
  straight.midDown = 6, straight.endDown = 15;
  EXPECT_NEAR(Track(straight).at(30).turn, 0, 1e-9);
  // Pins close together turn with the slot's own direction.
  Slide close = s;
  close.pinsApart = 0.02;
  EXPECT_NEAR(Track(close).at(30).turn, std::atan(track.slope(0)) - std::atan(track.slope(30)), 1e-3);
  const Region slot = track.slot();
  EXPECT_NEAR(areaOf(slot), track.length() * (s.pin + 2 * s.lining), 0.02 * areaOf(slot));
}

TEST(FlapTrack, Findings) {
  Design d = builtUp();
  d.inner().surfaces = {newSurface(d.inner(), SurfaceKind::flap, WingKind::main)};
  Slide& s = d.inner().surfaces[0].slide;
  s.fitted = true;
  const TrueWing w = wingOf(d);
  EXPECT_GT(radToDeg(figureOf(w, "surface.1.slideTurn")), 2);
  s.midAft = 40;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "surface.trackOrder"));
  s = Slide{};
  s.fitted = true, s.lining = 0, s.midDown = 8, s.endDown = 8.5;
  const auto said = findingsOf(wingOf(d));
  EXPECT_TRUE(hasFinding(said, "surface.trackBare"));
  EXPECT_TRUE(hasFinding(said, "surface.trackUp"));
}

// Music wire of 2, 100 long, under 100 N·mm: G J = 79 000 MPa × π 2⁴ ÷ 32 mm⁴.
TEST(TorqueRod, Twists) {
  Design d = builtUp();
  d.inner().surfaces = {newSurface(d.inner(), SurfaceKind::aileron, WingKind::main)};
  Drive& drive = d.inner().surfaces[0].drive;
  drive.by = MovedBy::torqueRod, drive.wire = 2, drive.wireLong = 100;
  const TrueWing w = wingOf(d);
  const double moment = figureOf(w, "surface.1.moment");
  EXPECT_NEAR(figureOf(w, "surface.1.rodTwist"), moment * 100 / (79000 * pi * 16 / 32), 1e-9);
}

// A panel cut in two keeps its leads in one line, and its blocks where they were.
TEST(Fittings, CutWithTheirPanel) {
  Design d = builtUp();
  d.inner().panel.washoutDeg = 0;
  eup::Run r;
  r.from = 50, r.to = 650, r.xFrom = 0.3, r.xTo = 0.5;
  HardPoint h;
  h.at = 500;
  d.inner().runs = {r};
  d.inner().hardPoints = {h};
  const auto two = withPanelSplit(d, {0, 0}, 350);
  ASSERT_TRUE(two);
  const auto& panels = two.value().wings[0].panels;
  ASSERT_EQ(panels[0].runs.size() + panels[1].runs.size(), 2U);
  EXPECT_EQ(panels[0].runs[0].to, 350);
  EXPECT_EQ(panels[1].runs[0].from, 0);
  EXPECT_EQ(panels[1].runs[0].to, 300);
  EXPECT_TRUE(panels[0].hardPoints.empty());
  EXPECT_EQ(panels[1].hardPoints[0].at, 150);
  const TrueWing one = wingOf(d);
  const PanelLoft& loft = one.inner().shape.loft;
  const double a = planX(loft.frameAt(50), 0.3), b = planX(loft.frameAt(650), 0.5);
  EXPECT_NEAR(planX(loft.frameAt(350), panels[0].runs[0].xTo), (a + b) / 2, 0.05);
  const auto again = withPanelsMerged(two.value(), {0, 0});
  ASSERT_TRUE(again);
  EXPECT_EQ(again.value().inner().hardPoints[0].at, 500);
}

} // namespace
} // namespace eup
