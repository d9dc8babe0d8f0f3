#include "app/load_curves.h"
#include "app/span_rule.h"
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
constexpr int rowHeight = 51, between = 8;

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
  setFixedHeight(5 * (rowHeight + between) + between);
  connect(&document, &Document::changed, this, &LoadCurves::rebuild);
  connect(&standpoint, &Standpoint::changed, this, &LoadCurves::rebuild);
  rebuild();
}

double LoadCurves::chosenStation() const {
  const TruePanel& panel = document.panelOfRib(standpoint.rib());
  const int rib = std::clamp(standpoint.rib(), panel.ribs.front().number, panel.ribs.back().number); // it may be gone
  return panel.design.inboard + panel.rib(rib).t();
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
  return curve.lines.empty() ? label : tr("%1 at R%2: %3").arg(label).arg(standpoint.rib()).arg(valueAt(curve));
}

double LoadCurves::xOf(double y) const {
  return plot->axisRect(0)->axis(QCPAxis::atBottom)->coordToPixel(y);
}

void LoadCurves::rebuild() {
  if (standpoint.stage() != Stage::spars) return;
  const WholeWing& wing = document.shown();
  shown = spanCurves(wing);
  plot->clearPlottables();
  plot->clearItems();
  plot->plotLayout()->clear();
  plot->setBackground(look.paper);
  const double span = wing.planform.halfSpan, station = chosenStation();
  QFont small = font();
  small.setPixelSize(11);
  QFont strong = small;
  strong.setBold(true);
  for (std::size_t i = 0; i < shown.size(); ++i) {
    const SpanCurve& curve = shown[i];
    auto* rect = new QCPAxisRect(plot, true);
    rect->setAutoMargins(QCP::msNone);
    const int left = static_cast<int>(std::lround(std::min(rule.xOf(0), rule.xOf(span)))),
              right = rule.width() - static_cast<int>(std::lround(std::max(rule.xOf(0), rule.xOf(span))));
    const int below = i + 1 == shown.size() ? 12 : 0; // room for its lowest number
    rect->setMargins({left, between, right, below});
    rect->setMinimumSize(10, 10);
    plot->plotLayout()->addElement(static_cast<int>(i), 0, rect);
    for (QCPAxis* axis : rect->axes()) {
      axis->setBasePen(QPen(look.edge));
      axis->setTickPen(QPen(look.edge));
      axis->setSubTickPen(Qt::NoPen);
      axis->setTickLabelFont(small);
      axis->setTickLabelColor(look.ink);
      axis->setTickLabels(axis->axisType() == QCPAxis::atLeft);
      axis->grid()->setPen(QPen(look.grid));
      axis->grid()->setZeroLinePen(QPen(look.faint));
    }
    QCPAxis *across = rect->axis(QCPAxis::atBottom), *up = rect->axis(QCPAxis::atLeft);
    across->setRange(0, span);
    across->setRangeReversed(standpoint.hand() == ShownHand::left);
    across->setTicks(false);
    up->ticker()->setTickCount(2);
    up->setTicks(!curve.lines.empty());
    up->setRange(rangeOf(curve));
    std::size_t other = 0;
    for (const SpanCurve::Line& line : curve.lines) {
      auto* graph = plot->addGraph(across, up);
      for (const Point& p : line.places) graph->addData(p.x(), p.y());
      QPen pen(line.worst ? look.accent : look.faint, line.worst ? 1.8 : 1.2);
      if (!line.worst) pen.setDashPattern(dashes.at(other++ % dashes.size()).pattern);
      graph->setPen(pen);
      if (line.worst) graph->setBrush(look.accentSoft);
    }
    auto* cursor = new QCPItemStraightLine(plot);
    cursor->setClipAxisRect(rect);
    for (QCPItemPosition* p : {cursor->point1, cursor->point2}) p->setAxes(across, up), p->setAxisRect(rect);
    cursor->point1->setCoords(station, 0);
    cursor->point2->setCoords(station, 1);
    cursor->setPen(QPen(look.accent, 1.4));
    const auto write = [&](const QString& words, double share, Qt::Alignment align, const QFont& in) {
      auto* text = new QCPItemText(plot);
      text->setClipAxisRect(rect);
      text->position->setAxisRect(rect);
      text->position->setType(QCPItemPosition::ptAxisRectRatio);
      text->position->setCoords(share, 0.02);
      text->setPositionAlignment(align | Qt::AlignTop);
      text->setText(words);
      text->setFont(in);
      text->setColor(look.ink);
    };
    const QString unit = QString::fromStdString(curve.unit);
    QString head = tr("%1, %2").arg(QString::fromStdString(curve.label), unit);
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
    const bool mirrored = standpoint.hand() == ShownHand::left;
    write(head, mirrored ? 0.99 : 0.01, mirrored ? Qt::AlignRight : Qt::AlignLeft, small);
    if (!curve.lines.empty())
      write(tr("R%1  %2").arg(standpoint.rib()).arg(valueAt(curve)), mirrored ? 0.01 : 0.99,
            mirrored ? Qt::AlignLeft : Qt::AlignRight, strong);
  }
  plot->replot(QCustomPlot::rpQueuedReplot); // several changes at once are drawn once
}

void LoadCurves::resizeEvent(QResizeEvent* event) {
  QWidget::resizeEvent(event);
  rebuild();
}

/// Light or dark.
void LoadCurves::changeEvent(QEvent* event) {
  QWidget::changeEvent(event);
  if (event->type() == QEvent::StyleChange && plot) rebuild();
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
