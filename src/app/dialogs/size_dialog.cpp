#include "app/dialogs/size_dialog.h"
#include "core/design/tables.h"
#include "core/measure/length_text.h"
#include <QtWidgets>

namespace eup::app {
namespace {

QString capWords(const Cap& cap, LengthUnit unit) {
  if (!cap.fitted) return QObject::tr("none");
  const auto len = [&](double mm) { return QString::fromStdString(formatLength(mm, unit, 2)); };
  const QString at = QObject::tr("%1 × %2").arg(len(cap.width), len(cap.depth));
  if (cap.doubled) return QObject::tr("%1, twice to %2 %").arg(at).arg(cap.doubledTo * 100, 0, 'f', 0);
  return cap.tapers ? QObject::tr("%1, to %2").arg(at, len(cap.tipWidth)) : at;
}

} // namespace

SizeDialog::SizeDialog(Snapshot snapshot, PanelId panelId, int spar, QWidget* parent)
    : QDialog(parent), kept(std::move(snapshot)), id(panelId), panel(kept.wing->at(id)) {
  order.spar = spar;
  const Spar& given = panel.design.spars[static_cast<std::size_t>(spar)];
  setWindowTitle(tr("Size the %1").arg(QString::fromStdString(given.name)));
  resize(960, 560);
  auto* column = new QVBoxLayout(this);
  auto* words = new QLabel(tr("The lightest sizes from your stock, width × depth and the width at the end, that keep "
                              "the reserve in every bay, under every load "
                              "that is decided. Estimates for model aircraft, no approval of anything."),
                           this);
  words->setWordWrap(true);
  column->addWidget(words);
  auto* across = new QHBoxLayout;
  column->addLayout(across, 1);
  auto* form = new QFormLayout;
  across->addLayout(form);
  reserve = new QLineEdit(QString::fromStdString(formatNumber(order.reserve, 2)), this);
  reserve->setObjectName("reserve");
  stock = new QLineEdit(this);
  stock->setObjectName("stock");
  stock->setMinimumWidth(210);
  QStringList sizesAtHand;
  for (const double s : order.stock) sizesAtHand << QString::fromStdString(formatLength(s, panel.design.unit, 2));
  stock->setText(sizesAtHand.join("; "));
  form->addRow(tr("Least reserve"), reserve);
  form->addRow(given.kind == SparKind::caps ? tr("Widths and depths") : tr("Sheets"), stock);
  woods = new QListWidget(this);
  woods->setObjectName("woods");
  woods->setMaximumWidth(230);
  woods->setAccessibleName(tr("Woods that may be used"));
  for (const Material* row : panel.design.tables.all()) {
    const Material& m = *row;
    auto* item = new QListWidgetItem(QString::fromStdString(m.label), woods);
    item->setData(Qt::UserRole, QString::fromStdString(m.key));
    item->setFlags(item->flags() | Qt::ItemIsUserCheckable);
    const bool used = std::find(order.materials.begin(), order.materials.end(), m.key) != order.materials.end();
    item->setCheckState(used ? Qt::Checked : Qt::Unchecked);
  }
  form->addRow(tr("Woods"), woods);
  taper = new QCheckBox(tr("may taper in width"), this);
  taper->setObjectName("mayTaper");
  taper->setChecked(order.mayTaper);
  taper->setVisible(given.kind == SparKind::caps);
  form->addRow(QString(), taper);
  stepped = new QCheckBox(tr("may be doubled inboard"), this);
  stepped->setObjectName("mayStep");
  stepped->setVisible(given.kind == SparKind::caps);
  form->addRow(QString(), stepped);
  auto* right = new QVBoxLayout;
  across->addLayout(right, 1);
  said = new QLabel(this);
  said->setObjectName("said");
  said->setWordWrap(true);
  right->addWidget(said);
  auto* under = new QHBoxLayout;
  progress = new QProgressBar(this);
  progress->setAccessibleName(tr("How far the search is"));
  progress->setMaximumHeight(14);
  auto* halt = new QPushButton(tr("Stop"), this);
  halt->setObjectName("stopSearch");
  connect(halt, &QPushButton::clicked, this, [this] {
    searching.stop();
    asked = false;
    said->setText(tr("Stopped. Change the order to search again."));
  });
  under->addWidget(progress, 1);
  under->addWidget(halt);
  right->addLayout(under);
  table = new QTableWidget(0, 5, this);
  table->setObjectName("sizes");
  table->setAccessibleName(tr("Sizes, lightest first"));
  table->setHorizontalHeaderLabels(
      given.kind == SparKind::caps
          ? QStringList{tr("Top cap"), tr("Bottom cap"), tr("Wood"), tr("Grams"), tr("Reserve")}
          : QStringList{tr("Sheet"), QString(), tr("Wood"), tr("Grams"), tr("Reserve")});
  table->setColumnHidden(1, given.kind != SparKind::caps);
  table->verticalHeader()->hide();
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  for (int c = 0; c < 5; ++c)
    table->horizontalHeader()->setSectionResizeMode(c, c < 3 ? QHeaderView::Stretch : QHeaderView::ResizeToContents);
  right->addWidget(table, 1);
  auto* buttons = new QDialogButtonBox(this);
  take = buttons->addButton(tr("Take this size"), QDialogButtonBox::AcceptRole);
  take->setObjectName("takeSize");
  buttons->addButton(tr("Leave it as it is"), QDialogButtonBox::RejectRole);
  column->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  for (QLineEdit* edit : {reserve, stock}) connect(edit, &QLineEdit::editingFinished, this, &SizeDialog::search);
  connect(woods, &QListWidget::itemChanged, this, &SizeDialog::search);
  for (QCheckBox* box : {taper, stepped}) connect(box, &QCheckBox::toggled, this, &SizeDialog::search);
  connect(table, &QTableWidget::currentCellChanged, this, [this] { take->setEnabled(chosen() != nullptr); });
  search();
}

/// Reads the order and looks again; what cannot be read is quoted, and the last answer stays.
void SizeDialog::search() {
  SizingOrder next = order;
  const auto refuse = [this](const QString& words) {
    said->setText(words);
    said->setProperty("wrong", true);
  };
  const auto wanted = parseNumber(reserve->text().toStdString());
  if (!wanted || wanted.value() <= 0 || wanted.value() > 100)
    return refuse(tr("“%1” is no reserve: write a number above 0, as in 2.").arg(reserve->text().left(40)));
  next.reserve = wanted.value();
  next.stock.clear();
  for (const QString& one : stock->text().split(';', Qt::SkipEmptyParts)) {
    if (one.trimmed().isEmpty()) continue;
    const auto mm = parseLength(one.trimmed().toStdString(), panel.design.unit);
    if (!mm) return refuse(QString::fromStdString(mm.problem().cause) + tr(" Separate them by semicolons."));
    if (mm.value() < 0.3 || mm.value() > 200)
      return refuse(tr("“%1” is no size for a spar: 0.3 to 200 mm.").arg(one.trimmed().left(40)));
    next.stock.push_back(mm.value());
  }
  if (next.stock.empty()) return refuse(tr("Write the sizes that you have, separated by semicolons."));
  next.materials.clear();
  for (int i = 0; i < woods->count(); ++i)
    if (woods->item(i)->checkState() == Qt::Checked)
      next.materials.push_back(woods->item(i)->data(Qt::UserRole).toString().toStdString());
  if (next.materials.empty()) return refuse(tr("Choose a wood at least."));
  next.mayTaper = taper->isChecked();
  next.mayStep = stepped->isChecked();
  if (asked && next == order) return; // a field was left as it was
  order = std::move(next);
  asked = true;
  said->setProperty("wrong", false);
  said->setText(tr("Searching…"));
  take->setEnabled(false);
  searching.start(
      [held = kept, at = id, wanted = order](const Progress& tell) {
        const TruePanel& of = held.wing->at(at);
        const std::vector<LoadCase>& loads = held.wing->wing(at.wing).loads;
        const Spar& given = of.design.spars[static_cast<std::size_t>(wanted.spar)];
        return Found{sparSizes(of, loads, wanted, 12, tell), gramsOf(of, wanted.spar, given),
                     reserveOf(of, loads, wanted.spar, given).value_or(0)};
      },
      [this](int percent) { progress->setValue(percent); }, [this](Found found) { showSizes(std::move(found)); });
}

void SizeDialog::showSizes(Found found) {
  sizes = std::move(found.sizes);
  progress->setValue(100);
  said->setText((sizes.empty() ? tr("None of these keeps the reserve. Let larger sizes or stronger woods in, set ribs "
                                    "closer, or fit webs, which hold a cap against buckling. ")
                               : QString()) +
                tr("As decided: %1 g, reserve %2.").arg(found.grams, 0, 'f', 1).arg(found.reserve, 0, 'f', 2));
  table->setRowCount(static_cast<int>(sizes.size()));
  for (int i = 0; i < table->rowCount(); ++i) {
    const SparSize& s = sizes[static_cast<std::size_t>(i)];
    const bool caps = s.spar.kind == SparKind::caps;
    const Cap& cap = s.spar.top.fitted ? s.spar.top : s.spar.bottom;
    const QStringList row{
        caps ? capWords(s.spar.top, panel.design.unit)
             : QString::fromStdString(formatLength(s.spar.sheet, panel.design.unit, 2)),
        capWords(s.spar.bottom, panel.design.unit),
        QString::fromStdString(panel.design.tables.named(caps ? cap.material : s.spar.sheetMaterial).label),
        QString::number(s.grams, 'f', 1), QString::number(s.reserve, 'f', 2)};
    for (int c = 0; c < 5; ++c) table->setItem(i, c, new QTableWidgetItem(row[c]));
  }
  if (!sizes.empty()) table->setCurrentCell(0, 0);
  take->setEnabled(chosen() != nullptr);
}

const SparSize* SizeDialog::chosen() const {
  const int row = table->currentRow();
  return row >= 0 && row < static_cast<int>(sizes.size()) ? &sizes[static_cast<std::size_t>(row)] : nullptr;
}

} // namespace eup::app
