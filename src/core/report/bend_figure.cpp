#include "core/report/bend_figure.h"
#include <fmt/format.h>

namespace eup {

void bendFigure(const std::string& key, const std::string& label, double outerRadius, double thickness,
                const Material& wood, double bearsDry, const std::string& where, std::vector<std::string> decisions,
                Stage stage, FigureList& out) {
  if (outerRadius <= 0) return;
  const char* says[] = {"it bends dry", "wet or steam it", "it breaks: take thinner strips"};
  out.add({key, label, outerRadius, Quantity::length, stage,
           fmt::format("{}; {}", where, says[static_cast<int>(bendsAt(thickness, outerRadius, bearsDry))]),
           "outer fibres stretch by t ÷ (2 R − t); dry they bear strength ÷ modulus, wet about three times that",
           fmt::format("{} ÷ (2 × {} − {}) = {:.2f} %; {} bears {:.2f} % dry", out.len(thickness), out.len(outerRadius),
                       out.len(thickness), 100 * bendStrain(thickness, outerRadius), wood.label, 100 * bearsDry),
           "bending of plane sections; the materials' table; that wet wood bears more is common practice",
           std::move(decisions), true});
}

} // namespace eup
