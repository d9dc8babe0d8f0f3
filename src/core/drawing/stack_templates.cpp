// Templates that a stack of ribs is sanded between, at full size.
#include "core/drawing/wing_drawings.h"
#include "core/measure/figure.h"
#include "core/parts/rib_stack.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {

std::vector<Drawing> stackTemplates(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  const auto stack = ribStack(w.design, w.shape.loft, w.frame);
  if (!stack) return out;
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  for (const bool inner : {true, false}) {
    const Rib& rib = inner ? stack->innerTemplate : stack->outerTemplate;
    Drawing d;
    for (const Polyline& loop : rib.wood) d.loop(Layer::cut, loop);
    const double front = stack->boltFront * rib.frame.chord;
    for (const double x : {front, front + stack->boltApart}) {
      Polyline hole;
      constexpr int sides = 48;
      for (int i = 0; i < sides; ++i)
        hole.emplace_back(x + w.design.ribs.bolt / 2 * std::cos(2 * pi * i / sides),
                          w.design.ribs.bolt / 2 * std::sin(2 * pi * i / sides));
      d.loop(Layer::cut, hole);
    }
    d.line(Layer::mark, {0, 0}, {rib.frame.chord, 0});
    if (hand == Hand::left) d = mirrored(std::move(d));
    const Box box = d.bounds();
    d.write({box.low.x(), box.low.y() - 5},
            fmt::format("Stack template, {} end {}: outside {}, {} blanks of {} in all between", inner ? "root" : "tip",
                        nameLarge(hand), w.frame.ribs[inner ? 0 : w.frame.ribs.size() - 1].name(), w.frame.ribs.size(),
                        len(stack->thick)),
            3);
    out.push_back(std::move(d));
  }
  return out;
}

} // namespace eup
