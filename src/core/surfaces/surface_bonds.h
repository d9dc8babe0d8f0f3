// The glue joints of surfaces on hinges and of hard points.
#pragma once
#include "core/parts/frame_bonds.h"
#include "core/parts/hard_points.h"
#include "core/surfaces/surface_made.h"

namespace eup {

/// Facings on ribs, end ribs, infills, gussets, blocks, the servo's plate, sheet round a core; `parts` are all of the
/// panel's.
std::vector<Bond> bondsOfSurfaces(const PanelBrief& design, const Frame& frame,
                                  const std::vector<SurfaceMade>& surfaces, const std::vector<Part>& parts);
/// Blocks between two ribs, and the doublers on those.
std::vector<Bond> bondsOfHardPoints(const Frame& frame, const std::vector<HardPointMade>& points,
                                    const std::vector<HardPoint>& decided, const std::vector<Part>& parts);

} // namespace eup
