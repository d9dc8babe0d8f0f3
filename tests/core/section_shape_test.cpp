#include "core/drawing/reference_drawing.h"
#include "core/exchange/pdf_writer.h"
#include "core/plan/plan_image.h"
#include "core/section/catalogue.h"
#include "core/section/naca.h"
#include "core/takeaway/take_away.h"
#include "naca_formula.h"
#include "support.h"
#include <numbers>
#include <random>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::naca;
SectionChoice drawn(SectionKind kind) {
  SectionChoice c;
  c.kind = kind;
  return c;
}
SectionChoice stepped(const char* digits, SectionStep step) {
  SectionChoice c = nacaSection(digits);
  c.steps = {step};
  return c;
}

// NACA Report 492 gives the modified sections: the nose radius follows the square of the index, the crest lies where
// the last digit says; index 6 with the crest at 30 % is, to drawing accuracy, the plain section.
TEST(ModifiedNaca, CrestAndRadiusAreWhereTheDigitsSay) {
  for (const char* digits : {"0012-62", "0012-63", "0012-64", "0012-65", "0012-66", "0009-34"}) {
    const SectionMeasures m = measure(naca(digits));
    EXPECT_NEAR(m.thickness, (digits[2] - '0') * 0.1 + (digits[3] - '0') * 0.01, 2e-4) << digits;
    EXPECT_NEAR(m.thicknessAt, (digits[6] - '0') / 10.0, 0.012) << digits;
  }
  EXPECT_LT(rmsBetween(naca("0012-63"), naca("0012")), 0.001);
  EXPECT_NEAR(nacaNoseRadius(readNaca("0012-33").value()), nacaNoseRadius(readNaca("0012").value()) / 4, 1e-9);
  EXPECT_NEAR(measure(naca("0012-66")).noseRadius, 1.1019 * 0.0144, 0.0012);
}

// Ordinates of 0012-64 (memory of NACA Report 492 and NASA TM X-3284, agrees to 0.02 % chord): half thickness in %
// chord.
TEST(ModifiedNaca, OrdinatesAgreeWithTheEquationsByHand) {
  const Section s = naca("0012-64");
  EXPECT_NEAR(heightAt(s.upper, 0.4), 0.06, 1e-5);
  EXPECT_NEAR(s.upper.back().y(), 0.0012, 1e-6); // 0.002 × 0.12 / 0.2
  const double u = 0.5; // d0 + d1 u + d2 u² + d3 u³ at x = 0.5 with d1 = 0.315 for a crest at 0.4
  const double d2 = (0.294 - 2 * 0.6 * 0.315) / 0.36, d3 = (-0.196 + 0.6 * 0.315) / 0.216;
  EXPECT_NEAR(heightAt(s.upper, 0.5), 0.6 * (0.002 + 0.315 * u + d2 * u * u + d3 * u * u * u), 2e-5);
}

TEST(ModifiedNaca, BadDigitsAreRefused) {
  for (const char* bad : {"0012-94", "0012-61", "0012-67", "0012-6", "23012-64", "00-1264", "0012-645"})
    EXPECT_FALSE(readNaca(bad).ok()) << bad;
  EXPECT_EQ(readNaca(" naca 2412-35 ").value().digits, "2412-35");
}

