// What lies on a rib's two faces from nose to tail: nose sheet, strips or sheeted bays, trailing edge sheets.
#include "core/parts/rib_cover.h"
#include "core/geometry/tolerances.h"

namespace eup {
namespace {

/// The chord fraction to which the nose sheet of a face is on the rib; 0 without. Where it ends at the stock it goes a
/// little into it: that is cut away anyhow, and a band that ends square to the curve must not leave a needle.
double sheetEnd(const RibMaking& m, Face f) {
  const SheetRun* s = m.design.sheeting.on(f == Face::upper);
  const double edge = s ? m.sheetEdge(f) : 0;
  if (edge <= 0 || s->to != SheetTo::stock) return edge;
  return std::min(edge + std::min(s->thickness, trailingWidth(m.design)) / m.rib.frame.chord, 1.0);
}

/// The sheeted part of a face, nose to sheet edge; empty when it is not sheeted.
Polyline sheetRun(const RibMaking& m, Face f) {
  const double edge = sheetEnd(m, f);
  return edge > 0 ? headOf(m.face(f), placeOfFraction(std::min(edge, 1.0))) : Polyline{};
}

/// Chord fraction by which a band starts under the one before it, so that no needle of wood is left between the two
/// where both end square to a curve.
constexpr double lapUnderSheet = 0.002;

/// Where a face meets the trailing edge's stock, `into` mm inside it; its tail where there is none: the place of the
/// tail's own x is found or not by the last digit.
std::optional<PlaceOn> stockOn(const RibMaking& m, Face f, double into) {
  const Polyline& face = m.face(f);
  const double width = trailingWidth(m.design);
  return width > 0 ? lastCrossing(face, m.x(width - into)) : PlaceOn{face.size() - 2, 1};
}

/// What a face behind its nose sheet is covered with, in stretches from `from` to `to`, chord fractions of the rib.
struct Behind {
  double from = 0, to = 1;
  bool toStock = false;              ///< it ends at the trailing edge's stock
  const SheetedBays* bays = nullptr; ///< else a cap strip, or nothing
};
std::vector<Behind> behindSheet(const RibMaking& m, Face f) {
  const double edge = m.sheetEdge(f);
  const SheetRun* nose = m.design.sheeting.on(f == Face::upper);
  if (edge > 0 && nose->to == SheetTo::stock) return {}; // sheet covers all there is
  const SheetedBays* bays = sheetedAt(m.design, m.rib, f);
  if (!bays) return {{edge, 1, true, nullptr}};
  const auto place = sheetedPlace(m.design, m.loft, *bays, f);
  const bool ahead = bays->from != BaysFrom::before, behind = bays->to != SheetTo::stock;
  const double from = ahead ? m.fractionOn(place->from) : edge, to = m.fractionOn(place->to);
  constexpr double hair = 1e-6;
  std::vector<Behind> out;
  if (ahead && from > edge + hair) out.push_back({edge, from, false, nullptr});
  if (!behind || to > from + hair) out.push_back({from, to, !behind, bays});
  if (behind) out.push_back({std::max(to, from), 1, true, nullptr});
  return out;
}

/// One of them as a line on the face.
Polyline runOn(const RibMaking& m, Face f, const Behind& one, double thickness) {
  const Polyline& face = m.face(f);
  const PlaceOn start = placeOfFraction(std::max(one.from - lapUnderSheet, 0.0));
  std::optional<PlaceOn> end = placeOfFraction(one.to);
  if (one.toStock) {
    // Into the stock behind, which is cut away anyhow: a band that ends square to the curve must not leave a needle.
    const TrailingEdge& te = m.design.trailingEdge;
    const double into =
        te.kind == TrailingEdgeKind::wedge || te.kind == TrailingEdgeKind::square ? std::min(thickness, te.width) : 0.1;
    end = stockOn(m, f, into);
  }
  if (!end || std::pair(end->segment, end->t) <= std::pair(start.segment, start.t)) return {};
  return pieceOf(face, start, *end);
}

Region bandOf(const Polyline& run, double thickness) {
  return bandAlong(simplified(run, tolerance::flattening / 2), thickness);
}

/// A face from nose to tail in stretches of one cover each: sheet, then strip or sheet or nothing, then a trailing edge
/// sheet.
std::vector<Stretch> coverOf(const RibMaking& m, Face f) {
  const Polyline& face = m.face(f);
  const PanelBrief& d = m.design;
  const PlaceOn nose{0, 0}, tail{face.size() - 2, 1};
  PlaceOn tailStart = tail;
  if (d.trailingEdge.kind == TrailingEdgeKind::twoSheets)
    if (const auto at = lastCrossing(face, m.x(d.trailingEdge.width))) tailStart = *at;
  const auto upTo = [&](PlaceOn place) {
    return std::pair(tailStart.segment, tailStart.t) < std::pair(place.segment, place.t) ? tailStart : place;
  };
  const auto between = [&](PlaceOn a, PlaceOn b) { return simplified(pieceOf(face, a, b), tolerance::flattening); };
  const SheetRun* sheet = d.sheeting.on(f == Face::upper);
  const double edge = sheetEnd(m, f);
  PlaceOn at = edge > 0 ? upTo(placeOfFraction(edge)) : nose;
  std::vector<Stretch> out{{between(nose, at), sheet ? sheet->thickness : 0}};
  const double strips = (f == Face::upper ? d.capStrips.top : d.capStrips.bottom) ? d.capStrips.thickness : 0;
  std::vector<Behind> behind = behindSheet(m, f);
  if (behind.empty()) behind.push_back({edge, 1, true, nullptr}); // under the stock's sheet nothing is left of it
  for (const Behind& one : behind) {
    const PlaceOn next = one.toStock ? tailStart : upTo(placeOfFraction(one.to));
    out.push_back({between(at, next), one.bays ? one.bays->thickness : strips});
    at = next;
  }
  out.push_back({between(tailStart, tail), d.trailingEdge.sheet});
  return out;
}

} // namespace

Region noseBand(const RibMaking& m) {
  const Sheeting& s = m.design.sheeting;
  Polyline top = sheetRun(m, Face::upper), bottom = sheetRun(m, Face::lower);
  if (top.size() > 1 && bottom.size() > 1 && s.on(true)->thickness == s.on(false)->thickness) {
    std::reverse(top.begin(), top.end()); // one sheet round the nose leaves no seam in the band
    top.insert(top.end(), bottom.begin() + 1, bottom.end());
    return bandOf(top, s.thickness);
  }
  Region out;
  if (top.size() > 1) add(out, bandOf(top, s.on(true)->thickness));
  if (bottom.size() > 1) add(out, bandOf(bottom, s.on(false)->thickness));
  return out;
}

Region capBands(const RibMaking& m) {
  Region out;
  const CapStrips& c = m.design.capStrips;
  for (Face f : {Face::upper, Face::lower})
    if (f == Face::upper ? c.top : c.bottom)
      for (const Behind& one : behindSheet(m, f))
        if (!one.bays) add(out, bandOf(runOn(m, f, one, c.thickness), c.thickness));
  return out;
}

Region sheetedBands(const RibMaking& m) {
  Region out;
  for (Face f : {Face::upper, Face::lower})
    for (const Behind& one : behindSheet(m, f))
      if (one.bays) add(out, bandOf(runOn(m, f, one, one.bays->thickness), one.bays->thickness));
  return out;
}

Region trailingSheets(const RibMaking& m) {
  Region out;
  for (Face f : {Face::upper, Face::lower})
    if (const auto from = lastCrossing(m.face(f), m.x(m.design.trailingEdge.width)))
      add(out, bandAlong(simplified(tailOf(m.face(f), *from), tolerance::flattening / 2), m.design.trailingEdge.sheet));
  return out;
}

std::vector<Stretch> coverOf(const RibMaking& m) {
  std::vector<Stretch> out = coverOf(m, Face::upper);
  std::reverse(out.begin(), out.end());
  for (Stretch& s : out) std::reverse(s.line.begin(), s.line.end());
  for (Stretch& s : coverOf(m, Face::lower)) out.push_back(std::move(s));
  out.push_back({{m.rib.lower.back(), m.rib.upper.back()}, 0});
  return out;
}

FaceRun runOf(const RibMaking& m, Face f) {
  const double edge = m.sheetEdge(f);
  const auto arcTo = [&](double x) {
    const auto place = lastCrossing(m.face(f), x);
    return place ? lengthOf(headOf(m.face(f), *place)) : 0;
  };
  const auto arcAt = [&](double fraction) {
    return fraction > 0 ? lengthOf(headOf(m.face(f), placeOfFraction(fraction))) : 0;
  };
  FaceRun out;
  const auto stock = stockOn(m, f, 0);
  const double tail = stock ? lengthOf(headOf(m.face(f), *stock)) : 0, nose = arcTo(noseCut(m.design, m.rib.turn));
  out.sheetArc = arcAt(edge);
  const double begins = m.design.sheeting.from == NoseFrom::overStock ? 0 : nose;
  out.sheetWood = std::max(std::min(out.sheetArc, tail) - begins, 0.0);
  const std::vector<Behind> behind = behindSheet(m, f);
  const bool bays = std::any_of(behind.begin(), behind.end(), [](const Behind& one) { return one.bays; });
  for (const Behind& one : behind) {
    const double from = arcAt(one.from), to = one.toStock ? tail : std::min(arcAt(one.to), tail);
    if (one.bays)
      out.sheeted = std::max(to - std::max(from, nose), 0.0);
    else if (!bays || !one.toStock)
      out.capArc = std::max(to - from, 0.0);
    else
      out.aftArc = std::max(to - from, 0.0), out.aftFrom = from;
  }
  return out;
}

} // namespace eup
