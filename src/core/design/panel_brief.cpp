#include "core/design/panel_brief.h"
#include "core/design/panel_rules.h"
#include <algorithm>
#include <charconv>
#include <fmt/format.h>

namespace eup {
namespace {

/// The root of a panel that continues: what the panel inside it ends with.
void continueFrom(PanelBrief& p, const PanelBrief& inside) {
  p.sections.root = inside.sections.tip;
  p.panel.rootChord = inside.panel.tipChord;
  p.panel.rootWashoutDeg = inside.panel.washoutDeg;
  p.panel.rootAxis = inside.panel.washoutAxis;
  for (std::size_t i = 0; i < std::min(p.spars.size(), inside.spars.size()); ++i)
    p.spars[i].rootFraction = inside.spars[i].tipFraction;
}

/// "wings.", number, ".panels.", number, "." at the start of a path, and how long that is.
std::optional<std::pair<PanelId, std::size_t>> prefixOf(std::string_view path) {
  PanelId id;
  std::size_t at = 0;
  for (auto [word, value] :
       {std::pair(std::string_view("wings."), &id.wing), std::pair(std::string_view("panels."), &id.panel)}) {
    if (path.substr(at, word.size()) != word) return std::nullopt;
    at += word.size();
    const auto [end, error] = std::from_chars(path.data() + at, path.data() + path.size(), *value);
    if (error != std::errc()) return std::nullopt;
    at = static_cast<std::size_t>(end - path.data());
    if (at >= path.size() || path[at] != '.') return std::nullopt;
    ++at;
  }
  return std::pair(id, at);
}

/// What is put together on the field ends there; spars that run through need no brace.
Join settled(Join join) {
  if (join.joiner.fitted) join.sparsThere = SparsThere::end;
  if (join.sparsThere == SparsThere::through) join.braces.clear();
  return join;
}

/// A panel of sheet has nothing of a frame, whatever is decided of one; its plates are as thick as its sheet.
void settleSheet(PanelBrief& p) {
  if (p.built != Built::sheet) return;
  p.spars.clear(), p.sheeted.clear();
  p.sheeting.top = p.sheeting.bottom = p.capStrips.top = p.capStrips.bottom = false;
  p.leadingEdge.kind = LeadingEdgeKind::none, p.trailingEdge.kind = TrailingEdgeKind::none;
  p.riblets.inBay = 0, p.ribs.make = RibMake::each, p.ribs.direction = RibDirection::flight;
  p.ribs.doubled.clear();
  p.ribs.second = SecondWood::none;
  p.join.braces.clear(), p.join.templates.clear();
  p.join.joiner.fitted = p.join.feet = p.join.rootLeans = false;
  p.join.sparsThere = SparsThere::end, p.join.rods = false;
  p.stiffening = {};
  p.stiffening.diagonals = Diagonals::none, p.stiffening.covering = uncovered;
  if (!tipOfSheet(p.tip.kind)) p.tip.kind = TipKind::square;
  p.tip.raised = 0, p.tip.pieces = 1; // a raised one is a panel
  p.tip.width = farthestTip;          // of one piece, solid
  for (auto [section, chord] :
       {std::pair(&p.sections.root, p.panel.rootChord), std::pair(&p.sections.tip, p.panel.tipChord)})
    section->drawn.plate = std::clamp(p.sheet.thickness / chord, 1e-4, 0.3);
}

/// A panel of foam has no ribs; its skins reach from strip to strip and carry with its spars, which are caps in
/// grooves.
void settleFoam(PanelBrief& p) {
  if (p.built != Built::ribs) p.foam.between = false;
  if (p.built != Built::foam) return;
  p.sheeted.clear(), p.capStrips.top = p.capStrips.bottom = false;
  Sheeting& skin = p.sheeting;
  skin.from = NoseFrom::behindStock, skin.carries = true;
  skin.to = skin.below.to = SheetTo::stock;
  if (p.leadingEdge.kind != LeadingEdgeKind::none) p.leadingEdge.kind = LeadingEdgeKind::square;
  p.leadingEdge.gauges.clear();
  if (p.trailingEdge.kind != TrailingEdgeKind::none) p.trailingEdge.kind = TrailingEdgeKind::wedge;
  p.riblets.inBay = 0, p.ribs.make = RibMake::each, p.ribs.direction = RibDirection::flight;
  p.ribs.doubled.clear(), p.ribs.thick.clear();
  p.ribs.second = SecondWood::none;
  for (Spar& s : p.spars) {
    if (s.kind == SparKind::fullDepth) s.kind = SparKind::caps, s.top.fitted = s.bottom.fitted = false;
    s.webs = Webs::none; // the foam stands between its caps
  }
  if (std::none_of(p.spars.begin(), p.spars.end(), [](const Spar& s) { return s.top.fitted || s.bottom.fitted; }))
    p.spars.clear();
  p.join.braces.clear(), p.join.templates.clear();
  p.join.joiner.fitted = p.join.feet = p.join.rootLeans = false;
  p.join.sparsThere = SparsThere::end, p.join.rods = false;
  p.stiffening.diagonals = Diagonals::none;
  if (p.tip.kind != TipKind::plate && p.tip.kind != TipKind::rounded)
    p.tip.kind = p.tip.kind == TipKind::square ? TipKind::square : TipKind::block;
}

/// Once the panel's root is known.
void settleEdges(PanelBrief& p) {
  const auto stock = [&](bool fitted, double width, WidthIs is, double aft) {
    EdgeStock out;
    out.sweep = std::atan2(aft, p.panel.span);
    if (is == WidthIs::alongFlight) out.given = std::cos(out.sweep);
    out.width = fitted ? width * out.given : 0;
    return out;
  };
  const LeadingEdge& le = p.leadingEdge;
  const TrailingEdge& te = p.trailingEdge;
  p.leading = stock(le.kind != LeadingEdgeKind::none, le.width, le.widthIs, p.panel.tipSetback);
  p.trailing = stock(te.kind != TrailingEdgeKind::none, te.width, te.widthIs,
                     p.panel.tipSetback + p.panel.tipChord - p.panel.rootChord);
  p.tip.runsOn = p.tip.runsOn && p.tip.kind == TipKind::bow && te.kind == TrailingEdgeKind::square && te.strips > 1;
  if (!p.tip.runsOn) return;
  p.tip.strips = te.strips; // the bow is of the edge's own strips
  p.tip.thickness = p.trailing.width / te.strips;
  p.tip.bowWidth = te.height;
}

/// Whether a surface that begins at a panel's root goes on from one that ends at the tip of the panel inside.
bool meetsInside(PanelBrief& inside, const Surface& s) {
  constexpr double near = 0.5; // mm
  if (s.from > near || !s.partsRibs()) return false;
  for (std::size_t i = 0; i < inside.surfaces.size(); ++i) {
    const Surface& other = inside.surfaces[i];
    if (other.kind != s.kind || other.to < inside.panel.span - near) continue;
    inside.goesOut.push_back(static_cast<int>(i));
    return true;
  }
  return false;
}

} // namespace

LoadFactors PanelBrief::factors() const {
  if (flying.kind == typedFactors) return {"", "own load factor", flying.loadFactor, flying.pushFactor, "as typed"};
  return tables.factors(flying.kind);
}

std::vector<PanelBrief> briefsOf(const Design& d, int wing) {
  const Wing& whole = d.wings.at(static_cast<std::size_t>(wing));
  const auto& panels = whole.panels;
  const std::string name = d.wings.size() > 1 ? fmt::format("{}, {}", d.name, whole.name) : d.name;
  std::vector<PanelBrief> out;
  out.reserve(panels.size());
  for (std::size_t k = 0; k < panels.size(); ++k) {
    PanelBrief p{panels[k]};
    p.name = name;
    p.unit = d.unit;
    p.flying = d.flying;
    p.glue = d.glue;
    p.cutList = d.cutList;
    p.wire = d.wire;
    p.tables = d.own;
    for (const Looked& l : d.records.looked) p.looked.push_back(l.key);
    p.id = {wing, static_cast<int>(k)};
    p.wingNumber = whole.number;
    p.of = static_cast<int>(panels.size());
    p.mirrored = mirrored(whole);
    p.carries = whole.carries;
    p.gamma = degToRad(dihedralDeg(p.join.dihedral, p.panel.span));
    if (p.join.blockHeight > 0) p.gamma = std::asin(std::min(p.join.blockHeight / p.panel.span, 0.8));
    if (!p.mirrored && k == 0) p.gamma = 0; // a fin's root panel stands upright
    p.join = settled(std::move(p.join));
    if (k + 1 < panels.size()) p.beyond = settled(panels[k + 1].join);
    if (k + 1 < panels.size()) p.tip.kind = TipKind::square; // the wing goes on there
    if (!p.mirrored && k == 0) {                             // and meets nothing of its own
      p.join.braces.clear();
      p.join.joiner.fitted = p.join.rootLeans = false;
      p.join.sparsThere = SparsThere::end;
    }
    if (k > 0) {
      const PanelBrief& inside = out.back();
      if (p.panel.continues) continueFrom(p, inside);
      p.firstRib = inside.firstRib + static_cast<int>(ribStations(inside.ribs, inside.panel.span).size());
      p.inboard = inside.inboard + inside.panel.span;
      p.setback = inside.setback + inside.panel.tipSetback;
    } else {
      p.panel.rootWashoutDeg = 0; // the wing's root is what all turns are measured against
      p.panel.rootAxis = 0;
    }
    settleSheet(p);
    settleFoam(p);
    settleEdges(p);
    const int ribs = static_cast<int>(ribStations(p.ribs, p.panel.span).size());
    for (SheetedBays& bays : p.sheeted) bays.toRib = std::min(bays.toRib, ribs); // past the last: to the last
    out.push_back(std::move(p));
  }
  for (std::size_t k = 1; k < out.size(); ++k) {
    if (out[k].built != Built::ribs || out[k - 1].built != Built::ribs) out[k].join.sparsThere = SparsThere::end;
    out[k - 1].beyond = out[k].join;
  }
  for (std::size_t k = 1; k < out.size(); ++k)
    for (Surface& s : out[k].surfaces) s.goesOn = s.goesOn && meetsInside(out[k - 1], s);
  if (!out.empty())
    for (Surface& s : out.front().surfaces) s.goesOn = false;
  settleFolds(out);
  return out;
}

void settleFolds(std::vector<PanelBrief>& briefs) {
  for (std::size_t k = 0; k < briefs.size(); ++k) {
    PanelBrief& p = briefs[k];
    p.fold = p.lean = k > 0 ? (p.gamma - briefs[k - 1].gamma) / 2 : p.gamma;
    if (k == 0) continue;
    PanelBrief& inside = briefs[k - 1];
    inside.foldBeyond = inside.leanBeyond = p.fold;
    if (p.join.angleTaken == AngleTaken::outer) p.lean = 2 * p.fold, inside.leanBeyond = 0;
  }
}

std::string pathOf(PanelId id) {
  return fmt::format("wings.{}.panels.{}.", id.wing, id.panel);
}

bool isThere(const PanelDesign& panel, std::string_view path) {
  for (const auto& [list, size] : {std::pair<std::string_view, std::size_t>("spars.", panel.spars.size()),
                                   std::pair<std::string_view, std::size_t>("join.braces.", panel.join.braces.size())})
    if (path.starts_with(list)) {
      std::size_t number = 0;
      std::from_chars(path.data() + list.size(), path.data() + path.size(), number);
      return number < size;
    }
  return true;
}

std::string_view withinPanel(std::string_view path) {
  const auto prefix = prefixOf(path);
  return prefix ? path.substr(prefix->second) : path;
}

std::optional<int> wingOfPath(std::string_view path) {
  constexpr std::string_view word = "wings.";
  int wing = 0;
  if (!path.starts_with(word)) return std::nullopt;
  const auto [end, error] = std::from_chars(path.data() + word.size(), path.data() + path.size(), wing);
  if (error != std::errc() || end == path.data() + path.size() || *end != '.') return std::nullopt;
  return wing;
}

std::optional<PanelId> panelOfPath(std::string_view path) {
  const auto prefix = prefixOf(path);
  return prefix ? std::optional(prefix->first) : std::nullopt;
}

} // namespace eup
