// Surfaces on hinges at full size: facings with the places of hinges, ribs and horn; end sections with their cuts and
// bevels; gauges of the bevels; tails of ribs that are cut apart; the linkage as it stands at rest.
#include "core/drawing/wing_drawings.h"
#include "core/geometry/polyline.h"
#include "core/measure/figure.h"
#include "core/surfaces/track.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// What one surface's prints are drawn with.
struct SurfacePrint {
  const TruePanel& w;
  const SurfaceMade& made;
  const Surface& s;
  Hand hand;
  std::string len(double mm) const { return told(mm, Quantity::length, w.design.unit); }
  std::string deg(double rad) const { return told(rad, Quantity::angle, w.design.unit); }
  Drawing blank() const {
    Drawing d;
    d.title = w.design.of > 1 ? fmt::format("{}, panel {}", s.name, w.design.id.panel + 1) : s.name;
    d.wing = w.design.name;
    d.hand = hand;
    return d;
  }
  /// Turned over for a left hand; then what is written under it.
  Drawing finished(Drawing d, const std::vector<std::string>& lines) const {
    if (hand == Hand::left) d = mirrored(std::move(d));
    const Box box = d.bounds();
    for (std::size_t i = 0; i < lines.size(); ++i)
      d.write({box.low.x(), box.low.y() - 5 - 4.5 * static_cast<double>(i)}, lines[i], 2.8);
    return d;
  }
};

/// A facing as it is sawn: along the hinge line, its upper edge up, seen from the hinge's side of the surface.
Drawing facingDrawing(const SurfacePrint& p, bool own) {
  const FacingStrip& strip = own ? p.made.facing : p.made.wingFacing;
  Drawing d = p.blank();
  const double length = strip.length, proud = p.s.proud;
  const auto depthAt = [&](double x) { return strip.depthFrom + (strip.depthTo - strip.depthFrom) * x / length; };
  d.loop(
      Layer::cut,
      {{0, -strip.depthFrom / 2}, {length, -strip.depthTo / 2}, {length, strip.depthTo / 2}, {0, strip.depthFrom / 2}});
  if (proud > 0)
    for (const double side : {-1.0, 1.0})
      d.line(Layer::mark, {0, side * (strip.depthFrom / 2 - proud)}, {length, side * (strip.depthTo / 2 - proud)});
  const double cosine = std::cos(p.made.line.sweep);
  for (const Rib& rib : p.w.frame.ribs) {
    if (!rib.ofWood || !p.made.line.covers(rib.t())) continue;
    const double x = (rib.t() - p.made.inner.t) / cosine, half = depthAt(x) / 2 - proud;
    d.line(Layer::mark, {x, -half}, {x, half});
  }
  const Hinges& h = p.s.hinges;
  for (const HingePlace& place : p.made.hinges) {
    const double half = depthAt(place.along) / 2 - proud;
    const double y = p.s.nose == SurfaceNose::round || p.s.at == HingeAt::middle ? 0
                     : p.s.at == HingeAt::top                                    ? half
                                                                                 : -half;
    const double thick = std::max(h.slot, 0.4) / 2;
    d.loop(Layer::mark, rectangle({place.along - h.width / 2, y - thick}, {place.along + h.width / 2, y + thick}));
  }
  if (own && p.made.driven && p.s.drive.hornBlock > 0) {
    const double x = (p.made.driven->at.t - p.made.inner.t) / cosine, half = p.s.drive.hornBlock / 2;
    for (const double side : {-1.0, 1.0})
      d.line(Layer::mark, {x + side * half, -depthAt(x) / 2 + proud}, {x + side * half, depthAt(x) / 2 - proud});
  }
  const std::string whose = own ? p.s.name : "wing, at the " + p.s.name;
  return p.finished(
      std::move(d),
      {fmt::format("FACING OF THE {}, {}: sheet {}, grain along, inner end at the {}; seen from the gap", whose,
                   nameLarge(p.hand), p.len(strip.thickness), p.hand == Hand::left ? "right" : "left"),
       fmt::format("upright: ribs; bars: hinges, {} into either part; it stands {} proud all along, plane it to "
                   "the curve when it is glued",
                   p.len(h.deep), p.len(proud))});
}

/// Both facings one over the other: long as they are, they share their pages.
Drawing facingsDrawing(const SurfacePrint& p) {
  Drawing d = p.blank();
  double under = 0;
  for (const bool own : {true, false}) {
    if ((own ? p.made.facing : p.made.wingFacing).thickness <= 0) continue;
    const Drawing one = facingDrawing(p, own);
    const Box box = one.bounds();
    d.add(one, {0, under - box.high.y()});
    under -= box.height() + 8;
  }
  return d;
}

void cross(Drawing& d, const Point& at) {
  d.line(Layer::mark, at - Point(3, 0), at + Point(3, 0));
  d.line(Layer::mark, at - Point(0, 3), at + Point(0, 3));
}

