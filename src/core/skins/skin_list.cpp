#include "core/skins/skin_list.h"
#include "core/design/lasting.h"
#include "core/geometry/polyline.h"
#include "core/geometry/tolerances.h"
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

/// Ribs that a skin can be joined on, from the inside out.
std::vector<const Rib*> ribsWithin(const Frame& frame, double from, double to) {
  std::vector<const Rib*> out;
  for (const Rib& rib : frame.ribs)
    if (rib.kind == RibKind::main && rib.t() > from + 1e-6 && rib.t() < to - 1e-6) out.push_back(&rib);
  return out;
}

/// A skin being laid: its surface, between which lines, and the surfaces on hinges that part it.
struct Laying {
  const FlatSurface& surface;
  const Frame& frame;
  const SurfaceLine &from, &to;
  const std::vector<SkinGap>& gaps;
  /// A rib's line over it, as far as it is the panel's.
  Polyline onRib(const Rib& rib, const std::vector<int>& leftOut) const {
    const EndPlane plane{rib.frame.t, rib.lean, rib.turn};
    for (const SkinGap& gap : gaps)
      if (rib.t() > gap.from + 1e-6 && rib.t() < gap.to - 1e-6 &&
          std::find(leftOut.begin(), leftOut.end(), gap.surface) != leftOut.end())
        return acrossPattern(surface, from, to.within(SurfaceLine::atFraction(0), gap.wing), plane);
    return acrossPattern(surface, from, to, plane);
  }
};

