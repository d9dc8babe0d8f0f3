// Pieces found by what they are, and joints told between them.
#pragma once
#include "core/assembly/bond.h"
#include "core/assembly/part.h"
#include <optional>

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

} // namespace eup
