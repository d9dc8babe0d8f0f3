// Work that takes longer than an eye's blink, on a thread of its own: the newest order wins, it tells how far it is,
// and it can be stopped. What it needs it holds itself (a `Snapshot`), so the window goes on meanwhile.
#pragma once
#include "core/measure/progress.h"
#include <functional>
#include <QCoreApplication>
#include <QElapsedTimer>
#include <QFutureWatcher>
#include <QPromise>
#include <QtConcurrent>

namespace eup::app {

template <class Answer> class Background {
public:
  using Work = std::function<Answer(const Progress&)>;

  Background() = default;
  Background(const Background&) = delete;
  Background& operator=(const Background&) = delete;
  ~Background() { stop(); }

  /// `told` is called on the window's thread with 0 to 100, `done` with the answer, unless it was stopped or there was
  /// a newer order meanwhile. `work` may end early, with anything, once its progress says no.
  void start(Work work, std::function<void(int)> told, std::function<void(Answer)> done) {
    stop();
    watcher = std::make_unique<QFutureWatcher<Answer>>();
    QObject::connect(watcher.get(), &QFutureWatcherBase::progressValueChanged, watcher.get(), std::move(told));
    QObject::connect(watcher.get(), &QFutureWatcherBase::finished, watcher.get(), [this, done = std::move(done)] {
      busy = false;
      if (!watcher->future().isCanceled() && watcher->future().resultCount() > 0) done(watcher->future().result());
    });
    busy = true;
    watcher->setFuture(QtConcurrent::run([work = std::move(work)](QPromise<Answer>& promise) {
      promise.setProgressRange(0, 100);
      Answer answer = work([&promise](double share) {
        promise.setProgressValue(static_cast<int>(share * 100));
        return !promise.isCanceled();
      });
      if (!promise.isCanceled()) promise.addResult(std::move(answer));
    }));
  }
  /// What is under way comes to nothing.
  void stop() {
    busy = false;
    if (!watcher) return;
    watcher->disconnect();
    watcher->cancel();
    watcher.release()->deleteLater(); // it may be what is calling
  }
  bool running() const { return busy; }
  /// Waits so long for the answer, with the window alive: for tests and pictures.
  bool settle(int ms = 60000) const {
    QElapsedTimer clock;
    clock.start();
    while (running() && clock.elapsed() < ms) QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
    QCoreApplication::processEvents();
    return !running();
  }

private:
  std::unique_ptr<QFutureWatcher<Answer>> watcher;
  bool busy = false;
};

} // namespace eup::app
