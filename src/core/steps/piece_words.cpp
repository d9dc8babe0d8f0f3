#include "core/steps/piece_words.h"
#include "core/assembly/piece_finder.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr const char* digits = "0123456789";

/// A name about a number: of a rib's its own, "R", "12", ".1, cap strip below"; else its last one, "main spar, web of
/// bay ", "12", "".
struct Numbered {
  std::string before, number, after;
};
Numbered numberedName(const std::string& name) {
  std::size_t last = name.find_last_of(digits);
  if (last == std::string::npos) return {name, {}, {}};
  if ((name[0] == 'R' || name[0] == 'S') && name.find_first_of(digits) == 1)
    last = std::min(name.find_first_not_of(digits, 1), name.size()) - 1;
  std::size_t first = last;
  while (first > 0 && std::string_view(digits).find(name[first - 1]) != std::string_view::npos) --first;
  return {name.substr(0, first), name.substr(first, last + 1 - first), name.substr(last + 1)};
}

/// Names that are alike but for that number, next to each other in the list.
struct Row {
  Numbered first;
  std::string last;
  std::vector<std::string> names;
};

std::string told(const Row& row) {
  constexpr std::size_t worth = 3;
  if (row.names.size() < worth) return fmt::format("{}", fmt::join(row.names, "; "));
  const std::string& after = row.first.after;
  const std::string tail = after.substr(0, std::min(after.find_first_of(", "), after.size())); // "x" of "R4x"
  const std::string head = row.first.before == "R" || row.first.before == "S" ? row.first.before : "";
  return fmt::format("{}{}{} to {}{}{} ({})", row.first.before, row.first.number, tail, head, row.last, after,
                     row.names.size());
}

} // namespace

std::string wordsOf(const TrueWing& w, const std::vector<PlacedPiece>& pieces) {
  std::vector<Row> rows;
  for (const PlacedPiece& at : pieces) {
    const Part* part = PieceFinder(w.of(at.hand).at({at.wing, at.panel}).parts).find(at.id);
    if (!part) continue;
    const Numbered name = numberedName(part->name);
    const auto alike = std::ranges::find_if(rows, [&](const Row& row) {
      return !name.number.empty() && !row.first.number.empty() && row.first.before == name.before &&
             row.first.after == name.after;
    });
    if (alike == rows.end())
      rows.push_back({name, name.number, {part->name}});
    else if (alike->names.back() != part->name) // the other hand's is of the same name
      alike->last = name.number, alike->names.push_back(part->name);
  }
  std::string out;
  for (const Row& row : rows) out += (out.empty() ? "" : "; ") + told(row);
  return out;
}

} // namespace eup
