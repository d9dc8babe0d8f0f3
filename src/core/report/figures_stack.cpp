// Figures and findings of ribs that are sanded as a stack.
#include "core/parts/rib_stack.h"
#include "core/report/finder.h"
#include "core/report/report_parts.h"

namespace eup {

/// How far off a rib may be before a builder sees it under the covering: common practice.
static constexpr double stackSeen = 0.3; // mm

void stackFigures(const TruePanel& w, FigureList& out) {
  const auto stack = ribStack(w.design, w.shape.loft, w.frame);
  if (!stack) return;
  const std::vector<std::string> from{"ribs.make", "ribs.boltFront", "panel.washout"};
  const char* source = "straight runs from template to template; against the ruled panel";
  out.add({"stack.thick",
           "Stack, thickness",
           stack->thick,
           Quantity::length,
           Stage::ribs,
           "all blanks of the panel, without the templates",
           "Σ rib thickness",
           fmt::format("{} blanks", w.frame.ribs.size()),
           planeGeometry,
           {"ribs.make", "ribs.thickness"},
           true});
  for (const bool inner : {true, false}) {
    const Rib& rib = inner ? stack->innerTemplate : stack->outerTemplate;
    out.add({inner ? "stack.rootTemplate" : "stack.tipTemplate",
             inner ? "Template at the root end, chord" : "Template at the tip end, chord", rib.frame.chord,
             Quantity::length, Stage::ribs,
             fmt::format("the section {} {} the {} rib",
                         out.len(std::abs(inner ? stack->inner : stack->outer - w.shape.loft.span())),
                         inner ? "inside" : "beyond", inner ? "root" : "tip"),
             "as far beyond the end rib as half its thickness is of the stack, so that it comes out true in its middle",
             fmt::format("end rib {}", out.len(w.frame.ribs[inner ? 0 : w.frame.ribs.size() - 1].frame.chord)), source,
             from, true});
  }
  out.add(
      {"stack.bolts",
       "Bolts stand apart",
       stack->boltApart,
       Quantity::length,
       Stage::ribs,
       fmt::format("middle to middle; the front one {:.1f} % of the chord behind each nose", 100 * stack->boltFront),
       "(rear − front) × the shorter end rib's chord",
       fmt::format("({:.3f} − {:.3f}) × chord", w.design.ribs.boltRear, w.design.ribs.boltFront),
       planeGeometry,
       {"ribs.boltFront", "ribs.boltRear"},
       true});
  out.add({"stack.bevel", "Edges slope at most", stack->bevel, Quantity::angle, Stage::ribs,
           "out of square to the sheet, where the two templates differ most",
           "atan(way between the templates, square to the outline ÷ thickness of the stack)",
           fmt::format("over {}", out.len(stack->thick)), source, from});
  out.add(
      {"stack.off", "Farthest from true", stack->worst.off, Quantity::length, Stage::ribs,
       fmt::format("R{}, half way through its thickness; {}", stack->worst.rib,
                   stack->worst.off < stackSeen ? "no one sees that under the covering" : "it shows: see the findings"),
       "greatest distance of the sanded outline from the ruled panel's",
       fmt::format("in the middle of the block {}; with the end ribs' own sections for templates {}",
                   out.len(stack->middleOff), out.len(stack->plainOff)),
       source, from, true});
  for (const StackedRib& one : stack->ribs)
    out.add({fmt::format("rib.{}.stackOff", one.rib), "Out of the stack it is off by", one.off, Quantity::length,
             Stage::ribs, "half way through its thickness, where it is farthest from its own outline",
             "distance of the sanded outline from the ruled panel's",
             fmt::format("chord {} {}", out.len(std::abs(one.chord)), one.chord < 0 ? "too short" : "too long"), source,
             from, false, one.rib});
}

void stackFindings(Finder f) {
  if (f.w.design.ribs.make != RibMake::stack) return;
  const auto stack = ribStack(f.w.design, f.w.shape.loft, f.w.frame);
  if (!stack)
    return f.say({"stack.cannot",
                  Severity::warning,
                  Stage::ribs,
                  "These ribs cannot be sanded as a stack",
                  "Turned ribs are each of a length of their own, and two ribs make no stack.",
                  "Cut each along its print, or set the ribs with the flight.",
                  {},
                  {"ribs.make", "ribs.direction"}});
  if (stack->worst.off < stackSeen) return;
  f.say({"stack.off",
         Severity::warning,
         Stage::ribs,
         fmt::format("R{} comes out of the stack {} off", stack->worst.rib, f.len(stack->worst.off)),
         "A stack runs straight from end to end; these ribs stand unevenly, are of several thicknesses, or the washout "
         "turns them otherwise.",
         "Sand that rib by its own print, even the spacing, or stack the panel in two parts.",
         stack->worst.rib,
         {"ribs.make", "ribs.stations", "panel.washout"}});
}

} // namespace eup
