#include "app/bench/bench_view.h"
#include "app/look/words.h"
#include "core/report/told.h"
#include <algorithm>
#include <QKeyEvent>
#include <QLabel>
#include <QVBoxLayout>

namespace eup::app {
BenchView::BenchView(Document& d, BenchClock& c, InstrumentPort& i, QWidget* parent)
    : QDialog(parent), document(d), clock(c), instrument(i) {
  setWindowTitle(tr("At the bench"));
  setObjectName("benchView");
  setAttribute(Qt::WA_StyledBackground);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(36, 24, 36, 20);
  column->setSpacing(10);
  const auto label = [&](QLabel*& to, const char* name) {
    to = new QLabel(this);
    to->setObjectName(name);
    to->setWordWrap(true);
    column->addWidget(to);
  };
  label(on, "viewOn");
  label(what, "viewWhat");
  label(figures, "viewFigures");
  label(look, "viewLook");
  column->addStretch();
  label(live, "viewLive");
  label(time, "viewTime");
  label(keys, "viewKeys");
  resize(1180, 740);
  connect(&clock, &BenchClock::changed, this, &BenchView::refresh);
  connect(&instrument, &InstrumentPort::told, this, &BenchView::refresh);
  connect(&timer, &QTimer::timeout, this, &BenchView::refresh);
  constexpr int second = 1000;
  timer.start(second);
  next();
}

void BenchView::show(const std::string& step) {
  key = step;
  refresh();
}

/// The next one that can be done now after the shown one; from the first again after the last.
void BenchView::next() {
  const BenchNow* n = clock.now();
  const auto& steps = clock.steps();
  std::vector<std::string> can;
  if (n)
    for (const std::size_t i : canDoNow(steps, *n, 24 * 60)) can.push_back(steps[i].key);
  const auto at = std::find(can.begin(), can.end(), key);
  key = can.empty() ? std::string() : at == can.end() || at + 1 == can.end() ? can.front() : *(at + 1);
  refresh();
}

/// The one key: begins the step, ends it, goes on to the next.
void BenchView::go() {
  if (key.empty()) return next();
  const StepRecord* r = recordOf(document.design().records.steps, key);
  if (!r || r->begun.empty()) {
    clock.begin(key);
  } else if (r->done.empty()) {
    clock.finish(key);
    next();
  } else {
    next();
  }
  refresh();
}

void BenchView::keyPressEvent(QKeyEvent* event) {
  switch (event->key()) {
  case Qt::Key_Space:
  case Qt::Key_Return:
  case Qt::Key_Enter:
    return go();
  case Qt::Key_N:
    return next();
  case Qt::Key_L:
    if (!key.empty()) clock.setLooked(key, {});
    return refresh();
  case Qt::Key_R:
    Q_EMIT readAsked();
    return refresh();
  default:
    QDialog::keyPressEvent(event);
  }
}

void BenchView::resizeEvent(QResizeEvent* event) {
  QDialog::resizeEvent(event);
  // Read at two metres: letters a twelfth of a degree high and more, on a screen of usual size.
  const auto size = [&](QLabel* l, double share) {
    QFont font = l->font();
    font.setPixelSize(std::max(static_cast<int>(height() * share), 14));
    l->setFont(font);
  };
  size(what, 0.105), size(on, 0.06), size(look, 0.045), size(figures, 0.06), size(live, 0.07), size(time, 0.05),
      size(keys, 0.034);
}

void BenchView::refresh() {
  const Step* s = clock.step(key);
  keys->setText(
      tr("Space: begin, done, next  ·  N: another  ·  L: looked at  ·  R: record what the instrument reads  ·  Esc: "
         "back"));
  if (!s) {
    on->clear(), figures->clear(), look->clear(), time->clear();
    what->setText(tr("Nothing can be done now: something cures, or all is done."));
  } else {
    const StepRecord* r = recordOf(document.design().records.steps, key);
    on->setText(inWords(s->on).toUpper());
    what->setText(inWords(s->what));
    QStringList at;
    for (const std::string& f : s->figures)
      if (const Figure* figure = document.hasWing() ? figureNamed(document.wing(), f) : nullptr)
        at << tr("%1 %2").arg(inWords(figure->label),
                              inWords(told(figure->value, figure->quantity, document.design().unit)));
    figures->setText(at.mid(0, 3).join("   "));
    look->setText((s->look.empty()  ? QString()
                   : r && r->looked ? tr("Looked at. ")
                                    : tr("Look: %1. ").arg(inWords(s->look))) +
                  inWords(s->caution));
    const auto begun = r ? momentFromText(r->begun) : std::nullopt;
    const double runs = begun && r->done.empty() ? minutesBetween(*begun, document.clock()) : -1;
    time->setText(runs >= 0 ? tr("%1 of about %2 minutes").arg(runs, 0, 'f', 0).arg(s->minutes, 0, 'f', 0)
                            : tr("about %1 minutes").arg(s->minutes, 0, 'f', 0));
  }
  const InstrumentStatus& i = instrument.status();
  live->setText(i.mean   ? tr("%1 %2").arg(*i.mean, 0, 'f', 2).arg(i.unit == "deg" ? QString("°") : inWords(i.unit))
                : i.last ? tr("%1 … moving").arg(*i.last, 0, 'f', 2)
                         : QString());
}

} // namespace eup::app
