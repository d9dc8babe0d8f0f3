#include "core/edit/panel_edit.h"
#include "core/design/lasting.h"
#include "core/design/panel_rules.h"
#include "core/edit/fitting_edit.h"
#include "core/edit/renumber.h"
#include "core/loft/core_line.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

/// A block says nothing of the pieces that a panel is cut into or put together of.
constexpr const char* decidedByBlock =
    "a block's height decides its dihedral: take the block out and give the angle first";

constexpr double shortest = 20, farthestAlong = 20000; // mm: the least span of a panel, and the most

std::vector<PanelDesign>& panelsOf(Design& d, int wing) {
  return d.wings.at(static_cast<std::size_t>(wing)).panels;
}

/// The wing's panels with the roots that they have, as if all were of ribs: what is decided of a frame goes along with
/// a panel of sheet.
std::vector<PanelBrief> framesOf(const Design& design, int wing) {
  Design framed = design;
  for (PanelDesign& p : panelsOf(framed, wing)) p.built = Built::ribs;
  std::vector<PanelBrief> out = briefsOf(framed, wing);
  for (PanelBrief& b : out) b.built = design.at(b.id).built;
  return out;
}

/// Every end of a strut on that wing: which panel it holds, how far out on a spar of it, or on which of its ribs.
template <class F> void eachStrutEnd(Design& d, int wing, F put) {
  for (std::size_t i = 0; i < d.wings.size(); ++i)
    for (Strut& s : d.wings[i].struts) {
      if (static_cast<int>(i) == wing) put(s.panel, s.on, s.out, s.rib);
      if (s.foot == Footing::wing && s.footWing == wing + 1) put(s.footPanel, s.footOn, s.footOut, s.footRib);
    }
}

/// Of a share of a panel: lengths that are told by rise or by span from above shrink with it.
Dihedral ofShare(Dihedral d, double share) {
  if (d.by != DihedralBy::angle) d.value *= share;
  return d;
}

/// The section at a cut through the panel, as a list on its chord line.
SectionChoice sectionAt(const PanelLoft& loft, double t) {
  const Cut cut = loft.cutAt(t);
  ListedSection listed;
  listed.name = "cut";
  for (const Face face : {Face::upper, Face::lower}) {
    Polyline& line = face == Face::upper ? listed.upper : listed.lower;
    for (const Point& p : cut.face(face)) {
      const Point q = cut.frame.toChord(p) / cut.frame.chord;
      if (line.empty() || q.x() > line.back().x() + 1e-9) line.push_back(q);
    }
    line.front() = {0, 0};
    line.back().x() = 1;
  }
  return listedSection(std::move(listed));
}

/// Where the leading edge must be set back, and about which place it must be turned, to lie where the frame has it.
bool layTip(Panel& panel, const ChordFrame& frame) {
  const double drop = frame.chord * std::sin(frame.washout);
  panel.tipChord = frame.chord;
  panel.washoutDeg = radToDeg(frame.washout);
  panel.washoutAxis = std::abs(drop) > 1e-9 ? -frame.le.y() / drop : panel.washoutAxis;
  panel.tipSetback = frame.le.x() - panel.washoutAxis * frame.chord * (1 - std::cos(frame.washout));
  if (panel.washoutAxis < -1e-6 || panel.washoutAxis > 1 + 1e-6) return false;
  panel.washoutAxis = std::clamp(panel.washoutAxis, 0.0, 1.0);
  return true;
}

/// Ribs of both parts of a cut at t, which gets a rib on either side.
void splitRibs(const PanelBrief& whole, double t, Ribs& inner, Ribs& outer) {
  constexpr double here = 0.5; // mm: a rib this near is the one at the cut
  const std::vector<double> all = ribStations(whole.ribs, whole.panel.span);
  std::vector<double> in, out{0};
  bool onRib = false;
  inner.thick.clear(), inner.doubled.clear(), outer.thick.clear(), outer.doubled.clear();
  for (std::size_t i = 0; i < all.size(); ++i) {
    const double s = all[i];
    onRib = onRib || std::abs(s - t) < 1e-6;
    const bool within = s<t - here, beyond = s> t + here;
    if (within) in.push_back(s);
    if (beyond) out.push_back(s - t);
    const auto carryOver = [&](const std::vector<int>& from, std::vector<int>& toInner, std::vector<int>& toOuter) {
      if (std::find(from.begin(), from.end(), static_cast<int>(i) + 1) == from.end()) return;
      if (!beyond) toInner.push_back(static_cast<int>(in.size()) + (within ? 0 : 1));
      if (!within) toOuter.push_back(beyond ? static_cast<int>(out.size()) : 1);
    };
    carryOver(whole.ribs.thick, inner.thick, outer.thick);
    carryOver(whole.ribs.doubled, inner.doubled, outer.doubled);
  }
  in.push_back(t);
  const bool even = whole.ribs.rule != RibRule::stations && whole.ribs.denseRoot == 0 && whole.ribs.denseTip == 0;
  inner.denseRoot = inner.denseTip = outer.denseRoot = outer.denseTip = 0;
  inner.tipThickness = outer.rootThickness = whole.ribs.thickness;
  if (onRib && even) { // even bays stay even
    inner.rule = outer.rule = RibRule::count;
    inner.count = static_cast<int>(in.size());
    outer.count = static_cast<int>(out.size());
    return;
  }
  inner.rule = outer.rule = RibRule::stations;
  inner.stations = std::move(in);
  outer.stations = std::move(out);
}

