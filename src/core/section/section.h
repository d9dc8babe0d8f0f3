// An aerofoil section, normalised: leading edge at (0,0), chord line along x, trailing edge at x = 1.
#pragma once
#include "core/geometry/point.h"
#include <optional>
#include <string>

namespace eup {

/// Both surfaces run from the leading edge point (0,0) to the trailing edge and are sampled at the same chord
/// fractions for every section, so that equal indices are the ends of one straight line of a ruled panel.
/// The first `noseSteps` intervals hold the part of a surface that lies ahead of x = 0 (a cambered section's nose);
/// for most sections they are all at (0,0). After them comes x = `gridFraction(i)`.
struct Section {
  std::string name;
  Polyline upper, lower;
  bool operator==(const Section&) const = default;
};

namespace section_grid {
inline constexpr int noseSteps = 8;
inline constexpr int chordSteps = 100;
inline constexpr int points = noseSteps + chordSteps + 1;
/// Chord fraction of point i ≥ noseSteps: closer together towards both ends, where the curve turns.
double fraction(int i);
} // namespace section_grid

/// A section from two dense chains, each from (0,0) to the trailing edge at x = 1. The chains are resampled on the
/// common grid by straight lines, so they should be denser than it.
Section sectionFromCurves(std::string name, const Polyline& upper, const Polyline& lower);

/// One closed loop, counter-clockwise: trailing edge over the top to the nose and back below.
Polyline outlineOf(const Section& section);

/// Height of a surface at chord fraction x in [0, 1].
double heightAt(const Polyline& surface, double x);

/// Index and share of the grid interval that holds chord fraction x in [0, 1].
struct GridPlace {
  std::size_t index = 0;
  double share = 0;
};
GridPlace gridPlace(double x);

} // namespace eup