/// The surface's own shape at an end: what closes it, and what it is sanded to.
Drawing endDrawing(const SurfacePrint& p, bool outer) {
  const SurfaceEnd& end = outer ? p.made.outer : p.made.inner;
  Drawing d = p.blank();
  d.loop(Layer::cut, end.cut.outline);
  if (!end.cut.facing.empty() && p.s.ofRibs())
    for (const Polyline& loop : intersect({end.cut.outline}, {end.cut.facing})) d.loop(Layer::mark, loop);
  cross(d, end.cut.hinge);
  std::vector<std::string> lines{fmt::format(
      "{}, {} END, {}: {} out from {}; seen from the tip; the cross is the hinge line", p.s.name,
      outer ? "OUTER" : "INNER", nameLarge(p.hand), p.len(end.t), p.w.design.innermost() ? "the root" : "the join")};
  if (p.s.nose == SurfaceNose::round)
    lines.push_back(fmt::format("nose round, radius {}, about the hinge line", p.len(end.cut.noseRadius)));
  else
    lines.push_back(fmt::format("cut back {} above and {} below: turns {} up and {} down", p.len(end.cut.backTop),
                                p.len(end.cut.backBottom), p.deg(p.made.line.up), p.deg(p.made.line.down)));
  return p.finished(std::move(d), lines);
}

/// A card with a notch that lies over the corner between face and bevel.
std::optional<Drawing> bevelGauge(const SurfacePrint& p, bool outer, bool top) {
  const HingeSection& cut = (outer ? p.made.outer : p.made.inner).cut;
  const double bevel = top ? cut.bevelTop : cut.bevelBottom, deep = top ? cut.bevelLongTop : cut.bevelLongBottom;
  if (deep <= 0.3) return std::nullopt;
  const double corner = cornerOf(cut, top) + bevel;
  Drawing d = p.blank();
  constexpr double far = 100;
  const Polyline wood{{0, 0}, {far, 0}, {far, far}, Point(std::cos(corner), std::sin(corner)) * far};
  d.region(Layer::cut, subtract({rectangle({-12, -12}, {36, 22})}, {wood}));
  return p.finished(std::move(d), {fmt::format("{} {}: bevel {}, {} end: {} out of square; {} in the notch", p.s.name,
                                               nameLarge(p.hand), top ? "on top" : "below", outer ? "outer" : "inner",
                                               p.deg(bevel), p.deg(corner)),
                                   "cut the notch out: its long side along the face, its short side on the bevel"});
}

/// What is sawn off a rib, where the surface is built by itself.
Drawing tailDrawing(const SurfacePrint& p, const Rib& rib, const HingeCut& cut) {
  Drawing d = p.blank();
  for (const Polyline& loop : cut.tail) d.loop(Layer::cut, loop);
  cross(d, cut.at.hinge);
  return p.finished(std::move(d), {fmt::format("{}, {}, {}", rib.name(), p.s.name, nameLarge(p.hand))});
}

/// Servo, arm, rod and horn at rest, on the section there; and the plate's opening.
Drawing driveDrawing(const SurfacePrint& p) {
  const Driven& driven = *p.made.driven;
  const Servo& servo = p.w.design.tables.servo(p.s.drive.servo);
  Drawing d = p.blank();
  const Cut cut = p.w.shape.loft.cutAt(std::clamp(driven.at.t, 0.0, p.w.shape.loft.span()));
  for (const Polyline* face : {&cut.upper, &cut.lower}) {
    Polyline line;
    for (const Point& q : *face) line.push_back(driven.at.frame.toChord(q));
    d.strokes.push_back({Layer::mark, simplified(line, 0.02), false});
  }
  const double along = 1 / std::cos(p.made.line.sweep);
  const auto on = [&](const Point& q) { return Point(q.x() * along, q.y()); };
  const Point axis = on(driven.bars.servo), arm = on(driven.bars.armPin(0)), hinge = on(driven.bars.hinge),
              horn = on(driven.bars.hornPin(0));
  d.loop(Layer::mark, rectangle({driven.seat.from, axis.y() - servo.thickness / 2},
                                {driven.seat.to, axis.y() + servo.thickness / 2}));
  d.line(Layer::mark, axis, arm), d.line(Layer::mark, arm, horn), d.line(Layer::mark, horn, hinge);
  for (const Point& pin : {axis, arm, horn, hinge}) cross(d, pin);
  return p.finished(
      std::move(d),
      {fmt::format("{}, {}: linkage at rest, {} out; pin to pin {}; arm {}, horn {}", p.s.name, nameLarge(p.hand),
                   p.len(driven.at.t), p.len(driven.bars.rod()), p.len(driven.bars.arm), p.len(driven.bars.horn)),
       fmt::format("{}: {} × {}, {} high; centre it before it is buried", servo.label, p.len(servo.length),
                   p.len(servo.thickness), p.len(servo.height))});
}

