#include "core/work/report_parts.h"
#include <fmt/format.h>
#include <iterator>

namespace eup {

void FigureList::add(Figure figure) {
  figure.wing = wing;
  if (panel) {
    figure.panel = panel->panel;
    if (!figure.rib && panel->panel > 0) figure.key = fmt::format("panel{}.{}", panel->panel + 1, figure.key);
    for (std::string& decision : figure.decisions)
      if (!ofWholeModel(decision)) decision.insert(0, path);
  }
  if (wing > 0) figure.key = fmt::format("wing{}.{}", wing + 1, figure.key);
  all.push_back(std::move(figure));
}

std::vector<Figure> figuresButTwist(const TrueWing& w) {
  FigureList out(w.design.unit);
  std::size_t ribs = 0;
  for (const WholeWing& wing : w.wings) ribs += static_cast<std::size_t>(wing.ribCount());
  out.all.reserve(100 + ribs * 20);
  planFigures(w, out);
  for (const WholeWing& wing : w.wings) {
    out.turnToWhole(wing.panels.front().design.id.wing);
    wingFigures(w, wing, out);
    loadFigures(wing, out);
    for (const TruePanel& panel : wing.panels) {
      out.turnTo(panel.design);
      sectionFigures(panel, out);
      panelFigures(panel, out);
      ribFigures(panel, out);
      sparFigures(panel, out);
      bayFigures(panel, out);
      massFigures(panel, out);
      if (panel.design.mirrored || !panel.design.innermost()) joinFigures(panel, out);
      joinerFigures(panel, out);
      tipFigures(panel, out);
      settingUpFigures(panel, out);
    }
  }
  return std::move(out.all);
}

void addTwistFigures(const TrueWing& w, std::vector<Figure>& to) {
  FigureList out(w.design.unit);
  for (const WholeWing& wing : w.wings) {
    for (const TruePanel& panel : wing.panels) out.turnTo(panel.design), twistFigures(panel, out);
    out.turnToWhole(wing.panels.front().design.id.wing);
    softWingFigures(wing, out);
  }
  std::move(out.all.begin(), out.all.end(), std::back_inserter(to));
}

} // namespace eup
