// Parts of a frame beside its spars: ribs and their cap strips, edges, skins, diagonals.
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/parts/diagonals.h"
#include "core/parts/part_maker.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// So far along a face from its nose.
Point alongFace(const Polyline& face, double arc) {
  for (std::size_t i = 1; i < face.size(); ++i) {
    const double step = (face[i] - face[i - 1]).norm();
    if (arc <= step && step > 0) return lerp(face[i - 1], face[i], arc / step);
    arc -= step;
  }
  return face.back();
}

void addCapStrips(PartMaker& m, const Rib& rib) {
  const CapStrips& c = m.d.capStrips;
  const auto strip = [&](bool top, bool aft, double from, double arc) {
    if (!(top ? c.top : c.bottom) || arc <= 0) return;
    PieceId id = idOf(aft ? PieceKind::capStripAft : PieceKind::capStrip, rib);
    id.top = top;
    Part part = PartMaker::piece(
        id, fmt::format("{}, cap strip {}{}", rib.name(), top ? "on top" : "below", aft ? ", aft" : ""), c.material);
    part.rib = rib.number, part.at = rib.t();
    part.stock = Stock::strip(c.width, c.thickness);
    part.length = arc, part.breadth = c.width;
    part.drawn = DrawnOn::skins;
    part.grain = GrainWay::length;
    part.shared = rib.shared;
    part.grams = arc * c.thickness * c.width * m.heavy(c.material) * (rib.shared ? 0.5 : 1);
    part.centre = rib.inPanel(alongFace(top ? rib.upper : rib.lower, from + arc / 2));
    m.add(std::move(part));
  };
  for (const bool top : {true, false}) {
    const FaceRun& run = top ? rib.upperRun : rib.lowerRun;
    strip(top, false, run.sheetArc, run.capArc);
    strip(top, true, run.aftFrom, run.aftArc);
  }
}

/// Where the middle of a strip along an edge begins and ends.
void layAlongEdge(Part& part, const PanelLoft& loft, bool leading, double onRib) {
  const auto end = [&](double t) -> Point3 {
    const ChordFrame frame = loft.frameAt(t);
    const Point at = frame.fromChord({leading ? onRib / 2 : frame.chord - onRib / 2, 0});
    return {at.x(), t, at.y()};
  };
  part.from = end(0), part.to = end(loft.span());
}

/// What a square strip is bought deeper by, above and below.
double squareProud(const LeadingEdge& le) {
  return le.kind == LeadingEdgeKind::square ? le.proud : 0;
}

void addLeadingEdge(PartMaker& m) {
  const LeadingEdge& le = m.d.leadingEdge;
  if (le.kind == LeadingEdgeKind::none) return;
  Part part = PartMaker::piece({PieceKind::leadingEdge}, "leading edge", le.material);
  const double width = m.d.leading.width, onRib = m.d.leading.onRib();
  part.length = m.edgeLength(true), part.breadth = width, part.grain = GrainWay::length;
  layAlongEdge(part, m.loft, true, onRib);
  const bool onEdge = le.kind == LeadingEdgeKind::onEdge;
  double over = 0; // what the sheet that runs over it takes of its depth
  for (const bool top : {true, false})
    if (const SheetRun* sheet = m.d.sheeting.on(top); sheet && m.d.sheeting.from == NoseFrom::overStock)
      over += sheet->thickness;
  const auto under = [&](double deep) { return std::max(deep - over, 0.2 * deep); };
  part.stock =
      onEdge ? Stock::strip(width, width) : Stock::strip(width, under(m.deepest(onRib, false)) + 2 * squareProud(le));
  m.reachJoins(part, part.from, part.to, part.stock.thickness);
  m.addRunning(std::move(part), m.heavy(le.material), [&](const Rib& rib) {
    return Slice{onEdge ? width * onRib : 0.85 * onRib * under(m.depthAt(rib, onRib)), m.middleAt(rib, onRib / 2)};
  });
}

/// Where stock along the tail runs: not where a surface is of its own wood. mm of the span.
std::vector<std::pair<double, double>> tailRuns(const PartMaker& m) {
  std::vector<std::pair<double, double>> gaps, out;
  for (const HingeLine& line : m.hinges) {
    const Surface& s = m.d.surfaces[static_cast<std::size_t>(line.surface)];
    if (s.partsRibs() && !s.ofRibs()) gaps.emplace_back(line.from, line.to);
  }
  std::sort(gaps.begin(), gaps.end());
  double from = 0;
  constexpr double hair = 1e-6;
  for (const auto& [begin, end] : gaps) {
    if (begin > from + hair) out.emplace_back(from, begin);
    from = std::max(from, end);
  }
  if (m.loft.span() > from + hair) out.emplace_back(from, m.loft.span());
  return out;
}

