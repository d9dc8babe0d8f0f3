#include "app/bench_clock.h"
#include "core/work/steps.h"
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
        Q_EMIT cured(tr("Cured: %1 (%2)").arg(QString::fromStdString(s->what), QString::fromStdString(s->on)));
  if (before != curing) Q_EMIT changed();
}

StepRecord& BenchClock::recordIn(Records& r, const std::string& key) const {
  const auto found = std::find_if(r.steps.begin(), r.steps.end(), [&](const StepRecord& s) { return s.key == key; });
  if (found != r.steps.end()) return *found;
  r.steps.push_back({key, {}, {}, 0, false, {}});
  return r.steps.back();
}

void BenchClock::note(Records& r, LogKind kind, const QString& text, const std::string& key) const {
  if (static_cast<int>(r.log.size()) < mostLogEntries)
    r.log.push_back({textOf(document.clock()), kind, text.toStdString(), key, {}});
}

namespace {
QString named(const Step& s) {
  return BenchClock::tr("%1 (%2)").arg(QString::fromStdString(s.what), QString::fromStdString(s.on));
}
} // namespace

void BenchClock::begin(const std::string& key) {
  const Step* s = step(key);
  if (!s) return;
  const QString words = named(*s);
  document.record([&](Records& r) {
    StepRecord& one = recordIn(r, key);
    if (!one.begun.empty() && one.done.empty()) return; // it runs
    one.begun = textOf(document.clock()), one.done.clear();
    note(r, LogKind::done, tr("Begun: %1").arg(words), key);
  });
  look();
}

void BenchClock::finish(const std::string& key, double minutes) {
  const Step* s = step(key);
  if (!s) return;
  const QString words = named(*s);
  const double rough = s->minutes;
  document.record([&](Records& r) {
    StepRecord& one = recordIn(r, key);
    if (!one.done.empty()) return;
    one.done = textOf(document.clock());
    const auto begun = momentFromText(one.begun);
    const double ran = begun ? minutesBetween(*begun, document.clock()) : 0;
    // Begun and left overnight, a stopwatch tells nothing; nor where the clock was set back.
    one.minutes = minutes > 0 ? minutes : ran > 0 && ran <= 4 * rough ? ran : 0;
    note(r, LogKind::done,
         one.minutes > 0 ? tr("Done: %1, %2 minutes").arg(words).arg(one.minutes, 0, 'f', 0)
                         : tr("Done: %1").arg(words),
         key);
  });
  look();
}

void BenchClock::setLooked(const std::string& key, const QString& by) {
  const Step* s = step(key);
  if (!s) return;
  const QString words = named(*s);
  document.record([&](Records& r) {
    StepRecord& one = recordIn(r, key);
    one.looked = true, one.lookedBy = by.toStdString();
    note(r, LogKind::done, by.isEmpty() ? tr("Looked at: %1").arg(words) : tr("Looked at by %1: %2").arg(by, words),
         key);
  });
}

void BenchClock::takeBack(const std::string& key) {
  const Step* s = step(key);
  const QString words = s ? named(*s) : QString::fromStdString(key);
  document.record([&](Records& r) {
    if (std::erase_if(r.steps, [&](const StepRecord& one) { return one.key == key; }) > 0)
      note(r, LogKind::done, tr("Not done after all: %1").arg(words), key);
  });
  look();
}

} // namespace eup::app
