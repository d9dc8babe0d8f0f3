// How the ends of straight strips are sawn so that they meet at a join.
#pragma once
#include "core/geometry/point.h"

namespace eup {

struct EndCut {
  double mitre = 0; ///< rad on the strip's upper face, out of square to its length; positive: longer at the front
  double bevel = 0; ///< rad, on its side face, out of upright to the upper face; positive: longer at the bottom
  double tilt = 0;  ///< rad, the same of a saw blade that is set to the mitre
};

/// `along` is the strip's way outwards, `up` a way that its upper face looks: square to the strip itself, what of it
/// runs along the strip is left out; `normal` square to the plane of the join, towards the tip: all in the same axes
/// (aft, outwards, up), of any length but zero; `along` neither in the plane nor along `up`.
EndCut endCut(const Point3& along, const Point3& up, const Point3& normal);

/// Square to the plane of a join, in the axes of the panel that lies outside it (`outer`) or inside it. `lean` is how
/// far that panel's end is out of square, rad: half the angle between the two where the plane halves it.
Point3 joinPlane(double lean, bool outer);

} // namespace eup
