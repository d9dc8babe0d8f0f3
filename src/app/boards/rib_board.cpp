#include "app/boards/stage_boards.h"
#include "core/described/decisions.h"
#include "core/geometry/polyline.h"

namespace eup::app {

const Rib& RibBoard::rib() const {
  return chosenRib();
}

QString RibBoard::heading() const {
  return tr("%1 at %2").arg(QString::fromStdString(rib().name()), len(panel().design.inboard + rib().t()));
}

QString RibBoard::subheading() const {
  const QString kind = rib().kind == RibKind::root  ? tr("root rib")
                       : rib().kind == RibKind::tip ? tr("tip rib")
                                                    : tr("main rib");
  if (panel().foam)
    return tr("foam between skins and strips · chord %1 · washout %2°")
        .arg(len(rib().frame.chord))
        .arg(radToDeg(rib().frame.washout), 0, 'f', 2);
  return tr("%1 · %2 thick · chord %3 · washout %4°")
      .arg(kind, len(rib().thickness), len(rib().frame.chord))
      .arg(radToDeg(rib().frame.washout), 0, 'f', 2);
}

Point RibBoard::onBoard(const Point& p) const {
  return {mirrored() ? rib().frame.chord - p.x() : p.x(), p.y()};
}

std::vector<RibBoard::Small> RibBoard::small() const {
  const TruePanel& w = panel();
  const double room = w.design.panel.rootChord > rib().frame.chord ? w.design.panel.rootChord : rib().frame.chord;
  const int n = static_cast<int>(w.frame.ribs.size()), columns = n <= 16 ? 4 : n <= 60 ? 8 : 20;
  double longest = 0, deepest = 0;
  for (const Rib& r : w.frame.ribs) longest = std::max(longest, r.frame.chord), deepest = std::max(deepest, r.depth);
  const double cell = room / columns, shrink = cell * 0.86 / longest,
               row = std::max(deepest * shrink * 1.9, cell * 0.34);
  std::vector<Small> out;
  for (int i = 0; i < n; ++i) {
    const int across = i % columns, down = i / columns;
    const Point nose(across * cell, -room * 0.3 - down * row);
    Small s{w.design.firstRib + i, {}, nose, shrink};
    s.box.include(nose + Point(0, -row * 0.35));
    s.box.include(nose + Point(cell * 0.95, row * 0.65));
    out.push_back(s);
  }
  return out;
}

Box RibBoard::content() const {
  Box box;
  const double c = rib().frame.chord;
  box.include(Point(0, -0.14 * c));
  box.include(Point(c, 0.16 * c));
  for (const Small& s : small()) box.include(s.box);
  return box;
}

QString RibBoard::emptyText() const {
  if (!panel().sheet) return {}; // a foam panel's stations show its core
  return tr("This panel is of sheet: it has no ribs. Its blank and its gauges stand under Wrap skins; under Lay out "
            "panels it is built of ribs again.");
}

void RibBoard::draw(Ink& ink) const {
  const TruePanel& w = panel();
  const Rib& r = rib();
  const auto flip = [&](const Region& region) {
    Region out = region;
    for (Polyline& loop : out)
      for (Point& p : loop) p = onBoard(p);
    return out;
  };
  const Beside beside = besideRib(w.design, w.shape.loft, r);
  const auto part = [&](Topic topic, const Region& region, const QColor& fill, const QColor& edge, double width) {
    const Region here = flip(region);
    ink.region(here, fill, edge, width);
    if (!here.empty()) ink.pick({topic, 0}, here);
  };
  part(Topic::capStrips, beside.capStrips, look.sheet, look.faint, 0.6);
  part(Topic::sheeting, beside.sheet, look.sheet, look.ink, 0.8);
  part(Topic::leadingEdge, beside.leadingStock, look.stock, look.ink, 1);
  part(Topic::trailingEdge, beside.trailingStock, look.stock, look.ink, 1);
  part(w.foam ? Topic::foam : Topic::ribs, r.wood, w.foam ? look.foam : look.balsa, look.ink, 1.6);
  for (const HingeCut& cut : r.hinges) {
    const Subject its{Topic::surface, cut.surface};
    const Region tail = flip(cut.tail);
    ink.region(tail, look.balsa, look.ink, 1.4);
    ink.region(flip(cut.wingFacing), look.hardwood, look.ink, 1);
    ink.region(flip(cut.facing), look.hardwood, look.ink, 1);
    if (!tail.empty()) ink.pick(its, tail);
    ink.painter.setPen(QPen(look.wrong, 1.2));
    ink.painter.setBrush(look.paper);
    ink.painter.drawEllipse(ink.at(onBoard(cut.at.hinge)), 3, 3);
  }
  for (const Foot& foot : w.settingUp.ribs[static_cast<std::size_t>(r.number - w.design.firstRib)].feet) {
    ink.region(flip({foot.outline}), look.balsa, look.ink, 1.2);
    ink.line(onBoard(foot.breakFrom), onBoard(foot.breakTo), look.wrong, 1.4, Qt::DashLine); // broken off along here
  }
  for (const Rib& riblet : w.frame.riblets) // where the riblets of the bay beyond it end
    if (riblet.number == r.number && riblet.bay == 1) {
      const double x = ribletEnd(w.design, w.frame.spars, r);
      ink.line(onBoard({x, 0.07 * r.frame.chord}), onBoard({x, -0.07 * r.frame.chord}), look.good, 1.4, Qt::DashLine);
      ink.text(onBoard({x, -0.07 * r.frame.chord}), tr("riblets end"), look.good, {0, 14}, Qt::AlignHCenter, 11);
    }
  for (const PassHole& h : r.passHoles) {
    const QString what = h.what == Passing::What::brace ? tr("brace")
                         : h.what == Passing::What::pin ? tr("pin")
                         : h.what == Passing::What::rod ? tr("jig rod")
                                                        : tr("joiner");
    if (&h != &r.passHoles.front() && h.what == (&h - 1)->what) continue; // one on either side of the spar
    ink.text(onBoard(h.middle + Point(0, -h.height / 2)), what, look.accent, {0, 13}, Qt::AlignHCenter, 10);
  }
  if (r.kind != RibKind::main) // the sections at the ends may have been traced
    drawTracedPlan(ink, r.kind == RibKind::tip ? w.shape.tipShape : w.shape.rootShape, r.kind == RibKind::tip,
                   r.frame.chord);
  for (const Notch& n : r.notches) ink.region(flip({n.shape}), look.hardwood, look.accent, 1.4);
  for (const Slot& s : r.slots)
    ink.region(flip({s.shape}), QColor(look.hardwood.red(), look.hardwood.green(), look.hardwood.blue(), 110),
               look.accent, 1.2);
  ink.line(onBoard({-0.02 * r.frame.chord, 0}), onBoard({1.02 * r.frame.chord, 0}), look.faint, 1, Qt::DashDotLine);
  for (const ThinPlace& thin : r.thin) {
    ink.painter.setPen(QPen(look.wrong, 2));
    ink.painter.setBrush(Qt::NoBrush);
    ink.painter.drawEllipse(ink.at(onBoard(thin.at)), 13, 13);
  }
  for (std::size_t k = 0; k < r.sparX.size(); ++k) {
    if (!w.frame.spars[k].reaches(r.t())) continue;
    const Point top = onBoard({r.sparX[k], 0.1 * r.frame.chord});
    ink.line(top, onBoard({r.sparX[k], -0.09 * r.frame.chord}), look.faint, 1, Qt::DashLine);
    ink.text(top, tr("%1 %2").arg(QString::fromStdString(w.design.spars[k].name), len(r.sparX[k])), look.accent,
             {0, -6}, Qt::AlignHCenter, 12, static_cast<int>(k) == standpoint.spar());
  }
  const Point below = onBoard({0, 0}) - Point(0, 0.125 * r.frame.chord);
  QStringList notes;
  const auto& e = w.design.leadingEdge;
  if (e.kind != LeadingEdgeKind::none) notes << tr("LE %1").arg(len(e.width));
  for (const Notch& n : r.notches)
    notes << tr("notch %1 %2").arg(n.face == Face::upper ? tr("▼") : tr("▲"), len(n.depth));
  if (r.layers > 1) notes << tr("doubled, 2 × %1").arg(len(r.thickness / 2));
  if (r.thick) notes << tr("thick, %1").arg(len(r.thickness / r.layers));
  if (w.design.trailingEdge.kind != TrailingEdgeKind::none) notes << tr("TE %1").arg(len(w.design.trailingEdge.width));
  ink.text(mirrored() ? onBoard({r.frame.chord, 0}) - Point(0, 0.125 * r.frame.chord) : below, notes.join("   ·   "),
           look.faint, {}, Qt::AlignLeft, 11);

  const auto all = small();
  ink.text(all.front().box.low + Point(0, all.front().box.height()),
           w.design.of > 1 ? (w.foam ? tr("The core of panel %1 at every station: click one, or step with ← →")
                                     : tr("All ribs of panel %1 at one scale: click one, or step with ← →"))
                                 .arg(w.design.id.panel + 1)
           : w.foam ? tr("The core at every station: click one, or step with ← →")
                    : tr("All ribs at one scale: click one, or step with ← →"),
           look.ink, {0, -12}, Qt::AlignLeft, 13, true);
  for (const Small& s : all) {
    const Rib& one = w.rib(s.number);
    const bool mine = s.number == r.number;
    Region shape = one.wood;
    for (Polyline& loop : shape)
      for (Point& p : loop) p = s.nose + Point(mirrored() ? one.frame.chord - p.x() : p.x(), p.y()) * s.scale;
    ink.region(shape,
               mine     ? look.accentSoft
               : w.foam ? look.foam
                        : look.balsa,
               one.thin.empty() && one.pieces == one.wantedPieces ? (mine ? look.accent : look.ink) : look.wrong,
               mine ? 1.6 : 0.9);
    if (all.size() > 120) continue;
    const Point corner(s.nose.x(), s.box.high.y());
    ink.text(corner, QString::fromStdString(one.name()), mine ? look.accent : look.faint, {0, 4}, Qt::AlignLeft, 11,
             mine);
    ink.text({s.box.high.x(), corner.y()}, len(one.frame.chord), look.faint, {-6, 4}, Qt::AlignRight, 11);
  }
}

std::vector<Handle> RibBoard::handles() const {
  const TruePanel& w = panel();
  const Rib& r = rib();
  const double side = mirrored() ? -1 : 1, chord = r.frame.chord;
  std::vector<Handle> out;
  for (std::size_t k = 0; k < r.sparX.size(); ++k) {
    const QString name = tr("%1 line").arg(QString::fromStdString(w.design.spars[k].name));
    Handle h{name,
             onBoard({r.sparX[k], 0.085 * chord}),
             onBoard({r.sparX[k], -0.085 * chord}),
             Qt::SizeHorCursor,
             tr("Move %1").arg(name),
             {},
             false};
    h.pull = [id = here(), k, side, chord](const Design& before, const Point& by) -> Result<Design> {
      // The whole line moves along: as many hundredths of the chord at the root as at the tip.
      const auto& spars = before.at(id).spars;
      if (k >= spars.size()) return Problem{"", "there is no such spar any more"};
      const std::string path = pathOf(id) + "spars." + std::to_string(k);
      const double shift = side * by.x() / chord;
      auto moved = decideValue(before, path + ".rootFraction", spars[k].rootFraction + shift);
      if (!moved) return moved;
      return decideValue(moved.value(), path + ".tipFraction", spars[k].tipFraction + shift);
    };
    out.push_back(std::move(h));
  }
  const auto& sheet = w.design.sheeting;
  if (sheet.to == SheetTo::fraction && (sheet.top || sheet.bottom)) {
    const Polyline& face = sheet.top || sheet.ownBelow ? r.upper : r.lower;
    const GridPlace g = gridPlace(sheet.fraction);
    const Point at = onBoard(pointAt(face, {g.index, g.share}));
    out.push_back({tr("sheet edge"), at, at, Qt::SizeHorCursor, tr("Move sheet edge"),
                   [id = here(), side, chord](const Design& d, const Point& by) {
                     return decideValue(d, pathOf(id) + "sheeting.fraction",
                                        d.at(id).sheeting.fraction + side * by.x() / chord);
                   }});
  }
  if (w.design.trailing.width > 0) {
    const double x = chord - w.design.trailing.onRib(r.turn);
    const auto place = lastCrossing(r.upper, x);
    const Point at = onBoard(place ? pointAt(r.upper, *place) : Point(x, 0));
    out.push_back({tr("front of the trailing edge"), at, at, Qt::SizeHorCursor, tr("Change TE width"),
                   [id = here(), side, taken = w.design.trailing.taken(1, r.turn)](const Design& d, const Point& by) {
                     return decideValue(d, pathOf(id) + "trailingEdge.width",
                                        d.at(id).trailingEdge.width - side * by.x() / taken);
                   }});
  }
  return out;
}

void RibBoard::clicked(const Point& p) {
  for (const Small& s : small())
    if (p.x() >= s.box.low.x() && p.x() <= s.box.high.x() && p.y() >= s.box.low.y() && p.y() <= s.box.high.y())
      return standpoint.setRib(s.number);
  for (const Notch& n : rib().notches) {
    Polyline shape;
    for (const Point& q : n.shape) shape.push_back(onBoard(q));
    const Box box = boundsOf(shape);
    if (p.x() >= box.low.x() && p.x() <= box.high.x() && p.y() >= box.low.y() && p.y() <= box.high.y())
      return standpoint.setSpar(n.spar);
  }
}

} // namespace eup::app
