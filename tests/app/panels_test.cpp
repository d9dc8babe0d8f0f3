// Several panels in the window: added, cut, worked on one by one, joined, taken back.
#include "driver.h"

namespace eup::app::test {
namespace {

class PanelStage : public WindowTest {
protected:
  PanelStage() { stage(3); }
  std::size_t panels() const { return design().wings.front().panels.size(); }
};

TEST_F(PanelStage, AddsOneAtTheTipAndTurnsToIt) {
  EXPECT_EQ(panels(), 1u);
  press("addPanel");
  ASSERT_EQ(panels(), 2u);
  EXPECT_EQ(window->standpoint().rib(), 14) << "the new panel's root";
  type("panel.span", "300");
  EXPECT_DOUBLE_EQ(design().at({0, 1}).panel.span, 300);
  EXPECT_NEAR(figure("panel.span"), 2 * (748 + 300), 1e-9);
  QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete); // fields of before
  EXPECT_EQ(window->findChild<QLineEdit*>("panel.rootChord"), nullptr) << "it goes on from the panel inside";
  QTest::mouseClick(find<QCheckBox>("panel.continues"), Qt::LeftButton, {}, {8, 8});
  type("panel.rootChord", "120");
  EXPECT_NEAR(window->document().wing().at({0, 1}).frame.ribs.front().frame.chord, 120, 1e-9);
  goTo("panel", 1);
  EXPECT_EQ(window->standpoint().rib(), 1);
  EXPECT_EQ(shown("panel.span"), "748");
  while (window->document().canUndo()) window->document().undo();
  EXPECT_EQ(panels(), 1u);
  EXPECT_EQ(window->standpoint().rib(), 1);
}

TEST_F(PanelStage, CutsMergesAndTakesOut) {
  window->standpoint().setRib(5);
  const double chord = window->document().wing().inner().frame.ribs[4].frame.chord;
  press("splitPanel");
  ASSERT_EQ(panels(), 2u);
  EXPECT_NEAR(design().inner().panel.tipChord, chord, 1e-6);
  EXPECT_EQ(window->document().wing().main().stationCount(), 14) << "a rib on either side of the cut";
  EXPECT_EQ(window->document().undoName(), "Cut it at R5");
  press("mergePanel");
  EXPECT_EQ(panels(), 1u);
  EXPECT_EQ(design().inner().ribs.count, 13);
  window->standpoint().setRib(5);
  press("splitPanel");
  press("dropPanel");
  EXPECT_EQ(panels(), 1u);
  EXPECT_NEAR(design().inner().panel.rootChord, chord, 1e-6);
  EXPECT_FALSE(find<QPushButton>("splitPanel")->isEnabled() && window->standpoint().rib() == 1);
}

TEST_F(PanelStage, IsDraggedPanelByPanel) {
  window->openDemo("tarnbrook-2000");
  window->standpoint().setRib(20);
  board()->fit();
  drag("tip trailing edge", {0, -12});
  EXPECT_LT(design().at({0, 2}).panel.tipChord, 111);
  EXPECT_DOUBLE_EQ(design().at({0, 1}).panel.tipChord, 168);
  drag("panel span", {15, 0});
  EXPECT_GT(design().at({0, 2}).panel.span, 221);
  drag("rib R20", {5, 0});
  EXPECT_EQ(design().at({0, 2}).ribs.rule, RibRule::stations);
  for (const Handle& h : board()->handlesNow())
    EXPECT_NE(h.name, "root trailing edge") << "it is the tip of the panel inside";
  // A click on another panel works there.
  const auto& first = window->document().wing().inner();
  QTest::mouseClick(board(), Qt::LeftButton, {}, board()->screen({first.frame.ribs[3].t() + 2, -60}).toPoint());
  EXPECT_EQ(window->standpoint().rib(), 4);
}

TEST_F(PanelStage, JoinsAreSetOneByOne) {
  window->openDemo("tarnbrook-2000");
  stage(6);
  goTo("panel", 2);
  const double block = figure("panel2.join.block");
  type("join.dihedral.angle", "8");
  EXPECT_GT(figure("panel2.join.block"), block);
  EXPECT_NEAR(figure("panel2.join.break"), degToRad(6.5), 1e-9);
  type("join.dihedral.projected", "345");
  EXPECT_NEAR(figure("panel2.join.dihedral"), std::acos(345.0 / 350), 1e-9);
  board()->fit();
  drag("tip", {0, -10});
  EXPECT_EQ(design().at({0, 1}).join.dihedral.by, DihedralBy::rise);
  EXPECT_TRUE(follows().tells("panel2.brace.legInside"));
  goTo("panel", 1);
  EXPECT_FALSE(follows().tells("brace.legInside")) << "at the centre both legs are the same";
  ASSERT_TRUE(follows().reveal("panel3.join.block"));
  EXPECT_EQ(window->standpoint().rib(), 18);
  for (const ShownHand hand : {ShownHand::left, ShownHand::both, ShownHand::right}) {
    window->standpoint().setHand(hand);
    for (const int rib : {2, 12, 20}) {
      window->standpoint().setRib(rib);
      EXPECT_TRUE(isDrawn(*board()));
    }
  }
}

TEST_F(PanelStage, TheFinishedWingIsTurnedInSpace) {
  window->openDemo("tarnbrook-2000");
  auto* space = window->findChild<SpaceBoard*>();
  ASSERT_NE(space, nullptr);
  EXPECT_FALSE(space->isVisible());
  for (const auto& [key, view] : {std::pair(Qt::Key_A, SpaceView::above), std::pair(Qt::Key_B, SpaceView::behind),
                                  std::pair(Qt::Key_S, SpaceView::side), std::pair(Qt::Key_T, SpaceView::turned)}) {
    QTest::keyClick(window.get(), key, Qt::ControlModifier | Qt::ShiftModifier);
    QApplication::processEvents();
    EXPECT_TRUE(space->isVisible());
    EXPECT_EQ(space->view(), view);
    EXPECT_TRUE(isDrawn(*space));
  }
  const double yaw = space->yaw(), pitch = space->pitch();
  QTest::keyClick(space, Qt::Key_Left);
  EXPECT_NEAR(space->yaw(), yaw + 5, 1e-9);
  const QPoint from = space->rect().center();
  QTest::mousePress(space, Qt::LeftButton, {}, from);
  QMouseEvent move(QEvent::MouseMove, QPointF(from) + QPointF(0, 20), space->mapToGlobal(QPointF(from)), Qt::NoButton,
                   Qt::LeftButton, {});
  QApplication::sendEvent(space, &move);
  QTest::mouseRelease(space, Qt::LeftButton, {}, from);
  EXPECT_NEAR(space->pitch(), pitch + 8, 1e-9);
  // It follows what is decided, and goes when another stage is turned to.
  type("panel.span", "500");
  EXPECT_TRUE(space->isVisible());
  stage(6);
  QApplication::processEvents();
  EXPECT_FALSE(space->isVisible());
}

TEST_F(PanelStage, EveryStageTurnsToThePanelOfTheRib) {
  window->openDemo("tarnbrook-2000");
  for (int s = 2; s <= 7; ++s) {
    stage(s);
    for (int rib = 1; rib <= 24; rib += 4) {
      window->standpoint().setRib(rib);
      EXPECT_TRUE(isDrawn(*window));
    }
  }
  stage(2);
  goTo("panel", 3);
  type("sections.tip.naca", "2408");
  EXPECT_EQ(design().at({0, 2}).sections.tip.naca, "2408");
  EXPECT_TRUE(window->standpoint().tipSection());
  stage(4);
  window->findChild<SpanRule*>()->setFocus();
  QTest::keyClick(window->findChild<SpanRule*>(), Qt::Key_Home);
  EXPECT_EQ(window->standpoint().rib(), 1);
  for (int i = 0; i < 9; ++i) QTest::keyClick(window->findChild<SpanRule*>(), Qt::Key_Right);
  EXPECT_EQ(window->standpoint().rib(), 10) << "over the join";
  type("ribs.thickness", "1.5");
  EXPECT_DOUBLE_EQ(design().at({0, 1}).ribs.thickness, 1.5);
  EXPECT_DOUBLE_EQ(design().inner().ribs.thickness, 2);
  stage(5);
  press("addSpar");
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::spar, 1})) << "the new one is chosen";
  EXPECT_EQ(design().at({0, 1}).spars.size(), 2u);
  EXPECT_EQ(design().inner().spars.size(), 1u);
}

