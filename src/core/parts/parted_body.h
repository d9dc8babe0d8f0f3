// What surfaces on hinges take out of a body that has no ribs: a foam core or a panel of sheet. One rule for all.
#pragma once
#include "core/assembly/part.h"
#include "core/parts/hinge_cut.h"
#include <functional>

namespace eup {

/// The panel's bare section at t: closed, chord axes.
Polyline bareSectionAt(const PanelLoft& loft, double t);

/// Of a section of the body at t (closed, chord axes) what a surface's cuts take: where the surface is of its own wood
/// all behind the wing's face, or its facing; else the gap with its bevels, and the room of both facings.
Region takenAtHinge(const PanelBrief& design, const PanelLoft& loft, const HingeLine& line, double t,
                    const Polyline& section);

/// mm behind the nose where the wing ends before a surface at t, its facing left out; the rear edge of a slanting cut.
double wingFaceAt(const PanelBrief& design, const PanelLoft& loft, const HingeLine& line, double t);

/// What is taken between two places of the span.
struct BodyTaken {
  double volume = 0;           ///< mm³
  Point3 moment{0, 0, 0};      ///< volume times place, panel axes
  std::vector<Part::Run> runs; ///< mm² of section
};

/// `sectionAt` gives the body's section at any t within `from` to `to` (mm of the panel's span): closed, chord axes,
/// empty where there is none. Exact for sections that change as the square of t (Gauss, three places).
BodyTaken takenByHinges(const PanelBrief& design, const PanelLoft& loft, const std::vector<HingeLine>& hinges,
                        double from, double to, const std::function<Polyline(double t)>& sectionAt);

/// `density` g/mm³. What is taken weighs no more than the part.
void takeOut(Part& part, const BodyTaken& taken, double density);

} // namespace eup
