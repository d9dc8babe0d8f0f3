// Ways to stiffen a panel, side by side: twist, how many times stiffer, grams; one of them can be taken.
#pragma once
#include "core/work/stiffening.h"
#include <QDialog>

class QTableWidget;

namespace eup::app {

class StiffenDialog : public QDialog {
  Q_OBJECT
public:
  explicit StiffenDialog(const TruePanel& panel, QWidget* parent = nullptr);
  /// The way that was taken; nothing for “as decided”.
  const StiffeningTrial* chosen() const;

private:
  std::vector<StiffeningTrial> trials;
  QTableWidget* table;
};

} // namespace eup::app
