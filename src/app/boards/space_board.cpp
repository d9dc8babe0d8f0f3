#include "app/boards/space_board.h"
#include "core/wing/holding.h"
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

const WholeWing& SpaceBoard::ofSide(const WholeWing& wing, double side) const {
  return document.wing().of(side > 0 ? Hand::right : Hand::left).wing(wing.panels.front().design.id.wing);
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
  for (const WholeWing& both : document.wing().wings)
    for (const double side : sides(both)) {
      const WholeWing& wing = ofSide(both, side);
      for (std::size_t k = 0; k < wing.panels.size(); ++k) {
        const PanelLoft& loft = wing.panels[k].shape.loft;
        for (const double t : {0.0, loft.span()}) {
          const ChordFrame f = loft.frameAt(t);
          for (const Point& xz : {f.le, f.te}) {
            const Point3 s = seen(inModel(wing, k, xz, t, side));
            box.include(Point(s.x(), s.y()));
          }
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
  for (const double side : {1.0, -1.0})
    for (const TruePanel& p : ofSide(document.wing().main(), side).panels) {
      const ChordFrame root = p.shape.loft.frameAt(0), tip = p.shape.loft.frameAt(p.shape.loft.span());
      const auto at = [&](double x, double t) { return Point(side * (p.design.inboard + t), -(p.design.setback + x)); };
      ink.chain({at(root.le.x(), 0), at(tip.le.x(), p.shape.loft.span()), at(tip.te.x(), p.shape.loft.span()),
                 at(root.te.x(), 0)},
                look.faint, 1, Qt::DashLine);
    }
}

/// Something that is drawn whole over what lies farther away.
struct SpaceBoard::Piece {
  double away = 0; ///< mean distance from the eye
  Polyline outline;
  QColor fill, edge;
  double width = 1;
  bool closed = true;
};

/// A body's face between four places in space: lighter the more it looks up and to the eye.
void SpaceBoard::addFace(std::vector<Piece>& to, const std::array<Point3, 4>& corners, const QColor& colour) const {
  Piece piece;
  std::array<Point3, 4> at;
  for (std::size_t i = 0; i < 4; ++i) {
    at[i] = seen(corners[i]);
    piece.outline.emplace_back(at[i].x(), at[i].y());
    piece.away += at[i].z() / 4;
  }
  Point3 normal = (at[2] - at[0]).cross(at[3] - at[1]);
  if (normal.norm() < 1e-12) return;
  normal.normalize();
  if (normal.z() > 0) normal = -normal; // towards the eye
  const double light = std::clamp(0.55 + 0.35 * normal.y() - 0.25 * normal.z(), 0.0, 1.0);
  piece.fill = colour.darker(static_cast<int>(100 + 55 * (1 - light)));
  piece.edge = piece.fill; // no seams between the faces of one body
  piece.width = 0.7;
  to.push_back(std::move(piece));
}

void SpaceBoard::addPanel(std::vector<Piece>& to, const WholeWing& wing, std::size_t k, double side) const {
  const bool shown = &wing == &standpoint.shownWing();
  const TruePanel& p = wing.panels[k];
  const double span = p.shape.loft.span();
  const auto place = [&](const Point& xz, double t) { return inModel(wing, k, xz, t, side); };
  const auto addRib = [&](const Rib& rib) {
    const bool mine = shown && rib.number == standpoint.rib();
    Piece piece;
    const Polyline outline = withinPanel(rib, span);
    for (const Point& q : outline) {
      const Point3 r = rib.inPanel(q), s = seen(place({r.x(), r.z()}, r.y()));
      piece.outline.emplace_back(s.x(), s.y());
      piece.away += s.z() / static_cast<double>(outline.size());
    }
    piece.fill = mine ? look.accentSoft : look.balsa;
    piece.edge = mine ? look.accent : look.ink;
    piece.width = mine ? 1.8 : 0.8;
    to.push_back(std::move(piece));
  };
  for (const Rib& rib : p.frame.ribs)
    if (rib.ofWood || (shown && rib.number == standpoint.rib())) addRib(rib);
  for (const Rib& rib : p.frame.riblets) addRib(rib);
  /// A strip of the surface between two chord fractions, at either end of a bay.
  const auto surface = [&](Face face, double t0, double t1, std::array<double, 2> begin, std::array<double, 2> end,
                           int steps, const QColor& colour) {
    for (int i = 0; i < steps; ++i) {
      const auto at = [&](int step, bool outer) {
        const std::size_t e = outer ? 1 : 0;
        const double share = static_cast<double>(step) / steps;
        const double f = std::clamp(begin[e] + (end[e] - begin[e]) * share, 0.0, 1.0);
        return place(p.shape.loft.at(face, f, outer ? t1 : t0), outer ? t1 : t0);
      };
      addFace(to, {at(i, false), at(i + 1, false), at(i + 1, true), at(i, true)}, colour);
    }
  };
  // What runs along the span, bay by bay, so that it lies between the ribs that it passes.
  for (std::size_t i = 1; i < p.frame.ribs.size(); ++i) {
    const double t0 = std::clamp(p.frame.ribs[i - 1].t(), 0.0, span), t1 = std::clamp(p.frame.ribs[i].t(), 0.0, span);
    const double c0 = p.shape.loft.frameAt(t0).chord, c1 = p.shape.loft.frameAt(t1).chord;
    for (const Face face : {Face::upper, Face::lower}) {
      const double e0 = sheetEdgeAt(p.design, p.shape.loft, face, t0),
                   e1 = sheetEdgeAt(p.design, p.shape.loft, face, t1);
      constexpr int roundNose = 8;
      if (p.sheet) { // wood all over
        surface(face, t0, t1, {0, 0}, {1, 1}, roundNose, look.balsa);
        continue;
      }
      const double w = p.design.leading.onRib(), tail = p.design.trailing.onRib();
      if (p.foam && e0 <= 0)
        surface(face, t0, t1, {w / c0, w / c1}, {1 - tail / c0, 1 - tail / c1}, roundNose, look.foam);
      const bool stock = p.design.leadingEdge.kind != LeadingEdgeKind::none,
                 shows = stock && (e0 <= 0 || p.design.sheeting.from == NoseFrom::behindStock);
      if (e0 > 0) {
        const double f0 = shows ? std::min(w / c0, e0) : 0, f1 = shows ? std::min(w / c1, e1) : 0;
        surface(face, t0, t1, {f0, f1}, {e0, e1}, roundNose, look.sheet);
      }
      if (shows) surface(face, t0, t1, {0, 0}, {w / c0, w / c1}, 4, look.stock);
      for (const SheetedBays& bays : p.design.sheeted)
        if (const auto all = sheetedPlace(p.design, p.shape.loft, bays, face);
            all && t0 > all->inner - 1e-6 && t1 < all->outer + 1e-6)
          surface(face, t0, t1, {all->from.at(t0), all->from.at(t1)}, {all->to.at(t0), all->to.at(t1)}, 4, look.sheet);
      if (tail > 0) surface(face, t0, t1, {1 - tail / c0, 1 - tail / c1}, {1, 1}, 1, look.stock);
    }
    for (const SparLine& line : p.frame.spars) {
      const Spar& spar = p.design.spars[static_cast<std::size_t>(line.index)];
      const double end = std::min(t1, line.end);
      if (t0 >= end) continue;
      const auto stick = [&](const StraightLine& seat, double deep0, double deep1, double w0, double w1,
                             const QColor& colour) {
        const auto at = [&](bool outer, double across, double down) {
          const double t = outer ? end : t0;
          return place(seat.at(t) + Point(across * (outer ? w1 : w0) / 2, down * (outer ? deep1 : deep0)), t);
        };
        const double corners[5][2] = {{-1, 0}, {1, 0}, {1, -1}, {-1, -1}, {-1, 0}};
        for (int n = 0; n < 4; ++n)
          addFace(to,
                  {at(false, corners[n][0], corners[n][1]), at(false, corners[n + 1][0], corners[n + 1][1]),
                   at(true, corners[n + 1][0], corners[n + 1][1]), at(true, corners[n][0], corners[n][1])},
                  colour);
      };
      if (spar.kind == SparKind::fullDepth) {
        const auto deep = [&](double t) { return line.upperSeat.at(t).y() - line.lowerSeat.at(t).y(); };
        stick(line.upperSeat, deep(t0), deep(end), spar.sheet, spar.sheet, look.balsa);
        continue;
      }
      for (const bool up : {true, false}) {
        const Cap a = capAt(up ? spar.top : spar.bottom, line.share(t0)),
                  b = capAt(up ? spar.top : spar.bottom, line.share(end));
        const double way = up ? 1 : -1;
        if (a.fitted && b.fitted)
          stick(up ? line.upperSeat : line.lowerSeat, way * a.depth, way * b.depth, a.width, b.width, look.hardwood);
      }
    }
  }
  if (p.tip && !p.tip->edge.empty()) { // its edge, raised as it is towards the farthest place
    const ChordFrame tip = p.shape.loft.frameAt(span);
    Piece piece;
    piece.closed = false;
    for (const Point& q : p.tip->edge) {
      const double out = q.y() / p.tip->reach;
      const Point3 s = seen(place(tip.fromChord({q.x(), p.design.tip.raised * out * out}), span + q.y()));
      piece.outline.emplace_back(s.x(), s.y());
      piece.away += s.z() / static_cast<double>(p.tip->edge.size());
    }
    piece.edge = look.ink;
    piece.width = 1.6;
    to.push_back(std::move(piece));
  }
}

void SpaceBoard::addStruts(std::vector<Piece>& to, const WholeWing& wing, double side) const {
  const Wing& d = document.wing().design.wings[static_cast<std::size_t>(wing.panels.front().design.id.wing)];
  for (const HeldStrut& strut : wing.held.struts) {
    Piece piece;
    piece.closed = false;
    for (Point3 p : {strut.place.top, strut.place.foot}) {
      p.y() *= side;
      const Point3 s = seen(p + Point3(d.aft, 0, d.up));
      piece.outline.emplace_back(s.x(), s.y());
      piece.away += s.z() / 2;
    }
    const bool wire = d.struts[static_cast<std::size_t>(strut.place.number)].kind == StrutKind::wire;
    piece.edge = look.ink;
    piece.width = wire ? 1 : 3;
    to.push_back(std::move(piece));
  }
}

void SpaceBoard::addPosts(std::vector<Piece>& to, const WholeWing& wing) const {
  const Wing& d = document.wing().design.wings[static_cast<std::size_t>(wing.panels.front().design.id.wing)];
  const auto standing = postsOf(wing, d.posts);
  if (!standing) return;
  const PanelLoft& loft = wing.panels.front().shape.loft;
  const double turn = degToRad(d.posts.incidenceDeg);
  for (const bool front : {true, false}) {
    const Point under = loft.at(Face::lower, front ? d.posts.front : d.posts.rear, 0);
    const double long_ = standing->length(front ? standing->front : standing->rear, d.posts);
    const Point foot = under + Point(std::sin(turn), -std::cos(turn)) * long_; // square to the fuselage
    Piece piece;
    piece.closed = false;
    for (const Point& p : {under, foot}) {
      const Point3 s = seen(Point3(p.x() + d.aft, 0, p.y() + d.up));
      piece.outline.emplace_back(s.x(), s.y());
      piece.away += s.z() / 2;
    }
    piece.edge = look.ink;
    piece.width = 2;
    to.push_back(std::move(piece));
  }
}

void SpaceBoard::draw(Ink& ink) const {
  const WholeWing& main = document.wing().main();
  std::vector<Piece> pieces;
  for (const WholeWing& both : document.wing().wings)
    for (const double side : sides(both)) {
      const WholeWing& wing = ofSide(both, side);
      for (std::size_t k = 0; k < wing.panels.size(); ++k) addPanel(pieces, wing, k, side);
      addStruts(pieces, wing, side);
      if (side > 0) addPosts(pieces, wing);
    }
  if (from == SpaceView::above) drawFlatPlan(ink);
  std::stable_sort(pieces.begin(), pieces.end(), [](const Piece& a, const Piece& b) { return a.away > b.away; });
  for (const Piece& piece : pieces)
    if (piece.closed)
      ink.loop(piece.outline, piece.fill, piece.edge, piece.width);
    else
      ink.chain(piece.outline, piece.edge, piece.width);
  // How far it is from tip to tip as one sees it.
  if (from == SpaceView::above || from == SpaceView::behind) {
    const Box box = content();
    const double y = box.low.y();
    const double left = ofSide(main, -1).fromAbove;
    ink.dimension({-left, y}, {main.fromAbove, y}, tr("%1 from above").arg(len(left + main.fromAbove)), 0);
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
