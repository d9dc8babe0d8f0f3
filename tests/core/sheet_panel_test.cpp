// Panels of sheet: blanks against plane geometry, masses against volumes, stiffness against beams and thin sections of
// the handbooks, and that nothing of a frame is told of them.
#include "cli/commands.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/files/json.h"
#include "core/files/text_file.h"
#include "core/geometry/polyline.h"
#include "core/strength/plate_strength.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "core/trials/trial_assembly.h"
#include "support.h"
#include <rapidcheck/gtest.h>
#include <sstream>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

/// A wing of flat sheet, 300 long, 80 wide, 4 thick.
Design ofSheet(SectionKind kind = SectionKind::flatPlate) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::sheet;
  p.panel = test::panelOf(300, 80, 80);
  p.sections.root.kind = p.sections.tip.kind = kind;
  p.sections.root.drawn.tailTaper = p.sections.tip.drawn.tailTaper = 0;
  p.ribs.count = 4;
  p.sheet.thickness = 4;
  p.join.dihedral = {DihedralBy::angle, 0};
  d.flying.mass = 60;
  d.flying.kind = typedFactors, d.flying.loadFactor = 10, d.flying.pushFactor = 3, d.flying.shape = LoadShape::chord;
  d.flying.relief = false;
  return d;
}

double gramsOfPart(const TrueWing& w, const std::string& key) {
  for (const Part& p : w.inner().parts)
    if (p.key() == key) return p.grams;
  ADD_FAILURE() << "no " << key;
  return 0;
}

TEST(SheetPanel, HasNothingOfAFrame) {
  Design d = ofSheet();
  d.inner().spars = {Spar{}}; // decided, and of no account
  d.inner().sheeting.top = true, d.inner().capStrips.top = true;
  d.inner().leadingEdge.kind = LeadingEdgeKind::square, d.inner().trailingEdge.kind = TrailingEdgeKind::wedge;
  d.inner().join.datum = Datum::undersideFlat; // of a face that bows
  const TrueWing w = wingOf(d);
  for (const Part& p : w.inner().parts) EXPECT_TRUE(p.key().starts_with("sheet.")) << p.key();
  EXPECT_TRUE(figuresOf(w, Stage::ribs).empty());
  for (const Finding& f : findingsOf(w)) {
    EXPECT_FALSE(f.key.starts_with("rib") || f.key.starts_with("spar") || f.key.starts_with("setup")) << f.key;
    EXPECT_NE(f.stage, Stage::ribs) << f.key;
  }
  for (const Figure& f : figuresOf(w)) EXPECT_FALSE(f.key.starts_with("setup.") || f.key.starts_with("rib.")) << f.key;
  for (const Subject& s : subjectsOf(d, Stage::ribs, {})) ADD_FAILURE() << s.key();
  for (const AssembledPanel& p : assembled(w.main()).panels) EXPECT_TRUE(p.ribs.empty());
  const DrawnWing drawnWing = test::drawn(w);
  EXPECT_TRUE(ribParts(drawnWing, Hand::right).empty());
  EXPECT_FALSE(sheetBlanks(drawnWing.front(), Hand::right).empty());
  // What is decided of a frame stays, for when it is built of ribs again.
  d.inner().built = Built::ribs;
  EXPECT_EQ(wingOf(d).inner().frame.spars.size(), 1u);
}

// Volume × density; the half-round nose of the plate is what is missing of a box: (1 − π/4) t²/2.
TEST(SheetPanel, WeighsItsVolume) {
  const TrueWing w = wingOf(ofSheet());
  const double section = 80 * 4 - (1 - pi / 4) * 4 * 4 / 2;
  EXPECT_NEAR(gramsOfPart(w, "sheet.panel"), section * 300 * 160e-6, 0.01 * section * 300 * 160e-6);
  EXPECT_NEAR(figureOf(w, "sheet.length"), 300, 1e-6);
  EXPECT_NEAR(figureOf(w, "sheet.width"), 80, 0.2);
  EXPECT_EQ(w.inner().sheet->way, SheetWay::flat);
  EXPECT_NEAR(w.inner().sheet->area, 300 * 80, 60);
}

