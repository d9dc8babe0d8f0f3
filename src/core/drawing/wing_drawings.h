// The drawings that go to the bench: ribs, plan, bench card. Full size, in one hand each.
#pragma once
#include "core/drawing/drawing.h"
#include "core/wing/true_wing.h"
#include <functional>

namespace eup {

/// Those panels of a wing that are drawn, from the middle outwards. It borrows them.
using DrawnWing = std::vector<std::reference_wrapper<const TruePanel>>;
/// All of them.
inline DrawnWing drawn(const WholeWing& wing) {
  return {wing.panels.begin(), wing.panels.end()};
}

/// The two templates of a stack of ribs, with its bolts; none for ribs that are not stacked.
std::vector<Drawing> stackTemplates(const TruePanel& panel, Hand hand);

/// What stick ribs are glued up in, one for every shape of them; none for others.
std::vector<Drawing> ribFixtures(const TruePanel& panel, Hand hand);
/// The blocks at a stick rib's ends, each by itself.
std::vector<Drawing> stickBlocks(const TruePanel& panel, const Rib& rib, Hand hand);

/// One rib in chord axes with its lettering. A right-hand rib has its nose on the left, a left-hand one on the right:
/// either way the printed face is the one that looks to the tip.
Drawing ribDrawing(const TruePanel& panel, const Rib& rib, Hand hand);

/// What the wire rides on at each end of each core; none of a panel that is not of foam.
std::vector<Drawing> foamTemplates(const TruePanel& panel, Hand hand);

/// The parts of the panel's tip, flat; none for a square one.
std::vector<Drawing> tipParts(const TruePanel& panel, Hand hand);

/// All ribs (and riblets, full-depth spars, tip parts) in rows no wider than `width` where they fit, on as many sheets
/// of `height` as it takes; `height` 0 is one endless sheet. Drawings start at (0,0).
std::vector<Drawing> ribSheets(const DrawnWing& wing, Hand hand, double width, double height, double kerf = 0);

/// The half wing flat on the board, panel beside panel, seen from above: x to the tip (to the left for a left hand),
/// leading edge up.
Drawing planDrawing(const DrawnWing& wing, Hand hand);

/// Both halves of a wing that is built as one, root to root: its middle rib once.
Drawing planOfBoth(const DrawnWing& right, const DrawnWing& left);

/// The same parts one by one, not yet laid on sheets.
std::vector<Drawing> ribParts(const DrawnWing& wing, Hand hand);

/// Every brace of the wing, nested on one sheet; those at the centre belong to both hands and are on the right's. Empty
/// without any.
std::vector<Drawing> bracePlates(const DrawnWing& wing, Hand hand, double kerf = 0);
/// The same plates each by itself.
std::vector<Drawing> bracesOneByOne(const DrawnWing& wing, Hand hand);

/// A panel flat on the board, full size, with the height over the board, the slope and the packing at every support.
Drawing settingUpDrawing(const TruePanel& panel, Hand hand);
/// Both hands' innermost panels of a wing that is built as one, root to root.
Drawing settingUpOfBoth(const TruePanel& right, const TruePanel& left);

/// Gauges for setting a panel up, full size: what stands under the ribs that were asked for (its root, middle and tip
/// rib where none were), stairs of packing heights
/// under LE and TE, the cradle for its join. Each by itself.
std::vector<Drawing> gauges(const TruePanel& panel, Hand hand);

/// Each skin laid flat at full size, its inner face up, with the ribs and spars that it is laid by and the joints
/// between its sheets. Each by itself.
std::vector<Drawing> skinPatterns(const TruePanel& panel, Hand hand);

/// The blank of a panel of sheet, its upper side up; empty for one of ribs.
std::vector<Drawing> sheetBlanks(const TruePanel& panel, Hand hand);
/// What a sheet that is not flat is tried with at its root, middle and tip, from above and, where it is not flat below,
/// from below.
std::vector<Drawing> sheetGauges(const TruePanel& panel, Hand hand);

/// Cap strips, webs and formers at full size, each by itself: ganged on a page they are cut from one strip.
std::vector<Drawing> smallPieces(const TruePanel& panel, Hand hand);

/// Surfaces on hinges: facings as they are sawn, with the places of ribs, hinges and horn; their ends; gauges of their
/// bevels; tails of ribs that are cut apart; the linkage at rest; the servo's plate. Each by itself.
std::vector<Drawing> surfacePrints(const TruePanel& panel, Hand hand);

/// The skins piece by piece, as they are cut and laid, and what is looked at before they close the panel in, with boxes
/// to tick; empty without either. In blocks that are printed under each other.
std::vector<Drawing> skinPlan(const TruePanel& panel, Hand hand);

/// What has to be bought and cut for one hand: by stock, and piece by piece, with what both hands share on the right's.
/// In blocks that are printed under each other, a table in pieces that fit a page of that height.
std::vector<Drawing> cutList(const DrawnWing& wing, Hand hand, double pageHeight = 260);

/// What the strength card says before any number; screens and reports say it short.
inline constexpr std::string_view strengthCaution =
    "For model aircraft only, never for what carries a person. These are estimates from tables of clear wood and from "
    "bending theory, no approval of anything: wood, glue and building differ. Load the finished wing on the bench "
    "before it flies; keep to the rules of your field and country, and where they ask for a licensed person, ask one.";

/// What a panel's spars have in reserve, bay by bay, under which loads and of what; the same for either hand.
/// In blocks that are printed under each other.
std::vector<Drawing> strengthCard(const WholeWing& wing, const TruePanel& panel, Hand hand);

/// A panel's block gauge, bevel gauge and brace at full size, and the table of packing heights.
/// In blocks that are printed under each other, a table in pieces that fit a page of that height.
std::vector<Drawing> benchCard(const WholeWing& wing, const TruePanel& panel, Hand hand, double pageHeight = 260);

} // namespace eup
