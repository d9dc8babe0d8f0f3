// Struts and wires that hold wings to their fuselage and to each other: what each carries under every load, and how it
// relieves the spars.
// Lengths mm, forces N, stiffness N·mm² and MPa.
#pragma once
#include "core/geometry/point.h"
#include "core/strength/loads.h"
#include <optional>
#include <string>

namespace eup {

/// Where a strut holds a wing.
struct StrutEnd {
  int wing = 0, panel = 0;  ///< counted from 0
  double y = 0;             ///< of the true span
  Point3 normal{0, 0, 1};   ///< of its panel there, upwards
  Point3 outwards{0, 1, 0}; ///< along its spar
};

/// A strut as it stands in the finished wing that it belongs to: x aft, y to the right, z up from the root's leading
/// edge.
struct StrutPlace {
  int number = 0; ///< index in Wing::struts
  std::string name;
  Point3 top{0, 0, 0}, foot{0, 0, 0};
  StrutEnd upper;                ///< at `top`, on its own wing
  std::optional<StrutEnd> lower; ///< at `foot`, where that is on another wing
};

/// The wing's stiffness in bending at one place of its true span.
struct BentHere {
  double y = 0, stiffness = 0;
};

/// A wing as a beam. It runs from the root outwards, at least two places; where its stiffness is 0 it does not bend.
struct BentWing {
  std::vector<BentHere> along;
  bool hinged = false;
  std::vector<LoadCase>* cases = nullptr; ///< struts' pull is put on them
};

struct StrutForce {
  LoadCase::What load = LoadCase::What::pull;
  double force = 0; ///< pulled positive; a wire that hangs slack carries nothing
};

struct HeldStrut {
  StrutPlace place;
  double length = 0;     ///< from its spar's middle to its foot
  double down = 0;       ///< rad that it falls towards its foot, out of the horizontal
  double toSpar = 0;     ///< rad, between it and the spar at its top, on the inner side
  double toFootSpar = 0; ///< and at its foot, where that is on a wing
  /// rad that its foot lies aft of its top: seen from above, out of the flight's crosswise line; between wings seen
  /// from the side, out of the upright.
  double aft = 0;
  /// How it pulls at the wing at one of its ends.
  struct End {
    StrutEnd at;
    double drawsDown = 0; ///< that much of its pull is square to the panel, down positive
    double drawsIn = 0;   ///< and that much runs along the spar, inwards
  };
  std::vector<End> ends;          ///< its top's; then its foot's, where that is on a wing
  double area = 0, thinnest = 0;  ///< mm², and its least radius of gyration
  std::vector<StrutForce> forces; ///< one a load case
  StrutForce worst;               ///< with least in reserve
  double holds = 0;               ///< N that it bears that way: strength, or buckling between hinged ends
  bool buckles = false;           ///< which of the two it is
  double reserve = 1e9;
};

struct HeldWing {
  std::vector<HeldStrut> struts; ///< its own
  bool held = false;             ///< by those, or by another wing's that stand on it
  std::string by;                ///< "wings.0.struts.1.": the first of what holds it
  bool hinged = false;
  std::vector<std::pair<LoadCase::What, double>> rootTurns; ///< rad upwards, of a hinged root under each load
  double bareRoot = 0;     ///< N·mm: what the root would take of the worst load without them
  double pressed = 0;      ///< N along the spar between the root and the outermost strut, at most
  double pressedHolds = 0; ///< N: Euler's load of the wing's bending stiffness over that length, hinged at both ends
  /// Loads under which nothing holds a hinged wing: it folds.
  std::vector<LoadCase::What> falls;
  double rootTurnUnder(LoadCase::What load) const {
    for (const auto& [what, turn] : rootTurns)
      if (what == load) return turn;
    return 0;
  }
};

/// The forces in them, by the force method: each stretches as far as its ends move apart (E A ÷ length), the wings
/// being beams of the stiffness that is given, held fast at their roots or hinged there; those that struts hold
/// together are solved as one. Wires that would be pressed hang slack and are left out. Their pull is put on the loads,
/// which bend the wings the less. `struts` and `places` by wing; a wing that has no such load as another is taken to
/// have none.
std::vector<HeldWing> heldBy(const std::vector<std::vector<Strut>>& struts,
                             const std::vector<std::vector<StrutPlace>>& places, const std::vector<BentWing>& wings,
                             const Tables& tables);

} // namespace eup
