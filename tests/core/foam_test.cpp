// Foam panels: cores, wire paths, blocks and towers against values found by a second route (brute force: dense
// outlines, offsets by polygons, the conventions of docs/figures.md); cores put together again; skins on foam against
// handbook formulas.
#include "cli/commands.h"
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/files/json.h"
#include "core/files/text_file.h"
#include "core/foam/wire_marks.h"
#include "core/foam/wire_program.h"
#include "core/geometry/polyline.h"
#include "core/measure/units.h"
#include "core/strength/plate_buckling.h"
#include "core/strength/plate_strength.h"
#include "core/takeaway/take_away.h"
#include "places.h"
#include "support.h"
#include <rapidcheck/gtest.h>
#include <sstream>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

/// Swept and turned: 210 → 150 over 620, 60 back, 2411 → 2409, 1.5° about the quarter chord; skins of 1, strips of 6
/// and 8 along the flight.
Design swept() {
  Design d = test::foamDesign(test::panelOf(620, 210, 150, 60, 1.5, 0.25), 8);
  PanelDesign& p = d.inner();
  p.sections.root.naca = "2411", p.sections.tip.naca = "2409";
  p.leadingEdge.widthIs = p.trailingEdge.widthIs = WidthIs::alongFlight;
  p.ribs.count = 5;
  p.join.dihedral = {DihedralBy::angle, 3};
  d.wire.kerf = 1, d.wire.kerfPower = 0, d.wire.marks = 10;
  d.wire.towersApart = 900, d.wire.fromTower = 120;
  d.flying.mass = 900;
  return d;
}

const FoamCore& coreOf(const TrueWing& w, std::size_t k = 0) {
  return w.inner().foam->cores.at(k);
}

TEST(Foam, CoresAndPathsByASecondRoute) {
  const TrueWing w = wingOf(swept());
  ASSERT_TRUE(w.inner().foam);
  const FoamCore& core = coreOf(w);
  struct Want {
    double coreArea, wireArea, wireLength, lowX, lowZ, highX, highZ;
  };
  const auto check = [](const CoreEnd& end, const Want& want) {
    EXPECT_NEAR(end.outlineArea(), want.coreArea, 1e-3 * want.coreArea);
    EXPECT_NEAR(std::abs(signedArea(end.wire)), want.wireArea, 1e-3 * want.wireArea);
    EXPECT_NEAR(end.wireLength(), want.wireLength, 1e-3 * want.wireLength);
    const Box box = boundsOf(end.wire);
    EXPECT_NEAR(box.low.x(), want.lowX, 0.03);
    EXPECT_NEAR(box.low.y(), want.lowZ, 0.03);
    EXPECT_NEAR(box.high.x(), want.highX, 0.03);
    EXPECT_NEAR(box.high.y(), want.highZ, 0.03);
  };
  check(core.inner, {2875.75, 3078.3, 406.668, 5.5, -7.38401, 202.5, 15.0911});
  check(core.outer, {1076.55, 1215.99, 280.45, 5.5, -3.70551, 142.012, 9.14584});
  EXPECT_NEAR(core.block.length, 620, 1e-9);
  EXPECT_NEAR(core.block.width, 210.03, 0.05);
  EXPECT_NEAR(core.block.height, 23.475, 0.05);
  EXPECT_NEAR(figureOf(w, "foam.1.waste"), 0.535279, 5e-4) << "of 1 420 590 mm³ within the surface";
  // Marks: from the tail over the top (0) to the nose (10) and back below.
  const std::pair<int, Point> wanted[] = {{11, {0, 0}},
                                          {10, {21.0016, 10.9802}},
                                          {7, {84.0065, 15.3706}},
                                          {4, {147.011, 10.2265}},
                                          {1, {210.016, 0.242013}}};
  for (const auto& [number, at] : wanted) {
    const WireMark& m = core.inner.marks.at(static_cast<std::size_t>(number - 1));
    EXPECT_EQ(m.number, number);
    EXPECT_NEAR(m.section.x(), at.x(), 0.03);
    EXPECT_NEAR(m.section.y(), at.y(), 0.03);
  }
  EXPECT_NEAR(core.outer.marks.at(9).section.y(), 6.64483, 0.02);
}

