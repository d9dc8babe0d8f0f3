#include "core/plan/calibration.h"
#include "core/plan/readings.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

PlanSheet sheet() {
  PlanSheet s;
  s.width = 4000, s.height = 3000, s.dpi = 254; // 0.1 mm a pixel as printed
  return s;
}

/// A print that is `along` and `across` times as long as it should be and leans by `skew`: pixel of a true place, mm.
Point printed(const Point& mm, double along, double across, double skew) {
  return {(mm.x() + mm.y() * std::tan(skew)) * along * 10, 3000 - mm.y() * across * 10};
}

KnownLength known(const Point& a, const Point& b, double along, double across, double skew) {
  return {"l", {printed(a, along, across, skew), printed(b, along, across, skew)}, (b - a).norm()};
}

TEST(MakeTrue, WithNothingKnownTakesTheFilesResolution) {
  const TrueSheet t = makeTrue(sheet()).value();
  EXPECT_EQ(t.seen, Seen::nothing);
  EXPECT_NEAR(t.along, 0.1, 1e-12);
  EXPECT_NEAR((t.mm({100, 3000}) - Point(10, 0)).norm(), 0, 1e-9);
  PlanSheet mute = sheet();
  mute.dpi = 0;
  EXPECT_NE(makeTrue(mute).value().words[0].find("150"), std::string::npos);
}

TEST(MakeTrue, WithOneLengthGivesOneScaleAndSaysWhatItCannotSee) {
  PlanSheet s = sheet();
  s.lengths = {known({10, 10}, {310, 10}, 0.98, 0.95, 0)};
  const TrueSheet t = makeTrue(s).value();
  EXPECT_EQ(t.seen, Seen::oneScale);
  EXPECT_NEAR(t.along, 0.1 / 0.98, 1e-9);
  EXPECT_NEAR(t.across, t.along, 1e-12);
  EXPECT_NE(t.words[0].find("2 % short"), std::string::npos) << t.words[0];
  EXPECT_NE(t.words[1].find("cannot be seen"), std::string::npos);
  s.lengths.push_back(known({10, 50}, {350, 60}, 0.98, 0.95, 0)); // nearly the same direction: no more is seen
  EXPECT_EQ(makeTrue(s).value().seen, Seen::oneScale);
}

TEST(MakeTrue, WithTwoDirectionsTellsAlongFromAcross) {
  PlanSheet s = sheet();
  s.lengths = {known({10, 10}, {310, 10}, 1, 0.987, 0), known({10, 10}, {10, 210}, 1, 0.987, 0)};
  const TrueSheet t = makeTrue(s).value();
  EXPECT_EQ(t.seen, Seen::twoScales);
  EXPECT_NE(t.words[0].find("1.3 % short across"), std::string::npos) << t.words[0];
  EXPECT_EQ(t.words[0].find("along"), std::string::npos) << t.words[0];
  EXPECT_NE(t.words[1].find("diagonal"), std::string::npos);
}

RC_GTEST_PROP(MakeTrue, RecoversAnyStretchAndSkewFromThreeDirections, ()) {
  const double along = *rc::gen::inRange(950, 1050) / 1000.0, across = *rc::gen::inRange(950, 1050) / 1000.0,
               skew = degToRad(*rc::gen::inRange(-200, 200) / 100.0);
  PlanSheet s = sheet();
  const auto l = [&](Point a, Point b) { return known(a, b, along, across, skew); };
  s.lengths = {l({10, 10}, {310, 15}), l({20, 10}, {15, 210}), l({30, 20}, {230, 190}), l({250, 20}, {60, 210})};
  const TrueSheet t = makeTrue(s).value();
  RC_ASSERT(t.seen == Seen::twoScalesSkew);
  for (double r : t.residuals) RC_ASSERT(std::abs(r) < 1e-6);
  // Any distance is true, whichever way it runs.
  const Point a(33, 44), b(*rc::gen::inRange(0, 300), *rc::gen::inRange(0, 250));
  RC_ASSERT(std::abs((t.mm(printed(a, along, across, skew)) - t.mm(printed(b, along, across, skew))).norm() -
                     (a - b).norm()) < 1e-6);
}

TEST(MakeTrue, SpreadsContradictionOverResiduals) {
  PlanSheet s = sheet();
  s.lengths = {known({10, 10}, {310, 10}, 1, 1, 0), known({10, 10}, {10, 210}, 1, 1, 0),
               known({10, 60}, {310, 60}, 1, 1, 0)};
  s.lengths[2].length = 303; // typed wrong by 1 %
  const TrueSheet t = makeTrue(s).value();
  EXPECT_NEAR(t.residuals[0], 1.5, 0.02);
  EXPECT_NEAR(t.residuals[2], -1.5, 0.02);
  EXPECT_NEAR(t.residuals[1], 0, 1e-9);
}

TEST(MakeTrue, LaysTheLevelLineLevel) {
  PlanSheet s = sheet();
  s.level = {{100, 1000}, {3100, 1100}};
  const TrueSheet t = makeTrue(s).value();
  EXPECT_NEAR(t.mm(s.level[0]).y(), t.mm(s.level[1]).y(), 1e-9);
  std::swap(s.level[0], s.level[1]); // drawn from right to left: still not upside down
  EXPECT_GT(makeTrue(s).value().mm({2000, 0}).y(), makeTrue(s).value().mm({2000, 2000}).y());
}

