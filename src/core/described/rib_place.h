// A rib's name typed for a place along the span.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"
#include <optional>
#include <string_view>

namespace eup {

/// "R8" typed for a place along that panel's span: where that rib stands, mm; refused when it is not on the panel, with
/// `path` as the place of the fault. Nothing where it is typed otherwise, or where there is no such panel.
std::optional<Result<double>> placeOfRib(const Design& design, PanelId panel, std::string_view path,
                                         std::string_view typed);

} // namespace eup
