#include "hot_wire/simulated_wire.h"
#include "terminal.h"
#include <algorithm>
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <optional>

namespace eup::instruments {
namespace {

constexpr int listed = 32; // lines that it keeps
constexpr std::size_t longest = 400;

std::optional<double> numberOf(std::string_view text) {
  double value = 0;
  const auto [end, error] = std::from_chars(text.data(), text.data() + text.size(), value);
  if (error != std::errc() || end != text.data() + text.size() || !std::isfinite(value)) return std::nullopt;
  return value;
}

} // namespace

SimulatedWire::SimulatedWire(WireMachine m, WireFaults f) : machine(std::move(m)), faults(f), random(f.seed) {}

const char* SimulatedWire::state() const {
  switch (mode) {
  case Mode::ready:
    return "ready";
  case Mode::working:
    return "working";
  case Mode::held:
    return "held";
  case Mode::warming:
    return "warming";
  case Mode::alarm:
    return "alarm";
  }
  return "alarm";
}

int SimulatedWire::room() const {
  return listed - static_cast<int>(list.size());
}

void SimulatedWire::tell(const std::string& words) {
  std::string line = words + " ^" + sumOf(words);
  if (faults.noise > 0)
    for (char& c : line)
      if (std::generate_canonical<double, 20>(random) < faults.noise) c = static_cast<char>(c ^ 0x11);
  answers.emplace_back(clock + faults.slow, line + "\n");
}

void SimulatedWire::hear(std::string_view bytes, double now) {
  run(now - clock);
  if (faults.deadAfter > 0 && now >= faults.deadAfter) return;
  for (char c : bytes) {
    if (faults.noise > 0 && c != '\n' && std::generate_canonical<double, 20>(random) < faults.noise)
      c = static_cast<char>(c ^ 0x11);
    if (c == '\n') {
      said(half);
      half.clear();
    } else if (half.size() < longest && c != '\r')
      half += c;
  }
}

void SimulatedWire::said(std::string_view line) {
  const std::size_t cut = line.rfind(" ^");
  if (cut == std::string_view::npos || sumOf(line.substr(0, cut)) != line.substr(cut + 2)) {
    if (askedAgain != expected) tell(fmt::format("again {}", askedAgain = expected));
    return;
  }
  heard = clock;
  line = line.substr(0, cut);
  const std::size_t space = line.find(' ');
  const std::string_view first = line.substr(0, space),
                         rest = space == std::string_view::npos ? std::string_view() : line.substr(space + 1);
  if (const auto number = numberOf(first))
    take(static_cast<int>(std::clamp(*number, 0.0, 1e9)), rest);
  else
    control(first, rest);
}

void SimulatedWire::control(std::string_view word, std::string_view rest) {
  if (word == "hello") {
    tell(fmt::format("hello hot-wire 1 {} {:.1f} {:.1f} {:.1f} {:.1f} {}", machine.axes, machine.travel[0],
                     machine.travel[1], machine.travel[2], machine.travel[3], listed));
  } else if (word == "where") {
    tell(fmt::format("at {} {:.3f} {:.3f} {:.3f} {:.3f} {} {:.1f} {} {} {}", rest.empty() ? "0" : rest, place[0],
                     place[1], place[2], place[3], state(), warm, expected, finished, room()));
  } else if (word == "begin") { // a new text: lines count from 1 again
    if (mode != Mode::ready) return;
    expected = 1, finished = 0, askedAgain = 0, byTime = false, plannedHot = false;
    planned = place;
    tell("begun");
  } else if (word == "hold") {
    if (mode == Mode::working || mode == Mode::warming) {
      if (mode == Mode::working) resumeHeat = target;
      target = 0, mode = Mode::held; // a wire that stands burns a hole
    }
  } else if (word == "go") {
    if (mode == Mode::held) target = resumeHeat, mode = Mode::warming;
  } else if (word == "stop") {
    target = 0;
    list.clear();
    if (mode != Mode::alarm) mode = Mode::ready;
    planned = place, expected = 1, askedAgain = 0;
    tell("stopped");
  } else if (word == "clear") {
    if (mode != Mode::alarm) return;
    mode = Mode::ready;
    tell("cleared");
  } else if (word == "zero") { // it was brought there by hand
    if (mode != Mode::ready) return;
    place = planned = {};
    tell("zeroed");
  } else
    tell("what");
}

void SimulatedWire::take(int number, std::string_view command) {
  if (mode == Mode::alarm) return tell("alarm clear it first");
  if (number < expected) return tell(fmt::format("taken {} {}", expected - 1, room()));
  if (number > expected || room() == 0) {
    if (askedAgain != expected) tell(fmt::format("again {}", askedAgain = expected));
    return;
  }
  Line line;
  line.number = number;
  std::string wrong = read(command, line);
  if (number == faults.refuseAt) wrong = "it will not";
  if (!wrong.empty()) return tell(fmt::format("refused {} {}", number, wrong));
  ++expected;
  list.push_back(line);
  if (mode == Mode::ready) mode = Mode::working;
  tell(fmt::format("taken {} {}", number, room()));
}

std::string SimulatedWire::read(std::string_view command, Line& line) {
  int motion = -1;
  double feed = 0, wait = -1, heat = -1;
  bool dwell = false, hotter = false;
  line.to = planned;
  while (!command.empty()) {
    const std::size_t cut = command.find(' ');
    const std::string_view word = command.substr(0, cut);
    command = cut == std::string_view::npos ? std::string_view() : command.substr(cut + 1);
    if (word.empty()) continue;
    const auto value = numberOf(word.substr(1));
    if (!value) return "no number";
    const char letter = word[0];
    if (const std::size_t axis = machine.axes.find(letter); axis != std::string::npos)
      line.to[axis] = *value;
    else if (word == "G0" || word == "G1")
      motion = word == "G1" ? 1 : 0;
    else if (word == "G93" || word == "G94")
      byTime = word == "G93";
    else if (word == "G4")
      dwell = true;
    else if (word == "M3")
      hotter = true;
    else if (word == "M5")
      line.heatTo = 0;
    else if (word == "M2")
      line.end = true, line.heatTo = 0;
    else if (letter == 'F')
      feed = *value;
    else if (letter == 'P')
      wait = *value;
    else if (letter == 'S')
      heat = *value;
    else if (word != "G21" && word != "G90")
      return fmt::format("{} is unknown", word);
  }
  if (hotter) {
    if (heat <= 0 || heat > 100) return "heat is 1 to 100";
    line.heatTo = heat;
  }
  if (line.heatTo >= 0) plannedHot = line.heatTo > 0;
  if (dwell) {
    if (wait < 0) return "how long";
    line.seconds = wait;
  }
  if (motion < 0) return {};
  line.moves = true;
  const auto way2 = [&](std::size_t a) { return std::hypot(line.to[a] - planned[a], line.to[a + 1] - planned[a + 1]); };
  if (motion == 1) {
    if (!plannedHot) return "cold cut";
    if (feed <= 0) return "no feed";
    const double along = way2(0) > 1e-6 ? way2(0) : way2(2);
    line.seconds = byTime ? 60 / feed : along / feed * 60;
  } else
    line.seconds = std::max(way2(0), way2(2)) / machine.rapid;
  planned = line.to;
  return {};
}

void SimulatedWire::alarm(const std::string& why) {
  mode = Mode::alarm;
  target = 0;
  list.clear();
  planned = place, expected = 1, askedAgain = 0;
  tell("alarm " + why);
}

void SimulatedWire::run(double seconds) {
  while (seconds > 0) {
    const double step = std::min(seconds, 0.02);
    seconds -= step;
    clock += step;
    warm += (target - warm) * (1 - std::exp(-step / machine.warmth));
    if (mode == Mode::warming && warm >= 0.97 * target) mode = Mode::working;
    if ((mode == Mode::working || mode == Mode::warming) && clock - heard > machine.patience) {
      if (mode == Mode::working) resumeHeat = target;
      mode = Mode::held, target = 0;
    }
    double left = step;
    while (mode == Mode::working && !list.empty()) {
      Line& line = list.front();
      if (spent == 0) {
        from = place;
        if (line.heatTo >= 0) target = line.heatTo;
      }
      const double share = line.seconds > 0 ? std::min((spent + left) / line.seconds, 1.0) : 1;
      if (line.moves && line.number == faults.stallAt && share > 0.5)
        return alarm(fmt::format("stall {} line {}", machine.axes[0], line.number));
      if (line.moves && line.number == faults.limitAt)
        return alarm(fmt::format("limit {} line {}", machine.axes[0], line.number));
      if (line.moves) {
        const auto before = place;
        for (std::size_t i = 0; i < 4; ++i) {
          place[i] = from[i] + (line.to[i] - from[i]) * share;
          const double asked = place[i];
          place[i] = std::clamp(asked, 0.0, machine.travel[i]); // it has nowhere to go beyond
          if (std::abs(asked - place[i]) > 1e-6)
            return alarm(fmt::format("limit {} line {}", machine.axes[i], line.number));
        }
        if (target > 0) way += std::hypot(place[0] - before[0], place[1] - before[1]);
      }
      if (share < 1) {
        spent += left;
        break;
      }
      left -= std::max(line.seconds - spent, 0.0);
      spent = 0;
      finished = line.number;
      const bool end = line.end;
      list.pop_front();
      tell(fmt::format("done {} {}", finished, room()));
      if (end) mode = Mode::ready;
    }
  }
}

std::string SimulatedWire::live(double now) {
  run(now - clock);
  std::string out;
  while (!answers.empty() && answers.front().first <= clock) {
    if (faults.deadAfter <= 0 || clock < faults.deadAfter) out += answers.front().second;
    answers.pop_front();
  }
  return out;
}

} // namespace eup::instruments
