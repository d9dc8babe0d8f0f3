// Surfaces on hinges in whole wings: what of every rib is whose, hinge lines, masses, strips, findings.
#include "chance.h"
#include "core/described/decisions.h"
#include "core/drawing/wing_drawings.h"
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/takeaway/take_away.h"
#include "surface_designs.h"
#include "within.h"

namespace eup {
namespace {

using test::bareDesign;
using test::figureOf;
using test::hasFinding;
using test::wingOf;
using test::withAileron;
using test::within;
using test::withServo;

// Every point of a rib's wood is the wing's, the surface's, a facing's, or was taken by gap and bevel: told here by
// the planes alone, without the outlines that were cut.
TEST(Surfaces, RibsPutTogetherAgain) {
  test::Chance chance(5);
  for (int tries = 0; tries < 24; ++tries) {
    Design d = withAileron();
    Surface& s = d.inner().surfaces[0];
    s.at = static_cast<HingeAt>(tries % 3);
    s.gap = tries % 4 == 0 ? 0 : chance.between(0.2, 1.5);
    s.plane = static_cast<CutPlane>(tries % 3 == 1 ? 2 : tries % 2), s.rakeDeg = chance.between(-20, 20);
    s.upDeg = chance.between(5, 30), s.downDeg = chance.between(5, 30);
    s.wingFacing = tries % 5 == 0 ? 0 : 2, s.facing = tries % 7 == 0 ? 0 : 7;
    s.chordFrom = chance.between(0.7, 0.8), s.chordTo = chance.between(0.7, 0.8);
    const TrueWing w = wingOf(d);
    int parted = 0;
    for (const Rib& rib : w.inner().frame.ribs)
      for (const HingeCut& cut : rib.hinges) {
        ++parted;
        const HingeSection& at = cut.at;
        const double across = 1 / std::cos(w.inner().frame.hinges[0].sweep);
        for (int i = 0; i < 1500; ++i) {
          const Box box = boundsOf(cut.whole);
          const Point p(chance.between(at.hinge.x() - 20, box.high.x()), chance.between(box.low.y(), box.high.y()));
          if (!within(cut.whole, p)) continue;
          // Square to the hinge line along the chord, the planes' own tilt left as they have it.
          const Point off((p.x() - at.hinge.x()) / across, p.y() - at.hinge.y());
          const double tilt = s.plane == CutPlane::raked     ? degToRad(s.rakeDeg)
                              : s.plane == CutPlane::upright ? rib.frame.washout
                                                             : 0;
          const double u = off.x() * std::cos(tilt) - off.y() * std::sin(tilt),
                       v = off.x() * std::sin(tilt) + off.y() * std::cos(tilt);
          const double bevel = v >= 0 ? at.bevelTop : at.bevelBottom;
          const double front = s.gap / 2 + std::abs(v) * std::tan(bevel), rear = s.gap / 2 + s.facing;
          constexpr double hair = 0.01;
          const auto near = [&](double plane) { return std::abs(u - plane) < hair; };
          if (near(-s.gap / 2) || near(-s.gap / 2 - s.wingFacing) || near(front) || near(rear)) continue;
          const bool wing = u<-s.gap / 2 - s.wingFacing, tail = u> front && (s.facing == 0 || u > rear);
          EXPECT_EQ(within(rib.wood, p), wing) << tries << ' ' << rib.name() << ' ' << p.transpose();
          EXPECT_EQ(within(cut.tail, p), tail) << tries << ' ' << rib.name() << ' ' << p.transpose();
        }
        EXPECT_NEAR(areaOf(unite(rib.wood, cut.tail)), areaOf(rib.wood) + areaOf(cut.tail), 1e-3); // never both
      }
    EXPECT_EQ(parted, 6); // at 350, 400 … 600
  }
}

// The planes' own way is told with them.
TEST(Surfaces, PlanesStandAsDecided) {
  Design d = withAileron();
  Surface& s = d.inner().surfaces[0];
  const auto tiltOf = [&] {
    const TrueWing w = wingOf(d);
    const HingeSection& cut = w.inner().surfaces[0].outer.cut;
    return std::atan2(cut.way.x(), cut.way.y());
  };
  EXPECT_NEAR(tiltOf(), 0, 1e-9);
  s.plane = CutPlane::raked, s.rakeDeg = 12;
  EXPECT_NEAR(radToDeg(tiltOf()), 12, 0.2); // the hinge line's sweep leaves it there
  s.plane = CutPlane::upright;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(tiltOf(), w.inner().surfaces[0].outer.frame.washout, 1e-3);
}

// The hinge's places on the ribs lie on one straight line in space.
TEST(Surfaces, HingeLineIsStraight) {
  for (const HingeAt at : {HingeAt::top, HingeAt::middle, HingeAt::underside})
    for (const double to : {0.72, 0.8}) {
      Design d = withAileron();
      d.inner().surfaces[0].at = at, d.inner().surfaces[0].chordTo = to;
      const TrueWing w = wingOf(d);
      std::vector<Point3> places;
      for (const Rib& rib : w.inner().frame.ribs)
        for (const HingeCut& cut : rib.hinges) places.push_back(rib.inPanel(cut.at.hinge));
      ASSERT_EQ(places.size(), 6U);
      const Point3 way = (places.back() - places.front()).normalized();
      for (const Point3& p : places) EXPECT_LT((p - places.front()).cross(way).norm(), 0.05);
      // And where it was decided: on the face, within what is told.
      const SurfaceMade& made = w.inner().surfaces[0];
      for (const SurfaceEnd* end : {&made.inner, &made.outer}) {
        const Point place = at == HingeAt::top         ? end->cut.top
                            : at == HingeAt::underside ? end->cut.bottom
                                                       : lerp(end->cut.top, end->cut.bottom, 0.5);
        EXPECT_LT((place - end->cut.hinge).norm(), 0.1);
      }
    }
}

// A plain panel of NACA 0012, chord 200, cut at three quarters: depth there from the ordinates, the facing and the
// bevel from that, the area behind by quadrature of the published formula.
TEST(Surfaces, OnAPlainPanelByHand) {
  Design d = test::plainPanel0012();
  PanelDesign& p = d.inner();
  Surface s = newSurface(p, SurfaceKind::aileron, WingKind::main);
  s.from = 100, s.to = 400, s.endClear = 0, s.chordFrom = s.chordTo = 0.75, s.gap = 0;
  s.at = HingeAt::top, s.upDeg = 25, s.downDeg = 20, s.facing = 8, s.proud = 1;
  s.built = SurfaceBuilt::solid, s.material = "balsa-100";
  p.surfaces = {s};
  const auto half = [](double x) { // NACA Report 460, t = 0.12
    return 0.6 * (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
  };
  const double depth = 2 * half(0.75) * 200;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "surface.1.length"), 300, 1e-6);
  EXPECT_NEAR(figureOf(w, "surface.1.innerChord"), 50, 1e-6);
  EXPECT_NEAR(figureOf(w, "surface.1.innerDepth"), depth, 0.02);
  EXPECT_NEAR(radToDeg(figureOf(w, "surface.1.innerBevelBottom")), 20, 1e-6);
  // The bevel meets the underside farther aft, where the section is thinner.
  double deep = depth;
  for (int i = 0; i < 50; ++i) deep = half(0.75) * 200 + half(0.75 + deep * std::tan(degToRad(20)) / 200) * 200;
  EXPECT_NEAR(figureOf(w, "surface.1.innerBackBottom"), deep * std::tan(degToRad(20)), 0.02);
  EXPECT_EQ(figureNamed(w, "surface.1.innerBackTop"), nullptr); // hinged there
  EXPECT_NEAR(figureOf(w, "surface.1.travelUp"), 50 * std::sin(degToRad(25)), 1e-6);
  double area = 0, moment = 0;
  for (int i = 0; i < 4000; ++i) {
    const double x = 0.75 + 0.25 * (i + 0.5) / 4000, strip = 2 * half(x) * 200 * 0.25 * 200 / 4000;
    area += strip, moment += strip * (x - 0.75) * 200;
  }
  const double bevel = deep * deep * std::tan(degToRad(20)) / 2; // a thin wedge is planed off
  EXPECT_NEAR(figureOf(w, "surface.1.mass"), (area - bevel) * 300 * 100e-6, 0.02 * area * 0.03);
  EXPECT_NEAR(figureOf(w, "surface.1.behind"), moment / area, 1.5);
  double core = 0;
  for (const Part& part : w.inner().parts)
    if (part.key() == "surface.1.core") core = part.grams;
  EXPECT_NEAR(core, figureOf(w, "surface.1.mass"), 1e-3);
  EXPECT_NEAR(figureOf(w, "surface.1.weight"), figureOf(w, "surface.1.mass") * figureOf(w, "surface.1.behind") / 20,
              1e-9);
}

// Cut out of a core or of sheet, it is of that: the area behind the hinge by quadrature of NACA Report 460's thickness,
// less facing and bevel; of sheet with a layer of cloth on either face, of foam with a skin on both.
TEST(Surfaces, OfFoamAndOfSheetByHand) {
  Design d = test::plainPanel0012();
  PanelDesign& p = d.inner();
  p.leadingEdge.kind = LeadingEdgeKind::none, p.trailingEdge.kind = TrailingEdgeKind::none;
  Surface s = newSurface(p, SurfaceKind::elevator, WingKind::main);
  s.from = 100, s.to = 400, s.endClear = 0, s.chordFrom = s.chordTo = 0.7, s.gap = 0;
  s.at = HingeAt::top, s.upDeg = 20, s.downDeg = 20, s.facing = s.wingFacing = 0;
  s.built = SurfaceBuilt::sawnOff;
  p.surfaces = {s};
  const auto half = [](double x) {
    return 0.6 * (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
  };
  double area = 0, moment = 0;
  for (int i = 0; i < 4000; ++i) {
    const double x = 0.7 + 0.3 * (i + 0.5) / 4000, strip = 2 * half(x) * 200 * 0.3 * 200 / 4000;
    area += strip, moment += strip * (x - 0.7) * 200;
  }
  const double deep = 2 * half(0.7) * 200, bevel = deep * deep * std::tan(degToRad(20)) / 2;
  p.built = Built::sheet, p.sheet.thickness = 26, p.sheet.material = "balsa-100";
  p.cloth = {};
  const double bare = figureOf(wingOf(d), "surface.1.mass");
  EXPECT_NEAR(bare, (area - bevel) * 300 * 100e-6, 0.02 * bare);
  const double wedge = bevel * deep * std::tan(degToRad(20)) / 3; // its moment
  EXPECT_NEAR(figureOf(wingOf(d), "surface.1.behind"), (moment - wedge) / (area - bevel), 0.3);
  p.cloth.top = p.cloth.bottom = 1, p.cloth.gsm = 25, p.cloth.resinRatio = 1;
  const double clothed = figureOf(wingOf(d), "surface.1.mass");
  EXPECT_NEAR(clothed - bare, 2 * 60 * 300 * 50e-6, 0.01 * clothed);
  EXPECT_NEAR(figureOf(wingOf(d), "surface.1.weight"), clothed * figureOf(wingOf(d), "surface.1.behind") / s.weightArm,
              1e-9);
  p.built = Built::foam, p.cloth = {}, p.sheeting.top = p.sheeting.bottom = false;
  const TrueWing foam = wingOf(d);
  const double density = foam.inner().design.tables.named(p.foam.material).density;
  EXPECT_NEAR(figureOf(foam, "surface.1.mass"), bare * density / 100, 0.001 * bare);
}

// At full travel either way the surface touches nothing of the wing, a degree farther it does; a round nose never.
TEST(Surfaces, ClearsAtItsTravelAndTouchesBeyond) {
  for (const HingeAt at : {HingeAt::top, HingeAt::middle, HingeAt::underside})
    for (const double gap : {0.0, 0.8}) {
      Design d = withAileron();
      Surface& s = d.inner().surfaces[0];
      s.at = at, s.gap = gap, s.upDeg = 24, s.downDeg = 18, s.chordTo = s.chordFrom;
      for (const bool round : {false, true}) {
        s.nose = round ? SurfaceNose::round : SurfaceNose::bevelled;
        const TrueWing w = wingOf(d);
        for (const Rib& rib : w.inner().frame.ribs)
          for (const HingeCut& cut : rib.hinges) {
            const Region wing = intersect({rib.bare}, {cut.at.wing});
            const auto touches = [&](double turn) {
              Polyline turned;
              for (const Point& p : cut.at.outline)
                turned.push_back(cut.at.hinge + Placement{turn, {0, 0}}(p - cut.at.hinge));
              return areaOf(intersect(wing, {turned}));
            };
            for (const double share : {0.0, 0.5, 1.0}) {
              EXPECT_LT(touches(share * degToRad(24)), 0.05) << rib.name();
              EXPECT_LT(touches(-share * degToRad(18)), 0.05) << rib.name();
            }
            if (round) continue;
            if (cut.at.bevelTop > 0) {
              EXPECT_GT(touches(degToRad(26)), 0.05) << rib.name() << ' ' << gap;
            }
            if (cut.at.bevelBottom > 0) {
              EXPECT_GT(touches(-degToRad(20)), 0.05) << rib.name() << ' ' << gap;
            }
          }
      }
    }
}

// Nothing is lost or weighed twice: the panel with its aileron sawn off weighs what it weighed whole, less what saw,
// gap and bevel took, and more by what was glued on.
TEST(Surfaces, PartsWeighWhatIsThere) {
  Design d = withAileron();
  Design plain = d;
  plain.inner().surfaces.clear();
  const TrueWing w = wingOf(d), whole = wingOf(plain);
  double lost = 0, own = 0;
  for (const Rib& rib : w.inner().frame.ribs)
    for (const HingeCut& cut : rib.hinges)
      lost += (areaOf(cut.whole) - areaOf(rib.wood) - areaOf(cut.tail)) * rib.thickness * 160e-6;
  EXPECT_GT(lost, 0.05);
  for (const Part& part : w.inner().parts)
    if (part.what() == Part::What::surface) own += part.grams;
  EXPECT_NEAR(gramsOf(w.inner().parts), gramsOf(whole.inner().parts) - lost + own, 1e-6);
  // Cut apart, the same wood in more pieces.
  Design apart = d;
  apart.inner().surfaces[0].built = SurfaceBuilt::apart;
  const TrueWing a = wingOf(apart);
  EXPECT_NEAR(gramsOf(a.inner().parts), gramsOf(w.inner().parts), 1e-6);
  EXPECT_EQ(std::count_if(a.inner().parts.begin(), a.inner().parts.end(),
                          [](const Part& p) { return p.key().find(".tail1") != std::string::npos; }),
            6);
  // Of one piece, the panel's stock ends there and begins again.
  Design solid = d;
  solid.inner().surfaces[0].built = SurfaceBuilt::solid;
  const TrueWing s = wingOf(solid);
  double stock = 0, stockWhole = 0;
  int pieces = 0;
  for (const Part& p : s.inner().parts)
    if (p.what() == Part::What::trailingEdge) stock += p.length, ++pieces;
  for (const Part& p : whole.inner().parts)
    if (p.what() == Part::What::trailingEdge) stockWhole += p.length;
  EXPECT_EQ(pieces, 2);
  EXPECT_NEAR(stock, stockWhole * (700 - 310) / 700, 1);
}

// Ribs of sticks are glued up whole and sawn: their wood is parted like sheet's, and their fixtures say where.
TEST(Surfaces, PartRibsOfSticks) {
  Design d = withAileron();
  d.inner().ribs.make = RibMake::sticks;
  Design plain = d;
  plain.inner().surfaces.clear();
  const TrueWing w = wingOf(d), whole = wingOf(plain);
  int parted = 0;
  for (const Rib& rib : w.inner().frame.ribs) {
    if (rib.sticks.empty()) continue;
    EXPECT_EQ(rib.hinges.empty(), !w.inner().surfaces[0].line.covers(rib.t()));
    const Rib& before = whole.inner().rib(rib.number);
    EXPECT_EQ(rib.sticks.size(), before.sticks.size()); // glued up as ever
    for (const HingeCut& cut : rib.hinges) {
      ++parted;
      EXPECT_NEAR(areaOf(cut.whole), areaOf(before.wood), 1e-6);
      const double left = areaOf(rib.wood) + areaOf(cut.tail);
      EXPECT_LT(left, areaOf(cut.whole));
      EXPECT_GT(left, 0.6 * areaOf(cut.whole));
      EXPECT_LT(boundsOf(rib.wood).high.x(), cut.at.hinge.x() + 1);
      EXPECT_GT(boundsOf(cut.tail).low.x(), cut.at.hinge.x() - 1);
    }
  }
  EXPECT_EQ(parted, 6);
  const auto marks = [](const TrueWing& of) {
    std::size_t all = 0;
    for (const Drawing& one : ribFixtures(drawn(of.main()).front(), Hand::right)) all += one.strokes.size();
    return all;
  };
  EXPECT_GT(marks(w), marks(whole));
}

// A common rule, no source: no farther apart than asked, the outermost where they are asked for, never fewer than two.
TEST(Surfaces, Hinges) {
  Hinges h;
  h.apart = 130, h.fromEnd = 25;
  EXPECT_EQ(hingePlaces(h, 310), (std::vector<double>{25, 155, 285}));
  EXPECT_EQ(hingePlaces(h, 120).size(), 2U);
  h.count = 4;
  const auto four = hingePlaces(h, 350);
  EXPECT_EQ(four, (std::vector<double>{25, 125, 225, 325}));
  h.count = 1;
  EXPECT_EQ(hingePlaces(h, 80), (std::vector<double>{40}));
}

// Where it begins and ends may be typed as ribs.
TEST(Surfaces, PlacesAreTypedAsRibs) {
  const Design d = withAileron();
  const std::string path = "wings.0.panels.0.surfaces.0.";
  const auto from = decide(d, path + "from", "R8"), to = decide(d, path + "to", " r14 ");
  ASSERT_TRUE(from && to) << (from ? to : from).problem().text();
  EXPECT_NEAR(from.value().inner().surfaces[0].from, 350, 1e-9);
  EXPECT_NEAR(to.value().inner().surfaces[0].to, 650, 1e-9);
  const auto beyond = decide(d, path + "to", "R40");
  ASSERT_FALSE(beyond);
  EXPECT_NE(beyond.problem().text().find("R1 to R15"), std::string::npos) << beyond.problem().text();
  EXPECT_FALSE(decide(d, path + "gap", "R8")) << "no place along the span";
  EXPECT_FALSE(decide(d, path + "from", "R"));
  EXPECT_TRUE(decide(d, path + "from", "3/4 in"));
  // Of the second panel, whose ribs go on counting.
  const auto two = withPanelSplit(d, {0, 0}, 300);
  ASSERT_TRUE(two);
  const auto outer = decide(two.value(), "wings.0.panels.1.surfaces.0.from", "R9");
  ASSERT_TRUE(outer);
  const TrueWing w = wingOf(outer.value());
  EXPECT_NEAR(outer.value().wings[0].panels[1].surfaces[0].from, w.main().panels[1].rib(9).t(), 1e-9);
}

// A facing of 1.5 by its depth, held at ribs 50 apart, under 0.1 N a mm of both faces: w L⁴ ÷ (384 E I). Infills stop
// it.
TEST(Surfaces, CoveringPullsTheFacingIn) {
  Design d = withAileron();
  d.inner().stiffening.covering = "film";
  const TrueWing w = wingOf(d);
  const double depth = std::min(figureOf(w, "surface.1.innerDepth"), figureOf(w, "surface.1.outerDepth"));
  const double stiff = 3400 * depth * std::pow(1.5, 3) / 12;
  EXPECT_NEAR(figureOf(w, "surface.1.wingPull"), 0.2 * std::pow(50.0, 4) / (384 * stiff), 1e-3);
  const double before = figureOf(w, "surface.1.pull");
  d.inner().surfaces[0].facing = 1.5;
  EXPECT_GT(figureOf(wingOf(d), "surface.1.pull"), before);
  d.inner().surfaces[0].infill = 10;
  const TrueWing filled = wingOf(d);
  EXPECT_NEAR(figureOf(filled, "surface.1.pull"), 0.2 * std::pow(50.0, 4) / (384 * (stiff + 3400 * 2 * 1000 / 12.0)),
              1e-3);
  d.inner().surfaces[0].infill = 0, d.inner().ribs.count = 6;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "surface.pull"));
}

