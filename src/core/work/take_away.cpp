#include "core/work/take_away.h"
#include "core/drawing/reference_drawing.h"
#include "core/exchange/dxf_writer.h"
#include "core/exchange/svg_writer.h"
#include "core/files/text_file.h"
#include <fmt/format.h>
#include <functional>

namespace eup {
namespace {

struct Piece {
  const char* name;
  std::function<std::vector<Drawing>(Hand)> forPages; ///< laid out for paper
  std::function<Drawing(Hand)> whole;                 ///< on one endless sheet
};

std::vector<Piece> pieces(const TrueWing& w, const ExportOrder& order) {
  double longest = 0;
  for (const Rib& rib : w.ribs) longest = std::max(longest, boundsOf(rib.wood).width());
  const bool sideways = longest > pageFrame(order.paper, false).x();
  const Point frame = pageFrame(order.paper, sideways);
  const double width = order.sheetWidth;
  return {{"ribs", [&w, frame](Hand h) { return ribSheets(drawn(w), h, frame.x(), frame.y()); },
           [&w, width](Hand h) { return ribSheets(drawn(w), h, width, 0).front(); }},
          {"plan", [&w](Hand h) { return std::vector{planDrawing(drawn(w), h)}; },
           [&w](Hand h) { return planDrawing(drawn(w), h); }},
          {"bench-card", [&w](Hand h) { return std::vector{benchCard(drawn(w), h)}; },
           [&w](Hand h) { return benchCard(drawn(w), h); }}};
}

Result<std::string> contents(const Piece& piece, Hand hand, ExportFormat format, Paper paper) {
  switch (format) {
  case ExportFormat::svg:
    return toSvg(piece.whole(hand));
  case ExportFormat::dxf:
    return toDxf(piece.whole(hand));
  case ExportFormat::pdf:
    break;
  }
  const auto drawings = piece.forPages(hand);
  return toPdf(drawings, paper, betterSideways(drawings, paper));
}

std::string cell(double value) {
  return fmt::format("{:.5f}", value);
}
std::string degCell(double rad) {
  return fmt::format("{:.5f}", radToDeg(rad));
}
const char* kindName(RibKind kind) {
  return kind == RibKind::root ? "root" : kind == RibKind::tip ? "tip" : "main";
}

Result<Done> writeByName(const Drawing& drawing, const std::filesystem::path& path, Paper paper) {
  const std::string ending = path.extension().string();
  if (ending == ".svg") return writeFileAtomically(path, toSvg(drawing));
  const auto text = ending == ".dxf"   ? toDxf(drawing)
                    : ending == ".pdf" ? toPdf({drawing}, paper, betterSideways({drawing}, paper))
                                       : Problem{path.filename().string(), "end the name in .pdf, .svg or .dxf (a section also in .dat)"};
  if (!text) return text.problem();
  return writeFileAtomically(path, text.value());
}

} // namespace

Result<Done> writeSection(const TrueWing& w, bool root, const std::filesystem::path& path, CoordinateLayout layout,
                          Paper paper) {
  const Section& section = root ? w.rootSection : w.tipSection;
  if (path.extension() == ".dat" || path.extension() == ".txt")
    return writeFileAtomically(path, coordinatesText(section, layout));
  const double chord = root ? w.design.panel.rootChord : w.design.panel.tipChord;
  const Figure* radius = w.figure(root ? "section.root.noseRadius" : "section.tip.noseRadius");
  return writeByName(sectionDrawing(section, chord, radius ? radius->value / chord : 0, w.design.name, w.design.unit),
                     path, paper);
}

Result<Done> writeReference(const TrueWing& w, Hand hand, const std::filesystem::path& path, Paper paper) {
  if (w.plan.hands.empty()) return Problem{"", "no edges were read off the plan yet: read LE and TE at the end ribs"};
  for (const DrawnHand& h : w.plan.hands)
    if (h.hand == hand) return writeByName(referenceDrawing(h, w.design.name, w.design.unit, hand), path, paper);
  return writeByName(referenceDrawing(w.plan.hands.front(), w.design.name, w.design.unit, hand), path, paper);
}

DrawnWing drawn(const TrueWing& w) {
  return {w.design, w.loft, w.spars, w.ribs, w.join, w.settingUp};
}

const char* name(ExportFormat format) {
  switch (format) {
  case ExportFormat::svg:
    return "svg";
  case ExportFormat::dxf:
    return "dxf";
  case ExportFormat::pdf:
    return "pdf";
  }
  return "";
}

std::string fileNameOf(std::string_view text) {
  std::string out;
  for (char c : text) {
    if (std::isalnum(static_cast<unsigned char>(c)))
      out += static_cast<char>(std::tolower(static_cast<unsigned char>(c)));
    else if (!out.empty() && out.back() != '-')
      out += '-';
    if (out.size() >= 60) break;
  }
  while (!out.empty() && out.back() == '-') out.pop_back();
  return out.empty() ? "wing" : out;
}

Result<std::vector<std::filesystem::path>> exportWing(const TrueWing& w, const std::filesystem::path& folder,
                                                      const ExportOrder& order, const Progress& progress) {
  std::error_code error;
  std::filesystem::create_directories(folder, error);
  if (error) return Problem{folder.string(), "the folder cannot be made: " + error.message()};
  const auto all = pieces(w, order);
  const double steps = static_cast<double>(all.size() * order.hands.size() * order.formats.size());
  std::vector<std::filesystem::path> written;
  for (Hand hand : order.hands)
    for (const Piece& piece : all)
      for (ExportFormat format : order.formats) {
        if (progress && !progress(static_cast<double>(written.size()) / steps))
          return Problem{"", "stopped before all was written"};
        const auto text = contents(piece, hand, format, order.paper);
        if (!text) return text.problem();
        const auto path =
            folder / fmt::format("{}-{}-{}.{}", fileNameOf(w.design.name), piece.name, name(hand), name(format));
        if (const auto done = writeFileAtomically(path, text.value()); !done) return done.problem();
        written.push_back(path);
      }
  return written;
}

Table stationTable(const TrueWing& w) {
  Table table;
  table.columns = {"number",
                   "kind",
                   "panel",
                   "station_mm",
                   "le_x_mm",
                   "le_z_mm",
                   "chord_mm",
                   "washout_deg",
                   "thickness_mm",
                   "bare_area_mm2",
                   "cut_area_mm2",
                   "sheet_arc_top_mm",
                   "sheet_arc_bottom_mm",
                   "cap_arc_top_mm",
                   "cap_arc_bottom_mm"};
  for (std::size_t k = 1; k <= w.spars.size(); ++k)
    for (const char* what :
         {"x_mm", "depth_mm", "notch_top_mm", "notch_bottom_mm", "slot_mm", "arc_top_mm", "arc_bottom_mm"})
      table.columns.push_back(fmt::format("spar{}_{}", k, what));
  table.columns.push_back("under_le_mm");
  const auto& lines = w.settingUp.ribs.front().at;
  for (std::size_t i = 1; i < lines.size(); ++i) {
    const std::string line = i <= w.spars.size() ? fmt::format("spar{}", i) : lines[i].line == "TE" ? "te" : "te_front";
    table.columns.push_back("under_" + line + "_mm");
    table.columns.push_back("slope_" + line + "_deg");
  }
  for (const Rib& rib : w.ribs) {
    const ChordFrame& f = rib.frame;
    std::vector<std::string> row{std::to_string(rib.number),
                                 kindName(rib.kind),
                                 "1",
                                 cell(rib.t()),
                                 cell(f.le.x()),
                                 cell(f.le.y()),
                                 cell(f.chord),
                                 degCell(f.washout),
                                 cell(rib.thickness),
                                 cell(rib.bareArea),
                                 cell(rib.cutArea),
                                 cell(rib.upperRun.sheetArc),
                                 cell(rib.lowerRun.sheetArc),
                                 cell(rib.upperRun.capArc),
                                 cell(rib.lowerRun.capArc)};
    for (std::size_t k = 0; k < w.spars.size(); ++k) {
      std::string top, bottom, slot;
      for (const Notch& n : rib.notches)
        if (n.spar == static_cast<int>(k)) (n.face == Face::upper ? top : bottom) = cell(n.depth);
      for (const Slot& s : rib.slots)
        if (s.spar == static_cast<int>(k)) slot = cell(s.depth);
      const double fraction = std::clamp(rib.sparX[k] / f.chord, 0.0, 1.0);
      for (std::string& s : std::vector{cell(rib.sparX[k]), cell(rib.sparDepth[k]), top, bottom, slot,
                                        cell(arcTo(w.loft, Face::upper, fraction, rib.t())),
                                        cell(arcTo(w.loft, Face::lower, fraction, rib.t()))})
        row.push_back(s);
    }
    for (const Support& s : w.settingUp.ribs[static_cast<std::size_t>(rib.number - 1)].at) {
      row.push_back(cell(s.height));
      if (s.line != "LE") row.push_back(s.slope ? degCell(*s.slope) : "");
    }
    table.rows.push_back(std::move(row));
  }
  return table;
}

} // namespace eup
