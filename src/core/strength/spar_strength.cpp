#include "core/strength/spar_strength.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

constexpr int bays = strengthSteps; // for the worst reserve and the deflection

/// The cap's upper or lower material so far along the spar; a sheet spar has one for both.
const Material& faceMaterial(const Spar& s, Face f, double share, const Tables& tables) {
  if (s.kind == SparKind::fullDepth) return tables.named(s.sheetMaterial);
  return tables.named(capAt(f == Face::upper ? s.top : s.bottom, share).material);
}

/// Wood at the outer face above and below there? Where a spar has one cap it has but one.
bool has(const Spar& s, Face f, double share) {
  return s.kind == SparKind::fullDepth || capAt(f == Face::upper ? s.top : s.bottom, share).fitted;
}

/// A cap under its upper edge, from the top down: a strip as it is, what is round in slices of their own true area.
void addCap(const Cap& cap, double top, double modulus, std::vector<Fibre>& to) {
  if (cap.shape == CapShape::strip) return to.push_back({top - cap.depth, top, cap.width, modulus});
  constexpr int slices = 16;
  const double high = cap.depth / slices;
  const auto above = [](double radius, double z) { // area of a circle under z
    const double at = std::clamp(z, -radius, radius);
    return radius > 0 ? at * std::sqrt(radius * radius - at * at) + radius * radius * std::asin(at / radius) : 0.0;
  };
  for (int i = 0; i < slices; ++i) {
    const double up = cap.depth / 2 - i * high, down = up - high;
    double area = above(cap.depth / 2, up) - above(cap.depth / 2, down);
    area -= above(boreOf(cap) / 2, up) - above(boreOf(cap) / 2, down);
    to.push_back({top - (i + 1) * high, top - i * high, area / high, modulus});
  }
}

std::optional<CapStress> capStress(const Spar& spar, const SparSection& section, double share, double moment,
                                   double pressed, Face f, const Tables& tables) {
  if (!has(spar, f, share) || section.bent.empty()) return std::nullopt;
  const Material& m = faceMaterial(spar, f, share, tables);
  CapStress c;
  const double outer = f == Face::upper ? section.upperOuter : section.lowerOuter;
  c.stress = section.bent.stress(std::abs(moment), outer, m.modulus);
  // A cap on its own, or both on one side of the axis, is bent: then both ways act at once and the weaker counts.
  const bool compressed = (f == Face::upper) == (moment >= 0);
  c.strength = compressed ? m.compression : m.tension;
  // Struts press the spar or pull it along: added where it makes things worse.
  c.stress += section.bent.pressedBy(std::max(compressed ? pressed : -pressed, 0.0), m.modulus);
  c.reserve = c.stress > 0 ? c.strength / c.stress : 1e9;
  return c;
}

} // namespace

/// A sheet spar between its slots, or as it is anywhere where `slotted`: the half that is left at a rib.
static SparSection sectionOf(const Spar& spar, const SparLine& line, double t, const Tables& tables,
                             const SheetSkin* skin, bool slotted) {
  SparSection s;
  if (!line.reaches(t)) return s;
  const double top = line.upperSeat.at(t).y(), bottom = line.lowerSeat.at(t).y();
  s.upperModulus = faceMaterial(spar, Face::upper, line.share(t), tables).modulus;
  s.lowerModulus = faceMaterial(spar, Face::lower, line.share(t), tables).modulus;
  if (spar.kind == SparKind::fullDepth) {
    // At every rib half of the depth is slotted away; the half that is left carries.
    const bool upperLeft = spar.ribSlot == SlotFrom::above;
    const double mid = slotted ? line.middle.at(t).y() : upperLeft ? -1e9 : 1e9;
    const bool whole = rescuedByStrip(spar);
    const double up = top - (whole ? 0 : missingOf(spar, true)), low = bottom + (whole ? 0 : missingOf(spar, false));
    s.upperOuter = upperLeft ? up : std::min(mid, up);
    s.lowerOuter = upperLeft ? std::max(mid, low) : low;
    if (s.depth() > 0) s.fibres.push_back({s.lowerOuter, s.upperOuter, spar.sheet, s.upperModulus});
  } else {
    const Cap upper = capAt(spar.top, line.share(t)), lower = capAt(spar.bottom, line.share(t));
    s.upperOuter = upper.fitted ? top : bottom + lower.depth;
    s.lowerOuter = lower.fitted ? bottom : top - upper.depth;
    if (upper.fitted) addCap(upper, top, s.upperModulus, s.fibres);
    if (lower.fitted) addCap(lower, bottom + lower.depth, s.lowerModulus, s.fibres);
  }
  if (!skin) {
    s.bent = bentSection(s.fibres);
    return s;
  }
  s.skin = skin->at(t);
  std::vector<Fibre> all = s.fibres;
  all.insert(all.end(), s.skin.begin(), s.skin.end());
  if (!s.fibres.empty()) s.bent = bentSection(all);
  return s;
}

