#include "core/parts/hard_points.h"
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double doublerReach = 15; // mm before and behind its block

const Rib* ribBeside(const Frame& frame, double at, bool outside) {
  const Rib* found = nullptr;
  for (const Rib& rib : frame.ribs) {
    if (!outside && rib.t() <= at + 1e-6) found = &rib;
    if (outside && rib.t() > at + 1e-6 && !found) found = &rib;
  }
  return found;
}

double chordFractionAt(const ChordFrame& f, double x) {
  return std::clamp(x / f.chord, 0.0, 1.0);
}

} // namespace

std::vector<HardPointMade> hardPointsOf(const PanelBrief& d, const PanelLoft& loft, const Frame& frame) {
  std::vector<HardPointMade> out;
  if (d.built != Built::ribs) return out;
  for (std::size_t k = 0; k < d.hardPoints.size(); ++k) {
    const HardPoint& h = d.hardPoints[k];
    HardPointMade m;
    m.number = static_cast<int>(k);
    m.offPanel = h.at < 0 || h.at > loft.span();
    const double t = std::clamp(h.at, 0.0, loft.span());
    const ChordFrame f = loft.frameAt(t);
    const double x = h.chord * f.chord;
    m.there = 1e9;
    double under = 0;
    for (const double at : {x - h.width / 2, x, x + h.width / 2}) {
      const double share = chordFractionAt(f, at);
      const double top = loft.at(Face::upper, share, t).y() - coverAt(d, loft, Face::upper, share, t),
                   bottom = loft.at(Face::lower, share, t).y() + coverAt(d, loft, Face::lower, share, t);
      m.there = std::min(m.there, top - bottom);
      if (at == x) under = h.top ? top - h.depth / 2 : bottom + h.depth / 2;
    }
    m.middle = {f.fromChord({x, 0}).x(), t, under};
    const Rib *in = ribBeside(frame, t, false), *away = ribBeside(frame, t, true);
    if (!in) in = &frame.ribs.front();
    if (!away) { // at the tip rib: before it
      away = &frame.ribs.back();
      if (in == away && frame.ribs.size() > 1) in = &frame.ribs[frame.ribs.size() - 2];
    }
    m.ribInside = in->number, m.ribOutside = away->number;
    m.bay = std::max(away->t() - in->t() - in->body().second + away->body().first, 0.0);
    m.length = std::min(h.length, m.bay);
    for (const SparLine& line : frame.spars) {
      if (!line.reaches(t)) continue;
      const double at = line.chordX(f),
                   half = sparWidth(d.spars[static_cast<std::size_t>(line.index)], line.share(t)) / 2;
      m.onSpar = m.onSpar || (at + half > x - h.width / 2 && at - half < x + h.width / 2);
    }
    out.push_back(m);
  }
  return out;
}

Region doublerOn(const PanelBrief& d, const Rib& rib, const HardPoint& point) {
  const double x = point.chord * rib.frame.chord, half = point.width / 2 + doublerReach;
  const Region piece = intersect(asCut(d, rib), {rectangle({x - half, -rib.frame.chord}, {x + half, rib.frame.chord})});
  const Polyline* largest = largestOf(piece);
  return largest ? Region{*largest} : Region{};
}

std::vector<Part> partsOfHardPoints(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                                    const std::vector<HardPointMade>& points) {
  PartMaker m(d, loft, frame);
  for (const HardPointMade& made : points) {
    const HardPoint& h = d.hardPoints[static_cast<std::size_t>(made.number)];
    const int lasting = numberIn(d.hardPoints, made.number);
    Part block = PartMaker::piece({PieceKind::hardPointBlock, lasting}, h.name + ", block", h.material);
    block.stock = Stock::block(h.width, h.depth), block.grain = GrainWay::span;
    block.length = made.length, block.breadth = h.width;
    block.grams = (made.length * h.width - pi / 4 * h.hole * h.hole) * h.depth * m.heavy(h.material);
    block.at = made.middle.y(), block.centre = block.from = block.to = made.middle;
    m.add(std::move(block));
    if (h.doubler <= 0) continue;
    for (const int number : {made.ribInside, made.ribOutside}) {
      const Rib& rib = frame.rib(number);
      const Region shape = doublerOn(d, rib, h);
      if (shape.empty()) continue;
      const Box box = boundsOf(shape);
      Part part = PartMaker::piece({PieceKind::hardPointDoubler, lasting, number},
                                   fmt::format("{}, doubler on {}", h.name, rib.name()), h.doublerMaterial);
      part.stock = Stock::sheet(h.doubler), part.grain = GrainWay::chord, part.drawn = DrawnOn::surfaces;
      part.length = box.width(), part.breadth = box.height(), part.area = areaOf(shape);
      part.grams = part.area * h.doubler * m.heavy(h.doublerMaterial);
      part.rib = number, part.at = rib.t(), part.centre = rib.inPanel(centroidOf(shape));
      part.from = part.to = part.centre;
      m.add(std::move(part));
    }
  }
  return std::move(m.out);
}

} // namespace eup
