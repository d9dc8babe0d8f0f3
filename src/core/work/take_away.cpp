#include "core/work/take_away.h"
#include "core/drawing/reference_drawing.h"
#include "core/exchange/dxf_writer.h"
#include "core/exchange/svg_writer.h"
#include "core/files/text_file.h"
#include <algorithm>
#include <fmt/format.h>
#include <functional>

namespace eup {
namespace {

struct Piece {
  const char* name;
  std::function<std::vector<Drawing>(Hand)> forPages; ///< laid out for paper
  std::function<Drawing(Hand)> whole;                 ///< on one endless sheet
};

/// A card a panel.
std::vector<Drawing> benchCards(const DrawnWing& w, Hand hand) {
  std::vector<Drawing> cards;
  for (const DrawnPanel& panel : w) cards.push_back(benchCard(panel, hand));
  return cards;
}

/// Each panel is set up by itself.
std::vector<Drawing> settingUps(const DrawnWing& w, Hand hand) {
  std::vector<Drawing> boards;
  for (const DrawnPanel& panel : w) boards.push_back(settingUpDrawing(panel, hand));
  return boards;
}

std::vector<Drawing> gaugeSheets(const DrawnWing& w, Hand hand) {
  std::vector<Drawing> sheets;
  for (const DrawnPanel& panel : w) sheets.push_back(gaugeSheet(panel, hand));
  return sheets;
}

std::vector<Drawing> strengthCards(const DrawnWing& w, Hand hand) {
  std::vector<Drawing> cards;
  for (const DrawnPanel& panel : w) cards.push_back(strengthCard(panel, hand));
  return cards;
}

/// Under each other on one sheet, the first on top.
Drawing stacked(const std::vector<Drawing>& parts) {
  Drawing sheet = parts.front();
  for (std::size_t i = 1; i < parts.size(); ++i) {
    constexpr double gap = 20;
    const Box above = sheet.bounds(), box = parts[i].bounds();
    sheet.add(parts[i], {above.low.x() - box.low.x(), above.low.y() - gap - box.high.y()});
  }
  sheet.shift(-sheet.bounds().low);
  return sheet;
}

/// The pieces of one wing. `w` outlives them.
std::vector<Piece> pieces(const DrawnWing& w, const ExportOrder& order) {
  double longest = 0;
  for (const DrawnPanel& panel : w)
    for (const Rib& rib : panel.ribs) longest = std::max(longest, boundsOf(rib.wood).width());
  const bool sideways = longest > pageFrame(order.paper, false).x();
  const Point frame = pageFrame(order.paper, sideways);
  const double width = order.sheetWidth;
  return {{"ribs", [&w, frame](Hand h) { return ribSheets(w, h, frame.x(), frame.y()); },
           [&w, width](Hand h) { return ribSheets(w, h, width, 0).front(); }},
          {"plan", [&w](Hand h) { return std::vector{planDrawing(w, h)}; }, [&w](Hand h) { return planDrawing(w, h); }},
          {"setting-up", [&w](Hand h) { return settingUps(w, h); }, [&w](Hand h) { return stacked(settingUps(w, h)); }},
          {"gauges", [&w](Hand h) { return gaugeSheets(w, h); }, [&w](Hand h) { return stacked(gaugeSheets(w, h)); }},
          {"braces", [&w](Hand h) { return bracePlates(w, h); }, [&w](Hand h) { return bracePlates(w, h).front(); }},
          {"bench-card", [&w](Hand h) { return benchCards(w, h); }, [&w](Hand h) { return stacked(benchCards(w, h)); }},
          {"strength", [&w](Hand h) { return strengthCards(w, h); },
           [&w](Hand h) { return stacked(strengthCards(w, h)); }}};
}

/// `pages` is what the piece is on paper.
Result<std::string> contents(const Piece& piece, const std::vector<Drawing>& pages, Hand hand, ExportFormat format,
                             Paper paper) {
  switch (format) {
  case ExportFormat::svg:
    return toSvg(piece.whole(hand));
  case ExportFormat::dxf:
    return toDxf(piece.whole(hand));
  case ExportFormat::pdf:
    break;
  }
  return toPdf(pages, paper, betterSideways(pages, paper));
}

Result<Done> writeByName(const Drawing& drawing, const std::filesystem::path& path, Paper paper) {
  const std::string ending = path.extension().string();
  if (ending == ".svg") return writeFileAtomically(path, toSvg(drawing));
  const auto text = ending == ".dxf"   ? toDxf(drawing)
                    : ending == ".pdf" ? toPdf({drawing}, paper, betterSideways({drawing}, paper))
                                       : Problem{path.filename().string(),
                                                 "end the name in .pdf, .svg or .dxf (a section also in .dat)"};
  if (!text) return text.problem();
  return writeFileAtomically(path, text.value());
}

} // namespace

Result<Done> writeSection(const TruePanel& w, bool root, const std::filesystem::path& path, CoordinateLayout layout,
                          Paper paper) {
  const Section& section = root ? w.rootSection : w.tipSection;
  if (path.extension() == ".dat" || path.extension() == ".txt")
    return writeFileAtomically(path, coordinatesText(section, layout));
  const double chord = root ? w.design.panel.rootChord : w.design.panel.tipChord;
  const double radius =
      noseRadiusOf(root ? w.design.sections.root : w.design.sections.tip, root ? w.rootMeasures : w.tipMeasures);
  return writeByName(sectionDrawing(section, chord, radius, w.design.name, w.design.unit), path, paper);
}

Result<Done> writeReference(const JudgedPlan& plan, const Design& d, Hand hand, const std::filesystem::path& path,
                            Paper paper) {
  if (plan.hands.empty()) return Problem{"", "no edges were read off the plan yet: read LE and TE at the end ribs"};
  for (const DrawnHand& h : plan.hands)
    if (h.hand == hand) return writeByName(referenceDrawing(h, d.name, d.unit, hand), path, paper);
  return writeByName(referenceDrawing(plan.hands.front(), d.name, d.unit, hand), path, paper);
}

DrawnWing drawn(const TrueWing& w, int wing) {
  DrawnWing out;
  for (const TruePanel& p : w.wing(wing).panels)
    out.push_back({p.design, p.loft, p.spars, p.ribs, p.riblets, p.tip, p.join, p.settingUp, p.strength, p.bays,
                   w.wing(wing).loads});
  return out;
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
  struct Job {
    DrawnWing wing;
    std::string name;
    std::vector<Hand> hands;
  };
  std::vector<Job> jobs;
  std::vector<std::string> names;
  std::size_t handsInAll = 0;
  for (std::size_t i = 0; i < w.wings.size(); ++i) {
    std::string file = fileNameOf(w.design.name);
    if (i > 0) file += "-" + fileNameOf(w.design.wings[i].name);
    if (std::find(names.begin(), names.end(), file) != names.end())
      file += fmt::format("-{}", i + 1); // two of one name
    names.push_back(file);
    std::vector<Hand> hands = order.hands;
    if (!w.wings[i].mirrored) hands = {Hand::right};
    handsInAll += hands.size();
    jobs.push_back({drawn(w, static_cast<int>(i)), std::move(file), std::move(hands)});
  }
  constexpr std::size_t piecesOfWing = 7;
  const double steps = static_cast<double>(piecesOfWing * handsInAll * order.formats.size());
  std::vector<std::filesystem::path> written;
  for (const Job& job : jobs)
    for (const Piece& piece : pieces(job.wing, order))
      for (Hand hand : job.hands) {
        const std::vector<Drawing> pages = piece.forPages(hand);
        if (pages.empty()) continue; // no braces, or none of that hand alone
        for (ExportFormat format : order.formats) {
          if (progress && !progress(static_cast<double>(written.size()) / steps))
            return Problem{"", "stopped before all was written"};
          const auto text = contents(piece, pages, hand, format, order.paper);
          if (!text) return text.problem();
          const auto path = folder / fmt::format("{}-{}-{}.{}", job.name, piece.name, name(hand), name(format));
          if (const auto done = writeFileAtomically(path, text.value()); !done) return done.problem();
          written.push_back(path);
        }
      }
  return written;
}

} // namespace eup
