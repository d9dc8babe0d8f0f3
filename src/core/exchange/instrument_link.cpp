#include "core/exchange/instrument_link.h"
#include "core/exchange/device_words.h"
#include <cmath>
#include <utility>

namespace eup {
namespace {

constexpr double averagedOver = 1.5, silentAfter = 1.5, greetEvery = 0.5; // s
constexpr int foreignAfter = 20;                                          // lines in a row that are none of its talk

} // namespace

void InstrumentLink::greet(double now) {
  *this = InstrumentLink();
  told.state = InstrumentState::asked;
  greeted = heard = now;
  out = summed("who");
}

void InstrumentLink::lose(const std::string& why) {
  told.state = InstrumentState::lost, told.said = why;
  told.last.reset(), told.mean.reset(), told.still = false;
  window.clear();
}

void InstrumentLink::hear(std::string_view bytes, double now) {
  if (told.state == InstrumentState::off || told.state == InstrumentState::lost) return;
  for (const char c : bytes) {
    if (c != '\n') {
      if (half.size() < longestDeviceLine) half += c;
      continue;
    }
    if (const auto words = unsummed(half))
      badInRow = 0, said(*words, now);
    else
      ++told.garbled, ++badInRow;
    half.clear();
  }
  if (badInRow >= foreignAfter) {
    told.state = InstrumentState::foreign;
    told.mean.reset(), told.last.reset(), told.still = false;
    window.clear();
  }
}

void InstrumentLink::said(std::string_view line, double now) {
  const auto words = spaced(line);
  if (words.empty()) return;
  if (words[0] == "is" && words.size() >= 4) {
    told.kind = words[1], told.unit = words[3];
    heard = now;
    if (told.state != InstrumentState::reading) told.state = InstrumentState::asked;
    return;
  }
  if (words[0] != "reads" || words.size() != 4) return;
  const auto number = numberIn<long>(words[1]);
  const auto value = numberIn<double>(words[2]);
  constexpr double most = 1e6; // no gauge and no scales read so much: the line is damaged
  if (!number || !value || !(std::abs(*value) <= most) || (words[3] != "still" && words[3] != "moving")) {
    ++told.garbled;
    return;
  }
  heard = now;
  if (told.kind.empty()) return; // not before it said what it is
  told.state = InstrumentState::reading;
  if (count >= 0 && *number > count + 1) told.missed += static_cast<int>(std::min(*number - count - 1, 100000L));
  count = *number;
  told.last = *value, told.still = words[3] == "still";
  if (!told.still) window.clear();
  if (told.still) window.push_back({now, *value});
  average(now);
}

void InstrumentLink::average(double now) {
  while (!window.empty() && window.front().at < now - averagedOver) window.pop_front();
  if (told.held) return;
  constexpr std::size_t enough = 5;
  if (window.size() < enough) {
    told.mean.reset(), told.averaged = 0, told.scatter = 0;
    return;
  }
  double sum = 0, squares = 0;
  for (const Read& r : window) sum += r.value;
  const auto n = static_cast<double>(window.size());
  const double mean = sum / n;
  for (const Read& r : window) squares += (r.value - mean) * (r.value - mean);
  told.mean = mean - told.zero, told.scatter = std::sqrt(squares / (n - 1)), told.averaged = static_cast<int>(n);
}

std::string InstrumentLink::live(double now) {
  if (told.state == InstrumentState::asked || told.state == InstrumentState::foreign ||
      told.state == InstrumentState::silent)
    if (told.kind.empty() && now - greeted >= greetEvery) out += summed("who"), greeted = now;
  if (told.state == InstrumentState::asked || told.state == InstrumentState::reading)
    if (now - heard > silentAfter) {
      told.state = InstrumentState::silent;
      told.last.reset(), told.still = false;
      if (!told.held) told.mean.reset();
      window.clear();
    }
  return std::exchange(out, {});
}

void InstrumentLink::zeroHere() {
  if (!told.mean || told.held) return;
  told.zero += *told.mean;
  told.mean = 0.0;
}

std::optional<double> InstrumentLink::turnedRound() {
  if (!told.mean || told.held) return std::nullopt;
  const double raw = *told.mean + told.zero;
  if (!firstWay) {
    firstWay = raw;
    return std::nullopt;
  }
  told.zero = (*firstWay + raw) / 2;
  told.mean = raw - told.zero;
  firstWay.reset();
  return told.zero;
}

void InstrumentLink::hold(bool held) {
  if (held && !told.mean) return;
  told.held = held;
}

} // namespace eup
