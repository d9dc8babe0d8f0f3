// Refreshes a view by what has changed: at once while it is on screen, else when it comes there.
#pragma once
#include "app/state/standpoint.h"
#include <functional>
#include <QWidget>

namespace eup::app {

class Watch : public QObject {
public:
  /// `refresh` is told all that has changed since it was called last. Belongs to the view.
  Watch(QWidget* view, Document& document, Standpoint& standpoint, std::function<void(Changes)> refresh);

protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

private:
  void take(Changes what);
  QWidget* view;
  std::function<void(Changes)> refresh;
  Changes waiting;
};

} // namespace eup::app
