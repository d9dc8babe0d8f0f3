#include "app/boards/board.h"
#include "app/look/plan_ink.h"
#include "core/geometry/polyline.h"
#include "core/measure/length_text.h"
#include <QApplication>
#include <QMouseEvent>
#include <QPainterPath>

namespace eup::app {

namespace {
constexpr double reach = 9;     // pixels within which the pointer takes a handle
constexpr double headRoom = 54; // pixels kept free above the picture for its heading
constexpr double margin = 26;
constexpr double leastScale = 0.02, mostScale = 400; // pixels a millimetre
} // namespace

void Ink::line(const Point& a, const Point& b, const QColor& colour, double width, Qt::PenStyle style) {
  chain({a, b}, colour, width, style);
}

void Ink::chain(const Polyline& points, const QColor& colour, double width, Qt::PenStyle style) {
  QPolygonF polygon;
  for (const Point& p : points) polygon << at(p);
  painter.setPen(QPen(colour, width, style));
  painter.setBrush(Qt::NoBrush);
  painter.drawPolyline(polygon);
}

void Ink::region(const Region& region, const QColor& fill, const QColor& edge, double width) {
  QPainterPath path;
  path.setFillRule(Qt::OddEvenFill);
  for (const Polyline& loop : region) {
    QPolygonF polygon;
    for (const Point& p : loop) polygon << at(p);
    path.addPolygon(polygon);
    path.closeSubpath();
  }
  painter.setPen(edge.alpha() == 0 ? QPen(Qt::NoPen) : QPen(edge, width));
  painter.setBrush(fill);
  painter.drawPath(path);
}

void Ink::text(const Point& place, const QString& words, const QColor& colour, QPointF offset, Qt::Alignment align,
               int size, bool bold) {
  QFont font = painter.font();
  font.setPixelSize(size);
  font.setWeight(bold ? QFont::Bold : QFont::Normal);
  painter.setFont(font);
  painter.setPen(colour);
  const QPointF p = at(place) + offset;
  const double w = painter.fontMetrics().horizontalAdvance(words);
  const double x = align & Qt::AlignHCenter ? p.x() - w / 2 : align & Qt::AlignRight ? p.x() - w : p.x();
  painter.drawText(QPointF(x, p.y()), words);
}

void Ink::dimension(const Point& a, const Point& b, const QString& words, double away) {
  QPointF p = at(a), q = at(b);
  const QLineF along(p, q);
  if (along.length() < 2) return;
  QLineF square = along.normalVector().unitVector();
  const QPointF off = QPointF(square.dx(), square.dy()) * away;
  painter.setPen(QPen(look.faint, 1));
  painter.drawLine(p + off * 0.3, p + off * 1.15);
  painter.drawLine(q + off * 0.3, q + off * 1.15);
  p += off, q += off;
  painter.drawLine(p, q);
  const QPointF unit = QPointF(along.unitVector().dx(), along.unitVector().dy());
  const QPointF side(unit.y(), -unit.x());
  for (const auto& [tip, way] : {std::pair(p, unit), std::pair(q, -unit)}) {
    painter.drawLine(tip, tip + way * 7 + side * 2.5);
    painter.drawLine(tip, tip + way * 7 - side * 2.5);
  }
  QFont font = painter.font();
  font.setPixelSize(12);
  font.setBold(false);
  painter.setFont(font);
  const QRectF box(0, 0, painter.fontMetrics().horizontalAdvance(words) + 8.0, 16);
  const QPointF middle = (p + q) / 2;
  painter.fillRect(box.translated(middle - box.center()), look.paper);
  painter.setPen(look.ink);
  painter.drawText(box.translated(middle - box.center()), Qt::AlignCenter, words);
}

Board::Board(Document& d, Standpoint& s, const Look& l, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), look(l) {
  setFocusPolicy(Qt::StrongFocus);
  setMouseTracking(true);
  setMinimumSize(300, 200);
  new Watch(this, document, standpoint, [this](Changes) { fitted && !drag ? fit() : update(); });
}

QString Board::handWords() const {
  switch (standpoint.hand()) {
  case ShownHand::left:
    return tr("LEFT");
  case ShownHand::both:
    return tr("BOTH HANDS");
  case ShownHand::right:
    break;
  }
  return tr("RIGHT");
}

QString Board::len(double mm) const {
  return QString::fromStdString(told(mm, Quantity::length, document.design().unit));
}

QSizeF Board::roomForPicture() const {
  return {std::max(width() - 2 * margin, 50.0), std::max(height() - headRoom - margin, 50.0)};
}

void Board::fit() {
  if (!onWing()) return update();
  const Box box = content();
  const double w = roomForPicture().width(), h = roomForPicture().height();
  scale = std::clamp(std::min(w / std::max(box.width(), 1.0), h / std::max(box.height(), 1.0)), leastScale, mostScale);
  const Point c = box.empty() ? Point(0, 0) : box.centre();
  origin = QPointF(width() / 2.0 - c.x() * scale, headRoom + h / 2 + c.y() * scale);
  fitted = true;
  update();
}

void Board::zoomBy(double factor, QPointF about) {
  const Point fixed = board(about);
  scale = std::clamp(scale * factor, leastScale, mostScale);
  origin = about - QPointF(fixed.x() * scale, -fixed.y() * scale);
  fitted = false;
  update();
}

void Board::centreOn(const Point& place, double pixelsPerMm) {
  scale = std::clamp(pixelsPerMm, leastScale, mostScale);
  origin = QRectF(rect()).center() - QPointF(place.x() * scale, -place.y() * scale);
  fitted = false;
  update();
}

void Board::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(rect(), look.paper);
  Ink ink(painter, look, scale, origin);
  // A grid that keeps its lines a thumb's width apart: 1, 2, 5, 10 … mm.
  double step = 1;
  for (const double next : {2.0, 5.0, 10.0, 20.0, 50.0, 100.0, 200.0, 500.0, 1000.0})
    if (step * scale < 34) step = next;
  painter.setPen(QPen(look.grid, 1));
  const Point low = board({0, double(height())}), high = board({double(width()), 0});
  for (double x = std::ceil(low.x() / step) * step; x < high.x(); x += step)
    painter.drawLine(screen({x, low.y()}), screen({x, high.y()}));
  for (double y = std::ceil(low.y() / step) * step; y < high.y(); y += step)
    painter.drawLine(screen({low.x(), y}), screen({high.x(), y}));

