// The setting-up board: a panel's plan with what goes under every rib.
#include "core/drawing/wing_drawings.h"
#include "core/joins/packing.h"
#include "core/joins/setting_up.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {

namespace {

/// Which of a panel is drawn: beside another hand's, its root's numbers stand there once and its lines are named at
/// the left tip.
enum class Half { alone, withRoot, withoutRoot };

/// With the root's leading edge at its panel's own axes.
Drawing setUp(const TruePanel& w, Hand hand, Half half) {
  Drawing d;
  const double side = hand == Hand::right ? 1 : -1, span = w.shape.loft.span();
  // Seen from above as the panel lies on the board: turned nose up or down it is a little shorter from front to back.
  const Placement turn{-w.settingUp.turn, {0, 0}};
  const auto at = [&](const Point& xz, double t) { return Point(side * t, -turn(xz).x()); };
  const auto onRib = [&](const Rib& rib, const Point& chordAxes) {
    const Point3 p = rib.inPanel(chordAxes);
    return at({p.x(), p.z()}, p.y());
  };
  const ChordFrame root = w.shape.loft.frameAt(0), tip = w.shape.loft.frameAt(span);
  d.loop(Layer::mark, {at(root.le, 0), at(tip.le, span), at(tip.te, span), at(root.te, 0)});
  const auto& lines = w.settingUp.ribs.front().at;
  std::vector<Polyline> along(lines.size());
  const auto fallsToTheRight = [&](std::size_t k) {
    const auto place = [&](const RibSupports& s) {
      return onRib(w.frame.ribs[static_cast<std::size_t>(s.rib - w.design.firstRib)], {s.at[k].x, 0});
    };
    const Point way = place(w.settingUp.ribs.back()) - place(w.settingUp.ribs.front());
    return way.x() * way.y() <= 0;
  };
  for (const RibSupports& supports : w.settingUp.ribs) {
    if (half == Half::withoutRoot && supports.rib == w.design.firstRib) {
      for (std::size_t k = 0; k < supports.at.size(); ++k)
        if (supports.at[k].there) along[k].push_back(onRib(w.frame.ribs.front(), {supports.at[k].x, 0}));
      continue;
    }
    const Rib& rib = w.frame.ribs[static_cast<std::size_t>(supports.rib - w.design.firstRib)];
    const Point nose = onRib(rib, {0, 0});
    // As far as it lies on the panel: a turned rib may run out over an end.
    const double slope = std::cos(rib.frame.washout) * std::sin(rib.turn), t0 = rib.frame.t;
    const auto reaches = [&](double t) { return std::clamp((t - t0) / slope, 0.0, rib.frame.chord); };
    const double from = slope == 0 ? 0 : std::min(reaches(0), reaches(span)),
                 to = slope == 0 ? rib.frame.chord : std::max(reaches(0), reaches(span));
    d.line(Layer::mark, onRib(rib, {from, 0}), onRib(rib, {to, 0}));
    d.write(nose + Point(-1.5, 3), rib.name(), 4, Anchor::right);
    for (std::size_t k = 0; k < supports.at.size(); ++k) {
      const Support& s = supports.at[k];
      if (!s.there) continue;
      const Point p = onRib(rib, {s.x, 0});
      along[k].push_back(p);
      d.line(Layer::cut, p - Point(2, 0), p + Point(2, 0));
      d.line(Layer::cut, p - Point(0, 2), p + Point(0, 2));
      const bool last = k + 1 == supports.at.size();
      // On that side of the line of supports that it falls away from to the right: words do not stand on lines.
      double y = fallsToTheRight(k) ? 7.4 : -4.6;
      if (k == 0) y = s.x + 8; // beyond the nose, where nothing runs
      d.write(p + Point(3, y), shown(s.height, Quantity::length, w.design.unit).number, 3);
      d.write(p + Point(3, y - 3), stackText(stackFor(s.height, w.design.join.packing), w.design.unit), 2);
      if (!last)
        d.write(p + Point(3, y - 5.6),
                fmt::format("{} {}", told(std::abs(s.slope), Quantity::angle, w.design.unit),
                            s.slope >= 0 ? "up aft" : "down aft"),
                2);
    }
    for (const Foot& foot : supports.feet) {
      const Point a = onRib(rib, foot.breakFrom), b = onRib(rib, foot.breakTo);
      d.loop(Layer::mark, {a - Point(rib.thickness, 0), a + Point(rib.thickness, 0), b + Point(rib.thickness, 0),
                           b - Point(rib.thickness, 0)});
    }
  }
  if (w.tip && !w.tip->rests.empty()) { // what a tip's stock is held up by, at its ends and where it reaches farthest
    Polyline edge;
    for (const Point& p : w.tip->edge) edge.push_back(at(tip.fromChord({p.x(), 0}), span + p.y()));
    d.strokes.push_back({Layer::mark, edge, false});
    for (const TipRest& rest : w.tip->rests) {
      const bool out = rest.at.x() > 0 && rest.at.x() < tip.chord;
      const Point p = at(tip.fromChord({rest.at.x(), 0}), span + (out ? w.tip->reach : 0));
      d.line(Layer::cut, p - Point(2, 0), p + Point(2, 0));
      d.line(Layer::cut, p - Point(0, 2), p + Point(0, 2));
      const double high = underTipRest(w.design, w.shape.loft, w.settingUp, rest);
      // Within the tip: beside the rib's own numbers.
      d.write(p + Point(side * (out ? -4 : 9), out               ? 2.5
                                               : rest.at.x() > 0 ? 4
                                                                 : -7),
              fmt::format("tip {}: {}", rest.where, shown(high, Quantity::length, w.design.unit).number), 3,
              (side > 0) == out ? Anchor::right : Anchor::left);
    }
  }
  for (std::size_t k = 0; k < along.size(); ++k) {
    d.strokes.push_back({Layer::mark, along[k], false});
    if (half == Half::alone)
      d.write(along[k].front() + Point(side * -4, 0), lines[k].line, 3, side > 0 ? Anchor::right : Anchor::left);
    else if (side < 0) // once, where no numbers stand
      d.write(along[k].back() + Point(-10, 0), lines[k].line, 3, Anchor::right);
  }
  return d;
}

/// Names it, and writes its head over the middle of it.
Drawing headed(Drawing d, const TruePanel& w, double middle) {
  d.title = w.design.of > 1 ? fmt::format("Setting up, panel {}", w.design.id.panel + 1) : "Setting up";
  d.wing = w.design.name;
  d.write({middle, d.bounds().high.y() + 12},
          fmt::format("{}  {}  setting up, from above, full size: underside over the board ({}), {}", w.design.name,
                      handLargeOf(d), w.design.unit == LengthUnit::mm ? "mm" : "inches",
                      w.settingUp.datum == Datum::undersideFlat ? "root underside flat" : "root chord level"),
          5, Anchor::middle);
  d.shift(-d.bounds().low);
  return d;
}

} // namespace

Drawing settingUpDrawing(const TruePanel& w, Hand hand) {
  Drawing d = setUp(w, hand, Half::alone);
  d.hand = hand;
  return headed(std::move(d), w, (hand == Hand::right ? 1 : -1) * w.shape.loft.span() / 2);
}

Drawing settingUpOfBoth(const TruePanel& right, const TruePanel& left) {
  Drawing d = setUp(right, Hand::right, Half::withRoot);
  d.add(setUp(left, Hand::left, Half::withoutRoot), {0, 0});
  d.bothHands = true;
  return headed(std::move(d), right, 0);
}

} // namespace eup
