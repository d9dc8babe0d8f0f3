// Ribs that do not stand with the flight, and those that cross them: against bisection along the panel's straight
// lines, plane geometry, and the wing put together again from its flat parts.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <cmath>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::hasFinding;
using test::wingOf;

Design turned(RibDirection direction, double angle = 30, bool crossing = false) {
  Design d = test::bareDesign();
  d.inner().panel = test::panelOf(600, 220, 150, 60, 2, 0.3);
  d.inner().ribs.direction = direction;
  d.inner().ribs.angleDeg = angle;
  d.inner().ribs.crossing = crossing;
  d.inner().ribs.count = 9;
  return d;
}

/// The panel's surface at a place of the plan, by halving chord fractions: (height above, height below).
std::pair<double, double> surfaceAt(const PanelLoft& loft, double x, double t) {
  const auto face = [&](Face f) {
    double low = 0, high = 1;
    for (int i = 0; i < 60; ++i) {
      const double mid = (low + high) / 2;
      (loft.at(f, mid, t).x() < x ? low : high) = mid;
    }
    return loft.at(f, (low + high) / 2, t).y();
  };
  return {face(Face::upper), face(Face::lower)};
}

TEST(TurnedRibs, AreSquareToWhatTheyShallBe) {
  const TrueWing le = wingOf(turned(RibDirection::squareToLeadingEdge));
  const ChordFrame root = le.inner().shape.loft.frameAt(0), tip = le.inner().shape.loft.frameAt(600);
  for (const Rib& r : le.inner().frame.ribs) {
    if (r.kind != RibKind::main) {
      EXPECT_EQ(r.turn, 0) << "the end ribs close the panel";
      continue;
    }
    const Point along(std::cos(r.turn), std::sin(r.turn)), edge(tip.le.x() - root.le.x(), 600);
    EXPECT_NEAR(along.dot(edge), 0, 1e-9);
  }
  Design d = turned(RibDirection::squareToSpar);
  d.inner().spars = {Spar{}};
  d.inner().spars[0].rootFraction = d.inner().spars[0].tipFraction = 0.6;
  const TrueWing spar = wingOf(d);
  const SparLine& line = spar.inner().frame.spars[0];
  for (const Rib& r : spar.inner().frame.ribs) {
    if (r.kind != RibKind::main) continue;
    EXPECT_NEAR(r.turn, -line.sweep, 1e-12);
    ASSERT_EQ(r.notches.size(), 2u);
    EXPECT_NEAR(r.notches[0].width, d.inner().spars[0].top.width + d.inner().ribs.notchFit, 1e-9)
        << "square to the spar its notch is as wide as the spar";
    EXPECT_NEAR(r.inPanel({r.sparX[0], 0}).y(), r.station, 1e-9) << "stations are counted on the spar's line";
  }
}

TEST(TurnedRibs, LieOnThePanelsSurface) {
  for (const double angle : {-35.0, 20.0, 45.0}) {
    const TrueWing w = wingOf(turned(RibDirection::diagonal, angle, true));
    const TruePanel& p = w.inner();
    const auto check = [&](const Rib& r) {
      for (std::size_t i = 0; i < r.upper.size(); i += 7)
        for (const Polyline* line : {&r.upper, &r.lower}) {
          const Point3 at = r.inPanel((*line)[i]);
          if (at.y() < 0 || at.y() > 600) continue;
          const double fraction = (*line)[i].x() / r.frame.chord;
          if (fraction < 0.03 || fraction > 0.98) continue; // where the nose turns under, x alone says too little
          const auto [high, low] = surfaceAt(p.shape.loft, at.x(), at.y());
          EXPECT_NEAR(at.z(), line == &r.upper ? high : low, 2e-3) << r.name() << " at " << fraction;
        }
    };
    for (const Rib& r : p.frame.ribs) check(r);
    for (const Rib& r : p.frame.riblets) check(r);
  }
}

