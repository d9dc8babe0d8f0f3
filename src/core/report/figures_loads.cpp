// Figures of what loads a wing, of what its parts weigh, and of how soft it is in twist.
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {
namespace {

const char* keyOf(LoadCase::What what) {
  switch (what) {
  case LoadCase::What::pull:
    return "pull";
  case LoadCase::What::push:
    return "push";
  case LoadCase::What::gust:
    return "gust";
  case LoadCase::What::gustDown:
    return "gustDown";
  case LoadCase::What::line:
    return "line";
  case LoadCase::What::tip:
    return "tip";
  case LoadCase::What::dive:
    return "dive";
  }
  return "";
}

std::vector<std::string> decisionsOf(LoadCase::What what) {
  std::vector<std::string> own{"flying.mass", "flying.shape", "flying.relief"};
  switch (what) {
  case LoadCase::What::pull:
    own.insert(own.begin(), {"flying.kind", "flying.loadFactor"});
    break;
  case LoadCase::What::push:
    own.insert(own.begin(), {"flying.kind", "flying.pushFactor"});
    break;
  case LoadCase::What::gust:
  case LoadCase::What::gustDown:
    own.insert(own.begin(), {"flying.gust", "flying.airSpeed"});
    break;
  case LoadCase::What::line:
    own.insert(own.begin(), "flying.linePull");
    break;
  case LoadCase::What::tip:
    return {"flying.tipTouch", "flying.mass"};
  case LoadCase::What::dive:
    return {"flying.diveSpeed"};
  }
  return own;
}

/// How the case's load comes about.
std::string workingOf(const LoadCase& c, const PanelBrief& d) {
  const Flying& f = d.flying;
  switch (c.what) {
  case LoadCase::What::pull:
  case LoadCase::What::push:
    return fmt::format("{} × the weight, {}: {}", c.factor, d.factors().label, d.factors().source);
  case LoadCase::What::gust:
    return fmt::format("1 + K ρ U V a S ÷ (2 m g), K = 0.88 μ ÷ (5.3 + μ): U = {} m/s met at V = {} m/s, {:.2f} × the "
                       "weight",
                       f.gust, f.airSpeed, c.factor);
  case LoadCase::What::gustDown:
    return fmt::format("1 − (n − 1) with n of the gust from below: {:.2f} × the weight", c.factor);
  case LoadCase::What::line:
    return fmt::format("weight + {} N of pull: {:.2f} × the weight", f.linePull, c.factor);
  case LoadCase::What::tip:
    return fmt::format("{} × the weight at the tip: {:.2f} N", c.factor, c.load.atTip);
  case LoadCase::What::dive:
    break; // no case of bending
  }
  return {};
}

const char* wordsOf(PartMass::What what) {
  switch (what) {
  case PartMass::What::ribs:
    return "ribs";
  case PartMass::What::spars:
    return "spars";
  case PartMass::What::webs:
    return "webs";
  case PartMass::What::leadingEdge:
    return "leading edge";
  case PartMass::What::trailingEdge:
    return "trailing edge";
  case PartMass::What::sheet:
    return "sheet";
  case PartMass::What::capStrips:
    return "cap strips";
  case PartMass::What::diagonals:
    return "diagonals";
  case PartMass::What::tip:
    return "tip";
  case PartMass::What::covering:
    return "covering";
  case PartMass::What::brace:
    return "braces";
  case PartMass::What::joiner:
    return "joiner";
  case PartMass::What::strut:
    return "struts";
  case PartMass::What::post:
    return "posts";
  case PartMass::What::core:
    return "foam";
  case PartMass::What::inCore:
    return "in the core";
  case PartMass::What::surface:
    return "surfaces' own parts";
  }
  return "";
}

} // namespace

void loadFigures(const WholeWing& wing, FigureList& out) {
  const PanelBrief& d = wing.panels.front().design;
  const Flying& f = d.flying;
  const double lift = wing.loads.front().load.lift;
  out.add({"load.halfLift",
           "Lift of one half",
           lift,
           Quantity::force,
           Stage::spars,
           "pulling up",
           d.carries == 1 ? "n m g ÷ 2" : "share × n m g ÷ 2",
           fmt::format("{}{} × {:.4f} kg × 9.80665 m/s²{} = {:.3f} N",
                       d.carries == 1 ? "" : fmt::format("{} × ", d.carries), wing.loads.front().factor, f.mass / 1000,
                       d.mirrored ? " ÷ 2" : "", lift),
           f.relief ? "own weight of the wing's parts relieves its bending" : "own weight of the wing not relieved",
           {"flying.mass", "flying.kind", "flying.loadFactor"}});
  if (wing.loads.size() == 1) return;
  const LoadCase& worst = worstAt(wing.loads, 0);
  for (const LoadCase& c : wing.loads)
    out.add({fmt::format("load.case.{}", keyOf(c.what)), fmt::format("Bending at the root, {}", wordsOf(c.what)),
             c.load.moment(0), Quantity::moment, Stage::spars, &c == &worst ? "the worst of these loads" : "root rib",
             "what lies outboard × its arm", workingOf(c, d),
             c.what == LoadCase::What::gust || c.what == LoadCase::What::gustDown
                 ? "gust load factor of Pratt and Walker, NACA Report 1206 (1954)"
                 : "bending of a cantilever",
             decisionsOf(c.what)});
}

void massFigures(const TruePanel& w, FigureList& out) {
  const double all = w.mass.grams();
  if (all <= 0) return;
  std::string sum;
  for (const PartMass& p : w.mass.parts)
    sum +=
        fmt::format("{}{} {:.1f} g ({:.0f} %)", sum.empty() ? "" : ", ", wordsOf(p.what), p.grams, 100 * p.grams / all);
  out.add({"mass.panel",
           w.design.of > 1 ? "This panel's parts weigh" : "Half wing's parts weigh",
           all,
           Quantity::mass,
           Stage::spars,
           w.join.centre ? "one hand, with its half of what holds the join; no glue, paint or servo"
                         : "one hand, with what holds its join; no glue, paint or servo",
           "Σ volume × density",
           sum,
           "densities of the materials' table",
           {"ribs.thickness", "sheeting.thickness", "leadingEdge.width", "trailingEdge.width"}});
  for (const PartMass& p : w.mass.parts)
    if (p.what == PartMass::What::spars || p.what == PartMass::What::webs)
      out.add({p.what == PartMass::What::spars ? "mass.spars" : "mass.webs",
               p.what == PartMass::What::spars ? "Spars weigh" : "Webs weigh",
               p.grams,
               Quantity::mass,
               Stage::spars,
               "one hand, this panel",
               "length × section × density",
               fmt::format("{:.2f} g of {:.1f} g: {:.0f} %", p.grams, all, 100 * p.grams / all),
               "densities of the materials' table",
               {"spars.0.top.width", "spars.0.top.depth"}});
}

void softWingFigures(const WholeWing& wing, FigureList& out) {
  if (!wing.soft) return;
  const SoftWing& s = *wing.soft;
  const Flying& f = wing.panels.front().design.flying;
  const std::string covering = pathOf(wing.panels.front().design.id) + "stiffening.covering";
  const char* hint = "strip theory on a straight axis, stiffness of the twist tests: a hint, no more";
  if (f.diveSpeed > 0 && !s.twist.empty()) // where it runs away, a finding says so
    out.add({"soft.diveTwist",
             "Tip turns in the dive",
             -s.twist.back(),
             Quantity::angle,
             Stage::spars,
             fmt::format("tip rib against the root, + nose down, at {:.1f} m/s", f.diveSpeed),
             "∫ torque ÷ GJ, torque = ∫ q c_m c², and what its own lift adds",
             fmt::format("torque at the root {:.1f} N·mm, q = 1.225 kg/m³ × ({:.1f} m/s)² ÷ 2", s.torque.front(),
                         f.diveSpeed),
             "c_m of the sections' mean lines, thin-airfoil theory (Glauert, 1926)",
             {"flying.diveSpeed", covering},
             true});
  if (s.divergence)
    out.add({"soft.divergence",
             "Twist runs away at",
             *s.divergence,
             Quantity::speed,
             Stage::spars,
             "keep well below: builders' stiffness varies by half",
             "lowest q at which (K − q A) θ = 0",
             fmt::format("{:.0f} m/s is {:.0f} km/h", *s.divergence, *s.divergence * 3.6),
             hint,
             {covering, "flying.diveSpeed"}});
  if (s.reversal)
    out.add({"soft.reversal",
             "Ailerons work backwards at",
             *s.reversal,
             Quantity::speed,
             Stage::spars,
             "keep well below: they are slack long before",
             "q at which the wing's own twist takes all of the aileron's roll",
             fmt::format("{:.0f} m/s is {:.0f} km/h", *s.reversal, *s.reversal * 3.6),
             hint,
             {"flying.aileronChord", "flying.aileronFrom"}});
}

} // namespace eup
