// Where a piece of a panel lies, seen from above.
#pragma once
#include "core/wing/true_panel.h"

namespace eup {

/// A piece as the plan shows it, in its panel: closed, (aft, along the span). Empty where there is nothing to show.
Polyline seenFromAbove(const TruePanel& panel, const Part& part);

} // namespace eup
