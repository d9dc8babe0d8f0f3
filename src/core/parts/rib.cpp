#include "core/geometry/circle.h"
#include "core/geometry/polyline.h"
#include "core/geometry/tolerances.h"
#include "core/parts/cut_rib.h"
#include "core/parts/rib_cover.h"
#include "core/parts/rib_holes.h"
#include "core/parts/stick_rib.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

Polyline inChordAxes(const ChordFrame& frame, const Polyline& line) {
  const double c = std::cos(frame.washout), s = std::sin(frame.washout); // once for all points
  Polyline out;
  out.reserve(line.size());
  for (const Point& p : line) {
    const Point d = p - frame.le;
    out.emplace_back(c * d.x() + s * d.y(), c * d.y() - s * d.x());
  }
  return out;
}

double heightOf(const Polyline& face, double x) {
  const auto place = lastCrossing(face, x);
  return place ? pointAt(face, *place).y() : 0;
}

/// A rectangle that is sure to reach past the rib above and below.
Polyline slab(const RibMaking& m, double from, double to) {
  const double high = m.rib.frame.chord;
  return rectangle({from, -high}, {to, high});
}

/// The strip on edge: a square of side w standing on its corner, front corner at the nose.
Polyline onEdgeStrip(double w, double wide) {
  const double half = w / std::numbers::sqrt2;
  return {{0, 0}, {half * wide, -half}, {2 * half * wide, 0}, {half * wide, half}};
}

/// What the leading edge stock takes. `ahead` is how far the cut starts before the nose, to take all of it.
Region leadingCut(const RibMaking& m) {
  const LeadingEdge& e = m.design.leadingEdge;
  const double ahead = -m.rib.frame.chord, wide = m.fromNose(1);
  switch (e.kind) {
  case LeadingEdgeKind::none:
    return {};
  case LeadingEdgeKind::square:
    return {slab(m, ahead, noseCut(m.design, m.rib.turn))};
  case LeadingEdgeKind::onEdge:
    return {slab(m, ahead, noseCut(m.design, m.rib.turn)), onEdgeStrip(e.width, wide)};
  case LeadingEdgeKind::shaped: {
    const double face = noseCut(m.design, m.rib.turn), back = e.width * wide;
    const double middle = (heightOf(m.rib.upper, back) + heightOf(m.rib.lower, back)) / 2;
    return {slab(m, ahead, face), rectangle({face - 1, middle - e.height / 2}, {back, middle + e.height / 2})};
  }
  }
  return {};
}

/// Two sheets close towards the tail: the rib between them ends where less than the rim would be left.
double tailEnd(const RibMaking& m) {
  const TrailingEdge& e = m.design.trailingEdge;
  const auto left = [&](double x) { return heightOf(m.rib.upper, x) - heightOf(m.rib.lower, x) - 2 * e.sheet; };
  double low = m.x(e.width), high = m.x(e.overhang);
  if (left(high) >= m.design.ribs.rim || low >= high) return high;
  for (int i = 0; i < 40; ++i) {
    const double mid = (low + high) / 2;
    (left(mid) >= m.design.ribs.rim ? low : high) = mid;
  }
  return low;
}

Region trailingCut(const RibMaking& m) {
  const TrailingEdge& e = m.design.trailingEdge;
  const double beyond = 2 * m.rib.frame.chord;
  if (e.kind == TrailingEdgeKind::none) return {};
  if (e.kind != TrailingEdgeKind::twoSheets) return {slab(m, m.x(e.width), beyond)};
  return {slab(m, tailEnd(m), beyond)}; // the sheets' own thickness is cover
}

Polyline inRib(const RibMaking& m, const Polyline& panelAxes) {
  return inChordAxes(m.rib.frame, panelAxes);
}

