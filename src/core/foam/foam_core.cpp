#include "core/foam/core_things.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/geometry/round_offset.h"
#include "core/geometry/tolerances.h"
#include "core/parts/cut_rib.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// Thickness of what lies over the core on a face.
double skinOn(const PanelBrief& d, Face face) {
  const SheetRun* sheet = d.sheeting.on(face == Face::upper);
  return sheet ? sheet->thickness : 0;
}

/// One face from the front of the core to its tail, by what the wire passes there; the chord fraction rises.
using Side = std::vector<WireAt>;

Point lerpAt(const Polyline& line, const GridPlace& g) {
  return lerp(line[g.index], line[std::min(g.index + 1, line.size() - 1)], g.share);
}

WireAt between(const WireAt& a, const WireAt& b, double share) {
  return {a.face, a.fraction + (b.fraction - a.fraction) * share, lerp(a.at, b.at, share), lerp(a.core, b.core, share),
          lerp(a.inwards, b.inwards, share)};
}

/// The first point of a face that is not its front.
std::size_t behindFront(const Polyline& face) {
  std::size_t i = 1;
  while (i + 1 < face.size() && (face[i] - face.front()).norm() < tolerance::regionGrid) ++i;
  return i;
}

/// Square to a face at each of its points, into the section. At the front, where the faces meet, the way comes from the
/// other face: there the section's inside lies aft.
Polyline normalsOf(const Polyline& face, const Polyline& other, Face which) {
  Polyline out(face.size());
  const std::size_t begins = behindFront(face), last = face.size() - 1;
  const Point& beside = other[behindFront(other)];
  for (std::size_t i = 0; i < face.size(); ++i) {
    const bool front = i < begins;
    const Point to = i < last ? Point(face[front ? begins : i + 1] - face[i]) : Point(0, 0),
                from = front ? Point(face[i] - beside) : Point(face[i] - face[i == begins ? 0 : i - 1]);
    // A parabola's direction through three points: the nearer one counts more.
    const double before = from.norm(), behind = to.norm();
    Point unit(1, 0);
    if (before > 0 && behind > 0)
      unit = (from / before * behind + to / behind * before).normalized();
    else if (before + behind > 0)
      unit = ((from + to) / (before + behind)).normalized();
    out[i] = which == Face::upper ? Point(unit.y(), -unit.x()) : Point(-unit.y(), unit.x());
  }
  return out;
}

/// Where the wire's way over a face crosses an x, the first from that point on.
std::optional<WireAt> crossingOf(const Side& face, double x, std::size_t first) {
  for (std::size_t i = first; i + 1 < face.size(); ++i) {
    const double a = face[i].at.x(), b = face[i + 1].at.x();
    if ((a - x) * (b - x) <= 0 && a != b) return between(face[i], face[i + 1], (x - a) / (b - a));
  }
  return std::nullopt;
}

/// Empty where strips take the whole chord.
Side sideOf(const PanelBrief& d, const Rib& station, double ends, Face face, double kerf) {
  using namespace section_grid;
  const Polyline& bare = face == Face::upper ? station.upper : station.lower;
  const Polyline normals = normalsOf(bare, face == Face::upper ? station.lower : station.upper, face);
  const double skin = skinOn(d, face), strip = noseCut(d, 0);
  const double from = strip > 0 ? strip - kerf / 2 : -1e9, to = ends + kerf / 2;
  if (from >= to) return {};
  Side all;
  const auto fractionOf = [](int i) { // ahead of the nose's point they all lie at 0
    return i < noseSteps ? (i - noseSteps) * 1e-9 : fraction(i);
  };
  const auto lay = [&](double f, const Point& on, const Point& inwards) {
    all.push_back({face, f, on + inwards * (skin - kerf / 2), on + inwards * skin, inwards});
  };
  constexpr int turned = noseSteps + 6, between = 4; // round the nose a section turns much from point to point
  for (int i = 0; i < points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    lay(fractionOf(i), bare[k], normals[k]);
    for (int n = 1; i < turned && n < between; ++n) {
      const double share = static_cast<double>(n) / between;
      lay(std::lerp(fractionOf(i), fractionOf(i + 1), share), lerp(bare[k], bare[k + 1], share),
          lerp(normals[k], normals[k + 1], share).normalized());
    }
  }
  Side out;
  const auto put = [&](const WireAt& w) { // under a thick skin a curve turns back on itself: only on, never back
    if (out.empty() || w.fraction > out.back().fraction) out.push_back(w);
  };
  if (strip > 0)
    if (const auto front = crossingOf(all, from, 0)) put(*front);
  for (const WireAt& w : all) {
    const bool back = !out.empty() && w.at.x() < out.back().at.x() && w.fraction > 0.02;
    if (w.at.x() >= from && w.at.x() <= to && !back) put(w);
  }
  if (const auto tail = crossingOf(all, to, noseSteps)) put(*tail);
  return out;
}

