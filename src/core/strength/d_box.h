// The closed nose box of sheet and web: how it resists twisting.
#pragma once
#include "core/parts/rib.h"

namespace eup {

/// Bredt's torsion constant of a thin closed tube, mm⁴: J = 4 A² ÷ ∮ ds/t, with the enclosed area A and the length of
/// the wall's mid line (a closed loop, mm) and one wall thickness t > 0. (Bredt, 1896.)
double torsionConstant(const Polyline& midLine, double thickness);

/// The mid line of the box that sheet of thickness t makes from the nose to an upright web at x: both surfaces, given
/// from the nose to the tail in the rib's plane, moved inwards by half the sheet, closed by the web.
Polyline noseBox(const Polyline& upper, const Polyline& lower, double x, double thickness);
/// The same of two sheets.
Polyline noseBox(const Polyline& upper, const Polyline& lower, double x, double above, double below);

/// G t of a skin with the cloth that lies on that face, N/mm.
double skinShear(const PanelBrief& design, const SkinSheet& skin, bool upper);

/// How far ahead of its web the shear centre of a nose box lies whose bending two caps at the web carry:
/// 2 A ÷ h × δw ÷ (δw + δs), δ = length ÷ (G t) of web and skin, by Bredt's and Batho's flows with no twist (common to
/// handbooks of aircraft structures, from memory). Area of the box and depth of the web > 0.
double shearCentreAhead(double area, double webDepth, double webGive, double skinGive);

/// The closed nose of a panel at one rib: both faces sheeted to a spar with webs, or one that stands for it.
struct NoseBox {
  int spar = 0;                ///< index of the one whose web closes it
  double area = 0;             ///< mm², inside the mid line
  double wall = 0;             ///< mm, all round
  double webDepth = 0;         ///< mm
  double torsion = 0;          ///< J, mm⁴, by the upper sheet's G; the web as stiff as the sheets
  std::optional<double> ahead; ///< mm, its shear centre before the web; nothing without webs
};
/// Nothing where a face is not sheeted as far as the panel's main spar.
std::optional<NoseBox> noseBoxOf(const PanelBrief& design, const PanelLoft& loft, const Rib& rib);

} // namespace eup
