// What stands beyond the outermost panel's tip rib: its outline on the plan and the parts that make it.
#pragma once
#include "core/loft/panel_loft.h"

namespace eup {

/// A carved block is checked against these: what its section is, so far beyond the tip rib.
struct TipTemplate {
  double beyond = 0; ///< mm
  double from = 0;   ///< its nose, aft of the tip rib's along the chord line
  double chord = 0;
  Polyline outline; ///< closed; chord axes of the tip rib
};

/// A place where the tip's edge is held up: its middle line over the tip rib's chord line.
struct TipRest {
  const char* where = "";
  Point at{0, 0}; ///< chord axes of the tip rib
};

/// One piece of sheet of a tip that is made of several. Places as in `TipShape`.
struct TipPiece {
  Polyline outline;
  double grain = 0;               ///< rad from the chord line's way aft, outwards: along the piece
  double length = 0, breadth = 0; ///< of the blank, along the grain and across
};

/// Places on the plan are (aft of the tip rib's nose along its chord line, beyond the rib).
struct TipShape {
  Polyline edge;                ///< outermost edge from LE to TE; empty for a plate
  Polyline inner;               ///< of an outline's pieces or a bow: its inner edge; empty for one that is solid sheet
  std::vector<TipPiece> pieces; ///< of an outline, from the leading edge round
  Polyline form;  ///< what a bow's innermost strip is bent round: `inner`, bent further by what springs back; on along
                  ///< the panel's trailing edge, to its root, where the strips are that edge's
  Polyline plate; ///< closed, chord axes of the tip rib
  double reach = 0;                 ///< mm beyond the tip rib
  double area = 0;                  ///< mm², of the plan, beyond the rib
  double longest = 0, shortest = 0; ///< mm: outermost and innermost strip of a bow, along it
  double bend = 0;                  ///< mm: smallest radius that its outermost strip is bent to on the form
  std::vector<TipTemplate> templates;
  std::vector<TipRest> rests; ///< of an outline or a bow
};

/// The line bent further everywhere, so that it is as given once `share` of its bend has sprung back; lengths along it
/// stay. It is fixed where it reaches farthest (y). 0 <= share < 1.
Polyline overBent(const Polyline& line, double share);

/// How many times as long along the outline a scarf between pieces is as they are wide: common practice.
inline constexpr double tipScarf = 2;

/// The outline is two quarters of ellipses that meet where it reaches farthest, a straight end with two quarters of
/// circles, or goes through places of its own. Nothing for a square tip.
std::optional<TipShape> tipShape(const PanelBrief& design, const PanelLoft& loft);

} // namespace eup
