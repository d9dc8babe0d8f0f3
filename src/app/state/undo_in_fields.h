// Ctrl+Z while a field has the keyboard: it takes back what is being typed there; where nothing is, what was decided.
#pragma once
#include <QObject>

namespace eup::app {

/// Watches all fields of the program while it lives.
class UndoInFields : public QObject {
  Q_OBJECT
public:
  explicit UndoInFields(QObject* parent);
  bool eventFilter(QObject* watched, QEvent* event) override;
};

} // namespace eup::app
