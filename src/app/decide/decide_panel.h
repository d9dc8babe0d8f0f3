// Decide: the few decisions of the chosen part, typed as on a plan; what it can do without is put in and taken out.
#pragma once
#include "app/state/standpoint.h"
#include "core/described/decisions.h"
#include <functional>
#include <map>
#include <QLineEdit>
#include <QWidget>

class QGridLayout;
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
  /// What was typed counts from now on.
  void commit();

Q_SIGNALS:
  void committed(const QString& text);
  void nudged(int steps, Qt::KeyboardModifiers modifiers);

protected:
  void keyPressEvent(QKeyEvent*) override;
  void focusOutEvent(QFocusEvent*) override;
  void wheelEvent(QWheelEvent*) override;

private:
  QString shown;
};

class DecidePanel : public QWidget {
  Q_OBJECT
public:
  DecidePanel(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);

  /// Chooses what a decision is of and puts the cursor in it; where it is not put in yet, on the button that does.
  void focusDecision(const std::string& path);
  /// The editor of a decision now on screen; null otherwise.
  QWidget* editorOf(const std::string& path) const;

Q_SIGNALS:
  void openCoordinates(const QString& end); ///< "root" or "tip"
  void writeSection(const QString& end);
  void openTables(Shelf shelf);
  void tryTogether();               ///< the wing, from its parts
  void writeWire();                 ///< a machine's path for the core that is shown
  void watchCut();                  ///< its cut, played or made
  void refused(const QString& why); ///< what a button could not do

private:
  PanelId here() const { return standpoint.panel(); }
  const Wing& wingHere() const { return document.design().wings[static_cast<std::size_t>(here().wing)]; }
  void refresh(Changes what);
  std::vector<const Decision*> shownDecisions() const;
  void rebuild(const std::vector<const Decision*>& shown);
  void settle(); ///< what is typed in a field that is about to go
  void deafen(); ///< to what is typed in the fields as they are: they are of what is no longer shown
  void addRow(QGridLayout* grid, int& line, const Decision& d);
  void addExtras(QGridLayout* grid, int& line, const std::vector<const Decision*>& off);
  void addTools(QGridLayout* grid, int& line);
  void addWingTools(QGridLayout* under, int line);
  void addPanelTools(QGridLayout* under, int line);
  void addSparTools(QGridLayout* under, int line);
  void addBraceTools(QGridLayout* under, int line);
  void addStiffeningTools(QGridLayout* under, int line);
  void addAskingTool(QGridLayout* under, int line, const QString& words, const char* name, Built built,
                     void (DecidePanel::*ask)());
  void addAboardTools(QGridLayout* under, int line);
  /// What is put in or taken out: changes the design, says what is chosen then and how it is undone; an empty name for
  /// nothing done.
  using Edit = std::function<QString(Design& next, Subject& then)>;
  void addEditTool(QGridLayout* under, int line, int cell, const QString& words, const char* name, bool enabled,
                   Edit edit);
  void addSheetTools(QGridLayout* under, int line);
  void addCoreTools(QGridLayout* under, int line);
  void addSurfaceTools(QGridLayout* under, int line);
  template <class Kinds, class List, class Make>
  void addKindTools(QGridLayout* under, int line, const Kinds& choices, List list, int most, Topic topic,
                    const QString& words, const char* name, Make make);
  void addRunTools(QGridLayout* under, int line);
  void addHardPointTools(QGridLayout* under, int line);
  void addTestCutTool(QGridLayout* under, int line);
  void addHoldTools(QGridLayout* under, int line);
  void addStrutTools(QGridLayout* under, int line);
  void addTablesTool(QGridLayout* under, int line, const QString& words, Shelf shelf);
  void addCopyMenu(QGridLayout* grid, PanelId id);
  void fill(const std::vector<const Decision*>& shown);
  QWidget* makeEditor(const Decision& decision);
  void type(const std::string& path, const QString& text);
  void nudge(const std::string& path, int steps, Qt::KeyboardModifiers modifiers);
  void say(const std::string& path, const QString& problem);
  void addSpar();
  void removeSpar();

  struct Row {
    QWidget* editor = nullptr;
    QLabel* label = nullptr;
    QLabel* problem = nullptr;
  };
  Document& document;
  Standpoint& standpoint;
  QLabel* heading = nullptr;
  QWidget* form = nullptr;
  QVBoxLayout* column = nullptr;
  std::string shape; ///< which rows are on screen, to know when to build anew
  std::map<std::string, Row> rows;
};

} // namespace eup::app