/// The servo's plate, or its hatch: as wide as the bay, with the opening that the servo goes through.
std::optional<Drawing> plateDrawing(const SurfacePrint& p) {
  const auto size = servoPlateOf(p.w.design, p.made);
  if (!size) return std::nullopt;
  const ServoSeat& seat = p.made.driven->seat;
  Drawing d = p.blank();
  d.loop(Layer::cut, rectangle({0, 0}, {size->bay, size->deep}));
  const Point low((size->bay - size->openAlong) / 2, (size->deep - size->openAcross) / 2);
  const bool within = size->openAlong < size->bay; // else it parts the plate
  d.loop(within ? Layer::cut : Layer::mark, rectangle(low, low + Point(size->openAlong, size->openAcross)));
  return p.finished(std::move(d),
                    {fmt::format("{}, {}: plate under the servo, {} thick, between R{} and R{}; nose up", p.s.name,
                                 nameLarge(p.hand), p.len(p.s.drive.plate), seat.ribInside, seat.ribOutside)});
}

/// The plate that a flap slides in, its slot and lining about the hinge line.
Drawing trackDrawing(const SurfacePrint& p) {
  const Track track(p.s.slide);
  Drawing d = p.blank();
  const Region slot = track.slot();
  for (const Polyline& loop : slot) d.loop(Layer::cut, loop);
  Box box = boundsOf(slot);
  constexpr double rim = 6; // mm of plate round the slot
  d.loop(Layer::cut, rectangle(box.low - Point(rim, rim), box.high + Point(rim, rim)));
  Polyline middle = track.line();
  d.strokes.push_back({Layer::mark, middle, false});
  for (const double aft : {0.0, p.s.slide.midAft, p.s.slide.endAft}) {
    const TrackPlace place = track.at(aft);
    cross(d, place.rear), cross(d, place.front);
  }
  return p.finished(
      std::move(d),
      {fmt::format("{}, {}: plate of its track, seen from the tip; pins {} thick, {} apart; slot lined with {}",
                   p.s.name, nameLarge(p.hand), p.len(p.s.slide.pin), p.len(p.s.slide.pinsApart),
                   p.len(p.s.slide.lining)),
       fmt::format("crosses: both pins at rest, on their way, at the end; turned there by {}",
                   p.deg(track.at(p.s.slide.endAft).turn))});
}

/// Doublers of the ribs beside a hard point.
void addDoublers(const TruePanel& w, Hand hand, std::vector<Drawing>& out) {
  for (const HardPointMade& made : w.hardPoints) {
    const HardPoint& h = w.design.hardPoints[static_cast<std::size_t>(made.number)];
    if (h.doubler <= 0) continue;
    for (const int number : {made.ribInside, made.ribOutside}) {
      const Rib& rib = w.frame.rib(number);
      const Region shape = doublerOn(w.design, rib, h);
      if (shape.empty()) continue;
      Drawing d;
      d.title = h.name, d.wing = w.design.name, d.hand = hand;
      d.region(Layer::cut, shape);
      const double x = h.chord * rib.frame.chord;
      const Box box = boundsOf(shape);
      for (const double side : {-0.5, 0.5})
        d.line(Layer::mark, {x + side * h.width, box.low.y()}, {x + side * h.width, box.high.y()});
      if (hand == Hand::left) d = mirrored(std::move(d));
      const Box now = d.bounds();
      d.write({now.low.x(), now.low.y() - 5},
              fmt::format("{} {}: doubler on {}, {}; lines: its block", h.name, nameLarge(hand), rib.name(),
                          told(h.doubler, Quantity::length, w.design.unit)),
              2.8);
      out.push_back(std::move(d));
    }
  }
}

} // namespace

std::vector<Drawing> surfacePrints(const TruePanel& w, Hand hand) {
  std::vector<Drawing> out;
  for (const SurfaceMade& made : w.surfaces) {
    const SurfacePrint p{w, made, w.design.surfaces[static_cast<std::size_t>(made.line.surface)], hand};
    if (made.facing.thickness > 0 || made.wingFacing.thickness > 0) out.push_back(facingsDrawing(p));
    if (p.s.partsRibs())
      for (const bool outer : {false, true}) {
        if (!(outer ? made.outer : made.inner).cut.outline.empty()) out.push_back(endDrawing(p, outer));
        for (const bool top : {true, false})
          if (auto gauge = bevelGauge(p, outer, top)) out.push_back(std::move(*gauge));
      }
    if (p.s.built == SurfaceBuilt::apart)
      for (const Rib& rib : w.frame.ribs)
        for (const HingeCut& cut : rib.hinges)
          if (cut.surface == made.line.surface && rib.ofWood && !cut.tail.empty())
            out.push_back(tailDrawing(p, rib, cut));
    if (slides(p.s)) out.push_back(trackDrawing(p));
    if (!made.driven) continue;
    out.push_back(driveDrawing(p));
    if (auto plate = plateDrawing(p)) out.push_back(std::move(*plate));
  }
  addDoublers(w, hand, out);
  return out;
}

} // namespace eup
