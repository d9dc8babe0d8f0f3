// Figures and findings of ribs that are glued up of sticks in a fixture.
#include "core/parts/stick_rib.h"
#include "core/report/bend_figure.h"
#include "core/report/finder.h"
#include <numeric>

namespace eup {
namespace {

const char* ends(double low, double high) {
  return low * high < 0 ? "as a parallelogram" : "as a trapezium";
}

void barFigures(const Rib& rib, const Stick& stick, const std::vector<std::string>& from, FigureList& out) {
  out.add(
      {fmt::format("rib.{}.stick.{}", rib.number, keyOf(stick)), "Its " + wordsOf(stick), stick.length,
       Quantity::length, Stage::ribs,
       fmt::format("longest edge; low end {} out of square, high end {}, cut {}; it leans {} {}",
                   out.deg(std::abs(stick.lowEnd)), out.deg(std::abs(stick.highEnd)), ends(stick.lowEnd, stick.highEnd),
                   out.deg(std::abs(stick.turn)), stick.turn < 0 ? "forwards" : "aft"),
       "from one strip's inner face to the other's", "between the corners of both ends", planeGeometry, from, false,
       rib.number});
}

} // namespace

void stickFigures(const TruePanel& w, FigureList& out) {
  if (w.design.ribs.make != RibMake::sticks) return;
  const std::vector<std::string> from{"sticks.depth", "sticks.bay", "sticks.lacing", "ribs.thickness"};
  const Rib* tightest = nullptr;
  const Stick* bent = nullptr;
  for (const Rib& rib : w.frame.ribs)
    for (const Stick& stick : rib.sticks) {
      if (stick.what == Stick::What::upper || stick.what == Stick::What::lower) {
        if (stick.radius > 0 && (!bent || stick.radius < bent->radius)) tightest = &rib, bent = &stick;
        out.add({fmt::format("rib.{}.stick.{}", rib.number, keyOf(stick)), "Its " + wordsOf(stick), stick.length,
                 Quantity::length, Stage::ribs,
                 "along its outer face, from the leading edge stock to the trailing edge",
                 "length of the section's edge under its cover", fmt::format("{} deep", out.len(w.design.sticks.depth)),
                 planeGeometry, from, false, rib.number});
      } else if (stick.what == Stick::What::upright || stick.what == Stick::What::diagonal) {
        barFigures(rib, stick, from, out);
      }
    }
  if (!bent) return;
  const Material& wood = w.design.tables.named(woodOf(w.design.ribs, *tightest));
  bendFigure("sticks.bend", "Sharpest bend of a strip", bent->radius, w.design.sticks.depth, wood, dryBend(wood),
             fmt::format("{}, {}, {} behind the nose", tightest->name(), wordsOf(*bent), out.len(bent->radiusAt)),
             {"sticks.depth", "panel.rootChord", "panel.tipChord"}, Stage::ribs, out);
  const auto groups = alikeRibs(w.frame.ribs);
  std::size_t most = 0;
  for (const auto& group : groups) most = std::max(most, group.size());
  const int hands = w.design.mirrored ? 2 : 1, spares = w.design.cutList.spares, batch = w.design.cutList.batch;
  out.add({"sticks.fixtures", "Fixtures to make", static_cast<double>(groups.size()), Quantity::count, Stage::ribs,
           "one for every shape; left and right come from the same one, turned over",
           "ribs that differ nowhere by more than 0.1 mm share one",
           fmt::format("{} stick ribs; at most {} of one shape",
                       std::accumulate(groups.begin(), groups.end(), 0,
                                       [](int sum, const auto& g) { return sum + static_cast<int>(g.size()); }),
                       most),
           planeGeometry, from, true});
  out.add({"sticks.batch",
           "Largest batch to sand as one",
           static_cast<double>(most) * hands * (batch + spares),
           Quantity::count,
           Stage::ribs,
           "slid on short spars and clamped: both ends, the openings and the depth over them must be equal",
           "ribs of one shape × hands × (wings + spares of each)",
           fmt::format("{} × {} × ({} + {})", most, hands, batch, spares),
           planeGeometry,
           {"ribs.make", "cutList.batch", "cutList.spares"},
           true});
}

void stickFindings(Finder f) {
  const PanelBrief& d = f.w.design;
  if (d.ribs.make != RibMake::sticks) return;
  SharedFault breaks, soaks, empty, nicked;
  for (const Rib& rib : f.w.frame.ribs) {
    for (const Notch& notch : rib.notches) // a cap's flat top under a strip that slopes
      for (std::size_t i = 0; i < std::min<std::size_t>(2, rib.sticks.size()); ++i) {
        const double deep = 2 * areaOf(intersect({rib.sticks[i].outline}, {notch.shape})) / notch.width;
        if (deep > d.sticks.depth / 3) nicked.add(rib.number, deep);
      }
    for (const Stick& stick : rib.sticks)
      if (stick.radius > 0) {
        const Bends how = bendsAt(d.sticks.depth, stick.radius, dryBend(d.tables.named(woodOf(d.ribs, rib))));
        if (how != Bends::dry) (how == Bends::wet ? soaks : breaks).add(rib.number, -stick.radius);
      }
    if (isOfSticks(d, rib) && rib.sticks.size() < 3) empty.add(rib.number, 0);
  }
  if (!breaks.ribs.empty())
    f.say({"sticks.breaks",
           Severity::warning,
           Stage::ribs,
           fmt::format("The strips of {} will not take their bend", ribNames(breaks.ribs)),
           fmt::format("{} deep round a radius of {}, even wet.", f.len(d.sticks.depth), f.len(-breaks.worst)),
           "Take thinner strips, two of half the depth, or a longer nose block.",
           breaks.worstRib,
           {"sticks.depth", "ribs.material"}});
  else if (!soaks.ribs.empty())
    f.say({"sticks.soak",
           Severity::note,
           Stage::ribs,
           fmt::format("The strips of {} want steam", ribNames(soaks.ribs)),
           fmt::format("{} deep round a radius of {}: more than they bear dry.", f.len(d.sticks.depth),
                       f.len(-soaks.worst)),
           "Soak or steam them, and let them dry in the fixture.",
           soaks.worstRib,
           {"sticks.depth", "ribs.material"}});
  if (!empty.ribs.empty())
    f.say({"sticks.empty",
           Severity::warning,
           Stage::ribs,
           fmt::format("There is no room between the strips of {}", ribNames(empty.ribs)),
           fmt::format("Two strips of {} fill the section.", f.len(d.sticks.depth)),
           "Take thinner strips, or ribs of sheet.",
           empty.worstRib,
           {"sticks.depth", "ribs.make"}});
  if (!nicked.ribs.empty())
    f.say({"sticks.nick",
           Severity::warning,
           Stage::ribs,
           fmt::format("A spar cuts into the strips of {}", ribNames(nicked.ribs)),
           fmt::format("By {} of their {}: its cap lies flat, the section slopes there.", f.len(nicked.worst),
                       f.len(d.sticks.depth)),
           "Set the spar where the section is deepest, plane its edge to the slope, or take a narrower cap.",
           nicked.worstRib,
           {"sticks.depth", "spars.0.rootFraction"}});
  if ((d.sheeting.top || d.sheeting.bottom) && !d.spars.empty())
    f.say({"sticks.sheet",
           Severity::note,
           Stage::ribs,
           "The nose sheet does not touch the spars",
           fmt::format("The strips of the ribs run over them: {} lie between sheet and spar.", f.len(d.sticks.depth)),
           "Pack the spar up between the ribs where the sheet should close a box with it, or leave the sheet off.",
           {},
           {"ribs.make", "sticks.depth", "sheeting.top"}});
}

} // namespace eup
