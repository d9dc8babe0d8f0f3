// What the trades are told about one panel: its own decisions with the root taken over from the panel inside it, and
// what it shares with the whole aircraft.
#pragma once
#include "core/design/design.h"
#include <cmath>
#include <optional>
#include <string>
#include <vector>

namespace eup {

/// Stock along an edge of the panel, as it is fitted.
struct EdgeStock {
  double width = 0; ///< mm square to the edge, in the panel's plane; 0 without stock
  double sweep = 0; ///< rad, of the edge, aft positive
  double given = 1; ///< what a width that is decided for it is square to the edge

  /// What a decided width takes of a rib that is turned out of the flight's direction by so much (rad, tail outwards).
  double taken(double decided, double turn = 0) const { return decided * given / std::cos(turn + sweep); }
  /// What the stock takes of it.
  double onRib(double turn = 0) const { return width / std::cos(turn + sweep); }
};

struct PanelBrief : PanelDesign {
  explicit PanelBrief(const PanelDesign& decided) : PanelDesign(decided) {}
  std::string name; ///< the aircraft's, and which of its wings where there are several
  LengthUnit unit = LengthUnit::mm;
  Flying flying;
  std::string glue; ///< of wood to wood
  CutList cutList;
  HotWire wire;
  std::vector<std::string> looked; ///< the records' keys
  Tables tables;                   ///< what its parts are of is looked up in them
  PanelId id;
  int wingNumber = 0;   ///< its wing's for good
  int of = 1;           ///< panels in this wing
  int firstRib = 1;     ///< its root rib's number: ribs are counted through the whole wing
  double inboard = 0;   ///< true span inside it, mm
  double setback = 0;   ///< its root's leading edge behind the wing's, before any turn
  double fold = 0;      ///< rad: half the angle between it and what it joins at its root
  double gamma = 0;     ///< rad, to the horizontal; of a fin, to the upright
  double lean = 0;      ///< rad that its root end leans out of square; by half the angle there unless decided otherwise
  bool mirrored = true; ///< it has a left hand too
  EdgeStock leading, trailing;
  double carries = 1;         ///< the wing's share of the load
  double foldBeyond = 0;      ///< of the join at its tip
  double leanBeyond = 0;      ///< and of its own end there
  std::optional<Join> beyond; ///< the join at its tip, as the panel outside it decides
  std::vector<int> goesOut;   ///< its surfaces that are one with one of the panel outside it
  /// As typed, or those of the table for the kind of flying.
  LoadFactors factors() const;
  /// What records of it are kept under.
  PanelNumber lasting() const { return {wingNumber, number}; }
  bool innermost() const { return id.panel == 0; }
  bool outermost() const { return id.panel + 1 == of; }
};

/// A wing's panels from the middle outwards. The design is not empty (see `Design::wings`). Where a block decides a
/// panel's dihedral, the angle is only nearly that until `settleBlocks` has found it.
std::vector<PanelBrief> briefsOf(const Design& design, int wing);

/// How each panel lies to the one inside it, once their angles to the horizontal are known.
void settleFolds(std::vector<PanelBrief>& briefs);

/// Where a panel's decisions stand: "wings.0.panels.1.".
std::string pathOf(PanelId id);
/// The path without that; as it is when it belongs to no panel.
std::string_view withinPanel(std::string_view path);
/// The panel whose decision that is.
std::optional<PanelId> panelOfPath(std::string_view path);
/// Whether that decision, as a figure or a finding of a panel names it, is one of the whole model and not of the panel.
inline bool ofWholeModel(std::string_view path) {
  return path.starts_with("flying.") || path.starts_with("cutList.") || path.starts_with("balance.") ||
         path.starts_with("bench.") || path.starts_with("wire.") || path == "glue";
}
/// Whether a path within a panel names a spar or a brace that it has; true for what is no list.
bool isThere(const PanelDesign& panel, std::string_view path);
/// The wing whose decision that is, or one of its panels'.
std::optional<int> wingOfPath(std::string_view path);

} // namespace eup
