#include "core/assembly/part_words.h"
#include "core/assembly/piece_finder.h"
#include "core/design/lasting.h"
#include "core/drawing/hinge_marks.h"
#include "core/drawing/paging.h"
#include "core/drawing/wing_drawings.h"
#include "core/geometry/lies_in.h"
#include "core/geometry/polyline.h"
#include "core/geometry/region.h"
#include "core/joins/setting_up.h"
#include "core/measure/figure.h"
#include "core/parts/spar_sheets.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double betweenParts = 6; // mm between parts on a sheet: room for a knife, and for the lettering

void grainArrow(Drawing& d, const Point& from, double length) {
  const Point to = from + Point(length, 0);
  d.line(Layer::mark, from, to);
  for (const Point& tip : {from, to}) {
    const double back = tip == from ? 2.5 : -2.5;
    d.line(Layer::mark, tip, tip + Point(back, 1));
    d.line(Layer::mark, tip, tip + Point(back, -1));
  }
}

struct Room {
  Point at{0, 0}; ///< the words' middle, on their base line
  double size = 3;
};

/// A place on the wood where the words lie clear of its edges, the chord line and the grain arrow; in the largest
/// lettering that fits.
std::optional<Room> roomFor(const std::string& words, const Region& wood, const Rib& rib) {
  constexpr double wide = 0.62, clear = 0.5; // of a letter's height; mm
  for (const double size : {3.0, 2.4, 1.8})
    for (const double fraction : {0.3, 0.35, 0.4, 0.25, 0.45, 0.2, 0.5, 0.55, 0.6, 0.15, 0.65, 0.7})
      for (const bool above : {true, false}) {
        const double x = fraction * rib.frame.chord, half = wide * size * static_cast<double>(words.size()) / 2 + clear;
        const double base = above ? 2.2 : -size - 0.8; // over the arrow, or under the chord line
        if (std::any_of(rib.sparX.begin(), rib.sparX.end(), [&](double at) { return std::abs(at - x) < half; }))
          continue; // where a spar's line is drawn
        if (liesIn({{x - half, base - clear}, {x + half, base + size + clear}}, wood)) return Room{{x, base}, size};
      }
  return std::nullopt;
}

/// What slots are filed to, each bevel once: "   slots filed 16.50°, outer face aft".
std::string slotsFiled(const std::vector<double>& bevels, LengthUnit unit, bool inSheet = false) {
  std::vector<std::string> words;
  for (const double bevel : bevels)
    if (std::string one = filedWords(bevel, unit, inSheet);
        !one.empty() && std::find(words.begin(), words.end(), one) == words.end())
      words.push_back(std::move(one));
  return words.empty() ? std::string() : fmt::format("   slots {}", fmt::join(words, "; "));
}

/// Of a rib's own slots: for sheet spars, for braces, half-laps.
std::string slotsFiled(const Rib& rib, LengthUnit unit) {
  std::vector<double> bevels;
  for (const Slot& s : rib.slots) bevels.push_back(s.bevel);
  for (const Lap& l : rib.laps) bevels.push_back(l.bevel);
  for (const PassHole& h : rib.passHoles) bevels.push_back(h.bevel);
  return slotsFiled(bevels, unit);
}

/// Of a sheet spar's slots.
std::string slotsFiled(const TruePanel& w, const SparLine& line) {
  std::vector<double> bevels;
  for (const std::vector<Rib>* ribs : {&w.frame.ribs, &w.frame.riblets})
    for (const Rib& rib : *ribs)
      for (const Slot& s : rib.slots)
        if (s.spar == line.index) bevels.push_back(s.bevel);
  return slotsFiled(bevels, w.design.unit, true);
}

/// `both`: in one piece over the centre, drawn with the right hand.
Drawing sparDrawing(const TruePanel& w, const SparLine& line, Hand hand, bool both) {
  const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
  Drawing d;
  const Polyline half = fullDepthSparOutline(spar, line);
  if (both) {
    Polyline other = half;
    for (Point& p : other) p.x() = -p.x();
    for (const Polyline& loop : unite({half}, {other})) d.loop(Layer::cut, loop);
    d.line(Layer::mark, {0, line.lowerSeat.root.y()}, {0, line.upperSeat.root.y()});
  } else {
    d.loop(Layer::cut, half);
  }
  const Box box = d.bounds();
  grainArrow(d, box.centre(), std::min(40.0, box.width() / 4));
  if (hand == Hand::left) d = mirrored(std::move(d));
  d.write({d.bounds().low.x(), box.low.y() - 5},
          fmt::format("{} {}  sheet {}{}  {}", spar.name, both ? "ONE FOR BOTH HANDS" : nameLarge(hand),
                      told(spar.sheet, Quantity::length, w.design.unit), slotsFiled(w, line),
                      both                  ? "the wing's centre at the mark"
                      : hand == Hand::right ? "root at the left"
                                            : "root at the right"));
  return d;
}

