// Follows: findings that ask for something, and the figures of the stage. A figure opens to show its working.
#pragma once
#include "app/document.h"
#include "app/standpoint.h"
#include <functional>
#include <map>
#include <QFrame>
#include <set>

class QLabel;
class QVBoxLayout;

namespace eup::app {

/// One figure: name, number, where; opened, its rule, the rule with numbers, its source and its decisions.
class FigureRow : public QFrame {
  Q_OBJECT
public:
  /// `nameOf` answers a decision's words for its path.
  FigureRow(const Figure& figure, LengthUnit unit, std::function<QString(const std::string&)> nameOf, QWidget* parent);
  void show(const Figure& figure, LengthUnit unit, const QString& moved);
  void setOpen(bool open);
  bool isOpen() const { return working != nullptr; }

Q_SIGNALS:
  void toggled(bool open);
  void wanted(const QString& decision);

protected:
  void mouseReleaseEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;

private:
  void buildWorking();
  Figure figure;
  LengthUnit unit;
  std::function<QString(const std::string&)> nameOf;
  QLabel *label, *number, *unitLabel, *where, *delta;
  QFrame* working = nullptr;
};

class FollowsPanel : public QWidget {
  Q_OBJECT
public:
  FollowsPanel(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);
  /// Turns to the stage and rib of a figure, opens it and scrolls to it.
  FigureRow* reveal(const std::string& key);
  FigureRow* rowOf(const std::string& key) const;

Q_SIGNALS:
  void wanted(const QString& decision);
  void revealed(QWidget* row);

private:
  void refresh();
  std::vector<const Figure*> shownFigures() const;
  void rebuildFindings();

  Document& document;
  Standpoint& standpoint;
  QVBoxLayout* findingsColumn;
  QVBoxLayout* figuresColumn;
  QLabel* heading;
  std::string shape;
  std::map<std::string, FigureRow*> rows;
  std::map<std::string, double> before;
  std::map<std::string, QString> moved;
  std::set<std::string> open;
  std::vector<Finding> shownFindings;
  bool findingsShown = false;
  Stage findingsStage = Stage::panels;
};

} // namespace eup::app
