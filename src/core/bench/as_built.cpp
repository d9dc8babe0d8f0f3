#include "core/bench/as_built.h"
#include <algorithm>
#include <cmath>

namespace eup {

double FittedLine::doubtAt(double place) const {
  return std::sqrt(std::max(varZero + 2 * place * covariance + place * place * varSlope, 0.0));
}

double FittedLine::slopeDoubt() const {
  return std::sqrt(std::max(varSlope, 0.0));
}

std::optional<FittedLine> lineThrough(std::span<const Sample> samples) {
  double sum = 0, sumX = 0, sumY = 0;
  for (const Sample& s : samples) {
    const double weight = 1 / (s.doubt * s.doubt);
    sum += weight, sumX += weight * s.at, sumY += weight * s.value;
  }
  if (samples.size() < 2 || !(sum > 0)) return std::nullopt;
  const double middle = sumX / sum, mean = sumY / sum; // about the middle no digits are lost
  double spread = 0, along = 0;
  for (const Sample& s : samples) {
    const double weight = 1 / (s.doubt * s.doubt), x = s.at - middle;
    spread += weight * x * x, along += weight * x * (s.value - mean);
  }
  const double farthest = std::max(std::abs(samples.front().at), 1.0);
  if (spread <= 1e-18 * sum * farthest * farthest) return std::nullopt; // all at one place
  FittedLine out;
  out.samples = static_cast<int>(samples.size());
  out.slope = along / spread;
  out.atZero = mean - out.slope * middle;
  double chi = 0;
  for (const Sample& s : samples) chi += std::pow((s.value - out.at(s.at)) / s.doubt, 2);
  if (samples.size() > 2) out.scatter = std::max(std::sqrt(chi / static_cast<double>(samples.size() - 2)), 1.0);
  const double more = out.scatter * out.scatter;
  out.varSlope = more / spread;
  out.varZero = more * (1 / sum + middle * middle / spread);
  out.covariance = -more * middle / spread;
  return out;
}

std::optional<MeanReading> meanOf(std::span<const Sample> samples) {
  if (samples.empty()) return std::nullopt;
  MeanReading out;
  double sum = 0, plain = 0;
  for (const Sample& s : samples) {
    const double weight = 1 / (s.doubt * s.doubt);
    sum += weight, out.mean += weight * s.value, plain += s.value;
  }
  out.mean /= sum, out.readings = static_cast<int>(samples.size());
  plain /= out.readings;
  double chi = 0;
  for (const Sample& s : samples) {
    out.deviation += (s.value - plain) * (s.value - plain);
    chi += std::pow((s.value - out.mean) / s.doubt, 2);
  }
  const int more = out.readings - 1;
  out.deviation = more > 0 ? std::sqrt(out.deviation / more) : 0;
  out.doubt = std::sqrt(1 / sum) * (more > 0 ? std::max(std::sqrt(chi / more), 1.0) : 1.0);
  return out;
}

HeldOver holdAgainst(double error, std::optional<double> before) {
  constexpr double first = 1.5, leastTook = 0.2;
  if (!before || std::abs(*before) < 1e-12) return {-first * error, 0};
  const double held = first * *before; // what was advised then
  const double took = std::clamp((*before - error) / held, leastTook, 1.0);
  return {-error / took, took};
}

} // namespace eup
