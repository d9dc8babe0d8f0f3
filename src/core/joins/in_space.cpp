#include "core/joins/in_space.h"
#include <cmath>

namespace eup {

Point3 PanelFrame::at(double x, double t, double z) const {
  const double c = std::cos(gamma), s = std::sin(gamma);
  return origin + Point3(x, t * c - z * s, t * s + z * c);
}

std::vector<PanelFrame> framesInSpace(std::span<const PanelBrief> panels) {
  std::vector<PanelFrame> out;
  Point3 next(0, 0, 0);
  for (const PanelBrief& p : panels) {
    out.push_back({next, p.gamma});
    next = out.back().at(p.panel.tipSetback, p.panel.span, 0);
  }
  return out;
}

} // namespace eup
