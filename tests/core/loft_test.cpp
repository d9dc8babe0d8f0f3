#include "core/loft/panel_loft.h"
#include "core/section/naca.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

PanelLoft loftOf(const Panel& p, const char* root = "2412", const char* tip = "2412") {
  return PanelLoft(p, makeNaca(readNaca(root).value()), makeNaca(readNaca(tip).value()));
}

// Second construction: a straight panel's chord line ends by hand. Root 240, tip 150, 3° about the leading edge.
TEST(Loft, TwistIsRuledNotByTheRuleOfThree) {
  const Panel p = test::panelOf(600, 240, 150, 0, 3, 0);
  const PanelLoft loft = loftOf(p);
  const double chords[] = {217.457, 194.937, 172.446}, washouts[] = {0.517, 1.154, 1.957};
  for (int i = 0; i < 3; ++i) {
    const ChordFrame f = loft.frameAt(150.0 * (i + 1));
    EXPECT_NEAR(f.chord, chords[i], 0.001);
    EXPECT_NEAR(radToDeg(f.washout), washouts[i], 0.001);
  }
}

TEST(Loft, SweepIsLaidOffBeforeTheTipIsTurned) {
  const Panel p = test::panelOf(720, 260, 160, 190, 4, 0.25);
  const ChordFrame tip = loftOf(p).frameAt(720);
  // The quarter chord point stays where the untwisted tip has it.
  const Point quarter = tip.fromChord({0.25 * tip.chord, 0});
  EXPECT_NEAR(quarter.x(), 190 + 40, 1e-9);
  EXPECT_NEAR(quarter.y(), 0, 1e-9);
  EXPECT_NEAR(tip.chord, 160, 1e-9);
  EXPECT_NEAR(radToDeg(tip.washout), 4, 1e-9);
  EXPECT_GT(tip.te.y(), 0) << "nose down lifts the tail";
}

/// A cut by a plane that leans lies on the panel's surface: every point of it, taken into the panel, is on the section
/// that stands upright there.
TEST(Loft, ALeaningCutLiesOnTheSurface) {
  const PanelLoft loft = loftOf(test::panelOf(500, 260, 120, 60, 4, 0.25), "6412", "2409");
  for (const double lean : {0.3, -0.25}) {
    const Cut cut = loft.cutLeaning(240, lean);
    for (const Face face : {Face::upper, Face::lower})
      for (std::size_t i = 5; i < cut.face(face).size(); i += 7) {
        const Point& p = cut.face(face)[i];
        const double z = p.y() * std::cos(lean), t = 240 + p.y() * std::sin(lean);
        const Polyline& here = loft.cutAt(t).face(face);
        const auto k = static_cast<std::size_t>(
            std::upper_bound(here.begin(), here.end(), p.x(), [](double x, const Point& q) { return x < q.x(); }) -
            here.begin());
        if (k == 0 || k >= here.size()) continue;
        const double share = (p.x() - here[k - 1].x()) / (here[k].x() - here[k - 1].x());
        EXPECT_NEAR(z, here[k - 1].y() + share * (here[k].y() - here[k - 1].y()), 0.02) << lean << " " << i;
      }
  }
}

TEST(Planform, OfAStraightTaper) {
  const Planform f = planformOf(std::vector{test::panelOf(750, 250, 160)});
  EXPECT_NEAR(f.meanChord, 208.293, 0.001);
  EXPECT_NEAR(f.meanChordAt, 347.561, 0.001);
  EXPECT_NEAR(f.area / 1e4, 30.75, 0.001);
  // MAC = ∫c² dy ÷ S by plain summing.
  double cc = 0, c = 0, cy = 0;
  for (int i = 0; i < 100000; ++i) {
    const double y = (i + 0.5) * 750 / 100000, chord = 250 - 90 * y / 750;
    cc += chord * chord, c += chord, cy += chord * y;
  }
  EXPECT_NEAR(f.meanChord, cc / c, 1e-4);
  EXPECT_NEAR(f.meanChordAt, cy / c, 1e-4);
}

RC_GTEST_PROP(Loft, GeneratorsAreStraight, ()) {
  const Panel p = test::panelOf(*rc::gen::inRange(200, 2000) * 1.0, *rc::gen::inRange(100, 400) * 1.0,
                                *rc::gen::inRange(60, 400) * 1.0, *rc::gen::inRange(-50, 300) * 1.0,
                                *rc::gen::inRange(-5, 6) * 1.0, *rc::gen::inRange(0, 101) / 100.0);
  const PanelLoft loft = loftOf(p, "6409", "0012");
  const double f = *rc::gen::inRange(0, 1001) / 1000.0, t = *rc::gen::inRange(0, 1001) / 1000.0 * p.span;
  for (Face face : {Face::upper, Face::lower}) {
    const Point a = loft.at(face, f, 0), b = loft.at(face, f, p.span), m = loft.at(face, f, t);
    RC_ASSERT((lerp(a, b, t / p.span) - m).norm() < 1e-9);
  }
}

RC_GTEST_PROP(Loft, ConstantChordWithoutTwistIsTheSectionItself, ()) {
  const double chord = *rc::gen::inRange(50, 400);
  const PanelLoft loft = loftOf(test::panelOf(500, chord, chord));
  const Section s = makeNaca(readNaca("2412").value());
  const Cut cut = loft.cutAt(*rc::gen::inRange(0, 500));
  for (std::size_t i = 0; i < s.upper.size(); ++i) RC_ASSERT((cut.upper[i] - s.upper[i] * chord).norm() < 1e-9);
}

} // namespace
} // namespace eup
