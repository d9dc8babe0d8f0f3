#include "core/joins/dihedral.h"
#include "core/geometry/point.h"
#include <algorithm>
#include <Eigen/Geometry>

namespace eup {
namespace {

Point3 direction(SparDirection d) {
  return {std::sin(d.sweep), std::cos(d.sweep) * std::cos(d.gamma), std::cos(d.sweep) * std::sin(d.gamma)};
}

} // namespace

Point3 inSpace(double x, double t, double z, double gamma) {
  const double c = std::cos(gamma), s = std::sin(gamma);
  return Point3(x, t * c - z * s, t * s + z * c).normalized();
}

/// By the tangent of the half angle: an arc cosine is not exact for small bends.
double angleBetween(const Point3& a, const Point3& b) {
  return 2 * std::atan2((a - b).norm(), (a + b).norm());
}

double braceLean(SparDirection inner, SparDirection outer) {
  const Point3 square = direction(inner).cross(direction(outer));
  if (square.norm() < 1e-12) return 0;
  return std::atan2(std::abs(square.z()), std::hypot(square.x(), square.y()));
}

double braceBend(SparDirection inner, SparDirection outer) {
  return angleBetween(direction(inner), direction(outer));
}

double braceBendMirrored(SparDirection half) {
  return lineBendMirrored(std::tan(half.sweep), 1, 0, half.gamma);
}

double lineBendMirrored(double x, double t, double z, double gamma) {
  const Point3 right = inSpace(x, t, z, gamma);
  // Going outwards on the right; inwards along the left half's line means against its own outward direction.
  const Point3 left(-right.x(), right.y(), -right.z());
  return angleBetween(left, right);
}

double braceLeanMirrored(SparDirection half) {
  const double across = std::abs(std::sin(half.gamma)), aft = std::abs(std::tan(half.sweep));
  if (across < 1e-12 && aft < 1e-12) return 0;
  return std::atan2(aft, across);
}

} // namespace eup
