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
  stage(10);
  EXPECT_TRUE(isDrawn(*window));
}

TEST_F(FoamStage, ThingsArePutInPulledAndTakenOut) {
  ofFoam();
  stage(8);
  part("inCore.0");
  const auto put = [&](int kind) {
    find<QPushButton>("addInCore")->menu()->actions().at(kind)->trigger();
    QApplication::processEvents();
  };
  put(0); // a tube
  ASSERT_EQ(design().inner().inCore.size(), 1u);
  EXPECT_EQ(window->standpoint().subject().topic, Topic::inCore);
  EXPECT_GT(figure("inCore.1.length"), 10);
  EXPECT_TRUE(isDrawn(*board()));
  const double to = design().inner().inCore[0].to, x = design().inner().inCore[0].xTo;
  drag("outer end of the tube", {30, 12});
  EXPECT_NE(design().inner().inCore[0].to, to);
  EXPECT_NE(design().inner().inCore[0].xTo, x);
  window->document().undo();
  EXPECT_EQ(design().inner().inCore[0].to, to);
  put(3); // a pocket
  ASSERT_EQ(design().inner().inCore.size(), 2u);
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::inCore, 1}));
  choose("inCore.1.kind", "block");
  type("inCore.1.width", "30");
  EXPECT_EQ(design().inner().inCore[1].kind, InCore::block);
  EXPECT_TRUE(isDrawn(*board()));
  press("removeInCore");
  EXPECT_EQ(design().inner().inCore.size(), 1u);
}

TEST_F(FoamStage, TheSlotComesFromTestStrips) {
  ofFoam();
  stage(8);
  part("wire.0");
  QTimer::singleShot(300, [] {
    auto* dialog = qobject_cast<QDialog*>(QApplication::activeModalWidget());
    ASSERT_NE(dialog, nullptr);
    QTimer::singleShot(5000, dialog, &QDialog::reject); // never waits for ever
    const auto set = [&](const char* name, const char* text) { dialog->findChild<QLineEdit*>(name)->setText(text); };
    auto* take = dialog->findChild<QPushButton*>("takeCut");
    set("left", "21");
    EXPECT_FALSE(take->isEnabled());
    EXPECT_TRUE(dialog->findChild<QLabel*>("says")->text().contains("narrower"));
    set("left", "18.5"), set("seconds", "60");
    EXPECT_TRUE(take->isEnabled());
    dialog->findChild<QCheckBox*>("second")->setChecked(true);
    set("left2", "17"), set("seconds2", "240");
    EXPECT_TRUE(isDrawn(*dialog));
    QTest::mouseClick(take, Qt::LeftButton);
  });
  press("testCut");
  EXPECT_NEAR(design().wire.kerf, 1.5, 1e-9);
  EXPECT_NEAR(design().wire.kerfSpeed, 5, 1e-9);
  EXPECT_NEAR(design().wire.kerfPower, 0.5, 1e-9) << "twice as wide at a quarter of the speed: by hand";
}

TEST_F(FoamStage, FoamMayStandBetweenRibs) {
  stage(8);
  part("foam.0");
  find<QCheckBox>("foam.between")->click();
  EXPECT_TRUE(design().inner().foam.between);
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_GT(figure("foam.betweenMass"), 1);
}

} // namespace
} // namespace eup::app::test
