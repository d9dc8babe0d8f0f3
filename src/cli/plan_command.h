// euptera-cli plan: what was read off the plan, how it is judged, and the layout that follows.
#pragma once
#include "core/wing/true_wing.h"
#include <iosfwd>

namespace eup::cli {

void tellPlan(const TrueWing& wing, std::ostream& out);

} // namespace eup::cli
