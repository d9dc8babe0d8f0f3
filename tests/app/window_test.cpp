#include "app/dialogs/export_dialog.h"
#include "app/frame/headline_tile.h"
#include "app/frame/shots.h"
#include "core/described/design_file.h"
#include "core/files/text_file.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class Window : public WindowTest {};

TEST_F(Window, EveryStageIsReachedByPointerAndKey) {
  for (int i = 1; i <= 7; ++i) {
    stage(i);
    EXPECT_EQ(static_cast<int>(window->standpoint().stage()), i - 1);
    EXPECT_TRUE(board()->isVisible());
  }
  QTest::keyClick(window.get(), Qt::Key_3, Qt::ControlModifier);
  EXPECT_EQ(window->standpoint().stage(), Stage::panels);
}

TEST_F(Window, RubbishIsQuotedAndTheOldValueStays) {
  stage(3);
  for (const char* bad : {"abc", "", "0", "-3", "NaN", "1e9", "1/0"}) {
    const QString before = shown("panel.rootChord");
    type("panel.rootChord", bad);
    EXPECT_DOUBLE_EQ(design().inner().panel.rootChord, 236) << bad;
    EXPECT_EQ(shown("panel.rootChord"), before);
    EXPECT_FALSE(problem().isEmpty()) << bad;
    if (*bad) {
      EXPECT_TRUE(problem().contains(bad)) << problem().toStdString();
    }
  }
  type("panel.rootChord", "240");
  EXPECT_TRUE(problem().isEmpty());
  EXPECT_FALSE(window->document().undoName().isEmpty());
}

TEST_F(Window, FieldsNudgeAndEscapeTakesBack) {
  stage(3);
  auto* edit = find<QLineEdit>("panel.tipChord");
  edit->setFocus();
  QTest::keyClick(edit, Qt::Key_Up);
  EXPECT_DOUBLE_EQ(design().inner().panel.tipChord, 168.5);
  QTest::keyClick(edit, Qt::Key_Up, Qt::ShiftModifier);
  EXPECT_DOUBLE_EQ(design().inner().panel.tipChord, 173.5);
  QTest::keyClick(edit, Qt::Key_Down, Qt::AltModifier);
  EXPECT_NEAR(design().inner().panel.tipChord, 173.45, 1e-9);
  window->document().undo();
  EXPECT_DOUBLE_EQ(design().inner().panel.tipChord, 168) << "nudges in a row are one step";
  QTest::keyClicks(edit, "99");
  QTest::keyClick(edit, Qt::Key_Escape);
  EXPECT_EQ(edit->text(), "168");
}

TEST_F(Window, ChoicesBringTheirOwnDecisions) {
  stage(4);
  tab("Trailing edge");
  EXPECT_TRUE(window->findChildren<QLineEdit*>("trailingEdge.sheet").isEmpty());
  choose("trailingEdge.kind", "twoSheets");
  EXPECT_EQ(design().inner().trailingEdge.kind, TrailingEdgeKind::twoSheets);
  type("trailingEdge.sheet", "1/16");
  EXPECT_NEAR(design().inner().trailingEdge.sheet, 1.5875, 1e-9);
  stage(7);
  tab("Nose sheet");
  auto* top = find<QCheckBox>("sheeting.top");
  top->setFocus();
  QTest::keyClick(top, Qt::Key_Space);
  EXPECT_FALSE(design().inner().sheeting.top);
}

TEST_F(Window, DragsOnTheBoards) {
  stage(3);
  const double chord = design().inner().panel.tipChord;
  drag("tip trailing edge", {0, 20});
  EXPECT_GT(design().inner().panel.tipChord, chord + 5);
  const double fraction = design().inner().sheeting.fraction;
  drag("sheet edge", {0, 12});
  EXPECT_GT(design().inner().sheeting.fraction, fraction + 0.01);
  const double line = design().inner().spars[0].tipFraction;
  drag("main spar line at the tip", {0, -10});
  EXPECT_LT(design().inner().spars[0].tipFraction, line - 0.01);
  drag("half span", {-30, 0});
  EXPECT_LT(design().inner().panel.span, 748);
  stage(4);
  const double root = design().inner().spars[1].rootFraction, tip = design().inner().spars[1].tipFraction;
  drag("rear spar line", {15, 0});
  EXPECT_GT(design().inner().spars[1].rootFraction, root + 0.005);
  EXPECT_NEAR(design().inner().spars[1].rootFraction - root, design().inner().spars[1].tipFraction - tip, 1e-9);
  stage(6);
  drag("tip", {0, -25});
  EXPECT_GT(figure("join.rise"), 45);
  for (int i = 0; i < 6; ++i) window->document().undo();
  EXPECT_FALSE(window->document().canUndo()) << "each drag was one step";
  EXPECT_FALSE(window->document().modified());
}

