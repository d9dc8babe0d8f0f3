// From where to where a number may lie.
#pragma once

namespace eup {

struct Limits {
  double low = 0, high = 0;
};

} // namespace eup
