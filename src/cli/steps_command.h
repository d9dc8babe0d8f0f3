// The steps of building, put into a schedule, as text, CSV, JSON or a calendar.
#pragma once
#include "arguments.h"
#include "core/wing/true_wing.h"
#include <iosfwd>
#include <optional>
#include <string>

namespace eup::cli {

/// What is not given is as the wing's file has it decided.
struct StepsArgs {
  std::string from; ///< the first day, "2026-12-01": then the whole work is told anew, whatever is done of it
  std::optional<double> weekday, weekend; ///< minutes at the bench
  std::optional<int> hands, hour;         ///< every day's begins at that hour
  std::optional<double> celsius;
  bool json = false, csv = false, calendar = false; ///< one of them, else text
};
void addStepsOptions(Command command, StepsArgs& args);

/// The exit code; what is wrong with the arguments is said to `err`.
int tellSteps(const TrueWing& wing, const StepsArgs& args, std::ostream& out, std::ostream& err);

} // namespace eup::cli
