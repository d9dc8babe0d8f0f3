// Findings of joins, braces, joiners and setting up.
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include "core/wing/run_over.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {

/// A rod or a brace that is short of strength, as it is reckoned alone.
void jointFindings(Finder f) {
  const JoinStrength& s = f.w.strength.join;
  const bool rod = f.w.design.join.joiner.fitted;
  const auto weak = [&](const char* key, const std::string& what, double reserve, std::string cure,
                        std::vector<std::string> cures) {
    if (reserve >= usualReserve) return;
    f.say({key,
           reserve < 1 && rod ? Severity::serious : Severity::warning,
           Stage::joins,
           reserve < 1 ? fmt::format("The {} alone will not carry the load", what)
                       : fmt::format("Little reserve in the {}", what),
           fmt::format("Strength is {:.2f} of the stress at the join. {} or more is usual.", reserve, usualReserve),
           std::move(cure),
           {},
           std::move(cures)});
  };
  const auto cureOf = [](const char* larger, BraceSide side) {
    return fmt::format("{}{}. Sheet and a bandage round the join help, and are not reckoned.", larger,
                       side == BraceSide::both ? "" : ", or lay one on either side of the spar");
  };
  constexpr const char *plate = "Make it thicker, deeper or of stronger stuff", *glued = "Give it longer legs";
  for (std::size_t i = 0; i < s.braces.size() && !rod; ++i) {
    const BraceTold of(f.w, f.w.join.braces[i]);
    if (s.braces[i].stress <= 0) continue;
    weak("brace.reserve", of.name(), s.braces[i].reserve, cureOf(plate, of.decided.side),
         {of.decision("thickness"), of.decision("over"), of.decision("side"), of.decision("material")});
    weak("brace.glue", of.name() + "'s glue", s.braces[i].glueReserve, cureOf(glued, of.decided.side),
         {of.decision("toRib"), of.decision("side")});
  }
  if (s.rodStress > 0)
    weak("joiner.reserve", "joiner", s.rodReserve, "Make it larger or of stronger stuff, or lower the load factor.",
         {"joiner.diameter", "joiner.material", "joiner.bore"});
  if (s.bearing > 0 && s.socketReserve < usualReserve)
    f.say({"joiner.socket",
           Severity::warning,
           Stage::joins,
           fmt::format("The joiner may be squeezed {}", socketPlace(s.pressed, s.pressedMouth, f.w.join.centre)),
           fmt::format("Pressed across, it holds {:.2f} times what presses on it there. {} or more is usual.",
                       s.socketReserve, usualReserve),
           "Let it reach farther, make it thicker or of harder stuff; plug a thin tube.",
           f.w.frame.ribs.front().number,
           {"joiner.toRib", "joiner.diameter", "joiner.material"}});
  if (s.crushForce > 0 && s.crushReserve < usualReserve)
    f.say({"joiner.ribs",
           Severity::warning,
           Stage::joins,
           fmt::format("The joiner may crush a rib {}", socketPlace(s.crushed, s.crushedMouth, f.w.join.centre)),
           fmt::format("{:.0f} N on a rib that holds {:.0f} N by itself.", s.crushForce, s.crushHolds),
           "Face those ribs with ply, glue the sleeve to spar and webs, or let the socket reach farther.",
           f.w.frame.ribs.front().number,
           {"joiner.facing", "joiner.toRib", "ribs.rootThickness"}});
  if (!f.w.joiner && !f.w.design.join.rods) return;
  for (const Rib& rib : f.w.frame.ribs)
    for (const PassHole& h : rib.passHoles)
      if (h.what != Passing::What::brace && std::min(h.underTop, h.overBottom) < h.width / 2 + f.w.design.ribs.rim)
        return f.say(
            {"joiner.room",
             Severity::warning,
             Stage::joins,
             fmt::format("The {} leaves too little of R{}",
                         h.what == Passing::What::pin   ? "pin"
                         : h.what == Passing::What::rod ? "jig rod"
                                                        : "joiner",
                         rib.number),
             fmt::format("{} from its edge to the section's.", f.len(std::min(h.underTop, h.overBottom) - h.width / 2)),
             "Move it to where the section is deep, make it thinner, or let it run in line with the middle.",
             rib.number,
             {"joiner.fraction", "joiner.diameter", "joiner.along"}});
}

