#include "app/dialogs/export_dialog.h"
#include "app/dialogs/page_preview.h"
#include "core/measure/length_text.h"
#include <QCheckBox>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QGridLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QScrollArea>
#include <QStyle>
#include <QVBoxLayout>

namespace eup::app {

ExportDialog::ExportDialog(Snapshot snapshot, const QString& startFolder, Asking& ask, QWidget* parent)
    : QDialog(parent), kept(std::move(snapshot)), wing(*kept.wing), asking(ask) {
  setWindowTitle(tr("To the bench"));
  resize(960, 640);
  auto* across = new QHBoxLayout(this);
  across->setContentsMargins(20, 18, 20, 16);
  across->setSpacing(20);
  auto* column = new QVBoxLayout;
  column->setSpacing(8);
  across->addLayout(column);
  auto* title = new QLabel(tr("What goes to the bench, at full size"), this);
  title->setObjectName("title");
  column->addWidget(title);
  auto* grid = new QGridLayout;
  grid->setHorizontalSpacing(14);
  grid->setVerticalSpacing(6);
  int row = 0;
  const auto box = [&](const QString& words, const QString& name, bool on, int columnAt) {
    auto* b = new QCheckBox(words, this);
    b->setObjectName(name);
    b->setChecked(on);
    grid->addWidget(b, row, columnAt);
    connect(b, &QCheckBox::toggled, this, &ExportDialog::refresh);
    return b;
  };
  const auto label = [&](const QString& words) { grid->addWidget(new QLabel(words, this), row, 0, Qt::AlignTop); };
  label(tr("Print"));
  for (const PrintPiece piece : allPieces) {
    const Choice& words = printPieceChoices[static_cast<std::size_t>(piece)];
    auto* one = box(QString::fromUtf8(words.label.data(), static_cast<qsizetype>(words.label.size())),
                    "piece " + QString::fromUtf8(words.key.data(), static_cast<qsizetype>(words.key.size())), true,
                    1 + static_cast<int>(piece) % 2);
    one->setToolTip(QString::fromUtf8(purposeOf(piece)));
    pieces[piece] = one;
    if (static_cast<int>(piece) % 2 == 1) ++row;
  }
  ++row;
  label(tr("Of"));
  panels = new QComboBox(this);
  panels->setObjectName("panels");
  panels->setAccessibleName(tr("Panels"));
  panels->addItem(tr("all panels"), -1);
  std::size_t most = 0;
  for (const WholeWing& w : wing.wings) most = std::max(most, w.panels.size());
  for (std::size_t i = 0; i < most; ++i) panels->addItem(tr("panel %1").arg(i + 1), static_cast<int>(i));
  panels->setEnabled(most > 1);
  connect(panels, &QComboBox::currentIndexChanged, this, &ExportDialog::refresh);
  grid->addWidget(panels, row++, 1);
  label(tr("Hands"));
  right = box(tr("right"), "right", true, 1);
  left = box(tr("left"), "left", true, 2);
  ++row;
  label(tr("As"));
  pdf = box(tr("PDF, in pages to print"), "pdf", true, 1);
  oneDocument = box(tr("one document, with contents"), "oneDocument", true, 2);
  ++row;
  svg = box(tr("SVG"), "svg", false, 1);
  dxf = box(tr("DXF"), "dxf", false, 2);
  ++row;
  label(tr("Cut by"));
  cutter = new QComboBox(this);
  cutter->setObjectName("cutter");
  cutter->setAccessibleName(tr("Cutter"));
  // Widths of cut are common practice: measure your own on a test square.
  for (const auto& [words, takes] : {std::pair(tr("knife or fretsaw, on the line"), 0.0), std::pair(tr("laser"), 0.15),
                                     std::pair(tr("router, 1 mm"), 1.0), std::pair(tr("another width"), -1.0)})
    cutter->addItem(words, takes);
  grid->addWidget(cutter, row, 1);
  kerf = new QLineEdit("0", this);
  kerf->setObjectName("kerf");
  kerf->setAccessibleName(tr("What the cutter takes away"));
  kerf->setToolTip(tr("SVG and DXF of ribs and braces are moved outwards by half of it"));
  grid->addWidget(kerf, row++, 2);
  connect(cutter, &QComboBox::currentIndexChanged, this, [this] {
    if (const double width = cutter->currentData().toDouble(); width >= 0)
      kerf->setText(QString::fromStdString(formatLength(width, wing.design.unit, 2)));
    kerf->setFocus();
  });
  connect(kerf, &QLineEdit::textChanged, this, &ExportDialog::refresh);
  label(tr("Paper"));
  paper = new QComboBox(this);
  paper->setObjectName("paper");
  paper->setAccessibleName(tr("Paper"));
  paper->addItems({tr("A4, 210 × 297 mm"), tr("Letter, 8 1/2 × 11 in")});
  connect(paper, &QComboBox::currentIndexChanged, this, &ExportDialog::refresh);
  grid->addWidget(paper, row++, 1, 1, 2);
  label(tr("Into"));
  path = new QLineEdit(startFolder, this);
  path->setObjectName("folder");
  path->setAccessibleName(tr("Folder"));
  connect(path, &QLineEdit::textChanged, this, &ExportDialog::refresh);
  grid->addWidget(path, row, 1, 1, 2);
  ++row;
  auto* choose = new QPushButton(tr("Choose…"), this);
  choose->setObjectName("chooseFolder");
  connect(choose, &QPushButton::clicked, this, [this] {
    const QString chosen = asking.folderToWrite(this, tr("Folder for the files"), path->text());
    if (!chosen.isEmpty()) path->setText(chosen);
  });
  grid->addWidget(choose, row, 1);
  column->addLayout(grid);
  summary = new QLabel(this);
  summary->setObjectName("summary");
  summary->setWordWrap(true);
  column->addWidget(summary);
  column->addStretch();
  auto* buttons = new QDialogButtonBox(this);
  write = buttons->addButton(tr("Write files"), QDialogButtonBox::AcceptRole);
  write->setObjectName("primary");
  write->setDefault(true);
  buttons->addButton(QDialogButtonBox::Cancel);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  column->addWidget(buttons);
  auto* scroll = new QScrollArea(this);
  scroll->setObjectName("previewScroll");
  scroll->setWidgetResizable(true);
  scroll->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  preview = new PagePreview;
  scroll->setWidget(preview);
  across->addWidget(scroll, 1);
  write->style()->polish(write);
  refresh();
}

QString ExportDialog::folder() const {
  return path->text().trimmed();
}

/// Up to five millimetres; nothing for what is none.
std::optional<double> ExportDialog::kerfTyped() const {
  constexpr double most = 5;
  const auto mm = parseLength(kerf->text().toStdString(), wing.design.unit);
  return mm && mm.value() >= 0 && mm.value() <= most ? std::optional(mm.value()) : std::nullopt;
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
  o.pieces.clear();
  for (const auto& [piece, box] : pieces)
    if (box->isChecked()) o.pieces.push_back(piece);
  if (const int panel = panels->currentData().toInt(); panel >= 0) o.panels = {panel};
  o.oneDocument = oneDocument->isChecked();
  o.kerf = kerfTyped().value_or(0);
  return o;
}

void ExportDialog::refresh() {
  const ExportOrder o = order();
  paper->setEnabled(pdf->isChecked());
  oneDocument->setEnabled(pdf->isChecked());
  for (QWidget* w : {static_cast<QWidget*>(cutter), static_cast<QWidget*>(kerf)})
    w->setEnabled(svg->isChecked() || dxf->isChecked());
  if (!kerfTyped()) {
    laying.stop();
    write->setEnabled(false);
    summary->setText(tr("“%1” is no width of a cut: 0 to 5 mm.").arg(kerf->text().left(40)));
    return;
  }
  const bool any = !o.formats.empty() && !o.hands.empty() && !o.pieces.empty();
  write->setEnabled(any && !folder().isEmpty());
  if (!any) {
    laying.stop();
    summary->setText(o.pieces.empty() ? tr("Choose what to print.") : tr("Choose at least one format and one hand."));
    return preview->show({}, o.paper);
  }
  if (folder().isEmpty()) summary->setText(tr("Choose a folder."));
  laying.start(
      [held = kept, o](const Progress&) {
        Laid laid;
        laid.sections = sectionsOf(*held.wing, o);
        laid.sheets = sheetsOfPaper(*held.wing, o);
        return laid;
      },
      [](int) {}, [this](Laid laid) { showPages(std::move(laid)); });
}

void ExportDialog::showPages(Laid laid) {
  const ExportOrder o = order();
  counted = laid.sheets;
  const auto single = laid.sections.size() * (o.formats.size() - (pdf->isChecked() && o.oneDocument ? 1 : 0));
  const auto files = single + (pdf->isChecked() && o.oneDocument ? 1 : 0);
  QString words = files == 1 ? tr("1 file.") : tr("%1 files.").arg(files);
  if (pdf->isChecked())
    words += tr(" The PDF takes %1 sheets of paper, contents and keys included. Print at 100 % and measure the check "
                "bars.")
                 .arg(counted);
  if (folder().isEmpty()) words = tr("Choose a folder.");
  summary->setText(words);
  preview->show(std::move(laid.sections), o.paper);
}

} // namespace eup::app
