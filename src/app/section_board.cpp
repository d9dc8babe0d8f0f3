#include "app/stage_boards.h"
#include "core/geometry/polyline.h"

namespace eup::app {
namespace {

Polyline placed(const Polyline& line, double chord, const Point& nose, bool mirror) {
  Polyline out;
  for (const Point& p : line) out.push_back(nose + Point((mirror ? 1 - p.x() : p.x()) * chord, p.y() * chord));
  return out;
}

} // namespace

QString SectionBoard::heading() const {
  return tr("Root and tip section, at their chords");
}
QString SectionBoard::subheading() const {
  return tr("straight lines join equal fractions of the two chords");
}

Box SectionBoard::content() const {
  const Design& d = document.wing().design;
  const double c = std::max(d.panel.rootChord, d.panel.tipChord);
  Box box;
  box.include(Point(-0.02 * c, -0.62 * c));
  box.include(Point(1.02 * c, 0.2 * c));
  return box;
}

void SectionBoard::draw(Ink& ink) const {
  const TrueWing& w = document.wing();
  const bool mirror = mirrored();
  const double big = std::max(w.design.panel.rootChord, w.design.panel.tipChord);
  const auto one = [&](const Section& s, const SectionMeasures& m, double chord, const Point& nose, const QString& end,
                       bool labels) {
    const Polyline loop = placed(outlineOf(s), chord, nose, mirror);
    ink.loop(loop, look.balsa, look.ink, 1.4);
    ink.line(placed({{-0.02, 0}}, chord, nose, mirror)[0], placed({{1.02, 0}}, chord, nose, mirror)[0], look.faint, 1,
             Qt::DashDotLine);
    Polyline camber;
    for (std::size_t i = section_grid::noseSteps; i < s.upper.size(); ++i)
      camber.push_back((s.upper[i] + s.lower[i]) / 2);
    ink.chain(placed(camber, chord, nose, mirror), look.accent, 1, Qt::DashLine);
    if (!labels) return;
    const auto place = [&](double x, double y) { return placed({{x, y}}, chord, nose, mirror)[0]; };
    const double up = heightAt(s.upper, m.thicknessAt), down = heightAt(s.lower, m.thicknessAt);
    ink.line(place(m.thicknessAt, up), place(m.thicknessAt, down), look.ink, 1.2);
    ink.text(place(m.thicknessAt, (up + down) / 2), tr("%1 thick").arg(len(m.thickness * chord)), look.ink, {7, 18});
    ink.text(place(0, 0), tr("%1: %2, chord %3").arg(end, QString::fromStdString(s.name), len(chord)), look.ink,
             {mirror ? -260.0 : 0.0, -0.1 * chord * ink.scale - 16}, Qt::AlignLeft, 13, true);
    if (m.camberAt > 0)
      ink.text(place(m.camberAt, m.camber), tr("camber %1 at %2").arg(len(m.camber * chord), len(m.camberAt * chord)),
               look.accent, {40, -0.09 * chord * ink.scale + 2}, Qt::AlignLeft, 11);
    if (m.undercamberAt)
      ink.text(place(*m.undercamberAt, heightAt(s.lower, *m.undercamberAt)),
               tr("undercamber %1").arg(len(m.undercamber * chord)), look.accent, {0, 26}, Qt::AlignHCenter, 11);
  };
  const auto& p = w.design.panel;
  one(w.rootSection, w.rootMeasures, p.rootChord, {0, 0}, tr("Root"), true);
  one(w.tipSection, w.tipMeasures, p.tipChord, {mirror ? big - p.tipChord : 0, -0.27 * big}, tr("Tip"), true);

  // Laid over each other at one chord, to see what the panel changes along its span.
  const Point nose(0, -0.52 * big);
  ink.loop(placed(outlineOf(w.rootSection), big, nose, mirror), Qt::transparent, look.ink, 1.4);
  ink.loop(placed(outlineOf(w.tipSection), big, nose, mirror), Qt::transparent, look.accent, 1.4);
  double worst = 0, at = 0;
  for (int i = section_grid::noseSteps; i < section_grid::points; ++i)
    for (const auto& [a, b] :
         {std::pair(&w.rootSection.upper, &w.tipSection.upper), std::pair(&w.rootSection.lower, &w.tipSection.lower)}) {
      const double gap = std::abs((*a)[static_cast<std::size_t>(i)].y() - (*b)[static_cast<std::size_t>(i)].y());
      if (gap > worst) worst = gap, at = section_grid::fraction(i);
    }
  ink.text(nose,
           worst < 1e-9 ? tr("Root and tip are the same section")
                        : tr("Laid over each other: root in ink, tip in colour; %1 % of the chord apart at %2 %")
                              .arg(worst * 100, 0, 'f', 2)
                              .arg(at * 100, 0, 'f', 0),
           look.ink, {0, -0.1 * big * ink.scale - 12}, Qt::AlignLeft, 13, true);
}

} // namespace eup::app
