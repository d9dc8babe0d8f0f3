#include "app/bench/bench_steps.h"
#include "app/look/words.h"
#include "app/state/watch.h"
#include "core/bench/recording.h"
#include "core/exchange/calendar_file.h"
#include "core/files/text_file.h"
#include "core/report/told.h"
#include "core/steps/steps.h"
#include <algorithm>
#include <QtWidgets>

namespace eup::app {
namespace {

QString hours(double minutes) {
  return minutes < 60 ? BenchSteps::tr("%1 min").arg(minutes, 0, 'f', 0)
                      : BenchSteps::tr("%1 h").arg(minutes / 60, 0, 'f', minutes < 600 ? 1 : 0);
}

} // namespace

BenchSteps::BenchSteps(Document& d, Standpoint& s, BenchClock& c, std::function<Asking&()> asks, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), clock(c), asking(std::move(asks)) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 4, 0, 0);
  column->setSpacing(4);
  auto* row = new QHBoxLayout;
  column->addLayout(row);
  which = new QComboBox(this);
  which->setObjectName("stepsShown");
  which->setAccessibleName(tr("Which steps"));
  which->addItems(
      {tr("What can be done now"), tr("All, in the order of time"), tr("Today's"), tr("Gates nobody looked at")});
  row->addWidget(which);
  row->addWidget(new QLabel(tr("in the next"), this));
  minutes = new QLineEdit("45", this);
  minutes->setObjectName("freeMinutes");
  minutes->setAccessibleName(tr("Minutes that are free now"));
  minutes->setFixedWidth(48);
  row->addWidget(minutes);
  row->addWidget(new QLabel(tr("min"), this));
  row->addStretch();
  ends = new QLabel(this);
  ends->setObjectName("benchEnds");
  row->addWidget(ends);
  tree = new QTreeWidget(this);
  tree->setObjectName("steps");
  tree->setAccessibleName(tr("Steps of the work"));
  tree->setRootIsDecorated(false);
  tree->setUniformRowHeights(true);
  tree->setHeaderLabels({tr("Step"), tr("On"), tr("Is"), tr("When"), tr("Hands"), tr("Cures"), tr("Slack")});
  tree->header()->setStretchLastSection(false);
  tree->header()->setSectionResizeMode(what, QHeaderView::Stretch);
  for (const auto& [at, wide] : {std::pair(on, 150), std::pair(state, 92), std::pair(when, 96), std::pair(takes, 58),
                                 std::pair(cures, 54), std::pair(slack, 58)})
    tree->setColumnWidth(at, wide);
  tree->headerItem()->setToolTip(
      slack, tr("It may wait so long, other work being done meanwhile, and the end stays where it is"));
  column->addWidget(tree, 1);
  says = new QLabel(this);
  says->setObjectName("stepSays");
  says->setWordWrap(true);
  says->setTextInteractionFlags(Qt::TextSelectableByMouse);
  column->addWidget(says);
  auto* foot = new QHBoxLayout;
  column->addLayout(foot);
  const auto button = [&](const QString& text, const char* name, const QString& tip, auto run) {
    auto* one = new QPushButton(text, this);
    one->setObjectName(name);
    one->setToolTip(tip);
    connect(one, &QPushButton::clicked, this, run);
    foot->addWidget(one);
    return one;
  };
  beginButton = button(tr("Begin"), "stepBegin", tr("The stopwatch runs from now"), [this] { clock.begin(chosen()); });
  doneButton = button(tr("Done"), "stepDone", tr("Its cure begins now; the rest moves with it"),
                      [this] { clock.finish(chosen()); });
  lookButton = button(tr("Looked at"), "stepLooked", tr("Its gate was looked at, best by another"),
                      [this] { clock.setLooked(chosen(), looker->text().trimmed()); });
  looker = new QLineEdit(this);
  looker->setObjectName("lookedBy");
  looker->setPlaceholderText(tr("by whom"));
  looker->setAccessibleName(tr("Who looked"));
  looker->setFixedWidth(84);
  foot->addWidget(looker);
  backButton = button(tr("Not done"), "stepBack", tr("Takes its tick, its times and its look back"),
                      [this] { clock.takeBack(chosen()); });
  foot->addStretch();
  button(tr("Calendar…"), "stepCalendar", tr("What is left of the work as iCalendar, for any calendar program"),
         [this] { takeCalendar(); });
  button(tr("Own step"), "stepOwn", tr("A step of your own after the chosen one"), [this] { addOwn(); });
  waitButton =
      button(tr("Wait for…"), "stepWait", tr("Let the chosen step wait for another one"), [this] { waitFor(); });
  outButton = button(tr("Leave out"), "stepOut", tr("This wing does without it"), [this] { leaveOut(); });
  connect(which, &QComboBox::activated, this, [this] { refresh(); });
  connect(minutes, &QLineEdit::editingFinished, this, [this] { refresh(); });
  connect(tree, &QTreeWidget::currentItemChanged, this, [this] {
    if (!filling) showChosen();
  });
  connect(&clock, &BenchClock::changed, this, [this] {
    if (isVisible()) refresh();
  });
  new Watch(this, document, standpoint, [this](Changes changes) {
    if (changes & (Aspect::design | Aspect::wing | Aspect::stage)) refresh();
  });
}

