// The decisions of a builder: a plain value. It is what is saved, undone and compared; all else follows from it.
// Lengths mm, fractions of the local chord from the leading edge, angles in degrees as they were typed.
#pragma once
#include "core/design/tables.h"
#include "core/measure/hand.h"
#include "core/measure/units.h"
#include "core/plan/plan.h"
#include "core/section/section_choice.h"
#include <algorithm>
#include <string>
#include <vector>

namespace eup {

inline constexpr int mostWings = 5, mostPanels = 8, mostSpars = 3;
inline constexpr int mostRibs = 400;  ///< a panel
inline constexpr int mostShares = 60; ///< in a table of lift
inline constexpr double mostShare = 1000;

struct Sections {
  SectionChoice root, tip;
  bool operator==(const Sections&) const = default;
};

struct Panel {
  /// Chord, section, turn and spar lines at the root are those of the panel inside it. No say in the innermost.
  bool continues = true;
  double span = 700; ///< true length: as drawn on a plan that is built over
  double rootChord = 220;
  double tipChord = 160;
  double tipSetback = 20;    ///< how far the tip's leading edge lies behind the root's, before washout
  double rootWashoutDeg = 0; ///< against the wing's root, nose down
  double washoutDeg = 2;     ///< tip, against the wing's root, nose down
  double rootAxis = 0;       ///< chord fraction that the root is turned about
  double washoutAxis = 0;    ///< and the tip
  bool operator==(const Panel&) const = default;
};

enum class RibRule { count, spacing, stations };
/// Which way the ribs between a panel's end ribs run; those two stand with the flight.
enum class RibDirection { flight, squareToLeadingEdge, squareToSpar, diagonal };
/// How far aft something reaches from the leading edge.
enum class SheetEdge { fraction, spar };

/// Short ribs between the others, that keep the nose in shape.
struct Riblets {
  int inBay = 0; ///< how many in every bay
  double thickness = 1.5;
  SheetEdge to = SheetEdge::fraction;
  double fraction = 0.3;
  int spar = 1; ///< for SheetEdge::spar: its number, from 1; the riblet ends at that spar's front face
  bool operator==(const Riblets&) const = default;
};

struct Ribs {
  RibRule rule = RibRule::count;
  int count = 12;
  double spacing = 65;
  std::vector<double> stations;    ///< for RibRule::stations: from the root outwards, both ends included
  int denseRoot = 0, denseTip = 0; ///< bays at either end that are halved; not for RibRule::stations
  RibDirection direction = RibDirection::flight;
  double angleDeg = 30;  ///< diagonal: out of the flight's direction, + tail outwards
  bool crossing = false; ///< one more in every bay, turned as far the other way, half-lapped with those it meets
  double thickness = 2;
  double rootThickness = 3;
  double tipThickness = 3;
  std::vector<int> thick; ///< thicker ribs, counted from the panel's root rib, which is 1
  double thickThickness = 3;
  std::vector<int> doubled;           ///< ribs of two pieces, glued face to face
  std::string material = "balsa-160"; ///< and of riblets; grain along the chord
  double notchFit = 0.1;              ///< a notch or slot is this much wider than what goes in
  double rim = 2;                     ///< thinner wood than this is reported
  bool operator==(const Ribs&) const = default;
};

struct Sheeting {
  bool top = true, bottom = true;
  double thickness = 1.5;
  SheetEdge to = SheetEdge::fraction;
  double fraction = 0.32;
  int spar = 1; ///< for SheetEdge::spar: its number, from 1; the sheet ends at that spar's rear face
  std::string material = "balsa-160";
  bool carries = false; ///< its grain runs along the span and it is glued to the first spar: it bends with it
  bool operator==(const Sheeting&) const = default;
};

struct CapStrips {
  bool top = true, bottom = true;
  double thickness = 1.5;
  double width = 8;
  std::string material = "balsa-160";
  bool operator==(const CapStrips&) const = default;
};

enum class LeadingEdgeKind { none, square, onEdge, shaped };

struct LeadingEdge {
  LeadingEdgeKind kind = LeadingEdgeKind::square;
  double width = 7;  ///< along the chord; side of the strip when it is square or on edge
  double height = 8; ///< shaped strip only: of the part that is let into the rib
  double letIn = 2;  ///< shaped strip only: how deep it sits in the rib's notch
  std::string material = "balsa-160";
  bool operator==(const LeadingEdge&) const = default;
};

enum class TrailingEdgeKind { none, wedge, twoSheets };

struct TrailingEdge {
  TrailingEdgeKind kind = TrailingEdgeKind::wedge;
  double width = 28;   ///< along the chord, at every rib
  double sheet = 1.5;  ///< two sheets only: thickness of each
  double overhang = 3; ///< two sheets only: how far they stand out behind the rib tails
  std::string material = "balsa-160";
  bool operator==(const TrailingEdge&) const = default;
};

enum class SparKind { caps, fullDepth };
enum class SlotFrom { above, below };
/// What closes the space between two caps: sheet from rib to rib; one sheet all along, the ribs in two pieces before
/// and behind it; or a core as wide as the caps, of foam or soft wood.
enum class Webs { none, between, continuous, core };
enum class Grain { upright, along };

enum class CapShape { strip, rod, tube };

/// Where along its spar, as a share of its length, a cap may change, end, or lose its doubler.
inline constexpr Limits alongCap{0.02, 0.98};

struct Cap {
  bool fitted = true;
  CapShape shape = CapShape::strip;
  double width = 6, depth = 3; ///< the depth of a rod or a tube is its diameter; it lies in a square notch
  double wall = 0.5;           ///< a tube's
  std::string material = "spruce";
  bool tapers = false; ///< towards the spar's outer end
  double tipWidth = 4, tipDepth = 2;
  bool changes = false;   ///< of another material from there on
  double changesAt = 0.5; ///< of the spar's length
  std::string thenMaterial = "balsa-160";
  bool doubled = false;   ///< a strip: with another one of the same wood and width on its inner side
  double doubledTo = 0.4; ///< of the spar's length, from its inner end
  double doubler = 2;     ///< depth of that strip
  bool drops = false;     ///< it ends there, and the other cap goes on
  double dropsAt = 0.7;   ///< of the spar's length
  bool operator==(const Cap&) const = default;
};

struct Spar {
  std::string name = "main spar";
  SparKind kind = SparKind::caps;
  double rootFraction = 0.30, tipFraction = 0.30; ///< of its centre line
  Cap top, bottom;                                ///< SparKind::caps
  double sheet = 3;                               ///< SparKind::fullDepth: thickness of the sheet
  SlotFrom ribSlot = SlotFrom::above;             ///< SparKind::fullDepth: where the rib's slot opens
  std::string sheetMaterial = "balsa-160";        ///< SparKind::fullDepth
  Webs webs = Webs::none;                         ///< SparKind::caps with both
  double webThickness = 1.5;                      ///< not of a core
  Grain webGrain = Grain::upright;                ///< not of a core
  std::string webMaterial = "balsa-160";
  bool stops = false;   ///< before the panel's tip
  double stopsAt = 400; ///< mm of the panel's span from its root
  bool operator==(const Spar&) const = default;
};

/// A cap as it is `share` of the way from its spar's inner end to its outer; not fitted where it has ended.
inline Cap capAt(const Cap& cap, double share) {
  Cap here = cap;
  here.fitted = cap.fitted && !(cap.drops && share > cap.dropsAt);
  if (cap.changes && share > cap.changesAt) here.material = cap.thenMaterial;
  if (cap.shape != CapShape::strip) {
    here.width = here.depth;
    return here;
  }
  if (cap.tapers) {
    const double s = std::clamp(share, 0.0, 1.0);
    here.width += (cap.tipWidth - cap.width) * s;
    here.depth += (cap.tipDepth - cap.depth) * s;
  }
  here.doubled = false; // it is in the depth now
  if (cap.doubled && share <= cap.doubledTo) here.depth += cap.doubler;
  return here;
}

/// How far along its spar a cap reaches, as a share of its length.
inline double reachOf(const Cap& cap) {
  return cap.drops ? cap.dropsAt : 1;
}

/// Bore of a tube, 0 for what is solid.
inline double boreOf(const Cap& cap) {
  return cap.shape == CapShape::tube ? std::max(cap.depth - 2 * cap.wall, 0.0) : 0;
}
/// Cross-section of a cap as it is somewhere along its spar (see `capAt`), mm².
inline double capArea(const Cap& cap) {
  if (cap.shape == CapShape::strip) return cap.width * cap.depth;
  return pi / 4 * (cap.depth * cap.depth - boreOf(cap) * boreOf(cap));
}

/// How wide what stands between the caps is; 0 for nothing.
inline double webWidthAt(const Spar& spar, double share) {
  if (spar.kind != SparKind::caps || spar.webs == Webs::none) return 0;
  const Cap top = capAt(spar.top, share), bottom = capAt(spar.bottom, share);
  if (!top.fitted || !bottom.fitted) return 0;
  return spar.webs == Webs::core ? std::min(top.width, bottom.width) : spar.webThickness;
}

enum class DihedralBy { rise, angle, projected };
enum class Propping { bothPropped, oneFlat };
enum class BlockAt { leadingEdge, spar, trailingEdge };
enum class Datum { chordLevel, undersideFlat };
enum class BraceSide { front, behind, both };

/// The panel's angle to the horizontal, by whichever the plan gives; the others follow.
struct Dihedral {
  DihedralBy by = DihedralBy::rise;
  double value = 35; ///< mm of rise at the panel's tip over its root, degrees, or mm of span as seen from above
  bool operator==(const Dihedral&) const = default;
};

/// Between the caps, or over the whole depth of the spar's faces.
enum class BraceOver { between, faces };
enum class JoinerLine { across, top, middle, underside };

/// One plane, or folded along an upright line at the join so that each leg lies on its own spar's face.
enum class BraceForm { flat, folded };
/// What the spars do at a join.
enum class SparsThere { end, cracked, through };

/// One more brace of a join, on another spar or on the same.
struct SecondBrace {
  bool fitted = false;
  int spar = 2; ///< number of the spar that it lies on
  BraceOver over = BraceOver::between;
  bool slots = false;
  double thickness = 1.5;
  BraceSide side = BraceSide::behind;
  BraceForm form = BraceForm::flat;
  int toRib = 3;
  std::string material = "birch-ply";
  bool operator==(const SecondBrace&) const = default;
};

/// A rod or tube in sleeves, by which panels are put together on the field.
struct Joiner {
  bool fitted = false;
  JoinerLine along =
      JoinerLine::across; ///< straight through the join, or in line with the panel's top, middle, underside
  double fraction = 0.3;  ///< where it stands at the join, of the chord there
  double diameter = 8;
  double bore = 0;   ///< a tube's; 0 for a solid rod
  double sleeve = 9; ///< outer diameter of what it slides in, which the ribs are bored for
  int toRib = 4;     ///< where its socket ends, counted from the join: the rib at the join is 1
  std::string material = "carbon-tube";
  double facing = 0; ///< mm of birch ply on each rib where the socket begins and ends, both its faces together
  bool pin = true;   ///< against turning, in the ribs at the join
  double pinFraction = 0.7;
  double pinDiameter = 3;
  bool operator==(const Joiner&) const = default;
};

/// The join at a panel's inner end: with its mirror image at the centre, with the panel inside it further out.
struct Join {
  Dihedral dihedral;
  Propping propping = Propping::bothPropped;
  BlockAt blockAt = BlockAt::spar;
  Datum datum = Datum::chordLevel;
  bool rootLeans = false; ///< the ribs that meet there lean into its plane; else they stand square and are bevelled
  SparsThere sparsThere = SparsThere::end;
  double crackLeaves = 0.5; ///< mm of a cracked spar that is not cut through
  bool brace = true;
  int braceSpar = 1; ///< number of the spar that it lies on
  BraceOver braceOver = BraceOver::between;
  bool braceSlots = false; ///< the ribs that it passes are slotted for it
  double braceThickness = 1.5;
  BraceSide braceSide = BraceSide::behind;
  BraceForm braceForm = BraceForm::flat;
  int braceToRib = 3; ///< where each leg ends, counted from the join: the rib at the join is 1
  std::string braceMaterial = "birch-ply";
  SecondBrace second;
  Joiner joiner;
  std::vector<double> packing{0.8, 1, 1.5, 2, 3, 5, 10}; ///< thicknesses that are at hand to pack with
  bool feet = false;                                     ///< ribs stand on feet that are broken off later
  double footWidth = 8;
  double footClearance = 3; ///< between the board and the lowest place of the panel
  bool rods = false;        ///< the ribs are threaded on two straight rods while the panel is built
  double rodDiameter = 6;
  double rodFront = 0.25, rodRear = 0.6; ///< of the chord at either end
  bool operator==(const Join&) const = default;
};

/// The same join with its second brace in the first one's place, for what knows one brace.
inline Join withSecondBrace(Join join) {
  const SecondBrace& b = join.second;
  join.brace = b.fitted, join.braceSpar = b.spar, join.braceOver = b.over, join.braceSlots = b.slots;
  join.braceThickness = b.thickness, join.braceSide = b.side, join.braceForm = b.form;
  join.braceToRib = b.toRib, join.braceMaterial = b.material;
  return join;
}

/// Bars across the bays between the first spar and what runs next behind it.
enum class Diagonals { none, oneWay, crossed, zigzag };
enum class DiagonalPlane { top, bottom, both, sloping };
inline constexpr const char* uncovered = "none";

/// What stiffens a panel against twisting, beside its spars, ribs, edges and sheet.
struct Stiffening {
  Diagonals diagonals = Diagonals::none;
  DiagonalPlane plane = DiagonalPlane::sloping; ///< sloping: from the spar's top to the underside behind it
  int firstBay = 1, lastBay = mostRibs;         ///< counted from the panel's root
  double width = 3, depth = 3;
  std::string material = "balsa-160";
  std::string covering = uncovered;
  bool operator==(const Stiffening&) const = default;
};

enum class LoadShape { schrenk, ellipse, chord, table };
struct Flying {
  double mass = 1400;             ///< g, whole model
  std::string kind{typedFactors}; ///< a key of the table of load factors, or typed
  double loadFactor = 6;          ///< as typed: pulling up
  double pushFactor = 0;          ///< and pushing over; 0 where that is not flown
  LoadShape shape = LoadShape::schrenk;
  std::vector<double> table{1, 1, 0.95, 0.85, 0.6}; ///< of LoadShape::table: lift per mm at even steps, root to tip
  bool relief = false;                              ///< the wing's own mass pulls against its lift
  double airSpeed = 12;                             ///< m/s, at which a gust is met
  double gust = 0;                                  ///< m/s upwards; 0 for none
  double linePull = 0;                              ///< N, of a winch or a throw, on top of the weight; 0 for none
  double tipTouch = 0;      ///< landing on a tip: the force there in multiples of the weight; 0 for none
  double diveSpeed = 0;     ///< m/s, for the wing's twist; 0 for none
  double aileronChord = 0;  ///< share of the chord, to the tip; 0 for none
  double aileronFrom = 0.5; ///< share of the half span where it begins
  double twistCouple = 500; ///< N·mm, of the twist test: a pair of forces at the tip rib's nose and tail
  bool operator==(const Flying&) const = default;
};

enum class TipKind { square, plate, outline, block, bow, rounded };

/// What stands beyond the outermost panel's tip rib.
struct Tip {
  TipKind kind = TipKind::square;
  double reach = 40;     ///< mm beyond the tip rib, along the panel's span; not for a plate
  double farthest = 0.6; ///< chord fraction where it reaches farthest
  double raised = 0;     ///< mm, its edge there over the tip rib's chord line; lower when negative
  double thickness = 3;  ///< sheet of a plate or an outline; each strip of a bow
  double width = 10;     ///< of an outline's pieces
  double margin = 3;     ///< by which a plate stands out all round the tip section
  int strips = 3;        ///< that a bow is laminated from
  double bowWidth = 5;   ///< of each strip, square to the plan
  double springBack = 0; ///< of its bend that a bow loses when it is taken off the form
  double radius = 25;    ///< of a rounded tip's two corners
  bool operator==(const Tip&) const = default;
};

/// All decisions of one panel.
struct PanelDesign {
  Sections sections;
  Panel panel;
  Ribs ribs;
  Riblets riblets;
  Sheeting sheeting;
  CapStrips capStrips;
  LeadingEdge leadingEdge;
  TrailingEdge trailingEdge;
  std::vector<Spar> spars{Spar{}};
  Stiffening stiffening;
  Join join;
  Tip tip; ///< the wing's outermost panel only
  bool operator==(const PanelDesign&) const = default;
};

enum class WingKind { main, second, tailplane, canard, fin };

/// Half a wing, root to tip: the other half is its mirror image. A fin stands upright and is whole as it is.
struct Wing {
  std::string name = "Wing";
  WingKind kind = WingKind::main;
  double carries = 1;                             ///< its share of the load, of n m g
  double aft = 0;                                 ///< mm, its root leading edge behind the main wing's
  double up = 0;                                  ///< mm, over the main wing's
  std::vector<PanelDesign> panels{PanelDesign{}}; ///< from the middle outwards; never empty
  bool operator==(const Wing&) const = default;
};

/// A wing with a right and a left hand.
inline bool mirrored(const Wing& wing) {
  return wing.kind != WingKind::fin;
}

/// Which panel of which wing, counted from 0.
struct PanelId {
  int wing = 0, panel = 0;
  bool operator==(const PanelId&) const = default;
};

struct Design {
  std::string name = "New wing";
  LengthUnit unit = LengthUnit::mm;
  std::string glue = "aliphatic"; ///< what wood is glued to wood with
  Tables own;                     ///< the builder's own rows beside the shipped tables
  Plan plan;
  std::vector<Wing> wings{Wing{}}; ///< the main wing first; never empty
  Flying flying;
  bool operator==(const Design&) const = default;

  PanelDesign& at(PanelId id) {
    return wings.at(static_cast<std::size_t>(id.wing)).panels.at(static_cast<std::size_t>(id.panel));
  }
  const PanelDesign& at(PanelId id) const {
    return wings.at(static_cast<std::size_t>(id.wing)).panels.at(static_cast<std::size_t>(id.panel));
  }
  /// The main wing's innermost panel.
  PanelDesign& inner() { return at({}); }
  const PanelDesign& inner() const { return at({}); }
};

} // namespace eup
