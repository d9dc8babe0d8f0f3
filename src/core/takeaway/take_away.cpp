#include "core/takeaway/take_away.h"
#include "core/drawing/bench_sheets.h"
#include "core/drawing/paging.h"
#include "core/drawing/reference_drawing.h"
#include "core/exchange/dxf_writer.h"
#include "core/exchange/svg_writer.h"
#include "core/exchange/wire_code.h"
#include "core/files/bytes.h"
#include "core/files/text_file.h"
#include "core/steps/steps.h"
#include "core/wing/run_over.h"
#include <algorithm>
#include <fmt/format.h>
#include <iterator>

namespace eup {
namespace {

constexpr double betweenParts = 6, betweenBlocks = 5, betweenBoards = 20; // mm

/// A wing of the aircraft with what of it is ordered.
struct Job {
  DrawnWing right, left; ///< as either is built; the left one is turned over when it is drawn
  std::string name;
  std::vector<Hand> hands;
  std::vector<Step> steps;          ///< of that wing's building
  const Records* records = nullptr; ///< the aircraft's
  bool first = false;               ///< the one that what is of the whole aircraft is printed with
  const WholeWing *wholeRight = nullptr, *wholeLeft = nullptr; ///< the wing that they are of
  const DrawnWing& wing(Hand hand) const { return hand == Hand::left ? left : right; }
  const WholeWing& whole(Hand hand) const { return hand == Hand::left ? *wholeLeft : *wholeRight; }
  /// Both hands lie on the board as one, and are printed so, with the first of them.
  bool asOne() const { return right.front().get().design.innermost() && builtWith(*wholeRight, 0).bothHands; }
  bool withFirst(Hand hand) const { return asOne() && hand != hands.front(); }
};

/// What is packed on pages of any size, drawn once: groups that do not share a page.
std::vector<std::vector<Drawing>> loosePieces(PrintPiece piece, const Job& job, Hand hand) {
  const DrawnWing& w = job.wing(hand);
  std::vector<std::vector<Drawing>> out;
  switch (piece) {
  case PrintPiece::ribs:
    return {ribParts(w, hand)};
  case PrintPiece::gauges:
    for (const TruePanel& panel : w) out.push_back(gauges(panel, hand));
    return out;
  case PrintPiece::braces:
    return {bracesOneByOne(w, hand)};
  case PrintPiece::foam:
    for (const TruePanel& panel : w) out.push_back(foamTemplates(panel, hand));
    return out;
  case PrintPiece::surfaces:
    for (const TruePanel& panel : w) out.push_back(surfacePrints(panel, hand));
    return out;
  default:
    return out;
  }
}

/// Empty where it is printed with the other hand.
Drawing planOf(const Job& job, Hand hand) {
  if (job.withFirst(hand)) return {};
  return job.asOne() ? planOfBoth(job.right, job.left) : planDrawing(job.wing(hand), hand);
}

/// The piece of a wing, of a hand, on pages of that size; `loose` are its loose pieces.
std::vector<Drawing> pagesOf(PrintPiece piece, const Job& job, Hand hand, const Point& frame,
                             const std::vector<std::vector<Drawing>>& loose) {
  const DrawnWing& w = job.wing(hand);
  std::vector<Drawing> out;
  const auto add = [&](std::vector<Drawing> more) { std::move(more.begin(), more.end(), std::back_inserter(out)); };
  switch (piece) {
  case PrintPiece::ribs:
  case PrintPiece::gauges:
  case PrintPiece::braces:
  case PrintPiece::foam:
  case PrintPiece::surfaces:
    for (const std::vector<Drawing>& group : loose) add(packed(group, frame, betweenParts));
    return out;
  case PrintPiece::plan:
    if (const Drawing plan = planOf(job, hand); !plan.strokes.empty()) out.push_back(plan);
    return out;
  case PrintPiece::settingUp: // each panel is set up by itself
    for (const TruePanel& panel : w) {
      if (panel.design.built != Built::ribs) continue;
      if (!job.asOne() || !panel.design.innermost())
        out.push_back(settingUpDrawing(panel, hand));
      else if (!job.withFirst(hand))
        out.push_back(settingUpOfBoth(job.right.front(), job.left.front()));
    }
    return out;
  case PrintPiece::skins:
    for (const TruePanel& panel : w) {
      add(flowed(skinPlan(panel, hand), frame, betweenBlocks));
      add(packed(sheetBlanks(panel, hand), frame, betweenParts));
      add(packed(skinPatterns(panel, hand), frame, betweenParts));
      add(packed(smallPieces(panel, hand), frame, betweenParts));
    }
    return out;
  case PrintPiece::benchCard:
    for (const TruePanel& panel : w)
      add(flowed(benchCard(job.whole(hand), panel, hand, frame.y()), frame, betweenBlocks));
    return out;
  case PrintPiece::cutList:
    add(flowed(cutList(w, hand, frame.y()), frame, betweenBlocks / 2));
    return out;
  case PrintPiece::strength:
    for (const TruePanel& panel : w)
      if (!panel.sheet) add(flowed(strengthCard(job.whole(hand), panel, hand), frame, betweenBlocks / 2));
    return out;
  case PrintPiece::workSheet:
    add(flowed(workSheet(w.front().get().design.name, hand, job.steps, *job.records, w.front().get().design.unit),
               frame, betweenBlocks / 2));
    return out;
  case PrintPiece::labels:
    return packed(pieceLabels(w, hand), frame, 2);
  case PrintPiece::log: // one for both hands
    if (job.first && hand == job.hands.front())
      add(flowed(logSheets(w.front().get().design.name, *job.records), frame, 1));
    return out;
  }
  return out;
}

/// The same on one endless sheet; empty where there is nothing.
Drawing wholeOf(PrintPiece piece, const Job& job, Hand hand, const ExportOrder& order) {
  const DrawnWing& w = job.wing(hand);
  switch (piece) {
  case PrintPiece::ribs:
    return ribSheets(w, hand, order.sheetWidth, 0, order.kerf).front();
  case PrintPiece::braces: // nested, as it is sawn out of one piece of ply
    return bracePlates(w, hand, order.kerf).front();
  case PrintPiece::plan:
    return planOf(job, hand);
  case PrintPiece::settingUp:
  case PrintPiece::gauges:
  case PrintPiece::skins:
  case PrintPiece::foam:
  case PrintPiece::surfaces:
  case PrintPiece::benchCard:
  case PrintPiece::cutList:
  case PrintPiece::strength:
  case PrintPiece::workSheet:
  case PrintPiece::labels:
  case PrintPiece::log:
    break;
  }
  return stacked(pagesOf(piece, job, hand, {1e9, 1e9}, loosePieces(piece, job, hand)), betweenBoards);
}

/// On paper that lies the way that takes fewer sheets; a text stands upright.
PrintSection sectionOf(PrintPiece piece, const Job& job, Hand hand, Paper paper) {
  const std::string title(printPieceChoices[static_cast<std::size_t>(piece)].label);
  const std::vector<std::vector<Drawing>> loose = loosePieces(piece, job, hand);
  PrintSection upright{pagesOf(piece, job, hand, pageFrame(paper, false), loose), false, purposeOf(piece), title};
  const bool text = piece == PrintPiece::benchCard || piece == PrintPiece::cutList || piece == PrintPiece::strength ||
                    piece == PrintPiece::workSheet || piece == PrintPiece::log;
  if (upright.drawings.empty() || text) return upright;
  PrintSection sideways{pagesOf(piece, job, hand, pageFrame(paper, true), loose), true, purposeOf(piece), title};
  return sheetCount({sideways}, paper) < sheetCount({upright}, paper) ? sideways : upright;
}

std::vector<Job> jobsOf(const TrueWing& w, const ExportOrder& order) {
  std::vector<Job> jobs;
  std::vector<std::string> names;
  const bool sheet = std::find(order.pieces.begin(), order.pieces.end(), PrintPiece::workSheet) != order.pieces.end();
  const std::vector<Step> steps = sheet ? stepsOf(w) : std::vector<Step>{};
  for (std::size_t i = 0; i < w.wings.size(); ++i) {
    std::string file = fileNameOf(w.design.name);
    if (i > 0) file += "-" + fileNameOf(w.design.wings[i].name);
    if (std::find(names.begin(), names.end(), file) != names.end())
      file += fmt::format("-{}", i + 1); // two of one name
    names.push_back(file);
    std::vector<Hand> hands = order.hands;
    if (!w.wings[i].mirrored) hands = {Hand::right};
    const auto ordered = [&](Hand hand) {
      DrawnWing wing;
      for (const TruePanel& panel : drawn(w.of(hand).wings[i]))
        if (order.panels.empty() ||
            std::find(order.panels.begin(), order.panels.end(), panel.design.id.panel) != order.panels.end())
          wing.push_back(panel);
      return wing;
    };
    DrawnWing right = ordered(Hand::right);
    if (right.empty()) continue;
    std::vector<Step> mine;
    for (const Step& s : steps)
      if (s.wing == static_cast<int>(i)) mine.push_back(s);
    jobs.push_back({right, ordered(Hand::left), std::move(file), std::move(hands), std::move(mine), &w.design.records,
                    jobs.empty(), &w.of(Hand::right).wings[i], &w.of(Hand::left).wings[i]});
  }
  return jobs;
}

std::string fileOf(const Job& job, PrintPiece piece, Hand hand, ExportFormat format) {
  const bool both = job.asOne() && (piece == PrintPiece::plan ||
                                    (piece == PrintPiece::settingUp && job.right.size() == 1)); // further out by hands
  return fmt::format("{}-{}-{}.{}", job.name, printPieceChoices[static_cast<std::size_t>(piece)].key,
                     both ? "both" : name(hand), name(format));
}

std::string documentOf(const TrueWing& w) {
  return fileNameOf(w.design.name) + "-bench.pdf";
}

std::string legendOf(LengthUnit unit) {
  return unit == LengthUnit::inch ? "Inches as fractions to 1/64; what is left over stands behind them in thousandths: "
                                    "3/8\" +.006 is six thousandths more."
                                  : "Lengths in millimetres.";
}

Result<Done> writeByName(const Drawing& drawing, const std::filesystem::path& path, Paper paper, LengthUnit unit) {
  const std::string ending = path.extension().string();
  if (ending == ".svg") return writeFileAtomically(path, toSvg(drawing));
  const auto text = ending == ".dxf"   ? toDxf(drawing)
                    : ending == ".pdf" ? toPdf({{{drawing}, betterSideways({drawing}, paper)}}, paper, legendOf(unit))
                                       : Problem{path.filename().string(),
                                                 "end the name in .pdf, .svg or .dxf (a section also in .dat)"};
  if (!text) return text.problem();
  return writeFileAtomically(path, text.value());
}

} // namespace

Result<Done> writeSection(const TruePanel& w, bool root, const std::filesystem::path& path, CoordinateLayout layout,
                          Paper paper) {
  const Section& section = root ? w.shape.rootSection : w.shape.tipSection;
  if (path.extension() == ".dat" || path.extension() == ".txt")
    return writeFileAtomically(path, coordinatesText(section, layout));
  const double chord = root ? w.design.panel.rootChord : w.design.panel.tipChord;
  const double radius = noseRadiusOf(root ? w.design.sections.root : w.design.sections.tip,
                                     root ? w.shape.rootMeasures : w.shape.tipMeasures);
  return writeByName(sectionDrawing(section, chord, radius, w.design.name, w.design.unit), path, paper, w.design.unit);
}

Result<Done> writeReference(const JudgedPlan& plan, const Design& d, Hand hand, const std::filesystem::path& path,
                            Paper paper) {
  if (plan.hands.empty()) return Problem{"", "no edges were read off the plan yet: read LE and TE at the end ribs"};
  for (const DrawnHand& h : plan.hands)
    if (h.hand == hand) return writeByName(referenceDrawing(h, d.name, d.unit, hand), path, paper, d.unit);
  return writeByName(referenceDrawing(plan.hands.front(), d.name, d.unit, hand), path, paper, d.unit);
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
  // Two names must not become one where letters are left out: then a few of their checksum's tell them apart.
  const bool lost = text.size() > 60 ||
                    std::any_of(text.begin(), text.end(), [](char c) { return static_cast<unsigned char>(c) >= 0x80; });
  if (out.empty()) out = "wing";
  return lost ? out + "-" + sha256(text).substr(0, 4) : out;
}

const char* purposeOf(PrintPiece piece) {
  switch (piece) {
  case PrintPiece::ribs:
    return "stick on wood and cut: ribs, riblets, sheet spars, tip parts";
  case PrintPiece::plan:
    return "lay on the board under film and build over it";
  case PrintPiece::settingUp:
    return "lay on the board: what goes under every rib, how high and how steep";
  case PrintPiece::gauges:
    return "cut out of card or ply: templates, stairs of packing, blocks, the cradle";
  case PrintPiece::braces:
    return "stick on ply and saw out, grain along";
  case PrintPiece::skins:
    return "lay on sheet and cut: skins flat, with the ribs and spars to lay them by";
  case PrintPiece::foam:
    return "stick on ply and saw out: what the wire rides on, two for every core";
  case PrintPiece::surfaces:
    return "facings with their hinges, ends, bevels, linkage: lay on wood, cut, check";
  case PrintPiece::benchCard:
    return "keep in sight: block, bevel and packing as numbers and gauges";
  case PrintPiece::cutList:
    return "take to the shop and to the saw: what to buy, and every piece with its size";
  case PrintPiece::strength:
    return "keep with the model: loads, reserves, sources, cautions";
  case PrintPiece::workSheet:
    return "pin over the bench: the steps in their order, with boxes to tick";
  case PrintPiece::labels:
    return "cut apart and stick on the pieces: names, hands, sizes";
  case PrintPiece::log:
    return "keep with the model: what was done, read and changed, and when";
  }
  return "";
}

std::vector<PrintSection> sectionsOf(const TrueWing& w, const ExportOrder& order) {
  std::vector<PrintSection> out;
  for (const Job& job : jobsOf(w, order))
    for (const PrintPiece piece : order.pieces)
      for (const Hand hand : job.hands)
        if (PrintSection s = sectionOf(piece, job, hand, order.paper); !s.drawings.empty()) out.push_back(std::move(s));
  return out;
}

int sheetsOfPaper(const TrueWing& w, const ExportOrder& order) {
  const std::vector<PrintSection> sections = sectionsOf(w, order);
  if (order.oneDocument) return sections.empty() ? 0 : sheetCount(sections, order.paper);
  int all = 0;
  for (const PrintSection& s : sections) all += sheetCount({s}, order.paper);
  return all;
}

Result<std::string> logDocument(const TrueWing& w, Paper paper) {
  ExportOrder order;
  order.paper = paper;
  order.pieces = {PrintPiece::log,     PrintPiece::workSheet, PrintPiece::benchCard,
                  PrintPiece::cutList, PrintPiece::plan,      PrintPiece::ribs};
  return toPdf(sectionsOf(w, order), paper, legendOf(w.design.unit));
}

std::vector<std::string> exportNames(const TrueWing& w, const ExportOrder& order) {
  std::vector<std::string> out;
  for (const Job& job : jobsOf(w, order))
    for (const PrintPiece piece : order.pieces)
      for (const Hand hand : job.hands)
        for (const ExportFormat format : order.formats)
          if (format != ExportFormat::pdf || !order.oneDocument)
            if (std::string file = fileOf(job, piece, hand, format);
                std::find(out.begin(), out.end(), file) == out.end())
              out.push_back(std::move(file));
  if (order.oneDocument) out.push_back(documentOf(w));
  return out;
}

Result<std::vector<std::filesystem::path>> exportWing(const TrueWing& w, const std::filesystem::path& folder,
                                                      const ExportOrder& order, const Progress& progress) {
  std::error_code error;
  std::filesystem::create_directories(folder, error);
  if (error) return Problem{folder.string(), "the folder cannot be made: " + error.message()};
  const std::vector<Job> jobs = jobsOf(w, order);
  std::vector<std::filesystem::path> written;
  std::size_t handsInAll = 0;
  for (const Job& job : jobs) handsInAll += job.hands.size();
  const double steps =
      static_cast<double>(std::max<std::size_t>(1, order.pieces.size() * handsInAll * order.formats.size()));
  double step = 0;
  const auto write = [&](const std::string& file, const Result<std::string>& text) -> std::optional<Problem> {
    if (!text) return text.problem();
    if (const auto done = writeFileAtomically(folder / file, text.value(), Links::replaced); !done)
      return done.problem();
    written.push_back(folder / file);
    return std::nullopt;
  };
  const Problem stopped{"", "stopped before all was written"};
  std::vector<PrintSection> document;
  for (const Job& job : jobs)
    for (const PrintPiece piece : order.pieces)
      for (const Hand hand : job.hands) {
        PrintSection section = sectionOf(piece, job, hand, order.paper);
        const bool nothing = section.drawings.empty(); // no braces, or none of that hand alone
        for (const ExportFormat format : order.formats) {
          if (progress && !progress(step++ / steps)) return stopped;
          if (nothing) continue;
          if (format == ExportFormat::pdf && order.oneDocument) {
            document.push_back(section);
            continue;
          }
          const std::string file = fileOf(job, piece, hand, format);
          const Result<std::string> text =
              format == ExportFormat::pdf   ? toPdf(std::vector{section}, order.paper, legendOf(w.design.unit))
              : format == ExportFormat::svg ? Result<std::string>(toSvg(wholeOf(piece, job, hand, order)))
                                            : toDxf(wholeOf(piece, job, hand, order));
          if (const auto problem = write(file, text)) return *problem;
        }
      }
  if (!document.empty()) {
    if (const auto problem = write(documentOf(w), toPdf(document, order.paper, legendOf(w.design.unit))))
      return *problem;
  }
  return written;
}

Result<std::string> wireCodeOf(const TruePanel& p, int core, Hand hand) {
  if (!p.foam) return Problem{"", "the panel is not of foam"};
  if (core < 1 || core > static_cast<int>(p.foam->cores.size()))
    return Problem{"", fmt::format("there is no core {}: the panel has {}", core, p.foam->cores.size())};
  const auto program = wireProgram(p.foam->cores[static_cast<std::size_t>(core - 1)], p.design.wire, hand);
  if (!program) return program.problem();
  return wireCode(
      program.value(), p.design.wire,
      fmt::format("{}, panel {}, core {}, {} HAND", p.design.name, p.design.id.panel + 1, core, nameLarge(hand)));
}

} // namespace eup
