// The trades' own parts of the description of a design: a function each, one beside the other in `describe`.
#pragma once
#include "core/described/visitor.h"
#include <optional>

namespace eup {

/// Where a panel stands in its wing, as far as that decides what has a say.
struct PanelPlace {
  std::optional<std::size_t> sparsInside; ///< how many spars the panel inside it has; nothing for the innermost
  bool outermost = true;
  bool mirrored = true;
  bool innermost() const { return !sparsInside; }
  /// What its span is called: the wing's own while it is the only one.
  const char* spanName() const { return !innermost() || !outermost ? "Panel span" : mirrored ? "Half span" : "Span"; }
};

/// Why points cannot be a tip's outline; nothing when they can. It runs from LE to TE beyond the tip rib, and may lie
/// before or behind it.
std::optional<std::string> wrongOutline(const Polyline& line);
/// Why a table of lift cannot be one; nothing when it can.
std::optional<std::string> wrongShares(const std::vector<double>& table);

void describeBench(BenchPlan& b, Visitor& visitor);
void describeRecords(Records& r, Visitor& visitor);
void describeFittings(PanelDesign& p, Visitor& visitor);
void describeFlying(Design& d, Visitor& visitor);
void describeFrame(PanelDesign& p, Visitor& visitor);
void describeHolding(Wing& w, int number, Visitor& visitor); ///< the wing's place, from 0
void describeJoin(PanelDesign& p, const PanelPlace& place, Visitor& visitor);
void describePlan(Plan& plan, Visitor& visitor);
void describeShape(PanelDesign& p, const PanelPlace& place, Visitor& visitor);
void describeLeftHand(PanelDesign& p, const PanelPlace& place, Visitor& visitor);
void describeTip(PanelDesign& p, const PanelPlace& place, Visitor& visitor);
void describeSpars(PanelDesign& p, const PanelPlace& place, Visitor& visitor);
void describeSurfaces(PanelDesign& p, const PanelPlace& place, Visitor& visitor);

} // namespace eup
