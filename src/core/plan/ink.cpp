#include "core/plan/ink.h"
#include "core/geometry/solve.h"
#include "core/measure/units.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// Darkness over the paper around: 0 paper … 1 ink, by the lightest and darkest of the neighbourhood.
class Ink {
public:
  Ink(const Raster& r, const Point& around, double reach) : raster(r) {
    double low = 255, high = 0;
    const int n = static_cast<int>(std::ceil(reach)) + 3;
    for (int y = -n; y <= n; ++y)
      for (int x = -n; x <= n; ++x) {
        const double v = raster.at(around + Point(x, y));
        low = std::min(low, v), high = std::max(high, v);
      }
    paper = high;
    range = high - low;
  }
  bool any() const { return range > 40; } // less contrast than this is the paper's own grain
  double operator()(const Point& p) const {
    constexpr double grain = 0.15;
    const double d = (paper - raster.at(p)) / range;
    return d < grain ? 0 : std::min(1.0, d);
  }

private:
  const Raster& raster;
  double paper = 255, range = 0;
};

/// Middle of the ink along a short cut through `p` in direction `across`; nothing without ink within `reach`.
std::optional<Point> middleAcross(const Ink& ink, const Point& p, const Point& across, double reach) {
  constexpr double step = 0.25;
  const int n = static_cast<int>(reach / step);
  int best = n + 1;
  for (int i = -n; i <= n; ++i)
    if (ink(p + across * (i * step)) > 0.5 && std::abs(i) < std::abs(best)) best = i;
  if (std::abs(best) > n) return {};
  double sum = 0, at = 0;
  const auto add = [&](int i) {
    const double d = ink(p + across * (i * step));
    sum += d, at += d * i;
    return d > 0;
  };
  add(best);
  for (int i = best + 1; i <= best + 4 * n && add(i);) ++i;
  for (int i = best - 1; i >= best - 4 * n && add(i);) --i;
  return p + across * (at / sum * step);
}

struct Arm {
  Point at, way;
};

/// Straight stretch of ink that leaves the neighbourhood of `c` in direction `angle`.
std::optional<Arm> armFrom(const Ink& ink, const Point& c, double angle, double inner, double outer) {
  Point way(std::cos(angle), std::sin(angle));
  std::vector<Point> middles;
  for (int round = 0; round < 2; ++round) {
    middles.clear();
    const Point across(-way.y(), way.x());
    for (double r = inner; r <= outer; r += 1) {
      const Point from = c + way * r;
      if (const auto m = middleAcross(ink, from, across, 3)) middles.push_back(*m);
    }
    if (static_cast<double>(middles.size()) < 0.7 * (outer - inner)) return {};
    Point mean(0, 0);
    for (const Point& m : middles) mean += m / static_cast<double>(middles.size());
    Eigen::Matrix2d spread = Eigen::Matrix2d::Zero();
    for (const Point& m : middles) spread += (m - mean) * (m - mean).transpose();
    const MainAxes axes = mainAxes(spread);
    const Point axis = axes.way;
    if (std::sqrt(axes.least / static_cast<double>(middles.size())) > 0.8) return {}; // no straight stretch
    way = axis.dot(way) < 0 ? Point(-axis) : axis;
    if (round == 1) return Arm{mean, way};
  }
  return {};
}

std::vector<Arm> armsAround(const Ink& ink, const Point& c, double radius) {
  constexpr int steps = 180;
  std::vector<double> dark(steps);
  for (int i = 0; i < steps; ++i) {
    const double a = 2 * pi * i / steps;
    dark[static_cast<std::size_t>(i)] = ink(c + radius * Point(std::cos(a), std::sin(a)));
  }
  // Runs of ink on the circle; start where there is paper.
  int start = -1;
  for (int i = 0; i < steps && start < 0; ++i)
    if (dark[static_cast<std::size_t>(i)] < 0.3) start = i;
  std::vector<Arm> arms;
  if (start < 0) return arms;
  double sum = 0, at = 0;
  for (int k = 0; k <= steps; ++k) {
    const double d = dark[static_cast<std::size_t>((start + k) % steps)];
    if (d >= 0.3) {
      sum += d, at += d * k;
    } else if (sum > 0) {
      if (const auto arm = armFrom(ink, c, 2 * pi * (start + at / sum) / steps, radius * 0.75, radius * 1.75))
        arms.push_back(*arm);
      sum = at = 0;
    }
  }
  return arms;
}

