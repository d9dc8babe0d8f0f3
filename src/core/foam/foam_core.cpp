#include "core/foam/foam_core.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/geometry/round_offset.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// Thickness of what lies over the core on a face.
double skinOn(const PanelBrief& d, Face face) {
  const SheetRun* sheet = d.sheeting.on(face == Face::upper);
  return sheet ? sheet->thickness : 0;
}

/// Points of one face from the front of the core to its tail, square under the skin, and where the wire goes past them.
struct Side {
  std::vector<double> fraction;
  Polyline section, core, wire;
  Polyline inwards;
  double front = 0, tail = 1; ///< fractions between which it lies
};

Point lerpAt(const Polyline& line, const GridPlace& g) {
  return lerp(line[g.index], line[std::min(g.index + 1, line.size() - 1)], g.share);
}

/// How far inwards of the bare face a chain lies, mitred: every point by half of the two normals' sum.
Polyline normalsOf(const Polyline& face, Face which) {
  Polyline out(face.size());
  for (std::size_t i = 0; i < face.size(); ++i) {
    const Point way = face[std::min(i + 1, face.size() - 1)] - face[i == 0 ? 0 : i - 1];
    const Point unit = way.norm() > 0 ? Point(way / way.norm()) : Point(1, 0);
    out[i] = which == Face::upper ? Point(unit.y(), -unit.x()) : Point(-unit.y(), unit.x());
  }
  return out;
}

/// From which x to which the core reaches at an end.
struct Reach {
  double front = 0, tail = 0;
};
Reach reachOf(const PanelBrief& d, double chord) {
  return {noseCut(d, 0), chord - d.trailing.onRib()};
}

/// Without what does not lie farther aft than what is before it: under a thick skin a curve turns back on itself.
Side onwards(const Side& all) {
  Side out;
  out.front = all.front, out.tail = all.tail;
  for (std::size_t i = 0; i < all.fraction.size(); ++i) {
    if (!out.fraction.empty() && all.fraction[i] <= out.fraction.back()) continue;
    out.fraction.push_back(all.fraction[i]);
    out.section.push_back(all.section[i]), out.core.push_back(all.core[i]), out.wire.push_back(all.wire[i]);
    out.inwards.push_back(all.inwards[i]);
  }
  return out;
}

Side sideOf(const PanelBrief& d, const Rib& station, Face face, double kerf) {
  const Polyline& bare = face == Face::upper ? station.upper : station.lower;
  const Polyline normals = normalsOf(bare, face);
  const double skin = skinOn(d, face), out = skin - kerf / 2;
  const Reach reach = reachOf(d, station.frame.chord);
  const double from = reach.front > 0 ? reach.front - kerf / 2 : -1e9, to = reach.tail + kerf / 2;
  Side side;
  if (from >= to) return side; // strips take the whole chord
  using namespace section_grid;
  const auto put = [&](double f, const Point& p, const Point& n) {
    side.fraction.push_back(f);
    side.section.push_back(p), side.core.push_back(p + n * skin), side.wire.push_back(p + n * out);
    side.inwards.push_back(n);
  };
  for (int i = 0; i < points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    const double f = i < noseSteps ? (i - noseSteps) * 1e-9 : fraction(i);
    const Point p = bare[k] + normals[k] * out;
    if (!side.wire.empty() && p.x() < side.wire.back().x() && f > 0.02) continue; // never back over itself
    if (p.x() >= from && p.x() <= to) put(f, bare[k], normals[k]);
  }
  // Its ends exactly at the front and the tail of the core.
  const auto endAt = [&](double x, bool front) {
    for (int i = 1; i < points; ++i) {
      const auto a = static_cast<std::size_t>(i - 1), b = static_cast<std::size_t>(i);
      const Point p = bare[a] + normals[a] * out, q = bare[b] + normals[b] * out;
      if ((p.x() - x) * (q.x() - x) > 0 || p.x() == q.x()) continue;
      if (i <= noseSteps && !front) continue;
      const double share = (x - p.x()) / (q.x() - p.x());
      const double fa = i - 1 < noseSteps ? 0 : fraction(i - 1), fb = i < noseSteps ? 0 : fraction(i);
      const double f = fa + (fb - fa) * share;
      const Point n = lerp(normals[a], normals[b], share).normalized(), at = lerp(bare[a], bare[b], share);
      if (front) {
        side.fraction.insert(side.fraction.begin(), f), side.section.insert(side.section.begin(), at);
        side.core.insert(side.core.begin(), at + n * skin), side.wire.insert(side.wire.begin(), at + n * out);
        side.inwards.insert(side.inwards.begin(), n);
        side.front = f;
      } else {
        put(f, at, n);
        side.tail = f;
      }
      return;
    }
  };
  if (reach.front > 0) endAt(from, true);
  endAt(to, false);
  return onwards(side);
}

