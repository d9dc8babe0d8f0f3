// The boards of the stages.
#pragma once
#include "app/boards/board.h"
#include "core/bench/step.h"

namespace eup::app {

/// The section that is worked on at its chord, with what can be dragged; the others laid over it, their difference
/// drawn larger, and its nose.
class SectionBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;

private:
  struct Other {
    QString name;
    Section section;
    QColor colour;
    Qt::PenStyle style;
  };
  double chord() const;
  const Section& section() const;
  Point placed(const Point& fraction) const;
  Polyline placed(const Polyline& line) const;
  std::vector<Other> others() const;
  void drawDifference(Ink& ink, const std::vector<Other>& all) const;
  void drawNose(Ink& ink) const;
};

/// The plan of the wing: span, chords, sweep, ribs, spar lines and sheet edge are dragged here.
class LayoutBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;
  void clicked(const Point& p) override;
  Point onBoard(double x, double y) const;

private:
  void drawPanel(Ink& ink, const TruePanel& panel, double side) const;
  void drawTip(Ink& ink, const TruePanel& panel, double side, const QColor& edge) const;
  void drawUnderlay(Ink& ink, double side) const;
};

/// The plan of the wing with the piece that is chosen in the parts list; a click chooses the one that lies there.
class StockBoard : public LayoutBoard {
public:
  using LayoutBoard::LayoutBoard;

protected:
  QString heading() const override;
  QString subheading() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override { return {}; }
  void clicked(const Point& p) override;
};

/// One rib large, with all that lies against it; below it all ribs at one scale.
class RibBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  QString emptyText() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;
  void clicked(const Point& p) override;

private:
  const Rib& rib() const;
  struct Small {
    int number;
    Box box;
    Point nose;
    double scale;
  };
  std::vector<Small> small() const;
  Point onBoard(const Point& chordAxes) const;
};

/// The spars seen from the front with their depth drawn larger, and the chosen one cut at the chosen rib.
class SparBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  QString emptyText() const override;
  std::vector<Handle> handles() const override;
  void clicked(const Point& p) override;

private:
  void addCapHandles(const SparLine& line, bool up, std::vector<Handle>& to) const;
  void markWeakest(Ink& ink, double side) const;
  void fillByReserve(Ink& ink, const SparLine& line, bool up, double side) const;
  static int bandOf(double reserve);
  QColor tintOf(int band) const;
  void drawSection(Ink& ink) const;
  QString nameOf(int spar) const;
  double stretch() const;
  double level() const;
  /// Of the chosen spar; null for a panel without any.
  const SparLine* chosenLine() const;
};

/// The centre join from behind, the brace, and the selected rib on its packing.
class JoinBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;

private:
  /// What holds the wing to its fuselage, while that is decided, in place of the join.
  bool showsHolding() const;
  Box holdingContent() const;
  void drawHolding(Ink& ink) const;
  void drawPosts(Ink& ink) const;
  std::vector<Handle> holdingHandles() const;
  double reach() const;
  const TruePanel* inside() const;
  Point drawPanel(Ink& ink, const TruePanel& panel, double side, const Point& from, double angle, bool faint,
                  Point* underTip) const;
  void drawHalf(Ink& ink, double side) const;
  /// Where the pictures under the join stand (heights in the board's mm), and how many times larger they are drawn.
  struct Below {
    double top = 0, row = 0, packing = 0;
    double brace = 1, rib = 1;
  };
  Below below(double pixelsPerMm) const;
  void drawBraces(Ink& ink, double left, const Below& place) const;
  void drawBrace(Ink& ink, const Point& at, double k, const Brace& brace) const;
  void drawTrial(Ink& ink, const Point& at, int rib) const;
  void drawPacking(Ink& ink, const Point& at, double k) const;
};

/// The skins of a panel laid flat, with the ribs and spars that they are laid by, and the nose that the sheet is rolled
/// round.
class SkinBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;
  QString emptyText() const override;