/// Put together on the plan from the flat parts: the two slots of a half-lap meet in one upright line, at one height,
/// and each is as wide as the other rib is thick, seen along itself, and as that runs aside over its own thickness.
TEST(TurnedRibs, HalfLapsMeet) {
  const TrueWing w = wingOf(turned(RibDirection::diagonal, 40, true));
  const TruePanel& p = w.inner();
  std::vector<Point3> above, below;
  for (const Rib& r : p.frame.ribs)
    for (const Lap& lap : r.laps) {
      EXPECT_TRUE(lap.fromAbove);
      above.push_back(r.inPanel({lap.x, lap.middle}));
      EXPECT_NEAR(lap.width, 2 / std::sin(degToRad(80)) + 2 * std::tan(degToRad(10)) + 0.1, 1e-9);
    }
  for (const Rib& r : p.frame.riblets) {
    EXPECT_EQ(r.kind, RibKind::crossing);
    EXPECT_NEAR(r.turn, -degToRad(40), 1e-12);
    for (const Lap& lap : r.laps) {
      EXPECT_FALSE(lap.fromAbove);
      below.push_back(r.inPanel({lap.x, lap.middle}));
    }
  }
  ASSERT_EQ(above.size(), below.size());
  ASSERT_GT(above.size(), 10u);
  for (const Point3& a : above) {
    double nearest = 1e300;
    for (const Point3& b : below) nearest = std::min(nearest, (a - b).norm());
    EXPECT_LT(nearest, 1e-3);
    const auto [high, low] = surfaceAt(p.shape.loft, a.x(), a.y());
    EXPECT_NEAR(a.z(), (high + low) / 2, 2e-3) << "half way through the panel";
  }
  // No rib falls apart, and the wood that two ribs lose is what one of them loses over the whole depth.
  for (const Rib& r : p.frame.ribs) EXPECT_EQ(r.pieces, 1) << r.name();
  for (const Rib& r : p.frame.riblets) EXPECT_EQ(r.pieces, 1) << r.name();
}

TEST(TurnedRibs, StopAtTheEndRibs) {
  const TrueWing w = wingOf(turned(RibDirection::diagonal, 45, true));
  const TruePanel& p = w.inner();
  const double low = p.design.ribs.rootThickness, high = 600 - p.design.ribs.tipThickness;
  int cut = 0;
  const auto check = [&](const Rib& r) {
    for (const Polyline& loop : r.wood)
      for (const Point& q : loop) {
        EXPECT_GT(r.inPanel(q).y(), low - 0.02) << r.name();
        EXPECT_LT(r.inPanel(q).y(), high + 0.02) << r.name();
      }
    cut += boundsOf(r.wood).width() < 0.98 * r.frame.chord;
  };
  for (const Rib& r : p.frame.ribs)
    if (r.kind == RibKind::main) check(r);
  for (const Rib& r : p.frame.riblets) check(r);
  EXPECT_GT(cut, 2);
  // What is not there is not packed.
  for (std::size_t i = 0; i < p.frame.ribs.size(); ++i)
    for (const Support& s : p.settingUp.ribs[i].at) EXPECT_EQ(s.there, s.t > -1e-6 && s.t < 600 + 1e-6);
}

/// Heights over the board under a turned rib are those of the panel's underside at that place of the plan.
TEST(TurnedRibs, StandOnTheirPacking) {
  const TrueWing w = wingOf(turned(RibDirection::diagonal, 30));
  const TruePanel& p = w.inner();
  const double board = p.shape.loft.lowest();
  for (const Rib& r : p.frame.ribs) {
    if (r.turn == 0) continue;
    const RibSupports& s = p.settingUp.ribs[static_cast<std::size_t>(r.number - 1)];
    const Point3 nose = r.inPanel({0, 0}), tail = r.inPanel({r.frame.chord, 0});
    EXPECT_NEAR(s.nose, nose.z() - board, 1e-6);
    if (!s.at.back().there) continue;
    EXPECT_NEAR(s.at.back().t, tail.y(), 1e-9);
    EXPECT_NEAR(s.at.back().height, p.shape.loft.at(Face::lower, 1, tail.y()).y() - board, 2e-3) << r.name();
  }
}

TEST(TurnedRibs, StockAlongTheFlightIsAsWideAsDecided) {
  Design d = turned(RibDirection::diagonal, 30);
  d.inner().leadingEdge.kind = LeadingEdgeKind::square;
  d.inner().leadingEdge.width = 8;
  d.inner().leadingEdge.widthIs = d.inner().trailingEdge.widthIs = WidthIs::alongFlight;
  d.inner().trailingEdge.kind = TrailingEdgeKind::wedge;
  d.inner().trailingEdge.width = 20;
  d.inner().panel.washoutDeg = 0;
  const TrueWing w = wingOf(d);
  const PanelLoft& loft = w.inner().shape.loft;
  for (const Rib& r : w.inner().frame.ribs) {
    if (r.turn == 0) continue;
    const Box wood = boundsOf(r.wood);
    const Point3 front = r.inPanel({wood.low.x(), 0}), back = r.inPanel({wood.high.x(), 0});
    if (front.y() > 10) {
      EXPECT_NEAR(front.x() - loft.frameAt(front.y()).le.x(), 8, 0.02) << r.name();
    }
    if (back.y() < 590) {
      EXPECT_NEAR(loft.frameAt(back.y()).te.x() - back.x(), 20, 0.05) << r.name();
    }
  }
}

