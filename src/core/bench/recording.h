// What is written into the records when something is done, read or noted at the bench. Times are handed in.
#pragma once
#include "core/bench/step.h"
#include "core/design/bench_design.h"
#include "core/measure/date.h"
#include <span>

namespace eup {

/// A line in the log; nothing where it is full: what was recorded stays all the same. Whether there was room.
bool addToLog(Records& records, const Moment& at, LogKind kind, const std::string& text, const std::string& step = {},
              const std::string& file = {});

/// Taken up now, with a line in the log; nothing for one that runs. One that was done begins anew.
void beginStep(Records& records, const Step& step, const Moment& now);
/// Done now; nothing for one that is. Its minutes by the stopwatch where it ran: one that was put down overnight (more
/// than four times what was reckoned) or was begun later than now tells nothing.
void finishStep(Records& records, const Step& step, const Moment& now);
/// Its gate was looked at, by whom; may be empty.
void lookAtStep(Records& records, const Step& step, const std::string& by, const Moment& now);
/// Ticks, times and look of a step are forgotten; the log keeps that they were. `words` for one that the wing has no
/// more.
void takeStepBack(Records& records, const std::string& key, const std::string& words, const Moment& now);
/// "Glue the ribs (right hand)".
std::string namedStep(const Step& step);

/// For a new own step: no step has it, and nothing is recorded under it.
int freeOwnNumber(const BenchPlan& plan, const Records& records);

/// A tick of one kind on or off. What is fitted was cut, what is cut was there.
void tickPart(Records& records, const std::string& key, Hand hand, bool PartTick::*what, bool on);
void setMissing(Records& records, const std::string& key, Hand hand, int count);
/// Null where nothing is recorded of it.
const PartTick* tickOf(std::span<const PartTick> ticks, const std::string& key, Hand hand);

/// What stands in either: `newer` where both tell of one thing. Nothing that was recorded is missing from it.
Records together(const Records& older, const Records& newer);

/// A step is begun or done, or something was read: decisions that change now are written down.
bool isBegun(const Records& records);

} // namespace eup