/// The place nearest to all arms' lines; nothing when they run all one way.
std::optional<Point> meeting(const std::vector<Arm>& arms) {
  if (arms.size() < 2) return {};
  Eigen::Matrix2d a = Eigen::Matrix2d::Zero();
  Eigen::Vector2d b = Eigen::Vector2d::Zero();
  for (const Arm& arm : arms) {
    const Eigen::Matrix2d square = Eigen::Matrix2d::Identity() - arm.way * arm.way.transpose();
    a += square;
    b += square * arm.at;
  }
  const MainAxes axes = mainAxes(a);
  if (axes.least < 0.12 * axes.most) return {};
  return Point(symmetricSolution(a, Eigen::VectorXd(b)));
}

/// Circles about a guess that moves to where the arms meet, until it stays.
std::optional<Point> crossingNear(const Ink& ink, Point c, double radius) {
  const Point start = c;
  for (int round = 0; round < 6; ++round) {
    const auto met = meeting(armsAround(ink, c, radius));
    if (!met || (*met - start).norm() > radius) return {};
    const double moved = (*met - c).norm();
    c = *met;
    if (moved < 0.02) break;
  }
  if (ink(c) <= 0.2) return {};
  return c;
}

} // namespace

double snapReach(double mmPerPixel) {
  return std::max(5.0, 1.2 / std::max(mmPerPixel, 1e-6));
}

std::optional<Snap> snap(const Raster& raster, const Point& pixel, double reach) {
  const Ink ink(raster, pixel, 2.5 * reach);
  if (!ink.any() || !pixel.allFinite()) return {};
  // The nearest ink, and the way the ink runs around it.
  std::optional<Point> nearest;
  for (double r = 0; r <= reach && !nearest; r += 0.5)
    for (int i = 0; i < 48 && !nearest; ++i) {
      const double a = 2 * pi * i / 48;
      if (const Point p = pixel + r * Point(std::cos(a), std::sin(a)); ink(p) > 0.5) nearest = p;
    }
  if (!nearest) return {};
  // A crossing near by: sought from the ink around, the nearest to the pointer first.
  const double radius = std::max(6.0, reach);
  const auto crossingFrom = [&](const Point& from) -> std::optional<Point> {
    const auto crossing = crossingNear(ink, from, radius);
    return crossing && (*crossing - pixel).norm() <= reach ? crossing : std::nullopt;
  };
  if (const auto c = crossingFrom(*nearest)) return Snap{*c, SnapTo::crossing, 0};
  for (double r = 2; r <= reach; r += 2)
    for (int i = 0; i < 12; ++i) {
      const Point from = pixel + r * Point(std::cos(pi * i / 6), std::sin(pi * i / 6));
      if (ink(from) < 0.5) continue;
      if (const auto c = crossingFrom(from)) return Snap{*c, SnapTo::crossing, 0};
    }
  // A line: direction from the spread of darkness about it, then the middle square to it.
  Point p = *nearest;
  double direction = 0;
  for (int round = 0; round < 4; ++round) {
    Eigen::Matrix2d spread = Eigen::Matrix2d::Zero();
    Point mean(0, 0);
    double sum = 0;
    for (int y = -7; y <= 7; ++y)
      for (int x = -7; x <= 7; ++x) {
        if (x * x + y * y > 49) continue;
        const double d = ink(p + Point(x, y));
        sum += d;
        mean += d * Point(x, y);
        spread += d * Point(x, y) * Point(x, y).transpose();
      }
    if (sum < 1e-9) return {};
    mean /= sum;
    spread = spread / sum - mean * mean.transpose();
    const MainAxes axes = mainAxes(spread);
    const Point way = axes.way, across(-way.y(), way.x());
    direction = std::atan2(way.y(), way.x());
    // Square to the line through where the reader pointed, so that the place along it stays the reader's own.
    const Point foot = p + way * (pixel - p).dot(way);
    const auto middle = middleAcross(ink, foot, across, reach);
    if (!middle) break;
    if ((*middle - p).norm() < 0.01) {
      p = *middle;
      break;
    }
    p = *middle;
  }
  if ((p - pixel).norm() > reach) p = *nearest;
  return Snap{p, SnapTo::line, direction};
}

} // namespace eup
