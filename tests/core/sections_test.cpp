// Webs of every kind, caps of every shape, sheet that carries: stiffness, strength and what buckles.
#include "bays.h"
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/parts/spar_sheets.h"
#include "core/strength/plate_buckling.h"
#include "core/takeaway/take_away.h"
#include "core/trials/sizing.h"
#include <algorithm>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::checkOf;
using test::figureOf;
using test::hasFinding;
using test::wingOf;
using test::withWebs;

/// Upright grain is what builders swear by: it holds a web up several times as long.
TEST(Webs, UprightGrainHoldsLonger) {
  Design d = withWebs(Webs::between);
  const TrueWing upright = wingOf(d);
  d.inner().spars[0].webGrain = Grain::along;
  const TrueWing along = wingOf(d);
  const auto holds = [](const TrueWing& w) {
    return checkOf(w.inner().strength.bays.front(), BayCheck::What::webBuckling)->strength;
  };
  EXPECT_GT(holds(upright), 3 * holds(along));
  EXPECT_DOUBLE_EQ(checkOf(upright.inner().strength.bays.front(), BayCheck::What::web)->stress,
                   checkOf(along.inner().strength.bays.front(), BayCheck::What::web)->stress);
  EXPECT_GT(figureOf(upright, "spar.1.webBuckling"), figureOf(along, "spar.1.webBuckling"));
  d.flying.mass *= 40;
  d.inner().spars[0].webThickness = 0.4;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "spar.webBuckling"));
}

TEST(Webs, OneThatRunsThroughPartsTheRibs) {
  const TrueWing between = wingOf(withWebs(Webs::between)), through = wingOf(withWebs(Webs::continuous));
  for (std::size_t i = 0; i < between.inner().frame.ribs.size(); ++i) {
    const Rib &whole = between.inner().frame.ribs[i], &parted = through.inner().frame.ribs[i];
    EXPECT_EQ(whole.pieces, 1);
    EXPECT_EQ(parted.pieces, 2);
    EXPECT_EQ(parted.wantedPieces, 2);
    EXPECT_LT(parted.cutArea, whole.cutArea);
  }
  EXPECT_FALSE(hasFinding(findingsOf(through), "ribs.apart")) << "it is as it was decided";
  // The web: as long as the spar, from cap to cap.
  const Spar& spar = through.design.inner().spars[0];
  const SparLine& line = through.inner().frame.spars[0];
  const Polyline web = webOutline(spar, line);
  const double root = line.upperSeat.root.y() - line.lowerSeat.root.y() - spar.top.depth - spar.bottom.depth,
               tip = line.upperSeat.tip.y() - line.lowerSeat.tip.y() - spar.top.depth - spar.bottom.depth;
  EXPECT_NEAR(std::abs(signedArea(web)), (root + tip) / 2 * line.end * line.stretch, 1e-6);
  Spar doubled = spar;
  doubled.top.doubled = true, doubled.top.doubledTo = 0.4, doubled.top.doubler = 2;
  EXPECT_NEAR(std::abs(signedArea(webOutline(doubled, line))),
              std::abs(signedArea(web)) - 0.4 * line.end * line.stretch * 2, 1e-5)
      << "shallower by the second strip, as far as that goes";
  EXPECT_TRUE(webOutline(between.design.inner().spars[0], line).empty());
  // It is cut with the ribs, and each half of a rib has its number.
  const Drawing sheet = ribSheets(drawn(through.main()), Hand::right, 600, 0).front();
  int numbered = 0;
  bool lettered = false;
  for (const Label& l : sheet.labels) {
    numbered += l.text.starts_with("R3") && l.text != "R3 RIGHT"; // that one stands on the wood
    lettered = lettered || l.text.find(", web RIGHT") != std::string::npos;
  }
  EXPECT_EQ(numbered, 2);
  EXPECT_TRUE(lettered);
}

