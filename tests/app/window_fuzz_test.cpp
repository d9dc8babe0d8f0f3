// Whatever is pressed, typed, dragged and chosen in the window, in any order: the program goes on, and the design can
// be saved and read again. A fixed number here; EUPTERA_FUZZ=800 for twenty thousand deeds, EUPTERA_FUZZ_FROM another
// seed.
#include "chance.h"
#include "core/described/design_file.h"
#include "core/described/limits_check.h"
#include "core/files/shipped.h"
#include "driver.h"
#include "places.h"

namespace eup::app::test {
namespace {

using eup::test::asked;
using eup::test::Chance;

constexpr int deedsOfASeed = 25;

class WindowFuzz : public WindowTest {
protected:
  WindowFuzz() {
    auto own = std::make_unique<Answers>();
    answers = own.get();
    window->askBy(std::move(own));
    answers->folder = out.path();
    QDir::setCurrent(out.path()); // a folder that is typed without its place
    QObject::connect(&closer, &QTimer::timeout, window.get(), [this] { meetDialog(); });
    closer.start(40);
  }

  ~WindowFuzz() override { QDir::setCurrent(before); } // the folder goes with this test

  template <class T> T* any(Chance& chance, const std::function<bool(const T&)>& fits = {}) const {
    QList<T*> all;
    for (T* one : window->findChildren<T*>())
      if (one->isVisible() && one->isEnabled() && (!fits || fits(*one))) all += one;
    return all.isEmpty() ? nullptr : all[chance.number(static_cast<int>(all.size()))];
  }
  static QString anyText(Chance& chance) {
    static const QStringList odd{"",    "0",     "-1",     "1/0", "nan",   "1e99",      "3/32",  "2' 6 1/2\"", "999999",
                                 "4,5", "24012", "a\\\"ü", "⅜",   "5;9;5", "1 2 3 4 5", "1e-12", "2412",       "\t"};
    return chance.once(2) ? odd[chance.number(static_cast<int>(odd.size()))]
                          : QString::number(chance.share() * std::pow(10, chance.number(5)), 'g', 5);
  }

  void doSomething(Chance& chance) {
    answers->write = out.filePath(QString("w%1.euptera").arg(chance.number(3)));
    // A copy: what is opened may be saved again.
    const std::string old = "version" + std::to_string(1 + chance.number(eup::fileFormatVersion - 1)) + ".euptera";
    answers->open = out.filePath(QString::fromStdString(old));
    if (!QFile::exists(answers->open)) QFile::copy(QString::fromStdString(eup::test::testFile(old)), answers->open);
    answers->unsaved = chance.once(2) ? Asking::Unsaved::discard : Asking::Unsaved::save;
    answers->changed = static_cast<Asking::Changed>(chance.number(3));
    dialogs = Chance(static_cast<unsigned>(chance.number(1 << 30)));
    switch (chance.number(9)) {
    case 0: { // a menu's entry
      QList<QAction*> all;
      for (QAction* a : window->findChildren<QAction*>())
        if (a->objectName().startsWith("action ") && a->isEnabled() && a->objectName() != "action quit") all += a;
      QAction* one = all[chance.number(static_cast<int>(all.size()))];
      told += one->objectName();
      return one->trigger();
    }
    case 1:
    case 2:
      if (auto* one = any<QAbstractButton>(chance)) {
        told += one->objectName();
        QTest::mouseClick(one, Qt::LeftButton);
      }
      return;
    case 3:
    case 4:
      if (auto* one = any<QLineEdit>(chance, [](const QLineEdit& e) { return !e.isReadOnly(); })) {
        const QString text = anyText(chance);
        told += one->objectName() + "=" + text;
        one->setFocus();
        one->setText(text);
        Q_EMIT one->textEdited(text);
        QTest::keyClick(one, chance.once(4) ? Qt::Key_Up : Qt::Key_Return);
      }
      return;
    case 5:
      if (auto* one = any<QComboBox>(chance); one && one->count() > 0) {
        const int to = chance.number(one->count());
        told += one->objectName() + QString(" to %1").arg(to);
        one->setCurrentIndex(to);
        Q_EMIT one->activated(to);
      }
      return;
    case 6: { // the board: a handle, or anywhere
      Board* b = board();
      const auto handles = b->handlesNow();
      const QPointF from =
          !handles.empty() && chance.once(2)
              ? b->screen(handles[static_cast<std::size_t>(chance.number(static_cast<int>(handles.size())))].from)
              : QPointF(chance.share() * b->width(), chance.share() * b->height());
      const QPointF to = from + QPointF(chance.share() - 0.5, chance.share() - 0.5) * 600;
      told += QString("drag %1,%2 to %3,%4").arg(from.x()).arg(from.y()).arg(to.x()).arg(to.y());
      QTest::mousePress(b, Qt::LeftButton, {}, from.toPoint());
      QMouseEvent move(QEvent::MouseMove, to, b->mapToGlobal(to), Qt::NoButton, Qt::LeftButton, {});
      QApplication::sendEvent(b, &move);
      QTest::mouseRelease(b, chance.once(5) ? Qt::RightButton : Qt::LeftButton, {}, to.toPoint());
      return;
    }
    case 7: {
      static const QList<Qt::Key> keys{Qt::Key_Left, Qt::Key_Right,  Qt::Key_Up,  Qt::Key_Down,   Qt::Key_Home,
                                       Qt::Key_End,  Qt::Key_Escape, Qt::Key_Tab, Qt::Key_Delete, Qt::Key_Space};
      const Qt::Key key = keys[chance.number(static_cast<int>(keys.size()))];
      told += QString("key %1").arg(key);
      QWidget* at = QApplication::focusWidget() ? QApplication::focusWidget() : board();
      QTest::keyClick(at, key, chance.once(3) ? Qt::ShiftModifier : Qt::NoModifier);
      return;
    }
    default:
      for (int i = chance.number(4); i >= 0; --i)
        chance.once(3) ? window->document().redo() : window->document().undo();
      told += "undo";
    }
  }