TEST(DrawnSections, HaveTheNumbersTheyWereDrawnFrom) {
  SectionChoice c = drawn(SectionKind::flatUnderside);
  SectionMeasures m = measure(sectionOf(c));
  EXPECT_NEAR(m.thickness, 0.11, 0.002);
  EXPECT_NEAR(m.thicknessAt, 0.3, 0.02);
  EXPECT_NEAR(m.noseRadius, 0.012, 0.003);
  EXPECT_NEAR(m.tailThickness, 0.008, 1e-3);
  EXPECT_GT(m.flatTo - m.flatFrom, 0.9);
  EXPECT_FALSE(m.undercamberAt.has_value());

  c = drawn(SectionKind::flatPlate);
  m = measure(sectionOf(c));
  EXPECT_NEAR(m.thickness, 0.025, 5e-5);
  EXPECT_NEAR(m.camber, 0, 1e-9);
  EXPECT_NEAR(m.noseRadius, 0.0125, 0.002);
  c.drawn.nose = PlateNose::wedge;
  c.drawn.tailTaper = 0;
  const Section wedge = sectionOf(c);
  EXPECT_NEAR(depthAt(wedge, 0.025), 0.0125, 3e-4); // half way up a wedge of 5 %
  EXPECT_NEAR(measure(wedge).tailThickness, 0.025, 1e-6);

  c = drawn(SectionKind::curvedPlate);
  m = measure(sectionOf(c));
  EXPECT_NEAR(m.camber, 0.06, 0.002);
  EXPECT_NEAR(m.camberAt, 0.5, 0.02);
  EXPECT_NEAR(m.thickness, 0.025, 0.001);
  EXPECT_NEAR(m.undercamber, 0.06, 0.002); // the underside is the same arc, hung half the plate lower at its ends too
  c.drawn.curve = PlateCurve::place;
  EXPECT_NEAR(measure(sectionOf(c)).camberAt, 0.4, 0.02);
  c.drawn.camber = 0;
  EXPECT_NEAR(measure(sectionOf(c)).camber, 0, 1e-6);

  c = drawn(SectionKind::symmetrical);
  c.drawn.thickness = 0.12;
  EXPECT_LT(rmsBetween(sectionOf(c), naca("0012")), 1e-12);
}

// A circular arc's plate is as deep everywhere, square to its middle line: checked by circles about one centre.
TEST(DrawnSections, ACircularArcIsTwoCirclesAboutOneCentre) {
  SectionChoice c = drawn(SectionKind::curvedPlate);
  c.drawn.camber = 0.08, c.drawn.plate = 0.02;
  const Section s = sectionOf(c);
  const auto circle = [](const Polyline& line) { // through three points
    const Point a = line[30], b = line[60], d = line[95];
    Eigen::Matrix2d m;
    m << 2 * (b.x() - a.x()), 2 * (b.y() - a.y()), 2 * (d.x() - a.x()), 2 * (d.y() - a.y());
    const Point centre =
        Point(m.inverse() * Eigen::Vector2d(b.squaredNorm() - a.squaredNorm(), d.squaredNorm() - a.squaredNorm()));
    return std::pair(centre, (a - centre).norm());
  };
  const auto [up, big] = circle(s.upper);
  const auto [low, small] = circle(s.lower);
  EXPECT_LT((up - low).norm(), 0.004);
  EXPECT_NEAR(big - small, 0.02, 0.001);
  EXPECT_NEAR((big + small) / 2, (0.25 + 0.0064) / 0.16, 0.02);
}

RC_GTEST_PROP(DrawnSections, NeverCrossWhateverTheNumbers, ()) {
  SectionChoice c;
  c.kind = *rc::gen::element(SectionKind::flatUnderside, SectionKind::flatPlate, SectionKind::curvedPlate,
                             SectionKind::symmetrical);
  auto& n = c.drawn;
  n.thickness = *rc::gen::inRange(60, 200) / 1000.0;
  n.thicknessAt = *rc::gen::inRange(200, 450) / 1000.0;
  n.noseRadius = n.thickness * *rc::gen::inRange(50, 140) / 1000.0;
  n.tail = *rc::gen::inRange(0, 20) / 1000.0;
  n.plate = *rc::gen::inRange(2, 60) / 1000.0;
  n.camber = *rc::gen::inRange(0, 120) / 1000.0;
  n.camberAt = *rc::gen::inRange(200, 700) / 1000.0;
  n.curve = *rc::gen::element(PlateCurve::arc, PlateCurve::place);
  n.nose = *rc::gen::element(PlateNose::round, PlateNose::wedge);
  const Section s = sectionOf(c);
  for (int i = section_grid::noseSteps + 3; i + 1 < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    RC_ASSERT(s.upper[k].y() >= s.lower[k].y() - 1e-9);
    RC_ASSERT(s.upper[k].allFinite());
  }
}

