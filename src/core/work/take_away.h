// What leaves the program: the bench's files of a wing, and the table of its stations.
#pragma once
#include "core/drawing/wing_drawings.h"
#include "core/exchange/pdf_writer.h"
#include "core/exchange/report.h"
#include "core/work/true_wing.h"
#include <filesystem>
#include <functional>

namespace eup {

DrawnWing drawn(const TrueWing& wing);

enum class ExportFormat { svg, dxf, pdf };
const char* name(ExportFormat format);

struct ExportOrder {
  std::vector<ExportFormat> formats{ExportFormat::pdf};
  std::vector<Hand> hands{Hand::right, Hand::left};
  Paper paper = Paper::a4;
  double sheetWidth = 900; ///< mm, of the one sheet of ribs in SVG and DXF
};

/// Told the share done (0 … 1) before each file; answers false to stop.
using Progress = std::function<bool(double)>;

/// Writes ribs, plan and bench card, a file each for every hand and format, into an existing or new folder. Returns
/// the paths written. Names say wing, drawing and hand: "fenlark-1500-ribs-right.svg".
Result<std::vector<std::filesystem::path>> exportWing(const TrueWing& wing, const std::filesystem::path& folder,
                                                      const ExportOrder& order, const Progress& progress = {});

/// One row a rib, for other programs. Columns are documented in docs/figures.md.
Table stationTable(const TrueWing& wing);

/// A file name's worth of a wing's name: lower case letters, digits and dashes.
std::string fileNameOf(std::string_view name);

} // namespace eup
