// What leaves the program: the bench's files of a wing, and the table of its stations.
#pragma once
#include "core/drawing/drawing.h"
#include "core/exchange/pdf_writer.h"
#include "core/exchange/report.h"
#include "core/measure/progress.h"
#include "core/wing/true_wing.h"
#include <filesystem>

namespace eup {

enum class ExportFormat { svg, dxf, pdf };
const char* name(ExportFormat format);

/// What can be printed of a wing.
enum class PrintPiece {
  ribs,
  plan,
  settingUp,
  gauges,
  braces,
  skins,
  foam,
  surfaces,
  benchCard,
  cutList,
  strength,
  workSheet,
  labels,
  log
};
inline constexpr std::array printPieceChoices{Choice{"ribs", "Ribs"},
                                              Choice{"plan", "Plan"},
                                              Choice{"setting-up", "Setting-up board"},
                                              Choice{"gauges", "Gauges"},
                                              Choice{"braces", "Braces"},
                                              Choice{"skins", "Skins"},
                                              Choice{"foam", "Foam templates"},
                                              Choice{"surfaces", "Hinge surfaces"},
                                              Choice{"bench-card", "Bench cards"},
                                              Choice{"cut-list", "Cut list"},
                                              Choice{"strength", "Strength cards"},
                                              Choice{"work-sheet", "Work sheet"},
                                              Choice{"labels", "Labels"},
                                              Choice{"log", "Log"}};
static_assert(printPieceChoices.size() == wordsFor(PrintPiece::log));
inline constexpr PrintPiece allPieces[] = {
    PrintPiece::ribs,     PrintPiece::plan,      PrintPiece::settingUp, PrintPiece::gauges,    PrintPiece::braces,
    PrintPiece::skins,    PrintPiece::foam,      PrintPiece::surfaces,  PrintPiece::benchCard, PrintPiece::cutList,
    PrintPiece::strength, PrintPiece::workSheet, PrintPiece::labels,    PrintPiece::log};
/// What a piece is printed for.
const char* purposeOf(PrintPiece piece);

struct ExportOrder {
  std::vector<ExportFormat> formats{ExportFormat::pdf};
  std::vector<Hand> hands{Hand::right, Hand::left};
  Paper paper = Paper::a4;
  double sheetWidth = 900; ///< mm, of the one sheet of ribs in SVG and DXF
  std::vector<PrintPiece> pieces{std::begin(allPieces), std::end(allPieces)}; ///< only these
  std::vector<int> panels{}; ///< of every wing, counted from 0; empty for all
  double kerf = 0; ///< mm that the cutter takes away: SVG and DXF of ribs and braces are moved outwards by half of it
  bool oneDocument = false; ///< PDF: one file with contents in place of one a piece and hand
};

/// What that order prints of an aircraft, piece by piece and hand by hand; a wing of its own after the other. The paper
/// of each lies the way that takes fewer sheets.
std::vector<PrintSection> sectionsOf(const TrueWing& aircraft, const ExportOrder& order);
/// How many sheets of paper its PDF takes.
int sheetsOfPaper(const TrueWing& aircraft, const ExportOrder& order);

/// What the files would be called; not all of them may come to be (a wing without braces).
std::vector<std::string> exportNames(const TrueWing& wing, const ExportOrder& order);

/// Writes the pieces that are ordered, a file each for every hand and format (or one PDF of all), into an existing
/// or new folder, and the same of every other wing of the aircraft. Returns the paths written. Names say wing, drawing
/// and hand: "fenlark-1500-ribs-right.svg", "fenlark-1500-tailplane-plan-left.pdf", "fenlark-1500-bench.pdf". A fin has
/// one hand.
Result<std::vector<std::filesystem::path>> exportWing(const TrueWing& wing, const std::filesystem::path& folder,
                                                      const ExportOrder& order, const Progress& progress = {});

/// The log with the drawings that the wing was built by, as one document.
Result<std::string> logDocument(const TrueWing& aircraft, Paper paper = Paper::a4);

/// What a section is written as, told by the file's name: .pdf, .svg and .dxf are a full-size sheet with gauges for the
/// nose, .dat and .txt a coordinate file in the layout asked for.
Result<Done> writeSection(const TruePanel& panel, bool root, const std::filesystem::path& path,
                          CoordinateLayout layout = CoordinateLayout::loop, Paper paper = Paper::a4);
/// Reference points of the plan for one hand, mirrored when the plan draws the other: .pdf, .svg or .dxf.
Result<Done> writeReference(const JudgedPlan& plan, const Design& design, Hand hand, const std::filesystem::path& path,
                            Paper paper = Paper::a4);

/// One row a rib, for other programs. Columns are documented in docs/figures.md.
Table stationTable(const TrueWing& wing);

/// A file name's worth of a wing's name: lower case letters, digits and dashes.
std::string fileNameOf(std::string_view name);

/// The machine's text for one core of a panel of foam, counted from 1; a problem where there is none, or it cannot be
/// cut.
Result<std::string> wireCodeOf(const TruePanel& panel, int core, Hand hand);

} // namespace eup
