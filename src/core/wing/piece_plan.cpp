#include "core/wing/piece_plan.h"
#include "core/parts/part_maker.h"
#include <algorithm>

namespace eup {

namespace {

const Rib* ribOf(const TruePanel& panel, const Part& part) {
  PieceId id = part.id;
  if (!ribOf(id)) return nullptr;
  for (const std::vector<Rib>* ribs : {&panel.frame.ribs, &panel.frame.riblets})
    for (const Rib& rib : *ribs)
      if (const PieceId whole = idOf(PieceKind::rib, rib); whole.number == *ribOf(id) && whole.second == id.second)
        return &rib;
  return nullptr;
}

/// As wide as the stock, along its middle line.
Polyline bar(const Part& part) {
  const Point a(part.from.x(), part.from.y()), b(part.to.x(), part.to.y());
  const double wide = part.stock.form == Stock::Form::strip     ? std::max(part.stock.width, part.stock.widthThen)
                      : part.what() == Part::What::trailingEdge ? part.breadth
                                                                : part.stock.thickness;
  const Point along = (b - a).normalized(), square = Point(-along.y(), along.x()) * (wide / 2);
  return {a - square, b - square, b + square, a + square};
}

/// A cap strip, behind the sheet or the leading edge stock.
Polyline stripOnRib(const Rib& rib, const Part& part) {
  const double half = part.stock.width / 2, middle = (rib.body().first + rib.body().second) / 2;
  const Point3 out(-std::sin(rib.turn), std::cos(rib.turn), 0);
  const auto corner = [&](double x, double side) -> Point {
    const Point3 p = rib.inPanel({x, 0}) + out * (middle + side * half);
    return {p.x(), p.y()};
  };
  const Point3 centre = part.centre - rib.inPanel({0, 0});
  const double x = centre.head<2>().norm(), reach = part.length / 2;
  return {corner(x - reach, -1), corner(x + reach, -1), corner(x + reach, 1), corner(x - reach, 1)};
}

/// All of it.
Polyline wholeFromAbove(const TruePanel& panel) {
  Polyline front, rear;
  for (const Rib& rib : panel.frame.ribs) {
    const double t = std::clamp(rib.t(), 0.0, panel.shape.loft.span());
    const ChordFrame frame = panel.shape.loft.frameAt(t);
    front.emplace_back(frame.le.x(), t);
    rear.emplace_back(frame.te.x(), t);
  }
  front.insert(front.end(), rear.rbegin(), rear.rend());
  return front;
}

Polyline skinFromAbove(const TruePanel& panel, const Part& part) {
  for (const Skin& skin : panel.skins) {
    if (skin.piece == part.id) return skin.plan;
    PieceId whole = part.id;
    whole.piece = 0;
    if (skin.piece != whole || part.runs.empty()) continue;
    const Region piece =
        intersect({skin.plan}, {rectangle({-1e5, part.runs.front().from}, {1e5, part.runs.back().to})});
    if (!piece.empty()) return piece.front();
  }
  return {};
}

} // namespace

Polyline seenFromAbove(const TruePanel& panel, const Part& part) {
  switch (part.what()) {
  case Part::What::ribs:
    if (const Rib* rib = ribOf(panel, part)) return seenFromAbove(*rib);
    return {};
  case Part::What::capStrips:
    if (const Rib* rib = ribOf(panel, part)) return stripOnRib(*rib, part);
    return {};
  case Part::What::sheet:
    return skinFromAbove(panel, part);
  case Part::What::covering:
    return wholeFromAbove(panel);
  case Part::What::core: {
    if (part.bay > 0) { // between two ribs
      const auto k = static_cast<std::size_t>(part.bay);
      if (k >= panel.frame.ribs.size()) return {};
      const Rib &in = panel.frame.ribs[k - 1], &out = panel.frame.ribs[k];
      const auto at = [](const Rib& rib, double x) -> Point {
        const Point3 p = rib.inPanel({x, 0});
        return {p.x(), p.y()};
      };
      const Box a = boundsOf(in.wood), b = boundsOf(out.wood);
      return {at(in, a.low.x()), at(in, a.high.x()), at(out, b.high.x()), at(out, b.low.x())};
    }
    if (!panel.foam) return {};
    const double front = panel.design.leading.onRib(), tail = panel.design.trailing.onRib();
    for (const FoamCore& core : panel.foam->cores) {
      if (part.id != PieceId{PieceKind::core, core.number}) continue;
      const auto at = [&](const CoreEnd& end, double x) -> Point { return {end.frame.fromChord({x, 0}).x(), end.t}; };
      return {at(core.inner, front), at(core.inner, core.inner.frame.chord - tail),
              at(core.outer, core.outer.frame.chord - tail), at(core.outer, front)};
    }
    return {};
  }
  case Part::What::inCore: { // as wide as it is along the chord
    const double half = part.breadth / 2;
    if (part.stock.form == Stock::Form::sheet) return {{part.from.x(), part.from.y()}, {part.to.x(), part.to.y()}};
    return {{part.from.x() - half, part.from.y()},
            {part.from.x() + half, part.from.y()},
            {part.to.x() + half, part.to.y()},
            {part.to.x() - half, part.to.y()}};
  }
  case Part::What::surface: {
    const bool sheet = part.stock.form == Stock::Form::sheet, along = (part.to - part.from).norm() > 1;
    if (along) { // from end to end: as thick as its sheet, or as wide as it is
      const double half = (sheet ? part.stock.thickness : part.breadth) / 2;
      return {{part.from.x() - half, part.from.y()},
              {part.from.x() + half, part.from.y()},
              {part.to.x() + half, part.to.y()},
              {part.to.x() - half, part.to.y()}};
    }
    const bool chordwise = part.grain == GrainWay::chord;
    const Point half =
        chordwise ? Point(part.length / 2, part.stock.thickness / 2) : Point(part.breadth / 2, part.length / 2);
    const Point middle(part.centre.x(), part.centre.y());
    return rectangle(middle - half, middle + half);
  }
  case Part::What::tip: {
    Polyline out;
    const double span = panel.shape.loft.span();
    const ChordFrame frame = panel.shape.loft.frameAt(span);
    const double deep = panel.tip ? panel.tip->reach : 0;
    Polyline plan = panel.tip ? panel.tip->edge : Polyline{};
    if (const auto which = static_cast<std::size_t>(part.id.piece); panel.tip && which > 0) // one piece of several
      if (which <= panel.tip->pieces.size()) plan = panel.tip->pieces[which - 1].outline;
    if (plan.empty()) plan = {{0, 0}, {0, deep}, {frame.chord, deep}, {frame.chord, 0}}; // a plate
    for (const Point& p : plan) out.emplace_back(frame.fromChord({p.x(), 0}).x(), span + p.y());
    return out;
  }
  default:
    return part.from == part.to ? Polyline{} : bar(part);
  }
}

} // namespace eup
