// The glue joints of a panel's frame.
#pragma once
#include "core/assembly/piece_finder.h"
#include "core/parts/frame.h"

namespace eup {

/// What of a rib another piece is glued to: itself, or of a stick rib the strip or block on that side.
enum class RibSide { upper, lower, nose, tail };
const Part* pieceOfRib(const PieceFinder& pieces, const Rib& rib, RibSide side);

/// Every joint of ribs, spars, webs, edges, diagonals, cap strips, tip and foam between ribs, of one hand. Areas are
/// those of the faces that touch: of a notch its bottom and both sides, of a slot both sides.
std::vector<Bond> bondsOfFrame(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Part>& parts);

} // namespace eup
