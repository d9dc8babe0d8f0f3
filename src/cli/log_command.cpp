#include "cli/log_command.h"
#include "core/files/bytes.h"
#include "core/takeaway/bench_report.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {

void addLogOptions(Command command, LogArgs& args) {
  const Option json = command.flag("--json", args.json, "as JSON, with what the readings come to");
  const Option csv = command.flag("--csv", args.csv, "as CSV").excludes(json);
  command.flag("--html", args.html, "as a page to read").excludes(json).excludes(csv);
  command.option("--find", args.with, "only entries with that word in them (text and CSV)");
}

void tellLog(const TrueWing& w, const LogArgs& args, std::ostream& out) {
  if (args.json)
    out << logJson(w) << '\n';
  else if (args.html)
    out << logHtml(w);
  else if (const Table table = logTable(w.design.records, args.with); args.csv)
    out << toCsv(table);
  else
    for (const auto& row : table.rows)
      out << withoutControls(
                 fmt::format("{:16}  {:8}  {}{}", row[0], row[1], row[2], row[4].empty() ? "" : " [" + row[4] + "]"))
          << '\n';
}

} // namespace eup::cli
