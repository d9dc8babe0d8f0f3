#include "core/loft/panel_shape.h"

namespace eup {

PanelShape::PanelShape(const PanelBrief& design, ShapedSection root, ShapedSection tip)
    : rootShape(std::move(root)), tipShape(std::move(tip)), rootSection(rootShape.section),
      tipSection(tipShape.section), rootMeasures(measure(rootSection)), tipMeasures(measure(tipSection)),
      loft(design.panel, rootSection, tipSection), stations(stationsOf(design, loft)) {}

PanelShape shapeOf(const PanelBrief& d, const PanelShape* inside) {
  // Plates are as thick as each panel's own sheet.
  const bool same = inside && d.panel.continues && d.built != Built::sheet;
  ShapedSection root = same ? inside->tipShape : shape(d.sections.root);
  ShapedSection tip = d.sections.tip == d.sections.root ? root : shape(d.sections.tip);
  return {d, std::move(root), std::move(tip)};
}

} // namespace eup
