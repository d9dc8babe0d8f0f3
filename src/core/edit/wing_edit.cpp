#include "core/edit/wing_edit.h"
#include "core/design/lasting.h"
#include "core/edit/renumber.h"
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
  wing.panels.front().number = 0;
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
  wing.number = freshNumber(design);
  d.wings.push_back(std::move(wing));
  return d;
}

Result<Design> withWingTakenOut(const Design& design, int wing) {
  if (wing <= 0 || wing >= static_cast<int>(design.wings.size())) return Problem{"", "the main wing stays"};
  Design d = design;
  d.wings.erase(d.wings.begin() + wing);
  for (Wing& other : d.wings)
    for (Strut& strut : other.struts)
      if (strut.foot == Footing::wing && strut.footWing == wing + 1) strut.foot = Footing::fuselage;
  renumberWings(d, [&](int place) { return place > wing ? place - 1 : place; });
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
  (void)makeNumbersOwn(d);
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

/// The name, or that with a number behind it, that none of them has.
template <class List> static std::string freeName(const List& all, const std::string& name) {
  const auto taken = [&](const std::string& one) {
    return std::any_of(all.begin(), all.end(), [&](const auto& other) { return other.name == one; });
  };
  std::string out = name;
  for (int i = 2; taken(out); ++i) out = fmt::format("{} {}", name, i);
  return out;
}

Surface newSurface(const PanelDesign& panel, SurfaceKind kind, WingKind wing) {
  Surface out;
  out.kind = kind;
  const double span = panel.panel.span, chord = (panel.panel.rootChord + panel.panel.tipChord) / 2;
  const bool tail = wing == WingKind::tailplane || wing == WingKind::canard, fin = wing == WingKind::fin;
  const auto share = [&](double of) { return std::round(span * of); };
  out.from = tail || fin ? 0 : share(0.5), out.to = tail || fin ? span : share(0.9);
  const double hinge = kind == SurfaceKind::flap ? 0.75 : tail ? 0.65 : fin ? 0.6 : 0.76;
  out.chordFrom = out.chordTo = hinge;
  out.tailFrom = out.tailTo = std::max(3.0, std::round((1 - hinge) * chord));
  out.drive.at = std::round(out.from + (out.to - out.from) * 0.3);
  out.drive.hornBlock = std::min(20.0, std::round(chord * 0.08));
  out.gap = 0.5;
  switch (kind) {
  case SurfaceKind::flap:
    out.from = share(0.08), out.to = share(0.48), out.at = HingeAt::underside, out.upDeg = 2, out.downDeg = 45;
    out.drive.at = std::round(out.from + (out.to - out.from) * 0.3);
    break;
  case SurfaceKind::elevator:
  case SurfaceKind::rudder:
    out.at = HingeAt::middle, out.upDeg = out.downDeg = kind == SurfaceKind::rudder ? 30 : 25;
    break;
  case SurfaceKind::spoiler:
    out.from = share(0.3), out.to = share(0.55), out.chordFrom = out.chordTo = 0.4;
    out.upDeg = 75, out.downDeg = 0, out.plateChord = std::round(chord * 0.15), out.drive.at = share(0.4);
    break;
  case SurfaceKind::wholePanel:
    out.from = 0, out.to = span, out.chordFrom = out.chordTo = 0.25, out.upDeg = out.downDeg = 15;
    out.drive.at = 0;
    break;
  case SurfaceKind::elevon:
    out.from = share(0.2);
    [[fallthrough]];
  case SurfaceKind::aileron:
    break;
  }
  const std::string label = kind == SurfaceKind::spoiler ? "spoiler"
                            : kind == SurfaceKind::wholePanel
                                ? "turning panel"
                                : std::string(surfaceKindChoices[static_cast<std::size_t>(kind)].label);
  out.name = freeName(panel.surfaces, label);
  return out;
}

Run newRun(const PanelDesign& panel, RunKind kind) {
  Run out;
  out.kind = kind;
  out.to = std::round(panel.panel.span * 0.5);
  const double chord = (panel.panel.rootChord + panel.panel.tipChord) / 2;
  if (!panel.surfaces.empty() && panel.surfaces.front().drive.by != MovedBy::nothing) { // to its servo
    const Drive& drive = panel.surfaces.front().drive;
    out.to = std::min(drive.at, panel.panel.span), out.xTo = std::clamp(drive.servoChord - 0.08, 0.1, 0.9);
    out.xFrom = out.xTo;
  }
  out.hole = kind == RunKind::lead ? 9 : kind == RunKind::cord ? 3 : std::clamp(std::round(chord * 0.03), 3.0, 8.0);
  if (kind != RunKind::lead) out.slack = kind == RunKind::cord ? 100 : 0;
  out.name = freeName(panel.runs, kind == RunKind::lead ? "servo lead" : kind == RunKind::cord ? "draw cord" : "tube");
  return out;
}

HardPoint newHardPoint(const PanelDesign& panel, HardPointKind kind) {
  HardPoint out;
  out.kind = kind;
  const double chord = panel.panel.rootChord;
  const auto size = [&](double along, double chordwise, double depth, double hole) {
    out.length = along, out.width = chordwise, out.depth = std::min(depth, std::max(2.0, std::round(chord * 0.03))),
    out.hole = hole;
  };
  switch (kind) {
  case HardPointKind::bolt:
    out.chord = 0.7, size(25, 25, 8, 5);
    break;
  case HardPointKind::dowel:
    out.chord = 0.06, size(20, 12, 10, 6);
    break;
  case HardPointKind::bands:
    out.chord = 0.85, size(40, 12, 2, 0), out.doubler = 0;
    break;
  case HardPointKind::strut:
    out.at = std::round(panel.panel.span * 0.5), out.chord = 0.35, size(20, 20, 6, 3);
    break;
  case HardPointKind::gear:
    out.at = std::round(panel.panel.span * 0.3), out.chord = 0.2, size(60, 20, 8, 4);
    break;
  case HardPointKind::nacelle:
    out.at = std::round(panel.panel.span * 0.35), out.chord = 0.15, size(40, 40, 8, 0), out.doubler = 2;
    break;
  case HardPointKind::hook:
    out.at = 10, out.chord = 0.3, size(20, 15, 5, 2);
    break;
  case HardPointKind::pin:
    out.at = 6, out.chord = 0.8, size(12, 12, 10, 3), out.doubler = 1;
    break;
  }
  out.at = std::min(out.at, panel.panel.span);
  std::string label(hardPointKindChoices[static_cast<std::size_t>(kind)].label);
  out.name = freeName(panel.hardPoints, label);
  return out;
}

} // namespace eup
