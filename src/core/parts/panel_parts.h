// Every piece of a panel's frame.
#pragma once
#include "core/assembly/part.h"
#include "core/parts/frame.h"
#include "core/parts/tip.h"

namespace eup {

/// Every piece of one hand that is decided: no glue, hardware or paint. Ribs by their cut area; caps as strips between
/// the places where they change; webs between ribs and caps; edges as strips under the section's outline (a square one
/// 0.85 of width × depth behind it, a wedge half), bought as deep as the deepest of them; sheet and covering by their
/// cross-section at every rib, straight between; diagonals bar by bar; of the tip a plate and an outline by their area,
/// a bow by its strips' length, a block as half the tip rib's depth over its plan.
std::vector<Part> partsOf(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                          const std::optional<TipShape>& tip);

/// What the caps, or the sheet, of a spar weigh on its line, g of one hand: exact for what tapers, changes or ends.
double sparGrams(const Spar& spar, const SparLine& line, const Tables& tables);

/// What tips are carved and cut of: they have no wood of their own to be chosen.
inline constexpr const char* tipWood = "balsa-160";

} // namespace eup
