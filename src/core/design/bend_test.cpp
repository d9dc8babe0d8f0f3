#include "core/design/bend_test.h"
#include "core/measure/length_text.h"
#include "core/measure/units.h"
#include <fmt/format.h>

namespace eup {
namespace {

double newtons(double grams) {
  return grams / 1000 * standardGravity;
}

/// Three figures: more was not measured.
double rounded(double v) {
  return std::stod(fmt::format("{:.3g}", v));
}

} // namespace

double bentModulus(const BendTest& t) {
  const double inertia = t.width * t.depth * t.depth * t.depth / 12;
  const double times = t.hold == BendHold::bothEnds ? 48 : 3;
  return newtons(t.load) * t.span * t.span * t.span / (times * inertia * t.sag);
}

double densityOf(const BendTest& t) {
  return t.weight / (t.width * t.depth * t.length) * 1e6;
}

Result<Material> materialFrom(const BendTest& t, const Material& like, const std::string& label) {
  for (const auto& [name, value] :
       {std::pair("width", t.width), std::pair("depth", t.depth), std::pair("span", t.span), std::pair("load", t.load),
        std::pair("sag", t.sag), std::pair("length", t.length), std::pair("weight", t.weight)})
    if (!(value > 0 && value < 1e6)) return Problem{name, "a measure above 0 is needed"};
  if (label.empty() || label.size() > 200) return Problem{"name", "give it a name of at most 200 letters"};
  if (t.sag > t.span / 10)
    return Problem{"sag", fmt::format("{} mm is more than a tenth of the span: hang on less, or shorten the span",
                                      formatNumber(t.sag, 2))};
  if (t.span < 15 * t.depth)
    return Problem{"span",
                   fmt::format("it must be 15 times the depth at least, {} mm here: a short strip gives by shear",
                               formatNumber(15 * t.depth, 1))};
  Material m = like;
  m.key.clear();
  m.label = label;
  m.modulus = rounded(bentModulus(t));
  m.density = rounded(densityOf(t));
  const double times = m.modulus / like.modulus;
  for (double Material::*scaled : {&Material::across, &Material::tension, &Material::compression,
                                   &Material::compressionAcross, &Material::shear, &Material::shearStrength})
    m.*scaled = rounded(like.*scaled * times);
  for (const Column<Material>& c : materialColumns)
    if (!(m.*c.value >= c.limits.low && m.*c.value <= c.limits.high))
      return Problem{c.label, fmt::format("{} comes out, which no material has: look at the measures again",
                                          formatNumber(m.*c.value, 4))};
  m.source =
      fmt::format("own bend test: {} × {} mm, {} g over {} mm sag {} mm; {} g for {} mm", formatNumber(t.width, 2),
                  formatNumber(t.depth, 2), formatNumber(t.load, 1), formatNumber(t.span, 1), formatNumber(t.sag, 2),
                  formatNumber(t.weight, 2), formatNumber(t.length, 1));
  const std::string scaled = "; strengths scaled by E from " + like.label;
  if (m.source.size() + scaled.size() <= 200) m.source += scaled;
  return m;
}

} // namespace eup
