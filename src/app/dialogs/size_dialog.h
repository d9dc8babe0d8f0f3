// Size a spar: reserve, stock and woods in, the lightest spars out, one to be taken.
#pragma once
#include "app/state/background.h"
#include "app/state/snapshot.h"
#include "core/trials/sizing.h"
#include <QDialog>

class QAbstractButton;
class QCheckBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QProgressBar;
class QTableWidget;

namespace eup::app {

class SizeDialog : public QDialog {
  Q_OBJECT
public:
  /// Of a snapshot whose wing is current.
  SizeDialog(Snapshot snapshot, PanelId panel, int spar, QWidget* parent = nullptr);
  /// The size that was chosen; null without one.
  const SparSize* chosen() const;
  /// Waits for the search that is under way.
  bool settle() const { return searching.settle(); }

private:
  struct Found {
    std::vector<SparSize> sizes;
    double grams = 0, reserve = 0; ///< as decided
  };
  void search();
  void showSizes(Found found);
  Snapshot kept;
  PanelId id;
  const TruePanel& panel;
  Background<Found> searching;
  SizingOrder order;
  bool asked = false; ///< once at least
  std::vector<SparSize> sizes;
  QLineEdit *reserve = nullptr, *stock = nullptr;
  QListWidget* woods = nullptr;
  QCheckBox* taper = nullptr;
  QCheckBox* stepped = nullptr;
  QLabel* said = nullptr;
  QProgressBar* progress = nullptr;
  QTableWidget* table = nullptr;
  QAbstractButton* take = nullptr;
};

} // namespace eup::app
