// The board of a panel of sheet: its blank with seams, stations and carving lines, and the chosen station's section.
#include "app/boards/stage_boards.h"
#include "core/geometry/polyline.h"

namespace eup::app {
namespace {

/// mm of board from the blank to the section under it.
double gapUnder(const SheetPanelMade& made) {
  return 0.12 * made.length + 20;
}

} // namespace

Point SkinBoard::onSheet(const Point& p) const {
  return {mirrored() ? -p.y() : p.y(), -p.x()};
}

Box SkinBoard::sheetContent() const {
  const SheetPanelMade& made = *panel().sheet;
  Box box;
  for (const Polyline* loop : {&made.outline, &made.strip})
    for (const Point& p : *loop) box.include(onSheet(p));
  const double room = 0.1 * box.width();
  box.include(box.low - Point(room, gapUnder(made) + sectionSize() * chosenRib().depth + 0.12 * box.width()));
  box.include(box.high + Point(room, 0.1 * box.width()));
  return box;
}

/// How many times as large the section is drawn.
double SkinBoard::sectionSize() const {
  return std::clamp(0.7 * panel().sheet->length / chosenRib().frame.chord, 1.0, 6.0);
}

void SkinBoard::drawSheet(Ink& ink) const {
  const TruePanel& w = panel();
  const SheetPanelMade& made = *w.sheet;
  const auto on = [&](const Polyline& line) {
    Polyline out;
    out.reserve(line.size());
    for (const Point& p : line) out.push_back(onSheet(p));
    return out;
  };
  const Polyline outline = on(made.outline);
  ink.loop(outline, look.balsa, look.ink, 1.6);
  ink.pick({Topic::sheetPanel, 0}, {outline});
  if (!made.strip.empty()) ink.loop(on(made.strip), look.hardwood, look.ink, 1.2);
  for (const Polyline& seam : made.seams) {
    const Polyline line = on(seam);
    ink.chain(line, look.ink, 1.2, Qt::DashLine);
    ink.text(lerp(line.front(), line.back(), 0.85), tr("seam"), look.ink, {0, -5}, Qt::AlignHCenter, 10);
  }
  for (const SawnLine& sawn : made.sawn) ink.chain(on(sawn.line), look.ink, 1.4);
  for (const CarveLine& carve : made.carving) {
    const Polyline line = on(carve.line);
    ink.chain(line, look.faint, 1, Qt::DotLine);
    ink.text(line.front(), len(carve.left), look.faint, {mirrored() ? -6.0 : 6.0, -2},
             mirrored() ? Qt::AlignRight : Qt::AlignLeft, 10);
  }
  for (const SkinLine& station : made.stations) {
    const bool mine = station.name == chosenRib().name();
    const Polyline line = on(station.line);
    ink.chain(line, mine ? look.accent : look.faint, mine ? 2.2 : 1);
    const Point before = station.line.front() - Point(w.design.sheet.edge, 0); // clear of the strip
    ink.text(onSheet(before), QString::fromStdString(station.name), mine ? look.accent : look.faint, {0, -6},
             Qt::AlignHCenter, 11, mine);
  }
  const QString boards = made.boards > 1 ? tr(" · %1 boards edge-joined").arg(made.boards) : QString();
  const QString way = made.way == SheetWay::flat   ? tr("lies flat")
                      : made.way == SheetWay::bent ? tr("bent over formers")
                                                   : tr("carved: dotted lines say what is left");
  const Box box = boundsOf(outline);
  const double under = box.low.y();
  ink.text({box.low.x(), under}, tr("%1 × %2 · %3%4").arg(len(made.length), len(made.width), way, boards), look.ink,
           {0, 20}, Qt::AlignLeft, 12, true);
  // The section at the chosen station.
  const Rib& rib = chosenRib();
  const double size = sectionSize(), side = mirrored() ? -1 : 1;
  double top = 0;
  for (const Point& p : rib.bare) top = std::max(top, p.y());
  const Point at(mirrored() ? box.high.x() : box.low.x(), under - gapUnder(made) - top * size);
  Polyline section;
  section.reserve(rib.bare.size());
  for (const Point& p : rib.bare) section.push_back(at + Point(side * p.x(), p.y()) * size);
  ink.loop(section, look.balsa, look.ink, 1.4);
  const double edge = w.design.sheet.edge;
  if (edge > 0)
    ink.line(at + Point(side * edge, 0.5 * rib.depth) * size, at + Point(side * edge, -0.5 * rib.depth) * size,
             look.hardwood, 1.6);
  if (made.way == SheetWay::bent && w.design.sheet.formers) {
    Polyline former = formerAt(w.shape.loft, std::clamp(rib.t(), 0.0, w.shape.loft.span()));
    for (Point& p : former) p = at + Point(side * p.x(), p.y()) * size;
    ink.loop(former, look.ply, look.ink, 1);
  }
  ink.text({box.low.x(), at.y() - 0.5 * rib.depth * size},
           tr("%1, %2 times as large: %3 deep, chord %4")
               .arg(QString::fromStdString(rib.name()))
               .arg(size, 0, 'f', 1)
               .arg(len(rib.depth), len(rib.frame.chord)),
           look.ink, {0, 24}, Qt::AlignLeft, 12);
}

} // namespace eup::app
