#include "core/geometry/region.h"
#include "core/geometry/polyline.h"
#include "core/geometry/round_offset.h"
#include "core/geometry/tolerances.h"
#include <algorithm>
#include <cmath>
#include <polyclipping/clipper.hpp>

namespace eup {
namespace {

using ClipperLib::Path;
using ClipperLib::Paths;

constexpr double perMm = 1 / tolerance::regionGrid;
constexpr double miterLimit = 2.0;

Path toPath(const Polyline& line) {
  Path path;
  path.reserve(line.size());
  for (const Point& p : line) path.emplace_back(std::llround(p.x() * perMm), std::llround(p.y() * perMm));
  return path;
}

Paths toPaths(const Region& region) {
  Paths paths;
  paths.reserve(region.size());
  for (const Polyline& loop : region) paths.push_back(toPath(loop));
  return paths;
}

Region fromPaths(const Paths& paths) {
  Region region;
  region.reserve(paths.size());
  for (const Path& path : paths) {
    Polyline loop;
    loop.reserve(path.size());
    for (const auto& p : path)
      loop.emplace_back(static_cast<double>(p.X) * tolerance::regionGrid,
                        static_cast<double>(p.Y) * tolerance::regionGrid);
    region.push_back(std::move(loop));
  }
  return region;
}

Region clip(const Region& a, const Region& b, ClipperLib::ClipType how,
            ClipperLib::PolyFillType subject = ClipperLib::pftNonZero) {
  ClipperLib::Clipper clipper;
  clipper.AddPaths(toPaths(a), ClipperLib::ptSubject, true);
  clipper.AddPaths(toPaths(b), ClipperLib::ptClip, true);
  Paths out;
  clipper.Execute(how, out, subject, ClipperLib::pftNonZero);
  return fromPaths(out);
}

Paths offset(const Paths& paths, double distance, ClipperLib::EndType end, ClipperLib::JoinType join) {
  ClipperLib::ClipperOffset offsetter(miterLimit, 0.01 * perMm);
  offsetter.AddPaths(paths, join, end);
  Paths out;
  offsetter.Execute(out, distance * perMm);
  return out;
}

} // namespace

double areaOf(const Region& region) {
  double sum = 0;
  for (const Polyline& loop : region) sum += signedArea(loop);
  return sum;
}

Point centroidOf(const Region& region) {
  Point sum(0, 0);
  double area = 0;
  for (const Polyline& loop : region) {
    const double one = signedArea(loop); // a hole's is negative
    sum += one * centroidOf(loop);
    area += one;
  }
  return std::abs(area) > 0 ? Point(sum / area) : Point(0, 0);
}

Box boundsOf(const Region& region) {
  Box box;
  for (const Polyline& loop : region) box.include(boundsOf(loop));
  return box;
}

const Polyline* largestOf(const Region& region) {
  const auto most = std::max_element(region.begin(), region.end(), [](const Polyline& a, const Polyline& b) {
    return signedArea(a) < signedArea(b); // a hole's is negative
  });
  return most == region.end() ? nullptr : &*most;
}

int pieceCount(const Region& region) {
  int pieces = 0;
  for (const Polyline& loop : region) pieces += signedArea(loop) > 0;
  return pieces;
}

Region unite(const Region& a, const Region& b) {
  return clip(a, b, ClipperLib::ctUnion);
}
Region subtract(const Region& from, const Region& what) {
  return clip(from, what, ClipperLib::ctDifference);
}
Region subtractFromWound(const Polyline& loop, const Region& what) {
  return clip({loop}, what, ClipperLib::ctDifference, ClipperLib::pftPositive);
}
Region intersect(const Region& a, const Region& b) {
  return clip(a, b, ClipperLib::ctIntersection);
}

Region grown(const Region& region, double distance) {
  return fromPaths(offset(toPaths(region), distance, ClipperLib::etClosedPolygon, ClipperLib::jtMiter));
}

Region bandAlong(const Polyline& line, double distance) {
  if (line.size() < 2 || distance <= 0) return {};
  return fromPaths(offset({toPath(line)}, distance, ClipperLib::etOpenButt, ClipperLib::jtMiter));
}

Region withoutDust(const Region& region, double area) {
  Region out;
  for (const Polyline& loop : region)
    if (std::abs(signedArea(loop)) >= area) out.push_back(loop);
  return out;
}

void addHole(Region& to, const Polyline& loop) {
  Path path = toPath(loop);
  if (ClipperLib::Orientation(path)) ClipperLib::ReversePath(path);
  add(to, fromPaths({path}));
}

void add(Region& to, Region what) {
  to.insert(to.end(), std::make_move_iterator(what.begin()), std::make_move_iterator(what.end()));
}

Polyline rectangle(const Point& low, const Point& high) {
  return {low, {high.x(), low.y()}, high, {low.x(), high.y()}};
}

Region grownRound(const Region& region, double distance) {
  if (distance <= 0) return region;
  return fromPaths(offset(toPaths(region), distance, ClipperLib::etClosedPolygon, ClipperLib::jtRound));
}

} // namespace eup
