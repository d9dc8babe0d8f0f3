#include "core/exchange/wire_link.h"
#include "core/exchange/device_words.h"
#include "core/exchange/wire_code.h"
#include <cmath>
#include <fmt/format.h>
#include <optional>

namespace eup {
namespace {

constexpr double whereEvery = 0.1, wishEvery = 0.3, lostAfter = 2, greetFor = 5; // s
constexpr int ahead = 8;                                                         // lines that are on their way at most

bool atRest(WireState s) {
  return s == WireState::ready || s == WireState::done || s == WireState::stopped || s == WireState::refused;
}

} // namespace

std::vector<std::string> wireLines(std::string_view text) {
  std::vector<std::string> out;
  for (const std::string_view one : codeLines(text)) {
    std::string line;
    bool aside = false;
    for (const char c : one) {
      if (c == ';' && !aside) break;
      if (c == '(') aside = true;
      if (!aside) line += c == '\t' ? ' ' : c;
      if (c == ')') aside = false;
    }
    while (!line.empty() && line.back() == ' ') line.pop_back();
    line.erase(0, std::min(line.find_first_not_of(' '), line.size()));
    if (!line.empty()) out.push_back(line);
  }
  return out;
}

void WireLink::put(const std::string& words) {
  out += summed(words);
}

void WireLink::greet(double now) {
  *this = WireLink();
  told.state = WireState::greeting;
  heard = now;
}

void WireLink::begin(std::string_view text, double now) {
  if (!atRest(told.state) || wish == Wish::stop) return; // nothing takes back a stop that is not done yet
  lines = wireLines(text);
  told.lines = static_cast<int>(lines.size()), told.done = 0, told.resent = 0;
  told.said.clear();
  sent = taken = room = 0;
  begun = false;
  wish = Wish::begin, wished = -1;
  heard = now;
}

void WireLink::hold() {
  const bool moves = told.state == WireState::working || told.state == WireState::warming;
  if (moves && wish != Wish::stop) wish = Wish::hold, wished = -1;
}

void WireLink::resume() {
  if (told.state == WireState::held && wish != Wish::stop) wish = Wish::resume, wished = -1;
}

void WireLink::stop() {
  if (told.state == WireState::off || told.state == WireState::lost) return;
  wish = Wish::stop, wished = -1;
  begun = false;
}

void WireLink::clear() {
  if (told.state == WireState::alarm) wish = Wish::clear, wished = -1;
}

void WireLink::zero() {
  if (atRest(told.state) && wish != Wish::stop) wish = Wish::zero, wished = -1;
}

void WireLink::lose(const std::string& why) {
  if (told.state == WireState::off) return;
  told.state = WireState::lost;
  told.said = why;
  begun = false, wish = Wish::nothing;
}

void WireLink::goBackTo(int line) {
  if (!begun || line > sent || line <= taken) return;
  told.resent += sent - line + 1;
  sent = line - 1;
}

void WireLink::hear(std::string_view bytes, double now) {
  for (const char c : bytes) {
    if (c == '\n') {
      said(half, now);
      half.clear();
    } else if (half.size() < longestDeviceLine && c != '\r')
      half += c;
  }
}

void WireLink::at(const std::vector<std::string_view>& words) {
  std::array<double, 4> place{};
  for (std::size_t i = 0; i < 4; ++i) {
    const auto value = numberIn<double>(words[2 + i]);
    if (!value) return;
    place[i] = *value;
  }
  const auto answers = numberIn<int>(words[1]), next = numberIn<int>(words[8]), done = numberIn<int>(words[9]),
             left = numberIn<int>(words[10]);
  const auto heat = numberIn<double>(words[7]);
  if (!answers || !next || !done || !left || !heat) return;
  told.at = {{place[0], place[1]}, {place[2], place[3]}};
  told.heat = *heat;
  const std::string_view state = words[6];
  if (state == "alarm") {
    if (told.state != WireState::alarm) told.said = "it is in alarm";
    told.state = WireState::alarm;
    begun = false;
    return;
  }
  if (told.state == WireState::alarm && wish == Wish::clear) wish = Wish::nothing; // it is cleared
  if (wish == Wish::hold && state != "working" && state != "warming") wish = Wish::nothing;
  if (wish == Wish::resume && state != "held") wish = Wish::nothing;
  if (begun) {
    told.done = std::max(told.done, *done);
    if (*next - 1 < taken) return lose("the machine has forgotten what it was doing: was it switched off?");
    taken = *next - 1;
    room = *left;
    if (const auto was = sentAt.find(*answers); was != sentAt.end() && *next <= was->second) goBackTo(*next);
  }
  sentAt.erase(sentAt.begin(), sentAt.upper_bound(*answers));
  if (wish == Wish::stop) return; // it does not know yet
  if (state == "working")
    told.state = WireState::working;
  else if (state == "held")
    told.state = WireState::held;
  else if (state == "warming")
    told.state = WireState::warming;
  else if (state == "ready") {
    if (begun && told.done >= told.lines)
      told.state = WireState::done;
    else if (begun)
      told.state = WireState::working; // between two lines
    else if (!atRest(told.state))
      told.state = WireState::ready;
  }
}

void WireLink::said(std::string_view line, double now) {
  const auto checked = unsummed(line);
  if (!checked) {
    ++told.garbled;
    return;
  }
  if (told.state == WireState::off || told.state == WireState::lost) return;
  heard = now;
  line = *checked;
  const std::vector<std::string_view> words = spaced(line);
  if (words.empty()) return;
  const auto rest = [&] {
    const std::size_t space = line.find(' ');
    return space == std::string_view::npos ? std::string() : std::string(line.substr(space + 1));
  };
  const std::string_view first = words[0];
  const auto number = [&](std::size_t i) { return i < words.size() ? numberIn<int>(words[i]) : std::nullopt; };
  if (first == "hello" && words.size() == 9 && words[1] == "hot-wire") {
    if (told.state != WireState::greeting) return;
    told.axes = std::string(words[3].substr(0, 4));
    for (std::size_t i = 0; i < 4; ++i) told.travel[i] = numberIn<double>(words[4 + i]).value_or(0);
    told.state = WireState::ready;
  } else if (first == "at" && words.size() == 11 && told.state != WireState::greeting)
    at(words);
  else if (first == "taken" && begun) {
    if (const auto n = number(1)) taken = std::max(taken, *n);
    if (const auto n = number(2)) room = *n;
  } else if (first == "done" && begun) {
    if (const auto n = number(1)) told.done = std::max(told.done, *n);
    if (const auto n = number(2)) room = *n;
  } else if (first == "again") {
    if (const auto n = number(1)) goBackTo(*n);
  } else if (first == "begun") {
    if (wish != Wish::begin) return;
    wish = Wish::nothing;
    begun = true;
    sent = taken = 0, room = 1;
    sentAt.clear();
    told.state = WireState::working;
  } else if (first == "stopped") {
    if (wish != Wish::stop) return;
    wish = Wish::nothing;
    if (told.state != WireState::alarm && told.state != WireState::refused) told.state = WireState::stopped;
  } else if (first == "zeroed") {
    if (wish == Wish::zero) wish = Wish::nothing;
  } else if (first == "cleared") {
    if (told.state == WireState::alarm) told.state = WireState::stopped, told.said.clear();
    wish = Wish::nothing;
  } else if (first == "refused" && begun) {
    const auto n = number(1);
    stop();
    told.state = WireState::refused;
    told.said = n && *n >= 1 && *n <= told.lines
                    ? fmt::format("line {}, “{}”: {}", *n, lines[static_cast<std::size_t>(*n) - 1],
                                  rest().substr(std::min(rest().find(' ') + 1, rest().size())))
                    : rest();
  } else if (first == "alarm") {
    if (told.state != WireState::alarm) told.said = rest(); // what came first is why
    told.state = WireState::alarm;
    begun = false;
    if (wish != Wish::clear) wish = Wish::nothing;
  }
}

std::string WireLink::live(double now) {
  if (told.state == WireState::off || told.state == WireState::lost) return std::exchange(out, {});
  if (told.state == WireState::greeting) {
    if (now - heard > greetFor)
      lose("no machine of this kind answers there");
    else if (now - asked >= wishEvery)
      asked = now, put("hello");
    return std::exchange(out, {});
  }
  if (now - heard > lostAfter) {
    lose(fmt::format("nothing was heard for {:.0f} s", lostAfter));
    return std::exchange(out, {});
  }
  if (wish != Wish::nothing && (wished < 0 || now - wished >= wishEvery)) {
    wished = now;
    constexpr const char* words[] = {"", "begin", "hold", "go", "stop", "clear", "zero"};
    put(words[static_cast<std::size_t>(wish)]);
  }
  if (begun && wish != Wish::stop)
    while (sent < static_cast<int>(lines.size()) && sent - taken < std::min(ahead, room)) {
      ++sent;
      put(fmt::format("{} {}", sent, lines[static_cast<std::size_t>(sent) - 1]));
    }
  if (now - asked >= whereEvery) {
    asked = now;
    sentAt[++question] = begun ? sent : 0;
    while (sentAt.size() > 200) sentAt.erase(sentAt.begin());
    put(fmt::format("where {}", question));
  }
  return std::exchange(out, {});
}

} // namespace eup
