// A rib of strips in place of sheet: two bent strips, uprights and diagonals between them, blocks at both ends,
// gussets.
#pragma once
#include "core/assembly/piece_id.h"
#include "core/design/panel_brief.h"
#include "core/parts/rib.h"

namespace eup {

/// Those between a panel's end ribs, where its ribs are glued up of sticks; its end ribs too where that is decided.
bool isOfSticks(const PanelBrief& design, const Rib& rib);

/// Fills in the rib's sticks, gussets and wood. `body` is what a rib of sheet would be before anything passes through
/// it, `cuts` what passes: uprights stand beside those, and none is laid across one. The strips lie along the body's
/// edges; where they meet towards the tail each is planed to the line half way between the edges. The blocks fill what
/// lies between the strips.
void layOutSticks(const PanelBrief& design, const Region& body, const Region& cuts, Rib& rib);

/// Of all of them, mm².
double areaOfSticks(const Rib& rib);

/// "upper", "upright.3": the end of its part's key; and in words.
std::string keyOf(const Stick& stick);
PieceId idOf(const Rib& rib, const Stick& stick);
std::string wordsOf(const Stick& stick);

/// Ribs that one fixture makes: alike within 0.1 mm in outline and in what is cut, from the root outwards.
std::vector<std::vector<int>> alikeRibs(const std::vector<Rib>& ribs);

} // namespace eup
