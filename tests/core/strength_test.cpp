#include "core/geometry/region.h"
#include "core/strength/d_box.h"
#include "core/strength/spar_strength.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::wingOf;

SpanLoad load(LoadShape shape) {
  return {halfLift(1350, 6), 750, {{0, 750, 250, 160}}, shape};
}

TEST(Loads, HalfLiftAndRootMoments) {
  EXPECT_NEAR(halfLift(1350, 6), 39.717, 0.001);
  EXPECT_NEAR(load(LoadShape::schrenk).moment(0), 13223, 1);
  // Schrenk, NACA TM 948 (1940): mean of chord and ellipse. Root arms in closed form: 4 b ÷ 3π and b (1 + 2λ) ÷ 3 (1 +
  // λ).
  const double taper = 160.0 / 250;
  EXPECT_NEAR(load(LoadShape::ellipse).moment(0), 39.717 * 750 * 4 / (3 * pi), 1);
  EXPECT_NEAR(load(LoadShape::chord).moment(0), 39.717 * 750 * (1 + 2 * taper) / (3 * (1 + taper)), 1);
}

RC_GTEST_PROP(Loads, ShearAndMomentAreTheIntegralsOfTheLift, ()) {
  SpanLoad l;
  l.lift = *rc::gen::inRange(1, 100);
  l.shape = *rc::gen::element(LoadShape::schrenk, LoadShape::ellipse, LoadShape::chord);
  double at = 0, chord = *rc::gen::inRange(50, 400);
  for (int k = *rc::gen::inRange(1, 4); k > 0; --k) { // up to three panels
    const double to = at + *rc::gen::inRange(100, 900), tip = *rc::gen::inRange(50, 400);
    l.runs.push_back({at, to, chord, tip});
    at = to, chord = tip;
  }
  l.halfSpan = at;
  const double from = *rc::gen::inRange(0, 100) / 100.0 * l.halfSpan;
  double shear = 0, moment = 0;
  constexpr int n = 4000;
  for (int i = 0; i < n; ++i) { // substituted so that the ellipse's steep end is met by small steps
    const double a = (i + 0.5) / n, y = from + (l.halfSpan - from) * (1 - (1 - a) * (1 - a)),
                 w = 2 * (1 - a) * (l.halfSpan - from) / n;
    shear += l.perLength(y) * w;
    moment += l.perLength(y) * (y - from) * w;
  }
  RC_ASSERT(std::abs(shear - l.shear(from)) < 2e-4 * l.lift);
  RC_ASSERT(std::abs(moment - l.moment(from)) < 2e-4 * l.lift * l.halfSpan);
  RC_ASSERT(std::abs(l.shear(0) - l.lift) < 1e-9 * l.lift);
}

// Two caps 6 × 3, outer depth 22, by hand: I = 2 (6·3³/12 + 18·9.5²) = 3276 mm⁴; σ = M z ÷ I.
TEST(BentSection, TwoEqualCaps) {
  const BentSection b = bentSection({{0, 3, 6, 10800}, {19, 22, 6, 10800}});
  EXPECT_NEAR(b.stiffness / 10800, 3276, 0.5);
  EXPECT_NEAR(b.axis, 11, 1e-9);
  EXPECT_NEAR(b.stress(13223, 22, 10800), 44.4, 0.05);
}

// Transformed section: spruce 6 × 3 above, carbon 6 × 1 below.
TEST(BentSection, MixedCaps) {
  const BentSection b = bentSection({{0, 1, 6, 120000}, {19, 22, 6, 10800}});
  EXPECT_NEAR(b.axis, 4.752, 0.001);
  EXPECT_NEAR(b.stiffness, 6.143e7, 5e4);
  EXPECT_TRUE(bentSection({}).empty());
}

// Bredt's formula on a box by hand: 60 × 20, wall 1.5: 4 · 1200² · 1.5 ÷ 160 = 54 000 mm⁴.
TEST(NoseBox, TorsionConstantOfARectangle) {
  EXPECT_NEAR(torsionConstant(rectangle({0, 0}, {60, 20}), 1.5), 54000, 1e-6);
}

// Plain V ÷ h is too high where the wing gets thinner outwards and too low where it gets thicker.
TEST(WebShear, CountsTheTaperOfTheDepth) {
  const SpanLoad l = load(LoadShape::schrenk);
  const double thinner = webShearFlow(l.shear(0), l.moment(0), 26, (15.0 - 26) / 750);
  const double thicker = webShearFlow(l.shear(0), l.moment(0), 15, (26.0 - 15) / 750);
  EXPECT_LT(thinner, l.shear(0) / 26 * 0.9);
  EXPECT_GT(thicker, l.shear(0) / 15 * 1.2);
  EXPECT_NEAR(webShearFlow(40, 10000, 20, 0), 2, 1e-12);
  // Second route: two caps meeting at the tip of a wedge take the shear of a tip load by themselves, as their own pull.
  EXPECT_NEAR(webShearFlow(10, 10 * 500, 20, -20.0 / 500), 0, 1e-12);
}

TEST(Strength, SparsShareByStiffness) {
  Design d;
  d.inner().spars.push_back(d.inner().spars[0]);
  d.inner().spars[1].rootFraction = d.inner().spars[1].tipFraction = 0.6;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(w.inner().strength.bending.spars[0].share + w.inner().strength.bending.spars[1].share, 1, 1e-12);
  EXPECT_GT(w.inner().strength.bending.spars[0].share, w.inner().strength.bending.spars[1].share)
      << "the deeper one carries more";
}

RC_GTEST_PROP(Strength, MoreWoodNeverLowersTheReserve, ()) {
  Design d;
  const double width = *rc::gen::inRange(20, 100) / 10.0, more = *rc::gen::inRange(1, 40) / 10.0;
  d.inner().spars[0].top.width = d.inner().spars[0].bottom.width = width;
  const auto before = wingOf(d).inner().strength.bending.spars[0].worstReserve;
  d.inner().spars[0].top.width = d.inner().spars[0].bottom.width = width + more;
  RC_ASSERT(wingOf(d).inner().strength.bending.spars[0].worstReserve >= before);
}

TEST(Strength, FindingsNameTheWeakSpar) {
  Design d;
  d.flying.mass = 9000;
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "spar.reserve"));
  d.flying.mass = 200;
  EXPECT_FALSE(test::hasFinding(findingsOf(wingOf(d)), "spar.reserve"));
}

// A cantilever of constant section under a load in proportion to its (constant) chord: w L⁴ ÷ 8 EI (handbook formula).
TEST(Strength, DeflectionOfAnEvenCantilever) {
  Design d = test::bareDesign();
  d.inner().panel.tipChord = d.inner().panel.rootChord;
  d.inner().panel.washoutDeg = 0;
  d.flying.shape = LoadShape::chord;
  d.inner().spars.push_back({});
  const TrueWing w = wingOf(d);
  const double perMm = w.inner().strength.bending.load.lift / 700;
  EXPECT_NEAR(w.inner().strength.bending.tipDeflection,
              perMm * std::pow(700, 4) / (8 * w.inner().strength.bending.rootStiffness),
              0.001 * w.inner().strength.bending.tipDeflection);
}

} // namespace
} // namespace eup
