// Wrap skins in the window: sheet on and off, its edge pulled, bays sheeted all over; and ribs of sticks.
#include "driver.h"

namespace eup::app::test {
namespace {

class SkinsStage : public WindowTest {};

TEST_F(SkinsStage, ShowTheFlatPatternsAndWhatTheyFollowFrom) {
  stage(7);
  EXPECT_EQ(window->standpoint().stage(), Stage::skins);
  EXPECT_TRUE(isDrawn(*board()));
  const double width = figure("skin.nose.top.innerWidth");
  EXPECT_GT(width, 20);
  const double fraction = design().inner().sheeting.fraction;
  if (design().inner().sheeting.to == SheetTo::fraction) {
    drag("rear edge of the nose sheet, top", {0, 14});
    EXPECT_GT(design().inner().sheeting.fraction, fraction);
    EXPECT_GT(figure("skin.nose.top.innerWidth"), width);
    window->document().undo();
  }
  tab("Nose sheet");
  for (const char* face : {"sheeting.top", "sheeting.bottom"}) {
    auto* box = find<QCheckBox>(face);
    box->setFocus();
    QTest::keyClick(box, Qt::Key_Space);
  }
  EXPECT_FALSE(design().inner().sheeting.top);
  EXPECT_FALSE(design().inner().sheeting.bottom);
  EXPECT_TRUE(isDrawn(*board())) << "an empty board says what to do";
  EXPECT_TRUE(window->document().wing().inner().skins.empty());
}

TEST_F(SkinsStage, BaysAreSheetedAllOver) {
  stage(7);
  press("addSheeted");
  ASSERT_EQ(design().inner().sheeted.size(), 1u);
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::sheeted, 0}));
  type("sheeted.0.toRib", "4");
  const TruePanel& panel = window->document().wing().inner();
  int sheets = 0;
  for (const Skin& skin : panel.skins) sheets += skin.key.starts_with("bays.") ? 1 : 0;
  EXPECT_EQ(sheets, 2);
  EXPECT_GT(figure("skin.bays.1.top.innerWidth"), 20);
  EXPECT_TRUE(isDrawn(*board()));
  window->standpoint().setHand(ShownHand::left);
  EXPECT_TRUE(isDrawn(*board()));
  stage(4);
  window->standpoint().setRib(2);
  EXPECT_TRUE(isDrawn(*board()));
  stage(7);
  part("sheeted.0");
  press("removeSheeted");
  EXPECT_TRUE(design().inner().sheeted.empty());
}

/// Ticks stand in the wing; undo takes decisions back and leaves them.
TEST_F(SkinsStage, WhatIsClosedInIsLookedAtFirst) {
  stage(7);
  part("holds.0");
  const QString glue = "looked.0.0:glue";
  auto* box = find<QCheckBox>(glue);
  EXPECT_FALSE(box->isChecked());
  box->setFocus();
  QTest::keyClick(box, Qt::Key_Space);
  ASSERT_EQ(design().records.looked.size(), 1u);
  EXPECT_EQ(design().records.looked[0].key, "0.0:glue");
  EXPECT_FALSE(window->document().canUndo()) << "it is no decision";
  EXPECT_TRUE(window->document().modified());
  press("addHold");
  ASSERT_EQ(design().inner().holds.size(), 1u);
  type("holds.0.what", "wires led to the tip");
  EXPECT_NE(window->findChild<QCheckBox*>(QString("looked.0.0:own:%1").arg(design().inner().holds[0].number)), nullptr);
  window->document().undo();
  window->document().undo();
  EXPECT_TRUE(design().inner().holds.empty());
  EXPECT_EQ(design().records.looked.size(), 1u) << "undo leaves what was looked at";
  EXPECT_TRUE(find<QCheckBox>(glue)->isChecked());
  window->document().redo();
  EXPECT_EQ(design().records.looked.size(), 1u);
  QTest::mouseClick(find<QCheckBox>(glue), Qt::LeftButton, {}, QPoint(8, find<QCheckBox>(glue)->height() / 2));
  EXPECT_TRUE(design().records.looked.empty());
  press("removeHold");
  EXPECT_TRUE(design().inner().holds.empty());
}

