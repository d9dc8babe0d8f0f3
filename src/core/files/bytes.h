// Bytes as text (base64, RFC 4648) and their checksum (SHA-256, FIPS 180-4).
#pragma once
#include "core/measure/progress.h"
#include "core/measure/result.h"
#include <filesystem>
#include <optional>
#include <string>
#include <string_view>

namespace eup {

std::string toBase64(std::string_view bytes);
/// Nothing when the text is no base64.
std::optional<std::string> fromBase64(std::string_view text);

/// In lower-case hex.
std::string sha256(std::string_view bytes);
/// Of a file of any size, read in pieces. Refuses what cannot be read.
Result<std::string> sha256OfFile(const std::filesystem::path& path);

} // namespace eup
