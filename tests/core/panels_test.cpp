// Wings of several panels: how they continue, join, load and set up; cutting and putting together; end cuts in space.
#include "core/described/decisions.h"
#include "core/described/design_file.h"
#include "core/edit/panel_edit.h"
#include "core/files/shipped.h"
#include "core/geometry/polyline.h"
#include "core/joins/end_cut.h"
#include "core/takeaway/take_away.h"
#include "support.h"
#include <Eigen/Geometry>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

/// Two panels a side by their numbers.
Design twoPanels(double innerDeg, double outerDeg, double setback = 0) {
  Design d;
  d.inner().panel = test::panelOf(400, 220, 190, setback * 400 / 700, 1);
  d.inner().join.dihedral = {DihedralBy::angle, innerDeg};
  d.wings[0].panels.push_back(d.inner());
  PanelDesign& outer = d.at({0, 1});
  outer.panel = test::panelOf(300, 100, 130, setback * 300 / 700, 3, 0.25); // its own root chord has no say
  outer.join.dihedral = {DihedralBy::angle, outerDeg};
  return d;
}

TEST(Panels, TheOuterRootContinuesTheInnerTip) {
  const TrueWing w = wingOf(twoPanels(3, 9, 40));
  const TruePanel &in = w.at({0, 0}), &out = w.at({0, 1});
  const Cut tip = in.shape.loft.cutAt(in.shape.loft.span()), root = out.shape.loft.cutAt(0);
  for (const Face face : {Face::upper, Face::lower})
    for (std::size_t i = 0; i < tip.face(face).size(); ++i) {
      const Point at = tip.face(face)[i] - Point(in.design.panel.tipSetback, 0);
      EXPECT_LT((at - root.face(face)[i]).norm(), 1e-9);
    }
  EXPECT_EQ(out.frame.ribs.front().number, in.frame.ribs.back().number + 1);
  EXPECT_NEAR(out.frame.ribs.front().depth, in.frame.ribs.back().depth, 1e-9);
  EXPECT_NEAR(out.frame.spars[0].middle.root.x() + in.design.panel.tipSetback, in.frame.spars[0].middle.tip.x(), 1e-6);
  // Continuity broken on purpose: its own chord counts.
  Design broken = w.design;
  broken.at({0, 1}).panel.continues = false;
  EXPECT_DOUBLE_EQ(wingOf(broken).at({0, 1}).frame.ribs.front().frame.chord, 100);
}

/// The same in space by rotation matrices about the aft axis.
TEST(Panels, JoinAngleAndBraceBendByRotationMatrices) {
  for (const auto& [inner, outer, setback] : {std::tuple(3.0, 6.0, 0.0), std::tuple(5.0, 8.0, 60.0),
                                              std::tuple(0.0, 14.0, -30.0), std::tuple(8.0, 2.0, 25.0)}) {
    const TrueWing w = wingOf(twoPanels(inner, outer, setback));
    const TruePanel &in = w.at({0, 0}), &out = w.at({0, 1});
    const auto direction = [](const TruePanel& p, double deg) -> Point3 {
      const SparLine& s = p.frame.spars[0];
      const Point3 flat(s.planTip - s.planRoot, p.shape.loft.span(), 0);
      return Eigen::AngleAxisd(degToRad(deg), Point3::UnitX()) * flat.normalized();
    };
    const Point3 a = direction(in, inner), b = direction(out, outer);
    EXPECT_NEAR(out.join.braces.at(0).bend, std::acos(a.dot(b)), 1e-7);
    // The flat plate's lean: between it and the upright plane that runs along its own trace on the ground.
    const Point3 square = a.cross(b).normalized();
    EXPECT_NEAR(out.join.braces.at(0).lean, std::asin(std::abs(square.z())), 1e-7);
    EXPECT_NEAR(radToDeg(2 * out.join.fold), outer - inner, 1e-9);
    EXPECT_NEAR(figureOf(w, "panel2.join.rise"), 300 * std::sin(degToRad(outer)), 1e-9);
    EXPECT_NEAR(figureOf(w, "panel2.join.risePropped"), 300 * std::sin(degToRad(outer - inner)), 1e-9);
    EXPECT_NEAR(figureOf(w, "wing.tipRise"), 400 * std::sin(degToRad(inner)) + 300 * std::sin(degToRad(outer)), 1e-9);
  }
}

