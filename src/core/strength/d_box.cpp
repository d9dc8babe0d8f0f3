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
  const auto top = lastCrossing(upper, x), bottom = lastCrossing(lower, x);
  if (!top || !bottom) return {};
  Polyline skin = headOf(upper, *top);
  std::reverse(skin.begin(), skin.end());
  const Polyline below = headOf(lower, *bottom);
  skin.insert(skin.end(), below.begin() + 1, below.end());
  Polyline box = underCover({{skin, thickness / 2}, {{skin.back(), skin.front()}, 0}});
  // The web stands between the mid lines of the two skins, not between their outer faces.
  std::erase_if(box,
                [&](const Point& p) { return (p - skin.front()).norm() < 1e-9 || (p - skin.back()).norm() < 1e-9; });
  // Where the cover is thicker than a sharp nose's radius the line runs over itself: those turns are no wall.
  const Region whole = subtractFromWound(box, {});
  const auto largest = std::max_element(
      whole.begin(), whole.end(), [](const Polyline& a, const Polyline& b) { return signedArea(a) < signedArea(b); });
  if (largest == whole.end()) return {};
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

std::optional<NoseBox> noseBoxOf(const PanelBrief& d, const PanelLoft& loft, const Rib& rib) {
  const auto main = mainSpar(d);
  if (!main || !d.sheeting.top || !d.sheeting.bottom) return std::nullopt;
  const Spar& spar = d.spars[static_cast<std::size_t>(*main)];
  const double fraction = spar.rootFraction, thick = d.sheeting.thickness;
  const double edge = std::min(sheetEdgeAt(d, loft, Face::upper, 0), sheetEdgeAt(d, loft, Face::lower, 0));
  if (edge + 1e-9 < fraction) return std::nullopt;
  const Polyline line = noseBox(rib.upper, rib.lower, fraction * rib.frame.chord, thick);
  if (line.size() < 3) return std::nullopt;
  NoseBox box{*main, std::abs(signedArea(line)), perimeterOf(line), 0, torsionConstant(line, thick), {}};
  double far = line.front().x(), low = 1e300, high = -1e300; // the web stands at the hindmost places
  for (const Point& p : line) far = std::max(far, p.x());
  for (const Point& p : line) // its ends lie square under a sloping skin
    if (p.x() > far - thick / 2) low = std::min(low, p.y()), high = std::max(high, p.y());
  box.webDepth = high - low;
  if (const double web = webWidthAt(spar, 0); web > 0 && box.webDepth > 0 && box.wall > box.webDepth) {
    const double webGive = box.webDepth / (d.tables.named(spar.webMaterial).shear * web),
                 skinGive = (box.wall - box.webDepth) / (d.tables.named(d.sheeting.material).shear * thick);
    box.ahead = shearCentreAhead(box.area, box.webDepth, webGive, skinGive);
  }
  return box;
}

} // namespace eup
