#include "core/parts/panel_parts.h"
#include "core/parts/part_maker.h"

namespace eup {

std::vector<Part> partsOf(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                          const std::optional<TipShape>& tip) {
  PartMaker maker(d, loft, frame);
  for (const Rib& rib : frame.ribs)
    if (rib.ofWood) addRibParts(maker, rib);
  for (const Rib& rib : frame.riblets) addRibParts(maker, rib);
  addEdgeParts(maker);
  addSkinParts(maker);
  for (const SparLine& line : frame.spars) addSparParts(maker, line);
  addDiagonalParts(maker);
  if (tip) addTipParts(maker, *tip);
  addFoamBetween(maker);
  return std::move(maker.out);
}

} // namespace eup
