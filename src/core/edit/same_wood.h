// What is recorded, and what is decided under the name of a step or a piece, stays with its wood when wings and panels
// are cut in two, put together, moved, added or taken out.
#pragma once
#include "core/design/design.h"
#include <string>
#include <vector>

namespace eup {

/// After an edit, an undo or a redo: `records`, which were made beside `before`, told of the wood as it lies in
/// `after`. Panels with the same number are the same wood; those that stand in the place of others, as long as they,
/// are of theirs: what is done on a panel is done on both its parts; what is done on all parts is done on the whole.
/// Nothing is taken out: what has no place any more keeps the number of the panel that is gone, and has its place again
/// when that comes back.
Records recordsOfSameWood(Records records, const Design& before, const Design& after);
/// The same for what `after` decides by the name of a step or a piece. An undo brings its own back.
void decisionsOfSameWood(const Design& before, Design& after);

/// What an edit of `before` makes of it: `next`, with the records of `before`; what is new in it has a number, and all
/// that hangs on names and numbers is told of the same wood.
Design asEdited(const Design& before, Design next);

/// How many readings, steps and ticks had their place in `before` and have none in `after`.
int withoutWood(const Records& records, const Design& before, const Design& after);

} // namespace eup