/// A round cap where it goes through the rib.
Polyline ring(const Point& middle, double halfWide, double halfHigh) {
  constexpr int sides = 24;
  Polyline out;
  for (int i = 0; i < sides; ++i) {
    const double turn = 2 * std::numbers::pi * i / sides;
    out.push_back(middle + Point(std::cos(turn) * halfWide, std::sin(turn) * halfHigh));
  }
  return out;
}

/// A web that runs through parts the rib in two, from notch to notch.
void cutWeb(const RibMaking& m, const SparLine& line, double along, Region& cuts) {
  const Spar& spar = m.design.spars[static_cast<std::size_t>(line.index)];
  const double width = webWidthAt(spar, along);
  if (spar.webs != Webs::continuous || width <= 0) return;
  const double lean = std::cos(m.rib.lean), half = (width * m.stretch(line.sweep) + m.design.ribs.notchFit) / 2;
  const Point top = m.meet(line.upperSeat), bottom = m.meet(line.lowerSeat);
  const double from = bottom.y() + capAt(spar.bottom, along).depth / lean / 2,
               to = top.y() - capAt(spar.top, along).depth / lean / 2, x = (top.x() + bottom.x()) / 2;
  if (to <= from) return;
  cuts.push_back(inRib(m, rectangle({x - half, from}, {x + half, to})));
  if (m.design.ribs.make != RibMake::sticks) ++m.rib.wantedPieces; // strips run over it
}

/// Notches stand upright in panel axes, so that a straight, untwisted strip drops into all of them.
void cutNotches(const RibMaking& m, const SparLine& line, const Cut& cut, Region& cuts) {
  const Spar& spar = m.design.spars[static_cast<std::size_t>(line.index)];
  const double reach = m.rib.frame.chord, along = line.share(m.meetsAt(line.middle)), stretch = m.stretch(line.sweep);
  for (Face f : {Face::upper, Face::lower}) {
    const bool up = f == Face::upper;
    const Cap cap = capAt(up ? spar.top : spar.bottom, along);
    if (!cap.fitted) continue;
    const double sign = up ? 1 : -1;
    const Point seat = m.meet(up ? line.upperSeat : line.lowerSeat);
    const double inner = seat.y() - sign * cap.depth / std::cos(m.rib.lean);
    const double width = cap.width * stretch + m.design.ribs.notchFit, halfCap = cap.width * stretch / 2;
    const double surface = surfaceHeightAt(cut, f, seat.x());
    const double cover = coverDrop(m.design, m.loft, cut, f, {seat.x(), surface}) / std::cos(m.rib.lean);
    Notch notch{line.index, f, sign * (surface - inner), sign * (surface - inner) - cover, width, {}, {}};
    notch.bottom = m.rib.frame.toChord({seat.x(), inner});
    const double low = std::min(inner, seat.y()), high = std::max(inner, seat.y());
    notch.shape =
        inRib(m, cap.shape == CapShape::strip ? rectangle({seat.x() - halfCap, low}, {seat.x() + halfCap, high})
                                              : ring({seat.x(), (low + high) / 2}, halfCap, (high - low) / 2));
    // A spar drops in from outside, but under the strips of stick ribs it is threaded through.
    const bool open = m.design.ribs.make != RibMake::sticks;
    const Point from(seat.x() - width / 2, up     ? inner
                                           : open ? inner - reach
                                                  : seat.y()),
        to(seat.x() + width / 2, !up    ? inner
                                 : open ? inner + reach
                                        : seat.y());
    cuts.push_back(inRib(m, rectangle(from, to)));
    m.rib.notches.push_back(std::move(notch));
  }
  cutWeb(m, line, along, cuts);
}

