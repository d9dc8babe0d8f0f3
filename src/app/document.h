// The open wing: the design, its undo stack, the true wing that follows, its file.
#pragma once
#include "app/plan_images.h"
#include "core/work/true_wing.h"
#include <functional>
#include <memory>
#include <QObject>
#include <QString>
#include <vector>

namespace eup::app {

class Document : public QObject {
  Q_OBJECT
public:
  explicit Document(QObject* parent = nullptr);

  const Design& design() const { return present; }
  /// The last wing that could be built: of the design as it is, unless that contradicts itself.
  const TrueWing& wing() const { return *lastGood; }
  /// Which of the aircraft's wings is on the board, counted from 0; and what it is.
  int shownWing() const { return onBoard; }
  void showWing(int number);
  const WholeWing& shown() const { return wing().wing(onBoard); }
  const Wing& shownDesign() const { return design().wings.at(static_cast<std::size_t>(onBoard)); }
  /// The panel of that wing that a rib belongs to, in the last good wing and in the design as it stands.
  const TruePanel& panelOfRib(int rib) const { return shown().panelOfRib(rib); }
  PanelId panelIdOf(int rib) const;
  /// Whether `wing` is of the design as it stands.
  bool possible() const { return isPossible; }
  /// Of the design as it stands: the wing's own, or why there is none.
  const std::vector<Finding>& findings() const { return present_findings; }

  /// The one place where a design is changed. `name` is what undo will call it. Edits in a row with the same
  /// `merge` key, as while dragging, are one step.
  void edit(const QString& name, Design next, const QString& merge = {});
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
  bool modified() const { return present != saved; }

  /// Takes another wing in place of the open one. Only called with what was read without fault.
  void replace(Design design, const QString& path, bool asSaved);
  /// Reads a file. On any fault nothing open changes and the problem says why. Notes tell what was filled in.
  Result<std::vector<std::string>> open(const QString& path);
  Result<Done> save(const QString& path);

Q_SIGNALS:
  void changed();     ///< design, wing or findings
  void fileChanged(); ///< path, or whether it is saved
  void replaced();    ///< another wing, before `changed`

private:
  struct Step {
    QString name;
    Design design;
  };
  void follow();

  Design present, saved;
  std::unique_ptr<TrueWing> lastGood;
  bool isPossible = true;
  int onBoard = 0;
  std::vector<Finding> present_findings;
  std::vector<Step> past, future;
  QString lastMerge, filePath;
  PlanImages images;
};

} // namespace eup::app