/// What is said of the wing's first surface when it is changed so.
template <class Change> std::vector<Finding> after(Change change) {
  Design d = withAileron();
  change(d.inner().surfaces[0], d);
  return findingsOf(wingOf(d));
}

TEST(Surfaces, Findings) {
  for (const Finding& f : after([](Surface&, Design&) {})) EXPECT_NE(f.stage, Stage::surfaces) << f.what;
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.from = 900, s.to = 950; }), "surface.none"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.to = s.from; }), "surface.none"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.to = 5000; }), "surface.long"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.chordFrom = s.chordTo = 0.2; }), "surface.spar"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.from = 350, s.endClear = 0.5; }), "surface.end"));
  EXPECT_TRUE(
      hasFinding(after([](Surface& s, Design&) { s.upDeg = 80, s.at = HingeAt::underside; }), "surface.travel"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.facing = 1; }), "surface.facing"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.chordFrom = s.chordTo = 0.93; }), "surface.stock"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design&) { s.from = 355, s.to = 395; }), "surface.noRib"));
  EXPECT_TRUE(hasFinding(after([](Surface& s, Design& d) {
                           d.inner().surfaces.push_back(s), d.inner().surfaces[1].from = 500,
                                                            d.inner().surfaces[1].to = 690;
                         }),
                         "surface.overlap"));
}

