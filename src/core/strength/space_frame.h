// A frame in space: straight members with stretching, bending and twisting, joined stiffly in nodes. N, mm, MPa, rad.
#pragma once
#include "core/geometry/point.h"
#include "core/measure/result.h"
#include <array>
#include <Eigen/Core>
#include <vector>

namespace eup {

/// What a member is made of. All > 0, but for a bar, which only stretches: its bending and twisting are 0.
struct MemberStuff {
  double modulus = 0, shear = 0; ///< E and G
  double area = 0;               ///< mm²
  double inertiaUp = 0;          ///< mm⁴, against bending in the plane that holds the member and `up`
  double inertiaAcross = 0;      ///< mm⁴, against bending square to that plane
  double torsion = 0;            ///< mm⁴, St. Venant's constant
};

/// Of a rectangle, `high` along the up direction. St. Venant's constant by its usual approximation, within 4 %:
/// a b³ (1/3 − 0.21 b/a (1 − b⁴ ÷ 12 a⁴)), a ≥ b.
MemberStuff rectangularMember(double modulus, double shear, double wide, double high);

/// Turning about an axis follows the right hand. Each node moves three ways and turns three ways.
class SpaceFrame {
public:
  /// A node at a place; returns its number.
  int node(const Point3& at);
  /// From `a` to `b`, stiffly attached. It runs between the two places given, which the nodes carry on rigid arms; `up`
  /// is any direction that is not along it.
  void member(int a, const Point3& atA, int b, const Point3& atB, const MemberStuff& stuff, const Point3& up);
  /// A thin wall between four places in order round its edge, that carries shear alone: `shearThickness` is G t, N/mm.
  /// Made of its two diagonals: in pure shear of a rectangle they are as stiff as the wall.
  void shearWall(const std::array<int, 4>& nodes, const std::array<Point3, 4>& at, double shearThickness);
  void hold(int node); ///< it neither moves nor turns
  void force(int node, const Point3& at, const Point3& newtons);

  /// Solves for all movements; a frame that can move without resistance is a problem that says so.
  Result<Done> solve();
  /// How a place that the node carries has moved, after `solve`.
  Point3 moved(int node, const Point3& at) const;
  std::size_t size() const { return nodes.size(); }

private:
  struct Rod {
    int a, b;
    Point3 atA, atB, up;
    MemberStuff stuff;
  };
  std::vector<Point3> nodes;
  std::vector<bool> held;
  std::vector<Rod> rods;
  std::vector<Eigen::Matrix<double, 6, 1>> loads;
  Eigen::VectorXd movement;
};

} // namespace eup
