// Decide: the few decisions of the stage, typed as on a plan.
#pragma once
#include "app/document.h"
#include "app/standpoint.h"
#include "core/design/decisions.h"
#include <map>
#include <QLineEdit>
#include <QWidget>

class QGridLayout;
class QHBoxLayout;
class QLabel;
class QVBoxLayout;

namespace eup::app {

/// A field for one decision: Enter or leaving it commits, Escape takes back, up and down nudge.
class DecisionEdit : public QLineEdit {
  Q_OBJECT
public:
  explicit DecisionEdit(QWidget* parent = nullptr);
  /// The text that stands for the decision as it is; what was typed but not committed is replaced.
  void show(const QString& text);

Q_SIGNALS:
  void committed(const QString& text);
  void nudged(int steps, Qt::KeyboardModifiers modifiers);

protected:
  void keyPressEvent(QKeyEvent*) override;
  void focusOutEvent(QFocusEvent*) override;
  void wheelEvent(QWheelEvent*) override;

private:
  void commit();
  QString shown;
};

class DecidePanel : public QWidget {
  Q_OBJECT
public:
  DecidePanel(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);

  /// Turns to the group that holds a decision and puts the cursor in it.
  void focusDecision(const std::string& path);
  /// The editor of a decision now on screen; null otherwise.
  QWidget* editorOf(const std::string& path) const;

Q_SIGNALS:
  void openCoordinates(const QString& end); ///< "root" or "tip"
  void writeSection(const QString& end);
  void openTables(Shelf shelf);
  void refused(const QString& why); ///< what a button could not do

private:
  PanelId here() const;
  void addWingRow(QGridLayout* strip, int row);
  void addWingTools(QGridLayout* under, int line);
  void addPanelRow(QGridLayout* strip, int row);
  void addPanelTools(QGridLayout* under, int line);
  void addSizingTools(QGridLayout* under, int line);
  void addStiffeningTools(QGridLayout* under, int line);
  void addTablesTool(QGridLayout* under, int line, const QString& words, Shelf shelf);
  void addCopyMenu(QGridLayout* grid, PanelId id);
  void refresh();
  void rebuild(const std::vector<Decision>& shown);
  void fill(const std::vector<Decision>& shown);
  QWidget* makeEditor(const Decision& decision);
  void type(const std::string& path, const QString& text);
  void nudge(const std::string& path, int steps, Qt::KeyboardModifiers modifiers);
  void say(const std::string& path, const QString& problem);
  std::vector<std::string> groupsOfStage() const;
  void addSpar();
  void removeSpar();

  struct Row {
    QWidget* editor = nullptr;
    QLabel* label = nullptr;
    QLabel* problem = nullptr;
  };
  Document& document;
  Standpoint& standpoint;
  QWidget* tabs = nullptr;
  QWidget* form = nullptr;
  QVBoxLayout* column = nullptr;
  std::map<Stage, std::string> group; ///< the one that is open, a stage
  std::string shape;                  ///< which rows are on screen, to know when to build anew
  std::map<std::string, Row> rows;
};

} // namespace eup::app
