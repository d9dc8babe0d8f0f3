// A window with a state folder of its own, driven as a person would: keys and the pointer.
#pragma once
#include "app/boards/board.h"
#include "app/boards/span_rule.h"
#include "app/decide/decide_panel.h"
#include "app/frame/follows_panel.h"
#include "app/frame/main_window.h"
#include "core/report/told.h"
#include <gtest/gtest.h>
#include <QtTest>
#include <QtWidgets>

namespace eup::app::test {

/// Answers in place of a person.
class Answers : public Asking {
public:
  Answers() : Asking({}) {}
  QString open, write, folder; ///< what is chosen
  Unsaved unsaved = Unsaved::cancel;
  Changed changed = Changed::cancel;
  bool replace = true;
  QStringList replaced; ///< what it was asked about
  int asked = 0;
  QString fileToOpen(QWidget*, const QString&, const QString&, const QString&) override { return ++asked, open; }
  std::pair<QString, bool> nameToWrite(QWidget*, const QString&, const QString&, const QString&, QString*) override {
    return ++asked, std::pair(write, true);
  }
  bool mayReplace(QWidget*, const QStringList& files) override { return replaced += files, replace; }
  Changed aboutChanged(QWidget*, const QString&) override { return ++asked, changed; }
  QString folderToWrite(QWidget*, const QString&, const QString&) override { return ++asked, folder; }
  Unsaved aboutUnsaved(QWidget*, const QString&) override { return ++asked, unsaved; }
  bool forget = true;
  bool mayForget(QWidget*, const QString&) override { return ++asked, forget; }
  void tell(QWidget*, const QString&, const QString&) override { ++asked; }
};

/// Whether there is a picture: ink of several colours on more than a speck of it.
inline bool isDrawn(QWidget& widget) {
  const QImage image = widget.grab().toImage().convertToFormat(QImage::Format_RGB32);
  QHash<QRgb, int> counts;
  for (int y = 0; y < image.height(); y += 2)
    for (int x = 0; x < image.width(); x += 2) ++counts[image.pixel(x, y)];
  int most = 0, all = 0;
  for (const int n : counts) most = std::max(most, n), all += n;
  return counts.size() > 12 && all - most > all / 100;
}

class WindowTest : public testing::Test {
protected:
  WindowTest() : window(std::make_unique<MainWindow>(state.path())) {
    window->askBy(std::make_unique<Answers>()); // no question stands in a test's way; one that is asked sets its own
    window->resize(1280, 800);
    window->show();
    window->openDemo();
    window->activateWindow();
    window->windowHandle()->requestActivate();
    (void)QTest::qWaitForWindowActive(window.get(), 3000);
  }

  const Design& design() const { return window->document().design(); }
  double figure(const char* key) const {
    const Figure* f = figureNamed(window->document().wing(), key);
    EXPECT_NE(f, nullptr) << key;
    return f ? f->value : 0;
  }
  template <class T> T* find(const QString& name) const {
    for (int i = 0; i < 3; ++i) QApplication::processEvents(); // what a change has built shows itself a moment later
    for (T* candidate : window->findChildren<T*>(name))
      if (candidate->isVisibleTo(window.get())) return candidate;
    ADD_FAILURE() << "no " << name.toStdString();
    return nullptr;
  }
  void press(const char* button) { QTest::mouseClick(find<QAbstractButton>(button), Qt::LeftButton); }
  void stage(int number) { QTest::mouseClick(find<QToolButton>(QString("stage%1").arg(number)), Qt::LeftButton); }
  /// Clicks a part of the open stage in the order of work: by its key, "topCap.0", or by its title.
  void part(const char* key) { QTest::mouseClick(find<QToolButton>(QString("part %1").arg(key)), Qt::LeftButton); }
  QToolButton* partTitled(const QString& title) const {
    QApplication::processEvents();
    for (QToolButton* b : window->findChildren<QToolButton*>())
      if (b->isVisibleTo(window.get()) && b->objectName().startsWith("part ") &&
          b->accessibleName().section(',', 0, 0) == title)
        return b;
    return nullptr;
  }
  void tab(const char* title) {
    QToolButton* button = partTitled(title);
    ASSERT_NE(button, nullptr) << title;
    QTest::mouseClick(button, Qt::LeftButton);
  }
  /// Puts in what a part can do without, and takes it out.
  void putIn(const char* path) { QTest::mouseClick(find<QToolButton>(QString("add %1").arg(path)), Qt::LeftButton); }
  void takeOut(const char* path) { QTest::mouseClick(find<QToolButton>(QString("out %1").arg(path)), Qt::LeftButton); }
  /// Chooses from the menu of a chip over the board: wing, panel or rib of that number.
  void goTo(const char* chip, int number) {
    QMenu* menu = find<QToolButton>(QString("chip %1").arg(chip))->menu();
    Q_EMIT menu->aboutToShow();
    for (QAction* a : menu->actions())
      if (a->objectName() == QString("%1 %2").arg(chip).arg(number)) return a->trigger();
    ADD_FAILURE() << "no " << chip << " " << number;
  }
  FollowsPanel& follows() const { return *window->findChild<FollowsPanel*>(); }
  /// The row of what follows that begins with these words, on screen; invalid for none.
  QModelIndex row(const QString& words) const {
    auto* model = follows().listView().model();
    for (int i = 0; i < model->rowCount(); ++i)
      if (model->index(i, 0).data().toString().startsWith(words)) return model->index(i, 0);
    return {};
  }
  void clickRow(const QString& words) {
    const QModelIndex at = row(words);
    ASSERT_TRUE(at.isValid()) << words.toStdString();
    QListView& list = follows().listView();
    list.scrollTo(at);
    QTest::mouseClick(list.viewport(), Qt::LeftButton, {}, list.visualRect(at).center());
  }
  Board* board() const { return window->board(window->standpoint().stage()); }

