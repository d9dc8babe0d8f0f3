// The join at a panel's inner end, with its mirror image or with the panel inside it: dihedral, the block under the
// propped panel, how the ends are bevelled, the brace.
#pragma once
#include "core/joins/dihedral.h"
#include "core/loft/panel_shape.h"
#include "core/parts/spar_line.h"

namespace eup {

/// One leg of a brace.
struct BraceLeg {
  int toRib = 2;       ///< number of the rib where it ends
  double length = 0;   ///< mm along the spar
  double depthEnd = 0; ///< mm clear between the caps there
};

struct Brace {
  int number = 0;  ///< which of the join's braces, from 0
  int spar = 0;    ///< index of the spar it lies on
  double bend = 0; ///< rad, between the two legs, as they are cut from the flat sheet
  double capTopBend = 0,
         capBottomBend = 0; ///< rad, of the caps' own lines, with the taper of the depth and the washout in them
  double lean = 0;          ///< rad, of a flat brace out of the vertical
  bool folded = false;      ///< along an upright line at the join, so that each leg lies on its spar's face
  double turn = 0;          ///< rad, of that fold: how far the legs are out of one plane
  double depthRoot = 0;     ///< mm at the join: clear depth between the caps, the lesser of both panels'
  BraceLeg outer, inner;    ///< the same both ways at the centre
  Polyline outline;         ///< flat: the join at x = 0, middle of the depth there at y = 0; the outer leg to +x
};

struct TipBlock {
  double height = 0;   ///< mm over the board
  double overRoot = 0; ///< mm over the root's underside at the same place on the chord
  double fraction = 0; ///< chord fraction where it stands
  double inboard = 0;  ///< mm: the tip rib's place along the panel's true span
};

/// Caps of a spar that should run on through a join and lie beside each other there, in the outer panel's axes: the
/// outer one less the inner one.
struct CapStep {
  int spar = 0;
  bool top = true;
  double up = 0, aft = 0;       ///< mm
  double front = 0, behind = 0; ///< mm aft, of the caps' front faces and of their rear ones: a brace lies on either
};

struct PanelJoin {
  bool centre = true;     ///< with the mirror image, not with a panel inside
  double gamma = 0;       ///< rad, the panel to the horizontal
  double fold = 0;        ///< rad, half the angle between the two that meet
  double lean = 0;        ///< rad, what this panel's end is bevelled by
  double rise = 0;        ///< L sin Γ, of the panel's tip over its root in the finished wing
  double onBoard = 0;     ///< rad, of the propped panel as it stands on the board
  bool otherFlat = false; ///< what it joins is pinned flat meanwhile
  double risePropped = 0; ///< L sin of that
  double fromAbove = 0;   ///< L cos Γ
  double rootDepth = 0;   ///< what the trim is taken over: the root rib's greatest depth
  double trim = 0;        ///< rootDepth · tan(lean), at this panel's end
  double rootTaller = 1;  ///< 1 / cos(lean): a root rib that leans is cut this much taller
  TipBlock block;
  std::vector<CapStep> steps; ///< of every cap that both panels have there
  std::vector<Brace> braces;  ///< those that have a spar to lie on, in the order in which they are decided
};

/// What a panel joins: the panel inside it.
struct Neighbour {
  const PanelBrief& design;
  const PanelShape& shape;
  const std::vector<SparLine>& spars;
};

/// What a propped panel is joined to while it stands on its block.
struct PinnedFlat {
  double turn = 0;    ///< rad that it is turned nose down from root chord level, and the propped panel with it
  double setback = 0; ///< mm that the propped panel's root lies behind its own axes' origin
  /// The board's height in its axes, turned; nothing when both are propped: the root then rests on the lowest point of
  /// its underside.
  std::optional<double> board;
};

/// The block stands where `fraction` of the tip rib's chord is, under its lower surface; washout is in it. `onBoard` is
/// the propped panel's angle to what it is joined to.
TipBlock tipBlock(const PanelLoft& loft, double fraction, double onBoard, const PinnedFlat& pinned);

/// The angles of panels whose dihedral a block's height decides: each so that the block fits where it stands. Panels
/// from the middle outwards, their briefs otherwise whole.
void settleBlocks(std::vector<PanelBrief>& briefs);

/// `rootDepth` is the greatest depth of what stands at the root; `inside` is null for the innermost panel.
PanelJoin panelJoin(const PanelBrief& design, const PanelShape& shape, const std::vector<SparLine>& spars,
                    double rootDepth, const Neighbour* inside);

/// The depth for a brace beside a spar: between the caps' inner faces, or the whole seat, where there is no cap too. In
/// ribs slotted for it `rim` of wood stays above and below it, so that they hold together.
double braceDepth(const Bracing& brace, double rim, const Spar& spar, const SparLine& line, double t);

} // namespace eup
