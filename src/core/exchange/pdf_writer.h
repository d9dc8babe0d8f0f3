// Drawings as PDF at full size, cut into pages that are glued together again along register marks.
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

/// How many pages the drawings take, the key page included.
int pageCount(const std::vector<Drawing>& drawings, Paper paper, bool sideways);

/// A key page (what is on which page, check bars), then every drawing on as many pages as it takes, each page with
/// its check bars both ways, hand, scale and number. All drawings are of one hand.
Result<std::string> toPdf(const std::vector<Drawing>& drawings, Paper paper, bool sideways);

} // namespace eup
