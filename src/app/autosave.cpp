#include "app/autosave.h"
#include "core/design/design_file.h"
#include "core/files/text_file.h"
#include <QDir>
#include <QFile>

namespace eup::app {

namespace {
constexpr int delayMs = 1000;
constexpr int mostPrograms = 32; // running at once with a wing that has no file
} // namespace

Autosave::Autosave(Document& d, const QString& folder, QObject* parent) : QObject(parent), document(d) {
  QDir().mkpath(folder);
  // The first place that no running program holds; a crashed one's is free again and may hold its state.
  for (int i = 1; i <= mostPrograms && !lock; ++i) {
    auto candidate = std::make_unique<QLockFile>(QString("%1/untitled-%2.lock").arg(folder).arg(i));
    candidate->setStaleLockTime(0);
    if (!candidate->tryLock()) continue;
    lock = std::move(candidate);
    untitled = QString("%1/untitled-%2.autosave").arg(folder).arg(i);
  }
  timer.setSingleShot(true);
  timer.setInterval(delayMs);
  connect(&timer, &QTimer::timeout, this, &Autosave::keep);
  connect(&document, &Document::changed, this, [this](Changes what) {
    if (what & Aspect::design) timer.start();
  });
}

QString Autosave::pathFor(const QString& file) {
  return file + ".autosave";
}
QString Autosave::place() const {
  return document.path().isEmpty() ? untitled : pathFor(document.path());
}

std::optional<Design> Autosave::leftBehind(const QString& file) const {
  const QString kept = file.isEmpty() ? untitled : pathFor(file);
  if (kept.isEmpty() || !QFile::exists(kept)) return std::nullopt;
  const auto text = readTextFile(kept.toStdString());
  if (!text) return std::nullopt;
  auto read = designFromText(text.value());
  if (!read) return std::nullopt;
  if (!file.isEmpty())
    if (const auto own = readTextFile(file.toStdString()))
      if (const auto saved = designFromText(own.value()); saved && saved.value().design == read.value().design)
        return std::nullopt;
  return std::move(read.value().design);
}

void Autosave::keep() {
  timer.stop();
  if (!document.modified()) return forget();
  const QString to = place();
  if (to.isEmpty()) return;
  if (last != to) forget();
  if (writeFileAtomically(to.toStdString(), designToText(document.design()))) last = to;
}

void Autosave::forget() {
  timer.stop();
  if (!last.isEmpty()) QFile::remove(last);
  last.clear();
}

void Autosave::moved() {
  forget();
  QFile::remove(place());
}

} // namespace eup::app
