// Figures of the twist test.
#include "core/report/report_parts.h"
#include <fmt/format.h>

namespace eup {

void twistFigures(const TruePanel& w, FigureList& out) {
  if (!w.strength.twist) return;
  const FrameTwist& t = *w.strength.twist;
  const Stiffening& s = w.design.stiffening;
  std::vector<std::string> from{"flying.twistCouple", "stiffening.covering", "stiffening.diagonals", "stiffening.plane",
                                "spars.0.webs",       "sheeting.thickness",  "sheeting.to"};
  if (w.design.spars.empty()) std::erase(from, "spars.0.webs");
  const double chord = w.shape.loft.frameAt(w.shape.loft.span()).chord;
  out.add(
      {"twist.angle", "Twist test", t.twist, Quantity::angle, Stage::spars,
       fmt::format("tip rib against {}, held fast; {:.0f} N·mm is {:.0f} g up and down at the ends of the tip chord{}",
                   innerEnd(w.design), t.couple, t.couple / chord / 9.80665 * 1000,
                   t.tooFar() ? "; that is too much for so soft a panel: take a smaller couple" : ""),
       "movements of the panel's frame in space under a pair of forces at the tip rib",
       fmt::format("{} nodes; {}", t.nodes,
                   s.covering == uncovered ? std::string("uncovered")
                                           : "covering: " + w.design.tables.covering(s.covering).source),
       "displacement method, straight members and walls in shear; glue joints stiff: an estimate "
       "to compare by, try it on the bench",
       from, true});
  out.add({"twist.stiffness", "Twisting stiffness GJ", t.stiffness, Quantity::stiffness, Stage::spars,
           "of a plain tube that would twist as far", "couple × span ÷ twist",
           fmt::format("{:.0f} N·mm × {} ÷ {} = {:.4g} N·mm²", t.couple, out.len(w.shape.loft.span()), out.deg(t.twist),
                       t.stiffness),
           "the same", from});
  using enum PieceGroup;
  double stiffening = 0;
  std::string sum;
  for (const auto& [what, words] :
       {std::pair(webs, "webs"), std::pair(diagonals, "diagonals"), std::pair(sheet, "sheet"),
        std::pair(capStrips, "cap strips"), std::pair(covering, "covering")}) {
    const double grams = w.mass.gramsOf(what);
    stiffening += grams;
    sum += fmt::format("{}{} {:.2f} g", sum.empty() ? "" : ", ", words, grams);
  }
  out.add({"twist.grams", "Webs, diagonals, sheet, strips, covering", stiffening, Quantity::mass, Stage::spars,
           "of one hand", "area or volume × weight, as among the parts", sum, "materials' densities", from});
}

} // namespace eup
