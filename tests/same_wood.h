// A wing whose wood is told by its chord, wherever its panels are cut and put: chords fall evenly from root to tip.
#pragma once
#include "chance.h"
#include "core/design/panel_rules.h"
#include "core/edit/panel_edit.h"
#include "core/edit/wing_edit.h"
#include <cmath>
#include <optional>

namespace eup::test {

inline Design woodenWing() {
  Design d = newWing();
  PanelDesign& p = d.inner();
  p.panel.span = 400, p.panel.rootChord = 200, p.panel.tipChord = 160, p.panel.tipSetback = 0, p.panel.washoutDeg = 0;
  p.ribs.count = 5;
  p.sheeting.top = p.sheeting.bottom = false;
  p.join.braces.clear();
  PanelDesign outer = p;
  outer.number = 1, outer.panel.continues = true;
  outer.panel.span = 300, outer.panel.rootChord = 160, outer.panel.tipChord = 130;
  outer.ribs.count = 4;
  d.wings.front().panels.push_back(outer);
  return d;
}

/// The chord at a rib of the wing's count; nothing where the wing has no such panel or rib.
inline std::optional<double> chordAt(const Design& d, PanelNumber of, int rib) {
  for (const Wing& w : d.wings) {
    int first = 1;
    double tip = 0;
    for (const PanelDesign& p : w.panels) {
      const std::vector<double> ribs = ribStations(p.ribs, p.panel.span);
      const double root = p.panel.continues && first > 1 ? tip : p.panel.rootChord;
      const int index = rib - first;
      if (w.number == of.wing && p.number == of.panel) {
        if (index < 0 || index >= static_cast<int>(ribs.size())) return std::nullopt;
        return root + (p.panel.tipChord - root) * ribs[static_cast<std::size_t>(index)] / p.panel.span;
      }
      first += static_cast<int>(ribs.size()), tip = p.panel.tipChord;
    }
  }
  return std::nullopt;
}

/// One of the ways in which panels and wings are cut, put together and moved; as it is where that is not possible.
inline Design rearranged(const Design& d, Chance& chance) {
  const int wing = chance.number(static_cast<int>(d.wings.size()));
  const auto& panels = d.wings[static_cast<std::size_t>(wing)].panels;
  const PanelId id{wing, chance.number(static_cast<int>(panels.size()))};
  const PanelDesign& p = d.at(id);
  Result<Design> next = Problem{};
  switch (chance.number(8)) {
  case 0:
  case 1: {
    const std::vector<double> ribs = ribStations(p.ribs, p.panel.span);
    if (ribs.size() < 3) return d;
    next = withPanelSplit(d, id, ribs[static_cast<std::size_t>(1 + chance.number(static_cast<int>(ribs.size()) - 2))]);
    break;
  }
  case 2:
  case 3: { // only what goes on as it came: else the wood is another
    if (id.panel + 1 >= static_cast<int>(panels.size())) return d;
    const PanelDesign& out = panels[static_cast<std::size_t>(id.panel) + 1];
    double root = p.panel.rootChord;
    for (int k = id.panel; k > 0 && panels[static_cast<std::size_t>(k)].panel.continues; --k)
      root = panels[static_cast<std::size_t>(k) - 1].panel.tipChord;
    const double falls = (root - p.panel.tipChord) / p.panel.span,
                 then = (p.panel.tipChord - out.panel.tipChord) / out.panel.span;
    if (!out.panel.continues || std::abs(falls - then) > 1e-9) return d;
    next = withPanelsMerged(d, id);
    break;
  }
  case 4:
    next = withPanelMovedOut(d, id);
    break;
  case 5: // what continues another one is another shape after that is gone
    if (id.panel > 0 && id.panel + 1 < static_cast<int>(panels.size())) return d;
    next = withPanelTakenOut(d, id);
    break;
  case 6:
    next = d.wings.size() > 1 && chance.once(2)
               ? withWingTakenOut(d, 1 + chance.number(static_cast<int>(d.wings.size()) - 1))
               : withWingAdded(d, WingKind::tailplane);
    break;
  default:
    next = chance.once(2) ? withPanelAdded(d, wing) : withPanelCopied(d, id, wing);
    break;
  }
  return next.ok() ? std::move(next).value() : d;
}

} // namespace eup::test
