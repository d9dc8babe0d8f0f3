#include "core/drawing/wing_drawings.h"
#include "core/measure/figure.h"
#include "core/parts/spar_sheets.h"
#include <algorithm>
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

/// Panel (x aft, t outwards) → drawing: the tip to the right, the leading edge up.
Point onPlan(double x, double t) {
  return {t, -x};
}

double aftOf(const ChordFrame& f, double chordX) {
  return f.fromChord({chordX, 0}).x();
}

void chordwiseLine(Drawing& d, const TruePanel& w, double rootX, double tipX, Layer layer) {
  const ChordFrame root = w.shape.loft.frameAt(0), tip = w.shape.loft.frameAt(w.shape.loft.span());
  d.line(layer, onPlan(aftOf(root, rootX), 0), onPlan(aftOf(tip, tipX), w.shape.loft.span()));
}

void ribOnPlan(Drawing& d, const Rib& rib) {
  if (!rib.ofWood) { // a station of sheet
    const Point3 nose = rib.inPanel({0, 0}), tail = rib.inPanel({rib.frame.chord, 0});
    return d.line(Layer::mark, onPlan(nose.x(), nose.y()), onPlan(tail.x(), tail.y()));
  }
  Polyline loop;
  for (const Point& p : seenFromAbove(rib)) loop.push_back(onPlan(p.x(), p.y()));
  if (loop.empty()) return;
  d.loop(Layer::cut, loop);
  const Box wood = boundsOf(rib.wood); // the line that the rib stands on
  const Point3 front = rib.inPanel({wood.low.x(), 0}), back = rib.inPanel({wood.high.x(), 0});
  d.line(Layer::mark, onPlan(front.x(), front.y()), onPlan(back.x(), back.y()));
}

void sparOnPlan(Drawing& d, const TruePanel& w, const SparLine& line) {
  const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
  Polyline loop;
  for (const Point& p : sparFromAbove(spar, line)) loop.push_back(onPlan(p.x(), p.y()));
  if (!loop.empty()) d.loop(Layer::cut, loop);
  d.line(Layer::mark, onPlan(line.middle.root.x(), 0), onPlan(line.middle.at(line.end).x(), line.end));
}

/// The joiner's sleeve, where it lies in this panel.
void joinerOnPlan(Drawing& d, const TruePanel& w) {
  const Rib* last = nullptr;
  const PassHole* first = nullptr;
  for (const Rib& rib : w.frame.ribs)
    for (const PassHole& h : rib.passHoles)
      if (h.what == Passing::What::joiner) {
        if (!first) first = &h;
        last = &rib;
      }
  if (!last || !w.design.join.joiner.fitted) return;
  const double x = aftOf(w.frame.ribs.front().frame, first->middle.x()), half = first->width / 2;
  d.loop(Layer::mark,
         {onPlan(x + half, 0), onPlan(x + half, last->t()), onPlan(x - half, last->t()), onPlan(x - half, 0)});
}

void tipOnPlan(Drawing& d, const TruePanel& w) {
  if (!w.tip) return;
  const double span = w.shape.loft.span();
  const ChordFrame tip = w.shape.loft.frameAt(span);
  const auto place = [&](const Polyline& line) {
    Polyline out;
    for (const Point& p : line) out.push_back(onPlan(aftOf(tip, p.x()), span + p.y()));
    return out;
  };
  if (w.tip->edge.empty()) { // a plate, seen on edge
    const double from = aftOf(tip, -w.design.tip.margin), to = aftOf(tip, tip.chord + w.design.tip.margin);
    d.loop(Layer::cut,
           {onPlan(to, span), onPlan(to, span + w.tip->reach), onPlan(from, span + w.tip->reach), onPlan(from, span)});
    return;
  }
  for (std::size_t i = 1; i < w.tip->pieces.size(); ++i) { // where one piece meets the next
    const Polyline joint = place({w.tip->pieces[i].outline.front(), w.tip->pieces[i].outline.back()});
    d.line(Layer::cut, joint.front(), joint.back());
  }
  d.strokes.push_back({Layer::cut, place(w.tip->edge), false});
  if (!w.tip->inner.empty()) d.strokes.push_back({Layer::cut, place(w.tip->inner), false});
  for (const TipTemplate& one : w.tip->templates)
    d.line(Layer::mark, onPlan(aftOf(tip, one.from), span + one.beyond),
           onPlan(aftOf(tip, one.from + one.chord), span + one.beyond));
}

