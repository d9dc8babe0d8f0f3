// Where you are: wing, panel and rib as chips over the board, each with a menu of where one can go.
#pragma once
#include "app/look/look.h"
#include "app/state/standpoint.h"
#include "app/state/watch.h"
#include <QWidget>

class QMenu;
class QToolButton;

namespace eup::app {

class PlaceBar : public QWidget {
  Q_OBJECT
public:
  PlaceBar(Document& document, Standpoint& standpoint, QWidget* parent = nullptr);

private:
  void refresh();
  void fillWings();
  void fillPanels();
  void fillRibs();
  Document& document;
  Standpoint& standpoint;
  QToolButton *wing, *panel, *rib;
};

} // namespace eup::app
