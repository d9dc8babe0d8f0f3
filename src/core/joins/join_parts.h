// The pieces that belong to a join: its braces, its joiner, the ply on the ribs that hold that.
#pragma once
#include "core/joins/joiner.h"
#include "core/parts/part.h"

namespace eup {

/// Of one hand, at the panel's root: at the centre half of each piece, further out the whole of it belongs to the panel
/// outside the join.
std::vector<Part> partsOfJoin(const PanelBrief& design, const PanelJoin& join, const std::optional<JoinerRod>& joiner,
                              const std::vector<SparLine>& spars);

} // namespace eup
