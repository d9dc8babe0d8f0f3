// Surfaces on hinges as text or JSON.
#pragma once
#include "core/wing/true_wing.h"
#include <iosfwd>

namespace eup::cli {

void tellSurfaces(const TrueWing& wing, bool json, std::ostream& out);

} // namespace eup::cli
