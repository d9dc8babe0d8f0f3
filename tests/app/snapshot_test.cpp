// Design and wing on the board are of one snapshot: what contradicts itself brings nothing down, and is explained.
#include "app/frame/rail.h"
#include "core/described/design_file.h"
#include "core/edit/wing_edit.h"
#include "core/files/text_file.h"
#include "driver.h"

namespace eup::app::test {
namespace {

class SnapshotTest : public WindowTest {
protected:
  /// Two spars that cross: there is no such wing.
  void crossSpars() {
    Design d = design();
    d.inner().spars[1].rootFraction = 0.2, d.inner().spars[1].tipFraction = 0.8;
    window->document().edit("cross them", d);
    ASSERT_FALSE(window->document().possible());
  }
  QString contradictoryFile() {
    Design d = shipped("tarnbrook-2000");
    d.at({0, 2}).ribs.rule = RibRule::stations;
    d.at({0, 2}).ribs.stations = {0, 100, 900}; // past the panel's end
    const QString path = folder.filePath("odd.euptera");
    EXPECT_TRUE(writeFileAtomically(path.toStdString(), designToText(d)).ok());
    return path;
  }
  Design shipped(const char* name) {
    window->openDemo(name);
    return design();
  }
  void everyStage() {
    for (int i = 1; i <= 7; ++i) {
      stage(i);
      board()->grab();
      for (const Subject& s : subjectsOf(design(), window->standpoint().stage(), window->standpoint().panel())) {
        window->standpoint().choose(s);
        board()->grab();
        for (const Handle& h : board()->handlesNow()) (void)h.pull(design(), {2, 2});
      }
    }
  }
  QTemporaryDir folder;
};

/// It ended the program: the third spar was looked for in the last good wing, which has two.
TEST_F(SnapshotTest, ASparAddedToAContradictionIsNotSized) {
  stage(5);
  crossSpars();
  press("addSpar");
  ASSERT_EQ(design().inner().spars.size(), 3u);
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::spar, 2}));
  EXPECT_FALSE(find<QPushButton>("sizeSpar")->isEnabled()) << "there is no wing of these decisions";
  EXPECT_FALSE(find<QPushButton>("swapWood")->isEnabled());
  everyStage();
  EXPECT_TRUE(board()->handlesNow().empty()) << "what is on the board is not what is decided";
  press("undo");
  press("undo");
  EXPECT_TRUE(window->document().possible());
}

/// It aborted: the finding's panel was looked for in an unrelated wing of one panel.
TEST_F(SnapshotTest, AContradictoryFileOfSeveralPanelsLeadsToItsDecision) {
  const QString path = contradictoryFile();
  window->openDemo(); // another wing, with one panel
  ASSERT_TRUE(window->openFile(path)) << window->message().toStdString();
  EXPECT_FALSE(window->document().possible());
  EXPECT_FALSE(window->document().hasWing()) << "no other wing stands under this one's name";
  everyStage();
  const Finding first = window->document().findings().front();
  stage(static_cast<int>(first.stage) + 1);
  EXPECT_TRUE(isDrawn(*board())) << "the board says why there is nothing";
  follows().setOpen("finding", false);
  clickRow("▲ " + QString::fromStdString(first.what));
  clickRow("Go to the decision");
  EXPECT_EQ(window->standpoint().panel(), (PanelId{0, 2}));
  EXPECT_EQ(window->standpoint().subject().topic, Topic::ribPlaces) << first.decisions.front();
  EXPECT_NE(find<QLineEdit>("ribs.stations"), nullptr);
  type("ribs.stations", "0; 100; 220");
  EXPECT_TRUE(window->document().possible());
  everyStage();
}

TEST_F(SnapshotTest, NothingGoesToTheBenchWithoutAWing) {
  crossSpars();
  EXPECT_FALSE(window->exportTo(folder.path(), ExportOrder{}));
  EXPECT_TRUE(window->message().contains("contradict")) << window->message().toStdString();
  EXPECT_FALSE(window->writeSectionTo(true, folder.filePath("s.pdf"), CoordinateLayout::loop));
  EXPECT_TRUE(QDir(folder.path()).isEmpty());
  EXPECT_FALSE(window->findChild<QAction*>("action bench")->isEnabled());
  window->document().undo();
  EXPECT_TRUE(window->findChild<QAction*>("action bench")->isEnabled());
}

TEST_F(SnapshotTest, ADialogKeepsItsOwnWing) {
  Snapshot kept = window->document().now();
  const TrueWing* wing = kept.wing.get();
  Design d = design();
  d.inner().panel.span = 500;
  window->document().edit("shorter", d);
  EXPECT_EQ(kept.wing.get(), wing);
  EXPECT_DOUBLE_EQ(kept.wing->inner().shape.loft.span(), 748);
  EXPECT_DOUBLE_EQ(window->document().wing().inner().shape.loft.span(), 500);
  EXPECT_TRUE(window->document().possible());
}