// Trade values of two joins, spar sweep and panel angle inside → outside (worked by hand from the two directions).
TEST(Panels, BraceBendsOfKnownJoins) {
  const auto bend = [](double sweepIn, double in, double sweepOut, double out) {
    return radToDeg(braceBend({degToRad(sweepIn), degToRad(in)}, {degToRad(sweepOut), degToRad(out)}));
  };
  EXPECT_NEAR(bend(0, 0, 3, 6), 6.706, 0.001);
  EXPECT_NEAR(bend(2, 0, 5, 8), 8.529, 0.001);
  EXPECT_NEAR(bend(0, 0, 10, 5), 11.169, 0.001);
}

TEST(Panels, BracesLegsAndOutlineFollowBothPanels) {
  const TrueWing w = wingOf(twoPanels(3, 9, 40));
  const TruePanel &in = w.at({0, 0}), &out = w.at({0, 1});
  const Brace& b = out.join.braces.at(0);
  EXPECT_EQ(b.outer.toRib, out.frame.ribs[2].number);
  EXPECT_EQ(b.inner.toRib, in.frame.ribs[in.frame.ribs.size() - 3].number);
  EXPECT_NEAR(b.inner.length, (400 - in.frame.ribs[in.frame.ribs.size() - 3].t()) * in.frame.spars[0].stretch, 1e-9);
  EXPECT_GT(b.inner.depthEnd, b.outer.depthEnd);
  ASSERT_EQ(b.outline.size(), 6u);
  const Point right = (b.outline[1] + b.outline[2]) / 2, left = (b.outline[4] + b.outline[5]) / 2;
  EXPECT_NEAR(right.norm(), b.outer.length, 1e-9);
  EXPECT_NEAR(left.norm(), b.inner.length, 1e-9);
  EXPECT_NEAR(std::acos(-right.dot(left) / right.norm() / left.norm()), b.bend, 1e-9);
  EXPECT_GT(signedArea(b.outline), 0);
  // Folded down: the legs hang.
  const TrueWing gull = wingOf(twoPanels(9, 3, 40));
  const Brace& down = gull.at({0, 1}).join.braces.at(0);
  EXPECT_LT(down.outline[1].y(), -down.depthRoot / 2);
}

TEST(Panels, TheBlockStandsOverTheBoardOfThePinnedPanel) {
  const TrueWing w = wingOf(twoPanels(3, 9));
  const TruePanel &in = w.at({0, 0}), &out = w.at({0, 1});
  // The underside of the tip at the spar, turned up about the join's axis by the angle between the panels.
  const double t = out.shape.loft.span(), x = planX(out.shape.loft.frameAt(t), 0.3);
  const double z = surfaceHeightAt(out.shape.loft.cutAt(t), Face::lower, x);
  const Eigen::AngleAxisd turn(degToRad(6), Point3::UnitX());
  const Point3 tip = turn * Point3(x, t, z);
  EXPECT_NEAR(out.join.block.height, tip.z() - in.shape.loft.lowest(), 1e-6);
}

