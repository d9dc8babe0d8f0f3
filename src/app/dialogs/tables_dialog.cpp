#include "app/dialogs/tables_dialog.h"
#include "app/dialogs/bend_test_dialog.h"
#include "core/described/decisions.h"
#include "core/files/bytes.h"
#include "core/files/text_file.h"
#include "core/measure/length_text.h"
#include <QtWidgets>

namespace eup::app {
namespace {

/// Does to the builder's rows of a table and to the shipped ones what `use` says.
template <class Own, class Use> auto withRows(Own& own, Shelf shelf, Use use) {
  return onShelf(shelf, [&](auto table) { return use(own.*table, shippedTables().*table); });
}

template <class Row> int columnsWide(const std::vector<Row>&) {
  return static_cast<int>(columnsOf(static_cast<const Row*>(nullptr)).size());
}

/// What was typed into a cell of an own row; nothing when it was taken, else why not.
template <class Row> QString take(Row& row, int column, const QString& text) {
  const auto columns = columnsOf(&row);
  const std::string words = text.trimmed().toStdString();
  if (column == 0 || column > static_cast<int>(columns.size())) {
    if (words.empty() || words.size() > 200) return QObject::tr("1 to 200 letters are needed here.");
    (column == 0 ? row.label : row.source) = words;
    return {};
  }
  const Column<Row>& c = columns[static_cast<std::size_t>(column - 1)];
  const auto number = parseNumber(words);
  if (!number) return QString::fromStdString(number.problem().cause);
  if (!(number.value() >= c.limits.low && number.value() <= c.limits.high))
    return QObject::tr("“%1” cannot be: %2 is %3 to %4.")
        .arg(text.left(40), QString::fromUtf8(c.label))
        .arg(c.limits.low, 0, 'g', 6)
        .arg(c.limits.high, 0, 'g', 6);
  row.*c.value = number.value();
  return {};
}

} // namespace

TablesDialog::TablesDialog(const Design& d, Shelf open, Asking& ask, QWidget* parent)
    : QDialog(parent), asking(ask), design(d), rows(d.own) {
  setWindowTitle(tr("Materials, load factors, servos"));
  resize(1120, 620);
  auto* column = new QVBoxLayout(this);
  auto* words = new QLabel(tr("Means of clear stuff, and what builders reckon with; each says where it is known from. "
                              "Wood of one name differs by a third: bend and weigh your own. A row of yours is kept in "
                              "the wing's file and stands among the choices. Estimates for model aircraft, no approval "
                              "of anything."),
                           this);
  words->setWordWrap(true);
  column->addWidget(words);
  tabs = new QTabWidget(this);
  tabs->setObjectName("shelves");
  const std::array<QString, 5> names{tr("Woods, tubes, foams"), tr("Coverings"), tr("Glues"), tr("Load factors"),
                                     tr("Servos")};
  static_assert(names.size() == shelves.size());
  for (const Shelf s : shelves) {
    tables[static_cast<std::size_t>(s)] = makeTable(s);
    tabs->addTab(table(s), names[static_cast<std::size_t>(s)]);
  }
  tabs->setCurrentIndex(static_cast<int>(open));
  column->addWidget(tabs, 1);
  said = new QLabel(this);
  said->setObjectName("said");
  said->setWordWrap(true);
  column->addWidget(said);
  auto* line = new QHBoxLayout;
  column->addLayout(line);
  const auto button = [&](const char* name, const QString& label, void (TablesDialog::*run)()) {
    auto* b = new QPushButton(label, this);
    b->setObjectName(name);
    b->setAutoDefault(false);
    connect(b, &QPushButton::clicked, this, run);
    line->addWidget(b);
    return b;
  };
  copy = button("copyRow", tr("Copy it as my own"), &TablesDialog::copyRow);
  bend = button("bendTest", tr("From a bend test…"), &TablesDialog::bendTest);
  drop = button("dropRow", tr("Take my row out"), &TablesDialog::dropRow);
  button("readRows", tr("Read rows…"), &TablesDialog::readRows);
  button("writeRows", tr("Write my rows…"), &TablesDialog::writeRows);
  line->addStretch();
  auto* buttons = new QDialogButtonBox(this);
  buttons->addButton(tr("Keep these tables"), QDialogButtonBox::AcceptRole)->setObjectName("keepTables");
  buttons->addButton(tr("Leave them as they were"), QDialogButtonBox::RejectRole);
  line->addWidget(buttons);
  connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  connect(tabs, &QTabWidget::currentChanged, this, &TablesDialog::follow);
  fillAll();
  follow();
}

QTableWidget* TablesDialog::makeTable(Shelf s) {
  auto* t = new QTableWidget(this);
  t->setObjectName(QString("table %1").arg(keyOf(s)));
  t->setAccessibleName(tr("Table of %1").arg(wordsOf(s)));
  QStringList heads{tr("Name")};
  withRows(rows, s, [&](auto& own, auto&) {
    using Row = typename std::decay_t<decltype(own)>::value_type;
    for (const Column<Row>& c : columnsOf(static_cast<const Row*>(nullptr))) heads << QString::fromUtf8(c.label);
  });
  heads << tr("Known from");
  t->setColumnCount(static_cast<int>(heads.size()));
  t->setHorizontalHeaderLabels(heads);
  t->horizontalHeaderItem(t->columnCount() - 1)->setTextAlignment(Qt::AlignLeft); // its column is wider than the view
  t->verticalHeader()->hide();
  t->setSelectionBehavior(QAbstractItemView::SelectRows);
  t->setSelectionMode(QAbstractItemView::SingleSelection);
  t->setWordWrap(false);
  t->horizontalHeader()->setStretchLastSection(true);
  connect(t, &QTableWidget::cellChanged, this, [this, s](int row, int column) { typed(s, row, column); });
  connect(t, &QTableWidget::currentCellChanged, this, &TablesDialog::follow);
  return t;
}

void TablesDialog::fillAll() {
  for (const Shelf s : shelves) fill(s);
}

void TablesDialog::fill(Shelf s, int select) {
  filling = true;
  QTableWidget* t = table(s);
  withRows(rows, s, [&](auto& own, auto& shipped) {
    using Row = typename std::decay_t<decltype(own)>::value_type;
    const auto columns = columnsOf(static_cast<const Row*>(nullptr));
    t->setRowCount(static_cast<int>(own.size() + shipped.size()));
    int at = 0;
    const auto put = [&](const Row& row, bool mine) {
      int c = 0;
      const auto cell = [&](const QString& text, bool number) {
        auto* item = new QTableWidgetItem(text);
        item->setTextAlignment((number ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter);
        item->setToolTip(text);
        if (!mine) item->setFlags(item->flags() & ~Qt::ItemIsEditable);
        QFont font = item->font();
        font.setBold(mine);
        item->setFont(font);
        t->setItem(at, c++, item);
      };
      cell(QString::fromStdString(row.label), false);
      for (const Column<Row>& column : columns) cell(QString::number(row.*column.value, 'g', 6), true);
      cell(QString::fromStdString(row.source), false);
      ++at;
    };
    for (const Row& row : own) put(row, true); // what is worked on stands on top
    for (const Row& row : shipped) put(row, false);
  });
  t->horizontalHeader()->setStretchLastSection(false); // it would keep the width that it now gets
  t->resizeColumnsToContents();
  if (t->columnWidth(0) > 260) t->setColumnWidth(0, 260);
  t->horizontalHeader()->setStretchLastSection(true);
  t->setCurrentCell(std::max(select, 0), 0);
  filling = false;
  follow();
}

Shelf TablesDialog::shelf() const {
  return shelves[std::max(tabs->currentIndex(), 0)];
}

int TablesDialog::chosenOwn() const {
  const int row = table(shelf())->currentRow();
  return withRows(rows, shelf(), [&](auto& own, auto&) { return row < static_cast<int>(own.size()) ? row : -1; });
}

void TablesDialog::follow() {
  if (filling || !copy) return;
  const bool any = table(shelf())->currentRow() >= 0;
  const bool room = withRows(rows, shelf(), [](auto& own, auto&) { return own.size() < mostOwnRows; });
  copy->setEnabled(any && room);
  drop->setEnabled(any && chosenOwn() >= 0);
  bend->setVisible(shelf() == Shelf::material);
  bend->setEnabled(any && room);
}

void TablesDialog::typed(Shelf s, int row, int column) {
  if (filling) return;
  const QString text = table(s)->item(row, column)->text();
  QString problem;
  withRows(rows, s, [&](auto& own, auto&) {
    if (row < static_cast<int>(own.size())) problem = take(own[static_cast<std::size_t>(row)], column, text);
  });
  said->setText(problem);
  fill(s, row); // what was refused is as it was
}

void TablesDialog::copyRow() {
  const int at = table(shelf())->currentRow();
  int made = 0;
  withRows(rows, shelf(), [&](auto& own, auto& shipped) {
    const auto k = static_cast<std::size_t>(at);
    auto row = k < own.size() ? own[k] : shipped[k - own.size()];
    row.key = freshKey(own);
    row.label = firstLetters("my " + row.label, 200);
    own.push_back(row);
    made = static_cast<int>(own.size()) - 1;
  });
  said->setText(tr("Type over its values: what it is, and where you know it from."));
  fill(shelf(), made);
  table(shelf())->setFocus();
}

void TablesDialog::dropRow() {
  const int at = chosenOwn();
  if (at < 0) return;
  QString problem;
  withRows(rows, shelf(), [&](auto& own, auto&) {
    const auto uses = usesOf(design, shelf(), own[static_cast<std::size_t>(at)].key);
    if (!uses.empty()) {
      problem = tr("It is in use: %1%2. Choose something else there first.")
                    .arg(QString::fromStdString(uses.front()),
                         uses.size() > 1 ? tr(" and %1 more").arg(uses.size() - 1) : QString());
      return;
    }
    own.erase(own.begin() + at);
  });
  said->setText(problem);
  fill(shelf(), std::max(at - 1, 0));
}

void TablesDialog::bendTest() {
  const int at = table(Shelf::material)->currentRow();
  const auto k = static_cast<std::size_t>(at);
  const auto& shipped = shippedTables().materials;
  const Material like = k < rows.materials.size() ? rows.materials[k] : shipped[k - rows.materials.size()];
  BendTestDialog dialog(like, design.unit, this);
  if (dialog.exec() != QDialog::Accepted || !dialog.tested()) return;
  Material made = *dialog.tested();
  made.key = freshKey(rows.materials);
  rows.materials.push_back(made);
  said->setText({});
  fill(Shelf::material, static_cast<int>(rows.materials.size()) - 1);
}

void TablesDialog::readRows() {
  const QString path = asking.fileToOpen(this, tr("Read rows"), {}, tr("Tables (*.json)"));
  if (path.isEmpty()) return;
  const auto text = readTextFile(path.toStdString());
  const auto read = text ? readTables(text.value()) : Result<Tables>(text.problem());
  if (!read) return said->setText(QString::fromStdString(read.problem().text()));
  int taken = 0, left = 0;
  const auto add = [&](const auto& from, auto& to) {
    for (auto row : from) {
      const bool same = std::any_of(to.begin(), to.end(), [&](const auto& r) {
        auto twin = row;
        twin.key = r.key;
        return twin == r;
      });
      if (same || to.size() >= mostOwnRows) {
        ++left;
        continue;
      }
      row.key = freshKey(to);
      to.push_back(std::move(row));
      ++taken;
    }
  };
  for (const Shelf s : shelves) onShelf(s, [&](auto table) { add(read.value().*table, rows.*table); });
  said->setText(left > 0
                    ? tr("%1 rows read; %2 left out, they are there already or there is no room.").arg(taken).arg(left)
                    : tr("%1 rows read.").arg(taken));
  fillAll();
}

void TablesDialog::writeRows() {
  const QString path = asking.fileToWrite(this, tr("Write my rows"), "my-tables.json", tr("Tables (*.json)"), "json");
  if (path.isEmpty()) return;
  const auto done = writeFileAtomically(path.toStdString(), tablesToText(rows));
  said->setText(done ? tr("Written: %1").arg(QDir::toNativeSeparators(path))
                     : QString::fromStdString(done.problem().text()));
}

} // namespace eup::app
