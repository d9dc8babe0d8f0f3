#include "core/section/measured.h"
#include "core/geometry/polyline.h"
#include "core/section/naca.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>

namespace eup {
namespace {

/// The peak of a sampled curve by the parabola through its highest sample and the two beside it.
struct Peak {
  double at, height;
};

Peak peakOf(const std::vector<double>& x, const std::vector<double>& y) {
  const auto i = static_cast<std::size_t>(std::max_element(y.begin(), y.end()) - y.begin());
  if (i == 0 || i + 1 == y.size()) return {x[i], y[i]};
  const double a = x[i] - x[i - 1], b = x[i + 1] - x[i];
  if (a <= 0 || b <= 0) return {x[i], y[i]};
  const double left = (y[i] - y[i - 1]) / a, right = (y[i + 1] - y[i]) / b;
  const double bend = (right - left) / (a + b);
  if (bend >= 0) return {x[i], y[i]};
  const double slope = (left * b + right * a) / (a + b);
  const double step = std::clamp(-slope / (2 * bend), -a, b);
  return {x[i] + step, y[i] + slope * step + bend * step * step};
}

/// Centre of the circle through (0,0) that best fits the points near it (least squares on x² + y² = 2ax + 2by).
Point noseCircle(const Section& s) {
  double xx = 0, xy = 0, yy = 0, xr = 0, yr = 0;
  const auto add = [&](const Point& p) {
    const double r = p.squaredNorm() / 2;
    xx += p.x() * p.x(), xy += p.x() * p.y(), yy += p.y() * p.y(), xr += p.x() * r, yr += p.y() * r;
  };
  int used = 0;
  for (int i = 1; i < section_grid::points && section_grid::fraction(i) < 0.004; ++i, ++used) {
    add(s.upper[static_cast<std::size_t>(i)]);
    add(s.lower[static_cast<std::size_t>(i)]);
  }
  const double det = xx * yy - xy * xy;
  if (used < 2 || std::abs(det) < 1e-18) return {0, 0};
  return {(xr * yy - yr * xy) / det, (yr * xx - xr * xy) / det};
}

/// The longest run from point to point of the underside that stays within `flatWithin` of a straight line.
std::pair<double, double> flatRun(const Polyline& lower) {
  const auto straight = [&](std::size_t a, std::size_t b) {
    const Point d = lower[b] - lower[a];
    for (std::size_t i = a + 1; i < b; ++i)
      if (std::abs(lower[i].y() - lower[a].y() - d.y() * (lower[i].x() - lower[a].x()) / d.x()) > flatWithin)
        return false;
    return true;
  };
  std::pair<double, double> best{0, 0};
  std::size_t b = section_grid::noseSteps + 1;
  for (std::size_t a = section_grid::noseSteps; a + 1 < lower.size(); ++a) {
    b = std::max(b, a + 1);
    while (b + 1 < lower.size() && straight(a, b + 1)) ++b;
    if (lower[b].x() - lower[a].x() > best.second - best.first) best = {lower[a].x(), lower[b].x()};
  }
  return best;
}

} // namespace

double depthAt(const Section& section, double x) {
  return heightAt(section.upper, x) - heightAt(section.lower, x);
}

double rmsBetween(const Section& a, const Section& b) {
  double sum = 0, before = 0;
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    const double up = a.upper[k].y() - b.upper[k].y(), down = a.lower[k].y() - b.lower[k].y();
    const double square = (up * up + down * down) / 2;
    if (i > section_grid::noseSteps)
      sum += (square + before) / 2 * (section_grid::fraction(i) - section_grid::fraction(i - 1));
    before = square;
  }
  return std::sqrt(sum);
}

