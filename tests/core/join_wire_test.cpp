// The wire that joins both halves of an elevator, by hand; and what of a panel that is no frame is left to bend and
// twist where a surface is cut out, against beams and thin sections of what lies before it.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/strength/edge_spars.h"
#include "core/strength/sheet_skin.h"
#include "core/takeaway/piece_list.h"
#include "places.h"
#include "surface_designs.h"
#include <Eigen/Geometry>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::plainPanel0012;
using test::wingOf;

/// Two halves with an elevator, hinge line square to the middle, its inner ends 10 from each other.
Design joined() {
  Design d = plainPanel0012();
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  Surface s = newSurface(d.inner(), SurfaceKind::elevator, WingKind::tailplane);
  s.from = 4, s.to = 480, s.endClear = 1, s.chordFrom = s.chordTo = 0.7;
  s.drive.joinWire = 2, s.drive.joinIn = 20, s.drive.joinLeg = 30;
  d.inner().surfaces = {s};
  return d;
}

const Part* wireOf(const TrueWing& w) {
  for (const Part& part : w.inner().parts)
    if (part.key() == "surface.1.joinWire") return &part;
  return nullptr;
}

// Two bends of a right angle about a radius of 3 to the wire's middle: each saves 2 × 3 − 3 π ÷ 2.
TEST(JoinWire, ByHand) {
  const Design d = joined();
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "surface.1.joinBends"), 10 + 2 * 20, 1e-6);
  EXPECT_NEAR(figureOf(w, "surface.1.joinBend"), pi / 2, 1e-9);
  EXPECT_NEAR(figureOf(w, "surface.1.joinKink"), 0, 1e-9);
  const double length = 50 + 2 * 30 - 2 * (2 * 3 - 3 * pi / 2), moment = figureOf(w, "surface.1.moment");
  EXPECT_NEAR(figureOf(w, "surface.1.joinWire"), length, 1e-6);
  // Moved at its middle, by nothing that is decided: 25 of wire twist to either side. G and strengths of the table.
  EXPECT_NEAR(figureOf(w, "surface.1.joinLags"), moment * 25 / (79000 * pi * 16 / 32), 1e-9);
  EXPECT_NEAR(figureOf(w, "surface.1.joinReserve"), std::min(1500 * pi * 8 / 32, 600 * pi * 8 / 16) / moment, 1e-6);
  const Part* part = wireOf(w);
  ASSERT_NE(part, nullptr);
  EXPECT_TRUE(part->shared);
  EXPECT_NEAR(2 * part->grams, pi * length * 7.85e-3, 1e-6) << "one for both hands";
  EXPECT_EQ(countFor(*part, Hand::right, d.cutList) + countFor(*part, Hand::left, d.cutList), 1);
}

// One servo moves both halves by it: it bears twice as much, and the wire twists along all of itself.
TEST(JoinWire, OneServoBearsBothHalves) {
  Design d = joined();
  d.inner().surfaces[0].drive.by = MovedBy::pushrod;
  const TrueWing w = wingOf(d);
  d.inner().surfaces[0].drive.joinWire = 0;
  const TrueWing apart = wingOf(d);
  EXPECT_NEAR(figureOf(w, "surface.1.torque"), 2 * figureOf(apart, "surface.1.torque"), 1e-9);
  EXPECT_NEAR(figureOf(w, "surface.1.reserve"), figureOf(apart, "surface.1.reserve") / 2, 1e-9);
  EXPECT_NEAR(figureOf(w, "surface.1.joinLags"), figureOf(w, "surface.1.moment") * 50 / (79000 * pi * 16 / 32), 1e-9);
  EXPECT_EQ(figureNamed(apart, "surface.1.joinWire"), nullptr);
  EXPECT_EQ(wireOf(apart), nullptr);
}

// Both hinge lines as vectors in space, each half turned up by its dihedral: the angle between them.
TEST(JoinWire, HalvesThatTurnAboutTwoLines) {
  for (const auto& [dihedral, setback] :
       {std::pair(0.0, 0.0), std::pair(4.0, 0.0), std::pair(0.0, 60.0), std::pair(5.0, 45.0), std::pair(-3.0, -30.0)}) {
    Design d = joined();
    d.inner().panel.tipSetback = setback;
    d.inner().join.dihedral.value = 2 * dihedral; // between the halves
    const TrueWing w = wingOf(d);
    const double gamma = w.inner().design.gamma, sweep = std::atan(setback / 500);
    const Eigen::Vector3d right = Eigen::AngleAxisd(gamma, Eigen::Vector3d::UnitX()) *
                                  Eigen::Vector3d(std::sin(sweep), std::cos(sweep), 0),
                          left(-right.x(), right.y(), -right.z()); // the other half's, told outwards to inwards
    EXPECT_NEAR(figureOf(w, "surface.1.joinKink"), std::acos(std::clamp(right.dot(left), -1.0, 1.0)), 1e-6);
    EXPECT_NEAR(figureOf(w, "surface.1.joinBend"), pi / 2 - sweep, 1e-6) << "its leg lies along the ribs";
    EXPECT_EQ(hasFinding(findingsOf(w), "surface.joinKink"), dihedral != 0 || setback != 0);
  }
}

