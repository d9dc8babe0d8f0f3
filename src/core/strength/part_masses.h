// What the parts of a panel weigh: added up by kind, and along the span for the loads.
#pragma once
#include "core/assembly/part.h"
#include "core/strength/loads.h"

namespace eup {

struct PartMass {
  using What = Part::What;
  What what = What::ribs;
  double grams = 0; ///< in one half of the wing
};

struct PanelMass {
  std::vector<PartMass> parts; ///< heaviest first; none that weighs nothing
  std::vector<LinearRun> runs; ///< g/mm from the wing's root, bay by bay
  double grams() const;
  double gramsOf(Part::What what) const;
};

/// Of the panel's parts, whose root lies `inboard` mm from the wing's. What stands in one place is spread over its bay;
/// a rib between two bays is shared by them.
PanelMass panelMass(const std::vector<Part>& parts, const std::vector<Rib>& ribs, double inboard);

/// Grams of all parts.
double gramsOf(const std::vector<Part>& parts);

} // namespace eup
