// What a rule reads on the bench: packing under the leading edge and blocks under tips, against the section's own
// outline and against the wing turned in space.
#include "core/described/design_file.h"
#include "core/joins/setting_up.h"
#include "support.h"
#include <Eigen/Geometry>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

// Heights of the demo's root rib that were measured on its outline by a second route: its nose point lies 11.15 over
// the board, the underside 2, 5 and 10 mm aft of it 7.67, 5.75 and 3.88.
TEST(LeadingEdgePacking, ReachesTheUndersideWhereItStands) {
  Design d = demoDesign("fenlark-1500");
  d.inner().leadingEdge.kind = LeadingEdgeKind::square;
  d.inner().leadingEdge.widthIs = WidthIs::alongFlight;
  const auto at = [&](double width, NoseOn on) {
    d.inner().leadingEdge.width = width;
    d.inner().join.noseOn = on;
    return figureOf(wingOf(d), "setup.1.le");
  };
  EXPECT_NEAR(at(2, NoseOn::rear), 7.67, 0.02);
  EXPECT_NEAR(at(5, NoseOn::rear), 5.75, 0.02);
  EXPECT_NEAR(at(10, NoseOn::rear), 3.88, 0.02);
  EXPECT_NEAR(at(10, NoseOn::middle), 5.75, 0.02);
  EXPECT_NEAR(figureOf(wingOf(d), "setup.1.nose"), 11.15, 0.02);
  d.unit = LengthUnit::inch; // shown otherwise, measured alike
  EXPECT_NEAR(at(4, NoseOn::middle), 7.67, 0.02);
}

/// Straight down from any place of the chord line to the outline, by its own points; on ribs that wash in too.
TEST(LeadingEdgePacking, FollowsTheOutlineOnEveryRib) {
  for (const double washout : {-2.0, 0.0, 3.0})
    for (const LeadingEdgeKind kind : {LeadingEdgeKind::none, LeadingEdgeKind::onEdge, LeadingEdgeKind::shaped}) {
      Design d;
      d.inner().panel.washoutDeg = washout;
      d.inner().leadingEdge.kind = kind;
      const TrueWing w = wingOf(d);
      const TruePanel& p = w.inner();
      for (const RibSupports& s : p.settingUp.ribs) {
        const Rib& rib = p.frame.ribs[static_cast<std::size_t>(s.rib - 1)];
        const Support& le = s.at.front();
        if (kind == LeadingEdgeKind::none) {
          EXPECT_NEAR(le.x, 0.05 * rib.frame.chord, 1e-9);
        }
        const double planX = rib.frame.fromChord({le.x, 0}).x();
        double height = NAN;
        for (std::size_t i = 1; i < rib.lower.size(); ++i) {
          const Point a = rib.frame.fromChord(rib.lower[i - 1]), b = rib.frame.fromChord(rib.lower[i]);
          if (a.x() <= planX && b.x() >= planX)
            height = a.y() + (b.y() - a.y()) * (planX - a.x()) / (b.x() - a.x()) - p.settingUp.board;
        }
        EXPECT_NEAR(le.height, height, 1e-6) << rib.name() << " " << washout;
        EXPECT_LT(le.height, s.nose) << "the underside lies below the nose point";
      }
    }
}

/// The wing put together by turns in space: the outer panel folded up about the aft direction, then all of it turned as
/// what is pinned lies on the board.
double blockInSpace(const TruePanel& p, const Lie& lie, double setback, double fold, double fraction) {
  const Eigen::AngleAxisd up(fold, Point3::UnitX()), nose(lie.turn, Point3::UnitY());
  const Cut tip = p.shape.loft.cutAt(p.shape.loft.span());
  const double x = tip.frame.fromChord({fraction * tip.frame.chord, 0}).x();
  const double z = surfaceHeightAt(tip, Face::lower, x);
  const Point3 at = nose * (up * Point3(x, p.shape.loft.span(), z) + Point3(setback, 0, 0));
  return at.z() - lie.board;
}

// L sin 2Γ under the trailing edge of a wing that lies flat on its underside: 610 and 4.5° give 95.425 (worked by
// hand); that the whole wing lies turned by its underside's angle takes some hundredths off.
TEST(TipBlock, KeepsTheDatum) {
  Design d = test::bareDesign();
  d.inner().sections.root.kind = SectionKind::flatUnderside;
  d.inner().sections.tip = d.inner().sections.root;
  d.inner().panel = test::panelOf(610, 190, 190);
  d.inner().join.dihedral = {DihedralBy::angle, 4.5};
  d.inner().join.propping = Propping::oneFlat;
  d.inner().join.blockAt = BlockAt::trailingEdge;
  d.inner().join.datum = Datum::undersideFlat;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(figureOf(w, "join.block"), 95.425, 0.1);
  EXPECT_NEAR(figureOf(w, "join.block"), blockInSpace(w.inner(), w.inner().settingUp, 0, 2 * w.inner().join.fold, 1),
              1e-6);
  d.inner().join.datum = Datum::chordLevel;
  EXPECT_GT(figureOf(wingOf(d), "join.block"), 96) << "level by its chord it lies higher there";
}

TEST(TipBlock, KeepsTheDatumOfThePanelThatIsPinned) {
  for (const double washout : {-1.5, 2.0})
    for (const BlockAt at : {BlockAt::trailingEdge, BlockAt::leadingEdge}) {
      Design d = demoDesign("oldacre-1320");
      PanelDesign &in = d.wings[0].panels[0], &out = d.wings[0].panels[1];
      in.sections.root.kind = SectionKind::flatUnderside;
      in.panel.tipSetback = 25;
      in.join.datum = Datum::undersideFlat;
      out.panel.washoutDeg = washout;
      out.join.blockAt = at;
      const TrueWing w = wingOf(d);
      const TruePanel& p = w.at({0, 1});
      EXPECT_NE(w.inner().settingUp.turn, 0);
      Lie lie = w.inner().settingUp;
      lie.board += w.inner().settingUp.lift; // without its feet
      EXPECT_NEAR(p.join.block.height, blockInSpace(p, lie, 25, 2 * p.join.fold, p.join.block.fraction), 1e-6);
      if (at == BlockAt::leadingEdge) {
        EXPECT_NEAR(p.join.block.fraction * p.design.panel.tipChord, noseSupport(p.design, p.design.panel.tipChord),
                    1e-9);
      }
    }
}

} // namespace
} // namespace eup
