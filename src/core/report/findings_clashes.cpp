// Findings of what goes through ribs: two things that want the same place.
#include "core/geometry/polyline.h"
#include "core/parts/through_rib.h"
#include "core/report/finder.h"
#include <algorithm>
#include <map>
#include <tuple>

namespace eup {
namespace {

using enum ThroughRib::What;

std::string nameOf(const TruePanel& w, const ThroughRib& one) {
  const auto spar = [&] { return w.design.spars[static_cast<std::size_t>(one.spar)].name; };
  switch (one.what) {
  case cap:
    return fmt::format("the {}'s {} cap", spar(), one.top ? "top" : "bottom");
  case web:
    return fmt::format("the {}'s webs", spar());
  case sheet:
    return fmt::format("the {}", spar());
  case joiner:
    return "the joiner's sleeve";
  case pin:
    return "the joiner's pin";
  case brace:
    return "a brace";
  case rod:
    return "a jig rod";
  case leadingStock:
    return "the leading edge";
  case trailingStock:
    return "the trailing edge";
  }
  return "";
}

/// What moves it.
std::vector<std::string> curesOf(const ThroughRib& one) {
  const std::string path = fmt::format("spars.{}.", one.spar);
  switch (one.what) {
  case cap:
  case sheet:
    return {path + "rootFraction", path + "tipFraction"};
  case web:
    return {path + "webs"};
  case joiner:
    return {"joiner.fraction", "joiner.along", "joiner.sleeve"};
  case pin:
    return {"joiner.pinFraction"};
  case brace:
    return {"join.braces.0.side", "join.braces.0.slots"};
  case rod:
    return {"join.rodFront", "join.rodRear"};
  case leadingStock:
    return {"leadingEdge.width"};
  case trailingStock:
    return {"trailingEdge.width"};
  }
  return {};
}

std::string large(std::string words) {
  words[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(words[0])));
  return words;
}

/// A half-lap that runs into a notch or a hole: nothing is left there for the rib that it is lapped with.
void lapClashes(Finder f) {
  SharedFault met;
  for (const auto* ribs : {&f.w.frame.ribs, &f.w.frame.riblets})
    for (const Rib& rib : *ribs)
      for (const Lap& lap : rib.laps) {
        const double far = rib.frame.chord, from = lap.x - lap.width / 2, to = lap.x + lap.width / 2;
        const bool notch = std::any_of(rib.notches.begin(), rib.notches.end(), [&](const Notch& n) {
          const Box box = boundsOf(n.shape);
          return to > box.low.x() && from < box.high.x();
        });
        const bool hole = std::any_of(rib.passHoles.begin(), rib.passHoles.end(), [&](const PassHole& h) {
          const double low = lap.fromAbove ? lap.middle : -far, high = lap.fromAbove ? far : lap.middle;
          return to > h.middle.x() - h.width / 2 && from < h.middle.x() + h.width / 2 &&
                 high > h.middle.y() - h.height / 2 && low < h.middle.y() + h.height / 2;
        });
        if (notch || hole) met.add(rib.number, 1);
      }
  met.ribs.erase(std::unique(met.ribs.begin(), met.ribs.end()), met.ribs.end());
  if (met.ribs.empty()) return;
  f.say({"ribs.laps",
         Severity::warning,
         Stage::ribs,
         fmt::format("In {} a half-lap runs into another cut", ribNames(met.ribs)),
         "It meets a spar's notch, or the way of a joiner, a rod or a brace through the rib.",
         "Move that along the chord, or turn the ribs otherwise.",
         met.ribs.front(),
         {"ribs.angle", "spars.0.rootFraction", "joiner.fraction"}});
}

} // namespace

void clashFindings(Finder f) {
  // One finding for each two things, whichever ribs they meet in.
  std::map<std::tuple<ThroughRib::What, int, bool, ThroughRib::What, int, bool>, std::pair<SharedFault, Finding>> met;
  for (const Rib& rib : f.w.frame.ribs) {
    const std::vector<ThroughRib> all = throughRib(f.w.design, f.w.frame.spars, rib);
    for (const Clash& clash : clashesOf(all)) {
      const ThroughRib &a = all[clash.a], &b = all[clash.b];
      auto& [fault, said] = met[{a.what, a.spar, a.top, b.what, b.spar, b.top}];
      fault.add(rib.number, clash.by);
      if (!said.key.empty()) continue;
      // Webs are fitted between the ribs one by one, and rods are drawn out again.
      const bool webs = a.what == web || b.what == web, rods = a.what == rod || b.what == rod;
      said = {"ribs.clash",
              webs   ? Severity::note
              : rods ? Severity::warning
                     : Severity::serious,
              Stage::ribs,
              large(nameOf(f.w, a)) + " and " + nameOf(f.w, b) + " want the same place",
              "",
              webs ? "Leave the webs out there, fit them on either side of it, or move one of the two."
                   : "Move one of them along the chord, or make it thinner.",
              {},
              curesOf(a)};
      for (std::string& cure : curesOf(b)) said.decisions.push_back(std::move(cure));
    }
  }
  for (auto& [which, one] : met) {
    auto& [fault, said] = one;
    said.detail = fmt::format("In {}; by {} at R{}.", ribNames(fault.ribs), f.len(fault.worst), fault.worstRib);
    said.rib = fault.ribs.front();
    f.say(std::move(said));
  }
  lapClashes(f);
}

} // namespace eup