NearestFourDigit nearestFourDigit(const Section& section) {
  // From the measured numbers downhill, one digit at a time: thickness and camber pull apart, so there is one valley.
  const SectionMeasures m = measure(section);
  struct Digits {
    int camber, at, thickness;
    int key() const { return (camber * 10 + at) * 100 + thickness; }
  };
  std::map<int, double> tried;
  const auto rms = [&](Digits d) {
    if (const auto known = tried.find(d.key()); known != tried.end()) return known->second;
    Naca n;
    n.digits = "0000";
    n.camber = d.camber / 100.0;
    n.camberAt = d.camber ? d.at / 10.0 : 0;
    n.thickness = d.thickness / 100.0;
    return tried[d.key()] = rmsBetween(section, makeNaca(n));
  };
  Digits best{std::clamp(static_cast<int>(std::lround(m.camber * 100)), 0, 9),
              std::clamp(static_cast<int>(std::lround(m.camberAt * 10)), 1, 9),
              std::clamp(static_cast<int>(std::lround(m.thickness * 100)), 1, 40)};
  if (best.camber > 0 && m.camberAt < 0.05) best.at = 4;
  for (bool better = true; better;) {
    better = false;
    const Digits from = best;
    for (Digits next :
         {Digits{from.camber + 1, from.at, from.thickness}, Digits{from.camber - 1, from.at, from.thickness},
          Digits{from.camber, from.at + 1, from.thickness}, Digits{from.camber, from.at - 1, from.thickness},
          Digits{from.camber, from.at, from.thickness + 1}, Digits{from.camber, from.at, from.thickness - 1}}) {
      if (next.camber < 0 || next.camber > 9 || next.at < 1 || next.at > 9 || next.thickness < 1 || next.thickness > 40)
        continue;
      if (rms(next) < rms(best) - 1e-12) best = next, better = true;
    }
  }
  return {fmt::format("{}{}{:02}", best.camber, best.camber ? best.at : 0, best.thickness), rms(best)};
}

SectionMeasures measure(const Section& section) {
  SectionMeasures m;
  std::vector<double> x, depth, middle;
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i) {
    const auto k = static_cast<std::size_t>(i);
    x.push_back(section_grid::fraction(i));
    depth.push_back(section.upper[k].y() - section.lower[k].y());
    middle.push_back((section.upper[k].y() + section.lower[k].y()) / 2);
  }
  const Peak thick = peakOf(x, depth), high = peakOf(x, middle);
  m.thickness = thick.height;
  m.thicknessAt = thick.at;
  m.camber = high.height;
  m.camberAt = m.camber > 1e-6 ? high.at : 0;
  m.noseCentre = noseCircle(section);
  m.noseRadius = m.noseCentre.norm();
  m.tailThickness = depth.back();
  const auto slopeOf = [](const Polyline& s) { return std::atan((s.back().y() - heightAt(s, 0.9)) / 0.1); };
  m.tailAngle = slopeOf(section.lower) - slopeOf(section.upper);
  std::tie(m.flatFrom, m.flatTo) = flatRun(section.lower);
  const Polyline loop = outlineOf(section);
  m.area = signedArea(loop);
  m.perimeter = perimeterOf(loop);

  const Polyline hull = lowerHull(section.lower);
  double longest = 0;
  for (std::size_t i = 1; i < hull.size(); ++i) {
    const Point &a = hull[i - 1], &b = hull[i];
    const Point along = (b - a).normalized();
    if ((b - a).norm() > longest) longest = (b - a).norm(), m.undersideAngle = std::atan2(along.y(), along.x());
    for (const Point& p : section.lower) {
      if (p.x() <= a.x() || p.x() >= b.x()) continue;
      const double gap = along.x() * (p.y() - a.y()) - along.y() * (p.x() - a.x());
      if (gap > m.undercamber) m.undercamber = gap, m.undercamberAt = p.x();
    }
  }
  // A gap thinner than this is the sampling of a convex curve or a flat run, not a hollow.
  if (m.undercamber < 5e-5) m.undercamberAt.reset();
  return m;
}

} // namespace eup
