#include "core/geometry/solve.h"
#include <Eigen/Dense>
#include <Eigen/SparseCholesky>

namespace eup {

Eigen::VectorXd leastSquares(const Eigen::MatrixXd& a, const Eigen::VectorXd& b) {
  return a.colPivHouseholderQr().solve(b);
}

Eigen::VectorXd symmetricSolution(const Eigen::MatrixXd& a, const Eigen::VectorXd& b) {
  return a.ldlt().solve(b);
}

Eigen::MatrixXd symmetricSolution(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b) {
  return a.ldlt().solve(b);
}

Eigen::VectorXd squareSolution(const Eigen::MatrixXd& a, const Eigen::VectorXd& b) {
  return a.partialPivLu().solve(b);
}

std::optional<Eigen::VectorXd> regularSolution(const Eigen::MatrixXd& a, const Eigen::VectorXd& b) {
  const Eigen::FullPivLU<Eigen::MatrixXd> lu(a);
  if (!lu.isInvertible()) return std::nullopt;
  return Eigen::VectorXd(lu.solve(b));
}

template <class Ordering>
static std::optional<Eigen::VectorXd> solved(const Eigen::SparseMatrix<double>& k, const Eigen::VectorXd& b) {
  const Eigen::SimplicialLDLT<Eigen::SparseMatrix<double>, Eigen::Lower, Ordering> solver(k);
  if (solver.info() != Eigen::Success) return std::nullopt;
  const Eigen::VectorXd d = solver.vectorD();
  if (d.minCoeff() <= 1e-12 * d.maxCoeff()) return std::nullopt;
  return Eigen::VectorXd(solver.solve(b));
}

std::optional<Eigen::VectorXd> sparseSolution(const Eigen::SparseMatrix<double>& k, const Eigen::VectorXd& b,
                                              bool narrow) {
  return narrow ? solved<Eigen::NaturalOrdering<int>>(k, b) : solved<Eigen::AMDOrdering<int>>(k, b);
}

double largestEigenvalue(const Eigen::MatrixXd& m) {
  return m.eigenvalues().real().maxCoeff();
}

Eigen::Vector3d eigenvaluesOf(const Eigen::Matrix3d& m) {
  return Eigen::SelfAdjointEigenSolver<Eigen::Matrix3d>().computeDirect(m, Eigen::EigenvaluesOnly).eigenvalues();
}

MainAxes mainAxes(const Eigen::Matrix2d& m) {
  const auto axes = Eigen::SelfAdjointEigenSolver<Eigen::Matrix2d>().computeDirect(m);
  return {axes.eigenvalues()(0), axes.eigenvalues()(1), axes.eigenvectors().col(1)};
}

} // namespace eup
