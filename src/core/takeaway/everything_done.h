// "Have I really done everything?", asked before a wing is covered or closed.
#pragma once
#include "core/bench/step.h"
#include "core/wing/true_wing.h"

namespace eup {

/// What is open of one kind: a heading, and a line for each.
struct OpenThings {
  std::string heading;
  std::vector<std::string> lines;
};

/// Gates of what is done, steps before covering, what is to be looked at before it is closed, panels whose washout was
/// never read, pieces that are not fitted, and what the readings warn of. Kinds that are all done are left out.
std::vector<OpenThings> openThings(const TrueWing& aircraft, const std::vector<Step>& steps);

} // namespace eup
