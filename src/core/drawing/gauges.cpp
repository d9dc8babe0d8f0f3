// Gauges at full size: a template under the ribs of a panel that were asked for, which stands them as they shall stand,
// a stair of packing heights, and a cradle that holds both sides of a join at its angle.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/joins/panel_join.h"
#include "core/joins/setting_up.h"
#include "core/measure/figure.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double bodyBelow = 15; // mm of template below the building board's height, so that it has a body to stand on

std::string len(const TruePanel& w, double mm) {
  return told(mm, Quantity::length, w.design.unit);
}

/// The rib's underside over a level foot; or over its top, under a level edge that a rule or a level is laid on.
Drawing incidenceTemplate(const TruePanel& w, const Rib& rib, Hand hand, bool above) {
  const Placement turn{-w.settingUp.turn, {0, 0}};
  const auto stands = [&](const Point& chordAxes) -> Point { // along the rib, and up
    const Point3 p = rib.inPanel(chordAxes);
    const Point q = turn(Point(p.x(), p.z()));
    return {q.x() / std::cos(rib.turn), q.y()};
  };
  const Point nose = stands({0, 0});
  const double board = w.settingUp.board;
  Polyline loop;
  for (const Point& p : above ? rib.upper : rib.lower) {
    const Point q = stands(p);
    if (loop.empty() || q.x() > loop.back().x() + 1e-6) loop.emplace_back(q.x() - nose.x(), q.y() - board + bodyBelow);
  }
  loop = simplified(loop, 0.01);
  const Box curve = boundsOf(loop);
  const double level = above ? curve.high.y() + bodyBelow : 0;
  loop.emplace_back(loop.back().x(), level);
  loop.emplace_back(loop.front().x(), level);
  Drawing d;
  d.loop(Layer::cut, loop);
  if (!above)
    d.line(Layer::mark, {curve.low.x(), bodyBelow}, {curve.high.x(), bodyBelow}); // as high as the building board
  if (hand == Hand::left) d = mirrored(std::move(d));
  const Box box = d.bounds();
  const std::string words = above ? fmt::format("its level edge {} over the board", len(w, level - bodyBelow))
                                  : std::string("the line lies at the board");
  d.write({box.low.x() + 2, box.low.y() - 5},
          fmt::format("{} {} {}   {}; nose to the {}", above ? "over" : "under", rib.name(), nameLarge(hand), words,
                      hand == Hand::right ? "left" : "right"),
          3);
  return d;
}

/// Those that were asked for, or the root, middle and tip rib; from 0.
std::vector<std::size_t> templatedRibs(const TruePanel& w) {
  const std::size_t ribs = w.frame.ribs.size();
  std::vector<std::size_t> out;
  for (const int asked : w.design.join.templates)
    if (asked >= 1 && static_cast<std::size_t>(asked) <= ribs) out.push_back(static_cast<std::size_t>(asked) - 1);
  if (out.empty()) out = {0, ribs / 2, ribs - 1};
  std::sort(out.begin(), out.end());
  out.erase(std::unique(out.begin(), out.end()), out.end());
  return out;
}

/// A block that stands under the trailing edge of one rib: as high as it shall lie, and as steep.
Drawing washoutBlock(const TruePanel& w, const RibSupports& supports) {
  const Support& te = supports.at.back();
  constexpr double deep = 12; // mm along the chord, before the tail
  const double high = std::max(te.height, 0.0), front = std::max(high - deep * std::tan(te.slope), 0.0);
  Drawing d;
  d.loop(Layer::cut, {{0, 0}, {deep, 0}, {deep, high}, {0, front}});
  d.write({deep + 4, 1},
          fmt::format("Washout block, R{} TE: {} high at the tail, {} at {} before it", supports.rib, len(w, high),
                      len(w, front), len(w, deep)),
          3);
  return d;
}

/// Held against the planed nose: the rib's curve, cut away; under its sheet where that is laid over the stock, else
/// with the sheet that is butted to it, flush.
Drawing noseGauge(const TruePanel& w, const Rib& rib, Hand hand) {
  const Sheeting& s = w.design.sheeting;
  const bool over = s.from == NoseFrom::overStock || w.design.leadingEdge.kind == LeadingEdgeKind::none,
             sheeted = over && (s.top || s.bottom);
  Region nose{rib.bare};
  if (sheeted && s.top && s.bottom && s.on(true)->thickness == s.on(false)->thickness)
    nose = grown(nose, -s.thickness);
  else if (sheeted)
    nose = subtract(nose, besideRib(w.design, w.shape.loft, rib).sheet);
  const double reach = std::min(1.5 * w.design.leading.onRib(rib.turn) + 10, 0.6 * rib.frame.chord);
  double high = 0, low = 0;
  for (const Polyline& loop : nose)
    for (const Point& p : loop)
      if (p.x() <= reach) high = std::max(high, p.y()), low = std::min(low, p.y());
  constexpr double body = 12; // mm of gauge round the nose
  Drawing d;
  for (const Polyline& loop : subtract({rectangle({-body, low - body}, {reach, high + body})}, nose))
    d.loop(Layer::cut, loop);
  d.line(Layer::mark, {-body, 0}, {-body / 3, 0}); // the chord line
  if (hand == Hand::left) d = mirrored(std::move(d));
  const Box box = d.bounds();
  d.write({box.low.x(), box.low.y() - 5},
          fmt::format("nose gauge {} {}{}; the line is the chord line", rib.name(), nameLarge(hand),
                      sheeted ? ", under its sheet" : ""),
          3);
  return d;
}

