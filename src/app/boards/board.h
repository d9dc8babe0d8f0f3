// The board: a stage's own picture, true to scale, that is worked on with the pointer and the keyboard.
#pragma once
#include "app/look/look.h"
#include "app/state/document.h"
#include "app/state/standpoint.h"
#include "app/state/watch.h"
#include "core/geometry/region.h"
#include <functional>
#include <QPainter>
#include <QWidget>

namespace eup::app {

/// A part that is decided on its own, and where it lies on the board.
struct Pick {
  Subject subject;
  Region where;
};

/// Draws in board millimetres (y up); lettering keeps its size on screen.
class Ink {
public:
  Ink(QPainter& to, const Look& colours, double pixelsPerMm, QPointF origin)
      : painter(to), look(colours), scale(pixelsPerMm), zero(origin) {}

  QPointF at(const Point& p) const { return {zero.x() + p.x() * scale, zero.y() - p.y() * scale}; }
  void line(const Point& a, const Point& b, const QColor& colour, double width = 1, Qt::PenStyle style = Qt::SolidLine);
  void chain(const Polyline& line, const QColor& colour, double width = 1, Qt::PenStyle style = Qt::SolidLine);
  void region(const Region& region, const QColor& fill, const QColor& edge, double width = 1);
  void loop(const Polyline& loop, const QColor& fill, const QColor& edge, double width = 1) {
    region({loop}, fill, edge, width);
  }
  /// Text whose anchor lies `offset` pixels from the place.
  void text(const Point& place, const QString& words, const QColor& colour, QPointF offset = {},
            Qt::Alignment align = Qt::AlignLeft, int size = 12, bool bold = false);
  /// What lies there is decided on its own: a click chooses it.
  void pick(const Subject& subject, Region where) { picks.push_back({subject, std::move(where)}); }
  /// A dimension between two points, set off by `away` pixels square to it, with its text in the middle.
  void dimension(const Point& a, const Point& b, const QString& words, double away);

  QPainter& painter;
  const Look& look;
  double scale;
  QPointF zero;
  std::vector<Pick> picks;
};

/// Something that can be dragged: a place or a line on the board, and what dragging it decides.
struct Handle {
  QString name;               ///< "Spar line at the tip"
  Point from{0, 0}, to{0, 0}; ///< the same point twice for a place
  Qt::CursorShape cursor = Qt::SizeAllCursor;
  QString undoName;
  /// The design that follows when the handle is pulled by `by` from where it was in `before`.
  std::function<Result<Design>(const Design& before, const Point& by)> pull;
  bool knob = true; ///< drawn as a knob; lines that are ribs or edges are not
};

class Board : public QWidget {
  Q_OBJECT
public:
  Board(Document& document, Standpoint& standpoint, const Look& look, QWidget* parent = nullptr);

  void fit();
  void zoomBy(double factor, QPointF about);
  /// Brings a place to the middle at so many pixels a millimetre.
  void centreOn(const Point& place, double pixelsPerMm);
  QPointF screen(const Point& p) const { return {origin.x() + p.x() * scale, origin.y() - p.y() * scale}; }
  Point board(QPointF p) const { return {(p.x() - origin.x()) / scale, (origin.y() - p.y()) / scale}; }

  /// All that can be dragged now, in the picture's own order; tests find them by name.
  std::vector<Handle> handlesNow() const { return onWing() && workable() ? handles() : std::vector<Handle>{}; }
  /// What a click chooses: as drawn last, in the picture's own order.
  const std::vector<Pick>& picksNow() const { return picked; }

Q_SIGNALS:
  void said(const QString& words); ///< what is under the pointer, or why a drag cannot go on

protected:
  virtual QString heading() const = 0;
  virtual QString subheading() const { return {}; }
  virtual Box content() const = 0;
  /// What the board leaves a picture beside its heading and margins, in pixels.
  QSizeF roomForPicture() const;
  virtual void draw(Ink& ink) const = 0;
  virtual std::vector<Handle> handles() const { return {}; }
  /// Whether there is what the board draws; the plan is there without a wing.
  virtual bool onWing() const { return document.hasWing(); }
  /// Whether what is drawn stands in the design too, so that it can be pulled.
  virtual bool workable() const { return standpoint.canWork(); }
  /// A click that hit no handle.
  virtual void clicked(const Point&) {}
  /// What a board that has nothing to show says, and the button that does the first step.
  virtual QString emptyText() const { return {}; }

  /// The panel that is worked on: that of the chosen rib.
  const TruePanel& panel() const { return standpoint.shownPanel(); }
  PanelId here() const { return standpoint.panel(); }
  const Rib& chosenRib() const { return standpoint.shownRib(); }
  /// The plan's own ink under a section that was traced from it, drawn at that chord with its nose at the origin.
  void drawTracedPlan(Ink& ink, const ShapedSection& shaped, bool tip, double chord) const;
  bool mirrored() const { return standpoint.hand() == ShownHand::left; }
  /// Whether arrow keys move something now; Alt with them is then fine movement, not the next rib.
  virtual bool takesArrows() const { return focused.has_value(); }
  virtual QString handWords() const;
  QString len(double mm) const;

  bool event(QEvent*) override;
  void paintEvent(QPaintEvent*) override;
  void resizeEvent(QResizeEvent*) override;
  void wheelEvent(QWheelEvent*) override;
  void mousePressEvent(QMouseEvent*) override;
  void mouseMoveEvent(QMouseEvent*) override;
  void mouseReleaseEvent(QMouseEvent*) override;
  void mouseDoubleClickEvent(QMouseEvent*) override;
  void keyPressEvent(QKeyEvent*) override;
  void leaveEvent(QEvent*) override;

  Document& document;
  Standpoint& standpoint;
  const Look& look;

private:
  std::optional<std::size_t> handleAt(QPointF p) const;
  void pullTo(QPointF p);
  void nudge(const QPointF& direction, Qt::KeyboardModifiers modifiers);
  void drawHandles(Ink& ink) const;
  void drawChosen(Ink& ink) const;
  const Pick* pickAt(const Point& p) const;
  void drawWhyNot(QPainter& painter) const;

  double scale = 1;
  QPointF origin;
  bool fitted = true;
  std::optional<std::size_t> hovered, focused;
  std::vector<Pick> picked; ///< of the last picture
  struct Drag {
    Handle handle;
    Design before;
    QPointF start;
  };
  std::optional<Drag> drag;
  std::optional<QPointF> panFrom;
  QString hint;
};

} // namespace eup::app
