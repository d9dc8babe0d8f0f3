#include "app/plan_panel.h"
#include "app/decide_panel.h"
#include "core/design/describe.h"
#include "core/files/text_file.h"
#include "core/measure/length_text.h"
#include <QCheckBox>
#include <QComboBox>
#include <QFileDialog>
#include <QFileInfo>
#include <QFrame>
#include <QGridLayout>
#include <QHeaderView>
#include <QLabel>
#include <QListWidget>
#include <QProgressBar>
#include <QPushButton>
#include <QStyle>
#include <QTableWidget>
#include <QToolButton>
#include <QVBoxLayout>

namespace eup::app {
namespace {

constexpr std::size_t largestCopy = 24u << 20; // bytes: a wing file stays under what is read again

QString plain(const std::string& text) {
  return QString::fromStdString(text);
}

QLabel* words(QWidget* parent, const QString& text, const char* name = "small") {
  auto* label = new QLabel(text, parent);
  label->setObjectName(name);
  label->setWordWrap(true);
  return label;
}

QPushButton* button(QWidget* parent, const QString& text, const char* name, auto run) {
  auto* b = new QPushButton(text, parent);
  b->setObjectName(name);
  QObject::connect(b, &QPushButton::clicked, parent, run);
  return b;
}

} // namespace

PlanPanel::PlanPanel(Document& d, Standpoint& s, PlanBoard& b, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), board(b) {
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
  connect(&document, &Document::changed, this, later);
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
  const auto& judged = document.wing().plan.judgements;
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
    s.dpi = image.dpi;
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
      if (image.dpi > 0) s.dpi = image.dpi;
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
    const QString path =
        QFileDialog::getOpenFileName(this, tr("Open a plan"), QFileInfo(document.path()).path(),
                                     tr("Plans (*.png *.jpg *.jpeg *.tif *.tiff *.pdf *.svg *.dxf);;All files (*)"));
    auto* pageEdit = findChild<DecisionEdit*>("planPage");
    if (!path.isEmpty()) openPlan(path, pageEdit ? std::max(1, pageEdit->text().toInt()) : 1);
  });
  open->setEnabled(!document.planImages().opening());
  grid->addWidget(open, 0, 0, 1, 2);
  auto* pageRow = new QHBoxLayout;
  pageRow->addWidget(words(w, tr("page of a PDF or TIFF")));
  auto* pageEdit = field(w, "planPage", tr("Page of a PDF or TIFF"), "1");
  pageEdit->setFixedWidth(56);
  pageRow->addWidget(pageEdit);
  grid->addLayout(pageRow, 1, 0, 1, 2);
  if (!plan.sheets.empty()) {
    const PlanSheet& s = plan.sheets[sheet()];
    grid->addWidget(button(w, tr("Link again…"), "relinkPlan",
                           [this] {
                             const QString path = QFileDialog::getOpenFileName(this, tr("Link the sheet to a file"));
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
    grid->addWidget(words(w, tr("name")), 4, 0);
    grid->addWidget(name, 4, 1);
    QString state = tr("%1 × %2 pixels%3")
                        .arg(s.width)
                        .arg(s.height)
                        .arg(s.dpi > 0 ? tr(", %1 an inch").arg(s.dpi, 0, 'f', 0) : tr(", resolution not told"));
    if (!document.planImages().trouble(sheet()).isEmpty())
      rows->addWidget(words(w, document.planImages().trouble(sheet()), "problem"));
    rows->addLayout(grid);
    rows->addWidget(words(w, state));
    rows->addWidget(
        words(w, tr("Linked: %1. A copy in the wing file keeps the plan with it; readings are kept either way.")
                     .arg(plain(s.file))));
    if (plan.sheets.size() > 1)
      rows->addWidget(words(w, tr("Sheets lie side by side. Read the same match marks on two sheets to join them.")));
  } else {
    rows->addLayout(grid);
    rows->addWidget(words(w, tr("A scan at 150 pixels an inch or more reads to a tenth of a millimetre.")));
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
  const LaidSheet* laid = index < document.wing().plan.sheets.size() ? &document.wing().plan.sheets[index] : nullptr;
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
    auto* verdict = words(w, told, laid->problem ? "problem" : "printVerdict");
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
    auto* off = words(w, laid && i < laid->sheet.residuals.size() && !laid->problem
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
      size->addWidget(words(w, across ? tr("high") : tr("wide")));
      size->addWidget(edit);
    }
    rows->addLayout(size);
  }
  rows->addWidget(words(w, tr("One length gives one scale. One along and one across show stretch both ways; a slanting "
                              "one shows whether the sheet is square.")));
  return w;
}

// ---- Read

void PlanPanel::fillReadings(QTableWidget* table) const {
  const Plan& plan = document.design().plan;
  const auto& laid = document.wing().plan.sheets;
  table->setRowCount(static_cast<int>(plan.readings.size()));
  for (std::size_t i = 0; i < plan.readings.size(); ++i) {
    const Reading& r = plan.readings[i];
    const ReadValue v = valueOf(r, laid);
    QString name = plain(nameOf(r));
    if (r.hand == Hand::left) name += tr(", left");
    const QString value = v.across ? tr("%1, %2").arg(plain(formatLength(v.value, document.design().unit, 1)),
                                                      plain(formatLength(*v.across, document.design().unit, 1)))
                                   : plain(told(v.value, v.quantity, document.design().unit));
    table->setItem(static_cast<int>(i), 0, new QTableWidgetItem(name));
    table->setItem(static_cast<int>(i), 1, new QTableWidgetItem(value));
  }
}

QWidget* PlanPanel::readPage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  auto* kind = new QComboBox(w);
  kind->setObjectName("readingKind");
  kind->setAccessibleName(tr("What to read"));
  for (const Choice& c : readingChoices)
    kind->addItem(QString::fromUtf8(c.label.data(), static_cast<qsizetype>(c.label.size())),
                  QString::fromUtf8(c.key.data(), static_cast<qsizetype>(c.key.size())));
  kind->setCurrentIndex(static_cast<int>(board.kind()));
  connect(kind, &QComboBox::activated, this, [this](int i) { board.setKind(static_cast<ReadingKind>(i)); });
  rows->addWidget(kind);
  auto* line = new QHBoxLayout;
  auto* hand = new QComboBox(w);
  hand->setObjectName("readingHand");
  hand->setAccessibleName(tr("Hand that is read"));
  hand->addItems({tr("right hand"), tr("left hand")});
  hand->setCurrentIndex(board.readHand() == Hand::left ? 1 : 0);
  connect(hand, &QComboBox::activated, this, [this](int i) { board.setReadHand(i == 1 ? Hand::left : Hand::right); });
  line->addWidget(hand);
  const bool section = board.kind() == ReadingKind::upperSurface || board.kind() == ReadingKind::lowerSurface;
  line->addWidget(words(w, section ? tr("1 root, 2 tip") : tr("number")));
  auto* number = field(w, "readingNumber", tr("Number of the rib, spar or mark"), QString::number(board.number()));
  number->setFixedWidth(52);
  connect(number, &DecisionEdit::committed, this, [this](const QString& text) { board.setNumber(text.toInt()); });
  connect(number, &DecisionEdit::nudged, this,
          [this](int by, Qt::KeyboardModifiers) { board.setNumber(board.number() + by); });
  line->addWidget(number);
  rows->addLayout(line);
  auto* go = new QHBoxLayout;
  auto* start =
      button(w, board.tool() == PlanTool::read ? tr("Stop reading") : tr("Start reading"), "startReading", [this] {
        board.tool() == PlanTool::read ? board.setTool(PlanTool::none) : board.setKind(board.kind());
        board.setFocus();
      });
  go->addWidget(start);
  const PointCount count = pointsOf(board.kind());
  if (board.tool() == PlanTool::read && count.least != count.most) {
    auto* finish =
        button(w, tr("Finish it (%1)").arg(board.pointsPlaced()), "finishReading", [this] { board.finish(); });
    finish->setEnabled(board.pointsPlaced() >= count.least);
    go->addWidget(finish);
  }
  rows->addLayout(go);
  auto* snaps = new QCheckBox(tr("Snap to the middle of the ink (S)"), w);
  snaps->setObjectName("snapping");
  snaps->setChecked(board.snapping());
  connect(snaps, &QCheckBox::clicked, this, [this](bool on) { board.setSnapping(on); });
  rows->addWidget(snaps);
  if (board.tool() == PlanTool::read) rows->addWidget(words(w, board.instruction()));

  const Plan& plan = document.design().plan;
  auto* table = new QTableWidget(0, 2, w);
  table->setObjectName("readings");
  table->setAccessibleName(tr("Readings"));
  table->setHorizontalHeaderLabels(
      {tr("%n reading(s)", nullptr, static_cast<int>(plan.readings.size())).replace("reading(s)", tr("readings")),
       tr("measures / lies at")});
  table->verticalHeader()->hide();
  table->verticalHeader()->setDefaultSectionSize(22);
  table->horizontalHeader()->setSectionResizeMode(0, QHeaderView::Stretch);
  table->setColumnWidth(1, 132);
  table->setSelectionBehavior(QAbstractItemView::SelectRows);
  table->setSelectionMode(QAbstractItemView::SingleSelection);
  table->setEditTriggers(QAbstractItemView::NoEditTriggers);
  table->setMinimumHeight(170);
  table->setMaximumHeight(230);
  fillReadings(table);
  if (reading && *reading >= plan.readings.size()) reading.reset();
  if (reading)
    table->selectRow(static_cast<int>(*reading)), table->scrollToItem(table->item(static_cast<int>(*reading), 0));
  else
    table->scrollToBottom();
  connect(table, &QTableWidget::currentCellChanged, this, [this](int row, int, int, int) {
    if (row < 0 || (reading && *reading == static_cast<std::size_t>(row))) return;
    reading = static_cast<std::size_t>(row);
    board.reveal(*reading);
    timer.start(0);
  });
  rows->addWidget(table);
  if (reading) showReading(rows);
  return w;
}

void PlanPanel::showReading(QVBoxLayout* rows) {
  const std::size_t i = *reading;
  const Reading& r = document.design().plan.readings[i];
  const ReadValue v = valueOf(r, document.wing().plan.sheets);
  auto* w = qobject_cast<QWidget*>(rows->parent());
  auto* grid = new QGridLayout;
  auto* name = field(w, "readingName", tr("Reading's name"), plain(nameOf(r)));
  name->setAlignment(Qt::AlignLeft);
  connect(name, &DecisionEdit::committed, this, [this, i](const QString& text) {
    Design next = document.design();
    next.plan.readings.at(i).name = text.left(100).toStdString();
    document.edit(tr("Name of reading"), std::move(next));
  });
  grid->addWidget(words(w, tr("name")), 0, 0);
  grid->addWidget(name, 0, 1, 1, 3);
  const auto take = [this, i](double value, std::optional<double> across) {
    const auto plan = withValue(document.design().plan, i, value, across);
    if (!plan) {
      Q_EMIT said(plain(plan.problem().text()), true);
      timer.start(0);
      return;
    }
    Design next = document.design();
    next.plan = plan.value();
    const QString called = plain(nameOf(next.plan.readings.at(i)));
    document.edit(tr("Edit %1").arg(called), std::move(next));
  };
  if (v.quantity == Quantity::angle) {
    auto* edit = field(w, "readingValue", tr("Angle"), plain(formatNumber(radToDeg(v.value), 2)));
    connect(edit, &DecisionEdit::committed, this, [this, take](const QString& text) {
      const auto number = parseNumber(text.toStdString());
      if (!number) {
        Q_EMIT said(plain(number.problem().cause), true);
        return timer.start(0);
      }
      take(degToRad(number.value()), {});
    });
    grid->addWidget(words(w, tr("degrees")), 1, 0);
    grid->addWidget(edit, 1, 1);
  } else if (v.across) {
    auto* along =
        field(w, "readingValue", tr("Along the plan"), plain(formatLength(v.value, document.design().unit, 2)));
    auto* across =
        field(w, "readingAcross", tr("Up the plan"), plain(formatLength(*v.across, document.design().unit, 2)));
    connect(along, &DecisionEdit::committed, this,
            [this, take, y = *v.across](const QString& text) { typeLength(text, [&](double mm) { take(mm, y); }); });
    connect(across, &DecisionEdit::committed, this,
            [this, take, x = v.value](const QString& text) { typeLength(text, [&](double mm) { take(x, mm); }); });
    grid->addWidget(words(w, tr("along")), 1, 0);
    grid->addWidget(along, 1, 1);
    grid->addWidget(words(w, tr("up")), 1, 2);
    grid->addWidget(across, 1, 3);
  } else if (r.points.size() == 2) {
    auto* edit = field(w, "readingValue", tr("Length"), plain(formatLength(v.value, document.design().unit, 2)));
    connect(edit, &DecisionEdit::committed, this,
            [this, take](const QString& text) { typeLength(text, [&](double mm) { take(mm, {}); }); });
    grid->addWidget(words(w, tr("length")), 1, 0);
    grid->addWidget(edit, 1, 1);
  }
  grid->addWidget(button(w, tr("Take it out"), "dropReading",
                         [this, i] {
                           Design next = document.design();
                           const QString called = plain(nameOf(next.plan.readings.at(i)));
                           next.plan.readings.erase(next.plan.readings.begin() + static_cast<std::ptrdiff_t>(i));
                           reading.reset();
                           document.edit(tr("Take out %1").arg(called), std::move(next));
                         }),
                  2, 1, 1, 3);
  rows->addLayout(grid);
}

// ---- Judge

QWidget* PlanPanel::judgePage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  rows->setSpacing(5);
  auto judgements = document.wing().plan.judgements;
  std::stable_sort(judgements.begin(), judgements.end(),
                   [](const Judgement& a, const Judgement& b) { return a.fault > b.fault; });
  if (judgements.empty())
    rows->addWidget(words(w, tr("Nothing to judge yet. Read the leading and trailing edge at three ribs or more; add "
                                "spar points, templates, rib thicknesses, the other hand.")));
  for (const Judgement& j : judgements) {
    auto* card = new QFrame(w);
    card->setObjectName("card");
    card->setProperty("severity", j.fault ? "warning" : "note");
    auto* inside = new QVBoxLayout(card);
    inside->setContentsMargins(8, 5, 8, 5);
    inside->setSpacing(2);
    auto* title = words(card, (j.fault ? "▲ " : "✓ ") + plain(j.what), "cardTitle");
    title->setProperty("severity", j.fault ? "warning" : "note");
    inside->addWidget(title);
    auto* foot = new QHBoxLayout;
    foot->addWidget(words(card, plain(j.detail)), 1);
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
    if (j.fault) inside->addWidget(words(card, plain(j.take ? j.taken : j.left)));
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
    rows->addWidget(words(w, tr("The layout is as it was read: nothing to change.")));
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
  for (const std::string& note : notes) rows->addWidget(words(w, plain(note)));
}

QWidget* PlanPanel::usePage() {
  auto* w = new QWidget(this);
  auto* rows = new QVBoxLayout(w);
  rows->setContentsMargins(0, 0, 0, 0);
  const bool any = !document.wing().plan.hands.empty();
  if (any) {
    const Changed used = withReadings(document.design(), document.wing().plan);
    rows->addWidget(words(w, tr("FROM THE READINGS, AS JUDGED"), "heading"));
    changesTable(rows, used.design, used.notes, "usedChanges");
    auto* use = button(w, tr("Use these readings"), "useReadings", [this] {
      const Changed now = withReadings(document.design(), document.wing().plan);
      const auto count = changesBetween(document.design(), now.design).size();
      document.edit(tr("Use the plan's readings"), now.design);
      Q_EMIT said(tr("%1 decisions were taken from the plan. Undo takes them back together.").arg(count), false);
    });
    use->setEnabled(!changesBetween(document.design(), used.design).empty());
    rows->addWidget(use);
    rows->addWidget(
        button(w, tr("Print reference points…"), "printReference", [this] { Q_EMIT wantsReferencePrint(); }));
    rows->addWidget(words(w, tr("For the hand that the plan does not draw: spar, tip and end ribs mirrored, full size. "
                                "Turn the board with Left and Right above.")));
  } else {
    rows->addWidget(words(
        w, tr("Read LE and TE at the root and the tip rib, at the least, and the layout follows from them here.")));
  }
  rows->addWidget(words(w, tr("BUILD IT AT ANOTHER SPAN"), "heading"));
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
  line->addWidget(words(w, tr("half span")));
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
    rows->addWidget(words(w, tr("Type another half span to see what changes.")));
  }
  return w;
}

} // namespace eup::app
