// A scroll area that is as high as what it holds, as long as there is room, and scrolls only then.
#pragma once
#include <QEvent>
#include <QScrollArea>
#include <QScrollBar>

namespace eup::app {

class TightScroll : public QScrollArea {
public:
  explicit TightScroll(QWidget* parent) : QScrollArea(parent) {
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFocusPolicy(Qt::NoFocus);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Maximum);
  }
  QSize sizeHint() const override { return widget() ? widget()->sizeHint() : QScrollArea::sizeHint(); }
  QSize minimumSizeHint() const override { return {100, 80}; }

protected:
  bool eventFilter(QObject* watched, QEvent* event) override {
    if (watched == widget() && event->type() == QEvent::LayoutRequest) updateGeometry();
    return QScrollArea::eventFilter(watched, event);
  }
};

} // namespace eup::app
