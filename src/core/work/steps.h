// The steps of building a model, as they follow from its design: only those of what its wings have.
#pragma once
#include "core/bench/schedule.h"
#include "core/bench/step.h"
#include "core/work/true_wing.h"

namespace eup {

/// In an order that can be worked through; what a step needs is among them.
std::vector<Step> stepsOf(const TrueWing& aircraft, double celsius = 20);

/// The same as activities, by index.
std::vector<Activity> activitiesOf(const std::vector<Step>& steps);

} // namespace eup
