#include "core/report/report_parts.h"
#include <algorithm>
#include <cassert>
#include <cmath>
#include <fmt/format.h>

namespace eup {

void FigureList::add(Figure figure) {
  assert(may == 0 || may & bitOf(figure.stage)); // its writer says so in the table below
  if (only && figure.stage != *only) return;
  figure.wing = wing;
  const double most = mostShown(figure.quantity);
  figure.value = std::isnan(figure.value) ? most : std::clamp(figure.value, -most, most);
  if (panel) {
    figure.panel = panel->panel;
    if (!figure.rib && panel->panel > 0) figure.key = fmt::format("panel{}.{}", panel->panel + 1, figure.key);
    std::erase_if(figure.decisions, [&](const std::string& decision) { return !isThere(*brief, decision); });
    for (std::string& decision : figure.decisions)
      if (!ofWholeModel(decision)) decision.insert(0, path);
  }
  if (wing > 0) figure.key = fmt::format("wing{}.{}", wing + 1, figure.key);
  all.push_back(std::move(figure));
}

} // namespace eup
