// Nothing open is ever lost: the design is kept beside its file while it is not saved, and found again after a crash.
#pragma once
#include "app/document.h"
#include <QLockFile>
#include <QTimer>

namespace eup::app {

class Autosave : public QObject {
  Q_OBJECT
public:
  /// `folder` keeps wings that have no file yet.
  Autosave(Document& document, const QString& folder, QObject* parent = nullptr);

  /// Where the unsaved state of a file is kept.
  static QString pathFor(const QString& file);

  /// The state that a crash left for this file (or, with an empty path, for a wing without a file); nothing if there
  /// is none, or if it is what the file holds anyway.
  std::optional<Design> leftBehind(const QString& file) const;
  /// Writes now, without waiting. Called by a timer after each change, and before a risky end.
  void keep();
  /// The unsaved state is not needed any more: saved, discarded or closed.
  void forget();
  /// The open file has become another one: what was kept for the old one is of no use.
  void moved();

private:
  QString place() const;
  Document& document;
  QString untitled;
  QString last; ///< where the last state was written
  std::unique_ptr<QLockFile> lock;
  QTimer timer;
};

} // namespace eup::app
