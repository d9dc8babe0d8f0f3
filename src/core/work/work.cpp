#include "core/design/validate.h"
#include "core/work/report_parts.h"
#include "core/work/true_wing.h"
#include <algorithm>
#include <future>

namespace eup {
namespace {

/// A panel sees the one inside it: its root continues it and is joined to it.
TruePanel workPanel(PanelBrief d, const SpanLoad& load, const TruePanel* inside) {
  ShapedSection root = inside && d.panel.continues ? inside->tipShape : shape(d.sections.root);
  ShapedSection tip = d.sections.tip == d.sections.root ? root : shape(d.sections.tip);
  PanelLoft loft(d.panel, root.section, tip.section);
  const Section rootSection = root.section, tipSection = tip.section;
  TruePanel p{std::move(d),
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
              {},
              {},
              {},
              {},
              {}};
  p.rootMeasures = measure(p.rootSection);
  p.tipMeasures = measure(p.tipSection);
  p.spars = sparLines(p.design, p.loft);
  const std::vector<Passing> passing = passingThrough(p.design, p.loft, p.spars);
  p.ribs = cutRibs(p.design, p.loft, p.spars, passing);
  p.riblets = cutRiblets(p.design, p.loft, p.spars, p.ribs, passing);
  p.tip = tipShape(p.design, p.loft);
  const std::optional<Neighbour> neighbour =
      inside ? std::optional(Neighbour{inside->design, inside->loft, inside->spars, inside->ribs}) : std::nullopt;
  p.join = panelJoin(p.design, p.loft, p.spars, p.ribs, neighbour ? &*neighbour : nullptr);
  p.settingUp = settingUp(p.design, p.loft, p.rootSection, p.spars, p.ribs);
  p.joiner = joinerRod(p.design, p.loft, p.ribs, neighbour ? &*neighbour : nullptr);
  p.strength = strengthOf(p.design, p.spars, load);
  p.bays = bayChecks(p.design, p.loft, p.spars, p.ribs, load);
  const auto platesOf = [](const std::optional<Brace>& b) -> std::optional<BracePlates> {
    if (!b) return std::nullopt;
    const BraceLeg& shorter = b->inner.length < b->outer.length ? b->inner : b->outer;
    return BracePlates{b->depthRoot, shorter.length, (b->depthRoot + shorter.depthEnd) / 2};
  };
  const auto stiffnessOf = [](const Join& join, const std::optional<Brace>& b) {
    return b ? plateStiffness(join, b->depthRoot) : 0.0;
  };
  const double reach = p.joiner ? std::min(p.joiner->reach, p.joiner->reachInside) : 0;
  double share = 1;
  if (p.join.second) {
    const Join second = withSecondBrace(p.design.join);
    const double one = stiffnessOf(p.design.join, p.join.brace), other = stiffnessOf(second, p.join.second);
    share = one + other > 0 ? one / (one + other) : 0;
    p.secondStrength = joinStrength(p.design, second, load, platesOf(p.join.second), 1 - share, reach);
  }
  p.joinStrength = joinStrength(p.design, p.design.join, load, platesOf(p.join.brace), share, reach);
  return p;
}

WholeWing workWing(std::vector<PanelBrief> briefs) {
  WholeWing w;
  w.mirrored = briefs.front().mirrored;
  std::vector<Panel> shapes;
  std::vector<double> gammas;
  for (const PanelBrief& b : briefs) shapes.push_back(b.panel), gammas.push_back(b.gamma);
  w.planform = planformOf(shapes);
  w.effectiveDihedral = effectiveDihedral(shapes, gammas);
  w.inSpace = framesInSpace(briefs);
  const SpanLoad load = spanLoad(briefs);
  double slope = 0;
  w.panels.reserve(briefs.size()); // each panel is shown the one before it
  for (PanelBrief& b : briefs) {
    w.panels.push_back(workPanel(std::move(b), load, w.panels.empty() ? nullptr : &w.panels.back()));
    const TruePanel& p = w.panels.back();
    w.fromAbove += p.join.fromAbove;
    w.tipRise += p.join.rise;
    w.tipDeflection += slope * p.loft.span() + p.strength.tipDeflection;
    slope += p.strength.tipSlope;
  }
  return w;
}

} // namespace

const TruePanel& WholeWing::panelOfRib(int number) const {
  for (const TruePanel& p : panels)
    if (number <= p.ribs.back().number) return p;
  return panels.back();
}

const Figure* TrueWing::figure(std::string_view key) const {
  for (const Figure& f : figures)
    if (f.key == key) return &f;
  return nullptr;
}

std::variant<TrueWing, std::vector<Finding>> work(const Design& d) {
  if (auto contradictions = impossible(d); !contradictions.empty()) return contradictions;
  TrueWing w{d, d.plan.sheets.empty() ? JudgedPlan{} : judge(d.plan, d.unit), {}, {}, {}};
  for (std::size_t i = 0; i < d.wings.size(); ++i) w.wings.push_back(workWing(briefsOf(d, static_cast<int>(i))));
  // The twist tests take about as long as to write all other figures, and neither needs the other.
  auto tests = std::async(std::launch::async, [&w] {
    for (WholeWing& wing : w.wings)
      for (TruePanel& p : wing.panels)
        p.twist = frameTwist(p.design, p.loft, p.spars, p.ribs, p.riblets, p.design.flying.twistCouple);
  });
  w.figures = figuresButTwist(w);
  tests.get();
  addTwistFigures(w, w.figures);
  w.findings = allFindings(w);
  return w;
}

} // namespace eup
