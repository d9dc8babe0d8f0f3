// A glue joint between two pieces, once: of which, how long and how large, and what for. Steps, glue and the order of
// work read it; each trade tells its own.
#pragma once
#include "core/assembly/piece_id.h"
#include "core/geometry/region.h"
#include <vector>

namespace eup {

/// What a joint is for: that decides what glue it wants.
enum class GlueUse {
  frame,  ///< of a frame over its plan: ribs, strips, webs
  brace,  ///< braces and what else carries over a join
  join,   ///< end to end, panel to panel
  skin,   ///< sheet on a frame or on foam
  facing, ///< what is planed when it is dry
  ply,    ///< ply and hard points
  foam,   ///< foam to foam, and what is let into it
  cloth   ///< in resin
};

/// Which body the joint's second piece belongs to, beside the one that tells it.
enum class BondTo {
  own,    ///< the same panel
  inside, ///< the panel inside it, once they are joined
  other   ///< the other hand's same panel, once the halves are joined: made once, with the right one
};

/// One of the hand that is told; of pieces that both hands share, half of it.
struct Bond {
  PieceId one, other; ///< the same twice: between the layers or boards that a piece is made of
  GlueUse use = GlueUse::frame;
  double length = 0;  ///< mm along it
  double area = 0;    ///< mm² of all its faces
  Point3 at{0, 0, 0}; ///< its middle, in the panel's axes
  BondTo to = BondTo::own;
};

/// What of a mix stays in the cup and the brush, as a share of what goes on: common practice.
inline constexpr double leftInTheCup = 0.15;

/// g of glue on a joint, what is left in the cup with it: its area × a thin film of 150 g/m², or 300 where it fills a
/// gap, as at braces, joins and ply (both from memory). Nothing for cloth: its resin is weighed by the cloth.
double glueGrams(const Bond& bond);

/// A part of a panel that is shut for good: what lies in it cannot be reached when the last of its closers is on.
struct Space {
  std::vector<PieceId> below, above; ///< the sheet that shuts it from either side
  Region plan;                       ///< where, seen from above: (aft, outwards) in the panel
};

} // namespace eup
