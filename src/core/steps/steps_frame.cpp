// How a frame of ribs is built, flat on the board and off it.
#include "core/design/lasting.h"
#include "core/steps/step_maker.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// Whether any slot of the ribs is filed to what crosses it at an angle.
bool filed(const TruePanel& panel) {
  const auto any = [](const auto& slots) {
    return std::ranges::any_of(slots, [](const auto& s) { return s.bevel != 0; });
  };
  return std::ranges::any_of(panel.frame.ribs,
                             [&](const Rib& r) { return any(r.slots) || any(r.laps) || any(r.passHoles); });
}

/// Until it can be taken up.
std::string onTheBoard(StepMaker& m) {
  const PanelBrief& d = m.panel.design;
  const std::string plan =
      m.add("plan", "Tape the plan to the board, film over it", 15, {},
            {.look = fmt::format("Its head says “{}”; both check bars measure 100", m.whose), .print = "plan"});
  const std::string cut =
      m.add("cutRibs", "Cut the ribs", 3.5 * m.ribCount(), {},
            {.look = filed(m.panel) ? "Counted and numbered; slots filed to their bevel; a rib slides on without force"
                                    : "Counted and numbered; a rib slides on without force",
             .caution = bladeCaution,
             .print = "ribs"});
  const double lower = m.pieces(Part::What::spars, ".bottom"), caps = lower + m.pieces(Part::What::spars, ".top"),
               strips = caps + m.pieces(Part::What::leadingEdge) + m.pieces(Part::What::trailingEdge);
  const auto several = [&](Cap Spar::*cap) {
    return std::ranges::count_if(d.spars, [&](const Spar& s) { return s.kind == SparKind::caps && (s.*cap).fitted; }) >
           1;
  };
  std::string sorted, pinned, slotted;
  if (strips > 0)
    sorted = m.add("strips", "Pick the strips, cut them a little long", 4 * strips, {},
                   {.look = "Heavier, stiffer wood inboard; left and right matched", .print = "cut-list"});
  if (const double sheets = m.pieces(Part::What::spars, ".sheet"); sheets > 0)
    slotted = m.add("cutSpars",
                    sheets > 1 ? "Cut the sheet spars, with slots for the ribs"
                               : "Cut the sheet spar, with slots for the ribs",
                    sheets * (15 + m.ribCount()), {},
                    {.look = "A rib slides in without force", .caution = bladeCaution, .print = "ribs"});
  if (lower > 0) {
    const auto first =
        std::ranges::find_if(d.spars, [](const Spar& s) { return s.kind == SparKind::caps && s.bottom.fitted; });
    pinned = m.add(
        "lower", several(&Spar::bottom) ? "Pin the lower spars on packing" : "Pin the lower spar on packing",
        14 + 3 * lower, {plan, sorted},
        {.print = "setting-up", .figures = {fmt::format("setup.{}.spar{}", d.firstRib, first - d.spars.begin() + 1)}});
  }
  const std::string ribs = m.add("ribsOn", "Glue the ribs, end ribs first, each upright",
                                 2.2 * m.ribCount() * std::max(caps, 1.0) / 2, {plan, pinned, slotted, cut},
                                 {.with = m.glue(),
                                  .cure = m.setHours(),
                                  .look = "Every rib in its place, square to the board",
                                  .caution = glueCaution});
  const StepMore glued{.with = m.glue(), .cure = m.setHours()};
  const std::string edges = m.edges(2.0 * m.ribCount(), {ribs, sorted});
  std::string upper = ribs;
  if (m.pieces(Part::What::spars, ".top") > 0)
    upper = m.add("upper", several(&Spar::top) ? "Glue the upper caps" : "Glue the upper cap", 1.2 * m.ribCount(),
                  {ribs, sorted}, glued);
  if (m.pieces(Part::What::webs, "web.") > 0)
    upper = m.add("webs", "Glue the webs, grain upright", 2.2 * m.ribCount(), {upper}, glued);
  if (m.pieces(Part::What::webs, "rescue.") > 0)
    upper = m.add("rescue", "Close the slots of the sheet spar that was cut too shallow", m.ribCount(), {upper}, glued);
  if (d.stiffening.diagonals != Diagonals::none)
    upper = m.add("diagonals", "Glue the diagonals", 2.0 * m.ribCount(), {upper}, glued);
  return m.add("off", "Take it off the board", 10, {edges, upper},
               {.look = "Sighted along: straight, washout as decided",
                .figures = {fmt::format("rib.{}.washout", m.panel.frame.ribs.back().number)}});
}

std::string tipSteps(StepMaker& m, const std::string& before) {
  if (!m.panel.tip) return before;
  std::string form;
  constexpr double dries = 12; // hours: common practice
  if (m.panel.design.tip.kind == TipKind::bow)
    form = m.add("tipForm", "Soak the tip's strips half an hour, draw them round their form", 20, {},
                 {.with = "water, then " + m.glue(),
                  .cure = dries,
                  .look = "Even tension, all strips down; it stays on the form until it is dry",
                  .print = "ribs"});
  return m.add("tip", "Build the tip on", m.share(45), {before, form},
               {.with = m.glue(), .cure = m.setHours(), .print = "ribs"});
}

} // namespace

std::string frameSteps(StepMaker& m) {
  const PanelBrief& d = m.panel.design;
  std::string last = onTheBoard(m);
  for (std::size_t k = 0; k < d.hardPoints.size(); ++k)
    last = m.add(fmt::format("hard{}", numberIn(d.hardPoints, k) - 1),
                 fmt::format("Glue the block of the {}, its doublers", d.hardPoints[k].name), 12, {last},
                 {.with = "slow epoxy", .cure = m.epoxyHours(), .caution = glueCaution, .print = "surfaces"});
  last = surfaceSteps(m, last); // before the tip: the facing hangs over the bench's edge while the panel lies flat
  for (std::size_t k = 0; k < d.runs.size(); ++k)
    last =
        m.add(fmt::format("run{}", numberIn(d.runs, k) - 1), fmt::format("Draw the {} in", d.runs[k].name), 8, {last},
              {.look = "Through every hole, its ends out", .figures = {fmt::format("run.{}.length", k + 1)}});
  if (d.foam.between)
    last = m.add("between", "Glue the foam between the ribs, cut it to them", 6 * m.ribCount(), {last},
                 {.with = m.glue(), .cure = m.setHours(), .caution = glueCaution, .print = "foam"});
  if ((d.sheeting.top || d.sheeting.bottom) && d.leadingEdge.kind != LeadingEdgeKind::none)
    last = m.add("planeEdge", "Plane the leading edge to the ribs' curve", 0.8 * m.ribCount() + 5, {last},
                 {.look = "A rule along the nose bears on every rib", .caution = bladeCaution, .print = "gauges"});
  last = skinSteps(m, last);
  if (d.capStrips.top || d.capStrips.bottom)
    last =
        m.add("capStrips", "Glue the cap strips", 2.4 * m.ribCount(), {last}, {.with = m.glue(), .cure = m.setHours()});
  return tipSteps(m, last);
}

} // namespace eup
