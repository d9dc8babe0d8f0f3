// Parts laid on pages so that none is torn that fits on one.
#pragma once
#include "core/drawing/drawing.h"

namespace eup {

/// A quarter turn to the left.
Drawing turned(Drawing drawing);

/// Parts on sheets of `frame` (mm), in rows, the highest first, either way round; a part that is larger than a sheet
/// has one of its own, which is then larger. Every sheet starts at (0,0) and carries the first part's title, wing and
/// hand. `between` mm stay free between parts.
std::vector<Drawing> packed(const std::vector<Drawing>& parts, const Point& frame, double between);

/// Blocks of text under each other in their order, a new sheet where the next one would not fit. A block is never
/// broken; one that is too wide is turned.
std::vector<Drawing> flowed(const std::vector<Drawing>& blocks, const Point& frame, double between);

/// All of them under each other on one endless sheet.
Drawing stacked(const std::vector<Drawing>& parts, double between);

} // namespace eup
