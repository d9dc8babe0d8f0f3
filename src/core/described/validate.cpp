#include "core/described/validate.h"
#include "core/design/panel_brief.h"
#include "core/design/panel_rules.h"
#include <cmath>
#include <fmt/format.h>

namespace eup {
namespace {

constexpr double leastBay = 0.5; // mm between neighbouring rib stations

void checkStations(const PanelBrief& d, std::vector<Finding>& out) {
  const auto stations = ribStations(d.ribs, d.panel.span);
  const auto say = [&](std::string what, std::string detail, std::string remedy, std::optional<int> rib = {}) {
    out.push_back({"ribs.stations",
                   Severity::serious,
                   Stage::ribs,
                   std::move(what),
                   std::move(detail),
                   std::move(remedy),
                   rib,
                   {"ribs.rule", "ribs.stations", "ribs.spacing", "panel.span"}});
  };
  const auto len = [&](double mm) { return told(mm, Quantity::length, d.unit); };
  if (stations.size() < 2)
    return say("A panel needs a root and a tip rib", fmt::format("{} stations are given", stations.size()),
               "Give at least two stations.");
  if (stations.size() > static_cast<std::size_t>(mostRibs))
    return say("Too many ribs", fmt::format("{} ribs; at most {} can be drawn", stations.size(), mostRibs),
               "Widen the spacing.");
  for (std::size_t i = 0; i < stations.size(); ++i) {
    const int number = d.firstRib + static_cast<int>(i);
    if (!(stations[i] >= -1e-6 && stations[i] <= d.panel.span + 1e-6))
      return say(fmt::format("R{} lies off the panel", number),
                 fmt::format("It stands at {}; the span is {}", len(stations[i]), len(d.panel.span)),
                 "Move the rib, or lengthen the panel.", number);
    if (i > 0 && stations[i] - stations[i - 1] < leastBay)
      return say(fmt::format("R{} does not lie outside R{}", number, number - 1),
                 fmt::format("They stand at {} and {}", len(stations[i - 1]), len(stations[i])), "Move one of them.",
                 number);
  }
}

void checkSpars(const PanelBrief& d, std::vector<Finding>& out) {
  for (std::size_t i = 0; i < d.spars.size(); ++i)
    for (std::size_t j = i + 1; j < d.spars.size(); ++j) {
      const double root = (d.spars[i].rootFraction - d.spars[j].rootFraction) * d.panel.rootChord;
      const double tip = (d.spars[i].tipFraction - d.spars[j].tipFraction) * d.panel.tipChord;
      if (root * tip >= 0 && root != 0) continue;
      const auto path = [](std::size_t k, const char* end) { return fmt::format("spars.{}.{}Fraction", k, end); };
      out.push_back({"spars.cross",
                     Severity::serious,
                     Stage::spars,
                     fmt::format("Spars {} and {} cross", i + 1, j + 1),
                     "Their lines change sides between root and tip.",
                     "Move one of the lines.",
                     {},
                     {path(i, "root"), path(i, "tip"), path(j, "root"), path(j, "tip")}});
    }
}

/// Skins that should end or begin at a spar that is not there.
void checkSkins(const PanelBrief& d, std::vector<Finding>& out) {
  const auto check = [&](const std::string& path, const char* number, const char* choice, const char* does, int spar) {
    if (spar <= static_cast<int>(d.spars.size())) return;
    out.push_back({"sheeting.spar",
                   Severity::serious,
                   Stage::skins,
                   fmt::format("The sheet has no spar to {} at", does),
                   fmt::format("It should {} at spar {}; there {} {}", does, spar, d.spars.size() == 1 ? "is" : "are",
                               d.spars.size()),
                   fmt::format("Add the spar, or let the sheet {} at a chord fraction.", does),
                   {},
                   {path + choice, path + number}});
  };
  for (const bool top : {true, false})
    if (const SheetRun* sheet = d.sheeting.on(top);
        sheet && endsAtSpar(sheet->to) && (top || sheet != d.sheeting.on(true)))
      check(sheet == &d.sheeting.below ? "sheeting.below." : "sheeting.", "spar", "to", "end", sheet->spar);
  for (std::size_t i = 0; i < d.sheeted.size(); ++i) {
    const SheetedBays& bays = d.sheeted[i];
    const std::string path = fmt::format("sheeted.{}.", i);
    if (!bays.top && !bays.bottom) continue;
    if (endsAtSpar(bays.to)) check(path, "spar", "to", "end", bays.spar);
    if (bays.from == BaysFrom::spar) check(path, "fromSpar", "from", "begin", bays.fromSpar);
  }
}

/// A rib that runs nearly along an edge or a spar has no end.
void checkDirection(const PanelBrief& d, std::vector<Finding>& out) {
  if (d.ribs.direction == RibDirection::flight) return;
  constexpr double most = 70; // degrees from square to any of them
  const Panel& p = d.panel;
  const auto slope = [&](double root, double tip) { return std::atan2(p.tipSetback + tip - root, p.span); };
  std::vector<double> lines{slope(0, 0), slope(p.rootChord, p.tipChord)};
  for (const Spar& s : d.spars) lines.push_back(slope(s.rootFraction * p.rootChord, s.tipFraction * p.tipChord));
  const double first = d.spars.empty() ? slope(0.3 * p.rootChord, 0.3 * p.tipChord) : lines[2];
  const double turn = d.ribs.direction == RibDirection::diagonal              ? degToRad(d.ribs.angleDeg)
                      : d.ribs.direction == RibDirection::squareToLeadingEdge ? -lines[0]
                                                                              : -first;
  double worst = 0;
  for (const double line : lines)
    for (const double by : {turn, d.ribs.crossing ? -turn : turn}) worst = std::max(worst, std::abs(by + line));
  if (worst <= degToRad(most) && std::abs(turn) <= degToRad(most)) return;
  out.push_back({"ribs.direction",
                 Severity::serious,
                 Stage::ribs,
                 "The ribs run almost along an edge or a spar",
                 fmt::format("{:.0f}° from square to it; at most {:.0f}° can be cut", radToDeg(worst), most),
                 "Turn the ribs less, or sweep the panel less.",
                 {},
                 {"ribs.direction", "ribs.angle", "ribs.crossing", "panel.tipSetback"}});
}

void checkRiblets(const PanelBrief& d, std::vector<Finding>& out) {
  if (d.riblets.inBay == 0 || d.riblets.to != SheetEdge::spar || d.riblets.spar <= static_cast<int>(d.spars.size()))
    return;
  out.push_back({"riblets.spar",
                 Severity::serious,
                 Stage::ribs,
                 "The riblets have no spar to end at",
                 fmt::format("They should end at spar {}; there {} {}", d.riblets.spar,
                             d.spars.size() == 1 ? "is" : "are", d.spars.size()),
                 "Add the spar, or end the riblets at a chord fraction.",
                 {},
                 {"riblets.to", "riblets.spar"}});
}

void checkJoiner(const PanelBrief& d, std::vector<Finding>& out) {
  const Joiner& j = d.join.joiner;
  if (!j.fitted || (j.bore < j.diameter && j.sleeve >= j.diameter)) return;
  const auto len = [&](double mm) { return told(mm, Quantity::length, d.unit); };
  out.push_back(
      {"joiner.size",
       Severity::serious,
       Stage::joins,
       "The joiner cannot be so",
       fmt::format("Diameter {}, bore {}, and the ribs bored {}.", len(j.diameter), len(j.bore), len(j.sleeve)),
       "The bore is smaller than the rod, and what it slides in is not.",
       {},
       {"joiner.diameter", "joiner.bore", "joiner.sleeve"}});
}

void checkRise(const PanelBrief& d, std::vector<Finding>& out) {
  const auto& dihedral = d.join.dihedral;
  if (d.join.blockHeight <= 0 && dihedral.by == DihedralBy::projected &&
      (dihedral.value > d.panel.span || dihedral.value < 0.6 * d.panel.span))
    out.push_back({"join.projected",
                   Severity::serious,
                   Stage::joins,
                   "The span from above does not fit the panel",
                   fmt::format("{} from above, and {} along the panel", told(dihedral.value, Quantity::length, d.unit),
                               told(d.panel.span, Quantity::length, d.unit)),
                   "Give the span as it is seen from above, not longer than the panel is; or the rise, or the angle.",
                   {},
                   {"join.dihedral.projected", "panel.span"}});
  const bool block = d.join.blockHeight > 0;
  const double rise = block ? d.join.blockHeight : dihedral.by == DihedralBy::rise ? dihedral.value : 0;
  if (std::abs(rise) <= 0.8 * d.panel.span) return;
  out.push_back({"join.rise",
                 Severity::serious,
                 Stage::joins,
                 "The tip cannot rise that far",
                 fmt::format("{} of {} on a span of {}", told(rise, Quantity::length, d.unit), block ? "block" : "rise",
                             told(d.panel.span, Quantity::length, d.unit)),
                 block ? "Take a lower block, or lengthen the panel." : "Lower the rise, or lengthen the panel.",
                 {},
                 {block ? "join.blockHeight" : "join.dihedral.rise", "panel.span"}});
}

/// How much there is to cut in a panel, in plain ribs: a place where ribs cross costs about a sixth of one.
double ribsToCut(const PanelBrief& d) {
  const auto n = static_cast<double>(ribStations(d.ribs, d.panel.span).size());
  if (d.ribs.direction == RibDirection::flight) return n * (1 + d.riblets.inBay);
  if (!d.ribs.crossing) return n;
  const double turn = d.ribs.direction == RibDirection::diagonal ? degToRad(d.ribs.angleDeg) : degToRad(60);
  const double reach = 2 * std::max(d.panel.rootChord, d.panel.tipChord) * std::abs(std::sin(turn));
  return 2 * n + n * n * std::min(reach / d.panel.span, 1.0) / 6;
}

/// A wing is worked out anew at every change: what would take seconds cannot be worked on.
void checkSize(double ribs, std::vector<Finding>& out) {
  constexpr double most = 16000; // about two seconds on a small machine of two processors
  if (ribs <= most) return;
  out.push_back(
      {"ribs.many",
       Severity::serious,
       Stage::ribs,
       "There is too much to cut for it to be worked out",
       fmt::format("All wings together have as much as {:.0f} ribs; at most {:.0f} are worked out, which takes "
                   "some seconds.",
                   ribs, most),
       "Fewer ribs, riblets or panels, or none that cross.",
       {},
       {pathOf({}) + "ribs.count", pathOf({}) + "ribs.spacing", pathOf({}) + "ribs.crossing"}});
}

} // namespace

Finding inPanel(Finding f, PanelId id, int of, const std::string& wing) {
  f.wing = id.wing, f.panel = id.panel;
  if (of > 1) f.what = fmt::format("Panel {}: {}", id.panel + 1, f.what);
  if (!wing.empty()) f.what = fmt::format("{}: {}", wing, f.what);
  for (std::string& path : f.decisions)
    if (!ofWholeModel(path)) path.insert(0, pathOf(id));
  return f;
}

std::vector<Finding> impossible(const Design& design) {
  std::vector<Finding> out;
  double ribs = 0;
  for (std::size_t w = 0; w < design.wings.size(); ++w)
    for (const PanelBrief& p : briefsOf(design, static_cast<int>(w))) {
      std::vector<Finding> here;
      checkStations(p, here);
      ribs += ribsToCut(p);
      checkSpars(p, here);
      checkSkins(p, here);
      checkDirection(p, here);
      checkRiblets(p, here);
      checkJoiner(p, here);
      checkRise(p, here);
      const std::string& name = w > 0 ? design.wings[w].name : std::string();
      for (Finding& f : here) out.push_back(inPanel(std::move(f), p.id, p.of, name));
    }
  checkSize(ribs, out);
  return out;
}

} // namespace eup