TEST(JoinWire, Findings) {
  const auto found = [](auto change, const char* key) {
    Design d = joined();
    change(d.inner().surfaces[0]);
    return hasFinding(findingsOf(wingOf(d)), key);
  };
  for (const char* key : {"surface.joinKink", "surface.joinIn", "surface.joinLeg", "surface.joinThick"})
    EXPECT_FALSE(found([](Surface&) {}, key)) << key;
  EXPECT_TRUE(found([](Surface& s) { s.drive.joinIn = 300; }, "surface.joinIn"));
  EXPECT_FALSE(found([](Surface& s) { s.drive.joinIn = 15; }, "surface.joinHinge"));
  EXPECT_TRUE(found([](Surface& s) { s.drive.joinIn = 19; }, "surface.joinHinge"));
  EXPECT_TRUE(found([](Surface& s) { s.drive.joinLeg = 200; }, "surface.joinLeg"));
  EXPECT_TRUE(found([](Surface& s) { s.drive.joinWire = 20; }, "surface.joinThick"));
  EXPECT_TRUE(found([](Surface& s) { s.drive.joinWire = 0.5, s.speed = 60; }, "surface.joinSoft"));
  EXPECT_TRUE(found([](Surface& s) { s.drive.joinWire = 0.5, s.speed = 60; }, "surface.joinWeak"));
}

// A fin has one half; a panel farther out has no other half beside it.
TEST(JoinWire, OnlyWhereTwoHalvesMeet) {
  Design d = joined();
  d.wings.front().panels.push_back(d.inner());
  const TrueWing two = wingOf(d);
  EXPECT_TRUE(two.wings[0].panels[0].surfaces[0].wire.has_value());
  EXPECT_FALSE(two.wings[0].panels[1].surfaces[0].wire.has_value());
  Design fin = joined();
  Wing upright = fin.wings.front();
  upright.kind = WingKind::fin;
  fin.wings.push_back(upright);
  EXPECT_FALSE(wingOf(fin).wings[1].panels[0].surfaces[0].wire.has_value());
  EXPECT_FALSE(decisionAt(fin, "wings.1.panels.0.surfaces.0.drive.joinWire")->applies) << "and it is not asked for";
  EXPECT_TRUE(decisionAt(fin, "wings.0.panels.0.surfaces.0.drive.joinWire")->applies);
}

// Ailerons move against each other: nothing may join them.
TEST(JoinWire, NotOfWhatRolls) {
  for (const SurfaceKind kind : {SurfaceKind::aileron, SurfaceKind::elevon, SurfaceKind::flap, SurfaceKind::elevator}) {
    Design d = joined();
    d.inner().surfaces[0].kind = kind;
    EXPECT_EQ(wingOf(d).inner().surfaces[0].wire.has_value(), !rolls(kind));
    EXPECT_EQ(decisionAt(d, "wings.0.panels.0.surfaces.0.drive.joinWire")->applies, !rolls(kind));
  }
}

