// The panel as a ruled surface: straight lines join equal chord fractions of the placed root and tip sections.
// Panel axes: x aft from the root leading edge, t along the true span from the root, z up with the root chord level.
#pragma once
#include "core/design/panel_brief.h"
#include "core/section/section.h"
#include <span>

namespace eup {

enum class Face { upper, lower };

/// Where a section's chord line lies: its ends in the rib plane (x, z), its length and its turn (nose down positive).
struct ChordFrame {
  double t = 0;
  Point le{0, 0}, te{0, 0};
  double chord = 0;
  double washout = 0; ///< rad
  /// Panel (x, z) → chord axes: leading edge at the origin, chord line along x.
  Point toChord(const Point& xz) const { return Placement{washout, le}.undo(xz); }
  Point fromChord(const Point& p) const { return Placement{washout, le}(p); }
};

/// A surface curve cut by the rib plane, from the leading edge point to the trailing edge, and the chord frame.
struct Cut {
  ChordFrame frame;
  Polyline upper, lower; ///< in panel (x, z)
  const Polyline& face(Face f) const { return f == Face::upper ? upper : lower; }
};

class PanelLoft {
public:
  /// Chords and span > 0. Sweep is laid off to the leading edge before the tip is turned for washout.
  PanelLoft(const Panel& panel, const Section& root, const Section& tip);

  double span() const { return length; }
  ChordFrame frameAt(double t) const;
  /// The section in the plane square to the root chord at t in [0, span].
  Cut cutAt(double t) const;
  /// The section in a plane that leans by `lean` (rad, outwards at the top, within ±1.4) about the chordwise line at t
  /// on the height of the root's leading edge. In the plane: x aft, and up along it, so z ÷ cos(lean). Each of the
  /// panel's straight lines is followed to where it meets the plane, also a little past the panel's ends.
  Cut cutLeaning(double t, double lean) const;
  /// The section in an upright plane through the leading edge at t, turned out of the flight's direction by `turn`
  /// (rad, tail outwards, within ±1.1). In the plane: x along it from the leading edge's own x, and z. Past the panel's
  /// ends its straight lines run on.
  Cut cutTurned(double t, double turn) const;
  /// The point of the straight line of chord fraction f in [0, 1], at t: (x, z).
  Point at(Face face, double f, double t) const;
  /// Half way between the faces on that line.
  Point middle(double f, double t) const { return lerp(at(Face::upper, f, t), at(Face::lower, f, t), 0.5); }
  /// Chordwise slope dz/dx of the surface there.
  double slope(Face face, double f, double t) const;
  /// Which way the leading edge runs: one long, (aft, along the span, up).
  Point3 leadingWay() const;
  /// The lowest point of the underside over the whole panel.
  double lowest() const;

private:
  struct End {
    Polyline upper, lower;
    Point le, te;
  };
  static End place(const Section& section, double chord, double setback, double washout, double axis);
  End root, tip;
  double length;
};

/// Where a chord fraction lies on the plan: x of that point of the chord line.
double planX(const ChordFrame& frame, double fraction);

/// A section's outline as one closed loop, counter-clockwise from the upper trailing edge.
Polyline outlineOf(const Cut& cut);

/// Planform figures of a wing of straight-tapered panels, on true lengths.
struct Planform {
  double halfSpan = 0;    ///< true, along all panels
  double area = 0;        ///< both halves, mm²
  double meanChord = 0;   ///< mean aerodynamic chord, ∫c² dy ÷ S
  double meanChordAt = 0; ///< its place along the half span
  double meanChordLe = 0; ///< its leading edge behind the root's
  double aspect = 0;      ///< on the true span
};
/// Panels from the middle outwards, with their roots filled in; at least one.
Planform planformOf(std::span<const Panel> panels);

/// Of a wing whose halves are not alike: each given as the whole that it would be with its mirror image.
Planform together(const Planform& right, const Planform& left);

/// The plain dihedral that rights as much as the panels' own, rad: ∫Γ c y dy ÷ ∫c y dy, the area-arm mean of strip
/// theory, y along the true length.
double effectiveDihedral(std::span<const Panel> panels, std::span<const double> gammas);

} // namespace eup
