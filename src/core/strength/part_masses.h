// What the parts of a panel weigh, as far as they are decided: no glue, hardware or paint.
#pragma once
#include "core/parts/rib.h"
#include "core/strength/loads.h"

namespace eup {

struct PartMass {
  enum class What { ribs, spars, webs, leadingEdge, trailingEdge, sheet, capStrips, covering } what = What::ribs;
  double grams = 0; ///< in one half of the wing
};

struct PanelMass {
  std::vector<PartMass> parts; ///< heaviest first; none that weighs nothing
  std::vector<LinearRun> runs; ///< g/mm from the wing's root, bay by bay
  double grams() const;
};

/// Ribs by their cut area; strips, sheet and covering by their cross-section at every rib, straight between. Edges as
/// strips under the section's outline: a square one 0.85 of width × depth behind it, a wedge half.
PanelMass panelMass(const PanelBrief& design, const PanelLoft& loft, const std::vector<SparLine>& spars,
                    const std::vector<Rib>& ribs, const std::vector<Rib>& riblets);

} // namespace eup
