// Webs of every kind, caps of every shape, sheet that carries: stiffness, strength and what buckles.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/parts/spar_sheets.h"
#include "core/strength/plate_buckling.h"
#include "core/work/sizing.h"
#include "core/work/take_away.h"
#include "support.h"
#include <algorithm>
#include <Eigen/Eigenvalues>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

/// A rectangular plate hinged all round, in shear: Ritz's method with double sines, as in Timoshenko and Gere, Theory
/// of Elastic Stability (1961), art. 9.7; for a plate with two stiffnesses. The least stress of either sign.
double ritzShear(const Plate& p, double length, double width) {
  constexpr int along = 24, across = 8, all = along * across;
  constexpr double poisson = 0.3;
  const double stiffer = std::max(p.along, p.across), softer = std::min(p.along, p.across);
  const double third = std::pow(p.thickness, 3) / 12, one = 1 - poisson * poisson * softer / stiffer;
  const double d1 = p.along * third / one, d2 = p.across * third / one,
               d3 = poisson * softer * third / one + 2 * p.shear * third;
  Eigen::MatrixXd work = Eigen::MatrixXd::Zero(all, all);
  Eigen::VectorXd root(all);
  const auto at = [](int m, int n) { return (m - 1) * across + n - 1; };
  for (int m = 1; m <= along; ++m)
    for (int n = 1; n <= across; ++n) {
      const double a = m / length, b = n / width;
      root(at(m, n)) = std::sqrt(std::pow(pi, 4) * length * width / 4 *
                                 (d1 * a * a * a * a + 2 * d3 * a * a * b * b + d2 * b * b * b * b));
      for (int q = 1; q <= along; ++q)
        for (int r = 1; r <= across; ++r)
          if ((m + q) % 2 == 1 && (n + r) % 2 == 1)
            work(at(m, n), at(q, r)) = 8.0 * m * n * q * r / ((m * m - q * q) * (r * r - n * n));
    }
  work = root.cwiseInverse().asDiagonal() * ((work + work.transpose()) / 2).eval() * root.cwiseInverse().asDiagonal();
  const double most =
      Eigen::SelfAdjointEigenSolver<Eigen::MatrixXd>(work, Eigen::EigenvaluesOnly).eigenvalues().cwiseAbs().maxCoeff();
  return 1 / most / p.thickness;
}

TEST(PlateBuckling, AnEvenStripInShearIsTheTextbooks) {
  // 5.35 π² E t² ÷ (12 (1 − ν²) w²): Timoshenko and Gere, Theory of Elastic Stability (1961), art. 9.7, from memory.
  const Plate p{3400, 3400, 3400 / 2.6, 1.5};
  EXPECT_NEAR(shearBuckling(p, 20), 5.35 * pi * pi * 3400 / (12 * 0.91) * (1.5 / 20) * (1.5 / 20), 0.5);
}

TEST(PlateBuckling, WoodsAndPlyAgreeWithRitz) {
  for (const Plate& p : {Plate{3400, 102, 155, 1.5}, Plate{102, 3400, 155, 1.5}, Plate{8500, 5100, 650, 1},
                         Plate{2300, 2300, 3000, 1}, Plate{3400, 3400, 100, 2}}) {
    const double strip = shearBuckling(p, 20), plate = ritzShear(p, 160, 20);
    EXPECT_GT(plate, strip * 0.995); // its short ends hold it too
    EXPECT_NEAR(plate, strip, 0.1 * strip) << p.along << " " << p.across << " " << p.shear;
    EXPECT_LE(shearBuckling(p, 25, 20), ritzShear(p, 25, 20) * 1.001) << "the rule for a rectangle is on the safe side";
  }
}

TEST(PlateBuckling, SheetAndCore) {
  // A wide column: Euler's with r² = t² ÷ 12. A bent one by hand: 0.3 √(3400 × 102) × 1.5 ÷ 100 = 2.650 MPa.
  EXPECT_NEAR(pressedSheetBuckling({3400, 102, 155, 1.5}, 60, 0), pi * pi * 3400 * 1.5 * 1.5 / (12 * 3600), 1e-9);
  EXPECT_NEAR(pressedSheetBuckling({3400, 102, 155, 1.5}, 60, 100), 2.650, 0.001);
  EXPECT_NEAR(wrinkling(10800, 15, 5), 0.5 * std::cbrt(810000.0), 1e-9);
}

