// The steps of building, put into a schedule, as text, CSV, JSON or a calendar.
#pragma once
#include "core/work/true_wing.h"
#include <iosfwd>
#include <string>

namespace eup::cli {

struct StepsArgs {
  std::string from;                    ///< the first day, "2026-12-01"
  double weekday = 120, weekend = 300; ///< minutes at the bench
  int hands = 1, hour = 18;            ///< every day's begins at that hour
  double celsius = 20;
};
enum class StepsAs { text, csv, json, calendar };

/// The exit code; what is wrong with the arguments is said to `err`.
int tellSteps(const TrueWing& wing, const StepsArgs& args, StepsAs as, std::ostream& out, std::ostream& err);

} // namespace eup::cli