/// Setting up is decided and told panel by panel: packing, feet, and what the bench gets.
class SettingUpStage : public WindowTest {
protected:
  SettingUpStage() {
    window->openDemo("tarnbrook-2000");
    stage(6);
    goTo("panel", 2);
  }
  QString working(const char* key) {
    if (!follows().reveal(key)) return {};
    // The rule, and under it the rule with its numbers.
    auto* model = follows().listView().model();
    const int at = follows().listView().currentIndex().row();
    return model->index(at + 1, 0).data().toString() + "\n" + model->index(at + 2, 0).data().toString();
  }
};

TEST_F(SettingUpStage, PacksWithWhatIsAtHand) {
  EXPECT_TRUE(working("setup.12.le").contains("pack with 1.5;")) << working("setup.12.le").toStdString();
  tab("Setting up");
  type("join.packing", "1; 2.5 mm; 3/16\"");
  ASSERT_EQ(design().at({0, 1}).join.packing.size(), 3u);
  EXPECT_NEAR(design().at({0, 1}).join.packing[2], 4.7625, 1e-9);
  EXPECT_TRUE(working("setup.12.le").contains("2 × 1,")) << working("setup.12.le").toStdString();
  EXPECT_EQ(design().inner().join.packing.size(), 7u) << "the other panels keep theirs";
  type("join.packing", "thick");
  EXPECT_TRUE(problem().contains("thick")) << problem().toStdString();
  EXPECT_EQ(design().at({0, 1}).join.packing.size(), 3u);
}

