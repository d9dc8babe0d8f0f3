// Readings sorted into hands, ribs and straight lines.
#pragma once
#include "core/plan/judge.h"

namespace eup {

std::vector<DrawnHand> drawnHands(const Plan& plan, const std::vector<LaidSheet>& sheets);

/// Least squares of x over t, with the worst reading, a single odd one, a knee and the bow. At least two places.
ReadLine fitLine(const std::vector<AtRib>& places);

} // namespace eup