/// How ribs are counted on either side of a cut at t, whose rib both parts have.
struct CutRibs {
  int inside = 0, upTo = 0; ///< ribs within, and with the one at the cut
  CutRibs(const PanelBrief& whole, double t) {
    constexpr double here = 0.5; // mm, as in splitRibs
    for (const double s : ribStations(whole.ribs, whole.panel.span)) inside += s < t - here, upTo += s < t + here;
  }
};

/// Ribs that a skin is joined on: none at the cut, where the skin ends.
void splitJoints(const CutRibs& cut, std::vector<int>& inner, std::vector<int>& outer) {
  std::erase_if(inner, [&](int rib) { return rib > cut.inside; });
  std::erase_if(outer, [&](int rib) { return rib <= cut.upTo; });
  for (int& rib : outer) rib -= cut.upTo - 1;
}

/// Skins on either side of a cut.
void splitSkins(const PanelBrief& whole, double t, PanelDesign& inner, PanelDesign& outer) {
  const CutRibs cut(whole, t);
  splitJoints(cut, inner.sheeting.joints, outer.sheeting.joints);
  splitJoints(cut, inner.sheeting.jointsBelow, outer.sheeting.jointsBelow);
  inner.sheeted.clear(), outer.sheeted.clear();
  for (const SheetedBays& bays : whole.sheeted) {
    SheetedBays in = bays, out = bays;
    splitJoints(cut, in.joints, out.joints), splitJoints(cut, in.jointsBelow, out.jointsBelow);
    in.toRib = std::min(bays.toRib, cut.inside + 1);
    if (in.fromRib < in.toRib) inner.sheeted.push_back(std::move(in));
    out.fromRib = std::max(bays.fromRib - cut.upTo + 1, 1), out.toRib = bays.toRib - cut.upTo + 1;
    if (out.fromRib < out.toRib) outer.sheeted.push_back(std::move(out));
  }
}

/// What happens to a cap at that share of its length: on which side of a cut at `share`, and at which share of that.
struct OneSide {
  bool inside = false, outside = false; ///< of the cut, or neither
  double at = 0;
  OneSide(double whole, double share)
      : inside(whole < share), outside(whole > share),
        at(std::clamp(inside ? whole / share : (whole - share) / (1 - share), alongCap.low, alongCap.high)) {}
};

void splitCap(Cap& inner, Cap& outer, const Cap& whole, double share) {
  if (whole.changes) {
    const OneSide change(whole.changesAt, share);
    inner.changes = change.inside, outer.changes = change.outside;
    (change.inside ? inner : outer).changesAt = change.at;
    if (!outer.changes) outer.material = whole.thenMaterial;
  }
  if (whole.drops) {
    const OneSide end(whole.dropsAt, share);
    inner.drops = end.inside, outer.drops = end.outside;
    (end.inside ? inner : outer).dropsAt = end.at;
    if (!outer.drops) outer.fitted = false;
  }
  Cap plain = whole; // without what doubles it
  plain.doubled = false;
  const Cap cut = capAt(plain, share);
  if (whole.doubled && whole.shape == CapShape::strip) {
    const OneSide end(whole.doubledTo, share);
    inner.doubled = end.inside, outer.doubled = end.outside;
    (end.inside ? inner : outer).doubledTo = end.at;
    if (!inner.doubled) inner.depth += whole.doubler; // all along: it is of that depth
  }
  if (!whole.tapers) return;
  if (whole.taperFrom >= share) { // parallel up to the cut
    inner.tapers = false;
    outer.taperFrom = (whole.taperFrom - share) / (1 - share);
    return;
  }
  inner.taperFrom = whole.taperFrom / share;
  outer.taperFrom = 0;
  inner.tipWidth = outer.width = cut.width;
  outer.depth = cut.depth;
  inner.tipDepth = cut.depth + inner.depth - whole.depth;
}

