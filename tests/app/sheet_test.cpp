// A panel built of sheet in the window: chosen, decided, drawn in every stage, and of ribs again.
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
  type("sheet.clothTop", "2");
  type("sheet.clothBottom", "2");
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

} // namespace
} // namespace eup::app::test
