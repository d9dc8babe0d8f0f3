#include "core/joins/joiner.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// How far along the panel a leg reaches that is to end at its n-th rib from the join.
double stationFrom(const Stations& stations, JoinEnd end, int rib) {
  return countedFrom(stations.all, end == JoinEnd::tip, std::max(rib, 2)).along;
}

constexpr double shy = 0.01; // mm: a leg that ends at a rib does not go through it

/// From the join up to `reach`, in this panel's stations.
std::pair<double, double> run(const PanelLoft& loft, JoinEnd end, double reach, bool through) {
  if (end == JoinEnd::root) return {0, through ? reach : reach - shy};
  return {through ? reach : reach + shy, loft.span()};
}

void addJoiner(const PanelShape& shape, const Join& join, double fold, JoinEnd end, std::vector<Passing>& out) {
  const Joiner& j = join.joiner;
  const PanelLoft& loft = shape.loft;
  if (!j.fitted) return;
  Passing sleeve;
  sleeve.middle = joinerLine(j, loft, fold, end);
  std::tie(sleeve.from, sleeve.to) = run(loft, end, stationFrom(shape.stations, end, j.toRib), true);
  sleeve.width = j.sleeve;
  out.push_back(sleeve);
  if (!j.pin) return;
  Passing pin;
  pin.what = Passing::What::pin;
  Joiner there = j;
  there.fraction = j.pinFraction;
  there.along = JoinerLine::across;
  pin.middle = joinerLine(there, loft, fold, end);
  pin.from = pin.to = end == JoinEnd::root ? 0 : loft.span();
  pin.width = j.pinDiameter;
  out.push_back(pin);
}

/// The brace lies against the face of its spar, half way between the caps' inner faces.
void addBrace(const PanelBrief& d, const PanelShape& shape, const std::vector<SparLine>& spars, const Bracing& brace,
              JoinEnd end, std::vector<Passing>& out) {
  const auto k = static_cast<std::size_t>(brace.spar - 1);
  if (!brace.slots || k >= spars.size()) return;
  const PanelLoft& loft = shape.loft;
  const SparLine& line = spars[k];
  const Spar& spar = d.spars[k];
  Passing slot;
  slot.what = Passing::What::brace;
  slot.round = false;
  slot.width = brace.thickness * line.stretch + d.ribs.notchFit;
  std::tie(slot.from, slot.to) = run(loft, end, stationFrom(shape.stations, end, brace.toRib), false);
  slot.heightFrom = braceDepth(brace, d.ribs.rim + d.ribs.notchFit, spar, line, slot.from) + d.ribs.notchFit;
  slot.heightTo = braceDepth(brace, d.ribs.rim + d.ribs.notchFit, spar, line, slot.to) + d.ribs.notchFit;
  if (slot.heightFrom <= d.ribs.notchFit || slot.heightTo <= d.ribs.notchFit) return;
  const auto caps = [&](double t) {
    return std::pair(capAt(spar.top, line.share(t)), capAt(spar.bottom, line.share(t)));
  };
  for (const double side : {-1.0, 1.0}) {
    if (side < 0 ? brace.side == BraceSide::behind : brace.side == BraceSide::front) continue;
    slot.middle.span = loft.span();
    for (const bool root : {true, false}) {
      const double t = root ? 0 : loft.span();
      const auto [top, bottom] = caps(t);
      const bool built = spar.kind == SparKind::caps;
      const double wide = sparWidth(spar, line.share(t));
      const double up = built && brace.over == BraceOver::between
                            ? ((bottom.fitted ? bottom.depth : 0) - (top.fitted ? top.depth : 0)) / 2
                            : 0;
      (root ? slot.middle.root : slot.middle.tip) =
          line.middle.at(t) + Point(side * (wide + brace.thickness) / 2 * line.stretch, up);
    }
    out.push_back(slot);
  }
}

} // namespace