/// Where a face is at a chord fraction; before its front it stands at the front, behind its tail at the tail.
WireAt onSide(const Side& side, Face face, double fraction) {
  WireAt out;
  out.face = face, out.fraction = fraction;
  const double f = std::clamp(fraction, side.fraction.front(), side.fraction.back());
  const auto next = std::upper_bound(side.fraction.begin() + 1, side.fraction.end() - 1, f);
  const auto b = static_cast<std::size_t>(next - side.fraction.begin()), a = b - 1;
  const double wide = side.fraction[b] - side.fraction[a],
               share = wide > 0 ? std::clamp((f - side.fraction[a]) / wide, 0.0, 1.0) : 0;
  out.at = lerp(side.wire[a], side.wire[b], share), out.core = lerp(side.core[a], side.core[b], share);
  out.inwards = lerp(side.inwards[a], side.inwards[b], share);
  return out;
}

/// Fractions that both ends step through on a face, rising: each's own points, their ends with them.
std::vector<double> stepsOf(const Side& a, const Side& b) {
  std::vector<double> all;
  for (const Side* side : {&a, &b}) all.insert(all.end(), side->fraction.begin(), side->fraction.end());
  std::sort(all.begin(), all.end());
  std::vector<double> out;
  for (const double f : all)
    if (out.empty() || f - out.back() > 1e-7) out.push_back(f);
  return out;
}

/// The outline and grooves of an end, and the wire round it.
CoreEnd endOf(const PanelBrief& d, const PanelLoft& loft, const Rib& station) {
  CoreEnd out;
  out.station = station.number;
  out.t = std::clamp(station.t(), 0.0, loft.span());
  out.frame = station.frame;
  out.section = station.bare;
  out.core = station.wood;
  const Rib plain = cutTemplate(d, loft, out.t, station.number);
  const auto largest = std::max_element(plain.wood.begin(), plain.wood.end(), [](const Polyline& a, const Polyline& b) {
    return signedArea(a) < signedArea(b);
  });
  if (largest != plain.wood.end()) out.outline = *largest;
  return out;
}

