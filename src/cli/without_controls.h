// A stream that a terminal may be shown.
#pragma once
#include <algorithm>
#include <ostream>
#include <streambuf>
#include <string>

namespace eup::cli {

/// Passes on all but control letters, which a terminal would obey: a name in a file may hold any.
class WithoutControls : public std::streambuf {
public:
  explicit WithoutControls(std::ostream& out) : to(out) {}

protected:
  int_type overflow(int_type c) override {
    const char letter = traits_type::to_char_type(c);
    return xsputn(&letter, 1) == 1 ? c : traits_type::eof();
  }
  std::streamsize xsputn(const char* text, std::streamsize many) override {
    const auto obeyed = [](char c) {
      return (static_cast<unsigned char>(c) < ' ' && c != '\n' && c != '\r' && c != '\t') || c == 0x7F;
    };
    std::string plain(text, static_cast<std::size_t>(many));
    std::replace_if(plain.begin(), plain.end(), obeyed, '?');
    to.write(plain.data(), many);
    return to ? many : 0;
  }
  int sync() override { return to.flush() ? 0 : -1; }

private:
  std::ostream& to;
};

} // namespace eup::cli
