#include "core/design/rib_place.h"
#include "core/design/panel_brief.h"
#include "core/design/panel_rules.h"
#include <algorithm>
#include <charconv>
#include <fmt/format.h>

namespace eup {

std::optional<Result<double>> placeOfRib(const Design& design, std::string_view path, std::string_view typed) {
  const auto id = panelOfPath(path);
  if (!id) return std::nullopt;
  const std::string_view within = withinPanel(path), last = path.substr(path.rfind('.') + 1);
  constexpr std::string_view lists[] = {"surfaces.", "runs.", "hardPoints.", "inCore."},
                             places[] = {"from", "to", "at"};
  const bool alongSpan = std::any_of(std::begin(lists), std::end(lists),
                                     [&](std::string_view list) { return within.starts_with(list); }) &&
                         std::find(std::begin(places), std::end(places), last) != std::end(places);
  while (!typed.empty() && typed.front() == ' ') typed.remove_prefix(1);
  while (!typed.empty() && typed.back() == ' ') typed.remove_suffix(1);
  if (!alongSpan || typed.size() < 2 || std::string_view("RrSs").find(typed.front()) == std::string_view::npos)
    return std::nullopt;
  int number = 0;
  const auto [end, error] = std::from_chars(typed.data() + 1, typed.data() + typed.size(), number);
  if (error != std::errc() || end != typed.data() + typed.size()) return std::nullopt;
  const PanelBrief panel = briefsOf(design, id->wing).at(static_cast<std::size_t>(id->panel));
  const std::vector<double> stations = ribStations(panel.ribs, panel.panel.span);
  const int index = number - panel.firstRib;
  if (index < 0 || index >= static_cast<int>(stations.size()))
    return Problem{std::string(path), fmt::format("“{}” is not on this panel: it has R{} to R{}", typed, panel.firstRib,
                                                  panel.firstRib + static_cast<int>(stations.size()) - 1)};
  return stations[static_cast<std::size_t>(index)];
}

} // namespace eup