/// Each panel turned by a rotation matrix and hung on the tip of the one inside it.
TEST(Panels, StandInSpaceAsRotationsPutThem) {
  const TrueWing w = wingOf(demoDesign("tarnbrook-2000"));
  Point3 hung(0, 0, 0);
  for (std::size_t k = 0; k < w.main().panels.size(); ++k) {
    const TruePanel& p = w.main().panels[k];
    const Eigen::AngleAxisd turn(p.design.gamma, Point3::UnitX());
    for (const Rib& rib : p.frame.ribs)
      for (const Point& q : {rib.frame.le, rib.frame.te})
        EXPECT_LT((w.main().inSpace[k].at(q, rib.t()) - (hung + turn * Point3(q.x(), rib.t(), q.y()))).norm(), 1e-9);
    hung += turn * Point3(p.design.panel.tipSetback, p.shape.loft.span(), 0);
  }
  EXPECT_NEAR(hung.y(), w.main().fromAbove, 1e-9);
  EXPECT_NEAR(hung.z(), w.main().tipRise, 1e-9);
  // Both panels' faces at a join lie on the plane that halves it: a rib's outline in both, mirrored in that plane.
  const TruePanel &in = w.main().panels[1], &out = w.main().panels[2];
  const Point3 n = Eigen::AngleAxisd(out.design.gamma, Point3::UnitX()) * joinPlane(out.join.fold, true);
  const Point3 other = Eigen::AngleAxisd(in.design.gamma, Point3::UnitX()) * joinPlane(out.join.fold, false);
  EXPECT_LT((n - other).norm(), 1e-12) << "one plane, seen from either panel";
}

RC_GTEST_PROP(Panels, FoldsAddUpToTheAngles, ()) {
  Design d = twoPanels(*rc::gen::inRange(-100, 200) / 10.0, *rc::gen::inRange(-100, 300) / 10.0);
  d.wings[0].panels.push_back(d.at({0, 1}));
  d.at({0, 2}).join.dihedral = {DihedralBy::angle, *rc::gen::inRange(0, 400) / 10.0};
  const auto briefs = briefsOf(d, 0);
  // The angle at each join is shared by both ends: half and half.
  double sum = briefs[0].fold;
  for (std::size_t k = 1; k < briefs.size(); ++k) sum += 2 * briefs[k].fold;
  RC_ASSERT(std::abs(sum - briefs.back().gamma) < 1e-12);
}

TEST(Panels, EffectiveDihedralAndPlanformByPlainSumming) {
  const TrueWing w = wingOf(twoPanels(2, 11, 30));
  double c0 = 0, cc = 0, cy = 0, cx = 0, gcy = 0;
  constexpr int n = 200000;
  for (int i = 0; i < n; ++i) {
    const double y = (i + 0.5) * 700 / n;
    const bool inner = y < 400;
    const double share = inner ? y / 400 : (y - 400) / 300, chord = inner ? 220 - 30 * share : 190 - 60 * share;
    c0 += chord, cc += chord * chord, cy += chord * y, cx += chord * 30 * y / 700, gcy += (inner ? 2 : 11) * chord * y;
  }
  EXPECT_NEAR(figureOf(w, "wing.effectiveDihedral"), degToRad(gcy / cy), 1e-6);
  EXPECT_NEAR(w.main().planform.area, 2 * c0 * 700 / n, 0.5);
  EXPECT_NEAR(w.main().planform.meanChord, cc / c0, 1e-3);
  EXPECT_NEAR(w.main().planform.meanChordAt, cy / c0, 1e-3);
  EXPECT_NEAR(w.main().planform.meanChordLe, cx / c0, 1e-3);
  EXPECT_NEAR(figureOf(w, "panel.spanFromAbove"), 2 * (400 * std::cos(degToRad(2)) + 300 * std::cos(degToRad(11))),
              1e-9);
}

/// How far a point lies off an outline.
double off(const Polyline& loop, const Point& p) {
  double best = 1e300;
  for (std::size_t i = 0; i < loop.size(); ++i) {
    const Point a = loop[i], d = loop[(i + 1) % loop.size()] - a;
    const double share = d.squaredNorm() > 0 ? std::clamp((p - a).dot(d) / d.squaredNorm(), 0.0, 1.0) : 0;
    best = std::min(best, (p - a - d * share).norm());
  }
  return best;
}

