// Skins laid flat: sizes for people, patterns for other programs.
#pragma once
#include "core/work/true_wing.h"
#include <iosfwd>

namespace eup::cli {

void tellSkins(const TrueWing& wing, bool json, std::ostream& out);

} // namespace eup::cli
