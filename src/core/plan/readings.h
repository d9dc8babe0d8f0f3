// Readings in millimetres: all sheets of a plan laid out beside each other, and what each reading measures.
#pragma once
#include "core/measure/figure.h"
#include "core/plan/calibration.h"
#include <optional>

namespace eup {

/// A sheet made true and laid beside the others: by match marks that it shares with one laid before it, else to the
/// right of all of them.
struct LaidSheet {
  TrueSheet sheet; ///< as far as it could be made true
  Placement on;    ///< its millimetres → the plan's
  bool matched = false;
  double matchMisfit = 0;         ///< mm, worst distance of its match marks
  std::optional<Problem> problem; ///< why it could not be made true

  Point mm(const Point& pixel) const { return on(sheet.mm(pixel)); }
  Point pixel(const Point& mm) const { return sheet.pixel(on.undo(mm)); }
  /// Homogeneous pixel → plan mm.
  Eigen::Matrix3d map() const;
};

std::vector<LaidSheet> layOut(const Plan& plan);

/// The reading's points in plan mm.
Polyline inMm(const Reading& reading, const std::vector<LaidSheet>& laid);

/// What a reading measures: a length, an angle, or where a place lies.
struct ReadValue {
  Quantity quantity = Quantity::length;
  double value = 0;               ///< mm or rad; for places: along the plan
  std::optional<double> across{}; ///< places only: y on the plan, mm
};
ReadValue valueOf(const Reading& reading, const std::vector<LaidSheet>& laid);

/// The plan with a reading moved so that it measures `value` (and `across`): a length keeps its first end and its
/// direction, an angle its apex and first leg, a place moves. Refuses what cannot be.
Result<Plan> withValue(const Plan& plan, std::size_t reading, double value, std::optional<double> across);

/// A reading's number that follows the last one of its kind and hand.
int nextNumber(const Plan& plan, ReadingKind kind, Hand hand);

/// A sheet and all that was read on it taken away; readings of later sheets count down.
Plan withoutSheet(const Plan& plan, int sheet);

} // namespace eup
