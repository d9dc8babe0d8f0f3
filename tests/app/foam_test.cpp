// Cut foam in the window: a panel of foam, its block and ends on the board, its strips pulled.
#include "driver.h"

namespace eup::app::test {
namespace {

class FoamStage : public WindowTest {
protected:
  void ofFoam() {
    stage(3);
    part("panel.0");
    choose("built", "foam");
  }
};

TEST_F(FoamStage, APanelIsMadeOfFoam) {
  stage(8);
  EXPECT_EQ(window->standpoint().stage(), Stage::foam);
  EXPECT_TRUE(isDrawn(*board())) << "an empty board says how";
  ofFoam();
  EXPECT_EQ(design().inner().built, Built::foam);
  stage(8);
  EXPECT_EQ(window->standpoint().subject().topic, Topic::foam);
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_GT(figure("foam.mass"), 1);
  const double length = figure("foam.1.blockLength");
  type("foam.cores", "2");
  EXPECT_LT(figure("foam.1.blockLength"), length);
  choose("foam.washoutIn", "beds");
  putIn("foam.endRib");
  EXPECT_EQ(design().inner().foam.endRib, 3);
  part("wire.0");
  type("wire.kerf", "1.4");
  EXPECT_GT(figure("foam.1.inner.slot"), 1.2);
  window->standpoint().setRib(99);
  EXPECT_TRUE(isDrawn(*board())) << "the outer core";
  window->standpoint().setHand(ShownHand::left);
  EXPECT_TRUE(isDrawn(*board()));
  window->standpoint().setInSpace(true);
  EXPECT_TRUE(isDrawn(*window));
}

TEST_F(FoamStage, StripsArePulledOnTheBoard) {
  ofFoam();
  stage(8);
  const double width = design().inner().trailingEdge.width, area = figure("foam.1.inner.area");
  drag("trailing edge strip", {0, -12});
  EXPECT_NE(design().inner().trailingEdge.width, width);
  EXPECT_NE(figure("foam.1.inner.area"), area);
  window->document().undo();
  EXPECT_EQ(design().inner().trailingEdge.width, width);
}

TEST_F(FoamStage, TheMachinesPathIsWritten) {
  ofFoam();
  stage(8);
  part("machine.0");
  type("wire.travelAft", "60");
  press("writeWire");
  EXPECT_TRUE(window->message().contains("cannot cut")) << window->message().toStdString();
  type("wire.travelAft", "900");
  part("wire.0");
  type("wire.towersApart", "2500");
  part("machine.0");
  const QTemporaryDir folder;
  const QString path = folder.filePath("cut.nc");
  auto answers = std::make_unique<Answers>();
  answers->write = path;
  window->askBy(std::move(answers));
  press("writeWire");
  EXPECT_TRUE(QFileInfo::exists(path)) << window->message().toStdString();
}

TEST_F(FoamStage, OtherStagesSayWhatAFoamPanelHas) {
  ofFoam();
  stage(4);
  EXPECT_TRUE(isDrawn(*board())) << "the core's section";
  EXPECT_EQ(window->findChild<QToolButton*>("part ribs.0"), nullptr);
  stage(5);
  EXPECT_TRUE(isDrawn(*board()));
  stage(6);
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_EQ(window->findChild<QToolButton*>("part joiner.0"), nullptr);
  stage(7);
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_FALSE(window->document().wing().inner().skins.empty());
  stage(9);
  EXPECT_TRUE(isDrawn(*window));
}

} // namespace
} // namespace eup::app::test
