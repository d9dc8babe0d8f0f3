// When thin sheet buckles: webs in shear, sheeting that is pressed. N, mm, MPa.
#pragma once

namespace eup {

/// A plate whose stiffness differs along and across its length: E both ways, modulus of rigidity, thickness. All > 0.
struct Plate {
  double along = 0, across = 0, shear = 0, thickness = 1;
};

/// Shear stress at which a long strip of that width, hinged along its edges, buckles: 4 k (D₁ D₂³)^¼ ÷ (w² t), D₁ along
/// the strip and D₂ across it, k by θ = √(D₁ D₂) ÷ D₃ (Seydel, The critical shear load of rectangular plates, NACA TM
/// 705, 1933; the table from memory). An even plate gives the known 5.35 π² E t² ÷ (12 (1 − ν²) w²).
double shearBuckling(const Plate& plate, double width);

/// The same of a rectangle, by the narrower of the two long strips that hold it: what gives more.
double shearBuckling(const Plate& plate, double length, double width);

/// Stress at which a sheet that is pressed along `length` between ribs buckles: as a wide column, π² E t² ÷ (12 l²), or
/// as a bent one, 0.3 √(E₁ E₂) t ÷ r (half of what a perfect cylinder would hold, common practice), whichever is more.
/// Radius 0 for a flat one.
double pressedSheetBuckling(const Plate& plate, double length, double radius);

/// Stress at which a strip on a soft core wrinkles: ½ ∛(E E_c G_c) (Hoff and Mautner, Journal of the Aeronautical
/// Sciences, 1945, from memory).
double wrinkling(double modulus, double coreModulus, double coreShear);

} // namespace eup
