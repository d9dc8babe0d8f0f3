// How long after an event a change is painted: a drag of a hundred steps posted to the real window, and steps from rib
// to rib. Not a test: it prints medians and 95 of 100, for docs/performance.md.
#include "app/boards/board.h"
#include "app/frame/main_window.h"
#include "app/look/look.h"
#include <algorithm>
#include <cstdio>
#include <QApplication>
#include <QElapsedTimer>
#include <QMouseEvent>
#include <QTemporaryDir>

using namespace eup;
using namespace eup::app;

namespace {

struct Times {
  std::vector<double> ms;
  double at(double share) const {
    if (ms.empty()) return 0;
    std::vector<double> sorted = ms;
    std::sort(sorted.begin(), sorted.end());
    return sorted[std::min(sorted.size() - 1, static_cast<std::size_t>(share * static_cast<double>(sorted.size())))];
  }
};

/// Until the event has been taken and all that it changed is laid out and painted.
double painted(const std::function<void()>& event) {
  QElapsedTimer clock;
  clock.start();
  event();
  QApplication::processEvents();
  QApplication::processEvents(); // what was built anew shows itself in the second round
  return static_cast<double>(clock.nsecsElapsed()) / 1e6;
}

void print(const char* demo, const char* what, const Times& times) {
  std::printf("%-16s %-28s median %6.1f ms   95 %% under %6.1f ms\n", demo, what, times.at(0.5), times.at(0.95));
}

void drag(MainWindow& window, const char* demo, Stage stage) {
  window.standpoint().setStage(stage);
  Board* board = window.board(stage);
  board->fit();
  QApplication::processEvents();
  const auto handles = board->handlesNow();
  if (handles.empty()) return;
  const QPointF from = board->screen((handles.front().from + handles.front().to) / 2);
  const auto send = [&](QEvent::Type type, QPointF at, Qt::MouseButton button, Qt::MouseButtons held) {
    QMouseEvent e(type, at, board->mapToGlobal(at), button, held, {});
    QApplication::sendEvent(board, &e);
  };
  send(QEvent::MouseButtonPress, from, Qt::LeftButton, Qt::LeftButton);
  Times times;
  for (int i = 1; i <= 100; ++i) {
    const QPointF to = from + QPointF(0.05 * i, i % 2 ? 3 : -3);
    times.ms.push_back(painted([&] { send(QEvent::MouseMove, to, Qt::NoButton, Qt::LeftButton); }));
  }
  send(QEvent::MouseButtonRelease, from, Qt::LeftButton, Qt::NoButton);
  print(demo, (std::string("drag, ") + name(stage)).c_str(), times);
  while (window.document().canUndo()) window.document().undo();
}

void steps(MainWindow& window, const char* demo, Stage stage) {
  window.standpoint().setStage(stage);
  QApplication::processEvents();
  Times times;
  for (int i = 0; i < 60; ++i) times.ms.push_back(painted([&] { window.standpoint().setRib(1 + i % 12); }));
  print(demo, (std::string("next rib, ") + name(stage)).c_str(), times);
}

} // namespace

int main(int argc, char** argv) {
  QApplication app(argc, argv);
  QApplication::setStyle("Fusion");
  loadShippedFonts();
  const QTemporaryDir state;
  MainWindow window(state.path());
  window.resize(1280, 800);
  window.show();
  for (const char* demo : {"fenlark-1500", "tarnbrook-2000", "oldacre-1320"}) {
    window.openDemo(demo);
    for (const Stage stage : {Stage::sections, Stage::panels, Stage::ribs, Stage::spars, Stage::joins})
      drag(window, demo, stage);
    for (const Stage stage : {Stage::ribs, Stage::spars, Stage::joins}) steps(window, demo, stage);
  }
  return 0;
}
