#include "core/geometry/thinness.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

struct Edge {
  Point from, to, inwards;
  double length, lowX, highX, lowY, highY;
};

std::vector<Edge> edgesOf(const Region& region) {
  std::vector<Edge> edges;
  for (const Polyline& loop : region)
    for (std::size_t i = 0; i < loop.size(); ++i) {
      const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
      const double length = (b - a).norm();
      if (length < 1e-9) continue;
      edges.push_back({a, b, Point(a.y() - b.y(), b.x() - a.x()) / length, length, std::min(a.x(), b.x()),
                       std::max(a.x(), b.x()), std::min(a.y(), b.y()), std::max(a.y(), b.y())});
    }
  return edges;
}

/// Edges by where they lie along x, so that a short ray looks at its neighbours only.
class Shelves {
public:
  Shelves(const std::vector<Edge>& edges, double reach) {
    double high = -1e300;
    for (const Edge& e : edges) low = std::min(low, e.lowX), high = std::max(high, e.highX);
    if (edges.empty()) return;
    constexpr double most = 400;
    wide = std::max(reach, (high - low) / most);
    const std::size_t count = at(high) + 1;
    first.assign(count + 1, 0);
    for (const Edge& e : edges)
      for (std::size_t i = at(e.lowX); i <= at(e.highX); ++i) ++first[i + 1];
    for (std::size_t i = 0; i < count; ++i) first[i + 1] += first[i];
    all.resize(first.back());
    std::vector<std::size_t> next(first.begin(), first.end() - 1);
    for (const Edge& e : edges)
      for (std::size_t i = at(e.lowX); i <= at(e.highX); ++i) all[next[i]++] = &e;
  }
  template <class Look> void between(double from, double to, const Look& look) const {
    const std::size_t end = first[std::min(at(to) + 1, first.size() - 1)];
    for (std::size_t i = first[std::min(at(from), first.size() - 1)]; i < end; ++i) look(*all[i]);
  }

private:
  std::size_t at(double x) const { return static_cast<std::size_t>(std::max(0.0, (x - low) / wide)); }
  double low = 1e300, wide = 1;
  std::vector<std::size_t> first; ///< of each shelf in `all`, and one behind the last
  std::vector<const Edge*> all;
};

/// How far a ray from `start` along `way` goes until it leaves through an edge that faces it; `most` if further.
double across(const Shelves& edges, const Edge& own, const Point& start, const Point& way, double most) {
  const Point end = start + way * most;
  const double lowX = std::min(start.x(), end.x()), highX = std::max(start.x(), end.x());
  const double lowY = std::min(start.y(), end.y()), highY = std::max(start.y(), end.y());
  double nearest = most;
  edges.between(lowX, highX, [&](const Edge& e) {
    if (e.highX < lowX || e.lowX > highX || e.highY < lowY || e.lowY > highY || &e == &own) return;
    const double facing = -e.inwards.dot(way);
    if (facing <= 0.05) return; // leaves only through edges whose inside looks back
    const double t = (e.from - start).dot(e.inwards) / way.dot(e.inwards);
    if (t <= 1e-7 || t >= nearest) return;
    const Point hit = start + way * t;
    const double along = (hit - e.from).dot(e.to - e.from) / (e.length * e.length);
    if (along >= 0 && along <= 1) nearest = t;
  });
  return nearest;
}

bool meet(const Point& a, const Edge& e) {
  return (a - e.from).norm() < 1e-6 || (a - e.to).norm() < 1e-6;
}

} // namespace

std::vector<ThinPlace> thinPlaces(const Region& region, double rim) {
  const auto edges = edgesOf(region);
  if (edges.empty()) return {};
  const Shelves shelved(edges, rim);
  std::vector<ThinPlace> found;
  for (const Edge& e : edges) {
    // In the middle of equal parts about as long as the rim: short edges of a curve once, long straight ones often.
    const int steps = std::clamp(static_cast<int>(std::ceil(e.length / rim)), 1, 16);
    for (int k = 0; k < steps; ++k) {
      const double share = (k + 0.5) / steps;
      const Point start = e.from + (e.to - e.from) * share;
      const double through = across(shelved, e, start, e.inwards, rim);
      if (through >= rim * 0.999) continue;
      const Point far = start + e.inwards * through;
      // In a corner the far edge meets this one: wood runs out there by its nature.
      bool corner = false;
      for (const Point& end : {e.from, e.to})
        shelved.between(end.x() - 1e-6, end.x() + 1e-6, [&](const Edge& o) {
          corner = corner || (&o != &e && meet(end, o) && std::abs((far - o.from).dot(o.inwards)) < 1e-6 &&
                              (far - o.from).dot(o.to - o.from) >= -1e-6 && (far - o.to).dot(o.from - o.to) >= -1e-6);
        });
      if (!corner) found.push_back({start + e.inwards * (through / 2), through});
    }
  }
  std::sort(found.begin(), found.end(),
            [](const ThinPlace& a, const ThinPlace& b) { return a.thickness < b.thickness; });
  std::vector<ThinPlace> told;
  constexpr std::size_t enough = 60; // the thinnest: a rib that is thin all over need not be told inch by inch
  for (const ThinPlace& p : found) {
    if (told.size() >= enough) break;
    if (std::none_of(told.begin(), told.end(), [&](const ThinPlace& t) { return (t.at - p.at).norm() < 3 * rim; }))
      told.push_back(p);
  }
  return told;
}

} // namespace eup
