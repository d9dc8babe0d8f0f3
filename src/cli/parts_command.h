// euptera-cli parts: every piece of the wings, for people and for other programs.
#pragma once
#include "core/wing/true_wing.h"
#include <iosfwd>

namespace eup::cli {

enum class PartsAs { text, csv, json };
void tellParts(const TrueWing& aircraft, PartsAs as, std::ostream& out);

} // namespace eup::cli
