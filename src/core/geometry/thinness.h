// Where a region is thinner than it should be.
#pragma once
#include "core/geometry/region.h"

namespace eup {

struct ThinPlace {
  Point at{0, 0};       ///< half way through the wood
  double thickness = 0; ///< mm, square to the edge there
};

/// Places where less than `rim` lies between an edge and the edge across from it, measured square to the edge. Edges
/// that meet in a corner do not count as across from each other. Neighbouring places are told once, at their thinnest.
std::vector<ThinPlace> thinPlaces(const Region& region, double rim);

} // namespace eup
