#include "app/bench/bench_log.h"
#include "app/state/watch.h"
#include "core/bench/recording.h"
#include "core/files/text_file.h"
#include "core/takeaway/bench_report.h"
#include "core/takeaway/take_away.h"
#include <QtWidgets>

namespace eup::app {
BenchLog::BenchLog(Document& d, Standpoint& s, std::function<Asking&()> asks, QWidget* parent)
    : QWidget(parent), document(d), standpoint(s), asking(std::move(asks)) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 4, 0, 0);
  column->setSpacing(4);
  auto* row = new QHBoxLayout;
  column->addLayout(row);
  find = new QLineEdit(this);
  find->setObjectName("logFind");
  find->setPlaceholderText(tr("Find in the log"));
  find->setAccessibleName(tr("Find in the log"));
  find->setFixedWidth(150);
  row->addWidget(find);
  words = new QLineEdit(this);
  words->setObjectName("logNote");
  words->setPlaceholderText(tr("A note of today; Enter writes it down"));
  words->setAccessibleName(tr("A note of today"));
  row->addWidget(words, 1);
  const auto button = [&](const QString& label, const char* name, const QString& tip, auto run) {
    auto* one = new QPushButton(label, this);
    one->setObjectName(name);
    one->setToolTip(tip);
    connect(one, &QPushButton::clicked, this, run);
    row->addWidget(one);
  };
  button(tr("Note it"), "logWrite", tr("With the date and the step that is chosen"), [this] { note(); });
  button(tr("Hang a picture…"), "logPicture", tr("A photograph, copied beside the wing's file"),
         [this] { choosePicture(); });
  button(tr("Take it away…"), "logExport", tr("As one PDF with the drawings, as a page, as a table"),
         [this] { chooseAndWrite(); });
  list = new QTreeWidget(this);
  list->setObjectName("log");
  list->setAccessibleName(tr("The log, the newest first"));
  list->setRootIsDecorated(false);
  list->setUniformRowHeights(true);
  list->setHeaderLabels({tr("When"), tr("Kind"), tr("What")});
  list->header()->setStretchLastSection(true);
  list->setColumnWidth(at, 130);
  list->setColumnWidth(kind, 74);
  column->addWidget(list, 1);
  says = new QLabel(this);
  says->setObjectName("logSays");
  column->addWidget(says);
  connect(find, &QLineEdit::textChanged, this, [this] { refresh(); });
  connect(words, &QLineEdit::returnPressed, this, [this] { note(); });
  new Watch(this, document, standpoint, [this](Changes what) {
    if (what & (Aspect::design | Aspect::stage)) refresh();
  });
}

void BenchLog::refresh() {
  list->clear();
  const auto& log = document.design().records.log;
  const std::string word = find->text().trimmed().toStdString();
  int shown = 0;
  QList<QTreeWidgetItem*> rows;
  for (auto e = log.rbegin(); e != log.rend(); ++e) {
    if (!speaksOf(*e, word)) continue;
    auto* item = new QTreeWidgetItem;
    item->setText(at, QString::fromStdString(e->at));
    item->setText(kind, tr(logKindChoices[static_cast<std::size_t>(e->kind)].label.data()));
    item->setText(text, QString::fromStdString(e->file.empty() ? e->text : e->text + " [" + e->file + "]"));
    rows << item;
    ++shown;
  }
  list->addTopLevelItems(rows);
  says->setText(log.empty()
                    ? tr("Nothing yet. What is begun, done, looked at and read is written down here by itself; so "
                         "is every decision that changes once the building has begun.")
                    : tr("%1 of %2 entries").arg(shown).arg(log.size()));
}

void BenchLog::note() {
  const QString line = words->text().trimmed();
  if (line.isEmpty()) return;
  const std::string key = step();
  bool room = false;
  document.record([&](Records& r) { room = addToLog(r, document.clock(), LogKind::note, line.toStdString(), key); });
  if (room)
    words->clear();
  else
    says->setText(tr("The log is full: take it away and begin another file."));
}

QString BenchLog::hang(const QString& picture) {
  if (document.path().isEmpty()) return tr("Save the wing first: pictures lie beside its file.");
  const QFileInfo from(picture);
  if (QImageReader(picture).size().isEmpty()) return tr("%1 is no picture that can be read.").arg(from.fileName());
  const QFileInfo wing(document.path());
  const QString folder = wing.completeBaseName() + "-pictures";
  QDir dir(wing.absolutePath());
  if (!dir.mkpath(folder)) return tr("The folder %1 cannot be made.").arg(folder);
  QString name = folder + "/" + from.fileName();
  for (int i = 2; QFileInfo::exists(dir.filePath(name)); ++i) // what hangs there already stays
    name = QString("%1/%2-%3.%4").arg(folder, from.completeBaseName()).arg(i).arg(from.suffix());
  if (!QFile::copy(picture, dir.filePath(name))) return tr("%1 cannot be copied to %2.").arg(from.fileName(), name);
  const std::string key = step();
  const QString line = words->text().trimmed().isEmpty() ? tr("A picture") : words->text().trimmed();
  bool room = false;
  document.record([&](Records& r) {
    room = addToLog(r, document.clock(), LogKind::picture, line.toStdString(), key, name.toStdString());
  });
  if (!room) return tr("The log is full.");
  words->clear();
  return {};
}

void BenchLog::choosePicture() {
  const QString chosen = asking().fileToOpen(this, tr("Hang a picture"), {}, tr("Pictures (*.jpg *.jpeg *.png)"));
  if (chosen.isEmpty()) return;
  const QString problem = hang(chosen);
  says->setText(problem.isEmpty() ? tr("It hangs in the log.") : problem);
}

QString BenchLog::writeTo(const QString& path) {
  if (!document.hasWing()) return tr("There is no wing.");
  const TrueWing& w = document.wing();
  const QString ending = QFileInfo(path).suffix().toLower();
  Result<std::string> made = Problem{path.toStdString(), "end the name in .pdf, .html, .csv or .json"};
  if (ending == "pdf") made = logDocument(w);
  if (ending == "html") made = logHtml(w);
  if (ending == "csv") made = toCsv(logTable(w.design.records, find->text().trimmed().toStdString()));
  if (ending == "json") made = logJson(w) + "\n";
  if (!made) return QString::fromStdString(made.problem().text());
  const auto done = writeFileAtomically(path.toStdString(), made.value());
  return done ? QString() : QString::fromStdString(done.problem().text());
}

void BenchLog::chooseAndWrite() {
  const QString path =
      asking().fileToWrite(this, tr("Take the log away"), "log.pdf",
                           tr("PDF with the drawings (*.pdf);;Page (*.html);;Table (*.csv);;JSON (*.json)"), "pdf");
  if (path.isEmpty()) return;
  const QString problem = writeTo(path);
  says->setText(problem.isEmpty() ? tr("Written: %1").arg(path) : problem);
}

QString BenchLog::untaken() const {
  return words->text().trimmed();
}

} // namespace eup::app
