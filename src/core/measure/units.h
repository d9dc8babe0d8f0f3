// Units at the edges of the program. Inside: mm, rad, N, N·mm, MPa, g.
#pragma once
#include "core/measure/choice.h"

namespace eup {

inline constexpr double mmPerInch = 25.4;                 // exact, international inch
inline constexpr double gramsPerPound = 453.59237;        // exact, international pound
inline constexpr double gramsPerOunce = 28.349523125;     // exact, pound / 16
inline constexpr double gsmPerOuncePerYard2 = 33.905747;  // g/m² in 1 oz/yd²
inline constexpr double kgm3PerPoundPerFoot3 = 16.018463; // kg/m³ in 1 lb/ft³
inline constexpr double metresPerMile = 1609.344;         // exact, international mile
inline constexpr double standardGravity = 9.80665;        // m/s², exact by convention
inline constexpr double airDensity = 1.225;               // kg/m³, standard atmosphere at sea level, ISO 2533

inline constexpr double pi = 3.14159265358979323846; // not <numbers>: Qt 6.4's moc cannot read that header
inline constexpr double degToRad(double deg) {
  return deg * pi / 180.0;
}
inline constexpr double radToDeg(double rad) {
  return rad * 180.0 / pi;
}

enum class LengthUnit { mm, inch };
inline constexpr std::array unitChoices{Choice{"mm", "mm"}, Choice{"inch", "inches"}};
static_assert(unitChoices.size() == wordsFor(LengthUnit::inch));

} // namespace eup
