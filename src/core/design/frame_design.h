// What is decided of a panel's frame beside its spars: ribs, riblets, sheet, strips, edges.
#pragma once
#include "core/measure/choice.h"
#include <string>
#include <vector>

namespace eup {

inline constexpr int mostRibs = 400; ///< a panel

/// What a panel is built of.
enum class Built { ribs, sheet, foam };
inline constexpr std::array builtChoices{Choice{"ribs", "ribs"}, Choice{"sheet", "sheet, without ribs"},
                                         Choice{"foam", "foam, cut by a wire"}};
static_assert(builtChoices.size() == wordsFor(Built::foam));

/// What gives a foam panel its washout: its templates, set against each other; or its beds, in which a core that was
/// cut flat is turned while it gets its skins.
enum class WashoutIn { templates, beds };
inline constexpr std::array washoutInChoices{Choice{"templates", "the templates"}, Choice{"beds", "its beds"}};
static_assert(washoutInChoices.size() == wordsFor(WashoutIn::beds));

/// A panel of foam, or foam between a panel's ribs. A panel of foam: its skins are its nose sheet, from strip to strip;
/// its edges are of leading and trailing edge stock; its spars' caps lie in grooves.
struct FoamPanel {
  std::string material = "foam-xps-33";
  int cores = 1; ///< one beyond the other along the span, each between templates of its own
  WashoutIn washoutIn = WashoutIn::templates;
  double endRib = 0; ///< ply on both its ends, 0 for none
  std::string endRibMaterial = "light-ply";
  bool ribsBetween = false; ///< one of them between two cores too: glue faces
  bool between = false;     ///< in a panel of ribs: each bay filled, the ribs its templates
  bool operator==(const FoamPanel&) const = default;
};

/// What lies in a panel's foam beside its spars' caps.
enum class InCore { tube, rod, hollow, pocket, lead, block, web };
inline constexpr std::array inCoreChoices{Choice{"tube", "tube"},      Choice{"rod", "rod"},
                                          Choice{"hollow", "hollow"},  Choice{"pocket", "pocket"},
                                          Choice{"lead", "groove"},    Choice{"block", "block of wood"},
                                          Choice{"web", "upright web"}};
static_assert(inCoreChoices.size() == wordsFor(InCore::web));
/// Which of its lines lies where it is said to: rods of two sizes may have to be level on top.
enum class LevelLine { top, middle, underside };
inline constexpr std::array levelLineChoices{Choice{"top", "top"}, Choice{"middle", "middle"},
                                             Choice{"underside", "underside"}};
static_assert(levelLineChoices.size() == wordsFor(LevelLine::underside));

/// Straight in space from one place of the span to another.
struct CoreThing {
  std::string name = "tube";
  InCore kind = InCore::tube;
  double from = 0, to = 200;           ///< mm of the panel's span
  double xFrom = 0.3, xTo = 0.3;       ///< of the chord there: its middle
  double upFrom = 5, upTo = 5;         ///< of a tube or rod: mm over the chord line there,
  LevelLine level = LevelLine::middle; ///< of this line of it
  bool top = true;                     ///< the face that a pocket, a groove or a block is let in from
  double width = 8;                    ///< a diameter; along the chord; a web's thickness
  double wall = 0.5;                   ///< a tube's
  double depth = 12;                   ///< under the core's face
  double rim = 8;                      ///< that a hollow leaves all round
  bool vented = true;                  ///< a hole lets the air out of a bore that ends in the foam
  std::string material = "carbon-tube";
  bool round() const { return kind == InCore::tube || kind == InCore::rod; }
  bool letIn() const { return kind == InCore::pocket || kind == InCore::lead || kind == InCore::block; }
  bool empty() const { return kind == InCore::hollow || kind == InCore::pocket || kind == InCore::lead; }
  int number = 0; ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const CoreThing&) const = default;
};
inline constexpr int mostInCore = 24;

/// Cloth in resin on a panel's outer faces of wood: all of a panel of sheet, the skins of one of ribs.
struct Cloth {
  int top = 0, bottom = 0; ///< layers
  double gsm = 25;         ///< of one, dry
  double resinRatio = 1;   ///< resin to cloth by weight
  std::string material = "glass-cloth";
  double strip = 0;  ///< mm: one more layer so wide over each of the panel's joins, on either face that has cloth
  double hours = 24; ///< that a face dries before the next is begun
  int layers(bool upper) const { return upper ? top : bottom; }
  bool any() const { return top + bottom > 0; }
  /// mm, of one layer in its resin, that being of such a density (kg/m³).
  double layer(double density) const { return gsm * (1 + resinRatio) / density; }
  bool operator==(const Cloth&) const = default;
};

