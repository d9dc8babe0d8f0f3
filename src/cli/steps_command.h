// The steps of building, put into a schedule, as text, CSV, JSON or a calendar.
#pragma once
#include "core/work/true_wing.h"
#include <iosfwd>
#include <string>

namespace CLI {
class App;
}

namespace eup::cli {

struct StepsArgs {
  std::string from;                    ///< the first day, "2026-12-01"; today if empty
  double weekday = 120, weekend = 300; ///< minutes at the bench
  int hands = 1, hour = 18;            ///< every day's begins at that hour
  double celsius = 20;
  bool json = false, csv = false, calendar = false; ///< one of them, else text
};
void addStepsOptions(CLI::App& command, StepsArgs& args);

/// The exit code; what is wrong with the arguments is said to `err`.
int tellSteps(const TrueWing& wing, const StepsArgs& args, std::ostream& out, std::ostream& err);

} // namespace eup::cli
