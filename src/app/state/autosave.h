// Nothing open is ever lost: the design is kept beside its file while it is not saved, and found again after a crash.
#pragma once
#include "app/state/document.h"
#include "app/state/kept_states.h"
#include <QElapsedTimer>
#include <QLockFile>
#include <QStringList>
#include <QTimer>

namespace eup::app {

class Autosave : public QObject {
  Q_OBJECT
public:
  /// `folder` keeps wings that have no file yet, and states that were left behind.
  Autosave(Document& document, const QString& folder, QObject* parent = nullptr);

  /// Where the unsaved state of a file is kept.
  static QString pathFor(const QString& file);

  const KeptStates& kept() const { return states; }
  /// What a crash left beside that file is put with the kept ones, before anything may be written over it.
  /// What cannot be put there stays where it is, told by `failed`, and this program keeps its own elsewhere.
  void setAside(const QString& file);
  /// Whether another program holds the open file.
  bool shared();
  /// Writes now, without waiting. Called by a timer after each change, and before a risky end.
  void keep();
  /// The unsaved state of this program is not needed any more: saved, discarded or closed.
  void forget();

Q_SIGNALS:
  /// It cannot be kept. Said once, until it can be again.
  void failed(const QString& why);

private:
  QString place();
  Document& document;
  KeptStates states;
  QString locks;
  QString untitled;
  QString last; ///< where this program's last state was written
  bool failing = false;
  std::unique_ptr<QLockFile> lock, fileLock;
  QString lockedFor;
  bool alone = true;
  QTimer timer;
  QElapsedTimer waits;   ///< since the first change that is not kept yet
  QStringList leftAlone; ///< places that hold what could not be put aside: nothing is written over it
};

} // namespace eup::app
