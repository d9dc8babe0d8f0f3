// What stands on a panel, counts its spars or counts panels, wherever it is decided, when those are others than they
// were. All of it is found by the description of the decisions.
#pragma once
#include "core/design/design.h"
#include <functional>

namespace eup {

/// Every panel that is named by its place, from 0, of every wing: gives back its new place.
void renumberPanels(Design& design, int wing, const std::function<int(int)>& now);
/// Every wing that is named by its place, from 0.
void renumberWings(Design& design, const std::function<int(int)>& now);
/// Every spar of that panel that is named by its place, from 0.
void renumberSpars(Design& design, PanelId panel, const std::function<int(int)>& now);
/// All that is laid off along that panel's span, mm from its inner end; no limit holds it.
void stretchAlong(Design& design, PanelId panel, double times);

} // namespace eup
