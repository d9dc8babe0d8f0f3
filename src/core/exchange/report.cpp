#include "core/exchange/report.h"
#include "core/exchange/points_json.h"
#include "core/files/bytes.h"
#include "core/files/json.h"
#include <fmt/format.h>

namespace eup {
namespace {

std::string quotedCell(const std::string& text) {
  const std::string cell = harmlessCell(text);
  if (cell.find_first_of(",\"\r\n'") == std::string::npos) return cell;
  std::string out = "\"";
  for (char c : cell) out += c == '"' ? std::string("\"\"") : std::string(1, c);
  return out + "\"";
}

} // namespace

std::string reportJson(const std::string& wing, std::span<const Figure> figures, std::span<const Finding> findings) {
  Json report = {{"wing", wing}, {"figures", Json::array()}, {"findings", Json::array()}};
  for (const Figure& f : figures) {
    Json one = {{"key", f.key},
                {"label", f.label},
                {"value", inReportUnit(f.value, f.quantity)},
                {"unit", unitName(f.quantity)},
                {"where", f.where},
                {"rule", f.rule},
                {"working", f.working},
                {"source", f.source},
                {"decisions", f.decisions},
                {"stage", name(f.stage)}};
    if (f.rib) one["rib"] = *f.rib;
    report["figures"].push_back(std::move(one));
  }
  for (const Finding& f : findings) {
    Json one = {{"key", f.key},       {"severity", name(f.severity)}, {"stage", name(f.stage)},  {"what", f.what},
                {"detail", f.detail}, {"remedy", f.remedy},           {"decisions", f.decisions}};
    if (f.rib) one["rib"] = *f.rib;
    report["findings"].push_back(std::move(one));
  }
  report["caution"] = "Strength figures are estimates for model aircraft and no approval of anything.";
  return report.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

std::string findingsText(std::span<const Finding> findings) {
  std::string out;
  for (const Finding& f : findings) {
    out += fmt::format("{}: {}: {}\n", name(f.severity), name(f.stage), f.what);
    if (!f.detail.empty()) out += fmt::format("    {}\n", f.detail);
    if (!f.remedy.empty()) out += fmt::format("    {}\n", f.remedy);
  }
  return out;
}

std::string sectionJson(const Section& section, const SectionMeasures& m, double noseRadius) {
  Json json = {{"name", section.name},
               {"unit", "chord"},
               {"thickness", m.thickness},
               {"thicknessAt", m.thicknessAt},
               {"camber", m.camber},
               {"camberAt", m.camberAt},
               {"noseRadius", noseRadius},
               {"tailThickness", m.tailThickness},
               {"tailAngleDeg", radToDeg(m.tailAngle)},
               {"flatFrom", m.flatFrom},
               {"flatTo", m.flatTo},
               {"area", m.area},
               {"perimeter", m.perimeter},
               {"undercamber", m.undercamber}};
  json["undercamberAt"] = m.undercamberAt ? Json(*m.undercamberAt) : Json(nullptr);
  const NearestFourDigit nearest = nearestFourDigit(section);
  json["nearestFourDigit"] = {{"digits", nearest.digits}, {"rms", nearest.rms}};
  json["undersideAngleDeg"] = radToDeg(m.undersideAngle);
  json["upper"] = pointsOf(section.upper);
  json["lower"] = pointsOf(section.lower);
  return json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

std::string toCsv(const Table& table) {
  std::string out;
  const auto row = [&](const std::vector<std::string>& cells) {
    for (std::size_t i = 0; i < cells.size(); ++i) out += (i ? "," : "") + quotedCell(cells[i]);
    out += "\r\n";
  };
  row(table.columns);
  for (const auto& cells : table.rows) row(cells);
  return out;
}

} // namespace eup
