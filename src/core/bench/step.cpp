#include "core/bench/step.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

std::string wordsOf(const GlueUp& glue, LengthUnit unit) {
  if (glue.joints == 0) return {};
  return fmt::format("{} {}, {}, {} of glue", glue.joints, glue.joints == 1 ? "joint" : "joints",
                     told(glue.area, Quantity::area, unit), told(glue.grams, Quantity::mass, unit));
}

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

} // namespace eup