/// Where a face is at a chord fraction; before its front it stands at the front, behind its tail at the tail.
WireAt onSide(const Side& side, double fraction) {
  const double f = std::clamp(fraction, side.front().fraction, side.back().fraction);
  const auto next = std::upper_bound(side.begin() + 1, side.end() - 1, f,
                                     [](double value, const WireAt& w) { return value < w.fraction; });
  const WireAt &a = *(next - 1), &b = *next;
  const double wide = b.fraction - a.fraction;
  WireAt out = between(a, b, wide > 0 ? std::clamp((f - a.fraction) / wide, 0.0, 1.0) : 0);
  out.fraction = fraction;
  return out;
}

/// Fractions that both ends step through on a face, rising: each's own points, their ends with them. The points of a
/// nose are numbered a hair below 0 each; where neither end would move there is no step.
std::vector<double> stepsOf(const Side& a, const Side& b) {
  constexpr double stands = 1e-3; // mm
  std::vector<double> all;
  for (const Side* side : {&a, &b})
    for (const WireAt& w : *side) all.push_back(w.fraction);
  std::sort(all.begin(), all.end());
  std::vector<double> out{all.front()};
  for (const double f : all) {
    const double moves =
        (onSide(a, f).at - onSide(a, out.back()).at).norm() + (onSide(b, f).at - onSide(b, out.back()).at).norm();
    if (moves > stands) out.push_back(f);
  }
  if (out.size() > 1) out.back() = all.back();
  return out;
}

/// A station's foam before a surface is sawn out of it.
const Region& unparted(const Rib& station) {
  return station.hinges.empty() ? station.wood : station.hinges.front().whole;
}

/// The outline and grooves of an end, and the wire round it.
CoreEnd endOf(const PanelBrief& d, const PanelLoft& loft, const Rib& station, CoreOutlines& outlines) {
  CoreEnd out;
  out.station = station.number;
  out.t = std::clamp(station.t(), 0.0, loft.span());
  out.frame = station.frame;
  out.section = outlines.shortened(station.bare, out.t);
  out.core = outlines.shortened(unparted(station), out.t);
  out.outline = outlines.at(out.t);
  for (std::size_t i = 0; i < d.inCore.size() && !out.outline.empty(); ++i) {
    Region taken = takenBy(d.inCore[i], loft, out.t, out.outline);
    if (taken.empty()) continue;
    out.core = subtract(out.core, taken);
    out.things.push_back({static_cast<int>(i), std::move(taken)});
  }
  return out;
}

/// The wire round an end, by the steps that both ends take together.
void addWire(const PanelBrief& d, const Rib& station, const std::vector<double>& upper,
             const std::vector<double>& lower, const Side& top, const Side& bottom, CoreEnd& end) {
  const Region wire = grownRound({end.outline}, end.kerf / 2);
  if (const Polyline* round = largestOf(wire)) end.wire = *round;
  for (auto f = upper.rbegin(); f != upper.rend(); ++f) end.path.push_back(onSide(top, *f));
  for (const double f : lower) end.path.push_back(onSide(bottom, f));
  const int marks = std::max(d.wire.marks, 2);
  int number = 0;
  const auto mark = [&](const Side& side, Face face, double f) {
    const Polyline& bare = face == Face::upper ? station.upper : station.lower;
    // A section begins at its point (0,0), ahead of which its nose may lie.
    end.marks.push_back(
        {++number, face, f, f > 0 ? lerpAt(bare, gridPlace(f)) : bare.front(), onSide(side, f > 0 ? f : -1).at});
  };
  for (int i = marks; i >= 0; --i) mark(top, Face::upper, static_cast<double>(i) / marks);
  for (int i = 1; i <= marks; ++i) mark(bottom, Face::lower, static_cast<double>(i) / marks);
}

