#include "core/foam/wire_program.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

std::string beyond(const Box& box, const HotWire& wire, const char* tower) {
  const auto over = [&](double low, double high, double travel, const char* way) -> std::string {
    if (low < -1e-6) return fmt::format("the {} tower would go {:.1f} mm below zero {}", tower, -low, way);
    if (high > travel + 1e-6)
      return fmt::format("the {} tower would go to {:.1f} mm {}; it travels {:.1f}", tower, high, way, travel);
    return {};
  };
  const std::string aft = over(box.low.x(), box.high.x(), wire.travelAft, "aft");
  return aft.empty() ? over(box.low.y(), box.high.y(), wire.travelUp, "up") : aft;
}

} // namespace

Point blockOnMachine(const FoamCore& core, const HotWire& wire) {
  return {wire.blockAft - core.front, wire.blockUp - core.low};
}

Result<WireProgram> wireProgram(const FoamCore& core, const HotWire& wire, Hand hand) {
  const double length = core.outer.t - core.inner.t, innerPlane = -wire.fromTower,
               outerPlane = wire.towersApart - wire.fromTower;
  const std::size_t n = std::min(core.inner.path.size(), core.outer.path.size());
  if (n < 3 || length <= 0) return Problem{"", "nothing is left of the core to be cut"};
  if (innerPlane > 0 || outerPlane < length)
    return Problem{"",
                   fmt::format("the towers' planes, {:.1f} mm apart, do not stand on either side of the core, which "
                               "reaches from {:.1f} to {:.1f}",
                               wire.towersApart, wire.fromTower, wire.fromTower + length)};
  const Point zero = blockOnMachine(core, wire);
  const auto step = [&](std::size_t i) { return wire.first == FirstFace::upper ? i : n - 1 - i; };
  const auto at = [&](std::size_t i, bool outer) -> Point {
    const CoreEnd& end = outer ? core.outer : core.inner;
    return core.cutFrame(outer).fromChord(end.path[step(i)].at) + zero;
  };
  const auto turns = [&](std::size_t i) { // at the nose, where the other face begins
    return i + 1 < n && core.inner.path[step(i)].face != core.inner.path[step(i + 1)].face;
  };
  const double over = wire.blockUp + core.block.height + wire.clear,
               behind = wire.blockAft + core.block.width + wire.clear;
  WireProgram out;
  out.heat = wire.heat, out.preheat = wire.preheat;
  const auto go = [&](const TowerStep& to, double seconds) {
    out.moves.push_back({to, seconds, 0});
    out.inner.include(to.inner), out.outer.include(to.outer);
    out.seconds += seconds;
  };
  const auto ends = [&](const Point& in, const Point& away) {
    return onTowers(in, away, innerPlane, outerPlane, length);
  };
  const Point start[2] = {{behind, at(0, false).y()}, {behind, at(0, true).y()}},
              finish[2] = {{behind, at(n - 1, false).y()}, {behind, at(n - 1, true).y()}};
  const TowerStep first = ends(start[0], start[1]), last = ends(finish[0], finish[1]);
  const double high = std::max({over, first.inner.y(), first.outer.y(), last.inner.y(), last.outer.y()});
  go({{0, 0}, {0, 0}}, 0);
  go({{0, high}, {0, high}}, 0);
  go({{first.inner.x(), high}, {first.outer.x(), high}}, 0);
  go(first, 0);
  out.heatFrom = out.moves.size();
  Point before[2] = {start[0], start[1]};
  const auto cut = [&](const Point& in, const Point& away) {
    const double way = std::max((in - before[0]).norm(), (away - before[1]).norm());
    if (way < 1e-6) return;
    go(ends(in, away), way / core.speed);
    before[0] = in, before[1] = away;
  };
  for (std::size_t i = 0; i < n; ++i) {
    cut(at(i, false), at(i, true));
    if (turns(i)) out.moves.back().rest = wire.rest, out.seconds += wire.rest;
  }
  cut(finish[0], finish[1]);
  out.heatTo = out.moves.size();
  go({{last.inner.x(), high}, {last.outer.x(), high}}, 0);
  go({{0, high}, {0, high}}, 0);
  go({{0, 0}, {0, 0}}, 0);
  if (hand == Hand::left) {
    for (WireMove& move : out.moves) std::swap(move.to.inner, move.to.outer);
    std::swap(out.inner, out.outer);
  }
  for (const auto& [box, tower] : {std::pair(&out.inner, "inner"), std::pair(&out.outer, "outer")})
    if (const std::string what = beyond(*box, wire, tower); !what.empty()) return Problem{"", what};
  return out;
}

} // namespace eup
