// Flat regions with holes: what is left of a rib after each cut. The polygon work is done by a polygon library.
#pragma once
#include "core/geometry/point.h"

namespace eup {

/// Closed loops; outer ones counter-clockwise, holes clockwise. No loop repeats its first point.
using Region = std::vector<Polyline>;

double areaOf(const Region& region);
Box boundsOf(const Region& region);
/// Of its area, holes left out; the origin for a region without any.
Point centroidOf(const Region& region);
/// The outside of the largest piece; null for a region without any.
const Polyline* largestOf(const Region& region);
/// Loops that are outsides, that is: pieces of wood.
int pieceCount(const Region& region);

Region unite(const Region& a, const Region& b);
Region subtract(const Region& from, const Region& what);
/// From what a loop winds round counter-clockwise; parts where it runs over itself the other way are not in it.
Region subtractFromWound(const Polyline& loop, const Region& what);
Region intersect(const Region& a, const Region& b);
/// Moved outwards by `distance` (inwards when negative), square to every side, corners kept sharp.
Region grown(const Region& region, double distance);
/// All that lies within `distance` of an open chain, on both sides, ended square.
Region bandAlong(const Polyline& line, double distance);
/// Without pieces and holes smaller than `area` (mm²).
Region withoutDust(const Region& region, double area);

/// Without what a loop holds that lies wholly in it, clear of its edges: as `subtract` gives it, and far quicker.
void addHole(Region& to, const Polyline& loop);
/// Its loops go after those of `to`; the two must not overlap.
void add(Region& to, Region what);
/// The rectangle with corner `low` and corner `high`.
Polyline rectangle(const Point& low, const Point& high);

} // namespace eup