/// A panel of sheet: flat or bent where its sections are plates, else carved.
struct SheetPanel {
  double thickness = 3; ///< as it is bought; what is carved must fit in it
  std::string material = "balsa-160";
  double grainDeg = 0; ///< off its front edge, towards the trailing edge going outwards
  double edge = 0;     ///< mm of the chord: a strip of another wood along its leading edge; 0 for none
  std::string edgeMaterial = "spruce";
  bool formers = false; ///< a bent one keeps one under it at every station
  double formerThickness = 1.5;
  bool operator==(const SheetPanel&) const = default;
};

enum class RibRule { count, spacing, stations };
inline constexpr std::array ribRuleChoices{Choice{"count", "number of ribs"}, Choice{"spacing", "even spacing"},
                                           Choice{"stations", "own stations"}};
static_assert(ribRuleChoices.size() == wordsFor(RibRule::stations));

/// Which way the ribs between a panel's end ribs run; those two stand with the flight.
enum class RibDirection { flight, squareToLeadingEdge, squareToSpar, diagonal };
inline constexpr std::array ribDirectionChoices{
    Choice{"flight", "with the flight"}, Choice{"squareToLeadingEdge", "square to the LE"},
    Choice{"squareToSpar", "square to the first spar"}, Choice{"diagonal", "diagonal"}};
static_assert(ribDirectionChoices.size() == wordsFor(RibDirection::diagonal));

/// How far aft a riblet reaches from the leading edge.
enum class SheetEdge { fraction, spar };
inline constexpr std::array sheetEdgeChoices{Choice{"fraction", "chord fraction"}, Choice{"spar", "a spar"}};
static_assert(sheetEdgeChoices.size() == wordsFor(SheetEdge::spar));

/// Short ribs between the others, that keep the nose in shape.
struct Riblets {
  int inBay = 0; ///< how many in every bay
  double thickness = 1.5;
  SheetEdge to = SheetEdge::fraction;
  double fraction = 0.3;
  int spar = 1; ///< for SheetEdge::spar: its number, from 1; the riblet ends at that spar's front face
  bool operator==(const Riblets&) const = default;
};

/// Which ribs are of a second wood.
enum class SecondWood { none, ends, thick, endsAndThick };
inline constexpr std::array secondWoodChoices{Choice{"none", "none"}, Choice{"ends", "root and tip rib"},
                                              Choice{"thick", "thick ribs"},
                                              Choice{"endsAndThick", "end ribs and thick ribs"}};
static_assert(secondWoodChoices.size() == wordsFor(SecondWood::endsAndThick));

/// How ribs are made: each cut along its own print; all of a panel sanded as one block between two templates; or glued
/// up of strips in a fixture.
enum class RibMake { each, stack, sticks };
inline constexpr std::array ribMakeChoices{Choice{"each", "each by its print"}, Choice{"stack", "as one stack"},
                                           Choice{"sticks", "of sticks, in a fixture"}};
static_assert(ribMakeChoices.size() == wordsFor(RibMake::sticks));

/// What stands between the two strips of a stick rib.
enum class Lacing { uprights, zigzag };
inline constexpr std::array lacingChoices{Choice{"uprights", "uprights alone"},
                                          Choice{"zigzag", "uprights and diagonals"}};
static_assert(lacingChoices.size() == wordsFor(Lacing::zigzag));

enum class GussetsOn { none, one, both };
inline constexpr std::array gussetChoices{Choice{"none", "no gussets"}, Choice{"one", "on one side"},
                                          Choice{"both", "on both sides"}};
static_assert(gussetChoices.size() == wordsFor(GussetsOn::both));

/// Ribs of strips, as thick as the ribs are decided to be. Spars pass inside the strips, not through them.
struct Sticks {
  double depth = 2; ///< of every strip, in the rib's plane
  Lacing lacing = Lacing::zigzag;
  double bay = 30;                       ///< uprights stand no farther apart
  double noseBlock = 10, tailBlock = 14; ///< along the chord, between the strips
  GussetsOn gussets = GussetsOn::both;
  double gusset = 8; ///< side of the square that they are cut from
  double gussetSheet = 0.4;
  std::string gussetMaterial = "light-ply";
  bool ends = false; ///< root and tip rib too; else those are of sheet
  bool operator==(const Sticks&) const = default;
};

