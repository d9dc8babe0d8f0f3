#include "app/stage_boards.h"
#include "core/geometry/polyline.h"

namespace eup::app {
namespace {

/// Where the pictures stand on the board, in shares of the half span.
constexpr double sparAt = 0, momentAt = -0.42, curveHeight = 0.17;

} // namespace

QString SparBoard::heading() const {
  return panel().design.of > 1
             ? tr("Panel %1: spars from the front, and what they carry").arg(panel().design.id.panel + 1)
             : tr("Spars from the front, and what they carry");
}
QString SparBoard::subheading() const {
  return tr("span true to scale, depth drawn %1 times larger · estimates for model aircraft, no approval of anything")
      .arg(stretch(), 0, 'f', 1);
}

QString SparBoard::emptyText() const {
  return panel().design.spars.empty()
             ? tr("No spar yet. A spar carries the lift to the root: this stage tells how hard it works and what is in "
                  "reserve.\n\nPress “Add a spar” on the right to begin.")
             : QString();
}

double SparBoard::stretch() const {
  const TruePanel& w = panel();
  double deepest = 1;
  for (const SparLine& line : w.spars) deepest = std::max(deepest, line.upperSeat.root.y() - line.lowerSeat.root.y());
  return std::max(1.0, std::round(0.2 * w.loft.span() / deepest * 2) / 2);
}

Box SparBoard::content() const {
  const double span = panel().loft.span();
  Box box;
  const double from = standpoint.hand() == ShownHand::right ? 0 : -span,
               to = standpoint.hand() == ShownHand::left ? 0 : span;
  box.include(Point(from - 0.03 * span, (momentAt - 0.17) * span));
  box.include(Point(to + 0.03 * span, 0.17 * span));
  return box;
}

void SparBoard::draw(Ink& ink) const {
  const TruePanel& w = panel();
  const double span = w.loft.span(), k = stretch();
  const auto half = [&](double side) {
    const auto at = [&](double t, double z) { return Point(side * t, sparAt + z * k); };
    for (const SparLine& line : w.spars) {
      const Spar& spar = w.design.spars[static_cast<std::size_t>(line.index)];
      const bool mine = line.index == standpoint.spar();
      const double fade = mine ? 255 : 90;
      const auto tint = [&](QColor c) {
        c.setAlpha(static_cast<int>(fade));
        return c;
      };
      const double end = line.end;
      /// Between two lines, each moved up by so much at the spar's inner and at its outer end.
      const auto band = [&](const StraightLine& a, Point da, const StraightLine& b, Point db, const QColor& fill) {
        ink.loop({at(0, a.at(0).y() + da.x()), at(end, a.at(end).y() + da.y()), at(end, b.at(end).y() + db.y()),
                  at(0, b.at(0).y() + db.x())},
                 tint(fill), tint(mine ? look.ink : look.faint), 1);
      };
      const Point none(0, 0);
      const auto depths = [](const Cap& cap) { return Point(cap.depth, capAt(cap, 1).depth); };
      if (spar.kind == SparKind::fullDepth) {
        band(line.upperSeat, none, line.lowerSeat, none, look.balsa);
        continue;
      }
      if (mine) {
        band(line.upperSeat, none, line.lowerSeat, none, look.panel);
        for (const SparBay& bay : w.bays) { // webs, and what is weak
          const BayCheck* weakest = bay.spar == line.index ? bay.weakest() : nullptr;
          if (!weakest) continue;
          const Polyline loop{at(bay.from, line.upperSeat.at(bay.from).y()), at(bay.to, line.upperSeat.at(bay.to).y()),
                              at(bay.to, line.lowerSeat.at(bay.to).y()), at(bay.from, line.lowerSeat.at(bay.from).y())};
          if (spar.webs != Webs::none) ink.loop(loop, look.balsa, look.faint, 0.6);
          QColor bad = look.wrong;
          bad.setAlpha(weakest->reserve() < 1 ? 130 : 60);
          if (weakest->reserve() < 1.5) ink.loop(loop, bad, look.wrong, 0.8);
        }
      }
      if (spar.top.fitted) band(line.upperSeat, none, line.upperSeat, -depths(spar.top), look.hardwood);
      if (spar.bottom.fitted) band(line.lowerSeat, depths(spar.bottom), line.lowerSeat, none, look.hardwood);
    }
    for (const Rib& rib : w.ribs) {
      const SparLine* line = w.spars.empty() ? nullptr
                                             : &w.spars[static_cast<std::size_t>(std::clamp(
                                                   standpoint.spar(), 0, static_cast<int>(w.spars.size()) - 1))];
      if (!line) break;
      const bool mine = rib.number == standpoint.rib();
      ink.line(at(rib.t(), line->upperSeat.at(rib.t()).y()), at(rib.t(), line->lowerSeat.at(rib.t()).y()),
               mine ? look.accent : look.faint, mine ? 2 : 1, mine ? Qt::SolidLine : Qt::DashLine);
    }
    const double base = momentAt * span, high = curveHeight * span,
                 most = std::max(w.strength.load.moment(w.design.inboard), 1e-9),
                 lift = std::max(w.strength.load.perLength(w.design.inboard),
                                 w.strength.load.perLength(w.design.inboard + span / 2));
    Polyline moment{{0, base}}, spread;
    for (int i = 0; i <= 60; ++i) {
      const double t = span * i / 60;
      moment.emplace_back(side * t, base + high * w.strength.load.moment(w.design.inboard + t) / most);
      spread.emplace_back(side * t, base + high * 0.8 * w.strength.load.perLength(w.design.inboard + t) / lift);
    }
    moment.emplace_back(side * span, base);
    ink.loop(moment, look.accentSoft, look.accent, 1.5);
    ink.chain(spread, look.good, 1.4, Qt::DashLine);
    ink.line({0, base}, {side * span, base}, look.ink, 1.2);
  };
  if (standpoint.hand() != ShownHand::left) half(1);
  if (standpoint.hand() != ShownHand::right) half(-1);
  const double side = mirrored() ? -1 : 1, base = momentAt * span;
  const Point head(mirrored() ? -span : standpoint.hand() == ShownHand::both ? -span : 0, base + curveHeight * span);
  ink.text(head, tr("Bending along the span (filled) and how the lift is spread (dashed)"), look.ink, {0, -30},
           Qt::AlignLeft, 13, true);
  const Rib& r = chosenRib();
  const double m = w.strength.load.moment(w.design.inboard + r.t());
  const Point mark(side * r.t(),
                   base + curveHeight * span * m / std::max(w.strength.load.moment(w.design.inboard), 1e-9));
  ink.line({side * r.t(), base}, mark, look.accent, 2);
  ink.text(mark, tr("R%1: %2 N·mm").arg(r.number).arg(m, 0, 'f', 0), look.accent, {mirrored() ? -8.0 : 8.0, -2},
           mirrored() ? Qt::AlignRight : Qt::AlignLeft, 12, true);
  markWeakest(ink, side);
  if (w.twist)
    ink.text({head.x(), base},
             tr("Twist test: %1° at the tip under %2 N·mm")
                 .arg(radToDeg(w.twist->twist), 0, 'f', 2)
                 .arg(w.twist->couple, 0, 'g', 6),
             look.ink, {0, 22.0 + 18 * static_cast<double>(w.spars.size())}, Qt::AlignLeft, 12);
  for (const SparStrength& s : w.strength.spars) {
    if (s.root.bent.empty()) continue;
    const bool weak = s.worstReserve < 1.5;
    ink.text({head.x(), base},
             tr("%1: %2 % of the bending, least reserve %3")
                     .arg(QString::fromStdString(w.design.spars[static_cast<std::size_t>(s.spar)].name))
                     .arg(s.share * 100, 0, 'f', 0)
                     .arg(s.worstReserve, 0, 'f', 2) +
                 (weak ? tr("  (1.5 is usual)") : ""),
             weak ? look.wrong : look.ink, {0, 22.0 + 18 * s.spar}, Qt::AlignLeft, 12, s.spar == standpoint.spar());
  }
}

/// The bay of the chosen spar that has least in reserve.
void SparBoard::markWeakest(Ink& ink, double side) const {
  const TruePanel& w = panel();
  const SparBay* least = nullptr;
  for (const SparBay& bay : w.bays)
    if (bay.spar == standpoint.spar() && bay.weakest() &&
        (!least || bay.weakest()->reserve() < least->weakest()->reserve()))
      least = &bay;
  if (!least) return;
  const SparLine& line = w.spars[static_cast<std::size_t>(least->spar)];
  const auto at = [&](double t) { return Point(side * t, sparAt + line.upperSeat.at(t).y() * stretch()); };
  const Point from = at(least->from), to = at(least->to);
  ink.line(from, to, look.accent, 4);
  ink.text((from + to) / 2, tr("weakest bay: reserve %1").arg(least->weakest()->reserve(), 0, 'f', 2), look.accent,
           {0, -10}, least->from < 0.2 * w.loft.span() ? (side > 0 ? Qt::AlignLeft : Qt::AlignRight) : Qt::AlignHCenter,
           12, true);
}

void SparBoard::clicked(const Point& p) {
  const double t = std::abs(p.x());
  const Rib* nearest = &chosenRib();
  for (const Rib& rib : panel().ribs)
    if (std::abs(rib.t() - t) < std::abs(nearest->t() - t)) nearest = &rib;
  standpoint.setRib(nearest->number);
}

} // namespace eup::app