TEST(JoinWire, OlderFilesHaveNone) {
  const auto read = designFromText(test::slurp(test::testFile("version18.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  int surfaces = 0;
  for (const Wing& wing : read.value().design.wings)
    for (const PanelDesign& panel : wing.panels)
      for (const Surface& s : panel.surfaces) {
        ++surfaces;
        EXPECT_EQ(s.drive.joinWire, 0) << s.name;
      }
  EXPECT_GT(surfaces, 0);
}

TEST(TorqueRod, IsAPart) {
  Design d = joined();
  Drive& drive = d.inner().surfaces[0].drive;
  drive = {}, drive.by = MovedBy::torqueRod, drive.wire = 2, drive.wireLong = 100, drive.arm = 12, drive.horn = 15;
  const TrueWing w = wingOf(d);
  bool there = false;
  for (const Part& part : w.inner().parts)
    if (part.key() == "surface.1.torqueRod") {
      there = true;
      EXPECT_NEAR(part.grams, pi * (100 + 12 + 15) * 7.85e-3, 1e-6);
    }
  EXPECT_TRUE(there);
}

/// A flat plate of balsa with an aileron over part of it, hinged so far behind the nose.
Design plate(double from, double to, double fraction) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::sheet;
  p.panel = test::panelOf(400, 100, 100);
  p.sections.root.kind = p.sections.tip.kind = SectionKind::flatPlate;
  p.sections.root.drawn.tailTaper = p.sections.tip.drawn.tailTaper = 0;
  p.sheet.thickness = 4;
  p.join.dihedral = {DihedralBy::angle, 0};
  d.flying.twistCouple = 200;
  Surface s = newSurface(p, SurfaceKind::aileron, WingKind::main);
  s.from = from, s.to = to, s.gap = 1, s.chordFrom = s.chordTo = fraction, s.built = SurfaceBuilt::solid;
  p.surfaces = {s};
  return d;
}

// Σ T l ÷ (G c t³ ÷ 3): what is left of the chord over the aileron's length, all of it elsewhere.
TEST(SurfacesCutOut, APlateTwistsMore) {
  const Material& balsa = Tables{}.named(plate(100, 300, 0.7).inner().sheet.material);
  for (const double fraction : {0.5, 0.7, 0.85}) {
    const TrueWing w = wingOf(plate(100, 300, fraction));
    const double third = balsa.shear * 4 * 4 * 4 / 3, whole = 100, left = 100 * fraction - 0.5;
    const double open = 200 * (200 / (third * whole) + 200 / (third * left)), closed = 200 * 400 / (third * whole);
    ASSERT_TRUE(w.inner().strength.twist);
    EXPECT_NEAR(w.inner().strength.twist->twist, open, 0.04 * open) << fraction;
    EXPECT_NEAR(figureOf(w, "surface.softer"), open / closed, 0.02 * open / closed) << fraction;
  }
}

// E c t³ ÷ 12 at each place.
TEST(SurfacesCutOut, APlateBendsMore) {
  const TrueWing w = wingOf(plate(100, 300, 0.7));
  const Material& balsa = Tables{}.named(w.inner().design.sheet.material);
  for (const BentPlace& at : w.inner().strength.bending.along) {
    if (std::abs(at.t - 100) < 5 || std::abs(at.t - 300) < 5) continue;
    const double wide = at.t > 100 && at.t < 300 ? 69.5 : 100, stiff = balsa.modulus * wide * 4 * 4 * 4 / 12;
    EXPECT_NEAR(at.stiffness, stiff, 0.02 * stiff) << at.t;
  }
}

// Bredt round what is left of a box of skins.
TEST(SurfacesCutOut, AFoamCoreTwistsMore) {
  Design d = plate(100, 300, 0.7);
  PanelDesign& p = d.inner();
  p.built = Built::foam;
  for (SectionChoice* s : {&p.sections.root, &p.sections.tip}) {
    s->drawn.plate = 0.15, s->drawn.nose = PlateNose::wedge, s->drawn.wedge = 0.01;
  }
  p.sheeting.top = p.sheeting.bottom = true, p.sheeting.thickness = 1;
  p.leadingEdge.kind = LeadingEdgeKind::none, p.trailingEdge.kind = TrailingEdgeKind::none;
  p.spars.clear();
  const TrueWing w = wingOf(d);
  const Material& wood = Tables{}.named(p.sheeting.material);
  const Material& foam = Tables{}.named(p.foam.material);
  const auto gj = [&](double wide) {
    const double deep = 14;
    return 4 * wide * wide * deep * deep / (2 * wide / wood.shear) + foam.shear * wide * deep * deep * deep / 3;
  };
  ASSERT_TRUE(w.inner().strength.twist);
  const double twist = 200 * (200 / gj(100) + 200 / gj(69.5));
  EXPECT_NEAR(w.inner().strength.twist->twist, twist, 0.05 * twist);
}

// A frame whose edges carry it: the trailing one is the aileron's where that is cut out. Sheet that carries ends
// before the gap.
TEST(SurfacesCutOut, EdgesAndSheetEndThere) {
  Design d = test::withAileron();
  d.inner().spars.clear();
  d.inner().leadingEdge.kind = LeadingEdgeKind::square;
  const TrueWing w = wingOf(d);
  const auto edges = edgeSpars(w.inner().design, w.inner().shape.loft);
  ASSERT_EQ(edges.size(), 2u);
  for (int i = 0; i <= strengthSteps; ++i) {
    const double t = 700.0 * i / strengthSteps;
    EXPECT_GT(edges[0].along[static_cast<std::size_t>(i)].inertia, 0) << t;
    EXPECT_EQ(edges[1].along[static_cast<std::size_t>(i)].inertia > 0, t <= 330 || t >= 640) << t;
  }
  d = test::withAileron();
  SheetRun& sheet = d.inner().sheeting;
  d.inner().sheeting.top = true, d.inner().sheeting.carries = true;
  sheet.to = SheetTo::fraction, sheet.fraction = 0.95;
  const TrueWing skinned = wingOf(d);
  const PanelLoft& loft = skinned.inner().shape.loft;
  const auto wideAt = [&](double t) {
    double sum = 0;
    for (const Fibre& f : skinned.inner().strength.skin.at(t)) sum += f.width * (f.high - f.low);
    return sum / d.inner().sheeting.thickness / loft.frameAt(t).chord;
  };
  EXPECT_NEAR(wideAt(150), 0.96, 0.03);
  EXPECT_NEAR(wideAt(500), d.inner().surfaces[0].chordFrom, 0.04);
}

} // namespace
} // namespace eup