StraightLine joinerLine(const Joiner& joiner, const PanelLoft& loft, double fold, JoinEnd end) {
  const double here = end == JoinEnd::root ? 0 : loft.span(), there = loft.span() - here;
  const double x = planX(loft.frameAt(here), joiner.fraction);
  const auto heights = [&](double t) {
    const Cut cut = loft.cutAt(t);
    const double within = std::clamp(x, cut.frame.le.x() + 0.02 * cut.frame.chord, cut.frame.te.x());
    return std::pair(surfaceHeightAt(cut, Face::upper, within), surfaceHeightAt(cut, Face::lower, within));
  };
  const auto [top, bottom] = heights(here);
  const auto [farTop, farBottom] = heights(there);
  double rise = 0; // of the line, from the join to the far end
  switch (joiner.along) {
  case JoinerLine::across:
    rise = -std::tan(fold) * loft.span();
    break;
  case JoinerLine::top:
    rise = farTop - top;
    break;
  case JoinerLine::middle:
    rise = (farTop + farBottom - top - bottom) / 2;
    break;
  case JoinerLine::underside:
    rise = farBottom - bottom;
    break;
  }
  const Point at(x, (top + bottom) / 2), far(x, at.y() + rise);
  return end == JoinEnd::root ? StraightLine{at, far, loft.span()} : StraightLine{far, at, loft.span()};
}

std::optional<JoinerRod> joinerRod(const PanelBrief& d, const PanelShape& shape, const Neighbour* inside) {
  const Joiner& j = d.join.joiner;
  if (!j.fitted) return std::nullopt;
  JoinerRod rod;
  const auto slopeOf = [](const StraightLine& line) { return std::atan2(line.tip.y() - line.root.y(), line.span); };
  const Station& end = countedFrom(shape.stations.all, false, std::max(j.toRib, 2));
  rod.middle = joinerLine(j, shape.loft, d.fold, JoinEnd::root);
  rod.slope = slopeOf(rod.middle);
  rod.toRib = end.number;
  rod.reach = end.along / std::cos(rod.slope);
  rod.toRibInside = rod.toRib;
  rod.reachInside = rod.reach;
  double slopeInside = -rod.slope; // of the mirror image, outwards to the join
  if (inside) {
    slopeInside = slopeOf(joinerLine(j, inside->shape.loft, d.fold, JoinEnd::tip));
    const Station& within = countedFrom(inside->shape.stations.all, true, std::max(j.toRib, 2));
    rod.toRibInside = within.number;
    rod.reachInside = (inside->shape.loft.span() - within.along) / std::cos(slopeInside);
  }
  // In space the outer leg rises by Γ + slope, the inner by Γ inside + its own, and 2 fold lies between the two Γ.
  rod.bend = 2 * d.fold + rod.slope - slopeInside;
  if (std::abs(rod.bend) < 1e-12) rod.bend = 0;
  rod.levelAngle = (slopeInside - rod.slope) / 2;
  return rod;
}

std::array<StraightLine, 2> jigRods(const PanelBrief& d, const PanelLoft& loft) {
  const auto rod = [&](double fraction) {
    return StraightLine{loft.middle(fraction, 0), loft.middle(fraction, loft.span()), loft.span()};
  };
  return {rod(d.join.rodFront), rod(d.join.rodRear)};
}

std::vector<Passing> passingThrough(const PanelBrief& d, const PanelShape& shape, const std::vector<SparLine>& spars) {
  const PanelLoft& loft = shape.loft;
  std::vector<Passing> out;
  if (d.join.rods)
    for (const StraightLine& line : jigRods(d, loft)) {
      Passing rod;
      rod.what = Passing::What::rod;
      rod.middle = line;
      rod.to = loft.span();
      rod.width = d.join.rodDiameter + d.ribs.notchFit;
      out.push_back(rod);
    }
  addJoiner(shape, d.join, d.fold, JoinEnd::root, out);
  for (const Bracing& b : d.join.braces) addBrace(d, shape, spars, b, JoinEnd::root, out);
  if (d.beyond) {
    addJoiner(shape, *d.beyond, d.foldBeyond, JoinEnd::tip, out);
    for (const Bracing& b : d.beyond->braces) addBrace(d, shape, spars, b, JoinEnd::tip, out);
  }
  return out;
}

} // namespace eup
