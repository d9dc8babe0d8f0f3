// A trial build: the wing put together again from what goes to the bench alone — the flat ribs as drawn and the heights
// on the setting-up board — and measured against the loft that it came from.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/design/lasting.h"
#include "core/edit/same_wood.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <Eigen/Geometry>
#include <map>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

/// Nothing but ribs: their outlines are the surface itself.
Design onlyRibs(const std::string& demo) {
  Design d = demoDesign(demo);
  for (PanelDesign& p : d.wings[0].panels) {
    p.sheeting.top = p.sheeting.bottom = false;
    p.sheeted.clear();
    p.capStrips.top = p.capStrips.bottom = false;
    p.leadingEdge.kind = LeadingEdgeKind::none;
    p.trailingEdge.kind = TrailingEdgeKind::none;
    p.spars.clear();
    p.riblets.inBay = 0;
    p.join.feet = p.join.joiner.fitted = p.join.rods = false;
  }
  return d;
}

/// The biggest loop that is to be cut.
Polyline flatPart(const Drawing& drawing) {
  Polyline best;
  for (const Stroke& s : drawing.strokes)
    if (s.layer == Layer::cut && s.closed && std::abs(signedArea(s.points)) > std::abs(signedArea(best)))
      best = s.points;
  return best;
}

/// A flat rib stood on its packing: turned and lifted so that its nose point and its underside at the tail are as high
/// as the board says. `under` is the underside at the chord's end, in the rib's own axes.
Placement stood(const RibSupports& packing, double chord, double under) {
  const double nose = packing.nose, tail = packing.at.back().height;
  // nose point (0,0) and (chord, under): sin and cos of the turn from their difference in height
  const double reach = std::hypot(chord, under), lead = std::atan2(under, chord);
  const double turn = std::asin(std::clamp((tail - nose) / reach, -1.0, 1.0)) - lead;
  return {turn, {0, nose}};
}

double lowerAtTail(const Rib& rib) {
  return rib.lower.back().y();
}

double off(const Polyline& loop, const Point& p) {
  double best = 1e300;
  for (std::size_t i = 0; i < loop.size(); ++i) {
    const Point a = loop[i], d = loop[(i + 1) % loop.size()] - a;
    const double share = d.squaredNorm() > 0 ? std::clamp((p - a).dot(d) / d.squaredNorm(), 0.0, 1.0) : 0;
    best = std::min(best, (p - a - d * share).norm());
  }
  return best;
}

class TrialBuild : public testing::TestWithParam<const char*> {};

TEST_P(TrialBuild, FlatRibsOnTheirPackingMakeThePanelAgain) {
  const TrueWing w = wingOf(onlyRibs(GetParam()));
  const DrawnWing drawings = test::drawn(w);
  for (std::size_t k = 0; k < w.main().panels.size(); ++k) {
    const TruePanel& p = w.main().panels[k];
    const Placement level{-p.settingUp.turn, {0, 0}};
    const double board = p.settingUp.board;
    for (std::size_t i = 0; i < p.frame.ribs.size(); ++i) {
      const Rib& rib = p.frame.ribs[i];
      if (rib.turn != 0) continue; // these stand on each other: see the crossing ribs' own test
      const Polyline part = flatPart(ribDrawing(drawings[k], rib, Hand::right));
      ASSERT_GT(part.size(), 20u);
      const Placement stand = stood(p.settingUp.ribs[i], rib.frame.chord, lowerAtTail(rib));
      // The loft's own section there, as the panel lies on the board, its nose point at x = 0.
      Polyline surface;
      for (const Point& q : outlineOf(p.shape.loft.cutAt(rib.t()))) surface.push_back(level(q) - Point(0, board));
      const double nose = level(rib.frame.le).x();
      double worst = 0;
      for (const Point& q : part) worst = std::max(worst, off(surface, stand(q) + Point(nose, 0)));
      EXPECT_LT(worst, 0.05) << GetParam() << ", " << rib.name();
      // Its washout, by how it stands.
      EXPECT_NEAR(radToDeg(stand.angle + p.settingUp.turn), radToDeg(rib.frame.washout), 0.01) << rib.name();
    }
  }
}

