// Figures and findings of cloth in resin, on a panel of sheet or on the skins of one of ribs.
#include "core/report/finder.h"
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {
namespace {

struct ClothOn {
  double area = 0, grams = 0, aft = 0; ///< mm² of all layers; with its resin; Σ grams × mm aft
  int faces = 0;
};
ClothOn clothOn(const TruePanel& w) {
  ClothOn out;
  for (const Part& part : w.parts)
    if (part.id.kind == PieceKind::cloth) {
      ++out.faces;
      out.area += part.area * part.count, out.grams += part.grams, out.aft += part.grams * part.centre.x();
    }
  return out;
}

} // namespace

void clothFigures(const TruePanel& w, FigureList& out) {
  const Cloth& c = w.design.cloth;
  const ClothOn on = clothOn(w);
  if (on.grams <= 0) return;
  const std::vector<std::string> from{"cloth.top", "cloth.bottom", "cloth.gsm", "cloth.resinRatio", "cloth.strip"};
  const double dry = on.area * c.gsm * 1e-6;
  out.add({"cloth.area", "Cloth to cut", on.area, Quantity::area, Stage::skins,
           fmt::format("one hand, all layers{}; a little more for its edges, which are trimmed when it is dry",
                       c.strip > 0 ? ", strips over the joins with it" : ""),
           "area of the faces × layers", fmt::format("{} on top, {} below", c.top, c.bottom),
           "the ruled panel laid flat", from});
  out.add({"cloth.mass", "Cloth and resin", on.grams, Quantity::mass, Stage::skins,
           fmt::format("one hand, dry; its middle lies {} behind the root's leading edge", out.len(on.aft / on.grams)),
           "area × g/m² × (1 + resin ÷ cloth)",
           fmt::format("{:.4f} m² × {} g/m² × (1 + {}) = {:.2f} g", on.area * 1e-6, c.gsm, c.resinRatio, on.grams),
           "common practice", from, true});
  out.add({"cloth.resin", "Resin in it", dry * c.resinRatio, Quantity::mass, Stage::skins,
           "with its hardener, one hand; mix a third more, which stays in the cup and the roller",
           "dry cloth × resin ÷ cloth", fmt::format("{:.2f} g × {} = {:.2f} g", dry, c.resinRatio, dry * c.resinRatio),
           "common practice", from});
  out.add({"cloth.hours",
           "Cloth dries for",
           on.faces * c.hours,
           Quantity::hours,
           Stage::skins,
           on.faces == 2 ? "below first; turn it when that face is dry, then the top: a face at a time, all its layers "
                           "wet in wet"
                         : "all its layers wet in wet",
           "faces × hours a face",
           fmt::format("{} × {} h", on.faces, c.hours),
           "common practice; the maker's sheet decides",
           {"cloth.hours", "cloth.top", "cloth.bottom"}});
}

void clothFindings(Finder f) {
  const Cloth& c = f.w.design.cloth;
  if (f.w.sheet) return;
  for (const bool top : {true, false}) {
    if (c.layers(top) == 0) continue;
    const bool skin =
        std::any_of(f.w.skins.begin(), f.w.skins.end(), [&](const Skin& s) { return (s.face == Face::upper) == top; });
    if (!skin)
      f.say({"cloth.none",
             Severity::warning,
             Stage::skins,
             fmt::format("There is no skin for the cloth {}", top ? "on top" : "below"),
             "Cloth in resin is laid on wood.",
             "Sheet that face, or take the cloth off.",
             {},
             {top ? "cloth.top" : "cloth.bottom", top ? "sheeting.top" : "sheeting.bottom"}});
  }
}

} // namespace eup