  if (!onWing()) return drawWhyNot(painter);
  if (const QString empty = emptyText(); !empty.isEmpty()) {
    picked.clear();
    painter.setPen(look.faint);
    QFont font = painter.font();
    font.setPixelSize(14);
    painter.setFont(font);
    painter.drawText(rect().adjusted(80, 80, -80, -80), Qt::AlignCenter | Qt::TextWordWrap, empty);
  } else {
    draw(ink);
    picked = std::move(ink.picks);
    drawChosen(ink);
    drawHandles(ink);
  }
  const Point corner = board({20, 30});
  ink.text(corner, heading(), look.ink, {}, Qt::AlignLeft, 15, true);
  ink.text(corner,
           standpoint.showsOwnLeft() ? tr("a left hand of its own: decided by its differences, or at the right hand")
                                     : subheading(),
           look.faint, {0, 19});
  ink.text(board({width() - 20.0, 30}), handWords(), look.accent, {}, Qt::AlignRight, 15, true);
  ink.text(board({width() - 20.0, 30}), tr("grid %1 mm").arg(step), look.faint, {0, 19}, Qt::AlignRight, 11);
  if (!document.possible()) {
    const QString words = tr("These decisions contradict each other: the last good wing is shown.");
    painter.fillRect(QRectF(0, height() - 30.0, width(), 30), look.wrongSoft);
    ink.text(board({20, height() - 10.0}), words, look.wrong, {}, Qt::AlignLeft, 12, true);
  } else if (!hint.isEmpty()) {
    painter.fillRect(QRectF(0, height() - 24.0, width(), 24), look.rail);
    ink.text(board({20, height() - 8.0}), hint, look.ink, {}, Qt::AlignLeft, 11);
  }
  if (hasFocus()) {
    painter.setPen(QPen(look.accent, 2));
    painter.setBrush(Qt::NoBrush);
    painter.drawRect(rect().adjusted(1, 1, -1, -1));
  }
}

/// No wing could be built since the file was opened: what is wrong stands in place of a picture.
void Board::drawWhyNot(QPainter& painter) const {
  QString words = tr("These decisions contradict each other, so there is no wing to draw yet.");
  for (const Finding& f : document.findings())
    words +=
        "\n\n▲ " + QString::fromStdString(f.what) + (f.remedy.empty() ? "" : "\n" + QString::fromStdString(f.remedy));
  painter.setPen(look.ink);
  QFont font = painter.font();
  font.setPixelSize(14);
  painter.setFont(font);
  painter.drawText(rect().adjusted(80, 80, -80, -80), Qt::AlignCenter | Qt::TextWordWrap, words);
}

