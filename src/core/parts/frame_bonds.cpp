#include "core/parts/frame_bonds.h"
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include "core/parts/stick_rib.h"
#include <algorithm>

namespace eup {

const Part* pieceOfRib(const PieceFinder& pieces, const Rib& rib, RibSide side) {
  if (rib.sticks.empty()) return pieces.find(idOf(PieceKind::rib, rib));
  const PieceKind kind = side == RibSide::upper   ? PieceKind::stickUpper
                         : side == RibSide::lower ? PieceKind::stickLower
                         : side == RibSide::nose  ? PieceKind::stickNose
                                                  : PieceKind::stickTail;
  if (const Part* there = pieces.find({kind, rib.number})) return there;
  return pieces.find({PieceKind::stickUpper, rib.number}); // without a block the strips meet the edge
}

namespace {

/// All that the joints of one frame are told from.
struct Framed {
  const PanelBrief& d;
  const PanelLoft& loft;
  const Frame& frame;
  PieceFinder pieces;
  std::vector<Bond> out{};

  std::vector<const Rib*> ribs() const {
    std::vector<const Rib*> all;
    for (const std::vector<Rib>* list : {&frame.ribs, &frame.riblets})
      for (const Rib& rib : *list)
        if (rib.ofWood) all.push_back(&rib);
    return all;
  }
  const Part* capAt(int index, bool top, double t) const {
    const SparLine& line = frame.spars[static_cast<std::size_t>(index)];
    const int number = numberIn(d.spars, index);
    const Spar& s = d.spars[static_cast<std::size_t>(index)];
    const Cap& cap = top ? s.top : s.bottom;
    if (line.share(t) > reachOf(cap)) return nullptr;
    const bool outer = cap.changes && line.share(t) > cap.changesAt;
    return pieces.find({outer ? PieceKind::capOuter : PieceKind::cap, number, 0, 0, top});
  }
  double depthAt(const Rib& rib, double x) const {
    const double t = std::clamp(rib.t(), 0.0, loft.span()), f = std::clamp(x / loft.frameAt(t).chord, 0.0, 1.0);
    return std::max(loft.at(Face::upper, f, t).y() - loft.at(Face::lower, f, t).y(), 0.0);
  }
};

/// What is told of a rib's joints in one hand: half of one that both have in common.
double handed(const Rib& rib) {
  return rib.shared ? 0.5 : 1;
}

/// Each layer of a doubled rib on the next, and the sticks of a stick rib among themselves.
void withinRib(Framed& m, const Rib& rib) {
  const Point3 middle = rib.inPanel(rib.wood.empty() ? Point(rib.frame.chord / 2, 0) : centroidOf(rib.wood));
  if (rib.sticks.empty()) {
    const Part* whole = m.pieces.find(idOf(PieceKind::rib, rib));
    bond(m.out, whole, whole, GlueUse::frame, rib.frame.chord, (rib.layers - 1) * rib.cutArea * handed(rib), middle);
    return;
  }
  const double thick = rib.thickness, deep = m.d.sticks.depth;
  const Part *upper = pieceOfRib(m.pieces, rib, RibSide::upper), *lower = pieceOfRib(m.pieces, rib, RibSide::lower);
  for (const Stick& stick : rib.sticks) {
    const Part* part = m.pieces.find(idOf(rib, stick));
    const Point3 at = rib.inPanel(centroidOf(stick.outline));
    if (part == upper || part == lower) continue;
    const bool block = stick.what == Stick::What::noseBlock || stick.what == Stick::What::tailBlock;
    for (const Part* strip : {upper, lower})
      bond(m.out, part, strip, GlueUse::frame, thick, thick * (block ? boundsOf(stick.outline).width() : deep), at);
  }
  if (const Part* gussets = m.pieces.find({PieceKind::stickGussets, rib.number}))
    bond(m.out, gussets, upper, GlueUse::frame, gussets->count * gussets->length, gussets->count * gussets->area,
         middle);
}

void ribOnSpars(Framed& m, const Rib& rib) {
  for (const Notch& n : rib.notches) {
    const bool top = n.face == Face::upper;
    const Part* cap = m.capAt(n.spar, top, rib.t());
    if (!cap) continue;
    const double deep = std::min(n.depth, cap->stock.thickness);
    bond(m.out, pieceOfRib(m.pieces, rib, top ? RibSide::upper : RibSide::lower), cap, GlueUse::frame, rib.thickness,
         handed(rib) * rib.thickness * (n.width + 2 * deep), rib.inPanel(n.bottom));
  }
  for (const Slot& s : rib.slots) {
    const Part* sheet = m.pieces.find({PieceKind::sheetSpar, numberIn(m.d.spars, s.spar)});
    const double whole = boundsOf(s.shape).height(), rest = std::max(whole - s.depth, 0.0);
    const double thick = m.d.spars[static_cast<std::size_t>(s.spar)].sheet;
    bond(m.out, pieceOfRib(m.pieces, rib, RibSide::upper), sheet, GlueUse::frame, whole,
         handed(rib) * (2 * s.depth * rib.thickness + 2 * rest * thick), rib.inPanel(s.bottom));
  }
  for (const Lap& lap : rib.laps)
    if (rib.kind == RibKind::crossing)
      for (const Rib& with : m.frame.ribs)
        if (with.number == lap.with)
          bond(m.out, m.pieces.find(idOf(PieceKind::rib, rib)), pieceOfRib(m.pieces, with, RibSide::upper),
               GlueUse::frame, m.depthAt(with, lap.x), 2 * m.depthAt(rib, lap.x) * rib.thickness,
               rib.inPanel({lap.x, lap.middle}));
}

void ribOnEdges(Framed& m, const Rib& rib) {
  if (const double on = m.d.leading.onRib(); on > 0)
    bond(m.out, pieceOfRib(m.pieces, rib, RibSide::nose), m.pieces.find({PieceKind::leadingEdge}), GlueUse::frame,
         rib.thickness, handed(rib) * rib.thickness * m.depthAt(rib, on), rib.inPanel({on, 0}));
  if (rib.kind == RibKind::riblet) return; // it ends before the tail
  const double on = m.d.trailing.onRib(), back = rib.frame.chord - on;
  if (on <= 0) return;
  const bool sheets = m.d.trailingEdge.kind == TrailingEdgeKind::twoSheets;
  for (const Part* edge : m.pieces.all(PieceKind::trailingEdge))
    if (edge->from.y() <= rib.t() + 0.01 && edge->to.y() >= rib.t() - 0.01) {
      bond(m.out, pieceOfRib(m.pieces, rib, RibSide::tail), edge, GlueUse::frame, rib.thickness,
           handed(rib) * rib.thickness * (sheets ? 2 * on : m.depthAt(rib, back)), rib.inPanel({back, 0}));
      break;
    }
}

void capStripsOn(Framed& m, const Rib& rib) {
  for (const PieceKind kind : {PieceKind::capStrip, PieceKind::capStripAft})
    for (const bool top : {true, false}) {
      PieceId id = idOf(kind, rib);
      id.top = top;
      if (const Part* strip = m.pieces.find(id))
        bond(m.out, strip, pieceOfRib(m.pieces, rib, top ? RibSide::upper : RibSide::lower), GlueUse::frame,
             handed(rib) * strip->length, handed(rib) * strip->length * std::min(strip->breadth, rib.thickness),
             strip->centre);
    }
}

/// Pieces of one cap on each other: its doubler along it, its outer piece by a scarf; and the webs on both.
void withinSpar(Framed& m, const SparLine& line) {
  const Spar& s = m.d.spars[static_cast<std::size_t>(line.index)];
  const int number = numberIn(m.d.spars, line.index);
  for (const bool top : {true, false}) {
    const auto piece = [&](PieceKind kind) { return m.pieces.find({kind, number, 0, 0, top}); };
    const Part *cap = piece(PieceKind::cap), *outer = piece(PieceKind::capOuter);
    if (cap && outer)
      bond(m.out, cap, outer, GlueUse::frame, cap->breadth,
           cap->breadth * cap->stock.thickness * std::max(m.d.cutList.scarf, 1.0), cap->to);
    for (const auto& [kind, on] : {std::pair(PieceKind::doubler, cap), std::pair(PieceKind::doublerOuter, outer)})
      if (const Part* doubler = piece(kind)) {
        const double along = (doubler->to - doubler->from).norm(); // of this panel, wherever it runs on to
        bond(m.out, doubler, on, GlueUse::frame, along, along * doubler->breadth, doubler->centre);
      }
  }
  const bool onFaces = s.webs == Webs::between && s.websOn != WebsOn::between;
  const auto onCaps = [&](const Part& web, double along, double wide) {
    for (const bool top : {true, false})
      if (const Part* cap = m.capAt(line.index, top, web.centre.y()))
        bond(m.out, &web, cap, GlueUse::frame, along, along * (onFaces ? cap->stock.thickness : wide), web.centre);
  };
  for (const Part* web : m.pieces.all(PieceKind::webOfBay, number)) {
    const auto bay = static_cast<std::size_t>(web->bay);
    const double along = (web->to - web->from).norm(),
                 wide = web->stock.form == Stock::Form::strip ? web->stock.width : web->stock.thickness,
                 high = web->grain == GrainWay::upright ? web->length : web->breadth;
    onCaps(*web, along, wide);
    if (bay == 0 || bay >= m.frame.ribs.size()) continue;
    for (const Rib* rib : {&m.frame.ribs[bay - 1], &m.frame.ribs[bay]})
      bond(m.out, web, pieceOfRib(m.pieces, *rib, RibSide::upper), GlueUse::frame, high, high * wide, web->centre);
  }
  if (const Part* web = m.pieces.find({PieceKind::web, number})) {
    onCaps(*web, (web->to - web->from).norm(), web->stock.thickness);
    for (const Rib& rib : m.frame.ribs)
      if (rib.ofWood && line.reaches(rib.t()))
        bond(m.out, web, pieceOfRib(m.pieces, rib, RibSide::upper), GlueUse::frame, rib.depth,
             2 * rib.thickness * std::max(rib.sparDepth[static_cast<std::size_t>(line.index)], 0.0),
             rib.inPanel({rib.sparX[static_cast<std::size_t>(line.index)], 0}));
  }
  const Part* sheet = m.pieces.find({PieceKind::sheetSpar, number});
  for (const PieceKind kind : {PieceKind::rescue, PieceKind::rescueOfBay})
    for (const Part* strip : m.pieces.all(kind, number))
      bond(m.out, strip, sheet, GlueUse::frame, strip->length, strip->length * s.sheet, strip->centre);
}

void diagonalsOn(Framed& m) {
  for (const Part* bar : m.pieces.all(PieceKind::diagonal)) {
    const auto bay = static_cast<std::size_t>(bar->bay);
    if (bay == 0 || bay >= m.frame.ribs.size()) continue;
    const double end = bar->stock.width * bar->stock.thickness;
    bond(m.out, bar, pieceOfRib(m.pieces, m.frame.ribs[bay - 1], RibSide::upper), GlueUse::frame, bar->stock.width, end,
         bar->from);
    bond(m.out, bar, pieceOfRib(m.pieces, m.frame.ribs[bay], RibSide::upper), GlueUse::frame, bar->stock.width, end,
         bar->to);
  }
}

/// A plate or a block by its face on the tip rib; what runs round by its ends on the edges; pieces by their scarfs.
void tipOn(Framed& m) {
  const Rib& last = m.frame.ribs.back();
  const std::vector<const Part*> tips = m.pieces.all(PieceKind::tip);
  if (tips.empty()) return;
  const TipKind kind = m.d.tip.kind;
  if (kind == TipKind::plate || kind == TipKind::block || kind == TipKind::rounded) {
    const Part* rib = pieceOfRib(m.pieces, last, RibSide::upper);
    if (!rib) rib = m.pieces.find({PieceKind::coreRibOuter});
    bond(m.out, tips.front(), rib, GlueUse::frame, last.frame.chord, last.bareArea, tips.front()->centre);
    return;
  }
  const auto end = [](const Part& part) {
    return part.stock.form == Stock::Form::strip ? part.stock.width * part.stock.thickness * part.count
                                                 : part.breadth * part.stock.thickness;
  };
  bond(m.out, tips.front(), m.pieces.find({PieceKind::leadingEdge}), GlueUse::frame, tips.front()->breadth,
       tipScarf * end(*tips.front()), tips.front()->centre);
  const std::vector<const Part*> tails = m.pieces.all(PieceKind::trailingEdge);
  bond(m.out, tips.back(), tails.empty() ? nullptr : tails.back(), GlueUse::frame, tips.back()->breadth,
       tipScarf * end(*tips.back()), tips.back()->centre);
  for (std::size_t i = 1; i < tips.size(); ++i)
    bond(m.out, tips[i - 1], tips[i], GlueUse::frame, tips[i]->breadth, tipScarf * end(*tips[i]),
         lerp(tips[i - 1]->centre, tips[i]->centre, 0.5));
}

void foamBetween(Framed& m) {
  for (const Part* foam : m.pieces.all(PieceKind::foamBetween)) {
    const auto bay = static_cast<std::size_t>(foam->bay);
    if (bay == 0 || bay >= m.frame.ribs.size()) continue;
    for (const Rib* rib : {&m.frame.ribs[bay - 1], &m.frame.ribs[bay]})
      bond(m.out, foam, pieceOfRib(m.pieces, *rib, RibSide::upper), GlueUse::foam, rib->frame.chord, areaOf(rib->wood),
           foam->centre);
  }
}

} // namespace

std::vector<Bond> bondsOfFrame(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Part>& parts) {
  Framed m{d, loft, frame, PieceFinder(parts)};
  for (const Rib* rib : m.ribs()) {
    withinRib(m, *rib);
    ribOnSpars(m, *rib);
    ribOnEdges(m, *rib);
    capStripsOn(m, *rib);
  }
  if (d.built == Built::ribs) // in foam and in sheet they are let in: those trades tell it
    for (const SparLine& line : frame.spars) withinSpar(m, line);
  diagonalsOn(m);
  tipOn(m);
  foamBetween(m);
  return std::move(m.out);
}

} // namespace eup
