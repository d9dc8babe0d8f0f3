// A reading instrument on a serial port: what it says, ten times a second.
#pragma once
#include "core/exchange/instrument_link.h"
#include <QElapsedTimer>
#include <QObject>
#include <QTimer>

class QSerialPort;

namespace eup::app {

class InstrumentPort : public QObject {
  Q_OBJECT
public:
  explicit InstrumentPort(QObject* parent = nullptr);
  void open(const QString& port);
  void close();
  const InstrumentStatus& status() const { return link.status(); }
  InstrumentLink& instrument() { return link; }
  /// Whether a port is open, or is tried.
  bool isOpen() const { return port != nullptr; }

Q_SIGNALS:
  void told();

private:
  void live();
  double now() const { return static_cast<double>(clock.elapsed()) / 1000; }
  InstrumentLink link;
  QElapsedTimer clock;
  QTimer timer;
  QSerialPort* port = nullptr;
};

} // namespace eup::app
