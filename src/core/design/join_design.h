// What is decided of a panel's inner end: dihedral, brace, joiner, how it is set up.
#pragma once
#include "core/measure/choice.h"
#include <string>
#include <vector>

namespace eup {

enum class DihedralBy { rise, angle, projected };
enum class Propping { bothPropped, oneFlat };
inline constexpr std::array proppingChoices{Choice{"bothPropped", "both halves propped"},
                                            Choice{"oneFlat", "one flat, one propped"}};
static_assert(proppingChoices.size() == wordsFor(Propping::oneFlat));

enum class BlockAt { leadingEdge, spar, trailingEdge };
inline constexpr std::array blockChoices{Choice{"leadingEdge", "leading edge"}, Choice{"spar", "main spar"},
                                         Choice{"trailingEdge", "trailing edge"}};
static_assert(blockChoices.size() == wordsFor(BlockAt::trailingEdge));

/// Which of the two ends that meet at a join is cut to its angle: each to half of it, or the outer panel's to the whole
/// while the panel inside ends square.
enum class AngleTaken { halves, outer };
inline constexpr std::array angleTakenChoices{Choice{"halves", "half by each end"},
                                              Choice{"outer", "all by this panel's end"}};
static_assert(angleTakenChoices.size() == wordsFor(AngleTaken::outer));

enum class Datum { chordLevel, undersideFlat };
inline constexpr std::array datumChoices{Choice{"chordLevel", "root chord level"},
                                         Choice{"undersideFlat", "root underside flat"}};
static_assert(datumChoices.size() == wordsFor(Datum::undersideFlat));

/// Under which place of its stock the leading edge is packed while the panel is built.
enum class NoseOn { middle, rear };
inline constexpr std::array noseOnChoices{Choice{"middle", "the middle of its stock"},
                                          Choice{"rear", "the rear edge of its stock"}};
static_assert(noseOnChoices.size() == wordsFor(NoseOn::rear));

enum class BraceSide { front, behind, both };
inline constexpr std::array braceSideChoices{Choice{"front", "before the spar"}, Choice{"behind", "behind the spar"},
                                             Choice{"both", "one on either side"}};
static_assert(braceSideChoices.size() == wordsFor(BraceSide::both));

/// The panel's angle to the horizontal, by whichever the plan gives; the others follow.
struct Dihedral {
  DihedralBy by = DihedralBy::rise;
  double value = 35; ///< mm of rise at the panel's tip over its root, degrees, or mm of span as seen from above
  bool operator==(const Dihedral&) const = default;
};

/// Between the caps, or over the whole depth of the spar's faces.
enum class BraceOver { between, faces };
inline constexpr std::array braceOverChoices{Choice{"between", "between the caps"},
                                             Choice{"faces", "over the spar's faces"}};
static_assert(braceOverChoices.size() == wordsFor(BraceOver::faces));

enum class JoinerLine { across, top, middle, underside };
inline constexpr std::array joinerLineChoices{Choice{"across", "straight across"}, Choice{"top", "along the top"},
                                              Choice{"middle", "along the middle"},
                                              Choice{"underside", "along the underside"}};
static_assert(joinerLineChoices.size() == wordsFor(JoinerLine::underside));

/// One plane, or folded along an upright line at the join so that each leg lies on its own spar's face.
enum class BraceForm { flat, folded };
inline constexpr std::array braceFormChoices{Choice{"flat", "flat"}, Choice{"folded", "folded at the join"}};
static_assert(braceFormChoices.size() == wordsFor(BraceForm::folded));

/// What spars and edges do at a join: end there, or pass it in one piece, bent or straight.
enum class SparsThere { end, cracked, through };
inline constexpr std::array sparsThereChoices{Choice{"end", "sawn off there"}, Choice{"cracked", "cracked and set"},
                                              Choice{"through", "continuous"}};
static_assert(sparsThereChoices.size() == wordsFor(SparsThere::through));

inline constexpr int mostBraces = 4; ///< a join

/// A plate, or two, beside a spar that holds the join.
struct Bracing {
  int spar = 1; ///< number of the spar that it lies on
  BraceOver over = BraceOver::between;
  bool slots = false; ///< the ribs that it passes are slotted for it
  double thickness = 1.5;
  BraceSide side = BraceSide::behind;
  BraceForm form = BraceForm::flat;
  int toRib = 3; ///< where each leg ends, counted from the join: the rib at the join is 1
  std::string material = "birch-ply";
  int plates() const { return side == BraceSide::both ? 2 : 1; }
  int number = 0; ///< its own for good, from 1; 0 while it has none (see lasting.h)
  bool operator==(const Bracing&) const = default;
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
  double blockHeight = 0; ///< mm of a block that is at hand: the dihedral follows from it; 0: as `dihedral` says
  AngleTaken angleTaken = AngleTaken::halves; ///< of a join further out; at the centre both hands are alike
  Datum datum = Datum::chordLevel;
  NoseOn noseOn = NoseOn::rear;
  bool rootLeans = false; ///< the ribs that meet there lean into its plane; else they stand square and are bevelled
  SparsThere sparsThere = SparsThere::end;
  double crackLeaves = 0.5; ///< mm of a cracked spar that is not cut through
  std::vector<Bracing> braces{Bracing{}};
  Joiner joiner;
  std::vector<double> packing{0.8, 1, 1.5, 2, 3, 5, 10}; ///< thicknesses that are at hand to pack with
  bool feet = false;                                     ///< ribs stand on feet that are broken off later
  double footWidth = 8;
  double footClearance = 3; ///< between the board and the lowest place of the panel
  bool rods = false;        ///< the ribs are threaded on two straight rods while the panel is built
  double rodDiameter = 6;
  double rodFront = 0.25, rodRear = 0.6; ///< of the chord at either end
  std::vector<int> templates; ///< ribs that get incidence templates, from the join, 1 the one at it; none: three
  bool operator==(const Join&) const = default;
};

} // namespace eup
