#include "core/strength/plate_strength.h"
#include "core/measure/units.h"
#include "core/parts/bent_wood.h"
#include "core/parts/hinge_cut.h"
#include "core/strength/bent_section.h"
#include "core/strength/d_box.h"
#include "core/strength/plate_buckling.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

constexpr int slices = 48; // of a chord

struct PlateCut {
  std::vector<Fibre> fibres;
  double high = -1e9, low = 1e9; ///< of its wood
};

double layerOf(const PanelBrief& d) {
  return d.cloth.layer(d.tables.named(d.cloth.material).density);
}

/// E of sheet along the span, its grain turned off it.
double alongSpan(const PanelBrief& d, const std::string& material, double grainDeg) {
  const Material& wood = d.tables.named(material);
  return offTheGrain(wood.modulus, wood.across, degToRad(grainDeg));
}

/// Wood over wood, in a station's own chord axes: what it is turned by does not stiffen it, nor what is cut out.
template <class F> void eachSlice(const PanelLoft& loft, const WingsOwn& own, double t, F take) {
  const ChordFrame frame = loft.frameAt(t);
  const double wide = own.endAt(t, frame.chord) / slices;
  for (int i = 0; i < slices; ++i) {
    const double x = (i + 0.5) * wide, f = x / frame.chord;
    const Point up = frame.toChord(loft.at(Face::upper, f, t)), down = frame.toChord(loft.at(Face::lower, f, t));
    take(x, wide, up.y(), down.y());
  }
}

/// Of a foam panel at one place: where its strips end, and its skins.
struct CoreCut {
  double front = 0, tail = 0; ///< mm behind the nose
  const SheetRun *top = nullptr, *bottom = nullptr;
  CoreCut(const PanelBrief& d, double chord)
      : front(d.leading.onRib()), tail(chord - d.trailing.onRib()), top(d.sheeting.on(true)),
        bottom(d.sheeting.on(false)) {}
  double above() const { return top ? top->thickness : 0; }
  double below() const { return bottom ? bottom->thickness : 0; }
};

PlateCut coreAt(const PanelBrief& d, const PanelLoft& loft, const WingsOwn& own, double t) {
  PlateCut out;
  const CoreCut cut(d, loft.frameAt(t).chord);
  const auto along = [&](const SheetRun& s) { return alongSpan(d, s.material, s.grainDeg); };
  const double foam = d.tables.named(d.foam.material).modulus, cloth = d.tables.named(d.cloth.material).modulus,
               layer = layerOf(d);
  out.fibres.reserve(std::size_t{5} * slices);
  eachSlice(loft, own, t, [&](double x, double wide, double up, double down) {
    if (up <= down) return;
    out.high = std::max(out.high, up), out.low = std::min(out.low, down);
    if (x < cut.front)
      out.fibres.push_back({down, up, wide, d.tables.named(d.leadingEdge.material).modulus});
    else if (x > cut.tail)
      out.fibres.push_back({down, up, wide, d.tables.named(d.trailingEdge.material).modulus});
    else {
      const double above = std::min(cut.above(), (up - down) / 2), below = std::min(cut.below(), (up - down) / 2);
      out.fibres.push_back({down + below, up - above, wide, foam});
      if (above > 0) out.fibres.push_back({up - above, up, wide, along(*cut.top)});
      if (below > 0) out.fibres.push_back({down, down + below, wide, along(*cut.bottom)});
    }
    if (d.cloth.top > 0) out.fibres.push_back({up, up + layer * d.cloth.top, wide, cloth});
    if (d.cloth.bottom > 0) out.fibres.push_back({down - layer * d.cloth.bottom, down, wide, cloth});
  });
  return out;
}

PlateCut plateAt(const PanelBrief& d, const PanelLoft& loft, const WingsOwn& own, double t) {
  if (d.built == Built::foam) return coreAt(d, loft, own, t);
  PlateCut out;
  const SheetPanel& s = d.sheet;
  const double wood = alongSpan(d, s.material, s.grainDeg), strip = d.tables.named(s.edgeMaterial).modulus,
               cloth = d.tables.named(d.cloth.material).modulus, layer = layerOf(d);
  out.fibres.reserve(std::size_t{3} * slices);
  eachSlice(loft, own, t, [&](double x, double wide, double up, double down) {
    if (up <= down) return;
    out.fibres.push_back({down, up, wide, x < s.edge ? strip : wood});
    if (d.cloth.top > 0) out.fibres.push_back({up, up + layer * d.cloth.top, wide, cloth});
    if (d.cloth.bottom > 0) out.fibres.push_back({down - layer * d.cloth.bottom, down, wide, cloth});
    out.high = std::max(out.high, up), out.low = std::min(out.low, down);
  });
  return out;
}

