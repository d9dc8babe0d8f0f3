#include "core/strength/sheet_skin.h"
#include "core/measure/units.h"
#include "core/parts/bent_wood.h"
#include "core/parts/hinge_cut.h"
#include <algorithm>

namespace eup {
namespace {

constexpr std::size_t stripsOfFace = SheetSkin::stripsOfFace;

/// E of sheet along the span, its grain turned off it.
double alongSpan(const Material& wood, double grainDeg) {
  return offTheGrain(wood.modulus, wood.across, degToRad(grainDeg));
}

void addFace(const PanelBrief& d, const PanelLoft& loft, const WingsOwn& own, Face face, double t,
             std::vector<Fibre>& to) {
  const SheetRun* sheet = d.sheeting.on(face == Face::upper);
  const double chord = loft.frameAt(t).chord,
               edge = std::min(sheetEdgeAt(d, loft, face, t), own.endAt(t, chord) / chord);
  if (!sheet || edge <= 0) return;
  const double thick = sheet->thickness;
  const double inwards = face == Face::upper ? -thick / 2 : thick / 2,
               modulus = alongSpan(d.tables.named(sheet->material), sheet->grainDeg);
  Point last = loft.at(face, 0, t);
  for (std::size_t i = 1; i <= stripsOfFace; ++i) {
    // Closer together at the nose, where the surface bends most.
    const double share = static_cast<double>(i) / static_cast<double>(stripsOfFace);
    const Point next = loft.at(face, edge * share * share, t), middle = (last + next) / 2;
    const double length = (next - last).norm(), rise = next.y() - last.y(), high = std::hypot(rise, thick);
    const double z = middle.y() + inwards;
    to.push_back({z - high / 2, z + high / 2, length * thick / high, modulus});
    last = next;
  }
}

/// Of the surface between a tenth of the sheet and its edge, by its sagitta: r = c² ÷ (8 s).
double bendOf(const PanelBrief& d, const PanelLoft& loft) {
  const double t = loft.span() / 2;
  const Face face = d.sheeting.top ? Face::upper : Face::lower;
  const double edge = sheetEdgeAt(d, loft, face, t);
  const Point a = loft.at(face, 0.1 * edge, t), b = loft.at(face, edge, t), m = loft.at(face, 0.55 * edge, t);
  const double chord = (b - a).norm();
  if (chord <= 0) return 0;
  const double sagitta = std::abs((b - a).x() * (m - a).y() - (b - a).y() * (m - a).x()) / chord;
  return sagitta > 1e-6 ? chord * chord / (8 * sagitta) : 0;
}

} // namespace

std::vector<Fibre> SheetSkin::at(double t) const {
  if (empty()) return {};
  const auto next = std::upper_bound(ribs.begin() + 1, ribs.end() - 1, t);
  const auto k = static_cast<std::size_t>(next - ribs.begin());
  const double length = ribs[k] - ribs[k - 1],
               share = length > 0 ? std::clamp((t - ribs[k - 1]) / length, 0.0, 1.0) : 0;
  std::vector<Fibre> out = fibres[k - 1];
  for (std::size_t i = 0; i < std::min(out.size(), fibres[k].size()); ++i) {
    const Fibre &a = fibres[k - 1][i], &b = fibres[k][i];
    out[i] = {a.low + (b.low - a.low) * share, a.high + (b.high - a.high) * share,
              a.width + (b.width - a.width) * share, a.modulus};
  }
  return out;
}

bool sheetReaches(const PanelBrief& d, const PanelLoft& loft, Face face) {
  if (d.spars.empty()) return false;
  constexpr double hair = 1e-9;
  return sheetEdgeAt(d, loft, face, 0) >= d.spars.front().rootFraction - hair &&
         sheetEdgeAt(d, loft, face, loft.span()) >= d.spars.front().tipFraction - hair;
}

SheetSkin sheetSkin(const PanelBrief& d, const PanelLoft& loft, const std::vector<Rib>& ribs) {
  SheetSkin out;
  for (const Face face : {Face::upper, Face::lower})
    if (d.sheeting.carries && sheetReaches(d, loft, face)) out.faces.push_back(face);
  if (out.faces.empty()) return out;
  const WingsOwn own(d, loft);
  for (const Rib& rib : ribs) {
    const double t = std::clamp(rib.t(), 0.0, loft.span());
    if (!out.ribs.empty() && t <= out.ribs.back()) continue;
    out.ribs.push_back(t);
    out.fibres.emplace_back();
    for (const Face face : out.faces) addFace(d, loft, own, face, t, out.fibres.back());
  }
  out.radius = bendOf(d, loft);
  return out;
}

} // namespace eup