TEST(SheetPanel, IsEdgeJoinedWhereSheetIsNarrow) {
  Design d = ofSheet();
  d.inner().panel = test::panelOf(300, 220, 150, 40);
  d.cutList.sheetWidth = 75;
  const TrueWing w = wingOf(d);
  const SheetPanelMade& made = *w.inner().sheet;
  // Square to the front edge, which sweeps by atan(40 ÷ 300): the root's trailing corner lies farthest.
  const double across = 220 * std::cos(std::atan(40.0 / 300));
  EXPECT_NEAR(made.width, across, 0.5);
  EXPECT_EQ(made.boards, 3);
  ASSERT_EQ(made.seams.size(), 2u);
  for (const Polyline& seam : made.seams) {
    ASSERT_EQ(seam.size(), 2u);
    const Point way = (seam.back() - seam.front()).normalized();
    EXPECT_NEAR(std::abs(way.y()), 1, 1e-6) << "seams run along the front edge, which y does";
  }
  EXPECT_NEAR(made.area, (220 + 150) / 2.0 * 300, 60);
  for (const PieceLine& l : pieceList(w))
    if (l.part->key() == "sheet.panel") {
      EXPECT_EQ(l.right, 3);
    }
}

// A circular arc of camber f over a chord c: R = c²/8f + f/2; its length is the blank's width.
TEST(SheetPanel, IsLaidFlatWhereItIsBent) {
  Design d = ofSheet(SectionKind::curvedPlate);
  d.inner().sections.root.drawn.camber = d.inner().sections.tip.drawn.camber = 0.06;
  d.inner().sheet.thickness = 1.5, d.inner().sheet.formers = true;
  const TrueWing w = wingOf(d);
  const SheetPanelMade& made = *w.inner().sheet;
  EXPECT_EQ(made.way, SheetWay::bent);
  const double f = 0.06 * 80, radius = 80 * 80 / (8 * f) + f / 2, arc = 2 * radius * std::asin(40 / radius);
  EXPECT_NEAR(made.width, arc, 0.15);
  EXPECT_NEAR(made.bend, radius + 0.75, 0.03 * radius);
  int formers = 0;
  const double segment = radius * radius * (std::asin(40 / radius) - 40 / radius * std::cos(std::asin(40 / radius)));
  for (const Part& p : w.inner().parts)
    if (p.key().starts_with("former.")) {
      ++formers;
      EXPECT_NEAR(p.area, segment, 0.25 * segment) << "under half the sheet's thickness";
    }
  EXPECT_EQ(formers, 4);
  EXPECT_FALSE(hasFinding(findingsOf(w), "skin.soak"));
  d.inner().sheet.thickness = 8; // 8 ÷ (2 × 173 − 8) = 2.4 %; across its grain balsa bears 2 × 1.0 ÷ 102 = 1.96 % dry
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "skin.soak"));
}

/// Where a line says that so much is left, so much is left.
TEST(SheetPanel, IsCarvedAlongItsLines) {
  Design d = ofSheet(SectionKind::flatUnderside);
  d.inner().panel = test::panelOf(300, 90, 60, 20);
  d.inner().sections.root.drawn.thickness = d.inner().sections.tip.drawn.thickness = 0.07;
  d.inner().sheet.thickness = 7;
  const TrueWing w = wingOf(d);
  const SheetPanelMade& made = *w.inner().sheet;
  EXPECT_EQ(made.way, SheetWay::carved);
  EXPECT_NEAR(made.needs, 0.07 * 90, 0.1);
  EXPECT_EQ(made.needsAt, 1) << "at the root";
  ASSERT_GE(made.carving.size(), 4u);
  for (const CarveLine& line : made.carving)
    for (const Point& at : line.line) {
      const double chord = 90 - 30 * at.y() / 300, x = at.x() - 20 * at.y() / 300;
      const Point up = w.inner().shape.loft.at(Face::upper, x / chord, at.y()),
                  down = w.inner().shape.loft.at(Face::lower, x / chord, at.y());
      EXPECT_NEAR(up.y() - down.y(), line.left, 0.15) << at.transpose();
    }
  EXPECT_FALSE(hasFinding(findingsOf(w), "sheet.thin"));
  d.inner().sheet.thickness = 6;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "sheet.thin"));
  // It weighs the section's own volume.
  const Cut root = w.inner().shape.loft.cutAt(0), tip = w.inner().shape.loft.cutAt(300);
  const double a = std::abs(signedArea(outlineOf(root))), b = std::abs(signedArea(outlineOf(tip))),
               volume = 300 * (a + std::sqrt(a * b) + b) / 3; // similar sections: a frustum
  EXPECT_NEAR(gramsOfPart(w, "sheet.panel"), volume * 160e-6, 0.01 * volume * 160e-6);
}