TEST(Surfaces, LinkageFindings) {
  const auto said = [](auto change) {
    Design d = withServo();
    change(d.inner().surfaces[0].drive, d.inner().surfaces[0]);
    return findingsOf(wingOf(d));
  };
  for (const Finding& f : said([](Drive&, Surface&) {}))
    if (f.stage == Stage::surfaces) {
      EXPECT_LT(f.severity, Severity::serious) << f.what;
    }
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.servo = "class-standard"; }), "surface.servoDeep"));
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.servoChord = 0.33; }), "surface.servoSpar"));
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.servo = "class-standard"; }), "surface.servoBay") ||
              wingOf(withServo()).inner().surfaces[0].driven->seat.bay > 38);
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.arm = 30, d.horn = 12; }), "surface.binds"));
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.arm = 4; }), "surface.little"));
  EXPECT_TRUE(hasFinding(said([](Drive&, Surface& s) { s.speed = 90; }), "surface.torque"));
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.at = 100; }), "surface.hornOff"));
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.play = 2; }), "surface.play"));
  EXPECT_FALSE(hasFinding(said([](Drive& d, Surface&) { d.at = 405; }), "surface.hornAlone")) << "beside a rib";
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface& s) { d.at = 424, s.hinges.count = 2; }), "surface.hornAlone"));
  EXPECT_TRUE(hasFinding(said([](Drive& d, Surface&) { d.armDeg = 0; }), "surface.dead"));
}

