#include "core/design/left_hand.h"
#include "core/measure/units.h"
#include <algorithm>

namespace eup {

bool handsDiffer(const Design& design) {
  return std::any_of(design.wings.begin(), design.wings.end(), [](const Wing& wing) {
    return mirrored(wing) &&
           std::any_of(wing.panels.begin(), wing.panels.end(), [](const PanelDesign& p) { return p.left.differs; });
  });
}

namespace {

void putOn(PanelDesign& p, bool ownRoot) {
  const LeftHand by = p.left;
  p.left = LeftHand{};
  if (!by.differs) return;
  const double span = p.panel.span;
  p.panel.span = std::clamp(span + by.span, 20.0, 20000.0);
  if (ownRoot) p.panel.rootChord = std::clamp(p.panel.rootChord + by.rootChord, 5.0, 3000.0);
  p.panel.tipChord = std::clamp(p.panel.tipChord + by.tipChord, 5.0, 3000.0);
  p.panel.washoutDeg = std::clamp(p.panel.washoutDeg + by.washoutDeg, -15.0, 15.0);
  // What is laid off along the span goes with it.
  const double k = p.panel.span / span;
  for (double& s : p.ribs.stations) s *= k;
  for (Spar& s : p.spars) s.stopsAt *= k;
}

} // namespace

Design leftOf(const Design& design, const std::vector<std::vector<double>>& gammas) {
  Design out = design;
  out.plan = {};
  for (std::size_t w = 0; w < out.wings.size(); ++w) {
    Wing& wing = out.wings[w];
    if (!mirrored(wing)) continue;
    for (std::size_t k = 0; k < wing.panels.size(); ++k) {
      PanelDesign& p = wing.panels[k];
      putOn(p, k == 0 || !p.panel.continues);
      if (w < gammas.size() && k < gammas[w].size()) {
        p.join.dihedral = {DihedralBy::angle, radToDeg(gammas[w][k])};
        p.join.blockHeight = 0;
      }
    }
  }
  return out;
}

} // namespace eup