/// The bare sections' straight lines on to the towers' planes, 120 before the core and 780 from its inner end.
TEST(Foam, LinesRunOnToTheTowers) {
  const TrueWing w = wingOf(swept());
  const FoamCore& core = coreOf(w);
  Box inner, outer;
  for (const Face face : {Face::upper, Face::lower})
    for (int i = 0; i <= 400; ++i) {
      const double f = i / 400.0;
      const PanelLoft& loft = w.inner().shape.loft;
      const Point a = loft.at(face, f, 0), b = loft.at(face, f, 620);
      inner.include(lerp(a, b, -120.0 / 620)), outer.include(lerp(a, b, 780.0 / 620));
    }
  EXPECT_NEAR(inner.low.x(), -11.6298, 0.05);
  EXPECT_NEAR(inner.high.x(), 210.026, 0.05);
  EXPECT_NEAR(inner.low.y(), -8.57586, 0.05);
  EXPECT_NEAR(inner.high.y(), 16.6777, 0.05);
  EXPECT_NEAR(outer.low.x(), 75.49, 0.05);
  EXPECT_NEAR(outer.high.x(), 209.955, 0.05);
  EXPECT_NEAR(outer.low.y(), -3.84197, 0.05);
  EXPECT_NEAR(outer.high.y(), 8.78587, 0.05);
  // The wire's own way lies inside that by skin less half the slot, more at strips.
  Box wire;
  for (const TowerStep& step : towerPath(core, -120, 780)) wire.include(step.inner);
  EXPECT_GT(wire.low.y(), inner.low.y());
  EXPECT_LT(wire.high.y(), inner.high.y());
  EXPECT_NEAR(wire.high.y(), inner.high.y() - 0.5, 0.15);
}

/// Both ends pass together what is called; where one stands in a corner nothing is.
TEST(Foam, MarksAreCalledWhereBothEndsMove) {
  Design d = swept();
  d.inner().trailingEdge.width = 40;
  const TrueWing w = wingOf(d);
  const FoamCore& core = coreOf(w);
  std::vector<int> called;
  for (const WireMark& m : core.inner.marks)
    if (isCalled(core, m)) called.push_back(m.number);
  // Tenths of the chord: 40 mm of strip are 19 % of the root and 27 % of the tip; the nose's are 3 and 4 %.
  EXPECT_EQ(called, (std::vector<int>{4, 5, 6, 7, 8, 9, 10, 12, 13, 14, 15, 16, 17, 18}));
}

/// Strips wider than the chord, skins thicker than the section, slots as wide as it: told, never fallen over.
RC_GTEST_PROP(Foam, WhateverIsDecidedIsToldOrRefused, ()) {
  Design d = swept();
  PanelDesign& p = d.inner();
  p.panel.rootChord = *rc::gen::inRange(5, 300), p.panel.tipChord = *rc::gen::inRange(5, 300);
  p.panel.tipSetback = *rc::gen::inRange(-300, 300), p.panel.washoutDeg = *rc::gen::inRange(-15, 15);
  p.leadingEdge.width = *rc::gen::inRange(1, 200), p.trailingEdge.width = *rc::gen::inRange(1, 300);
  p.sheeting.thickness = *rc::gen::inRange(2, 200) / 10.0;
  p.sheeting.top = *rc::gen::arbitrary<bool>(), p.sheeting.bottom = *rc::gen::arbitrary<bool>();
  p.sections.root.naca = *rc::gen::element<std::string>("2411", "0001", "25140", "22112");
  p.foam.cores = *rc::gen::inRange(1, 9);
  d.wire.kerf = *rc::gen::inRange(1, 100) / 10.0, d.wire.kerfPower = *rc::gen::inRange(0, 3);
  const auto result = work(d);
  if (!std::holds_alternative<TrueWing>(result)) return;
  const TrueWing& w = std::get<TrueWing>(result);
  for (const FoamCore& core : w.inner().foam->cores) {
    for (const CoreEnd* end : {&core.inner, &core.outer})
      for (const WireAt& at : end->path) RC_ASSERT(at.at.allFinite() && at.core.allFinite());
    for (const Hand hand : {Hand::right, Hand::left}) (void)wireProgram(core, d.wire, hand);
  }
  for (const Figure& f : figuresOf(w)) RC_ASSERT(std::isfinite(f.value));
  for (const Hand hand : {Hand::right, Hand::left}) (void)foamTemplates(test::drawn(w, 0).front(), hand);
}

