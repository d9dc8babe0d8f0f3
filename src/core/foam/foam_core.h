// A panel of foam as it is cut: cores, each between two templates, and the way that the wire takes round both at once.
#pragma once
#include "core/assembly/bond.h"
#include "core/assembly/part.h"
#include "core/parts/frame.h"
#include "core/parts/parted_body.h"

namespace eup {

/// Where the wire is at one end of a core, in that end's own chord axes.
struct WireAt {
  Face face = Face::upper;
  double fraction = 0; ///< of the chord: the panel's own straight line that both ends pass together
  Point at{0, 0};      ///< the wire's middle
  Point core{0, 0};    ///< and what is to stay there
  Point inwards{0, 0}; ///< square to the surface, into the core
};

/// A place that two people call to each other, or a machine passes at both ends together.
struct WireMark {
  int number = 1; ///< from the tail over the top to the nose and back below
  Face face = Face::upper;
  double fraction = 0;
  Point section{0, 0}, wire{0, 0}; ///< on the bare section, and on the wire's path
};

/// What lies in the foam, as it is cut there.
struct ThingCut {
  int number = 0; ///< in the design's list, from 0
  Region region;
};

/// One end of a core, in its own chord axes: nose at the origin, chord line along x, as a right hand's is seen from the
/// tip.
struct CoreEnd {
  int station = 1;  ///< of the wing's count
  double t = 0;     ///< mm of the panel's span
  ChordFrame frame; ///< as it lies in the panel
  Polyline section; ///< closed, bare
  Polyline outline; ///< closed: section less skins square to the surface, less the strips along its edges, and less
                    ///< its tail where a surface of its own wood stands behind all of the core
  Region core;      ///< the same with its grooves, and without what lies in it
  std::vector<ThingCut> things;
  Polyline wire;            ///< closed: the outline moved out by half the slot
  double kerf = 0;          ///< width of the slot that the wire leaves at this end, mm
  double speed = 0;         ///< of the wire at this end, mm/s, on the whole
  std::vector<WireAt> path; ///< upper face first, from the tail; the same number at both ends
  std::vector<WireMark> marks;
  double outlineArea() const;
  double wireLength() const; ///< all round
};

/// The smallest block that a core, its skins' room with it, lies in.
struct Block {
  double length = 0, width = 0, height = 0; ///< along the span, the chord, and up
  double volume() const { return length * width * height; }
};

struct FoamCore {
  int number = 1; ///< from the inner end of the panel
  CoreEnd inner, outer;
  double within = 0;  ///< mm³ within the wing's surface, skins and strips with it
  double volume = 0;  ///< mm³, its grooves not taken out
  double grooves = 0; ///< mm³, and all that lies in it
  BodyTaken parted;   ///< by surfaces on hinges, sawn when it is cut
  /// The surface of its own wood behind all of it, index in PanelDesign::surfaces: the core is cut without that tail.
  std::optional<int> endsAt;
  Block block;
  double speed = 0;  ///< mm/s of the wire at the end that has the longer way
  double low = 0;    ///< of the block's underside under the inner end's chord line
  double front = 0;  ///< of its front edge behind the inner end's leading edge (most often negative or 0)
  int fromBoard = 0; ///< such blocks that one board gives
  /// The frame in which an end is cut: turned as it lies, or level where the beds give the washout.
  ChordFrame cutFrame(bool atOuter) const { return atOuter ? outerCut : innerCut; }
  ChordFrame innerCut, outerCut;
};

/// What lies in the foam, looked at all along.
struct CoreThingMade {
  int number = 0;                    ///< in the design's list, from 0
  Point3 from{0, 0, 0}, to{0, 0, 0}; ///< ends of its middle line, in the panel's axes
  double length = 0;                 ///< true
  double volume = 0;                 ///< mm³ of foam that it takes
  double high = 0;                   ///< mm, of the highest section through it
  double upright = 0;                ///< mm², of its face as a web has it: along the span, and up
  double left = 1e9, leftAt = 0;     ///< mm of foam that is left beside it at least, and where along the span
  bool breaksOut = false;            ///< it comes through a face that it is not let in from
  bool endsInside = false;           ///< an end of it lies within the foam
  std::vector<int> meets;            ///< others that it overlaps, later in the list
  bool meetsCap = false;
};

struct FoamMade {
  std::vector<FoamCore> cores;
  std::vector<CoreThingMade> things;
  /// The one at such a place of the panel's span, of two that meet there the inner one; null without any.
  const FoamCore* coreAt(double t) const;
  /// "core", or "core 2" where there are several.
  std::string nameOf(const FoamCore& core) const;
};

/// Nothing of a panel that is not of foam. Its cores end at stations.
std::optional<FoamMade> foamOf(const PanelBrief& design, const PanelShape& shape, const Frame& stations);

/// How wide the slot is that a wire leaves at such a speed, mm: the builder's own test cut, growing with a power of how
/// much slower it goes. No law is published that we know; the power is an assumption. Five times the test's at most.
double slotAt(const HotWire& wire, double speed);

/// What the wire leaves of a core against what was asked for: each end's own speed from place to place, by how far both
/// ends go in one step.
struct CutOff {
  double worst = 0;    ///< mm: thicker than asked for when positive, at one place of one face
  double fraction = 0; ///< where
  bool outer = false;  ///< at the outer end
  Face face = Face::upper;
  Polyline left[2]; ///< closed, the core that is left at the inner and outer end
};
CutOff coreLeft(const FoamCore& core, const HotWire& wire);

/// Where the wire meets the two planes that its ends run in, mm from the inner end towards it and from the inner end
/// away: block axes (aft of the inner end's leading edge, up from its chord line).
struct TowerStep {
  Point inner{0, 0}, outer{0, 0};
};
/// For a wire that is at `in` and `out` at the ends of a core of such a length. `innerPlane` and `outerPlane`: mm along
/// the span from the core's inner end, negative for one inside it. They differ.
TowerStep onTowers(const Point& in, const Point& out, double innerPlane, double outerPlane, double length);
std::vector<TowerStep> towerPath(const FoamCore& core, double innerPlane, double outerPlane);
/// Where that wire meets the plane of an end, from where it meets the towers' planes: the inverse.
Point atEnd(const TowerStep& step, double innerPlane, double outerPlane, double along);

/// Core to core, end ribs, and what is let into the foam or glued along its edges; `parts` are all of the panel's.
std::vector<Bond> bondsOfFoam(const FoamMade& made, const std::vector<Part>& parts);

/// The core, its skins' room taken off, and the ply ribs at its ends.
std::vector<Part> partsOfFoam(const PanelBrief& design, const PanelLoft& loft, const Frame& stations,
                              const FoamMade& made);

} // namespace eup