// b t³ ÷ 12; with cloth on both faces E_c t_c b (t + t_c)² ÷ 2 more.
TEST(SheetPanel, BendsAsABeam) {
  Design d = ofSheet();
  d.inner().sections.root.drawn.nose = d.inner().sections.tip.drawn.nose = PlateNose::wedge;
  d.inner().sections.root.drawn.wedge = d.inner().sections.tip.drawn.wedge = 0.01;
  const double plain = figureOf(wingOf(d), "sheet.stiffness"), inertia = 80 * 64.0 / 12;
  EXPECT_NEAR(plain, 3400 * inertia, 0.02 * plain);
  d.inner().cloth.top = d.inner().cloth.bottom = 2, d.inner().cloth.gsm = 50, d.inner().cloth.resinRatio = 1;
  const TrueWing clothed = wingOf(d);
  const double layer = 2 * 50 * 2.0 / 1600, arm = (4 + layer) / 2;
  EXPECT_NEAR(figureOf(clothed, "sheet.stiffness"), plain + 15000 * 2 * 80 * layer * arm * arm,
              0.02 * figureOf(clothed, "sheet.stiffness"));
  // Even lift: the root's moment is L²/2 of it; stress in wood M z ÷ I.
  const TrueWing bare = wingOf([&] {
    Design none = d;
    none.inner().cloth.top = none.inner().cloth.bottom = 0;
    return none;
  }());
  const double lift = 10 * 0.060 * 9.80665 / 2, moment = lift * 150, stress = moment * 2 / inertia;
  EXPECT_NEAR(bare.inner().strength.bending.edges.front().stress, stress, 0.02 * stress);
  EXPECT_NEAR(figureOf(bare, "sheet.reserve"), 14.9 / stress, 0.03 * 14.9 / stress) << "wood is weaker pressed";
  const double sag = lift / 300 * std::pow(300.0, 4) / 8 / plain;
  EXPECT_NEAR(bare.main().tipDeflection, sag, 0.02 * sag);
  EXPECT_GT(figureOf(clothed, "sheet.reserve"), figureOf(bare, "sheet.reserve"));
  EXPECT_GT(figureOf(clothed, "sheet.clothReserve"), 0);
  // Cloth and resin by area and weight: 2 faces, 2 layers, 50 + 50 g/m².
  EXPECT_NEAR(gramsOfPart(clothed, "cloth.top"), 2 * 100e-6 * 300 * 80, 0.06 * 2 * 100e-6 * 300 * 80)
      << "its nose rounds";
}

// T L ÷ (G b t³ ÷ 3), and Bredt's box of cloth.
TEST(SheetPanel, TwistsAsAThinSection) {
  Design d = ofSheet();
  d.inner().sections.root.drawn.nose = d.inner().sections.tip.drawn.nose = PlateNose::wedge;
  d.inner().sections.root.drawn.wedge = d.inner().sections.tip.drawn.wedge = 0.01;
  d.flying.twistCouple = 200;
  const double open = 155 * 80 * 64.0 / 3;
  EXPECT_NEAR(figureOf(wingOf(d), "sheet.twist"), 200 * 300 / open, 0.03 * 200 * 300 / open);
  d.inner().cloth.top = d.inner().cloth.bottom = 1;
  const double layer = 25 * 2.0 / 1600, area = 80 * (4 + layer), closed = 4 * area * area * 2800 * layer / (2 * 80);
  EXPECT_NEAR(figureOf(wingOf(d), "sheet.twist"), 200 * 300 / (open + closed), 0.04 * 200 * 300 / (open + closed));
}

TEST(SheetPanel, IsPackedForItsWashout) {
  Design d = ofSheet();
  d.inner().panel.washoutDeg = 3, d.inner().panel.washoutAxis = 0;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "sheet.packTrailing"), 80 * std::sin(degToRad(3)), 0.01);
  EXPECT_NEAR(figureOf(w, "sheet.packLeading"), 0, 1e-9);
  d.inner().panel.washoutAxis = 1; // about the tail: the nose goes down, so all else comes up
  EXPECT_NEAR(figureOf(wingOf(d), "sheet.packTrailing"), 80 * std::sin(degToRad(3)), 0.01);
}