RC_GTEST_PROP(Foam, TowersLeadBackToTheEnds, ()) {
  Design d = swept();
  d.inner().panel.tipChord = *rc::gen::inRange(90, 230), d.inner().panel.tipSetback = *rc::gen::inRange(-80, 200);
  d.inner().panel.washoutDeg = *rc::gen::inRange(-3, 5);
  d.inner().foam.washoutIn = *rc::gen::element(WashoutIn::templates, WashoutIn::beds);
  const TrueWing w = wingOf(d);
  const FoamCore& core = coreOf(w);
  const double before = *rc::gen::inRange(-300, -10), beyond = *rc::gen::inRange(630, 1200);
  const std::vector<TowerStep> path = towerPath(core, before, beyond);
  RC_ASSERT(path.size() == core.inner.path.size());
  for (std::size_t i = 0; i < path.size(); ++i) {
    RC_ASSERT((atEnd(path[i], before, beyond, 0) - core.innerCut.fromChord(core.inner.path[i].at)).norm() < 1e-6);
    RC_ASSERT((atEnd(path[i], before, beyond, 620) - core.outerCut.fromChord(core.outer.path[i].at)).norm() < 1e-6);
  }
}

/// Put together again from its two templates: at ten places of the span the wire's straight lines lie under the bare
/// surface by the skin's thickness.
RC_GTEST_PROP(Foam, RebuiltItIsTheLoftLessItsSkin, ()) {
  Design d = swept();
  d.inner().panel.tipChord = *rc::gen::inRange(120, 220), d.inner().panel.tipSetback = *rc::gen::inRange(-40, 120);
  d.inner().panel.washoutDeg = *rc::gen::inRange(-2, 4);
  d.inner().sheeting.thickness = *rc::gen::inRange(4, 25) / 10.0;
  const TrueWing w = wingOf(d);
  const FoamCore& core = coreOf(w);
  const PanelLoft& loft = w.inner().shape.loft;
  for (int k = 1; k <= 10; ++k) {
    const double t = 620 * k / 11.0;
    const Cut cut = loft.cutAt(t);
    for (std::size_t i = 0; i < core.inner.path.size(); i += 3) {
      const WireAt &a = core.inner.path[i], &b = core.outer.path[i];
      if (a.fraction < 0.08 || a.fraction > 0.92) continue; // strips lie there
      const Point in = core.inner.frame.fromChord(a.core), out = core.outer.frame.fromChord(b.core),
                  p = lerp(in, out, k / 11.0);
      double least = 1e9;
      const Polyline& face = cut.face(a.face);
      for (std::size_t n = 1; n < face.size(); ++n) {
        const Point way = face[n] - face[n - 1];
        const double s = std::clamp((p - face[n - 1]).dot(way) / way.squaredNorm(), 0.0, 1.0);
        least = std::min(least, (p - face[n - 1] - s * way).norm());
      }
      RC_ASSERT(std::abs(least - d.inner().sheeting.thickness) < 0.05);
    }
  }
}

// The slot by its power law; the tip of a tapered core is slower by the ways' ratio.
TEST(Foam, EachEndHasItsOwnSlot) {
  Design d = swept();
  d.wire.kerfPower = 0.5, d.wire.kerfSpeed = 4, d.wire.speed = 4;
  const TrueWing w = wingOf(d);
  const FoamCore& core = coreOf(w);
  const double ratio = perimeterOf(core.outer.outline) / perimeterOf(core.inner.outline);
  EXPECT_NEAR(core.inner.kerf, 1, 1e-9);
  EXPECT_NEAR(core.outer.kerf, std::pow(1 / ratio, 0.5), 1e-9);
  EXPECT_LT(std::abs(figureOf(w, "foam.1.off")), 0.03) << "equal shares of the chord: nearly one ratio all round";
  d.wire.compensate = false;
  const TrueWing plain = wingOf(d);
  EXPECT_DOUBLE_EQ(coreOf(plain).outer.kerf, 1);
  EXPECT_NEAR(figureOf(plain, "foam.1.off"), (1 - core.outer.kerf) / 2, 0.03) << "too thin at the tip";
  d.wire.speed = 1; // half the slot more at both ends: four times slower, twice as wide
  EXPECT_NEAR(coreLeft(coreOf(wingOf(d)), d.wire).worst, (1 - 2 * core.outer.kerf) / 2, 0.06);
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.off"));
  EXPECT_DOUBLE_EQ(slotAt(d.wire, 0), 5) << "a wire that stands melts on: held at five times";
}

