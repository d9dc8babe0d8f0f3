// The plan's panel: its sheets, and how each is made true.
#include "app/decide/decide_panel.h"
#include "app/decide/plan_panel.h"
#include "app/decide/plan_panel_parts.h"
#include "core/described/decisions.h"
#include "core/files/text_file.h"
#include "core/measure/length_text.h"
#include <QComboBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QGridLayout>
#include <QListWidget>
#include <QProgressBar>
#include <QToolButton>
#include <QVBoxLayout>

namespace eup::app {

using namespace plan_parts;

constexpr std::size_t largestCopy = 24u << 20; // bytes: a wing file stays under what is read again

void PlanPanel::openPlan(const QString& path, int pageNumber) {
  PlanImages& images = document.planImages();
  if (images.opening()) return;
  images.open(path, pageNumber, [this, path, pageNumber](const Result<OpenedPlan>& opened) {
    if (!opened) {
      Q_EMIT said(tr("The plan was not opened. %1").arg(plain(opened.problem().text())), true);
      return;
    }
    Design next = document.design();
    if (static_cast<int>(next.plan.sheets.size()) >= mostSheets) {
      Q_EMIT said(tr("There are %1 sheets: no more can be laid.").arg(mostSheets), true);
      return;
    }
    const PlanImage& image = *opened.value().image;
    PlanSheet s;
    s.name = tr("Sheet %1").arg(next.plan.sheets.size() + 1).toStdString();
    s.file = path.toStdString();
    s.checksum = opened.value().checksum;
    s.page = pageNumber;
    s.width = image.full().width;
    s.height = image.full().height;
    s.dpi = std::clamp(image.dpi, 0.0, mostDpi);
    next.plan.sheets.push_back(std::move(s));
    theSheet = next.plan.sheets.size() - 1;
    document.edit(tr("Open plan %1").arg(QFileInfo(path).fileName()), std::move(next));
    board.fit();
    page = Page::makeTrue;
    QStringList notes;
    for (const std::string& note : image.notes) notes << plain(note);
    if (image.pages > 1)
      notes << tr("page %1 of %2: another page can be opened as a further sheet").arg(pageNumber).arg(image.pages);
    if (!notes.isEmpty()) Q_EMIT said(tr("%1: %2.").arg(QFileInfo(path).fileName(), notes.join("; ")), false);
    timer.start(0);
  });
}

void PlanPanel::relink(const QString& path) {
  PlanImages& images = document.planImages();
  if (images.opening() || document.design().plan.sheets.empty()) return;
  const int pageNumber = document.design().plan.sheets[sheet()].page;
  images.open(path, pageNumber, [this, path](const Result<OpenedPlan>& opened) {
    if (!opened) {
      Q_EMIT said(tr("The plan was not linked. %1").arg(plain(opened.problem().text())), true);
      return;
    }
    const PlanImage& image = *opened.value().image;
    if (document.design().plan.sheets.empty()) return; // another wing was opened meanwhile
    const PlanSheet was = document.design().plan.sheets[sheet()];
    const bool sameSize = image.full().width == was.width && image.full().height == was.height;
    editSheet(tr("Link plan again"), [&](PlanSheet& s) {
      // Readings are kept in pixels: if the new file has another size, they are scaled with it.
      const Point scale(was.width ? static_cast<double>(image.full().width) / was.width : 1,
                        was.height ? static_cast<double>(image.full().height) / was.height : 1);
      for (KnownLength& l : s.lengths)
        for (Point& p : l.ends) p = p.cwiseProduct(scale);
      for (auto* line : {&s.corners, &s.level})
        for (Point& p : *line) p = p.cwiseProduct(scale);
      s.file = path.toStdString();
      s.checksum = opened.value().checksum;
      s.width = image.full().width, s.height = image.full().height;
      if (image.dpi > 0) s.dpi = std::min(image.dpi, mostDpi);
    });
    if (!sameSize) {
      Design next = document.design();
      const Point scale(static_cast<double>(image.full().width) / std::max(1, was.width),
                        static_cast<double>(image.full().height) / std::max(1, was.height));
      for (Reading& r : next.plan.readings)
        if (r.sheet == static_cast<int>(sheet()) + 1)
          for (Point& p : r.points) p = p.cwiseProduct(scale);
      document.edit(tr("Link plan again"), std::move(next), "relink");
      Q_EMIT said(tr("The file has another size: its readings were scaled with it. Check a few of them."), false);
    }
  });
}

void PlanPanel::keepCopy() {
  if (document.design().plan.sheets.empty()) return;
  const PlanSheet& s = document.design().plan.sheets[sheet()];
  const QString path = PlanImages::resolved(s.file, QFileInfo(document.path()).path());
  const auto bytes = readTextFile(path.toStdString(), largestCopy);
  if (!bytes) {
    Q_EMIT said(tr("No copy was taken. %1").arg(plain(bytes.problem().text())), true);
    return;
  }
  editSheet(tr("Keep a copy of the plan"), [&](PlanSheet& sheet_) { sheet_.copy = EmbeddedCopy(bytes.value()); });
}

QWidget* PlanPanel::sheetsPage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  const Plan& plan = document.design().plan;
  if (const auto share = document.planImages().opening()) {
    auto* bar = new QProgressBar(w);
    bar->setObjectName("openingPlan");
    bar->setRange(0, 100);
    bar->setValue(static_cast<int>(*share * 100));
    rows->addWidget(bar);
    rows->addWidget(button(w, tr("Stop"), "stopOpening", [this] { document.planImages().stopOpening(); }));
    timer.start(100);
  }
  auto* list = new QListWidget(w);
  list->setObjectName("sheets");
  list->setAccessibleName(tr("Sheets of the plan"));
  list->setMaximumHeight(110);
  for (std::size_t i = 0; i < plan.sheets.size(); ++i) {
    const PlanSheet& s = plan.sheets[i];
    list->addItem(tr("%1 · %2%3%4")
                      .arg(plain(s.name), QFileInfo(plain(s.file)).fileName(),
                           s.page > 1 ? tr(", page %1").arg(s.page) : QString(),
                           s.copy.empty() ? QString() : tr(" · copy kept")));
  }
  rows->addWidget(list);
  list->setHidden(plan.sheets.empty());
  if (!plan.sheets.empty()) {
    list->setCurrentRow(static_cast<int>(sheet()));
  }
  connect(list, &QListWidget::currentRowChanged, this, [this](int row) {
    if (row >= 0 && static_cast<std::size_t>(row) != theSheet) theSheet = static_cast<std::size_t>(row), timer.start(0);
  });
  auto* grid = new QGridLayout;
  auto* open = button(w, plan.sheets.empty() ? tr("Open a plan…") : tr("Open a further sheet…"), "openPlan", [this] {
    const QString path = asking().fileToOpen(
        this, tr("Open a plan"), document.path().isEmpty() ? QString() : QFileInfo(document.path()).path(),
        tr("Plans (*.png *.jpg *.jpeg *.tif *.tiff *.pdf *.svg *.dxf);;All files (*)"));
    auto* pageEdit = findChild<DecisionEdit*>("planPage");
    if (!path.isEmpty()) openPlan(path, pageEdit ? std::max(1, pageEdit->text().toInt()) : 1);
  });
  open->setEnabled(!document.planImages().opening());
  grid->addWidget(open, 0, 0, 1, 2);
  auto* pageRow = new QHBoxLayout;
  pageRow->addWidget(caption(w, tr("page of a PDF or TIFF")));
  auto* pageEdit = field(w, "planPage", tr("Page of a PDF or TIFF"), "1");
  pageEdit->setFixedWidth(56);
  pageRow->addWidget(pageEdit);
  grid->addLayout(pageRow, 1, 0, 1, 2);
  if (!plan.sheets.empty()) {
    const PlanSheet& s = plan.sheets[sheet()];
    grid->addWidget(button(w, tr("Link again…"), "relinkPlan",
                           [this] {
                             const QString path = asking().fileToOpen(this, tr("Link the sheet to a file"), {}, {});
                             if (!path.isEmpty()) relink(path);
                           }),
                    2, 0);
    grid->addWidget(s.copy.empty()
                        ? button(w, tr("Keep a copy"), "keepCopy", [this] { keepCopy(); })
                        : button(w, tr("Drop the copy"), "dropCopy",
                                 [this] { editSheet(tr("Drop the plan's copy"), [](PlanSheet& t) { t.copy = {}; }); }),
                    2, 1);
    grid->addWidget(button(w, tr("Take the sheet out"), "removeSheet",
                           [this] {
                             Design next = document.design();
                             next.plan = withoutSheet(next.plan, static_cast<int>(sheet()) + 1);
                             reading.reset();
                             document.edit(tr("Take out %1").arg(plain(document.design().plan.sheets[sheet()].name)),
                                           std::move(next));
                           }),
                    3, 0, 1, 2);
    auto* name = field(w, "sheetName", tr("Sheet's name"), plain(s.name));
    connect(name, &DecisionEdit::committed, this, [this](const QString& text) {
      if (!text.trimmed().isEmpty())
        editSheet(tr("Sheet's name"), [&](PlanSheet& t) { t.name = text.left(200).toStdString(); });
    });
    grid->addWidget(caption(w, tr("name")), 4, 0);
    grid->addWidget(name, 4, 1);
    QString state = tr("%1 × %2 pixels%3")
                        .arg(s.width)
                        .arg(s.height)
                        .arg(s.dpi > 0 ? tr(", %1 an inch").arg(s.dpi, 0, 'f', 0) : tr(", resolution not told"));
    if (!document.planImages().trouble(sheet()).isEmpty())
      rows->addWidget(caption(w, document.planImages().trouble(sheet()), "problem"));
    if (document.planImages().asks(sheet())) {
      auto* read = new QPushButton(tr("Read this file"), w);
      read->setObjectName("readOutside");
      connect(read, &QPushButton::clicked, this, [this] { document.planImages().trust(sheet()); });
      rows->addWidget(read, 0, Qt::AlignLeft);
    }
    rows->addLayout(grid);
    rows->addWidget(caption(w, state));
    rows->addWidget(
        caption(w, tr("Linked: %1. A copy in the wing file keeps the plan with it; readings are kept either way.")
                       .arg(plain(s.file))));
    if (plan.sheets.size() > 1)
      rows->addWidget(caption(w, tr("Sheets lie side by side. Read the same match marks on two sheets to join them.")));
  } else {
    rows->addLayout(grid);
    rows->addWidget(caption(w, tr("A scan at 150 pixels an inch or more reads to a tenth of a millimetre.")));
  }
  return w;
}

