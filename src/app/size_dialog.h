// Size a spar: reserve, stock and woods in, the lightest spars out, one to be taken.
#pragma once
#include "core/work/sizing.h"
#include <QDialog>

class QCheckBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QTableWidget;

namespace eup::app {

class SizeDialog : public QDialog {
  Q_OBJECT
public:
  SizeDialog(const TruePanel& panel, const std::vector<LoadCase>& loads, int spar, QWidget* parent = nullptr);
  /// The size that was chosen; null without one.
  const SparSize* chosen() const;

private:
  void search();
  const TruePanel& panel;
  const std::vector<LoadCase>& loads;
  SizingOrder order;
  std::vector<SparSize> sizes;
  QLineEdit *reserve = nullptr, *stock = nullptr;
  QListWidget* woods = nullptr;
  QCheckBox* taper = nullptr;
  QCheckBox* stepped = nullptr;
  QLabel* said = nullptr;
  QTableWidget* table = nullptr;
  QAbstractButton* take = nullptr;
};

} // namespace eup::app
