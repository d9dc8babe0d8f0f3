// Readings: typed, or taken from a gauge or scales that are connected; each with its place, hand, time and instrument.
#pragma once
#include "app/devices/instrument_port.h"
#include "app/devices/simulated_device.h"
#include "app/state/standpoint.h"
#include "core/design/bench_design.h"
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QTreeWidget;

namespace eup::app {

class BenchReadings : public QWidget {
  Q_OBJECT
public:
  BenchReadings(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);
  InstrumentPort& instrument() { return port; }
  /// The value in the field, or what the instrument reads while the field is empty, is recorded at the chosen rib.
  void take();
  /// What is typed and not recorded.
  QString untaken() const;

private:
  enum Column { what, where, hand_, read, doubt_, by_, at, note_ };
  void refresh();
  void showInstrument();
  void connectTo();
  void startSimulated(const QString& program);
  void remove();
  ReadKind kind() const;
  Hand hand() const;
  QWidget* makeInstrumentRow();

  Document& document;
  Standpoint& standpoint;
  InstrumentPort port;
  SimulatedDevice simulator;
  QComboBox *kinds = nullptr, *hands = nullptr, *ports = nullptr;
  QLineEdit *value = nullptr, *doubt = nullptr, *by = nullptr, *note = nullptr;
  QLabel *place = nullptr, *live = nullptr, *says = nullptr;
  QPushButton *takeButton = nullptr, *connectButton = nullptr, *holdButton = nullptr, *zeroButton = nullptr,
              *turnButton = nullptr, *removeButton = nullptr;
  QTreeWidget* list = nullptr;
};

} // namespace eup::app
