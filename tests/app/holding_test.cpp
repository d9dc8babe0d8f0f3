// Hands that differ, struts, posts and tips of one's own, in the window; and what is typed while something else
// happens.
#include "core/described/design_file.h"
#include "core/edit/wing_edit.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class HoldingStage : public WindowTest {};

TEST_F(HoldingStage, StrutsAreAddedDraggedAndTakenOut) {
  stage(6);
  part("strut.0");
  EXPECT_TRUE(isDrawn(*board()));
  press("addStrut");
  ASSERT_EQ(design().wings.front().struts.size(), 1u);
  EXPECT_GT(figure("strut.1.length"), 100);
  const double out = design().wings.front().struts.front().out;
  type("struts.0.footUp", "-150");
  EXPECT_EQ(design().wings.front().struts.front().footUp, -150);
  drag("top of strut 1", {30, 0});
  EXPECT_GT(design().wings.front().struts.front().out, out);
  drag("foot of strut 1", {0, 20});
  EXPECT_LT(design().wings.front().struts.front().footUp, -150);
  EXPECT_GT(figure("strut.1.force"), 0);
  choose("struts.0.kind", "wire");
  press("addStrut");
  EXPECT_EQ(design().wings.front().struts.size(), 2u);
  press("removeStrut");
  press("removeStrut");
  EXPECT_TRUE(design().wings.front().struts.empty());
  window->document().undo();
  EXPECT_EQ(design().wings.front().struts.size(), 1u);
}

TEST_F(HoldingStage, AStrutStandsOnAnotherWing) {
  Design d = design();
  d = withWingAdded(d, WingKind::second).value();
  window->document().edit("Second wing", d);
  stage(6);
  part("strut.0");
  press("addStrut");
  choose("struts.0.foot", "wing");
  ASSERT_EQ(design().wings.front().struts[0].foot, Footing::wing);
  type("struts.0.footOut", "300");
  EXPECT_GT(figure("strut.1.toFootSpar"), 0);
  EXPECT_TRUE(isDrawn(*board()));
  const double out = design().wings.front().struts[0].footOut;
  drag("foot of strut 1", {30, 40});
  EXPECT_GT(design().wings.front().struts[0].footOut, out) << "along its spar, not off it";
  window->standpoint().setWing(1);
  part("strut.0");
  EXPECT_TRUE(isDrawn(*board())) << "seen from the wing that it stands on";
}

TEST_F(HoldingStage, PostsArePutIn) {
  stage(6);
  part("posts.0");
  putIn("posts.fitted");
  type("posts.incidence", "2.5");
  EXPECT_TRUE(design().wings.front().posts.fitted);
  EXPECT_EQ(design().wings.front().posts.incidenceDeg, 2.5);
  EXPECT_GT(figure("posts.front"), figure("posts.rear"));
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(HoldingStage, TheLeftHandFollowsByItsDifferences) {
  stage(3);
  part("leftHand.0");
  QTest::mouseClick(find<QCheckBox>("left.differs"), Qt::LeftButton);
  type("left.span", "25");
  type("left.washout", "-1");
  const TrueWing& w = window->document().wing();
  ASSERT_NE(w.left, nullptr);
  EXPECT_EQ(w.left->inner().shape.loft.span(), w.inner().shape.loft.span() + 25);
  window->standpoint().setHand(ShownHand::left);
  EXPECT_EQ(&window->standpoint().shownModel(), w.left.get());
  EXPECT_TRUE(board()->handlesNow().empty()) << "the right hand is what is pulled at";
  EXPECT_TRUE(isDrawn(*board()));
  window->standpoint().setHand(ShownHand::both);
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_FALSE(board()->handlesNow().empty());
  stage(10); // every piece that differs stands there for each hand
  auto* pieces = find<QTreeWidget>("pieces");
  const auto rows = pieces->findItems("R1", Qt::MatchStartsWith | Qt::MatchRecursive);
  const auto lefts = pieces->findItems("left hand", Qt::MatchContains | Qt::MatchRecursive);
  EXPECT_FALSE(rows.empty());
  ASSERT_FALSE(lefts.empty());
  pieces->setCurrentItem(lefts.front());
  EXPECT_EQ(window->standpoint().hand(), ShownHand::left);
}

TEST_F(HoldingStage, ATipOfItsOwnIsTyped) {
  stage(3);
  part("tip.0");
  choose("tip.kind", "own");
  type("tip.outline", "20 : 30; 80 : 45; 140 : 30");
  ASSERT_EQ(design().inner().tip.outline.size(), 3u);
  EXPECT_EQ(design().inner().tip.outline[1], Point(80, 45));
  type("tip.outline", "20; 30");
  EXPECT_TRUE(problem().contains("colon")) << problem().toStdString();
  type("tip.pieces", "4");
  EXPECT_EQ(window->document().wing().main().panels.back().tip->pieces.size(), 4u);
  EXPECT_TRUE(isDrawn(*board()));
}

/// What is typed counts before the field goes: when another stage is opened, and not in another wing.
TEST_F(HoldingStage, WhatIsTypedIsOfTheWingThatItWasTypedIn) {
  stage(3);
  part("panel.0");
  auto* span = find<QLineEdit>("panel.span");
  QTest::mouseClick(span, Qt::LeftButton);
  span->selectAll();
  QTest::keyClicks(span, "640");
  window->standpoint().setStage(Stage::ribs); // by a key: the field never loses its focus to anything
  EXPECT_EQ(design().inner().panel.span, 640);
  stage(3);
  span = find<QLineEdit>("panel.span");
  QTest::mouseClick(span, Qt::LeftButton);
  span->selectAll();
  QTest::keyClicks(span, "333");
  window->openDemo("oldacre-1320");
  for (int i = 0; i < 3; ++i) QApplication::processEvents();
  EXPECT_EQ(design(), demoDesign("oldacre-1320"));
}

} // namespace
} // namespace eup::app::test
