// Cap strips and webs, each at full size: they are ganged on strips of sheet.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include <fmt/format.h>

namespace eup {

std::vector<Drawing> smallPieces(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  for (const Part& part : w.parts) {
    if (!part.toldWith(hand)) continue; // drawn with the right hand
    const bool strip = part.what() == Part::What::capStrips && part.drawn == DrawnOn::skins;
    if (!strip && part.outline.empty()) continue;
    Drawing d;
    d.title = w.design.of > 1 ? fmt::format("Skins, panel {}", w.design.id.panel + 1) : "Skins";
    d.wing = w.design.name;
    d.hand = hand;
    const Polyline outline = strip ? rectangle({0, 0}, {part.length, part.breadth}) : part.outline;
    d.loop(Layer::cut, outline);
    if (hand == Hand::left) d = mirrored(std::move(d));
    const Box box = d.bounds();
    const std::string count = part.count > 1 ? fmt::format(", {} of it", part.count) : std::string();
    // Within a strip that is wide enough, else under it.
    const double letters = 2.4;
    d.write({box.low.x() + 1, box.height() > 2 * letters ? box.centre().y() - letters / 2 : box.low.y() - letters - 1},
            part.name + count + (part.grain == GrainWay::upright ? ", grain up and down" : ""), letters);
    out.push_back(std::move(d));
  }
  return out;
}

} // namespace eup
