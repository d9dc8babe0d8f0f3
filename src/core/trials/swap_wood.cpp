#include "core/trials/swap_wood.h"
#include <algorithm>
#include <cmath>

namespace eup {
namespace {

double glueOf(const Cap& cap, double ribThickness) {
  return (cap.width + 2 * cap.depth) * ribThickness;
}

Cap scaled(const Cap& cap, const std::string& material, SwapBy by, double times) {
  Cap out = cap;
  out.material = material, out.changes = false;
  if (by == SwapBy::width)
    out.width *= times, out.tipWidth *= times;
  else
    out.depth *= times, out.tipDepth *= times;
  return out;
}

/// What is to stay: EI at the root, or strength over stress per unit of moment there.
std::optional<double> kept(const TruePanel& panel, const Spar& spar, const SparLine& line, Face face, SwapKeeps keeps) {
  const SparSection s = sparSection(spar, line, 0, panel.design.tables, skinOf(line, panel.strength.skin));
  if (s.bent.empty() || s.depth() <= 0) return std::nullopt;
  if (keeps == SwapKeeps::stiffness) return s.bent.stiffness;
  const bool up = face == Face::upper;
  const Material& m = panel.design.tables.named((up ? spar.top : spar.bottom).material);
  const double stress = s.bent.stress(1, up ? s.upperOuter : s.lowerOuter, m.modulus);
  return (up ? m.compression : m.tension) / stress;
}

} // namespace

std::optional<WoodSwap> swapWood(const TruePanel& panel, const std::vector<LoadCase>& loads, int index, Face face,
                                 const std::string& material, SwapKeeps keeps, SwapBy by) {
  const auto k = static_cast<std::size_t>(index);
  const Spar& given = panel.design.spars.at(k);
  const SparLine& line = panel.frame.spars.at(k);
  const bool up = face == Face::upper;
  const Cap& old = up ? given.top : given.bottom;
  if (by == SwapBy::width && old.shape != CapShape::strip) return std::nullopt; // it is round
  if (given.kind != SparKind::caps || !old.fitted || !panel.design.tables.find(material)) return std::nullopt;
  const auto wanted = kept(panel, given, line, face, keeps);
  if (!wanted) return std::nullopt;
  Spar spar = given;
  Cap& cap = up ? spar.top : spar.bottom;
  double low = 0.05, high = 20;
  const double room = line.upperSeat.root.y() - line.lowerSeat.root.y() -
                      capAt(up ? spar.bottom : spar.top, 0).depth * ((up ? spar.bottom : spar.top).fitted);
  if (by == SwapBy::depth) high = std::min(high, 0.999 * (room - (capAt(old, 0).depth - old.depth)) / old.depth);
  const auto gives = [&](double times) {
    cap = scaled(old, material, by, times);
    return kept(panel, spar, line, face, keeps).value_or(0);
  };
  if (high <= low || gives(low) > *wanted || gives(high) < *wanted) return std::nullopt;
  for (int i = 0; i < 80; ++i) {
    const double middle = std::sqrt(low * high);
    (gives(middle) < *wanted ? low : high) = middle;
  }
  gives(high);
  WoodSwap out;
  out.cap = cap;
  out.gramsMore = gramsOf(panel, index, spar) - gramsOf(panel, index, given);
  const double rib = panel.design.ribs.thickness;
  out.gluePerRib = glueOf(cap, rib);
  out.glueLost = glueOf(old, rib) - out.gluePerRib;
  if (out.glueLost > 0) out.gusset = out.glueLost / (2 * rib);
  out.reserve = reserveOf(panel, loads, index, spar).value_or(0);
  return out;
}

} // namespace eup
