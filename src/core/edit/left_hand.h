// A left hand that is not the right one's mirror image: a design of its own, whose right hand is built and turned over.
#pragma once
#include "core/design/design.h"

namespace eup {

/// Whether any mirrored wing's left half is to be another than its right one.
bool handsDiffer(const Design& design);

/// What of the records stands beside that design: both hands' readings are told of the one that they are recorded with.
Records recordsOfLeft(Records records);

/// The design whose right hand, mirrored, is this one's left: the decided differences put on, held within the limits of
/// the decisions. `gammas` (rad, by wing and panel) are the right hand's angles to the horizontal, which the left one
/// keeps; without them it is left with the decided rise. It differs from itself no more, and has no plan.
Design leftOf(const Design& design, const std::vector<std::vector<double>>& gammas = {});

} // namespace eup