/// A spar of the whole panel, cut at t.
void splitSpar(const Spar& whole, double span, double t, Spar& inner, Spar& outer) {
  const double end = whole.stops ? std::min(whole.stopsAt, span) : span;
  outer.stops = inner.stops = false;
  if (end <= t) { // it ends before the cut: its place outside stays empty, so that the others keep their numbers
    inner.stops = end < t;
    outer.kind = SparKind::caps;
    outer.top.fitted = outer.bottom.fitted = false;
    return;
  }
  outer.stops = whole.stops;
  outer.stopsAt = std::max(5.0, end - t);
  splitCap(inner.top, outer.top, whole.top, t / end);
  splitCap(inner.bottom, outer.bottom, whole.bottom, t / end);
}

bool empty(const Spar& spar) {
  return spar.kind == SparKind::caps && !spar.top.fitted && !spar.bottom.fitted;
}

/// A cap that ends as `out` ends; `share` of it is its own. One change of wood is kept, the innermost.
void endAs(Cap& one, const Cap& out, double share) {
  if (one.changes) {
    one.changesAt *= share;
  } else if (one.material != out.material) {
    one.changes = true, one.changesAt = share, one.thenMaterial = out.material;
  } else if (out.changes) {
    one.changes = true, one.thenMaterial = out.thenMaterial;
    one.changesAt = share + out.changesAt * (1 - share);
  }
  if (one.drops) {
    one.dropsAt *= share;
  } else if (one.fitted && (!out.fitted || out.drops)) {
    one.drops = true;
    one.dropsAt = out.fitted ? share + out.dropsAt * (1 - share) : share;
  }
  if (one.doubled) one.doubledTo *= share;
  for (double* at : {&one.changesAt, &one.dropsAt, &one.doubledTo}) *at = std::clamp(*at, alongCap.low, alongCap.high);
  one.tipWidth = out.tapers ? out.tipWidth : out.width;
  one.tipDepth = out.tapers ? out.tipDepth : out.depth;
  one.taperFrom = out.tapers && !one.tapers ? share + out.taperFrom * (1 - share) : one.taperFrom * share;
  one.taperFrom = std::clamp(one.taperFrom, 0.0, 0.95);
  one.tapers = std::abs(one.tipWidth - one.width) > 1e-9 || std::abs(one.tipDepth - one.depth) > 1e-9;
}

void mergeSpar(Spar& one, const Spar& out, double spanInside, double spanOutside) {
  if (empty(one)) return;
  if (one.stops || empty(out)) {
    if (!one.stops) one.stops = true, one.stopsAt = spanInside;
    return;
  }
  one.stops = out.stops;
  if (out.stops) one.stopsAt = spanInside + out.stopsAt;
  const double share = spanInside / (spanInside + (out.stops ? std::min(out.stopsAt, spanOutside) : spanOutside));
  endAs(one.top, out.top, share);
  endAs(one.bottom, out.bottom, share);
}

void mergeNumbers(std::vector<int>& one, const std::vector<int>& out, std::size_t inside) {
  for (int n : out) one.push_back(n + static_cast<int>(inside) - 1);
  std::sort(one.begin(), one.end());
  one.erase(std::unique(one.begin(), one.end()), one.end());
}

} // namespace

/// A cap that goes on as that one ends.
static Cap endOf(const Cap& cap) {
  Cap on = capAt(cap, 1);
  on.tapers = on.changes = on.drops = false;
  return on;
}

