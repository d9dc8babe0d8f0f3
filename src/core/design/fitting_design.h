// What else is built into a panel before it is closed: leads and what they run through, holes that lighten ribs, and
// hard points that something is held by.
#pragma once
#include "core/measure/choice.h"
#include <string>
#include <vector>

namespace eup {

inline constexpr int mostRuns = 12, mostHardPoints = 12; ///< a panel

enum class RunKind { lead, cord, tube };
inline constexpr std::array runKindChoices{Choice{"lead", "lead"}, Choice{"cord", "draw cord"}, Choice{"tube", "tube"}};
static_assert(runKindChoices.size() == wordsFor(RunKind::tube));

/// What runs through a panel's ribs: straight from place to place as seen from above. A tube is straight in space; a
/// lead or a cord may be led aside at a rib where something is in its way.
struct Run {
  std::string name = "servo lead";
  RunKind kind = RunKind::lead;
  double from = 0, to = 300;     ///< mm of the panel's span
  double xFrom = 0.4, xTo = 0.4; ///< of the chord there
  double high = 0.5;             ///< share of the section's depth, from the underside
  double hole = 8;               ///< mm: as wide as its plug, or the tube
  double slack = 50;             ///< mm at each of its ends
  double ownLength = 150;        ///< of a lead: what comes with the servo
  int number = 0;                ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const Run&) const = default;
};

/// Round holes in the ribs, as large as the rim lets them be.
struct Lightening {
  bool bored = false;
  double from = 0.1, to = 0.7; ///< of the chord: no wood is taken before or behind
  double rim = 5;              ///< mm of wood left all round
  double least = 8, most = 40; ///< mm across
  bool ends = false;           ///< the panel's end ribs too
  bool operator==(const Lightening&) const = default;
};

enum class HardPointKind { bolt, dowel, bands, strut, gear, nacelle, hook, pin };
inline constexpr std::array hardPointKindChoices{Choice{"bolt", "bolt"},          Choice{"dowel", "dowel"},
                                                 Choice{"bands", "rubber bands"}, Choice{"strut", "strut"},
                                                 Choice{"gear", "landing gear"},  Choice{"nacelle", "nacelle"},
                                                 Choice{"hook", "hook"},          Choice{"pin", "incidence pin"}};
static_assert(hardPointKindChoices.size() == wordsFor(HardPointKind::pin));

/// A block between ribs that something is held by.
struct HardPoint {
  std::string name = "wing bolt";
  HardPointKind kind = HardPointKind::bolt;
  double at = 20;     ///< mm of the panel's span, its middle
  double chord = 0.6; ///< of the chord there
  bool top = false;   ///< against the upper skin, else against the lower one
  double length = 25; ///< along the span
  double width = 25;  ///< along the chord
  double depth = 8;
  double hole = 5; ///< bored through it, 0 for none
  std::string material = "beech";
  double doubler = 1.5; ///< ply on the rib at either side, 0 for none
  std::string doublerMaterial = "birch-ply";
  int number = 0; ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const HardPoint&) const = default;
};

} // namespace eup