/// What is left by a wire at the test's own speed is its path less a disc as wide as the slot (Minkowski's difference).
TEST(Foam, WhatTheWireLeavesIsItsPathLessItsSlot) {
  const TrueWing w = wingOf(swept());
  const FoamCore& core = coreOf(w);
  const CutOff left = coreLeft(core, w.design.wire);
  for (const bool outer : {false, true}) {
    const CoreEnd& end = outer ? core.outer : core.inner;
    const double want = areaOf(grown({end.wire}, -end.kerf / 2));
    EXPECT_NEAR(std::abs(signedArea(left.left[outer ? 1 : 0])), want, 2.5e-3 * want);
    EXPECT_NEAR(want, end.outlineArea(), 1e-3 * want);
  }
}

/// Grooves for caps: as wide and deep as they are, in line; and the core weighs what is left.
TEST(Foam, SparsLieInGrooves) {
  Design d = swept();
  d.inner().spars = {Spar{}};
  Spar& s = d.inner().spars[0];
  s.top.width = s.bottom.width = 6, s.top.depth = s.bottom.depth = 2;
  const TrueWing w = wingOf(d), plain = wingOf(swept());
  const CoreEnd& end = coreOf(w).inner;
  const double fit = d.inner().ribs.notchFit;
  EXPECT_NEAR(end.outlineArea() - areaOf(end.core), 2 * (6 + fit) * 2, 1.0);
  const auto grams = [](const TrueWing& wing) {
    for (const Part& p : wing.inner().parts)
      if (p.key() == "core.1") return p.grams;
    return 0.0;
  };
  const double heavy = Tables{}.named("foam-xps-33").density * 1e-6;
  // Simpson's rule over eleven places of the span.
  double volume = 0;
  for (int i = 0; i <= 10; ++i) {
    const Rib at = cutTemplate(plain.inner().design, plain.inner().shape.loft, 62.0 * i, 1);
    volume += (i == 0 || i == 10 ? 1 : i % 2 == 1 ? 4 : 2) * at.cutArea * 62 / 3;
  }
  EXPECT_NEAR(grams(plain), volume * heavy, 2e-3 * volume * heavy);
  EXPECT_NEAR(grams(plain) - grams(w), 2 * (6 + fit) * 2 * 620 * heavy, 0.05 * 24 * 620 * heavy);
  EXPECT_EQ(w.inner().frame.ribs[2].notches.size(), 2u);
}

/// However far its stations lie apart; skins likewise, which are told with the foam alone.
TEST(Foam, CapsWrinkleOnIt) {
  Design d = swept();
  d.inner().spars = {Spar{}};
  const TrueWing w = wingOf(d);
  const Figure* told = figureNamed(w, "spar.1.buckling");
  ASSERT_NE(told, nullptr);
  EXPECT_NE(told->rule.find("wrinkles on its core"), std::string::npos) << told->rule;
  EXPECT_EQ(told->working.find("rib to rib"), std::string::npos) << told->working;
  EXPECT_EQ(figureNamed(w, "bay.weakest")->where.find("between ribs"), std::string::npos)
      << figureNamed(w, "bay.weakest")->where;
  EXPECT_EQ(figureNamed(w, "sheet.buckling"), nullptr);
  EXPECT_NE(figureNamed(w, "foam.wrinkling"), nullptr);
  d.inner().ribs.count = 9;
  EXPECT_NEAR(figureOf(wingOf(d), "spar.1.buckling"), told->value, 0.01 * told->value);
}