SparSection sparSection(const Spar& spar, const SparLine& line, double t, const Tables& tables, const SheetSkin* skin) {
  return sectionOf(spar, line, t, tables, skin, true);
}

double slottedShare(const SparLine& line, double t, double depth) {
  const std::vector<SheetSlot>& slots = line.slots;
  if (slots.size() < 2) return slots.empty() ? 0 : 1;
  const auto middle = [](const SheetSlot& s) { return (s.from + s.to) / 2; };
  const auto next = std::find_if(slots.begin() + 1, slots.end() - 1, [&](const SheetSlot& s) { return middle(s) > t; });
  const SheetSlot &a = *(next - 1), &b = *next;
  const double between = middle(b) - middle(a), wide = (a.to - a.from + b.to - b.from) / 2;
  return between > 0 ? std::min((wide + slotReach * depth / line.stretch) / between, 1.0) : 1.0;
}

double bendingStiffness(const SparSection& atSlot, const Spar& spar, const SparLine& line, double t,
                        const Tables& tables, const SheetSkin* skin) {
  const double net = atSlot.bent.stiffness;
  if (spar.kind != SparKind::fullDepth || net <= 0) return net;
  const SparSection whole = sectionOf(spar, line, t, tables, skin, false);
  const double slotted = slottedShare(line, t, whole.depth());
  return 1 / ((1 - slotted) / whole.bent.stiffness + slotted / net);
}

double webShearFlow(double shear, double moment, double depth, double depthChange) {
  return (shear + moment * depthChange / depth) / depth;
}

double capMiddlesChange(const Spar& spar, const SparLine& line, double t) {
  const StraightLine &up = line.upperSeat, &low = line.lowerSeat;
  double change = (up.tip.y() - up.root.y() - low.tip.y() + low.root.y()) / up.span;
  for (const Cap& cap : {spar.top, spar.bottom})
    if (cap.tapers && cap.shape == CapShape::strip && line.end > 0 && line.share(t) >= cap.taperFrom)
      change -= (cap.tipDepth - cap.depth) / 2 / (line.end * (1 - cap.taperFrom));
  return change;
}

namespace {

/// The edges' strips at one step of the span, each with its share of the bending there.
void bendEdges(const PanelBrief& d, const std::vector<EdgeSpar>& edges, std::size_t step, double stiffness,
               const std::vector<LoadCase>& cases, const SpanLoad& rootLoad, std::vector<EdgeStrength>& out) {
  const double t = d.panel.span * static_cast<double>(step) / bays;
  for (std::size_t i = 0; i < edges.size(); ++i) {
    const EdgeSection& here = edges[i].along[step];
    const Material& m = edges[i].material;
    EdgeStrength& e = out[i];
    if (here.inertia <= 0) continue;
    const auto stressAt = [&](double moment, double z) { return std::abs(moment) / stiffness * m.modulus * z; };
    if (step == 0) {
      e.share = m.modulus * here.inertia / stiffness;
      e.stress = stressAt(rootLoad.moment(d.inboard), std::max(here.above, here.below));
    }
    for (const LoadCase& c : cases) {
      const double moment = c.load.moment(d.inboard + t);
      for (const bool up : {true, false}) {
        const double stress = stressAt(moment, up ? here.above : here.below),
                     holds = up == (moment >= 0) ? m.compression : m.tension;
        if (stress > 0 && holds / stress < e.worstReserve)
          e.worstReserve = holds / stress, e.worstAt = t, e.worstCase = c.what;
      }
    }
  }
}

} // namespace

