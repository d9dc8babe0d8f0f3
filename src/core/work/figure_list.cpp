#include "core/work/report_parts.h"
#include <fmt/format.h>

namespace eup {

void FigureList::add(Figure figure) {
  if (panel) {
    figure.wing = panel->wing, figure.panel = panel->panel;
    if (!figure.rib && panel->panel > 0) figure.key = fmt::format("panel{}.{}", panel->panel + 1, figure.key);
    for (std::string& decision : figure.decisions)
      if (!decision.starts_with("flying.")) decision.insert(0, path);
  }
  all.push_back(std::move(figure));
}

std::vector<Figure> allFigures(const TrueWing& w) {
  FigureList out(w.design.unit);
  std::size_t ribs = 0;
  for (const WholeWing& wing : w.wings) ribs += static_cast<std::size_t>(wing.ribCount());
  out.all.reserve(100 + ribs * 20);
  planFigures(w, out);
  for (const WholeWing& wing : w.wings) {
    out.turnToWhole();
    wingFigures(w, wing, out);
    for (const TruePanel& panel : wing.panels) {
      out.turnTo(panel.design);
      sectionFigures(panel, out);
      panelFigures(panel, out);
      ribFigures(panel, out);
      sparFigures(panel, out);
      joinFigures(panel, out);
      settingUpFigures(panel, out);
    }
  }
  return std::move(out.all);
}

} // namespace eup
