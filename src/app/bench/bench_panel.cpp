#include "app/bench/bench_panel.h"
#include "app/bench/bench_log.h"
#include "app/bench/bench_parts.h"
#include "app/bench/bench_readings.h"
#include "app/bench/bench_steps.h"
#include "app/bench/bench_view.h"
#include "app/dialogs/mix_dialog.h"
#include "app/look/words.h"
#include "core/takeaway/everything_done.h"
#include <algorithm>
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
  QStringList out;
  constexpr std::size_t most = 8; // lines of a kind
  for (const OpenThings& one : openThings(document.wing(), theClock.steps())) {
    out << tr("%1:").arg(inWords(one.heading));
    for (std::size_t i = 0; i < std::min(one.lines.size(), most); ++i) out << "  · " + inWords(one.lines[i]);
    if (one.lines.size() > most) out << tr("  · and %1 more").arg(one.lines.size() - most);
  }
  return out.isEmpty()
             ? tr("Everything that this program knows of is done, looked at, read and fitted. Let another look at it "
                  "once more.")
             : out.join('\n');
}

QString BenchPanel::untaken() const {
  const QString reading = readingsPage->untaken(), note = logPage->untaken();
  if (!reading.isEmpty()) return tr("The reading “%1”").arg(reading);
  return note.isEmpty() ? QString() : tr("The note “%1”").arg(note.left(60));
}

} // namespace eup::app
