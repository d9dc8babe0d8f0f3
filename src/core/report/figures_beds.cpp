// Figures of foam panels where they meet: what stands under the corners of their beds while the wing lies in them at
// its dihedral, how their ends lean, and the cloth that carries the bending over the join.
#include "core/loft/core_line.h"
#include "core/report/report_parts.h"
#include "core/strength/joint_strength.h"
#include "core/strength/loads.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// Of a lower bed's underside, in the panel's axes: its block runs straight along the span.
Point3 cornerOf(const FoamPanel& foam, const FoamCore& core, bool outer, bool tail) {
  const Point corner(core.front + (tail ? core.block.width : 0), core.low);
  const Point at =
      foam.washoutIn == WashoutIn::beds ? Point(core.inner.frame.le + corner) : core.inner.frame.fromChord(corner);
  return {at.x(), outer ? core.outer.t : core.inner.t, at.y()};
}

std::vector<std::string> within(const TruePanel& p, std::vector<std::string> decisions) {
  for (std::string& decision : decisions) decision.insert(0, pathOf(p.design.id));
  return decisions;
}

/// A thin shell round a section, for every mm of its thickness: mm³ about the level line through its middle, and how
/// far its farthest point lies off that.
struct Shell {
  double inertia = 0, far = 0;
};
Shell shellOf(const Polyline& section) {
  double length = 0, moment = 0, second = 0;
  for (std::size_t i = 0; i < section.size(); ++i) {
    const Point &a = section[i], &b = section[(i + 1) % section.size()];
    const double ds = (b - a).norm();
    length += ds, moment += ds * (a.y() + b.y()) / 2;
    second += ds * (a.y() * a.y() + a.y() * b.y() + b.y() * b.y()) / 3;
  }
  Shell out;
  if (length <= 0) return out;
  const double middle = moment / length;
  out.inertia = second - middle * moment;
  for (const Point& p : section) out.far = std::max(out.far, std::abs(p.y() - middle));
  return out;
}

} // namespace

void foamJoinFigures(const WholeWing& wing, FigureList& out) {
  for (const TruePanel& p : wing.panels) {
    if (!p.foam || p.foam->cores.empty() || (!p.design.mirrored && p.design.innermost())) continue;
    const double chord = p.foam->cores.front().inner.frame.chord;
    constexpr double one = 150, thick = 3, in = 25; // mm of chord to a skewer, its thickness, what it goes in
    out.add(
        {fmt::format("band.{}.skewers", p.design.id.panel + 1),
         wing.panels.size() > 1 ? fmt::format("Skewers in the join, panel {}", p.design.id.panel + 1)
                                : "Skewers in the join",
         std::max(std::ceil(chord / one), 2.0), Quantity::count, Stage::joins,
         fmt::format("{} thick, {} into either core, clear of grooves and bores: they hold the ends in line until the "
                     "glue has set, and carry nothing",
                     out.len(thick), out.len(in)),
         "one to so much of the chord, two at least", fmt::format("{} ÷ {}", out.len(chord), out.len(one)),
         "common practice", within(p, {"panel.rootChord"})});
    const LoadCase& worst = worstAt(wing.loads, p.design.inboard);
    const double moment = std::abs(worst.load.moment(p.design.inboard));
    const Shell shell = shellOf(p.foam->cores.front().inner.section);
    const Cloth& cloth = p.design.cloth;
    const Material& material = p.design.tables.named(cloth.material);
    const double layer = cloth.layer(material.density), holds = std::min(material.tension, material.compression);
    for (std::size_t k = 0; k < p.design.inCore.size(); ++k) {
      const CoreThing& thing = p.design.inCore[k];
      if (!thing.round() || thing.from >= 1 || moment <= 0) continue;
      const double bore = boreOf(thing), stress = tubeStress(moment, thing.width, bore);
      const Material& wood = p.design.tables.named(thing.material);
      if (stress <= 0) continue;
      const std::string path = fmt::format("inCore.{}.", k);
      out.add({fmt::format("band.{}.rod{}", p.design.id.panel + 1, k + 1),
               fmt::format("Reserve over the join: {}", thing.name), std::min(wood.tension, wood.compression) / stress,
               Quantity::ratio, Stage::joins,
               fmt::format("if it alone carries the bending there, {}", wordsOf(worst.what)), "strength ÷ (M ÷ W)",
               fmt::format("{:.0f} MPa ÷ ({:.0f} N·mm ÷ (π ({:.2f}⁴ − {:.2f}⁴) ÷ (32 × {:.2f}))) = ÷ {:.1f} MPa",
                           std::min(wood.tension, wood.compression), moment, thing.width, bore, thing.width, stress),
               "bending of a round bar", within(p, {path + "width", path + "wall", path + "material"})});
    }
    if (shell.inertia <= 0 || layer <= 0 || holds <= 0 || moment <= 0) continue;
    const double stress = moment * shell.far / (shell.inertia * layer);
    out.add(
        {fmt::format("band.{}.layers", p.design.id.panel + 1),
         wing.panels.size() > 1 ? fmt::format("Layers over the join, panel {}", p.design.id.panel + 1)
                                : "Layers over the join",
         std::max(std::ceil(usualReserve * stress / holds), 1.0), Quantity::count, Stage::joins,
         fmt::format("of the decided cloth all round, {}; nothing else is taken to carry over the join. 50 mm wide or "
                     "more is common practice",
                     wordsOf(worst.what)),
         "⌈reserve × M y ÷ (∮ y² ds × a layer's thickness) ÷ strength⌉",
         fmt::format("{} × {:.0f} N·mm × {:.2f} mm ÷ ({:.0f} mm³ × {:.4f} mm) ÷ {:.0f} MPa", usualReserve, moment,
                     shell.far, shell.inertia, layer, holds),
         "bending of a thin shell; the table's strength of the cloth",
         within(p, {"cloth.strip", "cloth.gsm", "cloth.resinRatio"})});
  }
}