/// Cutting a wing changes nothing about it: its surface, loads, notches and bending stay.
RC_GTEST_PROP(Panels, CuttingAnywhereKeepsTheWing, ()) {
  Design d;
  d.inner().panel = test::panelOf(700, 220, *rc::gen::inRange(120, 230) * 1.0, *rc::gen::inRange(-20, 90) * 1.0,
                                  *rc::gen::inRange(0, 50) / 10.0, *rc::gen::inRange(0, 101) / 100.0);
  d.inner().sections.root = nacaSection("2413");
  if (*rc::gen::arbitrary<bool>()) d.inner().sections.tip = nacaSection("4409");
  const double t = *rc::gen::inRange(30, 670);
  const auto cut = withPanelSplit(d, {}, t);
  RC_ASSERT(cut.ok());
  const TrueWing whole = wingOf(d), parts = wingOf(cut.value());
  RC_ASSERT(parts.main().panels.size() == 2u);
  const TruePanel &in = parts.at({0, 0}), &out = parts.at({0, 1});
  for (const double at : {0.0, 0.3 * t, t, t + 0.5 * (700 - t), 700.0}) {
    const bool inner = at <= t;
    const Cut a = whole.inner().shape.loft.cutAt(at),
              b = inner ? in.shape.loft.cutAt(at) : out.shape.loft.cutAt(at - t);
    const Point shift(inner ? 0 : out.design.setback, 0);
    const Polyline outline = outlineOf(b);
    for (const Face face : {Face::upper, Face::lower})
      for (const Point& p : a.face(face)) RC_ASSERT(off(outline, p - shift) < 0.03); // the cut is a list of points
  }
  // The planform takes chords straight between the ends; those of a twisted panel are not quite.
  RC_ASSERT(std::abs(whole.main().planform.meanChord - parts.main().planform.meanChord) < 0.1);
  RC_ASSERT(std::abs(figureOf(whole, "load.rootMoment") / figureOf(parts, "load.rootMoment") - 1) < 1e-3);
  RC_ASSERT(std::abs(figureOf(whole, "load.tipDeflection") / figureOf(parts, "load.tipDeflection") - 1) < 5e-3);
  RC_ASSERT(std::abs(whole.main().tipRise - parts.main().tipRise) < 1e-6);
  // Put together again it is as it was.
  const auto again = withPanelsMerged(cut.value(), {});
  RC_ASSERT(again.ok());
  const PanelDesign &was = d.inner(), &is = again.value().inner();
  RC_ASSERT(again.value().wings[0].panels.size() == 1u);
  RC_ASSERT(std::abs(is.panel.span - was.panel.span) < 1e-9 &&
            std::abs(is.panel.tipSetback - was.panel.tipSetback) < 1e-9);
  RC_ASSERT(is.sections == was.sections && is.panel.washoutDeg == was.panel.washoutDeg);
  RC_ASSERT(std::abs(is.join.dihedral.value - was.join.dihedral.value) < 1e-9);
}

TEST(Panels, ACutAtARibKeepsTheEvenBays) {
  Design d;
  d.inner().ribs.count = 15; // bays of 50
  const Design cut = withPanelSplit(d, {}, 250).value();
  EXPECT_EQ(cut.at({0, 0}).ribs.count, 6);
  EXPECT_EQ(cut.at({0, 1}).ribs.count, 10);
  EXPECT_EQ(cut.at({0, 0}).ribs.rule, RibRule::count);
  const Design again = withPanelsMerged(cut, {}).value();
  EXPECT_EQ(again.inner().ribs.rule, RibRule::count);
  EXPECT_EQ(again.inner().ribs.count, 15);
  EXPECT_FALSE(withPanelSplit(d, {}, 5).ok());
  EXPECT_FALSE(withPanelSplit(d, {}, 695).ok());
  EXPECT_FALSE(withPanelsMerged(d, {}).ok());
  EXPECT_FALSE(withPanelTakenOut(d, {}).ok());
}

TEST(Panels, AddedAndTakenOut) {
  Design d;
  for (int i = 1; i < mostPanels; ++i) {
    d = withPanelAdded(d, 0).value();
    EXPECT_TRUE(std::holds_alternative<TrueWing>(work(d))) << i;
  }
  EXPECT_FALSE(withPanelAdded(d, 0).ok());
  d = twoPanels(3, 9, 40);
  const double chord = wingOf(d).at({0, 1}).frame.ribs.front().frame.chord;
  const Design outer = withPanelTakenOut(d, {0, 0}).value();
  EXPECT_EQ(outer.wings[0].panels.size(), 1u);
  EXPECT_NEAR(outer.inner().panel.rootChord, chord, 1e-9);
  EXPECT_NEAR(outer.inner().panel.washoutDeg, 2, 1e-9) << "against its own root now";
  EXPECT_EQ(withPanelTakenOut(d, {0, 1}).value().inner(), d.inner());
}

