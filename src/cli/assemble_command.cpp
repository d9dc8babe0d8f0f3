#include "cli/assemble_command.h"
#include "core/files/json.h"
#include "core/measure/units.h"
#include <charconv>
#include <cmath>
#include <fmt/format.h>
#include <ostream>

namespace eup::cli {
namespace {

/// "R3=0.3", "3=0.3": a number, and by how much.
Result<std::pair<int, double>> numbered(const std::string& typed) {
  const std::string_view text = typed;
  const auto equals = text.find('=');
  const std::size_t start = text.starts_with('R') || text.starts_with('r') ? 1 : 0;
  int number = 0;
  double by = 0;
  if (equals == std::string_view::npos || equals <= start) return Problem{typed, "write it as in R3=0.3"};
  const auto first = std::from_chars(text.data() + start, text.data() + equals, number);
  const auto second = std::from_chars(text.data() + equals + 1, text.data() + text.size(), by);
  if (first.ec != std::errc() || first.ptr != text.data() + equals || second.ec != std::errc() ||
      second.ptr != text.data() + text.size() || !std::isfinite(by))
    return Problem{typed, "write it as in R3=0.3"};
  if (std::abs(by) > mostFault) return Problem{typed, fmt::format("an error of up to {} was expected", mostFault)};
  return std::pair(number, by);
}

/// What rounds to nothing has no sign.
double unsignedNothing(double value) {
  return std::abs(value) < 5e-5 ? 0 : value;
}

} // namespace

Result<std::vector<AssemblyFault>> faultsOf(const AssembleArgs& args, const WholeWing& wing) {
  std::vector<AssemblyFault> out;
  for (const auto& [what, list] :
       {std::pair(AssemblyFault::What::notch, &args.notches), std::pair(AssemblyFault::What::packing, &args.packing)})
    for (const std::string& typed : *list) {
      const auto read = numbered(typed);
      if (!read) return read.problem();
      const auto [rib, by] = read.value();
      if (rib < 1 || rib > wing.stationCount()) return Problem{typed, fmt::format("there is no R{}", rib)};
      out.push_back({what, wing.panelAt(rib).design.id.panel, rib, by});
    }
  for (const std::string& typed : args.braces) {
    const auto read = numbered(typed);
    if (!read) return read.problem();
    const auto [panel, by] = read.value();
    if (panel < 1 || panel > static_cast<int>(wing.panels.size()))
      return Problem{typed, fmt::format("there is no panel {}", panel)};
    out.push_back({AssemblyFault::What::brace, panel - 1, 1, degToRad(by)});
  }
  return out;
}

void tellAssembly(const WholeWing& wing, const std::vector<AssemblyFault>& faults, bool json, std::ostream& out) {
  const Assembly a = assembled(wing, faults);
  if (json) {
    Json root{{"unit", {{"length", "mm"}, {"angle", "deg"}}},
              {"off", a.off},
              {"turned", radToDeg(a.turned)},
              {"tipOff", a.tipOff},
              {"strip", a.strip},
              {"panels", Json::array()}};
    for (const AssembledPanel& p : a.panels) {
      Json panel{{"gamma", radToDeg(p.gamma)},   {"off", p.off},
                 {"turned", radToDeg(p.turned)}, {"tip", {p.tip.x(), p.tip.y(), p.tip.z()}},
                 {"tipOff", p.tipOff},           {"ribs", Json::array()}};
      for (const AssembledRib& r : p.ribs)
        panel["ribs"].push_back({{"rib", r.rib},
                                 {"off", r.off},
                                 {"turned", radToDeg(r.turned)},
                                 {"up", r.up},
                                 {"slotClearance", r.room ? Json(*r.room) : Json()}});
      panel["strips"] = Json::array();
      for (const AssembledStrip& s : p.strips) panel["strips"].push_back({{"name", s.name}, {"shortBy", s.shortBy}});
      root["panels"].push_back(std::move(panel));
    }
    out << root.dump(2) << '\n';
    return;
  }
  out << "rib     off, mm   turned, nose down   seat too high, mm\n";
  for (const AssembledPanel& p : a.panels)
    for (const AssembledRib& r : p.ribs)
      out << fmt::format("{:6}{:9.3f}{:19.4f}°{:20.3f}\n", fmt::format("R{}", r.rib), r.off,
                         unsignedNothing(radToDeg(r.turned)), unsignedNothing(r.up));
  out << fmt::format("strips are within {:.3f} mm of what they take between the joins\n", a.strip);
  if (a.room) out << fmt::format("slots clear what slides into them by {:.3f} mm on either side\n", *a.room);
  out << fmt::format("the tip lies {:.3f} mm from where it should be\n", a.tipOff);
}

} // namespace eup::cli
