#include "core/exchange/wire_code.h"
#include "core/files/bytes.h"
#include <algorithm>
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <utility>

namespace eup {

std::string wrongWithAxes(std::string_view axes) {
  if (axes.size() != 4) return fmt::format("“{}” are not four letters", firstLetters(axes, 20));
  for (std::size_t i = 0; i < axes.size(); ++i) {
    if (std::string_view("ABCUVWXYZ").find(axes[i]) == std::string_view::npos)
      return fmt::format("“{}” is none of A to C and U to Z", axes.substr(i, 1));
    if (axes.find(axes[i], i + 1) != std::string_view::npos)
      return fmt::format("“{}” stands there twice", axes.substr(i, 1));
  }
  return {};
}

/// What may stand in a comment: printable ASCII without brackets. Any other letter becomes one question mark.
static std::string commentOf(std::string_view title) {
  std::string out;
  for (const char c : title) {
    const auto byte = static_cast<unsigned char>(c);
    if ((byte & 0xc0) == 0x80) continue; // goes on with a letter that has its mark
    out += c == '(' ? '[' : c == ')' ? ']' : c == ';' ? ',' : byte < ' ' || byte > '~' ? '?' : c;
  }
  return out;
}

Result<std::string> wireCode(const WireProgram& program, const HotWire& wire, const std::string& title) {
  if (const std::string wrong = wrongWithAxes(wire.axes); !wrong.empty())
    return Problem{"wire.axes", "the axes' letters: " + wrong};
  const std::string& a = wire.axes;
  std::string out = fmt::format("; {}\n; {}{}: inner tower aft and up, {}{}: outer tower; millimetres from zero\n"
                                "; hot {:.0f} s; travels to {:.1f} {:.1f}, {:.1f} {:.1f}\n"
                                "; never unattended: the wire burns, fumes out, isolated low voltage\nG21\nG90\n",
                                commentOf(title), a[0], a[1], a[2], a[3], program.seconds, program.inner.high.x(),
                                program.inner.high.y(), program.outer.high.x(), program.outer.high.y());
  const auto place = [&](const TowerStep& to) {
    return fmt::format(" {}{:.3f} {}{:.3f} {}{:.3f} {}{:.3f}", a[0], to.inner.x() + 0.0, a[1], to.inner.y() + 0.0, a[2],
                       to.outer.x() + 0.0, a[3], to.outer.y() + 0.0);
  };
  TowerStep before;
  for (std::size_t i = 0; i < program.moves.size(); ++i) {
    const WireMove& move = program.moves[i];
    if (i == program.heatFrom)
      out += fmt::format("M3 S{:.1f}\nG4 P{:.1f}\n{}\n", program.heat, program.preheat,
                         wire.feed == FeedBy::time ? "G93" : "G94");
    if (i == program.heatTo) out += "M5\n";
    if (move.air())
      out += "G0" + place(move.to) + "\n";
    else {
      double way = (move.to.inner - before.inner).norm();
      if (way < 1e-6) way = (move.to.outer - before.outer).norm();
      const double feed = wire.feed == FeedBy::time ? 60 / move.seconds : way / move.seconds * 60;
      out += "G1" + place(move.to) + fmt::format(" F{:.4f}\n", feed);
      if (move.rest > 0) out += fmt::format("G4 P{:.1f}\n", move.rest);
    }
    before = move.to;
  }
  out += "M2\n";
  if (const auto read = readWireCode(out, wire.axes, reachOf(wire)); !read)
    return Problem{"wire", "the path would not be accepted by a machine: " + read.problem().text()};
  return out;
}

std::vector<std::string_view> codeLines(std::string_view text) {
  std::vector<std::string_view> out;
  std::size_t from = 0;
  for (std::size_t i = 0; i < text.size();) {
    const std::string_view rest = text.substr(i);
    const std::size_t ends = rest.starts_with("\r\n")                                               ? 2
                             : std::string_view("\r\n\v\f").find(rest[0]) != std::string_view::npos ? 1
                             : rest.starts_with("\xc2\x85")                                         ? 2
                             : rest.starts_with("\xe2\x80\xa8") || rest.starts_with("\xe2\x80\xa9") ? 3
                                                                                                    : 0;
    if (ends > 0) out.push_back(text.substr(from, i - from)), from = i + ends;
    i += std::max<std::size_t>(ends, 1);
  }
  if (from < text.size()) out.push_back(text.substr(from));
  return out;
}

namespace {

/// One line's words: a letter and a number each, without comments.
struct Words {
  std::vector<std::pair<char, double>> all;
  std::string wrong;
  bool has(char letter) const {
    return std::any_of(all.begin(), all.end(), [&](const auto& w) { return w.first == letter; });
  }
  double of(char letter) const {
    for (const auto& [l, value] : all)
      if (l == letter) return value;
    return 0;
  }
};
Words wordsOf(std::string_view line) {
  Words out;
  const auto refuse = [&](std::string why) {
    out.wrong = std::move(why);
    return out;
  };
  for (std::size_t i = 0; i < line.size();) {
    const char c = line[i];
    if (c == ';') break;
    if (c == '(') {
      const std::size_t end = line.find(')', i);
      if (end == std::string_view::npos) return refuse("a comment is not closed");
      i = end + 1;
      continue;
    }
    if (c == ' ' || c == '\t') {
      ++i;
      continue;
    }
    if (c < 'A' || c > 'Z')
      return refuse(c > ' ' && c <= '~' ? fmt::format("“{}” begins no word", c)
                                        : "a letter that is not in the dialect");
    double value = 0;
    const char* from = line.data() + i + 1;
    const auto [end, error] = std::from_chars(from, line.data() + line.size(), value);
    if (error != std::errc() || end == from || !std::isfinite(value))
      return refuse(fmt::format("“{}” has no number", c));
    if (out.has(c) && c != 'G') return refuse(fmt::format("“{}” stands twice in a line", c));
    out.all.emplace_back(c, value);
    i = static_cast<std::size_t>(end - line.data());
  }
  return out;
}

/// Reads one line after the other, and knows how the machine stands meanwhile.
class CodeReader {
public:
  CodeReader(const std::string& letters, const WireReach& to) : axes(letters), reach(to) {}
  ReadCode out;
  bool ended = false;
  double heat = 0; ///< percent

