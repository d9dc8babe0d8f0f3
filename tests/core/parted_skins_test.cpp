// Sheet over surfaces on hinges: parted where they are built by themselves, marked where they are sawn off.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "surface_designs.h"
#include <cmath>

namespace eup {
namespace {

using test::wingOf;

/// NACA Report 460's thickness for 12 %, chord 200.
double halfDepth(double x) {
  const double c = x / 200;
  return 120 * (0.2969 * std::sqrt(c) - 0.1260 * c - 0.3516 * c * c + 0.2843 * c * c * c - 0.1015 * c * c * c * c);
}

/// Along the curve from one place of the chord to another.
double alongCurve(double from, double to) {
  double sum = 0;
  constexpr int steps = 4000;
  for (int i = 0; i < steps; ++i) {
    const double a = from + (to - from) * i / steps, b = from + (to - from) * (i + 1) / steps;
    sum += std::hypot(b - a, halfDepth(b) - halfDepth(a));
  }
  return sum;
}

/// A plain panel of NACA 0012, chord 200, span 500, sheeted above from 60 to 98 %, with an aileron from 100 to 400
/// hinged at three quarters.
Design sheetedWithAileron(SurfaceBuilt built) {
  Design d = test::plainPanel0012();
  PanelDesign& p = d.inner();
  SheetedBays bays;
  bays.top = true, bays.bottom = false, bays.fromRib = 1, bays.toRib = 6, bays.thickness = 1;
  bays.material = "balsa-160";
  bays.from = BaysFrom::fraction, bays.fromFraction = 0.6, bays.to = SheetTo::fraction, bays.fraction = 0.98;
  p.sheeted = {bays};
  Surface s = newSurface(p, SurfaceKind::aileron, WingKind::main);
  s.from = 100, s.to = 400, s.endClear = 2, s.chordFrom = s.chordTo = 0.75, s.gap = 1;
  s.at = HingeAt::top, s.upDeg = 20, s.downDeg = 20, s.wingFacing = 1.5, s.facing = 8, s.built = built;
  p.surfaces = {s};
  return d;
}

double sheetGrams(const TruePanel& p) {
  double sum = 0;
  for (const Part& part : p.parts)
    if (part.what() == Part::What::sheet) sum += part.grams;
  return sum;
}

TEST(PartedSkins, BuiltByItself) {
  const TrueWing w = wingOf(sheetedWithAileron(SurfaceBuilt::apart));
  const auto& skins = w.inner().skins;
  ASSERT_EQ(skins.size(), 2U);
  const double whole = 500 * alongCurve(120, 196), open = 300 * alongCurve(150 - 0.5 - 1.5, 196),
               own = 296 * alongCurve(150 + 0.5 + 8, 196);
  EXPECT_NEAR(skins[0].pattern.area, whole, 0.001 * whole);
  EXPECT_NEAR(skins[0].area(), whole - open, 0.001 * whole);
  EXPECT_EQ(skins[0].leftOut, std::vector<int>{0});
  EXPECT_EQ(pieceCount(skins[0].shape), 1);
  EXPECT_NEAR(skins[1].area(), own, 0.001 * own);
  EXPECT_EQ(skins[1].surface, 0);
  EXPECT_NEAR(skins[1].inner, 102, 1e-9);
  EXPECT_NEAR(skins[1].outer, 398, 1e-9);
  EXPECT_EQ(skins[1].ribs.size(), 2U); // at 200 and 300: those at 100 and 400 are past its ends
  EXPECT_NEAR(lengthOf(skins[1].ribs[0].line), alongCurve(158.5, 196), 0.05);
  EXPECT_NEAR(lengthOf(skins[0].ribs[1].line), alongCurve(120, 148), 0.05);
  EXPECT_NEAR(sheetGrams(w.inner()), (whole - open + own) * 160e-6, 0.001 * whole * 160e-6);
  EXPECT_FALSE(test::hasFinding(findingsOf(w), "surface.sheet"));
  // At full size the wing's piece has the notch, either hand.
  for (const Hand hand : {Hand::right, Hand::left}) {
    const auto prints = skinPatterns(test::drawn(w).front(), hand);
    ASSERT_EQ(prints.size(), 2U);
    EXPECT_NEAR(std::abs(signedArea(prints[0].strokes.front().points)), whole - open, 0.001 * whole);
    EXPECT_NEAR(std::abs(signedArea(prints[1].strokes.front().points)), own, 0.001 * own);
  }
}

TEST(PartedSkins, SawnOffItIsOnePieceWithTwoLines) {
  const TrueWing w = wingOf(sheetedWithAileron(SurfaceBuilt::sawnOff));
  const auto& skins = w.inner().skins;
  ASSERT_EQ(skins.size(), 1U);
  EXPECT_NEAR(skins[0].area(), skins[0].pattern.area, 1e-6);
  ASSERT_EQ(skins[0].sawn.size(), 2U);
  const Polyline &front = skins[0].pattern.front, &wing = skins[0].sawn[0].line, &own = skins[0].sawn[1].line;
  EXPECT_NEAR(wing.front().x() - front.front().x(), alongCurve(120, 148), 0.05);
  EXPECT_NEAR(own.front().x() - front.front().x(), alongCurve(120, 158.5), 0.05);
  EXPECT_NEAR(wing.front().y(), 100, 0.05);
  EXPECT_NEAR(own.back().y(), 400, 0.05);
}

TEST(PartedSkins, OfOnePieceTheSheetIsOpenThere) {
  const TrueWing w = wingOf(sheetedWithAileron(SurfaceBuilt::solid));
  ASSERT_EQ(w.inner().skins.size(), 1U);
  EXPECT_NEAR(w.inner().skins[0].area(), 500 * alongCurve(120, 196) - 300 * alongCurve(148, 196), 40);
}

// A spoiler's plate lies in a hole of the sheet on top.
TEST(PartedSkins, PlateLiesInAHole) {
  Design d = sheetedWithAileron(SurfaceBuilt::sawnOff);
  Surface s = newSurface(d.inner(), SurfaceKind::spoiler, WingKind::main);
  s.from = 150, s.to = 350, s.chordFrom = s.chordTo = 0.65, s.gap = 1, s.plateChord = 25, s.endClear = 0;
  d.inner().surfaces = {s};
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.inner().skins.size(), 1U);
  const Skin& skin = w.inner().skins[0];
  EXPECT_EQ(skin.shape.size(), 2U);
  EXPECT_NEAR(skin.pattern.area - skin.area(), 200 * alongCurve(130 - 0.5, 130 + 26), 10);
}

// To the panel's ends, and over the whole of a sheet: what is left is what is before it, or nothing.
TEST(PartedSkins, ToTheEnds) {
  Design d = sheetedWithAileron(SurfaceBuilt::apart);
  d.inner().surfaces[0].from = 0, d.inner().surfaces[0].to = 500;
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.inner().skins.size(), 2U);
  EXPECT_NEAR(w.inner().skins[0].area(), 500 * alongCurve(120, 148), 30);
  d.inner().sheeted[0].fromFraction = 0.8; // all of it on the aileron
  const TrueWing behind = wingOf(d);
  ASSERT_EQ(behind.inner().skins.size(), 1U);
  EXPECT_EQ(behind.inner().skins[0].surface, 0);
  EXPECT_NEAR(behind.inner().skins[0].area(), 496 * alongCurve(160, 196), 30);
}

