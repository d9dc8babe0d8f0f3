// Outlines of spars: a full-depth one with its slots and a web that runs through, as they are cut of sheet; and any of
// them as the plan shows it.
#pragma once
#include "core/parts/rib.h"

namespace eup {

/// The slots of a full-depth sheet spar for the ribs that run through it, all but riblets that end before it. Those
/// that are cut square are as much wider as a rib's slope takes over the sheet's thickness.
std::vector<SheetSlot> sheetSlots(const PanelDesign& design, const SparLine& line, const std::vector<Rib>& ribs,
                                  const std::vector<Rib>& riblets);

/// A full-depth sheet spar with its slots, flat: s along its own length from the root, z up.
Polyline fullDepthSparOutline(const Spar& spar, const SparLine& line);

/// A web that runs through, flat: s along its own length from the root, z up; between the caps' inner faces. Empty
/// without one.
Polyline webOutline(const Spar& spar, const SparLine& line);

/// The spar as it is seen from above on the panel's plan, x aft and y along the span, with a step where a cap ends.
/// Empty for one that has nothing at its root.
Polyline sparFromAbove(const Spar& spar, const SparLine& line);

} // namespace eup
