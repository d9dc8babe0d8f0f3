// What is looked at in a JSON text before a parser is let at it: a hostile one must not cost its memory or minutes.
#pragma once
#include "core/measure/result.h"
#include <string_view>

namespace eup {

/// No file of ours nests deeper, holds more values, or more names in one object, by a wide margin.
inline constexpr int deepestJson = 64, mostJsonNames = 400;
inline constexpr std::size_t mostJsonValues = 2'000'000;

/// Refuses, with line and cause, a text that goes beyond. It need not be JSON: what else is wrong is the parser's to
/// say.
Result<Done> withinJsonBounds(std::string_view text);

} // namespace eup
