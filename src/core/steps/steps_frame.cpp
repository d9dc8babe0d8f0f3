// How a frame of ribs is built, flat on the board and off it.
#include "core/design/lasting.h"
#include "core/steps/step_maker.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

/// Whether any slot of the ribs is filed to what crosses it at an angle.
bool filed(const StepMaker& m) {
  const auto any = [](const auto& slots) {
    return std::ranges::any_of(slots, [](const auto& s) { return s.bevel != 0; });
  };
  return std::ranges::any_of(m.bodies, [&](const StepMaker::Body& body) {
    return std::ranges::any_of(body.panel->frame.ribs,
                               [&](const Rib& r) { return any(r.slots) || any(r.laps) || any(r.passHoles); });
  });
}

using enum PieceKind;

/// Of a cap, all that it is made of.
const std::vector<PieceKind> capPieces{cap, capOuter, doubler, doublerOuter};
const std::vector<PieceKind> ribPieces{rib,           stickUpper, stickLower, stickUpright,
                                       stickDiagonal, stickNose,  stickTail,  stickGussets};
const std::vector<PieceKind> stickPieces{stickUpper, stickLower, stickUpright, stickDiagonal,
                                         stickNose,  stickTail,  stickGussets};
const PieceQuery lowerCaps{capPieces, {}, false}, upperCaps{capPieces, {}, true};

/// Ribs that are sawn of sheet, and those that are glued up of sticks.
std::vector<std::string> ribsMade(StepMaker& m) {
  const double sticks = m.count({{stickUpper}}), sawn = m.ribCount() - sticks;
  const std::string cut =
      m.add("cutRibs", "Cut the ribs", 3.5 * sawn, {},
            {.look = filed(m) ? "Counted and numbered; slots filed to their bevel; a rib slides on without force"
                              : "Counted and numbered; a rib slides on without force",
             .caution = bladeCaution,
             .print = "ribs",
             .makes = PieceQuery{{rib}}});
  const std::string built =
      m.add("buildRibs", "Build the stick ribs on the fixture, one side, then the other", 9 * sticks, {},
            {.with = m.glue(),
             .cure = m.setHours(),
             .look = "Every bar just touches; doubled ribs marked",
             .caution = bladeCaution,
             .print = "ribs",
             .makes = PieceQuery{stickPieces}});
  return {cut, built};
}

/// Whether several spars of a panel have that cap.
bool several(const StepMaker& m, Cap Spar::*one) {
  return std::ranges::any_of(m.bodies, [&](const StepMaker::Body& body) {
    return std::ranges::count_if(body.panel->design.spars,
                                 [&](const Spar& s) { return s.kind == SparKind::caps && (s.*one).fitted; }) > 1;
  });
}

} // namespace

std::string boardSteps(StepMaker& m) {
  const PanelBrief& d = m.panel.design;
  const std::string plan =
      m.add("plan", "Tape the plan to the board, film over it", 15, {},
            {.look = fmt::format("Its head says “{}”; both check bars measure 100", m.handInHead()), .print = "plan"});
  const std::vector<std::string> made = ribsMade(m);
  const double lower = m.count(lowerCaps), caps = lower + m.count(upperCaps);
  const PieceQuery edges{{leadingEdge, trailingEdge}};
  PieceQuery strips{capPieces};
  strips.kinds.insert(strips.kinds.end(), edges.kinds.begin(), edges.kinds.end());
  const std::string sorted =
      m.add("strips", "Pick the strips, cut them a little long", 4 * m.count(strips), {},
            {.look = "Heavier, stiffer wood inboard; left and right matched", .print = "cut-list", .makes = strips});
  const double sheets = m.count({{sheetSpar}});
  const std::string slotted =
      m.add("cutSpars",
            sheets > 1 ? "Cut the sheet spars, with slots for the ribs" : "Cut the sheet spar, with slots for the ribs",
            sheets * (15 + m.ribCount()), {},
            {.look = "A rib slides in without force",
             .caution = bladeCaution,
             .print = "ribs",
             .makes = PieceQuery{{sheetSpar}}});
  StepMore low{.print = "setting-up", .puts = lowerCaps};
  const auto first =
      std::ranges::find_if(d.spars, [](const Spar& s) { return s.kind == SparKind::caps && s.bottom.fitted; });
  if (first != d.spars.end()) low.figures = {fmt::format("setup.{}.spar{}", d.firstRib, first - d.spars.begin() + 1)};
  const std::string pinned =
      m.add("lower", several(m, &Spar::bottom) ? "Pin the lower spars on packing" : "Pin the lower spar on packing",
            14 + 3 * lower, {plan, sorted}, low);
  PieceQuery standing{ribPieces};
  standing.kinds.push_back(sheetSpar); // they slide into each other
  const std::string ribs =
      m.add("ribsOn", "Glue the ribs, end ribs first, each upright", 2.2 * m.ribCount() * std::max(caps, 1.0) / 2,
            {plan, pinned, slotted, made[0], made[1]},
            {.with = m.glue(),
             .cure = m.setHours(),
             .look = "Every rib in its place, square to the board",
             .caution = glueCaution,
             .puts = standing});
  const auto glued = [&](const PieceQuery& pieces) {
    return StepMore{.with = m.glue(), .cure = m.setHours(), .puts = pieces};
  };
  const std::string edged = m.edges(2.0 * m.ribCount(), {ribs, sorted});
  std::string upper = m.add("upper", several(m, &Spar::top) ? "Glue the upper caps" : "Glue the upper cap",
                            1.2 * m.ribCount(), {ribs, sorted}, glued(upperCaps));
  upper = m.add("webs", "Glue the webs, grain upright", 2.2 * m.ribCount(), {upper}, glued({{webOfBay, web}}));
  upper = m.add("rescue", "Close the slots of the sheet spar that was cut too shallow", m.ribCount(), {upper},
                glued({{rescue, rescueOfBay}}));
  upper = m.add("diagonals", "Glue the diagonals", 2.0 * m.ribCount(), {upper}, glued({{diagonal}}));
  return m.add("off", "Take the panel off the board", 10, {edged, upper},
               {.look = "Sighted along: straight, washout as decided",
                .figures = {fmt::format("rib.{}.washout", m.outermost().frame.ribs.back().number)},
                .works = PieceQuery{{rib, cap, leadingEdge, trailingEdge, sheetSpar}}});
}

