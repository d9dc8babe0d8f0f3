// What one asks of a chain of points: its length, its area, the point at a place along it.
#pragma once
#include "core/geometry/point.h"
#include <optional>

namespace eup {

double lengthOf(const Polyline& line);
/// Signed area of the closed chain (first and last point joined): counter-clockwise positive. mm².
double signedArea(const Polyline& loop);
double perimeterOf(const Polyline& loop);
Point centroidOf(const Polyline& loop);
Box boundsOf(const Polyline& line);

/// A place on a chain: on the segment after `segment`, `t` of the way.
struct PlaceOn {
  std::size_t segment = 0;
  double t = 0;
};
Point pointAt(const Polyline& line, PlaceOn place);
/// The piece from the start up to `place`, ending exactly there; and the rest.
Polyline headOf(const Polyline& line, PlaceOn place);
Polyline tailOf(const Polyline& line, PlaceOn place);
/// The piece between two places, `from` not behind `to`; both ends in it.
Polyline pieceOf(const Polyline& line, PlaceOn from, PlaceOn to);
/// The place nearest to the end where the chain crosses the vertical through `x`, coming from the end.
std::optional<PlaceOn> lastCrossing(const Polyline& line, double x);

/// Fewer points, none of the dropped ones further than `tolerance` from the result (Douglas and Peucker, 1973).
/// Keeps the ends. With `tolerance` 0 only repeated points go.
Polyline simplified(const Polyline& line, double tolerance);

/// True if two segments of the closed chain, not neighbours, cross or touch; says which.
struct Crossing {
  std::size_t first, second;
};
std::optional<Crossing> selfCrossing(const Polyline& loop);

/// The smallest circle through three places in turn, `step` apart along the chain; nothing for a straight one.
struct Bend {
  double radius = 0;
  Point at{0, 0};
  bool left = false; ///< it turns that way
};
std::optional<Bend> sharpestBend(const Polyline& line, double step);

/// The lower convex hull of points from left to right: a straightedge laid under them.
Polyline lowerHull(const Polyline& line);

} // namespace eup