/// What its stress is told of.
const std::string& toldOf(const PanelBrief& d) {
  if (d.built != Built::foam) return d.sheet.material;
  if (const SheetRun* skin = d.sheeting.on(true) ? d.sheeting.on(true) : d.sheeting.on(false)) return skin->material;
  return d.cloth.any() ? d.cloth.material : d.foam.material;
}

} // namespace

EdgeSpar plateSpar(const PanelBrief& d, const PanelLoft& loft) {
  EdgeSpar out{false, d.tables.named(toldOf(d)), {}};
  out.along.reserve(strengthSteps + 1);
  const WingsOwn own(d, loft);
  for (int i = 0; i <= strengthSteps; ++i) {
    const PlateCut plate = plateAt(d, loft, own, loft.span() * i / strengthSteps);
    const BentSection bent = bentSection(plate.fibres);
    out.along.push_back({bent.stiffness / out.material.modulus, plate.high - bent.axis, bent.axis - plate.low});
  }
  return out;
}

std::vector<EdgeSpar> aloneSpars(const PanelBrief& d, const PanelLoft& loft) {
  if (d.built == Built::sheet || (d.built == Built::foam && d.spars.empty())) return {plateSpar(d, loft)};
  return edgeSpars(d, loft);
}

/// Skins and cloth all round a core, which gives a little of its own; the strips along its edges are stiff.
static double coreTwistStiffness(const PanelBrief& d, const PanelLoft& loft, const WingsOwn& own, double t) {
  const CoreCut cut(d, loft.frameAt(t).chord);
  const Material &foam = d.tables.named(d.foam.material), &cloth = d.tables.named(d.cloth.material);
  const auto face = [&](bool upper) {
    const SheetRun* s = upper ? cut.top : cut.bottom;
    return s ? skinShear(d, *s, upper) : cloth.shear * layerOf(d) * d.cloth.layers(upper);
  };
  const double above = face(true), below = face(false);
  double open = 0, area = 0, round = 0;
  eachSlice(loft, own, t, [&](double x, double wide, double up, double down) {
    const double deep = std::max(up - down - (cut.above() + cut.below()) / 2, 0.0);
    const bool strip = x < cut.front || x > cut.tail;
    const double shear = x < cut.front  ? d.tables.named(d.leadingEdge.material).shear
                         : x > cut.tail ? d.tables.named(d.trailingEdge.material).shear
                                        : foam.shear;
    open += shear * deep * deep * deep * wide / 3;
    area += deep * wide;
    if (!strip && above > 0 && below > 0) round += wide / above + wide / below;
  });
  if (round > 0) open += 4 * area * area / round;
  return open;
}

static double twistStiffness(const PanelBrief& d, const PanelLoft& loft, const WingsOwn& own, double t) {
  if (d.built == Built::foam) return coreTwistStiffness(d, loft, own, t);
  const SheetPanel& s = d.sheet;
  const double wood = d.tables.named(s.material).shear, strip = d.tables.named(s.edgeMaterial).shear,
               cloth = d.tables.named(d.cloth.material).shear, layer = layerOf(d);
  double open = 0, area = 0, round = 0;
  eachSlice(loft, own, t, [&](double x, double wide, double up, double down) {
    const double deep = std::max(up - down, 0.0);
    open += (x < s.edge ? strip : wood) * deep * deep * deep * wide / 3;
    area += (deep + layer * (d.cloth.top + d.cloth.bottom) / 2) * wide;
    for (const int layers : {d.cloth.top, d.cloth.bottom})
      if (layers > 0) round += wide / (cloth * layer * layers);
  });
  if (d.cloth.top > 0 && d.cloth.bottom > 0 && round > 0) open += 4 * area * area / round;
  return open;
}

double plateTwistStiffness(const PanelBrief& d, const PanelLoft& loft, double t) {
  return twistStiffness(d, loft, WingsOwn(d, loft), t);
}

std::optional<FrameTwist> plateTwist(const PanelBrief& d, const PanelLoft& loft, double couple, bool opened) {
  const WingsOwn own(d, loft, opened);
  constexpr int steps = 40; // even
  const double step = loft.span() / steps;
  double give = 0;
  for (int i = 0; i <= steps; ++i) {
    const double stiff = twistStiffness(d, loft, own, step * i);
    if (stiff <= 0) return std::nullopt;
    give += (i == 0 || i == steps ? 1 : i % 2 == 1 ? 4 : 2) * step / 3 / stiff;
  }
  FrameTwist out;
  out.couple = couple, out.twist = couple * give, out.stiffness = loft.span() / give;
  return out;
}

