// What is told of a finished wing: figures and findings, worked out when they are asked for, once, and kept with it.
#pragma once
#include "core/measure/figure.h"
#include "core/measure/finding.h"
#include "core/wing/true_wing.h"

namespace eup {

/// Those of one stage: a change on screen asks for no more.
const std::vector<Figure>& figuresOf(const TrueWing& wing, Stage stage);
/// Of all stages, in the order of work; then what is another of a left hand of its own, its key under "left.".
std::vector<Figure> figuresOf(const TrueWing& wing);
/// Null where there is none of that key.
const Figure* figureNamed(const TrueWing& wing, std::string_view key);

/// What is wrong with it, the gravest first; of a left hand of its own, what the right one has not.
const std::vector<Finding>& findingsOf(const TrueWing& wing);
/// Of a wing that is about to go.
std::vector<Finding> findingsOf(TrueWing&& wing);

} // namespace eup