Result<Design> withPanelAdded(const Design& design, int wing) {
  Design d = design;
  auto& panels = panelsOf(d, wing);
  if (static_cast<int>(panels.size()) >= mostPanels) return Problem{"", "a wing has at most eight panels"};
  const PanelBrief last = framesOf(design, wing).back();
  PanelDesign next = last; // its own decisions only
  next.number = freshNumber(design);
  constexpr double moreUp = 5;
  next.panel.continues = true;
  next.panel.span = std::max(shortest, last.panel.span / 2);
  next.panel.tipChord = std::max(5.0, last.panel.tipChord * 0.7);
  next.panel.tipSetback = (last.panel.tipChord - next.panel.tipChord) * 0.3;
  next.sections.root = last.sections.tip;
  const double bay = last.panel.span / static_cast<double>(ribStations(last.ribs, last.panel.span).size() - 1);
  next.ribs.rule = RibRule::count;
  next.ribs.count = std::max(2, static_cast<int>(std::lround(next.panel.span / bay)) + 1);
  next.ribs.thick.clear(), next.ribs.doubled.clear();
  next.sheeted.clear(), next.inCore.clear(), next.surfaces.clear(), next.runs.clear(), next.hardPoints.clear();
  next.sheeting.joints.clear(), next.sheeting.jointsBelow.clear();
  next.ribs.denseRoot = next.ribs.denseTip = 0;
  for (Spar& s : next.spars) {
    s.rootFraction = s.tipFraction;
    for (Cap* cap : {&s.top, &s.bottom}) *cap = endOf(*cap);
    if (s.stops) s.stops = false, s.kind = SparKind::caps, s.top.fitted = s.bottom.fitted = false;
  }
  next.join.joiner.fitted = false;
  next.join.blockHeight = 0;
  next.join.templates.clear();
  next.join.dihedral = {DihedralBy::angle, std::min(50.0, radToDeg(last.gamma) + moreUp)};
  for (Bracing& b : next.join.braces) b.toRib = 2;
  panels.push_back(std::move(next));
  return d;
}

Result<Design> withPanelSplit(const Design& design, PanelId id, double t) {
  Design d = design;
  auto& panels = panelsOf(d, id.wing);
  if (static_cast<int>(panels.size()) >= mostPanels) return Problem{"", "a wing has at most eight panels"};
  const PanelBrief whole = framesOf(design, id.wing).at(static_cast<std::size_t>(id.panel));
  if (t < shortest || whole.panel.span - t < shortest)
    return Problem{"", "a panel cannot be shorter than 20 mm: choose a rib further from its ends"};
  if (whole.join.blockHeight > 0) return Problem{"", decidedByBlock};
  const PanelLoft loft(whole.panel, sectionOf(whole.sections.root), sectionOf(whole.sections.tip));
  const ChordFrame frame = loft.frameAt(t);
  PanelDesign inner = d.at(id), outer = whole;
  if (!layTip(inner.panel, frame))
    return Problem{"", "the panel turns both ways between its ends: it cannot be cut there"};
  inner.panel.span = t;
  outer.panel.continues = true;
  outer.panel.span = whole.panel.span - t;
  outer.panel.tipSetback = whole.panel.tipSetback - inner.panel.tipSetback;
  const bool turned = std::abs(whole.panel.rootWashoutDeg - whole.panel.washoutDeg) >= 1e-9,
             plate = whole.built == Built::sheet && (whole.sections.root.kind == SectionKind::flatPlate ||
                                                     whole.sections.root.kind == SectionKind::curvedPlate),
             same = whole.sections.root == whole.sections.tip && (!turned || plate); // a sheet that is bent stays one
  inner.sections.tip = same ? whole.sections.tip : sectionAt(loft, t);
  outer.sections.root = inner.sections.tip;
  for (std::size_t k = 0; k < whole.spars.size(); ++k) {
    // The line stays straight on the plan.
    const auto plan = [&](double at, double fraction) {
      const ChordFrame f = loft.frameAt(at);
      return f.fromChord({fraction * f.chord, 0}).x();
    };
    const double root = plan(0, whole.spars[k].rootFraction), tip = plan(whole.panel.span, whole.spars[k].tipFraction);
    const double x = root + (tip - root) * t / whole.panel.span;
    const double fraction = (x - frame.le.x()) / (frame.chord * std::cos(frame.washout));
    inner.spars[k].tipFraction = outer.spars[k].rootFraction = std::clamp(fraction, 0.02, 0.98);
    splitSpar(whole.spars[k], whole.panel.span, t, inner.spars[k], outer.spars[k]);
  }
  outer.join.joiner.fitted = outer.join.rootLeans = false;
  splitRibs(whole, t, inner.ribs, outer.ribs);
  splitSkins(whole, t, inner, outer);
  inner.inCore.clear(), outer.inCore.clear();
  for (const CoreThing& thing : whole.inCore) {
    auto [in, out] = splitInCore(thing, loft, t);
    if (in) inner.inCore.push_back(std::move(*in));
    if (out) outer.inCore.push_back(std::move(*out));
  }
  splitFittings(whole, loft, t, inner, outer);
  inner.join.dihedral = ofShare(whole.join.dihedral, t / whole.panel.span);
  outer.join.dihedral = ofShare(whole.join.dihedral, 1 - t / whole.panel.span);
  outer.join.angleTaken = AngleTaken::halves;
  outer.join.templates.clear();
  outer.join.braces.clear(); // nothing is folded there yet
  const int ribs = static_cast<int>(ribStations(inner.ribs, t).size()), at = id.panel + 1;
  eachStrutEnd(d, id.wing, [&](int& panel, StrutOn on, double& out, int& rib) {
    if (panel > at) ++panel;
    if (panel != at) return;
    if (on == StrutOn::spar && out > t) out -= t, ++panel;
    if (on == StrutOn::rib && rib > ribs) rib -= ribs - 1, ++panel;
  });
  inner.number = freshNumber(design); // neither is the panel that was there
  d.at(id) = std::move(inner);
  panels.insert(panels.begin() + id.panel + 1, std::move(outer));
  panels[static_cast<std::size_t>(id.panel) + 1].number = freshNumber(d);
  return d;
}

