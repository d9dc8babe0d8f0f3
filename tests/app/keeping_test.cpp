// What is open, saved or left behind by a crash is never lost unseen.
#include "app/autosave.h"
#include "app/kept_dialog.h"
#include "core/design/design_file.h"
#include "core/design/wing_edit.h"
#include "core/files/text_file.h"
#include "driver.h"
#include <csignal>
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
