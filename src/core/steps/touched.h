// What of the work that is done a changed design touches.
#pragma once
#include "core/bench/step.h"
#include "core/design/bench_design.h"
#include "core/wing/true_wing.h"
#include <span>

namespace eup {

/// Steps that are begun or done and whose pieces, or whose join, are others after a change: indices in `steps`, those
/// of the wing after it.
std::vector<std::size_t> touchedSteps(const TrueWing& before, const TrueWing& after, const std::vector<Step>& steps,
                                      std::span<const StepRecord> records);

} // namespace eup
