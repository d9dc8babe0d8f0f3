#include "core/parts/frame.h"
#include "core/geometry/in_parallel.h"
#include "core/parts/cut_rib.h"
#include "core/parts/spar_sheets.h"
#include <algorithm>

namespace eup {
namespace {

/// Of the i-th station of so many.
Standing standingAt(const PanelBrief& d, const std::vector<Station>& all, std::size_t i) {
  const auto listed = [&](const std::vector<int>& numbers) {
    return std::find(numbers.begin(), numbers.end(), static_cast<int>(i) + 1) != numbers.end();
  };
  const double single = listed(d.ribs.thick) ? d.ribs.thickThickness
                        : i == 0             ? d.ribs.rootThickness
                        : i + 1 < all.size() ? d.ribs.thickness
                                             : d.ribs.tipThickness;
  return listed(d.ribs.doubled) ? Standing{all[i], 2 * single, 2} : Standing{all[i], single, 1};
}

/// In the making: where a station is.
Rib ribAt(const Station& at, RibKind kind, double thickness) {
  Rib rib;
  rib.number = at.number, rib.kind = kind, rib.thickness = thickness;
  rib.station = at.along, rib.frame.t = at.t, rib.turn = at.turn;
  return rib;
}

/// Numbered by the rib inside them, from the root outwards.
std::vector<Rib> cutRiblets(const PanelBrief& d, const PanelLoft& loft, const Stations& stations,
                            const std::vector<SparLine>& spars, const std::vector<Passing>& passing,
                            const std::vector<HingeLine>& hinges) {
  std::vector<Rib> out; // where each stands; then they are cut
  const int inBay = d.ribs.direction == RibDirection::flight ? d.riblets.inBay : 0; // turned ribs run through the bay
  for (std::size_t i = 0; i + 1 < stations.all.size(); ++i) {
    const Station &in = stations.all[i], &away = stations.all[i + 1];
    for (int k = 1; k <= inBay; ++k) {
      const double t = in.along + (away.along - in.along) * k / (inBay + 1);
      out.push_back(ribAt({in.number, t, t, 0}, RibKind::riblet, d.riblets.thickness));
      out.back().bay = k;
    }
    if (i < stations.crossing.size()) out.push_back(ribAt(stations.crossing[i], RibKind::crossing, d.ribs.thickness));
  }
  std::vector<Standing> inner; // those that crossing ribs are lapped with: against the end ribs they butt
  for (std::size_t i = 1; i + 1 < stations.all.size(); ++i) inner.push_back(standingAt(d, stations.all, i));
  const std::vector<Standing> none;
  return madeInParallel(out.size(), [&](std::size_t i) {
    return cutRib(d, loft, spars, passing, out[i].kind == RibKind::crossing ? inner : none, hinges, out[i]);
  });
}

/// Each outline is that of the plane at its station; the root rib's body lies outboard of it, the tip rib's inboard,
/// the others' half and half.
std::vector<Rib> cutRibs(const PanelBrief& d, const PanelLoft& loft, const Stations& stations,
                         const std::vector<SparLine>& spars, const std::vector<Passing>& passing,
                         const std::vector<HingeLine>& hinges) {
  std::vector<Standing> crossing;
  for (const Station& s : stations.crossing) crossing.push_back({s, d.ribs.thickness, 1});
  const std::vector<Standing> none;
  return madeInParallel(stations.all.size(), [&](std::size_t i) {
    const Standing stands = standingAt(d, stations.all, i);
    const RibKind kind = i == 0 ? RibKind::root : i + 1 == stations.all.size() ? RibKind::tip : RibKind::main;
    Rib rib = ribAt(stands.at, kind, stands.thickness);
    rib.layers = stands.layers;
    rib.ofWood = d.built == Built::ribs;
    rib.thick = std::find(d.ribs.thick.begin(), d.ribs.thick.end(), static_cast<int>(i) + 1) != d.ribs.thick.end();
    if (rib.kind == RibKind::root && d.join.rootLeans) rib.lean = d.lean;
    // One in the middle, but for two that lean to the angle that the spars are cracked to.
    rib.shared = rib.kind == RibKind::root && d.innermost() && d.join.sparsThere != SparsThere::end &&
                 (d.join.sparsThere == SparsThere::through || !d.join.rootLeans);
    if (rib.kind == RibKind::tip && d.beyond && d.beyond->rootLeans) rib.lean = -d.leanBeyond;
    return cutRib(d, loft, spars, passing, rib.kind == RibKind::main ? crossing : none, hinges, std::move(rib));
  });
}

} // namespace

Rib cutTemplate(const PanelBrief& d, const PanelLoft& loft, double t, int number) {
  Rib rib = ribAt({number, t, t, 0}, RibKind::main, d.ribs.thickness);
  return cutRib(d, loft, {}, {}, {}, {}, std::move(rib), false);
}

Frame cutFrame(const PanelBrief& d, const PanelShape& shape, std::vector<SparLine> spars,
               const std::vector<Passing>& passing) {
  Frame out{std::move(spars), hingeLines(d, shape.loft), {}, {}};
  out.ribs = cutRibs(d, shape.loft, shape.stations, out.spars, passing, out.hinges);
  out.riblets = cutRiblets(d, shape.loft, shape.stations, out.spars, passing, out.hinges);
  for (SparLine& line : out.spars) line.slots = sheetSlots(d, line, out.ribs, out.riblets);
  return out;
}

} // namespace eup
