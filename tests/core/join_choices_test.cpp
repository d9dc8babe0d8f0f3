// What a join may be decided by beside its angle: a block of a given height, which end takes the angle, and at which
// ribs incidence templates stand.
#include "core/described/design_file.h"
#include "core/drawing/paging.h"
#include "core/edit/panel_edit.h"
#include "core/joins/in_space.h"
#include "core/joins/setting_up.h"
#include "core/takeaway/take_away.h"
#include "core/trials/trial_assembly.h"
#include "places.h"
#include "support.h"
#include <Eigen/Geometry>

namespace eup {
namespace {

using test::figureOf;
using test::wingOf;

// L sin 2Γ: 95.425 under the tip of 610 is 4.5° each half, one of them flat (worked by hand); that the wing lies turned
// by its underside's angle makes some hundredths of it.
TEST(BlockHeight, DecidesTheDihedral) {
  Design d = test::bareDesign();
  d.inner().sections.root.kind = SectionKind::flatUnderside;
  d.inner().sections.tip = d.inner().sections.root;
  d.inner().panel = test::panelOf(610, 190, 190);
  d.inner().join.propping = Propping::oneFlat;
  d.inner().join.blockAt = BlockAt::trailingEdge;
  d.inner().join.datum = Datum::undersideFlat;
  d.inner().join.blockHeight = 95.425;
  const TrueWing w = wingOf(d);
  EXPECT_NEAR(radToDeg(w.inner().join.gamma), 4.5, 0.005);
  EXPECT_NEAR(figureOf(w, "join.block"), 95.425, 1e-9);
  EXPECT_NEAR(figureOf(w, "join.rise"), 610 * std::sin(w.inner().join.gamma), 1e-9);
  EXPECT_EQ(figureNamed(w, "join.rise")->decisions.front(), "wings.0.panels.0.join.blockHeight");
}

/// Wherever the block stands, whatever is pinned: the same wing told by the angle that was found has that block.
TEST(BlockHeight, IsTheBlockOfTheAngleThatWasFound) {
  for (const char* name : {"tarnbrook-2000", "oldacre-1320", "fenlark-1500"})
    for (const BlockAt at : {BlockAt::leadingEdge, BlockAt::spar, BlockAt::trailingEdge})
      for (const double height : {12.7, 50.8}) {
        Design d = demoDesign(name);
        for (PanelDesign& p : d.wings[0].panels) p.join.blockAt = at, p.join.blockHeight = height;
        const TrueWing w = wingOf(d);
        for (std::size_t k = 0; k < d.wings[0].panels.size(); ++k) {
          d.wings[0].panels[k].join.blockHeight = 0;
          d.wings[0].panels[k].join.dihedral = {DihedralBy::angle, radToDeg(w.main().panels[k].join.gamma)};
        }
        const TrueWing told = wingOf(d);
        for (std::size_t k = 0; k < told.main().panels.size(); ++k) {
          EXPECT_NEAR(told.main().panels[k].join.block.height, height, 1e-6) << name;
          EXPECT_NEAR(told.main().panels[k].join.fold, w.main().panels[k].join.fold, 1e-9);
        }
        EXPECT_LT(assembled(w.main()).tipOff, 0.01) << "what is told of it goes together";
      }
}

TEST(BlockHeight, ThatCannotBeIsToldAndPanelsAreNotCutUnderIt) {
  Design d;
  d.inner().join.blockHeight = d.inner().panel.span * 0.9;
  const auto result = work(d);
  ASSERT_TRUE(std::holds_alternative<std::vector<Finding>>(result));
  EXPECT_EQ(std::get<std::vector<Finding>>(result).front().key, "join.rise");
  d.inner().join.blockHeight = 40;
  const auto cut = withPanelSplit(d, {}, 300);
  ASSERT_FALSE(cut.ok());
  EXPECT_NE(cut.problem().cause.find("block"), std::string::npos);
  const auto added = withPanelAdded(d, 0);
  ASSERT_TRUE(added.ok());
  EXPECT_EQ(added.value().wings[0].panels[1].join.blockHeight, 0);
  EXPECT_FALSE(withPanelsMerged(added.value(), {}).ok());
}

/// Two panels with ten degrees between them, the inner one level.
Design folded(AngleTaken taken) {
  Design d;
  d.inner().panel = test::panelOf(400, 200, 200);
  d.inner().join.dihedral = {DihedralBy::angle, 0};
  d = withPanelAdded(d, 0).value();
  Join& j = d.wings[0].panels[1].join;
  d.wings[0].panels[1].panel = test::panelOf(300, 200, 170, 12, 1.5);
  d.wings[0].panels[1].panel.continues = true;
  j.dihedral = {DihedralBy::angle, 10};
  j.angleTaken = taken;
  j.rootLeans = true;
  return d;
}

// By the angle between two planes: half of ten degrees an end, or all of it at one and none at the other.
TEST(AngleTaken, ByBothEndsOrByOne) {
  for (const AngleTaken taken : {AngleTaken::halves, AngleTaken::outer}) {
    const bool whole = taken == AngleTaken::outer;
    const TrueWing w = wingOf(folded(taken));
    EXPECT_NEAR(radToDeg(figureOf(w, "panel2.cut.le.bevel")), whole ? 10 : 5, 0.02);
    EXPECT_NEAR(radToDeg(figureOf(w, "cutOuter.le.bevel")), whole ? 0 : -5, 1e-6);
    EXPECT_NEAR(radToDeg(figureOf(w, "panel2.join.rootLean")), whole ? 10 : 5, 1e-9);
    const TruePanel &in = w.main().panels[0], &out = w.main().panels[1];
    EXPECT_NEAR(figureOf(w, "panel2.join.trim"), out.join.rootDepth * std::tan(degToRad(whole ? 10 : 5)), 1e-9);
    // In space both ribs that meet lie in one plane: it holds the inner panel's end, square, or halves the angle.
    const Point3 square = Eigen::AngleAxisd(degToRad(whole ? 0 : 5), Point3::UnitX()) * Point3::UnitY();
    const Point3 at = w.main().inSpace[1].origin;
    for (const auto& [panel, rib, frame] : {std::tuple(&out, &out.frame.ribs.front(), w.main().inSpace[1]),
                                            std::tuple(&in, &in.frame.ribs.back(), w.main().inSpace[0])})
      for (const Point& q : rib->bare) {
        const Point3 p = rib->inPanel(q);
        EXPECT_NEAR((frame.at(p.x(), p.y(), p.z()) - at).dot(square), 0, 1e-6) << rib->name();
      }
    const Assembly a = assembled(w.main());
    EXPECT_LT(a.tipOff, 0.01);
    Design bare = folded(taken);
    bare.wings[0].panels[1].join.braces.clear(); // joined by its sawn ends alone
    EXPECT_LT(assembled(wingOf(bare).main()).tipOff, 0.01);
  }
}

TEST(Templates, StandAtTheRibsThatWereAskedFor) {
  Design d;
  const auto over = [&] {
    std::vector<std::string> names;
    const TrueWing w = wingOf(d);
    for (const Label& l : stacked(gauges(test::drawn(w).front(), Hand::right), 5).labels)
      if (l.text.starts_with("over R")) names.push_back(l.text.substr(5, l.text.find(' ', 5) - 5));
    return names;
  };
  EXPECT_EQ(over(), (std::vector<std::string>{"R1", "R7", "R12"}));
  d.inner().join.templates = {9, 2, 4, 2, 400};
  EXPECT_EQ(over(), (std::vector<std::string>{"R2", "R4", "R9"}));
}

/// Ribs on feet stand where the packing of the same wing without feet would have them.
TEST(TrialOnFeet, IsTheWingThatWasDecided) {
  Design d = demoDesign("tarnbrook-2000");
  for (PanelDesign& p : d.wings[0].panels) p.join.feet = true;
  const TrueWing w = wingOf(d);
  int onFeet = 0;
  for (const TruePanel& p : w.main().panels)
    for (const RibSupports& r : p.settingUp.ribs) onFeet += r.feet.size() == 2;
  ASSERT_GT(onFeet, 10);
  const Assembly a = assembled(w.main());
  EXPECT_LT(a.off, 0.05);
  EXPECT_LT(radToDeg(a.turned), 0.02);
}

/// A file of version 10 keeps its wing.
TEST(Version10, IsRead) {
  const auto read = designFromText(test::slurp(test::testFile("version10.euptera")));
  ASSERT_TRUE(read.ok()) << read.problem().text();
  EXPECT_TRUE(read.value().notes.empty()) << read.value().notes.front();
  for (const PanelDesign& p : read.value().design.wings[0].panels) {
    EXPECT_EQ(p.join.blockHeight, 0);
    EXPECT_EQ(p.join.angleTaken, AngleTaken::halves);
    EXPECT_TRUE(p.join.templates.empty());
  }
}

} // namespace
} // namespace eup
