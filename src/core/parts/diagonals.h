// Which way diagonals run, bay by bay: what weighs them and what bends them read the same list.
#pragma once
#include "core/design/spar_design.h"
#include <vector>

namespace eup {

/// One bar: it begins at the bay's inner rib and ends at its outer one, between the first spar and the line behind it.
struct DiagonalBar {
  int bay = 1;           ///< counted from the panel's root
  bool fromFront = true; ///< begins at the spar and runs aft; else it begins behind and runs forward
  bool topInFront = true, topBehind = true;
};

std::vector<DiagonalBar> diagonalBars(const Stiffening& stiffening, int bays);

} // namespace eup
