#include "core/skins/cover_cut.h"
#include "core/geometry/polyline.h"
#include "core/measure/units.h"
#include "core/skins/skin_list.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

bool covered(const PanelBrief& d, Face face) {
  const Stiffening& s = d.stiffening;
  return s.covering != uncovered && s.covers(face == Face::upper, face == Face::lower) > 0;
}

/// Chord fractions that the covering of a face lies on at t, rising: sheet or stock in front, spars that come to the
/// surface, stock behind.
/// `sheet`: of the bay, where it is sheeted.
std::vector<double> heldAt(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, Face face, double t,
                           const std::optional<SurfacePlace>& sheet) {
  const ChordFrame chord = loft.frameAt(t);
  const double front = std::max(sheetEdgeAt(d, loft, face, t), noseCut(d, 0) / chord.chord),
               rear = 1 - d.trailing.onRib() / chord.chord;
  std::vector<double> out{front};
  const bool strips = face == Face::upper ? d.capStrips.top : d.capStrips.bottom; // the covering lies over them
  for (const SparLine& line : frame.spars) {
    const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
    const bool there = spar.kind == SparKind::fullDepth || (face == Face::upper ? spar.top : spar.bottom).fitted;
    const double at = line.chordX(chord) / chord.chord;
    if (!strips && there && t <= line.end && at > front && at < rear) out.push_back(at);
  }
  if (rear > front) out.push_back(rear);
  if (sheet) {
    std::erase_if(out, [&](double f) { return f > sheet->from.at(t) && f < sheet->to.at(t); });
    out.push_back(sheet->from.at(t)), out.push_back(sheet->to.at(t));
  }
  std::sort(out.begin(), out.end());
  return out;
}

/// How far the surface stands out of the straight line between two places, in even steps from end to end.
std::vector<double> risesBetween(const PanelLoft& loft, Face face, double from, double to, double t) {
  constexpr int steps = 20;
  const Point a = loft.at(face, from, t), way = loft.at(face, to, t) - a;
  std::vector<double> out(steps + 1, 0.0);
  for (int i = 1; i < steps; ++i) {
    const Point p = loft.at(face, from + (to - from) * i / steps, t) - a;
    out[static_cast<std::size_t>(i)] =
        (way.x() * p.y() - way.y() * p.x()) / way.norm() * (face == Face::upper ? 1 : -1);
  }
  return out;
}

} // namespace

std::vector<CoverPiece> coverPieces(const PanelBrief& d, const PanelLoft& loft) {
  std::vector<CoverPiece> out;
  for (const Face face : {Face::upper, Face::lower}) {
    if (!covered(d, face)) continue;
    const FlatPattern p = flatPattern(FlatSurface(loft, face, 0, 1), SurfaceLine::atFraction(0),
                                      SurfaceLine::atFraction(1), innerPlane(d), outerPlane(d));
    // Its sides along the leading edge's straight line.
    const Point along = (p.front.back() - p.front.front()).normalized(), across(along.y(), -along.x());
    Box box;
    for (const Point& corner : p.outline) box.include(Point(corner.dot(along), corner.dot(across)));
    const double more = 2 * d.cutList.coverOverlap;
    CoverPiece piece{face, box.width() + more, box.height() + more, 1};
    piece.strips = std::max(1, static_cast<int>(std::ceil(piece.width / d.cutList.coverRoll - 1e-9)));
    out.push_back(piece);
  }
  return out;
}

double rollFor(const std::vector<CoverPiece>& pieces, const CutList& order, int hands) {
  double sum = 0, across = 0, longest = 0; // what lies beside each other where the roll stands
  for (int hand = 0; hand < hands; ++hand)
    for (const CoverPiece& p : pieces)
      for (int strip = 0; strip < p.strips; ++strip) {
        const double wide = p.width / p.strips;
        if (across + wide > order.coverRoll + 1e-9) sum += longest, across = longest = 0;
        across += wide, longest = std::max(longest, p.length);
      }
  return sum + longest;
}

PulledIn pullsIn(const std::vector<double>& rises, double length, double width) {
  const std::size_t steps = rises.size() - 1;
  std::vector<double> sines(2 * steps), film(steps + 1, 0.0);
  for (std::size_t i = 0; i < sines.size(); ++i)
    sines[i] = std::sin(pi * static_cast<double>(i) / static_cast<double>(steps));
  for (std::size_t n = 1; n < steps; ++n) {
    const double inward = static_cast<double>(n) * pi * width / (2 * length);
    if (inward > 300) break; // nothing of it reaches the middle
    double part = 0;
    for (std::size_t i = 1; i < steps; ++i) part += rises[i] * sines[n * i % sines.size()];
    part *= 2 / static_cast<double>(steps) / std::cosh(inward);
    for (std::size_t i = 1; i < steps; ++i) film[i] += part * sines[n * i % sines.size()];
  }
  PulledIn out;
  for (std::size_t i = 1; i < steps; ++i)
    if (rises[i] - film[i] > out.depth) out = {rises[i] - film[i], static_cast<double>(i) / static_cast<double>(steps)};
  return out;
}

Hollow deepestHollow(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, Face face) {
  Hollow out;
  if (!covered(d, face)) return out;
  for (std::size_t i = 1; i < frame.ribs.size(); ++i) {
    const int bay = static_cast<int>(i);
    const SheetedBays* bays = sheetedBetween(d.sheeted, bay, bay + 1, face == Face::upper);
    const auto sheet = bays ? sheetedPlace(d, loft, *bays, face) : std::nullopt;
    const double t = std::clamp((frame.ribs[i - 1].t() + frame.ribs[i].t()) / 2, 0.0, loft.span()),
                 wide = frame.ribs[i].t() - frame.ribs[i - 1].t();
    const std::vector<double> held = heldAt(d, loft, frame, face, t, sheet);
    for (std::size_t k = 1; k < held.size(); ++k) {
      if (held[k] - held[k - 1] < 0.02) continue;
      if (sheet && sheet->isBetween((held[k] + held[k - 1]) / 2, t)) continue;
      const double chord = (loft.at(face, held[k], t) - loft.at(face, held[k - 1], t)).norm();
      if (wide <= 0 || chord <= 0) continue;
      const std::vector<double> rises = risesBetween(loft, face, held[k - 1], held[k], t);
      const double hollow = -*std::min_element(rises.begin(), rises.end());
      if (hollow > out.proud) out.proud = hollow, out.proudRib = frame.ribs[i - 1].number;
      if (const PulledIn in = pullsIn(rises, chord, wide); in.depth > out.depth) {
        out.depth = in.depth, out.rib = frame.ribs[i - 1].number;
        out.from = held[k - 1], out.to = held[k];
        out.at = out.from + (out.to - out.from) * in.at;
      }
    }
  }
  return out;
}

} // namespace eup
