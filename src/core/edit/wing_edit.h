// Wings of an aircraft added and taken out.
#pragma once
#include "core/design/design.h"
#include "core/measure/result.h"

namespace eup {

/// What a new wing begins with: one that builds and flies as it stands, with no finding.
Design newWing();

/// One more wing of that kind, of one panel, with sizes in proportion to the main wing to start from.
Result<Design> withWingAdded(const Design& design, WingKind kind);
/// Without that wing; the main wing, number 0, stays.
Result<Design> withWingTakenOut(const Design& design, int wing);

/// Something to lie in a panel's foam, as its kind mostly is there: a size and a place that the panel has room for, and
/// a name that no other has.
CoreThing newInCore(const PanelDesign& panel, InCore kind);

/// A surface of that kind as it mostly is (common practice, no source), to begin with; its name is not taken.
Surface newSurface(const PanelDesign& panel, SurfaceKind kind, WingKind wing);
Run newRun(const PanelDesign& panel, RunKind kind);
HardPoint newHardPoint(const PanelDesign& panel, HardPointKind kind);

} // namespace eup
