#include "core/files/bytes.h"
#include <array>
#include <cstdint>
#include <fstream>
#include <sha2.h> // libmd

namespace eup {
namespace {

constexpr std::string_view letters = "ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789+/";

std::string finished(SHA2_CTX& context) {
  std::array<std::uint8_t, SHA256_DIGEST_LENGTH> digest{};
  SHA256Final(digest.data(), &context);
  std::string out;
  for (const std::uint8_t byte : digest) {
    out += "0123456789abcdef"[byte >> 4];
    out += "0123456789abcdef"[byte & 15];
  }
  return out;
}

void update(SHA2_CTX& context, std::string_view bytes) {
  SHA256Update(&context, reinterpret_cast<const std::uint8_t*>(bytes.data()), bytes.size());
}

} // namespace

std::string toBase64(std::string_view bytes) {
  std::string out;
  out.reserve((bytes.size() + 2) / 3 * 4);
  for (std::size_t i = 0; i < bytes.size(); i += 3) {
    std::uint32_t group = 0;
    const std::size_t have = std::min<std::size_t>(3, bytes.size() - i);
    for (std::size_t k = 0; k < 3; ++k) group = group << 8 | (k < have ? static_cast<std::uint8_t>(bytes[i + k]) : 0U);
    for (std::size_t k = 0; k < 4; ++k) out += k <= have ? letters[group >> (18 - 6 * k) & 63] : '=';
  }
  return out;
}

std::optional<std::string> fromBase64(std::string_view text) {
  if (text.size() % 4 != 0) return std::nullopt;
  std::string out;
  out.reserve(text.size() / 4 * 3);
  for (std::size_t i = 0; i < text.size(); i += 4) {
    std::uint32_t group = 0;
    std::size_t have = 3;
    for (std::size_t k = 0; k < 4; ++k) {
      const char c = text[i + k];
      const bool padding = c == '=' && k >= 2 && i + 4 == text.size();
      const std::size_t value = padding ? 0 : letters.find(c);
      if (value == std::string_view::npos || (have < 3 && !padding)) return std::nullopt;
      if (padding) --have;
      group = group << 6 | static_cast<std::uint32_t>(value);
    }
    for (std::size_t k = 0; k < have; ++k) out += static_cast<char>(group >> (16 - 8 * k) & 255);
  }
  return out;
}

std::string sha256(std::string_view bytes) {
  SHA2_CTX context;
  SHA256Init(&context);
  update(context, bytes);
  return finished(context);
}

Result<std::string> sha256OfFile(const std::filesystem::path& path) {
  std::error_code error;
  if (std::filesystem::is_directory(path, error)) return Problem{path.string(), "this is a folder, not a file"};
  std::ifstream in(path, std::ios::binary);
  if (!in) return Problem{path.string(), "the file is not there or cannot be read"};
  SHA2_CTX context;
  SHA256Init(&context);
  std::string piece(1 << 20, '\0');
  while (in.read(piece.data(), static_cast<std::streamsize>(piece.size())) || in.gcount() > 0)
    update(context, std::string_view(piece).substr(0, static_cast<std::size_t>(in.gcount())));
  return finished(context);
}

} // namespace eup
