// The glue joints of a panel of foam, beside its skins and its tip.
#include "core/foam/foam_core.h"
#include "core/geometry/region.h"
#include "core/parts/frame_bonds.h"
#include <algorithm>

namespace eup {
namespace {

/// The cores that a piece between two places of the span lies in, and how much of it in each, mm of the span.
template <class Put> void inCores(const PieceFinder& pieces, const FoamMade& made, double from, double to, Put put) {
  for (const FoamCore& core : made.cores) {
    const double a = std::max(from, core.inner.t), b = std::min(to, core.outer.t);
    if (const Part* part = pieces.find({PieceKind::core, core.number}); part && b > a) put(*part, b - a, (a + b) / 2);
  }
}

/// mm round the section of what lies in a groove or a bore: of a strip three sides, of what is round all of it.
double wetted(const Part& part) {
  const Stock& s = part.stock;
  if (s.form == Stock::Form::rod) return pi * s.thickness;
  if (s.form == Stock::Form::sheet) return 2 * part.breadth;
  return s.width + 2 * s.thickness;
}

} // namespace

std::vector<Bond> bondsOfFoam(const FoamMade& made, const std::vector<Part>& parts) {
  const PieceFinder pieces(parts);
  std::vector<Bond> out;
  const auto core = [&](std::size_t k) { return pieces.find({PieceKind::core, made.cores[k].number}); };
  const auto middle = [](const CoreEnd& end) -> Point3 {
    const Point p = end.frame.fromChord({end.frame.chord / 2, 0});
    return {p.x(), end.t, p.y()};
  };
  for (std::size_t k = 0; k + 1 < made.cores.size(); ++k) {
    const CoreEnd& end = made.cores[k].outer;
    const Part* between = pieces.find({PieceKind::coreRibBetween, static_cast<int>(k) + 1});
    const double face = areaOf(end.core);
    if (!between) bond(out, core(k), core(k + 1), GlueUse::foam, end.frame.chord, face, middle(end));
    for (const std::size_t side : {k, k + 1})
      bond(out, between, core(side), GlueUse::ply, end.frame.chord, face, middle(end));
  }
  if (made.cores.empty()) return out;
  bond(out, pieces.find({PieceKind::coreRibInner}), core(0), GlueUse::ply, made.cores.front().inner.frame.chord,
       areaOf(made.cores.front().inner.core), middle(made.cores.front().inner));
  bond(out, pieces.find({PieceKind::coreRibOuter}), core(made.cores.size() - 1), GlueUse::ply,
       made.cores.back().outer.frame.chord, areaOf(made.cores.back().outer.core), middle(made.cores.back().outer));
  for (const Part& part : parts) {
    const Part::What what = part.what();
    const bool letIn = what == Part::What::spars || what == Part::What::inCore || part.id.kind == PieceKind::web;
    const bool edge = what == Part::What::leadingEdge || what == Part::What::trailingEdge;
    if (!letIn && !edge) continue;
    const double from = part.from.y(), to = part.to.y();
    if (to <= from) { // it stands in one place
      if (const FoamCore* at = made.coreAt(part.centre.y()))
        bond(out, &part, pieces.find({PieceKind::core, at->number}), GlueUse::foam, part.length,
             part.length * wetted(part), part.centre);
      continue;
    }
    const double stretch = part.length / (to - from),
                 wide = edge ? (part.stock.form == Stock::Form::sheet ? 2 * part.breadth : part.stock.thickness)
                             : wetted(part);
    inCores(pieces, made, from, to, [&](const Part& in, double along, double t) {
      bond(out, &part, &in, GlueUse::foam, along * stretch, along * stretch * wide,
           lerp(part.from, part.to, (t - from) / (to - from)));
    });
  }
  return out;
}

} // namespace eup
