// What parts are called in tables, whoever writes them.
#pragma once
#include "core/assembly/part.h"
#include "core/measure/figure.h"
#include <string>

namespace eup {

/// "sheet", "strip", "rod", "block", "covering".
const char* nameOf(Stock::Form form);
/// The print that shows a piece at full size: "ribs", "braces"; else "cut list".
const char* nameOf(DrawnOn print);
/// What the sides of a rib's slot are filed to: "filed 16.50°, outer face aft"; empty for one that is cut square. Of a
/// sheet spar's slot for that rib: "filed 16.50°, rear face outwards".
std::string filedWords(double bevel, LengthUnit unit, bool inSheet = false);
/// What it is of: "Sitka spruce", "ironed film".
const std::string& materialOf(const Part& part, const Tables& tables);

} // namespace eup