Result<Design> withPanelsMerged(const Design& design, PanelId id) {
  Design d = design;
  auto& panels = panelsOf(d, id.wing);
  if (id.panel + 1 >= static_cast<int>(panels.size())) return Problem{"", "there is no panel outside this one"};
  const auto briefs = framesOf(design, id.wing);
  const PanelBrief &in = briefs[static_cast<std::size_t>(id.panel)],
                   &out = briefs[static_cast<std::size_t>(id.panel) + 1];
  PanelDesign& one = d.at(id);
  if (in.join.blockHeight > 0) return Problem{"", decidedByBlock};
  if (in.built != out.built) return Problem{"", "the two are not built of the same: ribs, sheet or foam"};
  if (out.spars.size() > one.spars.size())
    return Problem{"",
                   "the outer panel has a spar more than the inner one: take it out, or add one to the inner first"};
  if (in.panel.span + out.panel.span > farthestAlong)
    return Problem{"", "together they are longer than a panel can be"};
  std::vector<double> stations = ribStations(in.ribs, in.panel.span);
  const std::size_t inside = stations.size();
  for (double s : ribStations(out.ribs, out.panel.span))
    if (s > 0.5) stations.push_back(in.panel.span + s);
  if (stations.size() > static_cast<std::size_t>(mostRibs))
    return Problem{"", "that is more ribs than one panel can have"};
  one.panel.span = in.panel.span + out.panel.span;
  one.panel.tipChord = out.panel.tipChord;
  one.panel.tipSetback = in.panel.tipSetback + out.panel.tipSetback;
  one.panel.washoutDeg = out.panel.washoutDeg;
  one.panel.washoutAxis = out.panel.washoutAxis;
  one.sections.tip = out.sections.tip;
  for (std::size_t k = 0; k < std::min(one.spars.size(), out.spars.size()); ++k)
    one.spars[k].tipFraction = out.spars[k].tipFraction,
    mergeSpar(one.spars[k], out.spars[k], in.panel.span, out.panel.span);
  for (std::size_t k = out.spars.size(); k < one.spars.size(); ++k)
    if (!one.spars[k].stops) one.spars[k].stops = true, one.spars[k].stopsAt = in.panel.span;
  one.ribs.denseRoot = one.ribs.denseTip = 0; // they are in the stations
  mergeNumbers(one.ribs.thick, out.ribs.thick, inside);
  mergeNumbers(one.ribs.doubled, out.ribs.doubled, inside);
  mergeNumbers(one.sheeting.joints, out.sheeting.joints, inside);
  mergeNumbers(one.sheeting.jointsBelow, out.sheeting.jointsBelow, inside);
  for (SheetedBays bays : out.sheeted) {
    const int shift = static_cast<int>(inside) - 1;
    bays.fromRib += shift, bays.toRib += shift;
    for (std::vector<int>* joints : {&bays.joints, &bays.jointsBelow})
      for (int& rib : *joints) rib += shift;
    const auto cutFrom = std::find_if(one.sheeted.begin(), one.sheeted.end(), [&](const SheetedBays& other) {
      return other.number > 0 && other.number == bays.number && other.toRib == bays.fromRib;
    });
    if (cutFrom != one.sheeted.end()) {
      cutFrom->toRib = bays.toRib;
      mergeNumbers(cutFrom->joints, bays.joints, 1), mergeNumbers(cutFrom->jointsBelow, bays.jointsBelow, 1);
      continue;
    }
    if (one.sheeted.size() >= static_cast<std::size_t>(mostSheetedBays))
      return Problem{"", "together they have more runs of sheeted bays than one panel can have: take some out first"};
    const bool taken =
        std::ranges::any_of(one.sheeted, [&](const SheetedBays& other) { return other.number == bays.number; });
    if (taken) bays.number = 0;
    one.sheeted.push_back(std::move(bays));
  }
  if (auto why = mergeFittings(out, in.panel.span, one)) return *why;
  one.tip = out.tip;
  // Bays that are even all along are told by their number.
  const double bay = one.panel.span / static_cast<double>(stations.size() - 1);
  bool even = true;
  for (std::size_t i = 0; i < stations.size(); ++i)
    even = even && std::abs(stations[i] - bay * static_cast<double>(i)) < 1e-6;
  one.ribs.rule = even ? RibRule::count : RibRule::stations;
  if (even) one.ribs.count = static_cast<int>(stations.size());
  if (!even) one.ribs.stations = std::move(stations);
  one.ribs.tipThickness = out.ribs.tipThickness;
  if (inside > 2) one.ribs.thickness = in.ribs.thickness;
  if (one.join.dihedral.by != DihedralBy::angle) one.join.dihedral.value *= one.panel.span / in.panel.span;
  one.number = freshNumber(design);
  (void)makeNumbersOwn(d);
  panels.erase(panels.begin() + id.panel + 1);
  eachStrutEnd(d, id.wing, [&](int& panel, StrutOn, double& along, int& rib) {
    if (panel == id.panel + 2) along += in.panel.span, rib += static_cast<int>(inside) - 1;
    if (panel > id.panel + 1) --panel;
  });
  return d;
}