TEST_F(Window, DragsMirrorWithTheHand) {
  press("hand left");
  stage(3);
  const double station = window->document().wing().inner().frame.ribs[5].t();
  drag("rib R6", {-25, 0});
  EXPECT_GT(window->document().wing().inner().frame.ribs[5].t(), station) << "outwards is to the left";
}

TEST_F(Window, BoardByKeyboard) {
  stage(3);
  board()->setFocus();
  QTest::keyClick(board(), Qt::Key_Period);
  QTest::keyClick(board(), Qt::Key_Down, Qt::ShiftModifier);
  EXPECT_NEAR(design().inner().panel.tipChord, 173, 1e-9) << "the first handle is the tip's trailing edge; down is aft";
  QTest::keyClick(board(), Qt::Key_Up, Qt::AltModifier);
  EXPECT_NEAR(design().inner().panel.tipChord, 172.9, 1e-9);
}

TEST_F(Window, ZoomPanFit) {
  stage(3);
  const QPointF at(300, 300);
  const Point under = board()->board(at);
  QWheelEvent wheel(at, board()->mapToGlobal(at), {}, {0, 240}, Qt::NoButton, {}, Qt::NoScrollPhase, false);
  QApplication::sendEvent(board(), &wheel);
  EXPECT_LT((board()->board(at) - under).norm(), 1e-6) << "zooms at the pointer";
  EXPECT_GT((board()->board({400, 300}) - under).norm(), 0);
  QTest::mousePress(board(), Qt::MiddleButton, {}, {200, 200});
  QMouseEvent move(QEvent::MouseMove, QPointF(260, 230), board()->mapToGlobal(QPointF(260, 230)), Qt::NoButton,
                   Qt::MiddleButton, {});
  QApplication::sendEvent(board(), &move);
  QTest::mouseRelease(board(), Qt::MiddleButton, {}, {260, 230});
  EXPECT_LT((board()->board(at + QPointF(60, 30)) - under).norm(), 1e-6) << "pans with the middle button";
  QTest::mouseDClick(board(), Qt::LeftButton, {}, {5, 300});
  EXPECT_GT((board()->board(at + QPointF(60, 30)) - under).norm(), 1) << "double click fits";
}

TEST_F(Window, SpanRuleSteps) {
  auto* rule = window->findChild<SpanRule*>();
  rule->setFocus();
  QTest::keyClick(rule, Qt::Key_Home);
  EXPECT_EQ(window->standpoint().rib(), 1);
  QTest::keyClick(rule, Qt::Key_Right);
  QTest::keyClick(rule, Qt::Key_Right);
  EXPECT_EQ(window->standpoint().rib(), 3);
  QTest::keyClick(rule, Qt::Key_Left);
  EXPECT_EQ(window->standpoint().rib(), 2);
  QTest::keyClick(rule, Qt::Key_End);
  EXPECT_EQ(window->standpoint().rib(), 13);
  QTest::mouseClick(rule, Qt::LeftButton, {},
                    QPoint(static_cast<int>(rule->xOf(window->document().wing().inner().frame.ribs[6].t())), 30));
  EXPECT_EQ(window->standpoint().rib(), 7);
  press("hand left");
  QTest::keyClick(rule, Qt::Key_Left);
  EXPECT_EQ(window->standpoint().rib(), 8) << "on the left hand outwards is to the left";
  QTest::keyClick(window.get(), Qt::Key_Left, Qt::AltModifier);
  EXPECT_EQ(window->standpoint().rib(), 7);
}

TEST_F(Window, FiguresOpenToTheirWorkingAndLeadToDecisions) {
  stage(6);
  EXPECT_TRUE(follows().tells("join.block"));
  auto* tile = find<HeadlineTile>("headline 1");
  EXPECT_EQ(tile->words().kind, "join.block") << "what one comes to the stage for is told large";
  tile->setFocus();
  QTest::keyClick(tile, Qt::Key_Space);
  ASSERT_TRUE(follows().isOpen("join.block"));
  EXPECT_TRUE(row("748.0 mm × sin").isValid()) << "the rule with its numbers";
  clickRow("follows from: Panel: Half span");
  QApplication::processEvents();
  EXPECT_EQ(window->standpoint().stage(), Stage::panels);
  EXPECT_EQ(window->focusWidget(), find<QLineEdit>("panel.span"));
  // Found by name.
  auto* box = find<QLineEdit>("find");
  QTest::keyClick(window.get(), Qt::Key_F, Qt::ControlModifier);
  box->setText("rib.9.chord");
  QTest::keyClick(box, Qt::Key_Return);
  EXPECT_EQ(window->standpoint().stage(), Stage::ribs);
  EXPECT_EQ(window->standpoint().rib(), 9);
  EXPECT_TRUE(follows().isOpen("rib.9.chord"));
}

