// One rib at its station, cut for all that goes through it.
#pragma once
#include "core/parts/rib.h"

namespace eup {

/// What stands at a station: its wood, of all its layers.
struct Standing {
  Station at;
  double thickness = 2;
  int layers = 1;
};

/// `rib` says where it stands and how thick it is; all else of it is made here. `crossed` are the ribs of another
/// direction that it is half-lapped with; `hinges` part it. `bored`: for what runs through it, and to lighten it.
Rib cutRib(const PanelBrief& design, const PanelLoft& loft, const std::vector<SparLine>& spars,
           const std::vector<Passing>& passing, const std::vector<Standing>& crossed,
           const std::vector<HingeLine>& hinges, Rib rib, bool bored = true);

} // namespace eup