TEST(Foam, IsCutInSeveralCores) {
  Design d = swept();
  d.inner().foam.cores = 2, d.inner().foam.endRib = 3;
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.inner().foam->cores.size(), 2u);
  EXPECT_NEAR(coreOf(w, 0).outer.t, 310, 1e-9);
  EXPECT_NEAR(coreOf(w, 1).inner.t, 310, 1e-9);
  const double whole = coreOf(wingOf(swept())).volume;
  EXPECT_NEAR(coreOf(w, 0).volume + coreOf(w, 1).volume, whole - 3 * (2875.75 + 1076.55), 1e-3 * whole)
      << "less the ply on both ends";
  EXPECT_NEAR(coreOf(w, 0).outer.outlineArea(), coreOf(w, 1).inner.outlineArea(), 1e-9);
  double ply = 0, foam = 0;
  for (const Part& p : w.inner().parts) {
    if (p.key().starts_with("foamRib")) ply += p.grams;
    if (p.what() == Part::What::core) foam += p.grams;
  }
  EXPECT_NEAR(ply, (2875.75 + 1076.55) * 3 * Tables{}.named("light-ply").density * 1e-6, 0.01 * ply);
  EXPECT_NEAR(foam, (whole - 3 * (2875.75 + 1076.55)) * Tables{}.named("foam-xps-33").density * 1e-6, 0.003 * foam);
  d.inner().foam.cores = 8;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.cores")) << "five stations";
}

TEST(Foam, BedsMayGiveTheWashout) {
  Design d = swept();
  d.inner().panel.washoutDeg = 3, d.inner().panel.washoutAxis = 0;
  const double turned = coreOf(wingOf(d)).block.height;
  d.inner().foam.washoutIn = WashoutIn::beds;
  const TrueWing w = wingOf(d);
  EXPECT_EQ(coreOf(w).outerCut.washout, 0);
  EXPECT_LT(coreOf(w).block.height, turned + 1e-9);
  EXPECT_NEAR(figureOf(w, "foam.bedTrailing"), 150 * std::sin(degToRad(3)), 0.01);
  EXPECT_NEAR(figureOf(w, "foam.bedLeading"), 0, 1e-9);
}

/// A box of foam with skins, 100 wide and 15 deep: a sandwich beam by the handbook.
Design sandwich(double skin) {
  Design d = test::bareDesign();
  PanelDesign& p = d.inner();
  p.built = Built::foam;
  p.panel = test::panelOf(500, 100, 100);
  p.sections.root.kind = p.sections.tip.kind = SectionKind::flatPlate;
  for (SectionChoice* s : {&p.sections.root, &p.sections.tip}) {
    s->drawn.plate = 0.15, s->drawn.tailTaper = 0;
    s->drawn.nose = PlateNose::wedge, s->drawn.wedge = 0.01;
  }
  p.sheeting.top = p.sheeting.bottom = skin > 0, p.sheeting.thickness = std::max(skin, 0.2);
  p.leadingEdge.kind = LeadingEdgeKind::none, p.trailingEdge.kind = TrailingEdgeKind::none;
  p.spars.clear();
  p.join.dihedral = {DihedralBy::angle, 0};
  d.flying.mass = 300;
  d.flying.kind = typedFactors, d.flying.loadFactor = 8, d.flying.pushFactor = 3, d.flying.shape = LoadShape::chord;
  d.flying.relief = false, d.flying.twistCouple = 500;
  return d;
}

