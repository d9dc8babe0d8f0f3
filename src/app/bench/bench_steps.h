// The order of work in the window: what can be done now, when the rest comes, what is ticked.
#pragma once
#include "app/state/asking.h"
#include "app/state/bench_clock.h"
#include "app/state/standpoint.h"
#include <functional>
#include <QWidget>

class QComboBox;
class QLabel;
class QLineEdit;
class QPushButton;
class QTreeWidget;
class QTreeWidgetItem;

namespace eup::app {

class BenchSteps : public QWidget {
  Q_OBJECT
public:
  BenchSteps(Document& document, Standpoint& standpoint, BenchClock& clock, std::function<Asking&()> asking,
             QWidget* parent = nullptr);
  /// What is left of the work as a calendar; the problem that was met, empty when it is there.
  QString writeCalendar(const QString& path);
  /// The key of the step that is chosen; empty where none is.
  std::string chosen() const;
  void choose(const std::string& key);

private:
  enum Which { now, all, today, open };
  enum Column { what, on, state, when, takes, cures, slack };
  void refresh();
  void showChosen();
  void fillRow(QTreeWidgetItem* row, std::size_t step, const BenchNow* now);
  std::vector<std::size_t> shownSteps(const BenchNow* now);
  void leaveOut();
  void addOwn();
  void waitFor();
  void takeCalendar();

  Document& document;
  Standpoint& standpoint;
  BenchClock& clock;
  std::function<Asking&()> asking;
  QComboBox* which = nullptr;
  QLineEdit *minutes = nullptr, *looker = nullptr;
  QTreeWidget* tree = nullptr;
  QLabel *says = nullptr, *ends = nullptr;
  QPushButton *beginButton = nullptr, *doneButton = nullptr, *lookButton = nullptr, *backButton = nullptr,
              *outButton = nullptr, *waitButton = nullptr;
  bool filling = false;
};

} // namespace eup::app
