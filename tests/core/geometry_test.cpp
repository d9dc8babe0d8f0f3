#include "core/geometry/circle.h"
#include "core/geometry/cover.h"
#include "core/geometry/lies_in.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/geometry/thinness.h"
#include <algorithm>
#include <gtest/gtest.h>
#include <numbers>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

Polyline circle(double radius, int n = 200) {
  Polyline out;
  for (int i = 0; i < n; ++i) {
    const double a = 2 * std::numbers::pi * i / n;
    out.emplace_back(radius * std::cos(a), radius * std::sin(a));
  }
  return out;
}

TEST(Polyline, LengthAreaCentre) {
  const Polyline square = rectangle({0, 0}, {4, 3});
  EXPECT_DOUBLE_EQ(lengthOf(square), 4 + 3 + 4);
  EXPECT_DOUBLE_EQ(perimeterOf(square), 14);
  EXPECT_DOUBLE_EQ(signedArea(square), 12);
  EXPECT_DOUBLE_EQ(signedArea({square.rbegin(), square.rend()}), -12);
  EXPECT_LT((centroidOf(square) - Point(2, 1.5)).norm(), 1e-12);
  EXPECT_NEAR(signedArea(circle(10)), std::numbers::pi * 100, 0.1);
  EXPECT_EQ(perimeterOf({}), 0);
}

TEST(Polyline, PiecesFitTogether) {
  const Polyline line{{0, 0}, {10, 0}, {10, 5}, {20, 5}};
  const PlaceOn a{0, 0.5}, b{2, 0.25};
  EXPECT_LT((pointAt(line, a) - Point(5, 0)).norm(), 1e-12);
  EXPECT_NEAR(lengthOf(headOf(line, a)) + lengthOf(pieceOf(line, a, b)) + lengthOf(tailOf(line, b)), lengthOf(line),
              1e-12);
  EXPECT_EQ(pieceOf(line, a, {0, 0.75}).size(), 2u) << "two places on one segment";
  EXPECT_NEAR(lengthOf(pieceOf(line, a, {0, 0.75})), 2.5, 1e-12);
  EXPECT_NEAR(lengthOf(headOf(line, {2, 1})), lengthOf(line), 1e-12);
}

TEST(Polyline, CrossingIsTheLastOne) {
  const Polyline there{{0, 0}, {-1, 1}, {3, 2}, {5, 0}};
  const auto at = lastCrossing(there, 0);
  ASSERT_TRUE(at.has_value());
  EXPECT_EQ(at->segment, 1u) << "the nose ahead of x = 0 is behind us";
  EXPECT_FALSE(lastCrossing(there, 6).has_value());
}

RC_GTEST_PROP(Polyline, SimplifiedStaysWithinItsTolerance, ()) {
  Polyline line;
  const int n = *rc::gen::inRange(3, 60);
  for (int i = 0; i < n; ++i) line.emplace_back(i, *rc::gen::inRange(-100, 100) / 50.0);
  const double tolerance = *rc::gen::inRange(1, 100) / 100.0;
  const Polyline less = simplified(line, tolerance);
  RC_ASSERT(less.front() == line.front() && less.back() == line.back());
  for (const Point& p : line) {
    double nearest = 1e300;
    for (std::size_t i = 1; i < less.size(); ++i) {
      const Point d = less[i] - less[i - 1];
      const double t = std::clamp((p - less[i - 1]).dot(d) / d.squaredNorm(), 0.0, 1.0);
      nearest = std::min(nearest, (p - less[i - 1] - t * d).norm());
    }
    RC_ASSERT(nearest <= tolerance + 1e-9);
  }
}

TEST(Polyline, SelfCrossing) {
  EXPECT_FALSE(selfCrossing(circle(5)).has_value());
  const auto bow = selfCrossing({{0, 0}, {4, 4}, {4, 0}, {0, 4}});
  ASSERT_TRUE(bow.has_value());
  EXPECT_EQ(bow->first, 0u);
  EXPECT_EQ(bow->second, 2u);
}

