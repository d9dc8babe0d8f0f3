// What each trade tells of a wing: a row for every one. Its prints stand in `take_away.cpp`, its parts in `partsOf`.
#include "core/described/validate.h"
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include <algorithm>

namespace eup {
namespace {

constexpr unsigned bits(std::initializer_list<Stage> stages) {
  unsigned out = 0;
  for (const Stage s : stages) out |= FigureList::bitOf(s);
  return out;
}

void joinFiguresWhereItMeets(const TruePanel& p, FigureList& out) {
  if (p.design.mirrored || !p.design.innermost()) joinFigures(p, out); // a fin's root meets nothing
}

/// What a panel is built of, as bits.
constexpr unsigned kind(Built built) {
  return 1u << static_cast<unsigned>(built);
}
constexpr unsigned ofRibs = kind(Built::ribs), ofAll = ofRibs | kind(Built::sheet) | kind(Built::foam),
                   ofFrames = ofRibs | kind(Built::foam);

/// Of a panel. `stages`: which its figures are of.
struct PanelTrade {
  void (*figures)(const TruePanel&, FigureList&); ///< null with no stages
  unsigned stages;
  void (*findings)(Finder);
  unsigned of = ofRibs; ///< kinds of panels that it has a say in
  bool tells(const TruePanel& panel) const { return (of & 1u << static_cast<unsigned>(panel.design.built)) != 0; }
};
constexpr PanelTrade ofPanels[] = {
    {sectionFigures, bits({Stage::sections}), sectionFindings, ofAll},
    {panelFigures, bits({Stage::panels}), shapeFindings, ofAll},
    {ribFigures, bits({Stage::ribs}), ribFindings},
    {stackFigures, bits({Stage::ribs}), stackFindings},
    {stickFigures, bits({Stage::ribs}), stickFindings},
    {sparFigures, bits({Stage::spars}), strengthFindings, ofFrames},
    {shortSparFigures, bits({Stage::spars}), shortSparFindings},
    {bayFigures, bits({Stage::spars}), bayFindings, ofFrames},
    {massFigures, bits({Stage::spars}), nullptr, ofAll},
    {joinFiguresWhereItMeets, bits({Stage::joins}), joinFindings, ofAll},
    {joinerFigures, bits({Stage::joins, Stage::ribs}), jointFindings},
    {tipFigures, bits({Stage::panels, Stage::ribs, Stage::joins}), tipFindings, ofAll},
    {settingUpFigures, bits({Stage::joins}), footFindings},
    {twistFigures, bits({Stage::spars}), twistFindings},
    {skinFigures, bits({Stage::skins}), skinFindings, ofFrames},
    {coverFigures, bits({Stage::skins}), coverFindings, ofFrames},
    {clothFigures, bits({Stage::skins}), clothFindings, ofAll},
    {sheetFigures, bits({Stage::skins}), sheetFindings, ofAll},
    {foamFigures, bits({Stage::foam}), foamFindings, kind(Built::foam)},
    {foamBetweenFigures, bits({Stage::foam}), foamBetweenFindings},
    {surfaceFigures, bits({Stage::surfaces}), surfaceFindings, ofAll},
    {fittingFigures, bits({Stage::surfaces, Stage::ribs}), fittingFindings},
    {nullptr, 0, holdFindings, ofAll},
    {stockFigures, bits({Stage::stock}), nullptr, ofAll},
};

/// Of a wing as a whole.
struct WingTrade {
  void (*figures)(const WholeWing&, FigureList&);
  unsigned stages;
  void (*findings)(const WholeWing&, std::vector<Finding>&);
  bool last = false; ///< told after the wing's panels
};
constexpr WingTrade ofWings[] = {
    {loadFigures, bits({Stage::spars}), nullptr},
    {assemblyFigures, bits({Stage::joins}), nullptr},
    {foamJoinFigures, bits({Stage::joins}), nullptr},
    {softWingFigures, bits({Stage::spars}), softFindings},
    {bedFigures, bits({Stage::foam}), nullptr, true},
    {partsFigures, bits({Stage::stock}), nullptr},
    {rollFigures, bits({Stage::surfaces}), hingeJoinFindings, true},
};

constexpr unsigned ofAircraft = bits({Stage::panels, Stage::spars, Stage::joins});

} // namespace

std::vector<Figure> tradesFigures(const TrueWing& w, Stage stage) {
  FigureList out(w.design.unit, stage);
  const auto wanted = [&](unsigned stages) {
    out.mayTell(stages);
    return (stages & FigureList::bitOf(stage)) != 0;
  };
  if (wanted(bits({Stage::plan}))) planFigures(w, out);
  for (const WholeWing& wing : w.wings) {
    out.turnToWhole(wing.panels.front().design.id.wing);
    if (wanted(ofAircraft)) wingFigures(w, wing, out);
    if (wanted(bits({Stage::joins}))) holdingFigures(w, wing, out);
    const auto ofWhole = [&](bool last) {
      out.turnToWhole(wing.panels.front().design.id.wing);
      for (const WingTrade& t : ofWings)
        if (t.last == last && wanted(t.stages)) t.figures(wing, out);
    };
    ofWhole(false);
    for (const TruePanel& panel : wing.panels) {
      out.turnTo(panel.design);
      for (const PanelTrade& t : ofPanels)
        if (t.tells(panel) && wanted(t.stages)) t.figures(panel, out);
    }
    ofWhole(true);
  }
  if (wanted(bits({Stage::stock}))) {
    out.turnToWhole(0);
    balanceFigures(w, out);
  }
  if (wanted(bits({Stage::build}))) builtFigures(w, out);
  return std::move(out.all);
}

std::vector<Finding> tradesFindings(const TrueWing& w) {
  std::vector<Finding> out;
  planFindings(w, out);
  for (const WholeWing& wing : w.wings) {
    for (const WingTrade& t : ofWings)
      if (t.findings) t.findings(wing, out);
    for (const TruePanel& panel : wing.panels) {
      std::vector<Finding> here;
      for (const PanelTrade& t : ofPanels)
        if (t.findings && t.tells(panel)) t.findings(Finder{panel, here});
      const int number = panel.design.id.wing;
      const std::string name = number > 0 ? w.design.wings[static_cast<std::size_t>(number)].name : std::string();
      for (Finding& finding : here) // what the wing has not is no cure
        std::erase_if(finding.decisions, [&](const std::string& path) { return !isThere(panel.design, path); });
      for (Finding& finding : here) out.push_back(inPanel(std::move(finding), panel.design.id, panel.design.of, name));
    }
  }
  holdingFindings(w, out);
  massFinding(w, out);
  balanceFindings(w, out);
  builtFindings(w, out);
  std::stable_sort(out.begin(), out.end(), [](const Finding& a, const Finding& b) { return a.severity > b.severity; });
  return out;
}

} // namespace eup
