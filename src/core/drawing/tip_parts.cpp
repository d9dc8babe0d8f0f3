// Tip parts at full size: the outline's pieces, a plate, the form and strips of a bow, templates for a carved block.
#include "core/drawing/wing_drawings.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

void close(Drawing& d, const Polyline& outer, const Polyline& inner, Layer layer) {
  Polyline loop = outer;
  loop.insert(loop.end(), inner.rbegin(), inner.rend());
  d.loop(layer, loop);
}

/// (aft, beyond) on the plan → drawing: the leading edge up, the tip to the right, as on the plan.
Polyline onSheet(const Polyline& line) {
  Polyline out;
  out.reserve(line.size());
  for (const Point& p : line) out.emplace_back(p.y(), -p.x());
  return out;
}

Drawing named(Drawing d, Hand hand, const std::string& words) {
  if (hand == Hand::left) d = mirrored(std::move(d));
  const Box box = d.bounds();
  d.write({box.low.x(), box.low.y() - 5}, fmt::format("{} {}", words, nameLarge(hand)), 3);
  return d;
}

} // namespace

std::vector<Drawing> tipParts(const DrawnPanel& w, Hand hand) {
  std::vector<Drawing> out;
  if (!w.tip) return out;
  const TipShape& tip = *w.tip;
  const Tip& t = w.design.tip;
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  Drawing d;
  switch (t.kind) {
  case TipKind::square:
    return out;
  case TipKind::plate:
    d.loop(Layer::cut, tip.plate);
    out.push_back(named(d, hand, fmt::format("Tip plate, sheet {}", len(t.thickness))));
    return out;
  case TipKind::outline:
    close(d, onSheet(tip.edge), onSheet(tip.inner), Layer::cut);
    out.push_back(
        named(d, hand, fmt::format("Tip outline, sheet {}; piece it with the grain along", len(t.thickness))));
    return out;
  case TipKind::bow:
    d.loop(Layer::cut, onSheet(tip.form));
    d.strokes.push_back({Layer::mark, onSheet(tip.edge), false});
    out.push_back(named(
        d, hand,
        fmt::format("Tip form: {} strips {} × {} round it, the longest {} and some to hold by; the outer "
                    "line is the tip{}",
                    t.strips, len(t.thickness), len(t.bowWidth), len(tip.longest),
                    t.springBack > 0
                        ? fmt::format("; bent {:.0f} % further, which springs back", 100 * (1 / (1 - t.springBack) - 1))
                        : std::string())));
    return out;
  case TipKind::block:
  case TipKind::rounded:
    break;
  }
  d.loop(Layer::cut, onSheet(tip.edge));
  for (const TipTemplate& one : tip.templates)
    d.line(Layer::mark, {one.beyond, -one.from}, {one.beyond, -one.from - one.chord});
  out.push_back(named(d, hand, "Tip block from above; templates on the lines"));
  for (const TipTemplate& one : tip.templates) {
    Drawing section;
    section.loop(Layer::cut, one.outline);
    out.push_back(named(section, hand, fmt::format("Tip section, {} beyond the rib", len(one.beyond))));
  }
  return out;
}

} // namespace eup
