// Lengths as people write them on plans, in and out.
#pragma once
#include "core/measure/result.h"
#include "core/measure/units.h"
#include <string>
#include <string_view>

namespace eup {

/// Reads a length as written on a plan: `48`, `4,5 cm`, `12.7mm`, `.040`, `3/32`, `1 1/2 in`, `1-1/2"`, `3'`,
/// `2' 6 1/2"`, and `1 31/64" +.004` as it is shown. A bare whole or decimal number takes `bare`; a bare fraction is
/// inches, since nobody writes millimetres in thirty-seconds. Returns mm, any sign. Refuses what is not a length,
/// quoting what was typed.
Result<double> parseLength(std::string_view text, LengthUnit bare);

/// As `parseLength`, for numbers with no unit: `12`, `0,5`, `-3.25`, `1/2`. Trailing `%` or `°` are allowed.
Result<double> parseNumber(std::string_view text);

/// A mass in grams: `1400`, `1.4 kg`, `49 oz`, `3 lb`. A bare number is grams.
Result<double> parseMass(std::string_view text);

/// A length for reading: mm to `decimals` places without trailing zeros, or inches as a fraction to the nearest
/// 1/64 with what is left over marked (`1 31/64" +.004`). No unit is written after mm.
std::string formatLength(double mm, LengthUnit unit, int decimals = 2);

/// A number with at most `decimals` places and no trailing zeros; never "-0".
std::string formatNumber(double value, int decimals);

} // namespace eup
