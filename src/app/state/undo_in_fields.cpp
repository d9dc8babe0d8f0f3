#include "app/state/undo_in_fields.h"
#include <QApplication>
#include <QKeyEvent>
#include <QLineEdit>
#include <QTimer>

namespace eup::app {

UndoInFields::UndoInFields(QObject* parent) : QObject(parent) {
  qApp->installEventFilter(this);
}

bool UndoInFields::eventFilter(QObject* watched, QEvent* event) {
  const QEvent::Type type = event->type();
  if (type != QEvent::ShortcutOverride && type != QEvent::KeyPress) return false;
  auto* field = qobject_cast<QLineEdit*>(watched);
  if (!field) return false;
  auto* key = static_cast<QKeyEvent*>(event);
  if (type == QEvent::KeyPress) { // entered: from here on nothing is being typed
    if (key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter)
      QTimer::singleShot(0, field, [field] { field->setModified(false); });
    return false;
  }
  if ((!key->matches(QKeySequence::Undo) && !key->matches(QKeySequence::Redo)) || field->isModified()) return false;
  event->ignore(); // so that it is the window's
  return true;
}

} // namespace eup::app
