// euptera-cli foam and wire-read: cores, templates and the wire's way.
#pragma once
#include "core/exchange/wire_code.h"
#include "core/wing/true_wing.h"
#include <iosfwd>

namespace eup::cli {

void tellFoam(const TrueWing& wing, bool json, std::ostream& out);
void tellWireCode(const ReadCode& read, bool json, std::ostream& out);

} // namespace eup::cli
