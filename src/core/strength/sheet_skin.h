// Sheet that bends with the spar it is glued to: its part in the cross-section along the panel.
#pragma once
#include "core/parts/rib.h"
#include "core/strength/bent_section.h"

namespace eup {

/// Sheet as strips across the panel, at every rib; straight between ribs.
struct SheetSkin {
  static constexpr std::size_t stripsOfFace = 8;
  std::vector<double> ribs;               ///< mm of the panel's span
  std::vector<Face> faces;                ///< that carry
  std::vector<std::vector<Fibre>> fibres; ///< at each: the same strips, top from the nose, then below
  double radius = 0;                      ///< mm, mean bend of the surface behind its nose; 0 for flat
  bool empty() const { return ribs.size() < 2; }
  std::vector<Fibre> at(double t) const;
};

/// Whether a face is sheeted as far as the first spar's line at both ends: sheet that ends before it is glued to
/// nothing that it could bend with.
bool sheetReaches(const PanelBrief& design, const PanelLoft& loft, Face face);

/// Each face that is sheeted so far in eight strips of the same share of chord, half its thickness under the surface; a
/// slanting strip as an upright rectangle of the same area, middle and height. Empty where no sheet carries.
SheetSkin sheetSkin(const PanelBrief& design, const PanelLoft& loft, const std::vector<Rib>& ribs);

} // namespace eup
