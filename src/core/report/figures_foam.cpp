// Figures and findings of foam panels: blocks, templates, what the wire leaves, what the core bears.
#include "core/geometry/polyline.h"
#include "core/report/plate_figures.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

const char* ownWay = "the ruled panel, its sections' normals; the wire straight between both ends";

void blockFigures(const TruePanel& w, const FoamCore& core, const std::string& key, FigureList& out) {
  const std::string name = w.foam->nameOf(core);
  const Block& b = core.block;
  const std::vector<std::string> plan{"panel.span",       "panel.rootChord", "panel.tipChord",
                                      "panel.tipSetback", "foam.cores",      "foam.washoutIn"};
  const auto size = [&](const char* what, const char* label, double mm, std::string where) {
    out.add({key + what, fmt::format("Block, {}: {}", label, name), mm, Quantity::length, Stage::foam, std::move(where),
             "the smallest box round both ends' sections as they are cut, sweep and turn laid in",
             fmt::format("S{} to S{}", core.inner.station, core.outer.station), "plane geometry", plan, true});
  };
  size("blockLength", "length", b.length, "along the span; its ends square");
  size("blockWidth", "width", b.width,
       fmt::format("along the chord; its front edge lies {} {} the inner end's leading edge",
                   out.len(std::abs(core.front)), core.front <= 0 ? "before" : "behind"));
  size("blockHeight", "height", b.height,
       fmt::format("lower face down: its underside lies {} under the inner end's chord line; the wire wants room above "
                   "and below",
                   out.len(-core.low)));
  out.add({key + "waste", "Waste: " + name, 1 - core.within / b.volume(), Quantity::percent, Stage::foam,
           "of the smallest block; beds are kept of it",
           "1 − what lies within the wing's surface ÷ volume of the block",
           fmt::format("1 − {:.4g} ÷ {:.4g} mm³; the core itself has {:.4g}", core.within, b.volume(), core.volume),
           "prismoid of the two ends and the middle", plan});
  out.add({key + "fromBoard",
           "Blocks from a board: " + name,
           static_cast<double>(core.fromBoard),
           Quantity::count,
           Stage::foam,
           fmt::format("of {} × {} × {}", out.len(w.design.wire.boardLength), out.len(w.design.wire.boardWidth),
                       out.len(w.design.wire.boardHeight)),
           "as rows of rectangles, lengthwise or across, in as many layers as its thickness gives",
           fmt::format("{} × {} × {}", out.len(b.length), out.len(b.width), out.len(b.height)),
           "plane geometry",
           {"wire.boardLength", "wire.boardWidth", "wire.boardHeight", "panel.span"}});
}

void endFigures(const TruePanel& w, const FoamCore& core, bool outer, const std::string& key, FigureList& out) {
  const CoreEnd& end = outer ? core.outer : core.inner;
  const std::string which = outer ? "outer" : "inner", name = fmt::format("{}, {} end", w.foam->nameOf(core), which);
  const std::string of = key + which + ".";
  const std::vector<std::string> from{"sheeting.thickness", "leadingEdge.width", "trailingEdge.width", "wire.kerf"};
  out.add({of + "area", "Core's section: " + name, end.outlineArea(), Quantity::area, Stage::foam,
           fmt::format("at S{}, its grooves not taken out", end.station),
           "section less skins square to the surface, less the strips along its edges",
           fmt::format("section {}", told(std::abs(signedArea(end.section)), Quantity::area, w.design.unit)), ownWay,
           from});
  out.add({of + "wire", "Wire's way round: " + name, end.wireLength(), Quantity::length, Stage::foam,
           "round the template's edge, without its way in and out", "the core's outline, half the slot farther out",
           fmt::format("slot {} there", out.len(end.kerf)), ownWay, from});
  out.add({of + "slot",
           "Slot: " + name,
           end.kerf,
           Quantity::length,
           Stage::foam,
           fmt::format("at {:.2f} mm/s of wire there; the template takes half of it off", end.speed),
           w.design.wire.compensate ? "test's slot × (test's speed ÷ speed) to the power"
                                    : "the test's slot, for both ends",
           fmt::format("{} × ({} ÷ {:.2f}) ^ {}", out.len(w.design.wire.kerf), w.design.wire.kerfSpeed, end.speed,
                       w.design.wire.kerfPower),
           "an assumption: no law is published that we know; cut two test strips at two speeds",
           {"wire.kerf", "wire.kerfSpeed", "wire.kerfPower", "wire.speed", "wire.compensate"},
           true});
}

