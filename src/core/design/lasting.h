// The numbers that wings, panels and all that a wing carries keep for good. Records hang on them, never on a place in a
// list, which is another one's when something is taken out.
#pragma once
#include "core/design/design.h"

namespace eup {

/// No other has it, or had it before something was undone or taken out: 0 to `mostNumber`.
int freshNumber(const Design& design);

/// Every number that was given, lists in the order of the design.
std::vector<int> numbersIn(const Design& design);

/// What has no number yet is given one: its place in its list where nothing ever had that, else a fresh one. So is what
/// has the number of another in its list, of wings, or of panels of its wing; of those it gives back where they stand:
/// "/wings/1".
std::vector<std::string> makeNumbersOwn(Design& design);

/// What one of a list is known by in keys, from 1: its own number, or while it has none its place.
template <class List> int numberIn(const List& list, std::size_t place) {
  return list[place].number > 0 ? list[place].number : static_cast<int>(place) + 1;
}
template <class List> int numberIn(const List& list, int place) {
  return numberIn(list, static_cast<std::size_t>(place));
}

} // namespace eup
