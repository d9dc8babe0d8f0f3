#include "core/design/validate.h"
#include "core/work/report_parts.h"
#include "core/work/true_wing.h"

namespace eup {

const Figure* TrueWing::figure(std::string_view key) const {
  for (const Figure& f : figures)
    if (f.key == key) return &f;
  return nullptr;
}

std::variant<TrueWing, std::vector<Finding>> work(const Design& d) {
  if (auto contradictions = impossible(d); !contradictions.empty()) return contradictions;
  ShapedSection root = shape(d.sections.root);
  ShapedSection tip = d.sections.tip == d.sections.root ? root : shape(d.sections.tip);
  PanelLoft loft(d.panel, root.section, tip.section);
  const Section rootSection = root.section, tipSection = tip.section;
  TrueWing w{d,
             d.plan.sheets.empty() ? JudgedPlan{} : judge(d.plan, d.unit),
             std::move(root),
             std::move(tip),
             rootSection,
             tipSection,
             {},
             {},
             std::move(loft),
             {},
             {},
             {},
             {},
             {},
             {},
             {},
             {}};
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
