// The table of stations for other programs: one row a rib, all panels of all wings.
#include "core/takeaway/take_away.h"
#include <algorithm>
#include <array>
#include <fmt/format.h>

namespace eup {
namespace {

std::string cell(double value) {
  return fmt::format("{:.5f}", value);
}
std::string degCell(double rad) {
  return fmt::format("{:.5f}", radToDeg(rad));
}
const char* kindName(RibKind kind) {
  return kind == RibKind::root ? "root" : kind == RibKind::tip ? "tip" : "main";
}

/// What some panel has, so that all rows have the same columns.
struct Columns {
  std::size_t spars = 0;
  bool trailingStock = false;
};

void sparCells(const TruePanel& p, const Rib& rib, std::size_t k, std::vector<std::string>& row) {
  constexpr std::size_t each = 7;
  if (k >= p.frame.spars.size()) return row.resize(row.size() + each), void();
  std::string top, bottom, slot;
  for (const Notch& n : rib.notches)
    if (n.spar == static_cast<int>(k)) (n.face == Face::upper ? top : bottom) = cell(n.depth);
  for (const Slot& s : rib.slots)
    if (s.spar == static_cast<int>(k)) slot = cell(s.depth);
  const double fraction = std::clamp(rib.sparX[k] / rib.frame.chord, 0.0, 1.0);
  for (std::string& s : std::array<std::string, each>{cell(rib.sparX[k]), cell(rib.sparDepth[k]), top, bottom, slot,
                                                      cell(arcTo(p.shape.loft, Face::upper, fraction, rib.t())),
                                                      cell(arcTo(p.shape.loft, Face::lower, fraction, rib.t()))})
    row.push_back(std::move(s));
}

void supportCells(const TruePanel& p, const Rib& rib, const Columns& columns, std::vector<std::string>& row) {
  const RibSupports& supports = p.settingUp.ribs[static_cast<std::size_t>(rib.number - p.design.firstRib)];
  const std::vector<Support>& at = supports.at;
  const auto put = [&](const Support* s) {
    row.push_back(s && s->there ? cell(s->height) : "");
    row.push_back(s && s->there ? degCell(s->slope) : "");
  };
  row.push_back(cell(supports.nose));
  row.push_back(cell(at.front().x));
  put(&at.front());
  for (std::size_t k = 0; k < columns.spars; ++k) put(k < p.frame.spars.size() ? &at[k + 1] : nullptr);
  const bool stock = at.size() == p.frame.spars.size() + 3;
  if (columns.trailingStock) put(stock ? &at[p.frame.spars.size() + 1] : nullptr);
  put(&at.back());
}

} // namespace

Table stationTable(const TrueWing& w) {
  Columns columns;
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& p : wing.panels) {
      columns.spars = std::max(columns.spars, p.frame.spars.size());
      columns.trailingStock = columns.trailingStock || p.design.trailingEdge.kind != TrailingEdgeKind::none;
    }
  Table table;
  table.columns = {"number",
                   "kind",
                   "wing",
                   "panel",
                   "station_mm",
                   "le_x_mm",
                   "le_z_mm",
                   "chord_mm",
                   "washout_deg",
                   "turn_deg",
                   "thickness_mm",
                   "bare_area_mm2",
                   "cut_area_mm2",
                   "sheet_arc_top_mm",
                   "sheet_arc_bottom_mm",
                   "cap_arc_top_mm",
                   "cap_arc_bottom_mm"};
  for (std::size_t k = 1; k <= columns.spars; ++k)
    for (const char* what :
         {"x_mm", "depth_mm", "notch_top_mm", "notch_bottom_mm", "slot_mm", "arc_top_mm", "arc_bottom_mm"})
      table.columns.push_back(fmt::format("spar{}_{}", k, what));
  table.columns.emplace_back("nose_mm");
  table.columns.emplace_back("under_le_at_mm");
  std::vector<std::string> lines{"le"};
  for (std::size_t k = 1; k <= columns.spars; ++k) lines.push_back(fmt::format("spar{}", k));
  if (columns.trailingStock) lines.emplace_back("te_front");
  lines.emplace_back("te");
  for (const std::string& line : lines) {
    table.columns.push_back("under_" + line + "_mm");
    table.columns.push_back("slope_" + line + "_deg");
  }
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& p : wing.panels)
      for (const Rib& rib : p.frame.ribs) {
        const ChordFrame& f = rib.frame;
        std::vector<std::string> row{std::to_string(rib.number),
                                     kindName(rib.kind),
                                     std::to_string(p.design.id.wing + 1),
                                     std::to_string(p.design.id.panel + 1),
                                     cell(p.design.inboard + rib.t()),
                                     cell(p.design.setback + f.le.x()),
                                     cell(f.le.y()),
                                     cell(f.chord),
                                     degCell(f.washout),
                                     degCell(rib.turn),
                                     cell(rib.thickness),
                                     cell(rib.bareArea),
                                     cell(rib.cutArea),
                                     cell(rib.upperRun.sheetArc),
                                     cell(rib.lowerRun.sheetArc),
                                     cell(rib.upperRun.capArc),
                                     cell(rib.lowerRun.capArc)};
        for (std::size_t k = 0; k < columns.spars; ++k) sparCells(p, rib, k, row);
        supportCells(p, rib, columns, row);
        table.rows.push_back(std::move(row));
      }
  return table;
}

} // namespace eup
