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

/// Greatest load per mm of socket where a rod's leg of that length takes a moment M and a shear V at its mouth, the
/// load spread straight along it: 6 M ÷ l² − 2 V ÷ l.
double socketLoad(double moment, double shear, double length);

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
  /// Of the socket's end ribs the one with least in reserve against being crushed: N on it, M ÷ l + V at the join and M
  /// ÷ l at its inner end; what it holds, wood pressed across its grain and ply facing as it is; and what that bears
  /// on, mm².
  double crushForce = 0, crushHolds = 0, crushArea = 0;
  double crushReserve = 0;
  double bearing = 0;       ///< MPa, rod against sleeve, at the socket's mouth or end
  double socketReserve = 0; ///< of the rod, pressed across its grain there; the sleeve is no softer
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
                          double rodReach);

} // namespace eup