void cutFigures(const TruePanel& w, const FoamCore& core, const std::string& key, FigureList& out) {
  const std::string name = w.foam->nameOf(core);
  const CutOff left = coreLeft(core, w.design.wire);
  const std::vector<std::string> from{"wire.speed", "wire.kerfPower", "wire.compensate", "panel.tipChord"};
  out.add({key + "off", "Off at worst: " + name, left.worst, Quantity::length, Stage::foam,
           fmt::format("too thick there when positive; {} end, {}, at {:.0f} % of the chord",
                       left.outer ? "outer" : "inner", left.face == Face::upper ? "upper side" : "underside",
                       100 * std::max(left.fraction, 0.0)),
           "half of: slot that the template allows for − slot at the wire's own speed there",
           fmt::format("{:.3f} mm", left.worst), "by the same assumption as the slot", from, true});
  const double way = std::max(core.inner.wireLength(), core.outer.wireLength());
  out.add({key + "time", "Seconds to cut: " + name, way / core.speed, Quantity::count, Stage::foam,
           "round the longer end, without the way in and out", "way ÷ speed",
           fmt::format("{} ÷ {:.2f} mm/s", out.len(way), core.speed), "plane geometry", from});
  // Where a machine's wire runs.
  const double inner = -w.design.wire.fromTower, outer = w.design.wire.towersApart - w.design.wire.fromTower;
  Box boxes[2];
  for (const TowerStep& step : towerPath(core, inner, outer))
    boxes[0].include(step.inner), boxes[1].include(step.outer);
  const std::vector<std::string> towers{"wire.towersApart", "wire.fromTower", "panel.tipSetback", "panel.tipChord"};
  for (const bool away : {false, true}) {
    const Box& box = boxes[away ? 1 : 0];
    if (box.empty()) continue;
    const std::string which = away ? "outer" : "inner";
    const auto travel = [&](const char* what, const char* label, double mm, double low, double high) {
      out.add({key + which + what, fmt::format("{}, {} tower: {}", label, which, name), mm, Quantity::length,
               Stage::foam,
               fmt::format("in the plane {} {} the core's inner end, from {} to {}",
                           out.len(std::abs(away ? outer : inner)), (away ? outer : inner) < 0 ? "before" : "beyond",
                           out.len(low), out.len(high)),
               "the wire's straight line from end to end, on to the tower's plane",
               "P = inner + (outer − inner) × (plane ÷ length)", "plane geometry", towers});
    };
    travel("TravelAft", "Wire travels along", box.width(), box.low.x(), box.high.x());
    travel("TravelUp", "Wire travels up", box.height(), box.low.y(), box.high.y());
  }
}

