// What follows for the surfaces that a panel carries on hinges: their ends, strips, hinges, mass, what the air does to
// them and what their servo gives.
#pragma once
#include "core/assembly/part.h"
#include "core/parts/frame.h"
#include "core/surfaces/hinge_moment.h"
#include "core/surfaces/linkage.h"
#include <optional>
#include <vector>

namespace eup {

/// One end of a surface, or a rib of it: the section there.
struct SurfaceEnd {
  double t = 0; ///< mm of the panel's span
  ChordFrame frame;
  HingeSection cut;
  double chord = 0; ///< mm behind the axis, along the chord line
};

/// A facing as it is sawn, before it is planed: depths at its inner and outer end, what stands proud counted in.
struct FacingStrip {
  double thickness = 0, length = 0, depthFrom = 0, depthTo = 0;
};

/// A hinge's place.
struct HingePlace {
  double t = 0;             ///< mm of the panel's span
  double along = 0;         ///< mm from the surface's inner end, along the hinge line
  std::optional<int> rib{}; ///< whose wood it is let into, number
};

/// A servo lying on its side: thickness up, length along the chord, its axis a quarter of that from its rear.
struct ServoSeat {
  double needs = 0, there = 0;       ///< mm of depth: with its plate; and between the covers at its tightest place
  double bay = 0, bayNeeds = 0;      ///< mm along the span: clear between the ribs; and what it takes
  int ribInside = 0, ribOutside = 0; ///< that it lies between
  bool onSpar = false;               ///< a spar runs through it
  double from = 0, to = 0;           ///< mm behind the nose, at the drive's station
};

struct Driven {
  FourBar bars;            ///< in the plane square to the hinge line through the drive's station; chord axes there
  double up = 0, down = 0; ///< rad of the surface at full servo turn; until it binds
  double bindsPlus = 0, bindsMinus = 0; ///< rad the servo can turn
  double gain = 0;                      ///< at rest, signed
  std::optional<double> forUp, forDown; ///< rad of the servo for the travel that is decided
  double torque = 0;                    ///< N·mm wanted of the servo: the worse of both ways, at `speed`
  double diveTorque = 0;                ///< N·mm to hold it at rest plus a third of its travel in the dive; 0 without
  double playTurn = 0, playAtEdge = 0;  ///< rad, and mm at the trailing edge where the surface is widest
  double slack = 0, tight = 0;          ///< of two cords: mm at worst either way
  ServoSeat seat;
  SurfaceEnd at;
};

/// The wire from one half of a surface to the other, across the middle: straight between both inner ends, along the
/// hinge line into either, then aft along the ribs.
struct JoinWire {
  double apart = 0;   ///< mm from inner end to inner end
  double bends = 0;   ///< mm from bend to bend, along it
  double bend = 0;    ///< rad that either end is bent through
  double length = 0;  ///< mm cut, its bends of `wireBendRadius` counted in
  double kink = 0;    ///< rad between both hinge lines: one wire turns about one line only
  double lags = 0;    ///< rad: the half that is not driven, at full travel
  double reserve = 0; ///< of the wire, bent at its leg or twisted between
};
/// mm inside a bend of hard wire of that diameter: common practice.
inline double wireBendRadius(double diameter) {
  return diameter;
}

struct SurfaceMade {
  HingeLine line;
  SurfaceEnd inner, outer; ///< its own ends
  double area = 0;         ///< mm² behind the axis, on the plan
  double length = 0;       ///< mm along the hinge line, from end to end
  double share = 0;        ///< of the local chord, mean over its length
  std::vector<int> ribs;   ///< that it parts, numbers
  FacingStrip wingFacing, facing;
  std::vector<HingePlace> hinges;
  double grams = 0;      ///< in one hand
  double behind = 0;     ///< mm from the axis to its centre of mass, square to it
  double weight = 0;     ///< g that balances it at the decided arm
  double effect = 0;     ///< τ: lift per turn over lift per incidence
  double fullMoment = 0; ///< N·mm about the axis, at its speed and the larger travel
  double perDegree = 0;  ///< N·mm more per degree of incidence at that speed
  double diveMoment = 0; ///< N·mm at the dive's speed and a third of its travel; 0 without a dive
  std::optional<Driven> driven;
  std::optional<JoinWire> wire;
};

/// Whether a wire goes from the surface to its other half.
bool joinsHalves(const PanelBrief& design, const Surface& surface);

/// Of its wire one half as seen from above in the panel: from its inner end to its bend and to the end of its leg.
Polyline joinWireFromAbove(const Surface& surface, const SurfaceMade& made);

std::vector<SurfaceMade> surfacesOf(const PanelBrief& design, const PanelLoft& loft, const Frame& frame);

/// Their own pieces: facings, end ribs, infills, gussets, hinge and horn blocks, or what a solid one is of.
std::vector<Part> partsOfSurfaces(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                                  const std::vector<SurfaceMade>& surfaces);

/// The plate that a servo lies on, from rib to rib, mm: along the span, along the chord, and its opening that way.
struct ServoPlate {
  double bay = 0, deep = 0, openAlong = 0, openAcross = 0;
};
/// Nothing without one, or where there is no bay for it.
std::optional<ServoPlate> servoPlateOf(const PanelBrief& design, const SurfaceMade& made);

/// How far a tight covering on both faces bends a surface's facing, or the wing's beside it, in between two ribs, mm:
/// a strip held at both ends, w L⁴ ÷ (384 E I); infills behind the surface's own stiffen it.
struct FacingPull {
  double bent = 0, bay = 0, stiffness = 0; ///< mm, mm, N·mm²
};
inline constexpr double coveringPull = 0.1; ///< N a mm of a face: an assumption
FacingPull facingPull(const PanelBrief& design, const Frame& frame, const SurfaceMade& made, bool own);

inline constexpr const char* joinWireMaterial = "music-wire"; ///< and of torque rods

inline constexpr double infillSheet = 2; ///< mm, common practice

/// Sheet that lies flat between a surface's ribs behind its facing, and gussets at its ribs' fronts, either side of
/// each: seen from above, (aft, outwards) in the panel. Empty where they are not wanted.
std::vector<Polyline> infillsOf(const PanelBrief& design, const Frame& frame, const SurfaceMade& made);
std::vector<Polyline> gussetsOf(const PanelBrief& design, const Frame& frame, const SurfaceMade& made);

SurfaceEnd surfaceEndAt(const PanelBrief& design, const PanelLoft& loft, const HingeLine& line, double t);

/// Where hinges go: `count` of them, or as many as lie no farther apart than `apart`, at least two; the outermost
/// `fromEnd` from either end. mm along the hinge line of a surface that long. Common practice, no source.
std::vector<double> hingePlaces(const Hinges& hinges, double length);

} // namespace eup
