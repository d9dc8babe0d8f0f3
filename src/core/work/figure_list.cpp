#include "core/work/report_parts.h"
#include <cassert>
#include <fmt/format.h>

namespace eup {

void FigureList::add(Figure figure) {
  assert(may == 0 || may & bitOf(figure.stage)); // its writer says so in the table below
  if (only && figure.stage != *only) return;
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

namespace {

constexpr unsigned bits(std::initializer_list<Stage> stages) {
  unsigned out = 0;
  for (const Stage s : stages) out |= FigureList::bitOf(s);
  return out;
}

/// What each trade tells of a panel, and of which stages.
struct PanelTeller {
  void (*tell)(const TruePanel&, FigureList&);
  unsigned stages;
};
void tellJoin(const TruePanel& p, FigureList& out) {
  if (p.design.mirrored || !p.design.innermost()) joinFigures(p, out); // a fin's root meets nothing
}
constexpr PanelTeller ofPanels[] = {
    {sectionFigures, bits({Stage::sections})},
    {panelFigures, bits({Stage::panels})},
    {ribFigures, bits({Stage::ribs})},
    {sparFigures, bits({Stage::spars})},
    {bayFigures, bits({Stage::spars})},
    {massFigures, bits({Stage::spars})},
    {tellJoin, bits({Stage::joins})},
    {joinerFigures, bits({Stage::joins, Stage::ribs})},
    {tipFigures, bits({Stage::panels, Stage::ribs, Stage::joins})},
    {settingUpFigures, bits({Stage::joins})},
    {twistFigures, bits({Stage::spars})},
};
struct WingTeller {
  void (*tell)(const WholeWing&, FigureList&);
  unsigned stages;
};
constexpr WingTeller ofWings[] = {{loadFigures, bits({Stage::spars})}, {softWingFigures, bits({Stage::spars})}};
constexpr unsigned ofAircraft = bits({Stage::panels, Stage::spars, Stage::joins});

} // namespace

std::vector<Figure> figuresOf(const TrueWing& w, Stage stage) {
  FigureList out(w.design.unit, stage);
  const auto wanted = [&](unsigned stages) {
    out.mayTell(stages);
    return (stages & FigureList::bitOf(stage)) != 0;
  };
  if (wanted(bits({Stage::plan}))) planFigures(w, out);
  for (const WholeWing& wing : w.wings) {
    out.turnToWhole(wing.panels.front().design.id.wing);
    if (wanted(ofAircraft)) wingFigures(w, wing, out);
    for (const WingTeller& t : ofWings)
      if (wanted(t.stages)) t.tell(wing, out);
    for (const TruePanel& panel : wing.panels) {
      out.turnTo(panel.design);
      for (const PanelTeller& t : ofPanels)
        if (wanted(t.stages)) t.tell(panel, out);
    }
  }
  return std::move(out.all);
}

} // namespace eup
