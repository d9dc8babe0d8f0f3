// What lies on a panel's frame as sheet, piece by piece: flat, with what it is laid by, how it bends and what it is
// made up of.
#pragma once
#include "core/geometry/region.h"
#include "core/parts/frame.h"
#include "core/parts/panel_parts.h"
#include "core/skins/flat_pattern.h"
#include <algorithm>
#include <array>
#include <optional>

namespace eup {

/// Where a skin that is longer than its stock is joined: on the middle of a rib, half of it each.
struct SkinJoint {
  int rib = 0;
  double t = 0;  ///< mm of the panel's span
  Polyline line; ///< on the pattern
};

/// Where a surface on hinges goes through a skin.
struct SawnLine {
  int surface = 0; ///< index in PanelDesign::surfaces
  Polyline line;   ///< on the pattern
};

struct Skin {
  using What = Zone::What;
  What what = What::nose;
  int run = 0;      ///< of What::bays: which run of them, from 0
  std::string key;  ///< "nose.top", "bays.1.top", "tail.bottom"
  std::string name; ///< "nose sheet, top"
  PieceId piece;    ///< of its part; of its first one where it is joined of several
  Face face = Face::upper;
  SkinSheet of;
  double inner = 0, outer = 0;       ///< mm of the panel's span, at its front edge
  Polyline plan;                     ///< closed: seen from above, (aft, outwards) in the panel
  Point3 centre{0, 0, 0};            ///< of its area, in the panel
  FlatPattern pattern;               ///< as if no surface were there
  Region shape;                      ///< what of the pattern it is: surfaces that are built by themselves left out
  std::optional<int> surface;        ///< on which it lies, index in PanelDesign::surfaces
  std::vector<int> leftOut;          ///< surfaces that it leaves out
  std::vector<SawnLine> sawn;        ///< where it is sawn through with the frame
  std::vector<SkinLine> ribs, spars; ///< between its edges
  std::vector<SkinJoint> joints;     ///< of the right hand
  std::vector<SkinJoint> leftJoints; ///< and of the left
  std::vector<int> wanted;           ///< ribs, of the wing's count, that it should be joined on and is not: not on it
  int strips = 1;                    ///< sheets side by side that its width takes
  /// Sharpest bend of its outer face, rolled round the ribs; 0 for a flat one.
  double bend = 0;
  int bendRib = 0;
  double turned = 0; ///< rad, most that it is rolled round from its front edge to its rear one, at any rib

  double area() const { return areaOf(shape); }
  const std::vector<SkinJoint>& jointsOf(Hand hand) const { return hand == Hand::left ? leftJoints : joints; }
  /// How long its pieces are from the inner end outwards, along its front edge; joints that overlap are in both pieces.
  std::vector<double> pieces(Hand hand) const;
  /// Of a skin in layers the inner ones lie nearer to the ribs: each is so much narrower than the one outside it.
  double layer() const { return of.thickness / of.layers; }
  double innerLayerNarrower() const { return of.layers > 1 ? layer() * turned : 0; }
  /// The outer radius of its innermost layer where it bends most: that is what has to bear the bend.
  double layersBend() const { return bend > 0 ? std::max(bend - of.thickness + layer(), 0.0) : 0; }
};

/// Where a face's sheet ends before a surface on hinges, and where the surface's begins.
struct SkinGap {
  int surface = 0;
  SurfaceLine wing, own;
  double from = 0, to = 0;       ///< mm of the panel's span: of the wing's cut
  double ownFrom = 0, ownTo = 0; ///< and of the surface
};
/// On top, and below.
std::array<std::vector<SkinGap>, 2> skinGaps(const PanelBrief& design, const PanelLoft& loft, const Frame& frame);

/// The joins' planes at the panel's ends.
EndPlane innerPlane(const PanelBrief& design);
EndPlane outerPlane(const PanelBrief& design);

/// Every zone laid flat, in the order of `zonesOf`, each followed by what of it lies on surfaces that are built by
/// themselves. Their outer faces are the section's own. Their ends are cut to the planes of the joins; those of sheeted
/// bays end on the middle of ribs.
std::vector<Skin> skinsOf(const PanelBrief& design, const PanelLoft& loft, const Frame& frame);

/// mm² of cloth in the strips over the panel's joins that lie on a skin, one layer.
double clothOverJoins(const PanelBrief& design, const Skin& skin);

/// Their pieces, as large as their patterns, and the cloth on them; sheets of a trailing edge of two are told with the
/// frame.
std::vector<Part> partsOfSkins(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Skin>& skins);
/// The frame's pieces and theirs: all but what joins the panel and holds it.
std::vector<Part> builtParts(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                             const std::optional<TipShape>& tip, const std::vector<Skin>& skins);

} // namespace eup
