// Lines of words with a sum at their end: how devices on a serial port and this program talk (docs/machine-dialect.md,
// docs/instruments.md).
#pragma once
#include <charconv>
#include <cmath>
#include <cstddef>
#include <optional>
#include <string>
#include <string_view>
#include <type_traits>
#include <vector>

namespace eup {

inline constexpr std::size_t longestDeviceLine = 400; ///< bytes; what comes without an end is cut there

/// " ^" and the sum of ITU-T V.41 over the words, four hexadecimal digits, and the line's end.
std::string summed(const std::string& words);
/// The words of a line (without its end) whose sum is right; else nothing.
std::optional<std::string_view> unsummed(std::string_view line);
/// By spaces; several count as one.
std::vector<std::string_view> spaced(std::string_view line);

/// The whole word as a finite number; else nothing.
template <class Number> std::optional<Number> numberIn(std::string_view word) {
  Number value{};
  const auto [end, error] = std::from_chars(word.data(), word.data() + word.size(), value);
  if (error != std::errc() || end != word.data() + word.size()) return std::nullopt;
  if constexpr (std::is_floating_point_v<Number>)
    if (!std::isfinite(value)) return std::nullopt;
  return value;
}

} // namespace eup
