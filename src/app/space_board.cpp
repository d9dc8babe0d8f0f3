#include "app/space_board.h"
#include <algorithm>
#include <cmath>
#include <QKeyEvent>
#include <QMouseEvent>

namespace eup::app {
namespace {

/// A rib's bare outline as far as it lies on the panel: a turned one may run out over an end.
Polyline withinPanel(const Rib& rib, double span) {
  if (rib.turn == 0) return rib.bare;
  Polyline out;
  for (const Point& p : rib.bare)
    if (const double t = rib.inPanel(p).y(); t > -1e-6 && t < span + 1e-6) out.push_back(p);
  return out;
}

} // namespace

void SpaceBoard::lookFrom(SpaceView view) {
  from = view;
  // Yaw 0 looks from behind with the right half to the right; pitch 90 looks straight down.
  if (view == SpaceView::above) theYaw = 0, thePitch = 90;
  if (view == SpaceView::behind) theYaw = 0, thePitch = 0;
  if (view == SpaceView::side) theYaw = 90, thePitch = 0;
  if (view == SpaceView::turned) theYaw = -35, thePitch = 25;
  fit();
}

void SpaceBoard::turnBy(double yawDeg, double pitchDeg) {
  from = SpaceView::turned;
  theYaw = std::remainder(theYaw + yawDeg, 360.0);
  thePitch = std::clamp(thePitch + pitchDeg, -90.0, 90.0);
  update();
}

QString SpaceBoard::heading() const {
  switch (from) {
  case SpaceView::above:
    return tr("The finished wing from above");
  case SpaceView::behind:
    return tr("The finished wing from behind");
  case SpaceView::side:
    return tr("The finished wing from the right");
  case SpaceView::turned:
    break;
  }
  return document.wing().wings.size() > 1 ? tr("The finished wings in space") : tr("The finished wing in space");
}

QString SpaceBoard::subheading() const {
  if (from == SpaceView::above) return tr("true to scale; dashed: the plan as drawn, flat on the board");
  if (from == SpaceView::turned)
    return tr("drag or press the arrow keys to turn it: %1° round, %2° from above")
        .arg(theYaw, 0, 'f', 0)
        .arg(thePitch, 0, 'f', 0);
  return tr("true to scale, root chord level; drag to turn it");
}

Point3 SpaceBoard::seen(const Point3& p) const {
  const double a = degToRad(theYaw), b = degToRad(thePitch);
  // Round the upright first: right stays right at yaw 0, forward goes away from the eye that looks from behind.
  const double ahead = -p.x();
  const double right = p.y() * std::cos(a) + ahead * std::sin(a), away = -p.y() * std::sin(a) + ahead * std::cos(a);
  return {right, p.z() * std::cos(b) + away * std::sin(b), away * std::cos(b) - p.z() * std::sin(b)};
}

std::vector<double> SpaceBoard::sides(const WholeWing& wing) {
  return wing.mirrored ? std::vector<double>{1, -1} : std::vector<double>{1};
}

Point3 SpaceBoard::inModel(const WholeWing& wing, std::size_t panel, const Point& xz, double t, double side) const {
  const Wing& d = document.wing().design.wings[static_cast<std::size_t>(wing.panels.front().design.id.wing)];
  Point3 p = wing.inSpace[panel].at(xz, t);
  if (!wing.mirrored) p = Point3(p.x(), -p.z(), p.y()); // a fin stands up, its right face to the right
  p.y() *= side;
  return p + Point3(d.aft, 0, d.up);
}

Box SpaceBoard::content() const {
  Box box;
  for (const WholeWing& wing : document.wing().wings)
    for (std::size_t k = 0; k < wing.panels.size(); ++k) {
      const PanelLoft& loft = wing.panels[k].loft;
      for (const double t : {0.0, loft.span()}) {
        const ChordFrame f = loft.frameAt(t);
        for (const Point& xz : {f.le, f.te})
          for (const double side : sides(wing)) {
            const Point3 s = seen(inModel(wing, k, xz, t, side));
            box.include(Point(s.x(), s.y()));
          }
      }
    }
  const double room = 0.06 * document.wing().main().planform.halfSpan;
  box.include(Point(box.low - Point(room, room)));
  box.include(Point(box.high + Point(room, room)));
  return box;
}

/// From above: the plan as it is drawn, its panels laid out flat.
void SpaceBoard::drawFlatPlan(Ink& ink) const {
  for (const TruePanel& p : document.wing().main().panels)
    for (const double side : {1.0, -1.0}) {
      const ChordFrame root = p.loft.frameAt(0), tip = p.loft.frameAt(p.loft.span());
      const auto at = [&](double x, double t) { return Point(side * (p.design.inboard + t), -(p.design.setback + x)); };
      ink.chain({at(root.le.x(), 0), at(tip.le.x(), p.loft.span()), at(tip.te.x(), p.loft.span()), at(root.te.x(), 0)},
                look.faint, 1, Qt::DashLine);
    }
}

void SpaceBoard::draw(Ink& ink) const {
  const WholeWing& main = document.wing().main();
  struct Piece {
    double away;
    Polyline outline;
    bool closed, mine, edge;
  };
  std::vector<Piece> pieces;
  const auto project = [&](const Polyline& line, double t, const WholeWing& wing, std::size_t k, double side,
                           Piece& into) {
    for (const Point& xz : line) {
      const Point3 s = seen(inModel(wing, k, xz, t, side));
      into.outline.emplace_back(s.x(), s.y());
      into.away += s.z() / static_cast<double>(line.size());
    }
  };
  const auto addPanel = [&](const WholeWing& wing, std::size_t k, double side) {
    const bool shown = &wing == &standpoint.shownWing();
    const TruePanel& p = wing.panels[k];
    const auto addRib = [&](const Rib& rib) {
      Piece piece{0, {}, true, shown && rib.number == standpoint.rib(), false};
      for (const Point& q : withinPanel(rib, p.loft.span())) {
        const Point3 r = rib.inPanel(q), s = seen(inModel(wing, k, {r.x(), r.z()}, r.y(), side));
        piece.outline.emplace_back(s.x(), s.y());
        piece.away += s.z() / static_cast<double>(rib.bare.size());
      }
      pieces.push_back(std::move(piece));
    };
    for (const Rib& rib : p.ribs) addRib(rib);
    for (const Rib& rib : p.riblets)
      if (rib.kind == RibKind::crossing) addRib(rib);
    if (p.tip && !p.tip->edge.empty()) { // its edge, raised as it is towards the farthest place
      const ChordFrame tip = p.loft.frameAt(p.loft.span());
      Piece piece{0, {}, false, false, true};
      for (const Point& q : p.tip->edge) {
        const double out = q.y() / p.tip->reach;
        const Point xz = tip.fromChord({q.x(), p.design.tip.raised * out * out});
        const Point3 s = seen(inModel(wing, k, xz, p.loft.span() + q.y(), side));
        piece.outline.emplace_back(s.x(), s.y());
        piece.away += s.z() / static_cast<double>(p.tip->edge.size());
      }
      pieces.push_back(std::move(piece));
    }
    // What runs along the span, bay by bay, so that it lies between the ribs that it passes.
    for (std::size_t i = 1; i < p.ribs.size(); ++i) {
      const double t0 = p.ribs[i - 1].t(), t1 = p.ribs[i].t();
      const auto along = [&](const Point& a, const Point& b, bool edge) {
        Piece piece{0, {}, false, false, edge};
        project({a}, t0, wing, k, side, piece);
        const double first = piece.away;
        piece.away = 0;
        project({b}, t1, wing, k, side, piece);
        piece.away = (piece.away + first) / 2;
        pieces.push_back(std::move(piece));
      };
      const ChordFrame inner = p.loft.frameAt(t0), outer = p.loft.frameAt(t1); // both edges are straight lines
      along(inner.le, outer.le, true);
      along(inner.te, outer.te, true);
      for (const SparLine& line : p.spars) {
        if (!line.reaches(t1)) continue;
        along(line.upperSeat.at(t0), line.upperSeat.at(t1), false);
        along(line.lowerSeat.at(t0), line.lowerSeat.at(t1), false);
      }
    }
  };
  for (const WholeWing& wing : document.wing().wings)
    for (const double side : sides(wing))
      for (std::size_t k = 0; k < wing.panels.size(); ++k) addPanel(wing, k, side);
  if (from == SpaceView::above) drawFlatPlan(ink);
  std::stable_sort(pieces.begin(), pieces.end(), [](const Piece& a, const Piece& b) { return a.away > b.away; });
  for (const Piece& piece : pieces) {
    if (piece.closed)
      ink.loop(piece.outline, piece.mine ? look.accentSoft : look.balsa, piece.mine ? look.accent : look.ink,
               piece.mine ? 1.8 : 0.9);
    else
      ink.chain(piece.outline, piece.edge ? look.ink : look.hardwood, piece.edge ? 1.4 : 2);
  }
  // How far it is from tip to tip as one sees it.
  if (from == SpaceView::above || from == SpaceView::behind) {
    const Box box = content();
    const double y = box.low.y();
    ink.dimension({-main.fromAbove, y}, {main.fromAbove, y}, tr("%1 from above").arg(len(2 * main.fromAbove)), 0);
  }
}

void SpaceBoard::mousePressEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton)
    turnFrom = event->position();
  else
    Board::mousePressEvent(event);
}

void SpaceBoard::mouseMoveEvent(QMouseEvent* event) {
  if (!turnFrom) return Board::mouseMoveEvent(event);
  const QPointF by = event->position() - *turnFrom;
  turnFrom = event->position();
  turnBy(-by.x() * 0.4, by.y() * 0.4);
}

void SpaceBoard::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton) turnFrom.reset();
  Board::mouseReleaseEvent(event);
}

void SpaceBoard::keyPressEvent(QKeyEvent* event) {
  const double step = event->modifiers() & Qt::ShiftModifier ? 15 : 5;
  switch (event->key()) {
  case Qt::Key_Left:
    return turnBy(step, 0);
  case Qt::Key_Right:
    return turnBy(-step, 0);
  case Qt::Key_Up:
    return turnBy(0, step);
  case Qt::Key_Down:
    return turnBy(0, -step);
  default:
    Board::keyPressEvent(event);
  }
}

} // namespace eup::app