/// A surface's hinge line, its ends, the planes that it is sawn by, its hinges, infills and gussets.
void surfaceOnPlan(Drawing& d, const TruePanel& w, const SurfaceMade& made) {
  const Surface& s = w.design.surfaces[static_cast<std::size_t>(made.line.surface)];
  const double from = made.inner.t, to = made.outer.t;
  const auto axis = [&](double t, double aft = 0) { return onPlan(made.line.axis.at(t).x() + aft, t); };
  d.line(Layer::mark, axis(from), axis(to));
  if (s.whole()) return;
  const auto tail = [&](double t) {
    return s.plateLike() ? axis(t, s.plateChord) : onPlan(w.shape.loft.frameAt(t).te.x(), t);
  };
  d.line(Layer::cut, axis(from), tail(from));
  d.line(Layer::cut, axis(to), tail(to));
  if (s.plateLike()) d.line(Layer::cut, tail(from), tail(to));
  if (s.partsRibs()) {
    const double across = 1 / std::cos(made.line.sweep);
    const auto sawn = [&](double frontIn, double frontOut) {
      d.line(Layer::cut, axis(from, frontIn * across), axis(to, frontOut * across));
    };
    const double in = made.inner.cut.noseRadius, out = made.outer.cut.noseRadius,
                 before = s.nose == SurfaceNose::round ? s.gap : s.gap / 2;
    sawn(-in - before, -out - before);
    if (s.wingFacing > 0) sawn(-in - before - s.wingFacing, -out - before - s.wingFacing);
    if (s.ofRibs() && s.facing > 0) sawn(s.gap / 2 + s.facing - in, s.gap / 2 + s.facing - out);
  }
  for (const HingePlace& place : made.hinges) {
    const double half = s.hinges.width / 2;
    d.loop(Layer::mark, {axis(place.t - half, -s.hinges.deep), axis(place.t + half, -s.hinges.deep),
                         axis(place.t + half, s.hinges.deep), axis(place.t - half, s.hinges.deep)});
  }
  for (const auto& places : {infillsOf(w.design, w.frame, made), gussetsOf(w.design, w.frame, made)})
    for (const Polyline& place : places) {
      Polyline loop;
      loop.reserve(place.size());
      for (const Point& p : place) loop.push_back(onPlan(p.x(), p.y()));
      d.loop(Layer::mark, loop);
    }
  if (made.wire) {
    Polyline way{axis(0)};
    for (const Point& p : joinWireFromAbove(s, made)) way.push_back(onPlan(p.x(), p.y()));
    d.strokes.push_back({Layer::mark, way, false});
  }
}

/// Leads and tubes from hole to hole, and the blocks of hard points.
void fittingsOnPlan(Drawing& d, const TruePanel& w) {
  for (std::size_t k = 0; k < w.design.runs.size(); ++k) {
    Polyline way;
    for (const Rib& rib : w.frame.ribs)
      for (const RunHole& hole : rib.runs)
        if (hole.run == static_cast<int>(k)) {
          const Point3 at = rib.inPanel(hole.middle);
          way.push_back(onPlan(at.x(), at.y()));
        }
    if (way.size() > 1) d.strokes.push_back({Layer::mark, way, false});
  }
  for (const HardPointMade& made : w.hardPoints) {
    const double half = w.design.hardPoints[static_cast<std::size_t>(made.number)].width / 2, t = made.middle.y(),
                 x = made.middle.x();
    d.loop(Layer::mark, {onPlan(x - half, t - made.length / 2), onPlan(x + half, t - made.length / 2),
                         onPlan(x + half, t + made.length / 2), onPlan(x - half, t + made.length / 2)});
  }
}

