// Which of a template's marks are called: not those that lie where strips come, at which one end stands still in a
// corner.
#pragma once
#include "core/foam/foam_core.h"

namespace eup {

/// Whether the wire passes a mark of that number at both ends while it moves.
bool isCalled(const FoamCore& core, const WireMark& mark);

} // namespace eup
