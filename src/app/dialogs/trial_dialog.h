// The wing put together again on trial: where its ribs and its tip come to lie, as cut, and with errors put in.
#pragma once
#include "app/look/look.h"
#include "app/state/snapshot.h"
#include "core/trials/trial_assembly.h"
#include <QDialog>

class QComboBox;
class QLabel;
class QLineEdit;
class QListWidget;
class QPushButton;
class QTableWidget;

namespace eup::app {

/// The half wing from above, to scale, every rib with how far it lies off.
class TrialPicture : public QWidget {
  Q_OBJECT
public:
  TrialPicture(const WholeWing& wing, const Look& look, QWidget* parent = nullptr);
  void show(Assembly put, int rib);

protected:
  void paintEvent(QPaintEvent*) override;

private:
  const WholeWing& wing;
  const Look& look;
  Assembly assembly;
  int chosen = 1;
};

class TrialDialog : public QDialog {
  Q_OBJECT
public:
  /// Of a snapshot that has a wing.
  TrialDialog(Snapshot snapshot, int wing, const Look& look, QWidget* parent = nullptr, Hand hand = Hand::right);
  const Assembly& shown() const { return assembly; }

private:
  void offerPlaces();
  void putIn();
  void takeOut();
  void refresh();
  QString wordsOf(const AssemblyFault& fault) const;
  Snapshot kept;
  const WholeWing& wing;
  Assembly assembly;
  std::vector<AssemblyFault> faults;
  QComboBox *what = nullptr, *where = nullptr;
  QLineEdit* by = nullptr;
  QLabel *unit = nullptr, *said = nullptr, *sum = nullptr;
  QListWidget* list = nullptr;
  QPushButton* out = nullptr;
  QTableWidget* table = nullptr;
  TrialPicture* picture = nullptr;
};

} // namespace eup::app
