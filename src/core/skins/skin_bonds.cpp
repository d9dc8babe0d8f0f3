#include "core/skins/skin_bonds.h"
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include <algorithm>

namespace eup {
namespace {

/// The pieces that a skin is cut in, from the inside outwards.
std::vector<const Part*> piecesOf(const PieceFinder& pieces, const Skin& skin) {
  std::vector<const Part*> out;
  if (const Part* whole = pieces.find(skin.piece)) return {whole};
  PieceId id = skin.piece;
  for (id.piece = 1; const Part* part = pieces.find(id); ++id.piece) out.push_back(part);
  return out;
}

/// That of them which lies at a place of the span.
const Part* pieceAt(const Skin& skin, const std::vector<const Part*>& of, double t) {
  std::size_t k = 0;
  while (k < skin.joints.size() && k + 1 < of.size() && t > skin.joints[k].t) ++k;
  return of[k];
}

void layOn(const PanelBrief& d, const Frame& frame, const Skin& skin, const PieceFinder& pieces,
           std::vector<Bond>& out) {
  const std::vector<const Part*> sheet = piecesOf(pieces, skin);
  if (sheet.empty()) return;
  const bool top = skin.face == Face::upper;
  for (const Part* piece : sheet)
    bond(out, piece, piece, GlueUse::skin, piece->length, (piece->count - 1) * piece->area, piece->centre);
  for (std::size_t i = 1; i < sheet.size(); ++i)
    bond(out, sheet[i - 1], sheet[i], GlueUse::skin, sheet[i]->breadth, sheet[i]->breadth * skin.of.thickness,
         lerp(sheet[i - 1]->centre, sheet[i]->centre, 0.5));
  if (d.built == Built::foam) {
    for (const Part* piece : sheet)
      for (const Part* core : pieces.all(PieceKind::core)) {
        if (core->runs.empty() || piece->runs.empty()) continue;
        const double from = std::max(core->runs.front().from, piece->runs.front().from),
                     to = std::min(core->runs.back().to, piece->runs.back().to),
                     whole = piece->runs.back().to - piece->runs.front().from;
        if (to > from && whole > 0)
          bond(out, piece, core, GlueUse::skin, to - from, piece->area * (to - from) / whole, piece->centre);
      }
    return;
  }
  if (skin.surface) { // on the tails of the ribs that it parts
    for (const SkinLine& line : skin.ribs)
      for (const Part* tail : pieces.all(PieceKind::ribTail, line.number))
        if (tail->id.second == 0 && tail->id.piece == numberIn(d.surfaces, *skin.surface))
          bond(out, pieceAt(skin, sheet, line.t), tail, GlueUse::skin, lengthOf(line.line),
               lengthOf(line.line) * tail->stock.thickness * tail->count, {skin.centre.x(), line.t, skin.centre.z()});
    return;
  }
  const double inside = skin.inner + 1e-6, outside = skin.outer - 1e-6;
  for (const std::vector<Rib>* list : {&frame.ribs, &frame.riblets})
    for (const Rib& rib : *list) {
      if (!rib.ofWood || rib.t() < skin.inner - 0.5 || rib.t() > skin.outer + 0.5) continue;
      const FaceRun& run = top ? rib.upperRun : rib.lowerRun;
      const double arc = skin.what == Skin::What::nose ? run.sheetWood : run.sheeted;
      const bool atEnd = skin.what == Skin::What::bays && (rib.t() < inside || rib.t() > outside);
      Point middle(0, 0);
      for (const Point& p : skin.plan) middle += p / static_cast<double>(skin.plan.size());
      bond(out, pieceAt(skin, sheet, rib.t()), pieceOfRib(pieces, rib, top ? RibSide::upper : RibSide::lower),
           GlueUse::skin, arc, arc * rib.thickness * (atEnd ? 0.5 : 1), {middle.x(), rib.t(), skin.centre.z()});
    }
  for (const SparLine& line : frame.spars) // a cap that lies under it
    for (const PieceKind kind : {PieceKind::cap, PieceKind::capOuter})
      for (const Part* piece : sheet) {
        const Part* cap = pieces.find({kind, numberIn(d.spars, line.index), 0, 0, top});
        if (!cap || piece->runs.empty() || skin.plan.empty()) continue;
        const double from = std::max(cap->from.y(), piece->runs.front().from),
                     to = std::min(cap->to.y(), piece->runs.back().to), t = (from + to) / 2;
        if (to <= from) continue;
        const Point at(line.middle.at(t).x(), t);
        if (intersect({skin.plan}, {rectangle(at - Point(0.1, 0.1), at + Point(0.1, 0.1))}).empty()) continue;
        bond(out, piece, cap, GlueUse::skin, (to - from) * line.stretch, (to - from) * line.stretch * cap->breadth,
             {at.x(), t, cap->centre.z()});
      }
  if (skin.what != Skin::What::nose) return;
  const Part* edge = pieces.find({PieceKind::leadingEdge});
  for (const Part* piece : sheet)
    bond(out, piece, edge, GlueUse::skin, piece->length,
         piece->length * (d.sheeting.from == NoseFrom::overStock ? d.leading.onRib() : skin.of.thickness),
         {edge ? edge->centre.x() : 0, piece->centre.y(), piece->centre.z()});
}

} // namespace

std::vector<Bond> bondsOfSkins(const PanelBrief& d, const Frame& frame, const std::vector<Skin>& skins,
                               const std::vector<Part>& parts) {
  const PieceFinder pieces(parts);
  std::vector<Bond> out;
  for (const Skin& skin : skins)
    if (skin.what != Skin::What::tail) layOn(d, frame, skin, pieces, out);
  for (const Part* cloth : pieces.all(PieceKind::cloth))
    for (const Skin& skin : skins)
      if ((skin.face == Face::upper) == cloth->id.top && skin.what != Skin::What::tail)
        for (const Part* piece : piecesOf(pieces, skin))
          bond(out, cloth, piece, GlueUse::cloth, piece->length, piece->area * cloth->count, piece->centre);
  return out;
}

std::vector<Bond> bondsOfSheetPanel(const PanelBrief& d, const SheetPanelMade& made, const std::vector<Part>& parts) {
  const PieceFinder pieces(parts);
  std::vector<Bond> out;
  const Part* blank = pieces.find({PieceKind::panelSheet});
  if (!blank) return out;
  bond(out, blank, blank, GlueUse::frame, made.boardLength, (made.boards - 1) * made.boardLength * d.sheet.thickness,
       blank->centre);
  if (const Part* strip = pieces.find({PieceKind::edgeStrip}))
    bond(out, strip, blank, GlueUse::frame, strip->length, strip->length * strip->stock.thickness, strip->centre);
  for (const Part* former : pieces.all(PieceKind::former))
    bond(out, former, blank, GlueUse::frame, former->length, former->length * former->stock.thickness, former->centre);
  for (const Part* cloth : pieces.all(PieceKind::cloth))
    bond(out, cloth, blank, GlueUse::cloth, cloth->length, cloth->area * cloth->count, cloth->centre);
  return out;
}

std::vector<Space> spacesUnder(const std::vector<Skin>& skins, const std::vector<Part>& parts) {
  const PieceFinder pieces(parts);
  std::vector<Space> out;
  for (const Skin& above : skins)
    for (const Skin& below : skins) {
      if (above.face != Face::upper || below.face != Face::lower || above.what == Skin::What::tail ||
          below.what == Skin::What::tail)
        continue;
      Space space;
      space.plan = intersect({above.plan}, {below.plan});
      constexpr double sliver = 4; // mm²: edges that only meet
      if (space.plan.empty() || areaOf(space.plan) < sliver) continue;
      for (const Part* part : piecesOf(pieces, above)) space.above.push_back(part->id);
      for (const Part* part : piecesOf(pieces, below)) space.below.push_back(part->id);
      if (!space.above.empty() && !space.below.empty()) out.push_back(std::move(space));
    }
  return out;
}

} // namespace eup
