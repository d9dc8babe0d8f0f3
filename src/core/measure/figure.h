// A figure: a number that follows from decisions, together with how it was found. Screens, command line and print
// all show this one type.
#pragma once
#include "core/measure/units.h"
#include <optional>
#include <string>
#include <vector>

namespace eup {

/// The stages of the work, in order. Figures, findings and decisions each belong to one.
enum class Stage { plan, sections, panels, ribs, spars, joins, skins, foam, surfaces, stock, build };
inline constexpr Stage allStages[] = {Stage::plan,     Stage::sections, Stage::panels, Stage::ribs,
                                      Stage::spars,    Stage::joins,    Stage::skins,  Stage::foam,
                                      Stage::surfaces, Stage::stock,    Stage::build};

enum class Quantity {
  length,
  angle,
  area,
  force,
  moment,
  stress,
  stiffness,
  ratio,
  percent,
  mass,
  loading,
  flow,
  torsion,
  speed,
  hours,
  count
};

struct Figure {
  std::string key;   ///< stable name, documented in docs/figures.md
  std::string label; ///< what it is, in the trade's words
  double value = 0;  ///< in mm, rad, mm², N, N·mm, MPa, N·mm², m/s, 1, 1 (percent as a fraction), g, g/dm²
  Quantity quantity = Quantity::length;
  Stage stage = Stage::panels;
  std::string where;                  ///< where to measure it on the wing
  std::string rule;                   ///< the rule in words or symbols
  std::string working;                ///< the rule with its numbers filled in
  std::string source;                 ///< published source, "plane geometry", or "common practice"
  std::vector<std::string> decisions; ///< paths of the decisions it follows from
  bool bench = false;                 ///< carried to the bench: shown large
  std::optional<int> rib{};           ///< the rib it belongs to, when it is a figure of one rib
  int wing = 0;
  std::optional<int> panel{}; ///< counted from 0, when it is a figure of one panel
};

/// The unit's name for machine-readable reports ("mm", "deg", "mm2", "N", …).
const char* unitName(Quantity quantity);
/// The value in that unit.
double inReportUnit(double value, Quantity quantity);

/// Value and unit for people, in the document's length unit: {"53.9", "mm"}.
struct Shown {
  std::string number, unit;
};
Shown shown(double value, Quantity quantity, LengthUnit unit);
inline Shown shown(const Figure& figure, LengthUnit unit) {
  return shown(figure.value, figure.quantity, unit);
}
/// Number and unit in one text.
std::string told(double value, Quantity quantity, LengthUnit unit);
/// From there on a figure says that there is no limit, in the unit that it is kept in.
double mostShown(Quantity quantity);

} // namespace eup
