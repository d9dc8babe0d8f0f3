#include "core/joins/join_parts.h"
#include "core/design/subject.h"
#include "core/geometry/polyline.h"
#include <cmath>
#include <numbers>

namespace eup {

std::vector<Part> partsOfJoin(const PanelBrief& d, const PanelJoin& join, const std::optional<JoinerRod>& joiner) {
  std::vector<Part> out;
  const double share = join.centre ? 0.5 : 1;
  const auto add = [&](Part::What what, std::string name, const std::string& material, double volume) {
    const double grams = volume * share * d.tables.named(material).density * 1e-6;
    if (grams > 0) out.push_back({what, std::move(name), material, grams, {}, 0, {}});
  };
  for (const Brace& b : join.braces) {
    const Bracing& decided = d.join.braces[static_cast<std::size_t>(b.number)];
    add(Part::What::brace, braceName(b.number), decided.material,
        std::abs(signedArea(b.outline)) * decided.thickness * decided.plates());
  }
  if (joiner) {
    const Joiner& j = d.join.joiner;
    add(Part::What::joiner, "joiner", j.material,
        std::numbers::pi / 4 * (j.diameter * j.diameter - j.bore * j.bore) * (joiner->reach + joiner->reachInside));
  }
  return out;
}

} // namespace eup