void footFindings(Finder f) {
  if (!f.w.design.join.feet) return;
  SharedFault few;
  for (const RibSupports& rib : f.w.settingUp.ribs)
    if (rib.feet.size() < 2) few.add(rib.rib, 1);
  if (few.ribs.empty()) return;
  f.say({"setup.feet",
         Severity::warning,
         Stage::joins,
         fmt::format("{} {} no room for two feet", ribNames(few.ribs), few.ribs.size() == 1 ? "has" : "have"),
         "Between the nose and the trailing edge stock, clear of the notches below.",
         "Make the feet narrower, or pack those ribs.",
         few.ribs.front(),
         {"join.footWidth", "join.feet"}});
}

namespace {

/// How far a spar's line is bent at the join with the one that it meets there.
double worstBend(const TruePanel& w) {
  double worst = 2 * std::abs(w.join.fold);
  if (w.join.centre)
    for (const SparLine& line : w.frame.spars) worst = std::max(worst, braceBendMirrored({line.sweep, w.join.gamma}));
  return worst;
}

/// Braces that have no spar to lie on.
void lostBraces(Finder f) {
  const auto& decided = f.w.design.join.braces;
  for (int i = 0; i < static_cast<int>(decided.size()); ++i)
    if (std::none_of(f.w.join.braces.begin(), f.w.join.braces.end(), [&](const Brace& b) { return b.number == i; }))
      f.say({"brace.none",
             Severity::note,
             Stage::joins,
             fmt::format("There is no spar for the {} to lie on", braceName(i)),
             "",
             "Add a spar, or leave the brace out.",
             {},
             {fmt::format("join.braces.{}.spar", i)}});
}

void braceFindings(Finder f, const Brace& b) {
  const PanelBrief& d = f.w.design;
  const BraceTold of(f.w, b);
  if (of.decided.toRib > static_cast<int>(f.w.frame.ribs.size()))
    f.say({"brace.rib",
           Severity::warning,
           Stage::joins,
           fmt::format("There is no R{} for the brace to end at", of.decided.toRib),
           fmt::format("It ends at the tip rib, R{}.", b.outer.toRib),
           "Choose a rib that is there.",
           {},
           {of.decision("toRib")}});
  if (b.outer.depthEnd <= 0 || b.depthRoot <= 0)
    f.say({"brace.depth",
           Severity::serious,
           Stage::joins,
           "There is no room for the brace between the caps",
           fmt::format("{} clear at the join, {} at R{}.", f.len(b.depthRoot), f.len(b.outer.depthEnd), b.outer.toRib),
           "Use shallower caps, or a shorter leg.",
           {},
           {of.decision("toRib"), "spars.0.top.depth"}});
  // A leaning brace leaves the spar's face by its depth × tan(lean): beyond half its own thickness it no longer lies
  // there.
  const double off = b.depthRoot * std::tan(std::min(b.lean, 1.5));
  if (!b.folded && off > of.decided.thickness)
    f.say({"brace.lean",
           Severity::warning,
           Stage::joins,
           "A flat brace will not lie on the spar's face",
           fmt::format("With the spar's sweep it leans {} and leaves the face by {} over its depth.",
                       told(b.lean, Quantity::angle, d.unit), f.len(off)),
           "Let it be folded at the join, or set it square to flight in slots through the ribs.",
           {},
           {"panel.tipSetback", "spars.0.rootFraction", "spars.0.tipFraction"}});
  // Where the spars that meet are unlike in width or do not stand in line, the brace touches one of them only.
  double gap = 0;
  for (const CapStep& step : f.w.join.steps)
    if (step.spar == b.spar) {
      if (of.decided.side != BraceSide::behind) gap = std::max(gap, std::abs(step.front));
      if (of.decided.side != BraceSide::front) gap = std::max(gap, std::abs(step.behind));
    }
  constexpr double fills = 0.3, bridged = 1; // mm that glue fills and holds; that thick epoxy bridges: common practice
  if (gap > fills)
    f.say({"brace.gap",
           gap > bridged ? Severity::serious : Severity::warning,
           Stage::joins,
           fmt::format("The {} does not touch both spars", of.name()),
           fmt::format("The faces that it lies on are {} out of line where the panels meet; the reserve of its glue "
                       "holds only for faces that touch.",
                       f.len(gap)),
           "Make the caps as wide as each other at the join and in line, or glue a packing strip of that thickness to "
           "the face that stands back.",
           {},
           {fmt::format("spars.{}.top.width", b.spar), of.decision("side")}});
}

} // namespace

