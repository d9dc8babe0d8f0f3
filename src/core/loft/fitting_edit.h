// What a panel carries on hinges and what is built into it, when it is cut in two or put together with the one outside
// it.
#pragma once
#include "core/loft/panel_loft.h"

namespace eup {

/// Hinge lines, leads and tubes stay straight on the plan; a surface that is cut goes on from one panel to the other.
void splitFittings(const PanelDesign& whole, const PanelLoft& loft, double t, PanelDesign& inner, PanelDesign& outer);
/// Those of the outer panel after those of `one`, as far as there is room; `inside` is the inner panel's span.
void mergeFittings(const PanelDesign& outer, double inside, PanelDesign& one);

} // namespace eup