/// Wire and marks of both ends; none where nothing is left for it to go round.
void addWires(const PanelBrief& d, const CoreOutlines& outlines, const Rib& in, const Rib& away, FoamCore& core) {
  const double innerTail = outlines.tailAt(core.inner.t), outerTail = outlines.tailAt(core.outer.t);
  const Side innerTop = sideOf(d, in, innerTail, Face::upper, core.inner.kerf),
             innerBottom = sideOf(d, in, innerTail, Face::lower, core.inner.kerf),
             outerTop = sideOf(d, away, outerTail, Face::upper, core.outer.kerf),
             outerBottom = sideOf(d, away, outerTail, Face::lower, core.outer.kerf);
  for (const Side* side : {&innerTop, &innerBottom, &outerTop, &outerBottom})
    if (side->size() < 2) return;
  const std::vector<double> upper = stepsOf(innerTop, outerTop), lower = stepsOf(innerBottom, outerBottom);
  addWire(d, in, upper, lower, innerTop, innerBottom, core.inner);
  addWire(d, away, upper, lower, outerTop, outerBottom, core.outer);
}

/// As it lies in its block: the inner end's chord line level, its leading edge at the origin.
ChordFrame inBlock(const ChordFrame& end, const ChordFrame& inner, bool level) {
  ChordFrame out = end;
  if (level) { // the beds turn it: cut flat, about the nose's own place in the plan
    out.washout = 0;
    out.le = {end.le.x() - inner.le.x(), 0};
  } else {
    out.le = inner.toChord(end.le);
    out.washout = end.washout - inner.washout;
  }
  out.te = out.fromChord({out.chord, 0});
  return out;
}

Block blockOf(FoamCore& core) {
  Box box;
  for (const bool outer : {false, true})
    for (const Point& p : (outer ? core.outer : core.inner).section) box.include(core.cutFrame(outer).fromChord(p));
  core.low = box.low.y(), core.front = box.low.x();
  return {core.outer.t - core.inner.t, box.width(), box.height()};
}

/// Each block is parted from the next by a slot of the wire.
int blocksFrom(const HotWire& wire, const Block& block) {
  const auto fits = [&](double in, double piece) {
    return piece > 0 ? static_cast<int>(std::floor((in + wire.kerf) / (piece + wire.kerf) + 1e-9)) : 0;
  };
  const int across = std::max(fits(wire.boardLength, block.length) * fits(wire.boardWidth, block.width),
                              fits(wire.boardLength, block.width) * fits(wire.boardWidth, block.length));
  return across * fits(wire.boardHeight, block.height);
}

/// Where core k of the panel ends that begins at station `from`: the station nearest to an even share.
int endOfCore(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, int from, int k) {
  const auto last = static_cast<int>(frame.ribs.size()) - 1;
  const auto off = [&](int i) {
    return std::abs(frame.ribs[static_cast<std::size_t>(i)].t() - loft.span() * k / d.foam.cores);
  };
  int to = last;
  if (k < d.foam.cores)
    for (int i = from + 1; i < last; ++i)
      if (to == last || off(i) < off(to)) to = i;
  return to;
}