/// How much wider a cut square to the rib's face is where what goes in crosses it off square by `angle`: what its slope
/// takes over the rib's thickness. Nothing where the cut is filed to that slope.
double slopeRoom(const RibMaking& m, double angle) {
  if (m.design.ribs.slotCut == SlotCut::filed) return 0;
  const auto [in, out] = m.rib.body();
  return (out - in) * std::abs(std::tan(angle));
}
/// How far aft its middle lies of where what goes in meets the rib's plane, which is a face of an end rib.
double slopeAside(const RibMaking& m, double angle) {
  const auto [in, out] = m.rib.body();
  return (in + out) / 2 * std::tan(angle);
}
/// The bevel that such a cut is filed to, rad; + where the side that faces outwards lies farther aft.
double bevelOf(const RibMaking& m, double angle) {
  return m.design.ribs.slotCut == SlotCut::filed ? angle : 0;
}

void cutSlot(const RibMaking& m, const SparLine& line, const Cut& cut, Region& cuts) {
  const Spar& spar = m.design.spars[static_cast<std::size_t>(line.index)];
  const bool above = spar.ribSlot == SlotFrom::above;
  const Point middle = m.meet(line.middle);
  const double stretch = m.stretch(line.sweep);
  const double width = spar.sheet * stretch + slopeRoom(m, m.rib.turn + line.sweep) + m.design.ribs.notchFit,
               reach = m.rib.frame.chord;
  const double surface = surfaceHeightAt(cut, above ? Face::upper : Face::lower, middle.x());
  Slot slot{line.index, std::abs(surface - middle.y()), width, m.rib.frame.toChord(middle), {}, 0};
  slot.bevel = bevelOf(m, m.rib.turn + line.sweep);
  const double half = spar.sheet * stretch / 2;
  slot.shape = inRib(
      m, rectangle({middle.x() - half, m.meet(line.lowerSeat).y()}, {middle.x() + half, m.meet(line.upperSeat).y()}));
  const double x = middle.x() + slopeAside(m, m.rib.turn + line.sweep);
  const Point from(x - width / 2, above ? middle.y() : middle.y() - reach);
  const Point to(x + width / 2, above ? middle.y() + reach : middle.y());
  cuts.push_back(inRib(m, rectangle(from, to)));
  m.rib.slots.push_back(std::move(slot));
}

void cutPassing(const RibMaking& m, const Passing& p, Region& cuts) {
  const double t = m.meetsAt(p.middle);
  if (t < p.from - 1e-6 || t > p.to + 1e-6) return;
  const Point middle = m.meet(p.middle);
  const double share = p.to > p.from ? (t - p.from) / (p.to - p.from) : 0;
  const double sweep = std::atan2(p.middle.tip.x() - p.middle.root.x(), p.middle.span);
  const double wide = m.rib.turn == 0 ? 1 : std::cos(sweep) * m.stretch(sweep);
  PassHole hole{p.what, m.rib.frame.toChord(middle), p.width * wide, p.width, 0, 0, 0};
  if (!p.round) hole.height = p.heightFrom + (p.heightTo - p.heightFrom) * share;
  hole.underTop = heightOf(m.rib.upper, hole.middle.x()) - hole.middle.y();
  hole.overBottom = hole.middle.y() - heightOf(m.rib.lower, hole.middle.x());
  if (p.round) {
    Polyline circle = circleOf(middle, p.width / 2, sidesOf(p.width / 2));
    for (Point& corner : circle) corner.x() = middle.x() + (corner.x() - middle.x()) * wide;
    cuts.push_back(inRib(m, circle));
  } else {
    const double off = m.rib.turn + sweep;
    hole.width += slopeRoom(m, off), hole.bevel = bevelOf(m, off);
    const Point half(hole.width / 2, hole.height / 2), at = middle + Point(slopeAside(m, off), 0);
    cuts.push_back(inRib(m, rectangle(at - half, at + half)));
  }
  m.rib.passHoles.push_back(hole);
}

