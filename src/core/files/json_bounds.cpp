#include "core/files/json_bounds.h"
#include <algorithm>
#include <fmt/format.h>
#include <vector>

namespace eup {

Result<Done> withinJsonBounds(std::string_view text) {
  std::vector<int> names; // of every open object or list, the names that it has so far
  std::size_t values = 0;
  const auto refuse = [&](std::size_t at, std::string cause) -> Problem {
    return {fmt::format("line {}", 1 + std::count(text.begin(), text.begin() + static_cast<std::ptrdiff_t>(at), '\n')),
            std::move(cause)};
  };
  for (std::size_t i = 0; i < text.size(); ++i) {
    switch (text[i]) {
    case '"':
      for (++i; i < text.size() && text[i] != '"'; ++i)
        if (text[i] == '\\') ++i;
      break;
    case '{':
    case '[':
      names.push_back(0);
      if (static_cast<int>(names.size()) > deepestJson)
        return refuse(i, fmt::format("lists and groups are nested more than {} deep", deepestJson));
      if (++values > mostJsonValues) return refuse(i, "there are more values in it than any wing has");
      break;
    case '}':
    case ']':
      if (!names.empty()) names.pop_back();
      break;
    case ':':
      if (!names.empty() && ++names.back() > mostJsonNames)
        return refuse(i, fmt::format("a group holds more than {} names", mostJsonNames));
      break;
    case ',':
      if (++values > mostJsonValues) return refuse(i, "there are more values in it than any wing has");
      break;
    default:
      break;
    }
  }
  return Done{};
}

} // namespace eup