const BayCheck* checkOf(const SparBay& bay, BayCheck::What what) {
  for (const BayCheck& c : bay.checks)
    if (c.what == what) return &c;
  return nullptr;
}

Design withWebs(Webs webs) {
  Design d;
  d.inner().spars[0].webs = webs;
  return d;
}

/// Upright grain is what builders swear by: it holds a web up several times as long.
TEST(Webs, UprightGrainHoldsLonger) {
  Design d = withWebs(Webs::between);
  const TrueWing upright = wingOf(d);
  d.inner().spars[0].webGrain = Grain::along;
  const TrueWing along = wingOf(d);
  const auto holds = [](const TrueWing& w) {
    return checkOf(w.inner().bays.front(), BayCheck::What::webBuckling)->strength;
  };
  EXPECT_GT(holds(upright), 3 * holds(along));
  EXPECT_DOUBLE_EQ(checkOf(upright.inner().bays.front(), BayCheck::What::web)->stress,
                   checkOf(along.inner().bays.front(), BayCheck::What::web)->stress);
  EXPECT_GT(figureOf(upright, "spar.1.webBuckling"), figureOf(along, "spar.1.webBuckling"));
  d.flying.mass *= 40;
  d.inner().spars[0].webThickness = 0.4;
  EXPECT_TRUE(hasFinding(wingOf(d).findings, "spar.webBuckling"));
}

