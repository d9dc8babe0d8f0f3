// A region moved outwards by a disc that rolls round it: its corners come out round.
#pragma once
#include "core/geometry/region.h"

namespace eup {

/// All that lies within `distance` > 0 of it (Minkowski's sum with a disc), arcs in short straight steps.
Region grownRound(const Region& region, double distance);

} // namespace eup