TEST(Steps, DoWhatTheySay) {
  EXPECT_NEAR(measure(sectionOf(stepped("2412", {.kind = StepKind::thickness, .thickness = 0.09}))).thickness, 0.09,
              1e-6);
  const SectionMeasures cambered = measure(sectionOf(stepped("2412", {.kind = StepKind::camber, .camber = 0.035})));
  EXPECT_NEAR(cambered.camber, 0.035, 1e-4);
  EXPECT_NEAR(cambered.thickness, 0.12, 2e-4);
  EXPECT_NEAR(measure(sectionOf(stepped("0012", {.kind = StepKind::camber, .camber = 0.02}))).camber, 0.02, 1e-4);
  const SectionMeasures tail = measure(sectionOf(stepped("2412", {.kind = StepKind::tail, .tail = 0.01})));
  EXPECT_NEAR(tail.tailThickness, 0.01, 1e-6);
  EXPECT_NEAR(tail.thickness, 0.12, 2e-4);
  const double radius = measure(naca("2412")).noseRadius;
  EXPECT_NEAR(measure(sectionOf(stepped("2412", {.kind = StepKind::nose, .nose = 1.6}))).noseRadius / radius, 1.6, 0.1);
  EXPECT_NEAR(measure(sectionOf(stepped("2412", {.kind = StepKind::nose, .nose = 0.5}))).noseRadius / radius, 0.5,
              0.07);
  const Section hollow = naca("6409");
  ASSERT_GT(measure(hollow).undercamber, 0.005);
  const Section filled = sectionOf(stepped("6409", {.kind = StepKind::fillUndercamber}));
  EXPECT_FALSE(measure(filled).undercamberAt.has_value());
  EXPECT_GT(measure(filled).flatTo - measure(filled).flatFrom, 0.4);
  EXPECT_EQ(filled.upper, hollow.upper);
  const Section half = sectionOf(stepped("2412", {.kind = StepKind::blend, .share = 0.5, .with = "0012"}));
  EXPECT_NEAR(measure(half).camber, 0.01, 2e-4);
}

TEST(Steps, LeaveTheSourceUntouchedAndCanBeTakenBack) {
  SectionChoice c = stepped("2412", {.kind = StepKind::thickness, .thickness = 0.15});
  c.steps.push_back({.kind = StepKind::tail, .tail = 0.02});
  const ShapedSection shaped = shape(c);
  EXPECT_LT(rmsBetween(shaped.source, naca("2412")), 1e-12);
  ASSERT_EQ(shaped.steps.size(), 2u);
  EXPECT_NEAR(shaped.steps[0].moved, 0.015, 0.001); // half of 3 %, on each surface
  EXPECT_EQ(shaped.section.name, "NACA 2412, changed");
  c.steps[0].on = c.steps[1].on = false;
  EXPECT_EQ(sectionOf(c).upper, naca("2412").upper);
  EXPECT_EQ(shape(c).steps[0].moved, 0);
}

RC_GTEST_PROP(Steps, OfTheSameValueChangeNothing, ()) {
  const std::string digits = *rc::gen::element<std::string>("2412", "0009", "4415", "23012", "2410-34");
  const Section s = naca(digits.c_str());
  const SectionMeasures m = measure(s);
  RC_ASSERT(rmsBetween(s, sectionOf(stepped(digits.c_str(), {.kind = StepKind::thickness, .thickness = m.thickness}))) <
            1e-6);
  RC_ASSERT(rmsBetween(s, sectionOf(stepped(digits.c_str(), {.kind = StepKind::tail, .tail = m.tailThickness}))) <
            1e-9);
  RC_ASSERT(rmsBetween(s, sectionOf(stepped(digits.c_str(), {.kind = StepKind::nose, .nose = 1}))) < 1e-12);
  RC_ASSERT(rmsBetween(s, sectionOf(stepped(digits.c_str(), {.kind = StepKind::blend, .share = 0}))) < 1e-12);
}

/// Points as traced off a drawing of a known section, turned, moved and with noise of a steady hand.
TracedSection traceOf(const Section& s, double chord, double angle, bool noseRight, double noise, unsigned seed,
                      int n = 26) {
  std::mt19937 random(seed);
  std::normal_distribution<double> off(0, noise > 0 ? noise : 1);
  TracedSection t;
  const auto place = [&](Point p) {
    if (noseRight) p.x() = 1 - p.x();
    const Point q = p * chord;
    Point out(std::cos(angle) * q.x() - std::sin(angle) * q.y() + 50,
              std::sin(angle) * q.x() + std::cos(angle) * q.y() + 20);
    if (noise > 0) out += Point(off(random), off(random));
    return out;
  };
  for (int i = 0; i <= n; ++i) {
    const double x = std::pow(static_cast<double>(i) / n, 2);
    t.upper.push_back(place({x, heightAt(s.upper, x)}));
    t.lower.push_back(place({x, heightAt(s.lower, x)}));
  }
  std::shuffle(t.upper.begin(), t.upper.end(), random); // in any order
  return t;
}