// ---- Make true

QWidget* PlanPanel::truePage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  const Plan& plan = document.design().plan;
  const std::size_t index = sheet();
  const PlanSheet& s = plan.sheets[index];
  const LaidSheet* laid = index < document.plan().sheets.size() ? &document.plan().sheets[index] : nullptr;
  if (plan.sheets.size() > 1) {
    auto* which = new QComboBox(w);
    which->setObjectName("trueSheet");
    for (const PlanSheet& other : plan.sheets) which->addItem(plain(other.name));
    which->setCurrentIndex(static_cast<int>(index));
    connect(which, &QComboBox::activated, this,
            [this](int i) { theSheet = static_cast<std::size_t>(i), timer.start(0); });
    rows->addWidget(which);
  }
  if (laid) {
    QString told;
    if (laid->problem) told = plain(laid->problem->text());
    for (const std::string& line : laid->sheet.words) told += (told.isEmpty() ? "" : "\n") + plain(line);
    auto* verdict = caption(w, told, laid->problem ? "problem" : "printVerdict");
    rows->addWidget(verdict);
  }
  auto* grid = new QGridLayout;
  grid->setVerticalSpacing(3);
  grid->setHorizontalSpacing(4);
  grid->setColumnStretch(0, 1);
  for (std::size_t i = 0; i < s.lengths.size(); ++i) {
    const int line = static_cast<int>(i);
    auto* name =
        field(w, QString("knownName%1").arg(i), tr("Name of known length %1").arg(i + 1), plain(s.lengths[i].name));
    name->setAlignment(Qt::AlignLeft);
    connect(name, &DecisionEdit::committed, this, [this, i](const QString& text) {
      editSheet(tr("Name of known length"), [&](PlanSheet& t) { t.lengths.at(i).name = text.left(100).toStdString(); });
    });
    auto* value = field(w, QString("known%1").arg(i), tr("Known length %1").arg(i + 1),
                        plain(formatLength(s.lengths[i].length, document.design().unit, 3)));
    connect(value, &DecisionEdit::committed, this, [this, i](const QString& text) {
      typeLength(text, [&](double mm) {
        if (mm < 0.1 || mm > 100000) {
          Q_EMIT said(tr("“%1”: a known length is 0.1 mm to 100 m.").arg(text), true);
          return timer.start(0);
        }
        editSheet(tr("Known length"), [&](PlanSheet& t) { t.lengths.at(i).length = mm; });
      });
    });
    value->setFixedWidth(70);
    auto* off = caption(w, laid && i < laid->sheet.residuals.size() && !laid->problem
                               ? tr("off %1").arg(len(laid->sheet.residuals[i]).replace(" ", QChar(0xa0)))
                               : QString());
    off->setObjectName(QString("off%1").arg(i));
    off->setFixedWidth(84);
    auto* away = new QToolButton(w);
    away->setText("×");
    away->setObjectName(QString("dropKnown%1").arg(i));
    away->setAccessibleName(tr("Take out known length %1").arg(i + 1));
    connect(away, &QToolButton::clicked, this, [this, i] {
      editSheet(tr("Take out known length"),
                [&](PlanSheet& t) { t.lengths.erase(t.lengths.begin() + static_cast<std::ptrdiff_t>(i)); });
    });
    grid->addWidget(name, line, 0);
    grid->addWidget(value, line, 1);
    grid->addWidget(off, line, 2);
    grid->addWidget(away, line, 3);
  }
  rows->addLayout(grid);
  const auto tool = [&](const QString& text, const char* name, PlanTool which) {
    auto* b = button(w, text, name, [this, which] {
      board.setTool(board.tool() == which ? PlanTool::none : which);
      board.setFocus();
    });
    b->setCheckable(true);
    b->setChecked(board.tool() == which);
    rows->addWidget(b);
  };
  tool(tr("Read a known length"), "toolKnown", PlanTool::knownLength);
  tool(tr("Lay a line level"), "toolLevel", PlanTool::level);
  if (!s.level.empty())
    rows->addWidget(button(w, tr("Level as scanned"), "dropLevel",
                           [this] { editSheet(tr("Level as scanned"), [](PlanSheet& t) { t.level.clear(); }); }));
  tool(tr("Four corners (a photograph)"), "toolCorners", PlanTool::corners);
  if (!s.corners.empty()) {
    auto* by = new QComboBox(w);
    by->setObjectName("madeTrueBy");
    for (const Choice& c : makeTrueChoices)
      by->addItem(tr("by %1").arg(QString::fromUtf8(c.label.data(), static_cast<qsizetype>(c.label.size()))));
    by->setCurrentIndex(static_cast<int>(s.by));
    connect(by, &QComboBox::activated, this,
            [this](int i) { editSheet(tr("Made true by"), [&](PlanSheet& t) { t.by = static_cast<MakeTrue>(i); }); });
    rows->addWidget(by);
    auto* size = new QHBoxLayout;
    for (const bool across : {false, true}) {
      auto* edit =
          field(w, across ? "cornerHeight" : "cornerWidth", across ? tr("Rectangle's height") : tr("Rectangle's width"),
                plain(formatLength(across ? s.cornerHeight : s.cornerWidth, document.design().unit, 3)));
      connect(edit, &DecisionEdit::committed, this, [this, across](const QString& text) {
        typeLength(text, [&](double mm) {
          if (mm < 1 || mm > 100000) return timer.start(0);
          editSheet(tr("Rectangle's size"), [&](PlanSheet& t) { (across ? t.cornerHeight : t.cornerWidth) = mm; });
        });
      });
      size->addWidget(caption(w, across ? tr("high") : tr("wide")));
      size->addWidget(edit);
    }
    rows->addLayout(size);
  }
  rows->addWidget(
      caption(w, tr("One length gives one scale. One along and one across show stretch both ways; a slanting "
                    "one shows whether the sheet is square.")));
  return w;
}

// ---- Read

} // namespace eup::app
