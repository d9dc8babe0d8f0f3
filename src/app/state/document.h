// The open wing: the design, its undo stack, the true wing that follows, its file.
#pragma once
#include "app/state/changes.h"
#include "app/state/plan_images.h"
#include "app/state/snapshot.h"
#include "core/described/decisions.h"
#include "core/measure/date.h"
#include <functional>
#include <QObject>
#include <QString>
#include <vector>

namespace eup::app {

class Document : public QObject {
  Q_OBJECT
public:
  explicit Document(QObject* parent = nullptr);

  const Snapshot& now() const { return present; }
  const Design& design() const { return *present.design; }
  /// Every decision of the design, put together once for each design.
  const std::vector<Decision>& decisions() const;
  /// Whether any wing is on the board. Without one the boards say why, and nothing else asks for it.
  bool hasWing() const { return present.wing != nullptr; }
  /// The wing on the board, see `Snapshot`. There is one.
  const TrueWing& wing() const;
  const JudgedPlan& plan() const { return *present.plan; }
  /// Whether that wing follows from the design as it stands.
  bool possible() const { return present.current; }
  const std::vector<Finding>& findings() const { return present.findings; }

  /// The one place where a design is changed. `name` is what undo will call it. Edits in a row with the same
  /// `merge` key, as while dragging, are one step.
  /// A design that could not be read again from a file is refused: then nothing changes, and `refused` says why.
  bool edit(const QString& name, Design next, const QString& merge = {});
  /// What was done, read or noted at the bench: no decision. No edit and no undo changes it; here alone it is. `next`
  /// is told by what it makes of the records as they stand. Refused like an edit.
  bool record(const std::function<void(Records&)>& next);
  /// A state that was kept when a program ended: its decisions as an edit, its records together with those that are
  /// there.
  bool takeBack(const QString& name, Design kept);
  /// Something was looked at before it was closed in, or was not after all.
  void setLooked(const std::string& key, bool looked);
  /// The time at the bench. Tests tell another.
  Moment clock() const { return tellsTime(); }
  void setClock(std::function<Moment()> now) { tellsTime = std::move(now); }
  /// Ends a row of merged edits.
  void settle() { lastMerge.clear(); }

  bool canUndo() const { return !past.empty(); }
  bool canRedo() const { return !future.empty(); }
  QString undoName() const { return past.empty() ? QString() : past.back().name; }
  QString redoName() const { return future.empty() ? QString() : future.back().name; }
  void undo();
  void redo();

  /// Pictures of the plan's sheets, read in the background.
  PlanImages& planImages() { return images; }
  const PlanImages& planImages() const { return images; }

  const QString& path() const { return filePath; }
  bool modified() const { return design() != *saved; }

  /// Takes another wing in place of the open one. Only called with what was read without fault.
  void replace(Design design, const QString& path, bool asSaved);
  /// Reads a file. On any fault nothing open changes and the problem says why. Notes tell what was filled in.
  Result<std::vector<std::string>> open(const QString& path);
  /// Refuses what would not read back as it is; the old file is untouched then.
  Result<Done> save(const QString& path);
  /// Whether another program has written the open file since it was read or saved here.
  bool changedOutside() const;

Q_SIGNALS:
  void changed(eup::app::Changes what);
  void replaced(); ///< another wing, before `changed`
  void refused(const QString& why);
  /// A decision changed while the wing is being built, and touches work that is done.
  void touched(const QString& what);

private:
  using Kept = std::shared_ptr<const Design>;
  struct Step {
    QString name;
    Kept design;
  };
  /// Works the wing out, and says what is new.
  void follow(Kept next);
  /// `result` follows from `next`.
  void follow(Kept next, std::variant<TrueWing, std::vector<Finding>> result);
  /// The records with a line in the log, where the building has begun; for a design that takes the place of this one.
  Records recordsWith(Records records, const QString& changed) const;
  void sayTouched(const Snapshot& before);
  void step(std::vector<Step>& from, std::vector<Step>& to);

  Snapshot present;
  Kept saved;
  mutable std::vector<Decision> listed;
  mutable Kept listedOf;
  std::vector<Step> past, future;
  QString lastMerge, filePath;
  std::string inFile; ///< checksum of what the open file held when it was read or written here
  PlanImages images;
  std::function<Moment()> tellsTime;
};

} // namespace eup::app
