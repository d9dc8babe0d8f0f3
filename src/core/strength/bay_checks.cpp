#include "core/strength/bay_checks.h"
#include "core/strength/cap_on_core.h"
#include "core/strength/plate_buckling.h"
#include "core/strength/spar_strength.h"
#include <algorithm>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

struct Place {
  double t, moment, shear, pressed; ///< of this spar
  LoadCase::What load;
};

void checkCaps(const PanelBrief& d, const PanelLoft& loft, const SparLine& line, const SparSection& section,
               const Place& at, double length, SparBay& bay) {
  const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
  const double share = line.share(at.t);
  const bool whole = spar.kind == SparKind::fullDepth;
  const bool pressedAbove = at.moment >= 0;
  for (const bool up : {true, false}) {
    const Cap cap = capAt(up ? spar.top : spar.bottom, share);
    if (!whole && !cap.fitted) continue;
    const Material& m = d.tables.named(whole ? spar.sheetMaterial : cap.material);
    const bool pressed = up == pressedAbove;
    const double stress =
        section.bent.stress(std::abs(at.moment), up ? section.upperOuter : section.lowerOuter, m.modulus) +
        section.bent.pressedBy(std::max(pressed ? at.pressed : -at.pressed, 0.0), m.modulus);
    keep(bay, {pressed ? BayCheck::What::compression : BayCheck::What::tension, stress,
               pressed ? m.compression : m.tension, at.load});
    if (!pressed || whole || !capAt(spar.top, share).fitted || !capAt(spar.bottom, share).fitted)
      continue; // a strip alone is bent, not pressed
    if (const std::string* under = coreUnder(d, spar)) {
      const Material& core = d.tables.named(*under);
      keep(bay, {BayCheck::What::buckling, stress, wrinkling(m.modulus, core.modulus, core.shear), at.load, true});
      continue;
    }
    const bool heldUpright = spar.webs != Webs::none;
    const double x = line.middle.at(at.t).x();
    const ChordFrame f = loft.frameAt(at.t);
    const double edge = sheetEdgeAt(d, loft, up ? Face::upper : Face::lower, at.t);
    const bool heldAlong = edge > 0 && (x - f.le.x()) / f.chord <= edge + 1e-6;
    if (heldUpright && heldAlong) continue;
    const double least = heldUpright ? cap.width : heldAlong ? cap.depth : std::min(cap.width, cap.depth);
    const double radius =
        cap.shape == CapShape::strip ? least / std::sqrt(12.0) : std::hypot(cap.depth, boreOf(cap)) / 4;
    keep(bay, {BayCheck::What::buckling, stress, eulerStress(m.modulus, radius, length), at.load});
  }
}

void checkWeb(const PanelBrief& d, const SparLine& line, const Place& at, double length, SparBay& bay) {
  const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
  const double share = line.share(at.t), width = webWidthAt(spar, share);
  const auto deep = capMiddles(spar, line, at.t);
  if (width <= 0 || !deep) return;
  const Cap upper = capAt(spar.top, share), lower = capAt(spar.bottom, share);
  const Material& m = d.tables.named(spar.webMaterial);
  const double stress = std::abs(webShearFlow(at.shear, at.moment, *deep, capMiddlesChange(spar, line, at.t))) / width;
  keep(bay, {BayCheck::What::web, stress, m.shearStrength, at.load});
  double weaker = std::min(m.shearStrength, d.tables.glue(d.glue).shearStrength);
  for (const Cap& cap : {upper, lower}) weaker = std::min(weaker, d.tables.named(cap.material).shearStrength);
  double glued = width;
  if (spar.webs == Webs::between && spar.websOn != WebsOn::between) // on the caps' faces, but for what it is short of
    glued = std::max(std::min(upper.depth, lower.depth) - spar.webShort, 0.05);
  keep(bay, {BayCheck::What::glue, stress * width / glued, weaker, at.load});
  const double clear = *deep - (upper.depth + lower.depth) / 2;
  if (spar.webs == Webs::core || clear <= 0) return;
  const bool upright = spar.webGrain == Grain::upright;
  const Plate plate{upright ? m.across : m.modulus, upright ? m.modulus : m.across, m.shear, width};
  keep(bay, {BayCheck::What::webBuckling, stress, shearBuckling(plate, length, clear), at.load});
}