TEST_F(SettingUpStage, StandsOnFeetThatAreDrawn) {
  const QImage before = board()->grab().toImage();
  tab("Setting up");
  EXPECT_EQ(window->findChild<QLineEdit*>("join.footWidth"), nullptr);
  const double packing = figure("setup.12.le");
  putIn("join.feet");
  EXPECT_TRUE(design().at({0, 1}).join.feet);
  EXPECT_NEAR(figure("setup.12.le"), packing + 3, 1e-9) << "the panel stands on them, off the board";
  EXPECT_GT(figure("setup.12.footFront"), 3);
  EXPECT_NE(board()->grab().toImage(), before);
  type("join.footClearance", "6");
  EXPECT_NEAR(figure("setup.12.le"), packing + 6, 1e-9);
  type("join.footWidth", "5");
  window->standpoint().setRib(12);
  stage(4);
  EXPECT_TRUE(isDrawn(*board()));
  EXPECT_EQ(window->document().undoName(), "Foot width");
  // They go to the bench with their ribs.
  QTemporaryDir dir;
  ExportOrder order;
  order.formats = {ExportFormat::svg};
  EXPECT_TRUE(window->exportTo(dir.path(), order));
  EXPECT_EQ(QDir(dir.path()).entryList({"*setting-up*"}).size(), 2);
}

TEST_F(SettingUpStage, TellsAJoinThatDoesNotFitAndKeepsTheLastGoodWing) {
  type("join.dihedral.projected", "345");
  EXPECT_TRUE(window->document().possible());
  stage(3);
  type("panel.span", "200");
  EXPECT_FALSE(window->document().possible());
  bool told = false;
  for (const Finding& f : window->document().findings()) told = told || f.key == "join.projected";
  EXPECT_TRUE(told);
  EXPECT_TRUE(isDrawn(*board())) << "the last good wing stays on the board";
  QTemporaryDir dir;
  const QString path = dir.filePath("odd.euptera");
  EXPECT_TRUE(window->saveTo(path));
  EXPECT_TRUE(window->openFile(path)) << window->message().toStdString();
  EXPECT_DOUBLE_EQ(design().at({0, 1}).panel.span, 200);
}

} // namespace
} // namespace eup::app::test
