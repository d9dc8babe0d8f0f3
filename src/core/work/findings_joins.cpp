// Findings of joins, braces, joiners and setting up.
#include "core/work/finder.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {

/// A rod or a brace that is short of strength, as it is reckoned alone.
void jointFindings(Finder f) {
  const JoinStrength& s = f.w.joinStrength;
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
  if (f.w.secondStrength.braceStress > 0 && !rod) {
    const BraceSide side = f.w.design.join.second.side;
    weak("brace.reserve", "second brace", f.w.secondStrength.braceReserve, cureOf(plate, side),
         {"brace2.thickness", "brace2.over", "brace2.side", "brace2.material"});
    weak("brace.glue", "second brace's glue", f.w.secondStrength.glueReserve, cureOf(glued, side),
         {"brace2.toRib", "brace2.side"});
  }
  if (s.braceStress > 0 && !rod) {
    const BraceSide side = f.w.design.join.braceSide;
    weak("brace.reserve", "brace", s.braceReserve, cureOf(plate, side),
         {"join.braceThickness", "join.braceOver", "join.braceSide", "join.braceMaterial"});
    weak("brace.glue", "brace's glue", s.glueReserve, cureOf(glued, side), {"join.braceToRib", "join.braceSide"});
  }
  if (s.rodStress > 0)
    weak("joiner.reserve", "joiner", s.rodReserve, "Make it larger or of stronger stuff, or lower the load factor.",
         {"joiner.diameter", "joiner.material", "joiner.bore"});
  if (s.bearing > 0 && s.socketReserve < usualReserve)
    f.say({"joiner.socket",
           Severity::warning,
           Stage::joins,
           "The joiner may be squeezed where its socket ends",
           fmt::format("Pressed across, it holds {:.2f} times what presses on it there. {} or more is usual.",
                       s.socketReserve, usualReserve),
           "Let it reach farther, make it thicker or of harder stuff; plug a thin tube.",
           f.w.ribs.front().number,
           {"joiner.toRib", "joiner.diameter", "joiner.material"}});
  if (s.crushForce > 0 && s.crushReserve < usualReserve)
    f.say({"joiner.ribs",
           Severity::warning,
           Stage::joins,
           "The joiner may crush the ribs where its socket ends",
           fmt::format("{:.0f} N on a rib that holds {:.0f} N by itself.", s.crushForce, s.crushHolds),
           "Face those ribs with ply, glue the sleeve to spar and webs, or let the socket reach farther.",
           f.w.ribs.front().number,
           {"joiner.facing", "joiner.toRib", "ribs.rootThickness"}});
  if (!f.w.joiner && !f.w.design.join.rods) return;
  for (const Rib& rib : f.w.ribs)
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
    for (const SparLine& line : w.spars) worst = std::max(worst, braceBendMirrored({line.sweep, w.join.gamma}));
  return worst;
}

void braceFindings(Finder f, const std::optional<Brace>& brace, const Join& join, bool second) {
  const PanelBrief& d = f.w.design;
  const auto decision = [&](const char* first, const char* other) {
    return second ? std::string("brace2.") + other : std::string("join.") + first;
  };
  if (join.brace && !brace)
    f.say({"brace.none",
           Severity::note,
           Stage::joins,
           "There is no spar for the brace to lie on",
           "",
           "Add a spar, or leave the brace out.",
           {},
           {decision("brace", "fitted")}});
  if (!brace) return;
  const Brace& b = *brace;
  if (join.braceToRib > static_cast<int>(f.w.ribs.size()))
    f.say({"brace.rib",
           Severity::warning,
           Stage::joins,
           fmt::format("There is no R{} for the brace to end at", join.braceToRib),
           fmt::format("It ends at the tip rib, R{}.", b.outer.toRib),
           "Choose a rib that is there.",
           {},
           {decision("braceToRib", "toRib")}});
  if (b.outer.depthEnd <= 0 || b.depthRoot <= 0)
    f.say({"brace.depth",
           Severity::serious,
           Stage::joins,
           "There is no room for the brace between the caps",
           fmt::format("{} clear at the join, {} at R{}.", f.len(b.depthRoot), f.len(b.outer.depthEnd), b.outer.toRib),
           "Use shallower caps, or a shorter leg.",
           {},
           {decision("braceToRib", "toRib"), "spars.0.top.depth"}});
  // A leaning brace leaves the spar's face by its depth × tan(lean): beyond half its own thickness it no longer lies
  // there.
  const double off = b.depthRoot * std::tan(std::min(b.lean, 1.5));
  if (!b.folded && off > join.braceThickness)
    f.say({"brace.lean",
           Severity::warning,
           Stage::joins,
           "A flat brace will not lie on the spar's face",
           fmt::format("With the spar's sweep it leans {} and leaves the face by {} over its depth.",
                       told(b.lean, Quantity::angle, d.unit), f.len(off)),
           "Let it be folded at the join, or set it square to flight in slots through the ribs.",
           {},
           {"panel.tipSetback", "spars.0.rootFraction", "spars.0.tipFraction"}});
}

} // namespace

void joinFindings(Finder f) {
  const PanelBrief& d = f.w.design;
  if (f.w.settingUp.fellBack)
    f.say({"setup.convex",
           Severity::note,
           Stage::joins,
           "The root's underside is not flat",
           "It rests on a line, not on a face: the chord line was levelled instead.",
           "Choose root chord level, or a section with a flat underside.",
           {},
           {"join.datum", "sections.root.kind"}});
  if (f.w.join.block.height < 0)
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
  if (d.join.sparsThere == SparsThere::cracked && !f.w.join.brace && !f.w.join.second)
    f.say({"join.cracked",
           Severity::note,
           Stage::joins,
           "Glue alone holds the cracked spars",
           "What is left of the wood bends; the closed V carries pressure, its other face hardly any pull.",
           "Bind the place, or add a brace; without either it is for wings that weigh next to nothing.",
           {},
           {"join.sparsThere", "join.brace"}});
  braceFindings(f, f.w.join.brace, d.join, false);
  if (d.join.second.fitted) braceFindings(f, f.w.join.second, withSecondBrace(d.join), true);
}

} // namespace eup
