// How the spars carry the bending: stiffness of each cross-section, stress in its caps, bend of the wing.
#pragma once
#include "core/parts/spar_line.h"
#include "core/strength/loads.h"

namespace eup {

/// A rectangle of one material in a cross-section: from `low` to `high` in z (mm), `width` wide, modulus in MPa.
struct Fibre {
  double low = 0, high = 0, width = 0, modulus = 0;
};

/// A built-up cross-section about its modulus-weighted axis (transformed section).
struct BentSection {
  double axis = 0;      ///< z of the axis, mm
  double stiffness = 0; ///< EI, N·mm²
  bool empty() const { return stiffness <= 0; }
  /// |σ| = M E |z − axis| / EI at height z in a material of modulus E.
  double stress(double moment, double z, double modulus) const;
};
BentSection bentSection(const std::vector<Fibre>& fibres);

/// One spar at one station.
struct SparSection {
  BentSection bent;
  std::vector<Fibre> fibres;             ///< its caps, or its sheet
  double upperOuter = 0, lowerOuter = 0; ///< z of the outer faces
  double upperModulus = 0, lowerModulus = 0;
  double depth() const { return upperOuter - lowerOuter; }
};
SparSection sparSection(const Spar& spar, const SparLine& line, double t);

/// The depth between the middles of two caps; nothing for another kind of spar, or where they meet.
std::optional<double> capMiddles(const Spar& spar, const SparLine& line, double t);

struct CapStress {
  double stress = 0;   ///< MPa, at the outer face
  double strength = 0; ///< MPa, of its material that way
  double reserve = 0;  ///< strength / stress
};

struct SparStrength {
  int spar = 0;
  double share = 0; ///< of the bending moment: EI over the sum of all spars' EI
  SparSection root;
  double moment = 0;                       ///< N·mm, its share at the root
  std::optional<CapStress> upper, lower;   ///< compression above, tension below, at the root
  double webFlow = 0;                      ///< N/mm at the root, between the caps; 0 for a spar without two caps
  double webDepth = 0, webDepthChange = 0; ///< mm between the caps' middles at the root, and its change per mm outwards
  double worstReserve = 0;                 ///< along the span, of all loads
  double worstAt = 0;                      ///< and where, mm from the root
  LoadCase::What worstCase = LoadCase::What::pull;
};

/// Shear per mm of a web between two caps that close in on each other: (V + M h′ ÷ h) ÷ h, with h the depth between the
/// caps' middles and h′ = dh/dy, negative where the wing gets thinner outwards. h > 0.
double webShearFlow(double shear, double moment, double depth, double depthChange);

/// The spars together at one place of a panel.
struct BentPlace {
  double t = 0;
  double stiffness = 0;      ///< ΣEI
  double sag = 0, slope = 0; ///< mm and rad upwards, against the panel's root held fast
  double reserve = 1e9;      ///< least of all loads and faces
};

/// One panel's spars under the whole wing's loads. "Root" is the panel's own. What is said of one load is said of the
/// one that bends the panel's root most.
struct Strength {
  LoadCase worst;
  SpanLoad load; ///< of it
  std::vector<SparStrength> spars;
  double rootStiffness = 0;       ///< ΣEI
  double tipDeflection = 0;       ///< mm against its root held fast, bending alone: ∬ M / ΣEI
  double tipSlope = 0;            ///< rad, the same way
  std::vector<BentPlace> along;   ///< from root to tip in even steps
  std::optional<double> bareFrom; ///< mm from the panel's root: beyond it no spar is left
};

/// `cases` is not empty.
Strength strengthOf(const PanelBrief& design, const std::vector<SparLine>& lines, const std::vector<LoadCase>& cases);

} // namespace eup
