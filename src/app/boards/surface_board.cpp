// The board of surfaces on hinges: the panel from above with what is cut out of it; the section where one stands,
// turned by hand, with its linkage; and its hinge, drawn larger.
#include "app/boards/stage_boards.h"
#include "core/described/decisions.h"
#include "core/geometry/polyline.h"
#include "core/surfaces/track.h"
#include <algorithm>
#include <cmath>

namespace eup::app {
namespace {

constexpr double betweenPictures = 0.09; // of the span, from picture to picture

} // namespace

const SurfaceMade* SurfaceBoard::shown() const {
  const auto& all = panel().surfaces;
  if (all.empty()) return nullptr;
  const Subject subject = standpoint.subject();
  const int wanted = subject.topic == Topic::surface || isPartOfSurface(subject.topic) ? subject.number : 0;
  for (const SurfaceMade& made : all)
    if (made.line.surface == wanted) return &made;
  return &all.front();
}

const Surface& SurfaceBoard::decided(const SurfaceMade& made) const {
  return panel().design.surfaces[static_cast<std::size_t>(made.line.surface)];
}

double SurfaceBoard::swingOf(const SurfaceMade& made) const {
  return swungSurface == made.line.surface && swungPanel == here() ? swing : 0;
}

QString SurfaceBoard::heading() const {
  const SurfaceMade* made = shown();
  return made ? tr("%1, %2 long").arg(QString::fromStdString(decided(*made).name), len(made->length))
              : tr("Surfaces on hinges");
}

QString SurfaceBoard::subheading() const {
  return tr("drag its ends and its hinge line above, its trailing edge below: red is where it touches");
}

QString SurfaceBoard::emptyText() const {
  const PanelBrief& d = panel().design;
  if (!panel().surfaces.empty() || !d.runs.empty() || !d.hardPoints.empty()) return {};
  return tr(
      "This panel carries no surface on hinges.\n\nDecide → Put a surface in lays out an aileron, a flap, an elevon, "
      "an elevator, a rudder, a spoiler or a panel that turns as a whole. Its cuts through the ribs, facings, "
      "bevels, hinges, linkage and what its servo has to bear follow. Leads and tubes through the ribs and hard points "
      "are put in here too.");
}

Point SurfaceBoard::onPlan(double aft, double out) const {
  return {mirrored() ? -out : out, -aft};
}

/// How far down the board the plan reaches.
double SurfaceBoard::planEnd() const {
  const PanelLoft& loft = panel().shape.loft;
  return std::max(loft.frameAt(0).te.x(), loft.frameAt(loft.span()).te.x());
}

/// What sections are laid out by: a short panel's are not made small.
double SurfaceBoard::breadth() const {
  return std::max(panel().shape.loft.span(), 1.5 * panel().design.panel.rootChord);
}

SurfaceEnd SurfaceBoard::sectionShown(const SurfaceMade& made) const {
  const double t = made.driven ? made.driven->at.t : std::clamp(chosenRib().t(), made.inner.t, made.outer.t);
  return surfaceEndAt(panel().design, panel().shape.loft, made.line, t);
}

double SurfaceBoard::sectionSize(const SurfaceEnd& end) const {
  return 0.6 * breadth() / end.frame.chord;
}

/// Of the hinge drawn larger.
double SurfaceBoard::detailSize(const SurfaceEnd& end) const {
  const double deep = std::max({end.cut.depth, 2 * end.cut.noseRadius, 4.0});
  return 0.1 * breadth() / deep;
}

double SurfaceBoard::sectionTop() const {
  return -planEnd() - 2.2 * betweenPictures * breadth();
}

Box SurfaceBoard::content() const {
  Box box;
  const double span = panel().shape.loft.span();
  box.include(onPlan(0, 0)), box.include(onPlan(planEnd(), span));
  box.include(onPlan(0, span));
  if (shown()) box.include(Point(onPlan(0, breadth()).x(), sectionTop() - 0.2 * breadth()));
  const double room = 0.04 * span;
  return {box.low - Point(room, room), box.high + Point(room, 1.4 * room)};
}

void SurfaceBoard::drawPlan(Ink& ink) const {
  const TruePanel& w = panel();
  const PanelLoft& loft = w.shape.loft;
  const double span = loft.span();
  const ChordFrame in = loft.frameAt(0), out = loft.frameAt(span);
  ink.loop({onPlan(in.le.x(), 0), onPlan(in.te.x(), 0), onPlan(out.te.x(), span), onPlan(out.le.x(), span)}, look.panel,
           look.ink, 1.2);
  const bool wood = w.design.built == Built::ribs;
  for (const Rib& rib : w.frame.ribs) {
    const double t = std::clamp(rib.t(), 0.0, span);
    const ChordFrame f = loft.frameAt(t);
    const bool mine = rib.number == chosenRib().number;
    if (wood || mine)
      ink.line(onPlan(f.le.x(), t), onPlan(f.te.x(), t), mine ? look.accent : look.faint, mine ? 1.6 : 0.8);
  }
  for (const SparLine& line : w.frame.spars)
    ink.line(onPlan(line.middle.at(0).x(), 0), onPlan(line.middle.at(line.end).x(), line.end), look.hardwood, 2.2);
  for (const SurfaceMade& made : w.surfaces) drawOnPlan(ink, made);
  drawFittings(ink);
}

/// Runs as they go from hole to hole, red where one has no room; hard points as their blocks.
void SurfaceBoard::drawFittings(Ink& ink) const {
  const TruePanel& w = panel();
  const PanelLoft& loft = w.shape.loft;
  for (std::size_t k = 0; k < w.design.runs.size(); ++k) {
    const Run& run = w.design.runs[k];
    const Subject subject{Topic::run, static_cast<int>(k)};
    const bool mine = standpoint.subject() == subject;
    const auto end = [&](double t, double fraction) {
      t = std::clamp(t, 0.0, loft.span());
      return onPlan(planX(loft.frameAt(t), fraction), t);
    };
    Polyline way{end(run.from, run.xFrom)};
    std::vector<Point> blocked;
    for (const Rib& rib : w.frame.ribs)
      for (const RunHole& hole : rib.runs)
        if (hole.run == static_cast<int>(k)) {
          const Point3 at = rib.inPanel(hole.middle);
          way.push_back(onPlan(at.x(), at.y()));
          if (!hole.clear) blocked.push_back(way.back());
        }
    way.push_back(end(run.to, run.xTo));
    ink.chain(way, mine ? look.accent : look.good, mine ? 2.6 : 1.8,
              run.kind == RunKind::cord ? Qt::DashLine : Qt::SolidLine);
    ink.pick(subject, bandAlong(way, std::max(run.hole / 2, 2.0)));
    ink.painter.setPen(QPen(look.wrong, 2));
    ink.painter.setBrush(Qt::NoBrush);
    for (const Point& p : blocked) ink.painter.drawEllipse(ink.at(p), 7, 7);
  }
  for (const HardPointMade& made : w.hardPoints) {
    const HardPoint& h = w.design.hardPoints[static_cast<std::size_t>(made.number)];
    const Subject subject{Topic::hardPoint, made.number};
    const double t = made.middle.y(), x = made.middle.x(), half = made.length / 2;
    const Polyline block{onPlan(x - h.width / 2, t - half), onPlan(x + h.width / 2, t - half),
                         onPlan(x + h.width / 2, t + half), onPlan(x - h.width / 2, t + half)};
    const bool mine = standpoint.subject() == subject, wrong = made.there < h.depth || made.offPanel;
    ink.loop(block, look.ply, wrong ? look.wrong : mine ? look.accent : look.ink, mine || wrong ? 2 : 1);
    ink.pick(subject, {block});
  }
}

void SurfaceBoard::drawOnPlan(Ink& ink, const SurfaceMade& made) const {
  const Surface& s = decided(made);
  const PanelLoft& loft = panel().shape.loft;
  const bool mine = shown() == &made;
  const auto hingeAt = [&](double t) { return made.line.axis.at(t).x(); };
  const auto tailAt = [&](double t) { return s.plateLike() ? hingeAt(t) + s.plateChord : loft.frameAt(t).te.x(); };
  const auto noseAt = [&](double t) { return s.whole() ? loft.frameAt(t).le.x() : hingeAt(t); };
  const double a = made.inner.t, b = made.outer.t;
  const Polyline plan{onPlan(noseAt(a), a), onPlan(tailAt(a), a), onPlan(tailAt(b), b), onPlan(noseAt(b), b)};
  const Subject subject{Topic::surface, made.line.surface};
  ink.loop(plan, s.ofRibs() || s.whole() ? look.sheet : look.balsa, mine ? look.accent : look.ink, mine ? 2 : 1.2);
  ink.pick(subject, {plan});
  for (const auto& places :
       {infillsOf(panel().design, panel().frame, made), gussetsOf(panel().design, panel().frame, made)})
    for (const Polyline& place : places) {
      Polyline loop;
      loop.reserve(place.size());
      for (const Point& p : place) loop.push_back(onPlan(p.x(), p.y()));
      ink.loop(loop, look.stock, look.faint, 0.8);
    }
  if (made.wire) {
    Polyline way{onPlan(hingeAt(a), 0)};
    for (const Point& p : joinWireFromAbove(s, made)) way.push_back(onPlan(p.x(), p.y()));
    ink.chain(way, look.accent, 2.6);
  }
  ink.line(onPlan(hingeAt(a), a), onPlan(hingeAt(b), b), look.wrong, 1.4, Qt::DashDotLine);
  for (const HingePlace& place : made.hinges) {
    const double half = s.hinges.width / 2, deep = std::max(s.hinges.deep, 1.0), x = hingeAt(place.t);
    ink.loop({onPlan(x - deep, place.t - half), onPlan(x + deep, place.t - half), onPlan(x + deep, place.t + half),
              onPlan(x - deep, place.t + half)},
             look.ply, look.ink, 0.8);
  }
  if (made.driven) {
    const ServoSeat& seat = made.driven->seat;
    const Servo& servo = panel().design.tables.servo(s.drive.servo);
    const double t = made.driven->at.t, nose = made.driven->at.frame.le.x();
    ink.loop({onPlan(nose + seat.from, t - servo.height), onPlan(nose + seat.to, t - servo.height),
              onPlan(nose + seat.to, t), onPlan(nose + seat.from, t)},
             look.stock, seat.there < seat.needs || seat.onSpar ? look.wrong : look.ink, 1.2);
    ink.line(onPlan(nose + made.driven->bars.servo.x() / std::cos(made.line.sweep), t), onPlan(hingeAt(t), t),
             look.accent, 1.6);
  }
  const double middle = (a + b) / 2;
  ink.text(onPlan((noseAt(middle) + tailAt(middle)) / 2, middle), QString::fromStdString(s.name), look.ink, {0, 4},
           Qt::AlignHCenter, 12, mine);
}

/// The section in its own plane, square to nothing but the flight: chord axes, nose left.
void SurfaceBoard::drawSection(Ink& ink, const SurfaceMade& made, const SurfaceEnd& end, const Point& at, double size,
                               bool large) const {
  const Surface& s = decided(made);
  const PanelLoft& loft = panel().shape.loft;
  const double side = mirrored() ? -1 : 1;
  const Cut cut = loft.cutAt(std::clamp(end.t, 0.0, loft.span()));
  Polyline outline;
  for (auto it = cut.upper.rbegin(); it != cut.upper.rend(); ++it) outline.push_back(end.frame.toChord(*it));
  for (std::size_t i = 1; i < cut.lower.size(); ++i) outline.push_back(end.frame.toChord(cut.lower[i]));
  const Point hinge = end.cut.hinge;
  const double turn = swingOf(made);
  const auto on = [&](const Polyline& line) {
    Polyline out;
    for (const Point& p : line)
      out.push_back(at + Point(side * (p.x() - (large ? hinge.x() : 0)), p.y() - (large ? hinge.y() : 0)) * size);
    return out;
  };
  const auto regionOn = [&](const Region& region) {
    Region out;
    for (const Polyline& loop : region) out.push_back(on(loop));
    return out;
  };
  if (!s.partsRibs()) {
    ink.loop(on(s.whole() ? turnedAbout(outline, hinge, turn) : outline), look.balsa, look.ink, 1.4);
    if (s.plateLike()) {
      const Polyline plate{hinge, hinge + Point(s.plateChord, 0), hinge + Point(s.plateChord, -s.plate),
                           hinge + Point(0, -s.plate)};
      ink.loop(on(turnedAbout(plate, hinge, std::max(turn, 0.0))), look.sheet, look.ink, 1.4);
    }
    ink.painter.setBrush(look.wrong);
    ink.painter.drawEllipse(ink.at(on({hinge}).front()), 4, 4);
    return;
  }
  Region wing = intersect({outline}, {end.cut.wing}), moves{end.cut.outline};
  const auto strip = [&](const Polyline& band) { return band.empty() ? Region{} : intersect({outline}, {band}); };
  const Region onWing = strip(end.cut.wingFacing),
               onIt = s.ofRibs() ? intersect(strip(end.cut.facing), moves) : Region{};
  if (large) { // only what lies about the hinge
    const double room = 0.19 * breadth() / size;
    const Region window{rectangle(hinge - Point(room, room), hinge + Point(room, room))};
    wing = intersect(wing, window), moves = intersect(moves, window);
  }
  const auto turnedOn = [&](const Region& region) {
    Region out;
    for (const Polyline& loop : region) out.push_back(on(turnedAbout(loop, hinge, turn)));
    return out;
  };
  ink.region(regionOn(wing), look.balsa, look.ink, 1.4);
  ink.region(regionOn(onWing), look.hardwood, look.ink, 1);
  ink.region(turnedOn(moves), look.sheet, look.ink, 1.4);
  ink.region(turnedOn(onIt), look.hardwood, look.ink, 1);
  if (const Region touch = touchedBy(end.cut, outline, turn); !touch.empty())
    ink.region(regionOn(touch), look.wrong, look.wrong, 2);
  ink.painter.setPen(QPen(look.wrong, 1.2));
  ink.painter.setBrush(look.paper);
  ink.painter.drawEllipse(ink.at(on({hinge}).front()), large ? 4 : 3, large ? 4 : 3);
}

void SurfaceBoard::drawLinkage(Ink& ink, const SurfaceMade& made, const Point& at, double size) const {
  const Driven& d = *made.driven;
  const Surface& s = decided(made);
  const Servo& servo = panel().design.tables.servo(s.drive.servo);
  const double side = mirrored() ? -1 : 1, along = 1 / std::cos(made.line.sweep), turn = swingOf(made);
  const auto on = [&](const Point& p) { return Point(at + Point(side * p.x() * along, p.y()) * size); };
  const auto servoTurn = servoTurnFor(d.bars, turn, pi / 2);
  const Point axis = d.bars.servo, low = axis - Point(0.75 * servo.length, servo.thickness / 2);
  const Polyline box = rectangle(low, low + Point(servo.length, servo.thickness));
  Polyline seat;
  for (const Point& p : box) seat.push_back(on(p));
  ink.loop(seat, look.stock, d.seat.there < d.seat.needs ? look.wrong : look.ink, 1.2);
  const QColor colour = servoTurn ? look.accent : look.wrong;
  const Point arm = d.bars.armPin(servoTurn.value_or(0)), horn = d.bars.hornPin(turn);
  ink.line(on(axis), on(arm), look.ink, 3);
  ink.line(on(d.bars.hinge), on(horn), look.ink, 3);
  ink.line(on(arm), on(horn), colour, 1.8, servoTurn ? Qt::SolidLine : Qt::DashLine);
  if (s.drive.by == MovedBy::pullPull) {
    const Point far = axis * 2 - arm, other = d.bars.hinge * 2 - horn;
    ink.line(on(axis), on(far), look.ink, 3);
    ink.line(on(d.bars.hinge), on(other), look.ink, 3);
    ink.line(on(far), on(other), colour, 1.4);
  }
  if (!servoTurn)
    ink.text(on(d.bars.hinge), tr("the rod does not reach"), look.wrong, {0, 26}, Qt::AlignHCenter, 11, true);
}

/// The slot about the hinge line, and the flap at its end.
void SurfaceBoard::drawTrack(Ink& ink, const SurfaceMade& made, const SurfaceEnd& end, const Point& at,
                             double size) const {
  const Surface& s = decided(made);
  const Track track(s.slide);
  const double side = mirrored() ? -1 : 1;
  const auto on = [&](const Polyline& line) {
    Polyline out;
    for (const Point& p : line)
      out.push_back(at + Point(side * (end.cut.hinge.x() + p.x()), end.cut.hinge.y() + p.y()) * size);
    return out;
  };
  for (const Polyline& loop : track.slot()) ink.loop(on(loop), look.paper, look.ink, 1);
  for (const double aft : {s.slide.midAft, s.slide.endAft}) {
    const TrackPlace place = track.at(aft);
    Polyline flap;
    for (const Point& p : end.cut.outline)
      flap.push_back(place.rear + Placement{-place.turn, {0, 0}}(p - end.cut.hinge));
    flap = on(flap);
    flap.push_back(flap.front());
    ink.chain(flap, look.accent, 1.2, Qt::DashLine);
  }
}

void SurfaceBoard::draw(Ink& ink) const {
  drawPlan(ink);
  const SurfaceMade* made = shown();
  if (!made) return;
  const double wide = breadth();
  const SurfaceEnd end = sectionShown(*made);
  const Point section(sectionLeft(end), sectionTop() - 0.09 * wide);
  const double size = sectionSize(end);
  drawSection(ink, *made, end, section, size, false);
  if (made->driven) drawLinkage(ink, *made, section, size);
  if (slides(decided(*made))) drawTrack(ink, *made, end, section, size);
  if (decided(*made).partsRibs()) drawSection(ink, *made, end, detailAt(), detailSize(end), true);
  const Point words(mirrored() ? -wide : 0.0, sectionTop() + 0.05 * wide);
  ink.text(words,
           tr("%1 out, turned %2° %3 · %4 times as large")
               .arg(len(end.t))
               .arg(std::abs(radToDeg(swingOf(*made))), 0, 'f', 1)
               .arg(swingOf(*made) < 0 ? tr("down") : tr("up"))
               .arg(size, 0, 'f', 1),
           look.ink, {0, 0}, Qt::AlignLeft, 12, true);
  if (decided(*made).partsRibs()) {
    const HingeSection& cut = end.cut;
    const QString what = cut.noseRadius > 0 ? tr("round nose, radius %1").arg(len(cut.noseRadius))
                                            : tr("cut back %1 above, %2 below · gap %3")
                                                  .arg(len(cut.backTop), len(cut.backBottom), len(decided(*made).gap));
    ink.text(detailAt() - Point(0, 0.115 * wide), what, look.ink, {0, 10}, Qt::AlignHCenter, 11);
  }
}

double SurfaceBoard::sectionLeft(const SurfaceEnd& end) const {
  return mirrored() ? -breadth() + sectionSize(end) * end.frame.chord : 0.0;
}

Point SurfaceBoard::detailAt() const {
  const double span = breadth();
  return {mirrored() ? -0.18 * span : 0.82 * span, sectionTop() - 0.09 * span};
}

/// Both ends of runs, and hard points, are pulled along the span and the chord.
void SurfaceBoard::addFittingHandles(std::vector<Handle>& to) const {
  const TruePanel& w = panel();
  const PanelLoft& loft = w.shape.loft;
  const double side = mirrored() ? -1 : 1;
  const auto both = [&](const QString& name, const QString& undo, const Point& at, double chord,
                        const std::string& along, double t, const std::string& chordwise, double fraction) {
    Handle h{name, at, at, Qt::SizeAllCursor, undo, {}, true};
    h.pull = [=](const Design& design, const Point& by) {
      const auto moved = decideValue(design, along, t + side * by.x());
      if (!moved) return moved;
      return decideValue(moved.value(), chordwise, fraction - by.y() / chord);
    };
    to.push_back(std::move(h));
  };
  for (std::size_t k = 0; k < w.design.runs.size(); ++k) {
    const Run& run = w.design.runs[k];
    const QString name = QString::fromStdString(run.name);
    const std::string path = pathOf(here()) + "runs." + std::to_string(k) + ".";
    for (const bool then : {false, true}) {
      const double t = std::clamp(then ? run.to : run.from, 0.0, loft.span()), fraction = then ? run.xTo : run.xFrom;
      const ChordFrame f = loft.frameAt(t);
      both((then ? tr("outer end of the %1") : tr("inner end of the %1")).arg(name), tr("Move the %1").arg(name),
           onPlan(planX(f, fraction), t), f.chord, path + (then ? "to" : "from"), t, path + (then ? "xTo" : "xFrom"),
           fraction);
    }
  }
  for (const HardPointMade& made : w.hardPoints) {
    const HardPoint& h = w.design.hardPoints[static_cast<std::size_t>(made.number)];
    const QString name = QString::fromStdString(h.name);
    const std::string path = pathOf(here()) + "hardPoints." + std::to_string(made.number) + ".";
    both(tr("middle of the %1").arg(name), tr("Move the %1").arg(name), onPlan(made.middle.x(), made.middle.y()),
         loft.frameAt(made.middle.y()).chord, path + "at", made.middle.y(), path + "chord", h.chord);
  }
}

std::vector<Handle> SurfaceBoard::handles() const {
  std::vector<Handle> out;
  addFittingHandles(out);
  const SurfaceMade* made = shown();
  if (!made) return out;
  const Surface& s = decided(*made);
  const PanelLoft& loft = panel().shape.loft;
  const QString name = QString::fromStdString(s.name);
  const std::string path = pathOf(here()) + "surfaces." + std::to_string(made->line.surface) + ".";
  for (const bool outer : {false, true}) {
    const double t = outer ? made->line.to : made->line.from;
    const ChordFrame f = loft.frameAt(t);
    const Point hinge = onPlan(made->line.axis.at(t).x(), t),
                tail = onPlan(s.plateLike() ? made->line.axis.at(t).x() + s.plateChord : f.te.x(), t);
    if (!s.whole()) {
      Handle end{(outer ? tr("outer end of the %1") : tr("inner end of the %1")).arg(name),
                 tail,
                 tail,
                 Qt::SizeHorCursor,
                 tr("Move an end of the %1").arg(name),
                 {},
                 true};
      end.pull = [path, outer, t, side = mirrored() ? -1.0 : 1.0](const Design& design, const Point& by) {
        return decideValue(design, path + (outer ? "to" : "from"), t + side * by.x());
      };
      out.push_back(std::move(end));
    }
    Handle line{
        (outer ? tr("hinge line at the outer end of the %1") : tr("hinge line at the inner end of the %1")).arg(name),
        hinge,
        hinge,
        Qt::SizeVerCursor,
        tr("Move the hinge line of the %1").arg(name),
        {},
        true};
    line.pull = [path, outer, chord = f.chord, now = s](const Design& design, const Point& by) {
      if (now.by == HingeBy::fromTail && !now.whole())
        return decideValue(design, path + (outer ? "tailTo" : "tailFrom"),
                           (outer ? now.tailTo : now.tailFrom) + by.y());
      return decideValue(design, path + (outer ? "chordTo" : "chordFrom"),
                         (outer ? now.chordTo : now.chordFrom) - by.y() / chord);
    };
    out.push_back(std::move(line));
  }
  // The trailing edge is swung by hand: that decides nothing.
  const SurfaceEnd end = sectionShown(*made);
  const double size = sectionSize(end), side = mirrored() ? -1 : 1, swung = swingOf(*made);
  const Point section(sectionLeft(end), sectionTop() - 0.09 * breadth());
  const Point tip = s.plateLike() ? end.cut.hinge + Point(s.plateChord, 0) : Point(end.frame.chord, 0);
  const Point turnedTip = turnedAbout({tip}, end.cut.hinge, swung).front();
  const Point at = section + Point(side * turnedTip.x(), turnedTip.y()) * size;
  Handle swingIt{
      tr("trailing edge of the %1, to swing it").arg(name), at, at, Qt::SizeVerCursor, tr("Swing"), {}, true};
  swingIt.pull = [this, number = made->line.surface, at, id = here(),
                  centre = Point(section + Point(side * end.cut.hinge.x(), end.cut.hinge.y()) * size), side,
                  most = s.whole() || !s.plateLike() ? degToRad(85.0) : degToRad(89.0)](
                     const Design& design, const Point& by) -> Result<Design> {
    const Point arm = at + by - centre;
    swing = std::clamp(std::atan2(arm.y(), side * arm.x()), -most, most);
    swungSurface = number, swungPanel = id;
    return design;
  };
  out.push_back(std::move(swingIt));
  return out;
}

void SurfaceBoard::clicked(const Point& p) {
  const double t = mirrored() ? -p.x() : p.x();
  if (-p.y() > planEnd() || t < 0 || t > panel().shape.loft.span()) return;
  const Rib* nearest = &panel().frame.ribs.front();
  for (const Rib& rib : panel().frame.ribs)
    if (std::abs(rib.t() - t) < std::abs(nearest->t() - t)) nearest = &rib;
  standpoint.setRib(nearest->number);
}

} // namespace eup::app
