// How hard what joins two panels is worked: a brace's plate and its glue, a joiner and its socket. N, mm, MPa.
#pragma once
#include "core/design/panel_brief.h"
#include "core/strength/loads.h"

namespace eup {

/// Bending stress at the edge of `count` upright plates of that thickness and depth: 6 M ÷ (n t h²). All > 0.
double plateStress(double moment, double thickness, double depth, int count);

/// Greatest shear in a glued face of length × height that hands over a moment in its own plane, and the shear V with
/// it: M r ÷ Ip + V ÷ A, with Ip = A (l² + h²) ÷ 12 and r = √(l² + h²) ÷ 2 (eccentrically loaded joint). All > 0.
double glueShear(double moment, double shear, double length, double height);

/// Bending stress of a round rod or tube: M ÷ Z, Z = π (D⁴ − d⁴) ÷ (32 D). 0 <= d < D.
double tubeStress(double moment, double diameter, double bore);

/// A rod's leg in the ribs of one panel.
struct Socket {
  double reach = 0;                ///< mm of the leg, > 0
  bool beyond = false;             ///< the load acts beyond the mouth: in the panel that lies inside the join
  double mouthRib = 3, endRib = 2; ///< mm thick: the ribs that hold it where it begins and ends
  std::string mouthMaterial = "balsa-160", endMaterial = "balsa-160";
  const std::string& materialAt(bool mouth) const { return mouth ? mouthMaterial : endMaterial; }
};

/// Greatest load per mm of socket where a rod's leg takes a moment M and a shear V at its mouth, the load spread
/// straight along it so that it balances both. Where the load acts inboard of the mouth's own end, as in the panel that
/// carries it: 6 M ÷ l² − 2 V ÷ l at the leg's end (or 4 V ÷ l − 6 M ÷ l² at its mouth, with a load nearer than half
/// the leg). Where it acts beyond the mouth: 6 M ÷ l² + 4 V ÷ l at the mouth.
struct SocketPress {
  double load = 0;    ///< N/mm
  bool mouth = false; ///< there, and not at the leg's end
};
SocketPress socketLoad(const Socket& socket, double moment, double shear);

/// The forces of two ribs, at the mouth and at the leg's end, that balance the same: M ÷ l at the end, and at the mouth
/// M ÷ l − V, or M ÷ l + V where the load acts beyond it.
double mouthForce(const Socket& socket, double moment, double shear);

struct BraceStrength {
  double share = 1; ///< of the moment: the join's braces share it by their stiffness
  double stress = 0, reserve = 0;
  double glueStress = 0, glueStrength = 0, glueReserve = 0; ///< over the shorter leg
  double gluedLeg = 0;                                      ///< mm of leg that would do for a reserve of 2
};

struct JoinStrength {
  double moment = 0, shear = 0;      ///< at the join, from all outside it
  std::vector<BraceStrength> braces; ///< one for every brace that is given; no stress where it has no depth or leg
  double rodStress = 0, rodReserve = 0;
  /// Of the sockets' end ribs the one with least in reserve against being crushed: N on it; what it holds, wood pressed
  /// across its grain and ply facing as it is; and what that bears on, mm².
  double crushForce = 0, crushHolds = 0, crushArea = 0;
  double crushReserve = 0;
  Socket crushed;            ///< that rib's
  bool crushedMouth = false; ///< the rib at the join, not the one at the leg's end
  double bearing = 0;        ///< MPa, rod against sleeve, where it presses most
  Socket pressed;            ///< there
  bool pressedMouth = false; ///< at its mouth
  double socketReserve = 0;  ///< of the rod, pressed across its grain there; the sleeve is no softer
};

/// A brace as the join has it: `depth` at the join, the shorter leg, the glued height in its middle.
struct BracePlates {
  Bracing decided;
  double depth = 0, leg = 0, height = 0;
};

/// How stiff a brace is in bending, N mm²: all its plates, E t h³ ÷ 12.
double plateStiffness(const Bracing& brace, double depth, const Tables& tables);

/// Of the join at the panel's root, under the load of all that lies outside it.
JoinStrength joinStrength(const PanelBrief& design, const SpanLoad& load, const std::vector<BracePlates>& braces,
                          const std::vector<Socket>& sockets);

} // namespace eup
