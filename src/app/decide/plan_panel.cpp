#include "app/decide/plan_panel.h"
#include "app/decide/decide_panel.h"
#include "app/decide/plan_panel_parts.h"
#include "core/measure/length_text.h"
#include <QComboBox>
#include <QFrame>
#include <QHeaderView>
#include <QTableWidget>
#include <QToolButton>
#include <QVBoxLayout>

namespace eup::app {

using namespace plan_parts;

PlanPanel::PlanPanel(Document& d, Standpoint& s, PlanBoard& b, std::function<Asking&()> ask, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), board(b), asking(std::move(ask)) {
  column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  auto* strip = new QHBoxLayout;
  strip->setSpacing(2);
  const std::pair<Page, QString> pages[] = {{Page::sheets, tr("Plan")},
                                            {Page::makeTrue, tr("Make true")},
                                            {Page::read, tr("Read")},
                                            {Page::judge, tr("Judge")},
                                            {Page::use, tr("Use")}};
  for (const auto& [which, title] : pages) {
    auto* tab = new QToolButton(this);
    tab->setProperty("tab", true);
    tab->setCheckable(true);
    tab->setFocusPolicy(Qt::StrongFocus);
    tab->setText(title);
    tab->setObjectName("planTab " + title);
    connect(tab, &QToolButton::clicked, this, [this, which = which] { turnTo(which); });
    strip->addWidget(tab);
    tabs.push_back(tab);
  }
  strip->addStretch();
  column->addLayout(strip);
  timer.setSingleShot(true);
  connect(&timer, &QTimer::timeout, this, &PlanPanel::rebuild);
  const auto later = [this] { timer.start(0); };
  connect(&document, &Document::changed, this, &PlanPanel::outdate);
  connect(&document, &Document::replaced, this, [this] {
    reading.reset();
    theSheet = 0;
    otherSpan = 0;
    page = document.design().plan.readings.empty() ? Page::sheets : Page::judge;
  });
  connect(&standpoint, &Standpoint::changed, this, later);
  connect(&board, &PlanBoard::toolChanged, this, later);
  connect(&document.planImages(), &PlanImages::changed, this, later);
  rebuild();
}

void PlanPanel::outdate() {
  if (body)
    for (QWidget* control : body->findChildren<QWidget*>()) control->blockSignals(true);
  timer.start(0);
}

void PlanPanel::turnTo(Page which) {
  page = which;
  rebuild();
}

std::size_t PlanPanel::sheet() const {
  return std::min(theSheet, document.design().plan.sheets.empty() ? 0 : document.design().plan.sheets.size() - 1);
}

QString PlanPanel::len(double mm) const {
  return plain(told(mm, Quantity::length, document.design().unit));
}

DecisionEdit* PlanPanel::field(QWidget* parent, const QString& name, const QString& label, const QString& text) const {
  auto* edit = new DecisionEdit(parent);
  edit->setObjectName(name);
  edit->setAccessibleName(label);
  edit->show(text);
  return edit;
}

void PlanPanel::editSheet(const QString& name, const std::function<void(PlanSheet&)>& change) {
  Design next = document.design();
  if (next.plan.sheets.empty()) return;
  change(next.plan.sheets[sheet()]);
  document.edit(name, std::move(next));
}

void PlanPanel::typeLength(const QString& text, const std::function<void(double)>& take) {
  const auto mm = parseLength(text.toStdString(), document.design().unit);
  if (!mm) {
    Q_EMIT said(plain(mm.problem().cause), true);
    timer.start(0); // the old value is shown again
    return;
  }
  take(mm.value());
}

void PlanPanel::rebuild() {
  if (!isVisibleTo(window()) && body) return;
  const QWidget* had = focusWidget();
  const QString focusName = had && isAncestorOf(had) ? had->objectName() : QString();
  const auto& judged = document.plan().judgements;
  const auto faults = std::count_if(judged.begin(), judged.end(), [](const Judgement& j) { return j.fault; });
  tabs[static_cast<std::size_t>(Page::judge)]->setText(faults > 0 ? tr("Judge ▲%1").arg(faults) : tr("Judge"));
  for (std::size_t i = 0; i < tabs.size(); ++i) {
    tabs[i]->setChecked(static_cast<std::size_t>(page) == i);
    tabs[i]->setEnabled(i == 0 || !document.design().plan.sheets.empty() || static_cast<Page>(i) == Page::use);
  }
  if (page != Page::use && document.design().plan.sheets.empty()) page = Page::sheets;
  if (body) body->hide(), body->deleteLater();
  switch (page) {
  case Page::sheets:
    body = sheetsPage();
    break;
  case Page::makeTrue:
    body = truePage();
    break;
  case Page::read:
    body = readPage();
    break;
  case Page::judge:
    body = judgePage();
    break;
  case Page::use:
    body = usePage();
    break;
  }
  column->addWidget(body);
  body->show(); // now, rather than when the layout comes to it
  if (!focusName.isEmpty())
    if (auto* again = findChild<QWidget*>(focusName); again && isAncestorOf(again))
      for (QWidget* w : body->findChildren<QWidget*>(focusName)) w->setFocus();
}

// ---- Plan

QWidget* PlanPanel::judgePage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  rows->setSpacing(5);
  auto judgements = document.plan().judgements;
  std::stable_sort(judgements.begin(), judgements.end(),
                   [](const Judgement& a, const Judgement& b) { return a.fault > b.fault; });
  if (judgements.empty())
    rows->addWidget(caption(w, tr("Nothing to judge yet. Read the leading and trailing edge at three ribs or more; add "
                                  "spar points, templates, rib thicknesses, the other hand.")));
  for (const Judgement& j : judgements) {
    auto* card = new QFrame(w);
    card->setObjectName("card");
    card->setProperty("severity", j.fault ? "warning" : "note");
    auto* inside = new QVBoxLayout(card);
    inside->setContentsMargins(8, 5, 8, 5);
    inside->setSpacing(2);
    auto* title = caption(card, (j.fault ? "▲ " : "✓ ") + plain(j.what), "cardTitle");
    title->setProperty("severity", j.fault ? "warning" : "note");
    inside->addWidget(title);
    auto* foot = new QHBoxLayout;
    foot->addWidget(caption(card, plain(j.detail)), 1);
    for (const bool take : {true, false}) {
      auto* b = new QToolButton(card);
      b->setText(take ? tr("Take") : tr("Leave"));
      b->setCheckable(true);
      b->setChecked(j.take == take);
      b->setProperty("segment", true);
      b->setFocusPolicy(Qt::StrongFocus);
      b->setObjectName((take ? "take " : "leave ") + plain(j.key));
      b->setToolTip(plain(take ? j.taken : j.left));
      b->setAccessibleName(tr("%1: %2. %3").arg(b->text(), plain(j.what), b->toolTip()));
      connect(b, &QToolButton::clicked, this, [this, key = j.key, take] {
        Design next = document.design();
        next.plan = withVerdict(next.plan, key, take);
        document.edit(take ? tr("Take a judgement") : tr("Leave a judgement"), std::move(next));
        timer.start(0);
      });
      foot->addWidget(b, 0, Qt::AlignBottom);
    }
    inside->addLayout(foot);
    if (j.fault) inside->addWidget(caption(card, plain(j.take ? j.taken : j.left)));
    rows->addWidget(card);
  }
  return w;
}

