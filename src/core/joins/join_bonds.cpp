// The glue joints of what joins a panel to the one inside it, or to the other hand.
#include "core/design/lasting.h"
#include "core/geometry/region.h"
#include "core/joins/join_parts.h"
#include "core/parts/frame_bonds.h"
#include "core/parts/part_maker.h"

namespace eup {
namespace {

/// What of a spar a brace lies against, in one half: its caps where it has some, else its sheet.
std::vector<const Part*> sparPieces(const PieceFinder& pieces, int number) {
  std::vector<const Part*> out;
  for (const bool top : {true, false})
    if (const Part* cap = pieces.find({PieceKind::cap, number, 0, 0, top})) out.push_back(cap);
  if (out.empty())
    if (const Part* sheet = pieces.find({PieceKind::sheetSpar, number})) out.push_back(sheet);
  return out;
}

/// A piece of the root's face, as far as the panel has one: the rib on it, the core, the blank.
const Part* rootPiece(const PieceFinder& pieces, const Frame& frame) {
  if (const Part* rib = pieceOfRib(pieces, frame.ribs.front(), RibSide::upper)) return rib;
  for (const PieceId& id :
       {PieceId{PieceKind::coreRibInner}, PieceId{PieceKind::core, 1}, PieceId{PieceKind::panelSheet}})
    if (const Part* part = pieces.find(id)) return part;
  return nullptr;
}

} // namespace

std::vector<Bond> bondsOfJoin(const PanelBrief& d, const PanelJoin& join, const std::optional<JoinerRod>& joiner,
                              const Frame& frame, const std::vector<Part>& parts) {
  const PieceFinder pieces(parts);
  std::vector<Bond> out;
  const BondTo beyond = join.centre ? BondTo::other : BondTo::inside;
  const auto across = [&](const PieceId& one, const PieceId& other, GlueUse use, double length, double area,
                          const Point3& at) {
    if (area > 0) out.push_back({one, other, use, length, area, at, beyond});
  };
  for (const Brace& b : join.braces) {
    const Part* plate = pieces.find({PieceKind::brace, numberIn(d.join.braces, b.number)});
    if (!plate) continue;
    const int plates = d.join.braces[static_cast<std::size_t>(b.number)].plates(), spar = numberIn(d.spars, b.spar);
    const auto against = sparPieces(pieces, spar);
    const auto face = [&](const BraceLeg& leg) { return plates * leg.length * (b.depthRoot + leg.depthEnd) / 2; };
    for (const Part* part : against)
      bond(out, plate, part, GlueUse::brace, b.outer.length, face(b.outer) / static_cast<double>(against.size()),
           part->from);
    if (join.centre) continue; // the other hand tells its own
    across(plate->id, against.empty() ? plate->id : against.front()->id, GlueUse::brace, b.inner.length, face(b.inner),
           {0, 0, 0});
  }
  if (const Part* ply = pieces.find({PieceKind::joinerFacing}))
    bond(out, ply, rootPiece(pieces, frame), GlueUse::ply, ply->length, ply->count * ply->area, ply->centre);
  if (!joiner)
    if (const Part* root = rootPiece(pieces, frame); root && !root->shared && (d.id.panel > 0 || d.mirrored)) {
      const Rib& rib = frame.ribs.front();
      const double face = rib.ofWood ? rib.cutArea : rib.bareArea;
      across(root->id, root->id, GlueUse::join, rib.frame.chord, face, root->centre);
    }
  return out;
}

} // namespace eup
