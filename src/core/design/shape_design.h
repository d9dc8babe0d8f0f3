// What is decided of a panel's shape: its sections, its outline, its turn, its tip.
#pragma once
#include "core/measure/choice.h"
#include "core/section/section_choice.h"

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

enum class TipKind { square, plate, outline, block, bow, rounded, own };
inline constexpr std::array tipChoices{Choice{"square", "square, at the rib"}, Choice{"plate", "sheet plate"},
                                       Choice{"outline", "outline of sheet"},  Choice{"block", "carved block"},
                                       Choice{"bow", "strips round a form"},   Choice{"rounded", "corners rounded"},
                                       Choice{"own", "outline of its own"}};
static_assert(tipChoices.size() == wordsFor(TipKind::own));

inline constexpr int mostTipPoints = 40, mostTipPieces = 8;
inline constexpr double farthestTip = 1000; ///< mm of a place of a tip's outline, beyond its rib and along it

/// How the pieces of a tip's outline meet.
enum class TipJoint { butt, scarf };
inline constexpr std::array tipJointChoices{Choice{"butt", "butted"}, Choice{"scarf", "scarfed"}};
static_assert(tipJointChoices.size() == wordsFor(TipJoint::scarf));

/// What stands beyond the outermost panel's tip rib.
/// Tips that the blank of a panel of sheet can run out to: their outline, of one piece with it.
inline bool tipOfSheet(TipKind kind) {
  return kind == TipKind::rounded || kind == TipKind::block || kind == TipKind::own;
}

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
  bool runsOn = false;   ///< a bow's strips are those of a laminated trailing edge, in one run from the panel's root
  double springBack = 0; ///< of its bend that a bow loses when it is taken off the form
  double radius = 25;    ///< of a rounded tip's two corners
  /// An outline of its own: places (aft of the tip rib's nose, beyond the rib) between its two ends, from LE to TE.
  Polyline outline{{30, 35}, {90, 40}, {140, 25}};
  bool rounding = true; ///< a curve through them; else straight from one to the next
  int pieces = 1;       ///< of sheet that an outline is made of, each with its grain along it
  TipJoint joint = TipJoint::butt;
  bool operator==(const Tip&) const = default;
};

/// By how much the left hand differs from the right; all else of it is the mirror image.
struct LeftHand {
  bool differs = false;
  double span = 0;       ///< mm longer
  double rootChord = 0;  ///< mm longer, where the root is decided
  double tipChord = 0;   ///< mm longer, forwards and aft as the setback leaves it
  double washoutDeg = 0; ///< more washout at the tip; less is wash-in
  bool operator==(const LeftHand&) const = default;
};

} // namespace eup
