// Packing from the stock at hand, tapered strips, feet under the ribs.
#include "core/geometry/polyline.h"
#include "core/joins/packing.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <numeric>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

TEST(Packing, TakesTheFewestPieces) {
  const std::vector<double> stock{0.8, 1, 1.5, 2, 3, 5, 10};
  const auto pieces = [&](double h) { return stackFor(h, stock).pieces; };
  EXPECT_EQ(pieces(5), (std::vector<double>{5}));
  EXPECT_EQ(pieces(4.5), (std::vector<double>{3, 1.5}));
  EXPECT_EQ(pieces(6.5), (std::vector<double>{5, 1.5}));
  EXPECT_EQ(pieces(0.1), (std::vector<double>{})) << "finer than can be felt";
  EXPECT_EQ(pieces(95).size(), 10u) << "nine tens and a five";
  EXPECT_NEAR(stackFor(0.5, stock).remainder, -0.3, 1e-9);
  EXPECT_TRUE(stackFor(7, {}).pieces.empty());
  EXPECT_NEAR(stackFor(7, {}).remainder, 7, 1e-9);
  EXPECT_TRUE(stackFor(-2, stock).pieces.empty());
  for (const double odd : {0.0, -3.0, 1e-300, 0.05}) EXPECT_TRUE(stackFor(7, {odd}).pieces.empty()) << odd;
  EXPECT_NEAR(stackFor(9000, stock).remainder, 9000, 1e-9) << "a block is wanted there";
  EXPECT_EQ(stackText(stackFor(4.5, stock), LengthUnit::mm), "3 + 1.5");
  EXPECT_EQ(stackText(stackFor(20, stock), LengthUnit::mm), "2 × 10");
  EXPECT_EQ(stackText(stackFor(0, stock), LengthUnit::mm), "nothing");
  EXPECT_EQ(stackText(stackFor(3.4, {3}), LengthUnit::mm), "3, 0.4 to make up");
}

/// Against trying every stack there is.
RC_GTEST_PROP(Packing, IsAsGoodAsTryingAll, ()) {
  std::vector<double> stock;
  for (int i = *rc::gen::inRange(1, 6); i > 0; --i) stock.push_back(*rc::gen::inRange(5, 60) / 10.0);
  const double height = *rc::gen::inRange(3, 150) / 10.0;
  const PackingStack got = stackFor(height, stock);
  RC_ASSERT(std::abs(std::accumulate(got.pieces.begin(), got.pieces.end(), 0.0) + got.remainder - height) < 1e-9);
  if (got.pieces.size() > static_cast<std::size_t>(mostPacking)) return;
  // All sums of up to as many pieces: none with fewer is near enough, none with up to five is nearer when none is.
  std::vector<double> sums{0};
  double nearest = height;
  for (std::size_t n = 1; n <= static_cast<std::size_t>(mostPacking); ++n) {
    std::vector<double> more;
    for (double s : sums)
      for (double piece : stock)
        if (s + piece < height + 6) more.push_back(s + piece);
    std::sort(more.begin(), more.end());
    more.erase(std::unique(more.begin(), more.end(), [](double a, double b) { return b - a < 1e-9; }), more.end());
    for (double s : more) {
      nearest = std::min(nearest, std::abs(height - s));
      if (n < got.pieces.size()) RC_ASSERT(std::abs(height - s) > packingWithin);
    }
    sums = std::move(more);
  }
  if (std::abs(got.remainder) > packingWithin) RC_ASSERT(std::abs(got.remainder) < nearest + 1e-9);
}

TEST(Packing, StripsTaperFromRootToTip) {
  const TrueWing w = wingOf(Design{});
  const auto strips = taperedStrips(w.inner().settingUp);
  ASSERT_EQ(strips.size(), 4u); // LE, main spar, TE front, TE
  EXPECT_NEAR(strips[0].root, figureOf(w, "setup.1.le"), 1e-9);
  EXPECT_NEAR(strips[3].tip, figureOf(w, "setup.12.te"), 1e-9);
  for (const TaperedStrip& s : strips) {
    EXPECT_NEAR(std::tan(s.fence), (s.root - s.tip) / 700, 1e-12);
    EXPECT_LT(std::abs(s.worstOff), 0.3) << "lines of one chord fraction are straight";
  }
}

// Trade value: strips from one sheet, 12 to 9 mm over 915 mm, fence 0.18785° (worked from the arc tangent).
TEST(Packing, FenceOfATaperedStrip) {
  SettingUp setting;
  setting.ribs = {{1, {{"LE", 0, 0, 12, 0, true}}, 0, {}}, {2, {{"LE", 0, 915, 9, 0, true}}, 0, {}}};
  EXPECT_NEAR(radToDeg(taperedStrips(setting).front().fence), 0.18785, 1e-5);
}