/// Panels hung on each other by the bench's figures: spans, angles at the joins.
TEST_P(TrialBuild, JoinedPanelsReachWhereTheFiguresSay) {
  const TrueWing w = wingOf(onlyRibs(GetParam()));
  Point3 hung(0, 0, 0);
  double gamma = 0;
  for (std::size_t k = 0; k < w.main().panels.size(); ++k) {
    const TruePanel& p = w.main().panels[k];
    const std::string panel = k == 0 ? "" : "panel" + std::to_string(k + 1) + ".";
    // At the centre each half leans by its own angle; further out the angle between the panels is added.
    gamma += k == 0 ? figureOf(w, "join.dihedral") : figureOf(w, panel + "join.break");
    const Eigen::AngleAxisd turn(gamma, Point3::UnitX());
    for (const double t : {0.0, 0.37, 1.0}) {
      const ChordFrame f = p.shape.loft.frameAt(t * p.shape.loft.span());
      const Point3 built = hung + turn * Point3(f.te.x(), f.t, f.te.y());
      EXPECT_LT((built - w.main().inSpace[k].at(f.te, f.t)).norm(), 1e-6) << GetParam() << ", panel " << k + 1;
    }
    hung += turn * Point3(p.design.panel.tipSetback, p.shape.loft.span(), 0);
  }
  EXPECT_NEAR(2 * hung.y(), figureOf(w, "panel.spanFromAbove"), 1e-6);
}

/// With the ribs stood on their packing at their places of the plan, a straight strip drops into the notches of all of
/// them: the bottoms lie on one line in space. So do the holes for jig rods and joiners.
TEST_P(TrialBuild, StraightStripsDropIntoTheStoodRibs) {
  const TrueWing w = wingOf(demoDesign(GetParam()));
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& p : wing.panels) {
      const Placement level{-p.settingUp.turn, {0, 0}};
      std::map<std::string, std::vector<Point3>> strips;
      for (const Rib& rib : p.frame.ribs) {
        if (rib.turn != 0 || rib.lean != 0) continue; // their own tests put those together
        const Placement stand = stood(p.settingUp.ribs[static_cast<std::size_t>(rib.number - p.design.firstRib)],
                                      rib.frame.chord, lowerAtTail(rib));
        const double nose = level(rib.frame.le).x();
        const auto built = [&](const Point& flat) {
          const Point q = stand(flat);
          return Point3(q.x() + nose, rib.t(), q.y());
        };
        for (const Notch& n : rib.notches)
          strips[(n.face == Face::upper ? "top " : "bottom ") + std::to_string(n.spar)].push_back(built(n.bottom));
        int hole = 0;
        for (const PassHole& h : rib.passHoles)
          if (h.what == Passing::What::rod) strips["rod " + std::to_string(hole++)].push_back(built(h.middle));
      }
      for (const auto& [name, places] : strips) {
        if (places.size() < 3) continue;
        const Point3 along = (places.back() - places.front()).normalized();
        for (const Point3& q : places) {
          const Point3 d = q - places.front();
          EXPECT_LT((d - along * d.dot(along)).norm(), 0.05) << GetParam() << ", " << name;
        }
      }
    }
}

/// The left hand's parts are the right hand's turned over, every one of them, and none is the same.
TEST_P(TrialBuild, BothHandsAreMirrorImages) {
  const TrueWing w = wingOf(demoDesign(GetParam()));
  const DrawnWing drawings = test::drawn(w);
  for (std::size_t k = 0; k < drawings.size(); ++k)
    for (const Rib& rib : w.main().panels[k].frame.ribs) {
      const Polyline right = flatPart(ribDrawing(drawings[k], rib, Hand::right)),
                     left = flatPart(ribDrawing(drawings[k], rib, Hand::left));
      ASSERT_EQ(right.size(), left.size());
      double apart = 0;
      for (std::size_t i = 0; i < right.size(); ++i) {
        EXPECT_NEAR(right[i].x(), -left[i].x(), 1e-9);
        apart = std::max(apart, std::abs(right[i].x() - left[i].x()));
      }
      EXPECT_GT(apart, 10) << "two of the same hand";
    }
}

INSTANTIATE_TEST_SUITE_P(Demos, TrialBuild,
                         testing::Values("fenlark-1500", "tarnbrook-2000", "skerrow-1460", "oldacre-1320",
                                         "lanehurst-1180", "gossamoor-480"));

