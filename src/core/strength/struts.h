// Struts and wires that hold a wing to its fuselage: what each carries under every load, and how it relieves the spar.
// Lengths mm, forces N, stiffness N·mm² and MPa.
#pragma once
#include "core/geometry/point.h"
#include "core/strength/loads.h"
#include <string>

namespace eup {

/// A strut as it stands in the finished wing: x aft, y to the right, z up from the root's leading edge.
struct StrutPlace {
  int number = 0; ///< index in Wing::struts
  std::string name;
  int panel = 0; ///< that it holds, counted from 0
  double y = 0;  ///< of the true span, where it holds
  Point3 top{0, 0, 0}, foot{0, 0, 0};
  Point3 normal{0, 0, 1};   ///< of its panel there, upwards
  Point3 outwards{0, 1, 0}; ///< along its spar
};

/// The wing's stiffness in bending at one place of its true span.
struct BentHere {
  double y = 0, stiffness = 0;
};

struct StrutForce {
  LoadCase::What load = LoadCase::What::pull;
  double force = 0; ///< pulled positive; a wire that hangs slack carries nothing
};

struct HeldStrut {
  StrutPlace place;
  double length = 0;    ///< from its spar's middle to its foot
  double down = 0;      ///< rad that it falls towards its foot, out of the horizontal
  double toSpar = 0;    ///< rad, between it and the spar, on the inner side
  double aft = 0;       ///< rad that its foot lies aft of its top, seen from above, out of the flight's crosswise line
  double drawsDown = 0; ///< that much of its pull is square to the panel, down positive
  double drawsIn = 0;   ///< and that much runs along the spar, inwards
  double area = 0, thinnest = 0;  ///< mm², and its least radius of gyration
  std::vector<StrutForce> forces; ///< one a load case
  StrutForce worst;               ///< with least in reserve
  double holds = 0;               ///< N that it bears that way: strength, or buckling between hinged ends
  bool buckles = false;           ///< which of the two it is
  double reserve = 1e9;
};

struct HeldWing {
  std::vector<HeldStrut> struts;
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

/// The forces in them, by the force method: each stretches as far as its place of the wing moves (E A ÷ length), the
/// wing being a beam of the stiffness that is given, held fast at its root or hinged there; wires that would be pressed
/// hang slack and are left out. Their pull is put on the loads, which bend the wing the less. `wing` runs from the root
/// outwards, at least two places; where its stiffness is 0 it does not bend.
HeldWing heldBy(const std::vector<Strut>& struts, const std::vector<StrutPlace>& places, bool hinged,
                const std::vector<BentHere>& wing, const Tables& tables, std::vector<LoadCase>& cases);

} // namespace eup
