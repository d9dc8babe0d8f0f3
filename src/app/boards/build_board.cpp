// The board of the building: how far each panel is, and what was read of it.
#include "app/boards/stage_boards.h"
#include "core/bench/progress.h"
#include "core/steps/steps.h"
#include "core/wing/as_read.h"
#include <algorithm>
#include <cmath>
#include <QFontMetricsF>

namespace eup::app {
namespace {

/// Of the half span: how high the plot of the readings is, and how far under the wing.
constexpr double plotHigh = 0.2, plotUnder = 0.1;
constexpr int along = 12; // steps of a line over a panel

} // namespace

QString BuildBoard::heading() const {
  return tr("%1, on the bench").arg(QString::fromStdString(panel().design.name));
}

QString BuildBoard::subheading() const {
  return tr("steps done of every panel; below, washout as read against washout as decided");
}

QString BuildBoard::handWords() const {
  return standpoint.hand() == ShownHand::left ? tr("READS THE LEFT HAND") : tr("READS THE RIGHT HAND");
}

const std::vector<Step>& BuildBoard::steps() const {
  if (stepsOfWing != document.now().wing) stepsOfWing = document.now().wing, listed = stepsOf(*stepsOfWing);
  return listed;
}

const WholeWing& BuildBoard::wingOf(Hand hand) const {
  return document.wing().of(hand).wing(here().wing);
}

std::vector<Hand> BuildBoard::hands() const {
  return wingOf(Hand::right).mirrored ? std::vector{Hand::left, Hand::right} : std::vector{Hand::right};
}

double BuildBoard::deepest() const {
  double deep = 0;
  for (const Hand hand : hands())
    for (const TruePanel& p : wingOf(hand).panels)
      for (const double t : {0.0, p.shape.loft.span()})
        deep = std::max(deep, p.design.setback + p.shape.loft.frameAt(t).te.x());
  return deep;
}

Box BuildBoard::content() const {
  Box box;
  for (const Hand hand : hands()) {
    const double span = wingOf(hand).planform.halfSpan, side = hand == Hand::left ? -1 : 1;
    box.include(Point(0, 0));
    box.include(Point(side * span, -deepest() - (plotUnder + plotHigh) * span));
  }
  const double room = 0.04 * box.width();
  box.include(box.low - Point(room, room / 2)), box.include(box.high + Point(room, room));
  return box;
}

void BuildBoard::drawHalf(Ink& ink, Hand hand) const {
  const double side = hand == Hand::left ? -1 : 1;
  const bool chosenHand = (standpoint.hand() == ShownHand::left) == (hand == Hand::left);
  for (const TruePanel& p : wingOf(hand).panels) {
    const auto at = [&](double t, double x) { return Point(side * (p.design.inboard + t), -(p.design.setback + x)); };
    const double span = p.shape.loft.span();
    const ChordFrame root = p.shape.loft.frameAt(0), tip = p.shape.loft.frameAt(span);
    const auto [all, done, next] = progressOf(steps(), document.design().records.steps, here().wing, p.design.id.panel,
                                              wingOf(hand).mirrored ? std::optional(hand) : std::nullopt);
    const PanelState state = stateOf(document.wing(), p.design.id, hand);
    const bool here_ = chosenHand && p.design.id.panel == here().panel;
    ink.loop({at(0, root.le.x()), at(span, tip.le.x()), at(span, tip.te.x()), at(0, root.te.x())},
             state == PanelState::closed ? look.sheet : look.panel, here_ ? look.accent : look.ink, here_ ? 1.8 : 1.1);
    if (all > 0 && done > 0) { // what is done, from the root out
      const double to = span * done / all;
      const ChordFrame there = p.shape.loft.frameAt(to);
      ink.loop({at(0, root.le.x()), at(to, there.le.x()), at(to, there.te.x()), at(0, root.te.x())}, look.balsa,
               look.ink, 0.8);
    }
    for (const Rib& rib : p.frame.ribs) {
      const double t = std::clamp(rib.t(), 0.0, span);
      const ChordFrame f = p.shape.loft.frameAt(t);
      const bool mine = chosenHand && rib.number == standpoint.rib();
      ink.line(at(t, f.le.x()), at(t, f.te.x()), mine ? look.accent : look.faint, mine ? 2.4 : 1);
      if (mine)
        ink.text(at(t, f.le.x()), QString::fromStdString(rib.name()), look.accent, {0, -6}, Qt::AlignHCenter, 12, true);
    }
    const ChordFrame middle = p.shape.loft.frameAt(span / 2);
    const Point centre = at(span / 2, (middle.le.x() + middle.te.x()) / 2);
    const auto fits = [&](const QString& words, int size, QFont::Weight weight) {
      QFont font = ink.painter.font();
      font.setPixelSize(size), font.setWeight(weight);
      constexpr double clear = 8; // pixels
      return QFontMetricsF(font).horizontalAdvance(words) + clear < span * ink.scale;
    };
    const QString far = tr("%1 of %2 done").arg(done).arg(all),
                  then = next ? tr("next: %1").arg(QString::fromStdString(next->what)) : QString();
    ink.text(centre, fits(far, 12, QFont::Bold) ? far : tr("%1/%2").arg(done).arg(all), look.ink, {0, 0},
             Qt::AlignHCenter, 12, true);
    if (next && fits(then, 10, QFont::Normal)) // else it is found in the list
      ink.text(centre, then, look.ink, {0, 16}, Qt::AlignHCenter, 10);
  }
  for (const ReadKind kind : {ReadKind::straightedge, ReadKind::bow}) // what is off, at its rib
    for (const RibRead& r : ribsRead(document.wing(), kind)) {
      if (r.hand != hand || r.panel.wing != here().wing) continue;
      const TruePanel& p = document.wing().of(hand).at(r.panel);
      const double t = std::clamp(p.rib(r.rib).t(), 0.0, p.shape.loft.span());
      const ChordFrame f = p.shape.loft.frameAt(t);
      const double x = kind == ReadKind::bow ? f.te.x() : f.le.x() + 0.3 * f.chord;
      const Point place(side * (p.design.inboard + t), -(p.design.setback + x));
      ink.text(place, tr("%1%2").arg(r.read.mean > 0 ? "+" : "−", len(std::abs(r.read.mean))), look.wrong,
               {0, kind == ReadKind::bow ? 14.0 : 0.0}, Qt::AlignHCenter, 11, true);
    }
}

/// Washout along the span, decided as a line, read as points with their doubt and the line through them.
void BuildBoard::drawReadings(Ink& ink) const {
  const double span = wingOf(Hand::right).planform.halfSpan, high = plotHigh * span;
  const double foot = -deepest() - plotUnder * span - high;
  const std::vector<TwistRead> twists = twistsRead(document.wing());
  double most = degToRad(1), least = 0;
  const auto take = [&](double v) { most = std::max(most, v), least = std::min(least, v); };
  const auto decided = [](const TruePanel& p, double t) { return p.shape.loft.frameAt(t).washout; };
  for (const Hand hand : hands())
    for (const TruePanel& p : wingOf(hand).panels)
      for (const double t : {0.0, p.shape.loft.span()}) take(decided(p, t));
  const auto builtAt = [&](const TwistRead& r, const TruePanel& p, const Sample& s) {
    return decided(p, placeOfTwist(p, s.at)) - (s.value - r.error.atZero);
  };
  for (const TwistRead& r : twists) {
    if (r.panel.wing != here().wing) continue;
    const TruePanel& p = document.wing().of(r.hand).at(r.panel);
    for (const Sample& s : r.samples) take(builtAt(r, p, s) + s.doubt), take(builtAt(r, p, s) - s.doubt);
  }
  const auto up = [&](double washout) { return foot + high * (washout - least) / (most - least); };
  for (const Hand hand : hands()) {
    const double side = hand == Hand::left ? -1 : 1;
    ink.line({0, up(0)}, {side * span, up(0)}, look.faint, 1, Qt::DotLine);
    Polyline line;
    for (const TruePanel& p : wingOf(hand).panels)
      for (int i = 0; i <= along; ++i) {
        const double t = p.shape.loft.span() * i / along;
        line.emplace_back(side * (p.design.inboard + t), up(decided(p, t)));
      }
    ink.chain(line, look.ink, 1.6);
    ink.text(line.back(), tr("decided"), look.ink, {side < 0 ? -6.0 : 6.0, 4},
             side < 0 ? Qt::AlignRight : Qt::AlignLeft, 11);
  }
  bool any = false;
  for (const TwistRead& r : twists) {
    if (r.panel.wing != here().wing) continue;
    any = true;
    const TruePanel& p = document.wing().of(r.hand).at(r.panel);
    const double side = r.hand == Hand::left ? -1 : 1;
    const auto at = [&](double t, double washout) { return Point(side * (p.design.inboard + t), up(washout)); };
    Polyline through;
    for (int i = 0; i <= along; ++i) {
      const double t = p.shape.loft.span() * i / along;
      through.push_back(at(t, decided(p, t) - r.error.slope * twistPlace(p, t)));
    }
    ink.chain(through, look.accent, 2);
    for (const Sample& s : r.samples) {
      const double v = builtAt(r, p, s);
      const double t = placeOfTwist(p, s.at);
      ink.line(at(t, v - s.doubt), at(t, v + s.doubt), look.accent, 1.4);
      ink.painter.setBrush(look.accent);
      ink.painter.setPen(Qt::NoPen);
      ink.painter.drawEllipse(ink.at(at(t, v)), 3.5, 3.5);
    }
    ink.text(through.back(),
             tr("read: %1° ± %2°")
                 .arg(radToDeg(decided(p, p.shape.loft.span()) - decided(p, 0) - r.twist), 0, 'f', 2)
                 .arg(radToDeg(r.doubt), 0, 'f', 2),
             look.accent, {side < 0 ? 4.0 : -4.0, r.twist > 0 ? 30.0 : -10.0},
             side < 0 ? Qt::AlignLeft : Qt::AlignRight, 11, true);
  }
  ink.text({0, up(most)}, tr("washout, up to %1°").arg(radToDeg(most), 0, 'f', 1), look.faint, {0, -8},
           Qt::AlignHCenter, 11);
  if (!any)
    ink.text({0, up((most + least) / 2)},
             tr("Nothing was read yet: lay the gauge on the root rib and on two more, and record what it says under "
                "Readings."),
             look.ink, {0, 0}, Qt::AlignHCenter, 12);
}

void BuildBoard::draw(Ink& ink) const {
  for (const Hand hand : hands()) drawHalf(ink, hand);
  drawReadings(ink);
}

void BuildBoard::clicked(const Point& p) {
  if (wingOf(Hand::right).mirrored) standpoint.setHand(p.x() < 0 ? ShownHand::left : ShownHand::right);
  standpoint.setRibAt(std::abs(p.x()));
}

} // namespace eup::app