TEST(Polyline, HullIsAStraightedgeFromBelow) {
  const Polyline hull = lowerHull({{0, 0}, {2, 1}, {5, -1}, {8, 1}, {10, 0}});
  ASSERT_EQ(hull.size(), 3u);
  EXPECT_EQ(hull[1], Point(5, -1));
}

TEST(Region, CutsAndCounts) {
  const Region plate{rectangle({0, 0}, {100, 20})};
  const Region holed = subtract(plate, {rectangle({40, 5}, {60, 15})});
  EXPECT_NEAR(areaOf(holed), 2000 - 200, 1e-6);
  EXPECT_EQ(holed.size(), 2u) << "an outside and a hole";
  EXPECT_EQ(pieceCount(holed), 1);
  const Region halves = subtract(plate, {rectangle({49, -1}, {51, 21})});
  EXPECT_EQ(pieceCount(halves), 2);
  EXPECT_NEAR(areaOf(unite(plate, {rectangle({90, 0}, {120, 20})})), 2400, 1e-6);
  EXPECT_NEAR(areaOf(intersect(plate, {rectangle({90, 10}, {120, 40})})), 100, 1e-6);
  EXPECT_NEAR(areaOf(grown(plate, -1)), 98 * 18, 1e-6);
  EXPECT_NEAR(areaOf(grown(plate, 0.5)), 101 * 21, 1e-6);
  EXPECT_NEAR(areaOf(bandAlong({{0, 0}, {50, 0}}, 2)), 200, 1e-6);
  EXPECT_TRUE(bandAlong({{0, 0}}, 2).empty());
  EXPECT_EQ(withoutDust(subtract(plate, {rectangle({0.001, -1}, {99, 21})}), 0.5).size(), 1u);
}

/// A hole put in without a cut is the one that the polygon library cuts.
RC_GTEST_PROP(Region, AHoleClearOfAllEdgesIsPutInAsItIsCut, (bool turned)) {
  const double radius = 0.5 + *rc::gen::inRange(0, 300) / 100.0, x = 5 + *rc::gen::inRange(0, 2000) / 100.0;
  const Region plate = subtract({rectangle({0, 0}, {40, 10})}, {rectangle({32, 3}, {36, 6})});
  Polyline hole = circleOf({x, 5}, radius, 24);
  if (turned) std::reverse(hole.begin(), hole.end());
  Region put = plate;
  addHole(put, hole);
  const Region cut = subtract(plate, {hole});
  RC_ASSERT(put.size() == cut.size());
  RC_ASSERT(std::abs(areaOf(put) - areaOf(cut)) < 1e-9);
  RC_ASSERT(pieceCount(put) == 1);
  RC_ASSERT(areaOf(intersect(put, {rectangle({x - 0.1, 4.9}, {x + 0.1, 5.1})})) == 0.0);
}

TEST(Cover, MovesEveryLineInByItsOwnCover) {
  // A square of 40: 2 off the bottom, 3 off the right side, 5 off the top, nothing off the left.
  const Point a(0, 0), b(40, 0), c(40, 40), d(0, 40);
  const Polyline inside = underCover({{{a, b}, 2}, {{b, c}, 3}, {{c, d}, 5}, {{d, a}, 0}});
  const Region wood = subtractFromWound(inside, {});
  EXPECT_NEAR(boundsOf(wood).low.y(), 2, 1e-4);
  EXPECT_NEAR(boundsOf(wood).high.x(), 37, 1e-4);
  EXPECT_NEAR(boundsOf(wood).high.y(), 35, 1e-4);
  EXPECT_NEAR(areaOf(wood), 37 * 33, 1e-3);
  const Polyline even = underCover({{{a, b, c, d, a}, 4}});
  EXPECT_NEAR(signedArea(even), 32 * 32, 1e-9) << "one cover all round is a plain inset with sharp corners";
}

TEST(Cover, ThickerThanTheCurveLeavesNothing) {
  Polyline loop = circle(3);
  loop.push_back(loop.front());
  EXPECT_NEAR(areaOf(subtractFromWound(underCover({{loop, 1}}), {})), std::numbers::pi * 4, 0.02);
  EXPECT_NEAR(areaOf(withoutDust(subtractFromWound(underCover({{loop, 4}}), {}), 0.5)), 0, 1e-6);
}

