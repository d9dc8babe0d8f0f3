// What is carried to the bench: the plan, the bench card and the rib sheet say what the figures say.
#include "core/drawing/paging.h"
#include "core/geometry/polyline.h"
#include "core/work/take_away.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

std::string allText(const Drawing& d) {
  std::string text;
  for (const Label& l : d.labels) text += l.text + "\n";
  return text;
}

/// Heights of the closed cut loops of a drawing.
std::vector<double> cutHeights(const Drawing& d) {
  std::vector<double> out;
  for (const Stroke& s : d.strokes)
    if (s.layer == Layer::cut && s.closed) out.push_back(boundsOf(s.points).height());
  return out;
}

TEST(BenchCard, HasTheBlockAtFullSize) {
  const TrueWing w = wingOf(Design{});
  const DrawnWing drawing = drawn(w);
  const Drawing card = stacked(benchCard(drawing.front(), Hand::right), 5);
  const double block = figureOf(w, "join.block");
  const auto heights = cutHeights(card);
  EXPECT_TRUE(std::any_of(heights.begin(), heights.end(), [&](double h) { return std::abs(h - block) < 1e-6; }));
  EXPECT_NE(allText(card).find(told(block, Quantity::length, LengthUnit::mm)), std::string::npos);
}

TEST(BenchCard, HasTheBraceAtFullSize) {
  const TrueWing w = wingOf(Design{});
  const DrawnWing drawing = drawn(w);
  const Drawing card = stacked(benchCard(drawing.front(), Hand::right), 5);
  bool found = false;
  for (const Stroke& s : card.strokes) {
    if (s.layer != Layer::cut || s.points.size() != 6) continue;
    found = true;
    EXPECT_NEAR(signedArea(s.points), signedArea(w.inner().join.braces.at(0).outline), 1e-6);
  }
  EXPECT_TRUE(found);
}

TEST(BenchCard, ListsThePackingOfEveryRib) {
  for (const LengthUnit unit : {LengthUnit::mm, LengthUnit::inch}) {
    Design d;
    d.unit = unit;
    const TrueWing w = wingOf(d);
    const std::string text = allText(stacked(benchCard(drawn(w).front(), Hand::left), 5));
    for (const RibSupports& rib : w.inner().settingUp.ribs) {
      EXPECT_NE(text.find("R" + std::to_string(rib.rib) + "\n"), std::string::npos);
      for (const Support& s : rib.at)
        EXPECT_NE(text.find(shown(s.height, Quantity::length, unit).number), std::string::npos);
    }
    EXPECT_NE(text.find("model aircraft only"), std::string::npos) << "the caution is on the print";
  }
}

TEST(BenchCard, IsThereWithoutSparBraceOrDihedral) {
  Design d = test::bareDesign();
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  EXPECT_GT(benchCard(drawn(wingOf(d)).front(), Hand::right).size(), 2u);
  d.inner().join.dihedral = {DihedralBy::angle, -4};
  EXPECT_GT(benchCard(drawn(wingOf(d)).front(), Hand::right).size(), 2u) << "anhedral";
}

TEST(Plan, IsTrueToLength) {
  const TrueWing w = wingOf(Design{});
  const Drawing plan = planDrawing(drawn(w), Hand::right);
  const Box outline = boundsOf(plan.strokes.front().points);
  EXPECT_NEAR(outline.width(), 700, 1e-9);
  // Ribs stand at their stations: the line down the middle of each.
  int found = 0;
  for (const Rib& rib : w.inner().frame.ribs)
    for (const Stroke& s : plan.strokes)
      if (s.layer == Layer::mark && s.points.size() == 2 && s.points[0].x() == s.points[1].x() &&
          std::abs(s.points[0].x() - outline.low.x() - rib.t()) < 1e-6) {
        ++found;
        break;
      }
  EXPECT_EQ(found, static_cast<int>(w.inner().frame.ribs.size()));
}

TEST(RibSheet, NamesEveryRibWithItsThickness) {
  Design d;
  d.inner().spars.push_back({});
  d.inner().spars[1].kind = SparKind::fullDepth;
  d.inner().spars[1].name = "rear web";
  d.inner().spars[1].rootFraction = d.inner().spars[1].tipFraction = 0.6;
  const TrueWing w = wingOf(d);
  const std::string text = allText(ribSheets(drawn(w), Hand::left, 900, 0).front());
  for (const Rib& rib : w.inner().frame.ribs) EXPECT_NE(text.find(rib.name() + " LEFT"), std::string::npos);
  EXPECT_NE(text.find("rear web LEFT"), std::string::npos) << "the slotted spar is cut from the same sheet";
}

TEST(Letter, TakesTheSameDrawingsOnItsOwnPages) {
  const TrueWing w = wingOf(Design{});
  const std::vector plan{planDrawing(drawn(w), Hand::right)};
  EXPECT_LT(pageFrame(Paper::letter, false).y(), pageFrame(Paper::a4, false).y());
  EXPECT_GE(pageCount(plan, Paper::letter, true), 3);
  const auto pdf = toPdf(plan, Paper::letter, true);
  ASSERT_TRUE(pdf.ok());
  EXPECT_TRUE(pdf.value().starts_with("%PDF"));
}

TEST(Inches, AreOnTheSheets) {
  Design d;
  d.unit = LengthUnit::inch;
  d.inner().panel.span = 30 * mmPerInch;
  const std::string text = allText(planDrawing(drawn(wingOf(d)), Hand::right));
  EXPECT_NE(text.find("30\""), std::string::npos);
}

} // namespace
} // namespace eup
