// Saw marks of a surface on hinges on a rib's print.
#pragma once
#include "core/design/surface_design.h"
#include "core/drawing/drawing.h"
#include "core/parts/rib.h"

namespace eup {

/// Where a surface is sawn off, and what it is shaped to behind the cuts. `whole`: the rib is made in one piece
/// whatever is built of its tail, and sawn then.
void hingeMarks(Drawing& drawing, const Surface& surface, const HingeCut& cut, bool whole);

} // namespace eup
