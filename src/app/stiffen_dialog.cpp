#include "app/stiffen_dialog.h"
#include "core/measure/units.h"
#include <QtWidgets>

namespace eup::app {

StiffenDialog::StiffenDialog(const TruePanel& panel, QWidget* parent)
    : QDialog(parent), trials(stiffeningTrials(panel)) {
  setWindowTitle(tr("Ways to stiffen"));
  resize(720, 520);
  auto* column = new QVBoxLayout(this);
  auto* words = new QLabel(
      trials.empty()
          ? tr("There is nothing to twist yet: a panel needs two of leading edge, spars and trailing edge.")
          : tr("Each way is tried alone, on top of what is decided: %1 N·mm at the tip rib, the root held fast. "
               "Estimates to compare by; twist the frame on the bench and see.")
                .arg(panel.twist->couple, 0, 'g', 6),
      this);
  words->setWordWrap(true);
  column->addWidget(words);
  table = new QTableWidget(static_cast<int>(trials.size()), 4, this);
  table->setObjectName("ways");
  table->setAccessibleName(tr("Ways to stiffen"));
  table->setHorizontalHeaderLabels({tr("Way"), tr("Twist"), tr("Times as stiff"), tr("Grams more")});
  table->verticalHeader()->hide();
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
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
    put(3, i == 0 ? QString() : tr("%1 g").arg(t.grams, 0, 'f', 2));
  }
  column->addWidget(table);
  auto* buttons = new QDialogButtonBox(this);
  auto* take = buttons->addButton(tr("Take this way"), QDialogButtonBox::AcceptRole);
  take->setObjectName("takeWay");
  buttons->addButton(tr("Leave it as it is"), QDialogButtonBox::RejectRole);
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  const auto follow = [this, take] { take->setEnabled(table->currentRow() > 0); };
  connect(table, &QTableWidget::currentCellChanged, this, follow);
  if (!trials.empty()) table->setCurrentCell(0, 0);
  follow();
  table->setFocus();
}

const StiffeningTrial* StiffenDialog::chosen() const {
  const int row = table->currentRow();
  return row > 0 ? &trials[static_cast<std::size_t>(row)] : nullptr;
}

} // namespace eup::app
