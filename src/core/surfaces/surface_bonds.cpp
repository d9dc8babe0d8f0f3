// The glue joints of surfaces on hinges and of hard points: what is cut beside the panel's ribs, sheet and stock.
#include "core/surfaces/surface_bonds.h"
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include <algorithm>

namespace eup {
namespace {

/// One surface and what it is joined of.
struct Joined {
  const PanelBrief& d;
  const Frame& frame;
  const SurfaceMade& made;
  const Surface& s;
  int number;
  PieceFinder pieces;
  std::vector<Bond> out{};

  const Part* own(PieceKind kind, int which = 0) const { return pieces.find({kind, number, 0, which}); }
  /// What of a rib that it parts is the surface's.
  const Part* tailOf(const Rib& rib) const {
    PieceId id = idOf(PieceKind::ribTail, rib);
    id.piece = number;
    const Part* tail = pieces.find(id);
    return tail ? tail : pieceOfRib(pieces, rib, RibSide::tail);
  }
  std::vector<const Rib*> parted() const {
    std::vector<const Rib*> all;
    for (const std::vector<Rib>* list : {&frame.ribs, &frame.riblets})
      for (const Rib& rib : *list)
        if (rib.ofWood &&
            std::ranges::any_of(rib.hinges, [&](const HingeCut& c) { return c.surface == made.line.surface; }))
          all.push_back(&rib);
    return all;
  }
};

void facingsOn(Joined& m) {
  const Part *own = m.own(PieceKind::facing), *wing = m.own(PieceKind::wingFacing);
  for (const Rib* rib : m.parted())
    for (const HingeCut& cut : rib->hinges)
      if (cut.surface == m.made.line.surface) {
        const double deep = cut.at.depth;
        bond(m.out, own, m.tailOf(*rib), GlueUse::facing, deep, deep * rib->thickness, rib->inPanel(cut.at.hinge));
        bond(m.out, wing, pieceOfRib(m.pieces, *rib, RibSide::upper), GlueUse::facing, deep, deep * rib->thickness,
             rib->inPanel(cut.at.hinge));
      }
  for (const auto& [kind, end] : {std::pair(PieceKind::surfaceEndRibInner, &m.made.inner),
                                  std::pair(PieceKind::surfaceEndRibOuter, &m.made.outer)})
    if (const Part* rib = m.own(kind))
      bond(m.out, rib, own, GlueUse::facing, end->cut.depth, end->cut.depth * m.s.endRib, rib->centre);
  for (const Part* infill : m.pieces.all(PieceKind::infill, m.number))
    bond(m.out, infill, own, GlueUse::facing, infill->length,
         infill->length * infillSheet + 2 * m.s.infill * infillSheet, infill->centre);
  if (const Part* gussets = m.own(PieceKind::surfaceGussets)) // along both short sides
    bond(m.out, gussets, own, GlueUse::facing, gussets->count * gussets->length,
         2 * gussets->count * gussets->length * gussets->stock.thickness, gussets->centre);
}

void blocksOn(Joined& m) {
  const Part *own = m.own(PieceKind::facing), *wing = m.own(PieceKind::wingFacing);
  const Rib* rib = m.parted().empty() ? nullptr : m.parted().front();
  const auto on = [&](const Part* block, const Part* facing, bool ofWing) {
    if (!block) return;
    const Part* to = facing   ? facing
                     : !rib   ? m.own(PieceKind::surfaceCore)
                     : ofWing ? pieceOfRib(m.pieces, *rib, RibSide::upper)
                              : m.tailOf(*rib);
    bond(m.out, block, to, GlueUse::ply, block->length, block->length * block->stock.thickness, block->centre);
  };
  for (const Part* block : m.pieces.all(PieceKind::hingeBlockWing, m.number)) on(block, wing, true);
  for (const Part* block : m.pieces.all(PieceKind::hingeBlockSurface, m.number)) on(block, own, false);
  on(m.own(PieceKind::hornBlock), own, false);
}

void servoOn(Joined& m) {
  const Part *plate = m.own(PieceKind::servoPlate), *bearers = m.own(PieceKind::servoBearers);
  if (!plate || !bearers || !m.made.driven) return;
  const double side = bearers->stock.width;
  bond(m.out, plate, bearers, GlueUse::ply, bearers->count * bearers->length, bearers->count * bearers->length * side,
       plate->centre);
  for (const int number : {m.made.driven->seat.ribInside, m.made.driven->seat.ribOutside})
    for (const Rib& rib : m.frame.ribs)
      if (rib.number == number)
        bond(m.out, bearers, pieceOfRib(m.pieces, rib, RibSide::upper), GlueUse::ply, bearers->count * side,
             bearers->count * side * side, bearers->centre);
}

} // namespace

std::vector<Bond> bondsOfSurfaces(const PanelBrief& d, const Frame& frame, const std::vector<SurfaceMade>& surfaces,
                                  const std::vector<Part>& parts) {
  std::vector<Bond> out;
  for (const SurfaceMade& made : surfaces) {
    const Surface& s = d.surfaces[static_cast<std::size_t>(made.line.surface)];
    Joined m{d, frame, made, s, numberIn(d.surfaces, made.line.surface), PieceFinder(parts)};
    facingsOn(m);
    blocksOn(m);
    servoOn(m);
    if (const Part* sheet = m.own(PieceKind::surfaceSkin))
      bond(m.out, sheet, m.own(PieceKind::surfaceCore), GlueUse::skin, sheet->length, sheet->area, sheet->centre);
    out.insert(out.end(), m.out.begin(), m.out.end());
  }
  return out;
}

std::vector<Bond> bondsOfHardPoints(const Frame& frame, const std::vector<HardPointMade>& points,
                                    const std::vector<HardPoint>& decided, const std::vector<Part>& parts) {
  const PieceFinder pieces(parts);
  std::vector<Bond> out;
  for (const HardPointMade& made : points) {
    const int number = numberIn(decided, made.number);
    const HardPoint& h = decided[static_cast<std::size_t>(made.number)];
    const Part* block = pieces.find({PieceKind::hardPointBlock, number});
    for (const int rib : {made.ribInside, made.ribOutside})
      for (const Rib& r : frame.ribs) {
        if (r.number != rib) continue;
        const Part *on = pieceOfRib(pieces, r, RibSide::upper),
                   *doubler = pieces.find({PieceKind::hardPointDoubler, number, rib});
        bond(out, doubler, on, GlueUse::ply, doubler ? doubler->length : 0, doubler ? doubler->area : 0,
             doubler ? doubler->centre : Point3(0, 0, 0));
        bond(out, block, doubler ? doubler : on, GlueUse::ply, h.width, h.width * h.depth, made.middle);
      }
  }
  return out;
}

} // namespace eup
