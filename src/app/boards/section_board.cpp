#include "app/boards/stage_boards.h"
#include "core/geometry/polyline.h"
#include "core/section/naca.h"

namespace eup::app {

namespace {
// Heights of the parts of the picture, in chords.
constexpr double differenceAt = -0.30, noseAt = -0.62, noseShare = 0.07, noseRoom = 0.30;
} // namespace

QString SectionBoard::heading() const {
  const QString end = standpoint.tipSection() ? tr("Tip section at its chord") : tr("Root section at its chord");
  return panel().design.of > 1 ? tr("Panel %1: %2").arg(panel().design.id.panel + 1).arg(end) : end;
}
QString SectionBoard::subheading() const {
  return tr("drag the crest, the camber, the trailing edge, a listed or traced point; choose root or tip on the right");
}

double SectionBoard::chord() const {
  const Panel& p = panel().design.panel;
  return standpoint.tipSection() ? p.tipChord : p.rootChord;
}
const Section& SectionBoard::section() const {
  return standpoint.tipSection() ? panel().shape.tipSection : panel().shape.rootSection;
}

Point SectionBoard::placed(const Point& p) const {
  return Point(mirrored() ? 1 - p.x() : p.x(), p.y()) * chord();
}
Polyline SectionBoard::placed(const Polyline& line) const {
  Polyline out;
  for (const Point& p : line) out.push_back(placed(p));
  return out;
}

Box SectionBoard::content() const {
  Box box;
  box.include(Point(-0.03, -0.80) * chord());
  box.include(Point(1.05, 0.17) * chord());
  return box;
}

std::vector<SectionBoard::Other> SectionBoard::others() const {
  const TruePanel& w = panel();
  std::vector<Other> out;
  const bool tip = standpoint.tipSection();
  if (!(w.shape.rootSection.upper == w.shape.tipSection.upper && w.shape.rootSection.lower == w.shape.tipSection.lower))
    out.push_back({tip ? tr("root: %1").arg(QString::fromStdString(w.shape.rootSection.name))
                       : tr("tip: %1").arg(QString::fromStdString(w.shape.tipSection.name)),
                   tip ? w.shape.rootSection : w.shape.tipSection, look.accent, Qt::DashLine});
  if (const auto naca = readNaca(standpoint.compareWith().toStdString()))
    out.push_back({tr("NACA %1").arg(standpoint.compareWith()), makeNaca(naca.value()), look.wrong, Qt::DashDotLine});
  if (const Rib& rib = chosenRib(); rib.kind == RibKind::main) { // the ends are drawn anyway
    const Cut cut = w.shape.loft.cutAt(rib.t());
    Other loft{tr("the loft at R%1").arg(standpoint.rib()), {}, look.good, Qt::DotLine};
    for (const bool upper : {true, false})
      for (const Point& p : upper ? cut.upper : cut.lower)
        (upper ? loft.section.upper : loft.section.lower).push_back(cut.frame.toChord(p) / cut.frame.chord);
    out.push_back(std::move(loft));
  }
  return out;
}

void SectionBoard::draw(Ink& ink) const {
  const TruePanel& w = panel();
  const bool tip = standpoint.tipSection();
  const Section& s = section();
  const SectionMeasures& m = tip ? w.shape.tipMeasures : w.shape.rootMeasures;
  const double c = chord();
  const auto all = others();
  const Polyline outline = placed(outlineOf(s));
  ink.loop(outline, look.balsa, look.ink, 1.5);
  drawTracedPlan(ink, tip ? w.shape.tipShape : w.shape.rootShape, tip, c);
  ink.line(placed(Point(-0.02, 0)), placed(Point(1.02, 0)), look.faint, 1, Qt::DashDotLine);
  Polyline middle;
  for (std::size_t i = section_grid::noseSteps; i < s.upper.size(); ++i)
    middle.push_back((s.upper[i] + s.lower[i]) / 2);
  ink.chain(placed(middle), look.faint, 1, Qt::DashLine);
  double legend = 0;
  for (const Other& o : all) {
    ink.chain(placed(outlineOf(o.section)), o.colour, 1.5, o.style);
    const Point at(0.02 * c, -0.115 * c);
    ink.painter.setPen(QPen(o.colour, 2, o.style));
    const QPointF p = ink.at(at) + QPointF(legend, 0);
    ink.painter.drawLine(p, p + QPointF(26, 0));
    ink.text(at, o.name, o.colour, {legend + 32, 4}, Qt::AlignLeft, 12, true);
    legend += 60 + 8.0 * static_cast<double>(o.name.size());
  }
  const double up = heightAt(s.upper, m.thicknessAt), down = heightAt(s.lower, m.thicknessAt);
  ink.line(placed(Point(m.thicknessAt, up)), placed(Point(m.thicknessAt, down)), look.ink, 1.2);
  ink.text(placed(Point(m.thicknessAt, (up + down) / 2)),
           tr("%1 thick, %2 %").arg(len(m.thickness * c)).arg(m.thickness * 100, 0, 'f', 2), look.ink, {7, 20});
  ink.text(placed(Point(mirrored() ? 1 : 0, 0)), tr("%1, chord %2").arg(QString::fromStdString(s.name), len(c)),
           look.ink, {0, -0.125 * c * ink.scale}, Qt::AlignLeft, 13, true);
  if (m.undercamberAt)
    ink.text(placed(Point(*m.undercamberAt, heightAt(s.lower, *m.undercamberAt))),
             tr("undercamber %1").arg(len(m.undercamber * c)), look.accent, {0, 20}, Qt::AlignHCenter, 11);
  drawDifference(ink, all);
  drawNose(ink);
}

void SectionBoard::drawDifference(Ink& ink, const std::vector<Other>& all) const {
  const double c = chord();
  const Section& s = section();
  const Point left(0, differenceAt * c), right(c, differenceAt * c);
  ink.line(left, right, look.faint, 1);
  double worst = 0;
  for (const Other& o : all)
    for (std::size_t i = section_grid::noseSteps + 3; i < s.upper.size(); ++i)
      worst = std::max({worst, std::abs(o.section.upper[i].y() - s.upper[i].y()),
                        std::abs(o.section.lower[i].y() - s.lower[i].y())});
  if (worst < 1e-7) {
    ink.text(left,
             all.empty() ? tr("Nothing else is laid over it: root and tip are the same section") : tr("No difference"),
             look.faint, {0, -8}, Qt::AlignLeft, 12);
    return;
  }
  double larger = 1;
  for (const double times : {2.0, 5.0, 10.0, 20.0, 50.0, 100.0, 200.0})
    if (worst * times < 0.09) larger = times;
  for (const Other& o : all)
    for (const bool upper : {true, false}) {
      Polyline line;
      for (std::size_t i = section_grid::noseSteps + 3; i < s.upper.size(); ++i) {
        const double gap = upper ? o.section.upper[i].y() - s.upper[i].y() : o.section.lower[i].y() - s.lower[i].y();
        const double x = section_grid::fraction(static_cast<int>(i));
        line.emplace_back((mirrored() ? 1 - x : x) * c, (differenceAt + gap * larger) * c);
      }
      ink.chain(line, o.colour, upper ? 1.8 : 1.1, upper ? Qt::SolidLine : Qt::DashLine);
    }
  ink.text(left,
           tr("Laid over less this one, %1 times larger: upper surface solid, lower dashed; at most %2")
               .arg(larger)
               .arg(len(worst * c)),
           look.ink, {0, -0.095 * c * ink.scale}, Qt::AlignLeft, 12, true);
}

void SectionBoard::drawNose(Ink& ink) const {
  const TruePanel& w = panel();
  const Section& s = section();
  const double c = chord(), larger = noseRoom / noseShare;
  const bool tip = standpoint.tipSection();
  const double radius = c * noseRadiusOf(tip ? w.design.sections.tip : w.design.sections.root,
                                         tip ? w.shape.tipMeasures : w.shape.rootMeasures);
  const auto at = [&](const Point& p) {
    const Point q = p * larger * c;
    return Point(mirrored() ? c - q.x() - 0.02 * c : q.x() + 0.02 * c, q.y() + noseAt * c);
  };
  Polyline nose;
  for (auto it = s.upper.rbegin(); it != s.upper.rend(); ++it)
    if (it->x() < noseShare) nose.push_back(at(*it));
  for (std::size_t i = 1; i < s.lower.size() && s.lower[i].x() < noseShare; ++i) nose.push_back(at(s.lower[i]));
  if (nose.size() > 2) ink.loop(nose, look.balsa, look.ink, 1.4);
  ink.line(at({-0.004, 0}), at({noseShare, 0}), look.faint, 1, Qt::DashDotLine);
  if (radius <= 0) return;
  // The circle touches the nose point; its centre lies where the points next to the nose have it.
  const double r = radius / c;
  const SectionMeasures& m = standpoint.tipSection() ? w.shape.tipMeasures : w.shape.rootMeasures;
  const Point centre = m.noseCentre.norm() > 0 ? Point(m.noseCentre.normalized() * r) : Point(r, 0);
  Polyline circle;
  for (int k = 0; k <= 60; ++k) circle.push_back(at(centre + r * Point(std::cos(k * pi / 30), std::sin(k * pi / 30))));
  ink.chain(circle, look.accent, 1.4);
  ink.line(at(centre), at(centre + r * Point(0.6, 0.8)), look.accent, 1.2);
  const Point beside = at({noseShare, 0});
  const double side = mirrored() ? -14 : 14;
  const auto align = mirrored() ? Qt::AlignRight : Qt::AlignLeft;
  ink.text(beside, tr("nose radius %1").arg(len(radius)), look.accent, {side, -4}, align, 13, true);
  ink.text(beside, tr("the nose, %1 times larger; Write this section prints a gauge for it").arg(larger, 0, 'f', 1),
           look.faint, {side, 14}, align, 11);
}

std::vector<Handle> SectionBoard::handles() const {
  const TruePanel& w = panel();
  const bool tip = standpoint.tipSection();
  if (!tip && !w.design.innermost() && w.design.panel.continues) return {}; // worked on as the tip of the panel inside
  const PanelId id = here();
  const Section& s = section();
  const SectionMeasures& m = tip ? w.shape.tipMeasures : w.shape.rootMeasures;
  const SectionChoice& choice = tip ? w.design.sections.tip : w.design.sections.root;
  const double c = chord();
  std::vector<Handle> out;
  const auto decided = [&](const QString& name, const Point& fraction, StepKind what, double now, double share) {
    const Point at = placed(fraction);
    out.push_back({name, at, at, Qt::SizeVerCursor, tr("Move %1").arg(name),
                   [id, tip, what, now, share, c](const Design& before, const Point& by) -> Result<Design> {
                     Design d = before;
                     PanelDesign& p = d.at(id);
                     SectionChoice& chosen = tip ? p.sections.tip : p.sections.root;
                     chosen = withDecided(chosen, what, now + by.y() / c * share);
                     return d;
                   }});
  };
  const bool flatBelow = choice.kind == SectionKind::flatUnderside && choice.steps.empty();
  decided(tr("thickness crest"), {m.thicknessAt, heightAt(s.upper, m.thicknessAt)}, StepKind::thickness, m.thickness,
          flatBelow ? 1 : 2);
  const double camberAt = m.camberAt > 0.05 ? m.camberAt : 0.5;
  decided(tr("camber"), {camberAt, (heightAt(s.upper, camberAt) + heightAt(s.lower, camberAt)) / 2}, StepKind::camber,
          m.camber, 1);
  decided(tr("trailing edge"), s.upper.back(), StepKind::tail, m.tailThickness, 2);
  if (choice.kind != SectionKind::listed && choice.kind != SectionKind::traced) return out;
  const bool traced = choice.kind == SectionKind::traced;
  const ShapedSection& shaped = tip ? w.shape.tipShape : w.shape.rootShape;
  if (traced && !shaped.trace) return out;
  for (const bool upper : {true, false}) {
    const Polyline& points = traced ? (upper ? shaped.trace->placed.upper : shaped.trace->placed.lower)
                                    : (upper ? choice.listed.upper : choice.listed.lower);
    for (std::size_t i = 0; i < points.size(); ++i) {
      if (!traced && (i == 0 || i + 1 == points.size())) continue; // a listing starts at the nose and ends at x = 1
      const QString name = (upper ? tr("upper point %1") : tr("lower point %1")).arg(i + 1);
      const Point at = placed(points[i]);
      out.push_back({name, at, at, Qt::SizeAllCursor, tr("Move %1").arg(name),
                     [id, tip, traced, upper, i, c, mirror = mirrored(),
                      trace = shaped.trace](const Design& before, const Point& by) -> Result<Design> {
                       Design d = before;
                       PanelDesign& p = d.at(id);
                       SectionChoice& chosen = tip ? p.sections.tip : p.sections.root;
                       const Point move = Point(mirror ? -by.x() : by.x(), by.y()) / c;
                       Polyline& line = traced ? (upper ? chosen.traced.upper : chosen.traced.lower)
                                               : (upper ? chosen.listed.upper : chosen.listed.lower);
                       if (i >= line.size()) return Problem{"", "there is no such point any more"};
                       if (traced) {
                         line[i] += trace->placed.toPlan(move) - trace->placed.toPlan({0, 0});
                         if (const auto fit = fitTrace(chosen.traced); !fit) return fit.problem();
                         return d;
                       }
                       line[i] += move;
                       if (auto checked = checkedListing(chosen.listed); !checked) return checked.problem();
                       return d;
                     }});
    }
  }
  return out;
}

} // namespace eup::app