TEST(TurnedRibs, ThatRunAlongAnEdgeAreRefusedAndBareCornersTold) {
  Design d = turned(RibDirection::diagonal, 60);
  d.inner().panel.tipSetback = 900;
  const auto none = work(d);
  ASSERT_TRUE(std::holds_alternative<std::vector<Finding>>(none));
  EXPECT_TRUE(hasFinding(std::get<std::vector<Finding>>(none), "ribs.direction"));
  EXPECT_TRUE(hasFinding(findingsOf(wingOf(turned(RibDirection::diagonal, 45))), "ribs.corner"));
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(turned(RibDirection::diagonal, 45, true))), "ribs.corner"));
  EXPECT_FALSE(hasFinding(findingsOf(wingOf(turned(RibDirection::flight))), "ribs.corner"));
}

TEST(TurnedRibs, LeaveNoRoomForRiblets) {
  Design d = turned(RibDirection::diagonal, 30);
  d.inner().riblets.inBay = 2;
  EXPECT_TRUE(wingOf(d).inner().frame.riblets.empty()) << "they would run into the turned ribs";
  const auto asked = decisionAt(d, "wings.0.panels.0.riblets.inBay");
  ASSERT_TRUE(asked.has_value());
  EXPECT_FALSE(asked->applies);
  d.inner().ribs.direction = RibDirection::flight;
  EXPECT_EQ(wingOf(d).inner().frame.riblets.size(), 16u);
}

TEST(TurnedRibs, PlanAndSheetsHaveThemAll) {
  const TrueWing w = wingOf(demoDesign("lanehurst-1180"));
  const DrawnWing drawings = test::drawn(w);
  const TruePanel& p = w.inner();
  std::size_t crossing = 0, outwards = 0;
  const auto sheets = ribSheets(drawings, Hand::right, 3000, 0);
  for (const Label& l : sheets.front().labels) {
    crossing += l.text.find("x RIGHT   at") != std::string::npos;
    outwards += l.text.find("outwards") != std::string::npos;
  }
  EXPECT_EQ(crossing, p.frame.ribs.size() - 1) << "one in every bay";
  EXPECT_EQ(outwards, p.frame.ribs.size() - 2);
  // On the plan a rib's own line runs at its angle.
  int turnedLines = 0;
  const Drawing plan = planDrawing(drawings, Hand::right);
  for (const Stroke& s : plan.strokes)
    if (s.layer == Layer::mark && !s.closed && s.points.size() == 2) {
      const Point run = s.points[1] - s.points[0];
      turnedLines += std::abs(std::abs(std::atan2(run.x(), -run.y())) - degToRad(38)) < 1e-6;
    }
  EXPECT_EQ(turnedLines, static_cast<int>(2 * p.frame.ribs.size() - 3));
}

/// Any angle, any sweep: wings or reasons, and every number is one.
RC_GTEST_PROP(TurnedRibs, AlwaysGiveNumbersOrAReason, ()) {
  Design d;
  PanelDesign& p = d.inner();
  p.ribs.direction =
      *rc::gen::element(RibDirection::squareToLeadingEdge, RibDirection::squareToSpar, RibDirection::diagonal);
  p.ribs.angleDeg = *rc::gen::inRange(-60, 60);
  p.ribs.crossing = *rc::gen::arbitrary<bool>();
  p.panel.tipSetback = *rc::gen::inRange(-900, 900);
  p.panel.washoutDeg = *rc::gen::inRange(-15, 15);
  p.join.feet = *rc::gen::arbitrary<bool>();
  p.join.rods = *rc::gen::arbitrary<bool>();
  p.join.braces.resize(2);
  p.join.braces[1].form = BraceForm::folded;
  p.join.braces[0].slots = *rc::gen::arbitrary<bool>();
  const auto result = work(d);
  if (const auto* w = std::get_if<TrueWing>(&result)) {
    for (const Figure& f : figuresOf(*w)) RC_ASSERT(std::isfinite(f.value));
    for (const Rib& r : w->inner().frame.ribs) RC_ASSERT(std::isfinite(r.cutArea));
  } else {
    RC_ASSERT(!std::get<std::vector<Finding>>(result).empty());
  }
}

/// A turned rib's nose may lie past the panel's end: what covers it there is what covers the panel.
TEST(TurnedRibs, AreCoveredPastThePanelsEndsToo) {
  Design d;
  d.inner().sheeting.top = d.inner().sheeting.bottom = true;
  d.inner().sheeting.thickness = 2;
  const TrueWing w = test::wingOf(d);
  const PanelLoft& loft = w.inner().shape.loft;
  for (const double t : {-30.0, 0.0, loft.span(), loft.span() + 30})
    EXPECT_DOUBLE_EQ(coverAt(w.inner().design, loft, Face::lower, 0.1, t), 2) << t;
}

} // namespace
} // namespace eup
