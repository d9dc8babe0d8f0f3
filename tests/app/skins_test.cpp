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
  if (design().inner().sheeting.to == SheetEdge::fraction) {
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
