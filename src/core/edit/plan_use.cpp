#include "core/edit/plan_use.h"
#include "core/described/decisions.h"
#include "core/described/describe.h"
#include "core/design/lasting.h"
#include "core/design/panel_brief.h"
#include "core/edit/renumber.h"
#include "core/edit/wing_edit.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <map>
#include <span>

namespace eup {

std::vector<Change> changesBetween(const Design& before, const Design& after) {
  std::map<std::string, Decision> old;
  for (Decision& d : decisionsOf(before)) old.emplace(d.path, d);
  const auto words = [](const Decision& d) { return d.unit.empty() ? d.text : d.text + " " + d.unit; };
  std::vector<Change> out;
  for (const Decision& d : decisionsOf(after)) {
    const auto was = old.find(d.path);
    const bool had = was != old.end() && was->second.applies;
    const std::string from = had ? words(was->second) : "", to = d.applies ? words(d) : "";
    if (from != to && d.applies && !d.follows && !(had && was->second.follows))
      out.push_back({d.path, nameOf(after, d), from, to});
    if (was != old.end()) old.erase(was);
  }
  for (const auto& [path, d] : old)
    if (d.applies) out.push_back({path, nameOf(before, d), words(d), ""});
  return out;
}

namespace {

/// Writes what was read of one panel into the design, keeping to the decisions' limits.
class PanelTaker {
public:
  PanelTaker(Changed& into, PanelId of) : out(into), d(into.design), id(of) {}

  void take(const PlanLayout& l) {
    set("panel.span", l.halfSpan);
    if (id.panel == 0) set("panel.rootChord", l.rootChord); // further out it is the tip of the panel inside
    set("panel.tipChord", l.tipChord);
    set("panel.tipSetback", l.tipSetback);
    Ribs& ribs = d.at(id).ribs;
    if (l.evenRibs && *l.evenRibs >= 2 && *l.evenRibs <= mostRibs) {
      ribs.rule = RibRule::count;
      ribs.count = *l.evenRibs;
    } else if (l.stations && l.stations->size() >= 2 && l.stations->size() <= static_cast<std::size_t>(mostRibs)) {
      ribs.rule = RibRule::stations;
      ribs.stations.clear();
      for (double t : *l.stations) ribs.stations.push_back(std::round(t * 100) / 100);
      ribs.stations.front() = 0;
      ribs.stations.back() = d.at(id).panel.span;
    }
    set("ribs.thickness", l.thickness);
    set("ribs.rootThickness", l.rootThickness);
    set("ribs.tipThickness", l.tipThickness);
    for (const PlanLayout::Line& line : l.spars) takeSpar(line);
    for (const PlanLayout::Hinge& hinge : l.hinges) takeHinge(hinge);
  }

private:
  void set(const char* within, const std::optional<double>& value) {
    if (!value) return;
    const std::string path = pathOf(id) + within;
    const auto decision = decisionAt(d, path);
    if (*value < decision->limits.low || *value > decision->limits.high) {
      out.notes.push_back(fmt::format("{} was read as {}, which it cannot be; it stays.", decision->label,
                                      told(*value, Quantity::length, d.unit)));
      return;
    }
    // A hundredth of a millimetre is finer than any reading.
    d = decideValue(d, path, std::round(*value * 100) / 100).value();
  }

  void takeSpar(const PlanLayout::Line& line) {
    if (line.number > mostSpars) {
      out.notes.push_back(fmt::format("Spar {} was read; {} spars can be laid.", line.number, mostSpars));
      return;
    }
    std::vector<Spar>& spars = d.at(id).spars;
    while (static_cast<int>(spars.size()) < line.number) {
      Spar spar;
      spar.name = fmt::format("spar {}", spars.size() + 1);
      spars.push_back(spar);
    }
    Spar& spar = spars[static_cast<std::size_t>(line.number - 1)];
    const auto fraction = [](double f) { return std::clamp(std::round(f * 10000) / 10000, 0.02, 0.98); };
    spar.rootFraction = fraction(line.rootFraction);
    spar.tipFraction = fraction(line.tipFraction);
  }

