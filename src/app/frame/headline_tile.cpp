#include "app/frame/headline_tile.h"
#include <QPainter>

namespace eup::app {

HeadlineTile::HeadlineTile(const Look& colours, QWidget* parent) : QAbstractButton(parent), look(colours) {
  setFocusPolicy(Qt::StrongFocus);
  setCursor(Qt::PointingHandCursor);
  setFixedHeight(52);
  setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
}

void HeadlineTile::show(const Words& words) {
  if (words == told) return;
  told = words;
  setAccessibleName(QString("%1: %2 %3").arg(told.label, told.number, told.unit));
  setToolTip(told.label + ": " + tr("open to see how it was found"));
  update();
}

void HeadlineTile::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const QRectF box = QRectF(rect()).adjusted(1, 1, -1, -1);
  p.setPen(hasFocus() ? QPen(look.accent, 2) : QPen(told.open ? look.accent : look.edge, 1));
  p.setBrush(told.moved.isEmpty() ? look.field : look.accentSoft);
  p.drawRoundedRect(box, 4, 4);
  QFont font = this->font();
  font.setPixelSize(11);
  p.setFont(font);
  p.setPen(look.faint);
  p.drawText(QRectF(10, 5, width() - 20, 15), Qt::AlignLeft | Qt::AlignVCenter,
             p.fontMetrics().elidedText(told.label, Qt::ElideRight, width() - 20));
  font.setPixelSize(19);
  font.setBold(true);
  p.setFont(font);
  p.setPen(look.ink);
  const QRectF line(10, 21, width() - 20, 26);
  p.drawText(line, Qt::AlignLeft | Qt::AlignVCenter, told.number);
  const int number = p.fontMetrics().horizontalAdvance(told.number);
  font.setPixelSize(11);
  font.setBold(false);
  p.setFont(font);
  p.setPen(look.faint);
  p.drawText(line.adjusted(number + 6, 4, 0, 0), Qt::AlignLeft | Qt::AlignVCenter, told.unit);
  p.setPen(look.accent);
  p.drawText(line.adjusted(0, 4, 0, 0), Qt::AlignRight | Qt::AlignVCenter, told.moved);
}

} // namespace eup::app