/// Distances of the traced section's points, put back on the plan, from the true outline there; rms and worst, mm.
std::pair<double, double> offTruth(const TracedSection& traced, const Section& truth, double chord, double angle,
                                   bool noseRight) {
  const TraceFit traceFit = fitTrace(traced).value();
  const PlacedTrace& placed = traceFit.placed;
  const Section& fit = traceFit.section;
  Polyline outline = outlineOf(truth);
  for (Point& p : outline) {
    if (noseRight) p.x() = 1 - p.x();
    p = Point(std::cos(angle) * p.x() - std::sin(angle) * p.y(), std::sin(angle) * p.x() + std::cos(angle) * p.y()) *
            chord +
        Point(50, 20);
  }
  double sum = 0, worst = 0;
  int n = 0;
  for (const auto* surface : {&fit.upper, &fit.lower})
    for (int i = section_grid::noseSteps; i < section_grid::points; i += 2) {
      const Point p = placed.toPlan((*surface)[static_cast<std::size_t>(i)]);
      double best = 1e300;
      for (std::size_t k = 0; k + 1 < outline.size(); ++k) {
        const Point d = outline[k + 1] - outline[k];
        const double t = std::clamp((p - outline[k]).dot(d) / d.squaredNorm(), 0.0, 1.0);
        best = std::min(best, (outline[k] + t * d - p).norm());
      }
      sum += best * best, ++n;
      worst = std::max(worst, best);
    }
  return {std::sqrt(sum / n), worst};
}

TEST(Trace, OfAKnownSectionWithKnownNoiseIsRecoveredWithinItsTolerance) {
  for (unsigned seed = 1; seed <= 12; ++seed) {
    const Section truth = naca(seed % 3 == 0 ? "4412" : seed % 3 == 1 ? "2412" : "0010");
    constexpr double noise = 0.1, chord = 220; // mm
    TracedSection t = traceOf(truth, chord, 0.2 * seed, seed % 2 == 0, noise, seed);
    t.tolerance = 3 * noise;
    const auto fit = fitTrace(t);
    ASSERT_TRUE(fit.ok()) << seed << " " << fit.problem().text();
    EXPECT_NEAR(fit.value().chord, chord, 0.5) << seed;
    const auto [rms, worst] = offTruth(t, truth, chord, 0.2 * seed, seed % 2 == 0);
    EXPECT_LT(rms, noise) << seed; // smoother than the hand
    EXPECT_LT(worst, t.tolerance) << seed;
    EXPECT_GT(fit.value().rms, 0.03) << seed; // it smooths, rather than following the hand's tremble
    EXPECT_LE(fit.value().worst, 0.6) << seed;
  }
}

TEST(Trace, WithoutNoiseIsTheSection) {
  TracedSection t = traceOf(naca("2412"), 200, 0, false, 0, 1, 40);
  t.tolerance = 0.02;
  const auto fit = fitTrace(t);
  ASSERT_TRUE(fit.ok());
  EXPECT_LT(offTruth(t, naca("2412"), 200, 0, false).first, 0.02);
}

TEST(Trace, NamesTheWorstPoint) {
  TracedSection t = traceOf(naca("2412"), 200, 0.1, false, 0, 1);
  t.tolerance = 2;
  t.lower[13] += Point(0.1, -1.8); // one slip of the pencil
  const auto fit = fitTrace(t);
  ASSERT_TRUE(fit.ok());
  EXPECT_FALSE(fit.value().worstUpper);
  EXPECT_EQ(fit.value().worstPoint, 13u);
}

TEST(Trace, RefusesWhatIsNone) {
  EXPECT_FALSE(fitTrace({}).ok());
  TracedSection t = traceOf(naca("2412"), 200, 0, false, 0, 1);
  t.upper.resize(2);
  EXPECT_NE(fitTrace(t).problem().text().find("4 are needed"), std::string::npos);
  t = traceOf(naca("2412"), 0.1, 0, false, 0, 1);
  EXPECT_FALSE(fitTrace(t).ok());
  t = traceOf(naca("2412"), 200, 0, false, 0, 1);
  t.upper[3].x() = NAN;
  EXPECT_FALSE(fitTrace(t).ok());
}

