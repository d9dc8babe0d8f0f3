#include "app/export_dialog.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QStyle>
#include <QVBoxLayout>

namespace eup::app {

ExportDialog::ExportDialog(Snapshot snapshot, const QString& startFolder, Asking& ask, QWidget* parent)
    : QDialog(parent), kept(std::move(snapshot)), wing(*kept.wing), asking(ask) {
  setWindowTitle(tr("To the bench"));
  setMinimumWidth(520);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(20, 18, 20, 16);
  column->setSpacing(10);
  auto* title = new QLabel(tr("Ribs, plan and bench card at full size"), this);
  title->setObjectName("title");
  column->addWidget(title);
  auto* grid = new QGridLayout;
  grid->setHorizontalSpacing(16);
  grid->setVerticalSpacing(8);
  const auto box = [&](const QString& words, const char* name, bool on, int row, int columnAt) {
    auto* b = new QCheckBox(words, this);
    b->setObjectName(name);
    b->setChecked(on);
    grid->addWidget(b, row, columnAt);
    connect(b, &QCheckBox::toggled, this, &ExportDialog::refresh);
    return b;
  };
  grid->addWidget(new QLabel(tr("As"), this), 0, 0);
  pdf = box(tr("PDF, in pages to print"), "pdf", true, 0, 1);
  svg = box(tr("SVG"), "svg", false, 0, 2);
  dxf = box(tr("DXF"), "dxf", false, 0, 3);
  grid->addWidget(new QLabel(tr("Hands"), this), 1, 0);
  right = box(tr("right"), "right", true, 1, 1);
  left = box(tr("left"), "left", true, 1, 2);
  grid->addWidget(new QLabel(tr("Paper"), this), 2, 0);
  paper = new QComboBox(this);
  paper->setObjectName("paper");
  paper->addItems({tr("A4, 210 × 297 mm"), tr("Letter, 8 1/2 × 11 in")});
  connect(paper, &QComboBox::currentIndexChanged, this, &ExportDialog::refresh);
  grid->addWidget(paper, 2, 1);
  grid->addWidget(new QLabel(tr("Into"), this), 3, 0);
  path = new QLineEdit(startFolder, this);
  path->setObjectName("folder");
  path->setAccessibleName(tr("Folder"));
  connect(path, &QLineEdit::textChanged, this, &ExportDialog::refresh);
  grid->addWidget(path, 3, 1, 1, 2);
  auto* choose = new QPushButton(tr("Choose…"), this);
  connect(choose, &QPushButton::clicked, this, [this] {
    const QString chosen = asking.folderToWrite(this, tr("Folder for the files"), path->text());
    if (!chosen.isEmpty()) path->setText(chosen);
  });
  grid->addWidget(choose, 3, 3);
  grid->setColumnStretch(1, 1);
  column->addLayout(grid);
  summary = new QLabel(this);
  summary->setObjectName("small");
  summary->setWordWrap(true);
  column->addWidget(summary);
  auto* buttons = new QDialogButtonBox(this);
  write = buttons->addButton(tr("Write files"), QDialogButtonBox::AcceptRole);
  write->setObjectName("primary");
  write->setDefault(true);
  buttons->addButton(QDialogButtonBox::Cancel);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  column->addWidget(buttons);
  write->style()->polish(write);
  refresh();
}

QString ExportDialog::folder() const {
  return path->text().trimmed();
}

ExportOrder ExportDialog::order() const {
  ExportOrder o;
  o.formats.clear();
  if (pdf->isChecked()) o.formats.push_back(ExportFormat::pdf);
  if (svg->isChecked()) o.formats.push_back(ExportFormat::svg);
  if (dxf->isChecked()) o.formats.push_back(ExportFormat::dxf);
  o.hands.clear();
  if (right->isChecked()) o.hands.push_back(Hand::right);
  if (left->isChecked()) o.hands.push_back(Hand::left);
  o.paper = paper->currentIndex() == 1 ? Paper::letter : Paper::a4;
  return o;
}

void ExportDialog::refresh() {
  const ExportOrder o = order();
  paper->setEnabled(pdf->isChecked());
  const auto files = 3 * o.formats.size() * o.hands.size();
  QString words = tr("%1 files: ribs, plan and bench card for each hand and format.").arg(files);
  if (pdf->isChecked() && !o.hands.empty()) {
    const std::vector plan{planDrawing(drawn(wing), Hand::right)};
    words += tr(" The plan takes %1 pages a hand, its key included. Print at 100 % and measure the check bars.")
                 .arg(pageCount(plan, o.paper, betterSideways(plan, o.paper)));
  }
  if (files == 0)
    words = tr("Choose at least one format and one hand.");
  else if (folder().isEmpty())
    words = tr("Choose a folder.");
  summary->setText(words);
  write->setEnabled(files > 0 && !folder().isEmpty());
}

} // namespace eup::app
