#include "core/section/section.h"
#include "core/geometry/polyline.h"
#include <algorithm>
#include <array>
#include <cassert>
#include <cmath>
#include <numbers>

namespace eup {
namespace {

std::array<double, section_grid::points> makeGrid() {
  std::array<double, section_grid::points> grid{};
  for (int i = 0; i < section_grid::points; ++i) {
    const double u = std::max(0, i - section_grid::noseSteps) / static_cast<double>(section_grid::chordSteps);
    // Dense at the nose, where the curve turns, so that it leaves its chords about as far there as anywhere: 0.01 mm on
    // a chord of 500.
    grid[static_cast<std::size_t>(i)] = u * u * (0.3 + u * (2.0 - 1.3 * u));
  }
  grid.back() = 1.0;
  return grid;
}

const std::array<double, section_grid::points> grid = makeGrid();

/// The place where a chain that may start by running ahead of x = 0 comes back to x = 0 for good.
PlaceOn noseEnd(const Polyline& line) {
  return lastCrossing(line, 0.0).value_or(PlaceOn{0, 0});
}

/// Height of a chain that ends before x, straight on as it runs over its last half per cent.
double runOn(const Polyline& line, double x) {
  constexpr double over = 0.005, farthest = 0.002; // chord fractions
  const Point& end = line.back();
  std::size_t i = line.size() - 1;
  while (i > 0 && line[i].x() > end.x() - over) --i;
  const Point run = end - line[i];
  return run.x() > 0 && x - end.x() < farthest ? end.y() + run.y() / run.x() * (x - end.x()) : end.y();
}

Polyline onGrid(const Polyline& line) {
  Polyline out;
  out.reserve(section_grid::points);
  const Polyline cap = headOf(line, noseEnd(line));
  const double capLength = lengthOf(cap);
  for (int k = 0; k < section_grid::noseSteps; ++k) { // equal steps of arc over the part ahead of x = 0
    double want = capLength * k / section_grid::noseSteps;
    Point p = cap.front();
    for (std::size_t i = 1; i < cap.size(); ++i) {
      const double step = (cap[i] - cap[i - 1]).norm();
      if (want <= step) {
        p = step > 0 ? lerp(cap[i - 1], cap[i], want / step) : cap[i];
        break;
      }
      want -= step;
    }
    out.push_back(p);
  }
  out.push_back(cap.back());
  std::size_t j = noseEnd(line).segment + 1;
  for (int i = section_grid::noseSteps + 1; i < section_grid::points; ++i) {
    const double x = section_grid::fraction(i);
    while (j + 1 < line.size() && line[j].x() < x) ++j;
    const Point &a = line[j - 1], &b = line[j];
    if (x > b.x() && j + 1 == line.size()) { // a cambered tail ends a little short of x = 1 on one face: it runs on
      out.emplace_back(x, runOn(line, x));
      continue;
    }
    const double t = b.x() > a.x() ? std::clamp((x - a.x()) / (b.x() - a.x()), 0.0, 1.0) : 1.0;
    out.emplace_back(x, a.y() + (b.y() - a.y()) * t);
  }
  return out;
}

} // namespace

double section_grid::fraction(int i) {
  return grid[static_cast<std::size_t>(i)];
}

Section sectionFromCurves(std::string name, const Polyline& upper, const Polyline& lower) {
  assert(upper.size() >= 2 && lower.size() >= 2);
  return {std::move(name), onGrid(upper), onGrid(lower)};
}

Polyline outlineOf(const Section& section) {
  Polyline loop(section.upper.rbegin(), section.upper.rend());
  loop.insert(loop.end(), section.lower.begin() + 1, section.lower.end());
  return simplified(loop, 0);
}

GridPlace gridPlace(double x) {
  const double clamped = std::clamp(x, 0.0, 1.0);
  const auto first = grid.begin() + section_grid::noseSteps;
  auto above = std::upper_bound(first, grid.end() - 1, clamped);
  if (above == first) ++above;
  const auto i = static_cast<std::size_t>(above - grid.begin()) - 1;
  return {i, (clamped - grid[i]) / (grid[i + 1] - grid[i])};
}

double heightAt(const Polyline& surface, double x) {
  const GridPlace place = gridPlace(x);
  return lerp(surface[place.index], surface[place.index + 1], place.share).y();
}

} // namespace eup