/// Steps as high as the packing at one line of supports, rib after rib.
Drawing stair(const TruePanel& w, std::size_t line) {
  constexpr double tread = 12;
  Drawing d;
  Polyline loop{{0, 0}};
  double x = 0;
  for (const RibSupports& supports : w.settingUp.ribs) {
    const Support& s = supports.at[line];
    if (!s.there) continue;
    const double high = std::max(s.height, 0.0);
    loop.emplace_back(x, high);
    loop.emplace_back(x + tread, high);
    d.write({x + 1, -4}, fmt::format("R{}", supports.rib), 2.4);
    x += tread;
  }
  loop.emplace_back(x, 0);
  d.loop(Layer::cut, loop);
  d.write({0, -9},
          fmt::format("Packing heights, {}: {} to {}", w.settingUp.ribs.front().at[line].line,
                      len(w, w.settingUp.ribs.front().at[line].height),
                      len(w, w.settingUp.ribs.back().at[line].height)),
          3);
  return d;
}

/// Two faces at the join's angle, cut away under the glue.
Drawing cradle(const TruePanel& w) {
  constexpr double reach = 70, low = 18, relief = 3;
  const double rise = std::tan(w.join.fold), up = std::max(0.0, -rise * reach) + low;
  const auto face = [&](double x) { return up + std::abs(x) * rise; };
  Drawing d;
  d.loop(Layer::cut, {{-reach, 0},
                      {reach, 0},
                      {reach, face(reach)},
                      {relief, face(relief)},
                      {relief, up - relief},
                      {-relief, up - relief},
                      {-relief, face(relief)},
                      {-reach, face(reach)}});
  d.write({-reach, -5},
          fmt::format("Cradle for the join of {}: {} each side; the notch keeps glue off", w.frame.ribs.front().name(),
                      told(w.join.fold, Quantity::angle, w.design.unit)),
          3);
  return d;
}

} // namespace

std::vector<Drawing> gauges(const TruePanel& w, Hand hand) {
  std::vector<Drawing> parts;
  const auto put = [&](Drawing part) {
    part.title = w.design.of > 1 ? fmt::format("Gauges, panel {}", w.design.id.panel + 1) : "Gauges";
    part.wing = w.design.name;
    part.hand = hand;
    parts.push_back(std::move(part));
  };
  if (w.design.built != Built::ribs) {
    for (Drawing& part : sheetGauges(w, hand)) put(std::move(part));
    if (std::abs(w.join.fold) > 1e-3) put(cradle(w));
    return parts;
  }
  const std::vector<std::size_t> chosen = templatedRibs(w);
  for (const std::size_t i : chosen)
    for (const bool above : {false, true}) put(incidenceTemplate(w, w.frame.ribs[i], hand, above));
  for (Drawing& part : stackTemplates(w, hand)) put(std::move(part));
  for (Drawing& part : ribFixtures(w, hand)) put(std::move(part));
  for (const int asked : w.design.leadingEdge.gauges)
    if (asked >= 1 && static_cast<std::size_t>(asked) <= w.frame.ribs.size())
      put(noseGauge(w, w.frame.ribs[static_cast<std::size_t>(asked) - 1], hand));
  constexpr double worthAStep = 0.2; // mm: what lies lower lies on the board
  for (const std::size_t i : chosen)
    if (w.settingUp.ribs[i].at.back().height > worthAStep) put(washoutBlock(w, w.settingUp.ribs[i]));
  for (const std::size_t line : {std::size_t{0}, w.settingUp.ribs.front().at.size() - 1})
    if (std::any_of(w.settingUp.ribs.begin(), w.settingUp.ribs.end(),
                    [&](const RibSupports& r) { return r.at[line].height > worthAStep; }))
      put(stair(w, line));
  if (std::abs(w.join.fold) > 1e-3) put(cradle(w));
  return parts;
}

} // namespace eup