void foamStrength(const TruePanel& w, FigureList& out) {
  const std::vector<std::string> from{"sheeting.thickness", "sheeting.material", "foam.material", "flying.loadFactor"};
  const PlateTold told{Stage::foam, "foam.", "Skin", "core, skins, strips and cloth", from, from};
  if (w.design.spars.empty() && !w.strength.bending.edges.empty()) plateFigures(w, told, out);
  if (const auto& core = w.strength.core) {
    if (core->wrinkling < 1e8)
      out.add({"foam.wrinkling", "Reserve against wrinkling", core->wrinkling, Quantity::ratio, Stage::foam,
               fmt::format("of the pressed skin on its foam, {} out from {}, {}", out.len(core->wrinklingAt),
                           innerEnd(w.design), wordsOf(core->wrinklingLoad)),
               "½ ∛(E E_c G_c) ÷ stress",
               fmt::format("{:.2f} ÷ {:.2f} MPa", core->wrinklingHolds, core->wrinklingStress),
               "Hoff and Mautner, Journal of the Aeronautical Sciences 12 (1945), from memory", from, true});
    if (core->shearSag > 0)
      out.add({"foam.shearSag", "Tip sags more by", core->shearSag, Quantity::length, Stage::foam,
               "than bending gives, pulling up: the core of this panel gives between its skins",
               "∫ V ÷ S; S = Σ G × width × d² ÷ c, d between the skins' middles, c of the core alone",
               fmt::format("{:.2f} mm", core->shearSag),
               "sandwich beam (Allen, Analysis and Design of Structural Sandwich Panels, 1969, from memory)", from});
    if (core->shear < 1e8)
      out.add({"foam.shear", "Reserve of the core against shear", core->shear, Quantity::ratio, Stage::foam,
               fmt::format("{} out from {}, {}", out.len(core->shearAt), innerEnd(w.design), wordsOf(core->shearLoad)),
               "shear strength ÷ (V ÷ area of the core)", fmt::format("{:.4f} MPa", core->shearStress),
               "sandwich beam (Allen, Analysis and Design of Structural Sandwich Panels, 1969, from memory)", from});
  }
  plateTwistFigure(
      w, told, "∫ T ÷ GJ; J of skins all round the core by 4 A² ÷ ∮ ds ÷ (G t), and the core's own Σ ⅓ depth³ × width",
      "Bredt; St Venant's thin section (Timoshenko and Goodier, from memory)", out);
}

/// What lies in the core: how long, and what foam is left beside it.
void thingFigures(const TruePanel& w, const CoreThingMade& made, FigureList& out) {
  const CoreThing& thing = w.design.inCore[static_cast<std::size_t>(made.number)];
  const std::string key = fmt::format("inCore.{}.", made.number + 1), path = fmt::format("inCore.{}.", made.number);
  const std::vector<std::string> place{path + "from", path + "to", path + "xFrom", path + "xTo"};
  const char* straight = "straight between its ends; plane geometry";
  out.add({key + "length", "True length: " + thing.name, made.length, Quantity::length, Stage::foam,
           fmt::format("of its middle line, {} to {} out from {}", out.len(made.from.y()), out.len(made.to.y()),
                       innerEnd(w.design)),
           "√(along the span² + along the chord² + up²)",
           fmt::format("√({:.2f}² + {:.2f}² + {:.2f}²)", made.to.y() - made.from.y(), made.to.x() - made.from.x(),
                       thing.round() ? made.to.z() - made.from.z() : 0.0),
           straight, place, true});
  if (made.left < 1e8) {
    const char* what = thing.round()                  ? "its surface to the nearest face of the core"
                       : thing.kind == InCore::hollow ? "the rim that was decided"
                                                      : "depth of the core − depth of what is cut, over its width";
    out.add({key + "left",
             "Foam left: " + thing.name,
             made.left,
             Quantity::length,
             Stage::foam,
             fmt::format("at least, {} out from {}", out.len(made.leftAt), innerEnd(w.design)),
             what,
             fmt::format("{:.2f} mm", made.left),
             straight,
             {path + "width", path + "upFrom", path + "upTo", path + "depth"},
             true});
  }
  if (thing.kind == InCore::block || thing.kind == InCore::web)
    out.add({key + "high",
             "Cut as high: " + thing.name,
             made.high,
             Quantity::length,
             Stage::foam,
             fmt::format("at its highest, by {} {}; trimmed to the core's faces", out.len(thing.width),
                         thing.kind == InCore::web ? "thick" : "along the chord"),
             "highest section through it",
             fmt::format("{:.2f} mm", made.high),
             straight,
             {path + "depth", path + "width"}});
  out.add({key + "foam", "Foam taken: " + thing.name,
           made.volume * w.design.tables.named(w.design.foam.material).density * 1e-6, Quantity::mass, Stage::foam,
           "one hand", "its section at each place × the way to the next × density",
           fmt::format("{:.4g} mm³", made.volume), "trapezoids from station to station", place});
}

} // namespace

