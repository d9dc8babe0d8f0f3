// Where what lies in a panel's foam runs: straight in space from one place of the span to another.
#pragma once
#include "core/loft/panel_loft.h"

namespace eup {

/// A tube's, mm; 0 of what is solid.
double boreOf(const CoreThing& thing);
/// Of its middle line at one of its ends, panel axes; beyond the tip at the tip.
Point3 endInCore(const CoreThing& thing, const PanelLoft& loft, bool then);
/// Where its middle line is at t, in the chord axes there; of what is not round its x alone counts.
Point middleInCore(const CoreThing& thing, const PanelLoft& loft, double t);
/// The two parts of one that is cut at t; nothing of what lies wholly on the other side. The outer one's places are
/// from the cut on.
std::pair<std::optional<CoreThing>, std::optional<CoreThing>> splitInCore(const CoreThing& thing, const PanelLoft& loft,
                                                                          double t);

} // namespace eup
