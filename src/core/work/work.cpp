#include "core/design/validate.h"
#include "core/geometry/in_parallel.h"
#include "core/work/report_parts.h"
#include "core/work/true_wing.h"
#include <algorithm>

namespace eup {
namespace {

/// A panel sees the one inside it: its root continues it and is joined to it.
TruePanel workPanel(PanelBrief d, const TruePanel* inside) {
  ShapedSection root = inside && d.panel.continues ? inside->tipShape : shape(d.sections.root);
  ShapedSection tip = d.sections.tip == d.sections.root ? root : shape(d.sections.tip);
  PanelLoft loft(d.panel, root.section, tip.section);
  TruePanel p(std::move(d), std::move(root), std::move(tip), std::move(loft));
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
  p.parts = partsOf(p.design, p.loft, p.spars, p.ribs, p.riblets, p.tip);
  p.mass = panelMass(p.parts, p.ribs, p.design.inboard);
  p.skin = sheetSkin(p.design, p.loft, p.ribs);
  p.noseBox = noseBoxOf(p.design, p.loft, p.ribs.front());
  return p;
}

/// What holds the join, in the panel's first bay, of the spar that it lies on.
void addJoinChecks(TruePanel& p, const JoinStrength& s, int spar) {
  SparBay* first = nullptr;
  for (SparBay& bay : p.bays)
    if (bay.bay == 1 && (!first || bay.spar == spar)) first = &bay;
  if (!first) return;
  const LoadCase::What load = p.strength.worst.what;
  const auto add = [&](BayCheck::What what, double stress, double reserve) {
    if (stress > 0) keep(*first, {what, stress, stress * reserve, load});
  };
  add(BayCheck::What::brace, s.braceStress, s.braceReserve);
  add(BayCheck::What::braceGlue, s.glueStress, s.glueReserve);
  add(BayCheck::What::joiner, s.rodStress, s.rodReserve);
  add(BayCheck::What::socket, s.bearing, s.socketReserve);
  if (s.crushArea > 0) add(BayCheck::What::ribs, s.crushForce / s.crushArea, s.crushReserve);
}

/// Its strength, when the loads of the whole wing are known.
void loadPanel(TruePanel& p, const std::vector<LoadCase>& cases) {
  p.strength = strengthOf(p.design, p.spars, p.skin, cases);
  p.bays = bayChecks(p.design, p.loft, p.spars, p.ribs, p.skin, cases);
  const SpanLoad& load = p.strength.load;
  const auto platesOf = [](const std::optional<Brace>& b) -> std::optional<BracePlates> {
    if (!b) return std::nullopt;
    const BraceLeg& shorter = b->inner.length < b->outer.length ? b->inner : b->outer;
    return BracePlates{b->depthRoot, shorter.length, (b->depthRoot + shorter.depthEnd) / 2};
  };
  const auto stiffnessOf = [&](const Join& join, const std::optional<Brace>& b) {
    return b ? plateStiffness(join, b->depthRoot, p.design.tables) : 0.0;
  };
  const double reach = p.joiner ? std::min(p.joiner->reach, p.joiner->reachInside) : 0;
  double share = 1;
  if (p.join.second) {
    const Join second = withSecondBrace(p.design.join);
    const double one = stiffnessOf(p.design.join, p.join.brace), other = stiffnessOf(second, p.join.second);
    share = one + other > 0 ? one / (one + other) : 0;
    p.secondStrength = joinStrength(p.design, second, load, platesOf(p.join.second), 1 - share, reach);
    addJoinChecks(p, p.secondStrength, second.braceSpar - 1);
  }
  p.joinStrength = joinStrength(p.design, p.design.join, load, platesOf(p.join.brace), share, reach);
  addJoinChecks(p, p.joinStrength, p.design.join.braceSpar - 1);
}

/// Even ones, each panel as stiff all along as its twist test says, where it has been made.
std::vector<TwistStrip> stripsOf(const WholeWing& w) {
  std::vector<TwistStrip> strips;
  for (const TruePanel& p : w.panels) {
    const double root = meanLineMoment(p.rootSection), tip = meanLineMoment(p.tipSection), span = p.loft.span();
    const Flying& f = p.design.flying;
    const double ahead = p.noseBox ? p.noseBox->ahead.value_or(0) / p.loft.frameAt(0).chord : 0;
    constexpr int steps = 12; // a panel
    for (int i = 0; i < steps; ++i) {
      const double from = span * i / steps, to = span * (i + 1) / steps, middle = (from + to) / 2;
      const ChordFrame frame = p.loft.frameAt(middle);
      TwistStrip s{p.design.inboard + from,
                   p.design.inboard + to,
                   frame.chord,
                   p.twist ? p.twist->stiffness : 0,
                   twistAxis(p.design, p.spars, frame, ahead),
                   root + (tip - root) * middle / span,
                   0};
      if (f.aileronChord > 0 && (s.from + s.to) / 2 > f.aileronFrom * w.planform.halfSpan && w.mirrored)
        s.aileron = f.aileronChord;
      strips.push_back(s);
    }
  }
  return strips;
}

/// Needs the twist tests of all panels.
std::optional<SoftWing> softWingOf(const WholeWing& w) {
  for (const TruePanel& p : w.panels)
    if (!p.twist || p.twist->stiffness <= 0) return std::nullopt;
  return softWing(stripsOf(w), liftSlope(w.planform.aspect), w.panels.front().design.flying.diveSpeed);
}

/// Whether something upright stands at the spar all along the bay.
bool closesNose(const TruePanel& p, const SparBay& bay) {
  const auto k = static_cast<std::size_t>(bay.spar);
  const Spar& spar = p.design.spars[k];
  return spar.kind == SparKind::fullDepth || webWidthAt(spar, p.spars[k].share(bay.to)) > 0;
}

/// What a dive does to the sheet of noses that a web closes.
void addDiveChecks(WholeWing& w) {
  const double speed = w.panels.front().design.flying.diveSpeed;
  if (speed <= 0) return;
  const std::vector<TwistStrip> strips = stripsOf(w);
  for (TruePanel& p : w.panels)
    for (SparBay& bay : p.bays)
      if (p.noseBox && p.noseBox->spar == bay.spar && closesNose(p, bay))
        if (const auto box = noseBoxOf(p.design, p.loft, p.ribs[static_cast<std::size_t>(bay.bay - 1)]))
          checkTwistedSheet(p.design, *box, sectionTorque(strips, speed, p.design.inboard + bay.from),
                            bay.to - bay.from, bay);
}

/// Without its loads.
WholeWing workWing(std::vector<PanelBrief> briefs) {
  WholeWing w;
  w.mirrored = briefs.front().mirrored;
  std::vector<Panel> shapes;
  std::vector<double> gammas;
  for (const PanelBrief& b : briefs) shapes.push_back(b.panel), gammas.push_back(b.gamma);
  w.planform = planformOf(shapes);
  w.effectiveDihedral = effectiveDihedral(shapes, gammas);
  w.inSpace = framesInSpace(briefs);
  w.panels.reserve(briefs.size()); // each panel is shown the one before it
  for (PanelBrief& b : briefs) {
    w.panels.push_back(workPanel(std::move(b), w.panels.empty() ? nullptr : &w.panels.back()));
    const TruePanel& p = w.panels.back();
    w.fromAbove += p.join.fromAbove;
    w.tipRise += p.join.rise;
  }
  return w;
}

/// `gust` is the whole model's load factor in a gust.
void loadWing(WholeWing& w, double gust) {
  std::vector<PanelBrief> briefs;
  std::vector<LinearRun> mass;
  for (const TruePanel& p : w.panels) {
    briefs.push_back(p.design);
    mass.insert(mass.end(), p.mass.runs.begin(), p.mass.runs.end());
  }
  w.loads = loadCases(briefs, mass, gust);
  double slope = 0;
  for (TruePanel& p : w.panels) {
    loadPanel(p, w.loads);
    w.tipDeflection += slope * p.loft.span() + p.strength.tipDeflection;
    slope += p.strength.tipSlope;
  }
  addDiveChecks(w);
}

} // namespace

const TruePanel& WholeWing::panelOfRib(int number) const {
  for (const TruePanel& p : panels)
    if (number <= p.ribs.back().number) return p;
  return panels.back();
}

const std::vector<Figure>& TrueWing::figures(Stage stage) const {
  Told& told = *written;
  const auto k = static_cast<std::size_t>(stage);
  std::call_once(told.once[k], [&] { told.figures[k] = figuresOf(*this, stage); });
  return told.figures[k];
}

std::vector<Figure> TrueWing::figures() const {
  std::vector<Figure> all;
  for (const Stage stage : allStages) {
    const std::vector<Figure>& some = figures(stage);
    all.insert(all.end(), some.begin(), some.end());
  }
  return all;
}

const Figure* TrueWing::figure(std::string_view key) const {
  for (const Stage stage : allStages)
    for (const Figure& f : figures(stage))
      if (f.key == key) return &f;
  return nullptr;
}

std::variant<TrueWing, std::vector<Finding>> work(const Design& d) {
  if (auto contradictions = impossible(d); !contradictions.empty()) return contradictions;
  TrueWing w;
  w.design = d;
  if (!d.plan.sheets.empty()) w.plan = judge(d.plan, d.unit);
  for (std::size_t i = 0; i < d.wings.size(); ++i) w.wings.push_back(workWing(briefsOf(d, static_cast<int>(i))));
  const Planform& main = w.wings.front().planform;
  w.gustFactor = gustFactor(d.flying.mass, d.flying.gust, d.flying.airSpeed, main.area, main.meanChord, main.aspect);
  for (WholeWing& wing : w.wings) loadWing(wing, w.gustFactor);
  std::vector<TruePanel*> panels;
  for (WholeWing& wing : w.wings)
    for (TruePanel& p : wing.panels) panels.push_back(&p);
  const auto twists = madeInParallel(
      panels.size(),
      [&](std::size_t i) {
        const TruePanel& p = *panels[i];
        return frameTwist(p.design, p.loft, p.spars, p.ribs, p.riblets, p.design.flying.twistCouple);
      },
      2);
  for (std::size_t i = 0; i < panels.size(); ++i) panels[i]->twist = twists[i];
  for (WholeWing& wing : w.wings) wing.soft = softWingOf(wing);
  w.findings = allFindings(w);
  return w;
}

} // namespace eup
