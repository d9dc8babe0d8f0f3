#include "core/work/bench_report.h"
#include "core/bench/progress.h"
#include "core/work/as_read.h"
#include "core/work/steps.h"
#include <algorithm>
#include <fmt/format.h>
#include <nlohmann/json.hpp>

namespace eup {
namespace {

using Json = nlohmann::ordered_json;

const char* label(LogKind kind) {
  return logKindChoices[static_cast<std::size_t>(kind)].label.data();
}
const char* label(ReadKind kind) {
  return readKindChoices[static_cast<std::size_t>(kind)].label.data();
}

std::string lowered(std::string_view text) {
  std::string out(text);
  std::transform(out.begin(), out.end(), out.begin(), [](unsigned char c) { return std::tolower(c); });
  return out;
}

/// As text of a page: nothing in it is taken for a mark.
std::string plain(std::string_view text) {
  std::string out;
  for (const char c : text) switch (c) {
    case '&':
      out += "&amp;";
      break;
    case '<':
      out += "&lt;";
      break;
    case '>':
      out += "&gt;";
      break;
    case '"':
      out += "&quot;";
      break;
    default:
      if (static_cast<unsigned char>(c) >= ' ' || c == '\n') out += c;
    }
  return out;
}

std::string tableHtml(const std::string& head, const std::vector<std::vector<std::string>>& rows) {
  if (rows.size() < 2) return {};
  std::string out = fmt::format("<h2>{}</h2>\n<table>\n", plain(head));
  for (std::size_t i = 0; i < rows.size(); ++i) {
    out += "<tr>";
    for (const std::string& cell : rows[i]) out += fmt::format("<{0}>{1}</{0}>", i == 0 ? "th" : "td", plain(cell));
    out += "</tr>\n";
  }
  return out + "</table>\n";
}

std::string readText(const BenchReading& r, LengthUnit unit) {
  if (r.kind == ReadKind::incidence) return fmt::format("{:.2f}°", r.value);
  return told(r.value, r.kind == ReadKind::mass ? Quantity::mass : Quantity::length, unit);
}

} // namespace

bool speaksOf(const LogEntry& e, std::string_view word) {
  if (word.empty()) return true;
  const std::string wanted = lowered(word);
  for (const std::string* text : {&e.text, &e.at, &e.step, &e.file})
    if (lowered(*text).find(wanted) != std::string::npos) return true;
  return lowered(label(e.kind)).find(wanted) != std::string::npos;
}

Table logTable(const Records& records, std::string_view with) {
  Table out{{"at", "kind", "text", "step", "file"}, {}};
  for (const LogEntry& e : records.log)
    if (speaksOf(e, with)) out.rows.push_back({e.at, label(e.kind), e.text, e.step, e.file});
  return out;
}

std::string logJson(const TrueWing& w) {
  const Records& records = w.design.records;
  Json root{
      {"wing", w.design.name},   {"unit", {{"length", "mm"}, {"angle", "rad in fits, deg in readings"}, {"mass", "g"}}},
      {"steps", Json::array()},  {"readings", Json::array()},
      {"twists", Json::array()}, {"means", Json::array()},
      {"parts", Json::array()},  {"log", Json::array()}};
  for (const StepRecord& s : records.steps)
    root["steps"].push_back({{"key", s.key},
                             {"begun", s.begun},
                             {"done", s.done},
                             {"minutes", s.minutes},
                             {"looked", s.looked},
                             {"lookedBy", s.lookedBy}});
  for (const BenchReading& r : records.readings)
    root["readings"].push_back({{"kind", std::string(readKindChoices[static_cast<std::size_t>(r.kind)].key)},
                                {"wing", r.wing + 1},
                                {"panel", r.panel + 1},
                                {"hand", name(r.hand)},
                                {"rib", r.rib},
                                {"value", r.value},
                                {"doubt", r.doubt > 0 ? r.doubt : usualDoubt(r.kind)},
                                {"unit", unitOf(r.kind)},
                                {"by", r.by},
                                {"at", r.at},
                                {"note", r.note}});
  for (const TwistRead& t : twistsRead(w)) {
    Json samples = Json::array();
    for (const Sample& s : t.samples) samples.push_back({s.at, s.value, s.doubt});
    root["twists"].push_back({{"wing", t.panel.wing + 1},
                              {"panel", t.panel.panel + 1},
                              {"hand", name(t.hand)},
                              {"samples", samples},
                              {"slope", t.error.slope},
                              {"atRoot", t.error.atZero},
                              {"slopeDoubt", t.error.slopeDoubt()},
                              {"rootDoubt", t.error.doubtAt(0)},
                              {"scatter", t.error.scatter},
                              {"twist", t.twist},
                              {"doubt", t.doubt}});
  }
  for (const Choice& c : readKindChoices) {
    const auto kind = static_cast<ReadKind>(&c - readKindChoices.data());
    if (kind == ReadKind::incidence) continue;
    for (const RibRead& r : ribsRead(w, kind))
      root["means"].push_back({{"kind", std::string(c.key)},
                               {"wing", r.panel.wing + 1},
                               {"panel", r.panel.panel + 1},
                               {"hand", name(r.hand)},
                               {"rib", r.rib},
                               {"mean", r.read.mean},
                               {"doubt", r.read.doubt},
                               {"deviation", r.read.deviation},
                               {"readings", r.read.readings}});
  }
  for (const PartTick& p : records.parts)
    root["parts"].push_back({{"key", p.key},
                             {"hand", name(p.hand)},
                             {"counted", p.counted},
                             {"cut", p.cut},
                             {"fitted", p.fitted},
                             {"missing", p.missing}});
  for (const LogEntry& e : records.log)
    root["log"].push_back(
        {{"at", e.at}, {"kind", label(e.kind)}, {"text", e.text}, {"step", e.step}, {"file", e.file}});
  return root.dump(2, ' ', false, Json::error_handler_t::replace);
}

std::string logHtml(const TrueWing& w) {
  const Records& records = w.design.records;
  std::string out =
      fmt::format("<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><title>{0}: the log</title>\n"
                  "<style>body{{font-family:sans-serif;margin:2em;max-width:60em}}table{{border-collapse:"
                  "collapse;margin-bottom:1.5em}}td,th{{border-bottom:1px solid #bbb;padding:.25em .7em;"
                  "text-align:left;vertical-align:top}}</style></head>\n<body>\n<h1>{0}</h1>\n",
                  plain(w.design.name));
  std::vector<std::vector<std::string>> rows{{"Step", "On", "Begun", "Done", "Minutes", "Looked at"}};
  for (const Step& s : stepsOf(w))
    if (const StepRecord* r = recordOf(records.steps, s.key))
      rows.push_back({s.what, s.on, r->begun, r->done, r->minutes > 0 ? fmt::format("{:.0f}", r->minutes) : "",
                      r->looked ? (r->lookedBy.empty() ? "yes" : r->lookedBy) : ""});
  out += tableHtml("What was done", rows);
  rows = {{"When", "What", "Where", "Hand", "Read", "By", "Note"}};
  for (const BenchReading& r : records.readings)
    rows.push_back({r.at, label(r.kind), r.rib > 0 ? fmt::format("R{}, panel {}", r.rib, r.panel + 1) : "the half",
                    name(r.hand), readText(r, w.design.unit), r.by, r.note});
  out += tableHtml("What was read", rows);
  rows = {{"What", "Value", "Where", "Rule", "Source"}};
  for (const Figure& f : w.figures(Stage::build))
    rows.push_back({f.label, told(f.value, f.quantity, w.design.unit), f.where, f.rule, f.source});
  out += tableHtml("What the readings come to", rows);
  rows = {{"Finding", "By how much", "What to do"}};
  for (const Finding& f : w.findings)
    if (f.stage == Stage::build) rows.push_back({f.what, f.detail, f.remedy});
  out += tableHtml("What to do about it", rows);
  rows = {{"When", "Kind", "What"}};
  for (const LogEntry& e : records.log)
    rows.push_back({e.at, label(e.kind), e.file.empty() ? e.text : e.text + " [" + e.file + "]"});
  out += tableHtml("The log", rows);
  return out + "</body></html>\n";
}

} // namespace eup
