// Every tolerance of the geometry, with its reason and how it relates to the others (all in mm unless named).
#pragma once

namespace eup::tolerance {

/// Regions are worked on an integer grid of this pitch: far below a knife's width and a hundredth of `flattening`, far
/// above rounding (1e-9 at 1 m); 64-bit integers then reach beyond any wing.
inline constexpr double regionGrid = 1e-5;

/// A curve may be replaced by a chain of straight lines that leaves it by no more than this before it is drawn or
/// cut. A tenth of the width of a fine pencil line.
inline constexpr double flattening = 0.004;

/// What comes nearer than this to an end of its panel reaches it: ribs and strips are laid off to the hundredth.
inline constexpr double atAnEnd = 0.01;

/// Pieces smaller than this (mm²) that a cut leaves behind are dust, not wood.
inline constexpr double dustArea = 0.5;

} // namespace eup::tolerance
