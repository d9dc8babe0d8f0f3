// The shape of one panel, whatever it is built of: its end sections, the surface between them, its stations.
#pragma once
#include "core/loft/stations.h"
#include "core/section/measured.h"

namespace eup {

struct PanelShape {
  PanelShape(const PanelBrief& design, ShapedSection root, ShapedSection tip);

  ShapedSection rootShape, tipShape; ///< with what their steps did
  Section rootSection, tipSection;
  SectionMeasures rootMeasures, tipMeasures;
  PanelLoft loft;
  Stations stations;
};

/// Its root section is the tip's of the panel inside it where it continues that; null for the innermost.
PanelShape shapeOf(const PanelBrief& design, const PanelShape* inside);

} // namespace eup