/// Joined on the ribs that were chosen; else where the stock ends, on the last rib before that, below one rib sooner,
/// so that no joint lies under another. On the left hand one rib farther in, where that is wanted.
void addJoints(const PanelBrief& d, const Laying& laying, const std::vector<int>& chosen, Skin& skin) {
  const std::vector<const Rib*> all = ribsWithin(laying.frame, skin.inner, skin.outer);
  const auto on = [&](const Rib& rib) -> SkinJoint { return {rib.number, rib.t(), laying.onRib(rib, skin.leftOut)}; };
  if (!chosen.empty()) {
    for (const Rib* rib : all)
      if (std::find(chosen.begin(), chosen.end(), rib->number - d.firstRib + 1) != chosen.end())
        skin.joints.push_back(on(*rib));
    for (const int number : chosen) {
      const int rib = number + d.firstRib - 1;
      if (std::none_of(all.begin(), all.end(), [&](const Rib* r) { return r->number == rib; }))
        skin.wanted.push_back(rib);
    }
  } else {
    const double end = skin.outer, along = lengthOf(skin.pattern.front) / (end - skin.inner),
                 stock = d.cutList.stock - skin.of.jointLength();
    double begun = skin.inner;
    while ((end - begun) * along > stock) {
      std::vector<const Rib*> reached;
      for (const Rib* rib : all)
        if (rib->t() > begun + 1e-6 && (rib->t() - begun) * along <= stock) reached.push_back(rib);
      if (reached.empty()) break; // no rib to join it on
      const bool sooner = skin.face == Face::lower && skin.joints.empty() && reached.size() > 1;
      const Rib& at = *reached[reached.size() - (sooner ? 2 : 1)];
      skin.joints.push_back(on(at));
      begun = at.t();
    }
  }
  skin.leftJoints = skin.joints;
  if (!d.cutList.leftSooner) return;
  for (SkinJoint& joint : skin.leftJoints) {
    const Rib* before = nullptr;
    for (const Rib* rib : all)
      if (rib->t() < joint.t - 1e-6) before = rib;
    if (before) joint = on(*before);
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

/// A line on the pattern between two places of the span, and so much farther aft (of the chord).
Polyline onPattern(const FlatSurface& surface, const SurfaceLine& line, double from, double to, double aft = 0) {
  Polyline out;
  constexpr int steps = 24;
  out.reserve(steps + 1);
  for (int i = 0; i <= steps; ++i) {
    const double t = from + (to - from) * i / steps;
    out.push_back(surface.at(line.at(std::clamp(t, 0.0, surface.loft.span())) + aft, t));
  }
  return out;
}

/// The piece of the panel, seen from above, that a gap takes.
Polyline gapFromAbove(const SkinGap& gap, bool plate, const PanelLoft& loft) {
  const auto at = [&](const SurfaceLine* line, double t) -> Point {
    const ChordFrame f = loft.frameAt(t);
    return {line ? f.fromChord({line->at(t) * f.chord, 0}).x() : f.te.x() + f.chord, t};
  };
  const SurfaceLine* rear = plate ? &gap.own : nullptr;
  return {at(&gap.wing, gap.from), at(&gap.wing, gap.to), at(rear, gap.to), at(rear, gap.from)};
}

/// Leaves out what lies on surfaces that are built by themselves, with their gaps; marks where the others are sawn.
void part(const PanelBrief& d, const PanelLoft& loft, const Laying& laying, Skin& skin) {
  skin.shape = {skin.pattern.outline};
  for (const SkinGap& gap : laying.gaps) {
    const Surface& s = d.surfaces[static_cast<std::size_t>(gap.surface)];
    if (s.partsRibs() && s.built == SurfaceBuilt::sawnOff) {
      const double from = std::max(gap.from, skin.inner), to = std::min(gap.to, skin.outer), middle = (from + to) / 2;
      for (const SurfaceLine* line : {&gap.wing, &gap.own})
        if (to > from && line->at(middle) > laying.from.at(middle) + 1e-6 &&
            line->at(middle) < laying.to.at(middle) - 1e-6)
          skin.sawn.push_back({gap.surface, onPattern(laying.surface, *line, from, to)});
      continue;
    }
    // A little past its ends where those are the panel's, whose own may lean.
    const double span = loft.span(), past = 0.1 * span, from = gap.from > 1e-6 ? gap.from : -past,
                 to = gap.to < span - 1e-6 ? gap.to : span + past;
    constexpr double behind = 0.3; // of the chord: past the skin's rear edge
    Polyline loop = onPattern(laying.surface, gap.wing, from, to);
    const Polyline rear = s.plateLike() ? onPattern(laying.surface, gap.own, from, to)
                                        : onPattern(laying.surface, laying.to, from, to, behind);
    loop.insert(loop.end(), rear.rbegin(), rear.rend());
    const Region left = withoutDust(subtract(skin.shape, {loop}), tolerance::dustArea);
    if (areaOf(left) > areaOf(skin.shape) - 1) continue; // it lies beside it
    skin.shape = left, skin.leftOut.push_back(gap.surface);
    const Region seen = subtract({skin.plan}, {gapFromAbove(gap, s.plateLike(), loft)});
    if (const Polyline* largest = largestOf(seen)) {
      skin.plan = *largest;
      const Point middle = centroidOf(seen);
      const double t = std::clamp(middle.y(), 0.0, loft.span());
      const ChordFrame f = loft.frameAt(t);
      const Point at = loft.at(skin.face, std::clamp((middle.x() - f.le.x()) / f.chord, 0.0, 1.0), t);
      skin.centre = {middle.x(), t, at.y()};
    }
  }
}

void lay(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const SurfaceLine& from, const SurfaceLine& to,
         const Ends& ends, const std::vector<int>& chosen, const std::vector<SkinGap>& gaps, Skin skin,
         std::vector<Skin>& out) {
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
  const Laying laying{surface, frame, from, to, gaps};
  part(d, loft, laying, skin);
  if (skin.shape.empty()) return; // all of it lies on surfaces
  for (const Rib& rib : frame.ribs)
    if (rib.t() > skin.inner + 1e-6 && rib.t() < skin.outer - 1e-6)
      if (Polyline line = laying.onRib(rib, skin.leftOut); lengthOf(line) > 0.5)
        skin.ribs.push_back({rib.name(), std::move(line), rib.t(), rib.number});
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
    if (run.size() > 1)
      skin.spars.push_back({d.spars[static_cast<std::size_t>(line.index)].name, std::move(run), 0, 0});
  }
  skin.strips = std::max(1, static_cast<int>(std::ceil(acrossGrain(skin) / d.cutList.sheetWidth - 1e-9)));
  if (std::abs(skin.of.grainDeg) < 45) addJoints(d, laying, chosen, skin);
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

Skin named(Skin::What what, const std::string& kind, const std::string& name, PieceId piece, Face face) {
  Skin skin;
  const bool top = face == Face::upper;
  const char* end = top ? ".top" : ".bottom";
  skin.what = what, skin.face = face;
  skin.key = kind + end, skin.name = name + (top ? ", top" : ", below"), skin.piece = piece, skin.piece.top = top;
  return skin;
}

/// What of a zone lies on a surface that is built by itself: a skin of its own.
void layOnSurface(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const Zone& zone, const Ends& ends,
                  const SkinGap& gap, Skin skin, std::vector<Skin>& out) {
  const Surface& s = d.surfaces[static_cast<std::size_t>(gap.surface)];
  if (!s.partsRibs() || s.built != SurfaceBuilt::apart) return;
  Ends own = ends;
  if (gap.ownFrom > std::max(ends.inner.t, 1e-6)) own.inner = {gap.ownFrom, 0, 0};
  if (gap.ownTo < std::min(ends.outer.t, loft.span() - 1e-6)) own.outer = {gap.ownTo, 0, 0};
  if (own.outer.t - own.inner.t < 1) return;
  const std::string key = fmt::format("surface.{}", gap.surface + 1);
  skin.surface = gap.surface;
  skin.key += "." + key;
  const PieceKind kind = skin.what == Skin::What::nose   ? PieceKind::surfaceNoseSheet
                         : skin.what == Skin::What::bays ? PieceKind::surfaceBaySheet
                                                         : PieceKind::surfaceTailSheet;
  skin.piece = {kind, numberIn(d.surfaces, gap.surface), skin.piece.number, 0, skin.piece.top};
  skin.name += ", of the " + s.name;
  static const std::vector<SkinGap> whole;
  lay(d, loft, frame, zone.place.from.within(gap.own, SurfaceLine::atFraction(1)), zone.place.to, own, {}, whole,
      std::move(skin), out);
}

} // namespace

std::vector<double> Skin::pieces(Hand hand) const {
  const std::vector<SkinJoint>& on = jointsOf(hand);
  const double whole = lengthOf(pattern.front), over = on.empty() ? 0 : of.jointLength();
  std::vector<double> out;
  out.reserve(on.size() + 1);
  double begun = inner;
  for (std::size_t i = 0; i <= on.size(); ++i) {
    const double ends = i < on.size() ? on[i].t : outer, laps = (i > 0 ? 0.5 : 0) + (i < on.size() ? 0.5 : 0);
    out.push_back(whole * (ends - begun) / (outer - inner) + laps * over);
    begun = ends;
  }
  return out;
}

std::array<std::vector<SkinGap>, 2> skinGaps(const PanelBrief& d, const PanelLoft& loft, const Frame& frame) {
  std::array<std::vector<SkinGap>, 2> out;
  for (const HingeLine& line : frame.hinges) {
    if (d.surfaces[static_cast<std::size_t>(line.surface)].whole()) continue;
    std::array<std::array<Point, 3>, 2> wing, own;
    std::array parted{true, true};
    for (std::size_t i = 0; i < 3; ++i) {
      const double t = line.from + (line.to - line.from) * static_cast<double>(i) / 2,
                   axis = loft.frameAt(t).toChord(line.axis.at(t)).x();
      const auto there = sheetGapsAt(d, loft, line, t);
      for (std::size_t face = 0; face < 2; ++face)
        if (there[face])
          wing[face][i] = {t, there[face]->wing - axis}, own[face][i] = {t, there[face]->surface - axis};
        else
          parted[face] = false;
    }
    for (std::size_t face = 0; face < 2; ++face)
      if (parted[face])
        out[face].push_back({line.surface, SurfaceLine::beside(loft, line.axis, wing[face]),
                             SurfaceLine::beside(loft, line.axis, own[face]), line.from, line.to, line.cutFrom,
                             line.cutTo});
  }
  return out;
}

std::vector<Skin> skinsOf(const PanelBrief& d, const PanelLoft& loft, const Frame& frame) {
  std::vector<Skin> out;
  const Ends whole{innerPlane(d), outerPlane(d)};
  static const std::vector<int> none;
  const std::vector<Zone> zones = zonesOf(d, loft);
  if (zones.empty()) return out;
  const auto gaps = skinGaps(d, loft, frame);
  for (const Zone& zone : zones) {
    const Face face = zone.place.face;
    Skin skin;
    Ends ends = whole;
    const std::vector<int>* chosen = &none;
    switch (zone.what) {
    case Zone::What::nose:
      skin = named(zone.what, "nose", d.built == Built::foam ? "skin" : "nose sheet", {PieceKind::noseSheet}, face);
      chosen = &joinedOn(d.sheeting, face == Face::upper);
      break;
    case Zone::What::bays: {
      const SheetedBays& bays = d.sheeted[static_cast<std::size_t>(zone.run)];
      const std::string kind = fmt::format("bays.{}", zone.run + 1);
      skin = named(zone.what, kind,
                   fmt::format("sheet R{} to R{}", d.firstRib + bays.fromRib - 1, d.firstRib + bays.toRib - 1),
                   {PieceKind::baySheet, numberIn(d.sheeted, zone.run)}, face);
      ends = {endOn(d, frame, bays.fromRib), endOn(d, frame, bays.toRib)};
      chosen = &joinedOn(bays, face == Face::upper);
      break;
    }
    case Zone::What::tail:
      skin = named(zone.what, "tail", "trailing edge sheet", {PieceKind::tailSheet}, face);
      break;
    }
    skin.run = zone.run, skin.of = zone.of;
    const std::vector<SkinGap>& here = gaps[face == Face::upper ? 0 : 1];
    const Skin bare = skin;
    lay(d, loft, frame, zone.place.from, zone.place.to, ends, *chosen, here, std::move(skin), out);
    for (const SkinGap& gap : here) layOnSurface(d, loft, frame, zone, ends, gap, bare, out);
  }
  return out;
}

} // namespace eup
