#include "core/files/bytes.h"
#include <algorithm>
#include <array>
#include <cstdint>
#include <cstdio>
#include <cstdlib>
#include <fcntl.h>
#include <memory>
#include <sha2.h> // libmd
#include <sys/stat.h>

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

std::string harmlessCell(const std::string& text) {
  if (text.empty() || std::string_view("=+-@\t\r").find(text[0]) == std::string_view::npos) return text;
  char* end = nullptr;
  std::strtod(text.c_str(), &end);
  return end == text.c_str() + text.size() ? text : "'" + text;
}

std::string withoutControls(std::string_view text) {
  std::string out(text);
  for (char& c : out)
    if ((static_cast<unsigned char>(c) < ' ' && c != '\n' && c != '\t') || c == 0x7F) c = '?';
  return out;
}

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

Result<std::string> sha256OfFile(const std::filesystem::path& path, const Progress& progress) {
  // Neither a pipe nor a device must hang whoever asks: what is opened is looked at, not what has the name.
  const int fd = ::open(path.c_str(), O_RDONLY | O_CLOEXEC | O_NONBLOCK);
  if (fd < 0) return Problem{path.string(), "the file is not there or cannot be read"};
  const std::unique_ptr<std::FILE, int (*)(std::FILE*)> in(::fdopen(fd, "rb"), &std::fclose);
  if (!in) return Problem{path.string(), "the file cannot be read"};
  struct stat info {};
  if (::fstat(fd, &info) != 0 || !S_ISREG(info.st_mode))
    return Problem{path.string(),
                   S_ISDIR(info.st_mode) ? "this is a folder, not a file" : "this is a device or a pipe, not a file"};
  SHA2_CTX context;
  SHA256Init(&context);
  std::string piece(1 << 20, '\0');
  while (const std::size_t came = std::fread(piece.data(), 1, piece.size(), in.get())) {
    if (progress && !progress(0)) return Problem{path.string(), "stopped before all was read"};
    update(context, std::string_view(piece).substr(0, came));
  }
  if (std::ferror(in.get())) return Problem{path.string(), "the file cannot be read to its end"};
  return finished(context);
}

/// How long the letter is that begins there; 0 where no letter does (RFC 3629, section 4).
static std::size_t letterAt(std::string_view text, std::size_t i) {
  const auto byte = [&](std::size_t k) { return static_cast<unsigned char>(k < text.size() ? text[k] : 0); };
  const unsigned char first = byte(i);
  if (first < 0x80) return 1;
  const std::size_t length = first >= 0xC2 && first <= 0xDF   ? 2
                             : first >= 0xE0 && first <= 0xEF ? 3
                             : first >= 0xF0 && first <= 0xF4 ? 4
                                                              : 0;
  for (std::size_t k = 1; k < length; ++k)
    if ((byte(i + k) & 0xC0) != 0x80) return 0;
  const unsigned char second = byte(i + 1);
  const bool tooLong = (first == 0xE0 && second < 0xA0) || (first == 0xF0 && second < 0x90);
  const bool notALetter = (first == 0xED && second > 0x9F) || (first == 0xF4 && second > 0x8F);
  return tooLong || notALetter ? 0 : length;
}

std::string asUtf8(std::string_view text) {
  bool valid = true;
  for (std::size_t i = 0, step = 0; i < text.size() && valid; i += step) valid = (step = letterAt(text, i)) > 0;
  if (valid) return std::string(text);
  std::string out;
  for (const char c : text) {
    const auto byte = static_cast<unsigned char>(c);
    if (byte < 0x80) {
      out += c;
    } else {
      out += static_cast<char>(0xC0 | (byte >> 6));
      out += static_cast<char>(0x80 | (byte & 0x3F));
    }
  }
  return out;
}

std::string firstLetters(std::string_view text, std::size_t most) {
  std::size_t end = 0;
  for (std::size_t n = 0; n < most && end < text.size(); ++n) end += std::max<std::size_t>(letterAt(text, end), 1);
  return std::string(text.substr(0, end));
}

} // namespace eup
