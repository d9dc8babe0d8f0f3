// How far the work is: steps with what was recorded of them, and what follows for the rest at a given moment.
#pragma once
#include "core/bench/schedule.h"
#include "core/bench/step.h"
#include "core/design/bench_design.h"
#include "core/measure/date.h"
#include <map>
#include <span>

namespace eup {

/// Steps as activities, by index; a need that is none of them is left out.
std::vector<Activity> activitiesOf(const std::vector<Step>& steps);

/// What the stopwatch taught: own minutes over the rough ones, for a kind of step, and under "" for all (of three
/// steps or more). 0.2 to 5. `steps` with their rough minutes.
std::map<std::string, double> learntFactors(const std::vector<Step>& steps, std::span<const StepRecord> records);

enum class StepState { waits, ready, begun, cures, done };
const char* name(StepState state);

struct StepNow {
  StepState state = StepState::waits;
  const StepRecord* record = nullptr; ///< among those it was made of
  double cureLeft = 0;                ///< minutes
  bool ofTheFuture = false;           ///< recorded later than now: a clock was set back
};

struct BenchNow {
  Date first; ///< the day at whose first bench hour time begins
  int hour = 18;
  double now = 0; ///< minutes since then; 0 before it
  BenchHours bench;
  std::vector<Activity> activities; ///< what is left of each
  std::vector<StepNow> steps;
  Schedule schedule;
  Moment at(double minutes) const;
};

/// The bench hours of a plan from a day on.
BenchHours benchHoursOf(const BenchPlan& plan, const Date& first);

/// From now on, what is done taken as done and what cures as curing. The plan's first day holds until it has come.
/// Nothing where nobody is ever at the bench, or the steps go in a circle.
std::optional<BenchNow> benchNow(const std::vector<Step>& steps, const BenchPlan& plan,
                                 std::span<const StepRecord> records, const Moment& now);

/// Steps that can be taken up at once, in the order in which they matter: those that can be ended within so many
/// minutes first, of these what is begun, then as the schedule takes them. One that must not be left alone is there
/// only if it can be ended.
std::vector<std::size_t> canDoNow(const std::vector<Step>& steps, const BenchNow& now, double minutes);

/// How far a panel's work is, in one hand: with what is done to panels that are built as one; what only joins them is
/// left out.
struct PanelProgress {
  int all = 0, done = 0;
  const Step* next = nullptr; ///< the first that is not done, in the order of `steps`
};
PanelProgress progressOf(const std::vector<Step>& steps, std::span<const StepRecord> records, int wing, int panel,
                         std::optional<Hand> hand);

/// Gates before a step that nobody looked at, whether or not their own steps are done.
std::vector<std::size_t> openGates(const std::vector<Step>& steps, std::span<const StepRecord> records,
                                   const std::string& before);

/// The record of a step; null where it has none.
const StepRecord* recordOf(std::span<const StepRecord> records, const std::string& key);

} // namespace eup
