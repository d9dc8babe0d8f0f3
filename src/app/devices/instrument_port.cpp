#include "app/devices/instrument_port.h"
#include <QSerialPort>

namespace eup::app {

InstrumentPort::InstrumentPort(QObject* parent) : QObject(parent) {
  clock.start();
  connect(&timer, &QTimer::timeout, this, &InstrumentPort::live);
  constexpr int every = 100; // ms
  timer.setInterval(every);
}

void InstrumentPort::open(const QString& name) {
  close();
  port = new QSerialPort(name, this);
  port->setBaudRate(QSerialPort::Baud9600);
  link.greet(now());
  if (!port->open(QIODevice::ReadWrite))
    link.lose((port->error() == QSerialPort::PermissionError || port->error() == QSerialPort::OpenError
                   ? tr("the port %1 cannot be opened: another window or program has it, or it may not be used (%2)")
                         .arg(name, port->errorString())
                   : tr("the port %1 cannot be opened: %2").arg(name, port->errorString()))
                  .toStdString());
  connect(port, &QSerialPort::readyRead, this, [this] {
    const QByteArray bytes = port->readAll();
    link.hear({bytes.constData(), static_cast<std::size_t>(bytes.size())}, now());
  });
  connect(port, &QSerialPort::errorOccurred, this, [this](QSerialPort::SerialPortError error) {
    if (error == QSerialPort::NoError || error == QSerialPort::TimeoutError) return;
    link.lose(tr("the port is gone: %1").arg(port->errorString()).toStdString());
  });
  timer.start();
  live();
}

void InstrumentPort::close() {
  timer.stop();
  if (port) port->disconnect(this), port->close(), port->deleteLater(), port = nullptr;
  link = InstrumentLink();
  Q_EMIT told();
}

void InstrumentPort::live() {
  const std::string out = link.live(now());
  if (port && port->isOpen() && !out.empty()) port->write(out.data(), static_cast<qint64>(out.size()));
  Q_EMIT told();
}

} // namespace eup::app
