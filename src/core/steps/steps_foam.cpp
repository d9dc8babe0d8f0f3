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
  const std::string cut = m.add("blank", "Cut the blank", m.share(25), {}, {.caution = bladeCaution, .print = "skins"});
  const std::string shaped = m.add("shape", "Carve and sand it to its section", m.share(80), {cut},
                                   {.look = "The gauges fit", .caution = dustCaution, .print = "gauges"});
  return surfaceSteps(m, shaped);
}

std::string foamSteps(StepMaker& m) {
  const PanelBrief& d = m.panel.design;
  const std::string templates = m.add("templates", "Saw the templates, smooth their edges", 35, {}, {.print = "foam"});
  const std::string blocks = m.add("blocks", "Saw the blocks square", 20, {}, {.figures = {"foam.1.blockLength"}});
  std::string last =
      m.add("wire", "Cut the cores", 15.0 * static_cast<double>(m.panel.foam->cores.size()), {templates, blocks},
            {.with = "hot wire",
             .attended = true,
             .look = "Both beds kept, cores numbered",
             .caution = wireCaution,
             .print = "foam"});
  if (!d.spars.empty())
    last = m.add("grooves", "Cut the grooves, glue the caps in", m.share(40), {last},
                 {.with = "slow epoxy",
                  .cure = m.epoxyHours(),
                  .look = "A long rule finds no high spot",
                  .caution = glueCaution});
  for (std::size_t k = 0; k < d.inCore.size(); ++k)
    last = m.add(fmt::format("in{}", numberIn(d.inCore, k) - 1), fmt::format("Set the {} in", d.inCore[k].name), 10,
                 {last});
  if (d.foam.endRib > 0)
    last = m.add("endRibs", "Glue the end ribs on, one side after the other", 20, {last},
                 {.with = "slow epoxy",
                  .cure = m.epoxyHours(),
                  .look = "The core a little proud of its bed, or it glues to that",
                  .caution = glueCaution,
                  .print = "foam"});
  last = skinSteps(m, last);
  if (const std::string edges = m.edges(m.share(25), {last}); !edges.empty()) last = edges;
  return surfaceSteps(m, last);
}

} // namespace eup
