#include "core/measure/figure.h"
#include "core/measure/length_text.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

const char* unitName(Quantity quantity) {
  switch (quantity) {
  case Quantity::length:
    return "mm";
  case Quantity::angle:
    return "deg";
  case Quantity::area:
    return "mm2";
  case Quantity::force:
    return "N";
  case Quantity::moment:
    return "N mm";
  case Quantity::stress:
    return "MPa";
  case Quantity::stiffness:
    return "N mm2";
  case Quantity::ratio:
    return "1";
  case Quantity::percent:
    return "%";
  case Quantity::mass:
    return "g";
  case Quantity::loading:
    return "g/dm2";
  case Quantity::flow:
    return "N/mm";
  case Quantity::torsion:
    return "mm4";
  case Quantity::speed:
    return "m/s";
  case Quantity::hours:
    return "h";
  case Quantity::count:
    return "1";
  }
  return "";
}

double inReportUnit(double value, Quantity quantity) {
  if (quantity == Quantity::angle) return radToDeg(value);
  if (quantity == Quantity::percent) return value * 100;
  return value;
}

/// As many as are usual, and more where a light wing's value would show fewer than two digits.
static int decimals(double value, int usual) {
  const double size = std::abs(value);
  constexpr double least = 1e-9; // less is nought to every digit that is shown
  if (!(size > least) || !std::isfinite(size)) return usual;
  return std::clamp(1 - static_cast<int>(std::floor(std::log10(size))), usual, 4);
}

static Shown shownPlain(double value, Quantity quantity, LengthUnit unit) {
  const bool inch = unit == LengthUnit::inch;
  switch (quantity) {
  case Quantity::length:
    return inch ? Shown{formatLength(value, unit), ""}
                : Shown{fmt::format("{:.{}f}", value, std::abs(value) < 100 ? 2 : 1), "mm"};
  case Quantity::angle:
    return {fmt::format("{:.2f}", radToDeg(value)), "°"};
  case Quantity::area:
    if (inch) return {fmt::format("{:.2f}", value / (mmPerInch * mmPerInch)), "in²"};
    return value >= 1e5 ? Shown{fmt::format("{:.2f}", value / 1e4), "dm²"}
                        : Shown{fmt::format("{:.2f}", value / 100), "cm²"};
  case Quantity::force:
    return {fmt::format("{:.{}f}", value, decimals(value, 1)), "N"};
  case Quantity::moment:
    return {fmt::format("{:.{}f}", value, decimals(value, 0)), "N·mm"};
  case Quantity::stress:
    return {fmt::format("{:.1f}", value), "MPa"};
  case Quantity::stiffness:
    return {fmt::format("{:.3g}", value / 1e6), "N·m²"};
  case Quantity::ratio:
    // Three digits say what a reserve or an aspect ratio has to say.
    return {fmt::format("{:.{}f}", value, std::abs(value) < 10 ? 2 : std::abs(value) < 100 ? 1 : 0), ""};
  case Quantity::percent:
    return {fmt::format("{:.1f}", value * 100), "%"};
  case Quantity::mass:
    return inch ? Shown{fmt::format("{:.2f}", value / gramsPerOunce), "oz"}
                : Shown{fmt::format("{:.{}f}", value, decimals(value, 1)), "g"};
  case Quantity::loading:
    // 1 g/dm² = 0.01 kg/m²; ounces a square foot for inch documents.
    return inch ? Shown{fmt::format("{:.1f}", value / gramsPerOunce * 9.290304), "oz/ft²"}
                : Shown{fmt::format("{:.1f}", value), "g/dm²"};
  case Quantity::flow:
    return {fmt::format("{:.2f}", value), "N/mm"};
  case Quantity::torsion:
    return {fmt::format("{:.0f}", value), "mm⁴"};
  case Quantity::speed:
    return inch ? Shown{fmt::format("{:.0f}", value * 3600 / metresPerMile), "mph"}
                : Shown{fmt::format("{:.0f}", value), "m/s"};
  case Quantity::hours:
    return {fmt::format("{:.{}f}", value, value < 10 ? 1 : 0), "h"};
  case Quantity::count:
    return {fmt::format("{:.0f}", value), ""};
  }
  return {};
}

double mostShown(Quantity quantity) {
  return quantity == Quantity::stiffness                                 ? 1e15
         : quantity == Quantity::moment || quantity == Quantity::torsion ? 1e12
                                                                         : 1e9;
}

Shown shown(double value, Quantity quantity, LengthUnit unit) {
  const double most = mostShown(quantity);
  if (!(std::abs(value) < most)) // nothing is measured by so much: what is not loaded holds anything
    return {std::isnan(value) ? "none" : value > 0 ? "no limit" : "no limit below", ""};
  Shown s = shownPlain(value, quantity, unit);
  // What rounds to nothing has no sign.
  if (s.number.starts_with('-') && s.number.find_first_not_of("-0.") == std::string::npos) s.number.erase(0, 1);
  return s;
}

std::string told(double value, Quantity quantity, LengthUnit unit) {
  const Shown s = shown(value, quantity, unit);
  if (s.unit.empty() || s.unit == "°" || s.unit == "%") return s.number + s.unit;
  return s.number + " " + s.unit;
}

} // namespace eup
