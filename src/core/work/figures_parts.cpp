// Figures of all the pieces together.
#include "core/work/report_parts.h"
#include <fmt/format.h>

namespace eup {

void partsFigures(const WholeWing& wing, FigureList& out) {
  const double hands = wing.mirrored ? 2 : 1;
  double grams = 0, pieces = 0;
  std::string byPanel, counted;
  for (const TruePanel& p : wing.panels) {
    double here = 0, count = 0;
    for (const Part& part : p.parts) here += part.grams * hands, count += part.count * (part.shared ? 1 : hands);
    grams += here, pieces += count;
    byPanel +=
        fmt::format("{}{}", byPanel.empty() ? "" : " + ", told(here, Quantity::mass, wing.panels.front().design.unit));
    counted += fmt::format("{}{:.0f}", counted.empty() ? "" : " + ", count);
  }
  const std::string path = pathOf(wing.panels.front().design.id);
  out.add({"parts.mass",
           "All pieces weigh",
           grams,
           Quantity::mass,
           Stage::stock,
           wing.mirrored ? "both hands of this wing; no glue, paint or servo" : "this wing; no glue, paint or servo",
           "Σ volume × density",
           byPanel + (wing.panels.size() > 1 ? ", by panel from the middle outwards" : ""),
           "densities of the materials' table",
           {path + "ribs.thickness", path + "ribs.material"},
           true});
  out.add({"parts.pieces",
           "Pieces",
           pieces,
           Quantity::count,
           Stage::stock,
           "built into one wing; spares and further wings of a batch come on top",
           "counted",
           counted + (wing.panels.size() > 1 ? ", by panel" : ""),
           "the parts list",
           {"cutList.spares", "cutList.batch"},
           true});
}

} // namespace eup
