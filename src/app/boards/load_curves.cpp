#include "app/boards/load_curves.h"
#include "app/boards/span_rule.h"
#include "app/state/watch.h"
#include <QKeyEvent>
#include <QMouseEvent>
#include <QVBoxLayout>
// The library's header is written with the keywords that this program does without.
#define signals Q_SIGNALS
#define slots Q_SLOTS
#define foreach Q_FOREACH
#include <qcustomplot.h>
#undef signals
#undef slots
#undef foreach

namespace eup::app {
namespace {

/// How the lines of the other loads are drawn, and what that is called.
struct Dash {
  QList<qreal> pattern; ///< in widths of the pen
  const char* words;
};
const std::vector<Dash> dashes{{{4, 3}, QT_TR_NOOP("dashed")},
                               {{1, 2}, QT_TR_NOOP("dotted")},
                               {{4, 2, 1, 2}, QT_TR_NOOP("dash and dot")},
                               {{4, 2, 1, 2, 1, 2}, QT_TR_NOOP("dash and two dots")},
                               {{10, 4}, QT_TR_NOOP("long dashes")}};
constexpr int rowHeight = 43, betweenCurves = 7;

/// From the least to the greatest value, nothing and a little room always in it.
QCPRange rangeOf(const SpanCurve& curve) {
  double low = 0, high = 0;
  for (const SpanCurve::Line& line : curve.lines)
    for (const Point& p : line.places) low = std::min(low, p.y()), high = std::max(high, p.y());
  if (high - low < 1e-9) high = 1;
  const double room = 0.12 * (high - low);
  return {low < 0 ? low - room : 0, high > 0 ? high + 4 * room : 4 * room};
}

/// Two decimals, more for what would not show in them.
QString worded(double value) {
  return QString::number(value, std::abs(value) < 0.1 && value != 0 ? 'g' : 'f', 2);
}

/// Why there is no twist to draw.
QString noTwist(const WholeWing& wing) {
  if (!wing.soft) return LoadCurves::tr(": no frame to twist yet");
  return wing.soft->twist.empty() ? LoadCurves::tr(": it runs away at the speed of the dive")
                                  : LoadCurves::tr(": type a speed of the dive under Loads");
}

} // namespace

LoadCurves::LoadCurves(Document& d, Standpoint& s, SpanRule& r, const Look& l, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), rule(r), look(l) {
  setObjectName("loadCurves");
  setAccessibleName(tr("Curves along the span: lift, shear, bending, twist, bend. Left and right arrow keys step from "
                       "rib to rib"));
  setFocusPolicy(Qt::StrongFocus);
  plot = new QCustomPlot(this);
  plot->setFocusPolicy(Qt::NoFocus);
  plot->installEventFilter(this);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->addWidget(plot);
  plot->plotLayout()->clear();
  plot->plotLayout()->setRowSpacing(0);
  setFixedHeight(5 * (rowHeight + betweenCurves) + betweenCurves);
  new Watch(this, document, standpoint, [this](Changes what) {
    if (what & (Aspect::design | Aspect::wing | Aspect::stage | Aspect::view))
      refresh();
    else if (what & Aspect::place)
      standpoint.wing() == shownWing ? pointAtRib() : refresh();
  });
  refresh();
}

double LoadCurves::chosenStation() const {
  return standpoint.shownPanel().design.inboard + standpoint.shownRib().t();
}

/// Of its worst load at the chosen rib, with the unit; empty without any.
QString LoadCurves::valueAt(const SpanCurve& curve) const {
  for (const SpanCurve::Line& line : curve.lines)
    if (line.worst) return worded(line.at(chosenStation())) + " " + QString::fromStdString(curve.unit);
  return {};
}

QString LoadCurves::wordsAt(std::size_t i) const {
  const SpanCurve& curve = shown.at(i);
  const QString label = QString::fromStdString(curve.label);
  return curve.lines.empty() ? label
                             : tr("%1 at R%2: %3").arg(label).arg(standpoint.shownRib().number).arg(valueAt(curve));
}

double LoadCurves::xOf(double y) const {
  return plot->axisRect(0)->axis(QCPAxis::atBottom)->coordToPixel(y);
}

/// Draws what is new into the axes that are there; makes them where there are more or fewer of them.
void LoadCurves::refresh() {
  if (standpoint.stage() != Stage::spars || !document.hasWing()) return;
  const WholeWing& wing = standpoint.shownWing();
  shownWing = standpoint.wing();
  shown = spanCurves(wing);
  bool same = shown.size() == rows.size();
  for (std::size_t i = 0; i < rows.size() && same; ++i) same = rows[i].graphs.size() == shown[i].lines.size();
  if (!same) rebuild();
  for (std::size_t i = 0; i < shown.size(); ++i) fill(i, wing);
  pointAtRib();
}

void LoadCurves::rebuild() {
  plot->clearPlottables();
  plot->clearItems();
  plot->plotLayout()->clear();
  rows.clear();
  for (std::size_t i = 0; i < shown.size(); ++i) {
    Row row;
    row.rect = new QCPAxisRect(plot, true);
    row.rect->setAutoMargins(QCP::msNone);
    row.rect->setMinimumSize(10, 10);
    plot->plotLayout()->addElement(static_cast<int>(i), 0, row.rect);
    QCPAxis *across = row.rect->axis(QCPAxis::atBottom), *up = row.rect->axis(QCPAxis::atLeft);
    across->setTicks(false);
    up->ticker()->setTickCount(2);
    for (std::size_t k = 0; k < shown[i].lines.size(); ++k) row.graphs.push_back(plot->addGraph(across, up));
    row.cursor = new QCPItemStraightLine(plot);
    row.cursor->setClipAxisRect(row.rect);
    for (QCPItemPosition* p : {row.cursor->point1, row.cursor->point2})
      p->setAxes(across, up), p->setAxisRect(row.rect);
    const auto text = [&] {
      auto* one = new QCPItemText(plot);
      one->setClipAxisRect(row.rect);
      one->position->setAxisRect(row.rect);
      one->position->setType(QCPItemPosition::ptAxisRectRatio);
      return one;
    };
    row.head = text();
    row.value = text();
    rows.push_back(row);
  }
}

void LoadCurves::fill(std::size_t i, const WholeWing& wing) {
  const SpanCurve& curve = shown[i];
  const Row& row = rows[i];
  const double span = wing.planform.halfSpan;
  const bool mirrored = standpoint.hand() == ShownHand::left;
  plot->setBackground(look.paper);
  QFont small = font();
  small.setPixelSize(11);
  QFont strong = small;
  strong.setBold(true);
  const int left = static_cast<int>(std::lround(std::min(rule.xOf(0), rule.xOf(span)))),
            right = rule.width() - static_cast<int>(std::lround(std::max(rule.xOf(0), rule.xOf(span))));
  const int below = i + 1 == shown.size() ? 12 : 0; // room for its lowest number
  row.rect->setMargins({left, betweenCurves, right, below});
  for (QCPAxis* axis : row.rect->axes()) {
    axis->setBasePen(QPen(look.edge));
    axis->setTickPen(QPen(look.edge));
    axis->setSubTickPen(Qt::NoPen);
    axis->setTickLabelFont(small);
    axis->setTickLabelColor(look.ink);
    axis->setTickLabels(axis->axisType() == QCPAxis::atLeft);
    axis->grid()->setPen(QPen(look.grid));
    axis->grid()->setZeroLinePen(QPen(look.faint));
  }
  QCPAxis *across = row.rect->axis(QCPAxis::atBottom), *up = row.rect->axis(QCPAxis::atLeft);
  across->setRange(0, span);
  across->setRangeReversed(mirrored);
  up->setTicks(!curve.lines.empty());
  up->setRange(rangeOf(curve));
  std::size_t other = 0;
  for (std::size_t k = 0; k < curve.lines.size(); ++k) {
    const SpanCurve::Line& line = curve.lines[k];
    QVector<double> x, y;
    for (const Point& p : line.places) x << p.x(), y << p.y();
    row.graphs[k]->setData(x, y, true);
    QPen pen(line.worst ? look.accent : look.faint, line.worst ? 1.8 : 1.2);
    if (!line.worst) pen.setDashPattern(dashes.at(other++ % dashes.size()).pattern);
    row.graphs[k]->setPen(pen);
    row.graphs[k]->setBrush(line.worst ? QBrush(look.accentSoft) : QBrush(Qt::NoBrush));
  }
  row.cursor->setPen(QPen(look.accent, 1.4));
  QString head = tr("%1, %2").arg(QString::fromStdString(curve.label), QString::fromStdString(curve.unit));
  if (curve.lines.empty())
    head += curve.unit == "°" ? noTwist(wing) : tr(": no spar carries it yet");
  else
    for (const SpanCurve::Line& line : curve.lines)
      if (line.worst) head += tr(" · %1").arg(QString::fromStdString(line.words));
  QStringList others;
  for (const SpanCurve::Line& line : curve.lines)
    if (!line.worst)
      others << tr("%1: %2").arg(tr(dashes.at(static_cast<std::size_t>(others.size()) % dashes.size()).words),
                                 QString::fromStdString(line.words));
  constexpr qsizetype each = 2; // a curve tells how two of them are drawn: there is no room for more
  const auto part = others.mid(static_cast<qsizetype>(i) * each, each);
  if (!part.isEmpty() && i < 3) head += " · " + part.join(" · ");
  const auto place = [&](QCPItemText* text, bool atLeft, const QFont& in) {
    text->position->setCoords(atLeft ? 0.01 : 0.99, 0.02);
    text->setPositionAlignment((atLeft ? Qt::AlignLeft : Qt::AlignRight) | Qt::AlignTop);
    text->setFont(in);
    text->setColor(look.ink);
  };
  place(row.head, !mirrored, small);
  place(row.value, mirrored, strong);
  row.head->setText(head);
}

/// The line at the chosen rib, and the values there.
void LoadCurves::pointAtRib() {
  if (!document.hasWing()) return;
  const double station = chosenStation();
  for (std::size_t i = 0; i < rows.size(); ++i) {
    rows[i].cursor->point1->setCoords(station, 0);
    rows[i].cursor->point2->setCoords(station, 1);
    rows[i].value->setText(
        shown[i].lines.empty()
            ? QString()
            : tr("%1  %2").arg(QString::fromStdString(standpoint.shownRib().name()), valueAt(shown[i])));
  }
  plot->replot(QCustomPlot::rpQueuedReplot); // several changes at once are drawn once
}

void LoadCurves::resizeEvent(QResizeEvent* event) {
  QWidget::resizeEvent(event);
  refresh();
}

/// Light or dark.
void LoadCurves::changeEvent(QEvent* event) {
  QWidget::changeEvent(event);
  if (event->type() == QEvent::StyleChange && plot) refresh();
}

/// Keys and clicks are the span rule's, which stands under the curves at the same places.
void LoadCurves::keyPressEvent(QKeyEvent* event) {
  QCoreApplication::sendEvent(&rule, event);
}

bool LoadCurves::eventFilter(QObject* watched, QEvent* event) {
  if (event->type() != QEvent::MouseButtonPress) return QWidget::eventFilter(watched, event);
  setFocus();
  rule.pick(static_cast<QMouseEvent*>(event)->position().x());
  return true;
}

} // namespace eup::app
