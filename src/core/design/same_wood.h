// What is recorded, and what is decided under the name of a step or a piece, stays with its wood when wings and panels
// are cut in two, put together, moved, added or taken out.
#pragma once
#include "core/design/design.h"
#include <string>
#include <vector>

namespace eup {

/// For a new wing or panel: no other has it, or had it before something was undone.
int freshNumber(const Design& design);
/// Numbers that another wing, or another panel of its wing, has already are made fresh. Gives back where: "/wings/1".
std::vector<std::string> makeNumbersOwn(Design& design);

/// After an edit, an undo or a redo: `records`, which were made beside `before`, told of the wood as it lies in
/// `after`. Panels with the same number are the same wood; those that stand in the place of others, as long as they,
/// are of theirs: what is done on a panel is done on both its parts; what is done on all parts is done on the whole.
/// Nothing is taken out: what has no place any more keeps the number of the panel that is gone, and has its place again
/// when that comes back.
Records recordsOfSameWood(Records records, const Design& before, const Design& after);
/// The same for what `after` decides by the name of a step or a piece. An undo brings its own back.
void decisionsOfSameWood(const Design& before, Design& after);

/// How many readings, steps and ticks had their place in `before` and have none in `after`.
int withoutWood(const Records& records, const Design& before, const Design& after);

} // namespace eup
