// What surfaces on hinges take of bodies that have no ribs, cores and panels of sheet, against hand sums.
#include "core/drawing/wing_drawings.h"
#include "core/edit/panel_edit.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/steps/steps.h"
#include "surface_designs.h"

namespace eup {
namespace {

using test::wingOf;

/// A panel of constant chord 200, NACA 0012, its surface from 100 to 400 of the span behind 70 % of the chord.
Design bodyWithFlap(Built built, SurfaceBuilt of) {
  Design d = test::plainPanel0012();
  PanelDesign& p = d.inner();
  p.leadingEdge.kind = LeadingEdgeKind::none, p.trailingEdge.kind = TrailingEdgeKind::none;
  p.sheeting.top = p.sheeting.bottom = false;
  p.cloth = {};
  p.built = built, p.sheet.thickness = 26, p.sheet.edge = 0;
  Surface s = newSurface(p, SurfaceKind::elevator, WingKind::main);
  s.from = 100, s.to = 400, s.endClear = 1, s.chordFrom = s.chordTo = 0.7, s.gap = 0.6;
  s.at = HingeAt::top, s.upDeg = s.downDeg = 0, s.facing = 6, s.wingFacing = 1.5, s.built = of;
  s.drive.by = MovedBy::nothing, s.hinges.block = 0;
  p.surfaces = {s};
  return d;
}

/// mm² of that section between two places behind the nose, by the formula of NACA Report 460.
double sectionBetween(double from, double to) {
  double area = 0;
  constexpr int steps = 4000;
  for (int i = 0; i < steps; ++i) {
    const double x = (from + (to - from) * (i + 0.5) / steps) / 200;
    area += 2 * 0.6 * 200 *
            (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x) *
            (to - from) / steps;
  }
  return area;
}

double gramsOfKind(const TrueWing& w, PieceKind kind) {
  double sum = 0;
  for (const Part& part : w.inner().parts) sum += part.id.kind == kind ? part.grams : 0;
  return sum;
}

bool asks(const TrueWing& w, const char* words) {
  const std::vector<Step> steps = stepsOf(w);
  return std::any_of(steps.begin(), steps.end(),
                     [&](const Step& step) { return step.what.find(words) != std::string::npos; });
}

} // namespace

// A core or a panel of sheet loses what a surface's cuts take: its gap and the facings' room when it is sawn off, all
// behind the hinge when the surface is of its own wood.
TEST(PartedBody, LosesWhatTheCutsTake) {
  for (const Built built : {Built::foam, Built::sheet}) {
    const PieceKind kind = built == Built::foam ? PieceKind::core : PieceKind::panelSheet;
    Design plain = bodyWithFlap(built, SurfaceBuilt::sawnOff);
    plain.inner().surfaces.clear();
    const TrueWing whole = wingOf(plain), sawn = wingOf(bodyWithFlap(built, SurfaceBuilt::sawnOff)),
                   solid = wingOf(bodyWithFlap(built, SurfaceBuilt::solid));
    const PanelDesign& p = plain.inner();
    const double heavy =
        whole.inner().design.tables.named(built == Built::foam ? p.foam.material : p.sheet.material).density * 1e-6;
    // Hinge at 140: gap 139.7 to 140.3, facings 138.2 to 139.7 and 140.3 to 146.3; the ends stand clear by 1 mm.
    const double strips = sectionBetween(138.2, 146.3) * 298 + sectionBetween(138.2, 200) * 2,
                 tail = sectionBetween(138.2, 200) * 300;
    EXPECT_NEAR(gramsOfKind(whole, kind) - gramsOfKind(sawn, kind), strips * heavy, 0.005 * strips * heavy);
    EXPECT_NEAR(gramsOfKind(whole, kind) - gramsOfKind(solid, kind), tail * heavy, 0.005 * tail * heavy);
    // Balance: moments add up.
    const auto momentOf = [&](const TrueWing& w) -> Point3 {
      for (const Part& part : w.inner().parts)
        if (part.id.kind == kind) return part.grams * part.centre;
      return Point3(0, 0, 0);
    };
    const Point3 lost = (momentOf(whole) - momentOf(solid)) / (tail * heavy);
    EXPECT_NEAR(lost.y(), 250, 0.5);
    EXPECT_NEAR(lost.x(), 138.2 + (200 - 138.2) * 0.36, 4); // a tail that tapers to nothing: a third of it back
    // What runs along the span weighs as much.
    for (const TrueWing* w : {&sawn, &solid})
      for (const Part& part : w->inner().parts)
        if (part.id.kind == kind) {
          double sum = 0;
          for (const Part::Run& run : part.runs) sum += (run.atFrom + run.atTo) / 2 * (run.to - run.from);
          EXPECT_NEAR(sum, part.grams, 0.002 * part.grams);
        }
  }
  // On the blank: saw lines where it is sawn, a bay less where the surface is of its own wood.
  const TrueWing sawn = wingOf(bodyWithFlap(Built::sheet, SurfaceBuilt::sawnOff)),
                 solid = wingOf(bodyWithFlap(Built::sheet, SurfaceBuilt::solid));
  EXPECT_EQ(sawn.inner().sheet->sawn.size(), 2U);
  EXPECT_TRUE(solid.inner().sheet->sawn.empty());
  EXPECT_NEAR(sawn.inner().sheet->area - solid.inner().sheet->area, 300 * (200 - 138.2), 1);
  // Cloth goes with the bay.
  Design clothed = bodyWithFlap(Built::sheet, SurfaceBuilt::solid), bare = clothed;
  bare.inner().surfaces.clear();
  for (Design* d : {&clothed, &bare}) d->inner().cloth.top = d->inner().cloth.bottom = 1, d->inner().cloth.gsm = 25;
  const double layer = 25 * (1 + clothed.inner().cloth.resinRatio) * 1e-6;
  EXPECT_NEAR(gramsOfKind(wingOf(bare), PieceKind::cloth) - gramsOfKind(wingOf(clothed), PieceKind::cloth),
              2 * 300 * 61.8 * layer, 0.02 * 2 * 300 * 61.8 * layer);
}

// A surface of its own wood behind all of a core: core, templates and block end at the hinge.
TEST(PartedBody, ACoreIsCutWithoutItsTail) {
  Design d = bodyWithFlap(Built::foam, SurfaceBuilt::solid);
  Surface& s = d.inner().surfaces[0];
  s.from = 0, s.to = d.inner().panel.span;
  Design plain = d;
  plain.inner().surfaces.clear();
  const TrueWing with = wingOf(d), without = wingOf(plain);
  const FoamCore &core = with.inner().foam->cores[0], &whole = without.inner().foam->cores[0];
  EXPECT_FALSE(asks(with, "Saw the opening"));
  EXPECT_TRUE(asks(wingOf(bodyWithFlap(Built::foam, SurfaceBuilt::solid)), "Saw the opening"));
  EXPECT_NEAR(boundsOf(core.inner.outline).high.x(), 138.2, 0.01);
  EXPECT_NEAR(boundsOf(core.outer.section).high.x(), 138.2, 0.01);
  EXPECT_NEAR(boundsOf(core.inner.wire).high.x(), 138.2 + core.inner.kerf / 2, 0.02);
  EXPECT_NEAR(core.inner.path.front().at.x(), 138.2 + core.inner.kerf / 2, 0.02);
  EXPECT_NEAR(core.inner.path.back().at.x(), 138.2 + core.inner.kerf / 2, 0.02);
  EXPECT_NEAR(core.block.width, whole.block.width - 61.8, 0.05);
  const double heavy = with.inner().design.tables.named(d.inner().foam.material).density * 1e-6,
               tail = sectionBetween(138.2, 200) * (core.outer.t - core.inner.t);
  EXPECT_NEAR(gramsOfKind(without, PieceKind::core) - gramsOfKind(with, PieceKind::core), tail * heavy,
              0.005 * tail * heavy);
}

// Its pins go through the template's wood, also where that ends at the hinge; hands are mirrored.
TEST(PartedBody, TemplatesHoldTheirPins) {
  Design d = bodyWithFlap(Built::foam, SurfaceBuilt::solid);
  Surface& s = d.inner().surfaces[0];
  s.from = 0, s.to = d.inner().panel.span, s.chordFrom = s.chordTo = 0.66;
  const TrueWing wing = wingOf(d);
  for (const Hand hand : {Hand::right, Hand::left})
    for (const Drawing& drawing : foamTemplates(wing.inner(), hand)) {
      if (drawing.title != "Foam") continue; // beds have theirs as marks
      Box outline;
      std::vector<Box> holes;
      for (const Stroke& stroke : drawing.strokes) {
        if (stroke.layer != Layer::cut || !stroke.closed) continue;
        const Box box = boundsOf(stroke.points);
        if (box.width() < 5)
          holes.push_back(box);
        else
          outline = box;
      }
      ASSERT_EQ(holes.size(), 2U);
      for (const Box& hole : holes) {
        EXPECT_GT(hole.low.x(), outline.low.x() + 5);
        EXPECT_LT(hole.high.x(), outline.high.x() - 5);
      }
    }
}

// A surface with its ribs in two is sawn off where there are no ribs; an opening ends stations and carving lines.
TEST(PartedBody, StepsAndLinesOnTheBlank) {
  for (const Built built : {Built::foam, Built::sheet})
    for (const SurfaceBuilt of : {SurfaceBuilt::sawnOff, SurfaceBuilt::apart})
      EXPECT_TRUE(asks(wingOf(bodyWithFlap(built, of)), "Saw the elevator off"));
  const TrueWing solid = wingOf(bodyWithFlap(Built::sheet, SurfaceBuilt::solid));
  const SheetPanelMade& made = *solid.inner().sheet;
  ASSERT_EQ(made.way, SheetWay::carved);
  const auto behindTheHinge = [](const Point& p) { return p.y() > 101 && p.y() < 399 && p.x() > 138.3; };
  ASSERT_FALSE(made.carving.empty());
  for (const CarveLine& carve : made.carving)
    EXPECT_TRUE(std::none_of(carve.line.begin(), carve.line.end(), behindTheHinge));
  int within = 0;
  for (const SkinLine& station : made.stations) {
    EXPECT_FALSE(behindTheHinge(station.line.back())) << station.name;
    within += station.t > 101 && station.t < 399;
  }
  EXPECT_GT(within, 0);
}

} // namespace eup
