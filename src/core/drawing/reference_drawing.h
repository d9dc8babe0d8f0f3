// Full-size sheets of the plan and section stages: reference points of the hand that a plan does not draw, a section
// with gauges for its nose.
#pragma once
#include "core/drawing/drawing.h"
#include "core/plan/judge.h"
#include "core/section/section.h"

namespace eup {

/// Spar, tip and end ribs as crosses to trace through or to set out from; root at the right for a left hand.
Drawing referenceDrawing(const DrawnHand& read, const std::string& wing, LengthUnit unit, Hand to);

/// The section at its chord with stations every tenth, a gauge that fits over its nose, and a radius gauge.
/// `noseRadius` as a fraction of the chord.
Drawing sectionDrawing(const Section& section, double chord, double noseRadius, const std::string& wing,
                       LengthUnit unit);

} // namespace eup
