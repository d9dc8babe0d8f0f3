// What the figures and findings of a wing as built are told with.
#pragma once
#include "core/report/report_parts.h"
#include "core/wing/as_read.h"
#include <cmath>
#include <fmt/format.h>
#include <numbers>

namespace eup {

inline constexpr const char* byReading = "readings at the bench; how to mend: common practice, no source";

/// What is let be: twist, rad; mm over a straightedge; mm of bow, of rise, of a notch. Common practice.
inline constexpr double twistLetBe = 0.3 * std::numbers::pi / 180, gapLetBe = 0.25, bowLetBe = 1, riseLetBe = 2,
                        notchLetBe = 0.2;
/// An error is believed when it is so many times its doubt.
inline constexpr double believed = 2;

inline bool isSure(double value, double doubt, double letBe) {
  return std::abs(value) > std::max(letBe, believed * doubt);
}

inline std::string handWords(Hand hand) {
  return fmt::format("{} hand", name(hand));
}

/// Wood as hard as a strip of spruce cannot be wetted into another shape.
inline bool isHard(const Material& wood) {
  constexpr double hard = 300; // kg/m³, common practice
  return wood.density > hard;
}

/// What was read at ribs, on the scales, hung: as figures, or as findings; the other is null.
void tellRibs(const TrueWing& aircraft, int wing, FigureList* figures, std::vector<Finding>* findings);
void tellMasses(const TrueWing& aircraft, int wing, FigureList* figures, std::vector<Finding>* findings);
void tellBalance(const TrueWing& aircraft, FigureList* figures, std::vector<Finding>* findings);

} // namespace eup
