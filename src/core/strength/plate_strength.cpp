#include "core/strength/plate_strength.h"
#include "core/strength/bent_section.h"
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
  return d.sheet.clothLayer(d.tables.named(d.sheet.clothMaterial).density);
}

/// Wood over wood, in a station's own chord axes: what it is turned by does not stiffen it.
template <class F> void eachSlice(const PanelLoft& loft, double t, F take) {
  const ChordFrame frame = loft.frameAt(t);
  for (int i = 0; i < slices; ++i) {
    const double f = (i + 0.5) / slices;
    const Point up = frame.toChord(loft.at(Face::upper, f, t)), down = frame.toChord(loft.at(Face::lower, f, t));
    take(f * frame.chord, frame.chord / slices, up.y(), down.y());
  }
}

PlateCut plateAt(const PanelBrief& d, const PanelLoft& loft, double t) {
  PlateCut out;
  const SheetPanel& s = d.sheet;
  const double wood = d.tables.named(s.material).modulus, strip = d.tables.named(s.edgeMaterial).modulus,
               cloth = d.tables.named(s.clothMaterial).modulus, layer = layerOf(d);
  out.fibres.reserve(std::size_t{3} * slices);
  eachSlice(loft, t, [&](double x, double wide, double up, double down) {
    if (up <= down) return;
    out.fibres.push_back({down, up, wide, x < s.edge ? strip : wood});
    if (s.clothTop > 0) out.fibres.push_back({up, up + layer * s.clothTop, wide, cloth});
    if (s.clothBottom > 0) out.fibres.push_back({down - layer * s.clothBottom, down, wide, cloth});
    out.high = std::max(out.high, up), out.low = std::min(out.low, down);
  });
  return out;
}

} // namespace

EdgeSpar plateSpar(const PanelBrief& d, const PanelLoft& loft) {
  EdgeSpar out{false, d.tables.named(d.sheet.material), {}};
  out.along.reserve(strengthSteps + 1);
  for (int i = 0; i <= strengthSteps; ++i) {
    const PlateCut plate = plateAt(d, loft, loft.span() * i / strengthSteps);
    const BentSection bent = bentSection(plate.fibres);
    out.along.push_back({bent.stiffness / out.material.modulus, plate.high - bent.axis, bent.axis - plate.low});
  }
  return out;
}

std::vector<EdgeSpar> aloneSpars(const PanelBrief& d, const PanelLoft& loft) {
  if (d.built == Built::sheet) return {plateSpar(d, loft)};
  return edgeSpars(d, loft);
}

double plateTwistStiffness(const PanelBrief& d, const PanelLoft& loft, double t) {
  const SheetPanel& s = d.sheet;
  const double wood = d.tables.named(s.material).shear, strip = d.tables.named(s.edgeMaterial).shear,
               cloth = d.tables.named(s.clothMaterial).shear, layer = layerOf(d);
  double open = 0, area = 0, round = 0;
  eachSlice(loft, t, [&](double x, double wide, double up, double down) {
    const double deep = std::max(up - down, 0.0);
    open += (x < s.edge ? strip : wood) * deep * deep * deep * wide / 3;
    area += (deep + layer * (s.clothTop + s.clothBottom) / 2) * wide;
    for (const int layers : {s.clothTop, s.clothBottom})
      if (layers > 0) round += wide / (cloth * layer * layers);
  });
  if (s.clothTop > 0 && s.clothBottom > 0 && round > 0) open += 4 * area * area / round;
  return open;
}

std::optional<FrameTwist> plateTwist(const PanelBrief& d, const PanelLoft& loft, double couple) {
  constexpr int steps = 40; // even
  const double step = loft.span() / steps;
  double give = 0;
  for (int i = 0; i <= steps; ++i) {
    const double stiff = plateTwistStiffness(d, loft, step * i);
    if (stiff <= 0) return std::nullopt;
    give += (i == 0 || i == steps ? 1 : i % 2 == 1 ? 4 : 2) * step / 3 / stiff;
  }
  FrameTwist out;
  out.couple = couple, out.twist = couple * give, out.stiffness = loft.span() / give;
  return out;
}

std::optional<ClothReserve> clothReserve(const PanelBrief& d, const PanelLoft& loft,
                                         const std::vector<LoadCase>& cases) {
  const SheetPanel& s = d.sheet;
  if (s.clothTop + s.clothBottom == 0) return std::nullopt;
  const Material& cloth = d.tables.named(s.clothMaterial);
  ClothReserve out;
  constexpr int steps = 24;
  for (int i = 0; i <= steps; ++i) {
    const double t = loft.span() * i / steps;
    const PlateCut plate = plateAt(d, loft, t);
    const BentSection bent = bentSection(plate.fibres);
    if (bent.empty()) continue;
    for (const LoadCase& c : cases) {
      const double moment = c.load.moment(d.inboard + t);
      for (const bool top : {true, false}) {
        if ((top ? s.clothTop : s.clothBottom) == 0) continue;
        const double stress = bent.stress(std::abs(moment), top ? plate.high : plate.low, cloth.modulus),
                     holds = top == (moment >= 0) ? cloth.compression : cloth.tension;
        if (stress > 0 && holds / stress < out.reserve) out = {holds / stress, stress, t, c.what};
      }
    }
  }
  return out;
}

} // namespace eup
