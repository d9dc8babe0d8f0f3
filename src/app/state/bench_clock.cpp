#include "app/state/bench_clock.h"
#include "core/bench/recording.h"
#include "core/steps/steps.h"
#include <algorithm>

namespace eup::app {

BenchClock::BenchClock(Document& d, QObject* parent) : QObject(parent), document(d) {
  connect(&document, &Document::replaced, this, [this] { curing.clear(); });
  connect(&document, &Document::changed, this, [this](Changes what) {
    if (what & (Aspect::design | Aspect::wing)) Q_EMIT changed();
  });
  connect(&timer, &QTimer::timeout, this, &BenchClock::look);
  constexpr int halfMinute = 30000;
  timer.start(halfMinute);
}

const std::vector<Step>& BenchClock::steps() {
  const auto& wing = document.now().wing;
  if (wing != madeOf) {
    madeOf = wing, madeAt.reset(), present.reset();
    made = wing ? stepsOf(*wing) : std::vector<Step>{};
  }
  return made;
}

const BenchNow* BenchClock::now() {
  (void)steps();
  const Moment at = document.clock();
  if (madeAt != at) {
    present =
        made.empty() ? std::nullopt : benchNow(made, document.design().bench, document.design().records.steps, at);
    madeAt = at;
  }
  return present ? &*present : nullptr;
}

const Step* BenchClock::step(const std::string& key) {
  const auto found = std::find_if(steps().begin(), steps().end(), [&](const Step& s) { return s.key == key; });
  return found == made.end() ? nullptr : &*found;
}

void BenchClock::look() {
  const std::set<std::string> before = curing;
  curing.clear();
  // Only a wing that is being built has cures; another's schedule is not made for nothing.
  if (document.hasWing() && !document.design().records.steps.empty())
    if (const BenchNow* n = now())
      for (std::size_t i = 0; i < made.size(); ++i)
        if (n->steps[i].state == StepState::cures) curing.insert(made[i].key);
  for (const std::string& key : before)
    if (!curing.contains(key))
      if (const Step* s = step(key); s && recordOf(document.design().records.steps, key) &&
                                     !recordOf(document.design().records.steps, key)->done.empty())
        Q_EMIT cured(tr("Cured: %1").arg(QString::fromStdString(namedStep(*s))));
  if (before != curing) Q_EMIT changed();
}

void BenchClock::begin(const std::string& key) {
  if (const Step* s = step(key))
    document.record([now = document.clock(), one = *s](Records& r) { beginStep(r, one, now); });
  look();
}

void BenchClock::finish(const std::string& key) {
  if (const Step* s = step(key))
    document.record([now = document.clock(), one = *s](Records& r) { finishStep(r, one, now); });
  look();
}

void BenchClock::setLooked(const std::string& key, const QString& by) {
  if (const Step* s = step(key))
    document.record([&, now = document.clock(), one = *s](Records& r) { lookAtStep(r, one, by.toStdString(), now); });
}

void BenchClock::takeBack(const std::string& key) {
  const Step* s = step(key);
  document.record([&, words = s ? namedStep(*s) : key](Records& r) { takeStepBack(r, key, words, document.clock()); });
  look();
}

} // namespace eup::app
