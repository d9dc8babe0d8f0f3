// A wing's panels added, cut in two, put together, taken out. The shape of the rest stays as it was.
#pragma once
#include "core/loft/panel_loft.h"
#include "core/measure/result.h"

namespace eup {

/// One more panel at the tip, built like the last one: half as long, tapering on, turned up by five degrees more.
Result<Design> withPanelAdded(const Design& design, int wing);

/// The panel cut at t, in mm from its root: both parts keep the surface that was there (ruled, so that a cut through it
/// is the section between), its ribs and its spar lines. Refuses a cut closer to an end than a panel can be short.
Result<Design> withPanelSplit(const Design& design, PanelId id, double t);

/// The panel and the next one outside it as one straight-ruled panel, from the root of the one to the tip of the other,
/// at the inner one's dihedral.
Result<Design> withPanelsMerged(const Design& design, PanelId inner);

/// The panel and the next one outside it change places. Each keeps the root that it had, and so does the one beyond
/// them: where they no longer fit each other the builder decides what shall continue.
Result<Design> withPanelMovedOut(const Design& design, PanelId id);

/// A copy of the panel as the outermost one of that wing, with the root that it has.
Result<Design> withPanelCopied(const Design& design, PanelId id, int toWing);

/// Without that panel; what continued it continues the one inside, or stands on its own root when it was the innermost.
Result<Design> withPanelTakenOut(const Design& design, PanelId id);

} // namespace eup
