// A cut watched in its window: played by its time rule, read from a file, and made by the simulated machine over a
// pseudo-terminal, with what can go wrong.
#include "app/dialogs/cut_window.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class Cut : public WindowTest {
protected:
  Cut() {
    stage(3);
    part("panel.0");
    choose("built", "foam");
    stage(8);
    part("wire.0");
    type("wire.towersApart", "1200");
    type("wire.fromTower", "150");
    part("machine.0");
    type("wire.preheat", "0");
  }
  CutWindow& open() {
    press("watchCut");
    QApplication::processEvents();
    EXPECT_NE(window->cut(), nullptr);
    return *window->cut();
  }
  template <class T> static T& in(CutWindow& cut, const char* name) { return *cut.findChild<T*>(name); }
  static QString said(CutWindow& cut) { return in<QLabel>(cut, "machineSaid").text(); }
  static void click(CutWindow& cut, const char* name) {
    QTest::mouseClick(&in<QAbstractButton>(cut, name), Qt::LeftButton);
  }
  static bool reaches(CutWindow& cut, WireState state, int ms = 15000) {
    return QTest::qWaitFor([&] { return cut.machine().status().state == state; }, ms);
  }
  /// A machine of our own, connected to.
  bool machine(CutWindow& cut, QStringList arguments) {
    simulator.start(QCoreApplication::applicationDirPath() + "/euptera-hot-wire", arguments);
    if (!simulator.waitForReadyRead(10000)) return false;
    in<QComboBox>(cut, "port").setEditText(QString::fromLocal8Bit(simulator.readAllStandardOutput()).trimmed());
    click(cut, "connect");
    return reaches(cut, WireState::ready);
  }
  ~Cut() override {
    delete window->cut();
    simulator.terminate();
    simulator.waitForFinished(3000);
  }
  QProcess simulator;
};

TEST_F(Cut, IsPlayedAndDraggedByItsTime) {
  CutWindow& cut = open();
  EXPECT_TRUE(isDrawn(cut));
  auto& rule = in<QSlider>(cut, "timeRule");
  ASSERT_GT(rule.maximum(), 100);
  EXPECT_EQ(cut.shown().burnt(false), 0);
  rule.setValue(rule.maximum() / 2);
  const double half = cut.shown().burnt(false);
  EXPECT_GT(half, 10);
  EXPECT_TRUE(cut.shown().accessibleName().contains("hot"));
  rule.setValue(rule.maximum());
  EXPECT_GT(cut.shown().burnt(false), 1.5 * half);
  EXPECT_GT(cut.shown().burnt(true), 0);
  EXPECT_TRUE(isDrawn(cut.shown()));
  rule.setValue(0);
  in<QComboBox>(cut, "pace").setCurrentIndex(2);
  click(cut, "play");
  EXPECT_TRUE(QTest::qWaitFor([&] { return rule.value() > 20; }, 5000));
  click(cut, "play");
  const int stands = rule.value();
  QTest::qWait(150);
  EXPECT_EQ(rule.value(), stands);
  window->standpoint().setHand(ShownHand::left);
  CutWindow& left = open();
  EXPECT_TRUE(left.windowTitle().contains("left"));
  EXPECT_TRUE(isDrawn(left));
}

TEST_F(Cut, APathIsReadBackAndDrawn) {
  CutWindow& cut = open();
  const QTemporaryDir folder;
  const auto file = [&](const char* name, const QByteArray& text) {
    QFile out(folder.filePath(name));
    EXPECT_TRUE(out.open(QIODevice::WriteOnly));
    out.write(text);
    return out.fileName();
  };
  const int own = in<QSlider>(cut, "timeRule").maximum();
  EXPECT_FALSE(cut.readPath(file("wrong.nc", "G0 X1\nM17\n")));
  EXPECT_TRUE(in<QLabel>(cut, "pathSaid").text().contains("line 2"))
      << in<QLabel>(cut, "pathSaid").text().toStdString();
  EXPECT_FALSE(cut.readPath(folder.filePath("none.nc")));
  EXPECT_EQ(in<QSlider>(cut, "timeRule").maximum(), own) << "what was shown stays";
  auto answers = std::make_unique<Answers>();
  answers->open = file("other.nc", "G21\nG90\nG0 X50 Y50 U50 V50\nM3 S60\nG94\nG1 X20 Y50 U30 V50 F600\nM5\nM2\n");
  window->askBy(std::move(answers));
  delete window->cut();
  CutWindow& again = open();
  click(again, "readPath");
  EXPECT_TRUE(in<QLabel>(again, "pathSaid").text().startsWith("other.nc: 8 lines"));
  auto& rule = in<QSlider>(again, "timeRule");
  rule.setValue(rule.maximum());
  EXPECT_GT(again.shown().burnt(false), 10);
  EXPECT_TRUE(isDrawn(again.shown()));
  click(again, "ownPath");
  EXPECT_EQ(in<QSlider>(again, "timeRule").maximum(), own);
}