// E b t d² ÷ 2 and the thin terms (Allen 1969, from memory); ½ ∛(E E_c G_c); V ÷ area of the core; Bredt.
TEST(Foam, BearsAsASandwich) {
  const TrueWing w = wingOf(sandwich(1));
  const Material &wood = Tables{}.named("balsa-160"), &foam = Tables{}.named("foam-xps-33");
  const double deep = 14, stiff = wood.modulus * 100 * 1 * deep * deep / 2 + wood.modulus * 100 * 1 / 6.0 +
                                  foam.modulus * 100 * 13 * 13 * 13 / 12.0;
  EXPECT_NEAR(figureOf(w, "foam.stiffness"), stiff, 0.02 * stiff);
  const double lift = 8 * 0.3 * 9.80665 / 2, moment = lift * 250, stress = wood.modulus * moment * 7.5 / stiff;
  EXPECT_NEAR(w.inner().strength.core->wrinklingStress, stress, 0.03 * stress);
  const double holds = 0.5 * std::cbrt(wood.modulus * foam.modulus * foam.shear);
  EXPECT_NEAR(figureOf(w, "foam.wrinkling"), holds / stress, 0.03 * holds / stress);
  EXPECT_NEAR(figureOf(w, "foam.shear"), foam.shearStrength / (lift / (13 * 100)), 0.03 * figureOf(w, "foam.shear"));
  const double area = 100 * deep, round = 200 / (wood.shear * 1),
               gj = 4 * area * area / round + foam.shear * 100 * deep * deep * deep / 3;
  EXPECT_NEAR(figureOf(w, "foam.twist"), 500 * 500 / gj, 0.04 * 500 * 500 / gj);
  const double sag = lift / 500 * std::pow(500.0, 4) / 8 / stiff;
  EXPECT_NEAR(w.main().tipDeflection, sag, 0.03 * sag) << "bending alone: the core's own give is not in it";
}

// The core of an aerofoil is less than its width times its depth: NACA 0012 has 0.0822 c² (NACA Report 460, open tail),
// and skins of 1 mm take their own length off it.
TEST(Foam, ShearIsBorneByTheAreaOfTheCore) {
  Design d = sandwich(1);
  PanelDesign& p = d.inner();
  p.panel = test::panelOf(600, 200, 200);
  for (SectionChoice* s : {&p.sections.root, &p.sections.tip}) s->kind = SectionKind::naca, s->naca = "0012";
  p.foam.material = "foam-eps-30";
  d.flying.mass = 900, d.flying.loadFactor = 6;
  const TrueWing w = wingOf(d);
  const Material& foam = Tables{}.named("foam-eps-30");
  const double area = 0.0822 * 200 * 200 - 2.0393 * 200 * 1, lift = 6 * 0.9 * 9.80665 / 2;
  EXPECT_NEAR(figureOf(w, "foam.shear"), foam.shearStrength / (lift / area), 0.02 * figureOf(w, "foam.shear"));
}

// Where no strip stands in front the wire goes round the nose: half a slot ahead of it, not only above and below.
TEST(Foam, TheWireKeepsItsDistanceRoundTheNose) {
  for (const char* digits : {"0012", "2412", "6409"})
    for (const double kerf : {1.0, 2.0}) {
      Design d = sandwich(0);
      PanelDesign& p = d.inner();
      p.panel = test::panelOf(600, 200, 200);
      for (SectionChoice* s : {&p.sections.root, &p.sections.tip}) s->kind = SectionKind::naca, s->naca = digits;
      d.wire.kerf = kerf, d.wire.compensate = false;
      const TrueWing w = wingOf(d);
      const CoreEnd& end = coreOf(w).inner;
      ASSERT_GT(end.path.size(), 100U);
      double nearest = 1e9, ahead = 1e9;
      for (std::size_t i = 0; i + 1 < end.path.size(); ++i)
        for (const Point& q : end.section) {
          if (q.x() > 60) continue;
          const Point a = end.path[i].at, way = end.path[i + 1].at - a;
          const double share = way.squaredNorm() > 0 ? std::clamp((q - a).dot(way) / way.squaredNorm(), 0.0, 1.0) : 0;
          nearest = std::min(nearest, (q - a - way * share).norm());
        }
      for (const WireAt& at : end.path) ahead = std::min(ahead, at.at.x());
      EXPECT_NEAR(nearest, kerf / 2, 0.02) << digits << " slot " << kerf;
      double foremost = 0;
      for (const Point& q : end.section) foremost = std::min(foremost, q.x());
      EXPECT_LT(ahead, foremost - kerf / 2 + 0.02) << digits;
      for (const WireMark& m : end.marks)
        if (m.fraction == 0) {
          EXPECT_NEAR((m.wire - m.section).norm(), kerf / 2, 0.02) << digits;
        }
    }
}

