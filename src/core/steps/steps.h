// The steps of building a model, as they follow from its design: only those of what its wings have.
#pragma once
#include "core/bench/schedule.h"
#include "core/bench/step.h"
#include "core/wing/true_wing.h"

namespace eup {

/// In an order that can be worked through; what a step needs is among them. What the builder decided of the order is
/// kept, and the minutes are those that the stopwatch taught. At the decided temperature, or another.
std::vector<Step> stepsOf(const TrueWing& aircraft, std::optional<double> celsius = std::nullopt);

} // namespace eup
