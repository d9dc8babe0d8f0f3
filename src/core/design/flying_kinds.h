// The shipped table of load factors by the kind of flying, and the factors that a design's loads go by.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"
#include <string>
#include <string_view>
#include <vector>

namespace eup {

struct FlyingFactors {
  std::string key, label;
  double pull = 1; ///< load factor, multiples of the model's weight
  double push = 0; ///< the other way
  std::string source;
};

/// Reads the table: one row for every kind but `own`, in the order of `FlyingKind`.
Result<std::vector<FlyingFactors>> readFlyingFactors(std::string_view json);
const std::vector<FlyingFactors>& shippedFlyingFactors();

/// As typed for a kind of one's own, from the table for the others.
FlyingFactors factorsOf(const Flying& flying);

} // namespace eup
