#include "core/assembly/part_words.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {

const char* nameOf(Stock::Form form) {
  constexpr const char* names[] = {"sheet", "strip", "rod", "block", "covering"};
  return names[static_cast<std::size_t>(form)];
}

const char* nameOf(DrawnOn print) {
  constexpr const char* names[] = {"cut list", "ribs", "braces", "skins", "foam", "surfaces"};
  return names[static_cast<std::size_t>(print)];
}

std::string filedWords(double bevel, LengthUnit unit, bool inSheet) {
  constexpr double seen = 0.002; // rad
  if (std::abs(bevel) < seen) return {};
  const char* face = inSheet ? (bevel > 0 ? "rear face outwards" : "rear face inwards")
                             : (bevel > 0 ? "outer face aft" : "outer face forward");
  return fmt::format("filed {}, {}", told(std::abs(bevel), Quantity::angle, unit), face);
}

const std::string& materialOf(const Part& part, const Tables& tables) {
  return part.what() == Part::What::covering ? tables.covering(part.material).label : tables.named(part.material).label;
}

} // namespace eup