/// A rib that would run out over one of the panel's ends stops at the rib there.
void cutAtEnds(const RibMaking& m, Region& cuts) {
  const double s = std::sin(m.rib.turn), far = 3 * m.rib.frame.chord, x0 = m.rib.frame.le.x();
  if (s == 0) return;
  const double low = m.design.ribs.rootThickness, high = m.loft.span() - m.design.ribs.tipThickness;
  const double a = (low - m.rib.frame.t) / s, b = (high - m.rib.frame.t) / s; // along the rib
  const double from = std::min(a, b), to = std::max(a, b);
  if (from > 0) cuts.push_back(inRib(m, rectangle({x0 - far, -far}, {x0 + from, far})));
  if (to < m.rib.frame.chord) cuts.push_back(inRib(m, rectangle({x0 + to, -far}, {x0 + far, far})));
}

/// A half-lap's slot: from one place of the chord to another, from its level up or down out of the rib.
struct LapSlot {
  double from = 0, to = 0, level = 0, reach = 0;
};

/// Slots that run into each other are one, with a step where the level changes: a polygon library that is given
/// hundreds of rectangles over each other takes seconds.
Region joinedSlots(std::vector<LapSlot> slots) {
  std::sort(slots.begin(), slots.end(), [](const LapSlot& a, const LapSlot& b) { return a.from < b.from; });
  Region out;
  for (std::size_t first = 0; first < slots.size();) {
    std::size_t last = first + 1;
    double end = slots[first].to, reach = slots[first].reach;
    const bool up = reach > slots[first].level;
    for (; last < slots.size() && slots[last].from <= end; ++last)
      end = std::max(end, slots[last].to),
      reach = up ? std::max(reach, slots[last].reach) : std::min(reach, slots[last].reach);
    std::vector<double> edges;
    for (std::size_t i = first; i < last; ++i) edges.insert(edges.end(), {slots[i].from, slots[i].to});
    std::sort(edges.begin(), edges.end());
    Polyline loop{{edges.back(), reach}, {edges.front(), reach}};
    std::size_t open = first; // slots before it have ended
    for (std::size_t k = 0; k + 1 < edges.size(); ++k) {
      const double middle = (edges[k] + edges[k + 1]) / 2;
      if (edges[k + 1] <= edges[k]) continue;
      while (open < last && slots[open].to < middle) ++open;
      std::optional<double> level;
      for (std::size_t i = open; i < last && slots[i].from < middle; ++i)
        if (slots[i].to > middle)
          level = !level ? slots[i].level : up ? std::min(*level, slots[i].level) : std::max(*level, slots[i].level);
      if (level) loop.insert(loop.end(), {{edges[k], *level}, {edges[k + 1], *level}});
    }
    if (!up) std::reverse(loop.begin(), loop.end());
    out.push_back(simplified(loop, 0));
    first = last;
  }
  return out;
}

/// Half-laps with every rib of another direction that it meets on the panel.
void cutLaps(const RibMaking& m, const Cut& cut, const std::vector<Standing>& others, bool fromAbove, Region& cuts) {
  const double span = m.loft.span(), x0 = m.rib.frame.le.x(), far = m.rib.frame.chord;
  std::vector<LapSlot> slots;
  for (const auto& [other, thickness, layers] : others) {
    const double between = std::sin(m.rib.turn - other.turn);
    if (std::abs(between) < 1e-3) continue;
    // Both run on the plan from their noses (x, t) along (cos turn, sin turn).
    const double dx = m.loft.frameAt(other.t).le.x() - x0, dt = other.t - m.rib.frame.t;
    const double along = (dt * std::cos(other.turn) - dx * std::sin(other.turn)) / between;
    const double t = m.rib.frame.t + along * std::sin(m.rib.turn), x = x0 + along;
    if (along <= 0 || along >= far || t <= 0 || t >= span) continue;
    const double top = surfaceHeightAt(cut, Face::upper, x), bottom = surfaceHeightAt(cut, Face::lower, x);
    const double off = std::atan(std::cos(other.turn - m.rib.turn) / std::sin(other.turn - m.rib.turn)); // from square
    const double middle = (top + bottom) / 2, at = x + slopeAside(m, off),
                 half = (thickness / std::abs(between) + slopeRoom(m, off) + m.design.ribs.notchFit) / 2;
    slots.push_back({at - half, at + half, middle, fromAbove ? top + far : bottom - far});
    const Point end = m.rib.frame.toChord({x, middle});
    m.rib.laps.push_back({end.x(), end.y(), 2 * half, fromAbove, bevelOf(m, off), other.number});
  }
  for (const Polyline& slot : joinedSlots(std::move(slots))) cuts.push_back(inRib(m, slot));
}

