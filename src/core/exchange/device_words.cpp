#include "core/exchange/device_words.h"
#include <boost/crc.hpp>
#include <fmt/format.h>

namespace eup {

std::string summed(const std::string& words) {
  boost::crc_ccitt_type sum;
  sum.process_bytes(words.data(), words.size());
  return fmt::format("{} ^{:04x}\n", words, sum.checksum());
}

std::optional<std::string_view> unsummed(std::string_view line) {
  const auto cut = line.rfind(" ^");
  if (cut == std::string_view::npos || summed(std::string(line.substr(0, cut))) != std::string(line) + "\n")
    return std::nullopt;
  return line.substr(0, cut);
}

std::vector<std::string_view> spaced(std::string_view line) {
  std::vector<std::string_view> out;
  while (!line.empty()) {
    const std::size_t cut = line.find(' ');
    if (cut != 0) out.push_back(line.substr(0, cut));
    line = cut == std::string_view::npos ? std::string_view() : line.substr(cut + 1);
  }
  return out;
}

} // namespace eup