// Play of 0.2 at a horn of 14 turns the surface by 0.2 ÷ 14, and its edge by that times the chord behind it.
TEST(Surfaces, PlayAtTheEdge) {
  const TrueWing w = wingOf(withServo());
  const SurfaceMade& made = w.inner().surfaces[0];
  EXPECT_NEAR(figureOf(w, "surface.1.play"), 0.2 / 14 * made.inner.chord * std::cos(made.line.sweep), 1e-9);
}

// A plate from rib to rib with its servo's opening, on two bearers.
TEST(Surfaces, ServoLiesOnAPlate) {
  const TrueWing w = wingOf(withServo());
  const ServoSeat& seat = w.inner().surfaces[0].driven->seat;
  EXPECT_NEAR(seat.bay, 700.0 / 14 - 2, 1e-9);
  const auto piece = [&](const std::string& key) {
    for (const Part& p : w.inner().parts)
      if (p.key() == key) return p;
    ADD_FAILURE() << key;
    return Part{};
  };
  // Of the 4 g class: 20 long, 19 high.
  EXPECT_NEAR(piece("surface.1.servoPlate").grams, (seat.bay * 40 - 19 * 20) * 2 * 420e-6, 1e-9);
  EXPECT_EQ(piece("surface.1.servoBearers").count, 2);
  EXPECT_NEAR(piece("surface.1.servoBearers").grams, 2 * 36 * seat.bay * 680e-6, 1e-9);
}

