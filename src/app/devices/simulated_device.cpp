#include "app/devices/simulated_device.h"
#include <QCoreApplication>
#include <QFileInfo>
#include <QProcess>

namespace eup::app {

SimulatedDevice::~SimulatedDevice() {
  drop();
}

void SimulatedDevice::drop() {
  if (!process) return;
  process->disconnect(this);
  process->terminate();         // it takes its port's name away
  constexpr int patience = 500; // ms
  if (!process->waitForFinished(patience)) process->kill(), process->waitForFinished(patience);
  process->deleteLater(), process = nullptr;
}

void SimulatedDevice::start(const QString& program, const QStringList& arguments) {
  drop();
  const QString beside = QCoreApplication::applicationDirPath() + "/" + program;
  process = new QProcess(this);
  process->setProgram(QFileInfo::exists(beside) ? beside : program);
  process->setArguments(arguments);
  connect(process, &QProcess::readyReadStandardOutput, this, [this] {
    const QString port = QString::fromLocal8Bit(process->readAllStandardOutput()).section('\n', 0, 0).trimmed();
    if (!port.isEmpty()) Q_EMIT ready(port);
  });
  const auto over = [this] {
    if (!process) return;
    process->deleteLater(), process = nullptr;
    Q_EMIT ended();
  };
  connect(process, &QProcess::errorOccurred, this, over);
  connect(process, &QProcess::finished, this, over);
  process->start();
}

} // namespace eup::app
