// What goes to the bench: which drawings' formats, hands and paper, and where to.
#pragma once
#include "app/asking.h"
#include "app/snapshot.h"
#include "core/work/take_away.h"
#include <QDialog>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace eup::app {

class ExportDialog : public QDialog {
  Q_OBJECT
public:
  /// Of a snapshot whose wing is current.
  ExportDialog(Snapshot snapshot, const QString& folder, Asking& asking, QWidget* parent = nullptr);
  QString folder() const;
  ExportOrder order() const;

private:
  void refresh();
  Snapshot kept;
  const TrueWing& wing;
  Asking& asking;
  QCheckBox *pdf, *svg, *dxf, *right, *left;
  QComboBox* paper;
  QLineEdit* path;
  QLabel* summary;
  QPushButton* write;
};

} // namespace eup::app