void foamBetweenFigures(const TruePanel& w, FigureList& out) {
  double grams = 0;
  int bays = 0;
  for (const Part& part : w.parts)
    if (part.what() == Part::What::core) grams += part.grams, ++bays;
  if (bays == 0) return;
  out.add({"foam.betweenMass",
           "Foam between the ribs",
           grams,
           Quantity::mass,
           Stage::foam,
           fmt::format("one hand, {} bays; cut with the ribs on either side as templates, or sanded to them. Caps "
                       "without webs wrinkle on it; nothing else counts on it",
                       bays),
           "clear length of the bay × mean area of its ribs − webs and riblets, × density",
           fmt::format("{} kg/m³", w.design.tables.named(w.design.foam.material).density),
           "materials' table",
           {"foam.between", "foam.material"},
           true});
}

void foamBetweenFindings(Finder f) {
  if (!f.w.design.foam.between || f.w.design.ribs.direction == RibDirection::flight) return;
  f.say({"foam.between",
         Severity::warning,
         Stage::foam,
         "Foam between slanting ribs is not told",
         "Its pieces and its mass are told where the ribs stand along the flight.",
         "Let the ribs stand along the flight, or weigh the foam by itself.",
         {},
         {"foam.between", "ribs.direction"}});
}

void foamFigures(const TruePanel& w, FigureList& out) {
  if (!w.foam) return;
  double grams = 0;
  for (const Part& part : w.parts)
    if (part.what() == Part::What::core) grams += part.grams;
  out.add({"foam.mass",
           "Foam",
           grams,
           Quantity::mass,
           Stage::foam,
           "one hand, less its grooves and what is sawn out for surfaces",
           "volume × density",
           fmt::format("{} kg/m³", w.design.tables.named(w.design.foam.material).density),
           "materials' table",
           {"foam.material", "panel.span", "panel.rootChord"},
           true});
  for (const FoamCore& core : w.foam->cores) {
    const std::string key = fmt::format("foam.{}.", core.number);
    blockFigures(w, core, key, out);
    endFigures(w, core, false, key, out);
    endFigures(w, core, true, key, out);
    cutFigures(w, core, key, out);
  }
  for (const CoreThingMade& thing : w.foam->things) thingFigures(w, thing, out);
  if (w.design.foam.washoutIn == WashoutIn::beds)
    packingFigures(w, Stage::foam, "foam.bed", "Under the outer bed's {}",
                   "packed under the lower bed at the tip while the skins' glue sets, the root flat on the board", out);
  foamStrength(w, out);
}