void bedFigures(const WholeWing& wing, FigureList& out) {
  const PanelBrief& first = wing.panels.front().design;
  // One half flat: the other gets the whole angle, and all of it turns with its root.
  const bool flat = wing.mirrored && first.join.propping == Propping::oneFlat;
  const double turn = flat ? first.gamma : 0;
  const auto height = [&](const TruePanel& p, const FoamCore& core, bool outer, bool tail) {
    const Point3 c = cornerOf(p.design.foam, core, outer, tail),
                 at = wing.inSpace[static_cast<std::size_t>(p.design.id.panel)].at(c.x(), c.y(), c.z());
    return at.z() * std::cos(turn) + at.y() * std::sin(turn);
  };
  double lowest = 1e300;
  for (const TruePanel& p : wing.panels)
    if (p.foam)
      for (const FoamCore& core : p.foam->cores)
        for (const bool outer : {false, true})
          for (const bool tail : {false, true}) lowest = std::min(lowest, height(p, core, outer, tail));
  for (const TruePanel& p : wing.panels) {
    if (!p.foam) continue;
    const std::string panel = fmt::format("{}", p.design.id.panel + 1),
                      of = wing.panels.size() > 1 ? fmt::format(", panel {}", panel) : std::string();
    for (const FoamCore& core : p.foam->cores) {
      const std::string key = fmt::format("bed.{}.{}.", panel, core.number);
      for (const bool outer : {false, true})
        for (const bool tail : {false, true}) {
          const Point3 c = cornerOf(p.design.foam, core, outer, tail);
          out.add(
              {key + (outer ? "outer" : "inner") + (tail ? "Tail" : "Front"),
               fmt::format("Under the {} bed corner, {}: {}{}", outer ? "outer" : "inner", tail ? "tail" : "front",
                           p.foam->nameOf(core), of),
               height(p, core, outer, tail) - lowest, Quantity::length, Stage::foam,
               fmt::format("board to the lower bed's underside, the lowest of all corners on the board, {}{}",
                           flat ? "the other half flat on it" : "both halves propped",
                           p.design.foam.washoutIn == WashoutIn::beds ? "; the packing for washout is more" : ""),
               "height of that corner of the block in the finished wing − the lowest one's",
               fmt::format("{:.2f} out, {:.2f} aft, {:.2f} up in the panel; {:.3f}° to the horizontal", c.y(), c.x(),
                           c.z(), radToDeg(wing.inSpace[static_cast<std::size_t>(p.design.id.panel)].gamma + turn)),
               "plane geometry",
               within(p,
                      {"join.dihedral.rise", "join.dihedral.angle", "join.propping", "panel.span", "foam.washoutIn"})});
        }
    }
    if (p.design.mirrored || !p.design.innermost())
      out.add({fmt::format("bed.{}.bevel", panel), "Bed's inner end leans" + of, p.design.lean, Quantity::angle,
               Stage::foam, "out of square, both beds and the core alike, its top inwards when positive",
               "half the angle of the join, or as decided", out.deg(p.design.lean), "plane geometry",
               within(p, {"join.dihedral.rise", "join.dihedral.angle", "join.angleTaken"})});
  }
}

} // namespace eup
