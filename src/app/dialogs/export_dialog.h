// What goes to the bench: which drawings, of which panels and hands, as which files, on which paper; and how that
// looks.
#pragma once
#include "app/state/asking.h"
#include "app/state/background.h"
#include "app/state/snapshot.h"
#include "core/takeaway/take_away.h"
#include <map>
#include <QDialog>

class QCheckBox;
class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;

namespace eup::app {

class PagePreview;

class ExportDialog : public QDialog {
  Q_OBJECT
public:
  /// Of a snapshot whose wing is current.
  ExportDialog(Snapshot snapshot, const QString& folder, Asking& asking, QWidget* parent = nullptr);
  QString folder() const;
  std::optional<double> kerfTyped() const;
  ExportOrder order() const;
  /// Waits until pages are shown for the order as it is.
  bool settle() const { return laying.settle(); }
  int sheets() const { return counted; }

private:
  struct Laid {
    std::vector<PrintSection> sections;
    int sheets = 0;
  };
  void refresh();
  void showPages(Laid laid);
  Snapshot kept;
  const TrueWing& wing;
  Asking& asking;
  Background<Laid> laying;
  int counted = 0;
  std::map<PrintPiece, QCheckBox*> pieces;
  QCheckBox *pdf, *svg, *dxf, *right, *left, *oneDocument;
  QComboBox *paper, *panels;
  QLineEdit* path;
  QComboBox* cutter = nullptr;
  QLineEdit* kerf = nullptr;
  QLabel* summary;
  PagePreview* preview;
  QPushButton* write;
};

} // namespace eup::app
