// Where a surface on hinges is cut out of a panel: its hinge line, straight in space, and at any section the planes
// that part the two, with the bevels or the round nose that let it turn.
#pragma once
#include "core/geometry/region.h"
#include "core/parts/spar_line.h"
#include "core/parts/surface_place.h"
#include <array>
#include <numbers>
#include <optional>
#include <vector>

namespace eup {

/// A surface's hinge line in its panel. Panel axes; rad.
struct HingeLine {
  int surface = 0;               ///< index in PanelDesign::surfaces
  StraightLine axis;             ///< about which it turns
  double from = 0, to = 0;       ///< mm of the panel's span where it begins and ends: as decided, held within the panel
  double cutFrom = 0, cutTo = 0; ///< its own ends, clear of the wing
  double sweep = 0;              ///< aft positive, on the plan
  double worstGap = 0;   ///< farthest that the surface (or the section's middle) lies from that straight line, upright
  double worstGapAt = 0; ///< and at which t
  double up = 0, down = 0;           ///< travel
  double chordFrom = 0, chordTo = 0; ///< mm behind the axis along the flight, at either end; a plate's own width
  /// Within it, the ends left out.
  bool covers(double t) const { return t > from + 1e-6 && t < to - 1e-6; }
};

/// Those of a panel; none of a surface that has no length in it.
std::vector<HingeLine> hingeLines(const PanelBrief& design, const PanelLoft& loft);

/// How much of a chord is the wing's own where surfaces are cut out: all of it, or what lies before their gap.
class WingsOwn {
public:
  WingsOwn(const PanelBrief& design, const PanelLoft& loft, bool opened = true);
  /// mm behind the nose where it ends at t; `chord` is the section's there.
  double endAt(double t, double chord) const;
  /// Whether its tail is another's there.
  bool cutAt(double t) const;

private:
  const PanelBrief& design;
  const PanelLoft& loft;
  std::vector<HingeLine> lines;
};

/// One section as a surface parts it. Places are in chord axes; sizes square to the hinge line, as they are sawn.
struct HingeSection {
  Point hinge{0, 0};                            ///< where the axis goes through
  Point way{0, 1};                              ///< along the cut planes, upwards, one long
  Point top{0, 0}, bottom{0, 0};                ///< where the plane through the axis meets the faces
  double depth = 0;                             ///< from one to the other, along the plane
  double bevelTop = 0, bevelBottom = 0;         ///< rad, of the surface's front out of the plane
  double backTop = 0, backBottom = 0;           ///< mm that it is cut back there, at the faces
  double bevelLongTop = 0, bevelLongBottom = 0; ///< mm along the plane that each bevel takes up
  double noseRadius = 0;                        ///< of a round one, about the axis
  double slopeTop = 0, slopeBottom = 0;         ///< rad: from the cut plane's normal, aft, to the face there; + rising
  Polyline wing, surface;                       ///< large loops: what is in them is the wing's, or the surface's
  Polyline wingFacing, facing;                  ///< loops that hold the facings' strips; empty without
  Polyline outline;                             ///< the surface as it is shaped, closed; its skins on
};

/// The wood's angle between a surface's uncut front and a face behind it, rad: what a facing is planed to there.
inline double cornerOf(const HingeSection& cut, bool top) {
  return std::numbers::pi / 2 + (top ? cut.slopeTop : -cut.slopeBottom);
}

/// A loop turned about the axis, rad, trailing edge up positive.
Polyline turnedAbout(const Polyline& loop, const Point& axis, double turn);
/// What of the wing's section (closed) a surface runs into when it is turned so far; empty while it clears.
Region touchedBy(const HingeSection& cut, const Polyline& section, double turn);

/// Where sheet on a face ends before the gap, and where it goes on behind it: mm along the chord line. Facings are as
/// deep as the section with its sheet: it stops at them. Of a spoiler's plate: the recess that it lies in.
struct SheetGap {
  double wing = 0, surface = 0;
};
/// Of the section at t, top first; a face that is not parted has none.
std::array<std::optional<SheetGap>, 2> sheetGapsAt(const PanelBrief& design, const PanelLoft& loft,
                                                   const HingeLine& line, double t);

/// `upper` and `lower` are the section's faces, nose to tail, in chord axes; `across` how much longer than square to
/// the hinge line things are in its plane (1 ÷ cos); `washout` of its chord line against the board.
HingeSection hingeSection(const Surface& surface, const HingeLine& line, const Polyline& upper, const Polyline& lower,
                          const Point& hinge, double across, double washout);

/// The section square to the panel's root chord, at t.
HingeSection hingeSectionAt(const PanelBrief& design, const PanelLoft& loft, const HingeLine& line, double t);

/// The recess of a spoiler's plate in the upper face, with its gap all round; chord axes.
Polyline plateRecess(const Surface& surface, const Polyline& upper, const Point& hinge, double across);

/// The least bevel (rad, out of a plane that stands half the gap behind the axis) with which a front that is `depth`
/// deep below or above the axis clears its counterpart, half the gap before the axis, when it turns by `travel`
/// (rad, 0 to 85°). Without a gap that is the travel. Plane geometry.
double clearingBevel(double depth, double gap, double travel);

} // namespace eup
