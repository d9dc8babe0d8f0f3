// What wood bears that is bent round something: strips of a tip or of a rib, sheet round a nose.
#pragma once
#include "core/design/tables.h"

namespace eup {

/// How much longer the outer face of a strip becomes when it is bent so that this face has that radius: thickness ÷ (2
/// × radius − thickness), of plane sections; 1 where there is no way round, 0 for a straight strip (radius 0).
double bendStrain(double thickness, double outerRadius);
/// What its outer fibres may stretch dry. Along the grain strength ÷ modulus; bent round a line along the grain twice
/// what it gives evenly, pressed across (strength ÷ modulus), for it yields before it cracks: common practice.
double dryBend(const Material& wood);
double dryBendAcross(const Material& wood);
/// The same of a skin that is rolled round the nose, its grain turned so far off the span (0 across, 90 along it):
/// between the two as wood's strength is, by Hankinson's formula.
double dryBendRound(const Material& wood, double grainDeg);

/// What lies between a property along the grain and across it, rad off the grain: A B ÷ (A sin² + B cos²). Hankinson,
/// "Investigation of crushing strength of spruce at varying angles of grain", Air Service Information Circular 259
/// (1921).
double offTheGrain(double along, double across, double angle);

/// How a strip that thick takes a bend with that radius of its outer face: dry, wet through or steamed (which bears
/// three times as much: common practice), or in no way.
enum class Bends { dry, wet, breaks };
Bends bendsAt(double thickness, double outerRadius, double bearsDry);

} // namespace eup
