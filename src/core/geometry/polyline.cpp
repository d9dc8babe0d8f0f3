#include "core/geometry/polyline.h"
#include "core/geometry/tolerances.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

double cross(const Point& a, const Point& b) {
  return a.x() * b.y() - a.y() * b.x();
}

double distanceToSegment(const Point& p, const Point& a, const Point& b) {
  const Point d = b - a;
  const double l2 = d.squaredNorm();
  const double t = l2 > 0 ? std::clamp((p - a).dot(d) / l2, 0.0, 1.0) : 0.0;
  return (p - (a + t * d)).norm();
}

void keepFar(const Polyline& line, std::size_t from, std::size_t to, double tolerance, std::vector<bool>& keep) {
  double worst = tolerance;
  std::size_t at = 0;
  for (std::size_t i = from + 1; i < to; ++i) {
    const double d = distanceToSegment(line[i], line[from], line[to]);
    if (d > worst) worst = d, at = i;
  }
  if (at == 0) return;
  keep[at] = true;
  keepFar(line, from, at, tolerance, keep);
  keepFar(line, at, to, tolerance, keep);
}

bool segmentsMeet(const Point& a, const Point& b, const Point& c, const Point& d) {
  const double d1 = cross(b - a, c - a), d2 = cross(b - a, d - a), d3 = cross(d - c, a - c), d4 = cross(d - c, b - c);
  return ((d1 > 0) != (d2 > 0)) && ((d3 > 0) != (d4 > 0)) && d1 != 0 && d2 != 0 && d3 != 0 && d4 != 0;
}

} // namespace

double lengthOf(const Polyline& line) {
  double sum = 0;
  for (std::size_t i = 1; i < line.size(); ++i) sum += (line[i] - line[i - 1]).norm();
  return sum;
}

double signedArea(const Polyline& loop) {
  double twice = 0;
  for (std::size_t i = 0; i < loop.size(); ++i) twice += cross(loop[i], loop[(i + 1) % loop.size()]);
  return twice / 2;
}

double perimeterOf(const Polyline& loop) {
  return loop.empty() ? 0 : lengthOf(loop) + (loop.front() - loop.back()).norm();
}

Point centroidOf(const Polyline& loop) {
  double twice = 0;
  Point sum{0, 0};
  for (std::size_t i = 0; i < loop.size(); ++i) {
    const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
    const double c = cross(a, b);
    twice += c;
    sum += (a + b) * c;
  }
  if (std::abs(twice) < 1e-12) return loop.empty() ? Point(0, 0) : loop.front();
  return sum / (3 * twice);
}

Box boundsOf(const Polyline& line) {
  Box box;
  for (const Point& p : line) box.include(p);
  return box;
}

Point pointAt(const Polyline& line, PlaceOn place) {
  const std::size_t next = std::min(place.segment + 1, line.size() - 1);
  return lerp(line[place.segment], line[next], place.t);
}

Polyline headOf(const Polyline& line, PlaceOn place) {
  Polyline out(line.begin(), line.begin() + static_cast<std::ptrdiff_t>(place.segment) + 1);
  out.push_back(pointAt(line, place));
  return out;
}

Polyline tailOf(const Polyline& line, PlaceOn place) {
  Polyline out{pointAt(line, place)};
  out.insert(out.end(), line.begin() + static_cast<std::ptrdiff_t>(place.segment) + 1, line.end());
  return out;
}

Polyline pieceOf(const Polyline& line, PlaceOn from, PlaceOn to) {
  Polyline out{pointAt(line, from)};
  for (std::size_t i = from.segment + 1; i <= to.segment; ++i) out.push_back(line[i]);
  out.push_back(pointAt(line, to));
  return out;
}

std::optional<PlaceOn> lastCrossing(const Polyline& line, double x) {
  for (std::size_t i = line.size(); i-- > 1;) {
    const double a = line[i - 1].x(), b = line[i].x();
    if ((a <= x && x <= b) || (b <= x && x <= a)) return PlaceOn{i - 1, a == b ? 1.0 : (x - a) / (b - a)};
  }
  return std::nullopt;
}

Polyline simplified(const Polyline& line, double tolerance) {
  if (line.size() < 3) return line;
  std::vector<bool> keep(line.size(), false);
  keep.front() = keep.back() = true;
  if (tolerance > 0)
    keepFar(line, 0, line.size() - 1, tolerance, keep);
  else
    for (std::size_t i = 1; i < line.size(); ++i) keep[i] = line[i] != line[i - 1];
  Polyline out;
  for (std::size_t i = 0; i < line.size(); ++i)
    if (keep[i]) out.push_back(line[i]);
  return out;
}

std::optional<Crossing> selfCrossing(const Polyline& loop) {
  const std::size_t n = loop.size();
  for (std::size_t i = 0; i < n; ++i) {
    const Point &a = loop[i], &b = loop[(i + 1) % n];
    const double low = std::min(a.x(), b.x()), high = std::max(a.x(), b.x());
    for (std::size_t j = i + 2; j < n; ++j) {
      if (i == 0 && j == n - 1) continue;
      const Point &c = loop[j], &d = loop[(j + 1) % n];
      if (std::max(c.x(), d.x()) < low || std::min(c.x(), d.x()) > high) continue;
      if (segmentsMeet(a, b, c, d)) return Crossing{i, j};
    }
  }
  return std::nullopt;
}

std::optional<Bend> sharpestBend(const Polyline& line, double step) {
  Polyline even;
  double next = 0, run = 0;
  for (std::size_t i = 0; i + 1 < line.size(); ++i) {
    const double part = (line[i + 1] - line[i]).norm();
    for (; part > 0 && next <= run + part; next += step)
      even.push_back(lerp(line[i], line[i + 1], (next - run) / part));
    run += part;
  }
  std::optional<Bend> out;
  for (std::size_t i = 1; i + 1 < even.size(); ++i) {
    const Point a = even[i] - even[i - 1], b = even[i + 1] - even[i];
    const double turns = cross(a, b);
    if (std::abs(turns) < 1e-9) continue;
    const double radius = a.norm() * b.norm() * (a + b).norm() / (2 * std::abs(turns));
    if (!out || radius < out->radius) out = Bend{radius, even[i], turns > 0};
  }
  return out;
}

Polyline lowerHull(const Polyline& line) {
  Polyline sorted = line;
  std::sort(sorted.begin(), sorted.end(),
            [](const Point& a, const Point& b) { return a.x() < b.x() || (a.x() == b.x() && a.y() < b.y()); });
  Polyline hull;
  for (const Point& p : sorted) {
    while (hull.size() >= 2 && cross(hull.back() - hull[hull.size() - 2], p - hull.back()) <= 0) hull.pop_back();
    hull.push_back(p);
  }
  return hull;
}

} // namespace eup