FoamCore coreBetween(const PanelBrief& d, const PanelLoft& loft, const Rib& in, const Rib& away,
                     CoreOutlines& outlines) {
  FoamCore core;
  core.inner = endOf(d, loft, in, outlines), core.outer = endOf(d, loft, away, outlines);
  // Both ends take the same time: the one with the shorter way is slower.
  const double inWay = perimeterOf(core.inner.outline), outWay = perimeterOf(core.outer.outline),
               far = std::max({inWay, outWay, 1e-9}), near = std::min(inWay, outWay);
  core.speed = d.wire.speedOf == SpeedOf::slower && near > 0 ? d.wire.speed * far / near : d.wire.speed;
  for (CoreEnd* end : {&core.inner, &core.outer}) {
    end->speed = core.speed * (end == &core.inner ? inWay : outWay) / far;
    end->kerf = d.wire.compensate ? slotAt(d.wire, end->speed) : d.wire.kerf;
  }
  addWires(d, outlines, in, away, core);
  const bool level = d.foam.washoutIn == WashoutIn::beds;
  core.innerCut = inBlock(core.inner.frame, core.inner.frame, level);
  core.outerCut = inBlock(core.outer.frame, core.inner.frame, level);
  core.block = blockOf(core);
  core.fromBoard = blocksFrom(d.wire, core.block);
  // Ruled: its area goes with the square of the way out, so that Simpson's rule is exact.
  const double middle = (core.inner.t + core.outer.t) / 2;
  const Rib half = cutTemplate(d, loft, middle, in.number);
  const double length = core.outer.t - core.inner.t;
  const auto ruled = [&](double inner, double between, double outer) {
    return length / 6 * (inner + 4 * between + outer);
  };
  core.within =
      ruled(std::abs(signedArea(core.inner.section)), std::abs(signedArea(outlines.shortened(half.bare, middle))),
            std::abs(signedArea(core.outer.section)));
  core.volume = ruled(core.inner.outlineArea(), std::abs(signedArea(outlines.at(middle))), core.outer.outlineArea());
  const auto groove = [&](const CoreEnd& end, const Rib& station) {
    return std::max(end.outlineArea() - areaOf(outlines.shortened(unparted(station), end.t)), 0.0);
  };
  core.grooves = length / 2 * (groove(core.inner, in) + groove(core.outer, away)) +
                 takenBetween(d, loft, core.inner.t, core.outer.t, outlines);
  return core;
}

} // namespace

double CoreEnd::outlineArea() const {
  return std::abs(signedArea(outline));
}
double CoreEnd::wireLength() const {
  return perimeterOf(wire);
}

double slotAt(const HotWire& wire, double speed) {
  if (speed <= 0) return 5 * wire.kerf;
  return wire.kerf * std::min(std::pow(wire.kerfSpeed / speed, wire.kerfPower), 5.0);
}

const FoamCore* FoamMade::coreAt(double t) const {
  for (const FoamCore& core : cores)
    if (t <= core.outer.t + 1e-6) return &core;
  return cores.empty() ? nullptr : &cores.back();
}

std::string FoamMade::nameOf(const FoamCore& core) const {
  return cores.size() == 1 ? "core" : fmt::format("core {}", core.number);
}

/// What the ply on an end takes of the core: a rib at the panel's end all of its thickness, one between two cores half.
static double plyOn(const PanelBrief& d, bool atEnd) {
  return atEnd ? d.foam.endRib : d.foam.ribsBetween ? d.foam.endRib / 2 : 0;
}

/// A surface of its own wood behind all of a core, which is cut without that tail; null for none.
static const HingeLine* behindAll(const PanelBrief& d, const Frame& frame, double from, double to) {
  for (const HingeLine& line : frame.hinges)
    if (d.surfaces[static_cast<std::size_t>(line.surface)].ofOwnWood() && line.from <= from + 1e-6 &&
        line.to >= to - 1e-6)
      return &line;
  return nullptr;
}

/// The station's section as the foam ends there, `off` mm further out for the ply that lies on it.
static Rib beside(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, int station, double off) {
  const Rib& rib = frame.ribs[static_cast<std::size_t>(station)];
  if (off == 0) return rib;
  const double t = std::clamp(rib.t(), 0.0, loft.span()) + off;
  Rib end;
  end.number = rib.number, end.station = end.frame.t = t, end.thickness = rib.thickness, end.ofWood = rib.ofWood;
  return cutRib(d, loft, frame.spars, {}, {}, {}, std::move(end), false);
}

