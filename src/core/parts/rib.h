// A rib: the loft's outline less all that other parts take from it. Drawn in chord axes: nose at the origin, chord
// line along x, z up; a right-hand rib seen from the tip has its nose on the left.
#pragma once
#include "core/geometry/thinness.h"
#include "core/loft/stations.h"
#include "core/parts/hinge_cut.h"
#include "core/parts/spar_line.h"
#include <cmath>
#include <optional>
#include <string>

namespace eup {

enum class RibKind { root, main, tip, riblet, crossing };

struct Notch {
  int spar = 0; ///< index in PanelDesign::spars
  Face face = Face::upper;
  double depth = 0;      ///< from the bare rib's surface to the cap's inner face, upright at its centre line
  double underCover = 0; ///< the same from under the sheet or cap strip: what a gauge reads on the cut rib
  double width = 0;      ///< in the rib's plane, with the fit
  Point bottom{0, 0};    ///< middle of the notch's bottom, chord axes
  Polyline shape;        ///< the cap itself, chord axes
};

/// The slot for a full-depth sheet spar: half of the depth, the other half is the spar's.
struct Slot {
  int spar = 0;
  double depth = 0; ///< from the bare surface at its centre line
  double width = 0;
  Point bottom{0, 0};
  Polyline shape;   ///< the spar's sheet, chord axes, whole depth
  double bevel = 0; ///< rad that its sides are filed out of square, + their outward faces aft; 0: cut square
};

/// What runs through ribs: a joiner's sleeve, a pin, a brace. It is cut out upright, in the rib's plane.
struct Passing {
  enum class What { joiner, pin, brace, rod } what = What::joiner;
  StraightLine middle;     ///< in panel axes
  double from = 0, to = 0; ///< mm of the panel's span: ribs there are cut, both ends in it
  bool round = true;
  double width = 0;                    ///< a hole's diameter, or a slot's width along the chord
  double heightFrom = 0, heightTo = 0; ///< a slot's height at either end
};

/// A hole or slot in one rib.
struct PassHole {
  Passing::What what = Passing::What::joiner;
  Point middle{0, 0}; ///< chord axes
  double width = 0, height = 0;
  double bevel = 0;      ///< as a slot's
  double underTop = 0;   ///< from the bare upper surface down to its middle, square to the chord line
  double overBottom = 0; ///< and up from the lower one
};

/// Where a turned rib crosses one of the others: both are slotted half way, one from above, one from below.
struct Lap {
  double x = 0;      ///< from the nose along the chord line
  double middle = 0; ///< over the chord line: where the slot ends
  double width = 0;
  bool fromAbove = true;
  double bevel = 0; ///< as a slot's
  int with = 0;     ///< the other's number: of a crossing rib, where this one is none
};

/// Where a rib is parted for a surface on hinges, or let out for a spoiler's plate.
struct HingeCut {
  int surface = 0; ///< index in PanelDesign::surfaces
  HingeSection at;
  Region whole;              ///< the rib's wood before
  Region tail;               ///< what of it is the surface's
  Region wingFacing, facing; ///< strips glued on, as they are when planed
};

/// A round hole that is bored when all else is cut, chord axes.
struct RunHole {
  int run = -1; ///< index in PanelDesign::runs; −1: to lighten it
  Point middle{0, 0};
  double diameter = 0;
  double aside = 0;   ///< mm along the chord from where the run's line lies
  bool clear = false; ///< else there is no room for it, and it is not bored
};

/// A piece of a stick rib, chord axes.
struct Stick {
  enum class What { upper, lower, upright, diagonal, noseBlock, tailBlock } what = What::upright;
  int number = 0;   ///< of uprights and diagonals, from the nose, from 1
  Polyline outline; ///< closed; of a straight one four corners: low end's nose side, low end, high end, high end
  double length = 0;
  /// Of a straight one: how far its ends are out of square, rad; + where its edge towards the nose runs past the other.
  double lowEnd = 0, highEnd = 0;
  double turn = 0;     ///< of a straight one: out of upright, its top aft
  double radius = 0;   ///< of a strip: sharpest bend of its outer face; 0 for none
  double radiusAt = 0; ///< and where, from the nose along the chord line
};

struct FaceRun {
  double sheetArc = 0;  ///< along the bare surface, nose to sheet edge
  double sheetWood = 0; ///< of that what is sheet: from the back of the leading edge stock to the trailing edge stock
  double capArc = 0;    ///< along the bare surface, sheet edge to what comes next: sheet over its bays or the stock
  double sheeted = 0;   ///< of sheet over its bays
  double aftArc = 0;    ///< from that to the front of the trailing edge stock
  double aftFrom = 0;   ///< where that begins, from the nose
};

struct Rib {
  int number = 1; ///< counted through the whole wing, from its root, which is 1
  RibKind kind = RibKind::main;
  bool thick = false;   ///< one of the thicker ribs that were asked for
  int bay = 0;          ///< of a riblet: which one in its bay, from 1
  double thickness = 2; ///< of all its layers
  double lean = 0;      ///< rad, outwards at the top: its plane is that of the join
  int layers = 1;       ///< two for a doubled rib
  double turn = 0;      ///< rad, out of the flight's direction, tail outwards: it stands upright then
  double station = 0;   ///< mm of the panel's span, where it crosses the first spar's line
  bool ofWood = true;   ///< not where a panel of sheet has a station alone
  bool shared = false;  ///< a root rib that both hands have in common, where the spars pass the centre
  ChordFrame frame;
  Polyline upper, lower; ///< bare surfaces, chord axes, nose to tail
  Polyline bare;         ///< closed outline of them
  Region wood;           ///< what is cut
  double bareArea = 0, cutArea = 0;
  std::vector<Notch> notches;
  std::vector<Slot> slots;
  std::vector<PassHole> passHoles;
  std::vector<Lap> laps;
  std::vector<HingeCut> hinges;
  std::vector<RunHole> runs, lightening;
  std::vector<Stick> sticks;     ///< of a stick rib
  Region gussets;                ///< on one of its sides
  std::vector<double> sparX;     ///< each spar's centre line from the nose along the chord line
  std::vector<double> sparDepth; ///< the bare section's depth there, square to the chord line
  FaceRun upperRun, lowerRun;
  double depth = 0;            ///< greatest depth of the bare section square to the chord line
  int pieces = 1;              ///< of wood
  int wantedPieces = 1;        ///< more where webs run through
  std::vector<ThinPlace> thin; ///< in chord axes

