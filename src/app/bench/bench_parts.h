// The parts list on the bench: what of it is counted, cut and fitted, right and left apart, and what is missing.
#pragma once
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include <QWidget>

class QLabel;
class QSpinBox;
class QTreeWidget;
class QTreeWidgetItem;

namespace eup::app {

class BenchParts : public QWidget {
  Q_OBJECT
public:
  enum Column { piece, count, countedRight, countedLeft, cutRight, cutLeft, fittedRight, fittedLeft, missing };
  BenchParts(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);
  /// What a kit was found short of, a line a piece; empty where nothing is missing.
  QString shortList() const;

private:
  void refresh();
  void tick(QTreeWidgetItem* item, int column);
  void showChosen();
  Document& document;
  Standpoint& standpoint;
  QTreeWidget* tree = nullptr;
  QLabel* says = nullptr;
  QSpinBox *missingRight = nullptr, *missingLeft = nullptr;
  bool filling = false;
};

} // namespace eup::app
