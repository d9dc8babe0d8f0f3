#include "cli/plan_command.h"
#include "core/edit/plan_use.h"
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {

void tellPlan(const TrueWing& w, std::ostream& out) {
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  if (w.design.plan.sheets.empty()) out << "No plan is kept with this wing.\n";
  for (std::size_t i = 0; i < w.plan.sheets.size(); ++i) {
    out << w.design.plan.sheets[i].name << "  " << w.design.plan.sheets[i].file << '\n';
    for (const std::string& words : w.plan.sheets[i].sheet.words) out << "  " << words << '\n';
  }
  for (const Reading& r : w.design.plan.readings) {
    const ReadValue v = valueOf(r, w.plan.sheets);
    out << fmt::format("{:24} {:6} {}{}\n", nameOf(r), name(r.hand), told(v.value, v.quantity, w.design.unit),
                       v.across ? "  " + len(*v.across) : "");
  }
  for (const Judgement& j : w.plan.judgements)
    out << fmt::format("{} {}\n    {} {}\n", j.fault ? "FAULT" : "fine ", j.what,
                       j.take ? "taken:" : "left:", j.take ? j.taken : j.left);
  for (const Change& c : changesBetween(w.design, withReadings(w.design, w.plan).design))
    out << fmt::format("{}: {} -> {}\n", c.label, c.before.empty() ? "-" : c.before, c.after.empty() ? "-" : c.after);
}

} // namespace eup::cli
