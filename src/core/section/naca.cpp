#include "core/section/naca.h"
#include "core/files/bytes.h"
#include <algorithm>
#include <cctype>
#include <cmath>
#include <fmt/format.h>
#include <numbers>

namespace eup {
namespace {

constexpr int denseSteps = 1000;

double plainHalfThickness(double t, double x) {
  return 5 * t * (0.2969 * std::sqrt(x) + x * (-0.1260 + x * (-0.3516 + x * (0.2843 - 0.1015 * x))));
}

/// Two cubics that meet at the thickest point, for a section 20 % thick (NASA TM X-3284); scaled by thickness.
struct ModifiedThickness {
  explicit ModifiedThickness(const Naca& n) : m(n.thickestAt), scale(n.thickness / 0.2) {
    // Slope constants of the tail, NACA Report 492, for the thickest point at 20 … 60 %.
    constexpr double d1s[] = {0.200, 0.234, 0.315, 0.465, 0.700};
    const double back = 1 - m;
    d1 = d1s[std::clamp(static_cast<int>(std::lround(m * 10)) - 2, 0, 4)];
    d2 = (0.294 - 2 * back * d1) / (back * back);
    d3 = (-0.196 + back * d1) / (back * back * back);
    a0 = 0.296904 * n.noseIndex / 6;
    const double rho = 0.2 * back * back / (0.588 - 2 * d1 * back);
    a1 = 0.3 / m - 15.0 / 8 * a0 / std::sqrt(m) - m / (10 * rho);
    a2 = -0.3 / (m * m) + 5.0 / 4 * a0 / std::pow(m, 1.5) + 1 / (5 * rho);
    a3 = 0.1 / (m * m * m) - 0.375 * a0 / std::pow(m, 2.5) - 1 / (10 * rho * m);
  }
  double operator()(double x) const {
    if (x < m) return scale * (a0 * std::sqrt(x) + x * (a1 + x * (a2 + x * a3)));
    const double u = 1 - x;
    return scale * (0.002 + u * (d1 + u * (d2 + u * d3)));
  }
  double m, scale, d1, d2, d3, a0, a1, a2, a3;
};

struct MeanLine {
  double y, slope;
};

MeanLine meanLine(const Naca& n, double x) {
  if (n.fiveDigit()) {
    const double m = n.m, k = n.k1 / 6, r = n.k2ByK1;
    if (r > 0) { // reflexed
      const double rear = r * (1 - m) * (1 - m) * (1 - m), u = x - m, share = x < m ? 1 : r;
      return {k * (share * u * u * u - rear * x - m * m * m * x + m * m * m),
              k * (3 * share * u * u - rear - m * m * m)};
    }
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

std::string withoutPrefix(std::string_view text) {
  std::string out;
  for (char ch : text)
    if (!std::isspace(static_cast<unsigned char>(ch)))
      out += static_cast<char>(std::toupper(static_cast<unsigned char>(ch)));
  if (out.starts_with("NACA")) out.erase(0, out.starts_with("NACA-") ? 5 : 4);
  return out;
}

} // namespace

Result<Naca> readNaca(std::string_view text) {
  const std::string typed = withoutPrefix(text);
  std::string digits = typed;
  digits.erase(std::remove(digits.begin(), digits.end(), '-'), digits.end());
  const bool numeric = std::all_of(digits.begin(), digits.end(), [](char c) { return c >= '0' && c <= '9'; });
  const bool dashed = typed.size() == 7 && typed[4] == '-';
  if (!numeric || (dashed ? digits.size() != 6 : digits.size() != 4 && digits.size() != 5))
    return Problem{"",
                   fmt::format("“{}” is not a NACA section. Write 2412, 0012-64 or 23012, or open a coordinate file.",
                               firstLetters(text, 40))};
  Naca n;
  const auto digit = [&](std::size_t i) { return digits[i] - '0'; };
  n.digits = digits;
  if (dashed) {
    n.digits = typed;
    n.noseIndex = digit(4);
    n.thickestAt = digit(5) / 10.0;
    if (digit(4) > 8 || digit(5) < 2 || digit(5) > 6)
      return Problem{"", fmt::format("{}: the nose index can be 0 to 8, the thickest point 2 to 6 tenths.", typed)};
    digits.resize(4);
  }
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
  constexpr double reflexed[][3] = {
      {0.1300, 51.990, 0.000764}, {0.2170, 15.793, 0.00677}, {0.3180, 6.520, 0.0303}, {0.4410, 3.191, 0.1355}};
  const int least = digit(2) == 1 ? 2 : 1;
  if (digit(0) == 0 || digit(1) < least || digit(1) > 5 || digit(2) > 1)
    return Problem{"",
                   fmt::format("{}: 5-digit sections are offered with mean lines 210 to 250, and reflexed 221 to 251 "
                               "(first digit the design lift).",
                               digits)};
  n.camber = digit(0) / 2.0;
  if (digit(2) == 1) {
    const auto& line = reflexed[digit(1) - 2];
    n.m = line[0], n.k1 = line[1] * digit(0) / 2.0, n.k2ByK1 = line[2];
    return n;
  }
  n.m = ms[digit(1) - 1];
  n.k1 = k1s[digit(1) - 1] * digit(0) / 2.0;
  return n;
}

Section makeNaca(const Naca& n) {
  const ModifiedThickness modified(n);
  Polyline upper, lower;
  upper.reserve(denseSteps + 1);
  lower.reserve(denseSteps + 1);
  for (int i = 0; i <= denseSteps; ++i) {
    const double x = (1 - std::cos(std::numbers::pi * i / denseSteps)) / 2;
    const double yt = n.modified() ? modified(x) : plainHalfThickness(n.thickness, x);
    const MeanLine line = meanLine(n, x);
    const double scale = 1 / std::sqrt(1 + line.slope * line.slope), sine = line.slope * scale;
    upper.emplace_back(x - yt * sine, line.y + yt * scale);
    lower.emplace_back(x + yt * sine, line.y - yt * scale);
  }
  return sectionFromCurves("NACA " + n.digits, upper, lower);
}

double nacaNoseRadius(const Naca& n) {
  const double slope = meanLine(n, 0).slope;
  const double share = n.noseIndex / 6.0;
  return 1.1019 * n.thickness * n.thickness * share * share / std::sqrt(1 + slope * slope);
}

} // namespace eup
