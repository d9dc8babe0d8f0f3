// Bench sessions as a calendar that other programs read: iCalendar (RFC 5545), in floating local time.
#pragma once
#include "core/bench/schedule.h"
#include "core/bench/step.h"
#include "core/measure/date.h"

namespace eup {

/// A stretch of a step at the bench: minutes as in a schedule. Work that is put down overnight is several.
struct Sitting {
  std::size_t step = 0;
  double from = 0, to = 0;
};
std::vector<Sitting> sittingsOf(const Schedule& schedule, const std::vector<Activity>& activities,
                                const BenchHours& bench);

/// An event for each sitting; every day begins at that hour, 0 to 23.
std::string toCalendar(const std::string& wing, const std::vector<Step>& steps, const std::vector<Sitting>& sittings,
                       const Date& first, int hour);

} // namespace eup
