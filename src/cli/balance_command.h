// euptera-cli balance: mass, where it balances and where it should.
#pragma once
#include "core/wing/true_wing.h"
#include <iosfwd>

namespace eup::cli {

/// As words, or as JSON.
void tellBalance(const TrueWing& aircraft, bool json, std::ostream& out);

} // namespace eup::cli