const Pick* Board::pickAt(const Point& p) const {
  for (auto it = picked.rbegin(); it != picked.rend(); ++it) { // what is drawn last lies on top
    int crossings = 0;
    for (const Polyline& loop : it->where) {
      QPolygonF polygon;
      for (const Point& q : loop) polygon << QPointF(q.x(), q.y());
      crossings += polygon.containsPoint({p.x(), p.y()}, Qt::OddEvenFill) ? 1 : 0;
    }
    if (crossings % 2 == 1) return &*it;
  }
  return nullptr;
}

/// The part that is decided now, outlined.
void Board::drawChosen(Ink& ink) const {
  const Subject chosen = standpoint.subject();
  for (const Pick& pick : picked)
    if (pick.subject == chosen) ink.region(pick.where, Qt::transparent, look.accent, 2.2);
}

void Board::drawHandles(Ink& ink) const {
  const auto all = handlesNow();
  for (std::size_t i = 0; i < all.size(); ++i) {
    const bool live = drag ? drag->handle.name == all[i].name : (hovered == i || (hasFocus() && focused == i));
    const bool isLine = all[i].from != all[i].to;
    if (isLine && live) ink.line(all[i].from, all[i].to, look.accent, 3);
    if (isLine || !all[i].knob) continue;
    ink.painter.setPen(QPen(live ? look.accent : look.ink, live ? 2 : 1));
    ink.painter.setBrush(live ? look.accentSoft : look.panel);
    ink.painter.drawEllipse(ink.at(all[i].from), live ? 6 : 4, live ? 6 : 4);
  }
}

std::optional<std::size_t> Board::handleAt(QPointF p) const {
  const auto all = handlesNow();
  std::optional<std::size_t> best;
  double nearest = reach;
  for (std::size_t i = 0; i < all.size(); ++i) {
    const QPointF a = screen(all[i].from), b = screen(all[i].to), d = b - a;
    const double l2 = QPointF::dotProduct(d, d);
    const double t = l2 > 0 ? std::clamp(QPointF::dotProduct(p - a, d) / l2, 0.0, 1.0) : 0;
    const QPointF off = p - (a + d * t);
    // A place wins over a line that runs through it.
    const double distance = std::hypot(off.x(), off.y()) + (l2 > 0 ? 3 : 0);
    if (distance < nearest) nearest = distance, best = i;
  }
  return best;
}

void Board::pullTo(QPointF p) {
  const Point by = (board(p) - board(drag->start));
  const auto next = drag->handle.pull(drag->before, by);
  if (!next) {
    hint = QString::fromStdString(next.problem().text());
    Q_EMIT said(hint);
    update();
    return;
  }
  document.edit(drag->handle.undoName, next.value(), "drag:" + drag->handle.name);
  update(); // what is no decision may have moved too
}

void Board::mousePressEvent(QMouseEvent* event) {
  if (event->button() == Qt::MiddleButton) {
    panFrom = event->position();
    setCursor(Qt::ClosedHandCursor);
    return;
  }
  if (event->button() != Qt::LeftButton) return;
  if (const auto i = handleAt(event->position())) {
    drag = Drag{handlesNow()[*i], document.design(), event->position()};
    focused = i;
    document.settle();
    return;
  }
  if (!onWing()) return;
  const Point p = board(event->position());
  if (const Pick* pick = pickAt(p)) standpoint.choose(pick->subject);
  clicked(p);
}

void Board::mouseMoveEvent(QMouseEvent* event) {
  if (panFrom) {
    origin += event->position() - *panFrom;
    panFrom = event->position();
    fitted = false;
    update();
    return;
  }
  if (drag) return pullTo(event->position());
  const auto over = handleAt(event->position());
  if (over == hovered) return;
  hovered = over;
  const auto all = handlesNow();
  hint = over ? tr("%1: drag it, or use the arrow keys (Shift coarse, Alt fine)").arg(all[*over].name) : QString();
  over ? setCursor(all[*over].cursor) : unsetCursor();
  update();
}

void Board::mouseReleaseEvent(QMouseEvent* event) {
  if (event->button() == Qt::MiddleButton) panFrom.reset(), unsetCursor();
  if (event->button() == Qt::LeftButton && drag) {
    drag.reset();
    document.settle();
    hint.clear();
    update();
  }
}

void Board::mouseDoubleClickEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton) fit();
}

