// The pages of the building under its board: order of work, parts, readings, log; and the helpers.
#pragma once
#include "app/state/asking.h"
#include "app/state/bench_clock.h"
#include "app/state/standpoint.h"
#include <functional>
#include <QWidget>

class QTabWidget;

namespace eup::app {

class BenchLog;
class BenchParts;
class BenchReadings;
class BenchSteps;
class BenchView;

class BenchPanel : public QWidget {
  Q_OBJECT
public:
  enum class Page { steps, parts, readings, log };
  BenchPanel(Document& document, Standpoint& standpoint, std::function<Asking&()> asking, QWidget* parent = nullptr);
  void turnTo(Page page);
  BenchClock& clock() { return theClock; }
  BenchReadings& readings() { return *readingsPage; }
  BenchLog& log() { return *logPage; }
  BenchSteps& steps() { return *stepsPage; }
  void openView();
  void openMix();
  /// What was forgotten, before a panel is covered or closed: open gates, what was not read, what is not fitted.
  QString everythingDone();
  /// What stands typed for a reading or a note and was not recorded; empty when nothing does.
  QString untaken() const;

private:
  Document& document;
  Standpoint& standpoint;
  BenchClock theClock;
  QTabWidget* pages = nullptr;
  BenchSteps* stepsPage = nullptr;
  BenchParts* partsPage = nullptr;
  BenchReadings* readingsPage = nullptr;
  BenchLog* logPage = nullptr;
};

} // namespace eup::app