/// A web that runs through the ribs.
Drawing webDrawing(const TruePanel& w, const SparLine& line, Hand hand) {
  const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
  Drawing d;
  d.loop(Layer::cut, webOutline(spar, line));
  for (const Rib& rib : w.frame.ribs) { // where the halves of the ribs are glued to it
    if (!line.reaches(rib.t())) continue;
    const double s = rib.t() * line.stretch, low = line.lowerSeat.at(rib.t()).y(),
                 high = line.upperSeat.at(rib.t()).y(), middle = (low + high) / 2, half = (high - low) / 8;
    d.line(Layer::mark, {s, middle - half}, {s, middle + half});
  }
  const Box box = d.bounds();
  const double length = std::min(40.0, box.width() / 4);
  if (spar.webGrain == Grain::along) grainArrow(d, box.centre(), length);
  if (hand == Hand::left) d = mirrored(std::move(d));
  d.write({d.bounds().low.x(), box.low.y() - 5},
          fmt::format("{}, web {}  sheet {}, grain {}  root at the {}", spar.name, nameLarge(hand),
                      told(spar.webThickness, Quantity::length, w.design.unit),
                      spar.webGrain == Grain::upright ? "upright" : "along", hand == Hand::right ? "left" : "right"));
  return d;
}

} // namespace

Drawing ribDrawing(const TruePanel& w, const Rib& rib, Hand hand) {
  Drawing d;
  d.title = rib.name();
  d.wing = w.design.name;
  d.hand = hand;
  Region wood = asCut(w.design, rib);
  const bool between = rib.kind == RibKind::riblet || rib.kind == RibKind::crossing; // set up with the ribs beside it
  if (!between)
    for (const Foot& foot : w.settingUp.ribs[static_cast<std::size_t>(rib.number - w.design.firstRib)].feet) {
      wood = unite(wood, {foot.outline});
      d.line(Layer::mark, foot.breakFrom, foot.breakTo); // broken off along here
    }
  d.region(Layer::cut, wood);
  Box box = boundsOf(wood);
  if (box.empty()) box = boundsOf(rib.bare);
  d.line(Layer::mark, {box.low.x() - 3, 0}, {box.low.x() + 3, 0}); // chord line, at both ends of the wood
  d.line(Layer::mark, {box.high.x() - 3, 0}, {box.high.x() + 3, 0});
  for (std::size_t k = 0; k < rib.sparX.size(); ++k) {
    const double x = rib.sparX[k], half = rib.sparDepth[k] / 2;
    if (!w.frame.spars[k].reaches(rib.t()) || x > box.high.x()) continue;
    const double middle = rib.turn == 0 ? w.frame.spars[k].middle.at(rib.t()).y() - rib.frame.le.y() : rib.depth / 6;
    d.line(Layer::mark, {x, middle - std::min(3.0, half)}, {x, middle + std::min(3.0, half)});
  }
  for (const HingeCut& cut : rib.hinges)
    hingeMarks(d, w.design.surfaces[static_cast<std::size_t>(cut.surface)], cut, false);
  const double arrow = rib.frame.chord * 0.12;
  const double middle = between ? box.low.x() + box.width() * 0.3 : rib.frame.chord * 0.45;
  grainArrow(d, {middle, std::min(1.5, rib.depth / 8)}, std::min(arrow, box.width() / 2));
  // Where the edge is swept the nose is bevelled: how far, on the face that is cut back most.
  const double bevel = w.design.leading.width > 0 ? std::abs(w.design.leading.sweep + rib.turn) : 0;
  const double cutBack = rib.thickness * std::tan(bevel);
  constexpr double worthALine = 0.15; // mm
  if (cutBack > worthALine) {
    const double x = box.low.x() + cutBack;
    constexpr double hair = 0.01;
    const Box there = boundsOf(intersect({rectangle({x, -rib.frame.chord}, {x + hair, rib.frame.chord})}, wood));
    if (!there.empty()) d.line(Layer::mark, {x, there.low.y()}, {x, there.high.y()});
  }
  std::vector<Point> halves; // over each piece behind a web that runs through
  for (const Polyline& piece : rib.wantedPieces > 1 ? wood : Region{}) {
    Box at;
    for (const Point& p : piece) at.include(p);
    if (signedArea(piece) > 0 && at.low.x() > box.low.x() + 1e-6)
      halves.emplace_back(at.centre().x(), at.high.y() + 1.5);
  }
  // On the wood itself, so that it is still there when the rib is cut out.
  const std::string own = w.design.of > 1
                              ? fmt::format("{} {} panel {}", rib.name(), nameLarge(hand), w.design.id.panel + 1)
                              : fmt::format("{} {}", rib.name(), nameLarge(hand));
  const auto inside = roomFor(own, wood, rib);
  if (hand == Hand::left) d = mirrored(std::move(d));
  if (inside)
    d.write({hand == Hand::left ? -inside->at.x() : inside->at.x(), inside->at.y()}, own, inside->size, Anchor::middle);
  for (const Point& at : halves)
    d.write({hand == Hand::left ? -at.x() : at.x(), at.y()}, rib.name(), 3, Anchor::middle);
  const auto len = [&](double mm) { return told(mm, Quantity::length, w.design.unit); };
  d.write({d.bounds().low.x() + 3, box.low.y() - 4.5},
          fmt::format(
              "{} {}   at {}{}   chord {}   {} thick{}", rib.name(), nameLarge(hand), len(rib.t()),
              w.design.innermost() ? "" : " from the join", len(rib.frame.chord), len(rib.thickness / rib.layers),
              (rib.layers > 1 ? std::string(", cut two") : std::string()) + (rib.shared ? ", one for both hands" : "") +
                  (rib.lean != 0 ? "   top leans " + told(std::abs(rib.lean), Quantity::angle, w.design.unit) +
                                       (rib.lean > 0 ? " outwards" : " inwards")
                                 : "") +
                  (cutBack > worthALine ? "   nose bevelled " + told(bevel, Quantity::angle, w.design.unit) : "") +
                  slotsFiled(rib, w.design.unit) +
                  (rib.turn != 0 ? "   tail " + told(std::abs(rib.turn), Quantity::angle, w.design.unit) +
                                       (rib.turn > 0 ? " outwards" : " inwards")
                                 : "")),
          3);
  return d;
}

