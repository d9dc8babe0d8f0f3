// A piece of the wing's surface laid flat, so that sheet can be cut to it: the ruled surface developed straight line by
// straight line, what is drawn on it, and how far a surface that turns is from lying flat at all.
#pragma once
#include "core/loft/panel_loft.h"
#include "core/parts/surface_place.h"
#include <functional>

namespace eup {

/// A plane that ends a skin: upright at t, leaning outwards at the top by `lean` (rad) about the line at that place on
/// the height of the root's leading edge, or turned out of the flight's direction by `turn` about the leading edge
/// there.
struct EndPlane {
  double t = 0, lean = 0, turn = 0;
};

/// Straight lines of the panel at rising chord fractions, each laid flat. On the pattern x runs aft and y along the
/// first of them, from its inner end; seen from outside the wing it is the right hand's upper skin, or the left's lower
/// one.
class FlatSurface {
public:
  /// 0 <= from < to <= 1; from 0 it begins at the leading edge's point, ahead of which a cambered section's nose lies.
  /// Each straight line is laid beside the last by the lengths of the four sides and one diagonal
  /// of what lies between them; the section's own points are among the lines.
  FlatSurface(const PanelLoft& loft, Face face, double from, double to);

  /// Where a point of the surface lies on the pattern.
  Point at(double fraction, double t) const;
  /// What `fraction` begins with: below 0 for the points of a nose that lie ahead of the leading edge's.
  double first() const { return rulings.front().fraction; }
  /// Where the straight line of that fraction meets a plane: t, also a little past the panel's ends.
  double meets(double fraction, const EndPlane& plane) const;
  /// The fractions of its straight lines between two of them, both ends in it.
  std::vector<double> fractions(double from, double to) const;

  /// rad: most that the surface's normal turns along one straight line between two fractions.
  double turn(double from, double to) const;
  /// mm: how much wider or narrower than the surface the pattern is half way along it, between two fractions.
  double misfit(double from, double to) const;

  const PanelLoft& loft;
  Face face;

private:
  struct Ruling {
    double fraction = 0;
    Point3 root, tip;        ///< in the panel
    Point flatRoot, flatTip; ///< on the pattern
  };
  /// The straight lines on either side of a fraction, and how far it lies between them.
  struct Between {
    const Ruling &a, &b;
    double share;
  };
  Between around(double fraction) const;
  std::vector<Ruling> rulings;
};

/// A line that is drawn on a skin to lay it by.
struct SkinLine {
  std::string name;
  Polyline line;
  double t = 0;   ///< of a rib: where it stands, mm of the panel's span
  int number = 0; ///< and its number
};

/// The pattern of a piece of skin between two lines and two planes.
struct FlatPattern {
  Polyline front, rear, inner, outer; ///< its edges; front and rear from the inner end, the ends from the front
  Polyline outline;                   ///< closed, counter-clockwise
  double area = 0;
  double innerWidth = 0, outerWidth = 0; ///< along the surface at either end
  double innerAngle = 0,
         outerAngle = 0;       ///< rad: its ends out of square to its front edge, + where the rear lies farther out
  double turn = 0, misfit = 0; ///< see FlatSurface
};

/// Both are lines of the surface's own face; where `to` comes to lie before `from` the piece has no width.
FlatPattern flatPattern(const FlatSurface& surface, const SurfaceLine& from, const SurfaceLine& to,
                        const EndPlane& inner, const EndPlane& outer);

/// Where a plane meets a pattern's surface between its two lines.
Polyline acrossPattern(const FlatSurface& surface, const SurfaceLine& from, const SurfaceLine& to,
                       const EndPlane& plane);

} // namespace eup
