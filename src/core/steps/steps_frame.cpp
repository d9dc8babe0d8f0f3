// How a frame of ribs is built, flat on the board and off it.
#include "core/design/lasting.h"
#include "core/steps/step_maker.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// Strips that are laid along the span, and what stands between them.
struct Strips {
  double count = 2; // edges
  bool webs = false, caps = false;
  explicit Strips(const std::vector<Spar>& spars) {
    for (const Spar& s : spars) {
      count += (s.top.fitted ? 1 : 0) + (s.bottom.fitted ? 1 : 0);
      caps = caps || s.kind == SparKind::caps;
      webs = webs || (s.kind == SparKind::caps && s.webs != Webs::none);
    }
  }
};

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
  const Strips strips(d.spars);
  const std::string sorted =
      m.add("strips", "Pick the strips, cut them a little long", 4 * strips.count, {},
            {.look = "Heavier, stiffer wood inboard; left and right matched", .print = "cut-list"});
  const std::string low = m.add("lower", "Pin the lower spars on their packing", 8 + 3 * strips.count, {plan, sorted},
                                {.print = "setting-up", .figures = {fmt::format("setup.{}.spar1", d.firstRib)}});
  const std::string ribs = m.add("ribsOn", "Glue the ribs, end ribs first, each upright",
                                 2.2 * m.ribCount() * std::max(strips.count - 2, 1.0) / 2, {low, cut},
                                 {.with = m.glue(),
                                  .cure = m.setHours(),
                                  .look = "Every rib in its place, square to the board",
                                  .caution = glueCaution});
  const StepMore glued{.with = m.glue(), .cure = m.setHours()};
  const std::string edges = m.add("edges", "Glue leading and trailing edge", 2.0 * m.ribCount(), {ribs}, glued);
  std::string upper = ribs;
  if (strips.caps) upper = m.add("upper", "Glue the upper caps", 1.2 * m.ribCount(), {ribs}, glued);
  if (strips.webs) upper = m.add("webs", "Glue the webs, grain upright", 2.2 * m.ribCount(), {upper}, glued);
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