TEST(Smoothing, MovesNoPointFartherThanItMay) {
  Section rough = naca("2412");
  std::mt19937 random(5);
  std::normal_distribution<double> off(0, 0.0006);
  for (int i = section_grid::noseSteps + 6; i + 1 < section_grid::points; ++i) {
    rough.upper[static_cast<std::size_t>(i)].y() += off(random);
    rough.lower[static_cast<std::size_t>(i)].y() += off(random);
  }
  const Section smooth = smoothed(rough, 0.002);
  for (int i = section_grid::noseSteps + 3; i < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    EXPECT_NEAR(smooth.upper[k].y(), rough.upper[k].y(), 0.0024) << i;
  }
  EXPECT_LT(rmsBetween(smooth, naca("2412")), 0.6 * rmsBetween(rough, naca("2412")));
}

TEST(NearestFourDigit, FindsItselfAndTheOnesBetween) {
  for (const char* digits : {"2412", "0009", "4415", "6409", "1408"}) {
    const NearestFourDigit n = nearestFourDigit(naca(digits));
    EXPECT_EQ(n.digits, digits);
    EXPECT_LT(n.rms, 2e-5);
  }
  // Against all of them, by brute force, for sections that are none.
  for (const char* digits : {"23012", "2410-34", "24015"}) {
    const Section s = naca(digits);
    double best = 1;
    std::string which;
    for (int m = 0; m <= 4; ++m)
      for (int p = m ? 1 : 0; p <= (m ? 6 : 0); ++p)
        for (int t = 8; t <= 17; ++t) {
          const std::string d = fmt::format("{}{}{:02}", m, p, t);
          if (const double rms = rmsBetween(s, naca(d.c_str())); rms < best) best = rms, which = d;
        }
    const NearestFourDigit n = nearestFourDigit(s);
    EXPECT_NEAR(n.rms, best, 2e-5) << digits << ": " << n.digits << " against " << which;
  }
}

TEST(Catalogue, IsSearchedByThicknessCamberAndFlatUnderside) {
  EXPECT_GT(catalogue().size(), 150u);
  const auto flat = search({.words = "", .thicknessFrom = 0.09, .thicknessTo = 0.12, .flatUnderside = true});
  ASSERT_FALSE(flat.empty());
  for (const CatalogueEntry* e : flat) {
    EXPECT_GE(e->measures.thickness, 0.0895);
    EXPECT_LE(e->measures.thickness, 0.1205);
  }
  EXPECT_TRUE(std::any_of(flat.begin(), flat.end(), [](const auto* e) { return e->family == "Flat underside"; }));
  const auto thick = search({.words = "naca 5-digit", .thicknessFrom = 0.15});
  for (const CatalogueEntry* e : thick) EXPECT_EQ(e->family, "NACA 5-digit");
  EXPECT_EQ(thick.size(), 10u);
  EXPECT_EQ(search({.words = "2412"}).front()->name, "NACA 2412");
  EXPECT_TRUE(search({.words = "no such thing"}).empty());
  for (const CatalogueEntry& e : catalogue()) EXPECT_FALSE(e.source.empty());
}

TEST(Coordinates, AreWrittenInBothLayoutsAndComeBack) {
  for (const CoordinateLayout layout : {CoordinateLayout::loop, CoordinateLayout::blocks})
    for (const char* digits : {"2412", "6409", "0009-34", "23015"}) {
      const Section s = naca(digits);
      const auto read = readCoordinates(coordinatesText(s, layout));
      ASSERT_TRUE(read.ok()) << digits << ": " << read.problem().text();
      EXPECT_LT(rmsBetween(makeSection(read.value().section), s), 2e-5) << digits;
    }
}

