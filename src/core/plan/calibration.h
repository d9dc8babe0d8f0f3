// Making a sheet true: from its pixels to millimetres, and what that says about the print.
#pragma once
#include "core/measure/result.h"
#include "core/plan/plan.h"
#include <Eigen/Core>
#include <Eigen/Geometry>
#include <Eigen/LU>

namespace eup {

/// What the known lengths were enough for.
enum class Seen {
  nothing,       ///< nothing is known; the pixels an inch are taken as they are
  oneScale,      ///< one scale for all directions
  twoScales,     ///< along and across
  twoScalesSkew, ///< and whether a right angle is one
  perspective    ///< four corners of a rectangle
};

struct TrueSheet {
  Eigen::Matrix3d toMm = Eigen::Matrix3d::Identity(); ///< homogeneous pixel → mm, y up
  Seen seen = Seen::nothing;
  double along = 0, across = 0;   ///< mm a pixel, across and down the sheet (for a photograph: at its middle)
  double skew = 0;                ///< rad by which a right angle on the sheet is off
  double slant = 0;               ///< photograph: largest over smallest scale on the sheet, less 1
  bool untrue = false;            ///< the print is stretched or out of square by more than is worth a word
  std::vector<double> residuals;  ///< measured less true, mm, one a known length
  std::vector<std::string> words; ///< what is wrong with the print, and what cannot be seen, in plain words

  Point mm(const Point& pixel) const { return (toMm * pixel.homogeneous()).hnormalized(); }
  Point pixel(const Point& mm) const { return (toMm.inverse() * mm.homogeneous()).hnormalized(); }
};

/// Lengths: least squares of |T d| = L over all known lengths, T upper triangular (scale along, across, skew) as far
/// as their directions allow. Corners: the one perspective map that takes them to the rectangle. Then the level line
/// is turned level. Refuses, naming it: a length with its ends together, corners that make no rectangle.
Result<TrueSheet> makeTrue(const PlanSheet& sheet);

/// Used when a file does not say its resolution and nothing is known yet: a usual scan.
inline constexpr double assumedDpi = 150;

} // namespace eup
