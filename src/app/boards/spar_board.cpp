#include "app/boards/stage_boards.h"
#include "core/described/decisions.h"
#include "core/geometry/polyline.h"

namespace eup::app {
namespace {

/// How deep the spars are drawn, as a share of the half span.
constexpr double deepest = 0.17;
/// The pictures below begin so many pixels under the spars, and the section so many under its words; that is so high.
constexpr double belowBy = 30, sectionUnder = 46, sectionHigh = 66;

} // namespace

QString SparBoard::heading() const {
  return panel().design.of > 1
             ? tr("Panel %1: spars from the front, and what they carry").arg(panel().design.id.panel + 1)
             : tr("Spars from the front, and what they carry");
}
QString SparBoard::subheading() const {
  if (panel().design.spars.empty()) return tr("estimates for model aircraft, no approval of anything");
  return tr("span true to scale, depth drawn %1 times larger · estimates for model aircraft, no approval of anything")
      .arg(stretch(), 0, 'f', 1);
}

QString SparBoard::emptyText() const {
  if (panel().sheet && !panel().strength.bending.edges.empty()) {
    const EdgeStrength& plate = panel().strength.bending.edges.front();
    return tr("This panel is of sheet: it needs no spar.\n\nIts wood's least reserve is %1, %2. How stiff it is and "
              "what cloth "
              "does for it stands under Wrap skins.")
        .arg(plate.worstReserve, 0, 'f', 2)
        .arg(tr(wordsOf(plate.worstCase)));
  }
  QString edges;
  for (const EdgeStrength& e : panel().strength.bending.edges)
    edges += tr("%1 edge: %2 % of the bending, least reserve %3, %4\n")
                 .arg(e.leading ? tr("Leading") : tr("Trailing"))
                 .arg(e.share * 100, 0, 'f', 0)
                 .arg(e.worstReserve, 0, 'f', 2)
                 .arg(tr(wordsOf(e.worstCase)));
  if (!edges.isEmpty())
    return tr("No spar: the strips along the edges carry the lift to the root, as in the lightest wings.\n\n%1\nPress "
              "“Add a spar” on the right where that is not enough.")
        .arg(edges);
  return panel().design.spars.empty()
             ? tr("No spar yet. A spar carries the lift to the root: this stage tells how hard it works and what is in "
                  "reserve.\n\nPress “Add a spar” on the right to begin.")
             : QString();
}

double SparBoard::stretch() const {
  const TruePanel& w = panel();
  double deep = 1; // what the spars take up in height, from the lowest to the highest place of any
  for (const SparLine& a : w.frame.spars)
    for (const SparLine& b : w.frame.spars)
      for (const double t : {0.0, 1.0})
        for (const double u : {0.0, 1.0})
          deep = std::max(deep, a.upperSeat.at(t * a.end).y() - b.lowerSeat.at(u * b.end).y());
  return std::max(1.0, std::round(deepest * w.shape.loft.span() / deep * 2) / 2);
}

/// The height that the picture stands about: half way between the spars' faces, over the whole panel.
double SparBoard::level() const {
  double low = 1e300, high = -1e300;
  for (const SparLine& line : panel().frame.spars)
    for (const double t : {0.0, line.end})
      low = std::min(low, line.lowerSeat.at(t).y()), high = std::max(high, line.upperSeat.at(t).y());
  return low < high ? (low + high) / 2 : 0;
}

Box SparBoard::content() const {
  const double span = panel().shape.loft.span();
  Box box;
  const double from = standpoint.hand() == ShownHand::right ? 0 : -span,
               to = standpoint.hand() == ShownHand::left ? 0 : span;
  // As wide as the board is; below the spars all the room that is left then.
  const double top = 0.5 * deepest * span + 0.04 * (to - from), wide = (to - from) * 1.04;
  const QSizeF room = roomForPicture();
  const double high = std::max(wide * room.height() / room.width(), (deepest + 0.25) * span);
  box.include(Point(from - 0.02 * (to - from), top - high));
  box.include(Point(to + 0.02 * (to - from), top));
  return box;
}

void SparBoard::draw(Ink& ink) const {
  const TruePanel& w = panel();
  const double span = w.shape.loft.span(), k = stretch();
  const auto half = [&](double side) {
    const auto at = [&](double t, double z) { return Point(side * t, (z - level()) * k); };
    for (const SparLine& line : w.frame.spars) {
      const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
      const bool mine = line.index == standpoint.spar();
      const double fade = mine ? 255 : 90;
      const auto tint = [&](QColor c) {
        c.setAlpha(static_cast<int>(fade));
        return c;
      };
      /// Between two lines as far as that share of the spar, each moved up by so much at its inner and its outer end.
      const auto band = [&](const StraightLine& a, Point da, const StraightLine& b, Point db, const QColor& fill,
                            double reach = 1) {
        const double end = line.end * reach;
        ink.loop({at(0, a.at(0).y() + da.x()), at(end, a.at(end).y() + da.y()), at(end, b.at(end).y() + db.y()),
                  at(0, b.at(0).y() + db.x())},
                 tint(fill), tint(mine ? look.ink : look.faint), 1);
      };
      const Point none(0, 0);
      const auto between = [&](const SparLine& of, const Subject& subject) {
        ink.pick(subject, {{at(0, of.upperSeat.at(0).y()), at(of.end, of.upperSeat.at(of.end).y()),
                            at(of.end, of.lowerSeat.at(of.end).y()), at(0, of.lowerSeat.at(0).y())}});
      };
      const auto depths = [](const Cap& cap) { return Point(capAt(cap, 0).depth, capAt(cap, reachOf(cap)).depth); };
      if (spar.kind == SparKind::fullDepth) {
        band(line.upperSeat, none, line.lowerSeat, none, look.balsa);
        between(line, {Topic::spar, line.index});
        continue;
      }
      if (mine) {
        band(line.upperSeat, none, line.lowerSeat, none, look.panel);
        between(line, {webWidthAt(spar, 0) > 0 ? Topic::webs : Topic::spar, line.index});
        for (const SparBay& bay : w.strength.bays) { // webs, and what is weak
          const BayCheck* weakest = bay.spar == line.index ? bay.weakest() : nullptr;
          if (!weakest) continue;
          const Polyline loop{at(bay.from, line.upperSeat.at(bay.from).y()), at(bay.to, line.upperSeat.at(bay.to).y()),
                              at(bay.to, line.lowerSeat.at(bay.to).y()), at(bay.from, line.lowerSeat.at(bay.from).y())};
          if (webWidthAt(spar, line.share(bay.from)) > 0) ink.loop(loop, look.balsa, look.faint, 0.6);
          QColor bad = look.wrong;
          bad.setAlpha(weakest->reserve() < 1 ? 130 : 60);
          if (weakest->reserve() < usualReserve) ink.loop(loop, bad, look.wrong, 0.8);
        }
      }
      if (mine) {
        for (const bool up : {true, false}) fillByReserve(ink, line, up, side);
        continue;
      }
      for (const bool up : {true, false}) {
        const Cap& cap = up ? spar.top : spar.bottom;
        const StraightLine& seat = up ? line.upperSeat : line.lowerSeat;
        if (!cap.fitted) continue;
        band(seat, none, seat, (up ? -1 : 1) * depths(cap), look.hardwood, reachOf(cap));
        const double end = line.end * reachOf(cap);
        const Point deep = (up ? -1 : 1) * depths(cap);
        ink.pick({Topic::spar, line.index}, {{at(0, seat.at(0).y()), at(end, seat.at(end).y()),
                                              at(end, seat.at(end).y() + deep.y()), at(0, seat.at(0).y() + deep.x())}});
      }
    }
    for (const Rib& rib : w.frame.ribs) {
      const SparLine* line = chosenLine();
      if (!line) break;
      const bool mine = rib.number == standpoint.rib();
      ink.line(at(rib.t(), line->upperSeat.at(rib.t()).y()), at(rib.t(), line->lowerSeat.at(rib.t()).y()),
               mine ? look.accent : look.faint, mine ? 2 : 1, mine ? Qt::SolidLine : Qt::DashLine);
    }
  };
  if (standpoint.hand() != ShownHand::left) half(1);
  if (standpoint.hand() != ShownHand::right) half(-1);
  const double side = mirrored() ? -1 : 1;
  markWeakest(ink, side);
  drawSection(ink);
  const Point head(mirrored()                             ? -0.45 * span
                   : standpoint.hand() == ShownHand::both ? 0
                                                          : 0.55 * span,
                   -0.5 * deepest * span - belowBy / ink.scale);
  double row = 0;
  const auto tell = [&](const QString& words, const QColor& colour, bool strong) {
    ink.text(head, words, colour, {0, row}, Qt::AlignLeft, 12, strong);
    row += 18;
  };
  for (const SparStrength& s : w.strength.bending.spars) {
    if (s.root.bent.empty()) continue;
    const bool weak = s.worstReserve < usualReserve;
    tell(tr("%1: %2 % of the bending").arg(nameOf(s.spar)).arg(s.share * 100, 0, 'f', 0), look.ink,
         s.spar == standpoint.spar());
    tell(tr("least reserve %1, %2").arg(s.worstReserve, 0, 'f', 2).arg(tr(wordsOf(s.worstCase))) +
             (weak ? tr(" (%1 is usual)").arg(usualReserve) : ""),
         weak ? look.wrong : look.ink, false);
  }
  if (!w.strength.bending.spars.empty()) {
    const std::pair<QString, double> words[] = {
        {tr("under 1"), 50}, {tr("to %1").arg(usualReserve), 42}, {tr("to 3"), 32}, {tr("more"), 0}};
    double x = 0;
    const auto put = [&](const QString& text, const QColor& colour, double pixels) {
      ink.text(head, text, colour, {x, row}, Qt::AlignLeft, 12);
      x += pixels;
    };
    put(tr("caps have:"), look.ink, 68);
    for (int band = 0; band < 4; ++band) {
      put("■", tintOf(band), 14);
      put(words[band].first, look.ink, words[band].second);
    }
    row += 18;
  }
  for (const PartMass& p : w.mass.parts)
    if (p.what == PartMass::What::spars)
      tell(tr("Spars: %1 of %2 a hand")
               .arg(QString::fromStdString(told(p.grams, Quantity::mass, document.design().unit)),
                    QString::fromStdString(told(w.mass.grams(), Quantity::mass, document.design().unit))),
           look.ink, false);
  if (w.strength.twist && w.strength.twist->tooFar())
    tell(tr("Twist test: %1 N·mm is too much, take less").arg(w.strength.twist->couple, 0, 'g', 6), look.ink, false);
  else if (w.strength.twist)
    tell(tr("Twist test: %1° under %2 N·mm")
             .arg(radToDeg(w.strength.twist->twist), 0, 'f', 2)
             .arg(w.strength.twist->couple, 0, 'g', 6),
         look.ink, false);
}

/// A cap's wood in bands of what it has in reserve along its run.
void SparBoard::fillByReserve(Ink& ink, const SparLine& line, bool up, double side) const {
  const TruePanel& w = panel();
  const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
  const Cap& cap = up ? spar.top : spar.bottom;
  const auto strength = std::find_if(w.strength.bending.spars.begin(), w.strength.bending.spars.end(),
                                     [&](const SparStrength& s) { return s.spar == line.index; });
  if (!cap.fitted || strength == w.strength.bending.spars.end()) return;
  const StraightLine& seat = up ? line.upperSeat : line.lowerSeat;
  const auto& along = strength->along;
  const auto bandAt = [&](std::size_t k) { return bandOf(up ? along[k].upper : along[k].lower); };
  const auto edge = [&](double t, double inwards) {
    return Point(side * t, (seat.at(t).y() + inwards - level()) * stretch());
  };
  const auto depthAt = [&](double t) { return (up ? -1 : 1) * capAt(cap, line.share(t)).depth; };
  const double end = line.end * reachOf(cap);
  ink.pick({up ? Topic::topCap : Topic::bottomCap, line.index},
           {{edge(0, 0), edge(end, 0), edge(end, depthAt(end - 1e-6)), edge(0, depthAt(0))}});
  const auto doubled = [&](std::size_t k) {
    return cap.doubled && line.share(w.strength.bending.along[k].t) <= cap.doubledTo;
  };
  for (std::size_t from = 0, to = 0; from + 1 < along.size(); from = to) {
    for (to = from + 1; to + 1 < along.size() && bandAt(to) == bandAt(from) && doubled(to) == doubled(from);) ++to;
    const double a = w.strength.bending.along[from].t, b = std::min(w.strength.bending.along[to].t, end);
    if (a >= b) break;            // it ends there
    constexpr double hair = 1e-6; // inside the band: a doubler ends in a step
    ink.loop({edge(a, 0), edge(b, 0), edge(b, depthAt(b - hair)), edge(a, depthAt(a))}, tintOf(bandAt(from)), look.ink,
             0.6);
  }
}

/// Under 1, to 1.5, to 3, over it.
int SparBoard::bandOf(double reserve) {
  return reserve < 1 ? 0 : reserve < usualReserve ? 1 : reserve < 3 ? 2 : 3;
}

QColor SparBoard::tintOf(int band) const {
  const auto between = [](const QColor& a, const QColor& b) {
    return QColor((a.red() + b.red()) / 2, (a.green() + b.green()) / 2, (a.blue() + b.blue()) / 2);
  };
  return band == 0   ? look.wrong
         : band == 1 ? between(look.wrong, look.hardwood)
         : band == 2 ? look.hardwood
                     : look.balsa;
}

const SparLine* SparBoard::chosenLine() const {
  const std::vector<SparLine>& all = panel().frame.spars;
  return all.empty()
             ? nullptr
             : &all[static_cast<std::size_t>(std::clamp(standpoint.spar(), 0, static_cast<int>(all.size()) - 1))];
}

QString SparBoard::nameOf(int spar) const {
  return QString::fromStdString(panel().design.spars[static_cast<std::size_t>(spar)].name);
}

/// The chosen spar cut at the chosen rib, drawn larger, and beside it the stress over its depth under the load that is
/// worst there.
void SparBoard::drawSection(Ink& ink) const {
  const TruePanel& w = panel();
  const SparLine* chosen = chosenLine();
  if (!chosen) return;
  const SparLine& line = *chosen;
  const double span = w.shape.loft.span(), t = std::clamp(chosenRib().t(), 0.0, span);
  const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
  const SparSection section = sparSection(spar, line, t, w.design.tables, skinOf(line, w.strength.skin));
  const Point head(mirrored()                             ? -span
                   : standpoint.hand() == ShownHand::both ? -span
                                                          : 0,
                   -0.5 * deepest * span - belowBy / ink.scale);
  if (section.bent.empty()) {
    ink.text(head, tr("The %1 does not reach R%2").arg(nameOf(line.index)).arg(chosenRib().number), look.faint, {},
             Qt::AlignLeft, 12);
    return;
  }
  const auto stiffnessOf = [&](const SparLine& l) {
    const Spar& s = w.design.spars[static_cast<std::size_t>(l.index)];
    const SheetSkin* skin = skinOf(l, w.strength.skin);
    return bendingStiffness(sparSection(s, l, t, w.design.tables, skin), s, l, t, w.design.tables, skin);
  };
  double sum = 0, widest = 0;
  for (const SparLine& l : w.frame.spars) sum += stiffnessOf(l);
  for (const Fibre& f : section.fibres) widest = std::max(widest, f.width);
  const LoadCase& worst = worstAt(standpoint.shownWing().loads, w.design.inboard + t);
  const double moment = worst.load.moment(w.design.inboard + t) * stiffnessOf(line) / sum;
  double k = std::round(sectionHigh / ink.scale / std::max(section.depth(), 0.1) * 2) / 2; // times larger, in halves
  k = std::max(std::min(k, std::round(0.12 * span / widest * 2) / 2), 0.5);
  const QString size = k > 1   ? tr("%1 times larger").arg(k, 0, 'f', 1)
                       : k < 1 ? tr("at half the board's scale")
                               : tr("at the board's scale");
  ink.text(head, tr("%1 at R%2, %3").arg(nameOf(line.index)).arg(chosenRib().number).arg(size), look.ink, {},
           Qt::AlignLeft, 12, true);
  ink.text(
      head,
      tr("stress %1: %2")
          .arg(tr(wordsOf(worst.what)), QString::fromStdString(told(moment, Quantity::moment, document.design().unit))),
      look.ink, {0, 18}, Qt::AlignLeft, 12);
  const Point zero(head.x() + 0.1 * span, head.y() - sectionUnder / ink.scale - section.depth() * k / 2);
  const double middle = (section.upperOuter + section.lowerOuter) / 2;
  const auto place = [&](double x, double z) -> Point { return zero + Point(x * k, (z - middle) * k); };
  if (const double web = webWidthAt(spar, line.share(t)); web > 0) {
    const WebStand stand = webStandAt(spar, line, t);
    const double aft = mirrored() ? -stand.aft : stand.aft;
    ink.loop({place(aft - web / 2, stand.low), place(aft + web / 2, stand.low), place(aft + web / 2, stand.high),
              place(aft - web / 2, stand.high)},
             look.balsa, look.ink, 1);
  }
  for (const Fibre& f : section.fibres) {
    const QColor fill = spar.kind == SparKind::caps ? look.hardwood : look.balsa;
    const bool slice = section.fibres.size() > 2; // of something round: no edges between them
    ink.loop({place(-f.width / 2, f.low), place(f.width / 2, f.low), place(f.width / 2, f.high),
              place(-f.width / 2, f.high)},
             fill, slice ? fill : look.ink, slice ? 0.4 : 1);
  }
  for (const Fibre& f : section.skin) { // sheet that bends with it, at its height, beside the caps
    const double z = (f.low + f.high) / 2;
    ink.line(place(-widest / 2 - 4 / k, z), place(-widest / 2 - 1 / k, z), look.sheet, 2);
  }
  // Stresses, compression to the left of their line.
  const Point base = zero + Point(widest * k / 2 + 0.14 * span, 0);
  double most = 0;
  const auto stress = [&](const Fibre& f, double z) { // tension positive
    return -moment * f.modulus * (z - section.bent.axis) / section.bent.stiffness;
  };
  for (const Fibre& f : section.fibres)
    most = std::max({most, std::abs(stress(f, f.low)), std::abs(stress(f, f.high))});
  if (most <= 0) return;
  const double perMPa = 0.085 * span / most;
  const auto at = [&](double z, double value) { return Point(base.x() + value * perMPa, base.y() + (z - middle) * k); };
  ink.line(at(section.lowerOuter, 0), at(section.upperOuter, 0), look.ink, 1.2);
  for (const Fibre& f : section.fibres) {
    const double low = stress(f, f.low), high = stress(f, f.high);
    ink.loop({at(f.low, 0), at(f.low, low), at(f.high, high), at(f.high, 0)}, look.accentSoft,
             section.fibres.size() > 2 ? look.accentSoft : look.accent, section.fibres.size() > 2 ? 0.4 : 1.2);
  }
  ink.line(place(-widest / 2 - 1, section.bent.axis), at(section.bent.axis, 0), look.faint, 1, Qt::DashLine);
  const auto number = [&](const Fibre& f, double z, double up) {
    const double v = stress(f, z);
    ink.text(at(z, 0), tr("%1 MPa, %2").arg(std::abs(v), 0, 'f', 1).arg(v < 0 ? tr("pressed") : tr("pulled")), look.ink,
             {0, up}, Qt::AlignHCenter, 11);
  };
  number(section.fibres.front(), section.upperOuter, -5);
  number(section.fibres.back(), section.lowerOuter, 14);
}

/// The bay of the chosen spar that has least in reserve.
void SparBoard::markWeakest(Ink& ink, double side) const {
  const TruePanel& w = panel();
  const SparBay* least = nullptr;
  for (const SparBay& bay : w.strength.bays)
    if (bay.spar == standpoint.spar() && bay.weakest() &&
        (!least || bay.weakest()->reserve() < least->weakest()->reserve()))
      least = &bay;
  if (!least) return;
  const SparLine& line = w.frame.spars[static_cast<std::size_t>(least->spar)];
  const auto at = [&](double t) { return Point(side * t, (line.upperSeat.at(t).y() - level()) * stretch()); };
  const Point from = at(least->from), to = at(least->to);
  ink.line(from, to, look.accent, 4);
  ink.text(
      (from + to) / 2,
      tr("weakest bay: reserve %1, %2").arg(least->weakest()->reserve(), 0, 'f', 2).arg(tr(wordsOf(*least->weakest()))),
      look.accent, {0, -10},
      least->from < 0.2 * w.shape.loft.span() ? (side > 0 ? Qt::AlignLeft : Qt::AlignRight) : Qt::AlignHCenter, 12,
      true);
}

/// A cap's depth at either end, and where its wood changes. Pulling its outer end lets the cap taper.
void SparBoard::addCapHandles(const SparLine& line, bool up, std::vector<Handle>& to) const {
  const auto k = static_cast<std::size_t>(line.index);
  const Spar& spar = panel().design.spars[k];
  const Cap& cap = up ? spar.top : spar.bottom;
  if (!cap.fitted || line.end <= 0) return;
  const PanelId id = here();
  const double side = mirrored() ? -1 : 1, inwards = up ? -1 : 1, larger = stretch();
  const StraightLine& seat = up ? line.upperSeat : line.lowerSeat;
  const QString name = up ? tr("top cap") : tr("bottom cap");
  const std::string path = pathOf(id) + "spars." + std::to_string(k) + (up ? ".top." : ".bottom.");
  const auto place = [&](double t, double depth) -> Point {
    return {side * t, (seat.at(t).y() + inwards * depth - level()) * larger};
  };
  const auto capOf = [k, up](PanelDesign& d) {
    return k < d.spars.size() ? &(up ? d.spars[k].top : d.spars[k].bottom) : nullptr;
  };
  const auto depth = [](double mm) {
    return std::round(mm * 10) / 10;
  }; // a tenth of a millimetre is what wood is cut to
  const double last = reachOf(cap) * line.end;
  const Point root = place(0, capAt(cap, 0).depth), end = place(last, capAt(cap, reachOf(cap)).depth);
  to.push_back({tr("%1 depth at the root").arg(name), root, root, Qt::SizeVerCursor,
                tr("Change the %1's depth").arg(name), [=](const Design& d, const Point& by) {
                  Design now = d;
                  const Cap* c = capOf(now.at(id));
                  return decideValue(d, path + "depth", depth((c ? c->depth : 0) + inwards * by.y() / larger));
                }});
  to.push_back({tr("%1 depth at its end").arg(name), end, end, Qt::SizeVerCursor, tr("Taper the %1").arg(name),
                [=](const Design& d, const Point& by) -> Result<Design> {
                  Design now = d;
                  Cap* c = capOf(now.at(id));
                  if (!c) return Problem{"", "there is no such spar any more"};
                  if (!c->tapers) c->tapers = true, c->tipWidth = c->width, c->tipDepth = c->depth;
                  return decideValue(now, path + "tipDepth", depth(c->tipDepth + inwards * by.y() / larger));
                }});
  /// A place along the spar, at a share of its length.
  const auto alongHandle = [&](const QString& what, const QString& undo, const char* key, double Cap::*at,
                               double deep) {
    const double length = line.end, t = cap.*at * length;
    to.push_back({what, place(t, 0), place(t, deep), Qt::SizeHorCursor, undo, [=](const Design& d, const Point& by) {
                    Design now = d;
                    const Cap* c = capOf(now.at(id));
                    return decideValue(d, path + key, (c ? c->*at : 0) + side * by.x() / length);
                  }});
  };
  if (cap.drops)
    alongHandle(tr("where the %1 ends").arg(name), tr("Move the end of the %1").arg(name), "dropsAt", &Cap::dropsAt,
                capAt(cap, cap.dropsAt).depth / 2);
  if (cap.changes)
    alongHandle(tr("where the %1's wood changes").arg(name), tr("Move the %1's change of wood").arg(name), "changesAt",
                &Cap::changesAt, capAt(cap, cap.changesAt).depth);
}

std::vector<Handle> SparBoard::handles() const {
  std::vector<Handle> out;
  const TruePanel& w = panel();
  const SparLine* chosen = chosenLine();
  if (!chosen) return out;
  const SparLine& line = *chosen;
  const auto k = static_cast<std::size_t>(line.index);
  const PanelId id = here();
  const double side = mirrored() ? -1 : 1, span = w.shape.loft.span(), larger = stretch();
  if (w.design.spars[k].kind == SparKind::caps)
    for (const bool up : {true, false}) addCapHandles(line, up, out);
  const auto place = [&](const StraightLine& seat) -> Point {
    return {side * line.end, (seat.at(line.end).y() - level()) * larger};
  };
  const std::string path = pathOf(id) + "spars." + std::to_string(k) + ".stopsAt";
  out.push_back({tr("end of the %1").arg(nameOf(line.index)), place(line.upperSeat), place(line.lowerSeat),
                 Qt::SizeHorCursor, tr("Move the end of the %1").arg(nameOf(line.index)),
                 [=](const Design& d, const Point& by) -> Result<Design> {
                   Design now = d;
                   if (k >= now.at(id).spars.size()) return Problem{"", "there is no such spar any more"};
                   Spar& s = now.at(id).spars[k];
                   const double end = std::round((s.stops ? s.stopsAt : span) + side * by.x());
                   s.stops = end < span - 0.5; // pulled to the tip it runs through
                   return s.stops ? decideValue(now, path, end) : Result<Design>(now);
                 }});
  return out;
}

void SparBoard::clicked(const Point& p) {
  const double t = std::abs(p.x());
  const Rib* nearest = &chosenRib();
  for (const Rib& rib : panel().frame.ribs)
    if (std::abs(rib.t() - t) < std::abs(nearest->t() - t)) nearest = &rib;
  standpoint.setRib(nearest->number);
}

} // namespace eup::app
