#include "core/measure/length_text.h"
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <optional>
#include <vector>

namespace eup {
namespace {

struct Glyph {
  std::string_view from, to;
};

// What a keyboard, a phone or a word processor makes of the same signs.
constexpr Glyph glyphs[] = {{"\u2032", "'"},    {"\u2019", "'"},    {"\u2033", "\""},   {"\u201d", "\""},
                            {"\u201c", "\""},   {"''", "\""},       {"\u2212", "-"},    {"\u2013", "-"},
                            {"\u00a0", " "},    {"\u202f", " "},    {"\t", " "},        {"\u2044", "/"},
                            {"\u00bd", " 1/2"}, {"\u00bc", " 1/4"}, {"\u00be", " 3/4"}, {"\u215b", " 1/8"},
                            {"\u215c", " 3/8"}, {"\u215d", " 5/8"}, {"\u215e", " 7/8"}};

std::string plainSigns(std::string_view text) {
  std::string out;
  for (std::size_t i = 0; i < text.size();) {
    bool found = false;
    for (const Glyph& g : glyphs)
      if (text.substr(i).starts_with(g.from)) {
        out += g.to;
        i += g.from.size();
        found = true;
        break;
      }
    if (!found) out += static_cast<char>(std::tolower(static_cast<unsigned char>(text[i++])));
  }
  return out;
}

std::string quoted(std::string_view text) {
  constexpr std::size_t most = 40;
  std::string shown(text.substr(0, most));
  return "“" + shown + (text.size() > most ? "…" : "") + "”";
}

/// Walks over a text, taking what it asks for.
class Reader {
public:
  explicit Reader(std::string_view text) : rest(text) {}

  void skipSpace() {
    while (!rest.empty() && rest.front() == ' ') rest.remove_prefix(1);
  }
  bool take(std::string_view word) {
    if (!rest.starts_with(word)) return false;
    rest.remove_prefix(word.size());
    return true;
  }
  bool atEnd() {
    skipSpace();
    return rest.empty();
  }
  bool atDigit() const { return !rest.empty() && std::isdigit(static_cast<unsigned char>(rest.front())); }
  bool atLetter() const { return !rest.empty() && std::isalpha(static_cast<unsigned char>(rest.front())); }

  /// 12  12.5  .5  12,5  1e9
  std::optional<double> decimal() {
    std::string digits;
    std::size_t i = 0;
    bool mark = false, any = false;
    for (; i < rest.size(); ++i) {
      const char c = rest[i];
      if (std::isdigit(static_cast<unsigned char>(c))) {
        digits += c;
        any = true;
      } else if ((c == '.' || c == ',') && !mark) {
        // "1,500" is one and a half to one reader and fifteen hundred to another: not for us to guess.
        if (c == ',' && any && thousands(i)) return std::nullopt;
        digits += '.';
        mark = true;
      } else
        break;
    }
    if (!any) return std::nullopt;
    if (i + 1 < rest.size() && rest[i] == 'e' && (std::isdigit(static_cast<unsigned char>(rest[i + 1])))) {
      digits += 'e';
      for (++i; i < rest.size() && std::isdigit(static_cast<unsigned char>(rest[i])); ++i) digits += rest[i];
    }
    double value = 0;
    if (digits.front() == '.') digits.insert(0, "0");
    const auto [end, error] = std::from_chars(digits.data(), digits.data() + digits.size(), value);
    if (error != std::errc{} || end != digits.data() + digits.size()) {
      if (digits.back() != '.') return std::nullopt;
    }
    rest.remove_prefix(i);
    return value;
  }

