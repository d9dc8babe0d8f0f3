// The description of a join: dihedral, braces, joiner, setting up (see describe.h).
#include "core/described/describe.h"
#include <optional>

namespace eup {

void describeJoin(PanelDesign& p, const PanelPlace& place, Visitor& v) {
  const bool innermost = place.innermost();
  v.group("join", Topic::none, [&] {
    auto& j = p.join;
    v.group("", Topic::join, [&] {
      const bool joined = !innermost || place.mirrored; // a fin's root meets nothing of its own
      v.dihedral("dihedral", j.dihedral, p.panel.span, joined && j.blockHeight <= 0);
      v.length("blockHeight", "Block is", j.blockHeight, Limits{0, farthestRise}, joined);
      v.extra("a block of a given height", "50 mm", "0", j.blockHeight > 0);
      v.choice("propping", "On the board", j.propping, std::span(proppingChoices), innermost && joined);
      v.choice("blockAt", "Block stands under", j.blockAt, std::span(blockChoices), joined);
      const bool ofRibs = joined && p.built == Built::ribs;
      v.flag("rootLeans", "End ribs lean to it", j.rootLeans, ofRibs);
      v.choice("angleTaken", "Its angle is taken", j.angleTaken, std::span(angleTakenChoices), !innermost);
      const bool fixed = ofRibs && !j.joiner.fitted; // what comes apart ends at its joiner
      v.choice("sparsThere", "Spars and edges at the join", j.sparsThere, std::span(sparsThereChoices), fixed);
      v.length("crackLeaves", "Wood left at the crack", j.crackLeaves, Limits{0, 20},
               fixed && j.sparsThere == SparsThere::cracked);
    });
    v.list("braces", Topic::brace, j.braces, mostBraces, [&](auto& b, std::size_t) {
      v.lasting("number", b.number);
      const bool joined = !innermost || place.mirrored;
      v.spar("spar", "On spar", b.spar, joined);
      v.length("thickness", "Thickness", b.thickness, Limits{0.2, 30}, joined);
      v.choice("side", "It lies", b.side, std::span(braceSideChoices), joined);
      v.choice("form", "It is", b.form, std::span(braceFormChoices), joined);
      v.choice("over", "It reaches", b.over, std::span(braceOverChoices), joined);
      v.count("toRib", innermost ? "Leg ends at rib" : "Leg ends at its rib", b.toRib, Limits{2, mostRibs}, joined);
      v.flag("slots", "Ribs slotted for it", b.slots, joined);
      v.listed("material", "Of", b.material, Shelf::material, joined);
    });
    v.group("", Topic::settingUp, [&] {
      v.choice("datum", "Panel pinned with", j.datum, std::span(datumChoices));
      v.choice("noseOn", "LE packed under", j.noseOn, std::span(noseOnChoices),
               p.leadingEdge.kind != LeadingEdgeKind::none);
      v.stations("packing", "Packing at hand", j.packing, true);
      v.numbers("templates", "Templates at ribs", j.templates);
      v.flag("feet", "Feet on the ribs", j.feet);
      v.extra("feet on the ribs", "yes", "no", j.feet);
      v.length("footWidth", "Foot width", j.footWidth, Limits{1, 60}, j.feet);
      v.length("footClearance", "Least foot length", j.footClearance, Limits{0.5, 60}, j.feet);
      v.flag("rods", "Built on two rods", j.rods);
      v.extra("two jig rods", "yes", "no", j.rods);
      v.length("rodDiameter", "Rods, diameter", j.rodDiameter, Limits{0.5, 40}, j.rods);
      v.fraction("rodFront", "Front rod at", j.rodFront, Limits{0.03, 0.97}, j.rods);
      v.fraction("rodRear", "Rear rod at", j.rodRear, Limits{0.03, 0.97}, j.rods);
    });
  });
  v.group("joiner", Topic::joiner, [&] {
    auto& j = p.join.joiner;
    const bool joined = !innermost || place.mirrored, on = joined && j.fitted;
    v.flag("fitted", "Rod or tube", j.fitted, joined);
    v.extra("a rod or tube", "yes", "no", j.fitted);
    v.choice("along", "It runs", j.along, std::span(joinerLineChoices), on);
    v.fraction("fraction", "Stands at", j.fraction, Limits{0.05, 0.95}, on);
    v.length("diameter", "Diameter", j.diameter, Limits{0.5, 60}, on);
    v.length("bore", "Bore", j.bore, Limits{0, 59}, on);
    v.extra("bore", "1 mm", "0", j.bore > 0);
    v.length("sleeve", "Ribs bored", j.sleeve, Limits{0.5, 80}, on);
    v.count("toRib", "Socket ends at rib", j.toRib, Limits{2, mostRibs}, on);
    v.listed("material", "Of", j.material, Shelf::material, on);
    v.length("facing", "Ply on its end ribs", j.facing, Limits{0, 20}, on);
    v.extra("ply on its end ribs", "1.5 mm", "0", j.facing > 0);
    v.flag("pin", "Pin against turning", j.pin, on);
    v.extra("pin against turning", "yes", "no", j.pin);
    v.fraction("pinFraction", "Pin at", j.pinFraction, Limits{0.05, 0.95}, on && j.pin);
    v.length("pinDiameter", "Pin", j.pinDiameter, Limits{0.3, 20}, on && j.pin);
  });
}

} // namespace eup
