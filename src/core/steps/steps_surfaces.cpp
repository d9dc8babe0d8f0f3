// Surfaces on hinges: cut out or made by themselves, faced, bevelled, hung and moved.
#include "core/design/lasting.h"
#include "core/steps/step_maker.h"
#include "core/surfaces/track.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

const Surface& decided(const TruePanel& panel, const SurfaceMade& made) {
  return panel.design.surfaces[static_cast<std::size_t>(made.line.surface)];
}

std::string figureOf(const char* what, const SurfaceMade& made) {
  return fmt::format("surface.{}.{}", made.line.surface + 1, what);
}

std::string keyOf(const StepMaker& m, const char* what, const SurfaceMade& made) {
  return fmt::format("{}{}", what, numberIn(m.panel.design.surfaces, made.line.surface) - 1);
}

using enum PieceKind;

/// Of what a surface is made, where it is of ribs.
const std::vector<PieceKind> ownPieces{facing, surfaceEndRibInner, surfaceEndRibOuter, infill, surfaceGussets};

const std::vector<PieceKind> withTails = [] {
  std::vector<PieceKind> all = ownPieces;
  all.push_back(ribTail);
  return all;
}();

PieceQuery ofIt(const StepMaker& m, const SurfaceMade& made, std::vector<PieceKind> kinds) {
  return {std::move(kinds), numberIn(m.panel.design.surfaces, made.line.surface)};
}

/// What is built beside the panel, and can be while its glue sets; empty where it is sawn off.
std::string madeApart(StepMaker& m, const SurfaceMade& made) {
  const Surface& s = decided(m.panel, made);
  const double along = made.length / 100;
  switch (s.built) {
  case SurfaceBuilt::apart:
    if (m.panel.design.built != Built::ribs) return {};
    return m.add(keyOf(m, "apart", made), fmt::format("Build the {} over its plan", s.name),
                 20 + 5.0 * static_cast<double>(made.ribs.size()), {m.told("cutRibs")},
                 {.with = m.glue(),
                  .cure = m.setHours(),
                  .look = "It is this hand's",
                  .caution = glueCaution,
                  .print = "surfaces",
                  .puts = ofIt(m, made, withTails),
                  .anyway = true});
  case SurfaceBuilt::solid:
    return m.add(keyOf(m, "stock", made), fmt::format("Saw and taper the {} from its stock", s.name), 15 + 5 * along,
                 {},
                 {.look = "Section correct at both ends",
                  .caution = bladeCaution,
                  .print = "surfaces",
                  .puts = ofIt(m, made, {surfaceCore})});
  case SurfaceBuilt::skinned:
    return m.add(keyOf(m, "stock", made), fmt::format("Cut the core of the {}, bend its sheet round it", s.name),
                 25 + 6 * along, {},
                 {.with = m.glue(),
                  .cure = m.setHours(),
                  .look = "Straight while it sets, held in its bed",
                  .caution = glueCaution,
                  .print = "surfaces",
                  .puts = ofIt(m, made, {surfaceCore, surfaceSkin})});
  case SurfaceBuilt::sawnOff:
    break;
  }
  return {};
}

/// Whether a core is cut with its tail, and opened for a surface of its own wood afterwards.
bool opensCore(const TruePanel& panel, const SurfaceMade& made) {
  if (!panel.foam || !decided(panel, made).ofOwnWood()) return false;
  const auto opened = [&](const FoamCore& one) {
    return made.line.from < one.outer.t && made.line.to > one.inner.t && one.endsAt != made.line.surface;
  };
  return std::any_of(panel.foam->cores.begin(), panel.foam->cores.end(), opened);
}

