#include "core/drawing/hinge_marks.h"

namespace eup {

void hingeMarks(Drawing& d, const Surface& s, const HingeCut& cut, bool whole) {
  const Point at = cut.at.hinge;
  d.line(Layer::mark, at - Point(2, 0), at + Point(2, 0));
  d.line(Layer::mark, at - Point(0, 2), at + Point(0, 2));
  if (s.plateLike() || (s.built == SurfaceBuilt::apart && !whole)) return;
  const Region wing = intersect(cut.whole, {cut.at.wing});
  const Box front = boundsOf(wing), tail = boundsOf(cut.tail);
  const auto edge = [&](double x) { // along the cut planes, through the wood
    const Point middle(x, (cut.at.top.y() + cut.at.bottom.y()) / 2);
    const double half = cut.at.depth / 2;
    d.line(Layer::mark, middle - cut.at.way * half, middle + cut.at.way * half);
  };
  if (!front.empty()) edge(at.x() - (at.x() - front.high.x()));
  if (const Box strip = boundsOf(cut.wingFacing); !strip.empty()) edge(strip.low.x());
  if (const Box strip = boundsOf(cut.facing); !strip.empty())
    edge(strip.high.x());
  else if (!tail.empty())
    edge(tail.low.x());
}

} // namespace eup