std::string tipSteps(StepMaker& m, const std::string& before) {
  if (!m.panel.tip) return before;
  const Tip& t = m.panel.design.tip;
  const bool ofTheEdge = t.kind == TipKind::bow && t.runsOn; // its strips are the trailing edge's
  std::string form;
  constexpr double dries = 12; // hours: common practice
  if (t.kind == TipKind::bow)
    form = m.add("tipForm", "Soak the tip's strips half an hour, draw them round their form", 20, {},
                 {.with = "water, then " + m.glue(),
                  .cure = dries,
                  .look = "Even tension, all strips down; it stays on the form until it is dry",
                  .print = "ribs",
                  .makes = PieceQuery{{tip}},
                  .anyway = ofTheEdge});
  return m.add(
      "tip", "Build the tip on", m.share(45), {before, form},
      {.with = m.glue(), .cure = m.setHours(), .print = "ribs", .puts = PieceQuery{{tip}}, .anyway = ofTheEdge});
}

std::string frameSteps(StepMaker& m, const std::string& before) {
  const PanelBrief& d = m.panel.design;
  std::string last = before;
  for (std::size_t k = 0; k < d.hardPoints.size(); ++k)
    last = m.add(fmt::format("hard{}", numberIn(d.hardPoints, k) - 1),
                 fmt::format("Glue the block of the {}, its doublers", d.hardPoints[k].name), 12, {last},
                 {.with = "slow epoxy",
                  .cure = m.epoxyHours(),
                  .caution = glueCaution,
                  .print = "surfaces",
                  .puts = PieceQuery{{hardPointBlock, hardPointDoubler}, numberIn(d.hardPoints, k)}});
  last = servoSteps(m, surfaceSteps(m, last, false));
  for (std::size_t k = 0; k < d.runs.size(); ++k)
    last =
        m.add(fmt::format("run{}", numberIn(d.runs, k) - 1), fmt::format("Draw the {} in", d.runs[k].name), 8, {last},
              {.look = "Through every hole, its ends out", .figures = {fmt::format("run.{}.length", k + 1)}});
  last = m.add("between", "Glue the foam between the ribs, cut it to them", 6 * m.ribCount(), {last},
               {.with = m.glue(),
                .cure = m.setHours(),
                .caution = glueCaution,
                .print = "foam",
                .puts = PieceQuery{{foamBetween}}});
  if ((d.sheeting.top || d.sheeting.bottom) && d.leadingEdge.kind != LeadingEdgeKind::none)
    last = m.add("planeEdge", "Plane the leading edge to the ribs' curve", 0.8 * m.ribCount() + 5, {last},
                 {.look = "A rule along the nose bears on every rib",
                  .caution = bladeCaution,
                  .print = "gauges",
                  .works = PieceQuery{{leadingEdge}}});
  last = skinSteps(m, last);
  last = m.add("capStrips", "Glue the cap strips", 2.4 * m.ribCount(), {last},
               {.with = m.glue(), .cure = m.setHours(), .puts = PieceQuery{{capStrip, capStripAft}}});
  // What is sawn off is sawn through its covers; before the tip, since the facing hangs over the bench's edge while the
  // panel lies flat.
  return tipSteps(m, surfaceSteps(m, last, true));
}

} // namespace eup
