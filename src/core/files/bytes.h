// Bytes as text (UTF-8, RFC 3629; base64, RFC 4648) and their checksum (SHA-256, FIPS 180-4).
#pragma once
#include "core/measure/progress.h"
#include "core/measure/result.h"
#include <filesystem>
#include <optional>
#include <string>
#include <string_view>

namespace eup {

/// As it is when it is UTF-8; else every byte is taken as a letter of ISO 8859-1, which any text can be read as.
std::string asUtf8(std::string_view text);

/// The first so many letters of UTF-8; a letter is never cut.
std::string firstLetters(std::string_view text, std::size_t most);

/// What can be shown anywhere: control letters, with which a text could steer a terminal, become question marks.
std::string withoutControls(std::string_view text);
/// A cell of a table that a spreadsheet shows instead of working it out: a text that begins with =, +, − or @ (and is
/// no number) gets an apostrophe before it.
std::string harmlessCell(const std::string& text);

std::string toBase64(std::string_view bytes);
/// Nothing when the text is no base64.
std::optional<std::string> fromBase64(std::string_view text);

/// In lower-case hex.
std::string sha256(std::string_view bytes);
/// Of a file of any size, read in pieces. Refuses what cannot be read; "stopped" when `progress` says so.
Result<std::string> sha256OfFile(const std::filesystem::path& path, const Progress& progress = {});

} // namespace eup
