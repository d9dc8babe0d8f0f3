// What goes through a rib, each in its true place: spars, a joiner's sleeve, pins, braces, rods, the stock at its ends.
#pragma once
#include "core/parts/frame.h"

namespace eup {

struct ThroughRib {
  enum class What { cap, web, sheet, joiner, pin, brace, rod, leadingStock, trailingStock } what = What::cap;
  int spar = -1;    ///< index of the spar that it is of
  bool top = false; ///< of a cap
  Polyline shape;   ///< closed, chord axes, without the fit of its cut
};

/// Webs that stand between the ribs are told too, where they would go through.
std::vector<ThroughRib> throughRib(const PanelBrief& design, const std::vector<SparLine>& spars, const Rib& rib);

/// Two of them that want the same place: indices in that list, and the overlap's lesser side, mm.
struct Clash {
  std::size_t a = 0, b = 0;
  double by = 0;
};
/// A cap and the web of its own spar, or a spar and the stock it is let into, are no clash here.
std::vector<Clash> clashesOf(const std::vector<ThroughRib>& all);

} // namespace eup
