#include "core/bench/step.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

double cureHours(const Glue& glue, double celsius) {
  const double perTen = glue.coldHours > 0 && glue.hours > 0 ? glue.coldHours / glue.hours : 2;
  return glue.hours * std::clamp(std::pow(perTen, (20 - celsius) / 10), 1 / 8.0, 8.0);
}

double openMinutes(const Glue& glue, double celsius) {
  return glue.pot * std::clamp(std::pow(2.0, (20 - celsius) / 10), 1 / 8.0, 8.0);
}

Mixture mixtureFor(const MixtureAsked& asked) {
  Mixture out;
  out.grams = asked.area * 1e-6 * asked.arealWeight * asked.resinShare * (1 + asked.waste);
  const double byWeight = asked.byVolume && asked.hardenerDensity > 0
                              ? asked.ratio * asked.resinDensity / asked.hardenerDensity
                              : asked.ratio;
  out.resin = out.grams * byWeight / (byWeight + 1), out.hardener = out.grams - out.resin;
  out.batches = std::max(1, static_cast<int>(std::ceil(out.grams / std::max(asked.largestBatch, 0.1) - 1e-9)));
  return out;
}

StillToPour stillToPour(const Mixture& m, double there) {
  const double resin = m.resin / m.batches, hardener = m.hardener / m.batches;
  constexpr double drop = 0.05; // g: less is none
  const auto left = [](double wanted) { return wanted > drop ? wanted : 0.0; };
  if (left(resin - there) > 0) return {resin - there, hardener};
  return {0, left(resin + hardener - there)};
}

std::string stepPrefix(int wing, int panel, std::optional<Hand> hand) {
  return fmt::format("{}.{}.{}.", wing + 1, panel + 1, hand ? name(*hand) : "one");
}

std::string ownStepKey(int number) {
  return fmt::format("own.{}", number);
}

std::string otherHandsKey(const std::string& key) {
  for (const Hand hand : {Hand::right, Hand::left}) {
    const std::string of = fmt::format(".{}.", name(hand)),
                      other = fmt::format(".{}.", name(hand == Hand::right ? Hand::left : Hand::right));
    if (const auto at = key.find(of); at != std::string::npos) return std::string(key).replace(at, of.size(), other);
  }
  return key;
}

std::string kindOfStep(const std::string& key) {
  if (key.starts_with("own.")) return "own";
  std::string kind = key.substr(key.rfind('.') == std::string::npos ? 0 : key.rfind('.') + 1);
  while (!kind.empty() && kind.back() >= '0' && kind.back() <= '9') kind.pop_back();
  return kind;
}

} // namespace eup
