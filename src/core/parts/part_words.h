// What parts are called in tables, whoever writes them.
#pragma once
#include "core/parts/part.h"

namespace eup {

/// "sheet", "strip", "rod", "block", "covering".
const char* nameOf(Stock::Form form);
/// The print that shows a piece at full size: "ribs", "braces"; else "cut list".
const char* nameOf(DrawnOn print);
/// What it is of: "Sitka spruce", "ironed film".
const std::string& materialOf(const Part& part, const Tables& tables);

} // namespace eup