/// Two strips in line above and below foam: nothing buckles between ribs, they wrinkle; the core carries the shear.
TEST(Webs, ACoreOfFoam) {
  Design d = withWebs(Webs::core);
  d.inner().spars[0].webMaterial = "foam-xps-33";
  const TrueWing w = wingOf(d);
  const SparBay& bay = w.inner().strength.bays.front();
  const Spar& spar = w.design.inner().spars[0];
  EXPECT_EQ(checkOf(bay, BayCheck::What::webBuckling), nullptr);
  ASSERT_NE(checkOf(bay, BayCheck::What::buckling), nullptr);
  EXPECT_NEAR(checkOf(bay, BayCheck::What::buckling)->strength, wrinkling(10800, 15, 5), 1e-9);
  const double flow = figureOf(w, "spar.1.webShear");
  EXPECT_NEAR(checkOf(bay, BayCheck::What::web)->stress, flow / spar.top.width, 1e-3 * flow);
  EXPECT_DOUBLE_EQ(checkOf(bay, BayCheck::What::web)->strength, 0.25);
  const double grams = figureOf(w, "mass.webs");
  d.inner().spars[0].webMaterial = "foam-eps-15";
  EXPECT_NEAR(figureOf(wingOf(d), "mass.webs"), grams * 15 / 33, 1e-9);
}

TEST(Caps, ARodAndATubeAreRound) {
  for (const CapShape shape : {CapShape::rod, CapShape::tube}) {
    Design d;
    d.inner().sheeting.top = d.inner().sheeting.bottom = false;
    Spar& spar = d.inner().spars[0];
    for (Cap* cap : {&spar.top, &spar.bottom})
      cap->shape = shape, cap->depth = 4, cap->wall = 0.75, cap->material = "carbon-tube";
    const TrueWing w = wingOf(d);
    const SparSection& s = w.inner().strength.bending.spars[0].root;
    const double bore = shape == CapShape::tube ? 2.5 : 0;
    const double area = pi / 4 * (16 - bore * bore), own = pi / 64 * (256 - std::pow(bore, 4)), arm = s.depth() / 2 - 2;
    const double ei = 2 * 110000 * (own + area * arm * arm);
    EXPECT_NEAR(s.bent.stiffness, ei, 0.002 * ei);
    const Rib& rib = w.inner().frame.ribs.front();
    EXPECT_NEAR(rib.notches.front().width, 4 + d.inner().ribs.notchFit, 0.01) << "a square notch";
    EXPECT_NEAR(std::abs(signedArea(rib.notches.front().shape)), pi * 4, 0.2);
    EXPECT_NEAR(gramsOf(w.inner(), 0, w.design.inner().spars[0]),
                2 * area * 700 * 1550e-6 * w.inner().frame.spars[0].stretch, 0.01);
    const BayCheck* buckling = checkOf(w.inner().strength.bays.front(), BayCheck::What::buckling);
    ASSERT_NE(buckling, nullptr);
    const double l = w.inner().strength.bays.front().to * w.inner().frame.spars[0].stretch;
    EXPECT_NEAR(buckling->strength, eulerStress(110000, std::sqrt(own / area), l), 0.001 * buckling->strength);
  }
}

TEST(Caps, ADoublerIsAsDeepAsItIsAndEndsInAStep) {
  Design d;
  Cap& cap = d.inner().spars[0].top;
  cap.doubled = true, cap.doubledTo = 0.3, cap.doubler = 2;
  EXPECT_DOUBLE_EQ(capAt(cap, 0.29).depth, cap.depth + 2);
  EXPECT_DOUBLE_EQ(capAt(cap, 0.31).depth, cap.depth);
  EXPECT_DOUBLE_EQ(capAt(capAt(cap, 0.1), 0.1).depth, cap.depth + 2) << "not twice";
  const TrueWing w = wingOf(d), plain = wingOf(Design{});
  for (std::size_t i = 0; i < w.inner().frame.ribs.size(); ++i) {
    const double more = w.inner().frame.ribs[i].notches[0].depth - plain.inner().frame.ribs[i].notches[0].depth;
    EXPECT_NEAR(more, w.inner().frame.ribs[i].t() <= 0.3 * 700 ? 2 : 0, 1e-6) << i;
  }
  EXPECT_NEAR(figureOf(w, "spar.1.doublerTop"), 210, 1e-9);
  EXPECT_NEAR(gramsOf(w.inner(), 0, w.design.inner().spars[0]) -
                  gramsOf(plain.inner(), 0, plain.design.inner().spars[0]),
              210 * 6 * 2 * 400e-6 * w.inner().frame.spars[0].stretch, 1e-6);
  EXPECT_GT(w.inner().strength.bending.spars[0].root.bent.stiffness,
            plain.inner().strength.bending.spars[0].root.bent.stiffness);
  // The webs' depth changes as the section does; the step is no taper.
  EXPECT_NEAR(w.inner().strength.bending.spars[0].webDepthChange,
              plain.inner().strength.bending.spars[0].webDepthChange, 1e-12);
}

