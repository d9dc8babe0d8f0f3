// Every tolerance of the geometry, with its reason and how it relates to the others (all in mm unless named).
#pragma once

namespace eup::tolerance {

/// Two points nearer than this are one point. Far below a knife's width, far above rounding (1e-9 at 1 m).
inline constexpr double samePoint = 1e-4;

/// Regions are worked on an integer grid of this pitch: a tenth of `samePoint`, so that snapping cannot merge points
/// that we hold apart; 64-bit integers then reach beyond any wing.
inline constexpr double regionGrid = 1e-5;

/// A curve may be replaced by a chain of straight lines that leaves it by no more than this before it is drawn or
/// cut. A tenth of the width of a fine pencil line.
inline constexpr double flattening = 0.004;

/// Pieces smaller than this (mm²) that a cut leaves behind are dust, not wood.
inline constexpr double dustArea = 0.5;

} // namespace eup::tolerance
