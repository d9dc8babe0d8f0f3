#include "core/strength/space_frame.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>
#include <Eigen/SparseCholesky>
#include <numeric>
#include <unordered_map>

namespace eup {
namespace {

using Matrix12 = Eigen::Matrix<double, 12, 12>;
using Matrix6 = Eigen::Matrix<double, 6, 6>;

/// Of a straight member along its own x, from its own axes' movements and turns at both ends (Euler and Bernoulli's
/// beam, as in any handbook of the displacement method).
Matrix12 ownStiffness(const MemberStuff& s, double length) {
  Matrix12 k = Matrix12::Zero();
  const auto pair = [&](int i, double v) { k(i, i) += v, k(i + 6, i + 6) += v, k(i, i + 6) -= v, k(i + 6, i) -= v; };
  pair(0, s.modulus * s.area / length);
  pair(3, s.shear * s.torsion / length);
  // Bending moves one way and turns about the other axis; `sign` is that turn's.
  const auto bending = [&](int move, int turn, double inertia, double sign) {
    const double ei = s.modulus * inertia, l = length;
    const double a = 12 * ei / (l * l * l), b = sign * 6 * ei / (l * l), c = 4 * ei / l, d = 2 * ei / l;
    const std::array<int, 4> at{move, turn, move + 6, turn + 6};
    const double part[4][4] = {{a, b, -a, b}, {b, c, -b, d}, {-a, -b, a, -b}, {b, d, -b, c}};
    for (std::size_t i = 0; i < 4; ++i)
      for (std::size_t j = 0; j < 4; ++j) k(at[i], at[j]) += part[i][j];
  };
  bending(1, 5, s.inertiaAcross, 1); // own y: square to the up direction
  bending(2, 4, s.inertiaUp, -1);    // own z: up
  return k;
}

/// Movement and turn of a place that a node carries, from the node's own.
Matrix6 carried(const Point3& arm) {
  Matrix6 m = Matrix6::Identity();
  m(0, 4) = arm.z(), m(0, 5) = -arm.y();
  m(1, 3) = -arm.z(), m(1, 5) = arm.x();
  m(2, 3) = arm.y(), m(2, 4) = -arm.x();
  return m;
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
  std::unordered_map<std::size_t, Matrix6> blocks;
  blocks.reserve(rods.size());
  const auto block = [&](std::size_t y, std::size_t x) -> Matrix6& {
    return blocks.try_emplace(x * nodes.size() + y, Matrix6::Zero()).first->second;
  };
  for (const Rod& r : rods) {
    const Point3 run = r.atB - r.atA;
    const double length = run.norm();
    if (length < 1e-9) continue;
    const auto a = static_cast<std::size_t>(r.a), b = static_cast<std::size_t>(r.b);
    const std::size_t p = rank[a], q = rank[b];
    if (r.stuff.inertiaUp == 0 && r.stuff.torsion == 0) { // a bar: how much longer it gets is all that counts
      const Point3 way = run / length;
      Eigen::Matrix<double, 6, 1> atA, atB;
      atA << -way, -(r.atA - nodes[a]).cross(way);
      atB << way, (r.atB - nodes[b]).cross(way);
      const double k = r.stuff.modulus * r.stuff.area / length;
      block(p, p) += k * atA * atA.transpose();
      block(q, q) += k * atB * atB.transpose();
      if (p == q)
        block(p, p) += k * (atA * atB.transpose() + atB * atA.transpose());
      else if (p > q)
        block(p, q) += k * atA * atB.transpose();
      else
        block(q, p) += k * atB * atA.transpose();
      continue;
    }
    Eigen::Matrix3d own; // rows: the member's own axes
    own.row(0) = (run / length).transpose();
    own.row(1) = r.up.cross(run).normalized().transpose();
    own.row(2) = own.row(0).cross(own.row(1));
    Matrix12 turn = Matrix12::Zero();
    for (Eigen::Index i = 0; i < 4; ++i) turn.block<3, 3>(3 * i, 3 * i) = own;
    Matrix12 arms = Matrix12::Zero();
    arms.topLeftCorner<6, 6>() = carried(r.atA - nodes[a]);
    arms.bottomRightCorner<6, 6>() = carried(r.atB - nodes[b]);
    const Matrix12 to = turn.lazyProduct(arms), own12 = ownStiffness(r.stuff, length).lazyProduct(to);
    const Matrix12 k = to.transpose().lazyProduct(own12);
    block(p, p) += k.topLeftCorner<6, 6>();
    block(q, q) += k.bottomRightCorner<6, 6>();
    if (p > q)
      block(p, q) += k.bottomLeftCorner<6, 6>().transpose();
    else
      block(q, p) += k.bottomLeftCorner<6, 6>();
  }
  // Lower half, column by column.
  std::vector<std::pair<std::size_t, const Matrix6*>> sorted;
  sorted.reserve(blocks.size());
  for (const auto& [key, k] : blocks)
    if (row[key / nodes.size()] >= 0 && row[key % nodes.size()] >= 0) sorted.emplace_back(key, &k);
  std::sort(sorted.begin(), sorted.end());
  Eigen::SparseMatrix<double> stiffness(count, count);
  stiffness.reserve(static_cast<Eigen::Index>(36 * sorted.size()));
  for (std::size_t first = 0, next = 0; first < sorted.size(); first = next) {
    const std::size_t column = sorted[first].first / nodes.size();
    while (next < sorted.size() && sorted[next].first / nodes.size() == column) ++next;
    for (Eigen::Index j = 0; j < 6; ++j) {
      stiffness.startVec(row[column] + j);
      for (std::size_t i = first; i < next; ++i) {
        const Eigen::Index y = row[sorted[i].first % nodes.size()];
        for (Eigen::Index l = y == row[column] ? j : 0; l < 6; ++l)
          stiffness.insertBack(y + l, row[column] + j) = (*sorted[i].second)(l, j);
      }
    }
  }
  stiffness.finalize();
  Eigen::VectorXd load(count);
  for (std::size_t i = 0; i < nodes.size(); ++i)
    if (row[i] >= 0) load.segment<6>(row[i]) = loads[order[i]];
  movement = Eigen::VectorXd::Zero(static_cast<Eigen::Index>(6 * nodes.size()));
  if (count == 0) return Done{};
  const Eigen::SimplicialLDLT<Eigen::SparseMatrix<double>, Eigen::Lower, Eigen::NaturalOrdering<int>> solver(stiffness);
  const Problem loose{"frame", "something in it moves without resistance"};
  if (solver.info() != Eigen::Success) return loose;
  const Eigen::VectorXd d = solver.vectorD();
  if (d.minCoeff() <= 1e-12 * d.maxCoeff()) return loose;
  const Eigen::VectorXd x = solver.solve(load);
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
