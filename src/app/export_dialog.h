// What goes to the bench: which drawings' formats, hands and paper, and where to.
#pragma once
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
  ExportDialog(const TrueWing& wing, const QString& folder, QWidget* parent = nullptr);
  QString folder() const;
  ExportOrder order() const;

private:
  void refresh();
  const TrueWing& wing;
  QCheckBox *pdf, *svg, *dxf, *right, *left;
  QComboBox* paper;
  QLineEdit* path;
  QLabel* summary;
  QPushButton* write;
};

} // namespace eup::app