TEST_F(SkinsStage, SheetHasGrainLayersAndAnEndOfItsOwn) {
  stage(7);
  part("sheeting.0");
  choose("sheeting.to", "fromTail");
  type("sheeting.fromTail", "110");
  EXPECT_EQ(design().inner().sheeting.fromTail, 110);
  putIn("sheeting.layers");
  EXPECT_EQ(design().inner().sheeting.layers, 2);
  EXPECT_GT(figure("skin.nose.top.layers"), 0);
  putIn("sheeting.grain");
  EXPECT_EQ(design().inner().sheeting.grainDeg, 45);
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(SkinsStage, TheSheetBelowMayBeAnother) {
  stage(7);
  part("sheeting.0");
  type("sheeting.thickness", "2");
  press("ownBelow");
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::sheetingBelow, 0}));
  EXPECT_EQ(design().inner().sheeting.below.thickness, 2) << "as on top, to begin with";
  type("sheeting.below.thickness", "1");
  EXPECT_EQ(design().inner().sheeting.thickness, 2);
  const double top = figure("skin.nose.top.innerWidth");
  choose("sheeting.below.to", "fraction");
  drag("rear edge of the nose sheet, below", {0, 12});
  EXPECT_EQ(figure("skin.nose.top.innerWidth"), top) << "its own edge alone";
  EXPECT_TRUE(isDrawn(*board()));
  press("belowAsTop");
  EXPECT_FALSE(design().inner().sheeting.ownBelow);
  part("sheeting.0");
  choose("sheeting.from", "overStock");
  EXPECT_GT(figure("skin.nose.top.innerWidth"), top);
  window->standpoint().setInSpace(true);
  EXPECT_TRUE(isDrawn(*window));
}

TEST_F(SkinsStage, JointsAreDraggedFromRibToRib) {
  stage(10);
  part("cutList.0");
  type("cutList.stock", "500");
  stage(7);
  const auto skin = [&]() -> const Skin& { return window->document().wing().inner().skins.front(); };
  ASSERT_FALSE(skin().joints.empty());
  const int rib = skin().joints.front().rib;
  EXPECT_TRUE(design().inner().sheeting.joints.empty()) << "as the stock asks";
  const QString handle = QString("joint on R%1 of the %2").arg(rib).arg(QString::fromStdString(skin().name));
  drag(handle.toLocal8Bit().constData(), {-90, 0});
  ASSERT_FALSE(design().inner().sheeting.joints.empty());
  EXPECT_LT(skin().joints.front().rib, rib);
  EXPECT_TRUE(isDrawn(*board()));
  window->standpoint().setHand(ShownHand::left);
  EXPECT_TRUE(isDrawn(*board()));
  const int was = skin().joints.front().rib;
  const QString other = QString("joint on R%1 of the %2").arg(was).arg(QString::fromStdString(skin().name));
  drag(other.toLocal8Bit().constData(), {-90, 0});
  EXPECT_GT(skin().joints.front().rib, was) << "the root is on the right there";
  window->document().undo();
  window->document().undo();
  EXPECT_TRUE(design().inner().sheeting.joints.empty());
}

TEST_F(SkinsStage, SheetOverBaysBeginsAndEndsWhereItIsDecided) {
  stage(7);
  press("addSheeted");
  choose("sheeted.0.from", "fraction");
  type("sheeted.0.fromFraction", "50");
  choose("sheeted.0.to", "fraction");
  type("sheeted.0.fraction", "70");
  const double wide = figure("skin.bays.1.top.innerWidth");
  EXPECT_GT(wide, 10);
  drag("front edge of the sheet R1 to R3, top", {0, 10});
  EXPECT_LT(figure("skin.bays.1.top.innerWidth"), wide);
  stage(4);
  window->standpoint().setRib(2);
  EXPECT_TRUE(isDrawn(*board()));
}

TEST_F(SkinsStage, ClothIsLaidOnSkins) {
  stage(7);
  part("cloth.0");
  type("cloth.top", "1");
  EXPECT_GT(figure("cloth.mass"), 0);
  type("cloth.gsm", "49");
  EXPECT_EQ(design().inner().cloth.gsm, 49);
  putIn("cloth.strip");
  EXPECT_EQ(design().inner().cloth.strip, 40);
}

TEST_F(SkinsStage, RibsOfSticksAreDecidedWhereRibsAre) {
  stage(4);
  part("ribs.0");
  EXPECT_EQ(window->findChild<QToolButton*>("part sticks.0"), nullptr);
  choose("ribs.make", "sticks");
  part("sticks.0");
  type("sticks.bay", "25");
  EXPECT_EQ(design().inner().sticks.bay, 25);
  window->standpoint().setRib(3);
  EXPECT_FALSE(window->standpoint().shownRib().sticks.empty());
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_GE(figure("sticks.fixtures"), 1);
}

} // namespace
} // namespace eup::app::test
