// The part that a tip is made of.
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {

/// The trailing edge's strips are those of the bow: longer by it.
static void runOn(PartMaker& m, const Part& bow) {
  for (Part& te : m.out)
    if (te.id == PieceId{PieceKind::trailingEdge}) {
      te.name = "trailing edge and tip, strips";
      te.length += bow.length;
      te.centre = (te.centre * te.grams + bow.centre * bow.grams) / (te.grams + bow.grams);
      te.grams += bow.grams;
    }
}

void addTipParts(PartMaker& m, const TipShape& tip) {
  const Tip& t = m.d.tip;
  if (t.kind == TipKind::square) return;
  Part part = PartMaker::piece({PieceKind::tip}, "tip", tipWood);
  part.at = m.loft.span();
  part.drawn = DrawnOn::ribs;
  part.grain = GrainWay::length;
  const ChordFrame frame = m.loft.frameAt(m.loft.span());
  const auto beyond = [&](const Point& plan) -> Point3 { // (aft of the tip rib's nose, beyond it)
    const Point p = frame.fromChord({plan.x(), 0});
    return {p.x(), m.loft.span() + plan.y(), p.y()};
  };
  const auto flat = [&](const Polyline& outline, double thickness) {
    const Box box = boundsOf(outline);
    part.length = std::max(box.width(), box.height()), part.breadth = std::min(box.width(), box.height());
    part.stock = Stock::sheet(thickness);
    part.area = std::abs(signedArea(outline));
    part.grams = part.area * thickness * m.heavy(tipWood);
  };
  Polyline ring = tip.edge;
  switch (t.kind) {
  case TipKind::square:
    return;
  case TipKind::plate: {
    part.name = "tip plate";
    flat(tip.plate, t.thickness);
    const Point p = frame.fromChord(centroidOf(tip.plate));
    part.centre = {p.x(), m.loft.span() + t.thickness / 2, p.y()};
    break;
  }
  case TipKind::outline:
  case TipKind::own:
    for (std::size_t i = 0; i < tip.pieces.size(); ++i) {
      const TipPiece& one = tip.pieces[i];
      Part piece = part;
      const bool only = tip.pieces.size() == 1;
      piece.id.piece = only ? 0 : static_cast<int>(i) + 1;
      piece.name = only ? "tip outline" : fmt::format("tip outline, piece {}", i + 1);
      piece.length = one.length, piece.breadth = one.breadth;
      piece.stock = Stock::sheet(t.thickness);
      piece.area = std::abs(signedArea(one.outline));
      piece.grams = piece.area * t.thickness * m.heavy(tipWood);
      piece.centre = beyond(centroidOf(one.outline));
      m.add(std::move(piece));
    }
    return;
  case TipKind::bow:
    part.name = "tip bow's strips";
    ring.insert(ring.end(), tip.inner.rbegin(), tip.inner.rend());
    part.count = t.strips;
    part.length = tip.longest, part.breadth = t.bowWidth;
    part.stock = Stock::strip(t.bowWidth, t.thickness);
    part.grams = (tip.longest + tip.shortest) / 2 * t.bowWidth * t.thickness * t.strips * m.heavy(tipWood);
    part.centre = beyond(centroidOf(ring));
    if (t.runsOn) return runOn(m, part);
    break;
  case TipKind::block:
  case TipKind::rounded: {
    part.name = "tip block";
    const Box box = boundsOf(tip.edge);
    part.length = box.width(), part.breadth = box.height();
    part.stock = Stock::block(box.height(), m.ribs.back().depth);
    part.grain = GrainWay::chord;
    part.grams = tip.area * m.ribs.back().depth / 2 * m.heavy(tipWood);
    part.centre = beyond(centroidOf(tip.edge));
    break;
  }
  }
  m.add(std::move(part));
}

} // namespace eup