TEST_F(Cut, TheSimulatedMachineIsStartedHeldAndStopped) {
  CutWindow& cut = open();
  EXPECT_FALSE(in<QPushButton>(cut, "beginCut").isEnabled());
  click(cut, "simulated");
  ASSERT_TRUE(reaches(cut, WireState::ready)) << said(cut).toStdString();
  EXPECT_FALSE(in<QPushButton>(cut, "beginCut").isEnabled()) << "not before the cautions are confirmed";
  in<QCheckBox>(cut, "careful").setChecked(true);
  click(cut, "beginCut");
  ASSERT_TRUE(reaches(cut, WireState::working));
  EXPECT_TRUE(QTest::qWaitFor([&] { return cut.machine().status().at.inner.y() > 20; }, 10000));
  EXPECT_TRUE(in<QLabel>(cut, "timeSaid").text().contains("to go"));
  EXPECT_TRUE(isDrawn(cut));
  cut.close();
  EXPECT_TRUE(cut.isVisible()) << "nobody leaves a machine at work";
  EXPECT_TRUE(said(cut).contains("stop it"));
  window->close();
  EXPECT_TRUE(window->isVisible());
  EXPECT_TRUE(window->message().contains("at work"));
  click(cut, "holdCut");
  ASSERT_TRUE(reaches(cut, WireState::held));
  click(cut, "holdCut"); // now: go on
  ASSERT_TRUE(QTest::qWaitFor([&] { return cut.machine().status().state != WireState::held; }, 5000));
  click(cut, "stopCut");
  ASSERT_TRUE(reaches(cut, WireState::stopped));
  EXPECT_TRUE(said(cut).contains("cold"));
  EXPECT_FALSE(in<QPushButton>(cut, "beginCut").isEnabled()) << "the cautions are confirmed for every cut anew";
  in<QCheckBox>(cut, "careful").setChecked(true);
  click(cut, "beginCut"); // from where it was stopped it would be dragged through the foam
  EXPECT_TRUE(said(cut).contains("Nothing has moved")) << said(cut).toStdString();
  EXPECT_TRUE(QTest::qWaitFor([&] { return in<QPushButton>(cut, "atZero").isEnabled(); }, 3000));
  click(cut, "atZero");
  ASSERT_TRUE(QTest::qWaitFor([&] { return cut.machine().status().atZero(); }, 3000));
  click(cut, "beginCut");
  ASSERT_TRUE(reaches(cut, WireState::working));
  click(cut, "stopCut");
  ASSERT_TRUE(reaches(cut, WireState::stopped));
  click(cut, "connect"); // leave
  EXPECT_TRUE(reaches(cut, WireState::off));
}

TEST_F(Cut, APathIsCutToItsEnd) {
  CutWindow& cut = open();
  ASSERT_TRUE(machine(cut, {"--fast", "100"})) << said(cut).toStdString();
  in<QCheckBox>(cut, "careful").setChecked(true);
  click(cut, "beginCut");
  ASSERT_TRUE(reaches(cut, WireState::done, 60000)) << said(cut).toStdString();
  EXPECT_EQ(cut.machine().status().done, cut.machine().status().lines);
  EXPECT_GT(cut.machine().status().lines, 100);
  EXPECT_GT(cut.shown().burnt(false), 0);
}

TEST_F(Cut, WhatGoesWrongIsSaid) {
  CutWindow& cut = open();
  ASSERT_TRUE(machine(cut, {"--fast", "100", "--stall-at", "30", "--noise", "0.001"}));
  in<QCheckBox>(cut, "careful").setChecked(true);
  click(cut, "beginCut");
  ASSERT_TRUE(reaches(cut, WireState::alarm, 60000)) << said(cut).toStdString();
  EXPECT_TRUE(said(cut).contains("ALARM")) << said(cut).toStdString();
  EXPECT_FALSE(in<QPushButton>(cut, "beginCut").isEnabled());
  click(cut, "holdCut"); // now: clear the alarm
  ASSERT_TRUE(reaches(cut, WireState::stopped));
  simulator.kill(); // the cable is drawn
  EXPECT_TRUE(reaches(cut, WireState::lost));
  EXPECT_TRUE(said(cut).contains("by hand")) << said(cut).toStdString();
  in<QComboBox>(cut, "port").setEditText("/nowhere/at-all");
  QTest::keyClick(in<QComboBox>(cut, "port").lineEdit(), Qt::Key_Return);
  EXPECT_TRUE(QTest::qWaitFor([&] { return said(cut).contains("/nowhere/at-all"); }, 5000));
}

TEST_F(Cut, OtherAxesOrShorterTravelNeverStart) {
  CutWindow& cut = open();
  ASSERT_TRUE(machine(cut, {"--axes", "XYZA"}));
  in<QCheckBox>(cut, "careful").setChecked(true);
  click(cut, "beginCut");
  EXPECT_TRUE(said(cut).contains("XYZA")) << said(cut).toStdString();
  EXPECT_EQ(cut.machine().status().state, WireState::ready);
  click(cut, "connect");
  ASSERT_TRUE(reaches(cut, WireState::off));
  simulator.terminate();
  simulator.waitForFinished(3000);
  ASSERT_TRUE(machine(cut, {"--travel", "50", "500", "50", "500"}));
  click(cut, "beginCut");
  EXPECT_TRUE(said(cut).contains("Nothing has moved")) << said(cut).toStdString();
}

} // namespace
} // namespace eup::app::test
