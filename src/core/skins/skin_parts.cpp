// Parts of the skins that are cut from their flat patterns.
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include "core/skins/skin_list.h"

namespace eup {

std::vector<Part> partsOfSkins(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Skin>& skins) {
  PartMaker maker(d, loft, frame);
  for (const Skin& skin : skins) {
    if (skin.what == Skin::What::tail) continue;
    const FlatPattern& p = skin.pattern;
    Part part = PartMaker::piece(Part::What::sheet, skin.piece, skin.name, skin.of.material);
    part.stock = Stock::sheet(skin.layer());
    part.count = skin.of.layers;
    part.area = p.area, part.length = lengthOf(p.front), part.breadth = std::max(p.innerWidth, p.outerWidth);
    const bool bends = skin.what == Skin::What::nose && d.sheeting.carries;
    part.grain = skin.of.grainDeg != 0 ? (std::abs(skin.of.grainDeg) == 90 ? GrainWay::chord : GrainWay::slanting)
                 : bends               ? GrainWay::span
                                       : GrainWay::length;
    part.drawn = DrawnOn::skins;
    part.grams = part.area * skin.of.thickness * maker.heavy(skin.of.material);
    part.centre = skin.centre, part.at = skin.centre.y();
    // Along the span it weighs as it is wide, from rib to rib.
    double t = skin.inner, width = p.innerWidth, sum = 0;
    const auto on = [&](double toT, double toWidth) {
      part.runs.push_back({t, toT, width, toWidth});
      sum += (width + toWidth) / 2 * (toT - t);
      t = toT, width = toWidth;
    };
    for (const SkinLine& rib : skin.ribs) on(rib.t, lengthOf(rib.line));
    on(skin.outer, p.outerWidth);
    if (sum <= 0) continue;
    for (Part::Run& run : part.runs) run.atFrom *= part.grams / sum, run.atTo *= part.grams / sum;
    maker.out.push_back(std::move(part));
  }
  return std::move(maker.out);
}

std::vector<Part> builtParts(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                             const std::optional<TipShape>& tip, const std::vector<Skin>& skins) {
  std::vector<Part> out = partsOf(d, loft, frame, tip);
  for (Part& part : partsOfSkins(d, loft, frame, skins)) out.push_back(std::move(part));
  return out;
}

} // namespace eup
