// A panel's frame in space, for what bending of spars alone does not tell: how it twists. N, mm, MPa, rad.
#pragma once
#include "core/parts/frame.h"
#include <optional>

namespace eup {

struct FrameTwist {
  double couple = 0;    ///< N·mm, a pair of forces up and down at the nose and the tail of the tip rib
  double twist = 0;     ///< rad, of the tip rib against the root held fast
  double stiffness = 0; ///< N·mm², couple × span ÷ twist: what a plain tube would have as G J
  int nodes = 0;
  /// Farther than small movements, which the frame reckons with, can tell.
  bool tooFar() const { return twist > 0.35; }
};

/// More places where ribs cross than this are not reckoned with: it would take seconds and all the memory.
inline constexpr std::size_t mostCrossings = 4000;
/// In how many places the ribs of a frame cross.
std::size_t crossingsIn(const Frame& frame);

/// Root nodes held fast. Members: caps or sheet of the spars, leading and trailing stock, ribs (also those that cross);
/// walls that carry shear: webs between caps, sheet, covering; bars: diagonals. Spars are upright as built. Cap
/// strips run along the main ribs. Nothing for a panel that has no two lines along the span, which would swing, and
/// for one of more than `mostCrossings`. Where a surface is cut out, the ribs end at its hinge line, on the wing's
/// facing; unless `opened` is false: then as if none were.
std::optional<FrameTwist> frameTwist(const PanelBrief& design, const PanelLoft& loft, const Frame& frame, double couple,
                                     bool opened = true);

} // namespace eup
