// Parts of a panel of foam: its cores and the ribs on its ends. Skins, strips, caps and covering are told as those of
// any panel.
#include "core/design/lasting.h"
#include "core/foam/foam_core.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/loft/core_line.h"
#include "core/parts/part_maker.h"
#include <fmt/format.h>

namespace eup {
namespace {

void addCore(PartMaker& m, const FoamMade& made, const FoamCore& core) {
  const FoamPanel& f = m.d.foam;
  Part part = PartMaker::piece({PieceKind::core, core.number}, "foam " + made.nameOf(core), f.material);
  const double length = core.outer.t - core.inner.t, in = core.inner.outlineArea(), out = core.outer.outlineArea();
  const double volume = std::max(core.volume - core.grooves, 0.0);
  if (volume <= 0 || length <= 0 || in + out <= 0) return;
  part.stock = Stock::block(core.block.width, core.block.height);
  part.length = core.block.length, part.breadth = core.block.width;
  part.drawn = DrawnOn::foam;
  part.grams = volume * m.heavy(f.material);
  const auto middle = [&](const CoreEnd& end) -> Point3 {
    const Point p = end.frame.fromChord(centroidOf(end.outline));
    return {p.x(), end.t, p.y()};
  };
  // A frustum's middle lies where its ends' areas draw it.
  const double toOuter = (in + 3 * out + 2 * std::sqrt(in * out)) / (4 * (in + out + std::sqrt(in * out)));
  part.centre = middle(core.inner) + (middle(core.outer) - middle(core.inner)) * toOuter;
  part.at = part.centre.y();
  const double scale = part.grams / ((in + out) / 2 * length);
  part.runs.push_back({core.inner.t, core.outer.t, in * scale, out * scale});
  takeOut(part, core.parted, m.heavy(f.material));
  m.out.push_back(std::move(part));
}

void addRib(PartMaker& m, const CoreEnd& end, const PieceId& id, const std::string& name) {
  const FoamPanel& f = m.d.foam;
  Part part = PartMaker::piece(id, name, f.endRibMaterial);
  const Box box = boundsOf(end.outline);
  part.stock = Stock::sheet(f.endRib);
  part.area = areaOf(end.core);
  part.length = box.width(), part.breadth = box.height();
  part.grain = GrainWay::chord, part.drawn = DrawnOn::foam;
  part.at = end.t;
  part.grams = part.area * f.endRib * m.heavy(f.endRibMaterial);
  const Point middle = end.frame.fromChord(centroidOf(end.outline));
  part.centre = {middle.x(), end.t, middle.y()};
  m.add(std::move(part));
}

/// A tube, a rod, a block or a web; what is only cut out is no part.
void addThing(PartMaker& m, const CoreThing& thing, const CoreThingMade& made) {
  if (thing.empty() || made.length <= 0 || made.volume <= 0) return;
  Part part = PartMaker::piece({PieceKind::inCore, numberIn(m.d.inCore, made.number)}, thing.name, thing.material);
  double volume = made.volume;
  part.length = made.length, part.grain = GrainWay::length;
  if (thing.round()) {
    const double bore = boreOf(thing);
    part.stock = Stock::rod(thing.width, bore), part.breadth = thing.width;
    volume = pi / 4 * (thing.width * thing.width - bore * bore) * made.length;
  } else if (thing.kind == InCore::web) {
    part.stock = Stock::sheet(thing.width), part.breadth = made.high, part.area = made.upright;
  } else
    part.stock = Stock::block(thing.width, made.high), part.breadth = thing.width;
  part.grams = volume * m.heavy(thing.material);
  part.from = made.from, part.to = made.to, part.centre = (made.from + made.to) / 2;
  part.at = part.centre.y();
  const double from = made.from.y(), to = made.to.y();
  if (to > from) part.runs.push_back({from, to, part.grams / (to - from), part.grams / (to - from)});
  m.out.push_back(std::move(part));
}

} // namespace

std::vector<Part> partsOfFoam(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const FoamMade& made) {
  PartMaker m(d, loft, frame);
  const double rib = d.foam.endRib, between = d.foam.ribsBetween ? rib : 0;
  const std::vector<FoamCore>& cores = made.cores;
  for (const FoamCore& core : cores) addCore(m, made, core);
  if (rib > 0 && !cores.empty()) {
    addRib(m, cores.front().inner, {PieceKind::coreRibInner}, "rib on the inner end");
    for (std::size_t i = 0; i + 1 < cores.size() && between > 0; ++i)
      addRib(m, cores[i].outer, {PieceKind::coreRibBetween, static_cast<int>(i) + 1},
             fmt::format("rib between cores {} and {}", i + 1, i + 2));
    addRib(m, cores.back().outer, {PieceKind::coreRibOuter}, "rib on the outer end");
  }
  for (const CoreThingMade& thing : made.things) addThing(m, d.inCore[static_cast<std::size_t>(thing.number)], thing);
  return std::move(m.out);
}

} // namespace eup
