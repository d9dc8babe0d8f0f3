// The description of what loads the wings (see describe.h).
#include "core/described/describe.h"
#include <optional>

namespace eup {

std::optional<std::string> wrongShares(const std::vector<double>& table) {
  if (table.size() < 2 || table.size() > static_cast<std::size_t>(mostShares))
    return "a table of lift has 2 to " + std::to_string(mostShares) + " numbers, root first";
  if (!std::any_of(table.begin(), table.end(), [](double x) { return x > 0; })) return "some lift must be in it";
  return std::nullopt;
}

/// Whether the main wing has an aileron; then none is only thought of.
static bool hasAileron(const Design& d) {
  for (const PanelDesign& p : d.wings.front().panels)
    for (const Surface& s : p.surfaces)
      if (rolls(s.kind)) return true;
  return false;
}

void describeFlying(Design& d, Visitor& v) {
  v.group("flying", Topic::loads, [&] {
    v.mass("mass", "Model mass", d.flying.mass, Limits{0.1, 100000});
    auto& f = d.flying;
    v.listed("kind", "Built for", f.kind, Shelf::loadFactors);
    v.number("loadFactor", "Load factor", f.loadFactor, pullLimits, f.kind == typedFactors);
    v.number("pushFactor", "Pushing over, 0 none", f.pushFactor, pushLimits, f.kind == typedFactors);
    v.choice("shape", "Lift spread", f.shape, std::span(loadShapeChoices));
    v.shares("table", "Lift, root to tip", f.table, f.shape == LoadShape::table);
    v.flag("relief", "Less the wing's own weight", f.relief);
    v.group("", Topic::happenings, [&] {
      v.number("gust", "Gust, m/s", f.gust, Limits{0, 30});
      v.extra("a gust", "6", "0", f.gust > 0);
      v.number("airSpeed", "Met at, m/s", f.airSpeed, Limits{0.5, 150}, f.gust > 0);
      v.number("linePull", "Line pulls, N", f.linePull, Limits{0, 5000});
      v.extra("a line's pull", "20", "0", f.linePull > 0);
      v.number("tipTouch", "Tip touches, × weight", f.tipTouch, Limits{0, 20});
      v.extra("a tip that touches", "1", "0", f.tipTouch > 0);
    });
    v.group("", Topic::twistAndDive, [&] {
      v.number("twistCouple", "Twist test, N·mm", f.twistCouple, Limits{0.01, 1000000});
      v.number("diveSpeed", "Dive, m/s", f.diveSpeed, Limits{0, 200});
      v.extra("a dive", "25", "0", f.diveSpeed > 0);
      const bool thought = !hasAileron(d);
      v.fraction("aileronChord", "Aileron thought of, chord", f.aileronChord, Limits{0, 0.6}, thought);
      v.extra("an aileron, thought of", "25", "0", f.aileronChord > 0);
      v.number("aileronFrom", "It begins at, of span", f.aileronFrom, Limits{0, 0.95}, thought && f.aileronChord > 0);
    });
  });
}

} // namespace eup
