// The log of a wing: what was done, read and changed, as text, CSV, JSON or a page of HTML.
#pragma once
#include "arguments.h"
#include "core/wing/true_wing.h"
#include <iosfwd>
#include <string>

namespace eup::cli {

struct LogArgs {
  std::string with;                             ///< only entries with that word
  bool json = false, csv = false, html = false; ///< one of them, else text
};
void addLogOptions(Command command, LogArgs& args);

void tellLog(const TrueWing& wing, const LogArgs& args, std::ostream& out);

} // namespace eup::cli