/// How far the strips at the panel's edges lie from the axis that it is bent about, and what that strains them.
void checkEdges(const PanelBrief& d, const PanelLoft& loft, const BentSection& bent, const Place& at, bool ownTail,
                SparBay& bay) {
  const double chord = loft.frameAt(at.t).chord, bend = at.moment / bent.stiffness; // 1/mm
  const auto check = [&](BayCheck::What what, double from, double to, const std::string& material) {
    double high = -1e300, low = 1e300;
    for (const double x : {from, to}) {
      const double f = std::clamp(x / chord, 0.0, 1.0);
      high = std::max(high, loft.at(Face::upper, f, at.t).y());
      low = std::min(low, loft.at(Face::lower, f, at.t).y());
    }
    const Material& m = d.tables.named(material);
    for (const double z : {high, low}) {
      const double strain = bend * (z - bent.axis); // pressed positive
      keep(bay, {what, std::abs(strain) * m.modulus, strain > 0 ? m.compression : m.tension, at.load});
    }
  };
  if (d.leadingEdge.kind != LeadingEdgeKind::none)
    check(BayCheck::What::leadingEdge, 0, d.leading.onRib(), d.leadingEdge.material);
  if (ownTail && d.trailingEdge.kind != TrailingEdgeKind::none)
    check(BayCheck::What::trailingEdge, chord - d.trailing.onRib(), chord, d.trailingEdge.material);
}

void checkSheet(const PanelBrief& d, const SparSection& section, const SheetSkin& skin, const Place& at, double length,
                SparBay& bay) {
  if (section.skin.empty()) return;
  for (std::size_t i = 0; i < section.skin.size(); ++i) {
    const Fibre& f = section.skin[i];
    const SheetRun& sheet = *d.sheeting.on(skin.faces[i / SheetSkin::stripsOfFace] == Face::upper);
    const Material& m = d.tables.named(sheet.material);
    const Material& foam = d.tables.named(d.foam.material);
    const double holds = d.built == Built::foam ? wrinkling(m.modulus, foam.modulus, foam.shear)
                                                : pressedSheetBuckling({m.modulus, m.across, m.shear, sheet.thickness},
                                                                       length, skin.radius);
    const double z = (f.low + f.high) / 2, stress = section.bent.stress(std::abs(at.moment), z, m.modulus);
    const bool pressed = (z > section.bent.axis) == (at.moment >= 0);
    keep(bay, {BayCheck::What::sheet, stress, pressed ? m.compression : m.tension, at.load});
    if (pressed) keep(bay, {BayCheck::What::sheetBuckling, stress, holds, at.load, d.built == Built::foam});
  }
}

/// Where a bay is checked: at its inner end, and just beyond where a cap ends in it.
std::vector<double> placesIn(const PanelBrief& d, const std::vector<SparLine>& spars, double from, double to) {
  std::vector<double> out{from};
  for (const SparLine& line : spars) {
    const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
    for (const Cap& cap : {spar.top, spar.bottom}) {
      constexpr double hair = 1e-6; // mm
      const double t = cap.dropsAt * line.end + hair;
      if (spar.kind == SparKind::caps && cap.fitted && cap.drops && t > from && t < to) out.push_back(t);
    }
  }
  return out;
}

} // namespace

const char* wordsOf(const BayCheck& check) {
  switch (check.what) {
  case BayCheck::What::compression:
    return "pressing of a cap";
  case BayCheck::What::tension:
    return "pulling of a cap";
  case BayCheck::What::buckling:
    return check.onCore ? "wrinkling of a cap on its core" : "buckling of a cap between ribs";
  case BayCheck::What::web:
    return "shear of a web";
  case BayCheck::What::webBuckling:
    return "buckling of a web";
  case BayCheck::What::glue:
    return "a web's glue line";
  case BayCheck::What::leadingEdge:
    return "bending of the leading edge";
  case BayCheck::What::trailingEdge:
    return "bending of the trailing edge";
  case BayCheck::What::sheet:
    return "bending of the sheet";
  case BayCheck::What::sheetBuckling:
    return check.onCore ? "wrinkling of the skin on its core" : "buckling of the sheet";
  case BayCheck::What::sheetTwist:
    return "shear of the twisted nose";
  case BayCheck::What::sheetTwistBuckling:
    return "buckling of the twisted nose";
  case BayCheck::What::brace:
    return "bending of the brace";
  case BayCheck::What::braceGlue:
    return "the brace's glue";
  case BayCheck::What::joiner:
    return "bending of the joiner";
  case BayCheck::What::socket:
    return "pressing of the joiner in its socket";
  case BayCheck::What::ribs:
    return "crushing of ribs by the joiner";
  }
  return "";
}

