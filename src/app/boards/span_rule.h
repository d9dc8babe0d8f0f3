// The half span to scale at the foot of every stage: ribs as ticks, findings as marks. Clicks and arrow keys step.
#pragma once
#include "app/look/look.h"
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include <QWidget>

namespace eup::app {

class SpanRule : public QWidget {
  Q_OBJECT
public:
  SpanRule(Document& document, Standpoint& standpoint, const Look& look, QWidget* parent = nullptr);
  /// Where a station stands, in pixels; mirrored for the left hand.
  double xOf(double y) const;
  void step(int by);
  void goTo(int number);
  /// Chooses the rib nearest to a place on the rule.
  void pick(double x);

protected:
  void paintEvent(QPaintEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;

private:
  Document& document;
  Standpoint& standpoint;
  const Look& look;
};

} // namespace eup::app
