#include "core/parts/rib_holes.h"
#include "core/geometry/circle.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// How far a place within the wood lies from its nearest edge; negative outside it.
double clearance(const Region& wood, const Point& p) {
  double least = 1e300;
  bool in = false;
  for (const Polyline& loop : wood)
    for (std::size_t i = 0, j = loop.size() - 1; i < loop.size(); j = i++) {
      const Point &a = loop[j], &b = loop[i], way = b - a;
      if ((a.y() > p.y()) != (b.y() > p.y()) && p.x() < way.x() * (p.y() - a.y()) / way.y() + a.x()) in = !in;
      const double l2 = way.squaredNorm(), share = l2 > 0 ? std::clamp((p - a).dot(way) / l2, 0.0, 1.0) : 0;
      least = std::min(least, (a + way * share - p).squaredNorm());
    }
  return in ? std::sqrt(least) : -std::sqrt(least);
}

double heightAlong(const Polyline& face, double x) {
  const auto place = lastCrossing(face, x);
  return place ? pointAt(face, *place).y() : 0;
}

void bore(Rib& rib, const Point& middle, double diameter) {
  const Polyline hole = circleOf(middle, diameter / 2, sidesOf(diameter / 2));
  constexpr double clear = 0.01; // mm
  const bool within = clearance(rib.wood, middle) > diameter / 2 + clear;
  const auto cut = [&](Region& wood) {
    if (within)
      addHole(wood, hole);
    else
      wood = subtract(wood, {hole});
  };
  cut(rib.wood);
  for (HingeCut& parted : rib.hinges) cut(parted.whole); // as it is cut, too
}

/// Where a run's line lies on a rib, from its nose along the chord line.
double runOn(const RibMaking& m, const Run& run) {
  const double span = m.loft.span(), from = std::clamp(run.from, 0.0, span), to = std::clamp(run.to, 0.0, span);
  const auto x = [&](double t, double fraction) { return planX(m.loft.frameAt(t), fraction); };
  const double a = x(from, run.xFrom), b = x(to, run.xTo), t = m.rib.t();
  const double there = to > from ? a + (b - a) * (t - from) / (to - from) : a;
  return (there - m.rib.frame.le.x()) / std::cos(m.rib.frame.washout);
}

/// Its height: of a tube straight from end to end, else at its share of the depth there.
double heightOf(const RibMaking& m, const Run& run, double x) {
  const auto share = [&](double low, double high) { return low + (high - low) * run.high; };
  if (run.kind != RunKind::tube) return share(heightAlong(m.rib.lower, x), heightAlong(m.rib.upper, x));
  const double span = m.loft.span(), from = std::clamp(run.from, 0.0, span), to = std::clamp(run.to, 0.0, span);
  const auto end = [&](double t, double fraction) {
    return share(m.loft.at(Face::lower, fraction, t).y(), m.loft.at(Face::upper, fraction, t).y());
  };
  const double a = end(from, run.xFrom), b = end(to, run.xTo);
  const double z = to > from ? a + (b - a) * (m.rib.t() - from) / (to - from) : a;
  return m.rib.frame.toChord({m.rib.frame.fromChord({x, 0}).x(), z}).y();
}

} // namespace

void boreRuns(const RibMaking& m) {
  constexpr double step = 1, farthest = 40, hair = 1e-6; // mm
  for (std::size_t k = 0; k < m.design.runs.size(); ++k) {
    const Run& run = m.design.runs[k];
    if (m.rib.t() < run.from - hair || m.rib.t() > std::min(run.to, m.loft.span()) + hair || run.to <= run.from)
      continue;
    if (m.rib.kind == RibKind::riblet && runOn(m, run) > boundsOf(m.rib.wood).high.x()) continue; // it runs behind it
    const double wanted = runOn(m, run), needs = run.hole / 2 + m.design.ribs.rim;
    RunHole hole{static_cast<int>(k), {wanted, heightOf(m, run, wanted)}, run.hole, 0, false};
    for (double aside = 0; aside <= (run.kind == RunKind::tube ? 0 : farthest) && !hole.clear; aside += step)
      for (const double x : {wanted - aside, wanted + aside}) {
        const Point at(x, heightOf(m, run, x));
        if (clearance(m.rib.wood, at) < needs) continue;
        hole.middle = at, hole.aside = x - wanted, hole.clear = true;
        break;
      }
    if (hole.clear) bore(m.rib, hole.middle, hole.diameter);
    m.rib.runs.push_back(hole);
  }
}

void boreLightening(const RibMaking& m) {
  const Lightening& l = m.design.lightening;
  if (!l.bored || m.rib.kind == RibKind::riblet || (m.rib.kind != RibKind::main && !l.ends) || !m.rib.ofWood) return;
  const double from = l.from * m.rib.frame.chord, to = l.to * m.rib.frame.chord;
  struct Place {
    Point at;
    double radius;
  };
  std::vector<Place> places;
  constexpr double step = 1.5; // mm
  for (double x = from; x <= to; x += step) {
    const Point at(x, (heightAlong(m.rib.upper, x) + heightAlong(m.rib.lower, x)) / 2);
    const double radius = std::min({clearance(m.rib.wood, at) - l.rim, l.most / 2, x - from, to - x});
    if (radius >= l.least / 2) places.push_back({at, radius});
  }
  constexpr int most = 12;
  for (int n = 0; n < most && !places.empty(); ++n) {
    const Place largest = *std::max_element(places.begin(), places.end(),
                                            [](const Place& a, const Place& b) { return a.radius < b.radius; });
    bore(m.rib, largest.at, 2 * largest.radius);
    m.rib.lightening.push_back({-1, largest.at, 2 * largest.radius, 0, true});
    for (Place& p : places) p.radius = std::min(p.radius, (p.at - largest.at).norm() - largest.radius - l.rim);
    std::erase_if(places, [&](const Place& p) { return p.radius < l.least / 2; });
  }
}

} // namespace eup