void joinFindings(Finder f) {
  const PanelBrief& d = f.w.design;
  if (f.w.settingUp.fellBack && f.w.design.built == Built::ribs) // sheet is not packed under ribs
    f.say({"setup.convex",
           Severity::note,
           Stage::joins,
           "The root's underside is not flat",
           "It rests on a line, not on a face: the chord line was levelled instead.",
           "Choose root chord level, or a section with a flat underside.",
           {},
           {"join.datum", "sections.root.kind"}});
  if (f.w.join.block.height < 0 && !straightOverRoot(f.w))
    f.say({"join.block",
           Severity::warning,
           Stage::joins,
           "The block would stand below the board",
           fmt::format("The underside at the tip lies {} below the root's.", f.len(-f.w.join.block.height)),
           "Prop the root instead, or check the sign of the dihedral.",
           {},
           {"join.dihedral.rise", "join.dihedral.angle"}});
  const double spread = d.join.sparsThere == SparsThere::through ? worstBend(f.w) : 0;
  if (spread > degToRad(0.25))
    f.say({"join.through",
           Severity::serious,
           Stage::joins,
           "The spars cannot run through",
           fmt::format("They bend by {} at the join.", told(spread, Quantity::angle, d.unit)),
           "Take out dihedral and sweep there, or let the spars end at the join.",
           {},
           {"join.sparsThere", "join.dihedral.rise", "join.dihedral.angle", "panel.tipSetback"}});
  if (d.join.sparsThere == SparsThere::cracked && f.w.join.braces.empty())
    f.say({"join.cracked",
           Severity::note,
           Stage::joins,
           "Glue alone holds the cracked spars",
           "What is left of the wood bends; the closed V carries pressure, its other face hardly any pull.",
           "Bind the place, or add a brace; without either it is for wings that weigh next to nothing.",
           {},
           {"join.sparsThere"}});
  for (const CapStep& step : f.w.join.steps) {
    constexpr double seen = 0.3; // mm: less is dressed off
    if (std::max(std::abs(step.up), std::abs(step.aft)) < seen) continue;
    const auto way = [&](double by, const char* plus, const char* minus) {
      return fmt::format("{} {}", f.len(std::abs(by)), by > 0 ? plus : minus);
    };
    f.say({"join.step",
           Severity::warning,
           Stage::joins,
           fmt::format("The {} caps of the {} do not meet at the join", step.top ? "top" : "bottom",
                       d.spars[static_cast<std::size_t>(step.spar)].name),
           fmt::format("The outer one lies {} and {}.", way(step.up, "higher", "lower"),
                       way(step.aft, "farther aft", "farther forward")),
           "Cover both panels alike as far as the join, set the spars to meet, or dress and pack the step.",
           f.w.frame.ribs.front().number,
           {step.top ? "sheeting.top" : "sheeting.bottom", "sheeting.fraction", "capStrips.thickness",
            fmt::format("spars.{}.rootFraction", step.spar)}});
  }
  lostBraces(f);
  for (const Brace& b : f.w.join.braces) braceFindings(f, b);
}

} // namespace eup