void Board::wheelEvent(QWheelEvent* event) {
  zoomBy(std::pow(1.0015, event->angleDelta().y()), event->position());
  event->accept();
}

void Board::nudge(const QPointF& direction, Qt::KeyboardModifiers modifiers) {
  const auto all = handlesNow();
  if (!focused || *focused >= all.size()) return;
  const double step = modifiers & Qt::ShiftModifier ? 5 : modifiers & Qt::AltModifier ? 0.1 : 0.5;
  const Handle& handle = all[*focused];
  const auto next = handle.pull(document.design(), {direction.x() * step, direction.y() * step});
  if (next)
    document.edit(handle.undoName, next.value(), "nudge:" + handle.name);
  else
    Q_EMIT said(QString::fromStdString(next.problem().text()));
  update();
}

bool Board::event(QEvent* event) {
  if (event->type() == QEvent::ShortcutOverride) {
    const auto* key = static_cast<QKeyEvent*>(event);
    const bool arrow = key->key() == Qt::Key_Left || key->key() == Qt::Key_Right || key->key() == Qt::Key_Up ||
                       key->key() == Qt::Key_Down;
    if (arrow && key->modifiers() & Qt::AltModifier && takesArrows()) {
      event->accept();
      return true;
    }
  }
  return QWidget::event(event);
}

void Board::keyPressEvent(QKeyEvent* event) {
  const auto all = handlesNow();
  const auto walk = [&](int by) {
    if (all.empty()) return;
    const int n = static_cast<int>(all.size()), now = focused ? static_cast<int>(*focused) : (by > 0 ? -1 : n);
    focused = static_cast<std::size_t>(((now + by) % n + n) % n);
    hint = tr("%1: arrow keys move it (Shift coarse, Alt fine), . and , for the next").arg(all[*focused].name);
    Q_EMIT said(hint);
    update();
  };
  const bool held = focused && *focused < all.size();
  switch (event->key()) {
  case Qt::Key_Period:
    return walk(1);
  case Qt::Key_Comma:
    return walk(-1);
  case Qt::Key_Escape:
    focused.reset();
    hint.clear();
    return update();
  case Qt::Key_Plus:
  case Qt::Key_Equal:
    return zoomBy(1.25, rect().center());
  case Qt::Key_Minus:
    return zoomBy(0.8, rect().center());
  case Qt::Key_0:
    return fit();
  case Qt::Key_Left:
    if (held) return nudge({-1, 0}, event->modifiers());
    break;
  case Qt::Key_Right:
    if (held) return nudge({1, 0}, event->modifiers());
    break;
  case Qt::Key_Up:
    if (held) return nudge({0, 1}, event->modifiers());
    break;
  case Qt::Key_Down:
    if (held) return nudge({0, -1}, event->modifiers());
    break;
  default:
    break;
  }
  QWidget::keyPressEvent(event);
}

void Board::leaveEvent(QEvent*) {
  hovered.reset();
  if (!drag) hint.clear();
  update();
}

void Board::resizeEvent(QResizeEvent*) {
  if (fitted) fit();
}

void Board::drawTracedPlan(Ink& ink, const ShapedSection& shaped, bool tip, double chord) const {
  if (!shaped.trace || !standpoint.underlay()) return;
  const JudgedPlan& plan = document.plan();
  for (const Reading& r : document.design().plan.readings) {
    if (r.kind != ReadingKind::upperSurface || r.number != (tip ? 2 : 1)) continue;
    const auto i = static_cast<std::size_t>(r.sheet - 1);
    const PlanImage* image = document.planImages().image(i);
    if (!image || i >= plan.sheets.size()) return;
    const auto toPlan = [&](double x, double y) -> Point {
      const Point b = board(QPointF(x, y)) / chord;
      return shaped.trace->placed.toPlan(Point(mirrored() ? 1 - b.x() : b.x(), b.y()));
    };
    const Point o = toPlan(0, 0), x = toPlan(1, 0) - o, y = toPlan(0, 1) - o;
    Eigen::Matrix3d view;
    view << x.x(), y.x(), o.x(), x.y(), y.y(), o.y(), 0, 0, 1;
    const QRect area =
        QRectF(screen(Point(-0.05, 0.16) * chord), screen(Point(1.05, -0.14) * chord)).normalized().toAlignedRect() &
        rect();
    return drawPlan(ink.painter, *image, plan.sheets[i].map().inverse() * view, area, look.accent, 0.8);
  }
}

} // namespace eup::app