// ---- Use

void PlanPanel::changesTable(QVBoxLayout* rows, const Design& next, const std::vector<std::string>& notes,
                             const QString& name) {
  auto* w = qobject_cast<QWidget*>(rows->parent());
  const auto changes = changesBetween(document.design(), next);
  if (changes.empty()) {
    rows->addWidget(caption(w, tr("The layout is as it was read: nothing to change.")));
    return;
  }
  auto* table = new QTableWidget(static_cast<int>(changes.size()), 3, w);
  table->setObjectName(name);
  table->setAccessibleName(tr("Decisions before and after"));
  table->setHorizontalHeaderLabels({tr("decision"), tr("now"), tr("then")});
  table->verticalHeader()->hide();
  table->verticalHeader()->setDefaultSectionSize(21);
  table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  table->setColumnWidth(1, 84);
  table->setColumnWidth(2, 96);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table->setMinimumHeight(std::min(210, 30 + 21 * static_cast<int>(changes.size())));
  table->setMaximumHeight(230);
  for (int i = 0; i < static_cast<int>(changes.size()); ++i) {
    const Change& c = changes[static_cast<std::size_t>(i)];
    const std::string texts[] = {c.label, c.before.empty() ? "–" : c.before, c.after.empty() ? "–" : c.after};
    for (int k = 0; k < 3; ++k) {
      auto* item = new QTableWidgetItem(plain(texts[k]));
      item->setToolTip(item->text());
      table->setItem(i, k, item);
    }
  }
  rows->addWidget(table);
  for (const std::string& note : notes) rows->addWidget(caption(w, plain(note)));
}