  /// What stands in the window's way is played with a little, and then goes.
  void meetDialog() {
    if (QWidget* popup = QApplication::activePopupWidget()) popup->close();
    QWidget* modal = QApplication::activeModalWidget();
    if (!modal) return void(met = 0);
    if (++met > 4) {
      met = 0;
      modal->close();
      return;
    }
    if (auto fields = modal->findChildren<QLineEdit*>(); !fields.isEmpty() && dialogs.once(2))
      fields[dialogs.number(static_cast<int>(fields.size()))]->setText(anyText(dialogs));
    QList<QAbstractButton*> buttons;
    for (auto* b : modal->findChildren<QAbstractButton*>())
      if (b->isVisible() && b->isEnabled()) buttons += b;
    if (buttons.isEmpty()) return;
    QAbstractButton* one = buttons[dialogs.number(static_cast<int>(buttons.size()))];
    told += "in a dialog: " + one->objectName() + one->text();
    QTimer::singleShot(0, one, &QAbstractButton::click); // what it opens is met by the next look: this one must end
  }

  Answers* answers = nullptr;
  QTemporaryDir out;
  QString before = QDir::currentPath();
  QTimer closer;
  Chance dialogs{1};
  int met = 0;
  QStringList told; ///< what was done, for who has to find out
};

TEST_F(WindowFuzz, WhateverIsDoneTheDesignCanBeReadAgain) {
  const int many = asked("EUPTERA_FUZZ", 8);
  const auto first = static_cast<unsigned>(asked("EUPTERA_FUZZ_FROM", 1));
  const auto& names = shipped::demoNames();
  for (unsigned seed = first; seed < first + static_cast<unsigned>(many); ++seed) {
    Chance chance(seed);
    told = {QString("seed %1").arg(seed)};
    window->openDemo(names[static_cast<std::size_t>(chance.number(static_cast<int>(names.size())))]);
    for (int i = 0; i < deedsOfASeed; ++i) {
      if (std::getenv("EUPTERA_FUZZ_TELL")) fprintf(stderr, "%s\n", qPrintable(told.last()));
      doSomething(chance);
      for (int k = 0; k < 3; ++k) QApplication::processEvents();
      QApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
      const Design& d = design();
      ASSERT_EQ(outOfLimits(d), std::nullopt) << told.join("\n").toStdString();
      const auto read = designFromText(designToText(d));
      ASSERT_TRUE(read.ok()) << read.problem().text() << told.join("\n").toStdString();
      ASSERT_TRUE(read.value().design == d) << told.join("\n").toStdString();
      window->show(); // should a deed have closed it
    }
  }
}

} // namespace
} // namespace eup::app::test
