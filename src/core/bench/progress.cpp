#include "core/bench/progress.h"
#include <algorithm>
#include <cmath>
#include <set>

namespace eup {

std::vector<Activity> activitiesOf(const std::vector<Step>& steps) {
  std::map<std::string, int> at;
  for (std::size_t i = 0; i < steps.size(); ++i) at[steps[i].key] = static_cast<int>(i);
  std::vector<Activity> out;
  out.reserve(steps.size());
  for (const Step& s : steps) {
    Activity a;
    a.hands = s.minutes, a.cure = s.cureHours * 60, a.attended = s.attended;
    for (const std::string& need : s.needs)
      if (const auto found = at.find(need); found != at.end()) a.needs.push_back(found->second);
    out.push_back(std::move(a));
  }
  return out;
}

const StepRecord* recordOf(std::span<const StepRecord> records, const std::string& key) {
  const auto found = std::find_if(records.begin(), records.end(), [&](const StepRecord& r) { return r.key == key; });
  return found == records.end() ? nullptr : &*found;
}

std::map<std::string, double> learntFactors(const std::vector<Step>& steps, std::span<const StepRecord> records) {
  struct Sum {
    double own = 0, rough = 0;
    int steps = 0;
    void add(double minutes, double estimate) { own += minutes, rough += estimate, ++steps; }
  };
  std::map<std::string, Sum> sums;
  for (const Step& s : steps)
    if (const StepRecord* r = recordOf(records, s.key); r && r->minutes > 0 && s.minutes > 0) {
      sums[kindOfStep(s.key)].add(r->minutes, s.minutes);
      sums[""].add(r->minutes, s.minutes);
    }
  constexpr int enough = 3; // of all kinds together, before they say something of the others
  std::map<std::string, double> out;
  for (const auto& [kind, sum] : sums)
    if (!kind.empty() || sum.steps >= enough) out[kind] = std::clamp(sum.own / sum.rough, 0.2, 5.0);
  return out;
}

const char* name(StepState state) {
  switch (state) {
  case StepState::waits:
    return "waits";
  case StepState::ready:
    return "can be done";
  case StepState::begun:
    return "begun";
  case StepState::cures:
    return "cures";
  case StepState::done:
    return "done";
  }
  return "";
}

BenchHours benchHoursOf(const BenchPlan& plan, const Date& first) {
  BenchHours out;
  const auto enough = [](double minutes) { return minutes > 0 ? std::max(minutes, fewestMinutes) : 0.0; };
  out.minutes.fill(enough(plan.weekday));
  out.minutes[5] = out.minutes[6] = enough(plan.weekend);
  out.firstWeekday = weekdayOf(first), out.hands = plan.hands;
  return out;
}

Moment BenchNow::at(double minutes) const {
  return after(Moment{first, hour * 60}, minutes);
}

std::optional<BenchNow> benchNow(const std::vector<Step>& steps, const BenchPlan& plan,
                                 std::span<const StepRecord> records, const Moment& now) {
  BenchNow out;
  const auto wanted = dateFromText(plan.first);
  out.first = wanted && minutesBetween(now, {*wanted, 0}) > 0 ? *wanted : now.day;
  out.hour = plan.hour;
  const Moment zero{out.first, plan.hour * 60};
  out.now = std::max(minutesBetween(zero, now), 0.0);
  out.bench = benchHoursOf(plan, out.first);
  out.activities = activitiesOf(steps);
  out.steps.resize(steps.size());
  const auto minutesAt = [&](const std::string& text) -> std::optional<double> {
    const auto moment = momentFromText(text);
    return moment ? std::optional(minutesBetween(zero, *moment)) : std::nullopt;
  };
  const double real = minutesBetween(zero, now); // also before the first hour
  for (std::size_t i = 0; i < steps.size(); ++i) {
    Activity& a = out.activities[i];
    StepNow& s = out.steps[i];
    a.notBefore = out.now;
    s.record = recordOf(records, steps[i].key);
    if (!s.record) continue;
    const auto done = minutesAt(s.record->done), begun = minutesAt(s.record->begun);
    if (!s.record->done.empty()) {
      const double cure = steps[i].cureHours * 60, ended = done.value_or(real);
      s.ofTheFuture = ended > real + 1e-9;
      s.cureLeft = std::clamp(std::min(ended, real) + cure - real, 0.0, cure);
      s.state = s.cureLeft > 0 ? StepState::cures : StepState::done;
      a.hands = 0, a.cure = 0, a.attended = false, a.needs.clear();
      a.notBefore = std::max(real + s.cureLeft, 0.0);
    } else if (!s.record->begun.empty()) {
      s.state = StepState::begun;
      s.ofTheFuture = begun && *begun > real + 1e-9;
      constexpr double least = 5; // minutes: what was begun takes a little more
      const double spent =
          begun ? std::max(out.bench.worked(out.now) - out.bench.worked(std::max(*begun, 0.0)), 0.0) : 0;
      a.hands = std::max(a.hands - spent, std::min(least, a.hands));
    }
  }
  for (std::size_t i = 0; i < steps.size(); ++i)
    if (out.steps[i].state == StepState::waits &&
        std::all_of(out.activities[i].needs.begin(), out.activities[i].needs.end(),
                    [&](int need) { return out.steps[static_cast<std::size_t>(need)].state == StepState::done; }))
      out.steps[i].state = StepState::ready;
  auto made = schedule(out.activities, out.bench);
  if (!made) return std::nullopt;
  out.schedule = std::move(*made);
  return out;
}

std::vector<std::size_t> canDoNow(const std::vector<Step>& steps, const BenchNow& now, double minutes) {
  std::vector<std::size_t> out;
  const auto fits = [&](std::size_t i) {
    const Activity& a = now.activities[i];
    return a.hands + (a.attended ? a.cure : 0) <= minutes + 1e-9;
  };
  for (std::size_t i = 0; i < steps.size(); ++i) {
    const StepState state = now.steps[i].state;
    if (state != StepState::ready && state != StepState::begun) continue;
    if (steps[i].attended && !fits(i)) continue;
    out.push_back(i);
  }
  std::stable_sort(out.begin(), out.end(), [&](std::size_t a, std::size_t b) {
    if (fits(a) != fits(b)) return fits(a);
    const bool begun = now.steps[a].state == StepState::begun;
    if (begun != (now.steps[b].state == StepState::begun)) return begun;
    return now.schedule.placed[a].from < now.schedule.placed[b].from - 1e-9;
  });
  return out;
}

PanelProgress progressOf(const std::vector<Step>& steps, std::span<const StepRecord> records, int wing, int panel,
                         std::optional<Hand> hand) {
  PanelProgress out;
  for (const Step& s : steps) {
    const bool own = s.panel == panel && s.hand == hand,
               asOne = s.outer && s.panel <= panel && panel <= *s.outer && (!s.hand || s.hand == hand);
    if (s.wing != wing || (!own && !asOne)) continue;
    ++out.all;
    if (const StepRecord* r = recordOf(records, s.key); r && !r->done.empty())
      ++out.done;
    else if (!out.next)
      out.next = &s;
  }
  return out;
}

std::vector<std::size_t> openGates(const std::vector<Step>& steps, std::span<const StepRecord> records,
                                   const std::string& before) {
  std::map<std::string, std::size_t> at;
  for (std::size_t i = 0; i < steps.size(); ++i) at[steps[i].key] = i;
  std::set<std::size_t> behind;
  std::vector<std::string> open{before};
  while (!open.empty()) {
    const std::string key = std::move(open.back());
    open.pop_back();
    const auto found = at.find(key);
    if (found == at.end()) continue;
    for (const std::string& need : steps[found->second].needs)
      if (const auto n = at.find(need); n != at.end() && behind.insert(n->second).second) open.push_back(need);
  }
  std::vector<std::size_t> out;
  for (const std::size_t i : behind)
    if (!steps[i].look.empty())
      if (const StepRecord* r = recordOf(records, steps[i].key); !r || !r->looked) out.push_back(i);
  return out;
}

} // namespace eup
