// The board of the first stage: the paper plan, made true and read.
#pragma once
#include "app/boards/board.h"
#include "core/plan/judge.h"

namespace eup::app {

enum class PlanTool { none, knownLength, corners, level, read };

class PlanBoard : public Board {
  Q_OBJECT
public:
  PlanBoard(Document& document, Standpoint& standpoint, const Look& look, QWidget* parent = nullptr);

  PlanTool tool() const { return theTool; }
  void setTool(PlanTool tool);
  /// What is read with PlanTool::read.
  ReadingKind kind() const { return theKind; }
  Hand readHand() const { return theHand; }
  int number() const { return theNumber; }
  bool snapping() const { return snaps; }
  void setKind(ReadingKind kind);
  void setReadHand(Hand hand);
  void setNumber(int number);
  void setSnapping(bool on);

  /// Places the next point where the board is pointed at; snapped when snapping is on.
  void place(const Point& boardPoint);
  /// Ends an outline that has enough points.
  void finish();
  int pointsPlaced() const { return static_cast<int>(pending.size()); }
  /// Shows a reading in the middle of the board, and its points large.
  void reveal(std::size_t reading);
  /// What is to be done next, in words.
  QString instruction() const;
  /// Whether the plan is shown turned over, for the hand it does not draw.
  bool turnedOver() const;

Q_SIGNALS:
  void toolChanged();

protected:
  bool onWing() const override { return true; } ///< the plan is read before there is a wing
  bool workable() const override { return true; }
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;
  QString emptyText() const override;
  bool takesArrows() const override { return theTool != PlanTool::none || Board::takesArrows(); }
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void mouseDoubleClickEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;

private:
  Point planAt(const Point& boardPoint) const;
  Point boardAt(const Point& plan) const { return planAt(plan); } // turning over is its own undoing
  Eigen::Matrix3d viewToPixel(const LaidSheet& laid) const;
  std::optional<std::size_t> sheetAt(const Point& plan) const;
  std::optional<Point> snapped(std::size_t sheet, const Point& pixel) const;
  void commit();
  void drawReadings(Ink& ink) const;
  void drawCalibration(Ink& ink) const;
  void drawJudged(Ink& ink) const;
  void drawAim(Ink& ink) const;

  PlanTool theTool = PlanTool::none;
  ReadingKind theKind = ReadingKind::leadingEdge;
  Hand theHand = Hand::right;
  int theNumber = 1;
  bool snaps = true;
  std::optional<std::size_t> pendingSheet;
  Polyline pending;                 ///< pixels
  std::optional<Point> aim;         ///< board mm
  std::optional<std::size_t> shown; ///< the reading that was last revealed
};

} // namespace eup::app
