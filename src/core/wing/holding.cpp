#include "core/wing/holding.h"
#include "core/design/lasting.h"
#include "core/parts/part_maker.h"
#include "core/strength/plate_strength.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// What is decided of one end of a strut on a wing; all counted from 1.
struct Wanted {
  int wing = 1, panel = 1;
  StrutOn on = StrutOn::spar;
  int spar = 1;
  double out = 0;
  int rib = 1;
  double chord = 0;
};

/// A place on a wing, in that wing's own axes.
struct OnWing {
  StrutEnd end;
  Point3 at{0, 0, 0};
};

/// Nothing when there is no such wing with two hands, panel, spar, rib or place.
std::optional<OnWing> onWing(const std::vector<WholeWing>& wings, const Wanted& want) {
  if (want.wing < 1 || want.wing > static_cast<int>(wings.size())) return std::nullopt;
  const WholeWing& w = wings[static_cast<std::size_t>(want.wing - 1)];
  if (!w.mirrored || want.panel < 1 || want.panel > static_cast<int>(w.panels.size())) return std::nullopt;
  const auto k = static_cast<std::size_t>(want.panel - 1);
  const TruePanel& p = w.panels[k];
  const PanelLoft& loft = p.shape.loft;
  const SparLine* line = nullptr;
  double out = want.out;
  if (want.on == StrutOn::spar) {
    if (want.spar < 1 || want.spar > static_cast<int>(p.frame.spars.size())) return std::nullopt;
    line = &p.frame.spars[static_cast<std::size_t>(want.spar - 1)];
    if (out > loft.span() || !line->reaches(out)) return std::nullopt;
  } else {
    if (want.rib < 1 || want.rib > static_cast<int>(p.frame.ribs.size())) return std::nullopt;
    out = std::clamp(p.frame.ribs[static_cast<std::size_t>(want.rib - 1)].t(), 0.0, loft.span());
  }
  const PanelFrame& space = w.inSpace[k];
  const auto along = [&](double t) { return space.at(line ? line->middle.at(t) : loft.middle(want.chord, t), t); };
  OnWing found;
  found.end = {
      want.wing - 1, want.panel - 1, p.design.inboard + out, {0, -std::sin(space.gamma), std::cos(space.gamma)}, {}};
  found.end.outwards = (along(loft.span()) - along(0)).normalized();
  found.at = along(out);
  return found;
}

/// Where a strut holds; nothing when an end of it is nowhere.
std::optional<StrutPlace> placeOf(const std::vector<WholeWing>& wings, const std::vector<Wing>& decided, int wing,
                                  int number) {
  const Wing& own = decided[static_cast<std::size_t>(wing)];
  const Strut& strut = own.struts[static_cast<std::size_t>(number)];
  const auto top = onWing(wings, {wing + 1, strut.panel, strut.on, strut.spar, strut.out, strut.rib, strut.chord});
  if (!top) return std::nullopt;
  StrutPlace out;
  out.number = number, out.name = strut.name;
  out.upper = top->end, out.top = top->at;
  out.foot = {strut.footAft, strut.footRight, strut.footUp};
  if (strut.foot == Footing::wing) {
    const auto foot = onWing(wings, {strut.footWing, strut.footPanel, strut.footOn, strut.footSpar, strut.footOut,
                                     strut.footRib, strut.footChord});
    if (!foot || foot->end.wing == wing) return std::nullopt;
    const Wing& other = decided[static_cast<std::size_t>(foot->end.wing)];
    out.lower = foot->end;
    out.foot = foot->at + Point3(other.aft - own.aft, 0, other.up - own.up);
  }
  if ((out.foot - out.top).norm() < 1) return std::nullopt;
  return out;
}

std::vector<BentHere> stiffnessOf(const WholeWing& w) {
  std::vector<BentHere> out;
  for (const TruePanel& p : w.panels)
    for (const BentPlace& at :
         strengthOf(p.design, p.frame.spars, p.strength.skin, aloneSpars(p.design, p.shape.loft), w.loads).along)
      out.push_back({p.design.inboard + at.t, at.stiffness});
  return out;
}

Stock stockOf(const Strut& s) {
  if (s.shape == CapShape::strip) return Stock::strip(std::max(s.width, s.depth), std::min(s.width, s.depth));
  return Stock::rod(s.depth, s.shape == CapShape::tube ? std::max(s.depth - 2 * s.wall, 0.0) : 0);
}

/// A place of the finished wing in a panel's own axes.
Point3 inPanel(const PanelFrame& frame, const Point3& space) {
  const Point3 d = space - frame.origin;
  const double c = std::cos(frame.gamma), s = std::sin(frame.gamma);
  return {d.x(), d.y() * c + d.z() * s, d.z() * c - d.y() * s};
}

