// The board of the parts list.
#include "app/boards/stage_boards.h"
#include "core/geometry/polyline.h"
#include "core/takeaway/piece_list.h"
#include "core/wing/run_over.h"

namespace eup::app {

QString StockBoard::heading() const {
  return tr("%1, piece by piece").arg(QString::fromStdString(standpoint.shownWing().panels.front().design.name));
}

QString StockBoard::subheading() const {
  for (const Part& part : panel().parts)
    if (part.id == standpoint.piece())
      return tr("%1: cut to %2, from %3 (%4)%5")
          .arg(QString::fromStdString(part.name),
               QString::fromStdString(sizeOf(part, document.design().unit, document.design().cutList.trim)),
               QString::fromStdString(wordsOf(part.stock, document.design().unit)),
               document.design().unit == LengthUnit::mm ? tr("mm") : tr("inches"),
               part.shared               ? tr(", one for both hands")
               : !part.overJoins.empty() ? tr(", over the join with the panel outside")
                                         : QString());
  return tr("choose a piece in the list, or click one here");
}

void StockBoard::draw(Ink& ink) const {
  LayoutBoard::draw(ink);
  ink.picks.clear(); // pieces are chosen here, not decisions
  if (!standpoint.piece()) return;
  for (const auto& [in, part] : lengthsOf(standpoint.shownWing(), {panel().design.id.panel, *standpoint.piece()})) {
    const TruePanel& w = *in;
    const Polyline shape = seenFromAbove(w, *part);
    for (const double side : {1.0, -1.0}) {
      if (standpoint.hand() == (side > 0 ? ShownHand::left : ShownHand::right) || shape.empty()) continue;
      Polyline loop;
      for (const Point& p : shape) loop.emplace_back(side * (w.design.inboard + p.y()), -(w.design.setback + p.x()));
      ink.loop(loop, look.accentSoft, look.accent, 2.4);
    }
  }
}

/// The smallest piece that lies there: ribs and webs before sheet, sheet before covering.
void StockBoard::clicked(const Point& p) {
  LayoutBoard::clicked(p); // the panel and the rib there
  const TruePanel& w = panel();
  const Point there(-p.y() - w.design.setback, std::abs(p.x()) - w.design.inboard);
  const Part* found = nullptr;
  double least = 1e300;
  for (const Part& part : w.parts) {
    const Polyline shape = seenFromAbove(w, part);
    if (shape.size() < 3) continue;
    const double area = std::abs(signedArea(shape));
    constexpr double near = 1.5; // mm: thin pieces are hard to hit
    if (area < least &&
        !intersect(grown({shape}, near), {rectangle(there - Point(0.1, 0.1), there + Point(0.1, 0.1))}).empty())
      found = &part, least = area;
  }
  if (!found) return;
  const Part::Told told = toldFor(w, *found);
  standpoint.setPiece({w.design.id.wing, told.panel}, told.as);
}

} // namespace eup::app