void addTrailingEdge(PartMaker& m) {
  const TrailingEdge& te = m.d.trailingEdge;
  if (te.kind == TrailingEdgeKind::none) return;
  const bool square = te.kind == TrailingEdgeKind::square, wedge = te.kind == TrailingEdgeKind::wedge || square;
  const double width = m.d.trailing.width, onRib = m.d.trailing.onRib(), span = m.loft.span();
  const auto runs = tailRuns(m);
  for (std::size_t k = 0; k < runs.size(); ++k) {
    const auto [from, to] = runs[k];
    std::string name = square && te.strips > 1 ? "trailing edge, strips"
                       : wedge                 ? "trailing edge"
                                               : "trailing edge sheets";
    if (runs.size() > 1) name += fmt::format(", {}", k + 1);
    Part part =
        PartMaker::piece({PieceKind::trailingEdge, 0, 0, k > 0 ? static_cast<int>(k) + 1 : 0}, name, te.material);
    part.length = m.edgeLength(false) * (to - from) / span, part.grain = GrainWay::length;
    part.breadth = wedge ? width : width + te.overhang;
    part.stock = square  ? Stock::strip(std::max(te.height, width / te.strips), std::min(te.height, width / te.strips))
                 : wedge ? Stock::strip(width, m.deepest(onRib, true))
                         : Stock::sheet(te.sheet);
    layAlongEdge(part, m.loft, false, onRib);
    const Point3 root = part.from, tip = part.to;
    part.from = lerp(root, tip, from / span), part.to = lerp(root, tip, to / span);
    if (wedge) m.reachJoins(part, part.from, part.to, part.stock.thickness);
    part.count = square ? te.strips : wedge ? 1 : 2;
    if (!wedge) part.drawn = DrawnOn::skins;
    part.area = wedge ? 0 : part.length * part.breadth;
    const auto sliceAt = [&](const Rib& rib) {
      const double chord = m.loft.frameAt(m.tOf(rib)).chord;
      if (square) return Slice{onRib * te.height, m.middleAt(rib, chord - onRib / 2)};
      return wedge ? Slice{onRib * m.depthAt(rib, chord - onRib) / 2, m.middleAt(rib, chord - onRib * 2 / 3)}
                   : Slice{2 * (onRib + te.overhang * onRib / width) * te.sheet, m.middleAt(rib, chord - onRib / 2)};
    };
    m.addRunning(std::move(part), m.heavy(te.material), sliceAt, from, to);
  }
}

} // namespace

void addRibParts(PartMaker& m, const Rib& rib) {
  if (!rib.sticks.empty()) {
    addStickParts(m, rib);
    return addCapStrips(m, rib);
  }
  Part part = PartMaker::piece(idOf(PieceKind::rib, rib), rib.name(), woodOf(m.d.ribs, rib));
  part.rib = rib.number, part.at = rib.t();
  part.bay = rib.kind == RibKind::riblet || rib.kind == RibKind::crossing ? rib.number - m.ribs.front().number + 1 : 0;
  part.count = rib.layers, part.shared = rib.shared;
  part.stock = Stock::sheet(rib.thickness / rib.layers);
  double tails = 0; // of surfaces that are built by themselves: pieces of their own
  for (const HingeCut& cut : rib.hinges)
    if (m.d.surfaces[static_cast<std::size_t>(cut.surface)].built == SurfaceBuilt::apart) {
      PieceId id = idOf(PieceKind::ribTail, rib);
      id.piece = numberIn(m.d.surfaces, cut.surface);
      Part tail = PartMaker::piece(
          id, fmt::format("{}, {}", rib.name(), m.d.surfaces[static_cast<std::size_t>(cut.surface)].name),
          part.material);
      const Box room = boundsOf(cut.tail);
      if (room.empty()) continue;
      tail.rib = rib.number, tail.at = rib.t(), tail.bay = part.bay, tail.count = rib.layers;
      tail.stock = Stock::sheet(rib.thickness / rib.layers);
      tail.area = areaOf(cut.tail), tail.length = room.width(), tail.breadth = room.height();
      tail.grain = GrainWay::chord, tail.drawn = DrawnOn::surfaces;
      tail.grams = tail.area * rib.thickness * m.heavy(tail.material);
      tail.centre = rib.inPanel(centroidOf(cut.tail));
      tails += tail.area;
      m.add(std::move(tail));
    }
  const Region& whole = asCut(m.d, rib);
  const Box box = boundsOf(whole);
  part.area = areaOf(whole);
  part.length = box.empty() ? 0 : box.width(), part.breadth = box.empty() ? 0 : box.height();
  part.grain = GrainWay::chord;
  part.drawn = DrawnOn::ribs;
  part.grams = (rib.cutArea - tails) * rib.thickness * m.heavy(part.material) * (rib.shared ? 0.5 : 1);
  const auto [in, away] = rib.body();
  const double across = (in + away) / 2; // of its middle from its plane
  part.centre = rib.inPanel(centroidOf(whole)) +
                across * Point3(-std::sin(rib.turn), std::cos(rib.turn) * std::cos(rib.lean), -std::sin(rib.lean));
  m.add(std::move(part));
  addCapStrips(m, rib);
}

void addEdgeParts(PartMaker& m) {
  addLeadingEdge(m);
  addTrailingEdge(m);
}

