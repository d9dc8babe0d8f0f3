// All braces of a wing on one sheet of ply, each of its plates in its place, the bends nested in one another.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/joins/panel_join.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <array>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double betweenPlates = 5; // mm between plates: room for a saw, and for the lettering

/// Where a closed outline's edge lies at x: its lowest or its highest place. Nothing beside it.
std::optional<double> edgeAt(const Polyline& loop, double x, bool high) {
  std::optional<double> out;
  for (std::size_t i = 0; i < loop.size(); ++i) {
    const Point &a = loop[i], &b = loop[(i + 1) % loop.size()];
    if (x < std::min(a.x(), b.x()) || x > std::max(a.x(), b.x())) continue;
    const double run = b.x() - a.x();
    const std::array<double, 2> ends{run == 0 ? a.y() : a.y() + (b.y() - a.y()) * (x - a.x()) / run,
                                     run == 0 ? b.y() : a.y() + (b.y() - a.y()) * (x - a.x()) / run};
    for (const double y : ends)
      if (!out || (high ? y > *out : y < *out)) out = y;
  }
  return out;
}

/// How far `next` goes down so that it clears `above` everywhere. Both have straight edges: looking at their corners
/// is enough.
double dropUnder(const Polyline& above, const Polyline& next) {
  double drop = -1e300;
  const auto look = [&](double x) {
    const auto floor = edgeAt(above, x, false), top = edgeAt(next, x, true);
    if (floor && top) drop = std::max(drop, *top - *floor);
  };
  for (const Polyline* one : {&above, &next})
    for (const Point& p : *one) look(p.x());
  return drop + betweenPlates;
}

struct Plate {
  const TruePanel& panel;
  const Brace& brace;
  const Bracing& decided;
};

std::vector<Plate> platesOf(const DrawnWing& wing, Hand hand) {
  std::vector<Plate> out;
  for (const TruePanel& w : wing) {
    if (w.join.centre && hand == Hand::left) continue; // both hands have it in common
    for (const Brace& b : w.join.braces) {
      const Bracing& decided = w.design.join.braces[static_cast<std::size_t>(b.number)];
      for (int k = 0; b.depthRoot > 0 && k < decided.plates(); ++k) out.push_back({w, b, decided});
    }
  }
  return out;
}

/// Which plate it is, in words.
std::string wordsOf(const Plate& p, Hand hand) {
  const LengthUnit unit = p.panel.design.unit;
  return fmt::format("{} {}, {}{}, {} {}", p.panel.frame.ribs.front().name(),
                     p.panel.design.spars[static_cast<std::size_t>(p.brace.spar)].name,
                     p.panel.join.centre ? "both hands" : nameLarge(hand),
                     p.brace.folded ? ", folded " + told(p.brace.turn, Quantity::angle, unit) : std::string(),
                     p.panel.design.tables.named(p.decided.material).label,
                     told(p.decided.thickness, Quantity::length, unit));
}

/// A plate at that height: its outline, the join, and the grain along each leg.
Drawing plateAt(const Plate& p, double y) {
  Polyline outline = p.brace.outline;
  for (Point& q : outline) q += Point(0, y);
  Drawing part;
  part.loop(Layer::cut, outline);
  part.line(Layer::mark, {0, y - p.brace.depthRoot / 2}, {0, y + p.brace.depthRoot / 2});
  const double half = (p.panel.join.fold >= 0 ? p.brace.bend : -p.brace.bend) / 2;
  for (const double side : {-1.0, 1.0}) {
    const double leg = side > 0 ? p.brace.outer.length : p.brace.inner.length;
    const Point along(side * std::cos(half), std::sin(half));
    part.line(Layer::mark, Point(0, y) + along * (0.3 * leg), Point(0, y) + along * (0.7 * leg));
  }
  return part;
}

} // namespace

std::vector<Drawing> bracesOneByOne(const DrawnWing& wing, Hand hand) {
  std::vector<Drawing> out;
  for (const Plate& p : platesOf(wing, hand)) {
    Drawing part = plateAt(p, 0);
    if (hand == Hand::left) part = mirrored(std::move(part));
    const Box box = part.bounds();
    part.write({box.low.x(), box.low.y() - 5}, wordsOf(p, hand) + "; grain along", 3);
    part.title = "Braces";
    part.wing = wing.front().get().design.name;
    part.hand = hand;
    out.push_back(std::move(part));
  }
  return out;
}

std::vector<Drawing> bracePlates(const DrawnWing& wing, Hand hand, double kerf) {
  const std::vector<Plate> plates = platesOf(wing, hand);
  if (plates.empty()) return {};
  Drawing sheet;
  sheet.title = "Braces";
  sheet.wing = wing.front().get().design.name;
  sheet.hand = hand;
  Polyline above;
  double wood = 0, y = 0, beside = 0;
  for (const Plate& p : plates) beside = std::max(beside, boundsOf(p.brace.outline).high.x());
  for (const Plate& p : plates) {
    if (!above.empty()) y = -dropUnder(above, p.brace.outline) - kerf;
    above = p.brace.outline;
    for (Point& q : above) q += Point(0, y);
    Drawing part = withKerf(plateAt(p, y), kerf);
    sheet.add(hand == Hand::left ? mirrored(std::move(part)) : part, {0, 0});
    sheet.write({beside + 6, above[2].y() - 3}, wordsOf(p, hand), 3);
    wood += std::abs(signedArea(p.brace.outline));
  }
  Box all;
  for (const Stroke& s : sheet.strokes)
    if (s.layer == Layer::cut)
      for (const Point& p : s.points) all.include(p);
  const LengthUnit unit = wing.front().get().design.unit;
  sheet.write({all.low.x(), all.low.y() - 9},
              fmt::format("{}  {} HAND: {} plates on {} × {}, {:.0f} % of it used; grain of the outer plies along",
                          sheet.wing, nameLarge(hand), plates.size(), told(all.width(), Quantity::length, unit),
                          told(all.height(), Quantity::length, unit), 100 * wood / (all.width() * all.height())),
              3.5);
  sheet.shift(-sheet.bounds().low);
  return {std::move(sheet)};
}

} // namespace eup