// A panel cut in two keeps its surface as one, on one straight hinge line; put together again it is as it was.
TEST(Surfaces, CutWithTheirPanel) {
  Design d = withAileron();
  d.inner().panel.washoutDeg = 0;
  const auto two = withPanelSplit(d, {0, 0}, 450);
  ASSERT_TRUE(two) << two.problem().text();
  const TrueWing w = wingOf(two.value());
  ASSERT_EQ(w.main().panels[0].surfaces.size(), 1U);
  ASSERT_EQ(w.main().panels[1].surfaces.size(), 1U);
  const TrueWing one = wingOf(d);
  EXPECT_NEAR(w.main().panels[0].surfaces[0].length + w.main().panels[1].surfaces[0].length,
              one.inner().surfaces[0].length, 0.05);
  for (const Finding& f : findingsOf(w)) EXPECT_NE(f.key, "surface.kink") << f.detail;
  // With dihedral at the join it cannot be one.
  Design bent = two.value();
  bent.wings[0].panels[1].join.dihedral = {DihedralBy::angle, 12};
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(bent)), "surface.kink"));
  const auto again = withPanelsMerged(two.value(), {0, 0});
  ASSERT_TRUE(again);
  EXPECT_EQ(again.value().inner().surfaces.size(), 2U);
}

