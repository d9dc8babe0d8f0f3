#include "app/boards/stage_boards.h"
#include "app/look/plan_ink.h"
#include "core/described/decisions.h"
#include "core/design/panel_rules.h"
#include "core/geometry/polyline.h"
#include "core/parts/spar_sheets.h"

namespace eup::app {

QString LayoutBoard::heading() const {
  return tr("%1, flat on the board").arg(QString::fromStdString(standpoint.shownWing().panels.front().design.name));
}
QString LayoutBoard::subheading() const {
  return tr("seen from above, true lengths: drag ribs, spar lines, sheet edge, corners");
}

Point LayoutBoard::onBoard(double x, double t) const {
  return {mirrored() ? -t : t, -x};
}

Box LayoutBoard::content() const {
  const WholeWing& wing = standpoint.shownWing();
  Box box;
  const double span = wing.planform.halfSpan;
  double deep = 0, ahead = 0;
  for (const TruePanel& w : wing.panels)
    for (const double t : {0.0, w.shape.loft.span()}) {
      const ChordFrame f = w.shape.loft.frameAt(t);
      deep = std::max(deep, w.design.setback + f.te.x()), ahead = std::min(ahead, w.design.setback + f.le.x());
    }
  const double beyond = wing.panels.back().tip ? wing.panels.back().tip->reach : 0;
  const auto& leftHand = document.wing().of(Hand::left).wing(wing.panels.front().design.id.wing);
  const double leftReach =
      leftHand.planform.halfSpan + (leftHand.panels.back().tip ? leftHand.panels.back().tip->reach : 0);
  const double from = standpoint.hand() == ShownHand::right ? 0 : -leftReach,
               to = standpoint.hand() == ShownHand::left ? 0 : span + beyond;
  const double room = standpoint.hand() == ShownHand::both ? 0 : 0.14 * span; // for the chords written beside the ends
  box.include(Point(from - room, -deep - 40));
  box.include(Point(to + room, -ahead + 26));
  return box;
}

/// One panel of one half.
void LayoutBoard::drawPanel(Ink& ink, const TruePanel& w, double side) const {
  const double span = w.shape.loft.span();
  const bool current = w.design.id == panel().design.id, alone = w.design.of == 1;
  const QColor edge = current || alone ? look.ink : look.faint;
  const ChordFrame root = w.shape.loft.frameAt(0), tip = w.shape.loft.frameAt(span);
  const auto at = [&](double x, double t) { return Point(side * (w.design.inboard + t), -(w.design.setback + x)); };
  const auto chordwise = [&](double a, double b) {
    return std::pair(root.fromChord({a, 0}).x(), tip.fromChord({b, 0}).x());
  };
  const auto strip = [&](double a0, double b0, double a1, double b1, const QColor& fill) {
    const auto [r0, t0] = chordwise(a0, b0);
    const auto [r1, t1] = chordwise(a1, b1);
    ink.loop({at(r0, 0), at(t0, span), at(t1, span), at(r1, 0)}, fill, edge, 0.8);
  };
  const Polyline outline{at(root.le.x(), 0), at(tip.le.x(), span), at(tip.te.x(), span), at(root.te.x(), 0)};
  ink.loop(outline, look.panel, edge, 1.4);
  if (current) ink.pick({Topic::panel, 0}, {outline});
  if (const auto sheet = noseSheet(w.design, w.shape.loft, Face::upper))
    strip(sheet->from.at(sheet->inner) * root.chord, sheet->from.at(sheet->outer) * tip.chord,
          sheet->to.at(sheet->inner) * root.chord, sheet->to.at(sheet->outer) * tip.chord, look.sheet);
  for (const Skin& skin : w.skins) {
    if (skin.what != Skin::What::bays || skin.face != Face::upper) continue;
    Polyline loop;
    for (const Point& p : skin.plan) loop.push_back(at(p.x(), p.y()));
    ink.loop(loop, look.sheet, edge, 0.8);
  }
  if (w.design.leadingEdge.kind != LeadingEdgeKind::none)
    strip(0, 0, w.design.leading.onRib(), w.design.leading.onRib(), look.stock);
  if (w.design.trailingEdge.kind != TrailingEdgeKind::none)
    strip(root.chord - w.design.trailing.onRib(), tip.chord - w.design.trailing.onRib(), root.chord, tip.chord,
          look.stock);
  for (const SparLine& line : w.frame.spars) {
    const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
    Polyline loop;
    for (const Point& p : sparFromAbove(spar, line)) loop.push_back(at(p.x(), p.y()));
    if (!loop.empty()) ink.loop(loop, look.hardwood, edge, 0.8);
  }
  const auto fromAbove = [&](const Rib& rib) {
    Polyline loop;
    for (const Point& p : seenFromAbove(rib)) loop.push_back(at(p.x(), p.y()));
    return loop;
  };
  for (const Rib& riblet : w.frame.riblets)
    if (const Polyline loop = fromAbove(riblet); !loop.empty()) ink.loop(loop, look.balsa, edge, 0.8);
  drawTip(ink, w, side, edge);
  double named = -1e9; // where the last name stands: names do not run into each other
  for (const Rib& rib : w.frame.ribs) {
    const Polyline loop = fromAbove(rib);
    if (loop.empty()) continue;
    const bool mine = rib.number == standpoint.rib();
    if (!rib.ofWood)
      ink.line(at(rib.frame.le.x(), rib.frame.t), at(rib.frame.te.x(), rib.frame.t), mine ? look.accent : look.faint,
               mine ? 1.6 : 1, Qt::DashLine);
    else
      ink.loop(loop, mine ? look.accent : look.balsa, mine ? look.accent : edge, mine ? 1.6 : 0.8);
    const bool second = !w.design.innermost() && rib.kind == RibKind::root; // at a join two names share the place
    const double here = ink.at(at(0, rib.frame.t)).x();
    if (!mine && std::abs(here - named) < 26) continue;
    named = here;
    ink.text(at(rib.frame.le.x(), rib.frame.t), QString::fromStdString(rib.name()), mine ? look.accent : look.faint,
             {0, second ? -19.0 : -7.0}, Qt::AlignHCenter, 11, mine);
  }
}

void LayoutBoard::drawTip(Ink& ink, const TruePanel& w, double side, const QColor& edge) const {
  if (!w.tip) return;
  const ChordFrame tip = w.shape.loft.frameAt(w.shape.loft.span());
  const auto place = [&](const Polyline& line) {
    Polyline out;
    for (const Point& p : line)
      out.emplace_back(side * (w.design.inboard + w.shape.loft.span() + p.y()),
                       -(w.design.setback + tip.fromChord({p.x(), 0}).x()));
    return out;
  };
  if (w.tip->edge.empty()) { // a plate, seen on edge
    const double from = -w.design.tip.margin, to = tip.chord + w.design.tip.margin, out = w.tip->reach;
    const Polyline plate = place({{from, 0}, {from, out}, {to, out}, {to, 0}});
    ink.loop(plate, look.balsa, edge, 1);
    ink.pick({Topic::tip, 0}, {plate});
    return;
  }
  if (!w.tip->pieces.empty()) {
    Region pieces;
    for (const TipPiece& piece : w.tip->pieces) {
      pieces.push_back(place(piece.outline));
      ink.loop(pieces.back(), look.balsa, edge, 1.2);
    }
    ink.pick({Topic::tip, 0}, pieces);
    return;
  }
  Polyline outer = place(w.tip->edge);
  if (w.tip->inner.empty()) {
    ink.loop(outer, look.balsa, edge, 1.2);
    ink.pick({Topic::tip, 0}, {outer});
    for (const TipTemplate& one : w.tip->templates) {
      const Polyline line = place({{one.from, one.beyond}, {one.from + one.chord, one.beyond}});
      ink.line(line.front(), line.back(), look.faint, 1, Qt::DashLine);
    }
    return;
  }
  const Polyline inner = place(w.tip->inner);
  outer.insert(outer.end(), inner.rbegin(), inner.rend());
  ink.loop(outer, w.design.tip.kind == TipKind::bow ? look.hardwood : look.balsa, edge, 1.2);
  ink.pick({Topic::tip, 0}, {outer});
}

/// The plan's own ink over the wing that was made of it; for a hand that it does not draw, turned over.
void LayoutBoard::drawUnderlay(Ink& ink, double side) const {
  const JudgedPlan& plan = document.plan();
  if (!standpoint.underlay() || plan.hands.empty()) return;
  const DrawnHand* hand = &plan.hands.front();
  for (const DrawnHand& h : plan.hands)
    if ((h.hand == Hand::right) == (side > 0)) hand = &h;
  const auto toPlan = [&](const Point& p) {
    const Point b = board(QPointF(p.x(), p.y()));
    return hand->onPlan(side * b.x(), -b.y());
  };
  const Point o = toPlan({0, 0}), x = toPlan({1, 0}) - o, y = toPlan({0, 1}) - o;
  Eigen::Matrix3d view;
  view << x.x(), y.x(), o.x(), x.y(), y.y(), o.y(), 0, 0, 1;
  const double span = standpoint.shownWing().planform.halfSpan,
               deep = standpoint.shownWing().panels.front().shape.loft.frameAt(0).chord;
  const QRect half = QRectF(screen({side > 0 ? -20 : -span - 20, 60}), screen({side > 0 ? span + 20 : 20, -deep * 1.5}))
                         .normalized()
                         .toAlignedRect() &
                     rect();
  for (std::size_t i = 0; i < plan.sheets.size(); ++i)
    if (const PlanImage* image = document.planImages().image(i))
      drawPlan(ink.painter, *image, plan.sheets[i].map().inverse() * view, half, look.accent, 0.75);
}

void LayoutBoard::draw(Ink& ink) const {
  const WholeWing& wing = standpoint.shownWing();
  const TruePanel& w = panel();
  const double span = wing.planform.halfSpan;
  for (const double side : {1.0, -1.0}) {
    if (standpoint.hand() == (side > 0 ? ShownHand::left : ShownHand::right)) continue;
    const auto& half =
        document.wing().of(side > 0 ? Hand::right : Hand::left).wing(wing.panels.front().design.id.wing).panels;
    const TruePanel& current = half[static_cast<std::size_t>(w.design.id.panel)];
    for (const TruePanel& one : half)
      if (&one != &current) drawPanel(ink, one, side);
    drawPanel(ink, current, side); // over its neighbours
    drawUnderlay(ink, side);
  }
  double deep = 0;
  for (const TruePanel& one : wing.panels)
    for (const double t : {0.0, one.shape.loft.span()})
      deep = std::max(deep, one.design.setback + one.shape.loft.frameAt(t).te.x());
  deep += 14;
  if (wing.panels.size() > 1)
    for (const TruePanel& one : wing.panels)
      ink.dimension(onBoard(deep, one.design.inboard), onBoard(deep, one.design.inboard + one.shape.loft.span()),
                    tr("panel %1: %2").arg(one.design.id.panel + 1).arg(len(one.shape.loft.span())), 0);
  else
    ink.dimension(onBoard(deep, 0), onBoard(deep, span),
                  (wing.panels.front().design.mirrored ? tr("half span %1") : tr("span %1")).arg(len(span)), 0);
  if (standpoint.hand() != ShownHand::both) {
    const auto chordText = [&](const TruePanel& one, double t, bool outer) {
      const ChordFrame f = one.shape.loft.frameAt(t);
      const bool left = outer == mirrored();
      const double beyond = outer && one.tip ? one.tip->reach : 0;
      ink.text(onBoard(one.design.setback + f.fromChord({f.chord / 2, 0}).x(), one.design.inboard + t + beyond),
               len(f.chord), look.ink, {left ? -8.0 : 8.0, 0}, left ? Qt::AlignRight : Qt::AlignLeft);
    };
    chordText(wing.panels.front(), 0, false);
    chordText(wing.panels.back(), wing.panels.back().shape.loft.span(), true);
  }
  const Planform& p = wing.planform;
  ink.line(onBoard(p.meanChordLe, p.meanChordAt), onBoard(p.meanChordLe + p.meanChord, p.meanChordAt), look.accent, 1.2,
           Qt::DashLine);
  ink.text(onBoard(p.meanChordLe + p.meanChord, p.meanChordAt), tr("mean chord"), look.accent, {4, -6}, Qt::AlignLeft,
           11);
}

std::vector<Handle> LayoutBoard::handles() const {
  const TruePanel& w = panel();
  const double span = w.shape.loft.span(), side = mirrored() ? -1 : 1;
  const ChordFrame root = w.shape.loft.frameAt(0), tip = w.shape.loft.frameAt(span);
  const PanelId id = here();
  const bool ownRoot = w.design.innermost() || !w.design.panel.continues;
  const auto place = [&](double x, double t) { return onBoard(w.design.setback + x, w.design.inboard + t); };
  std::vector<Handle> out;
  const auto knob = [&](const QString& name, double x, double t, const char* path, auto value) {
    const Point at = place(x, t);
    out.push_back({name, at, at, Qt::SizeVerCursor, tr("Move %1").arg(name),
                   [id, path = pathOf(id) + path, value](const Design& d, const Point& by) {
                     return decideValue(d, path, value(d.at(id), by));
                   }});
  };
  knob(tr("tip trailing edge"), tip.te.x(), span, "panel.tipChord",
       [](const PanelDesign& d, const Point& by) { return d.panel.tipChord - by.y(); });
  if (ownRoot)
    knob(tr("root trailing edge"), root.te.x(), 0, "panel.rootChord",
         [](const PanelDesign& d, const Point& by) { return d.panel.rootChord - by.y(); });
  knob(tr("tip leading edge"), tip.le.x(), span, "panel.tipSetback",
       [](const PanelDesign& d, const Point& by) { return d.panel.tipSetback - by.y(); });
  knob(w.design.of > 1     ? tr("panel span")
       : w.design.mirrored ? tr("half span")
                           : tr("span"),
       tip.fromChord({tip.chord * 0.5, 0}).x(), span, "panel.span",
       [side](const PanelDesign& d, const Point& by) { return d.panel.span + side * by.x(); });
  out.back().cursor = Qt::SizeHorCursor;
  for (std::size_t k = 0; k < w.frame.spars.size(); ++k) {
    const QString name = QString::fromStdString(w.design.spars[k].name);
    const auto end = [&](const char* which, double x, double t, double chord, bool isRoot) {
      const std::string path = "spars." + std::to_string(k) + (isRoot ? ".rootFraction" : ".tipFraction");
      knob(tr("%1 line at the %2").arg(name, QString::fromLatin1(which)), x, t, path.c_str(),
           [k, chord, isRoot](const PanelDesign& d, const Point& by) {
             if (k >= d.spars.size()) return 0.0;
             return (isRoot ? d.spars[k].rootFraction : d.spars[k].tipFraction) - by.y() / chord;
           });
    };
    // A spar that the panel inside does not have begins where it is decided to.
    const bool begins =
        ownRoot || k >= standpoint.shownModel().at({w.design.id.wing, w.design.id.panel - 1}).frame.spars.size();
    if (begins) end("root", w.frame.spars[k].middle.root.x(), 0, root.chord, true);
    end("tip", w.frame.spars[k].middle.tip.x(), span, tip.chord, false);
  }
  if (w.design.sheeting.to == SheetTo::fraction && (w.design.sheeting.top || w.design.sheeting.bottom))
    knob(tr("sheet edge"), root.chord * w.design.sheeting.fraction, 0, "sheeting.fraction",
         [chord = root.chord](const PanelDesign& d, const Point& by) { return d.sheeting.fraction - by.y() / chord; });
  for (const Rib& rib : w.frame.ribs) {
    if (rib.kind != RibKind::main) continue;
    const auto i = static_cast<std::size_t>(rib.number - w.design.firstRib);
    const Point3 tail = rib.inPanel({rib.frame.chord, 0});
    Handle h{tr("rib R%1").arg(rib.number),
             place(rib.frame.le.x(), rib.frame.t),
             place(tail.x(), tail.y()),
             Qt::SizeHorCursor,
             tr("Move rib R%1").arg(rib.number),
             {},
             false};
    h.pull = [id, i, side](const Design& before, const Point& by) -> Result<Design> {
      Design changed = before;
      PanelDesign& d = changed.at(id);
      auto stations = ribStations(d.ribs, d.panel.span);
      if (i == 0 || i + 1 >= stations.size()) return Problem{"", "there is no such rib any more"};
      // It stops short of its neighbours, so that ribs cannot change places.
      constexpr double least = 2;
      const double low = stations[i - 1] + least, high = stations[i + 1] - least;
      if (low > high) return Problem{"", "there is no room between its neighbours"};
      stations[i] = std::clamp(stations[i] + side * by.x(), low, high);
      d.ribs.rule = RibRule::stations;
      d.ribs.stations = stations;
      return changed;
    };
    out.push_back(std::move(h));
  }
  return out;
}

void LayoutBoard::clicked(const Point& p) {
  standpoint.setRibAt(std::abs(p.x()));
}

} // namespace eup::app
