// A hot wire's cut, watched: both ends of the core as it comes free, the wire from the front and from above.
#pragma once
#include "app/look/look.h"
#include "core/foam/wire_travel.h"
#include <QWidget>

namespace eup::app {

/// What is cut. Without a core, as in a path that was read from elsewhere, the block is not known.
struct CutScene {
  const FoamCore* core = nullptr;
  HotWire wire;
  Hand hand = Hand::right;
  WireTravel travel;
};

class CutPicture : public QWidget {
  Q_OBJECT
public:
  explicit CutPicture(const Look& look, QWidget* parent = nullptr);
  void show(CutScene scene);
  /// As its path has it, or as a machine has told.
  void showUntil(double seconds);
  void showTravelled(WireTravel travelled);
  /// mm² of foam that the slots take at an end; for those who cannot see it.
  double burnt(bool outer) const;

protected:
  void paintEvent(QPaintEvent*) override;

private:
  void drawEnd(QPainter& painter, const QRectF& room, bool outer) const;
  void drawSpan(QPainter& painter, const QRectF& room, bool above) const;
  double shareOf(bool outer) const;
  const WireTravel& gone() const { return travelled ? *travelled : scene.travel; }
  Look look;
  CutScene scene;
  std::optional<WireTravel> travelled;
  double seconds = 0;
};

} // namespace eup::app
