#include "core/strength/d_box.h"
#include "core/geometry/cover.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include <algorithm>
#include <cmath>

namespace eup {

double torsionConstant(const Polyline& midLine, double thickness) {
  const double area = std::abs(signedArea(midLine)), length = perimeterOf(midLine);
  return length > 0 ? 4 * area * area * thickness / length : 0;
}

Polyline noseBox(const Polyline& upper, const Polyline& lower, double x, double thickness) {
  return noseBox(upper, lower, x, thickness, thickness);
}

Polyline noseBox(const Polyline& upper, const Polyline& lower, double x, double above, double under) {
  const auto top = lastCrossing(upper, x), bottom = lastCrossing(lower, x);
  if (!top || !bottom) return {};
  Polyline skin = headOf(upper, *top);
  std::reverse(skin.begin(), skin.end());
  const Polyline below = headOf(lower, *bottom);
  std::vector<Stretch> cover;
  if (above == under) { // one sheet: no corner at the nose
    skin.insert(skin.end(), below.begin() + 1, below.end());
    cover = {{skin, above / 2}, {{skin.back(), skin.front()}, 0}};
  } else {
    cover = {{skin, above / 2}, {below, under / 2}, {{below.back(), skin.front()}, 0}};
    skin.insert(skin.end(), below.begin() + 1, below.end());
  }
  Polyline box = underCover(cover);
  // The web stands between the mid lines of the two skins, not between their outer faces.
  std::erase_if(box,
                [&](const Point& p) { return (p - skin.front()).norm() < 1e-9 || (p - skin.back()).norm() < 1e-9; });
  // Where the cover is thicker than a sharp nose's radius the line runs over itself: those turns are no wall.
  const Region whole = subtractFromWound(box, {});
  const Polyline* largest = largestOf(whole);
  if (!largest) return {};
  // From the web's upper end over the nose to its lower end.
  Polyline out = *largest;
  std::rotate(out.begin(),
              std::max_element(out.begin(), out.end(),
                               [&](const Point& a, const Point& b) { return a.x() + a.y() < b.x() + b.y(); }),
              out.end());
  return out;
}

double shearCentreAhead(double area, double webDepth, double webGive, double skinGive) {
  return 2 * area / webDepth * webGive / (webGive + skinGive);
}

double skinShear(const PanelBrief& d, const SkinSheet& skin, bool upper) {
  double out = d.tables.named(skin.material).shear * skin.thickness;
  if (const int layers = d.cloth.layers(upper); layers > 0) {
    const Material& cloth = d.tables.named(d.cloth.material);
    out += cloth.shear * d.cloth.layer(cloth.density) * layers;
  }
  return out;
}

std::optional<NoseBox> noseBoxOf(const PanelBrief& d, const PanelLoft& loft, const Rib& rib) {
  const auto main = mainSpar(d);
  const SheetRun *top = d.sheeting.on(true), *bottom = d.sheeting.on(false);
  if (!main || !top || !bottom || d.built == Built::foam) return std::nullopt; // skins all round a core are no nose box
  const Spar& spar = d.spars[static_cast<std::size_t>(*main)];
  const double fraction = spar.rootFraction, thick = std::min(top->thickness, bottom->thickness);
  const double edge = std::min(sheetEdgeAt(d, loft, Face::upper, 0), sheetEdgeAt(d, loft, Face::lower, 0));
  if (edge + 1e-9 < fraction) return std::nullopt;
  const Polyline line = noseBox(rib.upper, rib.lower, fraction * rib.frame.chord, top->thickness, bottom->thickness);
  if (line.size() < 3) return std::nullopt;
  NoseBox box{*main, std::abs(signedArea(line)), perimeterOf(line), 0, 0, {}};
  double far = line.front().x(), low = 1e300, high = -1e300; // the web stands at the hindmost places
  for (const Point& p : line) far = std::max(far, p.x());
  for (const Point& p : line) // its ends lie square under a sloping skin
    if (p.x() > far - thick / 2) low = std::min(low, p.y()), high = std::max(high, p.y());
  box.webDepth = high - low;
  // From the web's upper end to the nose, and on to its lower end.
  double above = 0, below = 0;
  const auto nose = static_cast<std::size_t>(
      std::min_element(line.begin(), line.end(), [](const Point& a, const Point& b) { return a.x() < b.x(); }) -
      line.begin());
  for (std::size_t i = 1; i < line.size(); ++i) (i <= nose ? above : below) += (line[i] - line[i - 1]).norm();
  const double shearAbove = skinShear(d, *top, true), shearBelow = skinShear(d, *bottom, false),
               closing = std::max(box.wall - above - below, 0.0),
               give = above / shearAbove + below / shearBelow + closing * 2 / (shearAbove + shearBelow);
  if (give > 0) box.torsion = 4 * box.area * box.area / give / d.tables.named(top->material).shear;
  if (const double web = webWidthAt(spar, 0); web > 0 && box.webDepth > 0 && box.wall > box.webDepth) {
    const double webGive = box.webDepth / (d.tables.named(spar.webMaterial).shear * web),
                 share = (box.wall - box.webDepth) / box.wall; // of the wall that is skin
    box.ahead = shearCentreAhead(box.area, box.webDepth, webGive, give * share);
  }
  return box;
}

} // namespace eup