  /// What is wrong with the line; nothing when it is understood.
  std::string take(const Words& words, int number) {
    if (words.all.empty()) return {};
    if (ended) return "something stands after M2";
    int motion = -1;
    bool dwell = false;
    for (const auto& [letter, value] : words.all) {
      if (letter != 'G') continue;
      if (value == 0 || value == 1) {
        if (motion >= 0) return "two moves stand in a line";
        motion = static_cast<int>(value);
      } else if (value == 4)
        dwell = true;
      else if (value == 93 || value == 94)
        byTime = value == 93;
      else if (value != 21 && value != 90)
        return fmt::format("G{:g} is not in the dialect", value);
    }
    const bool switches = words.has('M');
    if (motion >= 0) return dwell || switches ? "a move stands alone in its line" : move(words, motion == 1, number);
    if (dwell) return switches ? "a wait stands alone in its line" : stand(words);
    return switches ? turn(words) : onlyLetters(words, "G");
  }

private:
  std::string onlyLetters(const Words& words, std::string_view letters) const {
    for (const auto& [letter, value] : words.all)
      if (letters.find(letter) == std::string_view::npos)
        return fmt::format("“{}{:g}” is not in the dialect, or not in such a line", letter, value);
    return {};
  }
  std::string turn(const Words& words) {
    const double code = words.of('M');
    if (words.has('G') || (code != 2 && code != 3 && code != 5))
      return fmt::format("M{:g} is not in the dialect, or not in such a line", code);
    if (std::string wrong = onlyLetters(words, code == 3 ? "MS" : "M"); !wrong.empty()) return wrong;
    const double percent = words.of('S');
    if (code == 3 && !(percent > 0 && percent <= 100)) return "M3 wants a heat, above S0 up to S100";
    if (code == 2)
      ended = true;
    else
      heat = code == 3 ? percent : 0;
    return {};
  }
  std::string stand(const Words& words) {
    if (std::string wrong = onlyLetters(words, "GP"); !wrong.empty()) return wrong;
    const double wait = words.of('P');
    if (!(wait >= 0 && wait <= longestWait)) return fmt::format("it waits 0 to {:g} s", longestWait);
    out.dwells += wait, waits += wait;
    return {};
  }
  std::string move(const Words& words, bool cuts, int number) {
    if (std::string wrong = onlyLetters(words, axes + (cuts ? "GF" : "G")); !wrong.empty()) return wrong;
    TowerStep to = now;
    for (std::size_t i = 0; i < axes.size(); ++i) {
      if (!words.has(axes[i])) continue;
      const double value = words.of(axes[i]), far = i % 2 == 0 ? reach.aft : reach.up;
      if (!(value >= -1e-6 && value <= far + 1e-6))
        return fmt::format("{}{:g} lies beyond the machine's travel, 0 to {:g} mm", axes[i], value, far);
      Point& end = i < 2 ? to.inner : to.outer;
      (i % 2 == 0 ? end.x() : end.y()) = value;
    }
    ReadMove done{number, to, 0, heat, std::exchange(waits, 0.0)};
    if (cuts) {
      const double feed = words.of('F');
      if (!done.hot()) return "the wire would cut cold: M3 must come before G1";
      if (!(feed > 0)) return "a cut without F";
      const double inner = (to.inner - now.inner).norm(), outer = (to.outer - now.outer).norm();
      done.seconds = byTime ? 60 / feed : (inner < 1e-6 ? outer : inner) / feed * 60;
      if (!(done.seconds <= longestMove)) return fmt::format("the cut would take more than {:g} s", longestMove);
      if (std::max(inner, outer) > done.seconds * fastestCut * (1 + 1e-6))
        return fmt::format("an end would cut faster than {:g} mm/s", fastestCut);
      out.hotSeconds += done.seconds;
    }
    out.inner.include(to.inner), out.outer.include(to.outer);
    out.moves.push_back(done);
    now = to;
    return {};
  }