/// What is decided of a frame stays decided in a panel of sheet that is cut, moved, copied or put together.
TEST(Panels, OfSheetKeepWhatIsDecidedOfAFrame) {
  Design ribs;
  ribs.inner().ribs.count = 11;
  Design sheet = ribs;
  sheet.inner().built = Built::sheet;
  const auto framed = [](Design d) {
    for (PanelDesign& p : d.wings.front().panels) p.built = Built::ribs;
    return d;
  };
  const double t = ribs.inner().panel.span / 2;
  const auto cutRibs = withPanelSplit(ribs, {}, t), cutSheet = withPanelSplit(sheet, {}, t);
  ASSERT_TRUE(cutRibs.ok() && cutSheet.ok());
  EXPECT_EQ(framed(cutSheet.value()), cutRibs.value());
  for (const PanelDesign& p : cutSheet.value().wings[0].panels) EXPECT_EQ(p.built, Built::sheet);
  EXPECT_EQ(framed(withPanelsMerged(cutSheet.value(), {}).value()), withPanelsMerged(cutRibs.value(), {}).value());
  EXPECT_EQ(framed(withPanelMovedOut(cutSheet.value(), {}).value()), withPanelMovedOut(cutRibs.value(), {}).value());
  EXPECT_EQ(framed(withPanelCopied(sheet, {}, 0).value()), withPanelCopied(ribs, {}, 0).value());
  EXPECT_EQ(framed(withPanelAdded(sheet, 0).value()), withPanelAdded(ribs, 0).value());
  EXPECT_EQ(framed(withPanelTakenOut(cutSheet.value(), {}).value()), withPanelTakenOut(cutRibs.value(), {}).value());
  Design mixed = cutSheet.value();
  mixed.wings[0].panels[1].built = Built::ribs;
  EXPECT_FALSE(withPanelsMerged(mixed, {}).ok()) << "sheet and ribs are not one panel";
  // A plate that tapers and is turned stays a plate.
  sheet.inner().sections.root.kind = sheet.inner().sections.tip.kind = SectionKind::flatPlate;
  const TrueWing plates = wingOf(withPanelSplit(sheet, {}, t).value());
  for (const TruePanel& p : plates.main().panels) EXPECT_EQ(p.sheet->way, SheetWay::flat);
}

/// A strut holds the place that it held, however the panels about it are cut.
TEST(Panels, TakeTheirStrutsAlong) {
  Design d;
  d.inner().join.braces.clear();
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  d.inner().ribs.count = 11;
  Strut onSpar, onRib;
  onSpar.out = d.inner().panel.span * 0.7;
  onRib.on = StrutOn::rib, onRib.rib = 9, onRib.out = 10;
  Strut within = onSpar;
  within.out = d.inner().panel.span * 0.3, within.rib = 9; // what it does not use says nothing
  for (const Strut& s : {onSpar, onRib, within}) {
    d.wings[0].struts = {s};
    const auto place = [](const Design& of) {
      const TrueWing w = wingOf(of);
      EXPECT_EQ(w.main().held.struts.size(), 1u);
      return w.main().held.struts.empty() ? Point3(0, 0, 0) : w.main().held.struts.front().place.top;
    };
    const Point3 was = place(d);
    const auto cut = withPanelSplit(d, {}, d.inner().panel.span / 2);
    ASSERT_TRUE(cut.ok());
    EXPECT_LT((place(cut.value()) - was).norm(), 0.5) << "its section is the loft's own there";
    EXPECT_EQ(cut.value().wings[0].struts[0].panel, was.y() > d.inner().panel.span / 2 ? 2 : 1);
    EXPECT_LT((place(withPanelsMerged(cut.value(), {}).value()) - was).norm(), 0.5);
    const auto without = withPanelTakenOut(cut.value(), {0, 1});
    EXPECT_EQ(without.value().wings[0].struts.size(), was.y() > d.inner().panel.span / 2 ? 0u : 1u);
  }
}