/// What lies in the core and cannot, or should not.
static void thingFindings(Finder f) {
  constexpr double thin = 2; // mm: common practice, less foam than that breaks while it is sanded or skinned
  const auto& all = f.w.design.inCore;
  for (const CoreThingMade& made : f.w.foam->things) {
    const CoreThing& thing = all[static_cast<std::size_t>(made.number)];
    const std::string path = fmt::format("inCore.{}.", made.number);
    const auto say = [&](const char* key, Severity how, std::string what, std::string why, const char* cure,
                         std::vector<std::string> decisions) {
      for (std::string& d : decisions) d.insert(0, path);
      f.say({key, how, Stage::foam, std::move(what), std::move(why), cure, {}, std::move(decisions)});
    };
    if (made.volume <= 0) {
      say("inCore.none", Severity::warning, fmt::format("The {} lies in no foam", thing.name),
          fmt::format("It should run from {} to {}; the panel is {} long.", f.len(thing.from), f.len(thing.to),
                      f.len(f.w.shape.loft.span())),
          "Let it begin within the panel, before it ends.", {"from", "to", "xFrom"});
      continue;
    }
    if (made.breaksOut)
      say("inCore.out", Severity::serious, fmt::format("The {} comes out of the foam", thing.name),
          fmt::format("{} out from {}.", f.len(made.leftAt), innerEnd(f.w.design)),
          thing.round() ? "Move it to where the core is deeper, or take a thinner one."
                        : "Make it shallower, or move it to where the core is deeper.",
          {"upFrom", "upTo", "xFrom", "xTo", "width", "depth"});
    else if (made.left < thin)
      say("inCore.thin", Severity::warning, fmt::format("Little foam is left at the {}", thing.name),
          fmt::format("{} at least, {} out from {}.", f.len(made.left), f.len(made.leftAt), innerEnd(f.w.design)),
          "Move it deeper into the core, or make it smaller.", {"upFrom", "upTo", "xFrom", "xTo", "width", "depth"});
    if (made.meetsCap)
      say("inCore.cap", Severity::serious, fmt::format("The {} meets a spar's groove", thing.name),
          "Both cannot be there.", "Set it before or behind the spar.", {"xFrom", "xTo", "upFrom", "upTo"});
    for (const int other : made.meets)
      say("inCore.meets", Severity::serious,
          fmt::format("The {} and the {} meet", thing.name, all[static_cast<std::size_t>(other)].name),
          "Both cannot be there.", "Move one of them.", {"xFrom", "xTo", "from", "to"});
    if (thing.round() && made.endsInside && !thing.vented)
      say("inCore.air", Severity::note, fmt::format("Air cannot get out of the bore of the {}", thing.name),
          "It ends in the foam: air is pressed together before the glue, and pushes the piece out again.",
          "Bore a small hole from the face into its end.", {"vented"});
  }
}

/// Foam and skins end at a join: something must hold across it.
static void foamJoinFindings(Finder f) {
  const PanelBrief& d = f.w.design;
  if (!d.mirrored && d.innermost()) return;
  const bool through =
      std::any_of(d.inCore.begin(), d.inCore.end(), [](const CoreThing& t) { return t.round() && t.from < 1; });
  if (through || (d.cloth.any() && d.cloth.strip > 0)) return;
  f.say({"foam.joined",
         Severity::warning,
         Stage::joins,
         "Nothing but glue holds the join",
         "Skins, caps and foam all end there.",
         "Lay a band of cloth over it, or let a tube or rod run through it.",
         {},
         {"cloth.strip", "cloth.top", "cloth.bottom"}});
}