std::optional<FoamMade> foamOf(const PanelBrief& d, const PanelShape& shape, const Frame& frame) {
  if (d.built != Built::foam) return std::nullopt;
  FoamMade out;
  CoreOutlines outlines(d, shape.loft);
  int from = 0;
  for (int k = 1; k <= d.foam.cores; ++k) {
    const int to = endOfCore(d, shape.loft, frame, from, k);
    if (to <= from) continue; // more cores than stations
    const auto last = static_cast<int>(frame.ribs.size()) - 1;
    const Rib in = beside(d, shape.loft, frame, from, plyOn(d, from == 0)),
              away = beside(d, shape.loft, frame, to, -plyOn(d, to == last));
    const HingeLine* behind = behindAll(d, frame, in.t(), away.t());
    CoreOutlines tailless(d, shape.loft, behind);
    CoreOutlines& own = behind ? tailless : outlines;
    out.cores.push_back(coreBetween(d, shape.loft, in, away, own));
    FoamCore& core = out.cores.back();
    if (behind) core.endsAt = behind->surface;
    core.parted =
        takenByHinges(d, shape.loft, frame.hinges, core.inner.t, core.outer.t, [&](double t) { return own.at(t); });
    out.cores.back().number = static_cast<int>(out.cores.size());
    from = to;
  }
  if (!d.inCore.empty()) out.things = thingsOf(d, shape.loft, frame, outlines);
  return out;
}

CutOff coreLeft(const FoamCore& core, const HotWire& wire) {
  CutOff out;
  const std::size_t n = std::min(core.inner.path.size(), core.outer.path.size());
  if (n < 3) return out;
  // How far both ends go in each step, and which of them stands still meanwhile at a corner.
  const auto ways = [&](std::size_t i, bool atOuter) {
    const std::vector<WireAt>& path = atOuter ? core.outer.path : core.inner.path;
    return (path[i + 1].at - path[i].at).norm();
  };
  const double whole[2] = {core.inner.wireLength(), core.outer.wireLength()}, most = std::max(whole[0], whole[1]);
  if (most <= 0) return out;
  const auto stands = [&](std::size_t i, bool atOuter) {
    const double far = std::max(ways(i, false), ways(i, true));
    return ways(i, atOuter) < 0.6 * whole[atOuter ? 1 : 0] / most * far;
  };
  for (std::size_t i = 0; i < n; ++i) {
    const std::size_t a = i == 0 ? 0 : i - 1, b = std::min(i, n - 2); // the steps to it and from it
    for (const bool atOuter : {false, true}) {
      const CoreEnd& end = atOuter ? core.outer : core.inner;
      const WireAt& at = end.path[i];
      Polyline& left = out.left[atOuter ? 1 : 0];
      if (stands(a, atOuter) || stands(b, atOuter)) { // there strips come
        left.push_back(at.core);
        continue;
      }
      const double way = ways(a, atOuter) + ways(b, atOuter),
                   far = std::max(ways(a, false), ways(a, true)) + std::max(ways(b, false), ways(b, true));
      const double off = far > 0 ? (end.kerf - slotAt(wire, core.speed * way / far)) / 2 : 0;
      left.push_back(at.core - at.inwards * off);
      if (std::abs(off) > std::abs(out.worst))
        out.worst = off, out.fraction = at.fraction, out.outer = atOuter, out.face = at.face;
    }
  }
  return out;
}

TowerStep onTowers(const Point& in, const Point& out, double innerPlane, double outerPlane, double length) {
  return {lerp(in, out, innerPlane / length), lerp(in, out, outerPlane / length)};
}

std::vector<TowerStep> towerPath(const FoamCore& core, double innerPlane, double outerPlane) {
  std::vector<TowerStep> out;
  const std::size_t n = std::min(core.inner.path.size(), core.outer.path.size());
  const double length = core.outer.t - core.inner.t;
  if (length <= 0) return out;
  out.reserve(n);
  for (std::size_t i = 0; i < n; ++i) {
    out.push_back(onTowers(core.innerCut.fromChord(core.inner.path[i].at),
                           core.outerCut.fromChord(core.outer.path[i].at), innerPlane, outerPlane, length));
  }
  return out;
}

Point atEnd(const TowerStep& step, double innerPlane, double outerPlane, double along) {
  return lerp(step.inner, step.outer, (along - innerPlane) / (outerPlane - innerPlane));
}

} // namespace eup
