#include "core/bench/recording.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

StepRecord& recordIn(Records& r, const std::string& key) {
  const auto found = std::find_if(r.steps.begin(), r.steps.end(), [&](const StepRecord& s) { return s.key == key; });
  if (found != r.steps.end()) return *found;
  r.steps.push_back({key, {}, {}, 0, false, {}});
  return r.steps.back();
}

PartTick& tickIn(Records& r, const std::string& key, Hand hand) {
  const auto found =
      std::find_if(r.parts.begin(), r.parts.end(), [&](const PartTick& t) { return t.key == key && t.hand == hand; });
  if (found != r.parts.end()) return *found;
  r.parts.push_back({key, hand, false, false, false, 0});
  return r.parts.back();
}

/// One that says nothing is not kept.
void dropEmpty(Records& r) {
  std::erase_if(r.parts, [](const PartTick& t) { return !t.counted && !t.cut && !t.fitted && t.missing == 0; });
}

} // namespace

bool addToLog(Records& r, const Moment& at, LogKind kind, const std::string& text, const std::string& step,
              const std::string& file) {
  if (static_cast<int>(r.log.size()) >= mostLogEntries) return false;
  r.log.push_back({textOf(at), kind, text, step, file});
  return true;
}

std::string namedStep(const Step& step) {
  return fmt::format("{} ({})", step.what, step.on);
}

void beginStep(Records& r, const Step& step, const Moment& now) {
  StepRecord& one = recordIn(r, step.key);
  if (!one.begun.empty() && one.done.empty()) return; // it runs
  one.begun = textOf(now), one.done.clear();
  addToLog(r, now, LogKind::done, "Begun: " + namedStep(step), step.key);
}

void finishStep(Records& r, const Step& step, const Moment& now) {
  StepRecord& one = recordIn(r, step.key);
  if (!one.done.empty()) return;
  one.done = textOf(now);
  const auto begun = momentFromText(one.begun);
  const double ran = begun ? minutesBetween(*begun, now) : 0;
  constexpr double putDown = 4; // times what was reckoned
  one.minutes = ran > 0 && ran <= putDown * step.minutes ? ran : 0;
  std::string words = "Done: " + namedStep(step);
  if (ran < 0) words += "; by the clock it was begun later, at " + one.begun + ": look at the computer's time";
  addToLog(r, now, LogKind::done, one.minutes > 0 ? fmt::format("{}, {:.0f} minutes", words, one.minutes) : words,
           step.key);
}

void lookAtStep(Records& r, const Step& step, const std::string& by, const Moment& now) {
  StepRecord& one = recordIn(r, step.key);
  one.looked = true, one.lookedBy = by;
  addToLog(r, now, LogKind::done,
           by.empty() ? "Looked at: " + namedStep(step) : fmt::format("Looked at by {}: {}", by, namedStep(step)),
           step.key);
}

void takeStepBack(Records& r, const std::string& key, const std::string& words, const Moment& now) {
  if (std::erase_if(r.steps, [&](const StepRecord& one) { return one.key == key; }) > 0)
    addToLog(r, now, LogKind::done, "Not done after all: " + words, key);
}

void tickPart(Records& r, const std::string& key, Hand hand, bool PartTick::*what, bool on) {
  PartTick& one = tickIn(r, key, hand);
  one.*what = on;
  if (on && what == &PartTick::fitted) one.cut = true;
  if (on && what != &PartTick::counted) one.counted = true;
  dropEmpty(r);
}

void setMissing(Records& r, const std::string& key, Hand hand, int count) {
  tickIn(r, key, hand).missing = count;
  dropEmpty(r);
}

const PartTick* tickOf(std::span<const PartTick> ticks, const std::string& key, Hand hand) {
  const auto found =
      std::find_if(ticks.begin(), ticks.end(), [&](const PartTick& t) { return t.key == key && t.hand == hand; });
  return found == ticks.end() ? nullptr : &*found;
}

Records together(const Records& older, const Records& newer) {
  Records out = newer;
  out.numbersGiven = std::max(older.numbersGiven, newer.numbersGiven);
  const auto add = [](auto& to, const auto& from, auto same) {
    for (const auto& one : from)
      if (std::none_of(to.begin(), to.end(), [&](const auto& there) { return same(one, there); })) to.push_back(one);
  };
  const auto alike = [](const auto& a, const auto& b) { return a == b; };
  add(out.looked, older.looked, alike);
  add(out.steps, older.steps, [](const StepRecord& a, const StepRecord& b) { return a.key == b.key; });
  add(out.readings, older.readings, alike);
  add(out.parts, older.parts, [](const PartTick& a, const PartTick& b) { return a.key == b.key && a.hand == b.hand; });
  add(out.log, older.log, alike);
  return out;
}

bool isBegun(const Records& r) {
  return !r.readings.empty() || std::any_of(r.steps.begin(), r.steps.end(),
                                            [](const StepRecord& s) { return !s.begun.empty() || !s.done.empty(); });
}

int freeOwnNumber(const BenchPlan& plan, const Records& records) {
  int number = 1;
  const auto taken = [&] {
    const std::string key = ownStepKey(number);
    return std::any_of(plan.own.begin(), plan.own.end(), [&](const OwnStep& s) { return s.number == number; }) ||
           std::any_of(records.steps.begin(), records.steps.end(), [&](const StepRecord& r) { return r.key == key; });
  };
  while (taken()) ++number;
  return number;
}

} // namespace eup
