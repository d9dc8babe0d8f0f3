// The parts list: every piece of every wing once, with how many of it each hand takes.
#pragma once
#include "core/exchange/report.h"
#include "core/wing/piece_plan.h"
#include "core/wing/true_wing.h"

namespace eup {

/// A piece of one panel. It borrows the wing that it is of.
struct PieceLine {
  const TruePanel* panel = nullptr;
  const Part* part = nullptr;
  int right = 0, left = 0;    ///< to be cut for either hand, with spares and for all wings of a batch
  std::optional<Hand> only{}; ///< of that hand alone, where the other's is another
  double gramsEach = 0;       ///< one piece as it is built in
  double grams = 0;           ///< all of one model's, both hands
  Point3 centre{0, 0, 0};     ///< of the right hand's, else of the only one's, in its wing's axes (aft, right, up)
};

/// By panel, from the main wing's middle outwards, in the order in which the trades tell them.
std::vector<PieceLine> pieceList(const TrueWing& aircraft);

/// "Sitka spruce".
std::string materialOf(const PieceLine& line);
/// "right and left", "one for both", "right", "left".
const char* handsOf(const PieceLine& line);
/// The piece's name; with its hand where the other hand's is another.
std::string nameOf(const PieceLine& line);

/// One row a piece. Columns are documented in docs/figures.md.
Table pieceTable(const TrueWing& aircraft);

} // namespace eup
