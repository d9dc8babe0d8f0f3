#include "core/parts/spar_line.h"
#include "core/geometry/polyline.h"
#include <cmath>

namespace eup {
namespace {

bool sheeted(const Design& d, Face f) { return f == Face::upper ? d.sheeting.top : d.sheeting.bottom; }
bool stripped(const Design& d, Face f) { return f == Face::upper ? d.capStrips.top : d.capStrips.bottom; }

/// The face under its cover: lowered square to the surface, so by t / cos(slope) along z.
Point seat(const Design& d, const PanelLoft& loft, Face face, double fraction, double t) {
  const double slope = loft.slope(face, fraction, t);
  const double drop = coverAt(d, loft, face, fraction, t) * std::sqrt(1 + slope * slope);
  return loft.at(face, fraction, t) + Point(0, face == Face::upper ? -drop : drop);
}

} // namespace

double sheetEdgeAt(const Design& d, const PanelLoft& loft, Face face, double t) {
  if (!sheeted(d, face)) return 0;
  if (d.sheeting.to == SheetEdge::fraction) return d.sheeting.fraction;
  const Spar& spar = d.spars[static_cast<std::size_t>(d.sheeting.spar - 1)];
  const double share = t / loft.span();
  const double chord = loft.frameAt(t).chord;
  // The line is straight in space; in chord fractions it bends a little where the chord tapers.
  const double x = (1 - share) * spar.rootFraction * loft.frameAt(0).chord + share * spar.tipFraction * loft.frameAt(loft.span()).chord;
  const double half = (spar.kind == SparKind::caps ? (face == Face::upper ? spar.top : spar.bottom).width : spar.sheet) / 2;
  return std::min((x + half) / chord, 1.0);
}

double coverAt(const Design& d, const PanelLoft& loft, Face face, double fraction, double t) {
  if (sheeted(d, face) && fraction <= sheetEdgeAt(d, loft, face, t) + 1e-9) return d.sheeting.thickness;
  return stripped(d, face) ? d.capStrips.thickness : 0;
}

double SparLine::fractionAt(double t, const PanelLoft& loft) const {
  const ChordFrame frame = loft.frameAt(t);
  return frame.toChord(middle.at(t)).x() / frame.chord;
}

double surfaceHeightAt(const Cut& cut, Face face, double x) {
  const Polyline& line = cut.face(face);
  const auto place = lastCrossing(line, x);
  return place ? pointAt(line, *place).y() : line.back().y();
}

std::vector<SparLine> sparLines(const Design& d, const PanelLoft& loft) {
  std::vector<SparLine> out;
  const double span = loft.span();
  for (std::size_t i = 0; i < d.spars.size(); ++i) {
    const Spar& spar = d.spars[i];
    SparLine line;
    line.index = static_cast<int>(i);
    line.rootFraction = spar.rootFraction;
    line.tipFraction = spar.tipFraction;
    const auto along = [&](Face f) {
      return StraightLine{seat(d, loft, f, spar.rootFraction, 0), seat(d, loft, f, spar.tipFraction, span), span};
    };
    line.upperSeat = along(Face::upper);
    line.lowerSeat = along(Face::lower);
    line.middle = {lerp(line.upperSeat.root, line.lowerSeat.root, 0.5), lerp(line.upperSeat.tip, line.lowerSeat.tip, 0.5), span};
    const ChordFrame rootFrame = loft.frameAt(0), tipFrame = loft.frameAt(span);
    const double planRoot = rootFrame.fromChord({spar.rootFraction * rootFrame.chord, 0}).x();
    const double planTip = tipFrame.fromChord({spar.tipFraction * tipFrame.chord, 0}).x();
    line.sweep = std::atan2(planTip - planRoot, span);
    line.stretch = 1 / std::cos(line.sweep);
    constexpr int looks = 40;
    for (int k = 0; k <= looks; ++k) {
      const double t = span * k / looks;
      const Cut cut = loft.cutAt(t);
      for (Face f : {Face::upper, Face::lower}) {
        const Point p = (f == Face::upper ? line.upperSeat : line.lowerSeat).at(t);
        const double fraction = std::clamp(cut.frame.toChord(p).x() / cut.frame.chord, 0.0, 1.0);
        const double slope = loft.slope(f, fraction, t);
        const double drop = coverAt(d, loft, f, fraction, t) * std::sqrt(1 + slope * slope);
        const double gap = std::abs(surfaceHeightAt(cut, f, p.x()) + (f == Face::upper ? -drop : drop) - p.y());
        if (gap > line.worstGap) line.worstGap = gap, line.worstGapAt = t;
      }
    }
    out.push_back(line);
  }
  return out;
}

} // namespace eup
