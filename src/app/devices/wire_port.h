// A hot wire's machine on a serial port, listened to and written to on a thread of its own.
#pragma once
#include "core/exchange/wire_link.h"
#include <memory>
#include <QElapsedTimer>
#include <QObject>
#include <QThread>

class QSerialPort;
class QTimer;

namespace eup::app {

/// Lives on the port's thread.
class WirePortWorker : public QObject {
  Q_OBJECT
public:
  void open(const QString& port);
  void close();
  void order(const std::function<void(WireLink&, double)>& what);

Q_SIGNALS:
  void told(const eup::WireStatus& status);

private:
  void live();
  double now() const { return static_cast<double>(clock.elapsed()) / 1000; }
  WireLink link;
  WireStatus last;
  QElapsedTimer clock;
  double toldAt = -1;
  QSerialPort* port = nullptr;
  QTimer* timer = nullptr;
};

/// Every call returns at once; what comes of it is told on the window's thread, at most 25 times a second.
class WirePort : public QObject {
  Q_OBJECT
public:
  explicit WirePort(QObject* parent = nullptr);
  ~WirePort() override;
  void open(const QString& port);
  void close();
  void begin(const std::string& text);
  void hold();
  void resume();
  void stop();
  void clear();
  void zero();
  const WireStatus& status() const { return now; }
  /// Whether it has to be stopped before anybody leaves.
  bool busy() const;

Q_SIGNALS:
  void told(const eup::WireStatus& status);

private:
  void order(std::function<void(WireLink&, double)> what);
  QThread thread;
  WirePortWorker* worker;
  WireStatus now;
};

} // namespace eup::app
