// Which designs cannot be built at all. What merely ought to be looked at is found later, with the wing at hand.
#pragma once
#include "core/design/design.h"
#include "core/measure/finding.h"

namespace eup {

/// Decisions that contradict each other so that there is no wing to show. Empty when there is one.
std::vector<Finding> impossible(const Design& design);

/// A finding of one panel, with its name where there are more, and the full paths of its decisions. `wing` is the name
/// of any wing but the main one.
Finding inPanel(Finding finding, PanelId id, int of, const std::string& wing);

} // namespace eup
