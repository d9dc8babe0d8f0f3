#include "core/exchange/wire_code.h"
#include <charconv>
#include <cmath>
#include <fmt/format.h>

namespace eup {

std::string wrongWithAxes(std::string_view axes) {
  if (axes.size() != 4) return fmt::format("“{}” are not four letters", axes.substr(0, 20));
  for (std::size_t i = 0; i < axes.size(); ++i) {
    if (std::string_view("ABCUVWXYZ").find(axes[i]) == std::string_view::npos)
      return fmt::format("“{}” is none of A to C and U to Z", axes.substr(i, 1));
    if (axes.find(axes[i], i + 1) != std::string_view::npos)
      return fmt::format("“{}” stands there twice", axes.substr(i, 1));
  }
  return {};
}

Result<std::string> wireCode(const WireProgram& program, const HotWire& wire, const std::string& title) {
  if (const std::string wrong = wrongWithAxes(wire.axes); !wrong.empty())
    return Problem{"wire.axes", "the axes' letters: " + wrong};
  std::string head;
  for (const char c : title) head += c == '(' ? '[' : c == ')' ? ']' : c == '\n' || c == ';' ? ' ' : c;
  const std::string& a = wire.axes;
  std::string out = fmt::format("; {}\n; {}{}: inner tower aft and up, {}{}: outer tower; millimetres from zero\n"
                                "; hot {:.0f} s; travels to {:.1f} {:.1f}, {:.1f} {:.1f}\n"
                                "; never unattended: the wire burns, fumes out, isolated low voltage\nG21\nG90\n",
                                head, a[0], a[1], a[2], a[3], program.seconds, program.inner.high.x(),
                                program.inner.high.y(), program.outer.high.x(), program.outer.high.y());
  const auto place = [&](const TowerStep& to) {
    return fmt::format(" {}{:.3f} {}{:.3f} {}{:.3f} {}{:.3f}", a[0], to.inner.x() + 0.0, a[1], to.inner.y() + 0.0, a[2],
                       to.outer.x() + 0.0, a[3], to.outer.y() + 0.0);
  };
  TowerStep before;
  for (std::size_t i = 0; i < program.moves.size(); ++i) {
    const WireMove& move = program.moves[i];
    if (i == program.heatFrom)
      out += fmt::format("M3 S{:.0f}\nG4 P{:.1f}\n{}\n", program.heat, program.preheat,
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
  return out + "M2\n";
}

namespace {

/// One line's words: a letter and a number each, without comments.
struct Words {
  std::vector<std::pair<char, double>> all;
  std::string wrong;
};
Words wordsOf(std::string_view line) {
  Words out;
  for (std::size_t i = 0; i < line.size();) {
    const char c = line[i];
    if (c == ';') break;
    if (c == '(') {
      const std::size_t end = line.find(')', i);
      if (end == std::string_view::npos) {
        out.wrong = "a comment is not closed";
        return out;
      }
      i = end + 1;
      continue;
    }
    if (c == ' ' || c == '\t' || c == '\r') {
      ++i;
      continue;
    }
    if (c < 'A' || c > 'Z') {
      out.wrong = fmt::format("“{}” begins no word", line.substr(i, 1));
      return out;
    }
    double value = 0;
    const char* from = line.data() + i + 1;
    const auto [end, error] = std::from_chars(from, line.data() + line.size(), value);
    if (error != std::errc() || end == from || !std::isfinite(value)) {
      out.wrong = fmt::format("“{}” has no number", line.substr(i, 1));
      return out;
    }
    out.all.emplace_back(c, value);
    i = static_cast<std::size_t>(end - line.data());
  }
  return out;
}

} // namespace

Result<ReadCode> readWireCode(std::string_view text, const std::string& axes) {
  if (const std::string wrong = wrongWithAxes(axes); !wrong.empty()) return Problem{"", "the axes' letters: " + wrong};
  constexpr std::size_t most = 2000000; // lines
  ReadCode out;
  TowerStep now;
  bool byTime = false, ended = false;
  double heat = 0, waits = 0; // now, and since the last move
  int number = 0;
  while (!text.empty() && !ended) {
    const std::size_t cut = text.find('\n');
    const std::string_view line = text.substr(0, cut);
    text = cut == std::string_view::npos ? std::string_view() : text.substr(cut + 1);
    const auto refuse = [&](const std::string& why) { return Problem{fmt::format("line {}", number), why}; };
    if (++number > static_cast<int>(most)) return refuse("it has too many lines");
    const Words words = wordsOf(line);
    if (!words.wrong.empty()) return refuse(words.wrong);
    int motion = -1;
    double feed = 0, wait = 0, percent = 0;
    bool dwell = false, hotter = false;
    TowerStep to = now;
    for (const auto& [letter, value] : words.all) {
      if (const std::size_t axis = axes.find(letter); axis != std::string::npos) {
        Point& end = axis < 2 ? to.inner : to.outer;
        (axis % 2 == 0 ? end.x() : end.y()) = value;
        continue;
      }
      const int code = static_cast<int>(value);
      if (letter == 'G' && value == code) {
        if (code == 0 || code == 1)
          motion = code;
        else if (code == 4)
          dwell = true;
        else if (code == 93 || code == 94)
          byTime = code == 93;
        else if (code != 21 && code != 90)
          return refuse(fmt::format("G{} is not in the dialect", code));
      } else if (letter == 'M' && (value == 2 || value == 3 || value == 5)) {
        if (code == 2)
          ended = true;
        else
          hotter = code == 3, heat = 0;
      } else if (letter == 'F')
        feed = value;
      else if (letter == 'P')
        wait = value;
      else if (letter == 'S')
        percent = value;
      else
        return refuse(fmt::format("“{}{}” is not in the dialect", letter, value));
    }
    if (hotter) {
      if (percent <= 0 || percent > 100) return refuse("M3 wants a heat, S1 to S100");
      heat = percent;
    }
    if (dwell) {
      if (wait < 0) return refuse("it cannot wait for less than nothing");
      out.dwells += wait, waits += wait;
    }
    if (motion < 0) continue;
    ReadMove move{number, to, 0, heat, std::exchange(waits, 0.0)};
    if (motion == 1) {
      if (!move.hot()) return refuse("the wire would cut cold: M3 must come before G1");
      if (feed <= 0) return refuse("a cut without F");
      double way = (to.inner - now.inner).norm();
      if (way < 1e-6) way = (to.outer - now.outer).norm();
      move.seconds = byTime ? 60 / feed : way / feed * 60;
      out.hotSeconds += move.seconds;
    }
    out.inner.include(to.inner), out.outer.include(to.outer);
    out.moves.push_back(move);
    now = to;
  }
  if (!ended) return Problem{fmt::format("line {}", number), "it ends without M2"};
  if (heat > 0) return Problem{fmt::format("line {}", number), "it ends with a hot wire"};
  return out;
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
