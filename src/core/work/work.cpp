#include "core/design/validate.h"
#include "core/section/naca.h"
#include "core/work/report_parts.h"
#include "core/work/true_wing.h"

namespace eup {

const Figure* TrueWing::figure(std::string_view key) const {
  for (const Figure& f : figures)
    if (f.key == key) return &f;
  return nullptr;
}

Section sectionOf(const SectionChoice& choice) {
  if (const auto* listed = std::get_if<ListedSection>(&choice)) return makeSection(*listed);
  const auto naca = readNaca(std::get<NacaChoice>(choice).digits);
  assert(naca.ok()); // designs hold only digits that were read
  return makeNaca(naca.value());
}

std::variant<TrueWing, std::vector<Finding>> work(const Design& d) {
  if (auto contradictions = impossible(d); !contradictions.empty()) return contradictions;
  Section root = sectionOf(d.sections.root);
  Section tip = d.sections.tip == d.sections.root ? root : sectionOf(d.sections.tip);
  PanelLoft loft(d.panel, root, tip);
  TrueWing w{d, std::move(root), std::move(tip), {}, {}, std::move(loft), {}, {}, {}, {}, {}, {}, {}, {}};
  w.rootMeasures = measure(w.rootSection);
  w.tipMeasures = measure(w.tipSection);
  w.planform = planformOf(d.panel);
  w.spars = sparLines(d, w.loft);
  w.ribs = cutRibs(d, w.loft, w.spars);
  w.join = centreJoin(d, w.loft, w.spars, w.ribs);
  w.settingUp = settingUp(d, w.loft, w.rootSection, w.spars, w.ribs);
  w.strength = strengthOf(d, w.spars);
  w.figures = allFigures(w);
  w.findings = allFindings(w);
  return w;
}

} // namespace eup