void addSkinParts(PartMaker& m) {
  for (const bool top : {true, false}) {
    if (m.d.stiffening.covers(top, !top) == 0) continue;
    Part part = PartMaker::piece({PieceKind::covering, 0, 0, 0, top}, top ? "covering, top" : "covering, below",
                                 m.d.stiffening.covering);
    part.stock = Stock::covering();
    part.length = m.edgeLength(true);
    for (const Rib& rib : m.ribs) part.breadth = std::max(part.breadth, m.loft.frameAt(m.tOf(rib)).chord);
    m.addRunning(std::move(part),
                 m.d.tables.covering(m.d.stiffening.covering).areaWeight * 1e-6 * (1 + m.d.stiffening.dope),
                 [&](const Rib& rib) {
                   const double t = m.tOf(rib);
                   return Slice{m.loft.frameAt(t).chord, m.loft.at(top ? Face::upper : Face::lower, 0.5, t)};
                 });
  }
}

void addDiagonalParts(PartMaker& m) {
  const Stiffening& s = m.d.stiffening;
  if (s.diagonals == Diagonals::none || m.spars.empty()) return;
  std::vector<const SparLine*> order;
  for (const SparLine& line : m.spars) order.push_back(&line);
  std::sort(order.begin(), order.end(),
            [](const SparLine* a, const SparLine* b) { return a->middle.root.x() < b->middle.root.x(); });
  const SparLine& front = *order.front();
  const SparLine* behind = order.size() > 1 ? order[1] : nullptr;
  const auto place = [&](const Rib& rib, bool atFront, bool top) -> Point3 {
    const double t = m.tOf(rib);
    if (const SparLine* line = atFront ? &front : behind) {
      const Point p = top ? line->upperSeat.at(t) : line->lowerSeat.at(t);
      return {p.x(), t, p.y()};
    }
    const double chord = m.loft.frameAt(t).chord;
    const Point p = m.loft.at(top ? Face::upper : Face::lower, 1 - m.d.trailing.onRib() / chord, t);
    return {p.x(), t, p.y()};
  };
  int before = 0, inBay = 0;
  for (const DiagonalBar& bar : diagonalBars(s, static_cast<int>(m.ribs.size()) - 1)) {
    const Rib &in = m.ribs[static_cast<std::size_t>(bar.bay - 1)], &away = m.ribs[static_cast<std::size_t>(bar.bay)];
    if (!front.reaches(m.tOf(away)) || (behind && !behind->reaches(m.tOf(away)))) continue;
    const Point3 from = place(in, bar.fromFront, bar.fromFront ? bar.topInFront : bar.topBehind),
                 to = place(away, !bar.fromFront, bar.fromFront ? bar.topBehind : bar.topInFront);
    inBay = bar.bay == before ? inBay + 1 : 1, before = bar.bay;
    Part part = PartMaker::piece({PieceKind::diagonal, bar.bay, inBay},
                                 fmt::format("diagonal {} of bay {}", inBay, bar.bay), s.material);
    part.bay = bar.bay;
    part.stock = Stock::strip(s.width, s.depth);
    part.length = (to - from).norm(), part.breadth = s.width;
    part.grain = GrainWay::length;
    part.grams = part.length * s.width * s.depth * m.heavy(s.material);
    part.centre = (from + to) / 2;
    part.from = from, part.to = to;
    part.at = (m.tOf(in) + m.tOf(away)) / 2;
    m.add(std::move(part));
  }
}

void addFoamBetween(PartMaker& m) {
  const PanelBrief& d = m.d;
  if (!d.foam.between || d.built != Built::ribs || d.ribs.direction != RibDirection::flight) return;
  const auto solid = [&](const Rib& rib) { // sticks stand in the foam, too little to be taken off
    return rib.sticks.empty() ? areaOf(rib.wood) : rib.cutArea;
  };
  for (std::size_t i = 0; i + 1 < m.ribs.size(); ++i) {
    const Rib &in = m.ribs[i], &out = m.ribs[i + 1];
    const double length = out.t() - in.t() - (in.thickness + out.thickness) / 2, a = solid(in), b = solid(out);
    if (length <= 0 || a + b <= 0) continue;
    const int bay = static_cast<int>(i) + 1;
    double volume = length * (a + b) / 2;
    for (const Part& web : m.out)
      if (web.what() == Part::What::webs && web.bay == bay) volume -= web.count * web.area * web.stock.thickness;
    for (const Rib& riblet : m.riblets)
      if (riblet.t() > in.t() && riblet.t() < out.t()) volume -= areaOf(riblet.wood) * riblet.thickness;
    if (volume <= 0) continue;
    Part part = PartMaker::piece({PieceKind::foamBetween, bay}, fmt::format("foam, bay {}", bay), d.foam.material);
    Box box = boundsOf(in.wood);
    box.include(boundsOf(out.wood));
    part.bay = bay;
    part.stock = Stock::block(box.width(), box.height());
    part.length = length, part.breadth = box.width();
    part.grams = volume * m.heavy(d.foam.material);
    part.at = (in.t() + out.t()) / 2;
    const Point3 first = in.inPanel(centroidOf(in.wood)), last = out.inPanel(centroidOf(out.wood));
    part.centre = (first + last) / 2;
    m.add(std::move(part));
  }
}

} // namespace eup
