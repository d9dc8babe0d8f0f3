#include "core/parts/surface_place.h"
#include "core/design/panel_rules.h"
#include "core/parts/rib.h"
#include <algorithm>

namespace eup {

SurfaceLine SurfaceLine::atSpar(const PanelBrief& d, const PanelLoft& loft, int index, Face face, int side) {
  SurfaceLine line(0);
  line.own.loft = &loft;
  line.own.spar = &d.spars.at(static_cast<std::size_t>(index));
  line.own.face = face, line.own.side = side;
  line.own.end = endOf(d, *line.own.spar);
  return line;
}

SurfaceLine SurfaceLine::behindNose(const PanelLoft& loft, double mm) {
  SurfaceLine line(0);
  line.own.loft = &loft;
  line.own.aft = mm;
  return line;
}

SurfaceLine SurfaceLine::beforeTail(const PanelLoft& loft, double mm) {
  SurfaceLine line(1);
  line.own.loft = &loft;
  line.own.aft = -mm;
  return line;
}

SurfaceLine SurfaceLine::within(const SurfaceLine& from, const SurfaceLine& to) const {
  SurfaceLine line = *this;
  line.bounds.push_back({false, to.own});
  line.bounds.push_back({true, from.own});
  return line;
}

SurfaceLine SurfaceLine::beside(const PanelLoft& loft, const StraightLine& axis, const std::array<Point, 3>& aft) {
  SurfaceLine line(0);
  line.own.loft = &loft;
  line.own.axis = axis, line.own.behind = aft;
  return line;
}

double SurfaceLine::at(double t) const {
  double f = own.at(t);
  for (const Bound& bound : bounds) f = bound.front ? std::max(f, bound.course.at(t)) : std::min(f, bound.course.at(t));
  return f;
}

double SurfaceLine::Course::at(double t) const {
  if (axis) {
    const ChordFrame f = loft->frameAt(t);
    const Point &a = behind[t < behind[1].x() ? 0 : 1], &b = behind[t < behind[1].x() ? 1 : 2];
    const double share = b.x() > a.x() ? (t - a.x()) / (b.x() - a.x()) : 0;
    return std::clamp((f.toChord(axis->at(t)).x() + a.y() + (b.y() - a.y()) * share) / f.chord, 0.0, 1.0);
  }
  if (!spar && loft) return std::clamp(fraction + aft / loft->frameAt(t).chord, 0.0, 1.0);
  if (!spar) return fraction;
  const double chord = loft->frameAt(t).chord;
  // The line is straight in space; in chord fractions it bends a little where the chord tapers.
  const double share = t / loft->span();
  const double x = (1 - share) * spar->rootFraction * loft->frameAt(0).chord +
                   share * spar->tipFraction * loft->frameAt(loft->span()).chord;
  const double along = t / end;
  const double wide =
      spar->kind == SparKind::caps ? capAt(face == Face::upper ? spar->top : spar->bottom, along).width : spar->sheet;
  return std::clamp((x + side * wide / 2) / chord, 0.0, 1.0);
}

double endOf(const PanelBrief& d, const Spar& spar) {
  return spar.stops ? std::min(spar.stopsAt, d.panel.span) : d.panel.span;
}

/// Where it ends.
static SurfaceLine sheetEnd(const PanelBrief& d, const PanelLoft& loft, Face face, const SheetRun& s) {
  switch (s.to) {
  case SheetTo::sparFront:
  case SheetTo::sparMiddle:
  case SheetTo::sparRear:
    return SurfaceLine::atSpar(d, loft, s.spar - 1, face,
                               s.to == SheetTo::sparFront    ? -1
                               : s.to == SheetTo::sparMiddle ? 0
                                                             : 1);
  case SheetTo::fromTail:
    return SurfaceLine::beforeTail(loft, s.fromTail);
  case SheetTo::stock:
    return SurfaceLine::beforeTail(loft, d.trailing.onRib());
  case SheetTo::fraction:
    break;
  }
  return SurfaceLine::atFraction(s.fraction);
}

std::optional<SurfacePlace> noseSheet(const PanelBrief& d, const PanelLoft& loft, Face face) {
  const SheetRun* sheet = d.sheeting.on(face == Face::upper);
  if (!sheet) return std::nullopt;
  return SurfacePlace{face, SurfaceLine::atFraction(0), sheetEnd(d, loft, face, *sheet), 0, loft.span()};
}

std::optional<SurfacePlace> sheetedPlace(const PanelBrief& d, const PanelLoft& loft, const SheetedBays& bays,
                                         Face face) {
  if (!(face == Face::upper ? bays.top : bays.bottom)) return std::nullopt;
  const std::vector<double> stations = ribStations(d.ribs, d.panel.span);
  const auto at = [&](int rib) { return stations.at(static_cast<std::size_t>(rib - 1)); };
  if (bays.fromRib >= bays.toRib) return std::nullopt;
  const auto nose = noseSheet(d, loft, face);
  const SurfaceLine front = nose ? nose->to : SurfaceLine::behindNose(loft, noseCut(d, 0)),
                    rear = SurfaceLine::beforeTail(loft, d.trailing.onRib());
  const SurfaceLine from =
      bays.from == BaysFrom::fraction ? SurfaceLine::atFraction(bays.fromFraction).within(front, rear)
      : bays.from == BaysFrom::spar   ? SurfaceLine::atSpar(d, loft, bays.fromSpar - 1, face, 0).within(front, rear)
                                      : front;
  const SurfaceLine to = bays.to == SheetTo::stock ? rear : sheetEnd(d, loft, face, bays).within(front, rear);
  return SurfacePlace{face, from, to, at(bays.fromRib), at(bays.toRib)};
}

std::vector<Zone> zonesOf(const PanelBrief& d, const PanelLoft& loft) {
  std::vector<Zone> out;
  for (const Face face : {Face::upper, Face::lower})
    if (auto place = noseSheet(d, loft, face)) {
      const double nose = noseCut(d, 0);
      if (nose > 0 && d.sheeting.from == NoseFrom::behindStock) place->from = SurfaceLine::behindNose(loft, nose);
      out.push_back({Zone::What::nose, 0, *d.sheeting.on(face == Face::upper), *place});
    }
  for (std::size_t i = 0; i < d.sheeted.size(); ++i)
    for (const Face face : {Face::upper, Face::lower})
      if (const auto place = sheetedPlace(d, loft, d.sheeted[i], face))
        out.push_back({Zone::What::bays, static_cast<int>(i), d.sheeted[i], *place});
  const TrailingEdge& te = d.trailingEdge;
  if (te.kind != TrailingEdgeKind::twoSheets) return out;
  for (const Face face : {Face::upper, Face::lower}) {
    SkinSheet of;
    of.thickness = te.sheet, of.material = te.material;
    out.push_back(
        {Zone::What::tail,
         0,
         of,
         {face, SurfaceLine::beforeTail(loft, d.trailing.onRib()), SurfaceLine::atFraction(1), 0, loft.span()}});
  }
  return out;
}

double sheetEdgeAt(const PanelBrief& d, const PanelLoft& loft, Face face, double t) {
  const auto sheet = noseSheet(d, loft, face);
  return sheet ? sheet->to.at(t) : 0;
}

double coverAt(const PanelBrief& d, const PanelLoft& loft, Face face, double fraction, double t) {
  if (const auto sheet = noseSheet(d, loft, face); sheet && sheet->isBetween(fraction, t))
    return d.sheeting.on(face == Face::upper)->thickness;
  constexpr double hair = 1e-6; // mm
  for (const SheetedBays& bays : d.sheeted)
    if (const auto place = sheetedPlace(d, loft, bays, face);
        place && t >= place->inner - hair && t <= place->outer + hair && place->isBetween(fraction, t))
      return bays.thickness;
  return (face == Face::upper ? d.capStrips.top : d.capStrips.bottom) ? d.capStrips.thickness : 0;
}

} // namespace eup
