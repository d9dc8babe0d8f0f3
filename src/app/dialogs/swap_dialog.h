// Swap a cap's wood: every other wood with the size that it needs, and what that costs.
#pragma once
#include "app/state/snapshot.h"
#include "core/trials/swap_wood.h"
#include <QDialog>

class QComboBox;
class QTableWidget;

namespace eup::app {

class SwapDialog : public QDialog {
  Q_OBJECT
public:
  /// Of a snapshot whose wing is current.
  SwapDialog(Snapshot snapshot, PanelId panel, int spar, QWidget* parent = nullptr);
  /// The spar with the swap that was chosen; nothing without one.
  std::optional<Spar> chosen() const;

private:
  void fill();
  Face face() const;
  Snapshot kept;
  const TruePanel& panel;
  const std::vector<LoadCase>& loads;
  int spar;
  std::vector<WoodSwap> swaps;
  QComboBox *cap = nullptr, *keeps = nullptr, *by = nullptr;
  QTableWidget* table = nullptr;
  QAbstractButton* take = nullptr;
};

} // namespace eup::app