  std::string_view rest;

private:
  bool thousands(std::size_t comma) const {
    std::size_t digits = 0;
    while (comma + 1 + digits < rest.size() && std::isdigit(static_cast<unsigned char>(rest[comma + 1 + digits])))
      ++digits;
    return digits == 3 && rest.substr(0, comma) != "0";
  }
};

struct Amount {
  double value = 0;
  bool fraction = false;
};

/// 3   3.5   3/32   1 1/2   1-1/2
std::optional<Amount> amount(Reader& in) {
  const auto first = in.decimal();
  if (!first) return std::nullopt;
  const bool whole = *first == std::floor(*first) && *first < 1e6;
  if (whole && in.take("/")) {
    const auto below = in.decimal();
    if (!below || *below == 0 || *below != std::floor(*below)) return std::nullopt;
    return Amount{*first / *below, true};
  }
  Reader ahead = in;
  const bool dash = ahead.take("-");
  ahead.skipSpace();
  if (whole && ahead.atDigit()) {
    const auto above = ahead.decimal();
    if (above && ahead.take("/")) {
      const auto below = ahead.decimal();
      if (!below || *below == 0 || *below != std::floor(*below) || *above != std::floor(*above)) return std::nullopt;
      in = ahead;
      return Amount{*first + *above / *below, true};
    }
    if (dash) return std::nullopt;
  }
  return Amount{*first, false};
}

enum class Unit { none, mm, cm, m, inch, foot };

std::optional<Unit> unitWord(Reader& in) {
  in.skipSpace();
  struct Word {
    std::string_view text;
    Unit unit;
  };
  constexpr Word words[] = {{"mm", Unit::mm},    {"cm", Unit::cm},   {"inches", Unit::inch}, {"inch", Unit::inch},
                            {"ins", Unit::inch}, {"in", Unit::inch}, {"feet", Unit::foot},   {"foot", Unit::foot},
                            {"ft", Unit::foot},  {"m", Unit::m},     {"\"", Unit::inch},     {"'", Unit::foot}};
  for (const Word& w : words)
    if (in.take(w.text)) {
      if (std::isalpha(static_cast<unsigned char>(w.text.back()))) {
        in.take(".");
        if (in.atLetter()) return std::nullopt;
      }
      return w.unit;
    }
  if (in.atEnd() || in.atDigit() || in.rest.front() == '.') return Unit::none;
  return std::nullopt;
}

double inMm(double value, Unit unit) {
  switch (unit) {
  case Unit::cm:
    return value * 10;
  case Unit::m:
    return value * 1000;
  case Unit::inch:
    return value * mmPerInch;
  case Unit::foot:
    return value * 12 * mmPerInch;
  case Unit::mm:
  case Unit::none:
    break;
  }
  return value;
}

std::optional<double> magnitude(Reader& in, LengthUnit bare) {
  const auto first = amount(in);
  if (!first) return std::nullopt;
  const auto unit = unitWord(in);
  if (!unit) return std::nullopt;
  if (*unit == Unit::none) {
    if (!in.atEnd()) return std::nullopt;
    return inMm(first->value, first->fraction || bare == LengthUnit::inch ? Unit::inch : Unit::mm);
  }
  double total = inMm(first->value, *unit);
  if (*unit == Unit::inch && !in.atEnd() &&
      (in.rest.front() == '+' || in.rest.front() == '-')) { // 3/8" +.006, as we show it
    const double sign = in.take("-") ? -1 : 1;
    if (sign > 0) in.take("+");
    in.skipSpace();
    const auto left = in.rest.starts_with(".") || in.rest.starts_with("0.") ? in.decimal() : std::nullopt;
    if (!left) return std::nullopt;
    total += sign * inMm(*left, Unit::inch);
  }
  if (*unit == Unit::foot && !in.atEnd()) { // 2' 6 1/2"
    in.take("-");
    in.skipSpace();
    const auto inches = amount(in);
    if (!inches) return std::nullopt;
    const auto second = unitWord(in);
    if (!second || (*second != Unit::inch && *second != Unit::none)) return std::nullopt;
    total += inMm(inches->value, Unit::inch);
  }
  if (!in.atEnd()) return std::nullopt;
  return total;
}

std::string fraction64(double inches) {
  const long sixtyFourths = std::lround(inches * 64);
  long whole = sixtyFourths / 64, above = sixtyFourths % 64, below = 64;
  while (above != 0 && above % 2 == 0) above /= 2, below /= 2;
  std::string out;
  if (above == 0)
    out = fmt::format("{}\"", whole);
  else if (whole == 0)
    out = fmt::format("{}/{}\"", above, below);
  else
    out = fmt::format("{} {}/{}\"", whole, above, below);
  const double left = inches - static_cast<double>(sixtyFourths) / 64;
  if (std::abs(left) >= 0.0005) {
    const std::string thou = fmt::format("{:.3f}", std::abs(left));
    out += fmt::format(" {}{}", left > 0 ? "+" : "−", thou.substr(1));
  }
  return out;
}

} // namespace

Result<double> parseLength(std::string_view text, LengthUnit bare) {
  const std::string plain = plainSigns(text);
  Reader in(plain);
  in.skipSpace();
  if (in.atEnd()) return Problem{"", "Nothing was typed. Give a length such as 48, 4.5 cm or 3/32\"."};
  const bool minus = in.take("-");
  if (!minus) in.take("+");
  in.skipSpace();
  const auto mm = magnitude(in, bare);
  if (!mm || !std::isfinite(*mm))
    return Problem{"", fmt::format("{} is not a length. Write 48, 4.5 cm, 3/32\" or 2' 6 1/2\".", quoted(text))};
  return minus ? -*mm : *mm;
}

Result<double> parseNumber(std::string_view text) {
  const std::string plain = plainSigns(text);
  Reader in(plain);
  in.skipSpace();
  if (in.atEnd()) return Problem{"", "Nothing was typed. Give a number."};
  const bool minus = in.take("-");
  if (!minus) in.take("+");
  in.skipSpace();
  const auto value = amount(in);
  in.skipSpace();
  if (!in.take("%")) in.take("°");
  if (!value || !in.atEnd() || !std::isfinite(value->value))
    return Problem{"", fmt::format("{} is not a number.", quoted(text))};
  return minus ? -value->value : value->value;
}

std::string formatNumber(double value, int decimals) {
  std::string out = fmt::format("{:.{}f}", value, decimals);
  if (out.find('.') != std::string::npos) {
    while (out.back() == '0') out.pop_back();
    if (out.back() == '.') out.pop_back();
  }
  return out == "-0" ? "0" : out;
}

Result<double> parseMass(std::string_view t) {
  std::string text(t);
  double factor = 1;
  const auto endsWith = [&](std::string_view unitText, double f) {
    while (!text.empty() && text.back() == ' ') text.pop_back();
    if (!std::string_view(text).ends_with(unitText)) return false;
    text.resize(text.size() - unitText.size());
    factor = f;
    return true;
  };
  if (!endsWith("kg", 1000) && !endsWith("oz", gramsPerOunce) && !endsWith("lb", gramsPerPound)) endsWith("g", 1);
  const auto n = parseNumber(text);
  if (!n) return Problem{"", fmt::format("“{}” is not a mass. Write 1400, 1.4 kg or 49 oz.", t.substr(0, 40))};
  return n.value() * factor;
}

std::string formatLength(double mm, LengthUnit unit, int decimals) {
  if (unit == LengthUnit::mm) return formatNumber(mm, decimals);
  const std::string text = fraction64(std::abs(mm) / mmPerInch);
  return mm < 0 && text != "0\"" ? "−" + text : text;
}

} // namespace eup
