// What a built-up panel is of: straight spars, and ribs that are cut for them.
#pragma once
#include "core/loft/panel_shape.h"
#include "core/parts/rib.h"

namespace eup {

struct Frame {
  std::vector<SparLine> spars;
  std::vector<HingeLine> hinges; ///< of its surfaces
  std::vector<Rib> ribs;         ///< one at every station
  std::vector<Rib> riblets;      ///< and what stands between them: riblets, crossing ribs

  const Rib& rib(int number) const { return ribs.at(static_cast<std::size_t>(number - ribs.front().number)); }
};

/// Ribs and riblets cut for these spars and for what passes through.
Frame cutFrame(const PanelBrief& design, const PanelShape& shape, std::vector<SparLine> spars,
               const std::vector<Passing>& passing);

/// A rib's shape at any place of the span, also a little past the panel's ends, with nothing cut into it but what the
/// edges' stock and the cover take.
Rib cutTemplate(const PanelBrief& design, const PanelLoft& loft, double t, int number);

} // namespace eup