/// Its strip is cut off the front of it, and together they weigh what it weighed, wood for wood.
TEST(SheetPanel, HasAStripAlongItsNose) {
  Design d = ofSheet();
  const double whole = gramsOfPart(wingOf(d), "sheet.panel");
  d.inner().sheet.edge = 6, d.inner().sheet.edgeMaterial = d.inner().sheet.material;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(gramsOfPart(w, "sheet.panel") + gramsOfPart(w, "sheet.edge"), whole, 0.01 * whole);
  EXPECT_NEAR(figureOf(w, "sheet.width"), 74, 0.2);
  EXPECT_NEAR(std::abs(signedArea(w.inner().sheet->strip)), 6 * 300, 2);
}

TEST(SheetPanel, OfAGoodOneNothingIsSaid) {
  test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera";
  ASSERT_TRUE(writeFileAtomically(path, designToText(ofSheet())).ok());
  std::ostringstream out, err;
  EXPECT_EQ(cli::run({"check", path.string()}, out, err), cli::fine) << out.str() << err.str();
}

TEST(SheetPanel, IsToldOnTheCommandLine) {
  test::ScratchFolder folder;
  const auto path = folder.path / "w.euptera";
  ASSERT_TRUE(writeFileAtomically(path, designToText(demoDesign("bracklow-430"))).ok());
  std::ostringstream out, err, check;
  ASSERT_EQ(cli::run({"skins", path.string(), "--json"}, out, err), cli::fine) << err.str();
  const auto json = test::jsonOf(out.str());
  ASSERT_EQ(json["sheetPanels"].size(), 4u) << "two of the wing, tailplane, fin";
  EXPECT_EQ(json["sheetPanels"][0]["way"], "carved");
  EXPECT_EQ(json["sheetPanels"][2]["way"], "flat");
  EXPECT_GE(json["sheetPanels"][0]["carving"].size(), 4u);
  EXPECT_EQ(cli::run({"check", path.string()}, check, err), cli::fine) << check.str();
}

/// The blank is as large as it is listed, for either hand, over plates of any plan.
RC_GTEST_PROP(SheetPanel, BlanksAreWhatIsListed, ()) {
  const auto some = [](double from, double to) { return from + (to - from) * *rc::gen::inRange(0, 1000) / 1000.0; };
  Design d = ofSheet(*rc::gen::element(SectionKind::flatPlate, SectionKind::curvedPlate, SectionKind::flatUnderside));
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(some(60, 600), some(40, 250), some(30, 200), some(-40, 120), some(-3, 4), some(0, 1));
  p.sheet.thickness = some(1, 12);
  p.sheet.edge = *rc::gen::arbitrary<bool>() ? some(1, 12) : 0.0;
  d.cutList.sheetWidth = some(40, 120);
  p.join.dihedral = {DihedralBy::angle, some(0, 20)};
  const auto result = work(d);
  RC_ASSERT(std::holds_alternative<TrueWing>(result));
  const TrueWing& w = std::get<TrueWing>(result);
  const DrawnWing all = test::drawn(w);
  for (const Hand hand : {Hand::right, Hand::left}) {
    const auto blanks = sheetBlanks(all.front(), hand);
    RC_ASSERT(blanks.size() == 1u);
    double listed = 0;
    for (const Part& part : w.inner().parts)
      if (part.key() == "sheet.panel") listed = part.count * part.area;
    RC_ASSERT(std::abs(std::abs(signedArea(blanks.front().strokes.front().points)) - listed) < 1e-6 * listed);
  }
  for (const Part& part : w.inner().parts) {
    RC_ASSERT(part.grams > 0 && std::isfinite(part.grams));
    double run = 0;
    for (const Part::Run& r : part.runs) run += (r.atFrom + r.atTo) / 2 * (r.to - r.from);
    RC_ASSERT(part.runs.empty() || std::abs(run - part.grams) < 1e-6 * part.grams + 1e-9);
  }
}

} // namespace
} // namespace eup