Design onFeet() {
  Design d;
  d.inner().join.feet = true;
  d.inner().panel.washoutDeg = 2.5;
  return d;
}

/// With every foot on the board the washout of the loft is there: by the feet's own lengths, rib by rib.
TEST(Feet, HoldTheWashoutThatIsBuiltIn) {
  const TrueWing w = wingOf(onFeet());
  const TruePanel& p = w.inner();
  for (const RibSupports& s : p.settingUp.ribs) {
    ASSERT_EQ(s.feet.size(), 2u) << s.rib;
    const Rib& rib = p.rib(s.rib);
    // The two feet's soles lie on one line in the rib's own axes: its slope there is the rib's turn.
    const Point a = s.feet[0].outline[0], b = s.feet[1].outline[1];
    EXPECT_NEAR(radToDeg(std::atan2(a.y() - b.y(), b.x() - a.x())), radToDeg(rib.frame.washout), 0.01) << s.rib;
    for (const Foot& f : s.feet) {
      EXPECT_GE(f.length, 3 - 1e-6);
      for (std::size_t k = 0; k < 2; ++k)
        EXPECT_NEAR(p.rib(s.rib).frame.fromChord(f.outline[k]).y(), p.shape.loft.lowest() - 3, 1e-6) << "on the board";
    }
  }
}

TEST(Feet, AreOnePieceWithTheRibAndStayBelowIt) {
  const TrueWing w = wingOf(onFeet());
  const TruePanel& p = w.inner();
  for (const RibSupports& s : p.settingUp.ribs) {
    const Rib& rib = p.rib(s.rib);
    Region whole = rib.wood;
    double feet = 0;
    for (const Foot& f : s.feet) {
      whole = unite(whole, {f.outline});
      feet += std::abs(signedArea(f.outline));
      for (const Notch& n : rib.notches)
        EXPECT_TRUE(intersect({f.outline}, {n.shape}).empty()) << "clear of the cap at R" << s.rib;
    }
    EXPECT_EQ(pieceCount(whole), 1) << "R" << s.rib;
    EXPECT_NEAR(areaOf(whole), rib.cutArea + feet, 0.02 * feet + 6) << "only a sliver of it is in the rib";
  }
  // Printed and cut with the rib.
  const DrawnWing drawing = test::drawn(w);
  const Drawing with = ribDrawing(drawing.front(), p.frame.ribs[4], Hand::right);
  double lowest = 0;
  for (const Stroke& s : with.strokes)
    if (s.layer == Layer::cut) lowest = std::min(lowest, boundsOf(s.points).low.y());
  EXPECT_LT(lowest, boundsOf(p.frame.ribs[4].wood).low.y() - 2.5);
}

TEST(Feet, RibsTooShortForTwoAreTold) {
  Design d = onFeet();
  d.inner().join.footWidth = 60;
  d.inner().panel.tipChord = 90;
  EXPECT_TRUE(test::hasFinding(findingsOf(wingOf(d)), "setup.feet"));
  EXPECT_FALSE(test::hasFinding(findingsOf(wingOf(onFeet())), "setup.feet"));
}

TEST(SettingUpBoard, HasEverySupport) {
  Design d;
  const TrueWing w = wingOf(d);
  const DrawnWing drawing = test::drawn(w);
  for (const Hand hand : {Hand::right, Hand::left}) {
    const Drawing board = settingUpDrawing(drawing.front(), hand);
    std::string text;
    for (const Label& l : board.labels) text += l.text + "\n";
    for (const RibSupports& rib : w.inner().settingUp.ribs)
      for (const Support& s : rib.at)
        EXPECT_NE(text.find(shown(s.height, Quantity::length, d.unit).number), std::string::npos);
    EXPECT_NE(text.find(nameLarge(hand)), std::string::npos);
    int crosses = 0;
    for (const Stroke& s : board.strokes) crosses += s.layer == Layer::cut && !s.closed;
    EXPECT_EQ(crosses, 2 * 12 * 4);
  }
}

// By hand: 0.5 mm over the distance between the supports, and over the panel's length.
TEST(Errors, HalfAMillimetreUnderTheTail) {
  const TrueWing w = wingOf(Design{});
  const Rib& tip = w.inner().frame.ribs.back();
  EXPECT_NEAR(figureOf(w, "error.washout"),
              std::atan(0.5 / (tip.frame.te.x() - tip.frame.le.x() -
                               7 / std::cos(std::atan(30 / 700.0)) * std::cos(tip.frame.washout))),
              1e-6);
  EXPECT_NEAR(figureOf(w, "error.rise"), std::asin(0.5 / 700), 1e-12);
}

} // namespace
} // namespace eup