/// Infills lie between the ribs that the aileron parts, gussets either side of each: by hand on a plain panel.
TEST(PartedSkins, InfillsAndGussetsFromAbove) {
  Design d = sheetedWithAileron(SurfaceBuilt::apart);
  Surface& s = d.inner().surfaces[0];
  s.infill = 10, s.gusset = 12, s.endRib = 1.5;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  const auto infills = infillsOf(p.design, p.frame, p.surfaces[0]),
             gussets = gussetsOf(p.design, p.frame, p.surfaces[0]);
  ASSERT_EQ(infills.size(), 3U); // 102 to 200, to 300, to 398
  const double half = p.design.ribs.thickness / 2;
  EXPECT_NEAR(boundsOf(infills[0]).low.y(), 103.5, 1e-9);
  EXPECT_NEAR(boundsOf(infills[0]).high.y(), 200 - half, 1e-9);
  EXPECT_NEAR(boundsOf(infills[1]).height(), 100 - 2 * half, 1e-9);
  EXPECT_NEAR(boundsOf(infills[1]).low.x(), 150 + 8.5, 0.01);
  ASSERT_EQ(gussets.size(), 4U);
  for (const Polyline& gusset : gussets) EXPECT_NEAR(std::abs(signedArea(gusset)), 72, 1e-9);
  double listed = 0;
  for (const Part& part : p.parts)
    if (part.key().find(".infill.") != std::string::npos) listed += part.length;
  EXPECT_NEAR(listed, 296 - 3 - 4 * half, 1e-6);
}

} // namespace
} // namespace eup
