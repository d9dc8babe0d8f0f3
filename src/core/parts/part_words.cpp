#include "core/parts/part_words.h"

namespace eup {

const char* nameOf(Stock::Form form) {
  constexpr const char* names[] = {"sheet", "strip", "rod", "block", "covering"};
  return names[static_cast<std::size_t>(form)];
}

const char* nameOf(DrawnOn print) {
  constexpr const char* names[] = {"cut list", "ribs", "braces", "skins", "foam", "surfaces"};
  return names[static_cast<std::size_t>(print)];
}

const std::string& materialOf(const Part& part, const Tables& tables) {
  return part.what == Part::What::covering ? tables.covering(part.material).label : tables.named(part.material).label;
}

} // namespace eup
