// How a panel of sheet bends and twists: a plate of wood, with cloth on its faces. N, mm, MPa.
#pragma once
#include "core/strength/edge_spars.h"
#include "core/strength/wing_frame.h"

namespace eup {

/// The plate as one beam along the span, level, its washout left out: its wood, the strip along its leading edge and
/// its cloth about their common axis, told as if it were all of its wood. Of a panel of sheet.
EdgeSpar plateSpar(const PanelBrief& design, const PanelLoft& loft);

/// What carries a panel that has no spar: the plate of one of sheet, else the strips along its edges.
std::vector<EdgeSpar> aloneSpars(const PanelBrief& design, const PanelLoft& loft);

/// By St Venant a thin section twists by T ÷ G J, J = Σ ⅓ depth³ × width (S. Timoshenko and J. N. Goodier, Theory of
/// Elasticity, thin open sections; from memory), and cloth on both faces closes it: Bredt's 4 A² ÷ ∮ ds/(G t). N·mm².
double plateTwistStiffness(const PanelBrief& design, const PanelLoft& loft, double t);

/// Under a couple at its tip, its root held fast; as `frameTwist` tells it of a frame.
std::optional<FrameTwist> plateTwist(const PanelBrief& design, const PanelLoft& loft, double couple);

/// Least reserve of the cloth, pulled or pressed along the span, under all loads; nothing without cloth.
struct ClothReserve {
  double reserve = 1e9, stress = 0, at = 0;
  LoadCase::What load = LoadCase::What::pull;
};
std::optional<ClothReserve> clothReserve(const PanelBrief& design, const PanelLoft& loft,
                                         const std::vector<LoadCase>& cases);

} // namespace eup
