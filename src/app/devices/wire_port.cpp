#include "app/devices/wire_port.h"
#include <QSerialPort>
#include <QTimer>

namespace eup::app {

void WirePortWorker::open(const QString& name) {
  close();
  if (!clock.isValid()) clock.start();
  port = new QSerialPort(name, this);
  port->setBaudRate(QSerialPort::Baud115200);
  link.greet(now());
  if (!port->open(QIODevice::ReadWrite))
    link.lose(tr("the port %1 cannot be opened: %2").arg(name, port->errorString()).toStdString());
  connect(port, &QSerialPort::readyRead, this, [this] {
    const QByteArray bytes = port->readAll();
    link.hear({bytes.constData(), static_cast<std::size_t>(bytes.size())}, now());
    live();
  });
  connect(port, &QSerialPort::errorOccurred, this, [this](QSerialPort::SerialPortError error) {
    if (error == QSerialPort::NoError || error == QSerialPort::TimeoutError) return;
    link.lose(tr("the port is gone: %1").arg(port->errorString()).toStdString());
    live();
  });
  timer = new QTimer(this);
  connect(timer, &QTimer::timeout, this, &WirePortWorker::live);
  timer->start(20);
  live();
}

void WirePortWorker::close() {
  if (timer) timer->stop(), timer->deleteLater(), timer = nullptr;
  if (port) port->disconnect(this), port->close(), port->deleteLater(), port = nullptr;
  link = WireLink();
  live();
}

void WirePortWorker::order(const std::function<void(WireLink&, double)>& what) {
  what(link, now());
  live();
}

void WirePortWorker::live() {
  const std::string out = clock.isValid() ? link.live(now()) : std::string();
  if (port && port->isOpen() && !out.empty()) port->write(out.data(), static_cast<qint64>(out.size()));
  const WireStatus& status = link.status();
  if (status == last || (status.state == last.state && now() - toldAt < 0.04)) return;
  last = status;
  toldAt = clock.isValid() ? now() : 0;
  Q_EMIT told(status);
}

WirePort::WirePort(QObject* parent) : QObject(parent), worker(new WirePortWorker) {
  worker->moveToThread(&thread);
  connect(&thread, &QThread::finished, worker, &QObject::deleteLater);
  connect(worker, &WirePortWorker::told, this, [this](const WireStatus& status) {
    now = status;
    Q_EMIT told(status);
  });
  thread.start();
}

WirePort::~WirePort() {
  QMetaObject::invokeMethod(worker, &WirePortWorker::close, Qt::BlockingQueuedConnection);
  thread.quit();
  thread.wait();
}

void WirePort::order(std::function<void(WireLink&, double)> what) {
  QMetaObject::invokeMethod(worker, [w = worker, what = std::move(what)] { w->order(what); });
}

void WirePort::open(const QString& port) {
  QMetaObject::invokeMethod(worker, [w = worker, port] { w->open(port); });
}
void WirePort::close() {
  QMetaObject::invokeMethod(worker, &WirePortWorker::close);
}
void WirePort::begin(const std::string& text) {
  order([text](WireLink& link, double time) { link.begin(text, time); });
}
void WirePort::hold() {
  order([](WireLink& link, double) { link.hold(); });
}
void WirePort::resume() {
  order([](WireLink& link, double) { link.resume(); });
}
void WirePort::stop() {
  order([](WireLink& link, double) { link.stop(); });
}
void WirePort::clear() {
  order([](WireLink& link, double) { link.clear(); });
}

void WirePort::zero() {
  order([](WireLink& link, double) { link.zero(); });
}

bool WirePort::busy() const {
  return now.state == WireState::working || now.state == WireState::held || now.state == WireState::warming;
}

} // namespace eup::app
