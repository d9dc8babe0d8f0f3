// Whether a design can be read again once it is written: every value within the limits that the reader keeps.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"
#include <optional>

namespace eup {

/// The first value that is beyond its limits, by its label and path; nothing when there is none. What is typed is held
/// to the same limits by `decide`; this is for designs that are put together otherwise.
std::optional<Problem> outOfLimits(const Design& design);

} // namespace eup