/// A surface on hinges takes what lies behind its hinge line; a spoiler's plate lies in a recess.
void partAtHinge(const RibMaking& m, const HingeLine& line, const Polyline& underCovers) {
  const Surface& s = m.design.surfaces[static_cast<std::size_t>(line.surface)];
  if (s.whole() || !line.covers(m.meetsAt(line.axis))) return;
  Rib& rib = m.rib;
  const Point hinge = rib.frame.toChord(m.meet(line.axis));
  HingeCut cut{line.surface, {}, rib.wood, {}, {}, {}};
  if (s.plateLike()) {
    cut.at.hinge = hinge;
    rib.wood =
        withoutDust(subtract(rib.wood, {plateRecess(s, rib.upper, hinge, m.stretch(line.sweep))}), tolerance::dustArea);
  } else {
    cut.at = hingeSection(s, line, rib.upper, rib.lower, hinge, m.stretch(line.sweep), rib.frame.washout);
    const Polyline &wing = cut.at.wing, &wingStrip = cut.at.wingFacing,
                   &ownStrip = cut.at.facing; // bands, front corners 0 and 3
    const bool ofRibs = s.ofRibs();
    // Cutting the whole rib takes longest: both facing strips are cut out of the short piece that holds them.
    Region near;
    if (!wingStrip.empty() || (ofRibs && !ownStrip.empty())) {
      const Polyline &first = wingStrip.empty() ? ownStrip : wingStrip,
                     &last = ownStrip.empty() || !ofRibs ? wingStrip : ownStrip;
      near = intersect({underCovers}, {{first[0], last[1], last[2], first[3]}});
    }
    rib.wood =
        intersect(cut.whole, {wingStrip.empty() ? wing : Polyline{wing[0], wingStrip[0], wingStrip[3], wing[3]}});
    if (!wingStrip.empty()) cut.wingFacing = intersect(near, {wingStrip});
    rib.wood = withoutDust(rib.wood, tolerance::dustArea);
    if (ofRibs) {
      const Region its{cut.at.surface};
      cut.tail = intersect(cut.whole, its);
      if (!ownStrip.empty()) {
        cut.facing = intersect(intersect(near, its), {ownStrip});
        cut.tail = subtract(cut.tail, {ownStrip});
      }
      cut.tail = withoutDust(cut.tail, tolerance::dustArea);
    }
  }
  rib.hinges.push_back(std::move(cut));
}

} // namespace

