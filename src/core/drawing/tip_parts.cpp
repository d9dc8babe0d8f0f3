// Tip parts at full size: the outline's pieces, a plate, the form and strips of a bow, templates for a carved block.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

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

std::vector<Drawing> tipParts(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  if (!w.tip || w.sheet) return out; // a blank of sheet has its tip's outline itself
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
  case TipKind::own:
    for (std::size_t i = 0; i < tip.pieces.size(); ++i) {
      const TipPiece& one = tip.pieces[i];
      Drawing piece;
      piece.loop(Layer::cut, onSheet(one.outline));
      const Point middle = centroidOf(one.outline), way(std::cos(one.grain), std::sin(one.grain));
      const double half = std::min(one.length / 4, 15.0);
      for (const Polyline& arrow : {Polyline{middle - way * half, middle + way * half}})
        piece.strokes.push_back({Layer::mark, onSheet(arrow), false});
      out.push_back(named(
          piece, hand,
          fmt::format("Tip outline{}, sheet {}; the line is the grain",
                      tip.pieces.size() > 1 ? fmt::format(", piece {} of {}", i + 1, tip.pieces.size()) : std::string(),
                      len(t.thickness))));
    }
    return out;
  case TipKind::bow:
    if (tip.form.empty()) return out; // its strips leave no room for one: a finding says so
    d.loop(Layer::cut, onSheet(tip.form));
    d.strokes.push_back({Layer::mark, onSheet(tip.edge), false});
    out.push_back(named(d, hand,
                        fmt::format("{}: {} strips {} × {} round it, the longest {} and some to hold by; the outer "
                                    "line is the tip{}",
                                    t.runsOn ? "Form of trailing edge and tip" : "Tip form", t.strips, len(t.thickness),
                                    len(t.bowWidth), len(tip.longest + lengthOf(tip.form) - lengthOf(tip.inner)),
                                    t.springBack > 0 ? fmt::format("; bent {:.0f} % further, which springs back",
                                                                   100 * (1 / (1 - t.springBack) - 1))
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