  /// Clicks into a field, replaces what it holds, presses Enter.
  void type(const char* path, const char* text) {
    auto* edit = find<QLineEdit>(path);
    ASSERT_NE(edit, nullptr);
    QTest::mouseClick(edit, Qt::LeftButton);
    edit->selectAll();
    if (*text)
      QTest::keyClicks(edit, QString::fromUtf8(text));
    else
      QTest::keyClick(edit, Qt::Key_Delete);
    QTest::keyClick(edit, Qt::Key_Return);
  }
  QString shown(const char* path) const { return find<QLineEdit>(path)->text(); }
  void choose(const char* path, const char* key) {
    auto* combo = find<QComboBox>(path);
    ASSERT_NE(combo, nullptr);
    combo->setFocus();
    const int want = combo->findData(key);
    ASSERT_GE(want, 0) << key;
    while (combo->currentIndex() < want) QTest::keyClick(combo, Qt::Key_Down);
    while (combo->currentIndex() > want) QTest::keyClick(combo, Qt::Key_Up);
  }
  QString problem() const {
    for (QLabel* l : window->findChildren<QLabel*>("problem"))
      if (l->isVisible() && !l->text().isEmpty() && l->wordWrap()) return l->text();
    return {};
  }

  /// Presses the button and hands the dialog that it opens to `use`; what is left open then is refused.
  template <class Dialog, class Use> void with(const char* button, Use use) {
    bool seen = false;
    auto* opens = find<QAbstractButton>(button);
    ASSERT_NE(opens, nullptr);
    QTimer::singleShot(100, window.get(), [&] {
      if (QWidget* any = QApplication::activeModalWidget(); any && !qobject_cast<Dialog*>(any)) any->close();
      auto* dialog = qobject_cast<Dialog*>(QApplication::activeModalWidget());
      ASSERT_NE(dialog, nullptr);
      seen = true;
      use(*dialog); // an assertion that fails in it returns here
      if (dialog->isVisible()) dialog->reject();
    });
    QTest::mouseClick(opens, Qt::LeftButton);
    EXPECT_TRUE(seen);
  }

  /// Presses on a handle, moves in steps, lets go.
  void drag(const char* handle, QPointF by) {
    QApplication::processEvents();
    for (const Handle& h : board()->handlesNow()) {
      if (h.name != handle) continue;
      const QPoint from = board()->screen((h.from + h.to) / 2).toPoint();
      QTest::mouseMove(board(), from);
      QTest::mousePress(board(), Qt::LeftButton, {}, from);
      for (int i = 1; i <= 4; ++i) {
        const QPointF to = from + by * i / 4.0;
        QMouseEvent move(QEvent::MouseMove, to, board()->mapToGlobal(to), Qt::NoButton, Qt::LeftButton, {});
        QApplication::sendEvent(board(), &move);
      }
      QTest::mouseRelease(board(), Qt::LeftButton, {}, (from + by).toPoint());
      return;
    }
    ADD_FAILURE() << "no handle " << handle;
  }

  QTemporaryDir state;
  std::unique_ptr<MainWindow> window;
};

} // namespace eup::app::test
