// What is carried to the bench: the plan, the bench card and the rib sheet say what the figures say.
#include "core/described/design_file.h"
#include "core/drawing/paging.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/takeaway/take_away.h"
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

std::vector<Drawing> cardOf(const Design& d) {
  const TrueWing w = wingOf(d);
  return benchCard(w.main(), w.inner(), Hand::right);
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
  const DrawnWing drawing = test::drawn(w);
  const Drawing card = stacked(benchCard(w.main(), drawing.front(), Hand::right), 5);
  const double block = figureOf(w, "join.block");
  const auto heights = cutHeights(card);
  EXPECT_TRUE(std::any_of(heights.begin(), heights.end(), [&](double h) { return std::abs(h - block) < 1e-6; }));
  EXPECT_NE(allText(card).find(told(block, Quantity::length, LengthUnit::mm)), std::string::npos);
}

TEST(BenchCard, HasTheBraceAtFullSize) {
  const TrueWing w = wingOf(Design{});
  const DrawnWing drawing = test::drawn(w);
  const Drawing card = stacked(benchCard(w.main(), drawing.front(), Hand::right), 5);
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
    const std::string text = allText(stacked(benchCard(w.main(), w.inner(), Hand::left), 5));
    for (const RibSupports& rib : w.inner().settingUp.ribs) {
      EXPECT_NE(text.find("R" + std::to_string(rib.rib) + "\n"), std::string::npos);
      for (const Support& s : rib.at)
        EXPECT_NE(text.find(shown(s.height, Quantity::length, unit).number), std::string::npos);
    }
    EXPECT_NE(text.find("model aircraft only"), std::string::npos) << "the caution is on the print";
  }
}

/// What is told as a figure for the saw, the strips and the ribs' holes stands on the card of its panel.
TEST(BenchCard, HasTheAnglesLengthsAndHoles) {
  const TrueWing w = wingOf(demoDesign("tarnbrook-2000"));
  const DrawnWing drawing = test::drawn(w);
  int angles = 0, holes = 0;
  for (std::size_t k = 0; k < drawing.size(); ++k) {
    const std::string text = allText(stacked(benchCard(w.main(), drawing[k], Hand::right), 5));
    const std::string prefix = k == 0 ? "" : fmt::format("panel{}.", k + 1);
    for (const Figure& f : figuresOf(w)) {
      const bool here = k == 0 ? !f.key.starts_with("panel") : f.key.starts_with(prefix);
      const std::string key = here && k > 0 ? f.key.substr(prefix.size()) : f.key;
      if (here && (key.starts_with("cut.") || key.starts_with("cutOuter."))) {
        EXPECT_NE(text.find(told(f.value, f.quantity, LengthUnit::mm)), std::string::npos) << f.key;
        ++angles;
      }
    }
    for (const Rib& rib : w.main().panels[k].frame.ribs)
      for (const PassHole& h : rib.passHoles) {
        EXPECT_NE(text.find(shown(h.middle.x(), Quantity::length, LengthUnit::mm).number), std::string::npos)
            << rib.name();
        ++holes;
      }
    // Strips by their lengths on the parts list, which the trial assembly measures against the joins.
    for (const Part& part : w.main().panels[k].parts)
      if (part.what() == Part::What::spars) {
        EXPECT_NE(text.find(told(part.length, Quantity::length, LengthUnit::mm)), std::string::npos) << part.name;
      }
  }
  EXPECT_GT(angles, 40);
  EXPECT_GT(holes, 2);
}

/// A join without dihedral has nothing to prop and nothing to bevel.
TEST(BenchCard, OfAFlatJoinHasNoGaugesOfNothing) {
  Design d;
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  const std::string text = allText(stacked(cardOf(d), 5));
  EXPECT_EQ(text.find("Tip block"), std::string::npos);
  EXPECT_EQ(text.find("Root lean"), std::string::npos);
}

/// Every rib says which it is on its own wood, so that it is known when it has been cut out.
TEST(RibSheet, NamesStandOnTheWood) {
  for (const Hand hand : {Hand::right, Hand::left}) {
    const TrueWing w = wingOf(demoDesign("fenlark-1500"));
    for (const Rib& rib : w.inner().frame.ribs) {
      const Drawing part = ribDrawing(test::drawn(w).front(), rib, hand);
      const std::string words = rib.name() + " " + nameLarge(hand);
      int inside = 0;
      for (const Label& l : part.labels)
        if (l.text == words) {
          const Region box{rectangle(l.at - Point(0.31 * l.height * static_cast<double>(words.size()), 0),
                                     l.at + Point(0.31 * l.height * static_cast<double>(words.size()), l.height))};
          Region wood = rib.wood;
          if (hand == Hand::left)
            for (Polyline& loop : wood) {
              for (Point& p : loop) p.x() = -p.x();
              std::reverse(loop.begin(), loop.end());
            }
          EXPECT_NEAR(areaOf(intersect(box, wood)), areaOf(box), 1e-3) << words;
          ++inside;
        }
      EXPECT_EQ(inside, 1) << words;
    }
  }
}

TEST(BenchCard, IsThereWithoutSparBraceOrDihedral) {
  Design d = test::bareDesign();
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  EXPECT_GT(cardOf(d).size(), 2u);
  d.inner().join.dihedral = {DihedralBy::angle, -4};
  EXPECT_GT(cardOf(d).size(), 2u) << "anhedral";
}

TEST(Plan, IsTrueToLength) {
  const TrueWing w = wingOf(Design{});
  const Drawing plan = planDrawing(test::drawn(w), Hand::right);
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
  const std::string text = allText(ribSheets(test::drawn(w), Hand::left, 900, 0).front());
  for (const Rib& rib : w.inner().frame.ribs) EXPECT_NE(text.find(rib.name() + " LEFT"), std::string::npos);
  EXPECT_NE(text.find("rear web LEFT"), std::string::npos) << "the slotted spar is cut from the same sheet";
}

TEST(Letter, TakesTheSameDrawingsOnItsOwnPages) {
  const TrueWing w = wingOf(Design{});
  const std::vector plan{planDrawing(test::drawn(w), Hand::right)};
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
  const std::string text = allText(planDrawing(test::drawn(wingOf(d)), Hand::right));
  EXPECT_NE(text.find("30\""), std::string::npos);
}

} // namespace
} // namespace eup
