// What lies on a rib's two faces from nose to tail: nose sheet, strips or sheeted bays, trailing edge sheets.
#pragma once
#include "core/geometry/cover.h"
#include "core/geometry/region.h"
#include "core/parts/rib_making.h"

namespace eup {

// As bands against the faces, as thick as they are; a little longer than they are seen where something is cut away.
Region noseBand(const RibMaking& rib);
Region sheetedBands(const RibMaking& rib); ///< behind the nose sheet, where the rib's bays are sheeted
Region capBands(const RibMaking& rib);
Region trailingSheets(const RibMaking& rib); ///< the two of a trailing edge

/// The whole edge of the rib in stretches of one cover each, counter-clockwise from the upper tail, and the tail's own
/// face.
std::vector<Stretch> coverOf(const RibMaking& rib);

/// How far each cover of a face reaches along it.
FaceRun runOf(const RibMaking& rib, Face face);

} // namespace eup
