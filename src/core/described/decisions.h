// The decisions as a list that a person can read, type into and nudge: what the Decide panel and `decide` work on.
#pragma once
#include "core/design/design.h"
#include "core/design/subject.h"
#include "core/measure/result.h"

namespace eup {

enum class DecisionKind {
  length,
  angle,
  percent,
  number,
  mass,
  count,
  flag,
  choice,
  text,
  stations,
  numbers,
  shares,
  outline
};

/// How a decision that a wing can do without is put in and taken out.
struct Extra {
  std::string words; ///< what is put in: "taper"
  std::string on, off;
  bool in = false; ///< as the design stands
  bool operator==(const Extra&) const = default;
};

struct Decision {
  std::string path;  ///< "wings.0.panels.0.panel.span", "flying.mass"
  std::string label; ///< in the trade's words
  Subject subject;   ///< what it is decided of
  DecisionKind kind = DecisionKind::length;
  Stage stage = Stage::panels;
  bool applies = true;  ///< has a say in the design as it stands
  bool follows = false; ///< the other of a pair: it is shown, and follows from the one that was decided
  Limits limits{};      ///< mm, degrees, fractions, …; for numbers
  double value = 0;     ///< in the same unit; choices and flags: the index
  std::string text;     ///< as it is shown and typed
  std::string unit;     ///< shown behind the text
  std::vector<std::pair<std::string, std::string>> choices{}; ///< key and words
  std::optional<Shelf> shelf{};                               ///< the table that the choices are of
  std::optional<Extra> extra{};
  std::optional<PanelId> along{}; ///< a place along that panel's span, mm from its inner end: "R8" may be typed
};

std::vector<Decision> decisionsOf(const Design& design);
/// What names that row of a table: "Spar 1, Top cap of".
std::vector<std::string> usesOf(const Design& design, Shelf shelf, std::string_view key);
/// What it is of and what it is: "main spar, top cap: Width".
std::string nameOf(const Design& design, const Decision& decision);
/// The decision of that path; nothing if there is none.
std::optional<Decision> decisionAt(const Design& design, std::string_view path);

/// The design with one decision changed to what was typed. Refuses, quoting, what cannot be read or lies outside
/// the limits. Choices take their key or their words, flags yes/no, stations a list.
Result<Design> decide(const Design& design, std::string_view path, std::string_view typed);
/// The same with a number in the decision's own unit (see Decision::value), held within its limits: for dragging.
Result<Design> decideValue(const Design& design, std::string_view path, double value);

} // namespace eup