TEST(Foam, WithoutSkinsIsFoamAlone) {
  const TrueWing w = wingOf(sandwich(0));
  const Material& foam = Tables{}.named("foam-xps-33");
  const double stiff = foam.modulus * 100 * 15 * 15 * 15 / 12.0;
  EXPECT_NEAR(figureOf(w, "foam.stiffness"), stiff, 0.03 * stiff);
  EXPECT_EQ(figureNamed(w, "foam.wrinkling"), nullptr);
  EXPECT_TRUE(hasFinding(findingsOf(w), "foam.reserve")) << "that will not fly";
}

TEST(Foam, SaysWhatCannotBeCut) {
  Design d = swept();
  d.inner().sheeting.thickness = 14;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.gone"));
  d = swept();
  d.wire.boardHeight = 20;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.block"));
  d = swept();
  d.wire.towersApart = 600;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.towers"));
  d.wire.towersApart = 900, d.wire.fromTower = -10;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.towers"));
  d = swept();
  d.inner().spars = {Spar{}};
  d.inner().spars[0].top.depth = d.inner().spars[0].bottom.depth = 12;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "foam.parted"));
  d.inner().spars.push_back(Spar{});
  d.inner().spars[1].rootFraction = d.inner().spars[1].tipFraction = 0.6;
  const TrueWing two = wingOf(d);
  for (const Finding& f : findingsOf(two)) {
    if (f.key != "foam.parted") continue;
    EXPECT_EQ(f.decisions.size(), 6u) << "either may be the one";
  }
  d = swept();
  d.wire.kerf = 10; // wider than the tip is deep, and the skins with it
  d.inner().panel.tipChord = 40;
  EXPECT_NO_THROW(wingOf(d));
}

/// Nothing of ribs, packing, braces or frames is told of it.
TEST(Foam, HasNoRibs) {
  Design d = swept();
  d.inner().spars = {Spar{}};
  d.inner().capStrips.top = true, d.inner().riblets.inBay = 2;
  d.inner().sheeting.fraction = 0.3;
  const TrueWing w = wingOf(d);
  for (const Figure& f : figuresOf(w))
    for (const char* head : {"setup.", "twist.", "brace", "joiner", "join.rootRibTaller"})
      EXPECT_FALSE(f.key.starts_with(head)) << f.key;
  for (const Finding& f : findingsOf(w)) EXPECT_NE(f.stage, Stage::ribs) << f.what;
  for (const Part& p : w.inner().parts)
    EXPECT_TRUE(!p.key().starts_with("rib") && !p.key().starts_with("cap")) << p.key();
  for (const Rib& r : w.inner().frame.ribs) EXPECT_EQ(r.name().front(), 'S');
}

TEST(Foam, IsToldToOtherPrograms) {
  const test::ScratchFolder folder;
  const auto path = folder.path / "foam.euptera";
  ASSERT_TRUE(writeFileAtomically(path, designToText(swept())).ok());
  std::ostringstream out, err;
  ASSERT_EQ(cli::run({"foam", path.string(), "--json"}, out, err), cli::fine) << err.str();
  const auto json = test::jsonOf(out.str());
  ASSERT_EQ(json["cores"].size(), 1u);
  EXPECT_NEAR(json["cores"][0]["inner"]["coreArea"].get<double>(), 2875.75, 3);
  EXPECT_GT(json["cores"][0]["towers"]["path"].size(), 100u);
  // A print of both templates for either hand, and of both its block's ends.
  const TrueWing w = wingOf(swept());
  for (const Hand hand : {Hand::right, Hand::left}) {
    const std::vector<Drawing> all = foamTemplates(test::drawn(w, 0).front(), hand);
    ASSERT_EQ(all.size(), 4u);
    EXPECT_EQ(all[2].title, "Beds");
    for (const Drawing& d : all) {
      double largest = 0;
      for (const Stroke& s : d.strokes)
        if (s.layer == Layer::cut && s.closed) largest = std::max(largest, std::abs(signedArea(s.points)));
      EXPECT_GT(largest, 1000);
      EXPECT_TRUE(std::any_of(d.labels.begin(), d.labels.end(),
                              [&](const Label& l) { return l.text.find(nameLarge(hand)) != std::string::npos; }));
    }
  }
}

} // namespace
} // namespace eup
