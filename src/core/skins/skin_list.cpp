#include "core/skins/skin_list.h"
#include "core/geometry/polyline.h"
#include "core/measure/units.h"
#include <algorithm>
#include <cmath>
#include <Eigen/Geometry>
#include <fmt/format.h>

namespace eup {

EndPlane innerPlane(const PanelBrief& d) {
  return {0, d.lean, 0};
}
EndPlane outerPlane(const PanelBrief& d) {
  return {d.panel.span, d.beyond ? -d.leanBeyond : 0, 0};
}

namespace {

/// Joined where the stock ends, on the last rib before that; below one rib sooner, so that no joint lies under another.
void addJoints(const PanelBrief& d, const FlatSurface& s, const SurfaceLine& from, const SurfaceLine& to,
               const Frame& frame, Skin& skin) {
  const double end = skin.outer, along = lengthOf(skin.pattern.front) / (end - skin.inner);
  double begun = skin.inner;
  while ((end - begun) * along > d.cutList.stock) {
    std::vector<const Rib*> within;
    for (const Rib& rib : frame.ribs)
      if (rib.kind == RibKind::main && rib.t() > begun + 1e-6 && rib.t() < end - 1e-6 &&
          (rib.t() - begun) * along <= d.cutList.stock)
        within.push_back(&rib);
    if (within.empty()) return; // no rib to join it on
    const bool sooner = skin.face == Face::lower && skin.joints.empty() && within.size() > 1;
    const Rib& at = *within[within.size() - (sooner ? 2 : 1)];
    skin.joints.push_back({at.number, acrossPattern(s, from, to, {at.frame.t, at.lean, at.turn})});
    begun = at.t();
  }
}

void findBend(const Frame& frame, const SurfaceLine& from, const SurfaceLine& to, Skin& skin) {
  for (const Rib& rib : frame.ribs) {
    if (rib.t() < skin.inner - 1e-6 || rib.t() > skin.outer + 1e-6) continue;
    const double t = std::max(rib.t(), 0.0);
    if (to.at(t) <= from.at(t)) continue;
    const Polyline& face = skin.face == Face::upper ? rib.upper : rib.lower;
    const GridPlace a = gridPlace(from.at(t)), b = gridPlace(to.at(t));
    Polyline run = headOf(face, {b.index, b.share});
    if (from.at(t) > 0) run = pieceOf(face, {a.index, a.share}, {b.index, b.share});
    double turned = 0;
    for (std::size_t i = 2; i < run.size(); ++i) {
      const Point u = run[i - 1] - run[i - 2], v = run[i] - run[i - 1];
      turned += std::atan2(u.x() * v.y() - u.y() * v.x(), u.dot(v));
    }
    skin.turned = std::max(skin.turned, skin.face == Face::upper ? -turned : turned);
    const double thick = skin.of.thickness;
    const auto bend = sharpestBend(run, std::max(2 * thick, lengthOf(run) / 60));
    if (!bend) continue;
    const double radius = bend->radius + (bend->left == (skin.face == Face::upper) ? thick : 0);
    if (skin.bend == 0 || radius < skin.bend) skin.bend = radius, skin.bendRib = rib.number;
  }
}

/// What of it is seen from above, and where its area has its middle.
void addPlan(const PanelLoft& loft, const SurfaceLine& from, const SurfaceLine& to, Skin& skin) {
  constexpr int steps = 12;
  Polyline rear;
  rear.reserve(steps + 1), skin.plan.reserve(2 * steps + 2);
  double sum = 0;
  Point3 moment(0, 0, 0);
  for (int i = 0; i <= steps; ++i) {
    const double t = std::clamp(skin.inner + (skin.outer - skin.inner) * i / steps, 0.0, loft.span());
    const ChordFrame f = loft.frameAt(t);
    skin.plan.emplace_back(f.fromChord({from.at(t) * f.chord, 0}).x(), t);
    rear.emplace_back(f.fromChord({to.at(t) * f.chord, 0}).x(), t);
    const Point middle = loft.at(skin.face, (from.at(t) + to.at(t)) / 2, t);
    const double wide = (i == 0 || i == steps ? 0.5 : 1) * (to.at(t) - from.at(t)) * f.chord;
    sum += wide, moment += wide * Point3(middle.x(), t, middle.y());
  }
  skin.plan.insert(skin.plan.end(), rear.rbegin(), rear.rend());
  if (sum > 0) skin.centre = moment / sum;
}

/// Between which planes a skin ends.
struct Ends {
  EndPlane inner, outer;
};

/// How far it reaches across its grain: as wide as its wider end where the grain runs along it.
double acrossGrain(const Skin& skin) {
  const FlatPattern& p = skin.pattern;
  if (skin.of.grainDeg == 0) return std::max(p.innerWidth, p.outerWidth);
  // On the pattern x runs aft and y outwards along the front edge.
  const double turn = degToRad(skin.of.grainDeg);
  const Point across(std::cos(turn), -std::sin(turn));
  double low = 1e9, high = -1e9;
  for (const Point& corner : p.outline)
    low = std::min(low, corner.dot(across)), high = std::max(high, corner.dot(across));
  return high - low;
}

void lay(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const SurfaceLine& from, const SurfaceLine& to,
         const Ends& ends, Skin skin, std::vector<Skin>& out) {
  double front = 1, rear = 0;
  bool any = false;
  const auto on = [&](double t) { return std::clamp(t, 0.0, loft.span()); };
  skin.inner = ends.inner.t, skin.outer = ends.outer.t;
  for (int i = 0; i <= 8; ++i) {
    const double t = on(skin.inner + (skin.outer - skin.inner) * i / 8);
    front = std::min(front, from.at(t)), rear = std::max(rear, to.at(t));
    any = any || to.at(t) > from.at(t) + 1e-6;
  }
  if (!any) return; // nothing is left between its lines
  // A line that keeps its distance from an edge has other fractions past turned or leaning ends: with some room.
  constexpr double room = 0.02;
  const FlatSurface surface(loft, skin.face, front > room ? front - room : 0, std::min(rear + room, 1.0));
  addPlan(loft, from, to, skin);
  skin.pattern = flatPattern(surface, from, to, ends.inner, ends.outer);
  for (const Rib& rib : frame.ribs)
    if (rib.t() > skin.inner + 1e-6 && rib.t() < skin.outer - 1e-6)
      skin.ribs.push_back({rib.name(), acrossPattern(surface, from, to, {rib.frame.t, rib.lean, rib.turn}), rib.t()});
  for (const SparLine& line : frame.spars) {
    Polyline run;
    constexpr int steps = 24;
    for (int i = 0; i <= steps; ++i) {
      const double t = skin.inner + (std::min(skin.outer, line.end) - skin.inner) * i / steps;
      const ChordFrame f = loft.frameAt(on(t));
      const double fraction = line.chordX(f) / f.chord;
      if (t <= line.end + 1e-6 && fraction > from.at(on(t)) && fraction < to.at(on(t)))
        run.push_back(surface.at(fraction, t));
    }
    if (run.size() > 1) skin.spars.push_back({d.spars[static_cast<std::size_t>(line.index)].name, std::move(run), 0});
  }
  skin.strips = std::max(1, static_cast<int>(std::ceil(acrossGrain(skin) / d.cutList.sheetWidth - 1e-9)));
  if (std::abs(skin.of.grainDeg) < 45) addJoints(d, surface, from, to, frame, skin);
  findBend(frame, from, to, skin);
  out.push_back(std::move(skin));
}

/// The plane of the rib that a run of bays ends on; of the panel's own ends that of the join.
EndPlane endOn(const PanelBrief& d, const Frame& frame, int rib) {
  const auto k = static_cast<std::size_t>(std::clamp(rib, 1, static_cast<int>(frame.ribs.size())) - 1);
  if (k == 0) return innerPlane(d);
  if (k + 1 == frame.ribs.size()) return outerPlane(d);
  return {frame.ribs[k].frame.t, frame.ribs[k].lean, frame.ribs[k].turn};
}

} // namespace

namespace {

Skin named(Skin::What what, const std::string& kind, const std::string& name, const std::string& piece, Face face) {
  Skin skin;
  const bool top = face == Face::upper;
  const char* end = top ? ".top" : ".bottom";
  skin.what = what, skin.face = face;
  skin.key = kind + end, skin.name = name + (top ? ", top" : ", below"), skin.piece = piece + end;
  return skin;
}

} // namespace

std::vector<Skin> skinsOf(const PanelBrief& d, const PanelLoft& loft, const Frame& frame) {
  std::vector<Skin> out;
  const Ends whole{innerPlane(d), outerPlane(d)};
  for (const Face face : {Face::upper, Face::lower}) {
    const auto place = noseSheet(d, loft, face);
    if (!place) continue;
    Skin skin = named(Skin::What::nose, "nose", "nose sheet", "sheet", face);
    skin.of = d.sheeting;
    const double nose = noseCut(d, 0);
    lay(d, loft, frame, nose > 0 ? SurfaceLine::behindNose(loft, nose) : place->from, place->to, whole, std::move(skin),
        out);
  }
  for (std::size_t i = 0; i < d.sheeted.size(); ++i)
    for (const Face face : {Face::upper, Face::lower}) {
      const SheetedBays& bays = d.sheeted[i];
      const auto place = sheetedPlace(d, loft, bays, face);
      if (!place) continue;
      const std::string kind = fmt::format("bays.{}", i + 1);
      Skin skin = named(Skin::What::bays, kind,
                        fmt::format("sheet R{} to R{}", d.firstRib + bays.fromRib - 1, d.firstRib + bays.toRib - 1),
                        kind, face);
      skin.run = static_cast<int>(i);
      skin.of = bays;
      lay(d, loft, frame, place->from, place->to, {endOn(d, frame, bays.fromRib), endOn(d, frame, bays.toRib)},
          std::move(skin), out);
    }
  const TrailingEdge& te = d.trailingEdge;
  if (te.kind != TrailingEdgeKind::twoSheets) return out;
  for (const Face face : {Face::upper, Face::lower}) {
    Skin skin = named(Skin::What::tail, "tail", "trailing edge sheet", "te", face);
    skin.of.thickness = te.sheet, skin.of.material = te.material;
    lay(d, loft, frame, SurfaceLine::beforeTail(loft, d.trailing.onRib()), SurfaceLine::atFraction(1), whole,
        std::move(skin), out);
  }
  return out;
}

} // namespace eup
