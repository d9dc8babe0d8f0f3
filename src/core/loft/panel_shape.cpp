#include "core/loft/panel_shape.h"

namespace eup {

PanelShape::PanelShape(const PanelBrief& design, ShapedSection root, ShapedSection tip)
    : rootShape(std::move(root)), tipShape(std::move(tip)), rootSection(rootShape.section),
      tipSection(tipShape.section), rootMeasures(measure(rootSection)), tipMeasures(measure(tipSection)),
      loft(design.panel, rootSection, tipSection), stations(stationsOf(design, loft)) {}

} // namespace eup
