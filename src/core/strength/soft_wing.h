// A wing that is soft in twist: how a dive turns its tip, and at which speed it would turn without end, or its aileron
// work backwards. Hints for model wings: strip theory on a straight axis, no compressibility, no mass. N, mm, rad.
#pragma once
#include "core/parts/spar_line.h"
#include "core/section/section.h"
#include "core/strength/loads.h"
#include <optional>

namespace eup {

/// Moment about the quarter chord, nose up, of a thin section in its own flow: c_m = π/4 (A₂ − A₁) of its mean line
/// (thin-airfoil theory; Glauert, The Elements of Aerofoil and Airscrew Theory, 1926).
double meanLineMoment(const Section& section);

/// Lift and quarter-chord moment of a plain flap of that share of the chord per rad of its angle (thin-airfoil theory).
/// 0 < share < 1.
struct FlapSlopes {
  double lift = 0, moment = 0;
};
FlapSlopes flapSlopes(double share);

/// Chord fraction that a panel turns about, about: where its spars stand, the stiffer the more; less `ahead`, the part
/// of the chord that a closed nose's shear centre lies before its web.
double twistAxis(const PanelBrief& design, const std::vector<SparLine>& spars, const ChordFrame& at, double ahead);

/// A strip of the half wing, root to tip.
struct TwistStrip {
  double from = 0, to = 0;  ///< mm
  double chord = 0;         ///< in its middle
  double stiffness = 0;     ///< GJ, N·mm²; > 0 for `softWing`
  double axis = 0.3;        ///< chord fraction of the axis that it turns about
  double sectionMoment = 0; ///< `meanLineMoment`
  double aileron = 0;       ///< share of the chord; 0 without
};

/// Torque at y of the sections' own moments outboard of it, ∫ q c_m c² dy, N·mm, nose up positive. Speed m/s, >= 0.
double sectionTorque(std::span<const TwistStrip> strips, double speed, double y);

struct SoftWing {
  std::vector<double> at; ///< mm from the root: 0 and every strip's outer end
  std::vector<double>
      twist; ///< rad there, nose up positive, in the dive, its own lift counted in; empty where it runs away
  std::vector<double> torque;       ///< N·mm there, of the sections' own moments
  std::optional<double> divergence; ///< m/s; nothing when the axis lies ahead of the quarter chord
  std::optional<double> reversal;   ///< m/s; nothing without an aileron
};

/// `liftSlope` per rad of the whole wing; `diveSpeed` m/s, 0 for none: then no twist. Divergence of an even straight
/// wing is at q = (π ÷ 2 l)² GJ ÷ (c e a), e from the quarter chord to the axis (Bisplinghoff, Ashley and Halfman,
/// Aeroelasticity, 1955). At least one strip.
SoftWing softWing(std::span<const TwistStrip> strips, double liftSlope, double diveSpeed);

} // namespace eup
