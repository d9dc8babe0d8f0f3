// How strips are sawn at joins, against strips made as prisms in space and cut by the plane that halves the join.
#include "core/described/design_file.h"
#include "core/edit/panel_edit.h"
#include "core/joins/end_cut.h"
#include "support.h"
#include <Eigen/Geometry>
#include <rapidcheck/gtest.h>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

/// The four long edges of a strip, followed to the plane: what a protractor reads on its faces.
EndCut sawn(const Point3& along, const Point3& normal) {
  const Point3 a = along.normalized(), back = a.cross(Point3::UnitZ()).normalized(), up = back.cross(a);
  const auto reach = [&](double aft, double high) { // along the edge, from the middle's own place
    const Point3 corner = aft * back + high * up;
    return -normal.dot(corner) / normal.dot(a);
  };
  EndCut cut;
  cut.mitre = std::atan(reach(0.5, 0) - reach(-0.5, 0));
  cut.bevel = std::atan(reach(0, 0.5) - reach(0, -0.5));
  return cut;
}

TEST(EndCuts, OfCapsThatFallTowardsTheTip) {
  // 2412, 230 → 150 over 650, tip set back 22, Γ 4°, washout 2° about the LE: the caps' lines bend by 7.177° and 8.866°
  // at the centre (second route), half of that at either end.
  Design d;
  d.inner().panel = test::panelOf(650, 230, 150, 22, 2, 0);
  d.inner().join.dihedral = {DihedralBy::angle, 4};
  d.inner().sheeting.top = d.inner().sheeting.bottom = false;
  d.inner().capStrips.top = d.inner().capStrips.bottom = false;
  d.inner().spars[0].rootFraction = d.inner().spars[0].tipFraction = 0.3;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(radToDeg(figureOf(w, "cut.spar.1.top.bevel")), 7.17734 / 2, 0.01);
  EXPECT_NEAR(radToDeg(figureOf(w, "cut.spar.1.bottom.bevel")), 8.86554 / 2, 0.01);
  EXPECT_NEAR(figureOf(w, "cut.spar.1.top.bevel"), figureOf(w, "brace.capTop") / 2, 3e-4);
  // The trailing edge rises by c sin 2° over the span.
  EXPECT_NEAR(radToDeg(figureOf(w, "cut.te.bevel")), 4 + radToDeg(std::atan(150 * std::sin(degToRad(2)) / 650)), 0.03);
}

RC_GTEST_PROP(EndCuts, AreThoseOfPrismsCutByThePlane, ()) {
  const auto some = [](double low, double high) { return low + (high - low) * *rc::gen::inRange(0, 10001) / 10000.0; };
  const Point3 along(some(-0.6, 0.6), 1, some(-0.15, 0.15));
  const double fold = some(-0.4, 0.4);
  for (const bool outer : {true, false}) {
    const EndCut cut = endCut(along, Point3::UnitZ(), joinPlane(fold, outer)),
                 want = sawn(along, joinPlane(fold, outer));
    RC_ASSERT(std::abs(cut.mitre - want.mitre) < 1e-9);
    RC_ASSERT(std::abs(cut.bevel - want.bevel) < 1e-9);
  }
}

/// Both ends that meet are told, each on its own panel, and close on each other in space.
TEST(EndCuts, OfTheInnerPanelsOuterEndAreToldToo) {
  const Design d = demoDesign("tarnbrook-2000");
  const TrueWing w = wingOf(d);
  int told = 0;
  for (const Figure& f : figuresOf(w)) {
    const bool outerEnd = f.key.find("cutOuter.") != std::string::npos;
    told += outerEnd;
    if (outerEnd && f.key.ends_with("te.bevel")) {
      const TruePanel& p = f.key.starts_with("panel2.") ? w.at({0, 1}) : w.inner();
      const ChordFrame root = p.shape.loft.frameAt(0), tip = p.shape.loft.frameAt(p.shape.loft.span());
      const Point3 along(tip.te.x() - root.te.x(), p.shape.loft.span(), tip.te.y() - root.te.y());
      EXPECT_NEAR(f.value, sawn(along, joinPlane(p.design.foldBeyond, false)).bevel, 1e-9) << f.key;
    }
  }
  EXPECT_GE(told, 10);
  // Without washout and sweep both ends are cut alike: trimmed above, longer below.
  Design plain;
  plain.inner().panel = test::panelOf(400, 200, 200);
  plain.inner().join.dihedral = {DihedralBy::angle, 2};
  plain = withPanelAdded(plain, 0).value();
  plain.wings[0].panels[1].panel.tipChord = 200;
  plain.wings[0].panels[1].panel.tipSetback = 0;
  plain.wings[0].panels[1].panel.washoutDeg = 0;
  plain.wings[0].panels[1].join.dihedral = {DihedralBy::angle, 8};
  const TrueWing two = wingOf(plain);
  EXPECT_NEAR(radToDeg(figureOf(two, "cutOuter.le.bevel")), -3, 1e-6) << "+ is longer above";
  EXPECT_NEAR(radToDeg(figureOf(two, "panel2.cut.le.bevel")), 3, 1e-6) << "+ is longer below";
}

} // namespace
} // namespace eup
