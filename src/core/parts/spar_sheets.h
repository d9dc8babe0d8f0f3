// Outlines of spars: a full-depth one with its slots and a web that runs through, as they are cut of sheet; and any of
// them as the plan shows it.
#pragma once
#include "core/parts/rib.h"

namespace eup {

/// The ribs that a full-depth spar is slotted for, from the root outwards: all but those that end before it.
std::vector<Rib> passedBySheet(const std::vector<Rib>& ribs, const std::vector<Rib>& riblets);

/// A full-depth sheet spar with its slots, flat: s along its own length from the root, z up. Slots that are cut square
/// are as much wider as a rib's slope takes over the sheet's thickness; those that are filed are not.
Polyline fullDepthSparOutline(const Spar& spar, const SparLine& line, const std::vector<Rib>& ribs, double fit,
                              SlotCut cut = SlotCut::square);

/// A web that runs through, flat: s along its own length from the root, z up; between the caps' inner faces. Empty
/// without one.
Polyline webOutline(const Spar& spar, const SparLine& line);

/// The spar as it is seen from above on the panel's plan, x aft and y along the span, with a step where a cap ends.
/// Empty for one that has nothing at its root.
Polyline sparFromAbove(const Spar& spar, const SparLine& line);

} // namespace eup