Strength strengthOf(const PanelBrief& d, const std::vector<SparLine>& lines, const SheetSkin& skin,
                    const std::vector<EdgeSpar>& edges, const std::vector<LoadCase>& cases) {
  Strength out;
  out.edges.reserve(edges.size());
  for (const EdgeSpar& e : edges) {
    out.edges.push_back({e.leading});
    out.rootStiffness += e.material.modulus * e.along.front().inertia;
  }
  out.worst = worstAt(cases, d.inboard);
  out.load = out.worst.load;
  const SpanLoad& load = out.load;
  for (const SparLine& line : lines) {
    SparStrength s;
    s.spar = line.index;
    s.root = sparSection(d.spars[static_cast<std::size_t>(line.index)], line, 0, d.tables, skinOf(line, skin));
    s.worstReserve = 1e9;
    s.along.resize(bays + 1);
    out.rootStiffness +=
        bendingStiffness(s.root, d.spars[static_cast<std::size_t>(line.index)], line, 0, d.tables, skinOf(line, skin));
    out.spars.push_back(s);
  }
  const double step = d.panel.span / bays;
  double slope = 0, sag = 0, before = 0;
  std::vector<SparSection> sections(lines.size());
  std::vector<double> stiff(lines.size()); // of each
  std::vector<double> moments(cases.size()), presses(cases.size());
  for (int k = 0; k <= bays; ++k) {
    const double t = step * k, moment = load.moment(d.inboard + t), press = load.pressed(d.inboard + t);
    BentPlace place;
    place.t = t;
    for (std::size_t i = 0; i < lines.size(); ++i) {
      sections[i] =
          sparSection(d.spars[static_cast<std::size_t>(lines[i].index)], lines[i], t, d.tables, skinOf(lines[i], skin));
      stiff[i] = bendingStiffness(sections[i], d.spars[static_cast<std::size_t>(lines[i].index)], lines[i], t, d.tables,
                                  skinOf(lines[i], skin));
      place.stiffness += stiff[i];
    }
    for (const EdgeSpar& e : edges)
      place.stiffness += e.material.modulus * e.along[static_cast<std::size_t>(k)].inertia;
    if (place.stiffness > 0) bendEdges(d, edges, static_cast<std::size_t>(k), place.stiffness, cases, load, out.edges);
    if (place.stiffness <= 0) {
      if (!out.bareFrom) out.bareFrom = t;
      if (out.rootStiffness > 0) before = 0; // what bends there is held by edges and sheet, which is not reckoned
      if (k > 0) sag += slope * step;
      place.sag = sag, place.slope = slope;
      out.along.push_back(place);
      continue;
    }
    for (std::size_t c = 0; c < cases.size(); ++c)
      moments[c] = cases[c].load.moment(d.inboard + t), presses[c] = cases[c].load.pressed(d.inboard + t);
    for (std::size_t i = 0; i < lines.size(); ++i) {
      const Spar& spar = d.spars[static_cast<std::size_t>(lines[i].index)];
      SparStrength& s = out.spars[i];
      const double share = stiff[i] / place.stiffness;
      const double along = lines[i].share(t);
      if (k == 0) {
        s.share = share, s.moment = moment * share;
        s.upper = capStress(spar, sections[i], along, moment * share, press * share, Face::upper, d.tables);
        s.lower = capStress(spar, sections[i], along, moment * share, press * share, Face::lower, d.tables);
        if (const auto root = capMiddles(spar, lines[i], 0)) {
          s.webDepth = *root;
          s.webDepthChange = capMiddlesChange(spar, lines[i], 0);
          s.webFlow = webShearFlow(load.shear(d.inboard) * share, s.moment, s.webDepth, s.webDepthChange);
        }
      }
      for (std::size_t c = 0; c < cases.size(); ++c)
        for (const Face f : {Face::upper, Face::lower}) {
          const auto stress = capStress(spar, sections[i], along, moments[c] * share, presses[c] * share, f, d.tables);
          if (!stress) continue;
          double& here = f == Face::upper ? s.along[static_cast<std::size_t>(k)].upper
                                          : s.along[static_cast<std::size_t>(k)].lower;
          here = std::min(here, stress->reserve);
          if (stress->reserve < s.worstReserve)
            s.worstReserve = stress->reserve, s.worstAt = t, s.worstCase = cases[c].what;
        }
    }
    const double bend = moment / place.stiffness;
    if (k > 0) { // trapezium over each step; the slope's own curve inside the step counted
      sag += slope * step + (2 * before + bend) / 6 * step * step;
      slope += (before + bend) / 2 * step;
    }
    before = bend;
    place.sag = sag, place.slope = slope;
    out.along.push_back(place);
  }
  out.tipDeflection = sag;
  out.tipSlope = slope;
  return out;
}

} // namespace eup