TEST(Panels, MomentRunsOnOverTheJoin) {
  const TrueWing w = wingOf(twoPanels(3, 9));
  const Strength &in = w.at({0, 0}).strength.bending, &out = w.at({0, 1}).strength.bending;
  EXPECT_NEAR(figureOf(w, "panel2.load.rootMoment"), in.load.moment(400), 1e-9);
  EXPECT_NEAR(out.spars[0].moment, out.load.moment(400) * out.spars[0].share, 1e-9);
  // Bending of the tip by one sum over both panels.
  double slope = 0, sag = 0;
  constexpr int n = 40000;
  for (int i = 0; i < n; ++i) {
    const double dy = 700.0 / n, y = (i + 0.5) * dy;
    const TruePanel& p = w.at({0, y < 400 ? 0 : 1});
    const double t = y - p.design.inboard;
    double ei = 0;
    for (const SparLine& line : p.frame.spars) ei += sparSection(p.design.spars[0], line, t, Tables{}).bent.stiffness;
    sag += slope * dy + in.load.moment(y) / ei * dy * dy / 2;
    slope += in.load.moment(y) / ei * dy;
  }
  EXPECT_NEAR(w.main().tipDeflection, sag, 2e-3 * sag);
}

TEST(Panels, FindingsAndFiguresNameTheirPanel) {
  Design d = twoPanels(3, 9);
  d.at({0, 1}).spars[0].top.depth = 40;
  const TrueWing w = wingOf(d);
  const auto deep =
      std::find_if(findingsOf(w).begin(), findingsOf(w).end(), [](const Finding& f) { return f.key == "spar.deep"; });
  ASSERT_NE(deep, findingsOf(w).end());
  EXPECT_TRUE(deep->what.starts_with("Panel 2: ")) << deep->what;
  EXPECT_EQ(deep->panel, 1);
  EXPECT_TRUE(deep->decisions.front().starts_with("wings.0.panels.1.spars.0."));
  for (const Figure& f : figuresOf(w))
    for (const std::string& path : f.decisions)
      EXPECT_TRUE(decisionAt(d, path).has_value()) << f.key << " names " << path;
  // A contradiction is told the same way.
  d.at({0, 1}).ribs.rule = RibRule::stations;
  d.at({0, 1}).ribs.stations = {0};
  const auto none = std::get<std::vector<Finding>>(work(d));
  EXPECT_TRUE(none.front().what.starts_with("Panel 2: "));
}

TEST(Panels, PlanTableAndFilesHoldAllOfThem) {
  const TrueWing w = wingOf(twoPanels(3, 9, 40));
  const Table table = stationTable(w);
  ASSERT_EQ(table.rows.size(), 24u);
  for (const auto& row : table.rows) EXPECT_EQ(row.size(), table.columns.size());
  EXPECT_EQ(table.rows.back()[3], "2");
  EXPECT_NEAR(std::stod(table.rows.back()[4]), 700, 1e-6);
  const auto right = planDrawing(test::drawn(w), Hand::right);
  EXPECT_GT(right.bounds().width(), 700);
  EXPECT_LT(right.bounds().width(), 760);
  test::ScratchFolder folder;
  ExportOrder order;
  order.formats = {ExportFormat::svg, ExportFormat::pdf};
  EXPECT_TRUE(exportWing(w, folder.path, order).ok());
  const std::string card = test::slurp(folder.path / "new-wing-bench-card-right.svg");
  EXPECT_NE(card.find("Join of R13 to R12"), std::string::npos);
}

