// How a panel of sheet or of foam bends and twists: a plate of wood, or a core between its skins and strips, with cloth
// on its faces. N, mm, MPa.
#pragma once
#include "core/strength/edge_spars.h"
#include "core/strength/wing_frame.h"

namespace eup {

/// The plate as one beam along the span, level, its washout left out: its wood, the strip along its leading edge and
/// its cloth about their common axis, told as if it were all of its wood. Of a panel of sheet; one of foam likewise by
/// its skins, strips and core, told as if it were all of its upper skin (without skins, of its core).
EdgeSpar plateSpar(const PanelBrief& design, const PanelLoft& loft);

/// What of a foam core gives first: its pressed skin, wrinkling on it (see `wrinkling`), or the core itself, sheared by
/// V ÷ area of the core, all of whose depth gives alike, as its sag is worked out. Nothing of another panel.
struct CoreStrength {
  double wrinkling = 1e9, wrinklingStress = 0, wrinklingHolds = 0, wrinklingAt = 0; ///< least reserve; MPa; mm of span
  LoadCase::What wrinklingLoad = LoadCase::What::pull;
  double shear = 1e9, shearStress = 0, shearAt = 0;
  LoadCase::What shearLoad = LoadCase::What::pull;
  double shearSag =
      0; ///< mm at the tip, more than bending gives, pulling up: ∫ V ÷ S, S = Σ G width d² ÷ c (Allen 1969)
};
std::optional<CoreStrength> coreStrength(const PanelBrief& design, const PanelLoft& loft,
                                         const std::vector<SparLine>& spars, const std::vector<LoadCase>& cases);

/// What carries a panel that has no spar: the plate of one of sheet, else the strips along its edges.
std::vector<EdgeSpar> aloneSpars(const PanelBrief& design, const PanelLoft& loft);

/// By St Venant a thin section twists by T ÷ G J, J = Σ ⅓ depth³ × width (S. Timoshenko and J. N. Goodier, Theory of
/// Elasticity, thin open sections; from memory), and cloth on both faces closes it: Bredt's 4 A² ÷ ∮ ds/(G t). N·mm².
double plateTwistStiffness(const PanelBrief& design, const PanelLoft& loft, double t);

/// Under a couple at its tip, its root held fast; as `frameTwist` tells it of a frame. Where a surface is cut out only
/// what lies before it is twisted, unless `opened` is false: then as if none were.
std::optional<FrameTwist> plateTwist(const PanelBrief& design, const PanelLoft& loft, double couple,
                                     bool opened = true);
/// The twist test of a panel, however it is built, under its own couple.
std::optional<FrameTwist> twistTest(const PanelBrief& design, const PanelLoft& loft, const Frame& frame,
                                    bool opened = true);

/// Least reserve of the cloth, pulled or pressed along the span, under all loads; nothing without cloth.
struct ClothReserve {
  double reserve = 1e9, stress = 0, at = 0;
  LoadCase::What load = LoadCase::What::pull;
};
std::optional<ClothReserve> clothReserve(const PanelBrief& design, const PanelLoft& loft,
                                         const std::vector<LoadCase>& cases);

} // namespace eup
