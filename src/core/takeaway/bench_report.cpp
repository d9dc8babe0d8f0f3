#include "core/takeaway/bench_report.h"
#include "core/bench/progress.h"
#include "core/files/bytes.h"
#include "core/files/json.h"
#include "core/report/told.h"
#include "core/steps/steps.h"
#include "core/wing/as_read.h"
#include <algorithm>
#include <fmt/format.h>
#include <pugixml.hpp>
#include <sstream>

namespace eup {
namespace {

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

using Rows = std::vector<std::vector<std::string>>;

/// The first row its head; nothing without another.
void addTable(pugi::xml_node to, const char* head, const Rows& rows) {
  if (rows.size() < 2) return;
  to.append_child("h2").text().set(head);
  pugi::xml_node table = to.append_child("table");
  for (std::size_t i = 0; i < rows.size(); ++i) {
    pugi::xml_node row = table.append_child("tr");
    for (const std::string& cell : rows[i])
      row.append_child(i == 0 ? "th" : "td").text().set(cell.empty() ? "\u00a0" : withoutControls(cell).c_str());
  }
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
  for (const BenchReading& r : records.readings) {
    const TruePanel* panel = panelRead(w, r); // null: removed
    root["readings"].push_back({{"kind", std::string(readKindChoices[static_cast<std::size_t>(r.kind)].key)},
                                {"wing", panel ? Json(panel->design.id.wing + 1) : Json()},
                                {"panel", panel ? Json(panel->design.id.panel + 1) : Json()},
                                {"hand", name(r.hand)},
                                {"rib", r.rib},
                                {"value", r.value},
                                {"doubt", r.doubt > 0 ? r.doubt : usualDoubt(r.kind)},
                                {"unit", unitOf(r.kind)},
                                {"by", r.by},
                                {"at", r.at},
                                {"note", r.note}});
  }
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
  const std::string wing = withoutControls(w.design.name);
  pugi::xml_document page;
  page.append_child(pugi::node_doctype).set_value("html");
  pugi::xml_node html = page.append_child("html");
  html.append_attribute("lang") = "en";
  pugi::xml_node head = html.append_child("head"), body = html.append_child("body");
  head.append_child("meta").append_attribute("charset") = "utf-8";
  head.append_child("title").text().set((wing + ": the log").c_str());
  head.append_child("style").text().set(
      "body{font-family:sans-serif;margin:2em;max-width:60em}table{border-collapse:collapse;margin-bottom:1.5em}"
      "td,th{border-bottom:1px solid #bbb;padding:.25em .7em;text-align:left;vertical-align:top}");
  body.append_child("h1").text().set(wing.c_str());
  Rows rows{{"Step", "On", "Begun", "Done", "Minutes", "Looked at"}};
  for (const Step& s : stepsOf(w))
    if (const StepRecord* r = recordOf(records.steps, s.key))
      rows.push_back({s.what, s.on, r->begun, r->done, r->minutes > 0 ? fmt::format("{:.0f}", r->minutes) : "",
                      r->looked ? (r->lookedBy.empty() ? "yes" : r->lookedBy) : ""});
  addTable(body, "What was done", rows);
  rows = {{"When", "What", "Where", "Hand", "Read", "By", "Note"}};
  for (const BenchReading& r : records.readings)
    rows.push_back({r.at, label(r.kind), placeRead(w, r), name(r.hand), readText(r, w.design.unit), r.by, r.note});
  addTable(body, "What was read", rows);
  rows = {{"What", "Value", "Where", "Rule", "Source"}};
  for (const Figure& f : figuresOf(w, Stage::build))
    rows.push_back({f.label, told(f.value, f.quantity, w.design.unit), f.where, f.rule, f.source});
  addTable(body, "What the readings come to", rows);
  rows = {{"Finding", "By how much", "What to do"}};
  for (const Finding& f : findingsOf(w))
    if (f.stage == Stage::build) rows.push_back({f.what, f.detail, f.remedy});
  addTable(body, "What to do about it", rows);
  rows = {{"When", "Kind", "What"}};
  for (const LogEntry& e : records.log)
    rows.push_back({e.at, label(e.kind), e.file.empty() ? e.text : e.text + " [" + e.file + "]"});
  addTable(body, "The log", rows);
  std::ostringstream out;
  page.save(out, "", pugi::format_raw | pugi::format_no_declaration);
  return out.str() + "\n";
}

} // namespace eup
