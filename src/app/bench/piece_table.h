// The parts list in the window: every piece of the wings, gathered by panel, by stock or by hand.
#pragma once
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QTreeWidget;
class QTreeWidgetItem;

namespace eup::app {

class PieceTable : public QWidget {
  Q_OBJECT
public:
  PieceTable(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);

private:
  enum class By { panel, stock, hand };
  void refresh();
  void markChosen();
  void showWeights();
  void weigh(Hand hand, const QString& text);
  const Part* chosen() const;
  Document& document;
  Standpoint& standpoint;
  QComboBox* by = nullptr;
  QTreeWidget* tree = nullptr;
  QLineEdit *right = nullptr, *left = nullptr; ///< what the scales say of the chosen piece
  QLabel *leftWords = nullptr, *said = nullptr;
  bool filling = false;
};

} // namespace eup::app
