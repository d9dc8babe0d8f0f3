#include "core/assembly/piece_finder.h"
#include <algorithm>

namespace eup {

const Part* PieceFinder::find(const PieceId& id) const {
  const auto found = std::ranges::find_if(parts, [&](const Part& p) { return p.id == id; });
  return found == parts.end() ? nullptr : &*found;
}

std::vector<const Part*> PieceFinder::all(PieceKind kind, std::optional<int> number) const {
  std::vector<const Part*> out;
  for (const Part& p : parts)
    if (p.id.kind == kind && (!number || p.id.number == *number)) out.push_back(&p);
  return out;
}

void bond(std::vector<Bond>& out, const Part* one, const Part* other, GlueUse use, double length, double area,
          const Point3& at) {
  if (!one || !other || area <= 0) return;
  out.push_back({one->id, other->id, use, length, area, at, BondTo::own});
}

} // namespace eup
