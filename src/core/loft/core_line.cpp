#include "core/loft/core_line.h"
#include <algorithm>

namespace eup {
namespace {

/// From the line of it that is decided to its middle.
double toMiddle(const CoreThing& thing) {
  if (!thing.round() || thing.level == LevelLine::middle) return 0;
  return thing.level == LevelLine::top ? -thing.width / 2 : thing.width / 2;
}

} // namespace

double boreOf(const CoreThing& thing) {
  return thing.kind == InCore::tube ? std::max(thing.width - 2 * thing.wall, 0.0) : 0;
}

Point3 endInCore(const CoreThing& thing, const PanelLoft& loft, bool then) {
  const double t = std::clamp(then ? thing.to : thing.from, 0.0, loft.span());
  const ChordFrame frame = loft.frameAt(t);
  const double up = thing.round() ? (then ? thing.upTo : thing.upFrom) + toMiddle(thing) : 0;
  const Point p = frame.fromChord({(then ? thing.xTo : thing.xFrom) * frame.chord, up});
  return {p.x(), t, p.y()};
}

Point middleInCore(const CoreThing& thing, const PanelLoft& loft, double t) {
  const Point3 a = endInCore(thing, loft, false), b = endInCore(thing, loft, true);
  const double share = b.y() - a.y() > 1e-9 ? (t - a.y()) / (b.y() - a.y()) : 0;
  const Point3 at = a + (b - a) * share;
  return loft.frameAt(std::clamp(t, 0.0, loft.span())).toChord({at.x(), at.z()});
}

std::pair<std::optional<CoreThing>, std::optional<CoreThing>> splitInCore(const CoreThing& thing, const PanelLoft& loft,
                                                                          double t) {
  if (thing.to <= t) return {thing, std::nullopt};
  CoreThing in = thing, out = thing;
  out.to -= t;
  if (thing.from >= t) {
    out.from -= t;
    return {std::nullopt, out};
  }
  const Point at = middleInCore(thing, loft, t);
  in.to = t, out.from = 0;
  in.xTo = out.xFrom = std::clamp(at.x() / loft.frameAt(t).chord, 0.0, 1.0);
  if (thing.round()) in.upTo = out.upFrom = std::clamp(at.y() - toMiddle(thing), -500.0, 500.0);
  return {in, out};
}

} // namespace eup
