// NACA 4-digit, modified 4-digit and 5-digit sections from their published equations.
#pragma once
#include "core/measure/result.h"
#include "core/section/section.h"
#include <string>
#include <string_view>

namespace eup {

/// The numbers behind the digits. All as fractions of the chord.
struct Naca {
  std::string digits;   ///< "2412", "0012-64", "23012"
  double thickness = 0; ///< t, 0.01 … 0.4
  double camber = 0;    ///< p of 4-digit sections; for 5-digit ones the design lift coefficient ÷ 0.3 scales the line
  double camberAt = 0;  ///< 4-digit: place of the highest mean line
  double m = 0, k1 = 0; ///< 5-digit: where the first cubic ends, and its constant, design lift 0.3 scaled in
  double k2ByK1 = 0;    ///< of a reflexed line: the constant of the second cubic over that of the first
  /// Modified 4-digit only: the nose index (6 is the plain section's radius) and the place of the greatest thickness.
  int noseIndex = 6;
  double thickestAt = 0.3;
  bool modified() const { return digits.size() == 7; }
  bool fiveDigit() const { return digits.size() == 5; }
};

/// Reads "2412", "NACA 2412", "0012-64", "naca23012", and reflexed 5-digit lines (third digit 1): "23112".
Result<Naca> readNaca(std::string_view text);

/// 4-digit thickness and mean line: Jacobs, Ward, Pinkerton, NACA Report 460 (1933), with the open trailing edge
/// (last coefficient −0.1015). Modified thickness: Stack and von Doenhoff, NACA Report 492 (1934), in the closed form
/// of Ladson and Brooks, NASA TM X-3284 (1975), for nose indices 0 to 8 and places 0.2 to 0.6. 5-digit mean lines:
/// Jacobs and Pinkerton, NACA Report 537 (1935), tabulated m and k1; of reflexed ones m, k1 and k2/k1, chosen so that
/// the moment about the quarter chord vanishes. Thickness is laid off square to the mean line.
Section makeNaca(const Naca& naca);

/// Leading edge radius, 1.1019 t² (NACA Report 460), (index / 6)² of it when modified, turned for the slope of the mean
/// line at the nose.
double nacaNoseRadius(const Naca& naca);

} // namespace eup