std::vector<Drawing> ribParts(const DrawnWing& wing, Hand hand) {
  std::vector<Drawing> parts;
  for (const TruePanel& w : wing) {
    if (w.design.built != Built::ribs) continue;
    for (const Rib& rib : w.frame.ribs)
      for (Drawing& block : stickBlocks(w, rib, hand)) parts.push_back(std::move(block));
    for (const Rib& rib : w.frame.ribs)
      for (int layer = 0; layer < (!rib.sticks.empty() || (rib.shared && hand == Hand::left) ? 0 : rib.layers); ++layer)
        parts.push_back(ribDrawing(w, rib, hand));
    for (const Rib& riblet : w.frame.riblets) parts.push_back(ribDrawing(w, riblet, hand));
    for (const SparLine& line : w.frame.spars)
      if (w.design.spars[static_cast<std::size_t>(line.index)].kind == SparKind::fullDepth) {
        const Part* sheet = PieceFinder(w.parts).find({PieceKind::sheetSpar, numberIn(w.design.spars, line.index)});
        const bool both = sheet && sheet->shared;
        if (!both || hand == Hand::right) parts.push_back(sparDrawing(w, line, hand, both));
      } else if (w.design.spars[static_cast<std::size_t>(line.index)].webs == Webs::continuous)
        parts.push_back(webDrawing(w, line, hand));
    for (Drawing& part : tipParts(w, hand)) parts.push_back(std::move(part));
  }
  for (Drawing& part : parts) part.title = "Ribs", part.wing = wing.front().get().design.name, part.hand = hand;
  return parts;
}

std::vector<Drawing> ribSheets(const DrawnWing& wing, Hand hand, double width, double height, double kerf) {
  std::vector<Drawing> parts = ribParts(wing, hand);
  for (Drawing& part : parts) part = withKerf(std::move(part), kerf);
  return packed(parts, {width, height > 0 ? height : 1e9}, betweenParts);
}

} // namespace eup