TEST_F(Window, SparsComeAndGo) {
  stage(5);
  press("addSpar");
  EXPECT_EQ(design().inner().spars.size(), 3u);
  EXPECT_FALSE(find<QPushButton>("addSpar")->isEnabled()) << "three at most";
  press("removeSpar");
  press("removeSpar");
  press("removeSpar");
  EXPECT_TRUE(design().inner().spars.empty());
  EXPECT_TRUE(window->document().possible());
  QApplication::processEvents();
  press("addSpar");
  EXPECT_EQ(design().inner().spars.size(), 1u);
  part("spar.0");
  choose("spars.0.kind", "fullDepth");
  EXPECT_EQ(design().inner().spars[0].kind, SparKind::fullDepth);
  for (int i = 1; i <= 7; ++i) stage(i), QApplication::processEvents();
}

TEST_F(Window, ImpossibleDecisionsKeepTheLastGoodWing) {
  Design d = design();
  d.inner().ribs.rule = RibRule::stations;
  d.inner().ribs.stations = {0, 300, 748};
  window->document().edit("stations", d);
  stage(3);
  type("panel.span", "500");
  EXPECT_FALSE(window->document().possible());
  EXPECT_DOUBLE_EQ(window->document().wing().inner().shape.loft.span(), 748) << "the last good wing stays";
  EXPECT_FALSE(window->document().findings().empty());
  for (int i = 1; i <= 7; ++i) stage(i), board()->grab();
  ExportOrder order;
  window->document().undo();
  EXPECT_TRUE(window->document().possible());
}

TEST_F(Window, DamagedFilesLoseNothingOpen) {
  stage(3);
  type("panel.rootChord", "250");
  const Design mine = design();
  QTemporaryDir dir;
  const auto write = [&](const char* name, const QByteArray& text) {
    QFile f(dir.filePath(name));
    EXPECT_TRUE(f.open(QIODevice::WriteOnly));
    f.write(text);
    return dir.filePath(name);
  };
  const QByteArray good = QByteArray::fromStdString(designToText(Design{}));
  const QByteArray present = "\"version\": " + QByteArray::number(fileFormatVersion);
  for (const auto& [path, said] :
       {std::pair(write("cut", good.left(300)), "line"), std::pair(write("foreign", "{\"format\": \"x\"}"), "/format"),
        std::pair(write("new", QByteArray(good).replace(present, "\"version\": 99")), "newer"),
        std::pair(write("huge", QByteArray(70 << 20, ' ')), "larger"),
        std::pair(dir.filePath("none"), "cannot be opened")}) {
    EXPECT_FALSE(window->openFile(path));
    EXPECT_TRUE(window->message().contains(said)) << window->message().toStdString();
    EXPECT_EQ(design(), mine);
    EXPECT_TRUE(window->document().modified());
  }
  EXPECT_FALSE(window->saveTo("/proc/none/wing.euptera"));
  EXPECT_TRUE(window->message().contains("Not saved"));
  EXPECT_TRUE(window->document().modified());
  EXPECT_FALSE(window->exportTo("/proc/none", ExportOrder{}));
}

TEST_F(Window, CoordinateFilesBecomeSections) {
  QTemporaryDir dir;
  const auto write = [&](const QByteArray& text) {
    QFile f(dir.filePath("own.dat"));
    EXPECT_TRUE(f.open(QIODevice::WriteOnly | QIODevice::Truncate));
    f.write(text);
    return dir.filePath("own.dat");
  };
  stage(2);
  EXPECT_TRUE(
      window->importCoordinates("root", write("Own flat\n1 0\n0.7 0.06\n0.3 0.1\n0.05 0.05\n0 0\n0.3 0\n1 0\n")));
  EXPECT_EQ(design().inner().sections.root.listed.name, "Own flat");
  EXPECT_NEAR(figure("section.root.thickness"), 23.6, 0.5);
  EXPECT_FALSE(window->importCoordinates("tip", write("x\n1 0\nhello there\n")));
  EXPECT_TRUE(window->message().contains("line 3"));
  choose("sections.root.kind", "naca");
  type("sections.root.naca", "2415");
  EXPECT_NEAR(figure("section.root.thickness"), 0.15 * 236, 0.1);
  window->document().undo();
  window->document().undo();
  EXPECT_EQ(design().inner().sections.root.kind, SectionKind::listed);
  EXPECT_EQ(design().inner().sections.root.listed.name, "Own flat");
}

