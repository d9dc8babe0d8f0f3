#include "core/edit/take_out.h"
#include "core/edit/renumber.h"
#include <algorithm>

namespace eup {

Design withSparTakenOut(const Design& design, PanelId id, int spar) {
  Design d = design;
  PanelDesign& p = d.at(id);
  const int named = spar + 1;
  const Spar gone = p.spars.at(static_cast<std::size_t>(spar));
  const double there = (gone.rootFraction + gone.tipFraction) / 2;
  const auto ends = [&](SheetRun& run) {
    if (!endsAtSpar(run.to) || run.spar != named) return;
    run.to = SheetTo::fraction, run.fraction = there;
  };
  ends(p.sheeting), ends(p.sheeting.below);
  for (SheetedBays& bays : p.sheeted) {
    ends(bays);
    if (bays.from == BaysFrom::spar && bays.fromSpar == named)
      bays.from = BaysFrom::fraction, bays.fromFraction = there;
  }
  if (p.riblets.to == SheetEdge::spar && p.riblets.spar == named)
    p.riblets.to = SheetEdge::fraction, p.riblets.fraction = std::clamp(there, 0.05, 0.95);
  std::erase_if(p.join.braces, [&](const Bracing& b) { return b.spar == named; });
  for (std::size_t w = 0; w < d.wings.size(); ++w) {
    std::vector<Strut>& struts = d.wings[w].struts;
    if (static_cast<int>(w) == id.wing)
      std::erase_if(
          struts, [&](const Strut& s) { return s.on == StrutOn::spar && s.panel == id.panel + 1 && s.spar == named; });
    for (Strut& s : struts)
      if (s.foot == Footing::wing && s.footOn == StrutOn::spar && s.footWing == id.wing + 1 &&
          s.footPanel == id.panel + 1 && s.footSpar == named)
        s.foot = Footing::fuselage;
  }
  renumberSpars(d, id, [&](int place) { return place > spar ? place - 1 : place; });
  p.spars.erase(p.spars.begin() + spar);
  return d;
}

} // namespace eup
