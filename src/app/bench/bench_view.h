// The step in hand in letters that are read at two metres, worked with one key.
#pragma once
#include "app/devices/instrument_port.h"
#include "app/state/bench_clock.h"
#include <QDialog>

class QLabel;

namespace eup::app {

class BenchView : public QDialog {
  Q_OBJECT
public:
  BenchView(Document& document, BenchClock& clock, InstrumentPort& instrument, QWidget* parent = nullptr);
  /// The key of the step that is shown; empty when nothing can be done now.
  const std::string& shown() const { return key; }
  void show(const std::string& step);

Q_SIGNALS:
  /// R was pressed: what the instrument reads is to be recorded.
  void readAsked();

protected:
  void keyPressEvent(QKeyEvent*) override;
  void resizeEvent(QResizeEvent*) override;

private:
  void next();
  void go();
  void refresh();
  Document& document;
  BenchClock& clock;
  InstrumentPort& instrument;
  std::string key;
  QLabel *what = nullptr, *on = nullptr, *look = nullptr, *figures = nullptr, *time = nullptr, *live = nullptr,
         *keys = nullptr;
  QTimer timer;
};

} // namespace eup::app