TEST(Surfaces, OpenedBaysTwistMore) {
  Design d = withAileron();
  Spar rear;
  rear.rootFraction = rear.tipFraction = 0.62;
  d.inner().spars.push_back(rear);
  d.inner().stiffening.covering = "tissue";
  const TrueWing w = wingOf(d);
  ASSERT_TRUE(w.inner().strength.twist);
  const double softer = figureOf(w, "surface.softer");
  EXPECT_GT(softer, 1.01);
  EXPECT_LT(softer, 5);
  d.inner().surfaces.clear();
  const TrueWing plain = wingOf(d);
  EXPECT_FALSE(figureNamed(plain, "surface.softer"));
  EXPECT_NEAR(plain.inner().strength.twist->twist, w.inner().strength.twist->twist / softer, 1e-9);
}

// Every kind, built every way, with things as they begin: no finding says that it cannot be.
TEST(Surfaces, NewOnesAreFine) {
  for (std::size_t k = 0; k < surfaceKindChoices.size(); ++k) {
    Design d = withAileron();
    d.inner().surfaces.clear();
    d.inner().surfaces.push_back(newSurface(d.inner(), static_cast<SurfaceKind>(k), WingKind::main));
    for (const Finding& f : findingsOf(wingOf(d)))
      if (f.stage == Stage::surfaces) {
        EXPECT_LT(f.severity, Severity::serious) << surfaceKindChoices[k].label << f.what;
      }
  }
}

} // namespace
} // namespace eup
