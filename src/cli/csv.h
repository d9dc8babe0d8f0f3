// Texts in comma-separated values.
#pragma once
#include "core/files/bytes.h"
#include <string>

namespace eup::cli {

/// As one value, whatever is in it: in quotes, those of its own doubled (RFC 4180).
inline std::string inQuotes(const std::string& text) {
  std::string out = "\"";
  for (const char c : harmlessCell(text)) out += c == '"' ? std::string("\"\"") : std::string(1, c);
  return out + "\"";
}

} // namespace eup::cli
