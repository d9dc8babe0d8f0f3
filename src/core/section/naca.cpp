#include "core/section/naca.h"
#include <algorithm>
#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <numbers>

namespace eup {
namespace {

constexpr int denseSteps = 1000;

double halfThickness(double t, double x) {
  return 5 * t * (0.2969 * std::sqrt(x) + x * (-0.1260 + x * (-0.3516 + x * (0.2843 - 0.1015 * x))));
}

struct MeanLine {
  double y, slope;
};

MeanLine meanLine(const Naca& n, double x) {
  if (n.fiveDigit()) {
    const double m = n.m, k = n.k1 / 6;
    if (x < m)
      return {k * (x * x * x - 3 * m * x * x + m * m * (3 - m) * x), k * (3 * x * x - 6 * m * x + m * m * (3 - m))};
    return {k * m * m * m * (1 - x), -k * m * m * m};
  }
  const double c = n.camber, p = n.camberAt;
  if (c == 0 || p == 0) return {0, 0};
  if (x < p) return {c / (p * p) * (2 * p * x - x * x), 2 * c / (p * p) * (p - x)};
  const double q = (1 - p) * (1 - p);
  return {c / q * ((1 - 2 * p) + 2 * p * x - x * x), 2 * c / q * (p - x)};
}

std::string onlyDigits(std::string_view text) {
  std::string out;
  for (char ch : text)
    if (!std::isspace(static_cast<unsigned char>(ch)) && ch != '-')
      out += static_cast<char>(std::toupper(static_cast<unsigned char>(ch)));
  if (out.starts_with("NACA")) out.erase(0, 4);
  return out;
}

} // namespace

Result<Naca> readNaca(std::string_view text) {
  const std::string digits = onlyDigits(text);
  const bool numeric = std::all_of(digits.begin(), digits.end(), [](char c) { return c >= '0' && c <= '9'; });
  if (!numeric || (digits.size() != 4 && digits.size() != 5))
    return Problem{"",
                   fmt::format("“{}” is not a 4- or 5-digit section. Write 2412 or 23012, or open a coordinate file.",
                               text.substr(0, 40))};
  Naca n;
  n.digits = digits;
  const auto digit = [&](std::size_t i) { return digits[i] - '0'; };
  n.thickness = (digit(digits.size() - 2) * 10 + digit(digits.size() - 1)) / 100.0;
  if (n.thickness < 0.01 || n.thickness > 0.40)
    return Problem{"",
                   fmt::format("{}: the last two digits are the thickness in percent; 01 to 40 can be drawn.", digits)};
  if (digits.size() == 4) {
    n.camber = digit(0) / 100.0;
    n.camberAt = digit(1) / 10.0;
    if ((digit(0) == 0) != (digit(1) == 0))
      return Problem{"", fmt::format("{}: camber and its place go together; both digits or neither.", digits)};
    return n;
  }
  // NACA Report 537, table of mean lines for a design lift coefficient of 0.3.
  constexpr double ms[] = {0.0580, 0.1260, 0.2025, 0.2900, 0.3910};
  constexpr double k1s[] = {361.400, 51.640, 15.957, 6.643, 3.230};
  if (digit(0) == 0 || digit(1) < 1 || digit(1) > 5 || digit(2) != 0)
    return Problem{
        "", fmt::format("{}: 5-digit sections are offered with mean lines 210 to 250 (first digit the design lift).",
                        digits)};
  n.camber = digit(0) / 2.0;
  n.m = ms[digit(1) - 1];
  n.k1 = k1s[digit(1) - 1] * digit(0) / 2.0;
  return n;
}

Section makeNaca(const Naca& n) {
  Polyline upper, lower;
  upper.reserve(denseSteps + 1);
  lower.reserve(denseSteps + 1);
  for (int i = 0; i <= denseSteps; ++i) {
    const double x = (1 - std::cos(std::numbers::pi * i / denseSteps)) / 2;
    const double yt = halfThickness(n.thickness, x);
    const MeanLine line = meanLine(n, x);
    const double scale = 1 / std::sqrt(1 + line.slope * line.slope), sine = line.slope * scale;
    upper.emplace_back(x - yt * sine, line.y + yt * scale);
    lower.emplace_back(x + yt * sine, line.y - yt * scale);
  }
  return sectionFromCurves("NACA " + n.digits, upper, lower);
}

double nacaNoseRadius(const Naca& n) {
  const double slope = meanLine(n, 0).slope;
  return 1.1019 * n.thickness * n.thickness / std::sqrt(1 + slope * slope);
}

} // namespace eup
