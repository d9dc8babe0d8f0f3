#include "app/boards/plan_board.h"
#include "app/boards/stage_boards.h"
#include "core/described/decisions.h"
#include "core/design/panel_rules.h"
#include "core/geometry/polyline.h"
#include "core/joins/packing.h"
#include "core/trials/trial_assembly.h"
#include "core/wing/run_over.h"

namespace eup::app {
namespace {

/// Words over and under a picture, in pixels.
constexpr double overPicture = 26, underBrace = 48, underBoard = 34;
/// In how many rows the words under the packing stand, so that neighbours do not run into each other.
constexpr int packingRows = 2;

/// How many times larger than the join something is drawn: a number that can be said.
double magnified(double most) {
  return most < 1 ? std::max(0.1, std::floor(most * 10) / 10) : std::floor(std::min(most, 8.0) * 2) / 2;
}

} // namespace

QString JoinBoard::heading() const {
  if (standpoint.subject().topic == Topic::strut) return tr("Struts and wires, the finished wing seen from behind");
  if (standpoint.subject().topic == Topic::posts) return tr("The root on its posts, seen from the left");
  const PanelJoin& j = panel().join;
  if (j.centre && !panel().design.mirrored) return tr("Setting up, seen from behind");
  return j.centre ? tr("Centre join, seen from behind")
                  : tr("Join of panel %1 to panel %2, seen from behind")
                        .arg(panel().design.id.panel + 1)
                        .arg(panel().design.id.panel);
}
QString JoinBoard::subheading() const {
  if (showsHolding()) return tr("true to scale, as it flies");
  const PanelJoin& j = panel().join;
  if (j.centre && !panel().design.mirrored) return tr("flat on the board · true lengths");
  if (straightOverRoot(panel())) return tr("built as one, its strips straight through the join · true lengths");
  if (passesRoot(panel())) return tr("built as one, its strips cracked and set at the join · true lengths");
  if (!j.centre) return tr("the panel inside pinned flat, this one propped · true lengths");
  return j.otherFlat ? tr("one half flat on the board, the other propped · true lengths")
                     : tr("both halves propped · true lengths");
}

Box JoinBoard::content() const {
  if (showsHolding()) return holdingContent();
  const WholeWing& wing = standpoint.shownWing();
  const double span = reach();
  const double from = standpoint.hand() == ShownHand::right ? -0.05 * span : -1.02 * span,
               to = standpoint.hand() == ShownHand::left ? 0.05 * span : 1.02 * span;
  double high = std::max(panel().join.risePropped, 0.0);
  if (wing.panels.size() > 1 && panel().join.centre) high = std::max(high, wing.tipRise);
  Box box;
  const double top = high + 0.1 * span;
  box.include(Point(from, top));
  box.include(Point(to + (standpoint.hand() == ShownHand::left ? 0 : 0.18 * span), -0.3 * span));
  // Down to where the board ends: its whole height is for the pictures below.
  const QSizeF room = roomForPicture();
  box.include(Point(from, std::min(-0.3 * span, top - box.width() * room.height() / room.width())));
  return box;
}

/// Braces side by side, two in a row, and under them the rib on its packing, each as large as there is room for.
JoinBoard::Below JoinBoard::below(double pixels) const {
  const TruePanel& w = panel();
  const Box box = content();
  Below out;
  double braceWide = 0, braceHigh = 0;
  for (const Brace& b : w.join.braces) {
    const Box one = boundsOf(b.outline);
    braceWide = std::max(braceWide, one.width()), braceHigh = std::max(braceHigh, one.height());
  }
  const std::size_t rows = std::max<std::size_t>(1, (w.join.braces.size() + 1) / 2);
  const Rib& rib = chosenRib();
  double lift = 0;
  for (const Support& s : w.settingUp.ribs[static_cast<std::size_t>(rib.number - w.design.firstRib)].at)
    if (s.there) lift = std::max(lift, s.height);
  const double deep = rib.depth + lift, wide = box.width();
  const double words =
      underBoard + static_cast<double>(rows) * (overPicture + underBrace) + overPicture + 46.0 * packingRows + 12;
  const double free = std::max(-box.low.y() - words / pixels, 0.05 * wide);
  // Beside a brace stands how it is bent: two in a row leave room for that.
  const double beside = 175 / pixels,
               roomForBrace = w.join.braces.size() > 1 ? std::max(0.48 * wide - beside, 0.15 * wide) : 0.62 * wide;
  const double forBrace = braceWide > 0 ? roomForBrace / braceWide : 0, forRib = 0.86 * wide / rib.frame.chord;
  const double asked = static_cast<double>(rows) * forBrace * braceHigh + forRib * deep;
  const double fit = std::min(1.0, free / std::max(asked, 1e-6));
  out.brace = magnified(forBrace * fit);
  out.rib = magnified(forRib * fit);
  // What room is left stands between them.
  const double spare = std::max(free - static_cast<double>(rows) * out.brace * braceHigh - out.rib * deep, 0.0) /
                       static_cast<double>(rows + 2);
  out.top = -underBoard / pixels - spare;
  out.row = out.brace * braceHigh + (overPicture + underBrace) / pixels + spare;
  out.packing = out.top - static_cast<double>(rows) * out.row;
  return out;
}

/// What the picture spans on one side: at the centre the whole half, further out the two panels that meet.
double JoinBoard::reach() const {
  const TruePanel& w = panel();
  if (w.join.centre) return standpoint.shownWing().planform.halfSpan;
  return w.shape.loft.span() + inside()->shape.loft.span();
}

const TruePanel* JoinBoard::inside() const {
  const PanelId id = panel().design.id;
  return id.panel == 0 ? nullptr : &standpoint.shownModel().at({id.wing, id.panel - 1});
}

/// One panel from behind, its root's leading edge at `from`, leaning by `angle`. Gives back where its tip's lies.
Point JoinBoard::drawPanel(Ink& ink, const TruePanel& w, double side, const Point& from, double angle, bool faint,
                           Point* underTip) const {
  const double s = std::sin(angle), c = std::cos(angle);
  const auto at = [&](double t, double z) -> Point { return from + Point(side * (t * c - z * s), t * s + z * c); };
  Polyline top, bottom;
  for (const Rib& rib : w.frame.ribs) {
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
    const bool mine = w.frame.ribs[i].number == standpoint.rib();
    ink.line(top[i], bottom[i], mine ? look.accent : look.faint, mine ? 2 : 0.8);
  }
  if (underTip) *underTip = bottom.back();
  return at(w.shape.loft.span(), 0);
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
  for (const Point& p : w.shape.loft.cutAt(0).lower) rootLow = std::min(rootLow, p.y());
  Point underTip(0, 0), from(0, -rootLow * (w.join.otherFlat ? 1 : std::cos(angle)));
  if (!centre) {
    from = {0, -inside()->shape.loft.lowest()};
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
  if (!propped || straightOverRoot(w)) return;
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
  ink.text(root + Point(side * w.shape.loft.span() * 0.28, w.shape.loft.span() * 0.28 * std::sin(angle)), words,
           look.accent, {0, 34}, Qt::AlignHCenter, 13, true);
}

void JoinBoard::drawBraces(Ink& ink, double left, const Below& place) const {
  const TruePanel& w = panel();
  for (std::size_t i = 0; i < w.join.braces.size(); ++i)
    drawBrace(ink,
              {left + (i % 2 == 0 ? 0 : 0.5 * content().width()), place.top - static_cast<double>(i / 2) * place.row},
              place.brace, w.join.braces[i]);
  if (w.join.braces.empty())
    ink.text(
        {left, place.top},
        !w.design.mirrored && w.join.centre ? tr("A fin's root meets no other half")
        : w.joiner
            ? tr("Joined by a rod: %1 across, legs %2").arg(len(w.design.join.joiner.diameter), len(w.joiner->reach))
        : passesRoot(w) ? tr("No brace: the strips pass the join in one piece")
        : panel().sheet ? tr("Ends bevelled, glued in the cradle of the gauges' print")
                        : tr("No brace"),
        look.faint, {0, 14}, Qt::AlignLeft, 13, true);
}

void JoinBoard::drawBrace(Ink& ink, const Point& at, double k, const Brace& b) const {
  const TruePanel& w = panel();
  const Bracing& decided = w.design.join.braces[static_cast<std::size_t>(b.number)];
  const Box size = boundsOf(b.outline);
  const Point middle = at + Point(-k * size.low.x(), -overPicture / ink.scale - k * size.high.y());
  Polyline outline;
  for (const Point& p : b.outline) outline.push_back(middle + p * k);
  ink.text(at,
           tr("Brace on the %1 (drawn × %2)")
               .arg(QString::fromStdString(w.design.spars[static_cast<std::size_t>(b.spar)].name))
               .arg(k),
           look.ink, {0, 14}, Qt::AlignLeft, 13, true);
  ink.loop(outline, look.ply, look.ink, 1.4);
  ink.pick({Topic::brace, b.number}, {outline});
  ink.line(middle + Point(0, 0.6 * k * b.depthRoot), middle - Point(0, 0.6 * k * b.depthRoot), look.accent, 1,
           Qt::DashLine);
  ink.text({boundsOf(outline).high.x(), middle.y()},
           b.folded ? tr("bend %1°, folded %2°").arg(radToDeg(b.bend), 0, 'f', 2).arg(radToDeg(b.turn), 0, 'f', 2)
                    : tr("bend %1°").arg(radToDeg(b.bend), 0, 'f', 2),
           look.accent, {10, 5}, Qt::AlignLeft, 13, true);
  const Point foot = boundsOf(outline).low;
  const QString thick = (decided.plates() > 1 ? tr("two, %1 thick") : tr("%1 thick")).arg(len(decided.thickness));
  ink.text(foot,
           w.join.centre ? tr("%1, legs %2, to R%3").arg(thick, len(b.outer.length)).arg(b.outer.toRib)
                         : tr("%1, legs %2 to R%3 and %4 to R%5")
                               .arg(thick, len(b.inner.length))
                               .arg(b.inner.toRib)
                               .arg(len(b.outer.length))
                               .arg(b.outer.toRib),
           look.faint, {0, 16}, Qt::AlignLeft, 11);
  ink.text(foot, tr("%1 deep at the join, %2 at the ends").arg(len(b.depthRoot), len(b.outer.depthEnd)), look.faint,
           {0, 31}, Qt::AlignLeft, 11);
}

/// Where the rib comes to lie when the wing is put together again from its flat parts.
void JoinBoard::drawTrial(Ink& ink, const Point& at, int rib) const {
  for (const AssembledPanel& p : assembled(standpoint.shownWing()).panels)
    for (const AssembledRib& r : p.ribs) {
      if (r.rib != rib) continue;
      const double off = std::abs(r.off) < 0.005 ? 0 : r.off,
                   turned = std::abs(radToDeg(r.turned)) < 0.005 ? 0 : radToDeg(r.turned);
      ink.text(at, tr("on trial: %1 off, turned %2°").arg(len(off)).arg(turned, 0, 'f', 2),
               off > trialSeen || std::abs(turned) > trialSeenDeg ? look.wrong : look.good, {0, 14}, Qt::AlignRight,
               12);
      return;
    }
}

void JoinBoard::drawPacking(Ink& ink, const Point& at, double k) const {
  const TruePanel& w = panel();
  const Rib& rib = chosenRib();
  const auto i = static_cast<std::size_t>(rib.number - w.design.firstRib);
  const RibSupports& supports = w.settingUp.ribs[i];
  const Placement turn{-w.settingUp.turn, {0, 0}};
  const Point nose = turn(rib.frame.le);
  const double board = w.settingUp.board;
  double high = rib.depth;
  for (const Support& s : supports.at)
    if (s.there) high = std::max(high, rib.depth + s.height);
  const Point foot = at - Point(0, overPicture / ink.scale + k * high);
  const auto place = [&](const Point& chordAxes) -> Point {
    const Point3 in = rib.inPanel(chordAxes);
    const Point p = turn(Point(in.x(), in.z()));
    return foot + Point((p.x() - nose.x()) / std::cos(rib.turn), p.y() - board) * k;
  };
  Polyline outline;
  for (const Point& p : rib.bare) outline.push_back(place(p));
  ink.text(at, tr("R%1 on the board: packing under it (drawn × %2)").arg(rib.number).arg(k), look.ink, {0, 14},
           Qt::AlignLeft, 13, true);
  drawTrial(ink, {content().high.x(), at.y()}, rib.number);
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
  for (const Support& s : supports.at) {
    if (!s.there) continue;
    const Point p = place({s.x, 0});
    ink.line({p.x(), foot.y()}, {p.x(), foot.y() + s.height * k}, look.accent, 3);
    const double down = (row++ % packingRows) * 46;
    ink.text({p.x(), foot.y()}, QString::fromStdString(s.line), look.faint, {0, 16 + down}, Qt::AlignHCenter, 11);
    ink.text({p.x(), foot.y()}, len(s.height), look.accent, {0, 31 + down}, Qt::AlignHCenter, 12, true);
    ink.text({p.x(), foot.y()},
             QString::fromStdString(stackText(stackFor(s.height, w.design.join.packing), w.design.unit)), look.faint,
             {0, 45 + down}, Qt::AlignHCenter, 10);
  }
}

void JoinBoard::draw(Ink& ink) const {
  if (showsHolding()) return drawHolding(ink);
  const TruePanel& w = panel();
  const Box box = content();
  ink.line({box.low.x(), 0}, {box.high.x(), 0}, look.ink, 1.8);
  ink.text({box.low.x(), 0}, tr("building board"), look.faint, {0, 16}, Qt::AlignLeft, 11);
  if (standpoint.hand() != ShownHand::left || !w.design.mirrored) drawHalf(ink, 1);
  if (standpoint.hand() != ShownHand::right && w.design.mirrored) drawHalf(ink, -1);
  const double left = box.low.x() + 0.02 * box.width();
  const Below place = below(ink.scale);
  drawBraces(ink, left, place);
  if (panel().design.built == Built::ribs) drawPacking(ink, {left, place.packing}, place.rib);
}

std::vector<Handle> JoinBoard::handles() const {
  if (showsHolding()) return holdingHandles();
  const TruePanel& w = panel();
  const double side = mirrored() ? -1 : 1, span = w.shape.loft.span();
  const double flat = w.join.centre ? 0 : inside()->shape.loft.span();
  const Point at(side * (flat + span * std::cos(w.join.onBoard)), w.join.risePropped + w.frame.ribs.front().depth);
  return {{tr("tip"), at, at, Qt::SizeVerCursor, tr("Raise the tip"), [id = here()](const Design& d, const Point& by) {
             const PanelDesign& p = d.at(id);
             if (p.join.blockHeight > 0)
               return decideValue(d, pathOf(id) + "join.blockHeight", p.join.blockHeight + by.y());
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
  case Stage::skins:
    return new SkinBoard(d, s, l, parent);
  case Stage::foam:
    return new FoamBoard(d, s, l, parent);
  case Stage::surfaces:
    return new SurfaceBoard(d, s, l, parent);
  case Stage::stock:
    return new StockBoard(d, s, l, parent);
  case Stage::build:
    return new BuildBoard(d, s, l, parent);
  }
  return nullptr;
}

} // namespace eup::app
