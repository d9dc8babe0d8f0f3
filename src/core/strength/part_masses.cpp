#include "core/strength/part_masses.h"
#include "core/strength/spar_strength.h"
#include "core/strength/wing_frame.h"
#include <algorithm>
#include <array>
#include <numeric>

namespace eup {
namespace {

using What = PartMass::What;
constexpr std::size_t kinds = 8;
using Grams = std::array<double, kinds>; ///< by `PartMass::What`

double& of(Grams& g, What what) {
  return g[static_cast<std::size_t>(what)];
}

/// g/mm³
double heavy(const PanelBrief& d, std::string_view material) {
  return d.tables.named(material).density * 1e-6;
}

/// Cross-section, mm², of a strip of the leading or the trailing edge.
double leadingArea(const LeadingEdge& e, double depthBehind) {
  switch (e.kind) {
  case LeadingEdgeKind::none:
    return 0;
  case LeadingEdgeKind::onEdge:
    return e.width * e.width;
  case LeadingEdgeKind::square:
  case LeadingEdgeKind::shaped:
    break;
  }
  return 0.85 * e.width * depthBehind;
}
double trailingArea(const TrailingEdge& e, double depthBefore) {
  if (e.kind == TrailingEdgeKind::none) return 0;
  return e.kind == TrailingEdgeKind::wedge ? e.width * depthBefore / 2 : 2 * e.width * e.sheet;
}

/// Of what runs along the span, g/mm at a rib.
Grams runningAt(const PanelBrief& d, const PanelLoft& loft, const std::vector<SparLine>& spars, const Rib& rib) {
  Grams g{};
  const double t = std::clamp(rib.t(), 0.0, loft.span()), chord = loft.frameAt(t).chord;
  const auto depth = [&](double x) {
    const double f = std::clamp(x / chord, 0.0, 1.0);
    return std::max(loft.at(Face::upper, f, t).y() - loft.at(Face::lower, f, t).y(), 0.0);
  };
  of(g, What::leadingEdge) = leadingArea(d.leadingEdge, depth(d.leadingEdge.width)) * heavy(d, d.leadingEdge.material);
  of(g, What::trailingEdge) =
      trailingArea(d.trailingEdge, depth(chord - d.trailingEdge.width)) * heavy(d, d.trailingEdge.material);
  of(g, What::sheet) =
      (rib.upperRun.sheetArc + rib.lowerRun.sheetArc) * d.sheeting.thickness * heavy(d, d.sheeting.material);
  of(g, What::covering) = 2 * chord * d.tables.covering(d.stiffening.covering).areaWeight * 1e-6;
  for (const SparLine& line : spars) {
    const Spar& s = d.spars[static_cast<std::size_t>(line.index)];
    if (!line.reaches(t)) continue;
    if (s.kind == SparKind::fullDepth) {
      const double deep = line.upperSeat.at(t).y() - line.lowerSeat.at(t).y();
      of(g, What::spars) += std::max(deep, 0.0) * s.sheet * heavy(d, s.sheetMaterial) * line.stretch;
      continue;
    }
    for (const Cap& fitted : {s.top, s.bottom}) {
      const Cap cap = capAt(fitted, line.share(t));
      if (cap.fitted) of(g, What::spars) += capArea(cap) * heavy(d, cap.material) * line.stretch;
    }
    if (const auto deep = capMiddles(s, line, t))
      of(g, What::webs) += *deep * webWidthAt(s, line.share(t)) * heavy(d, s.webMaterial) * line.stretch;
  }
  return g;
}

/// Of a rib and its strips, g.
Grams ribGrams(const PanelBrief& d, const Rib& rib) {
  Grams g{};
  of(g, What::ribs) = rib.cutArea * rib.thickness * heavy(d, d.ribs.material);
  const CapStrips& c = d.capStrips;
  of(g, What::capStrips) = ((c.top ? rib.upperRun.capArc : 0) + (c.bottom ? rib.lowerRun.capArc : 0)) * c.thickness *
                           c.width * heavy(d, c.material);
  return g;
}

double sum(const Grams& g) {
  return std::accumulate(g.begin(), g.end(), 0.0);
}

} // namespace

double PanelMass::grams() const {
  double all = 0;
  for (const PartMass& p : parts) all += p.grams;
  return all;
}

PanelMass panelMass(const PanelBrief& d, const PanelLoft& loft, const std::vector<SparLine>& spars,
                    const std::vector<Rib>& ribs, const std::vector<Rib>& riblets) {
  PanelMass out;
  Grams all{};
  const auto count = [&](const Grams& g, double times) {
    for (std::size_t i = 0; i < kinds; ++i) all[i] += g[i] * times;
  };
  std::vector<Grams> running;
  for (const Rib& rib : ribs) {
    running.push_back(runningAt(d, loft, spars, rib));
    count(ribGrams(d, rib), 1);
  }
  for (std::size_t i = 1; i < ribs.size(); ++i) {
    const double from = ribs[i - 1].t(), to = ribs[i].t(), length = to - from;
    if (length <= 0) continue;
    count(running[i - 1], length / 2);
    count(running[i], length / 2);
    // A rib between two bays is shared by them.
    double lumps =
        sum(ribGrams(d, ribs[i - 1])) / (i == 1 ? 1 : 2) + sum(ribGrams(d, ribs[i])) / (i + 1 == ribs.size() ? 1 : 2);
    for (const Rib& rib : riblets) {
      if (rib.number != ribs[i - 1].number) continue;
      const Grams g = ribGrams(d, rib);
      count(g, 1);
      lumps += sum(g);
    }
    out.runs.push_back(
        {d.inboard + from, d.inboard + to, sum(running[i - 1]) + lumps / length, sum(running[i]) + lumps / length});
  }
  for (std::size_t i = 0; i < kinds; ++i)
    if (all[i] > 0) out.parts.push_back({static_cast<What>(i), all[i]});
  std::sort(out.parts.begin(), out.parts.end(), [](const PartMass& a, const PartMass& b) { return a.grams > b.grams; });
  return out;
}

} // namespace eup