Rib cutRib(const PanelBrief& d, const PanelLoft& loft, const std::vector<SparLine>& spars,
           const std::vector<Passing>& passing, const std::vector<Standing>& crossed,
           const std::vector<HingeLine>& hinges, Rib rib, bool bored) {
  const Cut cut = cutOf(loft, rib);
  rib.frame = cut.frame;
  rib.upper = inChordAxes(cut.frame, cut.upper);
  rib.lower = inChordAxes(cut.frame, cut.lower);
  rib.bare.assign(rib.upper.rbegin(), rib.upper.rend());
  rib.bare.insert(rib.bare.end(), rib.lower.begin() + 1, rib.lower.end());
  rib.bare = simplified(rib.bare, 0);
  rib.bareArea = signedArea(rib.bare);
  for (std::size_t i = 0; i < rib.upper.size(); ++i)
    rib.depth = std::max(rib.depth, rib.upper[i].y() - rib.lower[i].y());

  const RibMaking m{d, loft, rib};
  Region edges = leadingCut(m), cuts;
  add(edges, trailingCut(m));
  for (const SparLine& line : spars) {
    const double x = sparOn(line, rib);
    rib.sparX.push_back(x);
    rib.sparDepth.push_back(heightOf(rib.upper, x) - heightOf(rib.lower, x));
    if (const double at = m.meetsAt(line.middle); !line.reaches(at) || at < -1e-6) continue;
    if (d.spars[static_cast<std::size_t>(line.index)].kind == SparKind::caps)
      cutNotches(m, line, cut, cuts);
    else
      cutSlot(m, line, cut, cuts);
  }
  for (const Passing& p : passing) cutPassing(m, p, cuts);
  if (rib.kind == RibKind::riblet) cuts.push_back(slab(m, ribletEnd(d, spars, rib), 2 * rib.frame.chord));
  cutAtEnds(m, cuts);
  cutLaps(m, cut, crossed, rib.kind != RibKind::crossing, cuts);
  const Polyline body = underCover(coverOf(m));
  if (isOfSticks(d, rib)) {
    layOutSticks(d, withoutDust(subtractFromWound(body, edges), tolerance::dustArea), cuts, rib);
    for (const HingeLine& line : hinges) partAtHinge(m, line, body); // glued up whole, and sawn
  } else {
    add(edges, std::move(cuts));
    rib.wood = withoutDust(subtractFromWound(body, edges), tolerance::dustArea);
    for (const HingeLine& line : hinges) partAtHinge(m, line, body);
    if (bored) boreRuns(m), boreLightening(m);
    rib.thin = thinPlaces(rib.wood, d.ribs.rim);
  }
  rib.cutArea = rib.sticks.empty() ? areaOf(rib.wood) : areaOfSticks(rib);
  for (const HingeCut& parted : rib.hinges)
    if (rib.sticks.empty()) rib.cutArea += areaOf(parted.tail);
  rib.pieces = pieceCount(rib.wood);
  rib.upperRun = runOf(m, Face::upper);
  rib.lowerRun = runOf(m, Face::lower);
  return rib;
}

const Region& asCut(const PanelDesign& d, const Rib& rib) {
  for (const HingeCut& cut : rib.hinges) // what was before the first is whole
    if (d.surfaces[static_cast<std::size_t>(cut.surface)].built == SurfaceBuilt::sawnOff) return cut.whole;
  return rib.wood;
}

Beside besideRib(const PanelBrief& d, const PanelLoft& loft, const Rib& given) {
  Rib rib = given;
  const RibMaking m{d, loft, rib};
  const Region whole{rib.bare};
  Beside out;
  const bool over = d.sheeting.from == NoseFrom::overStock;
  Region sheets = noseBand(m);
  out.leadingStock = intersect(whole, leadingCut(m));
  if (over) out.leadingStock = subtract(out.leadingStock, sheets);
  add(sheets, sheetedBands(m));
  out.sheet = intersect(whole, sheets);
  if (!over) out.sheet = subtract(out.sheet, leadingCut(m));
  out.trailingStock = intersect(whole, d.trailingEdge.kind == TrailingEdgeKind::wedge ? trailingCut(m) : Region{});
  if (d.trailingEdge.kind == TrailingEdgeKind::twoSheets) out.trailingStock = intersect(whole, trailingSheets(m));
  if (d.trailingEdge.kind == TrailingEdgeKind::square) out.trailingStock = {squareTail(d, given)};
  out.capStrips = subtract(intersect(whole, capBands(m)), out.sheet);
  return out;
}

double arcTo(const PanelLoft& loft, Face face, double f, double t) {
  return lengthOf(headOf(loft.cutAt(t).face(face), placeOfFraction(f)));
}

} // namespace eup
