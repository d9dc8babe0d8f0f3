// Drawings as PDF at full size: what fits on a page is on one, what is larger is cut into pages that are glued together
// again along register marks.
#pragma once
#include "core/drawing/drawing.h"
#include "core/measure/result.h"
#include <string>
#include <vector>

namespace eup {

enum class Paper { a4, letter };

/// Width and height, upright, mm. A4: ISO 216. Letter: 8.5 × 11 in.
Point paperSize(Paper paper);

inline constexpr double pageOverlap = 10; // mm that neighbouring pages share

/// The part of a page that a drawing can fill.
Point pageFrame(Paper paper, bool sideways);

/// Whether these drawings take fewer pages on sideways paper.
bool betterSideways(const std::vector<Drawing>& drawings, Paper paper);

/// What is printed together: the drawings of one kind and hand, all on paper of one direction.
struct PrintSection {
  std::vector<Drawing> drawings;
  bool sideways = false;
  std::string purpose{}; ///< what it is printed for
  std::string title{};   ///< of all its drawings; empty for the first one's
};

/// One sheet of paper: a drawing, or a part of one that is larger.
struct PrintPage {
  std::size_t section = 0, drawing = 0;
  Box window; ///< of the drawing, as large as the page's frame
  int row = 0, column = 0, rows = 1, columns = 1;
};

/// The pages of the drawings, without contents and key.
std::vector<PrintPage> printPages(const std::vector<PrintSection>& sections, Paper paper);

/// How many sheets of paper it takes: contents (where there are several sections), key, and every drawing.
int sheetCount(const std::vector<PrintSection>& sections, Paper paper);
/// Of drawings of one kind, with their key.
int pageCount(const std::vector<Drawing>& drawings, Paper paper, bool sideways);

/// Where there are several sections, contents: what is on which page and what to print it for, with `legend` under it;
/// else the legend stands on the key.
/// A key (small pictures with their pages' numbers), then every drawing on as many pages as it takes, each page with
/// its check bars both ways, hand, scale and number.
Result<std::string> toPdf(const std::vector<PrintSection>& sections, Paper paper, const std::string& legend = {});
/// All drawings are of one hand.
Result<std::string> toPdf(const std::vector<Drawing>& drawings, Paper paper, bool sideways);

} // namespace eup
