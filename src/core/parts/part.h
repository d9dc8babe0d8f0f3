// A piece of a panel, once: masses are added up of them, and cut lists, prints and steps will read them.
#pragma once
#include "core/parts/frame.h"
#include "core/parts/tip.h"

namespace eup {

struct Part {
  enum class What {
    ribs,
    spars,
    webs,
    leadingEdge,
    trailingEdge,
    sheet,
    capStrips,
    covering,
    diagonals,
    tip,
    brace,
    joiner
  } what = What::ribs;
  std::string name;     ///< "R4", "main spar, top cap", "leading edge"
  std::string material; ///< key of the table of materials; of coverings for a covering
  double grams = 0;     ///< of one hand
  /// Where along the panel's span it weighs: g/mm, straight between. Empty for what stands in one place.
  struct Run {
    double from = 0, to = 0, atFrom = 0, atTo = 0;
  };
  std::vector<Run> runs{};
  double at = 0;            ///< of what stands in one place: mm of the panel's span
  std::optional<int> rib{}; ///< its number, of a rib and its strips
};

/// Every piece of one hand that is decided: no glue, hardware or paint. Ribs by their cut area; strips, sheet and
/// covering by their cross-section at every rib, straight between; edges as strips under the section's outline (a
/// square one 0.85 of width × depth behind it, a wedge half); diagonals by their length; of the tip a plate and an
/// outline by their area, a bow by its strips' length, a block as half the tip rib's depth over its plan.
std::vector<Part> partsOf(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                          const std::optional<TipShape>& tip);

/// What the caps, or the sheet, of a spar weigh on its line, g of one hand: exact for what tapers, changes or ends.
double sparGrams(const Spar& spar, const SparLine& line, const Tables& tables);

/// What tips are carved and cut of: they have no wood of their own to be chosen.
inline constexpr const char* tipWood = "balsa-160";

} // namespace eup
