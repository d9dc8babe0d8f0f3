// The decisions of a builder: a plain value. It is what is saved, undone and compared; all else follows from it.
// Lengths mm, fractions of the local chord from the leading edge, angles in degrees as they were typed.
#pragma once
#include "core/measure/hand.h"
#include "core/measure/units.h"
#include "core/plan/plan.h"
#include "core/section/section_choice.h"
#include <string>
#include <vector>

namespace eup {

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

struct Ribs {
  RibRule rule = RibRule::count;
  int count = 12;
  double spacing = 65;
  std::vector<double> stations; ///< for RibRule::stations: from the root outwards, both ends included
  double thickness = 2;
  double rootThickness = 3;
  double tipThickness = 3;
  double notchFit = 0.1; ///< a notch or slot is this much wider than what goes in
  double rim = 2;        ///< thinner wood than this is reported
  bool operator==(const Ribs&) const = default;
};

enum class SheetEdge { fraction, spar };

struct Sheeting {
  bool top = true, bottom = true;
  double thickness = 1.5;
  SheetEdge to = SheetEdge::fraction;
  double fraction = 0.32;
  int spar = 1; ///< for SheetEdge::spar: its number, from 1; the sheet ends at that spar's rear face
  bool operator==(const Sheeting&) const = default;
};

struct CapStrips {
  bool top = true, bottom = true;
  double thickness = 1.5;
  double width = 8;
  bool operator==(const CapStrips&) const = default;
};

enum class LeadingEdgeKind { none, square, onEdge, shaped };

struct LeadingEdge {
  LeadingEdgeKind kind = LeadingEdgeKind::square;
  double width = 7;  ///< along the chord; side of the strip when it is square or on edge
  double height = 8; ///< shaped strip only: of the part that is let into the rib
  double letIn = 2;  ///< shaped strip only: how deep it sits in the rib's notch
  bool operator==(const LeadingEdge&) const = default;
};

enum class TrailingEdgeKind { none, wedge, twoSheets };

struct TrailingEdge {
  TrailingEdgeKind kind = TrailingEdgeKind::wedge;
  double width = 28;   ///< along the chord, at every rib
  double sheet = 1.5;  ///< two sheets only: thickness of each
  double overhang = 3; ///< two sheets only: how far they stand out behind the rib tails
  bool operator==(const TrailingEdge&) const = default;
};

enum class SparKind { caps, fullDepth };
enum class SlotFrom { above, below };

struct Cap {
  bool fitted = true;
  double width = 6, depth = 3;
  std::string material = "spruce";
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
  bool operator==(const Spar&) const = default;
};

enum class DihedralBy { rise, angle, projected };
enum class Propping { bothPropped, oneFlat };
enum class BlockAt { leadingEdge, spar, trailingEdge };
enum class Datum { chordLevel, undersideFlat };
enum class BraceSide { front, behind };

/// The panel's angle to the horizontal, by whichever the plan gives; the others follow.
struct Dihedral {
  DihedralBy by = DihedralBy::rise;
  double value = 35; ///< mm of rise at the panel's tip over its root, degrees, or mm of span as seen from above
  bool operator==(const Dihedral&) const = default;
};

/// The join at a panel's inner end: with its mirror image at the centre, with the panel inside it further out.
struct Join {
  Dihedral dihedral;
  Propping propping = Propping::bothPropped;
  BlockAt blockAt = BlockAt::spar;
  Datum datum = Datum::chordLevel;
  bool brace = true;
  double braceThickness = 1.5;
  BraceSide braceSide = BraceSide::behind;
  int braceToRib = 3; ///< where each leg ends, counted from the join: the rib at the join is 1
  std::string braceMaterial = "birch-ply";
  std::vector<double> packing{0.8, 1, 1.5, 2, 3, 5, 10}; ///< thicknesses that are at hand to pack with
  bool feet = false;                                     ///< ribs stand on feet that are broken off later
  double footWidth = 8;
  double footClearance = 3; ///< between the board and the lowest place of the panel
  bool operator==(const Join&) const = default;
};

enum class LoadShape { schrenk, ellipse, chord };

struct Flying {
  double mass = 1400; ///< g, whole model
  double loadFactor = 6;
  LoadShape shape = LoadShape::schrenk;
  bool operator==(const Flying&) const = default;
};

/// All decisions of one panel.
struct PanelDesign {
  Sections sections;
  Panel panel;
  Ribs ribs;
  Sheeting sheeting;
  CapStrips capStrips;
  LeadingEdge leadingEdge;
  TrailingEdge trailingEdge;
  std::vector<Spar> spars{Spar{}};
  Join join;
  bool operator==(const PanelDesign&) const = default;
};

/// Half a wing, root to tip: the other half is its mirror image.
struct Wing {
  std::string name = "Wing";
  std::vector<PanelDesign> panels{PanelDesign{}}; ///< from the middle outwards; never empty
  bool operator==(const Wing&) const = default;
};

/// Which panel of which wing, counted from 0.
struct PanelId {
  int wing = 0, panel = 0;
  bool operator==(const PanelId&) const = default;
};

struct Design {
  std::string name = "New wing";
  LengthUnit unit = LengthUnit::mm;
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

inline constexpr int mostWings = 1, mostPanels = 8, mostSpars = 3;
inline constexpr int mostRibs = 400; ///< a panel

} // namespace eup
