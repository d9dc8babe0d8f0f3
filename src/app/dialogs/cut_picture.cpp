#include "app/dialogs/cut_picture.h"
#include <algorithm>
#include <QPainter>
#include <QPainterPath>

namespace eup::app {
namespace {

constexpr double aside = 12, wordsHigh = 20; // pixels

/// A box of millimetres in a room of pixels, upright.
struct Scale {
  Scale(const Box& box, const QRectF& room) {
    k = std::min(room.width() / std::max(box.width(), 1.0), room.height() / std::max(box.height(), 1.0));
    left = room.left() + (room.width() - box.width() * k) / 2 - box.low.x() * k;
    down = room.bottom() - (room.height() - box.height() * k) / 2 + box.low.y() * k;
  }
  QPointF at(const Point& p) const { return {left + p.x() * k, down - p.y() * k}; }
  double k = 1, left = 0, down = 0;
};

} // namespace

CutPicture::CutPicture(const Look& l, QWidget* parent) : QWidget(parent), look(l) {
  setObjectName("cutPicture");
  setMinimumSize(420, 380);
}

void CutPicture::show(CutScene s) {
  scene = std::move(s);
  travelled.reset();
  showUntil(0);
}

void CutPicture::showUntil(double s) {
  travelled.reset();
  seconds = s;
  const WireInstant now = instantAt(scene.travel, s);
  setAccessibleName(tr("The wire after %1 s, %2").arg(s, 0, 'f', 0).arg(now.heat > 0 ? tr("hot") : tr("cold")));
  update();
}

void CutPicture::showTravelled(WireTravel t) {
  seconds = t.empty() ? 0 : t.back().seconds;
  travelled = std::move(t);
  update();
}

double CutPicture::shareOf(bool outer) const {
  if (!scene.core) return outer ? 1 : 0;
  return shareOfEnd(*scene.core, scene.wire, scene.hand, outer);
}

double CutPicture::burnt(bool outer) const {
  double area = 0;
  for (const BurntSlot& s : slotsUntil(gone(), seconds, shareOf(outer), scene.wire))
    area += (s.to - s.from).norm() * s.wide;
  return area;
}

/// An end, seen along the span: its block, what was asked for, what is burnt.
void CutPicture::drawEnd(QPainter& painter, const QRectF& room, bool outer) const {
  const double share = shareOf(outer);
  const std::vector<BurntSlot> burnt = slotsUntil(gone(), seconds, share, scene.wire);
  const WireInstant now = instantAt(gone(), seconds);
  const Point wire = lerp(now.at.inner, now.at.outer, share);
  Box box, block;
  Polyline asked;
  if (scene.core) {
    const FoamCore& core = *scene.core;
    const Point corner(scene.wire.blockAft, scene.wire.blockUp);
    block.include(corner), block.include(corner + Point(core.block.width, core.block.height));
    box = block;
    const Point zero = blockOnMachine(core, scene.wire);
    for (const Point& p : (outer ? core.outer : core.inner).outline)
      asked.push_back(core.cutFrame(outer).fromChord(p) + zero);
  } else
    for (const WireInstant& i : scene.travel)
      if (i.heat > 0) box.include(lerp(i.at.inner, i.at.outer, share));
  if (box.empty()) return;
  const Point air(scene.wire.clear + 4, 4);
  box.include(box.low - air), box.include(box.high + air);
  const Scale scale(box, room.adjusted(0, wordsHigh, 0, 0));
  painter.save();
  painter.setClipRect(room);
  if (!block.empty()) {
    painter.setPen(QPen(look.ink, 1.2));
    painter.setBrush(look.foam);
    painter.drawRect(QRectF(scale.at({block.low.x(), block.high.y()}), scale.at({block.high.x(), block.low.y()})));
  }
  painter.setBrush(Qt::NoBrush);
  for (const BurntSlot& s : burnt) {
    painter.setPen(
        QPen(block.empty() ? look.accent : look.paper, std::max(s.wide * scale.k, 1.0), Qt::SolidLine, Qt::RoundCap));
    painter.drawLine(scale.at(s.from), scale.at(s.to));
  }
  if (!asked.empty()) {
    QPolygonF line;
    for (const Point& p : asked) line << scale.at(p);
    painter.setPen(QPen(look.ink, 1, Qt::DashLine));
    painter.drawPolygon(line);
  }
  painter.setPen(Qt::NoPen);
  painter.setBrush(now.heat > 0 ? look.wrong : look.accent);
  const QPointF at = scale.at(wire);
  painter.drawEllipse(QPointF(std::clamp(at.x(), room.left() + 4, room.right() - 4),
                              std::clamp(at.y(), room.top() + wordsHigh, room.bottom() - 4)),
                      4, 4);
  painter.restore();
  painter.setPen(look.ink);
  const QString what = scene.core ? (outer ? tr("outer end of the core") : tr("inner end of the core"))
                                  : (outer ? tr("outer tower") : tr("inner tower"));
  painter.drawText(QRectF(room.left(), room.top(), room.width(), wordsHigh), Qt::AlignLeft | Qt::AlignTop, what);
}

/// The wire from tower to tower: from above (aft downwards), or from the front (up upwards).
void CutPicture::drawSpan(QPainter& painter, const QRectF& room, bool above) const {
  const double apart = scene.wire.towersApart;
  Box box;
  const auto side = [&](const Point& p) { return above ? -p.x() : p.y(); };
  for (const WireInstant& i : scene.travel)
    box.include(Point(0, side(i.at.inner))), box.include(Point(apart, side(i.at.outer)));
  Polyline block;
  if (scene.core) {
    const FoamCore& core = *scene.core;
    const double in = shareOf(false) * apart, out = shareOf(true) * apart;
    const double from = above ? -scene.wire.blockAft : scene.wire.blockUp,
                 to = above ? from - core.block.width : from + core.block.height;
    block = {{in, from}, {out, from}, {out, to}, {in, to}};
    for (const Point& p : block) box.include(p);
  }
  if (box.empty()) return;
  const Scale scale(box, room.adjusted(aside, wordsHigh, -aside, -4));
  const auto polygon = [&](const Polyline& line) {
    QPolygonF out;
    for (const Point& p : line) out << scale.at(p);
    return out;
  };
  painter.setPen(QPen(look.faint, 3));
  for (const double x : {0.0, apart}) painter.drawLine(scale.at({x, box.low.y()}), scale.at({x, box.high.y()}));
  if (!block.empty()) {
    painter.setPen(QPen(look.ink, 1.2));
    painter.setBrush(look.foam);
    painter.drawPolygon(polygon(block));
    const FoamCore& core = *scene.core;
    const Point zero = blockOnMachine(core, scene.wire);
    const auto corner = [&](bool outer, double x) {
      const Point p = core.cutFrame(outer).fromChord({x, 0}) + zero;
      return Point(shareOf(outer) * apart, side(p));
    };
    painter.setPen(QPen(look.ink, 1, Qt::DashLine));
    if (above)
      painter.drawPolygon(polygon({corner(false, 0), corner(true, 0), corner(true, core.outer.frame.chord),
                                   corner(false, core.inner.frame.chord)}));
  }
  const WireInstant now = instantAt(gone(), seconds);
  painter.setPen(QPen(now.heat > 0 ? look.wrong : look.accent, 2));
  painter.drawLine(scale.at({0, side(now.at.inner)}), scale.at({apart, side(now.at.outer)}));
  painter.setPen(look.ink);
  painter.drawText(QRectF(room.left(), room.top(), room.width(), wordsHigh), Qt::AlignLeft | Qt::AlignTop,
                   above ? tr("from above, front edge up; inner tower on the left")
                         : tr("from the front, inner tower on the left"));
}

void CutPicture::paintEvent(QPaintEvent*) {
  QPainter painter(this);
  painter.setRenderHint(QPainter::Antialiasing);
  painter.fillRect(rect(), look.paper);
  QFont small = font();
  small.setPixelSize(12);
  painter.setFont(small);
  const QRectF all = QRectF(rect()).adjusted(aside, aside, -aside, -aside);
  const double each = (all.height() - 3 * aside) / 4;
  const auto room = [&](int row, double rows) {
    return QRectF(all.left(), all.top() + row * (each + aside), all.width(), each * rows);
  };
  drawEnd(painter, room(0, 1), false);
  drawEnd(painter, room(1, 1), true);
  drawSpan(painter, room(2, 1), false);
  drawSpan(painter, room(3, 1), true);
}

} // namespace eup::app
