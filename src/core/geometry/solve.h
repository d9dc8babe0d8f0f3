// Sets of equations, solved by the library for them. They are compiled in one place: instantiating a solver takes as
// long as compiling a whole trade.
#pragma once
#include <Eigen/Core>
#include <Eigen/SparseCore>
#include <optional>

namespace eup {

/// x with the least |A x − b|, by a QR decomposition with pivots. As many rows in b as in A.
Eigen::VectorXd leastSquares(const Eigen::MatrixXd& a, const Eigen::VectorXd& b);
/// A x = b with A symmetric, by an LDLᵀ decomposition; a singular A gives some x.
Eigen::VectorXd symmetricSolution(const Eigen::MatrixXd& a, const Eigen::VectorXd& b);
Eigen::MatrixXd symmetricSolution(const Eigen::MatrixXd& a, const Eigen::MatrixXd& b);
/// A x = b with A square, by an LU decomposition. A is known to be regular.
Eigen::VectorXd squareSolution(const Eigen::MatrixXd& a, const Eigen::VectorXd& b);
/// The same for an A that may be singular: then nothing.
std::optional<Eigen::VectorXd> regularSolution(const Eigen::MatrixXd& a, const Eigen::VectorXd& b);
/// K x = b with the lower half of a symmetric K. Nothing where K is not positive to a share of 1e-12 of its largest
/// pivot: something moves without resistance. A `narrow` K has a band and is not ordered first.
std::optional<Eigen::VectorXd> sparseSolution(const Eigen::SparseMatrix<double>& k, const Eigen::VectorXd& b,
                                              bool narrow);

/// The largest real part of the eigenvalues of a square matrix.
double largestEigenvalue(const Eigen::MatrixXd& m);
/// Of a symmetric matrix, from the least to the largest.
Eigen::Vector3d eigenvaluesOf(const Eigen::Matrix3d& m);

/// Main axes of a symmetric matrix of two by two: a scatter of points.
struct MainAxes {
  double least = 0, most = 0; ///< eigenvalues
  Eigen::Vector2d way{1, 0};  ///< unit vector that belongs to `most`
};
MainAxes mainAxes(const Eigen::Matrix2d& m);

} // namespace eup
