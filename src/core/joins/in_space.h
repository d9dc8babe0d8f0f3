// The finished wing in space: x aft, y to the right, z up, the root's leading edge at the origin, the root chord level.
#pragma once
#include "core/loft/panel_loft.h"
#include <span>

namespace eup {

/// Where a panel's axes (x aft, t outwards, z up) lie in space. The left half is the mirror image, y → −y.
struct PanelFrame {
  Point3 origin{0, 0, 0};
  double gamma = 0; ///< rad, turned up about the aft direction
  Point3 at(double x, double t, double z) const;
  Point3 at(const Point& xz, double t) const { return at(xz.x(), t, xz.y()); }
};

/// Panels from the middle outwards: each begins where the leading edge of the one inside it ends, before any turn.
std::vector<PanelFrame> framesInSpace(std::span<const PanelBrief> panels);

} // namespace eup
