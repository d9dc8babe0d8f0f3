#include "core/design/wing_edit.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// What a wing of that kind starts with, in proportion to the main wing: starting values of our own.
PanelDesign startingPanel(WingKind kind, const PanelDesign& main) {
  PanelDesign p;
  const bool fin = kind == WingKind::fin, wing = kind == WingKind::second;
  if (wing) return main;
  p.sections.root = p.sections.tip = nacaSection("0009");
  p.panel.span = std::max(main.panel.span * (fin ? 0.25 : 0.35), 40.0); // a panel has limits of its own
  p.panel.rootChord = std::max(main.panel.rootChord * (fin ? 0.6 : 0.5), 10.0);
  p.panel.tipChord = p.panel.rootChord * 0.75;
  p.panel.tipSetback = p.panel.rootChord * (fin ? 0.2 : 0.1);
  p.panel.washoutDeg = 0;
  p.ribs.count = fin ? 4 : 6;
  p.ribs.thickness = p.ribs.rootThickness = p.ribs.tipThickness = 1.5;
  p.sheeting.top = p.sheeting.bottom = false;
  p.capStrips.top = p.capStrips.bottom = false;
  p.leadingEdge.width = 5;
  p.trailingEdge.width = 12;
  p.spars.front().top.width = p.spars.front().bottom.width = 5;
  p.spars.front().top.depth = p.spars.front().bottom.depth = 2.5;
  p.join.dihedral = {DihedralBy::angle, 0};
  p.join.blockHeight = 0;
  p.join.braces.clear();
  return p;
}

} // namespace

Result<Design> withWingAdded(const Design& design, WingKind kind) {
  if (static_cast<int>(design.wings.size()) >= mostWings) return Problem{"", "an aircraft has at most five wings here"};
  Design d = design;
  const double chord = design.inner().panel.rootChord;
  Wing wing;
  wing.kind = kind;
  wing.panels = {startingPanel(kind, design.inner())};
  switch (kind) {
  case WingKind::main:
  case WingKind::second:
    wing.name = "Second wing", wing.carries = 0.5, wing.up = -chord;
    break;
  case WingKind::tailplane:
    wing.name = "Tailplane", wing.carries = 0.2, wing.aft = 3 * chord;
    break;
  case WingKind::canard:
    wing.name = "Foreplane", wing.carries = 0.3, wing.aft = -2.5 * chord;
    break;
  case WingKind::fin:
    wing.name = "Fin", wing.carries = 0.1, wing.aft = 3 * chord;
    break;
  }
  d.wings.push_back(std::move(wing));
  return d;
}

Result<Design> withWingTakenOut(const Design& design, int wing) {
  if (wing <= 0 || wing >= static_cast<int>(design.wings.size())) return Problem{"", "the main wing stays"};
  Design d = design;
  d.wings.erase(d.wings.begin() + wing);
  for (Wing& other : d.wings)
    for (Strut& strut : other.struts) {
      if (strut.foot == Footing::wing && strut.footWing == wing + 1) strut.foot = Footing::fuselage;
      if (strut.footWing > wing + 1) --strut.footWing;
    }
  return d;
}

Design newWing() {
  Design d;
  Spar& spar = d.inner().spars.front();
  spar.top.width = spar.bottom.width = 8;
  spar.top.depth = 5, spar.bottom.depth = 4;
  spar.webs = Webs::between;
  spar.webThickness = 2;
  Bracing& brace = d.inner().join.braces.front();
  brace.thickness = 3;
  brace.side = BraceSide::both;
  brace.over = BraceOver::faces;
  brace.toRib = 4;
  d.flying.mass = 1100;
  d.flying.loadFactor = 5;
  return d;
}

CoreThing newInCore(const PanelDesign& panel, InCore kind) {
  CoreThing out;
  out.kind = kind;
  const double span = panel.panel.span, chord = std::min(panel.panel.rootChord, panel.panel.tipChord);
  out.to = std::round(span / 2), out.upFrom = out.upTo = std::round(chord * 0.03);
  switch (kind) {
  case InCore::tube:
    out.width = std::clamp(std::round(chord * 0.04), 3.0, 12.0);
    break;
  case InCore::rod:
    out.width = std::clamp(std::round(chord * 0.02), 2.0, 8.0), out.xFrom = out.xTo = 0.6;
    break;
  case InCore::hollow:
    out.from = std::round(span * 0.1), out.to = std::round(span * 0.4);
    out.xFrom = out.xTo = 0.45, out.width = std::round(chord * 0.15);
    break;
  case InCore::pocket: // a small servo's
    out.from = std::round(span * 0.5), out.to = out.from + 24;
    out.xFrom = out.xTo = 0.5, out.width = 26, out.depth = std::clamp(std::round(chord * 0.05), 2.0, 12.0),
    out.top = false;
    break;
  case InCore::lead:
    out.to = std::round(span * 0.5), out.xFrom = out.xTo = 0.45, out.width = 5, out.depth = 3, out.top = false;
    break;
  case InCore::block:
    out.to = std::min(40.0, span), out.xFrom = out.xTo = 0.2, out.width = 20, out.depth = 500,
    out.material = "balsa-160";
    break;
  case InCore::web:
    out.to = span, out.width = 2, out.material = "light-ply";
    break;
  }
  const std::string label(inCoreChoices[static_cast<std::size_t>(kind)].label);
  const auto taken = [&](const std::string& name) {
    return std::any_of(panel.inCore.begin(), panel.inCore.end(), [&](const CoreThing& t) { return t.name == name; });
  };
  out.name = label == "block of wood" ? "block" : label;
  for (int i = 2; taken(out.name); ++i) out.name = fmt::format("{} {}", label == "block of wood" ? "block" : label, i);
  return out;
}

} // namespace eup
