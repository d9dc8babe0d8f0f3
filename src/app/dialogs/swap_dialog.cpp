#include "app/dialogs/swap_dialog.h"
#include "core/measure/length_text.h"
#include <QtWidgets>

namespace eup::app {

SwapDialog::SwapDialog(Snapshot snapshot, PanelId id, int index, QWidget* parent)
    : QDialog(parent), kept(std::move(snapshot)), panel(kept.wing->at(id)), loads(kept.wing->wing(id.wing).loads),
      spar(index) {
  const Spar& given = panel.design.spars[static_cast<std::size_t>(spar)];
  setWindowTitle(tr("Swap the wood of the %1").arg(QString::fromStdString(given.name)));
  resize(860, 500);
  auto* column = new QVBoxLayout(this);
  auto* words =
      new QLabel(tr("What another wood must measure at the panel's root, tapered like the cap it replaces. Less "
                    "glued face at a rib is won back by two corner gussets as thick as the rib. Estimates for "
                    "model aircraft, no approval of anything."),
                 this);
  words->setWordWrap(true);
  column->addWidget(words);
  auto* across = new QHBoxLayout;
  column->addLayout(across);
  const auto box = [&](const char* name, const QString& label, const QStringList& items) {
    auto* combo = new QComboBox(this);
    combo->setObjectName(name);
    combo->setAccessibleName(label);
    combo->addItems(items);
    across->addWidget(new QLabel(label, this));
    across->addWidget(combo);
    connect(combo, &QComboBox::currentIndexChanged, this, &SwapDialog::fill);
    return combo;
  };
  QStringList caps;
  if (given.top.fitted) caps << tr("top cap");
  if (given.bottom.fitted) caps << tr("bottom cap");
  cap = box("swapCap", tr("Swap the"), caps);
  keeps = box("swapKeeps", tr("keep its"), {tr("stiffness"), tr("strength")});
  by = box("swapBy", tr("by its"), {tr("width"), tr("depth")});
  across->addStretch();
  table = new QTableWidget(0, 6, this);
  table->setObjectName("swaps");
  table->setAccessibleName(tr("Woods and their sizes"));
  table->setHorizontalHeaderLabels(
      {tr("Wood"), tr("Width × depth"), tr("Grams more"), tr("Glue at a rib"), tr("Gussets, leg"), tr("Reserve then")});
  table->verticalHeader()->hide();
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  for (int c = 0; c < 2; ++c) table->horizontalHeader()->setSectionResizeMode(c, QHeaderView::Stretch);
  column->addWidget(table, 1);
  auto* buttons = new QDialogButtonBox(this);
  take = buttons->addButton(tr("Take this wood"), QDialogButtonBox::AcceptRole);
  take->setObjectName("takeSwap");
  buttons->addButton(tr("Leave it as it is"), QDialogButtonBox::RejectRole);
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  connect(table, &QTableWidget::currentCellChanged, this, [this] { take->setEnabled(chosen().has_value()); });
  fill();
}

Face SwapDialog::face() const {
  const Spar& given = panel.design.spars[static_cast<std::size_t>(spar)];
  return given.top.fitted && cap->currentIndex() == 0 ? Face::upper : Face::lower;
}

void SwapDialog::fill() {
  if (!table) return; // the boxes are being made
  swaps.clear();
  table->setRowCount(0);
  const Spar& given = panel.design.spars[static_cast<std::size_t>(spar)];
  const Cap& old = face() == Face::upper ? given.top : given.bottom;
  const auto len = [&](double mm) { return QString::fromStdString(formatLength(mm, panel.design.unit, 2)); };
  for (const Material* material : panel.design.tables.all()) {
    const Material& m = *material;
    if (m.key == old.material) continue;
    const auto swap = swapWood(panel, loads, spar, face(), m.key,
                               keeps->currentIndex() == 0 ? SwapKeeps::stiffness : SwapKeeps::strength,
                               by->currentIndex() == 0 ? SwapBy::width : SwapBy::depth);
    if (!swap) continue; // no size of it does
    const int row = table->rowCount();
    table->insertRow(row);
    const QStringList cells{QString::fromStdString(m.label),
                            tr("%1 × %2").arg(len(swap->cap.width), len(swap->cap.depth)),
                            QString::number(swap->gramsMore, 'f', 1),
                            tr("%1 mm²").arg(swap->gluePerRib, 0, 'f', 0),
                            swap->gusset > 0 ? len(swap->gusset) : tr("none"),
                            QString::number(swap->reserve, 'f', 2)};
    for (int c = 0; c < 6; ++c) table->setItem(row, c, new QTableWidgetItem(cells[c]));
    swaps.push_back(*swap);
  }
  if (!swaps.empty()) table->setCurrentCell(0, 0);
  take->setEnabled(chosen().has_value());
}

std::optional<Spar> SwapDialog::chosen() const {
  const int row = table->currentRow();
  if (row < 0 || row >= static_cast<int>(swaps.size())) return std::nullopt;
  Spar out = panel.design.spars[static_cast<std::size_t>(spar)];
  (face() == Face::upper ? out.top : out.bottom) = swaps[static_cast<std::size_t>(row)].cap;
  return out;
}

} // namespace eup::app
