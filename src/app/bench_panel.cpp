#include "app/bench_panel.h"
#include "app/bench_log.h"
#include "app/bench_parts.h"
#include "app/bench_readings.h"
#include "app/bench_steps.h"
#include "app/bench_view.h"
#include "app/mix_dialog.h"
#include "core/work/as_read.h"
#include "core/work/model_balance.h"
#include "core/work/piece_list.h"
#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QTabWidget>
#include <QVBoxLayout>

namespace eup::app {

BenchPanel::BenchPanel(Document& d, Standpoint& s, std::function<Asking&()> asking, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), theClock(d) {
  setObjectName("benchPanel");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(10, 2, 10, 6);
  column->setSpacing(2);
  pages = new QTabWidget(this);
  pages->setObjectName("benchPages");
  pages->setDocumentMode(true);
  stepsPage = new BenchSteps(document, standpoint, theClock, asking, pages);
  partsPage = new BenchParts(document, standpoint, pages);
  readingsPage = new BenchReadings(document, standpoint, pages);
  logPage = new BenchLog(document, standpoint, asking, pages);
  logPage->step = [this] { return stepsPage->chosen(); };
  pages->addTab(stepsPage, tr("Order of work"));
  pages->addTab(partsPage, tr("Parts"));
  pages->addTab(readingsPage, tr("Readings"));
  pages->addTab(logPage, tr("Log"));
  auto* corner = new QWidget(pages);
  auto* row = new QHBoxLayout(corner);
  row->setContentsMargins(0, 0, 0, 2);
  row->setSpacing(4);
  const auto button = [&](const QString& text, const char* name, const QString& tip, auto run) {
    auto* one = new QPushButton(text, corner);
    one->setObjectName(name);
    one->setToolTip(tip);
    connect(one, &QPushButton::clicked, this, run);
    row->addWidget(one);
  };
  button(tr("Everything done?"), "everythingDone", tr("Before covering or closing: what is open, not read, not fitted"),
         [this, asking] { asking().tell(this, tr("Have I really done everything?"), everythingDone()); });
  button(tr("Resin and glue…"), "openMix", tr("How much of each, how long it stays open, how long it cures"),
         [this] { openMix(); });
  button(tr("Large letters…"), "openView", tr("The step in hand, read at two metres and worked with one key"),
         [this] { openView(); });
  pages->setCornerWidget(corner);
  column->addWidget(pages);
}

void BenchPanel::turnTo(Page page) {
  pages->setCurrentIndex(static_cast<int>(page));
}

void BenchPanel::openView() {
  auto* view = new BenchView(document, theClock, readingsPage->instrument(), window());
  view->setAttribute(Qt::WA_DeleteOnClose);
  connect(view, &BenchView::readAsked, readingsPage, &BenchReadings::take);
  connect(&document, &Document::replaced, view, &QWidget::close);
  view->QDialog::show();
}

void BenchPanel::openMix() {
  auto* mix = new MixDialog(document, standpoint, readingsPage->instrument(), window());
  mix->setAttribute(Qt::WA_DeleteOnClose);
  connect(&document, &Document::replaced, mix, &QWidget::close);
  mix->show();
}

QString BenchPanel::everythingDone() {
  if (!document.hasWing()) return tr("There is no wing.");
  const TrueWing& w = document.wing();
  const Records& records = w.design.records;
  QStringList out;
  const auto list = [&](const QString& head, const QStringList& lines) {
    if (lines.isEmpty()) return;
    constexpr qsizetype most = 8;
    out << head;
    for (const QString& line : lines.mid(0, most)) out << "  · " + line;
    if (lines.size() > most) out << tr("  · and %1 more").arg(lines.size() - most);
  };
  QStringList gates, open, looks, unread, unfitted;
  for (const Step& s : theClock.steps()) {
    const StepRecord* r = recordOf(records.steps, s.key);
    const bool done = r && !r->done.empty();
    const QString line = tr("%1 (%2)").arg(QString::fromStdString(s.what), QString::fromStdString(s.on));
    if (done && !s.look.empty() && !r->looked) gates << line;
    const std::string kind = kindOfStep(s.key);
    const bool late = kind == "cover" || kind == "hang" || kind == "rod" || kind == "sand" || s.key == "balance" ||
                      kind == "clothTop" || kind == "clothBelow";
    if (!done && !late) open << line;
  }
  list(tr("Gates that nobody looked at:"), gates);
  list(tr("Steps before covering that are not done:"), open);
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& p : wing.panels)
      for (const Hold& h : p.holds)
        if (!h.looked) looks << QString::fromStdString(h.what);
  list(tr("Not looked at before it is closed:"), looks);
  const auto twists = twistsRead(w);
  for (const WholeWing& wing : w.wings)
    for (const TruePanel& p : wing.panels)
      for (const Hand hand : wing.mirrored ? std::vector{Hand::right, Hand::left} : std::vector{Hand::right})
        if (std::none_of(twists.begin(), twists.end(),
                         [&](const TwistRead& t) { return t.panel == p.design.id && t.hand == hand; }))
          unread << tr("washout of the %1, %2 hand")
                        .arg(QString::fromStdString(p.design.of > 1 ? p.design.name + ", panel " +
                                                                          std::to_string(p.design.id.panel + 1)
                                                                    : p.design.name),
                             tr(name(hand)));
  list(tr("Never read:"), unread);
  for (const PieceLine& l : pieceList(w))
    for (const Hand hand : {Hand::right, Hand::left}) {
      if ((hand == Hand::left ? l.left : l.right) == 0) continue;
      const std::string key = scalesName(l.panel->design.id, *l.part);
      if (std::none_of(records.parts.begin(), records.parts.end(),
                       [&](const PartTick& t) { return t.key == key && t.hand == hand && t.fitted; }))
        unfitted << tr("%1, %2").arg(QString::fromStdString(nameOf(l)), tr(name(hand)));
    }
  list(tr("Pieces not ticked as fitted:"), unfitted);
  for (const Finding& f : document.findings())
    if (f.stage == Stage::build && f.severity != Severity::note)
      out << tr("%1. %2").arg(QString::fromStdString(f.what), QString::fromStdString(f.remedy));
  return out.isEmpty()
             ? tr("Everything that this program knows of is done, looked at, read and fitted. Let another look "
                  "at it once more.")
             : out.join('\n');
}

} // namespace eup::app
