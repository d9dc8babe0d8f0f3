// The decisions of a builder: a plain value. It is what is saved, undone and compared; all else follows from it.
// Lengths mm, fractions of the local chord from the leading edge, angles in degrees as they were typed.
#pragma once
#include "core/design/bench_design.h"
#include "core/design/fitting_design.h"
#include "core/design/flying_design.h"
#include "core/design/frame_design.h"
#include "core/design/join_design.h"
#include "core/design/shape_design.h"
#include "core/design/spar_design.h"
#include "core/design/surface_design.h"
#include "core/measure/hand.h"
#include "core/plan/plan.h"

namespace eup {

inline constexpr int mostWings = 5, mostPanels = 8;
/// Of a name that is typed, and of any text that is kept.
inline constexpr std::size_t mostNameLetters = 200, mostTextLetters = 4000;
/// No pixel and no millimetre of a plan lies farther out.
inline constexpr double farthestPoint = 1e7;
inline constexpr double farthestRise = 20000; ///< mm, as far as a span

/// All decisions of one panel. What the compiler makes for it is made once, in design.cpp: it is used nearly
/// everywhere.
struct PanelDesign {
  int number = 0; ///< its own in its wing for good, counted from 0 (see `PanelNumber`)
  Sections sections;
  Panel panel;
  Built built = Built::ribs;
  SheetPanel sheet;
  Cloth cloth;
  FoamPanel foam;
  std::vector<CoreThing> inCore; ///< of a panel of foam
  Ribs ribs;
  Sticks sticks;
  Riblets riblets;
  Sheeting sheeting;
  std::vector<SheetedBays> sheeted;
  std::vector<HoldPoint> holds;
  CapStrips capStrips;
  LeadingEdge leadingEdge;
  TrailingEdge trailingEdge;
  std::vector<Spar> spars{Spar{}};
  Stiffening stiffening;
  std::vector<Surface> surfaces;
  Lightening lightening;
  std::vector<Run> runs;
  std::vector<HardPoint> hardPoints;
  Join join;
  Tip tip; ///< the wing's outermost panel only
  LeftHand left;

