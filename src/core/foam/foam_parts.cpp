// Parts of a panel of foam: its cores and the ribs on its ends. Skins, strips, caps and covering are told as those of
// any panel.
#include "core/foam/foam_core.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/parts/part_maker.h"
#include <fmt/format.h>

namespace eup {
namespace {

void addCore(PartMaker& m, const FoamMade& made, const FoamCore& core, double sawnInner, double sawnOuter) {
  const FoamPanel& f = m.d.foam;
  Part part =
      PartMaker::piece(Part::What::core, fmt::format("core.{}", core.number), "foam " + made.nameOf(core), f.material);
  const double length = core.outer.t - core.inner.t, in = core.inner.outlineArea(), out = core.outer.outlineArea(),
               sawn = sawnInner * in + sawnOuter * out;
  const double volume = std::max(core.volume - core.grooves - sawn, 0.0);
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
  m.out.push_back(std::move(part));
}

void addEndRib(PartMaker& m, const CoreEnd& end, bool outer) {
  const FoamPanel& f = m.d.foam;
  Part part = PartMaker::piece(Part::What::ribs, outer ? "foamRib.outer" : "foamRib.inner",
                               outer ? "rib on the outer end" : "rib on the inner end", f.endRibMaterial);
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

} // namespace

std::vector<Part> partsOfFoam(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const FoamMade& made) {
  PartMaker m(d, loft, frame);
  const double rib = d.foam.endRib;
  for (std::size_t i = 0; i < made.cores.size(); ++i)
    addCore(m, made, made.cores[i], i == 0 ? rib : 0, i + 1 == made.cores.size() ? rib : 0);
  if (rib > 0 && !made.cores.empty())
    addEndRib(m, made.cores.front().inner, false), addEndRib(m, made.cores.back().outer, true);
  return std::move(m.out);
}

} // namespace eup
