#include "core/section/measured.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

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

/// Radius of the circle through (0,0) that best fits the points near it (least squares on x² + y² = 2ax + 2by).
double noseCircle(const Section& s) {
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
  if (used < 2 || std::abs(det) < 1e-18) return 0;
  return std::hypot((xr * yy - yr * xy) / det, (yr * xx - xr * xy) / det);
}

} // namespace

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
  m.noseRadius = noseCircle(section);
  m.tailThickness = depth.back();
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
