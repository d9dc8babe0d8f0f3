// What readings say: a straight line through those of a gauge with its doubt, several readings of one thing, and how
// much farther than wanted something that springs back is held.
#pragma once
#include <optional>
#include <span>

namespace eup {

/// One reading at a place, with one standard deviation of it, > 0.
struct Sample {
  double at = 0, value = 0, doubt = 1;
};

/// Weighted least squares. The doubts are those of the samples, and larger where the samples scatter more than they
/// should (√(χ² ÷ (n − 2)), never smaller).
struct FittedLine {
  double atZero = 0, slope = 0;
  double varZero = 0, varSlope = 0, covariance = 0;
  double scatter = 1; ///< what the samples' own doubts were multiplied by
  int samples = 0;
  double at(double place) const { return atZero + slope * place; }
  double doubtAt(double place) const;
  double slopeDoubt() const;
};
/// Nothing with fewer than two samples at different places.
std::optional<FittedLine> lineThrough(std::span<const Sample> samples);

/// Several readings of one thing, weighted by 1 ÷ doubt².
struct MeanReading {
  double mean = 0, doubt = 0;
  double deviation = 0; ///< of the readings, n − 1; 0 of one
  int readings = 0;
};
/// Nothing without a reading.
std::optional<MeanReading> meanOf(std::span<const Sample> samples);

/// How far something that springs back is to be held, against its error: at first half as far again (common practice,
/// no source); after a try by what that try took: (error before − error now) ÷ what it was held.
struct HeldOver {
  double hold = 0; ///< in the error's unit, against it
  double took = 0; ///< share of what it was held that stayed, 0.2 to 1; 0 where nothing was tried
};
HeldOver holdAgainst(double error, std::optional<double> errorBefore);

} // namespace eup