std::string cutSteps(StepMaker& m, const SurfaceMade& made, std::string last) {
  const Surface& s = decided(m.panel, made);
  const std::string apart = madeApart(m, made);
  const bool ribs = m.panel.design.built == Built::ribs; // without them there is nothing to part beforehand
  if (s.built == SurfaceBuilt::sawnOff || (s.built == SurfaceBuilt::apart && !ribs))
    last =
        m.add(keyOf(m, "saw", made), fmt::format("Saw the {} off", s.name),
              15 + 3.0 * static_cast<double>(made.ribs.size()), {last},
              {.look = ribs ? "Marks on every rib are this hand's" : "The line is marked at both ends, for this hand",
               .caution = bladeCaution,
               .print = "surfaces",
               .works = PieceQuery{{rib, noseSheet, baySheet, core, panelSheet}}});
  if (opensCore(m.panel, made))
    last =
        m.add(keyOf(m, "opening", made), fmt::format("Saw the opening for the {} out of the core", s.name), 20, {last},
              {.look = "Marked on both faces from the plan, for this hand",
               .caution = bladeCaution,
               .print = "plan",
               .works = PieceQuery{{core}}});
  std::vector<std::string> strips;
  if (made.facing.thickness > 0)
    for (const char* end : {"facing.inner", "facing.outer"}) strips.push_back(figureOf(end, made));
  if (made.wingFacing.thickness > 0)
    for (const char* end : {"wingFacing.inner", "wingFacing.outer"}) strips.push_back(figureOf(end, made));
  std::vector<PieceKind> glued{wingFacing, hingeBlockWing, hingeBlockSurface, hornBlock};
  if (apart.empty()) glued.insert(glued.end(), ownPieces.begin(), ownPieces.end());
  last = m.add(keyOf(m, "face", made), fmt::format("Glue the facings of the {}, hinge and horn blocks", s.name),
               20 + 4.0 * static_cast<double>(made.hinges.size()), {last, apart},
               {.with = m.glue(),
                .cure = m.setHours(),
                .caution = glueCaution,
                .print = "surfaces",
                .figures = strips,
                .puts = ofIt(m, made, glued)});
  last = m.add(keyOf(m, "bevel", made), fmt::format("Plane the facings and the bevels of the {}", s.name), 25, {last},
               {.look = "It clears at full travel; when the plane drags, stop",
                .caution = bladeCaution,
                .print = "surfaces",
                .figures = {figureOf("innerBackBottom", made), figureOf("outerBackBottom", made)},
                .works = ofIt(m, made, {facing, wingFacing, surfaceCore})});
  if (slides(s))
    last = m.add(keyOf(m, "track", made), fmt::format("Cut the slots of the {}'s track, line them", s.name), 40, {last},
                 {.with = m.glue(),
                  .cure = m.setHours(),
                  .look = "Both pins ride from end to end without a catch",
                  .print = "surfaces",
                  .figures = {figureOf("slideLength", made)}});
  return last;
}

} // namespace

std::string servoSteps(StepMaker& m, std::string last) {
  for (const SurfaceMade& made : m.panel.surfaces)
    if (made.driven)
      last = m.add(keyOf(m, "servo", made), fmt::format("Seat the servo of the {}", decided(m.panel, made).name), 30,
                   {last},
                   {.look = "Centred before it is buried; its lead goes through every hole",
                    .print = "surfaces",
                    .puts = ofIt(m, made, {servoPlate, servoBearers}),
                    .anyway = true});
  return last;
}

std::string surfaceSteps(StepMaker& m, std::string last, bool covered) {
  for (const SurfaceMade& made : m.panel.surfaces) {
    const Surface& s = decided(m.panel, made);
    const bool sawn = s.partsRibs() && s.built == SurfaceBuilt::sawnOff;
    if (sawn != covered) continue;
    if (s.partsRibs()) last = cutSteps(m, made, last);
    if (s.plateLike())
      last = m.add(keyOf(m, "plate", made), fmt::format("Cut the plate of the {}, let it in flush", s.name), 30, {last},
                   {.look = "Plate flush with the curve of the ribs",
                    .caution = bladeCaution,
                    .print = "surfaces",
                    .puts = ofIt(m, made, {spoilerPlate})});
    if (s.whole())
      last = m.add(keyOf(m, "pivot", made), fmt::format("Fit the pivot of the {}", s.name), 30, {last},
                   {.with = "slow epoxy",
                    .cure = m.epoxyHours(),
                    .look = "Square to the middle; it turns without play",
                    .caution = glueCaution,
                    .print = "surfaces"});
  }
  return last;
}

std::string hangSteps(StepMaker& m, std::string last, const std::vector<std::string>& wires) {
  for (const SurfaceMade& made : m.panel.surfaces) {
    const Surface& s = decided(m.panel, made);
    if (!s.whole()) {
      const auto k = static_cast<std::size_t>(made.line.surface);
      last = m.add(keyOf(m, "hang", made), "Hang the " + s.name, 6.0 * static_cast<double>(made.hinges.size()),
                   {last, m.panel.design.innermost() && k < wires.size() ? wires[k] : std::string()},
                   {.cure = m.setHours(),
                    .look = "It turns freely to its full travel both ways",
                    .figures = {figureOf("travelUp", made)},
                    .works = ofIt(m, made, {facing, surfaceCore, spoilerPlate})});
    }
    if (made.driven)
      last = m.add(keyOf(m, "rod", made), fmt::format("Set the rod of the {}", s.name), 15, {last},
                   {.look = "Servo centred, surface at rest, nothing binds",
                    .figures = {figureOf("rod", made)},
                    .puts = ofIt(m, made, {torqueRod}),
                    .anyway = true});
  }
  return last;
}

} // namespace eup