TEST(SectionSheet, IsFullSizeWithItsGauges) {
  const Section s = naca("2412");
  const Drawing d = sectionDrawing(s, 200, 0.0158, "Test", LengthUnit::mm);
  int loops = 0;
  double widest = 0;
  for (const Stroke& stroke : d.strokes)
    if (stroke.layer == Layer::cut && stroke.closed) {
      ++loops;
      Box box;
      for (const Point& p : stroke.points) box.include(p);
      widest = std::max(widest, box.width());
    }
  EXPECT_EQ(loops, 3); // section, nose gauge, radius gauge
  EXPECT_NEAR(widest, 200, 0.3);
  test::ScratchFolder folder;
  Design design;
  const TrueWing w = test::wingOf(design);
  for (const char* name : {"a.svg", "a.dxf", "a.pdf", "a.dat", "b.txt"})
    EXPECT_TRUE(writeSection(w.inner(), true, folder.path / name, CoordinateLayout::blocks).ok()) << name;
  EXPECT_FALSE(writeSection(w.inner(), true, folder.path / "a.xyz").ok());
  EXPECT_TRUE(openPlanImage(folder.path / "a.svg").ok());
  EXPECT_NE(test::slurp(folder.path / "a.dat").find("109."), std::string::npos);
  EXPECT_FALSE(writeReference(w.plan, w.design, Hand::left, folder.path / "r.pdf").ok()); // nothing was read
}

/// The formula's own radius, 1.1019 t² ÷ √(1 + slope²) (NACA Report 460), from points as they would be listed.
TEST(NoseRadius, OfListedPointsIsTheFormulas) {
  for (const char* digits : {"2412", "0012", "4415", "6409", "0018"})
    for (const int points : {12, 18, 35, 80}) {
      SectionChoice choice;
      choice.kind = SectionKind::listed;
      choice.listed.upper.assign(1, Point(0, 0));
      choice.listed.lower = choice.listed.upper;
      for (int i = 1; i <= points; ++i) {
        const double x = (1 - std::cos(std::numbers::pi * i / points)) / 2; // as such lists are spaced
        const auto rounded = [](const Point& p) -> Point {
          return Point(std::round(p.x() * 1e5), std::round(p.y() * 1e5)) / 1e5;
        };
        for (const bool upper : {true, false}) {
          Point p = rounded(test::nacaPoint(digits, x, upper));
          if (i == points) p.x() = 1;
          (upper ? choice.listed.upper : choice.listed.lower).push_back(p);
        }
      }
      const double got = noseRadiusOf(choice, measure(makeSection(choice.listed))),
                   want = nacaNoseRadius(readNaca(digits).value());
      EXPECT_NEAR(got, want, (points < 18 ? 0.03 : 0.01) * want) << digits << " by " << points;
    }
  EXPECT_NEAR(measure(naca("2412")).noseRadius, 0.0157882, 0.0157882 * 0.01); // second route
}

/// On a chord of 508 mm no section is farther from its formula than a hundredth, or so, of a millimetre.
TEST(SectionGrid, FollowsTheFormulaClosely) {
  for (const char* digits : {"2412", "6406", "0018", "4421"}) {
    const Section s = naca(digits);
    double worst = 0;
    for (int i = 1; i < 4000; ++i)
      for (const bool upper : {true, false}) {
        const Point at = test::nacaPoint(digits, 0.99 * i * i / 16e6, upper);
        double off = 1e9;
        const Polyline& line = upper ? s.upper : s.lower;
        for (std::size_t k = 1; k < line.size(); ++k) {
          const Point a = line[k - 1], way = line[k] - a;
          const double share = way.squaredNorm() > 0 ? std::clamp((at - a).dot(way) / way.squaredNorm(), 0.0, 1.0) : 0;
          off = std::min(off, (at - a - way * share).norm());
        }
        worst = std::max(worst, off);
      }
    EXPECT_LT(worst * 508, 0.014) << digits;
  }
}

/// Under the tail of a cambered section: the slope of the surface at its end, by the formula itself.
TEST(TailSlope, OfACamberedSectionIsItsOwn) {
  for (const char* digits : {"6406", "2412", "4409"}) {
    Design d = test::bareDesign();
    d.inner().sections.root = d.inner().sections.tip = nacaSection(digits);
    d.inner().panel = test::panelOf(400, 508, 508);
    const Point way = test::nacaPoint(digits, 1, false) - test::nacaPoint(digits, 1 - 1e-6, false);
    const TrueWing w = test::wingOf(d);
    EXPECT_NEAR(radToDeg(w.inner().settingUp.ribs.front().at.back().slope), radToDeg(std::atan2(way.y(), way.x())),
                0.05)
        << digits;
  }
}

} // namespace
} // namespace eup