void keep(SparBay& bay, const BayCheck& check) {
  for (BayCheck& c : bay.checks)
    if (c.what == check.what) {
      if (check.reserve() < c.reserve()) c = check;
      return;
    }
  bay.checks.push_back(check);
}

double eulerStress(double modulus, double radius, double length) {
  const double slender = length / radius;
  return std::numbers::pi * std::numbers::pi * modulus / (slender * slender);
}

const BayCheck* SparBay::weakest() const {
  const auto least = std::min_element(checks.begin(), checks.end(),
                                      [](const BayCheck& a, const BayCheck& b) { return a.reserve() < b.reserve(); });
  return least == checks.end() ? nullptr : &*least;
}

std::vector<SparBay> bayChecks(const PanelBrief& d, const PanelLoft& loft, const Frame& frame, const SheetSkin& skin,
                               const std::vector<LoadCase>& cases, std::optional<int> only) {
  const std::vector<SparLine>& spars = frame.spars;
  const std::vector<Rib>& ribs = frame.ribs;
  const WingsOwn own(d, loft);
  std::vector<SparBay> out;
  for (std::size_t i = 1; i < ribs.size(); ++i) {
    const double from = ribs[i - 1].t(), to = ribs[i].t();
    const std::size_t first = out.size();
    for (const SparLine& line : spars)
      if (!only || *only == line.index) out.push_back({line.index, static_cast<int>(i), from, to, {}});
    for (const double t : placesIn(d, spars, from, to)) {
      std::vector<SparSection> sections;
      std::vector<double> stiff; // of each over its slots
      double sum = 0;
      for (const SparLine& line : spars) {
        const Spar& spar = d.spars[static_cast<std::size_t>(line.index)];
        sections.push_back(sparSection(spar, line, t, d.tables, skinOf(line, skin)));
        stiff.push_back(bendingStiffness(sections.back(), spar, line, t, d.tables, skinOf(line, skin)));
        sum += stiff.back();
      }
      std::size_t bay = first;
      bool edges = !only; // bend with the first spar that is there
      for (std::size_t k = 0; k < spars.size(); ++k) {
        const SparLine& line = spars[k];
        if (only && *only != line.index) continue;
        SparBay& into = out[bay++];
        const double stiffness = stiff[k];
        // In its last bay a spar that stops carries nothing to speak of.
        if (!line.reaches(to) || stiffness <= 0) continue;
        const double share = stiffness / sum;
        for (const LoadCase& c : cases) {
          const Place at{t, share * c.load.moment(d.inboard + t), share * c.load.shear(d.inboard + t),
                         share * c.load.pressed(d.inboard + t), c.what};
          const double length = (to - from) * line.stretch;
          checkCaps(d, loft, line, sections[k], at, length, into);
          checkWeb(d, line, at, length, into);
          if (edges) checkEdges(d, loft, sections[k].bent, at, !own.cutAt((from + to) / 2), into);
          if (k == 0) checkSheet(d, sections[k], skin, at, to - from, into);
        }
        edges = false;
      }
    }
  }
  return out;
}

void checkTwistedSheet(const PanelBrief& d, const NoseBox& box, double torque, double length, SparBay& bay) {
  if (box.area <= 0 || torque == 0) return;
  for (const bool top : {true, false}) { // the same flow goes through both
    const SheetRun* sheet = d.sheeting.on(top);
    if (!sheet) continue;
    const Material& m = d.tables.named(sheet->material);
    const double thick = sheet->thickness, stress = std::abs(torque) / (2 * box.area * thick),
                 face = (box.wall - box.webDepth) / 2;
    keep(bay, {BayCheck::What::sheetTwist, stress, m.shearStrength, LoadCase::What::dive});
    if (face > 0)
      keep(bay, {BayCheck::What::sheetTwistBuckling, stress,
                 shearBuckling({m.modulus, m.across, m.shear, thick}, length, face), LoadCase::What::dive});
  }
}

} // namespace eup
