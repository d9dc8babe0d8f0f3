#include "app/dialogs/page_preview.h"
#include <QPainter>
#include <QPainterPath>
#include <QPaintEvent>

namespace eup::app {

namespace {
constexpr int cell = 104, gap = 10, words = 15;
}

PagePreview::PagePreview(QWidget* parent) : QWidget(parent) {
  setAccessibleName(tr("Pages as they will be printed"));
}

void PagePreview::show(std::vector<PrintSection> all, Paper kind) {
  sections = std::move(all);
  paper = kind;
  sheets = printPages(sections, paper);
  fitHeight();
  update();
}

QRect PagePreview::placeOf(int page) const {
  const int across = std::max(1, (width() - gap) / (cell + gap));
  return {gap + page % across * (cell + gap), gap + page / across * (cell + words + gap), cell, cell};
}

void PagePreview::fitHeight() {
  setMinimumHeight(sheets.empty() ? 60 : placeOf(pages() - 1).bottom() + words + gap);
}

void PagePreview::resizeEvent(QResizeEvent*) {
  fitHeight();
}

void PagePreview::paintEvent(QPaintEvent* event) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  QFont font = this->font();
  font.setPixelSize(10);
  p.setFont(font);
  for (int i = 0; i < pages(); ++i) {
    const QRect place = placeOf(i);
    if (!event->rect().intersects(place.adjusted(0, 0, 0, words))) continue;
    const PrintPage& page = sheets[static_cast<std::size_t>(i)];
    const PrintSection& section = sections[page.section];
    const Drawing& d = section.drawings[page.drawing];
    const Point frame = pageFrame(paper, section.sideways);
    const double scale = std::min(place.width() / frame.x(), place.height() / frame.y());
    const QRectF leaf(place.x() + (place.width() - frame.x() * scale) / 2, place.y(), frame.x() * scale,
                      frame.y() * scale);
    p.fillRect(leaf, Qt::white); // paper is white by day and by night
    p.setPen(QPen(QColor("#8a8270"), 1));
    p.drawRect(leaf);
    p.save();
    p.setClipRect(leaf);
    const auto at = [&](const Point& q) {
      return QPointF(leaf.x() + (q.x() - page.window.low.x()) * scale,
                     leaf.y() + (page.window.high.y() - q.y()) * scale);
    };
    for (const Stroke& s : d.strokes) {
      QPolygonF line;
      for (const Point& q : s.points) line << at(q);
      if (s.closed && !line.isEmpty()) line << line.front();
      p.setPen(QPen(s.layer == Layer::mark ? QColor("#2d5f9b") : QColor("#202c33"), 0.7));
      p.drawPolyline(line);
    }
    p.setPen(QPen(QColor("#8a8270"), 0.8));
    for (const Label& l : d.labels) { // letters this small are lines
      const double w = textWidth(l.text, l.height), from = l.anchor == Anchor::left     ? 0
                                                           : l.anchor == Anchor::middle ? -w / 2
                                                                                        : -w;
      const Point along = l.turned ? Point(0, 1) : Point(1, 0);
      p.drawLine(at(l.at + along * from), at(l.at + along * (from + w)));
    }
    p.restore();
    p.setPen(palette().text().color());
    p.drawText(QRect(place.x() - gap / 2, place.bottom() + 1, cell + gap, words), Qt::AlignHCenter,
               p.fontMetrics().elidedText(
                   QString("%1, %2").arg(QString::fromStdString(d.title),
                                         QString::fromStdString(d.bothHands ? handOf(d) : name(d.hand))),
                   Qt::ElideRight, cell + gap));
  }
}

} // namespace eup::app
