// Strips that run over a join in one piece, where the spars run through it or are cracked there.
#pragma once
#include "core/joins/sawn_ends.h"
#include "core/wing/true_wing.h"

namespace eup {

/// What a strip springs to at a join that it runs through, mm being no measure for it: rad, from middle line to middle
/// line, common practice. A strip that bends more there ends at the join and is sawn to it.
inline constexpr double springs = 0.035; // 2°
/// One that is cracked takes any angle upwards, and so much aft with what is left of it.
inline constexpr double cracksAft = 0.175; // 10°

/// Finds the strips (caps and their doublers, leading and trailing edges) that go on beyond a join of that kind: with
/// the same strip of the same stock in the panel inside it, or with their own mirror image at the centre. The innermost
/// length comes to be told whole, as one for both hands where it runs over the centre; the others are told as it.
void runOver(WholeWing& wing);

/// Where the left hand is of its own: what runs over the centre is as long as both.
void runOverBoth(WholeWing& right, WholeWing& left);

/// Whether it goes on beyond its panel's inner end, in one piece.
bool runsOverRoot(const Part& part);

/// How deep a strip of that depth is nicked where it is cracked, mm: all but what is left to bend.
double nickDepth(double deep, const Join& join);

/// Which piece of which panel is told whole, cut and put in for a part of that panel: mostly itself.
Part::Told toldFor(const TruePanel& panel, const Part& part);

/// A piece's lengths, with the panels that they are in, from the one that tells it outwards.
std::vector<std::pair<const TruePanel*, const Part*>> lengthsOf(const WholeWing& wing, const Part::Told& piece);

/// g of a piece in one hand, with its lengths in the panels further out; of one that is told with the panel inside: 0.
double gramsWhole(const WholeWing& wing, int panel, const Part& part);

/// What is sawn at a panel's root, or at its tip, to meet the join there: not what passes it.
std::vector<SawnStrip> sawnAt(const TruePanel& panel, bool root);

/// Whether some strip of a panel passes the join at its inner end: it is built as one with the panel inside it, at the
/// centre with the other hand.
bool passesRoot(const TruePanel& panel);
/// Likewise at its outer end.
bool passesTip(const TruePanel& panel);

/// Whether it passes that join without a bend: nothing is propped there, nothing trimmed.
bool straightOverRoot(const TruePanel& panel);

/// What is built on the board as one.
struct BuiltAsOne {
  int inner = 0, outer = 0; ///< the panels, counted from 0
  bool bothHands = false;
};
/// The panels that are built with that one: itself alone where no strip passes its joins.
BuiltAsOne builtWith(const WholeWing& wing, int panel);
/// What the keys of the steps begin with by which it is built on the board, for that hand.
std::string boardPrefix(const TrueWing& aircraft, int wing, const BuiltAsOne& built, Hand hand);

} // namespace eup
