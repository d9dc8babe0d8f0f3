#include "reading/simulated_reader.h"
#include "terminal.h"
#include <cmath>
#include <fmt/format.h>

namespace eup::instruments {

namespace {
constexpr double every = 0.1; // s
constexpr std::size_t longest = 400;
} // namespace

SimulatedReader::SimulatedReader(ReaderKind k, ReaderFaults f) : kind(std::move(k)), faults(f), random(f.seed) {}

void SimulatedReader::hear(std::string_view bytes, double now) {
  if (faults.silentAfter > 0 && now > faults.silentAfter) return;
  for (const char c : bytes) {
    if (c != '\n') {
      if (half.size() < longest) half += c;
      continue;
    }
    const auto cut = half.rfind(" ^");
    if (cut != std::string::npos && half.substr(cut + 2) == sumOf(half.substr(0, cut))) {
      const std::string words = half.substr(0, cut);
      std::string answer;
      if (words == "who") answer = fmt::format("is {} 1 {}", kind.name, kind.unit);
      if (words == "zero") zero += shown, answer = "zeroed";
      if (!answer.empty()) answers += answer + " ^" + sumOf(answer) + "\n";
    }
    half.clear();
  }
}

std::string SimulatedReader::line(double now) {
  const double aim = kind.turns && turned ? -truth : truth;
  shown += (aim + faults.offset + faults.drift * now / 60 - zero - shown) * (1 - std::exp(-every / kind.settles));
  double value = shown;
  if (faults.noise > 0) value += std::normal_distribution<double>(0, faults.noise)(random);
  const bool still = std::abs(shown - before) < 2 * kind.step;
  before = shown;
  value = std::round(value / kind.step) * kind.step;
  std::string words = fmt::format("reads {} {:.3f} {}", ++count, value + 0.0, still ? "still" : "moving");
  std::string out = words + " ^" + sumOf(words) + "\n";
  const auto chance = [&](double share) { return share > 0 && std::generate_canonical<double, 20>(random) < share; };
  if (chance(faults.dropped)) return {};
  if (chance(faults.rubbish)) return fmt::format("\x01\xff{}\n", count * 7919);
  if (chance(faults.garbled)) out[static_cast<std::size_t>(count) % (out.size() - 1)] ^= 0x11;
  return out;
}

std::string SimulatedReader::live(double now) {
  std::string out;
  while (next <= now) {
    out += answers, answers.clear();
    const std::string one = line(next);
    if (!(faults.silentAfter > 0 && next > faults.silentAfter)) out += one;
    next += every;
  }
  return out;
}

} // namespace eup::instruments
