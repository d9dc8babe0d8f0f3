// Round holes that are bored through a rib when all else is cut: for what runs through the wing, and to lighten it.
#pragma once
#include "core/parts/rib_making.h"

namespace eup {

/// For each run that passes the rib: in its own place, or, for what can be led aside, in the nearest along the chord
/// where the least wood is left all round. Where there is none it is told and not bored.
void boreRuns(const RibMaking& rib);

/// As large as the rim lets them be, largest first, along the middle of the wood; none that is smaller than asked.
void boreLightening(const RibMaking& rib);

} // namespace eup