QWidget* PlanPanel::usePage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  const bool any = !document.plan().hands.empty();
  if (any) {
    const Changed used = withReadings(document.design(), document.plan());
    rows->addWidget(caption(w, tr("FROM THE READINGS, AS JUDGED"), "heading"));
    changesTable(rows, used.design, used.notes, "usedChanges");
    auto* use = button(w, tr("Use these readings"), "useReadings", [this] {
      const Changed now = withReadings(document.design(), document.plan());
      const auto count = changesBetween(document.design(), now.design).size();
      document.edit(tr("Use the plan's readings"), now.design);
      Q_EMIT said(tr("%1 decisions were taken from the plan. Undo takes them back together.").arg(count), false);
    });
    use->setEnabled(!changesBetween(document.design(), used.design).empty());
    rows->addWidget(use);
    rows->addWidget(
        button(w, tr("Print reference points…"), "printReference", [this] { Q_EMIT wantsReferencePrint(); }));
    rows->addWidget(
        caption(w, tr("For the hand that the plan does not draw: spar, tip and end ribs mirrored, full size. "
                      "Turn the board with Left and Right above.")));
  } else {
    rows->addWidget(caption(
        w, tr("Read LE and TE at the root and the tip rib, at the least, and the layout follows from them here.")));
  }
  rows->addWidget(caption(w, tr("BUILD IT AT ANOTHER SPAN"), "heading"));
  auto* line = new QHBoxLayout;
  auto* span = field(w, "otherSpan", tr("Half span to build at"),
                     plain(formatLength(otherSpan > 0 ? otherSpan : halfSpanOf(document.design().wings.front()),
                                        document.design().unit, 2)));
  connect(span, &DecisionEdit::committed, this, [this](const QString& text) {
    typeLength(text, [&](double mm) {
      if (mm < 20 || mm > 20000)
        Q_EMIT said(tr("“%1”: a half span is 20 mm to 20 m.").arg(text), true);
      else
        otherSpan = mm;
      timer.start(0);
    });
  });
  line->addWidget(caption(w, tr("half span")));
  line->addWidget(span);
  auto* rule = new QComboBox(w);
  rule->setObjectName("stockRule");
  rule->setAccessibleName(tr("Stock sizes"));
  rule->addItems({tr("stock kept"), tr("stock stepped to sold sizes")});
  rule->setCurrentIndex(stock == StockRule::keep ? 0 : 1);
  connect(rule, &QComboBox::activated, this,
          [this](int i) { stock = i == 0 ? StockRule::keep : StockRule::step, timer.start(0); });
  rows->addLayout(line);
  rows->addWidget(rule);
  if (otherSpan > 0 && std::abs(otherSpan - halfSpanOf(document.design().wings.front())) > 1e-6) {
    const Changed scaled = atHalfSpan(document.design(), otherSpan, stock);
    changesTable(rows, scaled.design, scaled.notes, "spanChanges");
    rows->addWidget(button(w, tr("Build it at this span"), "buildAtSpan", [this] {
      const Changed now = atHalfSpan(document.design(), otherSpan, stock);
      otherSpan = 0;
      document.edit(tr("Another span"), now.design);
    }));
  } else {
    rows->addWidget(caption(w, tr("Type another half span to see what changes.")));
  }
  return w;
}

} // namespace eup::app