std::optional<FrameTwist> twistTest(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, bool opened) {
  const double couple = d.flying.twistCouple;
  return d.built == Built::ribs ? frameTwist(d, loft, frame, couple, opened) : plateTwist(d, loft, couple, opened);
}

std::optional<ClothReserve> clothReserve(const PanelBrief& d, const PanelLoft& loft,
                                         const std::vector<LoadCase>& cases) {
  if (!d.cloth.any()) return std::nullopt;
  const Material& cloth = d.tables.named(d.cloth.material);
  ClothReserve out;
  const WingsOwn own(d, loft);
  constexpr int steps = 24;
  for (int i = 0; i <= steps; ++i) {
    const double t = loft.span() * i / steps;
    const PlateCut plate = plateAt(d, loft, own, t);
    const BentSection bent = bentSection(plate.fibres);
    if (bent.empty()) continue;
    for (const LoadCase& c : cases) {
      const double moment = c.load.moment(d.inboard + t);
      for (const bool top : {true, false}) {
        if ((top ? d.cloth.top : d.cloth.bottom) == 0) continue;
        const double stress = bent.stress(std::abs(moment), top ? plate.high : plate.low, cloth.modulus),
                     holds = top == (moment >= 0) ? cloth.compression : cloth.tension;
        if (stress > 0 && holds / stress < out.reserve) out = {holds / stress, stress, t, c.what};
      }
    }
  }
  return out;
}

std::optional<CoreStrength> coreStrength(const PanelBrief& d, const PanelLoft& loft, const std::vector<SparLine>& spars,
                                         const std::vector<LoadCase>& cases) {
  if (d.built != Built::foam) return std::nullopt;
  const Material& foam = d.tables.named(d.foam.material);
  CoreStrength out;
  const WingsOwn own(d, loft);
  constexpr int steps = 24;
  for (int i = 0; i <= steps; ++i) {
    const double t = loft.span() * i / steps;
    const CoreCut cut(d, loft.frameAt(t).chord);
    PlateCut plate = coreAt(d, loft, own, t);
    for (const SparLine& line : spars) {
      const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
      if (!line.reaches(t)) continue;
      for (const bool top : {true, false}) {
        const Cap cap = capAt(top ? spar.top : spar.bottom, line.share(t));
        if (!cap.fitted) continue;
        const ChordFrame frame = loft.frameAt(t);
        const double z = frame.toChord((top ? line.upperSeat : line.lowerSeat).at(t)).y();
        plate.fibres.push_back({top ? z - cap.depth : z, top ? z : z + cap.depth, capArea(cap) / cap.depth,
                                d.tables.named(cap.material).modulus});
      }
    }
    const BentSection bent = bentSection(plate.fibres);
    if (bent.empty()) continue;
    double give = 0, area = 0; // S; mm² of the core
    eachSlice(loft, own, t, [&](double x, double wide, double up, double down) {
      const double core = up - down - cut.above() - cut.below(), mid = core + (cut.above() + cut.below()) / 2;
      if (x > cut.front && x < cut.tail && core > 0) give += foam.shear * wide * mid * mid / core, area += wide * core;
    });
    if (give > 0 && cut.top && cut.bottom && !cases.empty())
      out.shearSag +=
          cases.front().load.shear(d.inboard + t) / give * loft.span() / steps * (i == 0 || i == steps ? 0.5 : 1);
    for (const LoadCase& c : cases) {
      const double moment = c.load.moment(d.inboard + t), shear = std::abs(c.load.shear(d.inboard + t));
      const bool above = moment >= 0; // the upper skin is pressed
      if (const SheetRun* skin = above ? cut.top : cut.bottom) {
        const double modulus = alongSpan(d, skin->material, skin->grainDeg),
                     stress = bent.stress(std::abs(moment), above ? plate.high : plate.low, modulus),
                     holds = wrinkling(modulus, foam.modulus, foam.shear);
        if (stress > 0 && holds / stress < out.wrinkling)
          out.wrinkling = holds / stress, out.wrinklingStress = stress, out.wrinklingHolds = holds, out.wrinklingAt = t,
          out.wrinklingLoad = c.what;
      }
      const double stress = area > 0 ? shear / area : 0;
      if (stress > 0 && foam.shearStrength / stress < out.shear)
        out.shear = foam.shearStrength / stress, out.shearStress = stress, out.shearAt = t, out.shearLoad = c.what;
    }
  }
  return out;
}

} // namespace eup