void addPart(TruePanel& p, Part part) {
  if (part.grams <= 0) return;
  p.parts.push_back(std::move(part));
  p.mass = panelMass(p.parts, p.frame.ribs, p.design.inboard);
}

/// The struts of a wing as pieces.
void addStruts(WholeWing& w, const Wing& decided) {
  for (const HeldStrut& s : w.held.struts) {
    const Strut& strut = decided.struts[static_cast<std::size_t>(s.place.number)];
    const auto k = static_cast<std::size_t>(strut.panel - 1);
    Part part =
        PartMaker::piece({PieceKind::strut, numberIn(decided.struts, s.place.number)}, strut.name, strut.material);
    part.stock = stockOf(strut);
    part.length = s.length;
    part.breadth = part.stock.form == Stock::Form::strip ? part.stock.width : strut.depth;
    part.grain = GrainWay::length;
    part.grams = s.area * s.length * w.panels[k].design.tables.named(strut.material).density * 1e-6;
    part.from = inPanel(w.inSpace[k], s.place.foot), part.to = inPanel(w.inSpace[k], s.place.top);
    part.centre = (part.from + part.to) / 2;
    part.at = s.place.upper.y - w.panels[k].design.inboard;
    addPart(w.panels[k], std::move(part));
  }
}

} // namespace

void holdWings(std::vector<WholeWing>& wings, const std::vector<Wing>& decided) {
  std::vector<std::vector<Strut>> struts;
  std::vector<std::vector<StrutPlace>> places(wings.size());
  std::vector<BentWing> bent;
  bool any = false;
  for (std::size_t i = 0; i < wings.size(); ++i) {
    struts.push_back(decided[i].struts);
    bent.push_back({{}, wings[i].mirrored && decided[i].hinged, &wings[i].loads});
    any = any || bent.back().hinged;
    for (std::size_t k = 0; k < decided[i].struts.size(); ++k)
      if (const auto place = placeOf(wings, decided, static_cast<int>(i), static_cast<int>(k)))
        places[i].push_back(*place), any = true;
  }
  if (!any) return;
  for (std::size_t i = 0; i < wings.size(); ++i) bent[i].along = stiffnessOf(wings[i]);
  std::vector<HeldWing> held = heldBy(struts, places, bent, wings.front().panels.front().design.tables);
  for (std::size_t i = 0; i < wings.size(); ++i) {
    wings[i].held = std::move(held[i]);
    addStruts(wings[i], decided[i]);
  }
}

std::optional<StandingPosts> postsOf(const WholeWing& w, const Posts& posts) {
  if (!posts.fitted || !w.mirrored) return std::nullopt;
  const PanelLoft& loft = w.panels.front().shape.loft;
  const ChordFrame root = loft.frameAt(0);
  const double turn = degToRad(posts.incidenceDeg);
  const auto under = [&](double share) -> Point { // along the fuselage, and up
    const Point p = root.toChord(loft.at(Face::lower, share, 0));
    return {p.x() * std::cos(turn) + p.y() * std::sin(turn), p.y() * std::cos(turn) - p.x() * std::sin(turn)};
  };
  const Point front = under(posts.front), rear = under(posts.rear);
  return StandingPosts{posts.height, posts.height + rear.y() - front.y(), rear.x() - front.x(), front.x()};
}

void addPosts(WholeWing& w, const Posts& posts) {
  const auto standing = postsOf(w, posts);
  if (!standing) return;
  TruePanel& root = w.panels.front();
  const double area = pi / 4 * posts.diameter * posts.diameter;
  for (const bool front : {true, false}) {
    const double length = std::max(standing->length(front ? standing->front : standing->rear, posts), 0.0);
    Part part = PartMaker::piece({front ? PieceKind::frontPost : PieceKind::rearPost},
                                 front ? "front wing post" : "rear wing post", posts.material);
    part.stock = Stock::rod(posts.diameter, 0);
    part.length = length, part.breadth = posts.diameter;
    part.grain = GrainWay::length;
    part.shared = true;
    part.grams = area * length * root.design.tables.named(posts.material).density * 1e-6 / 2; // of one hand
    const Point top = root.shape.loft.at(Face::lower, front ? posts.front : posts.rear, 0);
    const auto at = [&](double up) { return inPanel(w.inSpace.front(), {top.x(), posts.offset, top.y() + up}); };
    part.centre = at(-length / 2);
    part.from = at(-length), part.to = at(0);
    addPart(root, std::move(part));
  }
}

} // namespace eup