  double t() const { return station; }
  /// A place of the rib in its panel: aft, outwards, up.
  Point3 inPanel(const Point& chordAxes) const {
    const Point p = frame.fromChord(chordAxes);
    const double along = p.x() - frame.le.x();
    return {frame.le.x() + along * std::cos(turn), frame.t + along * std::sin(turn) + p.y() * std::sin(lean),
            p.y() * std::cos(lean)};
  }
  /// "R4"; the second riblet of the bay beyond it is "R4.2".
  std::string name() const {
    return (ofWood ? "R" : "S") + std::to_string(number) +
           (kind == RibKind::crossing ? "x"
            : bay > 0                 ? "." + std::to_string(bay)
                                      : "");
  }
  /// How far its body reaches from its plane, square to it, inwards (negative) and outwards.
  std::pair<double, double> body() const {
    const double from = kind == RibKind::root && !shared ? 0 : kind == RibKind::tip ? -thickness : -thickness / 2;
    return {from, from + thickness};
  }
};

/// The sheeted bays that a rib stands in or at the end of, on a face; null for none. The first that is decided counts.
const SheetedBays* sheetedAt(const PanelBrief& design, const Rib& rib, Face face);

/// A rib as it is cut at the bench: whole, where a surface is sawn off the finished frame; else what is the wing's.
const Region& asCut(const PanelDesign& design, const Rib& rib);

/// What a rib is of: key of the table of materials.
const std::string& woodOf(const Ribs& ribs, const Rib& rib);

/// How far behind its nose a rib that is turned by so much is cut upright for its leading edge stock, mm.
double noseCut(const PanelBrief& design, double turn);

/// How wide the nose sheet of a face is at the rib, laid flat and measured square to the leading edge, mm. Each step
/// over the rib counts by what of it lies across that edge, since sheet laid round a swept edge is rolled about it:
/// exact where the panel does not taper.
double sheetAcross(const PanelLoft& loft, const Rib& rib, Face face);

/// Where a riblet ends at t, along the chord line from the nose.
double ribletEnd(const PanelBrief& design, const std::vector<SparLine>& spars, const Rib& rib);

/// The panel cut by the rib's plane, in that plane.
Cut cutOf(const PanelLoft& loft, const Rib& rib);

/// Which place of the panel's span that is where a rib meets a line that is straight on the plan: x at root and tip.
double metAt(const Rib& rib, double rootX, double tipX, double span);
/// Where a spar's line on the plan crosses a rib, from the rib's nose along its chord line.
double sparOn(const SparLine& line, const Rib& rib);
/// The widest that a spar's wood is, square to it, so far along its own run.
double sparWidth(const Spar& spar, double share);
/// A rib's wood seen from above: four corners, (aft, along the span) in the panel. Empty without wood.
Polyline seenFromAbove(const Rib& rib);

/// Shapes that lie against a rib, for drawing it in place, chord axes.
struct Beside {
  Region leadingStock, trailingStock, sheet, capStrips;
};
Beside besideRib(const PanelBrief& design, const PanelLoft& loft, const Rib& rib);

/// A square strip along the trailing edge as it lies against a rib: four corners, chord axes, front lower one first and
/// counter-clockwise. It is level with the chord line, half over and half under the line between the faces at its
/// middle.
Polyline squareTail(const PanelBrief& design, const Rib& rib);

/// Length along a face's surface from the nose point (0,0) to chord fraction f at t.
double arcTo(const PanelLoft& loft, Face face, double f, double t);

} // namespace eup
