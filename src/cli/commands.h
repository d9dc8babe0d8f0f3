// The commands of euptera-cli as functions that tests call.
#pragma once
#include <iosfwd>
#include <string>
#include <vector>

namespace eup::cli {

/// What a command ends with.
enum Exit { fine = 0, seriousFindings = 1, usage = 2, unreadable = 3 };

/// Runs `euptera-cli ARGS…`; the program's name is not among them.
int run(const std::vector<std::string>& args, std::ostream& out, std::ostream& err);

} // namespace eup::cli
