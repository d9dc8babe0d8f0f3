// What lies in a panel's foam beside its spars' caps: tubes and rods in bores, hollows, pockets, grooves for leads,
// blocks of wood, upright webs. Each runs straight in space from one place of the span to another.
#pragma once
#include "core/foam/foam_core.h"
#include <map>

namespace eup {

/// The foam that it takes of a core's outline (closed, chord axes of that station) at t, empty outside its run. What is
/// let in reaches `depth` under the core's face; a hollow leaves its rim all round; a bore is whole, also where it
/// breaks out.
Region takenBy(const CoreThing& thing, const PanelLoft& loft, double t, const Polyline& outline);

/// A panel's core, grooves not taken out, at the places of the span that were asked for: each is cut once.
class CoreOutlines {
public:
  /// `behind`: a surface of its own wood all along, at which they end; null for none.
  CoreOutlines(const PanelBrief& brief, const PanelLoft& panelLoft, const HingeLine* behind = nullptr)
      : design(brief), loft(panelLoft), surface(behind) {}
  /// mm behind the nose where the core ends at t, on the chord line.
  double tailAt(double t) const;
  /// A closed line less what is cut off with its tail.
  Polyline shortened(const Polyline& line, double t) const;
  Region shortened(const Region& of, double t) const;
  /// Closed, chord axes; empty where nothing is left. Good as long as this is.
  const Polyline& at(double t);

private:
  const PanelBrief& design;
  const PanelLoft& loft;
  const HingeLine* surface;
  std::map<double, Polyline> cut;
};

/// Looks at every one of them: at its ends, half way and at each station between.
std::vector<CoreThingMade> thingsOf(const PanelBrief& design, const PanelLoft& loft, const Frame& stations,
                                    CoreOutlines& outlines);

/// mm³ of foam that they take between two places of the span.
double takenBetween(const PanelBrief& design, const PanelLoft& loft, double from, double to, CoreOutlines& outlines);

} // namespace eup
