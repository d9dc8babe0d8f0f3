#include "app/boards/span_rule.h"
#include "app/state/watch.h"
#include "core/measure/length_text.h"
#include <QMouseEvent>
#include <QPainter>

namespace eup::app {

namespace {
constexpr double side = 40, ruleY = 44;
}

SpanRule::SpanRule(Document& d, Standpoint& s, const Look& l, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), look(l) {
  setFixedHeight(84);
  setFocusPolicy(Qt::StrongFocus);
  setAccessibleName(tr("Span rule: left and right arrow keys step from rib to rib"));
  new Watch(this, document, standpoint, [this](Changes) { update(); });
}

double SpanRule::xOf(double y) const {
  if (!document.hasWing()) return side;
  const double share = y / standpoint.shownWing().planform.halfSpan;
  return side + (standpoint.hand() == ShownHand::left ? 1 - share : share) * (width() - 2 * side);
}

void SpanRule::goTo(int number) {
  if (document.hasWing()) standpoint.setRib(number);
}
void SpanRule::step(int by) {
  if (document.hasWing()) goTo(standpoint.shownRib().number + by);
}

void SpanRule::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  p.fillRect(rect(), look.panel);
  p.setPen(look.edge);
  p.drawLine(0, 0, width(), 0);
  if (!document.hasWing()) return;
  const WholeWing& wing = standpoint.shownWing();
  const double span = wing.planform.halfSpan;
  QFont font = p.font();
  font.setPixelSize(10);
  p.setFont(font);
  p.setPen(QPen(look.ink, 1.4));
  p.drawLine(QPointF(xOf(0), ruleY), QPointF(xOf(span), ruleY));

  const bool inch = document.design().unit == LengthUnit::inch;
  const double unit = inch ? mmPerInch : 10;
  double step = unit;
  for (const double many : {2.0, 5.0, 10.0, 20.0, 50.0, 100.0})
    if (std::abs(xOf(step) - xOf(0)) < 60) step = unit * many;
  for (double t = 0; t <= span + 1e-6; t += step) {
    p.setPen(look.faint);
    p.drawLine(QPointF(xOf(t), ruleY), QPointF(xOf(t), ruleY + 6));
    p.drawText(QRectF(xOf(t) - 30, ruleY + 7, 60, 14), Qt::AlignCenter,
               inch ? QString("%1\"").arg(t / mmPerInch, 0, 'f', 0) : QString::number(t, 'f', 0));
  }
  // A spar runs the whole panel: a stripe of wood over the rule. Joins between panels are upright bars under it.
  for (const TruePanel& w : wing.panels) {
    double end = 0; // of the spar that runs farthest
    for (const SparLine& line : w.frame.spars) end = std::max(end, line.end);
    const double from = xOf(w.design.inboard), to = xOf(w.design.inboard + end);
    if (!w.frame.spars.empty())
      p.fillRect(QRectF(QPointF(std::min(from, to), ruleY - 4), QSizeF(std::abs(to - from), 3)), look.hardwood);
    for (const SurfaceMade& made : w.surfaces) { // and surfaces under it
      const double a = xOf(w.design.inboard + made.inner.t), b = xOf(w.design.inboard + made.outer.t);
      p.fillRect(QRectF(QPointF(std::min(a, b), ruleY + 1.5), QSizeF(std::abs(b - a), 4)), look.accent);
    }
    if (!w.design.innermost()) p.fillRect(QRectF(from - 1.5, ruleY - 6, 3, 16), look.ink);
  }
  double lastLabel = -1e9;
  const Rib& chosen = standpoint.shownRib(); // its name is written, whatever stands beside it
  const double chosenAt = xOf(standpoint.shownPanel().design.inboard + chosen.t());
  for (const TruePanel& w : wing.panels)
    for (const Rib& rib : w.frame.ribs) {
      const bool mine = rib.number == chosen.number;
      const double x = xOf(w.design.inboard + rib.t());
      p.setPen(QPen(mine ? look.accent : look.ink, mine ? 3 : 1.4));
      p.drawLine(QPointF(x, ruleY - 16), QPointF(x, ruleY));
      if (!mine && (std::abs(x - lastLabel) < 26 || std::abs(x - chosenAt) < 26)) continue;
      lastLabel = x;
      QFont f = font;
      f.setBold(mine);
      p.setFont(f);
      p.setPen(mine ? look.accent : look.faint);
      p.drawText(QRectF(x - 20, ruleY - 31, 40, 13), Qt::AlignCenter, QString::fromStdString(rib.name()));
    }
  for (const Finding& f : document.findings()) {
    if (!f.rib || *f.rib < 1 || *f.rib > wing.stationCount() || f.wing != standpoint.wing()) continue;
    const TruePanel& w = wing.panelAt(*f.rib);
    const double x = xOf(w.design.inboard + w.rib(*f.rib).t());
    p.setPen(Qt::NoPen);
    p.setBrush(f.severity == Severity::note ? look.faint : look.wrong);
    p.drawPolygon(QPolygonF{{x, 3}, {x - 5, 11}, {x + 5, 11}});
  }
  p.setFont(font);
  p.setPen(look.faint);
  p.drawText(QRectF(side, ruleY + 22, width() - 2 * side, 14), Qt::AlignLeft,
             inch ? tr("Span rule, inches from the root") : tr("Span rule, mm from the root"));
  p.drawText(QRectF(side, ruleY + 22, width() - 2 * side, 14), Qt::AlignRight, tr("← → step · Home root · End tip"));
  if (hasFocus()) {
    p.setPen(QPen(look.accent, 2));
    p.setBrush(Qt::NoBrush);
    p.drawRect(rect().adjusted(1, 1, -1, -1));
  }
}

void SpanRule::pick(double x) {
  if (!document.hasWing()) return;
  int nearest = 1;
  double best = 1e300;
  for (const TruePanel& w : standpoint.shownWing().panels)
    for (const Rib& rib : w.frame.ribs)
      if (const double d = std::abs(xOf(w.design.inboard + rib.t()) - x); d < best) best = d, nearest = rib.number;
  goTo(nearest);
}

void SpanRule::mousePressEvent(QMouseEvent* event) {
  pick(event->position().x());
}
void SpanRule::mouseMoveEvent(QMouseEvent* event) {
  if (event->buttons() & Qt::LeftButton) pick(event->position().x());
}

void SpanRule::keyPressEvent(QKeyEvent* event) {
  const int outwards = standpoint.hand() == ShownHand::left ? -1 : 1;
  switch (event->key()) {
  case Qt::Key_Left:
    return step(-outwards);
  case Qt::Key_Right:
    return step(outwards);
  case Qt::Key_Home:
    return goTo(1);
  case Qt::Key_End:
    return document.hasWing() ? goTo(standpoint.shownWing().stationCount()) : void();
  default:
    QWidget::keyPressEvent(event);
  }
}

} // namespace eup::app