  /// Lines are numbered through the panel as its surfaces are.
  void takeHinge(const PlanLayout::Hinge& read) {
    std::vector<Surface>& surfaces = d.at(id).surfaces;
    if (read.number > mostSurfaces) {
      out.notes.push_back(fmt::format("Hinge line {} was read; {} surfaces can be laid.", read.number, mostSurfaces));
      return;
    }
    while (static_cast<int>(surfaces.size()) < read.number)
      surfaces.push_back(
          newSurface(d.at(id), SurfaceKind::aileron, d.wings.at(static_cast<std::size_t>(id.wing)).kind));
    Surface& s = surfaces[static_cast<std::size_t>(read.number - 1)];
    const auto mm = [](double v) { return std::round(v * 100) / 100; };
    const auto fraction = [](double f) { return std::clamp(std::round(f * 10000) / 10000, 0.02, 0.97); };
    s.by = HingeBy::chord, s.from = mm(read.from), s.to = mm(read.to);
    s.chordFrom = fraction(read.fractionFrom), s.chordTo = fraction(read.fractionTo);
  }

  Changed& out;
  Design& d;
  PanelId id;
};

/// The tip's outline as it was read, beyond the tip rib as the panels stand now.
void takeTip(Changed& out, const Plan& plan, const JudgedPlan& judged) {
  const Polyline read = tipFromPlan(plan, judged);
  if (read.empty()) return;
  auto& panels = out.design.wings.front().panels;
  double span = 0, nose = 0;
  for (const PanelDesign& p : panels) span += p.panel.span, nose += p.panel.tipSetback;
  constexpr double atRib = 0.5; // mm: what is read there is the rib's own end
  Polyline beyond;
  for (const Point& p : read)
    if (p.y() - span > atRib)
      beyond.emplace_back(std::round((p.x() - nose) * 100) / 100, std::round((p.y() - span) * 100) / 100);
  const std::size_t most = mostTipPoints;
  for (std::size_t i = 0; beyond.size() > most && i < most; ++i) // evenly thinned out
    beyond[i] = beyond[i * (beyond.size() - 1) / (most - 1)];
  if (beyond.size() > most) beyond.resize(most);
  if (const auto cause = wrongOutline(beyond)) {
    out.notes.push_back(fmt::format("The tip's outline was not taken: {}.", *cause));
    return;
  }
  panels.back().tip.kind = TipKind::own;
  panels.back().tip.outline = beyond;
}

} // namespace

Changed withReadings(const Design& design, const JudgedPlan& judged) {
  Changed out{design, {}};
  Design& d = out.design;
  auto& panels = d.wings.front().panels;
  const PlanLayout& l = judged.layout;
  PanelTaker(out, {}).take(l);
  for (std::size_t k = 0; k < l.outer.size() && k + 1 < static_cast<std::size_t>(mostPanels); ++k) {
    const PanelId id{0, static_cast<int>(k) + 1};
    if (panels.size() <= k + 1) {
      PanelDesign next = panels.back(); // built like the one inside it
      next.sections.root = next.sections.tip;
      next.panel.continues = true;
      next.number = freshNumber(d);
      panels.push_back(std::move(next));
      out.notes.push_back(
          fmt::format("Panel {} is new. A plan view does not show its dihedral: decide it under Set joins.", k + 2));
    }
    PanelTaker(out, id).take(l.outer[k]);
  }
  if (l.halfSpan && panels.size() > l.outer.size() + 1)
    out.notes.push_back(fmt::format("The plan was read as {} panel{}; those further out stay as they were.",
                                    l.outer.size() + 1, l.outer.empty() ? "" : "s"));
  takeTip(out, d.plan, judged);
  for (int number : {1, 2}) {
    SectionChoice& section = number == 1 ? panels.front().sections.root : panels.back().sections.tip;
    if (auto traced = tracedFromPlan(d.plan, judged.sheets, number)) {
      traced->tolerance = section.traced.tolerance;
      if (const auto fit = fitTrace(*traced); !fit) {
        out.notes.push_back(
            fmt::format("The {} section was not taken: {}", number == 1 ? "root" : "tip", fit.problem().text()));
        continue;
      }
      section.kind = SectionKind::traced;
      section.traced = std::move(*traced);
    }
  }
  return out;
}

double soldSize(double size, StockKind kind, LengthUnit unit) {
  static constexpr double metricStrip[] = {1, 1.5, 2, 2.5, 3, 4, 5, 6, 7, 8, 10, 12, 15, 20, 25, 30, 35, 40, 50, 60};
  static constexpr double metricSheet[] = {0.8, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 15, 20};
  static constexpr double metricPly[] = {0.4, 0.6, 0.8, 1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10};
  static constexpr double inchStrip[] = {1 / 32.0, 1 / 20.0, 1 / 16.0, 3 / 32.0, 1 / 8.0, 5 / 32.0,
                                         3 / 16.0, 1 / 4.0,  5 / 16.0, 3 / 8.0,  1 / 2.0, 5 / 8.0,
                                         3 / 4.0,  1,        1.25,     1.5,      2};
  static constexpr double inchSheet[] = {1 / 32.0, 1 / 20.0, 1 / 16.0, 3 / 32.0, 1 / 8.0,
                                         3 / 16.0, 1 / 4.0,  3 / 8.0,  1 / 2.0,  3 / 4.0};
  static constexpr double inchPly[] = {1 / 64.0, 1 / 32.0, 1 / 16.0, 3 / 32.0, 1 / 8.0, 3 / 16.0, 1 / 4.0, 3 / 8.0};
  const bool inch = unit == LengthUnit::inch;
  const std::span<const double> sizes =
      kind == StockKind::strip   ? (inch ? std::span<const double>(inchStrip) : metricStrip)
      : kind == StockKind::sheet ? (inch ? std::span<const double>(inchSheet) : metricSheet)
                                 : (inch ? std::span<const double>(inchPly) : metricPly);
  const double scale = inch ? mmPerInch : 1;
  double best = sizes.front() * scale;
  for (double s : sizes) // nearest by ratio: 1 mm matters at 3 mm, not at 30
    if (std::abs(std::log(s * scale / size)) < std::abs(std::log(best / size))) best = s * scale;
  return best;
}

namespace {

/// What is shape is scaled, but for what is laid off along the span; strips that are cut at the bench with it.
void scaleShape(PanelDesign& p, double k) {
  for (double* shape : {&p.panel.span, &p.panel.rootChord, &p.panel.tipChord, &p.panel.tipSetback, &p.ribs.spacing,
                        &p.tip.reach, &p.tip.raised})
    *shape *= k;
  for (Point& place : p.tip.outline) place *= k;
  p.left.span *= k, p.left.rootChord *= k, p.left.tipChord *= k;
  if (p.join.dihedral.by != DihedralBy::angle) p.join.dihedral.value *= k;
  p.join.blockHeight *= k;
  p.capStrips.width = std::max(0.5, std::round(p.capStrips.width * k * 2) / 2);
  p.leadingEdge.letIn *= k;
  p.sheeting.fromTail *= k, p.sheeting.below.fromTail *= k;
  for (SheetedBays& bays : p.sheeted) bays.fromTail *= k;
  p.cloth.strip *= k;
  for (CoreThing& thing : p.inCore)
    for (double* shape : {&thing.upFrom, &thing.upTo, &thing.rim}) *shape *= k;
  for (Surface& s : p.surfaces)
    for (double* shape : {&s.tailFrom, &s.tailTo, &s.upMm, &s.downMm, &s.plateChord, &s.drive.servoUp,
                          &s.hinges.fromEnd, &s.weightArm, &s.slide.midAft, &s.slide.midDown, &s.slide.endAft,
                          &s.slide.endDown, &s.slide.pinsApart, &s.drive.joinIn, &s.drive.joinLeg})
      *shape *= k;
  for (double* shape : {&p.lightening.rim, &p.lightening.least, &p.lightening.most}) *shape *= k;
}

void stepStock(PanelDesign& p, double k, LengthUnit unit) {
  const auto step = [&](double& size, StockKind kind) { size = soldSize(size * k, kind, unit); };
  step(p.ribs.thickness, StockKind::sheet);
  step(p.ribs.rootThickness, StockKind::sheet);
  step(p.ribs.tipThickness, StockKind::sheet);
  step(p.ribs.thickThickness, StockKind::sheet);
  step(p.riblets.thickness, StockKind::sheet);
  step(p.tip.thickness, StockKind::sheet);
  step(p.sheeting.thickness, StockKind::sheet);
  step(p.sheeting.below.thickness, StockKind::sheet);
  for (SheetedBays& bays : p.sheeted) step(bays.thickness, StockKind::sheet);
  if (p.foam.endRib > 0) step(p.foam.endRib, StockKind::ply);
  step(p.sheet.thickness, StockKind::sheet);
  step(p.capStrips.thickness, StockKind::sheet);
  step(p.leadingEdge.width, StockKind::strip);
  step(p.leadingEdge.height, StockKind::strip);
  step(p.trailingEdge.width, StockKind::strip);
  step(p.trailingEdge.sheet, StockKind::sheet);
  for (Spar& s : p.spars) {
    for (Cap* cap : {&s.top, &s.bottom}) {
      step(cap->width, StockKind::strip), step(cap->depth, StockKind::strip);
      if (cap->tapers) cap->tipWidth *= k, cap->tipDepth *= k; // planed to size
    }
    step(s.sheet, StockKind::sheet);
  }
  for (Bracing& b : p.join.braces) step(b.thickness, StockKind::ply);
}

} // namespace

double halfSpanOf(const Wing& wing) {
  double sum = 0;
  for (const PanelDesign& p : wing.panels) sum += p.panel.span;
  return sum;
}

Changed atHalfSpan(const Design& design, double halfSpan, StockRule stock) {
  Changed out{design, {}};
  Design& d = out.design;
  const double k = halfSpan / halfSpanOf(d.wings.front());
  for (std::size_t w = 0; w < d.wings.size(); ++w) {
    Wing& wing = d.wings[w];
    wing.aft *= k, wing.up *= k;
    for (Strut& s : wing.struts) s.footAft *= k, s.footRight *= k, s.footUp *= k;
    wing.posts.height *= k;
    for (std::size_t i = 0; i < wing.panels.size(); ++i) {
      scaleShape(wing.panels[i], k);
      stretchAlong(d, {static_cast<int>(w), static_cast<int>(i)}, k);
      if (stock == StockRule::step) stepStock(wing.panels[i], k, d.unit);
    }
  }
  out.notes.push_back(fmt::format(
      "Mass stays at {}; a wing {} times the size is about {:.1f} times as heavy for the same build: decide it again.",
      told(d.flying.mass, Quantity::mass, d.unit), fmt::format("{:.2f}", k), k * k * k));
  if (stock == StockRule::keep) out.notes.emplace_back("Stock sizes stay as they were: look at the spars' reserves.");
  for (Wing& wing : d.wings)
    for (PanelDesign& p : wing.panels)
      for (Point& place : p.tip.outline)
        place = {std::clamp(place.x(), -farthestTip, farthestTip), std::clamp(place.y(), 1e-3, farthestTip)};
  // What no longer fits the limits of a decision is held at them.
  for (const Decision& decision : decisionsOf(d)) {
    if (decision.kind != DecisionKind::length || decision.follows) continue;
    if (decision.value < decision.limits.low - 1e-9 || decision.value > decision.limits.high + 1e-9) {
      d = decideValue(d, decision.path, decision.value).value();
      out.notes.push_back(decision.label + " is held at its limit.");
    }
  }
  return out;
}

} // namespace eup
