// Figures and findings of a sheet spar that was cut too shallow, and of what closes the gap.
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include "core/strength/spar_strength.h"

namespace eup {
namespace {

/// N·mm that the spar bears at its root per MPa: its section modulus.
double bears(Spar spar, const SparLine& line, const Tables& tables, bool whole) {
  if (whole) spar.cutShort = 0;
  const SparSection section = sparSection(spar, line, 0, tables);
  if (section.bent.empty()) return 0;
  const double stress = std::max(section.bent.stress(1, section.upperOuter, section.upperModulus),
                                 section.bent.stress(1, section.lowerOuter, section.lowerModulus));
  return stress > 0 ? 1 / stress : 0;
}

} // namespace

void shortSparFigures(const TruePanel& w, FigureList& out) {
  for (const SparLine& line : w.frame.spars) {
    const Spar& s = w.design.spars[static_cast<std::size_t>(line.index)];
    if (s.kind != SparKind::fullDepth || s.cutShort <= 0) continue;
    const std::string path = fmt::format("spars.{}.", line.index), key = fmt::format("spar.{}.", line.index + 1);
    const std::vector<std::string> from{path + "cutShort", path + "shortBelow", path + "rescued", path + "sheet"};
    Spar bare = s;
    bare.rescued = false;
    const double whole = bears(s, line, w.design.tables, true);
    if (whole <= 0) continue;
    const auto share = [&](const Spar& as, const char* end, std::string label, std::string where) {
      const double is = bears(as, line, w.design.tables, false);
      out.add({key + end, std::move(label), is / whole, Quantity::percent, Stage::spars, std::move(where),
               "section modulus of what is left of the sheet at a rib ÷ that of the sheet as it should be",
               fmt::format("{:.1f} mm³ ÷ {:.1f} mm³", is, whole), "bending theory of beams", from, true});
    };
    share(bare, "asCut", fmt::format("As cut, {} bears", s.name),
          fmt::format("at {}, of what it would bear at full depth; short by {} {}", innerEnd(w.design),
                      out.len(s.cutShort), s.shortBelow ? "below" : "above"));
    if (!s.rescued) continue;
    const bool strip = rescuedByStrip(s);
    share(s, "rescuedBears", fmt::format("Closed, {} bears", s.name),
          strip ? fmt::format("with a strip of {} × {} glued into the ribs' open slots, all along", out.len(s.sheet),
                              out.len(s.cutShort))
                : "at the ribs, where that edge is slotted away in any case; between them the strips close the gap");
  }
}

void shortSparFindings(Finder f) {
  for (std::size_t i = 0; i < f.w.design.spars.size(); ++i) {
    const Spar& s = f.w.design.spars[i];
    if (s.kind != SparKind::fullDepth || s.cutShort <= 0) continue;
    const std::string path = fmt::format("spars.{}.", i);
    const bool open = s.shortBelow == (s.ribSlot == SlotFrom::below);
    if (s.rescued) continue;
    f.say({"spar.shallow",
           Severity::warning,
           Stage::spars,
           fmt::format("The {} does not reach the {}", s.name, s.shortBelow ? "underside" : "top"),
           fmt::format("It was cut too shallow by {}: covering and sheet find nothing there.", f.len(s.cutShort)),
           open ? "Glue a strip into the ribs' open slots, all along, or cut the spar anew."
                : "Glue strips on it from rib to rib, or cut the spar anew.",
           {},
           {path + "rescued", path + "cutShort"}});
  }
}

} // namespace eup
