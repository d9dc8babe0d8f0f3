// A panel built of sheet in the window: chosen, decided, drawn in every stage, and of ribs again.
#include "app/dialogs/trial_dialog.h"
#include "core/design/subject.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class SheetStage : public WindowTest {};

TEST_F(SheetStage, APanelIsBuiltOfSheetAndOfRibsAgain) {
  stage(3);
  tab("Panel");
  choose("built", "sheet");
  ASSERT_EQ(design().inner().built, Built::sheet);
  ASSERT_TRUE(window->document().possible());
  for (int i = 2; i <= 8; ++i) {
    stage(i);
    EXPECT_TRUE(isDrawn(*board())) << i;
  }
  stage(4);
  EXPECT_EQ(window->standpoint().subject().topic, Topic::none) << "there is nothing to decide of ribs";
  stage(7);
  EXPECT_EQ(window->standpoint().subject().topic, Topic::sheetPanel);
  type("sheet.thickness", "40");
  EXPECT_EQ(design().inner().sheet.thickness, 40);
  EXPECT_GT(figure("sheet.needs"), 10) << "its section is no plate: it is carved";
  const double plain = figure("sheet.stiffness");
  putIn("sheet.edge");
  EXPECT_EQ(design().inner().sheet.edge, 4);
  part("cloth.0");
  type("cloth.top", "2");
  type("cloth.bottom", "2");
  part("sheetPanel.0");
  EXPECT_GT(figure("sheet.stiffness"), plain);
  EXPECT_TRUE(isDrawn(*board()));
  window->standpoint().setHand(ShownHand::left);
  window->standpoint().setRib(3);
  EXPECT_TRUE(isDrawn(*board()));
  window->standpoint().setInSpace(true);
  EXPECT_TRUE(isDrawn(*window));
  window->standpoint().setInSpace(false);
  stage(2); // two plates: it lies flat
  tab("Root section");
  choose("sections.root.kind", "flatPlate");
  tab("Tip section");
  choose("sections.tip.kind", "flatPlate");
  stage(7);
  type("sheet.thickness", "3");
  EXPECT_EQ(window->document().wing().inner().sheet->way, SheetWay::flat);
  EXPECT_TRUE(isDrawn(*board()));
  stage(3);
  tab("Panel");
  choose("built", "ribs");
  stage(4);
  EXPECT_EQ(window->standpoint().subject().topic, Topic::ribs);
  EXPECT_GT(figure("rib.1.chord"), 0);
}

/// A wing all of sheet has nothing to be slid together: the trial says so and stays open.
TEST_F(SheetStage, TheTrialOfAWingOfSheetIsEmpty) {
  window->openDemo("bracklow-430");
  const TrueWing& w = window->document().wing();
  ASSERT_TRUE(w.inner().sheet);
  TrialDialog trial(window->document().now(), 0, lightLook(), window.get());
  trial.show();
  EXPECT_TRUE(isDrawn(trial));
  QTest::mouseClick(trial.findChild<QPushButton*>("putFault"), Qt::LeftButton);
  EXPECT_TRUE(isDrawn(trial));
  for (int i = 3; i <= 8; ++i) {
    stage(i);
    EXPECT_TRUE(isDrawn(*board())) << i;
  }
  stage(6);
  for (const Subject& s : subjectsOf(design(), Stage::joins, {})) EXPECT_NE(s.topic, Topic::settingUp);
}

} // namespace
} // namespace eup::app::test
