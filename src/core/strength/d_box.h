// The closed nose box of sheet and web: how it resists twisting.
#pragma once
#include "core/geometry/point.h"

namespace eup {

/// Bredt's torsion constant of a thin closed tube, mm⁴: J = 4 A² ÷ ∮ ds/t, with the enclosed area A and the length of
/// the wall's mid line (a closed loop, mm) and one wall thickness t > 0. (Bredt, 1896.)
double torsionConstant(const Polyline& midLine, double thickness);

/// The mid line of the box that sheet of thickness t makes from the nose to an upright web at x: both surfaces, given
/// from the nose to the tail in the rib's plane, moved inwards by half the sheet, closed by the web.
Polyline noseBox(const Polyline& upper, const Polyline& lower, double x, double thickness);

} // namespace eup
