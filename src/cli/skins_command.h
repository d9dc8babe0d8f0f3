// Skins laid flat: sizes for people, patterns for other programs.
#pragma once
#include "core/wing/true_wing.h"
#include <iosfwd>

namespace eup::cli {

/// The figures of a stage, a line each with its place, and its findings.
void tellStage(const TrueWing& wing, Stage stage, std::ostream& out);

void tellSkins(const TrueWing& wing, bool json, std::ostream& out);

} // namespace eup::cli