TEST_F(Window, UnitsTurnToInches) {
  auto* unit = window->findChild<QComboBox*>("unit", Qt::FindChildrenRecursively);
  unit->setFocus();
  QTest::keyClick(unit, Qt::Key_Down);
  EXPECT_EQ(design().unit, LengthUnit::inch);
  stage(3);
  type("panel.span", "30");
  EXPECT_EQ(shown("panel.span"), "30\"");
  int units = 0;
  for (QLabel* l : window->findChildren<QLabel*>("unit"))
    if (l->isVisibleTo(find<QLineEdit>("panel.span")->parentWidget())) {
      ++units;
      EXPECT_NE(l->text(), "mm");
    }
  EXPECT_GT(units, 0) << "angles and fractions have one";
  EXPECT_NEAR(design().inner().panel.span, 762, 1e-9);
}

TEST_F(Window, ExportDialogSaysWhatItWillDo) {
  Asking asking({});
  ExportDialog dialog(window->document().now(), "somewhere", asking);
  dialog.show();
  EXPECT_EQ(dialog.order().formats, std::vector{ExportFormat::pdf});
  ASSERT_TRUE(dialog.settle());
  const int all = dialog.sheets();
  EXPECT_EQ(all, sheetsOfPaper(window->document().wing(), dialog.order()));
  EXPECT_TRUE(dialog.findChild<QLabel*>("summary")->text().contains(QString("%1 sheets").arg(all)));
  EXPECT_TRUE(isDrawn(dialog)) << "the pages are shown";
  QTest::mouseClick(dialog.findChild<QCheckBox*>("piece plan"), Qt::LeftButton, {}, {8, 8});
  ASSERT_TRUE(dialog.settle());
  EXPECT_LT(dialog.sheets(), all);
  EXPECT_EQ(dialog.order().pieces.size(), 13u);
  QTest::mouseClick(dialog.findChild<QCheckBox*>("pdf"), Qt::LeftButton, {}, {8, 8});
  EXPECT_FALSE(dialog.findChild<QPushButton*>("primary")->isEnabled()) << "nothing to write";
  QTest::mouseClick(dialog.findChild<QCheckBox*>("svg"), Qt::LeftButton, {}, {8, 8});
  QTest::mouseClick(dialog.findChild<QCheckBox*>("left"), Qt::LeftButton, {}, {8, 8});
  EXPECT_TRUE(dialog.findChild<QPushButton*>("primary")->isEnabled());
  EXPECT_EQ(dialog.order().hands, std::vector{Hand::right});
  // What a cutter takes away, by the cutter or typed.
  auto* kerf = dialog.findChild<QLineEdit*>("kerf");
  dialog.findChild<QComboBox*>("cutter")->setCurrentIndex(1);
  EXPECT_EQ(dialog.order().kerf, 0.15);
  kerf->setText("a hair");
  EXPECT_FALSE(dialog.findChild<QPushButton*>("primary")->isEnabled());
  EXPECT_TRUE(dialog.findChild<QLabel*>("summary")->text().contains("a hair"));
  kerf->setText("0.2");
  EXPECT_EQ(dialog.order().kerf, 0.2);
  EXPECT_TRUE(dialog.findChild<QPushButton*>("primary")->isEnabled());
}

TEST_F(Window, ControlsHaveNames) {
  for (int i = 1; i <= 7; ++i) {
    stage(i);
    for (QWidget* w : window->findChildren<QWidget*>()) {
      if (!w->isVisible() || w->focusPolicy() == Qt::NoFocus) continue;
      const auto* button = qobject_cast<QAbstractButton*>(w);
      const bool field = qobject_cast<QLineEdit*>(w) || qobject_cast<QComboBox*>(w) || qobject_cast<Board*>(w) ||
                         qobject_cast<SpanRule*>(w);
      if (field) {
        EXPECT_FALSE(w->accessibleName().isEmpty())
            << w->objectName().toStdString() << " " << w->metaObject()->className();
      }
      if (button) {
        EXPECT_FALSE(button->text().isEmpty() && button->accessibleName().isEmpty()) << w->objectName().toStdString();
      }
    }
  }
}

TEST(Shots, AreOfTheStatedSize) {
  QTemporaryDir dir;
  const QStringList written = writeShots(dir.path());
  ASSERT_GE(written.size(), 8);
  EXPECT_EQ(QImage(written.front()).size(), QSize(1280, 800));
}

} // namespace
} // namespace eup::app::test
