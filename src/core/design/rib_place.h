// A rib's name typed for a place along the span.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"
#include <optional>
#include <string_view>

namespace eup {

/// "R8" where a place along a panel is decided (of surfaces, runs, hard points, what lies in a core): where that rib
/// stands, mm; refused when it is not on the panel. Nothing where it is typed otherwise.
std::optional<Result<double>> placeOfRib(const Design& design, std::string_view path, std::string_view typed);

} // namespace eup
