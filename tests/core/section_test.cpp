#include "core/files/json.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/section/measured.h"
#include "core/section/naca.h"
#include "places.h"
#include "support.h"

namespace eup {
namespace {

using test::naca;

struct Ordinate {
  double x, upper, lower; // % chord
};

void expectOrdinates(const char* digits, const std::vector<Ordinate>& table, double tolerance) {
  const Section s = naca(digits);
  for (const Ordinate& o : table) {
    EXPECT_NEAR(heightAt(s.upper, o.x / 100) * 100, o.upper, tolerance) << digits << " upper at " << o.x;
    EXPECT_NEAR(heightAt(s.lower, o.x / 100) * 100, o.lower, tolerance) << digits << " lower at " << o.x;
  }
}

// NACA Report 824 (Abbott, von Doenhoff, Stivers, 1945), ordinates of the NACA 2412 (from memory, agrees with the
// equation to 0.02 % of the chord).
TEST(NacaSection, Of2412AgreesWithReport824) {
  expectOrdinates("2412",
                  {{1.25, 2.15, -1.65},
                   {2.5, 2.99, -2.27},
                   {5, 4.13, -3.01},
                   {10, 5.63, -3.75},
                   {20, 7.26, -4.23},
                   {30, 7.88, -4.12},
                   {40, 7.80, -3.80},
                   {50, 7.24, -3.34},
                   {60, 6.36, -2.76},
                   {70, 5.18, -2.14},
                   {80, 3.75, -1.50},
                   {90, 2.08, -0.82}},
                  0.02);
}

// NACA Report 824, ordinates of the NACA 23012 (from memory: agrees with the equations to 0.03 % of the chord).
TEST(NacaSection, Of23012AgreesWithReport824) {
  expectOrdinates("23012",
                  {{1.25, 2.67, -1.23},
                   {2.5, 3.61, -1.71},
                   {5, 4.91, -2.26},
                   {10, 6.43, -2.92},
                   {20, 7.50, -3.97},
                   {30, 7.55, -4.46},
                   {40, 7.14, -4.48},
                   {50, 6.41, -4.17},
                   {60, 5.47, -3.67},
                   {70, 4.36, -3.00},
                   {80, 3.08, -2.16},
                   {90, 1.68, -1.23}},
                  0.03);
}

// The equation of NACA Report 460 itself, at a few stations of a symmetrical section.
TEST(NacaSection, Of0012IsTheEquation) {
  const Section s = naca("0012");
  for (double x : {0.05, 0.3, 0.6, 0.95}) {
    const double y =
        0.6 * (0.2969 * std::sqrt(x) - 0.1260 * x - 0.3516 * x * x + 0.2843 * x * x * x - 0.1015 * x * x * x * x);
    EXPECT_NEAR(heightAt(s.upper, x), y, 2e-5);
    EXPECT_NEAR(heightAt(s.lower, x), -y, 2e-5);
  }
  EXPECT_NEAR(measure(s).area, 0.0822, 0.0001);
  // Both surfaces without the tail's own face: 2.0393 chords.
  EXPECT_NEAR(lengthOf(s.upper) + lengthOf(s.lower), 2.0393, 0.0005);
}

TEST(NacaSection, NoseRadius) {
  // 1.1019 t²: NACA Report 460; 1.587 % for 12 % thickness, less where the mean line rises.
  EXPECT_NEAR(nacaNoseRadius(readNaca("0012").value()), 0.01587, 1e-5);
  EXPECT_NEAR(nacaNoseRadius(readNaca("2412").value()), 0.01579, 1e-5);
  EXPECT_NEAR(measure(naca("0012")).noseRadius, 0.01587, 0.0008) << "as measured off the points";
}

TEST(NacaSection, ReadsWhatPeopleWrite) {
  EXPECT_TRUE(readNaca("NACA 2412").ok());
  EXPECT_TRUE(readNaca(" naca-4415 ").ok());
  EXPECT_EQ(readNaca("naca23012").value().digits, "23012");
  for (const char* bad :
       {"", "241", "24224", "2012", "0412", "2400", "2460", "abcd", "21112", "23212", "26012", "00012", "-2412x"})
    EXPECT_FALSE(readNaca(bad).ok()) << bad;
}

// Values computed by a second route: brute force on dense polylines.
TEST(SectionMeasures, AgreeWithTheSecondRoute) {
  const auto all = test::jsonOf(test::slurp(test::testFile("second_route_wings.json")))["section_properties"];
  for (const char* digits : {"2410", "2412", "6406"}) {
    const auto& want = all[digits];
    const Section s = naca(digits);
    const SectionMeasures m = measure(s);
    EXPECT_NEAR(m.area, want["area"].get<double>(), 0.001 * m.area) << digits;
    EXPECT_NEAR(m.perimeter, want["perimeter"].get<double>(), 0.001 * m.perimeter) << digits;
    EXPECT_NEAR(lengthOf(s.upper) + lengthOf(s.lower), want["perimeter_no_tail"].get<double>(), 0.001 * m.perimeter)
        << digits;
    EXPECT_NEAR(m.thickness, want["thickness"].get<double>(), 2e-5) << digits;
    EXPECT_NEAR(m.thicknessAt, want["x_thickness"].get<double>(), 0.002) << digits;
    EXPECT_NEAR(m.camber, want["camber"].get<double>(), 2e-5) << digits;
    EXPECT_NEAR(m.camberAt, want["x_camber"].get<double>(), 0.004) << digits;
    EXPECT_NEAR(nacaNoseRadius(readNaca(digits).value()), want["le_radius"].get<double>(), 2e-5) << digits;
    EXPECT_NEAR(m.undercamber, want["undercamber"].get<double>(), 5e-5) << digits;
    const GridPlace g = gridPlace(0.3);
    EXPECT_NEAR(lengthOf(headOf(s.upper, {g.index, g.share})), want["arc_upper_30"].get<double>(), 0.0003) << digits;
    EXPECT_NEAR(lengthOf(headOf(s.lower, {g.index, g.share})), want["arc_lower_30"].get<double>(), 0.0003) << digits;
    // A hundredth of the chord taken off square to the surface all round.
    Polyline loop = outlineOf(s);
    for (Point& p : loop) p *= 1000;
    EXPECT_NEAR(areaOf(grown({loop}, -10)) / 1e6, want["inset_1_over_100_area"].get<double>(), 0.001 * m.area)
        << digits;
  }
  EXPECT_NEAR(*measure(naca("6406")).undercamberAt, 0.4699, 0.01);
  EXPECT_FALSE(measure(naca("2412")).undercamberAt.has_value());
}

TEST(Section, SharesOneGrid) {
  const Section a = naca("0009"), b = naca("6412");
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i) {
    EXPECT_DOUBLE_EQ(a.upper[static_cast<std::size_t>(i)].x(), b.lower[static_cast<std::size_t>(i)].x());
  }
  EXPECT_EQ(a.upper.front(), Point(0, 0));
  EXPECT_LT(b.upper[2].x(), 0) << "a cambered nose lies ahead of the leading edge point";
}

// NACA Report 537, table of reflexed mean lines, and what they are for: no moment about the quarter chord by thin
// aerofoil theory, Cm = −½ ∫ ½… of the line's slope (Glauert), at a design lift of 0.3.
TEST(Naca, ReflexedMeanLinesHaveNoMoment) {
  for (const char* digits : {"22101", "23101", "24101", "25101"}) { // thin: half way between the faces lies the line
    const auto naca = readNaca(digits);
    ASSERT_TRUE(naca.ok()) << digits << naca.problem().text();
    const Section s = makeNaca(naca.value());
    // A1 and A2 of dz/dx = A0' − Σ An cos nθ; Cm c/4 = −π/4 (A1 − A2), Cl at the ideal angle = π A1.
    double a1 = 0, a2 = 0;
    constexpr int steps = 4000;
    const double h = 1e-4;
    for (int i = 0; i < steps; ++i) {
      const double theta = (i + 0.5) * pi / steps, x = (1 - std::cos(theta)) / 2;
      const auto mid = [&](double at) { return (heightAt(s.upper, at) + heightAt(s.lower, at)) / 2; };
      const double a = std::clamp(x - h, 0.001, 0.999), b = std::clamp(x + h, 0.001, 0.999);
      if (b <= a) continue;
      const double slope = (mid(b) - mid(a)) / (b - a);
      a1 += slope * std::cos(theta) * 2 / steps, a2 += slope * std::cos(2 * theta) * 2 / steps;
    }
    EXPECT_LT(std::abs(pi / 4 * (a2 - a1)), 0.006) << digits;
    EXPECT_NEAR(pi * a1, 0.3, 0.06) << digits << ": the common grid is coarse at the nose";
  }
  // It comes down to the chord line at its end.
  const Section s = makeNaca(readNaca("23112").value());
  EXPECT_NEAR(heightAt(s.upper, 1) + heightAt(s.lower, 1), 0, 2e-4);
}

} // namespace
} // namespace eup