  const std::string& axes;
  WireReach reach;
  TowerStep now;
  bool byTime = false;
  double waits = 0; ///< since the last move
};

} // namespace

Result<ReadCode> readWireCode(std::string_view text, const std::string& axes, const WireReach& reach) {
  if (const std::string wrong = wrongWithAxes(axes); !wrong.empty()) return Problem{"", "the axes' letters: " + wrong};
  constexpr int most = 2000000; // lines
  CodeReader reader(axes, reach);
  int number = 0;
  const auto at = [&](std::string why) { return Problem{fmt::format("line {}", number), std::move(why)}; };
  for (const std::string_view line : codeLines(text)) {
    if (++number > most) return at("it has too many lines");
    const Words words = wordsOf(line);
    if (!words.wrong.empty()) return at(words.wrong);
    if (std::string wrong = reader.take(words, number); !wrong.empty()) return at(std::move(wrong));
  }
  if (!reader.ended) return at("it ends without M2");
  if (reader.heat > 0) return at("it ends with a hot wire");
  return std::move(reader.out);
}

WireTravel travelOf(const ReadCode& read, double rapid) {
  WireTravel out{{}};
  for (const ReadMove& m : read.moves) {
    WireInstant now = out.back();
    now.heat = m.heat, now.line = m.line;
    if (m.wait > 0) now.seconds += m.wait, out.push_back(now);
    const double way = std::max((m.to.inner - now.at.inner).norm(), (m.to.outer - now.at.outer).norm());
    now.seconds += m.seconds > 0 ? m.seconds : way / rapid;
    now.at = m.to;
    out.push_back(now);
  }
  return out;
}

} // namespace eup