/// One panel with its root's leading edge at the origin; `rootRib`: with the rib that stands there, and its name;
/// `bothHands`: with the other hand's beside it.
Drawing panelOnPlan(const TruePanel& w, Hand hand, bool rootRib, bool bothHands) {
  Drawing d;
  const double span = w.shape.loft.span();
  const ChordFrame root = w.shape.loft.frameAt(0), tip = w.shape.loft.frameAt(span);
  // No line across where its edges run on.
  d.strokes.push_back(
      {Layer::cut,
       {onPlan(root.te.x(), 0), onPlan(tip.te.x(), span), onPlan(tip.le.x(), span), onPlan(root.le.x(), 0)},
       !bothHands});
  if (w.design.leadingEdge.kind != LeadingEdgeKind::none)
    chordwiseLine(d, w, w.design.leading.onRib(), w.design.leading.onRib(), Layer::cut);
  if (w.design.trailingEdge.kind != TrailingEdgeKind::none)
    chordwiseLine(d, w, root.chord - w.design.trailing.onRib(), tip.chord - w.design.trailing.onRib(), Layer::cut);
  for (Face f : {Face::upper, Face::lower})
    if (const double r = sheetEdgeAt(w.design, w.shape.loft, f, 0); r > 0)
      chordwiseLine(d, w, r * root.chord, sheetEdgeAt(w.design, w.shape.loft, f, span) * tip.chord, Layer::mark);
  for (const SparLine& line : w.frame.spars) sparOnPlan(d, w, line);
  for (const Rib& rib : w.frame.ribs)
    if (rootRib || rib.kind != RibKind::root) ribOnPlan(d, rib);
  for (const Rib& riblet : w.frame.riblets) ribOnPlan(d, riblet);
  joinerOnPlan(d, w);
  for (const SurfaceMade& made : w.surfaces) surfaceOnPlan(d, w, made);
  fittingsOnPlan(d, w);
  tipOnPlan(d, w);
  if (hand == Hand::left) d = mirrored(std::move(d));
  const double side = hand == Hand::right ? 1 : -1;
  for (const Rib& rib : w.frame.ribs) {
    if (!rootRib && rib.kind == RibKind::root) continue;
    // Two ribs meet at a join: the outer one's name stands higher, its station counts from the wing's root.
    const bool second = !w.design.innermost() && rib.kind == RibKind::root;
    const Point3 nose = rib.inPanel({0, 0}), tail = rib.inPanel({rib.frame.chord, 0});
    d.write({side * nose.y(), -nose.x() + (second ? 9 : 4)}, rib.name(), 4, Anchor::middle);
    if (!second)
      d.write({side * std::min(tail.y(), rib.turn == 0 ? tail.y() : span - 12), -tail.x() - (tail.y() > span ? 12 : 7)},
              told(w.design.inboard + rib.t(), Quantity::length, w.design.unit), 3, Anchor::middle);
  }
  for (const Rib& rib : w.frame.riblets) {
    if (rib.kind != RibKind::crossing) continue;
    const Point3 nose = rib.inPanel({0, 0});
    d.write({side * std::clamp(nose.y(), 0.0, span), -nose.x() + 4}, rib.name(), 2.5, Anchor::middle);
  }
  return d;
}

/// Panel beside panel, with the root's leading edge at the origin; of `bothHands` the right one has the middle rib.
Drawing halfPlan(const DrawnWing& wing, Hand hand, bool bothHands) {
  Drawing d;
  const double side = hand == Hand::right ? 1 : -1;
  for (const TruePanel& w : wing) {
    const bool centre = bothHands && w.design.innermost();
    d.add(panelOnPlan(w, hand, !centre || hand == Hand::right, centre), {side * w.design.inboard, -w.design.setback});
  }
  return d;
}

/// How far up its panels' leading edges reach.
double topOf(const DrawnWing& wing) {
  double top = 0;
  for (const TruePanel& w : wing)
    top = std::max({top, -w.design.setback, -w.design.setback - w.design.panel.tipSetback});
  return top;
}

} // namespace

Drawing planDrawing(const DrawnWing& wing, Hand hand) {
  Drawing d = halfPlan(wing, hand, false);
  d.title = "Plan";
  d.wing = wing.front().get().design.name;
  d.hand = hand;
  const double side = hand == Hand::right ? 1 : -1;
  const PanelBrief& last = wing.back().get().design;
  d.write({side * (last.inboard + last.panel.span) * 0.5, topOf(wing) + (wing.size() > 1 ? 19 : 14)},
          fmt::format("{}  {}  seen from above, full size", d.wing, handLargeOf(d)), 7, Anchor::middle);
  d.shift(-d.bounds().low);
  return d;
}

Drawing planOfBoth(const DrawnWing& right, const DrawnWing& left) {
  Drawing d = halfPlan(right, Hand::right, true);
  d.add(halfPlan(left, Hand::left, true), {0, 0});
  d.title = "Plan";
  d.wing = right.front().get().design.name;
  d.bothHands = true;
  const double top = std::max(topOf(right), topOf(left));
  d.write({0, top + (right.size() > 1 ? 19 : 14)}, fmt::format("{}  BOTH HANDS  seen from above, full size", d.wing), 7,
          Anchor::middle);
  for (const bool ofRight : {true, false}) {
    const PanelBrief& last = (ofRight ? right : left).back().get().design;
    d.write({(ofRight ? 0.75 : -0.75) * (last.inboard + last.panel.span), top + 9}, ofRight ? "RIGHT" : "LEFT", 5,
            Anchor::middle);
  }
  d.shift(-d.bounds().low);
  return d;
}

} // namespace eup
