#include "core/described/rib_place.h"
#include "core/design/panel_brief.h"
#include "core/design/panel_rules.h"
#include <algorithm>
#include <charconv>
#include <fmt/format.h>

namespace eup {

std::optional<Result<double>> placeOfRib(const Design& design, PanelId id, std::string_view path,
                                         std::string_view typed) {
  if (id.wing < 0 || id.wing >= static_cast<int>(design.wings.size()) || id.panel < 0 ||
      id.panel >= static_cast<int>(design.wings[static_cast<std::size_t>(id.wing)].panels.size()))
    return std::nullopt;
  while (!typed.empty() && typed.front() == ' ') typed.remove_prefix(1);
  while (!typed.empty() && typed.back() == ' ') typed.remove_suffix(1);
  if (typed.size() < 2 || std::string_view("RrSs").find(typed.front()) == std::string_view::npos) return std::nullopt;
  int number = 0;
  const auto [end, error] = std::from_chars(typed.data() + 1, typed.data() + typed.size(), number);
  if (error != std::errc() || end != typed.data() + typed.size()) return std::nullopt;
  const PanelBrief panel = briefsOf(design, id.wing).at(static_cast<std::size_t>(id.panel));
  const std::vector<double> stations = ribStations(panel.ribs, panel.panel.span);
  const int index = number - panel.firstRib;
  if (index < 0 || index >= static_cast<int>(stations.size()))
    return Problem{std::string(path), fmt::format("“{}” is not on this panel: it has R{} to R{}", typed, panel.firstRib,
                                                  panel.firstRib + static_cast<int>(stations.size()) - 1)};
  return stations[static_cast<std::size_t>(index)];
}

} // namespace eup
