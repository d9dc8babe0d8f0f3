#include "app/state/watch.h"
#include <QEvent>
#include <utility>

namespace eup::app {

Watch::Watch(QWidget* v, Document& document, Standpoint& standpoint, std::function<void(Changes)> r)
    : QObject(v), view(v), refresh(std::move(r)) {
  connect(&document, &Document::changed, this, &Watch::take);
  connect(&standpoint, &Standpoint::changed, this, &Watch::take);
  view->installEventFilter(this);
}

void Watch::take(Changes what) {
  waiting |= what;
  if (!view->isVisibleTo(view->window())) return; // also before the window itself is shown
  refresh(std::exchange(waiting, {}));
}

bool Watch::eventFilter(QObject*, QEvent* event) {
  if ((event->type() == QEvent::Show || event->type() == QEvent::ShowToParent) && waiting)
    refresh(std::exchange(waiting, {}));
  return false;
}

} // namespace eup::app