Result<Design> withPanelMovedOut(const Design& design, PanelId id) {
  Design d = design;
  auto& panels = panelsOf(d, id.wing);
  const auto k = static_cast<std::size_t>(id.panel);
  if (k + 1 >= panels.size()) return Problem{"", "there is no panel outside this one"};
  const auto briefs = framesOf(design, id.wing);
  const Tip tip = panels.back().tip;
  for (std::size_t i = k; i < std::min(k + 3, panels.size());
       ++i) {                         // their own decisions, with the roots they have now
    const Join join = panels[i].join; // a brief may have left out what a fin does not have
    panels[i] = briefs[i];
    panels[i].join = join;
    panels[i].panel.continues = false;
  }
  std::swap(panels[k], panels[k + 1]);
  panels.back().tip = tip;
  renumberPanels(d, id.wing, [&](int place) {
    return place == id.panel || place == id.panel + 1 ? 2 * id.panel + 1 - place : place;
  });
  return d;
}

Result<Design> withPanelCopied(const Design& design, PanelId id, int toWing) {
  Design d = design;
  auto& panels = panelsOf(d, toWing);
  if (static_cast<int>(panels.size()) >= mostPanels) return Problem{"", "a wing has at most eight panels"};
  const PanelBrief brief = framesOf(design, id.wing).at(static_cast<std::size_t>(id.panel));
  PanelDesign copy = brief;
  copy.join = design.at(id).join;
  copy.panel.continues = false;
  copy.tip = panels.back().tip;
  copy.number = freshNumber(design);
  panels.push_back(std::move(copy));
  return d;
}

Result<Design> withPanelTakenOut(const Design& design, PanelId id) {
  Design d = design;
  auto& panels = panelsOf(d, id.wing);
  if (panels.size() < 2) return Problem{"", "a wing has one panel at least"};
  if (id.panel == 0) { // the next one is the wing's root now, and keeps the root that it had
    const PanelBrief next = framesOf(design, id.wing).at(1);
    panels[1] = next;
    panels[1].panel.washoutDeg -= next.panel.rootWashoutDeg;
    panels[1].panel.rootWashoutDeg = 0;
  }
  const Tip tip = panels.back().tip; // the wing keeps the end that it had
  panels.erase(panels.begin() + id.panel);
  panels.back().tip = tip;
  std::erase_if(d.wings[static_cast<std::size_t>(id.wing)].struts, // they go with what they hold
                [&](const Strut& s) { return s.panel == id.panel + 1; });
  for (Wing& wing : d.wings)
    for (Strut& s : wing.struts)
      if (s.foot == Footing::wing && s.footWing == id.wing + 1 && s.footPanel == id.panel + 1)
        s.foot = Footing::fuselage;
  renumberPanels(d, id.wing, [&](int place) { return place > id.panel ? place - 1 : place; });
  return d;
}

} // namespace eup
