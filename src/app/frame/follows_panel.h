// Follows: the stage's headline figures large, findings as lines that open, then every figure. A figure opens to show
// its working. All of it but the headlines is one list, so that it costs what is on screen.
#pragma once
#include "app/frame/follows_list.h"
#include "app/state/standpoint.h"
#include "app/state/watch.h"
#include <map>
#include <set>

class QLabel;
class QListView;

namespace eup::app {

struct Look;
class HeadlineTile;

class FollowsPanel : public QWidget {
  Q_OBJECT
public:
  FollowsPanel(Document& document, Standpoint& standpoint, const Look& look, QWidget* parent = nullptr);
  /// Turns to the stage and rib of a figure, opens it and scrolls to it. False when there is no such figure.
  bool reveal(const std::string& key);
  /// Opens or closes a figure or a finding that is listed, by its key.
  void setOpen(const std::string& key, bool open);
  bool isOpen(const std::string& key) const;
  /// Whether a figure is told, large or in the list; its words as they are read out; what the last change did to it.
  bool tells(const std::string& key) const;
  QString wordsOf(const std::string& key) const;
  QString movedBy(const std::string& key) const;
  QListView& listView() { return *list; }

Q_SIGNALS:
  void wanted(const QString& decision);

protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

private:
  void refresh(Changes what);
  const TrueWing& model() const;
  std::vector<const Figure*> shownFigures() const;
  void noteMoves();
  void showHeadlines(const std::vector<const Figure*>& figures);
  void act(const QModelIndex& index);
  QString nameOf(const std::string& decision) const;

  Document& document;
  Standpoint& standpoint;
  const Look& look;
  QLabel* heading;
  std::vector<HeadlineTile*> tiles;
  QListView* list;
  FollowsList* rows;
  bool ofLeft = false;                  ///< of a left hand of its own
  std::map<std::string, double> before; ///< values, to tell what moved
  std::map<std::string, QString> moved;
  std::set<std::string> open;  ///< kinds of figures, keys of findings
  std::set<std::string> large; ///< kinds that are told large, and are listed only when opened
};

} // namespace eup::app