/// How the sides of a slot are, where what goes in crosses the rib off square: cut square to the rib's face, and so
/// much wider; or filed to the slope of what goes in.
enum class SlotCut { square, filed };
inline constexpr std::array slotCutChoices{Choice{"square", "cut square"}, Choice{"filed", "filed to the slope"}};
static_assert(slotCutChoices.size() == wordsFor(SlotCut::filed));

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
  SecondWood second = SecondWood::none;
  std::string secondMaterial = "light-ply";
  RibMake make = RibMake::each;
  double boltFront = 0.2, boltRear = 0.6; ///< of the chord: two bolts hold a stack
  double bolt = 3;                        ///< their diameter
  double notchFit = 0.1;                  ///< a notch or slot is this much wider than what goes in
  SlotCut slotCut = SlotCut::square;
  double rim = 2; ///< thinner wood than this is reported
  bool operator==(const Ribs&) const = default;
};

/// Where a skin ends: at a chord fraction, at a spar's wood, so far before the trailing edge, or at the front
/// of the trailing edge's stock.
enum class SheetTo { fraction, sparFront, sparMiddle, sparRear, fromTail, stock };
inline constexpr std::array sheetToChoices{
    Choice{"fraction", "chord fraction"},    Choice{"sparFront", "a spar's front"},
    Choice{"sparMiddle", "a spar's middle"}, Choice{"sparRear", "a spar's rear"},
    Choice{"fromTail", "length before TE"},  Choice{"stock", "the TE stock"}};
static_assert(sheetToChoices.size() == wordsFor(SheetTo::stock));
inline bool endsAtSpar(SheetTo to) {
  return to == SheetTo::sparFront || to == SheetTo::sparMiddle || to == SheetTo::sparRear;
}

/// How sheets are joined end to end, on the middle of a rib.
enum class SheetJoint { butt, scarf, lap };
inline constexpr std::array sheetJointChoices{Choice{"butt", "butted"}, Choice{"scarf", "scarfed"},
                                              Choice{"lap", "lapped"}};
static_assert(sheetJointChoices.size() == wordsFor(SheetJoint::lap));

/// What a skin is of. Its grain runs along the span, turned by so much towards the trailing edge going outwards.
struct SkinSheet {
  double thickness = 1.5;
  std::string material = "balsa-160";
  double grainDeg = 0; ///< 90: along the chord
  int layers = 1;      ///< that make up the thickness, glued on one over the other
  SheetJoint joint = SheetJoint::butt;
  double overlap = 10; ///< length of a scarf or lap over the thickness
  /// mm by which two sheets that are joined lie over each other.
  double jointLength() const { return joint == SheetJoint::butt ? 0 : overlap * thickness; }
  bool operator==(const SkinSheet&) const = default;
};

/// A skin and where it ends.
struct SheetRun : SkinSheet {
  SheetTo to = SheetTo::fraction;
  double fraction = 0.32;
  int spar = 1;         ///< that it ends at, counted from 1
  double fromTail = 30; ///< mm along the chord line
  bool operator==(const SheetRun&) const = default;
};

/// Where the nose sheet begins: butted to the back of the leading edge's stock, or run over the stock to the nose.
enum class NoseFrom { behindStock, overStock };
inline constexpr std::array noseFromChoices{Choice{"behindStock", "behind the LE stock"},
                                            Choice{"overStock", "over the LE stock"}};
static_assert(noseFromChoices.size() == wordsFor(NoseFrom::overStock));

/// The sheet round the nose.
struct Sheeting : SheetRun {
  bool top = true, bottom = true;
  NoseFrom from = NoseFrom::behindStock;
  bool carries = false; ///< its grain runs along the span and it is glued to the first spar: it bends with it
  std::vector<int> joints, jointsBelow; ///< ribs that it is joined on, from the panel's root rib, 1; none: as stock is
  bool ownBelow = false;                ///< it is another below; else as on top
  SheetRun below;
  /// What it is of on a face and where it ends there; null where that face has none.
  const SheetRun* on(bool upper) const {
    if (!(upper ? top : bottom)) return nullptr;
    return !upper && ownBelow ? &below : this;
  }
  bool operator==(const Sheeting&) const = default;
};

inline constexpr int mostSheetedBays = 6; ///< runs of them, a panel

/// Where sheet over some bays begins: at what lies before it (nose sheet or leading edge stock), at a chord fraction,
/// or on a spar's middle.
enum class BaysFrom { before, fraction, spar };
inline constexpr std::array baysFromChoices{Choice{"before", "what is before it"}, Choice{"fraction", "chord fraction"},
                                            Choice{"spar", "a spar's middle"}};
