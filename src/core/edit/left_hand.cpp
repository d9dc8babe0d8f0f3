#include "core/edit/left_hand.h"
#include "core/described/decisions.h"
#include "core/design/panel_brief.h"
#include "core/edit/renumber.h"
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

/// Held within the limits that the description gives.
void more(Design& design, PanelId id, const char* within, double value, double by) {
  if (by != 0) design = decideValue(design, pathOf(id) + within, value + by).value();
}

void putOn(Design& design, PanelId id) {
  const PanelDesign was = design.at(id);
  const LeftHand& by = was.left;
  design.at(id).left = LeftHand{};
  if (!by.differs) return;
  more(design, id, "panel.span", was.panel.span, by.span);
  if (id.panel == 0 || !was.panel.continues) more(design, id, "panel.rootChord", was.panel.rootChord, by.rootChord);
  more(design, id, "panel.tipChord", was.panel.tipChord, by.tipChord);
  more(design, id, "panel.washout", was.panel.washoutDeg, by.washoutDeg);
  // What is laid off along the span goes with it.
  stretchAlong(design, id, design.at(id).panel.span / was.panel.span);
}

} // namespace

Records recordsOfLeft(Records records) {
  records.readings.clear();
  return records;
}

Design leftOf(const Design& design, const std::vector<std::vector<double>>& gammas) {
  Design out = design;
  out.plan = {};
  out.records = recordsOfLeft(std::move(out.records));
  for (std::size_t w = 0; w < out.wings.size(); ++w) {
    if (!mirrored(out.wings[w])) continue;
    for (std::size_t k = 0; k < out.wings[w].panels.size(); ++k) {
      putOn(out, {static_cast<int>(w), static_cast<int>(k)});
      if (w >= gammas.size() || k >= gammas[w].size()) continue;
      Join& join = out.wings[w].panels[k].join;
      join.dihedral = {DihedralBy::angle, radToDeg(gammas[w][k])};
      join.blockHeight = 0;
    }
  }
  return out;
}

} // namespace eup