/// A slot that has the sheet bend with the spar: the transformed section with a polyline of sheet, integrated finely.
TEST(CarryingSheet, IsAPartOfTheSection) {
  Design d;
  d.inner().sheeting.carries = true;
  const TrueWing w = wingOf(d);
  d.inner().sheeting.carries = false;
  const TrueWing bare = wingOf(d);
  const PanelLoft& loft = w.inner().shape.loft;
  const SparSection& caps = bare.inner().strength.bending.spars[0].root;
  double ea = 0, eaz = 0, eazz = 0;
  for (const Fibre& f : caps.fibres) {
    const double a = f.modulus * f.width * (f.high - f.low), z = (f.high + f.low) / 2, h = f.high - f.low;
    ea += a, eaz += a * z, eazz += a * (z * z + h * h / 12);
  }
  const double thick = d.inner().sheeting.thickness;
  for (const Face face : {Face::upper, Face::lower}) {
    const double edge = sheetEdgeAt(w.inner().design, loft, face, 0);
    constexpr int n = 4000;
    Point last = loft.at(face, 0, 0);
    for (int i = 1; i <= n; ++i) {
      const double share = static_cast<double>(i) / n;
      const Point next = loft.at(face, edge * share * share, 0);
      const double a = 3400 * thick * (next - last).norm(),
                   z = (next.y() + last.y()) / 2 + (face == Face::upper ? -thick / 2 : thick / 2);
      ea += a, eaz += a * z, eazz += a * z * z;
      last = next;
    }
  }
  const double ei = eazz - eaz * eaz / ea;
  EXPECT_NEAR(figureOf(w, "spar.1.stiffness"), ei, 0.01 * ei);
  EXPECT_LT(figureOf(w, "spar.1.stressTop"), figureOf(bare, "spar.1.stressTop"));
  EXPECT_LT(figureOf(w, "load.tipDeflection"), figureOf(bare, "load.tipDeflection"));
  EXPECT_GT(figureOf(w, "sheet.bending"), 0);
  EXPECT_GT(figureOf(w, "sheet.buckling"), 0);
  EXPECT_EQ(figureNamed(bare, "sheet.bending"), nullptr);
  EXPECT_TRUE(bare.inner().strength.skin.empty());
}

