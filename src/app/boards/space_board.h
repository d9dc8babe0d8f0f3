// The finished wing in space, both halves joined: from above, from behind, from the side, or turned as you like.
#pragma once
#include "app/boards/board.h"
#include <array>

namespace eup::app {

enum class SpaceView { above, behind, side, turned };

class SpaceBoard : public Board {
  Q_OBJECT
public:
  using Board::Board;
  void lookFrom(SpaceView from);
  SpaceView view() const { return from; }
  double yaw() const { return theYaw; }
  double pitch() const { return thePitch; }

protected:
  QString heading() const override;
  QString subheading() const override;
  QString handWords() const override { return tr("BOTH HANDS"); } ///< the joined wing has both
  Box content() const override;
  void draw(Ink& ink) const override;
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void mouseReleaseEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;

private:
  /// A point in space on the board: right, up, and how far it is from the eye (larger is farther).
  Point3 seen(const Point3& space) const;
  void turnBy(double yawDeg, double pitchDeg);
  void drawFlatPlan(Ink& ink) const;
  struct Piece;
  void addFace(std::vector<Piece>& to, const std::array<Point3, 4>& corners, const QColor& colour) const;
  /// Ribs, sheet, edges, spars and tip of one panel of one half, as bodies.
  void addPanel(std::vector<Piece>& to, const WholeWing& wing, std::size_t panel, double side) const;
  void addStruts(std::vector<Piece>& to, const WholeWing& wing, double side) const;
  void addPosts(std::vector<Piece>& to, const WholeWing& wing) const;
  /// +1 for the right half and -1 for the left, of a wing that has both.
  static std::vector<double> sides(const WholeWing& wing);
  /// The half on that side, whether or not it is the mirror image.
  const WholeWing& ofSide(const WholeWing& wing, double side) const;
  /// A panel's (x, z) at t, in axes of the model: aft, right, up.
  Point3 inModel(const WholeWing& wing, std::size_t panel, const Point& xz, double t, double side) const;

  SpaceView from = SpaceView::turned;
  double theYaw = -35, thePitch = 25; ///< degrees: round the upright, and how far from above one looks
  std::optional<QPointF> turnFrom;
};

} // namespace eup::app
