// Tips of an outline of one's own: against ellipses, against the area of their pieces, and read off a plan.
#include "chance.h"
#include "core/described/decisions.h"
#include "core/edit/plan_use.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/takeaway/piece_list.h"
#include "core/takeaway/take_away.h"
#include "plan_support.h"
#include "support.h"

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

Design withOwnTip(Polyline outline) {
  Design d = test::bareDesign();
  d.inner().spars = {Spar{}};
  d.inner().panel = test::panelOf(500, 200, 160);
  Tip& t = d.inner().tip;
  t.kind = TipKind::own, t.outline = std::move(outline), t.width = 10, t.thickness = 3;
  return d;
}

Polyline halfEllipse(int points, double chord, double reach) {
  Polyline out;
  for (int i = 1; i <= points; ++i) {
    const double a = pi * i / (points + 1);
    out.emplace_back(chord / 2 * (1 - std::cos(a)), reach * std::sin(a));
  }
  return out;
}

TEST(OwnTip, OfAnEllipsesPlacesIsNearlyTheEllipse) {
  const TrueWing w = wingOf(withOwnTip(halfEllipse(14, 160, 50)));
  const double ellipse = pi / 4 * 160 * 50;
  EXPECT_NEAR(figureOf(w, "tip.area"), ellipse, 0.01 * ellipse);
  EXPECT_NEAR(w.inner().tip->reach, 50, 0.3);
  Design straight = withOwnTip({{0, 40}, {160, 40}});
  straight.inner().tip.rounding = false;
  EXPECT_NEAR(figureOf(wingOf(straight), "tip.area"), 160 * 40, 1e-6) << "a rectangle";
}

/// Whatever the outline, its pieces make it up: their areas are those of the outline less its inside, and so is the
/// mass.
TEST(OwnTip, ItsPiecesMakeItUp) {
  test::Chance chance(7);
  for (int round = 0; round < 12; ++round) {
    Design d = withOwnTip(halfEllipse(3 + chance.number(8), 160, 20 + 60 * chance.share()));
    Tip& t = d.inner().tip;
    t.pieces = 1 + chance.number(mostTipPieces);
    t.joint = chance.once(2) ? TipJoint::scarf : TipJoint::butt;
    t.rounding = chance.once(2);
    t.width = 3 + 9 * chance.share();
    const TrueWing w = wingOf(d);
    const TipShape& tip = *w.inner().tip;
    ASSERT_EQ(static_cast<int>(tip.pieces.size()), tip.inner.empty() ? 1 : t.pieces);
    double area = 0, listed = 0;
    Region all;
    for (const TipPiece& p : tip.pieces) {
      area += std::abs(signedArea(p.outline));
      all = unite(all, {signedArea(p.outline) < 0 ? Polyline(p.outline.rbegin(), p.outline.rend()) : p.outline});
      EXPECT_LE(p.breadth, p.length + 60);
    }
    const double ring = std::abs(signedArea(tip.edge)) - std::abs(signedArea(tip.inner));
    EXPECT_NEAR(area, ring, 0.003 * ring + 0.5);
    EXPECT_NEAR(areaOf(all), area, 0.01 * area + 0.5) << "none lies over another";
    for (const Part& p : w.inner().parts)
      if (p.what() == Part::What::tip) listed += p.grams;
    EXPECT_NEAR(listed, area * t.thickness * 160e-6, 1e-6);
  }
}

TEST(OwnTip, InnerEdgeLiesAsFarInAsThePiecesAreWide) {
  const TrueWing w = wingOf(withOwnTip(halfEllipse(14, 160, 60)));
  const TipShape& tip = *w.inner().tip;
  ASSERT_GT(tip.inner.size(), 10u);
  for (const Point& p : tip.inner) {
    if (p.y() < 12) continue; // at the rib it is cut off
    double least = 1e300;
    for (std::size_t i = 0; i + 1 < tip.edge.size(); ++i) {
      const Point way = tip.edge[i + 1] - tip.edge[i];
      const double s = std::clamp((p - tip.edge[i]).dot(way) / way.squaredNorm(), 0.0, 1.0);
      least = std::min(least, (p - tip.edge[i] - s * way).norm());
    }
    EXPECT_NEAR(least, 10, 0.05);
  }
  Design narrow = withOwnTip({{80, 8}});
  EXPECT_TRUE(wingOf(narrow).inner().tip->inner.empty()) << "less than twice its width: solid";
}

TEST(OwnTip, IsTypedAsPlaces) {
  Design d = withOwnTip({{1, 1}});
  const std::string path = "wings.0.panels.0.tip.outline";
  const auto typed = decide(d, path, "-4 : 12,5; 90:40 ;1 1/2 in : 1\"");
  ASSERT_TRUE(typed.ok()) << typed.problem().text();
  const Polyline& line = typed.value().inner().tip.outline;
  ASSERT_EQ(line.size(), 3u);
  EXPECT_EQ(line[0], Point(-4, 12.5));
  EXPECT_NEAR(line[2].x(), 38.1, 1e-9);
  for (const char* wrong : {"", "30", "30 : ", "a : b", "30 : -2", "30 : 0", "30 : 5000", "1:1:1"})
    EXPECT_FALSE(decide(d, path, wrong).ok()) << wrong;
  const std::string shown = decisionAt(typed.value(), path)->text;
  EXPECT_EQ(shown, "-4 : 12.5; 90 : 40; 38.1 : 25.4");
  EXPECT_EQ(decisionAt(decide(d, path, shown).value(), path)->text, shown) << "as it is shown";
}

TEST(OwnTip, ThatCrossesItselfIsSaid) {
  Design d = withOwnTip({{120, 40}, {40, 20}, {100, 10}, {30, 45}});
  d.inner().tip.rounding = false;
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(d)), "tip.crossing"));
}

TEST(OwnTip, IsReadOffThePlan) {
  test::ClickedPlan clicked("fenlark-plan");
  const JudgedPlan before = judge(clicked.plan, LengthUnit::mm);
  ASSERT_FALSE(before.hands.empty());
  const DrawnHand& hand = before.hands.front();
  const double span = *before.layout.halfSpan;
  Design d;
  d.plan = clicked.plan;
  Polyline places{{40, span + 15}, {80, span + 22}, {120, span + 12}}; // aft of the root's leading edge, out
  Reading reading{"", ReadingKind::tip, 1, hand.hand, 1, {}};
  for (const Point& p : places) reading.points.push_back(before.sheets[0].pixel(hand.onPlan(p.y(), p.x())));
  d.plan.readings.push_back(reading);
  const Changed taken = withReadings(d, judge(d.plan, LengthUnit::mm));
  const Tip& tip = taken.design.inner().tip;
  ASSERT_EQ(tip.kind, TipKind::own);
  ASSERT_EQ(tip.outline.size(), 3u);
  const Panel& p = taken.design.inner().panel;
  for (std::size_t i = 0; i < 3; ++i) {
    EXPECT_NEAR(tip.outline[i].x(), places[i].x() - p.tipSetback, 0.02);
    EXPECT_NEAR(tip.outline[i].y(), places[i].y() - p.span, 0.02);
  }
}

} // namespace
} // namespace eup
