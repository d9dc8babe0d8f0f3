// Covering of a panel: what is cut off the roll for each face, and how far it pulls in between the ribs.
#pragma once
#include "core/parts/frame.h"
#include "core/skins/flat_pattern.h"
#include <vector>

namespace eup {

/// The piece for one face, mm, as it is cut: a rectangle that overlaps all round.
struct CoverPiece {
  Face face = Face::upper;
  double length = 0, width = 0; ///< along the span and across it
  int strips = 1;               ///< side by side, where the roll is too narrow
};

/// Pieces for the faces that are covered, top before bottom.
std::vector<CoverPiece> coverPieces(const PanelBrief& design, const PanelLoft& loft);

/// How much of the roll `hands` such panels take, mm: pieces lie along it, beside each other as far as it is wide.
double rollFor(const std::vector<CoverPiece>& pieces, const CutList& order, int hands);

/// Covering that is tight both ways and held along the four sides of a field: on two ribs whose curve stands out of the
/// straight line between its ends by `rises`, at even steps from end to end (0 at both), and on two straight lines at
/// the ribs' ends. How much lower it lies than the ribs, half way between them, where that is most. A soap film of
/// small slope: ∇²w = 0, summed as a series. `length` along the ribs, `width` from rib to rib, > 0; three rises or
/// more.
struct PulledIn {
  double depth = 0;
  double at = 0; ///< share of the length
};
PulledIn pullsIn(const std::vector<double>& rises, double length, double width);

/// The deepest hollow of a face.
struct Hollow {
  double depth = 0;        ///< mm in from the ribs' curve; 0 where it lies on them all over
  double at = 0;           ///< chord fraction
  int rib = 0;             ///< the inner of the two ribs that it is between
  double from = 0, to = 0; ///< chord fractions that hold it: sheet, stock, or a spar that it lies on
  double proud = 0;        ///< mm that it bridges a hollow of the ribs, unless it is stuck to them there
  int proudRib = 0;
};
Hollow deepestHollow(const PanelBrief& design, const PanelLoft& loft, const Frame& frame, Face face);

} // namespace eup
