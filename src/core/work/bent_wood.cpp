#include "core/work/bent_wood.h"
#include "core/parts/stick_rib.h"
#include <fmt/format.h>

namespace eup {

Bends bendsAt(double thickness, double outerRadius, double bearsDry) {
  const double strain = bendStrain(thickness, outerRadius);
  return strain <= bearsDry ? Bends::dry : strain <= wetBend * bearsDry ? Bends::wet : Bends::breaks;
}

void bendFigure(const std::string& key, const std::string& label, double outerRadius, double thickness,
                const Material& wood, double bearsDry, const std::string& where, std::vector<std::string> decisions,
                Stage stage, FigureList& out, std::optional<int> rib) {
  if (outerRadius <= 0) return;
  const char* says[] = {"it bends dry", "wet or steam it", "it breaks: take thinner strips"};
  out.add({key, label, outerRadius, Quantity::length, stage,
           fmt::format("{}; {}", where, says[static_cast<int>(bendsAt(thickness, outerRadius, bearsDry))]),
           "outer fibres stretch by t ÷ (2 R − t); dry they bear strength ÷ modulus, wet about three times that",
           fmt::format("{} ÷ (2 × {} − {}) = {:.2f} %; {} bears {:.2f} % dry", out.len(thickness), out.len(outerRadius),
                       out.len(thickness), 100 * bendStrain(thickness, outerRadius), wood.label, 100 * bearsDry),
           "bending of plane sections; the materials' table; that wet wood bears more is common practice",
           std::move(decisions), true, rib});
}

} // namespace eup
