#include "core/strength/bay_checks.h"
#include "core/design/material.h"
#include "core/strength/spar_strength.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

struct Place {
  double t, moment, shear; ///< of this spar
  LoadCase::What load;
};

/// Keeps it when there is none of its kind yet that has less in reserve.
void keep(SparBay& bay, const BayCheck& check) {
  for (BayCheck& c : bay.checks)
    if (c.what == check.what) {
      if (check.reserve() < c.reserve()) c = check;
      return;
    }
  bay.checks.push_back(check);
}

void checkCaps(const PanelBrief& d, const PanelLoft& loft, const SparLine& line, const SparSection& section,
               const Place& at, double length, SparBay& bay) {
  const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
  const double share = line.share(at.t);
  const bool whole = spar.kind == SparKind::fullDepth;
  const bool pressedAbove = at.moment >= 0;
  for (const bool up : {true, false}) {
    const Cap cap = capAt(up ? spar.top : spar.bottom, share);
    if (!whole && !cap.fitted) continue;
    const Material& m = materialNamed(whole ? spar.sheetMaterial : cap.material);
    const double stress =
        section.bent.stress(std::abs(at.moment), up ? section.upperOuter : section.lowerOuter, m.modulus);
    const bool pressed = up == pressedAbove;
    keep(bay, {pressed ? BayCheck::What::compression : BayCheck::What::tension, stress,
               pressed ? m.compression : m.tension, at.load});
    if (!pressed || whole || !spar.top.fitted || !spar.bottom.fitted) continue; // a strip alone is bent, not pressed
    const bool heldUpright = spar.webs != Webs::none;
    const double x = line.middle.at(at.t).x();
    const ChordFrame f = loft.frameAt(at.t);
    const double edge = sheetEdgeAt(d, loft, up ? Face::upper : Face::lower, at.t);
    const bool heldAlong = edge > 0 && (x - f.le.x()) / f.chord <= edge + 1e-6;
    if (heldUpright && heldAlong) continue;
    const double least = heldUpright ? cap.width : heldAlong ? cap.depth : std::min(cap.width, cap.depth);
    keep(bay, {BayCheck::What::buckling, stress, eulerStress(m.modulus, least / std::sqrt(12.0), length), at.load});
  }
}

void checkWeb(const Spar& spar, const SparLine& line, const Place& at, SparBay& bay) {
  const auto deep = capMiddles(spar, line, at.t), root = capMiddles(spar, line, 0),
             end = capMiddles(spar, line, line.end);
  if (spar.webs == Webs::none || !deep || !root || !end || line.end <= 0) return;
  const double flow = std::abs(webShearFlow(at.shear, at.moment, *deep, (*end - *root) / line.end));
  keep(bay, {BayCheck::What::web, flow / spar.webThickness, materialNamed(spar.webMaterial).shearStrength, at.load});
  double weaker = materialNamed(spar.webMaterial).shearStrength;
  for (const Cap& cap : {capAt(spar.top, line.share(at.t)), capAt(spar.bottom, line.share(at.t))})
    weaker = std::min(weaker, materialNamed(cap.material).shearStrength);
  keep(bay, {BayCheck::What::glue, flow / spar.webThickness, weaker, at.load});
}

} // namespace

double eulerStress(double modulus, double radius, double length) {
  const double slender = length / radius;
  return std::numbers::pi * std::numbers::pi * modulus / (slender * slender);
}

const BayCheck* SparBay::weakest() const {
  const auto least = std::min_element(checks.begin(), checks.end(),
                                      [](const BayCheck& a, const BayCheck& b) { return a.reserve() < b.reserve(); });
  return least == checks.end() ? nullptr : &*least;
}

std::vector<SparBay> bayChecks(const PanelBrief& d, const PanelLoft& loft, const std::vector<SparLine>& spars,
                               const std::vector<Rib>& ribs, const std::vector<LoadCase>& cases) {
  std::vector<SparBay> out;
  for (std::size_t i = 1; i < ribs.size(); ++i) {
    const double from = ribs[i - 1].t(), to = ribs[i].t();
    std::vector<SparSection> sections;
    double sum = 0;
    for (const SparLine& line : spars) {
      sections.push_back(sparSection(d.spars[static_cast<std::size_t>(line.index)], line, from));
      sum += sections.back().bent.stiffness;
    }
    for (std::size_t k = 0; k < spars.size(); ++k) {
      const SparLine& line = spars[k];
      SparBay bay{line.index, static_cast<int>(i), from, to, {}};
      const double stiffness = sections[k].bent.stiffness;
      if (line.reaches(to) && stiffness > 0) { // in its last bay a spar that stops carries nothing to speak of
        const double share = stiffness / sum;
        for (const LoadCase& c : cases) {
          const Place at{from, share * c.load.moment(d.inboard + from), share * c.load.shear(d.inboard + from), c.what};
          checkCaps(d, loft, line, sections[k], at, (to - from) * line.stretch, bay);
          checkWeb(d.spars[static_cast<std::size_t>(line.index)], line, at, bay);
        }
      }
      out.push_back(std::move(bay));
    }
  }
  return out;
}

} // namespace eup