private:
  /// A skin and how high on the board its front edge lies.
  struct Laid {
    const Skin* skin;
    double top = 0;
  };
  std::vector<Laid> laid() const;
  Point onBoard(const Laid& laid, const Point& onPattern) const;
  void drawSkin(Ink& ink, const Laid& laid) const;
  void addHandles(const Laid& laid, std::vector<Handle>& to) const;
  void drawNose(Ink& ink) const;
  double gap() const;
  double below() const; ///< under all patterns
  // Of a panel of sheet, in sheet_board.cpp.
  Point onSheet(const Point& onBlank) const;
  Box sheetContent() const;
  double sectionSize() const;
  void drawSheet(Ink& ink) const;
};

/// A foam panel's blocks from above, and both ends of the core that the chosen station lies in.
class FoamBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;
  QString emptyText() const override;

private:
  const FoamCore* shownCore() const; ///< null without any
  Point onPlan(double aft, double out) const;
  double endSize(const FoamCore& core) const;
  double plansEnd() const;
  void drawPlan(Ink& ink, const FoamCore& core, bool mine) const;
  void drawThings(Ink& ink) const;
  QColor inkOf(const CoreThing& thing) const;
  void addThingHandles(std::vector<Handle>& to) const;
  void drawEnds(Ink& ink, const FoamCore& core) const;
};

/// A panel with what is cut out of it, and a surface's section: turned by hand, with its linkage, its hinge larger.
class SurfaceBoard : public Board {
public:
  using Board::Board;
  /// How far the chosen surface is swung on the board, rad, up positive.
  double swung() const { return shown() ? swingOf(*shown()) : 0; }

protected:
  QString heading() const override;
  QString subheading() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  std::vector<Handle> handles() const override;
  void clicked(const Point& p) override;
  QString emptyText() const override;

private:
  const SurfaceMade* shown() const; ///< null without any
  const Surface& decided(const SurfaceMade& made) const;
  double swingOf(const SurfaceMade& made) const;
  Point onPlan(double aft, double out) const;
  double planEnd() const;
  double breadth() const;
  SurfaceEnd sectionShown(const SurfaceMade& made) const;
  double sectionSize(const SurfaceEnd& end) const;
  double detailSize(const SurfaceEnd& end) const;
  double sectionTop() const;
  double sectionLeft(const SurfaceEnd& end) const;
  Point detailAt() const;
  void drawPlan(Ink& ink) const;
  void drawOnPlan(Ink& ink, const SurfaceMade& made) const;
  void drawSection(Ink& ink, const SurfaceMade& made, const SurfaceEnd& end, const Point& at, double size,
                   bool large) const;
  void drawLinkage(Ink& ink, const SurfaceMade& made, const Point& at, double size) const;
  void drawTrack(Ink& ink, const SurfaceMade& made, const SurfaceEnd& end, const Point& at, double size) const;
  void drawFittings(Ink& ink) const;
  void addFittingHandles(std::vector<Handle>& to) const;

  // What is swung, which is no decision.
  mutable double swing = 0;
  mutable int swungSurface = -1;
  mutable PanelId swungPanel;
};

/// Both halves from above with how far each panel is, and under them what was read along the span against what was
/// decided. A click chooses the rib that is read next, and the hand.
class BuildBoard : public Board {
public:
  using Board::Board;

protected:
  QString heading() const override;
  QString subheading() const override;
  QString handWords() const override;
  Box content() const override;
  void draw(Ink& ink) const override;
  void clicked(const Point& p) override;

private:
  const WholeWing& wingOf(Hand hand) const;
  std::vector<Hand> hands() const;
  double deepest() const;
  void drawHalf(Ink& ink, Hand hand) const;
  void drawReadings(Ink& ink) const;
  const std::vector<Step>& steps() const;
  mutable std::shared_ptr<const TrueWing> stepsOfWing;
  mutable std::vector<Step> listed; ///< of it
};

/// The board of a stage.
Board* makeBoard(Stage stage, Document& document, Standpoint& standpoint, const Look& look, QWidget* parent);

} // namespace eup::app
