// The glue joints of a panel's frame.
#pragma once
#include "core/assembly/bond.h"
#include "core/assembly/part.h"
#include "core/parts/frame.h"

namespace eup {

/// The pieces of one panel, to be found by what they are.
class PieceFinder {
public:
  explicit PieceFinder(const std::vector<Part>& of) : parts(of) {}
  const Part* find(const PieceId& id) const;
  /// All of that kind, as they stand in the list; of that number, where one is given.
  std::vector<const Part*> all(PieceKind kind, std::optional<int> number = std::nullopt) const;

private:
  const std::vector<Part>& parts;
};

/// Puts a joint in; without area, or between pieces that are not there, it is none.
void bond(std::vector<Bond>& out, const Part* one, const Part* other, GlueUse use, double length, double area,
          const Point3& at);

/// What of a rib another piece is glued to: itself, or of a stick rib the strip or block on that side.
enum class RibSide { upper, lower, nose, tail };
const Part* pieceOfRib(const PieceFinder& pieces, const Rib& rib, RibSide side);

/// Every joint of ribs, spars, webs, edges, diagonals, cap strips, tip and foam between ribs, of one hand. Areas are
/// those of the faces that touch: of a notch its bottom and both sides, of a slot both sides.
std::vector<Bond> bondsOfFrame(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                               const std::vector<Part>& parts);

} // namespace eup
