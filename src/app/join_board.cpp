#include "app/plan_board.h"
#include "app/stage_boards.h"
#include "core/design/decisions.h"
#include "core/geometry/polyline.h"
#include "core/joins/packing.h"

namespace eup::app {
namespace {

/// The two pictures below the join stand this far under the board (shares of the half span)…
constexpr double below = -0.30;

/// …and are drawn this many times larger than the join, so that each fills its half.
double magnified(double width, double room) {
  const double most = room / std::max(width, 1.0);
  return most < 1 ? std::max(0.1, std::floor(most * 10) / 10) : std::floor(std::min(most, 4.0) * 2) / 2;
}

} // namespace

QString JoinBoard::heading() const {
  const PanelJoin& j = panel().join;
  if (j.centre && !panel().design.mirrored) return tr("Setting up, seen from behind");
  return j.centre ? tr("Centre join, seen from behind")
                  : tr("Join of panel %1 to panel %2, seen from behind")
                        .arg(panel().design.id.panel + 1)
                        .arg(panel().design.id.panel);
}
QString JoinBoard::subheading() const {
  const PanelJoin& j = panel().join;
  if (j.centre && !panel().design.mirrored) return tr("flat on the board · true lengths");
  if (!j.centre) return tr("the panel inside pinned flat, this one propped · true lengths");
  return j.otherFlat ? tr("one half flat on the board, the other propped · true lengths")
                     : tr("both halves propped · true lengths");
}

Box JoinBoard::content() const {
  const WholeWing& wing = standpoint.shownWing();
  const double span = reach();
  const double from = standpoint.hand() == ShownHand::right ? -0.05 * span : -1.02 * span,
               to = standpoint.hand() == ShownHand::left ? 0.05 * span : 1.02 * span;
  double high = std::max(panel().join.risePropped, 0.0);
  if (wing.panels.size() > 1 && panel().join.centre) high = std::max(high, wing.tipRise);
  Box box;
  const bool two = panel().join.brace && panel().join.second; // one under the other
  box.include(Point(from, (below - (two ? 0.55 : 0.27)) * span));
  box.include(Point(to + (standpoint.hand() == ShownHand::left ? 0 : 0.18 * span), high + 0.1 * span));
  return box;
}

/// What the picture spans on one side: at the centre the whole half, further out the two panels that meet.
double JoinBoard::reach() const {
  const TruePanel& w = panel();
  if (w.join.centre) return standpoint.shownWing().planform.halfSpan;
  return w.loft.span() + inside()->loft.span();
}

const TruePanel* JoinBoard::inside() const {
  const PanelId id = panel().design.id;
  return id.panel == 0 ? nullptr : &document.wing().at({id.wing, id.panel - 1});
}

/// One panel from behind, its root's leading edge at `from`, leaning by `angle`. Gives back where its tip's lies.
Point JoinBoard::drawPanel(Ink& ink, const TruePanel& w, double side, const Point& from, double angle, bool faint,
                           Point* underTip) const {
  const double s = std::sin(angle), c = std::cos(angle);
  const auto at = [&](double t, double z) -> Point { return from + Point(side * (t * c - z * s), t * s + z * c); };
  Polyline top, bottom;
  for (const Rib& rib : w.ribs) {
    double high = -1e300, low = 1e300;
    for (const Point& p : rib.bare) {
      const double z = rib.frame.fromChord(p).y();
      high = std::max(high, z), low = std::min(low, z);
    }
    top.push_back(at(rib.t(), high));
    bottom.push_back(at(rib.t(), low));
  }
  Polyline loop = top;
  loop.insert(loop.end(), bottom.rbegin(), bottom.rend());
  ink.loop(loop, faint ? look.panel : look.balsa, faint ? look.faint : look.ink, faint ? 1 : 1.4);
  if (!faint) ink.pick({Topic::join, 0}, {loop});
  for (std::size_t i = 0; i < top.size(); ++i) {
    const bool mine = w.ribs[i].number == standpoint.rib();
    ink.line(top[i], bottom[i], mine ? look.accent : look.faint, mine ? 2 : 0.8);
  }
  if (underTip) *underTip = bottom.back();
  return at(w.loft.span(), 0);
}

/// Seen from behind, the right half lies to the right. Underside and top of the thickest place, rib by rib.
void JoinBoard::drawHalf(Ink& ink, double side) const {
  const TruePanel& w = panel();
  const WholeWing& wing = standpoint.shownWing();
  const double span = reach();
  const bool centre = w.join.centre;
  const bool propped = !centre || !w.join.otherFlat || side > 0 || standpoint.hand() == ShownHand::left;
  const double angle = propped ? w.join.onBoard : 0;
  double rootLow = 0;
  for (const Point& p : w.loft.cutAt(0).lower) rootLow = std::min(rootLow, p.y());
  Point underTip(0, 0), from(0, -rootLow * (w.join.otherFlat ? 1 : std::cos(angle)));
  if (!centre) {
    from = {0, -inside()->loft.lowest()};
    from = drawPanel(ink, *inside(), side, from, 0, true, nullptr);
  }
  Point root = from;
  from = drawPanel(ink, w, side, from, angle, false, &underTip);
  if (centre) // what is joined later, as it will stand
    for (std::size_t k = 1; k < wing.panels.size(); ++k) {
      const TruePanel& outer = wing.panels[k];
      from = drawPanel(ink, outer, side, from, angle + outer.join.gamma - w.join.gamma, true, nullptr);
    }
  if (w.joiner) {
    const auto place = [&](double t) -> Point {
      const double z = w.joiner->middle.at(t).y();
      return root +
             Point(side * (t * std::cos(angle) - z * std::sin(angle)), t * std::sin(angle) + z * std::cos(angle));
    };
    const Point a = place(0), b = place(w.joiner->reach * std::cos(w.joiner->slope));
    ink.line(a, b, look.accent, 4);
    const Point up(0, 5 / ink.scale);
    ink.pick({Topic::joiner, 0}, {{a - up, b - up, b + up, a + up}});
  }
  if (centre && !w.design.mirrored) return; // a fin's root is propped by nothing
  if (!propped) return;
  const double wide = 0.035 * span, block = w.join.block.height;
  ink.loop(rectangle({underTip.x() - wide / 2 - side * wide / 2, 0},
                     {underTip.x() + wide / 2 - side * wide / 2, std::max(block, 0.5)}),
           look.ply, look.ink, 1);
  if (side < 0 && standpoint.hand() == ShownHand::both) return;
  const double beside = underTip.x() + side * 0.02 * span;
  ink.line({beside, 0}, {beside, block}, look.accent, 2);
  const bool under = centre && wing.panels.size() > 1; // the panels further out are drawn beside it
  ink.text({beside, under ? 0 : block / 2}, len(block), look.accent, {side * 7, under ? 20.0 : 5.0},
           side > 0 ? Qt::AlignLeft : Qt::AlignRight, 15, true);
  const QString words = centre ? tr("%1° each half").arg(radToDeg(w.join.gamma), 0, 'f', 2)
                               : tr("%1° between the panels").arg(radToDeg(2 * w.join.fold), 0, 'f', 2);
  ink.text(root + Point(side * w.loft.span() * 0.28, w.loft.span() * 0.28 * std::sin(angle)), words, look.accent,
           {0, 34}, Qt::AlignHCenter, 13, true);
}

void JoinBoard::drawBrace(Ink& ink, const Point& at, double room) const {
  const TruePanel& w = panel();
  if (w.join.brace) drawOneBrace(ink, at, room, *w.join.brace, w.design.join, 0);
  if (w.join.second) // under the first
    drawOneBrace(ink, at - Point(0, w.join.brace ? 0.3 * reach() : 0), room, *w.join.second,
                 withSecondBrace(w.design.join), 1);
  if (!w.join.brace && !w.join.second)
    ink.text(
        at,
        !w.design.mirrored && w.join.centre ? tr("A fin's root meets no other half")
        : w.joiner
            ? tr("Joined by a rod: %1 across, legs %2").arg(len(w.design.join.joiner.diameter), len(w.joiner->reach))
            : tr("No brace"),
        look.faint, {}, Qt::AlignLeft, 13, true);
}

void JoinBoard::drawOneBrace(Ink& ink, const Point& at, double room, const Brace& b, const Join& join,
                             int number) const {
  const TruePanel& w = panel();
  const double k = magnified(boundsOf(b.outline).width(), room);
  const Point middle =
      at + Point(k * boundsOf(b.outline).width() / 2, -0.065 * reach() - k * boundsOf(b.outline).height() / 2);
  Polyline outline;
  for (const Point& p : b.outline) outline.push_back(middle + p * k);
  ink.text(at,
           tr("Brace on the %1 (drawn × %2)")
               .arg(QString::fromStdString(w.design.spars[static_cast<std::size_t>(b.spar)].name))
               .arg(k),
           look.ink, {0, -8}, Qt::AlignLeft, 13, true);
  ink.loop(outline, look.ply, look.ink, 1.4);
  ink.pick({Topic::brace, number}, {outline});
  ink.line(middle + Point(0, k * b.depthRoot), middle - Point(0, k * b.depthRoot), look.accent, 1, Qt::DashLine);
  ink.text(middle + Point(0, k * b.depthRoot),
           b.folded ? tr("bend %1°, folded %2°").arg(radToDeg(b.bend), 0, 'f', 2).arg(radToDeg(b.turn), 0, 'f', 2)
                    : tr("bend %1°").arg(radToDeg(b.bend), 0, 'f', 2),
           look.accent, {0, -5}, Qt::AlignHCenter, 13, true);
  const Point foot = boundsOf(outline).low;
  const QString thick =
      (join.braceSide == BraceSide::both ? tr("two, %1 thick") : tr("%1 thick")).arg(len(join.braceThickness));
  ink.text(foot,
           w.join.centre ? tr("%1, legs %2, to R%3").arg(thick, len(b.outer.length)).arg(b.outer.toRib)
                         : tr("%1, legs %2 to R%3 and %4 to R%5")
                               .arg(thick, len(b.inner.length))
                               .arg(b.inner.toRib)
                               .arg(len(b.outer.length))
                               .arg(b.outer.toRib),
           look.faint, {0, 20}, Qt::AlignLeft, 11);
  ink.text(foot, tr("%1 deep at the join, %2 at the ends").arg(len(b.depthRoot), len(b.outer.depthEnd)), look.faint,
           {0, 36}, Qt::AlignLeft, 11);
}

void JoinBoard::drawPacking(Ink& ink, const Point& at, double room) const {
  const TruePanel& w = panel();
  const Rib& rib = chosenRib();
  const auto i = static_cast<std::size_t>(rib.number - w.design.firstRib);
  const RibSupports& supports = w.settingUp.ribs[i];
  const Placement turn{-w.settingUp.turn, {0, 0}};
  const Point nose = turn(rib.frame.le);
  const double board = nose.y() - supports.at.front().height;
  const double k = magnified(w.design.panel.rootChord, room);
  const Point foot = at + Point(0, -0.14 * reach());
  const auto place = [&](const Point& chordAxes) -> Point {
    const Point3 in = rib.inPanel(chordAxes);
    const Point p = turn(Point(in.x(), in.z()));
    return foot + Point((p.x() - nose.x()) / std::cos(rib.turn), p.y() - board) * k;
  };
  Polyline outline;
  for (const Point& p : rib.bare) outline.push_back(place(p));
  ink.text(at, tr("R%1 on the board: packing under it (drawn × %2)").arg(rib.number).arg(k), look.ink, {0, -8},
           Qt::AlignLeft, 13, true);
  ink.loop(outline, look.balsa, look.ink, 1.4);
  ink.pick({Topic::settingUp, 0}, {outline});
  for (const Foot& f : supports.feet) {
    Polyline shape;
    for (const Point& p : f.outline) shape.push_back(place(p));
    ink.loop(shape, look.balsa, look.ink, 1.2);
    ink.line(place(f.breakFrom), place(f.breakTo), look.wrong, 1.4, Qt::DashLine);
  }
  ink.line(foot - Point(12, 0), foot + Point(rib.frame.chord * k + 12, 0), look.ink, 1.6);
  int row = 0;
  const int rows = supports.at.size() > 4 ? 3 : 2; // of words, so that they do not run into each other
  for (const Support& s : supports.at) {
    if (!s.there) continue;
    const Point p = place({s.x, 0});
    ink.line({p.x(), foot.y()}, {p.x(), foot.y() + s.height * k}, look.accent, 3);
    const double down = (row++ % rows) * 46;
    ink.text({p.x(), foot.y()}, QString::fromStdString(s.line), look.faint, {0, 16 + down}, Qt::AlignHCenter, 11);
    ink.text({p.x(), foot.y()}, len(s.height), look.accent, {0, 31 + down}, Qt::AlignHCenter, 12, true);
    ink.text({p.x(), foot.y()},
             QString::fromStdString(stackText(stackFor(s.height, w.design.join.packing), w.design.unit)), look.faint,
             {0, 45 + down}, Qt::AlignHCenter, 10);
  }
}

void JoinBoard::draw(Ink& ink) const {
  const TruePanel& w = panel();
  const double span = reach();
  const Box box = content();
  ink.line({box.low.x(), 0}, {box.high.x(), 0}, look.ink, 1.8);
  ink.text({box.low.x(), 0}, tr("building board"), look.faint, {0, 16}, Qt::AlignLeft, 11);
  if (standpoint.hand() != ShownHand::left || !w.design.mirrored) drawHalf(ink, 1);
  if (standpoint.hand() != ShownHand::right && w.design.mirrored) drawHalf(ink, -1);
  const double left = box.low.x() + 0.03 * span, half = box.width() / 2;
  drawBrace(ink, {left, (below + 0.05) * span}, half * 0.82);
  drawPacking(ink, {left + half, (below + 0.05) * span}, half * 0.82);
}

std::vector<Handle> JoinBoard::handles() const {
  const TruePanel& w = panel();
  const double side = mirrored() ? -1 : 1, span = w.loft.span();
  const double flat = w.join.centre ? 0 : inside()->loft.span();
  const Point at(side * (flat + span * std::cos(w.join.onBoard)), w.join.risePropped + w.ribs.front().depth);
  return {{tr("tip"), at, at, Qt::SizeVerCursor, tr("Raise the tip"), [id = here()](const Design& d, const Point& by) {
             const PanelDesign& p = d.at(id);
             return decideValue(d, pathOf(id) + "join.dihedral.rise", riseOf(p.join.dihedral, p.panel.span) + by.y());
           }}};
}

Board* makeBoard(Stage stage, Document& d, Standpoint& s, const Look& l, QWidget* parent) {
  switch (stage) {
  case Stage::plan:
    return new PlanBoard(d, s, l, parent);
  case Stage::sections:
    return new SectionBoard(d, s, l, parent);
  case Stage::panels:
    return new LayoutBoard(d, s, l, parent);
  case Stage::ribs:
    return new RibBoard(d, s, l, parent);
  case Stage::spars:
    return new SparBoard(d, s, l, parent);
  case Stage::joins:
    return new JoinBoard(d, s, l, parent);
  }
  return nullptr;
}

} // namespace eup::app
