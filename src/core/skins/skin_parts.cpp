// Parts of the skins that are cut from their flat patterns, piece by piece where they are joined, and the cloth on
// them.
#include "core/geometry/polyline.h"
#include "core/parts/part_maker.h"
#include "core/skins/skin_list.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// Along the span a skin weighs as it is wide, from rib to rib.
struct Course {
  std::vector<Part::Run> runs; ///< mm wide
  double sum = 0;              ///< mm²
};
Course courseOf(const Skin& skin) {
  Course out;
  double t = skin.inner, width = skin.pattern.innerWidth;
  const auto on = [&](double toT, double toWidth) {
    out.runs.push_back({t, toT, width, toWidth});
    out.sum += (width + toWidth) / 2 * (toT - t);
    t = toT, width = toWidth;
  };
  for (const SkinLine& rib : skin.ribs) on(rib.t, lengthOf(rib.line));
  on(skin.outer, skin.pattern.outerWidth);
  return out;
}

/// Where the middle of a skin's area lies between two places of the span.
Point3 middleOf(const PanelLoft& loft, const Skin& skin, double from, double to) {
  if (from <= skin.inner && to >= skin.outer) return skin.centre;
  const double t = std::clamp((from + to) / 2, 0.0, loft.span());
  Point3 out = skin.centre;
  const auto leading = [&](double at) { return loft.frameAt(std::clamp(at, 0.0, loft.span())).le; };
  const Point moved = leading(t) - leading(skin.centre.y());
  out.x() += moved.x(), out.y() = t, out.z() += moved.y();
  return out;
}

void addSkin(PartMaker& m, const Skin& skin) {
  const FlatPattern& p = skin.pattern;
  const Course course = courseOf(skin);
  if (course.sum <= 0) return;
  Part whole = PartMaker::piece(skin.piece, skin.name, skin.of.material);
  whole.stock = Stock::sheet(skin.layer());
  whole.count = skin.of.layers;
  whole.breadth = std::max(p.innerWidth, p.outerWidth);
  const bool bends = skin.what == Skin::What::nose && m.d.sheeting.carries;
  whole.grain = skin.of.grainDeg != 0 ? (std::abs(skin.of.grainDeg) == 90 ? GrainWay::chord : GrainWay::slanting)
                : bends               ? GrainWay::span
                                      : GrainWay::length;
  whole.drawn = DrawnOn::skins;
  const double heavy = skin.of.thickness * m.heavy(skin.of.material), scale = skin.area() / course.sum;
  const std::vector<double> lengths = skin.pieces(Hand::right);
  double from = skin.inner;
  for (std::size_t i = 0; i < lengths.size(); ++i) {
    const double to = i < skin.joints.size() ? skin.joints[i].t : skin.outer;
    Part part = whole;
    if (lengths.size() > 1) {
      part.id.piece = static_cast<int>(i) + 1;
      part.name = fmt::format("{}, piece {}", whole.name, i + 1);
    }
    double area = 0;
    for (const Part::Run& run : course.runs)
      if (run.from > from - 1e-6 && run.to < to + 1e-6) {
        part.runs.push_back(run);
        area += (run.atFrom + run.atTo) / 2 * (run.to - run.from);
      }
    part.area = area * scale, part.length = lengths[i];
    part.grams = part.area * heavy;
    for (Part::Run& run : part.runs) run.atFrom *= scale * heavy, run.atTo *= scale * heavy;
    part.centre = middleOf(m.loft, skin, from, to), part.at = part.centre.y();
    m.out.push_back(std::move(part));
    from = to;
  }
}

/// What of the strip over a join lies on a skin, at its inner or outer end: half of it, mm² of one layer.
double clothOverJoin(const PanelBrief& d, const Skin& skin, bool outer) {
  if (outer) return d.beyond && skin.outer >= d.panel.span - 1e-6 ? d.cloth.strip / 2 * skin.pattern.outerWidth : 0;
  const bool joined = d.id.panel > 0 || d.mirrored;
  return joined && skin.inner <= 1e-6 ? d.cloth.strip / 2 * skin.pattern.innerWidth : 0;
}

/// Over all skins of a face, and a strip more over the joins.
void addCloth(PartMaker& m, const std::vector<Skin>& skins, Face face) {
  const Cloth& c = m.d.cloth;
  const int layers = c.layers(face == Face::upper);
  if (layers == 0) return;
  const bool top = face == Face::upper;
  const double layer = c.layer(m.d.tables.named(c.material).density), heavy = layer * m.heavy(c.material);
  Part part = PartMaker::piece({PieceKind::cloth, 0, 0, 0, top},
                               top ? "cloth on top, in resin" : "cloth below, in resin", c.material);
  part.stock = Stock::sheet(layer), part.count = layers;
  Point3 moment(0, 0, 0);
  for (const Skin& skin : skins) {
    if (skin.face != face) continue;
    const Course course = courseOf(skin);
    if (course.sum <= 0) continue;
    part.length = std::max(part.length, lengthOf(skin.pattern.front));
    part.breadth = std::max({part.breadth, skin.pattern.innerWidth, skin.pattern.outerWidth});
    const double more = clothOverJoins(m.d, skin), scale = skin.area() / course.sum * heavy * layers;
    for (Part::Run run : course.runs) {
      run.atFrom *= scale, run.atTo *= scale;
      part.runs.push_back(run);
    }
    part.area += skin.area() + more / layers;
    for (const bool outer : {false, true}) // a strip over a join lies at the panel's very end
      if (const double one = clothOverJoin(m.d, skin, outer); one > 0) {
        const double from = outer ? std::max(skin.outer - 1, skin.inner) : skin.inner;
        part.runs.push_back({from, from + 1, one * heavy, one * heavy});
      }
    const double grams = (skin.area() * layers + more) * heavy;
    part.grams += grams, moment += grams * skin.centre;
  }
  if (part.grams <= 0) return; // no skin is there for it
  part.centre = moment / part.grams, part.at = part.centre.y();
  m.out.push_back(std::move(part));
}

} // namespace

double clothOverJoins(const PanelBrief& d, const Skin& skin) {
  return clothOverJoin(d, skin, false) + clothOverJoin(d, skin, true);
}

std::vector<Part> partsOfSkins(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Skin>& skins) {
  PartMaker maker(d, loft, frame);
  for (const Skin& skin : skins)
    if (skin.what != Skin::What::tail) addSkin(maker, skin);
  for (const Face face : {Face::upper, Face::lower}) addCloth(maker, skins, face);
  return std::move(maker.out);
}

std::vector<Part> builtParts(const PanelBrief& d, const PanelLoft& loft, const Frame& frame,
                             const std::optional<TipShape>& tip, const std::vector<Skin>& skins) {
  std::vector<Part> out = partsOf(d, loft, frame, tip);
  for (Part& part : partsOfSkins(d, loft, frame, skins)) out.push_back(std::move(part));
  return out;
}

} // namespace eup
