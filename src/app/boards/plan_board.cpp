#include "app/boards/plan_board.h"
#include "app/look/plan_ink.h"
#include "core/measure/length_text.h"
#include "core/plan/ink.h"
#include <QMouseEvent>

namespace eup::app {

namespace {
constexpr int loupeSize = 190;
constexpr double loupeZoom = 6; // screen pixels a plan pixel
} // namespace

PlanBoard::PlanBoard(Document& d, Standpoint& s, const Look& l, QWidget* parent) : Board(d, s, l, parent) {
  connect(&document.planImages(), &PlanImages::changed, this, qOverload<>(&QWidget::update));
  connect(&document, &Document::replaced, this, [this] {
    shown.reset();
    setTool(PlanTool::none);
    fit();
  });
}

void PlanBoard::setTool(PlanTool tool) {
  theTool = tool;
  pending.clear();
  pendingSheet.reset();
  if (tool == PlanTool::none) aim.reset();
  update();
  Q_EMIT toolChanged();
}

void PlanBoard::setKind(ReadingKind kind) {
  theKind = kind;
  const bool manyOfOne = kind == ReadingKind::spar || kind == ReadingKind::hinge || kind == ReadingKind::upperSurface ||
                         kind == ReadingKind::lowerSurface || kind == ReadingKind::centreLine ||
                         kind == ReadingKind::tip;
  theNumber = manyOfOne ? 1 : nextNumber(document.design().plan, kind, theHand);
  setTool(PlanTool::read);
}

void PlanBoard::setReadHand(Hand hand) {
  theHand = hand;
  setKind(theKind);
}

void PlanBoard::setNumber(int number) {
  theNumber = std::clamp(number, 1, 9999);
  Q_EMIT toolChanged();
}

void PlanBoard::setSnapping(bool on) {
  snaps = on;
  update();
}

QString PlanBoard::heading() const {
  return tr("The plan, made true");
}
QString PlanBoard::subheading() const {
  if (theTool != PlanTool::none) return instruction();
  return turnedOver()
             ? tr("turned over: the hand that the plan does not draw, with its reference points")
             : tr("choose what to read on the right; drag a reading, or step to it with . and move it with the arrows");
}
QString PlanBoard::emptyText() const {
  if (!document.design().plan.sheets.empty()) return {};
  return tr("No plan is open.\n\nOpen a scan, a photograph or a drawing of the plan (PNG, JPEG, TIFF, PDF, SVG, DXF) "
            "on the right. Make it "
            "true with a length you trust along it and one across, read edges, ribs and spars, look at what does not "
            "agree, and use "
            "the readings as your layout.\n\nWithout a plan, go on to Shape sections and Lay out panels: everything "
            "can be typed.");
}

bool PlanBoard::turnedOver() const {
  const auto& hands = document.plan().hands;
  if (hands.size() != 1) return false;
  return (standpoint.hand() == ShownHand::left && hands[0].hand == Hand::right) ||
         (standpoint.hand() == ShownHand::right && hands[0].hand == Hand::left);
}

Point PlanBoard::planAt(const Point& p) const {
  return turnedOver() ? Point(-p.x(), p.y()) : p;
}

Box PlanBoard::content() const {
  Box box;
  const Design& d = document.design();
  for (std::size_t i = 0; i < document.plan().sheets.size(); ++i) {
    const double w = d.plan.sheets[i].width, h = d.plan.sheets[i].height;
    for (const Point& corner : {Point(0, 0), Point(w, 0), Point(w, h), Point(0, h)})
      box.include(boardAt(document.plan().sheets[i].mm(corner)));
  }
  if (box.empty()) box.include(Point(0, 0)), box.include(Point(100, 100));
  return box;
}

Eigen::Matrix3d PlanBoard::viewToPixel(const LaidSheet& laid) const {
  const Point o = board({0, 0}), x = board({1, 0}), y = board({0, 1});
  Eigen::Matrix3d toPlan;
  const Point a = planAt(o), b = planAt(x) - a, c = planAt(y) - a;
  toPlan << b.x(), c.x(), a.x(), b.y(), c.y(), a.y(), 0, 0, 1;
  return laid.map().inverse() * toPlan;
}

std::optional<std::size_t> PlanBoard::sheetAt(const Point& plan) const {
  const auto& sheets = document.plan().sheets;
  for (std::size_t i = sheets.size(); i-- > 0;) {
    const Point p = sheets[i].pixel(plan);
    const PlanSheet& s = document.design().plan.sheets[i];
    if (p.x() >= 0 && p.y() >= 0 && p.x() < s.width && p.y() < s.height) return i;
  }
  return {};
}

std::optional<Point> PlanBoard::snapped(std::size_t sheet, const Point& pixel) const {
  const PlanImage* image = document.planImages().image(sheet);
  if (!snaps || !image) return {};
  const double fine =
      theTool == PlanTool::read && theKind == ReadingKind::ribThickness ? 0.4 : 1.0; // two edges lie close
  const auto found = snap(image->full(), pixel, snapReach(document.plan().sheets[sheet].sheet.along) * fine);
  return found ? std::optional(found->at) : std::nullopt;
}

QString PlanBoard::instruction() const {
  const auto count = [&](int of) { return tr("point %1 of %2").arg(pointsPlaced() + 1).arg(of); };
  switch (theTool) {
  case PlanTool::none:
    return {};
  case PlanTool::knownLength:
    return tr("Known length, %1. Click, or arrows and Space (Shift coarse, Alt fine); Esc ends").arg(count(2));
  case PlanTool::corners:
    return tr("Corner of a rectangle, %1. Click, or arrows and Space; Esc ends").arg(count(4));
  case PlanTool::level:
    return tr("Line to lay level: spar or centre line, %1. Click, or arrows and Space; Esc ends").arg(count(2));
  case PlanTool::read:
    break;
  }
  Reading next{"", theKind, 1, theHand, theNumber, {}};
  const PointCount n = pointsOf(theKind);
  const QString what = QString::fromStdString(nameOf(next)) + (theHand == Hand::left ? tr(", left") : QString());
  if (n.least == n.most)
    return n.least == 1 ? tr("%1. Click, or arrows and Space; Esc ends").arg(what)
                        : tr("%1, %2. Click, or arrows and Space; Esc ends").arg(what, count(n.most));
  return tr("%1, %2 points. Click along it; Enter finishes, Backspace takes one back").arg(what).arg(pointsPlaced());
}

void PlanBoard::place(const Point& boardPoint) {
  const Point plan = planAt(boardPoint);
  const auto sheet = pendingSheet ? pendingSheet : sheetAt(plan);
  if (!sheet) {
    Q_EMIT said(tr("That is off the sheet."));
    return;
  }
  const Point pixel = document.plan().sheets[*sheet].pixel(plan);
  pendingSheet = sheet;
  pending.push_back(snapped(*sheet, pixel).value_or(pixel));
  const int have = pointsPlaced();
  const bool full = (theTool == PlanTool::knownLength && have == 2) || (theTool == PlanTool::level && have == 2) ||
                    (theTool == PlanTool::corners && have == 4) ||
                    (theTool == PlanTool::read && have == pointsOf(theKind).most);
  if (full) return commit();
  update();
  Q_EMIT toolChanged();
}

void PlanBoard::finish() {
  if (theTool != PlanTool::read) return;
  const PointCount n = pointsOf(theKind);
  if (n.least != n.most && pointsPlaced() >= n.least) commit();
}

void PlanBoard::commit() {
  Design next = document.design();
  if (!pendingSheet || *pendingSheet >= next.plan.sheets.size()) return setTool(PlanTool::none);
  PlanSheet& sheet = next.plan.sheets[*pendingSheet];
  const Polyline points = std::exchange(pending, {});
  const auto sheetIndex = *std::exchange(pendingSheet, {});
  QString name;
  switch (theTool) {
  case PlanTool::none:
    return;
  case PlanTool::knownLength: {
    if (static_cast<int>(sheet.lengths.size()) >= mostKnownLengths) return;
    const double now = std::max(
        0.1,
        (document.plan().sheets[sheetIndex].mm(points[1]) - document.plan().sheets[sheetIndex].mm(points[0])).norm());
    sheet.lengths.push_back(
        {tr("length %1").arg(sheet.lengths.size() + 1).toStdString(), points, std::round(now * 10) / 10});
    sheet.by = MakeTrue::lengths;
    name = tr("Known length");
    break;
  }
  case PlanTool::corners:
    sheet.corners = points;
    sheet.by = MakeTrue::corners;
    name = tr("Corners");
    break;
  case PlanTool::level:
    sheet.level = points;
    name = tr("Lay level");
    break;
  case PlanTool::read: {
    if (static_cast<int>(next.plan.readings.size()) >= mostReadings) {
      Q_EMIT said(tr("There are %1 readings: no more can be kept.").arg(mostReadings));
      return;
    }
    const Reading reading{"", theKind, static_cast<int>(sheetIndex) + 1, theHand, theNumber, points};
    name = tr("Read %1").arg(QString::fromStdString(nameOf(reading)));
    next.plan.readings.push_back(reading);
    switch (theKind) { // the next rib, template or length; a spar is read many times under its own number
    case ReadingKind::leadingEdge:
    case ReadingKind::trailingEdge:
    case ReadingKind::ribTemplate:
    case ReadingKind::ribThickness:
    case ReadingKind::length:
    case ReadingKind::angle:
    case ReadingKind::joint:
    case ReadingKind::matchMark:
      ++theNumber;
      break;
    default:
      break;
    }
  }
  }
  const PlanTool was = theTool;
  document.edit(name, std::move(next));
  if (was != PlanTool::read) return setTool(PlanTool::none);
  update();
  Q_EMIT toolChanged();
}

void PlanBoard::reveal(std::size_t reading) {
  const Plan& plan = document.design().plan;
  if (reading >= plan.readings.size()) return;
  shown = reading;
  Box box;
  for (const Point& p : inMm(plan.readings[reading], document.plan().sheets)) box.include(boardAt(p));
  if (box.empty()) return;
  centreOn(box.centre(), std::min(6.0, 0.6 * width() / std::max(box.width(), 20.0)));
}

void PlanBoard::draw(Ink& ink) const {
  const auto& sheets = document.plan().sheets;
  const Design& d = document.design();
  for (std::size_t i = 0; i < sheets.size(); ++i) {
    const double w = d.plan.sheets[i].width, h = d.plan.sheets[i].height;
    Polyline edge;
    for (const Point& corner : {Point(0, 0), Point(w, 0), Point(w, h), Point(0, h)})
      edge.push_back(boardAt(sheets[i].mm(corner)));
    ink.loop(edge, look.dark ? look.field : look.panel, look.edge, 1);
    if (const PlanImage* image = document.planImages().image(i)) {
      QRectF on;
      for (const Point& p : edge) on |= QRectF(ink.at(p) - QPointF(1, 1), QSizeF(2, 2));
      drawPlan(ink.painter, *image, viewToPixel(sheets[i]), on.toAlignedRect() & rect(), look.ink, 0.85);
    } else if (const auto share = document.planImages().reading(i)) {
      ink.text(boardAt(sheets[i].mm({w / 2, h / 2})),
               tr("reading %1, %2 %").arg(QString::fromStdString(d.plan.sheets[i].name)).arg(*share * 100, 0, 'f', 0),
               look.faint, {}, Qt::AlignHCenter);
    }
    ink.text(edge[3], QString::fromStdString(d.plan.sheets[i].name), look.faint, {4, -6}, Qt::AlignLeft, 11);
    if (const QString trouble = document.planImages().trouble(i); !trouble.isEmpty())
      ink.text(edge[0], trouble, look.wrong, {6, 18}, Qt::AlignLeft, 12, true);
  }
  drawJudged(ink);
  drawCalibration(ink);
  drawReadings(ink);
  drawAim(ink);
}

void PlanBoard::drawCalibration(Ink& ink) const {
  const auto& sheets = document.plan().sheets;
  const Design& d = document.design();
  for (std::size_t i = 0; i < sheets.size(); ++i) {
    const PlanSheet& s = d.plan.sheets[i];
    const auto at = [&](const Point& pixel) { return boardAt(sheets[i].mm(pixel)); };
    for (const KnownLength& l : s.lengths) {
      if (l.ends.size() != 2) continue;
      const Point a = at(l.ends[0]), b = at(l.ends[1]);
      ink.line(a, b, look.good, 1.4);
      for (const Point& p : {a, b}) ink.text(p, "×", look.good, {0, 5}, Qt::AlignHCenter, 15, true);
      const bool right = ink.at((a + b) / 2).x() > width() - 150;
      ink.text((a + b) / 2, tr("%1 = %2").arg(QString::fromStdString(l.name), len(l.length)), look.good,
               {right ? -6.0 : 6.0, -5}, right ? Qt::AlignRight : Qt::AlignLeft, 11, true);
    }
    if (s.by == MakeTrue::corners && s.corners.size() == 4)
      for (const Point& c : s.corners) ink.text(at(c), "◇", look.good, {0, 5}, Qt::AlignHCenter, 15, true);
    if (s.level.size() == 2) {
      ink.line(at(s.level[0]), at(s.level[1]), look.good, 1.2, Qt::DashDotLine);
      ink.text(at(s.level[0]), tr("level"), look.good, {4, -4}, Qt::AlignLeft, 10);
    }
  }
}

void PlanBoard::drawJudged(Ink& ink) const {
  for (const DrawnHand& hand : document.plan().hands) {
    if (hand.stations.size() < 2) continue;
    const double from = hand.stations.front().second, to = hand.stations.back().second;
    for (const ReadLine& line : hand.lines) {
      if (line.readings.size() < 2) continue;
      ink.line(boardAt(hand.onPlan(from, line.at(from))), boardAt(hand.onPlan(to, line.at(to))), look.accent, 1,
               Qt::DashLine);
    }
    if (!turnedOver()) continue;
    for (const ReferencePoint& p : referencePoints(hand)) {
      const Point at = boardAt(hand.onPlan(p.t, p.x));
      ink.text(at, "+", look.accent, {0, 7}, Qt::AlignHCenter, 22, true);
      const bool right = screen(at).x() > width() * 0.6; // names stay on the board
      ink.text(at, QString::fromStdString(p.name), look.accent, {right ? -8.0 : 8.0, -8},
               right ? Qt::AlignRight : Qt::AlignLeft, 12, true);
    }
  }
}

void PlanBoard::drawReadings(Ink& ink) const {
  const Plan& plan = document.design().plan;
  std::vector<std::size_t> blamed;
  for (const Judgement& j : document.plan().judgements)
    if (j.fault) blamed.insert(blamed.end(), j.readings.begin(), j.readings.end());
  const bool crowded = plan.readings.size() > 40 && ink.scale < 2.5;
  for (std::size_t i = 0; i < plan.readings.size(); ++i) {
    const Reading& r = plan.readings[i];
    const Polyline p = inMm(r, document.plan().sheets);
    if (p.empty()) continue;
    const bool mine = shown == i, bad = std::find(blamed.begin(), blamed.end(), i) != blamed.end();
    const QColor colour = bad ? look.wrong : look.accent;
    Polyline on;
    for (const Point& q : p) on.push_back(boardAt(q));
    if (on.size() > 1) ink.chain(on, colour, mine ? 2.4 : 1.2);
    for (const Point& q : on) {
      const QPointF c = ink.at(q);
      ink.painter.setPen(QPen(colour, mine ? 2.2 : 1.2));
      ink.painter.setBrush(Qt::NoBrush);
      if (bad) // a shape besides the colour
        ink.painter.drawPolygon(QPolygonF{c + QPointF(0, -6), c + QPointF(5.5, 4), c + QPointF(-5.5, 4)});
      else
        ink.painter.drawEllipse(c, mine ? 5.5 : 3, mine ? 5.5 : 3);
    }
    if (mine || bad || !crowded) {
      if (r.kind != ReadingKind::spar || mine)
        ink.text(on.front(), QString::fromStdString(nameOf(r)), colour, {6, -6}, Qt::AlignLeft, 11, mine);
    }
  }
}

void PlanBoard::drawAim(Ink& ink) const {
  if (theTool == PlanTool::none) return;
  const auto& sheets = document.plan().sheets;
  if (pendingSheet && *pendingSheet < sheets.size()) {
    Polyline on;
    for (const Point& p : pending) on.push_back(boardAt(sheets[*pendingSheet].mm(p)));
    if (aim && !on.empty()) ink.line(on.back(), *aim, look.accent, 1, Qt::DashLine);
    if (on.size() > 1) ink.chain(on, look.accent, 1.6);
    for (const Point& p : on) ink.text(p, "+", look.accent, {0, 6}, Qt::AlignHCenter, 18, true);
  }
  if (!aim) return;
  const auto sheet = pendingSheet ? pendingSheet : sheetAt(planAt(*aim));
  if (!sheet || *sheet >= sheets.size()) return;
  const Point pixel = sheets[*sheet].pixel(planAt(*aim));
  const auto ready = snapped(*sheet, pixel);
  const Point target = ready.value_or(pixel);
  const QPointF c = ink.at(boardAt(sheets[*sheet].mm(target)));
  ink.painter.setPen(QPen(look.accent, 1.2));
  ink.painter.drawLine(c - QPointF(14, 0), c + QPointF(14, 0));
  ink.painter.drawLine(c - QPointF(0, 14), c + QPointF(0, 14));
  // The loupe: the scan's own pixels around the place, with the place that would be taken.
  const PlanImage* image = document.planImages().image(*sheet);
  if (!image) return;
  const bool low = c.y() > height() - loupeSize - 60 && c.x() > width() - loupeSize - 60;
  const QRect glass(width() - loupeSize - 14, low ? 60 : height() - loupeSize - 34, loupeSize, loupeSize);
  const QColor paper = look.dark ? look.field : look.panel;
  ink.painter.fillRect(glass, paper);
  Eigen::Matrix3d map = Eigen::Matrix3d::Identity();
  map(0, 0) = (turnedOver() ? -1 : 1) / loupeZoom;
  map(1, 1) = 1 / loupeZoom;
  const QPointF middle = QRectF(glass).center();
  map(0, 2) = pixel.x() - map(0, 0) * middle.x();
  map(1, 2) = pixel.y() - map(1, 1) * middle.y();
  drawPlan(ink.painter, *image, map, glass, look.ink, 0.9);
  const QPointF at = middle + QPointF((target.x() - pixel.x()) / map(0, 0), (target.y() - pixel.y()) / map(1, 1));
  ink.painter.setPen(QPen(look.accent, 1));
  ink.painter.drawLine(QPointF(glass.left(), at.y()), QPointF(glass.right(), at.y()));
  ink.painter.drawLine(QPointF(at.x(), glass.top()), QPointF(at.x(), glass.bottom()));
  ink.painter.setBrush(Qt::NoBrush);
  ink.painter.setPen(QPen(look.edge, 2));
  ink.painter.drawRect(glass);
  // Words must not be lost in the drawing behind them.
  ink.painter.fillRect(QRect(glass.left() + 1, glass.top() + 1, 74, 20), paper);
  ink.painter.fillRect(QRect(glass.left() + 1, glass.bottom() - 21, glass.width() - 2, 21), paper);
  ink.text(board(glass.topLeft() + QPointF(6, 15)), ready ? tr("on the ink") : tr("free"),
           ready ? look.good : look.faint, {}, Qt::AlignLeft, 11, true);
  const Point mm = sheets[*sheet].mm(target);
  ink.text(board(glass.bottomLeft() + QPointF(6, -6)), tr("%1, %2").arg(len(mm.x()), len(mm.y())), look.ink, {},
           Qt::AlignLeft, 11);
}

std::vector<Handle> PlanBoard::handles() const {
  std::vector<Handle> out;
  if (theTool != PlanTool::none) return out;
  const Plan& plan = document.design().plan;
  const bool over = turnedOver();
  for (std::size_t i = 0; i < plan.readings.size(); ++i) {
    const Polyline p = inMm(plan.readings[i], document.plan().sheets);
    for (std::size_t k = 0; k < p.size(); ++k) {
      QString name = QString::fromStdString(nameOf(plan.readings[i]));
      if (plan.readings[i].hand == Hand::left) name += tr(", left");
      if (plan.readings[i].kind == ReadingKind::spar || plan.readings[i].kind == ReadingKind::hinge)
        name += tr(", reading %1").arg(i + 1);
      if (p.size() > 1) name += tr(", point %1").arg(k + 1);
      const Point at = boardAt(p[k]);
      out.push_back({name, at, at, Qt::CrossCursor, tr("Move %1").arg(name),
                     [i, k, over](const Design& before, const Point& by) -> Result<Design> {
                       Design d = before;
                       if (i >= d.plan.readings.size() || k >= d.plan.readings[i].points.size())
                         return Problem{"", "there is no such reading any more"};
                       Reading& r = d.plan.readings[i];
                       const auto laid = layOut(d.plan);
                       const LaidSheet& sheet = laid[static_cast<std::size_t>(r.sheet - 1)];
                       r.points[k] = sheet.pixel(sheet.mm(r.points[k]) + Point(over ? -by.x() : by.x(), by.y()));
                       return d;
                     },
                     false});
    }
  }
  return out;
}

void PlanBoard::mousePressEvent(QMouseEvent* event) {
  if (event->button() == Qt::LeftButton && theTool != PlanTool::none) {
    setFocus();
    aim = board(event->position());
    return place(*aim);
  }
  Board::mousePressEvent(event);
}

void PlanBoard::mouseMoveEvent(QMouseEvent* event) {
  if (theTool != PlanTool::none) {
    aim = board(event->position());
    setCursor(Qt::CrossCursor);
    update();
  }
  Board::mouseMoveEvent(event);
}

void PlanBoard::mouseDoubleClickEvent(QMouseEvent* event) {
  if (theTool != PlanTool::none) return mousePressEvent(event); // two points in quick succession
  Board::mouseDoubleClickEvent(event);
}

void PlanBoard::keyPressEvent(QKeyEvent* event) {
  if (theTool == PlanTool::none) return Board::keyPressEvent(event);
  if (!aim) aim = board(QRectF(rect()).center());
  const auto sheet = sheetAt(planAt(*aim));
  const double pixel = sheet ? document.plan().sheets[*sheet].sheet.along : 0.2;
  const double step = pixel * (event->modifiers() & Qt::ShiftModifier ? 10
                               : event->modifiers() & Qt::AltModifier ? 0.1
                                                                      : 1);
  const auto nudge = [&](double x, double y) {
    *aim += Point(x, y) * step;
    update();
  };
  switch (event->key()) {
  case Qt::Key_Left:
    return nudge(-1, 0);
  case Qt::Key_Right:
    return nudge(1, 0);
  case Qt::Key_Up:
    return nudge(0, 1);
  case Qt::Key_Down:
    return nudge(0, -1);
  case Qt::Key_Space:
    return place(*aim);
  case Qt::Key_Return:
  case Qt::Key_Enter:
    return theTool == PlanTool::read && pointsOf(theKind).least != pointsOf(theKind).most ? finish() : place(*aim);
  case Qt::Key_Backspace:
    if (!pending.empty()) pending.pop_back();
    if (pending.empty()) pendingSheet.reset();
    update();
    Q_EMIT toolChanged();
    return;
  case Qt::Key_Escape:
    return setTool(PlanTool::none);
  case Qt::Key_S:
    return setSnapping(!snaps), Q_EMIT toolChanged();
  default:
    Board::keyPressEvent(event);
  }
}

} // namespace eup::app