std::string BenchSteps::chosen() const {
  const QTreeWidgetItem* item = tree->currentItem();
  return item ? item->data(what, Qt::UserRole).toString().toStdString() : std::string();
}

void BenchSteps::choose(const std::string& key) {
  for (int i = 0; i < tree->topLevelItemCount(); ++i)
    if (tree->topLevelItem(i)->data(what, Qt::UserRole).toString().toStdString() == key)
      tree->setCurrentItem(tree->topLevelItem(i));
}

std::vector<std::size_t> BenchSteps::shownSteps(const BenchNow* n) {
  const auto& steps = clock.steps();
  std::vector<std::size_t> out;
  if (which->currentIndex() == now && n) {
    bool fine = false;
    const double free = minutes->text().toDouble(&fine);
    return canDoNow(steps, *n, fine && free > 0 ? free : 45);
  }
  for (std::size_t i = 0; i < steps.size(); ++i) {
    if (which->currentIndex() == open) {
      const StepRecord* r = recordOf(document.design().records.steps, steps[i].key);
      if (!r || r->done.empty() || r->looked || steps[i].look.empty()) continue;
    }
    if (which->currentIndex() == today) {
      if (!n) continue;
      const double day = std::floor(n->now / 1440);
      const Placed& p = n->schedule.placed[i];
      const bool over = n->steps[i].state == StepState::done;
      if (over || std::floor(p.from / 1440 + 1e-9) > day) continue;
    }
    out.push_back(i);
  }
  if (n && which->currentIndex() != open)
    std::stable_sort(out.begin(), out.end(), [&](std::size_t a, std::size_t b) {
      const auto done = [&](std::size_t i) { return n->steps[i].state == StepState::done; };
      if (done(a) != done(b)) return done(a);
      return n->schedule.placed[a].from < n->schedule.placed[b].from - 1e-9;
    });
  return out;
}

void BenchSteps::fillRow(QTreeWidgetItem* item, std::size_t i, const BenchNow* n) {
  const Step& s = clock.steps()[i];
  item->setText(what, inWords(s.what));
  item->setToolTip(what, inWords(s.what));
  item->setText(on, inWords(s.on));
  item->setToolTip(on, inWords(s.on));
  item->setText(takes, hours(s.minutes));
  item->setText(cures, s.cureHours > 0 ? hours(s.cureHours * 60) : QString());
  item->setData(what, Qt::UserRole, inWords(s.key));
  for (const int at : {takes, cures, slack}) item->setTextAlignment(at, Qt::AlignRight | Qt::AlignVCenter);
  if (!n) return;
  const auto setWhen = [&](const QString& moment) {
    item->setText(when, shortly(moment));
    item->setToolTip(when, moment);
  };
  const StepNow& now_ = n->steps[i];
  const Placed& p = n->schedule.placed[i];
  QString is = tr(name(now_.state));
  if (now_.state == StepState::cures) is = tr("cures, %1 left").arg(hours(now_.cureLeft));
  if (now_.ofTheFuture) is += tr(" ?");
  item->setText(state, is);
  if (now_.ofTheFuture) item->setToolTip(state, tr("It was recorded later than it is now: is the clock right?"));
  if (now_.state == StepState::done || now_.state == StepState::cures) {
    setWhen(now_.record ? inWords(now_.record->done) : QString());
  } else {
    setWhen(inWords(textOf(n->at(p.from))));
    item->setText(slack, p.slack < 1 ? tr("none") : hours(p.slack));
  }
  QFont font = item->font(what);
  font.setStrikeOut(now_.state == StepState::done);
  font.setBold(now_.state == StepState::begun || (now_.state == StepState::ready && p.slack < 1));
  item->setFont(what, font);
}

