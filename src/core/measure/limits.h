// From where to where a number may lie.
#pragma once

namespace eup {

struct Limits {
  double low = 0, high = 0;
  double orFrom = 0; ///< where 0 means none: what is more than 0 is at least that
  bool tooLittle(double v) const { return v > 0 && v < orFrom - 1e-9; }
};

} // namespace eup
