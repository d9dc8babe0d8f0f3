// A rib in the making: what its cuts and what lies on it are laid out by.
#pragma once
#include "core/geometry/polyline.h"
#include "core/parts/rib.h"
#include <algorithm>

namespace eup {

/// One rib in the making, in chord axes.
struct RibMaking {
  const PanelBrief& design;
  const PanelLoft& loft;
  Rib& rib;
  /// What a decided width behind the leading edge, or before the trailing edge, takes of the rib.
  double fromNose(double decided) const { return design.leading.taken(decided, rib.turn); }
  double x(double fromTail) const { return rib.frame.chord - design.trailing.taken(fromTail, rib.turn); }
  /// How much wider than square to itself something is in the rib's plane that runs aft by `sweep`.
  double stretch(double sweep) const { return 1 / std::cos(rib.turn + sweep); }
  /// Which place of the panel's span that is where a straight line meets the rib.
  double meetsAt(const StraightLine& line) const { return metAt(rib, line.root.x(), line.tip.x(), line.span); }
  /// The chord fraction at which a line of the surface crosses the rib.
  double fractionOn(const SurfaceLine& line) const {
    double t = std::clamp(rib.t(), 0.0, loft.span());
    if (rib.turn != 0)
      for (int i = 0; i < 4; ++i) t = std::clamp(rib.inPanel({line.at(t) * rib.frame.chord, 0}).y(), 0.0, loft.span());
    return line.at(t);
  }
  /// Where the nose sheet of a face ends on it; 0 without.
  double sheetEdge(Face f) const {
    const auto sheet = noseSheet(design, loft, f);
    return sheet ? fractionOn(sheet->to) : 0;
  }
  /// Where a straight line meets the rib's plane, in that plane.
  Point meet(const StraightLine& line) const {
    if (rib.turn != 0) {
      const Point p = line.at(meetsAt(line));
      return {rib.frame.le.x() + (p.x() - rib.frame.le.x()) / std::cos(rib.turn), p.y()};
    }
    const double k = std::tan(rib.lean);
    Point p = line.at(rib.t());
    for (int i = 0; i < 4; ++i)
      p = line.at(rib.t() + k * p.y()); // a step lessens the error by the line's own slope × k
    return {p.x(), p.y() / std::cos(rib.lean)};
  }
  const Polyline& face(Face f) const { return f == Face::upper ? rib.upper : rib.lower; }
};

/// The place on a face that the straight line of chord fraction f goes through.
inline PlaceOn placeOfFraction(double f) {
  const GridPlace g = gridPlace(f);
  return {g.index, g.share};
}

/// Of the stock that a rib ends at.
inline double trailingWidth(const PanelBrief& d) {
  return d.trailingEdge.kind == TrailingEdgeKind::none ? 0 : d.trailingEdge.width;
}

} // namespace eup