class Selection : public WindowTest {};

TEST_F(Selection, WhatIsAddedIsChosenAndWhatIsChosenIsTakenOut) {
  stage(5);
  part("spar.0");
  press("addSpar");
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::spar, 2}));
  EXPECT_TRUE(find<QToolButton>("part spar.2")->isChecked());
  part("spar.0");
  press("removeSpar");
  ASSERT_EQ(design().inner().spars.size(), 2u);
  EXPECT_EQ(design().inner().spars[0].name, "rear spar") << "the one that was chosen went";
}

TEST_F(Selection, AClickOnAPartChoosesItEverywhere) {
  stage(5);
  board()->grab();
  const auto middleOf = [&](const Subject& s) {
    for (const Pick& p : board()->picksNow())
      if (p.subject == s) {
        Box box;
        for (const Polyline& loop : p.where)
          for (const Point& q : loop) box.include(q);
        return board()->screen(box.centre()).toPoint();
      }
    ADD_FAILURE() << "not on the board";
    return QPoint();
  };
  QTest::mouseClick(board(), Qt::LeftButton, {}, middleOf({Topic::topCap, 0}));
  EXPECT_EQ(window->standpoint().subject(), (Subject{Topic::topCap, 0}));
  EXPECT_TRUE(find<QToolButton>("part topCap.0")->isChecked());
  EXPECT_NE(find<QLineEdit>("spars.0.top.depth"), nullptr) << "it is decided on the right";
  const QImage chosen = board()->grab().toImage();
  part("bottomCap.0");
  EXPECT_NE(board()->grab().toImage(), chosen) << "the chosen one is marked";
  stage(4);
  board()->grab();
  QTest::mouseClick(board(), Qt::LeftButton, {}, middleOf({Topic::trailingEdge, 0}));
  EXPECT_NE(find<QLineEdit>("trailingEdge.width"), nullptr);
}

TEST_F(Selection, EveryPartHasFewRows) {
  for (const char* demo :
       {"fenlark-1500", "tarnbrook-2000", "skerrow-1460", "lanehurst-1180", "oldacre-1320", "gossamoor-480"}) {
    window->openDemo(demo);
    for (int i = 2; i <= 7; ++i) {
      stage(i);
      QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
      int rows = 0;
      for (const QWidget* w : window->decide().findChildren<QWidget*>())
        rows += w->isVisibleTo(&window->decide()) &&
                (qobject_cast<const DecisionEdit*>(w) || qobject_cast<const QComboBox*>(w) ||
                 qobject_cast<const QCheckBox*>(w));
      EXPECT_LE(rows, 12) << demo << ", stage " << i; // two of a section's are its tools
      EXPECT_GT(follows().height(), 260) << "what follows is in sight";
      EXPECT_TRUE(follows().isVisible());
    }
  }
}

TEST_F(Selection, SteppingToTheNextRibWorksNothingOutAnew) {
  stage(5);
  const TrueWing* before = window->document().now().wing.get();
  const Decision* decisions = window->document().decisions().data();
  QSignalSpy documents(&window->document(), &Document::changed);
  for (int i = 0; i < 5; ++i) QTest::keyClick(window.get(), Qt::Key_Right, Qt::AltModifier);
  EXPECT_EQ(documents.size(), 0);
  EXPECT_EQ(window->document().now().wing.get(), before);
  EXPECT_EQ(window->document().decisions().data(), decisions);
}

TEST_F(Selection, WhatOneLooksAtStaysWhereItIs) {
  stage(6);
  QListView& list = follows().listView();
  QApplication::processEvents();
  ASSERT_GT(list.verticalScrollBar()->maximum(), 100);
  list.verticalScrollBar()->setValue(list.verticalScrollBar()->maximum() * 2 / 3); // past the findings
  QApplication::processEvents();
  const QModelIndex top = list.indexAt({4, 2});
  ASSERT_TRUE(top.isValid());
  const QString words = top.data().toString().section(':', 0, 0);
  const int at = list.visualRect(top).top();
  Design d = design(); // a finding comes, above all figures
  d.inner().join.braces[0].thickness = 0.4;
  d.inner().join.crackLeaves = 0.9;
  window->document().edit("thin", d);
  QApplication::processEvents();
  const QModelIndex now = row(words);
  ASSERT_TRUE(now.isValid()) << words.toStdString();
  EXPECT_NEAR(list.visualRect(now).top(), at, 2) << words.toStdString();
}