RC_GTEST_PROP(Cover, InsetOfAConvexShapeIsTheLibrarysToo, ()) {
  Polyline loop;
  const int n = *rc::gen::inRange(5, 40);
  const double wide = *rc::gen::inRange(20, 100), cover = *rc::gen::inRange(1, 50) / 10.0;
  for (int i = 0; i < n; ++i) {
    const double a = 2 * std::numbers::pi * i / n;
    loop.emplace_back(wide * std::cos(a), 15 * std::sin(a));
  }
  Polyline closed = loop;
  closed.push_back(loop.front());
  const double ours = areaOf(subtractFromWound(underCover({{closed, cover}}), {}));
  RC_ASSERT(std::abs(ours - areaOf(grown({loop}, -cover))) < 0.01 * signedArea(loop));
}

// By the polygon library: as much of the box is in the region as the box has.
RC_GTEST_PROP(LiesIn, AgreesWithCuttingTheBoxOut, ()) {
  const auto place = [] { return Point(*rc::gen::inRange(0, 600) / 10.0, *rc::gen::inRange(0, 300) / 10.0); };
  const Point hole = place();
  const double wide = *rc::gen::inRange(1, 200) / 10.0;
  const Region region =
      subtract({{{0, 0}, {60, 4}, {57, 30}, {2, 26}}}, {rectangle(hole, hole + Point(wide, wide / 2))});
  Box box;
  const Point low = place();
  box.include(low), box.include(low + Point(*rc::gen::inRange(1, 250) / 10.0, *rc::gen::inRange(1, 100) / 10.0));
  const double whole = box.width() * box.height(), common = areaOf(intersect({rectangle(box.low, box.high)}, region));
  if (std::abs(whole - common) < 1e-2 * whole && std::abs(whole - common) > 1e-6 * whole)
    return; // a hair over the edge
  RC_ASSERT(liesIn(box, region) == (common > whole * (1 - 1e-6)));
}

TEST(Thinness, FindsTheNeckAndNotTheCorners) {
  const Region bar{rectangle({0, 0}, {100, 20})};
  EXPECT_TRUE(thinPlaces(bar, 5).empty()) << "square corners are no thin wood";
  const Region necked = subtract(bar, {rectangle({40, 8}, {50, 30}), rectangle({40, -5}, {50, 6})});
  const auto places = thinPlaces(necked, 3);
  ASSERT_EQ(places.size(), 1u);
  EXPECT_NEAR(places[0].thickness, 2, 1e-6);
  EXPECT_NEAR(places[0].at.y(), 7, 1e-6);
  EXPECT_TRUE(thinPlaces(necked, 1.9).empty());
}

TEST(Thinness, SeesTheWoodBesideAHole) {
  const Region plate = subtract({rectangle({0, 0}, {60, 30})}, {rectangle({20, 10}, {40, 29})});
  const auto places = thinPlaces(plate, 2);
  ASSERT_FALSE(places.empty());
  EXPECT_NEAR(places[0].thickness, 1, 1e-6);
}

TEST(Thinness, WoodThatRunsOutInAPointIsLetOff) {
  const Region wedge{{{0, 0}, {100, 0}, {0, 8}}};
  EXPECT_TRUE(thinPlaces(wedge, 2).empty()) << "a trailing edge is thin by its nature";
}

TEST(Thinness, ABluntedWedgeIsThinTowardsItsEnd) {
  const Region blunted{{{0, 0}, {90, 0}, {90, 0.8}, {0, 8}}};
  const auto thin = thinPlaces(blunted, 2);
  ASSERT_FALSE(thin.empty());
  for (const ThinPlace& p : thin) { // 8 − 0.08 x is under 2 beyond x = 75
    EXPECT_GT(p.at.x(), 74);
    EXPECT_LT(p.thickness, 2);
  }
}

} // namespace
} // namespace eup
