// The pieces of a step in words.
#pragma once
#include "core/bench/step.h"
#include "core/wing/true_wing.h"

namespace eup {

/// Their names in the order of the parts list; three or more that differ by one number alone are told by the first and
/// the last and how many they are: "R1 to R13 (13); main spar, web of bay 1 to 12 (12)".
std::string wordsOf(const TrueWing& aircraft, const std::vector<PlacedPiece>& pieces);

} // namespace eup
