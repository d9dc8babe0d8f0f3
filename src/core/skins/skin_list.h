// What lies on a panel's frame as sheet, piece by piece: flat, with what it is laid by, how it bends and what it is
// made up of.
#pragma once
#include "core/parts/frame.h"
#include "core/parts/part.h"
#include "core/skins/flat_pattern.h"

namespace eup {

/// Where a skin that is longer than its stock is joined: on the middle of a rib, half of it each.
struct SkinJoint {
  int rib = 0;
  Polyline line; ///< on the pattern
};

struct Skin {
  std::string key;  ///< "nose.top", "tail.bottom"
  std::string name; ///< "nose sheet, top"
  Face face = Face::upper;
  double thickness = 0;
  std::string material;
  double inner = 0, outer = 0; ///< mm of the panel's span, at its front edge
  Polyline plan;               ///< closed: seen from above, (aft, outwards) in the panel
  Point3 centre{0, 0, 0};      ///< of its area, in the panel
  FlatPattern pattern;
  std::vector<SkinLine> ribs, spars; ///< between its edges
  std::vector<SkinJoint> joints;
  int strips = 1; ///< sheets side by side that its width takes
  /// Sharpest bend of its outer face, rolled round the ribs; 0 for a flat one.
  double bend = 0;
  int bendRib = 0;
  double innerTilt = 0, outerTilt = 0; ///< rad: how far the saw tilts from square to the sheet at its ends
};

/// The nose sheet, sheeted bays and the sheets of a trailing edge of two, top before bottom. Their outer faces are the
/// section's own; they reach from the back of the leading edge stock to where they are decided to end, or from their
/// own front to the trailing edge. Their ends are cut to the planes of the joins. Those of sheeted bays end on the
/// middle of ribs.
std::vector<Skin> skinsOf(const PanelBrief& design, const PanelLoft& loft, const Frame& frame);

/// The pieces of sheeted bays.
std::vector<Part> partsOfSkins(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Skin>& skins);

/// How much its outer fibres may stretch dry, bent round a line along its grain: twice what it gives evenly, pressed
/// across the grain (strength ÷ modulus), for it yields before it cracks. Common practice.
double dryBendAcross(const Material& wood);

} // namespace eup
