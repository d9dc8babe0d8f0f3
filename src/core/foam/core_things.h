// What lies in a panel's foam beside its spars' caps: tubes and rods in bores, hollows, pockets, grooves for leads,
// blocks of wood, upright webs. Each runs straight in space from one place of the span to another.
#pragma once
#include "core/foam/foam_core.h"

namespace eup {

/// The foam that it takes of a core's outline (closed, chord axes of that station) at t, empty outside its run. What is
/// let in reaches `depth` under the core's face; a hollow leaves its rim all round; a bore is whole, also where it
/// breaks out.
Region takenBy(const CoreThing& thing, const PanelLoft& loft, double t, const Polyline& outline);

/// Looks at every one of them: at its ends, half way and at each station between.
std::vector<CoreThingMade> thingsOf(const PanelBrief& design, const PanelLoft& loft, const Frame& stations);

/// mm³ of foam that they take between two places of the span.
double takenBetween(const PanelBrief& design, const PanelLoft& loft, double from, double to);

} // namespace eup