TEST(MakeTrue, PutsAPhotographRightByFourCorners) {
  // A camera looks down at a slant: the picture of a place is a known projective map.
  Eigen::Matrix3d camera;
  camera << 8, 1.2, 300, -0.9, -7, 2600, 0.0008, 0.0006, 1;
  const auto picture = [&](const Point& mm) { return Point((camera * mm.homogeneous()).hnormalized()); };
  PlanSheet s = sheet();
  s.by = MakeTrue::corners;
  s.cornerWidth = 300, s.cornerHeight = 200;
  s.corners = {picture({300, 200}), picture({0, 0}), picture({0, 200}), picture({300, 0})}; // in any order
  s.lengths = {{"check", {picture({20, 30}), picture({250, 180})}, (Point(20, 30) - Point(250, 180)).norm()}};
  const TrueSheet t = makeTrue(s).value();
  EXPECT_EQ(t.seen, Seen::perspective);
  EXPECT_NEAR((t.mm(picture({123, 45})) - Point(123, 45)).norm(), 0, 1e-6);
  EXPECT_NEAR(t.residuals[0], 0, 1e-6);
  EXPECT_GT(t.slant, 0.05);
  EXPECT_NEAR((t.pixel(t.mm({1234, 567})) - Point(1234, 567)).norm(), 0, 1e-6);
}

TEST(MakeTrue, RefusesWhatMakesNoSense) {
  PlanSheet s = sheet();
  s.lengths = {{"dot", {{5, 5}, {5, 5}}, 100}};
  EXPECT_NE(makeTrue(s).problem().cause.find("dot"), std::string::npos);
  s.lengths.clear();
  s.by = MakeTrue::corners;
  EXPECT_FALSE(makeTrue(s).ok());
  s.corners = {{0, 0}, {100, 100}, {200, 200}, {300, 300}};
  EXPECT_FALSE(makeTrue(s).ok());
  s.corners = {{0, 0}, {1000, 0}, {500, 300}, {500, 900}}; // a dart
  EXPECT_FALSE(makeTrue(s).ok());
}

Plan twoSheets() {
  Plan plan;
  plan.sheets = {sheet(), sheet()};
  plan.sheets[1].name = "Sheet 2";
  return plan;
}

TEST(LayOut, PutsSheetsSideBySide) {
  const auto laid = layOut(twoSheets());
  EXPECT_GE(laid[1].mm({0, 0}).x(), laid[0].mm({4000, 0}).x() + 10);
  EXPECT_NEAR(laid[1].mm({0, 3000}).y(), laid[0].mm({0, 3000}).y(), 1e-9);
}

TEST(LayOut, JoinsSheetsByMatchMarks) {
  Plan plan = twoSheets();
  const auto mark = [&](int sheet, int number, Point p) {
    plan.readings.push_back({"", ReadingKind::matchMark, sheet, Hand::right, number, {p}});
  };
  mark(1, 1, {3900, 100});
  mark(2, 1, {100, 120});
  auto laid = layOut(plan);
  EXPECT_TRUE(laid[1].matched);
  EXPECT_NEAR((laid[0].mm({3900, 100}) - laid[1].mm({100, 120})).norm(), 0, 1e-9);
  mark(1, 2, {3900, 2900});
  mark(2, 2, {100, 2920});
  laid = layOut(plan);
  EXPECT_NEAR(laid[1].matchMisfit, 0, 1e-6);
  mark(1, 3, {3000, 1500});
  mark(2, 3, {-780, 1520}); // 2 mm off
  EXPECT_NEAR(layOut(plan)[1].matchMisfit, 1.33, 0.1);
}

TEST(Readings, AreEditedAsNumbersAndMoveWithTheCalibration) {
  Plan plan = twoSheets();
  plan.readings = {{"", ReadingKind::length, 1, Hand::right, 1, {{100, 100}, {1100, 100}}},
                   {"", ReadingKind::angle, 1, Hand::right, 1, {{1000, 500}, {500, 500}, {500, 100}}},
                   {"", ReadingKind::leadingEdge, 1, Hand::right, 1, {{200, 300}}},
                   {"", ReadingKind::tip, 2, Hand::right, 1, {{0, 0}, {100, 0}, {100, 100}}}};
  EXPECT_NEAR(valueOf(plan.readings[0], layOut(plan)).value, 100, 1e-9);
  EXPECT_NEAR(valueOf(plan.readings[1], layOut(plan)).value, pi / 2, 1e-9);
  EXPECT_NEAR(valueOf(plan.readings[3], layOut(plan)).value, 20, 1e-9);
  Plan next = withValue(plan, 0, 123.4, {}).value();
  EXPECT_NEAR(valueOf(next.readings[0], layOut(next)).value, 123.4, 1e-9);
  next = withValue(plan, 1, degToRad(30), {}).value();
  EXPECT_NEAR(valueOf(next.readings[1], layOut(next)).value, degToRad(30), 1e-9);
  next = withValue(plan, 2, 55, 66).value();
  EXPECT_NEAR(valueOf(next.readings[2], layOut(next)).value, 55, 1e-9);
  EXPECT_NEAR(*valueOf(next.readings[2], layOut(next)).across, 66, 1e-9);
  EXPECT_FALSE(withValue(plan, 0, -1, {}).ok());
  EXPECT_FALSE(withValue(plan, 1, 4, {}).ok());
  EXPECT_FALSE(withValue(plan, 3, 50, {}).ok());
  EXPECT_FALSE(withValue(plan, 9, 50, {}).ok());
  // A better calibration moves every reading at once.
  plan.sheets[0].lengths = {{"bar", {{0, 0}, {1000, 0}}, 102}};
  EXPECT_NEAR(valueOf(plan.readings[0], layOut(plan)).value, 102, 1e-9);
  EXPECT_EQ(nextNumber(plan, ReadingKind::leadingEdge, Hand::right), 2);
  const Plan one = withoutSheet(plan, 1);
  ASSERT_EQ(one.readings.size(), 1u);
  EXPECT_EQ(one.readings[0].sheet, 1);
}

} // namespace
} // namespace eup
