// What the window does with files: open, save, recover, import, take away.
#include "app/bench/bench_panel.h"
#include "app/decide/decide_panel.h"
#include "app/dialogs/cut_window.h"
#include "app/dialogs/export_dialog.h"
#include "app/dialogs/kept_dialog.h"
#include "app/dialogs/tables_dialog.h"
#include "app/dialogs/trial_dialog.h"
#include "app/frame/main_window.h"
#include "core/described/design_file.h"
#include "core/edit/wing_edit.h"
#include "core/files/shipped.h"
#include "core/files/text_file.h"
#include <QAction>
#include <QDir>
#include <QEventLoop>
#include <QFileInfo>
#include <QFrame>
#include <QLabel>
#include <QMenu>
#include <QProgressDialog>
#include <QSettings>
#include <QToolButton>

namespace eup::app {

namespace {
constexpr int mostRecent = 8;
const char* fileFilter = "Wing files (*.euptera);;All files (*)";
} // namespace

void MainWindow::newWing() {
  theAutosave->forget();
  theDocument.replace(eup::newWing(), {}, true);
  messageBar->hide();
  theStandpoint.setStage(Stage::panels);
}

void MainWindow::openDemo(const std::string& name) {
  theAutosave->forget();
  theDocument.replace(demoDesign(name.empty() ? shipped::demoNames().front() : name), {}, true);
  messageBar->hide();
  if (!theDocument.design().plan.sheets.empty()) theStandpoint.setStage(Stage::plan);
}

bool MainWindow::openFile(const QString& path) {
  // What is open and unsaved is kept until the new file is known to be good.
  theAutosave->keep();
  const auto opened = theDocument.open(QFileInfo(path).absoluteFilePath());
  if (!opened) {
    say(tr("%1 was not opened. %2").arg(QFileInfo(path).fileName(), QString::fromStdString(opened.problem().text())),
        true);
    return false;
  }
  theAutosave->forget();
  theAutosave->setAside(theDocument.path());
  addRecent(theDocument.path());
  messageBar->hide();
  QStringList notes;
  for (const std::string& note : opened.value()) notes << QString::fromStdString(note);
  QString words;
  if (!notes.isEmpty())
    words = tr("Opened, but: %1")
                .arg(notes.mid(0, 4).join("; ") + (notes.size() > 4 ? tr("; and %1 more").arg(notes.size() - 4) : ""));
  if (theAutosave->shared())
    words += (words.isEmpty() ? "" : " ") + tr("It is open in another window too: what is saved last is what stays.");
  if (!words.isEmpty()) say(words);
  offerRecovery();
  return true;
}

void MainWindow::offerRecovery() {
  recoverable.reset();
  const std::vector<KeptState> kept = theAutosave->kept().all();
  int others = 0, unreadable = 0;
  for (const KeptState& state : kept) {
    if (!state.trouble.isEmpty())
      ++unreadable;
    else if (state.file != theDocument.path())
      ++others;
    else if (!recoverable)
      recoverable = state;
    else
      ++others;
  }
  actions.at("kept")->setEnabled(!kept.empty());
  QStringList words;
  if (recoverable) {
    const QString when = recoverable->when.toString("yyyy-MM-dd HH:mm");
    words
        << (theDocument.path().isEmpty()
                ? tr("A wing that was never saved was found (%1, %2): the program must have ended in the middle of "
                     "work.")
                      .arg(recoverable->name, when)
                : tr("Changes that were not saved were found beside this file (%1): the program must have ended in the "
                     "middle of work.")
                      .arg(when));
  }
  if (others > 0)
    words << (others == 1
                  ? tr("One more state that was not saved is kept: File, States that were kept.")
                  : tr("%1 more states that were not saved are kept: File, States that were kept.").arg(others));
  if (unreadable > 0)
    words << (unreadable == 1 ? tr("One kept state cannot be read, and is kept all the same.")
                              : tr("%1 kept states cannot be read, and are kept all the same.").arg(unreadable));
  if (words.isEmpty()) return;
  say((messageBar->isHidden() ? QString() : messageText->text() + "\n") + words.join(" "));
  recoverButton->setVisible(recoverable.has_value());
}

/// As a change that can be undone where it is of the wing that is open; else it is opened, not yet saved.
void MainWindow::takeBack(const KeptState& state) {
  auto design = KeptStates::read(state);
  if (!design) return say(tr("It cannot be read. %1").arg(QString::fromStdString(design.problem().text())), true);
  messageBar->hide();
  if (state.file == theDocument.path()) {
    if (!theDocument.takeBack(tr("Take back what was not saved"), design.value())) return;
  } else {
    if (!mayLeave()) return;
    theAutosave->forget();
    theDocument.replace(design.value(), state.file, false);
  }
  theAutosave->keep(); // it is in this program's care now
  if (theDocument.design() == design.value())
    KeptStates::throwAway(state);
  else
    say(tr("It was taken back together with what was recorded since; the kept state stays until you throw it away."));
  recoverable.reset();
  recoverButton->hide();
  actions.at("kept")->setEnabled(!theAutosave->kept().all().empty());
}

void MainWindow::sayFault(const QString& what) {
  theAutosave->keep();
  say(tr("%1 What is open is kept; save it, and undo what you did last if it happens again.").arg(what), true);
}

void MainWindow::showKept() {
  KeptDialog dialog(theAutosave->kept(), this);
  dialog.exec();
  if (dialog.taken()) takeBack(*dialog.taken());
  actions.at("kept")->setEnabled(!theAutosave->kept().all().empty());
}

/// A free name beside that file's.
static QString besideOf(const QString& path) {
  const QFileInfo info(path);
  for (int i = 2;; ++i) {
    const QString name = QString("%1/%2-%3.%4").arg(info.path(), info.completeBaseName()).arg(i).arg(info.suffix());
    if (!QFileInfo::exists(name)) return name;
  }
}

/// The log's pictures lie beside the wing's file, named from its folder: into another folder they go along. Those that
/// could not be copied. A name that leads out of the folder is not followed.
static QStringList takePicturesAlong(const Records& records, const QDir& from, const QDir& to) {
  QStringList left;
  for (const LogEntry& entry : records.log) {
    const QString name = QDir::cleanPath(QString::fromStdString(entry.file));
    if (entry.file.empty() || QDir::isAbsolutePath(name) || name.startsWith("..") || to.exists(name)) continue;
    const QFileInfo picture(from.filePath(name));
    if (!picture.isFile() || !to.mkpath(QFileInfo(name).path()) || !QFile::copy(picture.filePath(), to.filePath(name)))
      left << name;
  }
  left.removeDuplicates();
  return left;
}

/// What stands typed in a field counts, entered or not; the field keeps the keyboard.
void MainWindow::takeTyped() {
  QWidget* typing = focusWidget();
  if (!typing) return;
  if (auto* decision = qobject_cast<DecisionEdit*>(typing)) return decision->commit();
  typing->clearFocus();
  typing->setFocus(Qt::OtherFocusReason);
}

bool MainWindow::saveTo(const QString& given) {
  takeTyped();
  QString path = given;
  if (path == theDocument.path() && theDocument.changedOutside()) switch (asking->aboutChanged(this, path)) {
    case Asking::Changed::replace:
      break;
    case Asking::Changed::both:
      path = besideOf(path);
      break;
    case Asking::Changed::cancel:
      return false;
    }
  theAutosave->setAside(path);
  const QString before = theDocument.path();
  const auto done = theDocument.save(path);
  if (!done) {
    say(tr("Not saved. %1").arg(QString::fromStdString(done.problem().text())), true);
    return false;
  }
  theAutosave->forget();
  addRecent(path);
  messageBar->hide();
  if (path != given) say(tr("Saved as %1; the other file stays as it is.").arg(QFileInfo(path).fileName()));
  QStringList notes;
  if (!done.value().note.empty()) notes << QString::fromStdString(done.value().note);
  const QDir home = QFileInfo(before).absoluteDir(), there = QFileInfo(path).absoluteDir();
  if (!before.isEmpty() && home != there)
    if (const QStringList left = takePicturesAlong(theDocument.design().records, home, there); !left.isEmpty())
      notes << tr("these pictures of the log could not be copied beside it: %1").arg(left.mid(0, 5).join(", "));
  if (!notes.isEmpty()) say(tr("Saved, but: %1.").arg(notes.join("; ")));
  return true;
}

bool MainWindow::save() {
  takeTyped();
  if (!theDocument.modified() && !theDocument.path().isEmpty()) return true; // nothing to save
  return theDocument.path().isEmpty() ? saveAs() : saveTo(theDocument.path());
}

bool MainWindow::saveAs() {
  takeTyped();
  const QString start = theDocument.path().isEmpty()
                            ? QString::fromStdString(fileNameOf(theDocument.design().name)) + ".euptera"
                            : theDocument.path();
  const QString path = asking->fileToWrite(this, tr("Save the wing"), start, fileFilter, "euptera");
  return !path.isEmpty() && saveTo(path);
}

bool MainWindow::mayLeave() {
  if (QWidget* typing = focusWidget()) typing->clearFocus(); // what is typed counts, and is asked about
  if (const QString typed = benchPanel->untaken(); !typed.isEmpty() && !asking->mayForget(this, typed)) return false;
  if (!theDocument.modified()) return true;
  switch (asking->aboutUnsaved(this, QString::fromStdString(theDocument.design().name))) {
  case Asking::Unsaved::save:
    return save();
  case Asking::Unsaved::discard:
    return true;
  case Asking::Unsaved::cancel:
    break;
  }
  return false;
}

void MainWindow::chooseAndOpen() {
  if (!mayLeave()) return;
  const QString path =
      asking->fileToOpen(this, tr("Open a wing"),
                         theDocument.path().isEmpty() ? QString() : QFileInfo(theDocument.path()).path(), fileFilter);
  if (!path.isEmpty()) openFile(path);
}

void MainWindow::chooseCoordinates(const QString& end) {
  const QString path = asking->fileToOpen(this, tr("Coordinates of the %1 section").arg(end), {},
                                          tr("Coordinates (*.dat *.txt *.csv);;All files (*)"));
  if (!path.isEmpty()) importCoordinates(end, path);
}

bool MainWindow::importCoordinates(const QString& end, const QString& path) {
  const auto text = readTextFile(path.toStdString());
  const auto fail = [&](const Problem& problem) {
    say(tr("%1 was not taken. %2").arg(QFileInfo(path).fileName(), QString::fromStdString(problem.text())), true);
    return false;
  };
  if (!text) return fail(text.problem());
  const auto read = readCoordinates(text.value(), QFileInfo(path).completeBaseName().toStdString());
  if (!read) return fail(read.problem());
  Design next = theDocument.design();
  Sections& sections = next.at(theStandpoint.panel()).sections;
  SectionChoice& section = end == "root" ? sections.root : sections.tip;
  section.kind = SectionKind::listed;
  section.listed = read.value().section;
  theDocument.edit(tr("Section %1").arg(QString::fromStdString(read.value().section.name)), std::move(next));
  QStringList notes;
  for (const std::string& note : read.value().mended) notes << QString::fromStdString(note);
  if (!notes.isEmpty())
    say(tr("%1 was taken; mended on the way: %2").arg(QFileInfo(path).fileName(), notes.mid(0, 4).join("; ")));
  return true;
}

void MainWindow::chooseReference() {
  const Hand drawn = theDocument.plan().hands.empty() ? Hand::right : theDocument.plan().hands.front().hand;
  const ShownHand shown = theStandpoint.hand();
  const Hand hand = shown == ShownHand::both   ? (drawn == Hand::right ? Hand::left : Hand::right)
                    : shown == ShownHand::left ? Hand::left
                                               : Hand::right;
  const QString start =
      QString::fromStdString(fileNameOf(theDocument.design().name) + "-reference-" + name(hand) + ".pdf");
  const QString path = asking->fileToWrite(this, tr("Reference points, %1 hand").arg(name(hand)), start,
                                           tr("Full size (*.pdf *.svg *.dxf)"), "pdf");
  if (!path.isEmpty()) printReference(hand, path);
}

bool MainWindow::printReference(Hand hand, const QString& path) {
  const auto done = writeReference(theDocument.plan(), theDocument.design(), hand, path.toStdString());
  if (done)
    say(tr("Reference points for the %1 hand written into %2. Print at 100 % and measure the check bars.")
            .arg(name(hand), path));
  else
    say(tr("Nothing was written. %1").arg(QString::fromStdString(done.problem().text())), true);
  return done.ok();
}

void MainWindow::chooseSectionFile(const QString& end) {
  const QString start =
      QString::fromStdString(fileNameOf(theDocument.design().name) + "-" + end.toStdString() + "-section.pdf");
  const QString sheet = tr("Full size with nose gauges (*.pdf *.svg *.dxf)"),
                loop = tr("Coordinates, one loop (*.dat)"), blocks = tr("Coordinates, two blocks (*.dat)");
  QString chosen;
  QString path = asking->fileToWrite(this, tr("Write the %1 section").arg(end), start,
                                     sheet + ";;" + loop + ";;" + blocks, "pdf", &chosen);
  if (path.isEmpty()) return;
  if (chosen != sheet && QFileInfo(path).suffix() != "dat") {
    path = QFileInfo(path).path() + "/" + QFileInfo(path).completeBaseName() + ".dat";
    if (QFileInfo::exists(path) && !asking->mayReplace(this, {path})) return;
  }
  writeSectionTo(end == "root", path, chosen == blocks ? CoordinateLayout::blocks : CoordinateLayout::loop);
}

bool MainWindow::writeSectionTo(bool root, const QString& path, CoordinateLayout layout) {
  if (!theDocument.possible()) return say(whyNoWing(), true), false;
  const auto done = writeSection(theStandpoint.shownPanel(), root, path.toStdString(), layout);
  if (done)
    say(tr("The section was written into %1.").arg(path));
  else
    say(tr("The section was not written. %1").arg(QString::fromStdString(done.problem().text())), true);
  return done.ok();
}

namespace {

/// The core that the chosen station is in; null without any.
const FoamCore* coreShown(const Standpoint& standpoint) {
  const TruePanel& panel = standpoint.shownPanel();
  return panel.foam ? panel.foam->coreAt(standpoint.shownRib().t()) : nullptr;
}

} // namespace

CutWindow* MainWindow::cut() const {
  return cutWindow;
}

void MainWindow::showCut() {
  if (!theDocument.possible()) return say(whyNoWing(), true);
  const FoamCore* shown = coreShown(theStandpoint);
  if (!shown) return;
  if (cutWindow && cutWindow->busy()) return cutWindow->raise();
  delete cutWindow;
  cutWindow = new CutWindow(theDocument.now(), theStandpoint.shownPanel().design.id, shown->number,
                            theStandpoint.hand() == ShownHand::left ? Hand::left : Hand::right, look, *asking, this);
  cutWindow->setAttribute(Qt::WA_DeleteOnClose);
  cutWindow->show();
}

/// Of the hand that is shown.
void MainWindow::chooseWireFile() {
  if (!theDocument.possible()) return say(whyNoWing(), true);
  const FoamCore* shown = coreShown(theStandpoint);
  if (!shown) return;
  const TruePanel& panel = theStandpoint.shownPanel();
  const int core = shown->number;
  const Hand hand = theStandpoint.hand() == ShownHand::left ? Hand::left : Hand::right;
  const auto code = wireCodeOf(panel, core, hand);
  if (!code)
    return say(tr("The machine cannot cut this core: %1.").arg(QString::fromStdString(code.problem().text())), true);
  const QString name = QString("%1-%2-core-%3-%4.nc")
                           .arg(QString::fromStdString(fileNameOf(theDocument.design().name)))
                           .arg(panel.design.id.panel + 1)
                           .arg(core)
                           .arg(QString::fromLatin1(eup::name(hand)));
  const QString path =
      asking->fileToWrite(this, tr("Write the machine's path"), name, tr("Machine's path (*.nc)"), ".nc");
  if (path.isEmpty()) return;
  const auto done = writeFileAtomically(path.toStdString(), code.value());
  if (!done) return say(tr("It was not written. %1").arg(QString::fromStdString(done.problem().text())), true);
  say(tr("The path for core %1, %2 hand, was written into %3. Before it runs: isolated low voltage, fumes out, "
         "nobody's hand "
         "near the wire, and never unattended.")
          .arg(core)
          .arg(QString::fromLatin1(eup::name(hand)), path));
}

void MainWindow::showExport() {
  if (!theDocument.possible()) return say(whyNoWing(), true);
  const QString start = theDocument.path().isEmpty()
                            ? QDir::homePath() + "/" + QString::fromStdString(fileNameOf(theDocument.design().name))
                            : QFileInfo(theDocument.path()).path();
  ExportDialog dialog(theDocument.now(), start, *asking, this);
  if (dialog.exec() == QDialog::Accepted) exportTo(dialog.folder(), dialog.order());
}

void MainWindow::showTables(Shelf shelf) {
  TablesDialog dialog(theDocument.design(), shelf, *asking, this);
  if (dialog.exec() != QDialog::Accepted || dialog.own() == theDocument.design().own) return;
  Design next = theDocument.design();
  next.own = dialog.own();
  theDocument.edit(tr("Tables"), std::move(next));
}

void MainWindow::showTrial() {
  if (!theDocument.possible()) return say(whyNoWing(), true);
  const Hand hand = theStandpoint.hand() == ShownHand::left ? Hand::left : Hand::right;
  TrialDialog(theDocument.now(), theStandpoint.wing(), look, this, hand).exec();
}

bool MainWindow::exportTo(const QString& folder, const ExportOrder& order) {
  if (!theDocument.possible()) return say(whyNoWing(), true), false;
  QStringList there;
  for (const std::string& file : exportNames(theDocument.wing(), order))
    if (const QString path = QDir(folder).filePath(QString::fromStdString(file)); QFileInfo::exists(path))
      there << path;
  if (!there.isEmpty() && !asking->mayReplace(this, there)) return false;
  QProgressDialog progress(tr("Writing files for the bench"), tr("Stop"), 0, 100, this);
  progress.setWindowModality(Qt::WindowModal);
  progress.setMinimumDuration(400);
  using Written = Result<std::vector<std::filesystem::path>>;
  Background<Written> writing;
  std::optional<Written> written;
  QEventLoop loop;
  connect(&progress, &QProgressDialog::canceled, &loop, &QEventLoop::quit);
  writing.start([held = theDocument.now(), to = folder.toStdString(),
                 order](const Progress& tell) { return exportWing(*held.wing, to, order, tell); },
                [&](int percent) { progress.setValue(percent); },
                [&](Written all) {
                  written = std::move(all);
                  loop.quit();
                });
  loop.exec();
  progress.reset();
  if (!written) written = Problem{"", "stopped before all was written"};
  if (!*written) {
    say(tr("Not all files were written. %1").arg(QString::fromStdString(written->problem().text())), true);
    return false;
  }
  QString words = tr("%1 files written into %2. Print at 100 % and measure the check bars before cutting.")
                      .arg(written->value().size())
                      .arg(folder);
  // Two wings of one hand is the classic mistake.
  bool again = false;
  if (order.hands.size() == 1) {
    const Hand only = order.hands.front();
    again = writtenAlone == only;
    writtenAlone = only;
    const QString hand = only == Hand::right ? tr("RIGHT") : tr("LEFT"),
                  other = only == Hand::right ? tr("left") : tr("right");
    words += again ? tr(" The %1 hand AGAIN: the %2 one has not been written since.").arg(hand, other)
                   : tr(" The %1 hand only: the %2 one is still to be written.").arg(hand, other);
  } else {
    writtenAlone.reset();
  }
  say(words, again);
  return true;
}

QStringList MainWindow::recentFiles() const {
  return QSettings(settingsFile(), QSettings::IniFormat).value("recent").toStringList();
}

void MainWindow::addRecent(const QString& path) {
  QStringList all = recentFiles();
  all.removeAll(path);
  all.prepend(path);
  QSettings(settingsFile(), QSettings::IniFormat).setValue("recent", QStringList(all.mid(0, mostRecent)));
  rebuildRecent();
}

void MainWindow::rebuildRecent() {
  recentMenu->clear();
  for (const QString& path : recentFiles())
    connect(recentMenu->addAction(path), &QAction::triggered, this, [this, path] {
      if (mayLeave()) openFile(path);
    });
  recentMenu->setEnabled(!recentMenu->isEmpty());
}

} // namespace eup::app
