// Things that want the same place in a rib, found by polygons; checked by counting grid points that lie in both.
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
#include "core/geometry/region.h"
#include "core/parts/through_rib.h"
#include "support.h"
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::hasFinding;
using test::wingOf;

int clashes(const Design& d) {
  int n = 0;
  for (const Finding& f : findingsOf(wingOf(d))) n += f.key == "ribs.clash" || f.key == "panel2.ribs.clash";
  return n;
}

Design withJoiner() {
  Design d;
  d.inner().join.braces.clear();
  Joiner& j = d.inner().join.joiner;
  j.fitted = true;
  j.fraction = 0.45;
  j.pinFraction = 0.65;
  return d;
}

TEST(Clashes, AreFoundWhereTwoWantOnePlace) {
  Design d = withJoiner();
  EXPECT_EQ(clashes(d), 0);
  d.inner().join.joiner.pinFraction = 0.45; // a pin in the sleeve
  EXPECT_GT(clashes(d), 0);
  d = withJoiner();
  d.inner().join.joiner.pinFraction = d.inner().spars[0].rootFraction; // a pin where the spar stands
  d.inner().spars[0].kind = SparKind::fullDepth;
  EXPECT_GT(clashes(d), 0);
  d = withJoiner();
  d.inner().join.rods = true; // a rod through the joiner
  d.inner().join.rodFront = 0.45;
  EXPECT_GT(clashes(d), 0);
  d = withJoiner();
  d.inner().spars.push_back(d.inner().spars[0]); // a spar in a spar
  d.inner().spars[1].rootFraction = d.inner().spars[0].rootFraction + 0.01;
  d.inner().spars[1].tipFraction = d.inner().spars[0].tipFraction + 0.01;
  EXPECT_GT(clashes(d), 0);
}

/// Stock that is not fitted is in nobody's way, whatever its width is.
TEST(Clashes, NotWithStockThatIsNotFitted) {
  Design d = withJoiner();
  d.inner().join.joiner.pinFraction = 0.94;
  d.inner().join.joiner.pinDiameter = 1;
  d.inner().trailingEdge.width = 40;
  EXPECT_GT(clashes(d), 0);
  d.inner().trailingEdge.kind = TrailingEdgeKind::none;
  EXPECT_EQ(clashes(d), 0);
  d.inner().leadingEdge.width = 60;
  d.inner().leadingEdge.kind = LeadingEdgeKind::none;
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "spar.ahead"));
}

bool inside(const Polyline& loop, const Point& p) {
  bool in = false;
  for (std::size_t i = 0, k = loop.size() - 1; i < loop.size(); k = i++)
    if ((loop[i].y() > p.y()) != (loop[k].y() > p.y()) &&
        p.x() < (loop[k].x() - loop[i].x()) * (p.y() - loop[i].y()) / (loop[k].y() - loop[i].y()) + loop[i].x())
      in = !in;
  return in;
}

/// Random wings: what is told to clash has points in common, what is not has hardly any.
RC_GTEST_PROP(Clashes, AreThoseThatAGridOfPointsFinds, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  Design d = withJoiner();
  d.inner().panel.tipSetback = some(-100, 200);
  d.inner().panel.washoutDeg = some(-3, 3);
  d.inner().join.joiner.fraction = some(0.1, 0.8);
  d.inner().join.joiner.pinFraction = some(0.1, 0.9);
  d.inner().join.rods = *rc::gen::arbitrary<bool>();
  d.inner().spars.push_back(d.inner().spars[0]);
  d.inner().spars[1].rootFraction = some(0.1, 0.8);
  d.inner().spars[1].tipFraction = some(0.1, 0.8);
  const auto result = work(d);
  RC_PRE(std::holds_alternative<TrueWing>(result)); // spars that cross are no wing
  const TrueWing& w = std::get<TrueWing>(result);
  const Rib& rib = w.inner().frame.ribs[static_cast<std::size_t>(*rc::gen::inRange(0, 4))];
  const std::vector<ThroughRib> all = throughRib(w.inner().design, w.inner().frame.spars, rib);
  std::vector<std::pair<std::size_t, std::size_t>> told;
  for (const Clash& c : clashesOf(all)) told.emplace_back(c.a, c.b);
  const auto ofSpar = [](const ThroughRib& t) { return t.spar >= 0; };
  const auto stock = [](const ThroughRib& t) {
    return t.what == ThroughRib::What::leadingStock || t.what == ThroughRib::What::trailingStock;
  };
  for (std::size_t a = 0; a < all.size(); ++a)
    for (std::size_t b = a + 1; b < all.size(); ++b) {
      if ((ofSpar(all[a]) && all[a].spar == all[b].spar) || (ofSpar(all[a]) && stock(all[b])) ||
          (stock(all[a]) && stock(all[b])))
        continue;
      int both = 0;
      constexpr double step = 0.1;
      const Box box = boundsOf(Region{stock(all[b]) ? all[a].shape : all[b].shape});
      for (double x = box.low.x(); x < box.high.x(); x += step)
        for (double y = box.low.y(); y < box.high.y(); y += step)
          both += inside(all[a].shape, {x, y}) && inside(all[b].shape, {x, y});
      const bool said = std::find(told.begin(), told.end(), std::pair(a, b)) != told.end();
      if (both * step * step > 0.5) RC_ASSERT(said);
      if (both == 0) RC_ASSERT(!said);
    }
}

/// Sheet that goes round one panel only leaves its caps a sheet's thickness lower than its neighbour's.
TEST(CapSteps, AtAJoinAreTold) {
  Design d = withPanelAdded(Design{}, 0).value();
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "panel2.join.step")) << "a new panel goes on as the one inside it";
  PanelDesign& out = d.wings[0].panels[1];
  for (PanelDesign& p : d.wings[0].panels) {
    p.sheeting.fraction = 0.5;
    p.spars[0].rootFraction = p.spars[0].tipFraction = 0.3;
    p.capStrips.top = p.capStrips.bottom = false;
  }
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(d)), "panel2.join.step"));
  out.sheeting.top = out.sheeting.bottom = false;
  const TrueWing w = wingOf(d);
  double step = 0;
  for (const CapStep& s : w.at({0, 1}).join.steps)
    if (s.top) step = s.up;
  EXPECT_NEAR(step, out.sheeting.thickness, 0.05) << "1.5 mm and its slope";
  int told = 0;
  for (const Finding& f : findingsOf(w)) told += f.key.find("join.step") != std::string::npos;
  EXPECT_GE(told, 2);
}

} // namespace
} // namespace eup
