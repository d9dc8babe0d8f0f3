// When thin sheet buckles: webs, sheet that is pressed, a closed nose that is twisted; against Ritz's method.
#include "bays.h"
#include "core/strength/plate_buckling.h"
#include <cmath>
#include <Eigen/Eigenvalues>

namespace eup {
namespace {

using test::checkOf;

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

} // namespace
} // namespace eup
