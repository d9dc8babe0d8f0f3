// Where a panel has no spar its edges' strips are the spars, as in the lightest wings. N, mm, MPa.
#pragma once
#include "core/loft/panel_loft.h"
#include "core/strength/loads.h"

namespace eup {

/// Even steps of a panel's span at which bending is worked out.
inline constexpr int strengthSteps = 120;

/// A strip along an edge at one place: its own second moment about a level axis through its middle, and how far its
/// outer wood lies from that.
struct EdgeSection {
  double inertia = 0;          ///< mm⁴
  double above = 0, below = 0; ///< mm
};

struct EdgeSpar {
  bool leading = true;
  Material material;
  std::vector<EdgeSection> along; ///< at the ends of `strengthSteps` even steps
};

/// The stock along one edge as it is planed to the section's outline, or a strip that is not; two trailing sheets by
/// what is between the outline and the hollow between them.
EdgeSection edgeSection(const PanelBrief& design, const PanelLoft& loft, bool leading, double t);

/// Both edges' strips; empty for a panel that has a spar. Where a surface is cut out the trailing one is its, not the
/// wing's.
std::vector<EdgeSpar> edgeSpars(const PanelBrief& design, const PanelLoft& loft);

/// One of them under the loads. They bend together, each about its own middle: nothing but ribs joins them.
struct EdgeStrength {
  bool leading = true;
  double share = 0;  ///< of the bending at the panel's root
  double stress = 0; ///< MPa there, at its outer wood, under the load that bends the root most
  double worstReserve = 1e9, worstAt = 0;
  LoadCase::What worstCase = LoadCase::What::pull;
};

} // namespace eup
