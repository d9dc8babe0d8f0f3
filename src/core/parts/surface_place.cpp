#include "core/parts/surface_place.h"
#include <algorithm>

namespace eup {

SurfaceLine SurfaceLine::behindSpar(const PanelBrief& d, const PanelLoft& loft, int index, Face face) {
  SurfaceLine line(0);
  line.loft = &loft;
  line.spar = &d.spars.at(static_cast<std::size_t>(index));
  line.face = face;
  line.end = endOf(d, *line.spar);
  return line;
}

SurfaceLine SurfaceLine::beforeTail(const PanelLoft& loft, double mm) {
  SurfaceLine line(1);
  line.loft = &loft;
  line.tail = mm;
  return line;
}

double SurfaceLine::at(double t) const {
  if (!loft) return fraction;
  const double chord = loft->frameAt(t).chord;
  if (!spar) return std::clamp(1 - tail / chord, 0.0, 1.0);
  // The line is straight in space; in chord fractions it bends a little where the chord tapers.
  const double share = t / loft->span();
  const double x = (1 - share) * spar->rootFraction * loft->frameAt(0).chord +
                   share * spar->tipFraction * loft->frameAt(loft->span()).chord;
  const double along = t / end;
  const double wide =
      spar->kind == SparKind::caps ? capAt(face == Face::upper ? spar->top : spar->bottom, along).width : spar->sheet;
  return std::clamp((x + wide / 2) / chord, 0.0, 1.0);
}

double endOf(const PanelBrief& d, const Spar& spar) {
  return spar.stops ? std::min(spar.stopsAt, d.panel.span) : d.panel.span;
}

std::optional<SurfacePlace> noseSheet(const PanelBrief& d, const PanelLoft& loft, Face face) {
  const Sheeting& s = d.sheeting;
  if (!(face == Face::upper ? s.top : s.bottom)) return std::nullopt;
  return SurfacePlace{face, SurfaceLine::atFraction(0),
                      s.to == SheetEdge::fraction ? SurfaceLine::atFraction(s.fraction)
                                                  : SurfaceLine::behindSpar(d, loft, s.spar - 1, face),
                      0, loft.span()};
}

std::optional<SurfacePlace> capStripBand(const PanelBrief& d, const PanelLoft& loft, Face face) {
  if (!(face == Face::upper ? d.capStrips.top : d.capStrips.bottom)) return std::nullopt;
  const auto sheet = noseSheet(d, loft, face);
  const double stock = d.trailingEdge.kind == TrailingEdgeKind::none ? 0 : d.trailingEdge.width;
  return SurfacePlace{face, sheet ? sheet->to : SurfaceLine::atFraction(0), SurfaceLine::beforeTail(loft, stock), 0,
                      loft.span()};
}

double sheetEdgeAt(const PanelBrief& d, const PanelLoft& loft, Face face, double t) {
  const auto sheet = noseSheet(d, loft, face);
  return sheet ? sheet->to.at(t) : 0;
}

double coverAt(const PanelBrief& d, const PanelLoft& loft, Face face, double fraction, double t) {
  if (const auto sheet = noseSheet(d, loft, face); sheet && sheet->holds(fraction, t)) return d.sheeting.thickness;
  return (face == Face::upper ? d.capStrips.top : d.capStrips.bottom) ? d.capStrips.thickness : 0;
}

} // namespace eup
