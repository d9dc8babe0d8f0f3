#include "core/skins/holds.h"
#include "core/design/lasting.h"
#include "core/design/record_keys.h"
#include <algorithm>
#include <fmt/format.h>

namespace eup {
std::vector<Hold> holdsOf(const PanelBrief& d, const std::vector<Space>& spaces, bool joiner) {
  std::vector<Hold> out;
  const auto add = [&](const std::string& kind, std::string what) {
    const std::string key = holdKey(d.lasting(), kind);
    if (std::any_of(out.begin(), out.end(), [&](const Hold& h) { return h.key == key; })) return;
    const bool looked = std::find(d.looked.begin(), d.looked.end(), key) != d.looked.end();
    out.push_back({key, std::move(what), looked});
  };
  if (!spaces.empty() && d.built == Built::foam) {
    add("flush", "a long rule finds no high spot; grooves are filled flush");
    add("inside", "leads, cords and tubes lie under the surface, their ends closed against glue and vented");
  } else if (!spaces.empty()) {
    add("glue", d.spars.empty() ? "glue at the ribs, from inside" : "glue at ribs, spars and webs, from inside");
    if (!d.join.braces.empty()) add("brace", "glue at the braces, both faces");
    if (joiner) add("socket", "joiner slides in its socket, the socket's end closed against glue");
    if (d.stiffening.covering != uncovered) add("edges", "no varnish on edges that the sheet is glued to");
    add("high", "a straightedge over the ribs finds no high one");
    const auto each = [&](const char* kind, const auto& list, const char* words) {
      for (std::size_t i = 0; i < list.size(); ++i)
        add(fmt::format("{}:{}", kind, numberIn(list, i)), list[i].name + words);
    };
    each("run", d.runs, ": drawn in through every hole, its ends out");
    each("hard", d.hardPoints, ": glued to both ribs, its place marked outside");
    for (std::size_t i = 0; i < d.surfaces.size(); ++i)
      if (const Surface& s = d.surfaces[i]; s.drive.by != MovedBy::nothing)
        add(fmt::format("drive:{}", numberIn(d.surfaces, i)),
            s.name + ": hinge and horn blocks in; servo centred, its plate in, its rod free");
  }
  for (std::size_t i = 0; i < d.holds.size(); ++i) add(fmt::format("own:{}", numberIn(d.holds, i)), d.holds[i].what);
  return out;
}

} // namespace eup