/// Every stage, each of its parts, a figure and its working: with the keyboard alone.
TEST_F(Selection, TheKeyboardReachesEverything) {
  window->activateWindow();
  const auto press = [&](int key, Qt::KeyboardModifiers with = {}) {
    QTest::keyClick(QApplication::focusWidget() ? QApplication::focusWidget() : window.get(), static_cast<Qt::Key>(key),
                    with);
  };
  for (int i = 2; i <= 7; ++i) {
    press(Qt::Key_0 + i, Qt::ControlModifier);
    ASSERT_EQ(static_cast<int>(window->standpoint().stage()), i - 1);
    QApplication::processEvents(); // what was built anew shows itself a moment later
    std::set<std::string> parts;
    bool list = false, tile = false, field = false, chip = false;
    board()->setFocus();
    for (int k = 0; k < 160; ++k) {
      press(Qt::Key_Tab);
      const QWidget* now = QApplication::focusWidget();
      if (!now) continue;
      if (now->objectName().startsWith("part ")) parts.insert(now->objectName().toStdString());
      list = list || now == &follows().listView();
      tile = tile || now->objectName().startsWith("headline");
      field = field || window->decide().isAncestorOf(now);
      chip = chip || now->objectName() == "chip rib";
    }
    std::size_t shown = 0;
    for (const QToolButton* b : window->findChildren<QToolButton*>())
      shown += b->objectName().startsWith("part ") && b->isVisibleTo(window.get());
    EXPECT_EQ(parts.size(), shown) << "stage " << i;
    EXPECT_TRUE(list && tile && field && chip) << "stage " << i << list << tile << field << chip;
  }
  follows().listView().setFocus();
  press(Qt::Key_Home);
  const int rows = follows().listView().model()->rowCount();
  press(Qt::Key_Return);
  EXPECT_GT(follows().listView().model()->rowCount(), rows) << "Enter opens a line";
  press(Qt::Key_Return);
  EXPECT_EQ(follows().listView().model()->rowCount(), rows);
}

/// The menus' own entries, with the person's answers.
class Menus : public WindowTest {
protected:
  Menus() {
    auto answers = std::make_unique<Answers>();
    person = answers.get();
    window->askBy(std::move(answers));
  }
  void act(const char* id) {
    auto* action = window->findChild<QAction*>(QString("action %1").arg(id));
    ASSERT_NE(action, nullptr) << id;
    action->trigger();
  }
  Answers* person = nullptr;
  QTemporaryDir folder;
};

TEST_F(Menus, SaveOpenAndNewAskWhatTheyMust) {
  person->write = folder.filePath("mine");
  act("saveAs");
  EXPECT_TRUE(QFile::exists(folder.filePath("mine.euptera"))) << "its ending is added";
  const QDateTime written = QFileInfo(folder.filePath("mine.euptera")).lastModified();
  act("save");
  EXPECT_EQ(QFileInfo(folder.filePath("mine.euptera")).lastModified(), written) << "nothing to save";
  stage(3);
  type("panel.rootChord", "241");
  EXPECT_TRUE(window->findChild<QAction*>("action save")->isEnabled());
  person->unsaved = Asking::Unsaved::cancel;
  act("new");
  EXPECT_DOUBLE_EQ(design().inner().panel.rootChord, 241) << "it was left";
  person->unsaved = Asking::Unsaved::save;
  act("new");
  EXPECT_EQ(design(), newWing());
  for (const Finding& f : window->document().findings())
    EXPECT_EQ(f.severity, Severity::note) << "a new wing opens sound: " << f.what;
  person->open = folder.filePath("mine.euptera");
  act("open");
  EXPECT_DOUBLE_EQ(design().inner().panel.rootChord, 241) << "it had been saved first";
  act("about");
  act("help");
  EXPECT_GE(person->asked, 5);
}

TEST_F(Menus, PlacesThatCannotBeWrittenAreTold) {
  person->write = "/proc/nowhere/wing.euptera";
  act("saveAs");
  EXPECT_TRUE(window->message().contains("Not saved")) << window->message().toStdString();
  EXPECT_FALSE(window->exportTo("/proc/nowhere", ExportOrder{}));
  EXPECT_TRUE(window->message().contains("Not all files were written")) << window->message().toStdString();
  EXPECT_FALSE(window->writeSectionTo(true, "/dev/full", CoordinateLayout::loop));
}

TEST(WindowManners, SizeAndLookAreRemembered) {
  QTemporaryDir state;
  QSize size;
  {
    MainWindow window(state.path());
    window.show();
    window.resize(1111, 733);
    window.setDark(true);
    size = window.size();
    window.close();
  }
  MainWindow again(state.path());
  again.show();
  EXPECT_EQ(again.size(), size);
  EXPECT_EQ(QSettings(state.path() + "/settings.ini", QSettings::IniFormat).value("dark"), true);
  again.setDark(false);
}

} // namespace
} // namespace eup::app::test
