// Paper for the bench: the order of work with boxes to tick, labels for the pieces, the log.
#pragma once
#include "core/bench/step.h"
#include "core/design/bench_design.h"
#include "core/drawing/wing_drawings.h"

namespace eup {

/// The steps in an order that can be worked through, those of a hand and those of both, with what each waits for; what
/// is done is ticked.
std::vector<Drawing> workSheet(const std::string& wing, Hand hand, const std::vector<Step>& steps,
                               const Records& records, LengthUnit unit);
/// A label a piece: its name, hand, wing, what it is cut from and to.
std::vector<Drawing> pieceLabels(const DrawnWing& wing, Hand hand);
/// Everything that was done, read, changed and noted, with its time.
std::vector<Drawing> logSheets(const std::string& wing, const Records& records);

} // namespace eup
