// The words of an enumeration's members, which stand beside it.
#pragma once
#include <array>
#include <cstddef>
#include <span>
#include <string_view>

namespace eup {

/// A member of an enumeration: its name in the file and its words on screen. Arrays of them are in the members' order.
struct Choice {
  std::string_view key, label;
};

/// How many words an enumeration needs whose last member that is: for a check that none is missing.
template <class E> constexpr std::size_t wordsFor(E last) {
  return static_cast<std::size_t>(last) + 1;
}

} // namespace eup