void addWire(const PanelBrief& d, const Rib& station, const std::vector<double>& upper,
             const std::vector<double>& lower, const Side& top, const Side& bottom, CoreEnd& end) {
  const Region wire = grownRound({end.outline}, end.kerf / 2);
  const auto largest = std::max_element(
      wire.begin(), wire.end(), [](const Polyline& a, const Polyline& b) { return signedArea(a) < signedArea(b); });
  if (largest != wire.end()) end.wire = *largest;
  end.path.clear(), end.marks.clear();
  for (auto f = upper.rbegin(); f != upper.rend(); ++f) end.path.push_back(onSide(top, Face::upper, *f));
  for (const double f : lower) end.path.push_back(onSide(bottom, Face::lower, f));
  const int marks = std::max(d.wire.marks, 2);
  int number = 0;
  const auto mark = [&](const Side& side, Face face, double f) {
    const Polyline& bare = face == Face::upper ? station.upper : station.lower;
    // A section begins at its point (0,0), ahead of which its nose may lie.
    end.marks.push_back(
        {++number, face, f, f > 0 ? lerpAt(bare, gridPlace(f)) : bare.front(), onSide(side, face, f > 0 ? f : -1).at});
  };
  for (int i = marks; i >= 0; --i) mark(top, Face::upper, static_cast<double>(i) / marks);
  for (int i = 1; i <= marks; ++i) mark(bottom, Face::lower, static_cast<double>(i) / marks);
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

int blocksFrom(const HotWire& wire, const Block& block) {
  const auto fits = [](double in, double piece) {
    return piece > 0 ? static_cast<int>(std::floor(in / piece + 1e-9)) : 0;
  };
  const int across = std::max(fits(wire.boardLength, block.length) * fits(wire.boardWidth, block.width),
                              fits(wire.boardLength, block.width) * fits(wire.boardWidth, block.length));
  return across * fits(wire.boardHeight, block.height);
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

std::optional<FoamMade> foamOf(const PanelBrief& d, const PanelShape& shape, const Frame& frame) {
  if (d.built != Built::foam) return std::nullopt;
  FoamMade out;
  const PanelLoft& loft = shape.loft;
  const auto last = static_cast<int>(frame.ribs.size()) - 1;
  int from = 0;
  for (int k = 1; k <= d.foam.cores; ++k) {
    // The station nearest to an even share.
    const double wanted = loft.span() * k / d.foam.cores;
    int to = last;
    if (k < d.foam.cores)
      for (int i = from + 1; i < last; ++i)
        if (to == last || std::abs(frame.ribs[static_cast<std::size_t>(i)].t() - wanted) <
                              std::abs(frame.ribs[static_cast<std::size_t>(to)].t() - wanted))
          to = i;
    if (to <= from) continue; // more cores than stations
    const Rib &in = frame.ribs[static_cast<std::size_t>(from)], &away = frame.ribs[static_cast<std::size_t>(to)];
    FoamCore core;
    core.number = static_cast<int>(out.cores.size()) + 1;
    core.inner = endOf(d, loft, in), core.outer = endOf(d, loft, away);
    // Both ends take the same time: the one with the shorter way is slower.
    const double inWay = perimeterOf(core.inner.outline), outWay = perimeterOf(core.outer.outline),
                 far = std::max({inWay, outWay, 1e-9});
    for (CoreEnd* end : {&core.inner, &core.outer}) {
      end->speed = d.wire.speed * (end == &core.inner ? inWay : outWay) / far;
      end->kerf = d.wire.compensate ? slotAt(d.wire, end->speed) : d.wire.kerf;
    }
    const Side innerTop = sideOf(d, in, Face::upper, core.inner.kerf),
               innerBottom = sideOf(d, in, Face::lower, core.inner.kerf),
               outerTop = sideOf(d, away, Face::upper, core.outer.kerf),
               outerBottom = sideOf(d, away, Face::lower, core.outer.kerf);
    if (innerTop.wire.size() > 1 && innerBottom.wire.size() > 1 && outerTop.wire.size() > 1 &&
        outerBottom.wire.size() > 1) {
      const std::vector<double> upper = stepsOf(innerTop, outerTop), lower = stepsOf(innerBottom, outerBottom);
      addWire(d, in, upper, lower, innerTop, innerBottom, core.inner);
      addWire(d, away, upper, lower, outerTop, outerBottom, core.outer);
    }
    const bool level = d.foam.washoutIn == WashoutIn::beds;
    core.innerCut = inBlock(core.inner.frame, core.inner.frame, level);
    core.outerCut = inBlock(core.outer.frame, core.inner.frame, level);
    core.block = blockOf(core);
    core.fromBoard = blocksFrom(d.wire, core.block);
    // Ruled: its area goes with the square of the way out, so that Simpson's rule is exact.
    const double middle = (core.inner.t + core.outer.t) / 2, length = core.outer.t - core.inner.t;
    const Rib half = cutTemplate(d, loft, middle, in.number);
    core.volume = length / 6 * (core.inner.outlineArea() + 4 * half.cutArea + core.outer.outlineArea());
    core.grooves = length / 2 *
                   (std::max(core.inner.outlineArea() - areaOf(core.inner.core), 0.0) +
                    std::max(core.outer.outlineArea() - areaOf(core.outer.core), 0.0));
    out.cores.push_back(std::move(core));
    from = to;
  }
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
        if (i == b && stands(b, atOuter)) out.waits += std::max(ways(b, false), ways(b, true));
        left.push_back(at.core);
        continue;
      }
      const double way = ways(a, atOuter) + ways(b, atOuter),
                   far = std::max(ways(a, false), ways(a, true)) + std::max(ways(b, false), ways(b, true));
      const double off = far > 0 ? (end.kerf - slotAt(wire, wire.speed * way / far)) / 2 : 0;
      left.push_back(at.core - at.inwards * off);
      if (std::abs(off) > std::abs(out.worst))
        out.worst = off, out.fraction = at.fraction, out.outer = atOuter, out.face = at.face;
    }
  }
  return out;
}

std::vector<TowerStep> towerPath(const FoamCore& core, double innerPlane, double outerPlane) {
  std::vector<TowerStep> out;
  const std::size_t n = std::min(core.inner.path.size(), core.outer.path.size());
  const double length = core.outer.t - core.inner.t;
  if (length <= 0) return out;
  out.reserve(n);
  for (std::size_t i = 0; i < n; ++i) {
    const Point in = core.innerCut.fromChord(core.inner.path[i].at),
                away = core.outerCut.fromChord(core.outer.path[i].at);
    out.push_back({lerp(in, away, innerPlane / length), lerp(in, away, outerPlane / length)});
  }
  return out;
}

Point atEnd(const TowerStep& step, double innerPlane, double outerPlane, double along) {
  return lerp(step.inner, step.outer, (along - innerPlane) / (outerPlane - innerPlane));
}

} // namespace eup
