// What is open, saved or left behind by a crash is never lost unseen.
#include "app/bench/bench_panel.h"
#include "app/dialogs/kept_dialog.h"
#include "app/state/autosave.h"
#include "core/described/design_file.h"
#include "core/edit/wing_edit.h"
#include "core/files/text_file.h"
#include "driver.h"
#include <csignal>
#include <map>
#include <set>
#include <sys/wait.h>
#include <unistd.h>

namespace eup::app::test {
namespace {

class Keeping : public WindowTest {};

TEST_F(Keeping, AutosaveIsFoundAfterAKill) {
  QTemporaryDir dir;
  const QString path = dir.filePath("wing.euptera");
  ASSERT_TRUE(window->saveTo(path));
  stage(3);
  type("panel.rootChord", "251");
  ASSERT_TRUE(QTest::qWaitFor([&] { return QFile::exists(Autosave::pathFor(path)); }, 5000));
  // As after a kill: another window opens the file and finds what was not saved beside it.
  QTemporaryDir other;
  MainWindow again(other.path());
  again.show();
  ASSERT_TRUE(again.openFile(path));
  EXPECT_DOUBLE_EQ(again.document().design().inner().panel.rootChord, 236);
  EXPECT_TRUE(again.message().contains("not saved"));
  QTest::mouseClick(again.findChild<QToolButton*>("recover"), Qt::LeftButton);
  EXPECT_DOUBLE_EQ(again.document().design().inner().panel.rootChord, 251);
  EXPECT_TRUE(again.document().canUndo());
  // Saved, it is not needed any more.
  ASSERT_TRUE(again.saveTo(path));
  EXPECT_FALSE(QFile::exists(Autosave::pathFor(path)));
}

/// A program that is really killed, with a wing that never had a file.
TEST(Recovery, UntitledWingSurvivesAKill) {
  QTemporaryDir state;
  const pid_t child = fork();
  if (child == 0) {
    // A child of a window program must not touch the windows: the document and the autosave need none.
    Document document;
    Autosave autosave(document, state.path());
    Design d;
    d.name = "Never saved";
    document.edit("x", d);
    autosave.keep();
    raise(SIGKILL);
  }
  waitpid(child, nullptr, 0);
  state.setAutoRemove(true);
  MainWindow window(state.path());
  window.show();
  window.offerRecovery();
  EXPECT_TRUE(window.message().contains("never saved"));
  QTest::mouseClick(window.findChild<QToolButton*>("recover"), Qt::LeftButton);
  EXPECT_EQ(window.document().design().name, "Never saved");
}

/// Records are not decided, and come back with what was.
TEST_F(Keeping, RecordsComeBackWithTheStateThatWasKept) {
  QTemporaryDir dir;
  const QString path = dir.filePath("wing.euptera");
  ASSERT_TRUE(window->saveTo(path));
  window->document().record([](Records& r) {
    r.steps.push_back({"1.R1.mark", "2026-12-01 10:00", "2026-12-01 10:30", 30, false, {}});
    BenchReading read;
    read.value = 0.25, read.at = "2026-12-01 10:40";
    r.readings.push_back(read);
    r.log.push_back({"2026-12-01 10:41", LogKind::note, "a note", {}, {}});
  });
  window->autosave().keep();
  const Records made = design().records;
  QTemporaryDir other;
  MainWindow again(other.path());
  again.show();
  ASSERT_TRUE(again.openFile(path));
  EXPECT_TRUE(again.document().design().records.steps.empty());
  // What was recorded since stays beside what comes back, and the state stays while the two are not the same.
  again.document().record([](Records& r) { r.looked.push_back({"since"}); });
  QTest::mouseClick(again.findChild<QToolButton*>("recover"), Qt::LeftButton);
  const Records& now = again.document().design().records;
  EXPECT_EQ(now.steps, made.steps);
  EXPECT_EQ(now.readings, made.readings);
  EXPECT_EQ(now.looked.size(), made.looked.size() + 1);
  EXPECT_FALSE(again.autosave().kept().all().empty());
  again.document().undo();
  EXPECT_EQ(again.document().design().records.readings, made.readings) << "no undo takes a reading";
}

TEST_F(Keeping, AKeptStateGoesWhenAllOfItIsTakenBack) {
  QTemporaryDir dir;
  const QString path = dir.filePath("wing.euptera");
  ASSERT_TRUE(window->saveTo(path));
  window->document().record([](Records& r) { r.looked.push_back({"one"}); });
  window->autosave().keep();
  QTemporaryDir other;
  MainWindow again(other.path());
  again.show();
  ASSERT_TRUE(again.openFile(path));
  QTest::mouseClick(again.findChild<QToolButton*>("recover"), Qt::LeftButton);
  EXPECT_EQ(again.document().design().records.looked, design().records.looked);
  EXPECT_TRUE(again.autosave().kept().all().empty());
  EXPECT_TRUE(QFile::exists(Autosave::pathFor(path))) << "it is in the second program's care";
}

TEST_F(Keeping, ChangesInARowDoNotPutKeepingOffForEver) {
  QTemporaryDir dir;
  const QString path = dir.filePath("wing.euptera");
  ASSERT_TRUE(window->saveTo(path));
  QElapsedTimer clock;
  clock.start();
  for (int i = 0; !QFile::exists(Autosave::pathFor(path)) && clock.elapsed() < 12000; ++i) {
    Design next = design();
    next.inner().panel.rootChord = 230 + i;
    window->document().edit("nudge", next, "nudge");
    QTest::qWait(400);
  }
  EXPECT_TRUE(QFile::exists(Autosave::pathFor(path)));
  EXPECT_LT(clock.elapsed(), 8000);
}

TEST_F(Keeping, WhatIsTypedIsSaved) {
  QTemporaryDir dir;
  const QString path = dir.filePath("wing.euptera");
  ASSERT_TRUE(window->saveTo(path));
  stage(3);
  auto* field = find<QLineEdit>("panel.rootChord");
  QTest::mouseClick(field, Qt::LeftButton);
  field->selectAll();
  QTest::keyClicks(field, "247");
  EXPECT_NE(design().inner().panel.rootChord, 247);
  QTest::keyClick(window.get(), Qt::Key_S, Qt::ControlModifier);
  EXPECT_EQ(design().inner().panel.rootChord, 247);
  EXPECT_EQ(designFromText(readTextFile(path.toStdString()).value()).value().design.inner().panel.rootChord, 247);
  EXPECT_FALSE(window->document().modified());
}

TEST_F(Keeping, TheSameFileByALinkIsTold) {
  QTemporaryDir dir;
  ASSERT_TRUE(window->saveTo(dir.filePath("wing.euptera")));
  window->document().record([](Records& r) { r.looked.push_back({"one"}); });
  window->autosave().keep(); // it holds the file
  ASSERT_TRUE(QFile::link(dir.filePath("wing.euptera"), dir.filePath("link.euptera")));
  MainWindow again(state.path()); // of the same person: the locks lie together
  again.askBy(std::make_unique<Answers>());
  ASSERT_TRUE(again.openFile(dir.filePath("link.euptera")));
  EXPECT_TRUE(again.message().contains("another window")) << again.message().toStdString();
}

TEST_F(Keeping, PicturesOfTheLogGoAlongIntoAnotherFolder) {
  QTemporaryDir dir;
  QDir(dir.path()).mkpath("a/wing-pictures");
  QDir(dir.path()).mkpath("b");
  ASSERT_TRUE(window->saveTo(dir.filePath("a/wing.euptera")));
  QFile picture(dir.filePath("a/wing-pictures/one.png"));
  ASSERT_TRUE(picture.open(QIODevice::WriteOnly));
  picture.write("a picture");
  picture.close();
  window->document().record([](Records& r) {
    for (const char* name : {"wing-pictures/one.png", "wing-pictures/gone.png", "../../outside.png", "/etc/hostname"})
      r.log.push_back({"2026-12-01 10:41", LogKind::picture, "a picture", {}, name});
  });
  ASSERT_TRUE(window->saveTo(dir.filePath("b/wing.euptera")));
  EXPECT_TRUE(QFile::exists(dir.filePath("b/wing-pictures/one.png")));
  EXPECT_TRUE(window->message().contains("gone.png")) << window->message().toStdString();
  EXPECT_FALSE(window->message().contains("outside"));
}

TEST_F(Keeping, LeavingAsksAboutWhatIsTypedAndNotRecorded) {
  auto answers = std::make_unique<Answers>();
  Answers& asked = *answers;
  window->askBy(std::move(answers));
  asked.forget = false;
  QTest::keyClick(window.get(), Qt::Key_B, Qt::ControlModifier);
  window->bench().turnTo(BenchPanel::Page::log);
  auto* note = find<QLineEdit>("logNote");
  ASSERT_NE(note, nullptr);
  QTest::keyClicks(note, "glue was thick");
  window->close();
  EXPECT_TRUE(window->isVisible());
  EXPECT_EQ(asked.asked, 1);
  EXPECT_EQ(note->text(), "glue was thick");
  QTest::keyClick(note, Qt::Key_Return);
  EXPECT_TRUE(window->bench().untaken().isEmpty());
}

/// Ctrl+Z is the window's where nothing is being typed, and the field's where something is.
TEST_F(Keeping, UndoReachesTheWingFromAFieldThatWasEntered) {
  stage(3);
  const double was = design().inner().panel.rootChord;
  type("panel.rootChord", "249");
  auto* field = find<QLineEdit>("panel.rootChord");
  field->setFocus();
  QApplication::processEvents();
  ASSERT_EQ(design().inner().panel.rootChord, 249);
  QTest::keyClick(field, Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(design().inner().panel.rootChord, was);
  field = find<QLineEdit>("panel.rootChord");
  field->setFocus();
  field->selectAll();
  QTest::keyClicks(field, "3");
  QTest::keyClick(field, Qt::Key_Z, Qt::ControlModifier);
  EXPECT_EQ(design().inner().panel.rootChord, was);
  EXPECT_NE(field->text(), "3") << "what was typed is taken back in the field";
}

TEST_F(Keeping, EveryShortcutBelongsToOne) {
  std::map<QString, QStringList> by;
  for (const QAction* a : window->findChildren<QAction*>())
    for (const QKeySequence& key : a->shortcuts()) by[key.toString()] << a->text();
  for (const QShortcut* s : window->findChildren<QShortcut*>()) by[s->key().toString()] << s->objectName();
  EXPECT_GT(by.size(), 20u);
  for (const auto& [key, whose] : by)
    EXPECT_EQ(whose.size(), 1) << key.toStdString() << ": " << whose.join(", ").toStdString();
}

namespace {
/// As a program leaves it that was killed in the middle of work.
void leaveBehind(const QString& path, const std::string& name) {
  Design d;
  d.name = name;
  QFile f(path);
  ASSERT_TRUE(f.open(QIODevice::WriteOnly));
  f.write(QByteArray::fromStdString(designToText(d)));
}
} // namespace

/// What a crash left stays until it is taken or thrown away by hand: not saving, not discarding, not a new wing and not
/// a second crash may delete or overwrite it.
TEST(Recovery, NothingLeftBehindIsLostUnseen) {
  QTemporaryDir state, files;
  const QString path = files.filePath("wing.euptera");
  leaveBehind(path, "As saved");
  leaveBehind(state.filePath("untitled-1.autosave"), "First crash");
  leaveBehind(Autosave::pathFor(path), "Beside the file");
  for (int start = 0; start < 2; ++start) { // again and again
    MainWindow window(state.path());
    window.askBy(std::make_unique<test::Answers>());
    window.show();
    ASSERT_TRUE(window.openFile(path)) << "with a file named at the start";
    EXPECT_TRUE(window.message().contains("not saved")) << window.message().toStdString();
    EXPECT_TRUE(window.message().contains("kept")) << "the untitled one is told too";
    Design d = window.document().design();
    d.name = "Edited " + std::to_string(start);
    window.document().edit("x", d);
    window.autosave().keep();
    EXPECT_TRUE(window.saveTo(path));
    window.newWing();
    EXPECT_EQ(window.autosave().kept().all().size(), 2u);
  }
  leaveBehind(state.filePath("untitled-1.autosave"), "Second crash");
  leaveBehind(state.filePath("untitled-2.autosave"), "Another window's");
  QFile broken(state.filePath("untitled-3.autosave"));
  ASSERT_TRUE(broken.open(QIODevice::WriteOnly));
  broken.write(R"({"format": "euptera-wing", "version": 99})");
  broken.close();
  MainWindow window(state.path());
  auto answers = std::make_unique<test::Answers>();
  answers->unsaved = Asking::Unsaved::discard;
  window.askBy(std::move(answers));
  window.show();
  window.offerRecovery();
  EXPECT_TRUE(window.message().contains("cannot be read")) << "told, and kept";
  ASSERT_EQ(window.autosave().kept().all().size(), 5u);
  std::set<QString> names;
  for (const KeptState& s : window.autosave().kept().all()) names.insert(s.name);
  EXPECT_TRUE(names.contains("First crash") && names.contains("Second crash") && names.contains("Beside the file"));
  // One of another file is opened as that file's, not yet saved; then it is in this program's care.
  for (const KeptState& s : window.autosave().kept().all())
    if (s.name == "Beside the file") window.takeBack(s);
  EXPECT_EQ(window.document().path(), path);
  EXPECT_EQ(window.document().design().name, "Beside the file");
  EXPECT_TRUE(window.document().modified());
  EXPECT_TRUE(QFile::exists(Autosave::pathFor(path)));
  EXPECT_EQ(window.autosave().kept().all().size(), 4u);
  // And the dialog throws away what it is told to.
  KeptDialog dialog(window.autosave().kept());
  dialog.show();
  auto* list = dialog.findChild<QListWidget*>("keptStates");
  ASSERT_EQ(list->count(), 4);
  for (int i = 0; i < 4; ++i) {
    list->setCurrentRow(i);
    const bool readable = !list->item(i)->text().contains("cannot be read");
    EXPECT_EQ(dialog.findChild<QPushButton*>("takeKept")->isEnabled(), readable);
  }
  QTest::mouseClick(dialog.findChild<QPushButton*>("dropKept"), Qt::LeftButton);
  EXPECT_EQ(window.autosave().kept().all().size(), 3u);
}

TEST_F(Keeping, AFileWrittenMeanwhileIsNotReplacedUnasked) {
  QTemporaryDir dir;
  const QString path = dir.filePath("wing.euptera"), other = dir.filePath("wing-2.euptera");
  ASSERT_TRUE(window->saveTo(path));
  const auto saves = [&] {
    window->findChild<QAction*>("action save")->trigger();
    return !window->document().modified();
  };
  const auto edit = [&](const char* chord) {
    stage(3);
    type("panel.rootChord", chord);
  };
  edit("250");
  leaveBehind(path, "Another program's");
  auto* answers = new Answers;
  window->askBy(std::unique_ptr<Asking>(answers));
  answers->changed = Asking::Changed::cancel;
  EXPECT_FALSE(saves());
  EXPECT_TRUE(QFile(path).open(QIODevice::ReadOnly));
  EXPECT_EQ(designFromText(readTextFile(path.toStdString()).value()).value().design.name, "Another program's");
  answers->changed = Asking::Changed::both;
  EXPECT_TRUE(saves());
  EXPECT_EQ(window->document().path(), other);
  EXPECT_EQ(designFromText(readTextFile(path.toStdString()).value()).value().design.name, "Another program's");
  EXPECT_DOUBLE_EQ(designFromText(readTextFile(other.toStdString()).value()).value().design.inner().panel.rootChord,
                   250);
  edit("251");
  EXPECT_TRUE(saves()) << "nobody else wrote this one";
  EXPECT_EQ(answers->asked, 2);
  edit("252");
  leaveBehind(other, "Again");
  answers->changed = Asking::Changed::replace;
  EXPECT_TRUE(saves());
  EXPECT_DOUBLE_EQ(designFromText(readTextFile(other.toStdString()).value()).value().design.inner().panel.rootChord,
                   252);
}

TEST_F(Keeping, SavingAsWithoutAnEndingAsksBeforeItReplaces) {
  QTemporaryDir dir;
  const QString there = dir.filePath("wing.euptera");
  leaveBehind(there, "There already");
  auto* answers = new Answers;
  window->askBy(std::unique_ptr<Asking>(answers));
  answers->write = dir.filePath("wing");
  answers->replace = false;
  window->findChild<QAction*>("action saveAs")->trigger();
  EXPECT_EQ(answers->replaced, QStringList{there});
  EXPECT_EQ(designFromText(readTextFile(there.toStdString()).value()).value().design.name, "There already");
  answers->replace = true;
  window->findChild<QAction*>("action saveAs")->trigger();
  EXPECT_EQ(designFromText(readTextFile(there.toStdString()).value()).value().design.name, "Fenlark 1500");
  // A file that is marked read-only is not replaced by a trick with its folder.
  ASSERT_TRUE(QFile::setPermissions(there, QFile::ReadOwner | QFile::ReadGroup));
  stage(3);
  type("panel.rootChord", "250");
  window->findChild<QAction*>("action save")->trigger();
  EXPECT_TRUE(window->document().modified());
  EXPECT_TRUE(window->message().contains("read-only")) << window->message().toStdString();
}

TEST_F(Keeping, WhatCannotBeReadAgainIsRefusedWithItsReason) {
  Design d = design();
  d.inner().panel.span = 30000;
  const Design before = design();
  EXPECT_FALSE(window->document().edit("Stretch it", d));
  EXPECT_EQ(design(), before);
  EXPECT_TRUE(window->message().contains("Stretch it was not done")) << window->message().toStdString();
  EXPECT_TRUE(window->message().contains("20000")) << window->message().toStdString();
  // What is added to a short panel is no shorter than a panel can be.
  d = before;
  d.inner().panel.span = 40;
  ASSERT_TRUE(window->document().edit("Shorten it", d));
  for (const WingKind kind : {WingKind::fin, WingKind::tailplane}) {
    const auto more = withWingAdded(design(), kind);
    ASSERT_TRUE(more.ok());
    EXPECT_TRUE(window->document().edit("Add it", more.value())) << window->message().toStdString();
  }
}

} // namespace
} // namespace eup::app::test