  PanelDesign();
  PanelDesign(const PanelDesign&);
  PanelDesign(PanelDesign&&) noexcept;
  PanelDesign& operator=(const PanelDesign&);
  PanelDesign& operator=(PanelDesign&&) noexcept;
  ~PanelDesign();
  bool operator==(const PanelDesign&) const;
};

/// Which face of a skin lies up on its pattern.
enum class FaceUp { inner, outer };
inline constexpr std::array faceUpChoices{Choice{"inner", "inner face"}, Choice{"outer", "outer face"}};
static_assert(faceUpChoices.size() == wordsFor(FaceUp::outer));

/// How pieces are cut: all numbers are the builder's own habit.
struct CutList {
  double trim = 3;          ///< mm that strips are left longer than they are fitted
  int spares = 0;           ///< of every rib
  int batch = 1;            ///< wings that are built at once
  double stock = 1000;      ///< mm: how long strips and sheets are sold
  double sheetWidth = 100;  ///< mm: how wide sheets are sold
  double scarf = 10;        ///< a scarf is that many times as long as the strip is deep
  double coverRoll = 600;   ///< mm: how wide covering is sold
  double coverOverlap = 15; ///< mm that a piece of covering is larger all round
  bool leftSooner = false;  ///< the left hand's skins are joined a rib farther in than the right's
  FaceUp faceUp = FaceUp::inner;
  bool operator==(const CutList&) const = default;
};

/// How a machine is told how fast to go: each move by its own time (exact at both ends), or by the inner end's way.
enum class FeedBy { time, innerEnd };
inline constexpr std::array feedByChoices{Choice{"time", "each move's time"}, Choice{"innerEnd", "the inner end"}};
static_assert(feedByChoices.size() == wordsFor(FeedBy::innerEnd));

/// The face that the wire goes along first, from the tail to the nose.
enum class FirstFace { upper, lower };
inline constexpr std::array firstFaceChoices{Choice{"upper", "the upper"}, Choice{"lower", "the lower"}};
static_assert(firstFaceChoices.size() == wordsFor(FirstFace::lower));

/// The end whose speed is decided; the other's follows from its way.
enum class SpeedOf { faster, slower };
inline constexpr std::array speedOfChoices{Choice{"faster", "the faster end"}, Choice{"slower", "the slower end"}};
static_assert(speedOfChoices.size() == wordsFor(SpeedOf::slower));

/// How foam is cut, and of what boards: the builder's own wire. The slot is what a strip says that was cut for a test.
struct HotWire {
  double kerf = 1;        ///< mm, the whole width of the slot at
  double kerfSpeed = 4;   ///< mm/s
  double kerfPower = 0.5; ///< it grows as that power of how much slower the wire goes: an assumption
  double speed = 4;       ///< mm/s
  SpeedOf speedOf = SpeedOf::faster;
  bool compensate = true; ///< each end by its own slot; else both by the test's
  double lead = 15;       ///< mm that templates stand out behind the tail, to go in and out on
  int marks = 10;         ///< even steps of the chord that are numbered
  double boardLength = 1250, boardWidth = 600, boardHeight = 50;
  double towersApart = 1000; ///< mm between the planes that the wire's ends run in
  double fromTower = 100;    ///< mm from the inner end's plane to the core
  // A machine's: its zero lies before the block and under it.
  std::string axes = "XYUV"; ///< letters: inner tower aft and up, outer tower aft and up
  FeedBy feed = FeedBy::time;
  double heat = 60, preheat = 10;         ///< percent; seconds before it moves
  double blockAft = 60, blockUp = 20;     ///< mm from its zero to the block's front edge, and to its underside
  FirstFace first = FirstFace::upper;     ///< by hand and by the machine
  double rest = 0;                        ///< seconds that it waits at the nose, for a bowed wire to come up
  double clear = 15;                      ///< mm that the wire passes over the block, and stands off its tail
  double travelAft = 700, travelUp = 300; ///< mm that its axes travel from zero
  bool operator==(const HotWire&) const = default;
};

inline constexpr int mostAboard = 40, mostWeighed = 4000;

/// What the model carries beside its wings: a mass and where it sits, from the main wing's root leading edge.
struct Aboard {
  std::string name = "battery";
  double grams = 100;
  double aft = 0, right = 0, up = 0; ///< mm
  bool operator==(const Aboard&) const = default;
};

/// A piece that was laid on the scales.
struct Weighed {
  std::string piece; ///< its panel and its key: see `pieceKey`
  Hand hand = Hand::right;
  double grams = 0; ///< of all of that piece in that hand; of one that both share, the whole
  bool operator==(const Weighed&) const = default;
};

/// Mass, balance and what they are judged by.
struct Balance {
  double margin = 0.08;     ///< static margin wanted, share of the main wing's mean chord
  double glue = 0.05;       ///< that much of the wood's mass
  double tailFlow = 0.9;    ///< dynamic pressure at a tailplane over that of the free flow
  double ballastAft = -150; ///< mm, where ballast would go
  std::vector<Aboard> aboard;
  std::vector<Weighed> weighed;
  bool operator==(const Balance&) const = default;
};

inline constexpr int mostStruts = 4; ///< a half wing

/// A strut takes pull and pressure, a wire pull alone.
enum class StrutKind { strut, wire };
inline constexpr std::array strutKindChoices{Choice{"strut", "strut"}, Choice{"wire", "wire, pulled alone"}};
static_assert(strutKindChoices.size() == wordsFor(StrutKind::wire));

/// What a strut's other end is made fast to.
enum class Footing { fuselage, wing };
inline constexpr std::array footingChoices{Choice{"fuselage", "the fuselage"}, Choice{"wing", "another wing"}};
static_assert(footingChoices.size() == wordsFor(Footing::wing));

/// What of a wing a strut holds.
enum class StrutOn { spar, rib };
inline constexpr std::array strutOnChoices{Choice{"spar", "a spar"}, Choice{"rib", "a rib"}};
static_assert(strutOnChoices.size() == wordsFor(StrutOn::rib));

/// Holds a spar or a rib to a place of the fuselage, or to one of another wing. In each hand one.
struct Strut {
  std::string name = "strut";
  StrutKind kind = StrutKind::strut;
  int panel = 1; ///< counted from 1
  StrutOn on = StrutOn::spar;
  int spar = 1;        ///< counted from 1
  double out = 350;    ///< on a spar: mm of that panel's span, from its inner end
  int rib = 2;         ///< on a rib (of sheet: a station), the panel's root rib is 1
  double chord = 0.65; ///< of that rib's, half way between its faces
  Footing foot = Footing::fuselage;
  double footAft = 70, footRight = 40, footUp = -120; ///< on the fuselage: mm from the wing's root leading edge
  int footWing = 2, footPanel = 1;                    ///< on a wing, counted from 1
  StrutOn footOn = StrutOn::spar;                     ///< and all as at its top
  int footSpar = 1;
  double footOut = 350;
  int footRib = 2;
  double footChord = 0.65;
  CapShape shape = CapShape::strip;
  double width = 8, depth = 4; ///< of a rod or a tube the depth is its diameter
  double wall = 0.5;
  std::string material = "spruce";
  int number = 0; ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const Strut&) const = default;
};

/// Two posts by which a wing stands on its fuselage, in tubes.
struct Posts {
  bool fitted = false;
  double front = 0.05, rear = 0.6; ///< of the root chord
  double height = 30;              ///< mm: underside at the front post over where the posts' tubes end
  double incidenceDeg = 3;         ///< of the root's chord line to the fuselage, nose up
  double offset = 0;               ///< mm: the posts stand so far to the right of the wing's middle
  double diameter = 1.5;
  double inTube = 12; ///< mm that a post sits in its tube
  std::string material = "spruce";
  bool operator==(const Posts&) const = default;
};

enum class WingKind { main, second, tailplane, canard, fin };
inline constexpr std::array wingKindChoices{Choice{"main", "main wing"}, Choice{"second", "second wing"},
                                            Choice{"tailplane", "tailplane"}, Choice{"canard", "foreplane"},
                                            Choice{"fin", "upright fin"}};
static_assert(wingKindChoices.size() == wordsFor(WingKind::fin));

/// Half a wing, root to tip: the other half is its mirror image. A fin stands upright and is whole as it is.
struct Wing {
  int number = 0; ///< its own for good, counted from 0 (see `PanelNumber`)
  std::string name = "Wing";
  WingKind kind = WingKind::main;
  double carries = 1;  ///< its share of the load, of n m g
  double aft = 0;      ///< mm, its root leading edge behind the main wing's
  double up = 0;       ///< mm, over the main wing's
  bool hinged = false; ///< its root turns on pins, and struts and wires alone hold it up
  std::vector<Strut> struts;
  Posts posts;
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
  CutList cutList;
  HotWire wire;
  Balance balance;
  BenchPlan bench;
  Records records; ///< beside the decisions: no edit and no undo touches them

  Design();
  Design(const Design&);
  Design(Design&&) noexcept;
  Design& operator=(const Design&);
  Design& operator=(Design&&) noexcept;
  ~Design();
  bool operator==(const Design&) const;

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
