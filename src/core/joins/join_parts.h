// The pieces that belong to a join: its braces, its joiner, the ply on the ribs that hold that.
#pragma once
#include "core/assembly/bond.h"
#include "core/assembly/part.h"
#include "core/joins/joiner.h"

namespace eup {

/// Of one hand, at the panel's root: at the centre half of each piece, further out the whole of it belongs to the panel
/// outside the join.
std::vector<Part> partsOfJoin(const PanelBrief& design, const PanelJoin& join, const std::optional<JoinerRod>& joiner,
                              const std::vector<SparLine>& spars);

/// Braces on their spars in both halves, the ply round a joiner, and the root's face on what it meets where nothing
/// slides; `parts` are all of the panel's.
std::vector<Bond> bondsOfJoin(const PanelBrief& design, const PanelJoin& join, const std::optional<JoinerRod>& joiner,
                              const Frame& frame, const std::vector<Part>& parts);

} // namespace eup