void BenchSteps::refresh() {
  const std::string key = chosen();
  const QSignalBlocker quiet(tree);
  filling = true;
  const int scrolled = tree->verticalScrollBar()->value();
  tree->clear();
  const BenchNow* n = clock.now();
  for (const std::size_t i : shownSteps(n)) fillRow(new QTreeWidgetItem(tree), i, n);
  choose(key);
  if (!tree->currentItem() && tree->topLevelItemCount() > 0) tree->setCurrentItem(tree->topLevelItem(0));
  filling = false;
  tree->verticalScrollBar()->setValue(scrolled);
  double hands = 0;
  int done = 0;
  for (std::size_t i = 0; n && i < n->steps.size(); ++i)
    n->steps[i].state == StepState::done || n->steps[i].state == StepState::cures
        ? ++done
        : static_cast<int>(hands += n->activities[i].hands);
  ends->setText(!document.hasWing() ? QString()
                : n                 ? tr("%1 of %2 done · %3 of hands left · ready %4")
                          .arg(done)
                          .arg(n->steps.size())
                          .arg(hours(hands), inWords(textOf(n->at(n->schedule.end))))
                    : tr("Nobody is ever at the bench: give it minutes on the right"));
  ends->setToolTip(n ? tr("It cannot be ready before %1: the longest way through the steps, and all hands' minutes")
                           .arg(inWords(textOf(n->at(n->schedule.bound))))
                     : QString());
  showChosen();
}

void BenchSteps::showChosen() {
  const std::string key = chosen();
  const Step* s = clock.step(key);
  const StepRecord* r = recordOf(document.design().records.steps, key);
  const bool done = r && !r->done.empty(), begun = r && !r->begun.empty() && !done;
  beginButton->setEnabled(s && !done && !begun);
  doneButton->setEnabled(s && !done);
  lookButton->setEnabled(s && !s->look.empty() && !(r && r->looked));
  backButton->setEnabled(r != nullptr);
  outButton->setEnabled(s != nullptr);
  waitButton->setEnabled(s != nullptr);
  if (!s) {
    says->setText(which->currentIndex() == open ? tr("Every gate of what is done was looked at.")
                                                : tr("Nothing can be done now: something cures, or all is done."));
    return;
  }
  QStringList lines;
  if (!s->with.empty()) lines << tr("With %1.").arg(inWords(s->with));
  if (!s->goesIn.empty()) lines << tr("Pieces fitted: %1.").arg(inWords(s->goesIn));
  if (s->glue.joints > 0) lines << tr("Glue joints: %1.").arg(inWords(wordsOf(s->glue, document.design().unit)));
  if (!s->look.empty())
    lines << (r && r->looked
                  ? tr("Looked at%1: %2.")
                        .arg(r->lookedBy.empty() ? QString() : tr(" by ") + inWords(r->lookedBy), inWords(s->look))
                  : tr("To look at: %1.").arg(inWords(s->look)));
  QStringList figures;
  for (const std::string& f : s->figures)
    if (const Figure* figure = figureNamed(document.wing(), f))
      figures << tr("%1 %2").arg(inWords(figure->label),
                                 inWords(told(figure->value, figure->quantity, document.design().unit)));
  if (!figures.isEmpty()) lines << tr("At hand: %1.").arg(figures.join(", "));
  if (!s->print.empty()) lines << tr("Its print: %1.").arg(inWords(s->print));
  QStringList waits;
  for (const std::string& need : s->needs)
    if (const StepRecord* n = recordOf(document.design().records.steps, need); !n || n->done.empty())
      if (const Step* other = clock.step(need)) waits << inWords(other->what);
  if (!waits.isEmpty()) lines << tr("Waits for: %1.").arg(waits.join("; "));
  if (!s->caution.empty()) lines << tr("Caution: %1").arg(inWords(s->caution));
  says->setText(lines.join(" "));
}