/// Whatever panels one can think of within their limits: wings or reasons, all figures numbers.
RC_GTEST_PROP(ManyPanels, AreAWingOrAReason, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 1001) / 1000.0; };
  Design d;
  const int count = *rc::gen::inRange(1, 6);
  d.wings[0].panels.resize(static_cast<std::size_t>(count), d.inner());
  makeNumbersOwn(d);
  for (PanelDesign& p : d.wings[0].panels) {
    p.panel = test::panelOf(some(20, 900), some(30, 400), some(30, 400), some(-100, 200), some(-8, 8), some(0, 1));
    p.panel.continues = *rc::gen::inRange(0, 4) > 0;
    p.panel.rootWashoutDeg = some(-5, 5);
    p.panel.rootAxis = some(0, 1);
    p.ribs.count = *rc::gen::inRange(2, 9);
    p.join.feet = *rc::gen::arbitrary<bool>();
    p.join.footWidth = some(1, 60);
    p.join.braces[0].toRib = *rc::gen::inRange(2, 12);
    p.join.datum = *rc::gen::element(Datum::chordLevel, Datum::undersideFlat);
    const int by = *rc::gen::inRange(0, 3);
    p.join.dihedral = by == 0   ? Dihedral{DihedralBy::rise, some(-0.7, 0.7) * p.panel.span}
                      : by == 1 ? Dihedral{DihedralBy::angle, some(-45, 45)}
                                : Dihedral{DihedralBy::projected, some(0.62, 1) * p.panel.span};
    p.spars.resize(static_cast<std::size_t>(*rc::gen::inRange(0, 3)));
    if (p.spars.size() == 2) p.spars[1].rootFraction = p.spars[1].tipFraction = 0.6;
  }
  const auto result = work(d);
  if (const auto* w = std::get_if<TrueWing>(&result)) {
    for (const Figure& f : figuresOf(*w)) RC_ASSERT(std::isfinite(f.value));
    RC_ASSERT(static_cast<int>(w->main().panels.size()) == count);
    int number = 1;
    for (const TruePanel& p : w->main().panels)
      for (const Rib& rib : p.frame.ribs) RC_ASSERT(rib.number == number++);
    const Table table = stationTable(*w);
    for (const auto& row : table.rows) RC_ASSERT(row.size() == table.columns.size());
    for (const TruePanel& panel : test::drawn(*w)) RC_ASSERT(!benchCard(w->main(), panel, Hand::left).empty());
  } else {
    for (const Finding& f : std::get<std::vector<Finding>>(result)) RC_ASSERT(!f.remedy.empty());
  }
  makeNumbersOwn(d);
  RC_ASSERT(designFromText(designToText(d)).value().design == d);
}

TEST(PanelPaths, AreReadOrPassedOver) {
  EXPECT_EQ(pathOf({0, 2}), "wings.0.panels.2.");
  EXPECT_EQ(panelOfPath("wings.0.panels.2.spars.0.top.width"), (PanelId{0, 2}));
  EXPECT_EQ(withinPanel("wings.0.panels.2.spars.0.top.width"), "spars.0.top.width");
  for (const char* other :
       {"", "flying.mass", "wings", "wings.", "wings.0", "wings.0.", "wings.x.panels.0.span", "wings.0.panels",
        "wings.0.panels.", "wings.0.panels.1", "wings.99999999999999.panels.0.span", "plan.sheets.0"}) {
    EXPECT_FALSE(panelOfPath(other).has_value()) << other;
    EXPECT_EQ(withinPanel(other), other);
  }
}

/// Each decision of a panel further out is set by its own path and leaves the other panels alone.
TEST(PanelPaths, SetOnePanelOnly) {
  const Design d = demoDesign("tarnbrook-2000");
  int tried = 0;
  for (const Decision& decision : decisionsOf(d)) {
    const auto panel = panelOfPath(decision.path);
    if (!panel || panel->panel != 1 || decision.follows || decision.kind != DecisionKind::length) continue;
    const double other = decision.value < decision.limits.high - 1e-6
                             ? std::min(decision.value + 0.25, decision.limits.high)
                             : decision.value - 0.25;
    const Design next = decideValue(d, decision.path, other).value();
    EXPECT_NE(next.at({0, 1}), d.at({0, 1})) << decision.path;
    EXPECT_EQ(next.at({0, 0}), d.at({0, 0})) << decision.path;
    EXPECT_EQ(next.at({0, 2}), d.at({0, 2})) << decision.path;
    ++tried;
  }
  EXPECT_GT(tried, 20);
}

} // namespace
} // namespace eup
