// Whether a box lies wholly within a region, without cutting either.
#pragma once
#include "core/geometry/region.h"

namespace eup {

/// No edge of the region passes through the box, and its middle is inside. An edge that runs along a side of the box
/// does not pass through it. The box is not empty.
bool liesIn(const Box& box, const Region& region);

} // namespace eup
