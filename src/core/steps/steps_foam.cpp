// How panels of sheet and of foam are made.
#include "core/design/lasting.h"
#include "core/steps/step_maker.h"
#include <fmt/format.h>

namespace eup {
namespace {

constexpr const char* wireCaution =
    "Hot wire: isolated low-voltage direct current, never bare mains; fumes out; it burns; "
    "never leave it alone.";

} // namespace

std::string sheetPanelSteps(StepMaker& m) {
  using enum PieceKind;
  const SheetWay way = m.panel.sheet->way;
  const bool boards = m.panel.sheet->boards > 1, strip = m.count({{edgeStrip}}) > 0;
  StepMore blank{.caution = bladeCaution, .print = "skins", .puts = PieceQuery{{panelSheet, edgeStrip}}};
  if (boards || strip) blank.with = m.glue(), blank.cure = m.setHours();
  const std::string cut = m.add("blank",
                                boards && strip ? "Edge-join the boards, glue on the leading edge strip, cut the blank"
                                : boards        ? "Edge-join the boards, cut the blank"
                                : strip         ? "Cut the blank, glue on the leading edge strip"
                                                : "Cut the blank",
                                m.share(25), {}, blank);
  const std::string shaped = m.add("shape",
                                   way == SheetWay::bent   ? "Wet the sheet, bend it over the formers and glue"
                                   : way == SheetWay::flat ? "Sand the panel's edges round"
                                                           : "Carve and sand the panel to section",
                                   m.share(80), {cut},
                                   {.look = way == SheetWay::flat ? "Both edges straight" : "The gauges fit",
                                    .caution = dustCaution,
                                    .print = "gauges",
                                    .puts = PieceQuery{{former}},
                                    .works = PieceQuery{{panelSheet}},
                                    .anyway = true});
  return servoSteps(m, surfaceSteps(m, surfaceSteps(m, shaped, false), true));
}

std::string foamSteps(StepMaker& m) {
  using enum PieceKind;
  const PanelBrief& d = m.panel.design;
  const double cores = m.count({{core}});
  const std::string templates = m.add("templates", "Saw the templates, smooth their edges", 35, {},
                                      {.print = "foam", .works = PieceQuery{{core}}});
  const std::string blocks = m.add("blocks", "Saw the blocks square", 20, {},
                                   {.figures = {"foam.1.blockLength"}, .works = PieceQuery{{core}}});
  std::string last = m.add("wire", "Cut the cores", 15.0 * cores, {templates, blocks},
                           {.with = "hot wire",
                            .attended = true,
                            .look = "Both beds kept, cores numbered",
                            .caution = wireCaution,
                            .print = "foam",
                            .puts = PieceQuery{{core}}});
  const StepMore stiff{.with = "slow epoxy", .cure = m.epoxyHours(), .caution = glueCaution};
  if (cores > 1 || m.count({{coreRibBetween}}) > 0) {
    StepMore joined = stiff;
    joined.look = "Cores straight from end to end, held in the beds";
    joined.puts = PieceQuery{{coreRibBetween}}, joined.anyway = true;
    last = m.add("joinCores", "Join the cores in the beds over film, weighted all along", 15 * cores, {last}, joined);
  }
  StepMore grooves = stiff;
  grooves.look = "A long rule finds no high spot";
  grooves.puts = PieceQuery{{cap, capOuter, doubler, doublerOuter, sheetSpar, web, webOfBay, rescue, rescueOfBay}};
  last = m.add("grooves", "Cut the grooves, glue the caps in", m.share(40), {last}, grooves);
  for (std::size_t k = 0; k < d.inCore.size(); ++k)
    last = m.add(fmt::format("in{}", numberIn(d.inCore, k) - 1), fmt::format("Set the {} in", d.inCore[k].name), 10,
                 {last}, {.puts = PieceQuery{{inCore}, numberIn(d.inCore, k)}, .anyway = true});
  StepMore ends = stiff;
  ends.look = "The core a little proud of its bed, or it glues to that", ends.print = "foam";
  ends.puts = PieceQuery{{coreRibInner, coreRibOuter}};
  last = m.add("endRibs", "Glue the end ribs on, one side after the other", 20, {last}, ends);
  last = skinSteps(m, last);
  last = m.edges(m.share(25), {last});
  last = surfaceSteps(m, surfaceSteps(m, last, false), true);
  return tipSteps(m, servoSteps(m, last));
}

} // namespace eup