/// A lower cap that ends half way: no notch, no web, no mass beyond, and the upper strip alone carries there.
TEST(Caps, OneMayEndBeforeItsSpar) {
  Design d = withWebs(Webs::continuous);
  const TrueWing whole = wingOf(d);
  Spar& spar = d.inner().spars[0];
  spar.bottom.drops = true, spar.bottom.dropsAt = 0.5;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  const SparLine& line = p.frame.spars[0];
  const double end = 0.5 * line.end;
  EXPECT_NEAR(figureOf(w, "spar.1.endBottom"), end, 1e-9);
  EXPECT_EQ(figureNamed(w, "spar.1.endTop"), nullptr);
  for (const Rib& rib : p.frame.ribs) {
    const bool inside = rib.t() <= end;
    EXPECT_EQ(rib.notches.size(), inside ? 2u : 1u) << rib.number;
    EXPECT_EQ(rib.pieces, inside ? 2 : 1) << rib.number;
  }
  const double metre = spar.bottom.width * spar.bottom.depth * 450e-6; // g per mm, roughly spruce
  const auto grams = [](const TrueWing& of) {
    for (const PartMass& part : of.inner().mass.parts)
      if (part.what == PartMass::What::spars) return part.grams;
    return 0.0;
  };
  EXPECT_NEAR(grams(whole) - grams(w), metre * end * line.stretch, 0.3 * metre * end);
  EXPECT_NEAR(std::abs(signedArea(webOutline(spar, line))),
              (line.upperSeat.root.y() - line.lowerSeat.root.y() + line.upperSeat.at(end).y() -
               line.lowerSeat.at(end).y() - 2 * (spar.top.depth + spar.bottom.depth)) /
                  2 * end * line.stretch,
              1e-6);
  // By hand: a strip alone, E b h³ ÷ 12 and σ = M h ÷ 2 I, just beyond the end.
  const Material& spruce = d.own.named("spruce");
  const double b = spar.top.width, h = spar.top.depth, inertia = b * h * h * h / 12;
  const SparSection lone = sparSection(spar, line, end + 1, d.own);
  EXPECT_NEAR(lone.bent.stiffness, spruce.modulus * inertia, 1e-6 * lone.bent.stiffness);
  const double stress = w.main().loads.front().load.moment(end) * h / 2 / inertia;
  const auto ends =
      std::find_if(p.strength.bays.begin(), p.strength.bays.end(), [&](const SparBay& bay) { return bay.to > end; });
  ASSERT_NE(ends, p.strength.bays.end());
  const BayCheck* pressed = checkOf(*ends, BayCheck::What::compression);
  ASSERT_NE(pressed, nullptr);
  EXPECT_NEAR(pressed->stress, stress, 1e-3 * stress) << "in the bay where it ends, however far from its rib";
  EXPECT_EQ(checkOf(p.strength.bays.back(), BayCheck::What::web), nullptr);
  // From above: as wide as the wider of the two, then as the one that goes on.
  spar.bottom.width = 2 * spar.top.width;
  EXPECT_NEAR(std::abs(signedArea(sparFromAbove(spar, line))), 1.5 * spar.top.width * line.end * line.stretch, 1e-4);
  spar.bottom.width = spar.top.width;
  EXPECT_GT(figureOf(w, "load.tipDeflection"), figureOf(whole, "load.tipDeflection"));
  EXPECT_LT(figureOf(w, "bay.weakest"), figureOf(whole, "bay.weakest"));
}

TEST(CarryingSheet, MustReachTheSpar) {
  Design d;
  d.inner().sheeting.carries = true;
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "sheet.short"));
  d.inner().sheeting.fraction = 0.2; // the spar stands at 0.3
  const TrueWing w = wingOf(d);
  EXPECT_TRUE(w.inner().strength.skin.empty());
  EXPECT_EQ(figureNamed(w, "sheet.bending"), nullptr);
  EXPECT_TRUE(hasFinding(findingsOf(w), "sheet.short"));
}

RC_GTEST_PROP(CarryingSheet, MoreWoodNeverLowersAReserve, ()) {
  Design d;
  d.flying.pushFactor = *rc::gen::inRange(0, 5);
  d.inner().spars[0].webs = *rc::gen::element(Webs::none, Webs::between, Webs::continuous, Webs::core);
  d.inner().sheeting.carries = *rc::gen::arbitrary<bool>();
  Cap& top = d.inner().spars[0].top;
  top.shape = *rc::gen::element(CapShape::strip, CapShape::rod);
  d.inner().spars[0].bottom = top;
  const auto least = [](const TrueWing& w, auto which) {
    double out = 1e9;
    for (const SparStrength::Reserves& r : w.inner().strength.bending.spars[0].along) out = std::min(out, which(r));
    return out;
  };
  const auto both = [](const SparStrength::Reserves& r) { return std::min(r.upper, r.lower); };
  const double before = least(wingOf(d), both);
  const int what = *rc::gen::inRange(0, 3);
  Spar& spar = d.inner().spars[0];
  if (what == 0) // both caps thicker, outwards of nothing: their outer faces stay
    spar.top.depth *= 1.2, spar.bottom.depth *= 1.2;
  if (what == 1) spar.top.width *= 1.3, spar.bottom.width *= 1.3;
  if (what == 2)
    spar.top.doubled = spar.bottom.doubled = true, spar.top.doubledTo = spar.bottom.doubledTo = 0.98,
    spar.top.doubler = spar.bottom.doubler = 1;
  RC_ASSERT(least(wingOf(d), both) >= before * (1 - 1e-9));
}

} // namespace
} // namespace eup
