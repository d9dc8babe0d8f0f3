// Ways to stiffen a panel, side by side: twist, how many times stiffer, grams; one of them can be taken.
#pragma once
#include "app/state/background.h"
#include "app/state/snapshot.h"
#include "core/trials/stiffening.h"
#include <QDialog>

class QAbstractButton;
class QLabel;
class QProgressBar;
class QTableWidget;

namespace eup::app {

class StiffenDialog : public QDialog {
  Q_OBJECT
public:
  /// Of a snapshot whose wing is current.
  StiffenDialog(Snapshot snapshot, PanelId panel, QWidget* parent = nullptr);
  /// The way that was taken; nothing for “as decided”.
  const StiffeningTrial* chosen() const;
  /// Waits for the trials.
  bool settle() const { return trying.settle(); }

private:
  void showWays(std::vector<StiffeningTrial> found);
  std::vector<StiffeningTrial> trials;
  Background<std::vector<StiffeningTrial>> trying;
  QLabel* words;
  QProgressBar* progress;
  QTableWidget* table;
  QAbstractButton* take;
};

} // namespace eup::app
