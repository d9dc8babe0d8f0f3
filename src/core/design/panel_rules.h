// What follows from a panel's decisions by arithmetic alone, before anything is lofted.
#pragma once
#include "core/design/frame_design.h"
#include "core/design/join_design.h"
#include <vector>

namespace eup {

/// The dihedral all ways, whichever was decided. Γ in degrees; the rise over the panel's true span.
double dihedralDeg(const Dihedral& dihedral, double span);
double riseOf(const Dihedral& dihedral, double span);

/// The rib stations of the rule, from root to tip, ends included, halved bays counted in.
std::vector<double> ribStations(const Ribs& ribs, double span);

} // namespace eup
