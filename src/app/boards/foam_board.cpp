// The board of foam: the block with its core from above, and both ends as the wire goes round them.
#include "app/boards/stage_boards.h"
#include "core/foam/wire_marks.h"
#include "core/geometry/polyline.h"
#include <algorithm>

namespace eup::app {
namespace {

constexpr double between = 0.1; // of the panel's span, from picture to picture

} // namespace

QString FoamBoard::heading() const {
  return tr("%1, cut from foam").arg(QString::fromStdString(panel().design.name));
}

QString FoamBoard::subheading() const {
  return tr("its blocks from above; both ends with the wire's way and its marks; drag strips, and what lies in it");
}

QString FoamBoard::emptyText() const {
  if (panel().foam) return {};
  if (panel().design.foam.between && panel().design.built == Built::ribs)
    return tr(
        "Foam fills the bays between the ribs.\n\nEach bay's block is sawn to the clear length between its two ribs, "
        "set between them, and cut with a hot wire along their edges, or sanded: the ribs are its templates. The "
        "parts list has the blocks.\n\nHot wire: isolated low-voltage direct current, never bare mains; fumes "
        "out; it burns; never leave it alone.");
  return tr(
      "This panel is not of foam.\n\nLay out panels → Built of → foam makes its core one that is cut by a hot wire: "
      "templates, blocks and the wire's way follow from its sections, skins and edges.");
}

const FoamCore* FoamBoard::shownCore() const {
  return panel().foam ? panel().foam->coreAt(chosenRib().t()) : nullptr;
}

Point FoamBoard::onPlan(double aft, double out) const {
  return {mirrored() ? -out : out, -aft};
}

/// How many times as large as the plan the ends are drawn.
double FoamBoard::endSize(const FoamCore& core) const {
  return std::clamp(0.8 * panel().shape.loft.span() / std::max(core.block.width, 1.0), 0.5, 4.0);
}

/// How far down the board the plans reach; the pictures of both ends stand under them.
double FoamBoard::plansEnd() const {
  double end = panel().design.panel.rootChord;
  if (panel().foam)
    for (const FoamCore& core : panel().foam->cores)
      end = std::max(end, core.inner.frame.le.x() + core.front + core.block.width);
  return end;
}

Box FoamBoard::content() const {
  Box box;
  const double span = panel().shape.loft.span(), gap = between * span;
  const FoamCore* core = shownCore();
  const double high = core ? core->block.height * endSize(*core) : 30;
  box.include(onPlan(0, 0)), box.include(onPlan(0, span));
  box.include(Point(0, -plansEnd() - 3.2 * gap - 2 * high));
  const double room = 0.05 * span;
  return {box.low - Point(room, room), box.high + Point(room, 1.5 * room)};
}

void FoamBoard::drawPlan(Ink& ink, const FoamCore& core, bool mine) const {
  const auto corner = [&](double aft, double out) { return onPlan(aft, out); };
  // Each block stands from its core's inner end, in the panel's own place.
  const double aft = core.inner.frame.le.x();
  const Polyline block{
      corner(aft + core.front, core.inner.t), corner(aft + core.front + core.block.width, core.inner.t),
      corner(aft + core.front + core.block.width, core.outer.t), corner(aft + core.front, core.outer.t)};
  ink.loop(block, look.panel, look.ink, 1.2);
  const auto x = [&](const CoreEnd& end, double chordwise) { return end.frame.fromChord({chordwise, 0}).x(); };
  const auto quad = [&](double inFrom, double inTo, double outFrom, double outTo) -> Polyline {
    return {corner(x(core.inner, inFrom), core.inner.t), corner(x(core.inner, inTo), core.inner.t),
            corner(x(core.outer, outTo), core.outer.t), corner(x(core.outer, outFrom), core.outer.t)};
  };
  const PanelBrief& d = panel().design;
  const double front = d.leading.onRib(), tail = d.trailing.onRib(), in = core.inner.frame.chord,
               out = core.outer.frame.chord;
  const Polyline plan = quad(front, in - tail, front, out - tail);
  ink.loop(plan, look.foam, mine ? look.accent : look.ink, mine ? 2 : 1.2);
  ink.pick({Topic::foam, 0}, {plan});
  if (front > 0) ink.loop(quad(0, front, 0, front), look.stock, look.ink, 1);
  if (tail > 0) ink.loop(quad(in - tail, in, out - tail, out), look.stock, look.ink, 1);
  for (const SparLine& line : panel().frame.spars) {
    const double from = core.inner.t, to = std::min(core.outer.t, line.end);
    if (to > from)
      ink.line(corner(line.middle.at(from).x(), from), corner(line.middle.at(to).x(), to), look.hardwood, 2.4);
  }
}

/// What is cut out shows the board's paper, the rest its material.
QColor FoamBoard::inkOf(const CoreThing& thing) const {
  return thing.empty() ? look.paper : thing.kind == InCore::web ? look.ply : look.hardwood;
}

void FoamBoard::drawThings(Ink& ink) const {
  for (const CoreThingMade& made : panel().foam->things) {
    const CoreThing& thing = panel().design.inCore[static_cast<std::size_t>(made.number)];
    const bool chosen = standpoint.subject() == Subject{Topic::inCore, made.number};
    const double half = thing.width / 2;
    const auto corner = [&](const Point3& p, double aft) { return onPlan(p.x() + aft, p.y()); };
    const Polyline plan{corner(made.from, -half), corner(made.from, half), corner(made.to, half),
                        corner(made.to, -half)};
    ink.loop(plan, inkOf(thing), chosen ? look.accent : look.ink, chosen ? 2 : 1);
    ink.pick({Topic::inCore, made.number}, {plan});
    if (chosen)
      ink.text(onPlan((made.from.x() + made.to.x()) / 2, (made.from.y() + made.to.y()) / 2),
               QString::fromStdString(thing.name), look.ink, {0, -8}, Qt::AlignHCenter, 11);
  }
}

void FoamBoard::drawEnds(Ink& ink, const FoamCore& core) const {
  const double span = panel().shape.loft.span(), k = endSize(core), side = mirrored() ? -1 : 1;
  const double high = core.block.height * k, gap = between * span;
  for (const bool outer : {false, true}) {
    const CoreEnd& end = outer ? core.outer : core.inner;
    const ChordFrame cut = core.cutFrame(outer);
    const double top = -plansEnd() - gap - (outer ? high + 1.1 * gap : 0);
    const auto place = [&](const Point& chordAxes) -> Point {
      const Point p = cut.fromChord(chordAxes);
      return {side * (p.x() - core.front) * k, top - (core.block.height - (p.y() - core.low)) * k};
    };
    const auto on = [&](const Polyline& line) {
      Polyline out;
      out.reserve(line.size());
      for (const Point& p : line) out.push_back(place(p));
      return out;
    };
    const auto corner = [&](double aft, double up) -> Point {
      return {side * aft * k, top - (core.block.height - up) * k};
    };
    ink.loop({corner(0, 0), corner(core.block.width, 0), corner(core.block.width, core.block.height),
              corner(0, core.block.height)},
             look.panel, look.ink, 1.2);
    ink.loop(on(end.section), look.sheet, look.faint, 1);
    for (const Polyline& loop : end.core) ink.loop(on(loop), look.foam, look.ink, 1);
    for (const ThingCut& cutOut : end.things)
      for (const Polyline& loop : cutOut.region)
        ink.loop(on(loop), inkOf(panel().design.inCore[static_cast<std::size_t>(cutOut.number)]), look.ink, 1);
    if (!end.wire.empty()) {
      Polyline wire = on(end.wire);
      wire.push_back(wire.front());
      ink.chain(wire, look.accent, 1.4);
    }
    for (const WireMark& mark : end.marks)
      if (isCalled(core, mark))
        ink.text(place(mark.wire), QString::number(mark.number), look.ink, {0, mark.face == Face::upper ? -4.0 : 12.0},
                 Qt::AlignHCenter, 9);
    ink.text({mirrored() ? -core.block.width * k : 0.0, top},
             tr("%1 end, S%2 · slot %3, wire %4 mm/s · %5 times as large")
                 .arg(outer ? tr("outer") : tr("inner"))
                 .arg(end.station)
                 .arg(len(end.kerf))
                 .arg(end.speed, 0, 'f', 1)
                 .arg(k, 0, 'f', 1),
             look.ink, {0, -20}, Qt::AlignLeft, 12, true);
  }
}

void FoamBoard::draw(Ink& ink) const {
  const FoamCore* mine = shownCore();
  if (!mine) return;
  for (const FoamCore& core : panel().foam->cores) drawPlan(ink, core, &core == mine);
  drawThings(ink);
  const double span = panel().shape.loft.span();
  const QString words = tr("block %1 × %2 × %3 · a board gives %4")
                            .arg(len(mine->block.length), len(mine->block.width), len(mine->block.height))
                            .arg(mine->fromBoard);
  ink.text({mirrored() ? -span : 0.0, 0.02 * span}, words, look.ink, {0, -8}, Qt::AlignLeft, 12, true);
  drawEnds(ink, *mine);
  const double under = plansEnd() + 2.3 * between * span + 2 * mine->block.height * endSize(*mine);
  const Point caution(mirrored() ? -span : 0.0, -under);
  ink.text(caution, tr("Hot wire: isolated low-voltage direct current, never bare mains;"), look.wrong, {0, 16},
           Qt::AlignLeft, 12, true);
  ink.text(caution, tr("lead its fumes away; it burns; never leave it alone."), look.wrong, {0, 32}, Qt::AlignLeft, 12,
           true);
}

std::vector<Handle> FoamBoard::handles() const {
  std::vector<Handle> out;
  const FoamCore* core = shownCore();
  if (!core) return out;
  const PanelBrief& d = panel().design;
  const auto edge = [&](const QString& name, bool leading, double width) {
    if (width <= 0) return;
    const auto at = [&](const CoreEnd& end) {
      const double x = leading ? width : end.frame.chord - width;
      return onPlan(end.frame.fromChord({x, 0}).x(), end.t);
    };
    Handle h{name, at(core->inner), at(core->outer), Qt::SizeVerCursor, tr("Change an edge strip"), {}, true};
    h.pull = [id = here(), leading](const Design& design, const Point& by) {
      const std::string path = pathOf(id) + (leading ? "leadingEdge.width" : "trailingEdge.width");
      const double now = leading ? design.at(id).leadingEdge.width : design.at(id).trailingEdge.width;
      return decideValue(design, path, now + (leading ? -1 : 1) * by.y());
    };
    out.push_back(std::move(h));
  };
  edge(tr("leading edge strip"), true, d.leading.onRib());
  edge(tr("trailing edge strip"), false, d.trailing.onRib());
  addThingHandles(out);
  return out;
}

/// Both ends of what lies in the core are pulled along the span and the chord.
void FoamBoard::addThingHandles(std::vector<Handle>& to) const {
  for (const CoreThingMade& made : panel().foam->things) {
    const CoreThing& thing = panel().design.inCore[static_cast<std::size_t>(made.number)];
    for (const bool then : {false, true}) {
      const Point3& at = then ? made.to : made.from;
      const Point place = onPlan(at.x(), at.y());
      const QString name = then ? tr("outer end of the %1") : tr("inner end of the %1");
      Handle h{name.arg(QString::fromStdString(thing.name)),
               place,
               place,
               Qt::SizeAllCursor,
               tr("Move the %1").arg(QString::fromStdString(thing.name)),
               {},
               true};
      const double chord = panel().shape.loft.frameAt(std::clamp(at.y(), 0.0, panel().shape.loft.span())).chord;
      h.pull = [id = here(), number = made.number, then, chord, side = mirrored() ? -1.0 : 1.0](const Design& design,
                                                                                                const Point& by) {
        const CoreThing& now = design.at(id).inCore.at(static_cast<std::size_t>(number));
        const std::string path = pathOf(id) + "inCore." + std::to_string(number) + ".";
        const auto along =
            decideValue(design, path + (then ? "to" : "from"), (then ? now.to : now.from) + side * by.x());
        if (!along) return along;
        return decideValue(along.value(), path + (then ? "xTo" : "xFrom"),
                           (then ? now.xTo : now.xFrom) - by.y() / chord);
      };
      to.push_back(std::move(h));
    }
  }
}

} // namespace eup::app
