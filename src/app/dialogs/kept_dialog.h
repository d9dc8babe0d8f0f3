// The states that were kept when a program ended, to be taken back or thrown away one by one.
#pragma once
#include "app/state/kept_states.h"
#include <optional>
#include <QDialog>

class QListWidget;
class QPushButton;

namespace eup::app {

class KeptDialog : public QDialog {
  Q_OBJECT
public:
  explicit KeptDialog(const KeptStates& states, QWidget* parent = nullptr);
  /// The one to take back; nothing when the dialog was closed.
  const std::optional<KeptState>& taken() const { return chosen; }

private:
  void fill();
  const KeptStates& kept;
  std::vector<KeptState> all;
  std::optional<KeptState> chosen;
  QListWidget* list = nullptr;
  QPushButton *take = nullptr, *drop = nullptr;
};

} // namespace eup::app
