// Fixtures that stick ribs are glued up in, at full size: every stick where it lies, and the stops that hold it.
#include "core/drawing/hinge_marks.h"
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include "core/parts/stick_rib.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>
#include <optional>

namespace eup {
namespace {

constexpr double stop = 6; // mm, side of the blocks that hold the strips

/// The strip's outer face at a place of the chord line; nothing beside it.
std::optional<Point> outerFace(const Stick& strip, double x) {
  std::optional<Point> out;
  const bool upper = strip.what == Stick::What::upper;
  for (std::size_t i = 0; i < strip.outline.size(); ++i) {
    const Point &a = strip.outline[i], &b = strip.outline[(i + 1) % strip.outline.size()];
    if ((a.x() > x) == (b.x() > x)) continue;
    const Point at(x, a.y() + (b.y() - a.y()) * (x - a.x()) / (b.x() - a.x()));
    if (!out || (upper ? at.y() > out->y() : at.y() < out->y())) out = at;
  }
  return out;
}

void addStops(Drawing& d, const Rib& rib) {
  const double apart = std::max(rib.frame.chord / 8, 3 * stop);
  for (const Stick& strip : rib.sticks) {
    if (strip.what != Stick::What::upper && strip.what != Stick::What::lower) continue;
    const bool top = strip.what == Stick::What::upper;
    for (double x = rib.frame.chord * 0.08; x < rib.frame.chord * 0.95; x += apart) {
      const auto a = outerFace(strip, x), b = outerFace(strip, x + stop);
      if (!a || !b) continue;
      const Point out = Point(a->y() - b->y(), b->x() - a->x()).normalized() * (top ? stop : -stop);
      d.loop(Layer::mark, {*a, *b, *b + out, *a + out});
    }
  }
}

Drawing fixtureOf(const TruePanel& w, const Rib& rib, const std::vector<int>& alike, Hand hand) {
  Drawing d;
  for (const Stick& stick : rib.sticks) d.loop(Layer::mark, stick.outline);
  for (const Notch& notch : rib.notches) d.loop(Layer::mark, notch.shape); // a length of the spar stands there
  for (const HingeCut& cut : rib.hinges)                                   // glued up whole, then sawn
    hingeMarks(d, w.design.surfaces[static_cast<std::size_t>(cut.surface)], cut, true);
  addStops(d, rib);
  d.line(Layer::mark, {-3, 0}, {rib.frame.chord + 3, 0});
  std::vector<std::pair<Point, std::string>> numbers;
  for (const Stick& stick : rib.sticks)
    if (stick.number > 0)
      numbers.emplace_back(centroidOf(stick.outline) + Point(0, -0.9),
                           fmt::format("{}{}", stick.what == Stick::What::upright ? "U" : "D", stick.number));
  if (hand == Hand::left) d = mirrored(std::move(d));
  const double side = hand == Hand::left ? -1 : 1;
  for (const auto& [at, text] : numbers) d.write({side * at.x(), at.y()}, text, 1.8, Anchor::middle);
  std::string names;
  for (const int number : alike) names += fmt::format("{}R{}", names.empty() ? "" : " ", number);
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  const Box box = d.bounds();
  d.write({box.low.x(), box.low.y() - 5},
          fmt::format("Fixture {}: {}, strips {} deep, {} thick", nameLarge(hand), names, len(w.design.sticks.depth),
                      len(rib.thickness / rib.layers)),
          3);
  d.write(
      {box.low.x(), box.low.y() - 10},
      rib.hinges.empty()
          ? "Film over the print; stops and lengths of spar nailed on; one side's gussets, then turn it over"
          : "Film over the print; one side's gussets, then turn it over; sawn at the upright marks when it is cured",
      3);
  return d;
}

} // namespace

std::vector<Drawing> ribFixtures(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  const auto groups = alikeRibs(w.frame.ribs);
  out.reserve(groups.size());
  for (const std::vector<int>& alike : groups) out.push_back(fixtureOf(w, w.frame.rib(alike.front()), alike, hand));
  return out;
}

std::vector<Drawing> stickBlocks(const TruePanel& w, const Rib& rib, Hand hand) {
  std::vector<Drawing> out;
  for (const Stick& stick : rib.sticks) {
    if (stick.what != Stick::What::noseBlock && stick.what != Stick::What::tailBlock) continue;
    Drawing d;
    d.loop(Layer::cut, stick.outline);
    if (hand == Hand::left) d = mirrored(std::move(d));
    const Box box = d.bounds();
    d.write({box.low.x(), box.low.y() - 4},
            fmt::format("{} {}  {}, {} thick", rib.name(), nameLarge(hand), wordsOf(stick),
                        told(rib.thickness / rib.layers, Quantity::length, w.design.unit)),
            2.4);
    for (int layer = 0; layer < (rib.shared && hand == Hand::left ? 0 : rib.layers); ++layer) out.push_back(d);
  }
  return out;
}

} // namespace eup
