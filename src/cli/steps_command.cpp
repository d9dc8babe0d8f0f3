#include "cli/steps_command.h"
#include "cli/commands.h"
#include "cli/csv.h"
#include "core/bench/progress.h"
#include "core/exchange/calendar_file.h"
#include "core/files/json.h"
#include "core/steps/steps.h"
#include <algorithm>
#include <cmath>
#include <ctime>
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {
namespace {

/// What is told: steps with their times, in the order in which they begin.
struct Told {
  const StepsArgs& args;
  std::vector<Step> steps;
  std::vector<Activity> activities;
  BenchHours bench;
  Schedule schedule;
  Date first;
  int hour = 18;
  double celsius = 20;
  std::vector<std::size_t> order;
  LengthUnit unit = LengthUnit::mm;

  std::string when(double minutes) const {
    const double day = std::floor(minutes / 1440 + 1e-9);
    const long at = std::lround(minutes - day * 1440) + hour * 60L;
    return fmt::format("{} {:02}:{:02}", textOf(daysAfter(first, static_cast<long>(day) + at / 1440)), at / 60 % 24,
                       at % 60);
  }
};

void asText(const Told& t, std::ostream& out) {
  std::string today;
  for (const std::size_t i : t.order) {
    const Step& s = t.steps[i];
    const Placed& p = t.schedule.placed[i];
    const std::string when = t.when(p.from);
    if (when.substr(0, 10) != today) out << fmt::format("{}{}\n", today.empty() ? "" : "\n", when.substr(0, 10));
    today = when.substr(0, 10);
    out << fmt::format("  {}  [ ] {} ({}), {:.0f} min{}{}\n", when.substr(11), s.what, s.on, s.minutes,
                       s.cureHours > 0 ? fmt::format(", cures {:.1f} h", s.cureHours) : std::string(),
                       p.slack < 1 ? "  *" : "");
    if (!s.goesIn.empty()) out << "             pieces fitted: " << s.goesIn << '\n';
    if (s.glue.joints > 0) out << "             glue joints: " << wordsOf(s.glue, t.unit) << '\n';
    if (!s.look.empty()) out << "             look: " << s.look << '\n';
    if (!s.caution.empty()) out << "             " << s.caution << '\n';
  }
  double hands = 0;
  for (const Step& s : t.steps) hands += s.minutes;
  out << fmt::format(
      "\nReady {}; {:.1f} hours of hands, rough: learn your own. * waits for nothing: a delay there delays "
      "the end.\nIt can not be ready before {}.\n",
      t.when(t.schedule.end), hands / 60, t.when(t.schedule.bound));
}

void asCsv(const Told& t, std::ostream& out) {
  out << "key,from,to,ready,what,on,with,minutes,cure_hours,slack_hours,needs,look,print,goes_in,joints,glue_mm2,glue_"
         "g\n";
  for (const std::size_t i : t.order) {
    const Step& s = t.steps[i];
    const Placed& p = t.schedule.placed[i];
    std::string needs;
    for (const std::string& need : s.needs) needs += (needs.empty() ? "" : " ") + need;
    out << fmt::format("{},{},{},{},{},{},{},{:.0f},{:.2f},{:.1f},{},{},{},{},{},{:.2f},{:.4f}\n", s.key,
                       t.when(p.from), t.when(p.to), t.when(p.ready), inQuotes(s.what), inQuotes(s.on),
                       inQuotes(s.with), s.minutes, s.cureHours, p.slack / 60, inQuotes(needs), inQuotes(s.look),
                       s.print, inQuotes(s.goesIn), s.glue.joints, s.glue.area, s.glue.grams);
  }
}

Json toJson(const std::vector<PlacedPiece>& pieces) {
  Json out = Json::array();
  for (const PlacedPiece& p : pieces)
    out.push_back({{"wing", p.wing + 1}, {"panel", p.panel + 1}, {"hand", name(p.hand)}, {"key", textOf(p.id)}});
  return out;
}

void asJson(const Told& t, const std::string& wing, std::ostream& out) {
  Json root{{"wing", wing},
            {"hands", t.bench.hands},
            {"celsius", t.celsius},
            {"ready", t.when(t.schedule.end)},
            {"notBefore", t.when(t.schedule.bound)},
            {"steps", Json::array()}};
  for (const std::size_t i : t.order) {
    const Step& s = t.steps[i];
    const Placed& p = t.schedule.placed[i];
    root["steps"].push_back({{"key", s.key},
                             {"from", t.when(p.from)},
                             {"to", t.when(p.to)},
                             {"ready", t.when(p.ready)},
                             {"slackHours", p.slack / 60},
                             {"what", s.what},
                             {"on", s.on},
                             {"with", s.with},
                             {"minutes", s.minutes},
                             {"cureHours", s.cureHours},
                             {"attended", s.attended},
                             {"needs", s.needs},
                             {"look", s.look},
                             {"caution", s.caution},
                             {"print", s.print},
                             {"figures", s.figures},
                             {"makes", toJson(s.makes)},
                             {"puts", toJson(s.puts)},
                             {"goesIn", s.goesIn},
                             {"joints", s.glue.joints},
                             {"glueLengthMm", s.glue.length},
                             {"glueAreaMm2", s.glue.area},
                             {"glueGrams", s.glue.grams}});
  }
  out << root.dump(2, ' ', false, Json::error_handler_t::replace) << '\n';
}

Moment rightNow() {
  const std::time_t now = std::time(nullptr);
  std::tm local{};
  localtime_r(&now, &local);
  return {{local.tm_year + 1900, local.tm_mon + 1, local.tm_mday}, local.tm_hour * 60 + local.tm_min};
}

/// The wing's own plan with what the command line says otherwise.
BenchPlan planOf(const StepsArgs& args, BenchPlan plan) {
  plan.first = args.from.empty() ? plan.first : args.from;
  plan.weekday = args.weekday.value_or(plan.weekday), plan.weekend = args.weekend.value_or(plan.weekend);
  plan.hands = args.hands.value_or(plan.hands), plan.hour = args.hour.value_or(plan.hour);
  plan.celsius = args.celsius.value_or(plan.celsius);
  return plan;
}

} // namespace

void addStepsOptions(Command command, StepsArgs& args) {
  const auto enough = [](const std::string& typed) {
    const double minutes = std::strtod(typed.c_str(), nullptr);
    return minutes > 0 && minutes < fewestMinutes
               ? fmt::format("{} is too little: 0, or at least {}", typed, fewestMinutes)
               : std::string();
  };
  const Option json = command.flag("--json", args.json, "as JSON");
  const Option csv = command.flag("--csv", args.csv, "as CSV").excludes(json);
  command.flag("--ics", args.calendar, "as a calendar (iCalendar)").excludes(json).excludes(csv);
  command.option("--from", args.from, "the first day, as 2026-12-01; today if not given");
  command.option("--hands", args.hands, "pairs of hands, 1 or 2").between(1, 2);
  command.option("--weekday", args.weekday, "minutes at the bench on a weekday, 0 or at least 5")
      .between(0.0, 1440.0)
      .check(enough);
  command.option("--weekend", args.weekend, "and on a day of the weekend").between(0.0, 1440.0).check(enough);
  command.option("--hour", args.hour, "hour at which every day begins").between(0, 23);
  command.option("--celsius", args.celsius, "the room's temperature").between(0.0, 45.0);
}

int tellSteps(const TrueWing& w, const StepsArgs& args, std::ostream& out, std::ostream& err) {
  if (!args.from.empty() && !dateFromText(args.from)) {
    err << fmt::format("euptera-cli: “{}” is no day; write it as 2026-12-01\n", args.from);
    return usage;
  }
  const BenchPlan plan = planOf(args, w.design.bench);
  Told t{args, stepsOf(w, plan.celsius), {}, {}, {}, {}, plan.hour, plan.celsius, {}};
  // A first day that is asked for: the whole work from there; else what is left of it from now on.
  const bool anew = !args.from.empty();
  const Moment now = anew ? Moment{*dateFromText(args.from), 0} : rightNow();
  const auto& records = w.design.records.steps;
  const auto made = benchNow(t.steps, plan, anew ? std::span<const StepRecord>() : std::span(records), now);
  if (!made) {
    err << "euptera-cli: nobody is ever at the bench: give it some minutes on weekdays or at weekends\n";
    return usage;
  }
  t.unit = w.design.unit;
  t.activities = made->activities, t.bench = made->bench, t.schedule = made->schedule, t.first = made->first;
  for (std::size_t i = 0; i < t.steps.size(); ++i)
    if (made->steps[i].state != StepState::done && made->steps[i].state != StepState::cures) t.order.push_back(i);
  std::stable_sort(t.order.begin(), t.order.end(),
                   [&](std::size_t a, std::size_t b) { return t.schedule.placed[a].from < t.schedule.placed[b].from; });
  if (args.csv)
    asCsv(t, out);
  else if (args.json)
    asJson(t, w.design.name, out);
  else if (args.calendar)
    out << toCalendar(w.design.name, t.steps, sittingsOf(t.schedule, t.activities, t.bench), t.first, t.hour);
  else
    asText(t, out);
  return fine;
}

} // namespace eup::cli
