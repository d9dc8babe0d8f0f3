#include "app/state/autosave.h"
#include "core/described/design_file.h"
#include "core/files/text_file.h"
#include <algorithm>
#include <QCryptographicHash>
#include <QDir>
#include <QFile>
#include <QFileInfo>

namespace eup::app {

namespace {
constexpr int delayMs = 1000, latestMs = 5000; // after the last change, and after the first
constexpr int mostPrograms = 32;               // running at once with a wing that has no file

/// Nothing where another program holds it. Where no lock can be made (a full disk, a folder that is read-only), nobody
/// else can be told of: then as if it were held.
std::unique_ptr<QLockFile> locked(const QString& path) {
  auto lock = std::make_unique<QLockFile>(path);
  lock->setStaleLockTime(0);
  return lock->tryLock() || lock->error() != QLockFile::LockFailedError ? std::move(lock) : nullptr;
}
/// One for a file, whichever link it is reached by.
QString lockName(const QString& file) {
  const QString whole = QFileInfo(file).canonicalFilePath();
  return QCryptographicHash::hash((whole.isEmpty() ? file : whole).toUtf8(), QCryptographicHash::Sha1).toHex() +
         ".lock";
}
} // namespace

Autosave::Autosave(Document& d, const QString& folder, QObject* parent)
    : QObject(parent), document(d), states(folder), locks(folder + "/locks") {
  QDir().mkpath(locks);
  // The first place that no running program holds; what a crashed one left in any of them is put aside.
  for (int i = 1; i <= mostPrograms; ++i) {
    const QString left = QString("%1/untitled-%2.autosave").arg(folder).arg(i);
    if (lock && !QFile::exists(left)) continue;
    auto held = locked(QString("%1/untitled-%2.lock").arg(folder).arg(i));
    if (!held) continue;
    clearKilledSaves(left.toStdString());
    states.adopt(left, {});
    if (lock || QFile::exists(left)) continue; // it could not be put aside: it stays
    lock = std::move(held);
    untitled = left;
  }
  timer.setSingleShot(true);
  timer.setInterval(delayMs);
  connect(&timer, &QTimer::timeout, this, &Autosave::keep);
  connect(&document, &Document::changed, this, [this](Changes what) {
    if (!(what & Aspect::design)) return;
    if (!timer.isActive()) waits.start();
    timer.start(std::clamp<int>(latestMs - static_cast<int>(waits.elapsed()), 0, delayMs)); // changes in a row put it
                                                                                            // off only so far
  });
}

QString Autosave::pathFor(const QString& file) {
  return file + ".autosave";
}

bool Autosave::shared() {
  if (lockedFor != document.path()) {
    fileLock.reset();
    lockedFor = document.path();
    alone = true;
    if (!lockedFor.isEmpty()) {
      fileLock = locked(locks + "/" + lockName(lockedFor));
      alone = fileLock != nullptr;
    }
  }
  return !alone;
}

QString Autosave::place() {
  const QString beside = pathFor(document.path());
  return document.path().isEmpty() || shared() || leftAlone.contains(beside) ? untitled : beside;
}

void Autosave::setAside(const QString& file) {
  if (file.isEmpty() || last == pathFor(file)) return;
  clearKilledSaves(file.toStdString());
  clearKilledSaves(pathFor(file).toStdString());
  const bool mine = fileLock && lockedFor == file;
  if (mine || locked(locks + "/" + lockName(file))) // else a running program's own
    states.adopt(pathFor(file), file);
  leftAlone.removeAll(pathFor(file));
  if (!QFile::exists(pathFor(file))) return;
  leftAlone << pathFor(file);
  if (mine || !shared())
    Q_EMIT failed(
        tr("%1 was left by a program that ended, cannot be put aside, and stays as it is.").arg(pathFor(file)));
}

void Autosave::keep() {
  timer.stop();
  if (!document.modified()) return forget();
  const QString to = place();
  if (last != to) forget();
  const auto done = to.isEmpty()
                        ? Result<Done>(Problem{"", tr("no place is left for it").toStdString()})
                        : writeFileAtomically(to.toStdString(), designToText(document.design()), Links::replaced);
  if (done) last = to;
  if (!done && !failing) Q_EMIT failed(QString::fromStdString(done.problem().text()));
  failing = !done;
}

void Autosave::forget() {
  timer.stop();
  if (!last.isEmpty() && !leftAlone.contains(last)) QFile::remove(last);
  last.clear();
}

} // namespace eup::app
