#include "core/strength/space_frame.h"
#include "core/geometry/solve.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>
#include <numeric>
#include <optional>

namespace eup {
namespace {

using Matrix6 = Eigen::Matrix<double, 6, 6>;
using Matrix3 = Eigen::Matrix3d;

/// What a turn about a node moves a place on its arm by: turn × arm, as a matrix.
Matrix3 movedByTurn(const Point3& arm) {
  Matrix3 m;
  m << 0, arm.z(), -arm.y(), -arm.z(), 0, arm.x(), arm.y(), -arm.x(), 0;
  return m;
}

/// A member's share in the equations of the nodes at its ends: own of each, and rows of b against columns of a.
struct EndStiffness {
  Matrix6 atA, atB, between;
};

/// Of a straight member (Euler and Bernoulli's beam, as in any handbook of the displacement method). Its rows `own` are
/// its axes: along it, square to `up`, up. Forces and moments at its ends from their movements and turns are, in
/// blocks of three,  [ p q −p q | qᵀ s −qᵀ w | −p −q p −q | qᵀ w −qᵀ s ].
EndStiffness stiffnessOf(const MemberStuff& m, double length, const Matrix3& own, const Point3& armA,
                         const Point3& armB) {
  const double across = m.modulus * m.inertiaAcross / length, up = m.modulus * m.inertiaUp / length,
               twist = m.shear * m.torsion / length;
  const auto turned = [&](const Matrix3& k) -> Matrix3 { return own.transpose() * k * own; };
  const auto turnedDiagonal = [&](double x, double y, double z) { return turned(Point3(x, y, z).asDiagonal()); };
  const Matrix3 p =
      turnedDiagonal(m.modulus * m.area / length, 12 * across / (length * length), 12 * up / (length * length));
  Matrix3 coupling = Matrix3::Zero();
  coupling(1, 2) = 6 * across / length, coupling(2, 1) = -6 * up / length;
  const Matrix3 q = turned(coupling), s = turnedDiagonal(twist, 4 * up, 4 * across),
                w = turnedDiagonal(-twist, 2 * up, 2 * across);
  const Matrix3 a = movedByTurn(armA), b = movedByTurn(armB), pa = p * a, pb = p * b;
  const Matrix3 aq = a.transpose() * q, bq = b.transpose() * q, qa = q.transpose() * a;
  EndStiffness k;
  const auto symmetric = [](Matrix6& to, const Matrix3& moves, const Matrix3& mixed, const Matrix3& turns) {
    to << moves, mixed, mixed.transpose(), turns;
  };
  symmetric(k.atA, p, pa + q, a.transpose() * pa + aq + aq.transpose() + s);
  symmetric(k.atB, p, pb - q, b.transpose() * pb - bq - bq.transpose() + s);
  k.between << -p, -pa - q, q.transpose() - pb.transpose(), qa - b.transpose() * pa - bq + w;
  return k;
}

} // namespace

MemberStuff rectangularMember(double modulus, double shear, double wide, double high) {
  const double a = std::max(wide, high), b = std::min(wide, high), r = b / a;
  return {modulus,
          shear,
          wide * high,
          wide * high * high * high / 12,
          high * wide * wide * wide / 12,
          a * b * b * b * (1.0 / 3 - 0.21 * r * (1 - r * r * r * r / 12))};
}

int SpaceFrame::node(const Point3& at) {
  nodes.push_back(at);
  held.push_back(false);
  loads.emplace_back(Eigen::Matrix<double, 6, 1>::Zero());
  return static_cast<int>(nodes.size()) - 1;
}

void SpaceFrame::member(int a, const Point3& atA, int b, const Point3& atB, const MemberStuff& stuff,
                        const Point3& up) {
  rods.push_back({a, b, atA, atB, up, stuff});
}

void SpaceFrame::shearWall(const std::array<int, 4>& n, const std::array<Point3, 4>& at, double shearThickness) {
  // A rectangle l × h, sheared: G t h ÷ l of force a millimetre. Two bars d long give 2 E A h² ÷ d³.
  const double l = ((at[1] - at[0]).norm() + (at[2] - at[3]).norm()) / 2,
               h = ((at[3] - at[0]).norm() + (at[2] - at[1]).norm()) / 2;
  if (shearThickness <= 0 || l <= 0 || h <= 0) return;
  for (const auto& [i, k] : {std::pair<std::size_t, std::size_t>(0, 2), std::pair<std::size_t, std::size_t>(1, 3)}) {
    const Point3 run = at[k] - at[i];
    const double d = run.norm();
    const Point3 up = std::abs(run.z()) < 0.9 * d ? Point3::UnitZ() : Point3::UnitX();
    member(n[i], at[i], n[k], at[k], {1, 0, shearThickness * d * d * d / (2 * l * h), 0, 0, 0}, up);
  }
}

void SpaceFrame::hold(int node) {
  held[static_cast<std::size_t>(node)] = true;
}

void SpaceFrame::force(int node, const Point3& at, const Point3& newtons) {
  auto& load = loads[static_cast<std::size_t>(node)];
  load.head<3>() += newtons;
  load.tail<3>() += (at - nodes[static_cast<std::size_t>(node)]).cross(newtons);
}

Result<Done> SpaceFrame::solve() {
  // Unknowns along the span: members join neighbours only, so the matrix has a narrow band, which is all the ordering
  // that its factors need.
  std::vector<std::size_t> order(nodes.size());
  std::iota(order.begin(), order.end(), std::size_t{0});
  std::stable_sort(order.begin(), order.end(),
                   [&](std::size_t a, std::size_t b) { return nodes[a].y() < nodes[b].y(); });
  std::vector<std::size_t> rank(nodes.size());
  std::vector<Eigen::Index> row(nodes.size(), -1); // of the node that stands there in the order
  Eigen::Index count = 0;
  for (std::size_t i = 0; i < order.size(); ++i) {
    rank[order[i]] = i;
    if (!held[order[i]]) row[i] = count, count += 6;
  }
  // Blocks of two nodes are summed before they go into the matrix: many members lie between the same two.
  struct Block {
    std::size_t row;
    Matrix6 k;
  };
  std::vector<std::vector<Block>> columns(nodes.size());
  const auto block = [&](std::size_t y, std::size_t x) -> Matrix6& {
    std::vector<Block>& column = columns[x];
    for (Block& b : column)
      if (b.row == y) return b.k;
    if (column.empty()) column.reserve(12);
    return column.emplace_back(Block{y, Matrix6::Zero()}).k;
  };
  for (const Rod& r : rods) {
    const Point3 run = r.atB - r.atA;
    const double length = run.norm();
    if (length < 1e-9) continue;
    const auto a = static_cast<std::size_t>(r.a), b = static_cast<std::size_t>(r.b);
    const std::size_t p = rank[a], q = rank[b];
    const Point3 armA = r.atA - nodes[a], armB = r.atB - nodes[b], way = run / length;
    EndStiffness k;
    if (r.stuff.inertiaUp == 0 && r.stuff.torsion == 0) { // a bar: how much longer it gets is all that counts
      Eigen::Matrix<double, 6, 1> atA, atB;
      atA << -way, -armA.cross(way);
      atB << way, armB.cross(way);
      const double stretch = r.stuff.modulus * r.stuff.area / length;
      k = {stretch * atA * atA.transpose(), stretch * atB * atB.transpose(), stretch * atB * atA.transpose()};
    } else {
      Matrix3 own;
      own.row(0) = way.transpose();
      own.row(1) = r.up.cross(run).normalized().transpose();
      own.row(2) = own.row(0).cross(own.row(1));
      k = stiffnessOf(r.stuff, length, own, armA, armB);
    }
    block(p, p) += k.atA;
    block(q, q) += k.atB;
    if (p == q)
      block(p, p) += k.between + k.between.transpose();
    else if (p > q)
      block(p, q) += k.between.transpose();
    else
      block(q, p) += k.between;
  }
  // Lower half, column by column.
  Eigen::SparseMatrix<double> stiffness(count, count);
  std::size_t filled = 0;
  for (const auto& column : columns) filled += 36 * column.size();
  stiffness.reserve(static_cast<Eigen::Index>(filled));
  for (std::size_t x = 0; x < columns.size(); ++x) {
    if (row[x] < 0) continue;
    std::vector<Block>& column = columns[x];
    std::sort(column.begin(), column.end(), [](const Block& a, const Block& b) { return a.row < b.row; });
    for (Eigen::Index j = 0; j < 6; ++j) {
      stiffness.startVec(row[x] + j);
      for (const Block& b : column) {
        const Eigen::Index y = row[b.row];
        if (y < 0) continue;
        for (Eigen::Index l = b.row == x ? j : 0; l < 6; ++l) stiffness.insertBack(y + l, row[x] + j) = b.k(l, j);
      }
    }
  }
  stiffness.finalize();
  Eigen::VectorXd load(count);
  for (std::size_t i = 0; i < nodes.size(); ++i)
    if (row[i] >= 0) load.segment<6>(row[i]) = loads[order[i]];
  movement = Eigen::VectorXd::Zero(static_cast<Eigen::Index>(6 * nodes.size()));
  if (count == 0) return Done{};
  // A net of many crossing ribs has no narrow band: there an ordering that follows the net costs far less.
  constexpr std::size_t narrow = 1500; // nodes
  const std::optional<Eigen::VectorXd> answer = sparseSolution(stiffness, load, nodes.size() <= narrow);
  if (!answer) return Problem{"frame", "something in it moves without resistance"};
  const Eigen::VectorXd& x = *answer;
  for (std::size_t i = 0; i < nodes.size(); ++i)
    if (row[i] >= 0) movement.segment<6>(static_cast<Eigen::Index>(6 * order[i])) = x.segment<6>(row[i]);
  return Done{};
}

Point3 SpaceFrame::moved(int node, const Point3& at) const {
  const Eigen::Index i = Eigen::Index{6} * node;
  const Point3 turn = movement.segment<3>(i + 3);
  return movement.segment<3>(i) + turn.cross(Point3(at - nodes[static_cast<std::size_t>(node)]));
}

} // namespace eup
