// Parts of the skins that are cut from their flat patterns.
#include "core/geometry/polyline.h"
#include "core/skins/skin_list.h"

namespace eup {

std::vector<Part> partsOfSkins(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Skin>& skins) {
  std::vector<Part> out;
  for (const Skin& skin : skins) {
    if (!skin.key.starts_with("bays.")) continue; // nose and trailing edge are told with the frame
    Part part;
    part.what = Part::What::sheet;
    part.key = "sheeted" + skin.key.substr(4), part.name = skin.name, part.material = skin.material;
    part.stock = Stock::sheet(skin.thickness);
    part.area = skin.pattern.area;
    part.length = lengthOf(skin.pattern.front);
    part.breadth = std::max(skin.pattern.innerWidth, skin.pattern.outerWidth);
    part.grain = GrainWay::length;
    part.drawn = DrawnOn::skins;
    part.grams = part.area * skin.thickness * d.tables.named(skin.material).density * 1e-6;
    // Along the span it weighs as it is wide there: as the chord is, about.
    for (const Rib& rib : frame.ribs) {
      const double t = std::clamp(rib.t(), 0.0, loft.span()), chord = loft.frameAt(t).chord;
      if (t < skin.inner - 1e-6 || t > skin.outer + 1e-6) continue;
      if (!part.runs.empty()) part.runs.back().to = t, part.runs.back().atTo = chord;
      part.runs.push_back({t, t, chord, chord});
    }
    if (!part.runs.empty()) part.runs.pop_back();
    double sum = 0;
    for (const Part::Run& run : part.runs) sum += (run.atFrom + run.atTo) / 2 * (run.to - run.from);
    if (sum <= 0) continue;
    for (Part::Run& run : part.runs) run.atFrom *= part.grams / sum, run.atTo *= part.grams / sum;
    part.centre = skin.centre;
    part.at = part.centre.y();
    out.push_back(std::move(part));
  }
  return out;
}

} // namespace eup
