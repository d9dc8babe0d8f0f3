// What a panel carries on hinges and what is built into it, when it is cut in two or put together with the one outside
// it.
#pragma once
#include "core/loft/panel_loft.h"
#include "core/measure/result.h"
#include <optional>

namespace eup {

/// Hinge lines, leads and tubes stay straight on the plan; a surface that is cut goes on from one panel to the other.
void splitFittings(const PanelDesign& whole, const PanelLoft& loft, double t, PanelDesign& inner, PanelDesign& outer);
/// Those of the outer panel after those of `one`; what was cut from one thing, and meets at the join, is one again.
/// `inside` is the inner panel's span. Why it cannot be done: `one` is not to be used then.
std::optional<Problem> mergeFittings(const PanelDesign& outer, double inside, PanelDesign& one);

} // namespace eup
