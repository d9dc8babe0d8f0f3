// A simulated device that ships with the program, started beside it: it prints the port that it speaks on.
#pragma once
#include <QObject>
#include <QStringList>

class QProcess;

namespace eup::app {

class SimulatedDevice : public QObject {
  Q_OBJECT
public:
  explicit SimulatedDevice(QObject* parent = nullptr) : QObject(parent) {}
  ~SimulatedDevice() override;
  /// In place of one that runs.
  void start(const QString& program, const QStringList& arguments);
  bool runs() const { return process != nullptr; }

Q_SIGNALS:
  void ready(const QString& port);
  void ended(); ///< by itself, or it could not be started

private:
  void drop();
  QProcess* process = nullptr;
};

} // namespace eup::app
