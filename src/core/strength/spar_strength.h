// How the spars carry the bending: stiffness of each cross-section, stress in its caps, bend of the wing.
#pragma once
#include "core/parts/spar_line.h"
#include "core/strength/edge_spars.h"
#include "core/strength/loads.h"
#include "core/strength/sheet_skin.h"

namespace eup {

/// One spar at one station.
struct SparSection {
  BentSection bent;
  std::vector<Fibre> fibres;             ///< its caps, or its sheet
  std::vector<Fibre> skin;               ///< sheet that bends with it
  double upperOuter = 0, lowerOuter = 0; ///< z of the outer faces
  double upperModulus = 0, lowerModulus = 0;
  double depth() const { return upperOuter - lowerOuter; }
};
/// `skin` is that of the sheet that is glued to it; null without.
SparSection sparSection(const Spar& spar, const SparLine& line, double t, const Tables& tables,
                        const SheetSkin* skin = nullptr);
/// A slot takes its stiffness from a sheet spar beyond its own sides too: the lines of force go round it. So much of
/// the depth in all, by plane-stress models of slots that are a quarter and half as deep as the spar and 0.05 to 0.15
/// of its depth wide (0.47 to 0.49; 0.29 for one of three quarters), and by the compliance of an edge crack (Tada,
/// Paris and Irwin, from memory: 0.46 and 0.49).
inline constexpr double slotReach = 0.48;
/// Of a sheet spar's length, what is as weak as at its slots: (slot + slotReach × depth) ÷ the distance of the slots on
/// either side, no more than 1.
double slottedShare(const SparLine& line, double t, double depth);
/// EI against bending at t, N·mm²; of a sheet spar over a bay and its slots together: 1 ÷ EI = (1 − share) ÷ EI whole +
/// share ÷ EI at a slot. `section` is that of `sparSection` there, with the same skin.
double bendingStiffness(const SparSection& section, const Spar& spar, const SparLine& line, double t,
                        const Tables& tables, const SheetSkin* skin = nullptr);
/// Of all spars it is the first that carrying sheet is glued to.
inline const SheetSkin* skinOf(const SparLine& line, const SheetSkin& skin) {
  return line.index == 0 && !skin.empty() ? &skin : nullptr;
}

/// How that depth changes per mm outwards, a doubler's step left out.
double capMiddlesChange(const Spar& spar, const SparLine& line, double t);

struct CapStress {
  double stress = 0;   ///< MPa, at the outer face
  double strength = 0; ///< MPa, of its material that way
  double reserve = 0;  ///< strength / stress
};

struct SparStrength {
  int spar = 0;
  double share = 0; ///< of the bending moment: EI over the sum of all spars' EI (see `BentPlace`)
  SparSection root;
  double moment = 0;                       ///< N·mm, its share at the root
  std::optional<CapStress> upper, lower;   ///< compression above, tension below, at the root
  double webFlow = 0;                      ///< N/mm at the root, between the caps; 0 for a spar without two caps
  double webDepth = 0, webDepthChange = 0; ///< mm between the caps' middles at the root, and its change per mm outwards
  double worstReserve = 0;                 ///< along the span, of all loads
  double worstAt = 0;                      ///< and where, mm from the root
  LoadCase::What worstCase = LoadCase::What::pull;
  struct Reserves {
    double upper = 1e9, lower = 1e9;
  };
  std::vector<Reserves> along; ///< least of all loads, at the places of `Strength::along`
};

/// Shear per mm of a web between two caps that close in on each other: (V + M h′ ÷ h) ÷ h, with h the depth between the
/// caps' middles and h′ = dh/dy, negative where the wing gets thinner outwards. h > 0.
double webShearFlow(double shear, double moment, double depth, double depthChange);

/// The spars together at one place of a panel.
struct BentPlace {
  double t = 0;
  double stiffness = 0;      ///< ΣEI, of a slotted sheet spar over a bay and its ribs together
  double sag = 0, slope = 0; ///< mm and rad upwards, against the panel's root held fast
};

/// One panel's spars under the whole wing's loads. "Root" is the panel's own. What is said of one load is said of the
/// one that bends the panel's root most.
struct Strength {
  LoadCase worst;
  SpanLoad load; ///< of it
  std::vector<SparStrength> spars;
  std::vector<EdgeStrength> edges; ///< of a panel without a spar
  double rootStiffness = 0;        ///< ΣEI
  double tipDeflection = 0;        ///< mm against its root held fast, bending alone: ∬ M / ΣEI
  double tipSlope = 0;             ///< rad, the same way
  std::vector<BentPlace> along;    ///< from root to tip in even steps
  std::optional<double> bareFrom;  ///< mm from the panel's root: beyond it no spar is left
};

/// `cases` is not empty.
/// `edges` are those of `edgeSpars`: the spars of a panel that has none.
Strength strengthOf(const PanelBrief& design, const std::vector<SparLine>& lines, const SheetSkin& skin,
                    const std::vector<EdgeSpar>& edges, const std::vector<LoadCase>& cases);

} // namespace eup