void BenchSteps::leaveOut() {
  const Step* s = clock.step(chosen());
  if (!s) return;
  Design next = document.design();
  const std::string key = s->key;
  if (key.starts_with("own.")) {
    const auto of = [&](const char* end) {
      return std::find_if(next.bench.own.begin(), next.bench.own.end(),
                          [&](const OwnStep& own) { return ownStepKey(own.number) + end == key; });
    };
    if (const auto gone = of(""); gone != next.bench.own.end()) next.bench.own.erase(gone);
    if (const auto one = of(".other"); one != next.bench.own.end()) one->eachHand = false; // its twin stays
  } else if (static_cast<int>(next.bench.leftOut.size()) < mostOrderChanges) {
    next.bench.leftOut.push_back({key});
  }
  document.edit(tr("Leave out: %1").arg(inWords(s->what)), std::move(next));
}

void BenchSteps::addOwn() {
  Design next = document.design();
  if (static_cast<int>(next.bench.own.size()) >= mostOwnSteps) {
    Q_EMIT document.refused(
        tr("There are %1 steps of your own already, as many as there can be. Leave one out first.").arg(mostOwnSteps));
    return;
  }
  OwnStep own;
  own.after = chosen();
  own.number = freeOwnNumber(next.bench, next.records);
  next.bench.own.push_back(own);
  const int number = static_cast<int>(next.bench.own.size()) - 1;
  if (document.edit(tr("Add a step of my own"), std::move(next))) {
    which->setCurrentIndex(all);
    refresh();
    choose(ownStepKey(own.number));
    standpoint.choose({Topic::benchStep, number});
  }
}

QString BenchSteps::writeCalendar(const QString& path) {
  const BenchNow* n = clock.now();
  if (!n) return tr("Nobody is ever at the bench: give it minutes on the right");
  const std::string text = toCalendar(document.design().name, clock.steps(),
                                      sittingsOf(n->schedule, n->activities, n->bench), n->first, n->hour);
  const auto done = writeFileAtomically(path.toStdString(), text);
  return done ? QString() : inWords(done.problem().text());
}

void BenchSteps::takeCalendar() {
  const QString path =
      asking().fileToWrite(this, tr("Take the calendar away"), "bench.ics", tr("Calendars (*.ics)"), "ics");
  if (path.isEmpty()) return;
  const QString problem = writeCalendar(path);
  says->setText(problem.isEmpty() ? tr("Written: %1").arg(path) : problem);
}

/// A list of the steps that it could wait for opens at the button.
void BenchSteps::waitFor() {
  const std::string key = chosen();
  auto* menu = new QMenu(this);
  menu->setObjectName("waitMenu");
  menu->setAttribute(Qt::WA_DeleteOnClose);
  for (const Step& other : clock.steps())
    if (other.key != key) menu->addAction(inWords(namedStep(other)))->setData(inWords(other.key));
  connect(menu, &QMenu::triggered, this, [this, key](const QAction* picked) {
    Design next = document.design();
    if (static_cast<int>(next.bench.needs.size()) >= mostOrderChanges) return;
    next.bench.needs.push_back({key, picked->data().toString().toStdString()});
    document.edit(tr("Let a step wait"), std::move(next));
  });
  menu->popup(waitButton->mapToGlobal(QPoint(0, 0)));
}

} // namespace eup::app
