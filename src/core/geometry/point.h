// Points and chains of points. Lengths in mm unless a caller says otherwise (sections are in chord fractions).
#pragma once
#include <Eigen/Core>
#include <vector>

namespace eup {

using Point = Eigen::Vector2d;
using Point3 = Eigen::Vector3d;
using Polyline = std::vector<Point>;

inline Point lerp(const Point& a, const Point& b, double t) {
  return a + (b - a) * t;
}
inline Point3 lerp(const Point3& a, const Point3& b, double t) {
  return a + (b - a) * t;
}

struct Box {
  Point low{1e300, 1e300}, high{-1e300, -1e300};

  bool empty() const { return low.x() > high.x() || low.y() > high.y(); }
  double width() const { return empty() ? 0 : high.x() - low.x(); }
  double height() const { return empty() ? 0 : high.y() - low.y(); }
  Point centre() const { return (low + high) / 2; }
  void include(const Point& p) {
    low = low.cwiseMin(p);
    high = high.cwiseMax(p);
  }
  void include(const Box& other) {
    if (other.empty()) return;
    include(other.low);
    include(other.high);
  }
};

/// A rigid move in the plane: turn by `angle` (counter-clockwise) about the origin, then shift.
struct Placement {
  double angle = 0;
  Point shift{0, 0};

  Point operator()(const Point& p) const {
    const double c = std::cos(angle), s = std::sin(angle);
    return {c * p.x() - s * p.y() + shift.x(), s * p.x() + c * p.y() + shift.y()};
  }
  Point undo(const Point& p) const {
    const double c = std::cos(angle), s = std::sin(angle);
    const Point d = p - shift;
    return {c * d.x() + s * d.y(), -s * d.x() + c * d.y()};
  }
};

} // namespace eup
