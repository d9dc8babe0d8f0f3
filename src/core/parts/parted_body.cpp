#include "core/parts/parted_body.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

const Surface& surfaceOf(const PanelBrief& d, const HingeLine& line) {
  return d.surfaces[static_cast<std::size_t>(line.surface)];
}

Region wingOf(const HingeSection& cut, const Polyline& section) {
  const Region wing = intersect({section}, {cut.wing});
  return cut.wingFacing.empty() ? wing : subtract(wing, {cut.wingFacing});
}

} // namespace

Polyline bareSectionAt(const PanelLoft& loft, double t) {
  const Cut cut = loft.cutAt(std::clamp(t, 0.0, loft.span()));
  Polyline out;
  out.reserve(cut.upper.size() + cut.lower.size());
  for (auto p = cut.upper.rbegin(); p != cut.upper.rend(); ++p) out.push_back(cut.frame.toChord(*p));
  for (auto p = cut.lower.begin() + 1; p != cut.lower.end(); ++p) out.push_back(cut.frame.toChord(*p));
  return out;
}

Region takenAtHinge(const PanelBrief& d, const PanelLoft& loft, const HingeLine& line, double t,
                    const Polyline& section) {
  if (section.size() < 3) return {};
  const HingeSection cut = hingeSectionAt(d, loft, line, t);
  const Region behind = subtract({section}, wingOf(cut, section));
  if (surfaceOf(d, line).ofOwnWood()) return behind;
  Region own = intersect({section}, {cut.surface});
  if (!cut.facing.empty()) own = subtract(own, {cut.facing});
  return subtract(behind, own);
}

double wingFaceAt(const PanelBrief& d, const PanelLoft& loft, const HingeLine& line, double t) {
  const Box wing = boundsOf(wingOf(hingeSectionAt(d, loft, line, t), bareSectionAt(loft, t)));
  return wing.empty() ? 0 : wing.high.x();
}

BodyTaken takenByHinges(const PanelBrief& d, const PanelLoft& loft, const std::vector<HingeLine>& hinges, double from,
                        double to, const std::function<Polyline(double t)>& sectionAt) {
  BodyTaken out;
  const auto add = [&](const Region& region, double t, double along) {
    const double area = areaOf(region);
    if (area <= 0) return 0.0;
    const Point at = loft.frameAt(t).fromChord(centroidOf(region));
    out.volume += area * along, out.moment += area * along * Point3(at.x(), t, at.y());
    return area;
  };
  constexpr double places[] = {-0.7745966692414834, 0, 0.7745966692414834}, shares[] = {5.0 / 18, 8.0 / 18, 5.0 / 18};
  for (const HingeLine& line : hinges) {
    if (!surfaceOf(d, line).partsRibs()) continue;
    const double a = std::max(from, line.cutFrom), b = std::min(to, line.cutTo);
    if (b <= a) continue;
    const double before = out.volume;
    double areas[3] = {};
    for (std::size_t i = 0; i < 3; ++i) {
      const double t = (a + b) / 2 + (b - a) / 2 * places[i];
      areas[i] = add(takenAtHinge(d, loft, line, t, sectionAt(t)), t, shares[i] * (b - a));
    }
    const double taken = out.volume - before, slope = (areas[2] - areas[0]) / (2 * places[2]);
    if (taken > 0) out.runs.push_back({a, b, taken / (b - a) - slope, taken / (b - a) + slope});
    // Clear of the wing at its ends, through all of the body's depth.
    for (const auto& [clearFrom, clearTo] : {std::pair(line.from, line.cutFrom), std::pair(line.cutTo, line.to)}) {
      const double c = std::max(from, clearFrom), e = std::min(to, clearTo), t = (c + e) / 2;
      if (e <= c) continue;
      const Polyline section = sectionAt(t);
      if (section.size() < 3) continue;
      const double area = add(subtract({section}, wingOf(hingeSectionAt(d, loft, line, t), section)), t, e - c);
      out.runs.push_back({c, e, area, area});
    }
  }
  return out;
}

void takeOut(Part& part, const BodyTaken& taken, double density) {
  const double grams = std::min(taken.volume * density, part.grams);
  if (grams <= 0) return;
  const double left = part.grams - grams;
  if (left > 0) part.centre = (part.centre * part.grams - taken.moment / taken.volume * grams) / left;
  part.grams = left, part.at = part.centre.y();
  for (const Part::Run& run : taken.runs)
    part.runs.push_back({run.from, run.to, -run.atFrom * density, -run.atTo * density});
}

} // namespace eup
