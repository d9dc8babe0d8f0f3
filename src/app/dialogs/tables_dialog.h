// The tables that materials, coverings, glues and load factors are chosen from: the shipped rows with their sources,
// and the builder's own.
#pragma once
#include "app/state/asking.h"
#include "core/design/design.h"
#include <QDialog>

class QLabel;
class QPushButton;
class QTableWidget;
class QTabWidget;

namespace eup::app {

class TablesDialog : public QDialog {
  Q_OBJECT
public:
  /// Opened at that table.
  TablesDialog(const Design& design, Shelf shelf, Asking& asking, QWidget* parent = nullptr);
  /// The builder's own rows as they now are.
  const Tables& own() const { return rows; }

private:
  Asking& asking;
  QTableWidget* makeTable(Shelf shelf);
  void fill(Shelf shelf, int select = -1);
  void fillAll();
  void typed(Shelf shelf, int row, int column);
  void copyRow();
  void dropRow();
  void bendTest();
  void readRows();
  void writeRows();
  void follow();
  Shelf shelf() const;
  QTableWidget* table(Shelf shelf) const { return tables[static_cast<std::size_t>(shelf)]; }
  /// Which of the own rows is chosen; below 0 for a shipped one.
  int chosenOwn() const;

  const Design& design;
  Tables rows;
  QTabWidget* tabs;
  std::array<QTableWidget*, shelves.size()> tables{};
  QLabel* said;
  QPushButton *copy = nullptr, *drop = nullptr, *bend = nullptr;
  bool filling = false;
};

} // namespace eup::app