TEST(Webs, OneThatRunsThroughPartsTheRibs) {
  const TrueWing between = wingOf(withWebs(Webs::between)), through = wingOf(withWebs(Webs::continuous));
  for (std::size_t i = 0; i < between.inner().ribs.size(); ++i) {
    const Rib &whole = between.inner().ribs[i], &parted = through.inner().ribs[i];
    EXPECT_EQ(whole.pieces, 1);
    EXPECT_EQ(parted.pieces, 2);
    EXPECT_EQ(parted.wantedPieces, 2);
    EXPECT_LT(parted.cutArea, whole.cutArea);
  }
  EXPECT_FALSE(hasFinding(through.findings, "ribs.apart")) << "it is as it was decided";
  // The web: as long as the spar, from cap to cap.
  const Spar& spar = through.design.inner().spars[0];
  const SparLine& line = through.inner().spars[0];
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
  const Drawing sheet = ribSheets(drawn(through), Hand::right, 600, 0).front();
  int numbered = 0;
  bool lettered = false;
  for (const Label& l : sheet.labels) {
    numbered += l.text.starts_with("R3");
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
  const SparBay& bay = w.inner().bays.front();
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
    const SparSection& s = w.inner().strength.spars[0].root;
    const double bore = shape == CapShape::tube ? 2.5 : 0;
    const double area = pi / 4 * (16 - bore * bore), own = pi / 64 * (256 - std::pow(bore, 4)), arm = s.depth() / 2 - 2;
    const double ei = 2 * 110000 * (own + area * arm * arm);
    EXPECT_NEAR(s.bent.stiffness, ei, 0.002 * ei);
    const Rib& rib = w.inner().ribs.front();
    EXPECT_NEAR(rib.notches.front().width, 4 + d.inner().ribs.notchFit, 0.01) << "a square notch";
    EXPECT_NEAR(std::abs(signedArea(rib.notches.front().shape)), pi * 4, 0.2);
    EXPECT_NEAR(gramsOf(w.inner(), 0, w.design.inner().spars[0]), 2 * area * 700 * 1550e-6 * w.inner().spars[0].stretch,
                0.01);
    const BayCheck* buckling = checkOf(w.inner().bays.front(), BayCheck::What::buckling);
    ASSERT_NE(buckling, nullptr);
    const double l = w.inner().bays.front().to * w.inner().spars[0].stretch;
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
  for (std::size_t i = 0; i < w.inner().ribs.size(); ++i) {
    const double more = w.inner().ribs[i].notches[0].depth - plain.inner().ribs[i].notches[0].depth;
    EXPECT_NEAR(more, w.inner().ribs[i].t() <= 0.3 * 700 ? 2 : 0, 1e-6) << i;
  }
  EXPECT_NEAR(figureOf(w, "spar.1.doublerTop"), 210, 1e-9);
  EXPECT_NEAR(gramsOf(w.inner(), 0, w.design.inner().spars[0]) -
                  gramsOf(plain.inner(), 0, plain.design.inner().spars[0]),
              210 * 6 * 2 * 400e-6 * w.inner().spars[0].stretch, 1e-6);
  EXPECT_GT(w.inner().strength.spars[0].root.bent.stiffness, plain.inner().strength.spars[0].root.bent.stiffness);
  // The webs' depth changes as the section does; the step is no taper.
  EXPECT_NEAR(w.inner().strength.spars[0].webDepthChange, plain.inner().strength.spars[0].webDepthChange, 1e-12);
}

/// A slot that has the sheet bend with the spar: the transformed section with a polyline of sheet, integrated finely.
TEST(CarryingSheet, IsAPartOfTheSection) {
  Design d;
  d.inner().sheeting.carries = true;
  const TrueWing w = wingOf(d);
  d.inner().sheeting.carries = false;
  const TrueWing bare = wingOf(d);
  const PanelLoft& loft = w.inner().loft;
  const SparSection& caps = bare.inner().strength.spars[0].root;
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
  EXPECT_EQ(bare.figure("sheet.bending"), nullptr);
  EXPECT_TRUE(bare.inner().skin.empty());
}

/// A lower cap that ends half way: no notch, no web, no mass beyond, and the upper strip alone carries there.
TEST(Caps, OneMayEndBeforeItsSpar) {
  Design d = withWebs(Webs::continuous);
  const TrueWing whole = wingOf(d);
  Spar& spar = d.inner().spars[0];
  spar.bottom.drops = true, spar.bottom.dropsAt = 0.5;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  const SparLine& line = p.spars[0];
  const double end = 0.5 * line.end;
  EXPECT_NEAR(figureOf(w, "spar.1.endBottom"), end, 1e-9);
  EXPECT_EQ(w.figure("spar.1.endTop"), nullptr);
  for (const Rib& rib : p.ribs) {
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
  const auto ends = std::find_if(p.bays.begin(), p.bays.end(), [&](const SparBay& bay) { return bay.to > end; });
  ASSERT_NE(ends, p.bays.end());
  const BayCheck* pressed = checkOf(*ends, BayCheck::What::compression);
  ASSERT_NE(pressed, nullptr);
  EXPECT_NEAR(pressed->stress, stress, 1e-3 * stress) << "in the bay where it ends, however far from its rib";
  EXPECT_EQ(checkOf(p.bays.back(), BayCheck::What::web), nullptr);
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
  EXPECT_FALSE(hasFinding(wingOf(d).findings, "sheet.short"));
  d.inner().sheeting.fraction = 0.2; // the spar stands at 0.3
  const TrueWing w = wingOf(d);
  EXPECT_TRUE(w.inner().skin.empty());
  EXPECT_EQ(w.figure("sheet.bending"), nullptr);
  EXPECT_TRUE(hasFinding(w.findings, "sheet.short"));
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
    for (const SparStrength::Reserves& r : w.inner().strength.spars[0].along) out = std::min(out, which(r));
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

/// By hand for a box of web 20 × 1.5 and skin 130 × 1.5 of one wood, 900 mm² inside: δw ÷ (δw + δs) = 20 ÷ 150,
/// e = 2 × 900 ÷ 20 × 20 ÷ 150 = 12 mm.
TEST(NoseBoxes, TheShearCentreLiesBeforeTheWeb) {
  EXPECT_NEAR(shearCentreAhead(900, 20, 20 / (155 * 1.5), 130 / (155 * 1.5)), 12, 1e-9);
  Design d = withWebs(Webs::between);
  d.inner().sheeting.to = SheetEdge::spar;
  d.flying.diveSpeed = 30;
  const TrueWing thin = wingOf(d);
  ASSERT_TRUE(thin.inner().noseBox && thin.inner().noseBox->ahead);
  EXPECT_NEAR(figureOf(thin, "box.shearCentre"), *thin.inner().noseBox->ahead, 1e-12);
  EXPECT_GT(figureOf(thin, "box.shearCentre"), 1);
  EXPECT_LT(figureOf(thin, "box.shearCentre"), 0.3 * 220) << "within the nose";
  d.inner().spars[0].webThickness = 6; // a stiff web: the centre comes to it
  const TrueWing stiff = wingOf(d);
  EXPECT_LT(figureOf(stiff, "box.shearCentre"), figureOf(thin, "box.shearCentre"));
  d.inner().spars[0].webs = Webs::none;
  EXPECT_EQ(wingOf(d).figure("box.shearCentre"), nullptr);
}

/// A box of 900 mm², 140 mm all round with a web of 20, of 1.5 mm medium balsa, under 5000 N·mm: q = 5000 ÷ 1800
/// (Bredt), τ = q ÷ 1.5; each face is a plate of 60 mm by the bay, by Ritz's method.
TEST(NoseBoxes, TwistShearsTheSheet) {
  Design d;
  d.inner().sheeting.thickness = 1.5;
  const PanelBrief brief = briefsOf(d, 0).front();
  NoseBox box{0, 900, 140, 20, 0, {}};
  SparBay bay;
  checkTwistedSheet(brief, box, -5000, 50, bay);
  const BayCheck *shear = checkOf(bay, BayCheck::What::sheetTwist),
                 *buckles = checkOf(bay, BayCheck::What::sheetTwistBuckling);
  ASSERT_TRUE(shear && buckles);
  EXPECT_NEAR(shear->stress, 5000.0 / 1800 / 1.5, 1e-12);
  EXPECT_DOUBLE_EQ(shear->strength, 2.1);
  EXPECT_EQ(shear->load, LoadCase::What::dive);
  const Material& balsa = brief.tables.named("balsa-160");
  const double ritz = ritzShear({balsa.modulus, balsa.across, balsa.shear, 1.5}, 50, 60);
  EXPECT_LE(buckles->strength, ritz) << "on the safe side";
  EXPECT_GT(buckles->strength, 0.5 * ritz);
  SparBay untwisted;
  checkTwistedSheet(brief, box, 0, 50, untwisted);
  EXPECT_TRUE(untwisted.checks.empty());
}

/// The torque of a dive is that of the sections' moments outboard; it grows with the speed squared, and towards the
/// root. Open noses and wings that do not dive have no such check.
TEST(NoseBoxes, ADiveIsCheckedBayByBay) {
  Design d = withWebs(Webs::between);
  d.inner().sections.root = d.inner().sections.tip = nacaSection("4412");
  d.inner().sheeting.to = SheetEdge::spar;
  EXPECT_EQ(wingOf(d).figure("sheet.twist"), nullptr);
  d.flying.diveSpeed = 25;
  const TrueWing w = wingOf(d);
  const TruePanel& p = w.inner();
  ASSERT_TRUE(p.noseBox && w.main().soft);
  // By hand at the root, from the torque that the twist curve goes by.
  const double stress = std::abs(w.main().soft->torque.front()) / (2 * p.noseBox->area * d.inner().sheeting.thickness);
  const BayCheck* root = checkOf(p.bays.front(), BayCheck::What::sheetTwist);
  ASSERT_NE(root, nullptr);
  EXPECT_NEAR(root->stress, stress, 1e-9 * stress);
  EXPECT_NEAR(figureOf(w, "sheet.twist"), 2.1 / stress, 1e-6 * 2.1 / stress);
  double last = 1e9;
  for (const SparBay& bay : p.bays)
    if (const BayCheck* c = checkOf(bay, BayCheck::What::sheetTwist)) {
      EXPECT_LT(c->stress, last) << bay.bay;
      last = c->stress;
    }
  EXPECT_FALSE(hasFinding(w.findings, "sheet.twistBuckling"));
  d.flying.diveSpeed = 75;
  const TrueWing fast = wingOf(d);
  EXPECT_NEAR(figureOf(fast, "sheet.twist"), figureOf(w, "sheet.twist") / 9, 1e-6 * figureOf(w, "sheet.twist"));
  EXPECT_TRUE(hasFinding(fast.findings, "sheet.twistBuckling"));
  Design dropped = d; // beyond the cap's end no web closes the nose
  dropped.inner().spars[0].bottom.drops = true, dropped.inner().spars[0].bottom.dropsAt = 0.5;
  const TrueWing half = wingOf(dropped);
  for (const SparBay& bay : half.inner().bays)
    EXPECT_EQ(checkOf(bay, BayCheck::What::sheetTwist) != nullptr, bay.to <= 350) << bay.bay;
  d.inner().spars[0].webs = Webs::none;
  EXPECT_EQ(wingOf(d).figure("sheet.twist"), nullptr);
  d.inner().spars[0].webs = Webs::between;
  d.inner().sheeting.bottom = false;
  EXPECT_EQ(wingOf(d).figure("sheet.twist"), nullptr);
}

/// Where the first spar stops the edges go on, bent with the next.
TEST(Edges, AreCheckedAsFarAsThereIsASpar) {
  Design d;
  d.inner().spars.push_back(d.inner().spars.front());
  d.inner().spars[1].rootFraction = d.inner().spars[1].tipFraction = 0.6;
  d.inner().spars[0].stops = true, d.inner().spars[0].stopsAt = 350;
  const TrueWing w = wingOf(d);
  double farthest = 0;
  for (const SparBay& bay : w.inner().bays)
    if (checkOf(bay, BayCheck::What::trailingEdge)) {
      EXPECT_EQ(bay.spar, bay.to <= 350 ? 0 : 1) << bay.bay;
      farthest = std::max(farthest, bay.to);
    }
  EXPECT_NEAR(farthest, 700, 1e-9);
  int told = 0;
  for (const Figure& f : w.figures) told += f.key == "edge.trailing";
  EXPECT_EQ(told, 1);
}

/// Strips at the edges are strained by the wing's bend: σ = E M z ÷ EI.
TEST(Edges, BendWithTheWing) {
  Design d;
  const TrueWing w = wingOf(d);
  const SparBay& bay = w.inner().bays.front();
  const BayCheck* edge = checkOf(bay, BayCheck::What::leadingEdge);
  ASSERT_NE(edge, nullptr);
  const SparSection& s = w.inner().strength.spars[0].root;
  const double f = d.inner().leadingEdge.width / 220, bend = w.main().loads.front().load.moment(0) / s.bent.stiffness;
  double most = 0;
  for (const Face face : {Face::upper, Face::lower})
    most = std::max(most, std::abs(w.inner().loft.at(face, f, 0).y() - s.bent.axis));
  EXPECT_NEAR(edge->stress, 3400 * bend * most, 0.02 * edge->stress); // the one with least in reserve, of two strengths
  d.inner().leadingEdge.material =
      "light-ply"; // stiffer for its strength than balsa, pressed: 12 ÷ 4500 against 14.9 ÷ 3400
  EXPECT_LT(figureOf(wingOf(d), "edge.leading"), figureOf(w, "edge.leading"));
}

TEST(Joins, WhatHoldsThemIsAmongTheFirstBaysChecks) {
  Design d;
  const TrueWing w = wingOf(d);
  const BayCheck* brace = checkOf(w.inner().bays.front(), BayCheck::What::brace);
  ASSERT_NE(brace, nullptr);
  EXPECT_NEAR(brace->reserve(), figureOf(w, "brace.reserve"), 1e-9);
  EXPECT_NEAR(checkOf(w.inner().bays.front(), BayCheck::What::braceGlue)->reserve(), figureOf(w, "brace.glue"), 1e-9);
  d.inner().join.brace = false;
  d.inner().join.joiner.fitted = true;
  const TrueWing joined = wingOf(d);
  EXPECT_EQ(checkOf(joined.inner().bays.front(), BayCheck::What::brace), nullptr);
  EXPECT_NEAR(checkOf(joined.inner().bays.front(), BayCheck::What::joiner)->reserve(),
              figureOf(joined, "joiner.reserve"), 1e-9);
  EXPECT_NEAR(checkOf(joined.inner().bays.front(), BayCheck::What::ribs)->reserve(), figureOf(joined, "joiner.ribs"),
              1e-9);
  // By hand: the couple on the socket's length, and the lift at the join, over 3 mm of balsa and 9 mm of sleeve.
  const JoinStrength& s = joined.inner().joinStrength;
  const double leg = std::min(joined.inner().joiner->reach, joined.inner().joiner->reachInside);
  const double pressed = d.own.named(d.inner().join.joiner.material).compressionAcross;
  const double bears = (6 * s.moment / (leg * leg) - 2 * s.shear / leg) / d.inner().join.joiner.diameter;
  EXPECT_NEAR(figureOf(joined, "joiner.socket"), pressed / bears, 1e-9 * pressed / bears);
  EXPECT_NEAR(checkOf(joined.inner().bays.front(), BayCheck::What::socket)->reserve(), pressed / bears,
              1e-9 * pressed / bears);
  EXPECT_FALSE(hasFinding(joined.findings, "joiner.socket"));
  EXPECT_NEAR(s.crushReserve, std::min(9 * 3 * 1.0 / (s.moment / leg + s.shear), 9 * 2 * 1.0 / (s.moment / leg)), 1e-9);
  EXPECT_TRUE(hasFinding(joined.findings, "joiner.ribs"));
  d.inner().join.joiner.facing = 3;
  EXPECT_GT(figureOf(wingOf(d), "joiner.ribs"), 4 * figureOf(joined, "joiner.ribs"));
  d.inner().join.joiner.material = "foam-eps-15"; // a rod that is softer than what it bears on
  EXPECT_TRUE(hasFinding(wingOf(d).findings, "joiner.socket"));
}

TEST(Joins, AWeakGlueCountsWhereItIsWeakerThanTheWood) {
  Design d = withWebs(Webs::between);
  const TrueWing good = wingOf(d);
  d.glue = "contact";
  const TrueWing weak = wingOf(d);
  EXPECT_NEAR(figureOf(weak, "spar.1.webGlue") / figureOf(good, "spar.1.webGlue"), 0.7 / 2.1, 1e-9);
  EXPECT_NEAR(figureOf(weak, "brace.glue") / figureOf(good, "brace.glue"), 0.7 / 2.1, 1e-9);
}

TEST(Sizing, MayDoubleCapsInboard) {
  Design d = withWebs(Webs::between);
  d.inner().spars[0].webThickness = 4, d.inner().spars[0].webMaterial = "birch-ply"; // the caps are what is sized
  const TrueWing w = wingOf(d);
  SizingOrder order;
  order.materials = {"spruce"}, order.stock = {2, 3, 4, 6, 8, 10}, order.mayTaper = false;
  const auto plain = sparSizes(w.inner(), w.main().loads, order);
  order.mayStep = true;
  const auto stepped = sparSizes(w.inner(), w.main().loads, order);
  ASSERT_FALSE(plain.empty() || stepped.empty());
  EXPECT_LT(stepped.front().grams, plain.front().grams);
  EXPECT_TRUE(stepped.front().spar.top.doubled);
  d.inner().spars[0] = stepped.front().spar;
  double least = 1e9;
  const TrueWing taken = wingOf(d);
  for (const SparBay& bay : taken.inner().bays)
    for (const BayCheck& c : bay.checks)
      if (c.ofSpar()) least = std::min(least, c.reserve());
  EXPECT_NEAR(least, stepped.front().reserve, 1e-9);
  EXPECT_GE(least, order.reserve);
}

TEST(LoadCases, AGustFromAboveIsAsFarTheOtherWay) {
  Design d;
  d.flying.gust = 8, d.flying.airSpeed = 16;
  const TrueWing w = wingOf(d);
  ASSERT_EQ(w.main().loads.size(), 3u);
  EXPECT_NEAR(w.main().loads[1].factor + w.main().loads[2].factor, 2, 1e-12);
  EXPECT_LT(w.main().loads[2].load.lift, 0);
  d.flying.gust = 1;
  EXPECT_EQ(wingOf(d).main().loads.size(), 2u) << "lift that only falls loads nothing";
}

TEST(StrengthCard, TellsEveryBayAndItsCautions) {
  Design d = withWebs(Webs::between);
  d.flying.tipTouch = 1, d.flying.diveSpeed = 22, d.flying.kind = "own-1";
  d.own.loadFactors.push_back({.key = "own-1", .label = "club pylon", .pull = 18, .push = 7, .source = "our logger"});
  d.inner().join.braceMaterial = "beech";
  const TrueWing w = wingOf(d);
  std::string all;
  for (const Label& l : strengthCard(drawn(w).front(), Hand::left).labels) all += l.text + "\n";
  EXPECT_NE(all.find("LEFT HAND"), std::string::npos);
  for (std::size_t i = 1; i < w.inner().ribs.size(); ++i)
    EXPECT_NE(all.find("R" + std::to_string(i) + " to R" + std::to_string(i + 1)), std::string::npos) << i;
  for (const char* words :
       {"model aircraft only", "no approval", "licensed", "landing on a tip", "Sitka spruce", "USDA",
        "yellow wood glue", "18.00 × the weight (club pylon: our logger)", "diving: 22 m/s", "beech"})
    EXPECT_NE(all.find(words), std::string::npos) << words;
  d.inner().spars.clear();
  EXPECT_FALSE(strengthCard(drawn(wingOf(d)).front(), Hand::right).labels.empty());
}

} // namespace
} // namespace eup
