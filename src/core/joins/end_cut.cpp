#include "core/joins/end_cut.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>

namespace eup {

EndCut endCut(const Point3& along, const Point3& up, const Point3& normal) {
  const Point3 length = along.normalized(), n = normal.normalized();
  // A cap that falls towards the tip is not in the panel's plane, and its upper face falls with it.
  const Point3 face = (up - up.dot(length) * length).normalized();
  const Point3 aft = length.cross(face);     // square to it on that face, aft
  Point3 trace = n.cross(face).normalized(); // where the plane meets the face
  if (trace.dot(aft) < 0) trace = -trace;
  const double out = n.dot(length); // on the side face the plane runs along −(n · face) length + (n · length) face
  return {std::atan2(trace.dot(length), trace.dot(aft)), std::atan2(-n.dot(face), out),
          std::asin(std::clamp(-n.dot(face), -1.0, 1.0))};
}

Point3 joinPlane(double lean, bool outer) {
  return {0, std::cos(lean), outer ? -std::sin(lean) : std::sin(lean)};
}

} // namespace eup