/// Second construction: the joint's plane cuts a box-shaped strip; angles measured between the cut corners.
RC_GTEST_PROP(EndCut, AgreesWithCornersCutInSpace, ()) {
  const double sweep = degToRad(*rc::gen::inRange(-300, 350) / 10.0),
               rise = degToRad(*rc::gen::inRange(-30, 31) / 10.0), fold = degToRad(*rc::gen::inRange(-100, 150) / 10.0);
  const Point3 along = Point3(std::tan(sweep), 1, std::tan(rise)), up(0, 0, 1), n = joinPlane(fold, true);
  const EndCut cut = endCut(along, up, n);
  // Edges of the strip run along its length: two at its top, one below the front one, square to it as the strip is.
  const Point3 length = along.normalized(), aft = length.cross(up).normalized(), high = aft.cross(length);
  const auto hit = [&](const Point3& from) -> Point3 { return from - length * (n.dot(from) / n.dot(length)); };
  const Point3 front = hit(Point3(0, 0, 0)), back = hit(10 * aft), below = hit(-10 * high);
  RC_ASSERT(std::abs(std::tan(cut.mitre) - (back - front).dot(length) / 10) < 1e-9);
  RC_ASSERT(std::abs(std::tan(cut.bevel) - (front - below).dot(length) / 10) < 1e-9);
  RC_ASSERT(std::abs(std::sin(cut.tilt) + n.dot(high)) < 1e-9);
}

// The bevels of the two ends that meet add up to the angle between them, where nothing is swept.
TEST(EndCut, BevelsAddUpToTheBend) {
  const double fold = degToRad(4);
  const EndCut out = endCut({0, 1, 0}, {0, 0, 1}, joinPlane(fold, true)),
               in = endCut({0, 1, 0}, {0, 0, 1}, joinPlane(fold, false));
  EXPECT_NEAR(out.bevel - in.bevel, 2 * fold, 1e-12);
  EXPECT_NEAR(out.mitre, 0, 1e-12);
}

TEST(Dihedral, ByTheSpanFromAbove) {
  Design d;
  d = decide(d, "wings.0.panels.0.join.dihedral.projected", "697").value();
  EXPECT_EQ(d.inner().join.dihedral.by, DihedralBy::projected);
  EXPECT_NEAR(wingOf(d).inner().join.gamma, std::acos(697.0 / 700), 1e-9);
  EXPECT_NEAR(figureOf(wingOf(d), "panel.spanFromAbove"), 2 * 697, 1e-9);
  EXPECT_FALSE(decide(d, "wings.0.panels.0.join.dihedral.projected", "701").ok());
  const auto read = designFromText(designToText(d));
  ASSERT_TRUE(read.ok());
  EXPECT_EQ(read.value().design, d);
}

/// A panel made shorter than what was decided of it: told, and neither saving nor loading loses the wing.
TEST(Dihedral, ThatNoLongerFitsThePanelIsToldAndKept) {
  for (const Dihedral dihedral : {Dihedral{DihedralBy::projected, 690}, Dihedral{DihedralBy::rise, 500}}) {
    Design d;
    d.inner().join.dihedral = dihedral;
    EXPECT_TRUE(std::holds_alternative<TrueWing>(work(d)));
    d = decide(d, "wings.0.panels.0.panel.span", "400").value();
    const auto result = work(d);
    ASSERT_TRUE(std::holds_alternative<std::vector<Finding>>(result));
    const Finding& told = std::get<std::vector<Finding>>(result).front();
    EXPECT_EQ(told.key, dihedral.by == DihedralBy::rise ? "join.rise" : "join.projected");
    for (const std::string& path : told.decisions) EXPECT_TRUE(decisionAt(d, path).has_value()) << path;
    const auto read = designFromText(designToText(d));
    ASSERT_TRUE(read.ok()) << read.problem().text();
    EXPECT_EQ(read.value().design, d);
  }
  Design sound; // a span from above that is as long as the panel: flat
  sound.inner().join.dihedral = {DihedralBy::projected, 700};
  EXPECT_NEAR(wingOf(sound).inner().join.gamma, 0, 1e-9);
}

TEST(Demos, AreWingsThatCanBeBuilt) {
  for (const std::string& name : shipped::demoNames()) {
    const TrueWing w = wingOf(demoDesign(name));
    for (const Finding& f : findingsOf(w)) EXPECT_NE(f.severity, Severity::serious) << name << ": " << f.what;
  }
}

} // namespace
} // namespace eup
