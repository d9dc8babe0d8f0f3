// The join at the middle of the wing: dihedral, the block under the tip, the root's lean, the brace.
#pragma once
#include "core/joins/dihedral.h"
#include "core/parts/rib.h"

namespace eup {

struct Brace {
  int spar = 0;    ///< index of the spar it lies on
  double bend = 0; ///< rad, between the two legs
  double capTopBend = 0,
         capBottomBend = 0; ///< rad, of the caps' own lines, with the taper of the depth and the washout in them
  double lean = 0;          ///< rad, of a flat brace out of the vertical
  int toRib = 2;            ///< number of the rib where each leg ends
  double leg = 0;           ///< mm along the spar
  double depthRoot = 0;     ///< mm at the join: clear depth between the caps
  double depthEnd = 0;      ///< mm at the leg's end
  Polyline outline;         ///< flat: the join at x = 0, middle of the depth there at y = 0; both legs
};

struct TipBlock {
  double height = 0;   ///< mm over the board
  double overRoot = 0; ///< mm over the root's underside at the same place on the chord
  double fraction = 0; ///< chord fraction where it stands
  double inboard = 0;  ///< mm: the tip rib's place along the true span
};

struct CentreJoin {
  double gamma = 0;       ///< rad, each half to the horizontal
  double rise = 0;        ///< L sin Γ
  double risePropped = 0; ///< under the tip of a propped half as it stands on the board: Γ or, with one flat, 2Γ
  double halfFromAbove = 0;
  double rootDepth = 0;  ///< what the trim is taken over: the root rib's greatest depth
  double trim = 0;       ///< rootDepth · tan Γ, a half
  double rootTaller = 1; ///< 1 / cos Γ: a root rib that leans is cut this much taller
  TipBlock block;
  std::optional<Brace> brace;
};

/// The block stands where `fraction` of the tip rib's chord is, under its lower surface; washout is in it.
/// `onBoard` is the propped half's angle to the board. The root rests on the lowest point of its underside, or, with
/// the other half pinned flat with its chord level, on that half's packing.
TipBlock tipBlock(const PanelLoft& loft, double fraction, double onBoard, bool oneFlat);

CentreJoin centreJoin(const Design& design, const PanelLoft& loft, const std::vector<SparLine>& spars,
                      const std::vector<Rib>& ribs);

/// The spar that blocks, braces and first figures go by: the first with a cap, else the first; nothing without spars.
std::optional<int> mainSpar(const Design& design);

} // namespace eup