void foamFindings(Finder f) {
  if (!f.w.foam) return;
  const FoamMade& made = *f.w.foam;
  const HotWire& wire = f.w.design.wire;
  if (static_cast<int>(made.cores.size()) < f.w.design.foam.cores)
    f.say({"foam.cores",
           Severity::warning,
           Stage::foam,
           fmt::format("There are {} cores, not {}", made.cores.size(), f.w.design.foam.cores),
           "Cores end at stations, and there are too few of them.",
           "Set more stations, or take fewer cores.",
           {},
           {"foam.cores", "ribs.count"}});
  for (const FoamCore& core : made.cores) {
    const std::string name = made.nameOf(core);
    const bool gone = core.inner.outline.empty() || core.outer.outline.empty() || core.inner.path.empty();
    if (gone) {
      f.say({"foam.gone",
             Severity::serious,
             Stage::foam,
             fmt::format("Nothing is left of the {}", name),
             "Skins, strips or the wire's slot take the whole section.",
             "Take thinner skins, narrower strips, or a finer wire.",
             {},
             {"sheeting.thickness", "leadingEdge.width", "trailingEdge.width", "wire.kerf"}});
      continue;
    }
    if (core.fromBoard == 0)
      f.say({"foam.block",
             Severity::warning,
             Stage::foam,
             fmt::format("The block for the {} does not fit in a board", name),
             fmt::format("It is {} × {} × {}; a board {} × {} × {}.", f.len(core.block.length), f.len(core.block.width),
                         f.len(core.block.height), f.len(wire.boardLength), f.len(wire.boardWidth),
                         f.len(wire.boardHeight)),
             "Cut it as more cores, glue boards together, or buy larger ones.",
             {},
             {"foam.cores", "wire.boardLength", "wire.boardWidth", "wire.boardHeight"}});
    const double length = core.outer.t - core.inner.t;
    if (wire.fromTower < 0 || wire.fromTower + length > wire.towersApart)
      f.say({"foam.towers",
             Severity::warning,
             Stage::foam,
             fmt::format("The {} does not stand between the towers", name),
             fmt::format("It reaches from {} to {}; they stand {} apart.", f.len(wire.fromTower),
                         f.len(wire.fromTower + length), f.len(wire.towersApart)),
             "Set the towers farther apart, or the block elsewhere; between hand-held templates it does not matter.",
             {},
             {"wire.towersApart", "wire.fromTower"}});
    constexpr double seen = 0.3; // mm: common practice, what sanding takes off unseen
    const CutOff left = coreLeft(core, wire);
    if (std::abs(left.worst) > seen)
      f.say({"foam.off",
             Severity::note,
             Stage::foam,
             fmt::format("The {} comes out too {} at its {} end", name, left.worst > 0 ? "thick" : "thin",
                         left.outer ? "outer" : "inner"),
             fmt::format("By {} a face: the wire goes {} there than in the test.", f.len(std::abs(left.worst)),
                         left.worst > 0 ? "faster" : "slower"),
             "Let each end be made by its own slot, or cut at the test's speed.",
             {},
             {"wire.compensate", "wire.speed", "wire.kerfSpeed"}});
  }
  thingFindings(f);
  foamJoinFindings(f);
  SharedFault parted;
  for (const Rib& station : f.w.frame.ribs)
    if (station.pieces > 1) parted.add(station.number, station.pieces);
  if (!parted.ribs.empty()) {
    std::vector<std::string> decisions;
    for (std::size_t i = 0; i < f.w.design.spars.size(); ++i)
      for (const char* what : {"top.depth", "bottom.depth", "rootFraction"})
        decisions.push_back(fmt::format("spars.{}.{}", i, what));
    f.say({"foam.parted", Severity::serious, Stage::foam,
           fmt::format("Grooves cut the core apart at S{}", parted.worstRib), "A cap is deeper than the foam there.",
           "Take shallower caps, or set the spar where the section is deeper.", parted.worstRib, std::move(decisions)});
  }
  const auto weak = [&](const char* key, const char* what, double reserve, double at, const char* cure) {
    sayLittleReserve(f, Stage::foam, key, what, reserve, at, cure,
                     {"sheeting.thickness", "sheeting.material", "foam.material", "flying.loadFactor"});
  };
  if (f.w.design.spars.empty() && !f.w.strength.bending.edges.empty()) {
    const EdgeStrength& plate = f.w.strength.bending.edges.front();
    weak("foam.reserve", "skin", plate.worstReserve, plate.worstAt, "Take thicker or harder skins, cloth, or a spar.");
  }
  if (const auto& core = f.w.strength.core) {
    weak("foam.wrinkling", "skin against wrinkling", core->wrinkling, core->wrinklingAt,
         "Take firmer foam, thicker skins, or a spar that relieves them.");
    weak("foam.shear", "foam against shear", core->shear, core->shearAt, "Take firmer foam, or a deeper section.");
  }
}

} // namespace eup
