// A window with a state folder of its own, driven as a person would: keys and the pointer.
#pragma once
#include "app/board.h"
#include "app/decide_panel.h"
#include "app/follows_panel.h"
#include "app/main_window.h"
#include "app/span_rule.h"
#include <gtest/gtest.h>
#include <QtTest>
#include <QtWidgets>

namespace eup::app::test {

class WindowTest : public testing::Test {
protected:
  WindowTest() : window(std::make_unique<MainWindow>(state.path())) {
    window->resize(1280, 800);
    window->show();
    window->openDemo();
    window->activateWindow();
    window->windowHandle()->requestActivate();
    (void)QTest::qWaitForWindowActive(window.get(), 3000);
  }

  const Design& design() const { return window->document().design(); }
  double figure(const char* key) const {
    const Figure* f = window->document().wing().figure(key);
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
  void tab(const char* name) { QTest::mouseClick(find<QToolButton>(QString("tab %1").arg(name)), Qt::LeftButton); }
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
      auto* dialog = qobject_cast<Dialog*>(QApplication::activeModalWidget());
      ASSERT_NE(dialog, nullptr);
      seen = true;
      use(*dialog);
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
