#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/joins/centre_join.h"
#include "core/joins/setting_up.h"
#include "core/measure/figure.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double gap = 12;

/// Drawings stacked downwards, each from its own top.
struct Stack {
  Drawing& sheet;
  double y = 0;
  void put(const Drawing& part, double after = gap) {
    const Box box = part.bounds();
    sheet.add(part, {-box.low.x(), y - box.high.y()});
    y -= box.height() + after;
  }
  void text(std::string words, double height) {
    Drawing d;
    d.write({0, 0}, std::move(words), height);
    put(d, height * 0.7);
  }
};

Drawing blockGauge(const DrawnWing& w) {
  const TipBlock& block = w.join.block;
  Drawing d;
  const double h = std::max(block.height, 1.0);
  d.loop(Layer::cut, rectangle({0, 0}, {45, h}));
  d.write({50, h / 2 + 1}, fmt::format("Tip block {}", told(block.height, Quantity::length, w.design.unit)), 5);
  d.write({50, h / 2 - 5}, fmt::format("under R{} at {:.0f} % of the chord", w.ribs.size(), block.fraction * 100), 3);
  return d;
}

Drawing bevelGauge(const DrawnWing& w) {
  const double gamma = w.join.gamma, run = std::max(2 * w.ribs.front().depth, 40.0);
  Drawing d;
  d.loop(Layer::cut, {{0, 0}, {20, 0}, {20 + run * std::tan(std::abs(gamma)), run}, {0, run}});
  const double x = 26 + run * std::tan(std::abs(gamma));
  d.write({x, run / 2 + 1}, fmt::format("Root lean {}", told(gamma, Quantity::angle, w.design.unit)), 5);
  d.write({x, run / 2 - 5}, "stand it on the board: the root rib leans along the slope", 3);
  return d;
}

Drawing braceDrawing(const DrawnWing& w, const Brace& b) {
  Drawing d;
  d.loop(Layer::cut, b.outline);
  d.line(Layer::mark, {0, -b.depthRoot}, {0, b.depthRoot});
  const double half = b.bend / 2;
  for (const Rib& rib : w.ribs) {
    if (rib.number < 2 || rib.number >= b.toRib) continue;
    const double s = rib.t() * w.spars[static_cast<std::size_t>(b.spar)].stretch;
    for (double side : {-1.0, 1.0}) {
      const Point at(side * s * std::cos(half), s * std::sin(half)), up(-side * std::sin(half), std::cos(half));
      d.line(Layer::mark, at - up * (b.depthEnd / 2), at + up * (b.depthEnd / 2));
    }
  }
  const Box box = d.bounds();
  d.write({box.low.x(), box.low.y() - 6},
          fmt::format("Brace, {} ply: bend {}, legs {} to R{}, {} the {}; grain along",
                      told(w.design.join.braceThickness, Quantity::length, w.design.unit),
                      told(b.bend, Quantity::angle, w.design.unit), told(b.leg, Quantity::length, w.design.unit),
                      b.toRib, w.design.join.braceSide == BraceSide::front ? "before" : "behind",
                      w.design.spars[static_cast<std::size_t>(b.spar)].name),
          3);
  return d;
}

Drawing packingTable(const DrawnWing& w) {
  Drawing d;
  constexpr double row = 5.2, column = 24;
  const auto& heads = w.settingUp.ribs.front().at;
  d.write({0, 0}, "Rib", 3);
  for (std::size_t i = 0; i < heads.size(); ++i)
    d.write({column * static_cast<double>(i + 1) + 14, 0}, heads[i].line, 3, Anchor::right);
  d.line(Layer::text, {0, -1.6}, {column * static_cast<double>(heads.size()) + 16, -1.6});
  double y = -row - 0.6;
  for (const RibSupports& rib : w.settingUp.ribs) {
    d.write({0, y}, fmt::format("R{}", rib.rib), 3);
    for (std::size_t i = 0; i < rib.at.size(); ++i)
      d.write({column * static_cast<double>(i + 1) + 14, y},
              shown(rib.at[i].height, Quantity::length, w.design.unit).number, 3, Anchor::right);
    y -= row;
  }
  return d;
}

} // namespace

Drawing benchCard(const DrawnWing& w, Hand hand) {
  Drawing d;
  d.title = "Bench card";
  d.wing = w.design.name;
  d.hand = hand;
  Stack stack{d};
  stack.text(fmt::format("{}  {} HAND", w.design.name, nameLarge(hand)), 7);
  stack.text(fmt::format("Centre join: rise {}, dihedral {} each half",
                         told(w.join.rise, Quantity::length, w.design.unit),
                         told(w.join.gamma, Quantity::angle, w.design.unit)),
             3.5);
  stack.put(blockGauge(w));
  stack.put(bevelGauge(w));
  if (w.join.brace && w.join.brace->depthRoot > 0) {
    Drawing brace = braceDrawing(w, *w.join.brace);
    stack.put(brace);
  }
  stack.text(fmt::format("Packing: underside over the board ({}), {}",
                         w.design.unit == LengthUnit::mm ? "mm" : "inches",
                         w.settingUp.datum == Datum::undersideFlat ? "root underside flat" : "root chord level"),
             4);
  stack.put(packingTable(w));
  stack.text("Blades, planes and glue: mind fingers, eyes and air; read the maker's sheet of each glue. Sizes for "
             "model aircraft only.",
             2.6);
  d.shift(-d.bounds().low);
  return d;
}

} // namespace eup
