#include "app/dialogs/stiffen_dialog.h"
#include "core/measure/units.h"
#include <QtWidgets>

namespace eup::app {

StiffenDialog::StiffenDialog(Snapshot snapshot, PanelId panel, QWidget* parent) : QDialog(parent) {
  setWindowTitle(tr("Ways to stiffen"));
  resize(720, 520);
  auto* column = new QVBoxLayout(this);
  words = new QLabel(tr("Each way is tried…"), this);
  words->setWordWrap(true);
  column->addWidget(words);
  progress = new QProgressBar(this);
  progress->setAccessibleName(tr("How many ways have been tried"));
  progress->setMaximumHeight(14);
  column->addWidget(progress);
  table = new QTableWidget(0, 4, this);
  table->setObjectName("ways");
  table->setAccessibleName(tr("Ways to stiffen"));
  table->setHorizontalHeaderLabels({tr("Way"), tr("Twist"), tr("Times as stiff"), tr("Grams more")});
  table->verticalHeader()->hide();
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  column->addWidget(table);
  auto* buttons = new QDialogButtonBox(this);
  take = buttons->addButton(tr("Take this way"), QDialogButtonBox::AcceptRole);
  take->setObjectName("takeWay");
  take->setEnabled(false);
  buttons->addButton(tr("Leave it as it is"), QDialogButtonBox::RejectRole);
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  connect(table, &QTableWidget::currentCellChanged, this, [this] { take->setEnabled(table->currentRow() > 0); });
  table->setFocus();
  trying.start([snapshot, panel](const Progress& tell) { return stiffeningTrials(snapshot.wing->at(panel), tell); },
               [this](int percent) { progress->setValue(percent); },
               [this](std::vector<StiffeningTrial> found) { showWays(std::move(found)); });
}

void StiffenDialog::showWays(std::vector<StiffeningTrial> found) {
  trials = std::move(found);
  progress->hide();
  words->setText(trials.empty()
                     ? tr("There is nothing to twist yet: a panel needs two of leading edge, spars and trailing edge.")
                     : tr("Each way is tried alone, on top of what is decided: a couple at the tip rib, the root held "
                          "fast. Estimates to compare by; twist the frame on the bench and see."));
  table->setRowCount(static_cast<int>(trials.size()));
  for (int i = 0; i < static_cast<int>(trials.size()); ++i) {
    const StiffeningTrial& t = trials[static_cast<std::size_t>(i)];
    const auto put = [&](int at, const QString& text) {
      auto* item = new QTableWidgetItem(text);
      item->setTextAlignment(at == 0 ? Qt::AlignLeft | Qt::AlignVCenter : Qt::AlignRight | Qt::AlignVCenter);
      table->setItem(i, at, item);
    };
    put(0, QString::fromStdString(t.what));
    put(1, tr("%1°").arg(radToDeg(t.twist), 0, 'f', 2));
    put(2, tr("× %1").arg(t.stiffer, 0, 'f', 2));
    put(3, i == 0 ? QString() : tr("%1 g").arg(std::abs(t.grams) < 0.005 ? 0.0 : t.grams, 0, 'f', 2)); // no −0.00
  }
  if (!trials.empty()) table->setCurrentCell(0, 0);
}

const StiffeningTrial* StiffenDialog::chosen() const {
  const int row = table->currentRow();
  return row > 0 ? &trials[static_cast<std::size_t>(row)] : nullptr;
}

} // namespace eup::app