static_assert(baysFromChoices.size() == wordsFor(BaysFrom::spar));

/// Sheet over some bays, from rib to rib: a centre section, a whole panel, what a surface is hung on.
struct SheetedBays : SheetRun {
  SheetedBays() { to = SheetTo::stock, fraction = 0.7; }
  bool top = true, bottom = true;
  int fromRib = 1, toRib = 3; ///< counted from the panel's root rib, which is 1
  BaysFrom from = BaysFrom::before;
  double fromFraction = 0.4;
  int fromSpar = 1;
  std::vector<int> joints, jointsBelow; ///< as those of the nose sheet
  int number = 0;                       ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const SheetedBays&) const = default;
};

/// The ribs that such sheet is joined on, on a face.
template <class Sheet> auto& joinedOn(Sheet& sheet, bool upper) {
  return upper ? sheet.joints : sheet.jointsBelow;
}

/// The run that covers a face from one rib to another, both counted from the panel's root rib; null for none. The first
/// that is decided counts.
inline const SheetedBays* sheetedBetween(const std::vector<SheetedBays>& all, int rib, int next, bool top) {
  for (const SheetedBays& s : all)
    if ((top ? s.top : s.bottom) && s.fromRib < s.toRib && rib >= s.fromRib && next <= s.toRib) return &s;
  return nullptr;
}

inline constexpr int mostHolds = 12; ///< of the builder's own, a panel

/// What a builder of his own accord wants to have looked at before a panel is closed.
struct HoldPoint {
  std::string what = "wires soldered";
  int number = 0; ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const HoldPoint&) const = default;
};

struct CapStrips {
  bool top = true, bottom = true;
  double thickness = 1.5;
  double width = 8;
  std::string material = "balsa-160";
  bool operator==(const CapStrips&) const = default;
};

/// How the width of stock along an edge is meant: as the strip is, or as what it takes of a rib that stands with the
/// flight. The two differ on a swept edge.
enum class WidthIs { squareToEdge, alongFlight };
inline constexpr std::array widthIsChoices{Choice{"squareToEdge", "square to the edge"},
                                           Choice{"alongFlight", "along the flight"}};
static_assert(widthIsChoices.size() == wordsFor(WidthIs::alongFlight));

enum class LeadingEdgeKind { none, square, onEdge, shaped };
inline constexpr std::array leadingEdgeChoices{Choice{"none", "none"}, Choice{"square", "square strip"},
                                               Choice{"onEdge", "square, on edge"}, Choice{"shaped", "shaped strip"}};
static_assert(leadingEdgeChoices.size() == wordsFor(LeadingEdgeKind::shaped));

struct LeadingEdge {
  LeadingEdgeKind kind = LeadingEdgeKind::square;
  double width = 7; ///< side of the strip when it is square or on edge
  WidthIs widthIs = WidthIs::squareToEdge;
  double height = 8;       ///< shaped strip only: of the part that is let into the rib
  double letIn = 2;        ///< shaped strip only: how deep it sits in the rib's notch
  double proud = 0;        ///< square strip: it is bought so much deeper above and below, and planed to the ribs' curve
  std::vector<int> gauges; ///< ribs that get a gauge of their nose, from the join, 1 the one at it
  std::string material = "balsa-160";
  bool operator==(const LeadingEdge&) const = default;
};

enum class TrailingEdgeKind { none, wedge, twoSheets, square };
inline constexpr std::array trailingEdgeChoices{Choice{"none", "none"}, Choice{"wedge", "wedge stock"},
                                                Choice{"twoSheets", "two sheets"}, Choice{"square", "square strip"}};
static_assert(trailingEdgeChoices.size() == wordsFor(TrailingEdgeKind::square));

struct TrailingEdge {
  TrailingEdgeKind kind = TrailingEdgeKind::wedge;
  double width = 28;
  WidthIs widthIs = WidthIs::squareToEdge;
  double sheet = 1.5;  ///< two sheets only: thickness of each
  double overhang = 3; ///< two sheets only: how far they stand out behind the rib tails
  double height = 3;   ///< square strip only: it is not planed, and lies half over and half under the section's middle
  int strips = 1;      ///< square strip only: so many are glued to it, one behind the other
  std::string material = "balsa-160";
  bool operator==(const TrailingEdge&) const = default;
};

} // namespace eup
