// A builder's own strip or sheet on the bench: its stiffness by a weight that bends it, its density by the scales.
#pragma once
#include "core/design/tables.h"

namespace eup {

enum class BendHold {
  bothEnds, ///< lies on two edges, the weight in the middle
  oneEnd    ///< clamped at one end, the weight at the other
};

/// What is measured. Lengths mm, masses g; all > 0.
struct BendTest {
  BendHold hold = BendHold::bothEnds;
  double width = 10, depth = 3; ///< of the strip; depth upright, the way it bends
  double span = 300;            ///< between the edges, or from the clamp to the weight
  double load = 100;            ///< hung on; its own weight is left out when the sag is read as a difference
  double sag = 5;               ///< more with the load than without, at the load
  double length = 914;          ///< whole strip or sheet on the scales
  double weight = 5;            ///< of that
};

/// E, MPa: F l³ ÷ (48 I s) on two edges, F l³ ÷ (3 I s) clamped, I = w d³ ÷ 12 (bending theory of beams).
double bentModulus(const BendTest& test);
/// kg/m³
double densityOf(const BendTest& test);

/// A row of its own for the table: E and density as measured; strengths and shear are those of `like`, scaled in
/// proportion to E, for nothing was broken. The source says so with the numbers. Refuses what cannot be: a size that is
/// not above 0, a sag of over a tenth of the span (the rule is for small ones) or one that no rule can read, a strip
/// that is too thick for its span, E or density out of the table's limits.
Result<Material> materialFrom(const BendTest& test, const Material& like, const std::string& label);

} // namespace eup
